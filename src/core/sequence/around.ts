import { composeWarmUp } from '../planning/compose'
import { preparationOf } from '../planning/model'
import { callsFor } from '../practice/ask'
import type { Library } from '../practice/library'
import type { PracticeBlock } from '../practice/schema'
import type { SequenceAsked } from './compose'
import { mayCheck, mayRest, mayWarm } from './may'
import type { SequenceItem } from './sequence'

/** Shares of the time (drills-and-checks.md E). */
const PREPARING = 0.3
const UNLOADING = 0.2
const LEAST_REST_S = 60

/** What comes before and after what is worked at: warmed for all of it, unloaded of all of it, and the check between. */
export function around(
  practice: Library,
  asked: SequenceAsked,
  worked: readonly SequenceItem[],
): SequenceItem[] {
  const { people, minutes, moves } = asked
  const drills = worked.flatMap(({ id }) => practice.drills.find((d) => d.id === id) ?? [])
  const warming = new Set(
    practice.drills.filter((d) => mayWarm(d, asked) && !drills.includes(d)).map((d) => d.id),
  )
  const made = preparationOf(practice, () => 0)
  const pieces = Object.fromEntries(Object.entries(made.pieces).filter(([id]) => warming.has(id)))
  const mask = practice.warmups.reduce(
    (bits, block, i) => (drills.some((d) => callsFor(d, block)) ? bits | (1 << i) : bits),
    0,
  )
  // A class gives a third of itself to warming up; this three tenths, with what shows the action among them.
  const shown = worked.reduce((sum, i) => sum + (i.part === 'show' ? i.seconds : 0), 0)
  const warmMin = Math.max(1, minutes * PREPARING - shown / 60) * 3
  const warm = composeWarmUp({ ...made, pieces, settled: [], minutes: warmMin }, mask).items
  const opens = (cp: PracticeBlock): boolean =>
    mayRest(practice, cp, people) && cp.props.every((kind) => asked.has(kind))
  // Where one is closed to somebody, what may stand in its place unloads instead.
  const owed = practice.counterposes
    .filter((cp) => drills.some((d) => callsFor(d, cp)))
    .flatMap((cp) =>
      opens(cp) ? [cp] : practice.counterposes.filter((o) => o.instead === cp.id && opens(o)).slice(0, 1),
    )
  const check = practice.checks.find((c) => c.id === moves && mayCheck(practice, c.id, people))
  const before: SequenceItem[] = [
    ...warm.map(({ id, seconds }): SequenceItem => ({ part: 'warm', id, seconds, dose: null })),
    ...worked,
    ...(check ? [{ part: 'check', id: check.id, seconds: 60, dose: null } as const] : []),
  ]
  const unloading = unloadedIn([...new Set(owed)], minutes * 60 * UNLOADING - LEAST_REST_S)
  const left = minutes * 60 - [...before, ...unloading].reduce((sum, i) => sum + i.seconds, 0)
  const resting = practice.counterposes.find((cp) => cp.id === 'CP-savasana')
  return [
    ...before,
    ...unloading,
    ...(resting && opens(resting)
      ? [
          {
            part: 'rest' as const,
            id: resting.id,
            seconds: Math.min(300, Math.max(LEAST_REST_S, left)),
            dose: null,
          },
        ]
      : []),
  ]
}

/** What is owed, each for its minute or two, shorter where there are many; half a minute at least. */
function unloadedIn(
  owed: readonly { readonly id: string; readonly minutes: number }[],
  room: number,
): SequenceItem[] {
  const all = owed.filter(({ id }) => id !== 'CP-savasana')
  const usual = all.reduce((sum, { minutes }) => sum + minutes * 60, 0)
  const share = usual > room && usual > 0 ? room / usual : 1
  return all.map(({ id, minutes }) => ({
    part: 'counter',
    id,
    seconds: Math.max(30, Math.round((minutes * 60 * share) / 5) * 5),
    dose: null,
  }))
}
