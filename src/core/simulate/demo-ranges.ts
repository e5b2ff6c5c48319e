import { addDays, type Day } from '../day'
import { PLAIN_RESULT, type Observation, type Values } from '../readiness/evidence'
import type { Maker } from './demo'
import { DEMO_PEOPLE } from './demo-people'

/** Whoever kicks has shown the ways that most steps against the wall are left by. */
const WAYS_OUT: readonly string[] = ['EX-step-down', 'EX-tuck-down']

type Seen = [check: string, values: Values, exit?: string]

/** What every load asks for, as seen at each one’s last class: ranges, the head low, and ways out for whoever kicks. */
export function demoRanges(
  students: readonly { readonly id: string }[],
  asOf: Day,
  maker: Maker,
): Observation[] {
  const both: Values = { left: 1, right: 1 }
  return students.flatMap(({ id: studentId }, i) => {
    const person = DEMO_PEOPLE[i]
    if (!person?.hold) return []
    const leads = person.kick ? Math.abs(person.kick[0] - person.kick[1]) : null
    const seen: Seen[] = [
      ['CK-hbh-tolerance', { single: 1 }],
      ['CK-neck-range', { single: 1 }],
      ['CK-crown-proportion', { left: 3, right: 3 }],
      ['CK-wrist-extension', { left: 85, right: 85 }],
      ...(leads === null ? [] : WAYS_OUT.map((exitId): Seen => ['CK-exit-rehearsed', both, exitId])),
      ...(leads === null ? [] : [['CK-both-leads', { single: leads }] as Seen]),
    ]
    const day = addDays(asOf, -7 * ((person.away ?? 0) + 1))
    return seen.map(([checkId, values, exitId = null]) => ({
      ...maker.stamp(day),
      ...PLAIN_RESULT,
      studentId,
      checkId,
      values,
      exitId,
    }))
  })
}
