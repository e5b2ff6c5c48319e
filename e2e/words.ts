/** What nobody would say aloud: what a program calls things, one of many, and marks that stand alone. */
const UNSAID: readonly RegExp[] = [
  /\b(?:undefined|null|NaN|Infinity)\b|\[object/,
  // One person, not “1 people”.
  /(?<![\d.,–-])1 (?:people|weeks|days|months|years|classes|blocks|straps|mats|chairs|minutes|hours|tries|bays|steps|times|seconds|checks|drills|sets|results|questions|names)\b/,
  // A name out of the code.
  /\b[a-z]+(?:[A-Z][a-z]+)+\b/,
  // Nothing stands before a comma or between brackets, and a sentence ends once.
  / [,;.](?= |$)|\( ?\)|[^.]\.\.(?!\.)|: ?\.|, ?\./m,
  /[A-Za-z]'[a-z]/,
]

/** The places of a text that nobody would say, each with what stands round it. */
export function unsaid(text: string): string[] {
  return UNSAID.flatMap((pattern) => {
    const found = pattern.exec(text)
    return found ? [text.slice(Math.max(0, found.index - 30), found.index + 40).replace(/\s+/g, ' ')] : []
  })
}
