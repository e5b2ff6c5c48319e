import { brief, limited, person, planOf } from '@/testing/briefs'
import type { BriefPerson } from '../classes/brief'
import { isWork, turnsOf } from '../classes/plan'
import { shippedPractice } from '../practice/library'
import type { Family } from '../practice/schema'
import { NO_LIMITS } from '../screening/caps'
import { barsStage } from '../screening/stage-limits'
import { buildModel } from './model'
import { turnsLeft } from './option'

const practice = shippedPractice()
const OTHERS = [2, 3].map((i) => person(i, { limits: NO_LIMITS }))
/** Ids of everything that somebody may be given anywhere in a class. */
const offered = (b: ReturnType<typeof brief>, studentId: string): Set<string> => {
  const model = buildModel(practice, b)
  const at = model.people.findIndex((p) => p.studentId === studentId)
  return new Set(model.slots.flatMap((s) => (s.options[at] ?? []).map((o) => model.variants[o.v]?.id ?? '')))
}

it('turns left follow the least of the caps, and a limit leaves its share of them', () => {
  const variant = { ...buildModel(practice, brief()).variants[0]!, tries: 2, cap: 10 }
  const change = { mostSeconds: null, share: 0.5, words: [] }
  expect(turnsLeft({ mostAttempts: 12 }, variant, null)).toBe(5)
  expect(turnsLeft({ mostAttempts: 7 }, variant, null)).toBe(3)
  expect(turnsLeft({ mostAttempts: 12 }, variant, change)).toBe(2)
  expect(turnsLeft({ mostAttempts: 2 }, variant, change)).toBe(0)
  expect(turnsLeft({ mostAttempts: 0 }, { ...variant, tries: 0 }, null)).toBe(Infinity)
})

it('what a Stop bars is not opened by a version fixed by hand, whatever the condition', () => {
  const conditions = [...new Set(practice.cautions.flatMap((c) => c.conditions))]
  const ladder = practice.stages.filter((s) => s.family === 'FS').toReversed()
  let asked = 0
  for (const condition of conditions) {
    const limits = limited(condition)
    const stage = ladder.find((s) => barsStage(practice, { caps: limits.caps }, s))
    if (!stage) continue
    asked += 1
    const b = brief({
      people: [person(1, { standingId: 'FS-10a', targetId: 'FS-12', outcome: 'offer', limits }), ...OTHERS],
      locks: [{ studentId: 'p1', part: 'waves', stageId: stage.id, reason: 'seen-it' }],
    })
    expect([condition, offered(b, 'p1').has(stage.id)]).toEqual([condition, false])
  }
  expect(asked).toBeGreaterThan(3)
})

it('nobody is advanced in two families: beside their own only what they hold is offered', () => {
  const part = (family: Family, standingId: string, targetId: string): BriefPerson =>
    person(1, {
      ...{
        family,
        standingId,
        targetId,
        outcome: 'offer' as const,
        limits: NO_LIMITS,
        touch: 'yes' as const,
      },
      looked: { answer: 'accept', reason: null },
    })
  const forearms = part('FS', 'FS-04', 'FS-05')
  const hands = part('HS', 'HS-03', 'HS-04')
  const both: BriefPerson = { ...forearms, families: { ...forearms.families, HS: hands.families.HS } }
  const b = brief({ aim: { kind: 'practice', families: ['FS', 'HS'] }, people: [both, ...OTHERS] })
  const has = offered(b, 'p1')
  expect([has.has('FS-05'), has.has('HS-04')].filter(Boolean)).toHaveLength(1)
})

it('no more goes on at once than one teacher can watch', () => {
  const people = Array.from({ length: 12 }, (_, i) =>
    person(i + 1, { standingId: 'FS-09', targetId: null, outcome: 'held', limits: NO_LIMITS, touch: 'yes' }),
  )
  const b = brief({ bays: 6, people })
  const { variants } = buildModel(practice, b)
  const points = (id: string | null): number => variants.find((v) => v.id === id)?.points ?? 0
  const turns = planOf(b).blocks.filter(isWork).flatMap(turnsOf)
  expect(Math.max(...turns.map((t) => t.up.length))).toBeGreaterThan(1)
  // Eight points for one pair of eyes (class-craft.md 6).
  for (const { up } of turns)
    expect(up.reduce((sum, d) => sum + points(d.variantId), 0)).toBeLessThanOrEqual(8 + 1e-9)
})
