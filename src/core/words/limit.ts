import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import type { Limit, Verdict } from '../screening/caps'
import type { Instead } from '../screening/instead'
import { describeLoadFrom } from './load'

const SAYS: Readonly<Record<Verdict, string>> = {
  open: 'Open',
  watch: 'Watch',
  changed: 'Changed',
  'left-out': 'Left out',
  barred: 'Barred',
}

/** A verdict's word. */
export function verdictWord(verdict: Verdict): string {
  return SAYS[verdict]
}

/** What somebody does in place of a setup that is closed to them; it never says why. */
export function describeClosedSetup(
  name: string,
  instead: Pick<Stage, 'id' | 'name'> | null,
  referral: string | null = null,
): string {
  if (referral !== null) return `Not for ${name} now. ${referral}`
  const stage = instead ? instead.name : 'rest, watch or help'
  return `Not for ${name} now. Instead: ${stage}.`
}

/** What an alarm asks for instead of another shape: the advice of its rule, which names no answer. */
export function referralIn(limits: readonly Limit[]): string | null {
  return limits.find(({ refer }) => refer !== undefined)?.instead ?? null
}

/** In place of a limit's words, where others can see the screen. */
export const LIMIT_HIDDEN = 'A limit acts here; its words are hidden on this screen.'

/** A limit of a day gone by: that it acted is kept, and not which one it was. */
function describeKept(verdict: Verdict, instead: Instead | null, practice: Library): string {
  const offer = instead ? ` Instead: ${findById(practice.stages, instead.stageId).name}.` : ''
  switch (verdict) {
    case 'barred':
      return `A limit of that day barred it.${offer}`
    case 'left-out':
      return `A limit of that day left it out.${offer}`
    case 'changed':
      return 'A limit of that day changed it.'
    case 'watch':
      return 'A limit of that day asked to watch it.'
    case 'open':
      return 'Open.'
  }
}

/** A limit on a stage, what would lift it and what to do instead; it never says why. */
export function describeLimit(
  { verdict, because, instead }: { verdict: Verdict; because: readonly Limit[]; instead: Instead | null },
  practice: Library,
): string {
  if (because.length === 0) return describeKept(verdict, instead, practice)
  const acting = because.filter((cap) => cap.action === because[0]?.action)
  const loads = [...new Set(acting.map(describeLoadFrom))].join(', ')
  const stage = instead ? findById(practice.stages, instead.stageId) : null
  const referral = referralIn(because)
  const offer = referral !== null ? ` ${referral}` : stage ? ` Instead: ${stage.name}.` : ''
  const seconds = because.flatMap((c) => (c.mostSeconds === null ? [] : [c.mostSeconds]))
  switch (verdict) {
    case 'barred':
      if (because[0]?.until === 'key')
        return `Closed until the health notes can be read again: ${loads}.${offer}`
      if (because[0]?.needsClearance === false) return `Not done in this room: ${loads}.${offer}`
      return `Barred: ${loads}. Only a recorded clearance for that lifts it.${offer}`
    case 'left-out':
      return `Left out: ${loads}. You may lift it with a written reason.${offer}`
    case 'changed':
      return [
        `Changed: ${loads}${seconds.length > 0 ? `, ${Math.min(...seconds)} s at most` : ''}.`,
        ...new Set(because.flatMap((c) => (c.change ? [c.change.words] : []))),
      ].join(' ')
    case 'watch':
      return `Watch: ${loads}.`
    case 'open':
      return 'Open.'
  }
}
