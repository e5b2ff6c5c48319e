import fc from 'fast-check'
import { isWork, type Plan } from '../classes/plan'
import { callsFor } from '../practice/ask'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { anyBrief, brief, limited, person, planOf } from '@/testing/briefs'
import { describeOwed } from '../words/floor'
import { ownWarmUp } from './own-warm-up'
import { runs } from '@/testing/runs'

const practice = shippedPractice()
const at = (plan: Plan, kind: string): number => plan.blocks.findIndex((b) => b.kind === kind)

it('whoever comes late owes what their own blocks to come call for, least minutes, of what is open to them', () => {
  let some = 0
  fc.assert(
    fc.property(anyBrief, fc.nat(20), fc.nat(20), (b, who, where) => {
      const coming = b.people.filter((p) => !b.fixed.out.includes(p.studentId))
      const late = coming[who % coming.length]!
      let plan: Plan
      try {
        plan = planOf(b)
      } catch {
        return
      }
      const index = where % plan.blocks.length
      const owed = ownWarmUp(practice, plan, late, index)
      const here = plan.blocks[index]!
      const own = isWork(here)
        ? [here.people.find((p) => p.studentId === late.studentId)?.variantId ?? '']
        : []
      if (index <= at(plan, 'warm-up') || own.length === 0) {
        expect(owed).toEqual([])
        return
      }
      if (owed.length > 0) some += 1
      const needed = practice.warmups.filter((w) =>
        own.some((id) => {
          const of = [...practice.stages, ...practice.drills, ...practice.counterposes].find(
            (x) => x.id === id,
          )
          return of ? callsFor(of, w) : false
        }),
      )
      for (const { id } of owed) {
        expect([
          id,
          needed.some((w) => w.drills.includes(id) || w.must.some((m) => m.from.includes(id))),
        ]).toEqual([id, true])
        const { load } = findById(practice.drills, id)
        for (const cap of late.limits.filter((l) => l.action !== 'modify' && l.action !== 'watch'))
          expect((load[cap.tag] ?? 0) < cap.level).toBe(true)
      }
    }),
    { numRuns: runs(20) },
  )
  expect(some).toBeGreaterThan(0)
})

it('owes nothing before the class has warmed up nor in what is done lying down, and the way out before tries', () => {
  const kicker = { standingId: 'FS-11', targetId: null, outcome: 'held', limits: limited() } as const
  const b = brief({ people: [1, 2, 3, 4].map((i) => person(i, kicker)) })
  const plan = planOf(b)
  const owed = (kind: string) => ownWarmUp(practice, plan, b.people[0]!, at(plan, kind))
  expect([owed('arrive'), owed('warm-up'), owed('counterpose'), owed('rest')]).toEqual([[], [], [], []])
  expect(owed('skill').reduce((n, x) => n + x.seconds, 0)).toBeGreaterThanOrEqual(120)
  const exits = findById(practice.warmups, 'WU-fall').must.flatMap((m) => m.from)
  expect(owed('peak').filter((x) => exits.includes(x.id)).length).toBeGreaterThanOrEqual(1)
  expect(owed('skill').filter((x) => exits.includes(x.id) && x.id === 'DR-exit-rehearsal')).toEqual([])
})

it('never warms up with what tonight closes, whatever it is', () => {
  const strong = { standingId: 'FS-11', targetId: null, outcome: 'held', limits: limited() } as const
  const b = brief({ people: [1, 2, 3, 4].map((i) => person(i, strong)) })
  const plan = planOf(b)
  let closed = 0
  for (const condition of new Set(practice.cautions.flatMap((c) => c.conditions))) {
    const late = { ...b.people[0]!, limits: limited(condition).caps }
    const shut = late.limits.filter((l) => l.action === 'stop' || l.action === 'avoid')
    closed += shut.length
    for (const kind of ['skill', 'peak', 'train'])
      for (const { id } of ownWarmUp(practice, plan, late, at(plan, kind)))
        for (const { tag, level } of shut)
          expect([condition, id, (findById(practice.drills, id).load[tag] ?? 0) < level]).toEqual([
            condition,
            id,
            true,
          ])
  }
  expect(closed).toBeGreaterThan(50)
})

it('is said with its minutes', () => {
  const owed = [
    { name: 'Eagle arms', seconds: 60 },
    { name: 'Forearm plank', seconds: 90 },
  ]
  expect(describeOwed('Ines', owed)).toEqual({
    head: 'Ines came late: 3 minutes of warming up first, then joins in.',
    drills: 'Eagle arms 1:00 · Forearm plank 1:30',
  })
})
