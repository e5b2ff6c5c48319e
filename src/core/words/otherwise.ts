import type { Change, ForSomebody, MoreCome, Otherwise, Turn } from '../planning/otherwise'
import { describeGain } from './better'
import { FAMILY_NAMES } from './family'
import { count, list, type Wording } from './number'
import { propNoun } from './setup'

/** Names said before the rest is counted. */
const NAMED = 3
const TURN_ORDER: readonly Turn[] = ['works', 'wall', 'nearer', 'more-turns']

/** One thing changed and what comes of it: `2 more blocks: Ines and Pell work nearer to their own step. +14 points.` */
export function describeOtherwise(
  { change, gain, now, then, people }: Otherwise,
  nameOf: (studentId: string) => string,
  wording: Wording,
): string {
  const byTurn = TURN_ORDER.flatMap((how) => {
    const who = names(people, how, nameOf)
    return who === null ? [] : [`${who.said} ${BETTER[how][who.one ? 0 : 1]}`]
  })
  const comes = byTurn.length > 0 ? byTurn.slice(0, 2).join('; ') : describeGain(now, then)
  return `${changeWords(change, wording)}: ${comes}. ${Math.round(gain)} points more.`
}

function changeWords(change: Change, wording: Wording): string {
  switch (change.kind) {
    case 'pieces':
      return list(change.pieces.map(({ kind, count: n }) => `${count(n, ...propNoun(kind, wording))} more`))
    case 'minutes':
      return `${change.minutes} minutes more`
    case 'bay':
      return 'One place at the wall more'
    case 'helper':
      return 'A trained helper beside you'
    case 'family':
      return `Without ${FAMILY_NAMES[change.family].toLowerCase()}`
  }
}

const BETTER: Readonly<Record<Turn, readonly [string, string]>> = {
  works: ['no longer waits', 'no longer wait'],
  wall: ['gets the wall', 'get the wall'],
  nearer: ['works nearer to the next step', 'work nearer to their next steps'],
  'more-turns': ['gets more turns', 'get more turns'],
}
const WORSE: Readonly<Record<Turn, readonly [string, string]>> = {
  works: ['would wait', 'would wait'],
  wall: ['would lose the wall', 'would lose the wall'],
  nearer: ['would work a step lower', 'would work a step lower'],
  'more-turns': ['would have fewer turns', 'would have fewer turns'],
}

function names(
  people: readonly ForSomebody[],
  how: Turn,
  nameOf: (studentId: string) => string,
): { said: string; one: boolean } | null {
  const who = [...new Set(people.filter((p) => p.how === how).map((p) => p.studentId))]
  if (who.length === 0) return null
  const named = who.slice(0, who.length > NAMED ? NAMED - 1 : NAMED).map(nameOf)
  const rest = who.length - named.length
  return { said: list(rest > 0 ? [...named, `${rest} more`] : named), one: who.length === 1 }
}

/** What becomes of the class when some strangers stand at the door. */
export function describeMoreCome(
  { extra, holds, worse, extraWait, noMat }: MoreCome,
  nameOf: (studentId: string) => string,
): string {
  const who = `${extra} more`
  if (!holds)
    return `${who} at the door: these blocks do not hold them. Planned in by name, something gives way and is said.`
  const less = TURN_ORDER.flatMap((how) => {
    const found = names(worse, how, nameOf)
    return found === null ? [] : [`${found.said} ${WORSE[how][0]}`]
  })
  const rest = [
    ...(extraWait.length > 0
      ? [`They would wait through ${count(extraWait.length, 'block')} and watch.`]
      : ['They would do the gentle versions until you know them.']),
    ...(noMat > 0
      ? [`${count(noMat, 'person', 'people')} would have no mat place as the room is drawn.`]
      : []),
  ]
  return [`${who} can come: ${less.length > 0 ? less.join('; ') : 'nobody’s work gets less'}.`, ...rest].join(
    ' ',
  )
}
