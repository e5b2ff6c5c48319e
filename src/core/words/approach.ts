import type { Scope } from '../approaches/resolve'

/** Where a setting came from. */
const FROM: Readonly<Record<Scope | 'default' | 'studio', string>> = {
  default: 'usual',
  teacher: 'your way',
  class: 'this class',
  student: 'this person',
  studio: 'the studio',
}

/** Where a setting came from, in a word or two. */
export function scopeWord(from: Scope | 'default' | 'studio'): string {
  return FROM[from]
}

const CLASHES: Readonly<Record<string, string>> = {
  'opposite-words': 'Opposite words would land on one drill: keep to one, tell the other apart.',
  'opposite-touch': 'The touch says the opposite of the word.',
  'no-back-stop': 'A kick without a back-stop overshoots.',
  'unit-mismatch': 'Seconds and breaths: holds are converted by each person’s own breath.',
  'spent-arms': 'Drills first and the new thing late: arms are spent when it comes. Attempts are halved.',
  'lean-and-arch': 'A wide gap and a long hold end in a lean or an arch: 5 cm serves a hold better.',
  'block-turns-forearms': 'One block between the palms turns the forearms in: take two, or allow the turn.',
  'proportion-not-strength':
    'A short upper arm fails that gate by proportion: raise the forearms first, then judge.',
  'measure-again': 'Two ways of measuring: numbers differ by 5 to 25 cm. Measure again, keep no old number.',
  'hidden-head-load': 'That warm-up puts weight on a head that is to carry none.',
  'deeper-bend': 'A cushion under the head on a platform bends the neck further: a thin blanket only.',
  'neck-extension': 'That counterpose tips the head back; this neck is to be left alone.',
  'loop-too-wide': 'A strap set wider than the shoulders lets the elbows drift.',
  'wall-width': 'A straddle needs two metres of wall.',
  'not-taught-in-person': 'Practice at a wall at home was never shown in person.',
}

/** What goes wrong when two settings meet. */
export function describeClash(problem: string): string {
  return CLASHES[problem] ?? 'These two do not go together.'
}

/** An option's name on screen: its id in words. */
export function optionName(id: string): string {
  const words = id.replaceAll('-', ' ')
  return words.charAt(0).toUpperCase() + words.slice(1)
}
