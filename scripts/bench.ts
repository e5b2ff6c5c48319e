import { NO_LIMITS, NOT_ASKED } from '@/core/screening/caps'
import { estimateBody } from '@/core/body/estimate'
import { addDays } from '@/core/day'
import { POSITIONS, solvePosition } from '@/core/mechanics/positions/catalogue'
import type { Brief } from '@/core/classes/brief'
import { briefPerson, NO_CLASS_BEFORE } from '@/core/classes/reach'
import { USUAL_AIM } from '@/core/classes/aim'
import { NOTHING_FIXED } from '@/core/classes/fixed'
import { bestPlan, startsFor } from '@/core/planning/plan-class'
import { rehearse } from '@/core/teaching/rehearse'
import { outlineOf } from '@/core/figure/outline'
import { pathsOf, pictureOf } from '@/core/figure/picture'
import { entriesOf } from '@/core/library/entries'
import { indexOf, search } from '@/core/library/search'
import { shippedPractice } from '@/core/practice/library'
import { spacersFor, USUAL_BLOCK } from '@/core/props/blocks'
import { FAMILIES } from '@/core/practice/schema'
import { decide } from '@/core/readiness/decide'
import { PLAIN_RESULT, type Evidence, type Observation } from '@/core/readiness/evidence'
import { SETUPS, solveSetup } from '@/core/setups/catalogue'
import { demoWorld } from '@/core/simulate/demo'
import { seeded, uuidAt } from '@/core/random'

/** Median and tail of one call, over batches so that the timer's grain does not show. */
function bench(name: string, work: () => unknown, batch: number): void {
  const BATCHES = 60
  for (let i = 0; i < Math.max(400, batch * 5); i += 1) work()
  const times: number[] = []
  for (let i = 0; i < BATCHES; i += 1) {
    const began = performance.now()
    for (let j = 0; j < batch; j += 1) work()
    times.push(((performance.now() - began) * 1000) / batch)
  }
  times.sort((a, b) => a - b)
  const at = (q: number): number => times[Math.min(times.length - 1, Math.floor(q * times.length))] ?? 0
  const p50 = at(0.5)
  process.stdout.write(
    `${name.padEnd(44)} p50 ${p50.toFixed(1).padStart(9)} µs  p99 ${at(0.99).toFixed(1).padStart(9)} µs  ${Math.round(1e6 / p50).toLocaleString('en')}/s\n`,
  )
}

/** Median and worst of ten runs of something long. */
function once(name: string, work: () => unknown): void {
  const times = Array.from({ length: 10 }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  }).sort((a, b) => a - b)
  process.stdout.write(
    `${name.padEnd(44)} median ${(times[5] ?? 0).toFixed(0)} ms, worst ${(times[9] ?? 0).toFixed(0)} ms\n`,
  )
}

/** Invented people with this many results each, over every standing check and the last two years, in clock order. */
function crowdOf(people: number, results: number): Evidence[] {
  const random = seeded(3)
  const checks = shippedPractice().checks.filter((c) => c.life === 'standing')
  return Array.from({ length: people }, (_, p) => ({
    attempts: [],
    placements: [],
    observations: Array.from({ length: results }, (_, i): Observation => {
      const check = checks[i % checks.length]
      const value = check ? check.min + random() * (check.max - check.min) : 0
      return {
        id: uuidAt(random, i),
        studentId: `p${p}`,
        day: addDays(asOf, -Math.floor((700 * (results - i)) / results)),
        hlc: String(i).padStart(9, '0'),
        replaces: null,
        ...PLAIN_RESULT,
        checkId: check?.id ?? '',
        values: check?.side === 'each' ? { left: value, right: value } : { single: value },
      }
    }),
  }))
}

const body = estimateBody({ statureCm: 168 })
if (!body.ok) throw new Error('the bench body is refused')
for (const { id } of POSITIONS) bench(`position ${id}`, () => solvePosition(id, body.value), 50)
for (const { id } of SETUPS) bench(`setup ${id}`, () => solveSetup(id, body.value), 10)
const stock = Array.from({ length: 20 }, (_, i) => ({ ...USUAL_BLOCK, thickCm: i % 2 ? 7.5 : 10 }))
bench('block search over 20 blocks', () => spacersFor(25.5, stock), 5)

const drawn = solvePosition('forearm-stand-v-split', body.value)
if (drawn.ok) {
  bench('outline of one figure', () => outlineOf(drawn.value), 5)
  bench('outline and its paths, full size', () => pathsOf(outlineOf(drawn.value), 10), 5)
  bench('small picture of one figure', () => pictureOf(drawn.value), 5)
}
const lookup = indexOf(entriesOf(shippedPractice()))
bench('search with a wrong letter', () => search(lookup, 'pinca mayurasana'), 5)

const asOf = '2026-03-10'
const world = demoWorld(asOf)
const practice = shippedPractice()
const evidence = world.students.map((s) => ({
  id: s.id,
  observations: world.observations.filter((o) => o.studentId === s.id),
  attempts: world.attempts.filter((o) => o.studentId === s.id),
  placements: world.placements.filter((o) => o.studentId === s.id),
}))
bench(
  'decisions for 14 people',
  () => evidence.map((e) => decide(practice, 'FS', e.id, e, NOT_ASKED, addDays(asOf, 0))),
  5,
)
const crowd = crowdOf(30, 1567)
once('30 people x 6 families, 47,010 observations', () =>
  // A copy a run, so that nothing remembered of the run before helps this one.
  crowd.forEach((e, i) => {
    const fresh = { ...e }
    for (const family of FAMILIES.slice(0, 6)) decide(practice, family, `p${i}`, fresh, NO_LIMITS, asOf)
  }),
)
const brief: Brief = {
  ...{
    version: 2,
    day: asOf,
    minutes: 75,
    aim: USUAL_AIM,
    fixed: NOTHING_FIXED,
    strengthFirst: false,
    newThing: 'first',
  },
  room: {
    bays: [1, 2, 3, 4, 5].map((i) => ({ id: `bay-${i}`, widthCm: 120, corner: i === 1 })),
    mats: null,
    open: 1,
  },
  cupboard: {
    listed: true,
    lines: Object.entries({ block: 12, strap: 6, chair: 4, bolster: 4 }).map(([kind, count]) => ({
      ...{ id: kind, kind, longCm: null, count },
    })),
  },
  ...{ helpers: [], locks: [] },
  people: evidence.map((e) => ({
    ...briefPerson(practice, {
      studentId: e.id,
      breathS: 5,
      heightCm: 168,
      loopCm: null,
      grown: {},
      weaker: {},
      firstMonth: false,
      mostAttempts: 12,
      touch: 'ask',
      limits: NOT_ASKED,
      decisions: FAMILIES.map((family) => decide(practice, family, e.id, e, NOT_ASKED, asOf)),
      looked: () => null,
    }),
    ...NO_CLASS_BEFORE,
  })),
}
bench('first plan, 14 people', () => startsFor(practice, brief), 5)
const rehearsed = bestPlan(practice, brief)
if (rehearsed.ok) bench('an hour rehearsed 200 times, 14 people', () => rehearse(rehearsed.value.plan), 5)
once('whole search, 14 people', () => bestPlan(practice, brief))
