import { bodyOf, must } from '@/testing/bodies'
import { evidence, saw, did, TODAY, ready } from '@/testing/evidence'
import { shippedPractice } from '../practice/library'
import { findById } from '../practice/find'
import { decide } from '../readiness/decide'
import { NO_LIMITS } from '../screening/caps'
import { SETUPS, solveSetup } from '../setups/catalogue'
import { describeWay } from '../words/way'
import {
  askedBy,
  attemptsAllowed,
  beginnings,
  beginWith,
  cueFor,
  gatesWith,
  handsOff,
  newThing,
  waysInForce,
} from './effects'
import { hiddenStages, preferredStages, resolveApproaches } from './resolve'

const practice = shippedPractice()
const chosen = (approach: string, option: string) =>
  resolveApproaches(practice, { teacher: { [approach]: option } })
const usual = resolveApproaches(practice, {})

/** Options that do nothing that shows, and why: each is where everything begins from. */
const STARTS_HERE = practice.approaches.map((a) => `${a.id}:${a.default}`)

/** Everything that a choice changes somewhere, as it can be observed. */
function observed(inForce: typeof usual): string {
  const body = bodyOf(168)
  const asked = askedBy(practice, inForce)
  const sets = beginnings(practice, inForce)
  return JSON.stringify([
    practice.stages.map((s) => cueFor(practice, inForce, s)),
    practice.stages.map((s) => gatesWith(practice, s, asked)),
    Object.keys(sets).map((id) => [id, must(solveSetup(id, body, beginWith(sets[id], body))).placements]),
    [...hiddenStages(practice, inForce)],
    preferredStages(practice, inForce),
    [attemptsAllowed(practice, inForce), handsOff(practice, inForce)],
    waysInForce(practice, inForce).filter((w) => w.keepsProps).length,
    newThing(practice, inForce),
  ])
}

const options = practice.approaches.flatMap((a) => a.options.map((o) => [a.id, o.id] as const))

it.each(options.filter(([a, o]) => !STARTS_HERE.includes(`${a}:${o}`)))(
  '%s %s does something that can be seen, or says why it is told to the teacher only',
  (approach, option) => {
    const told = practice.ways.find((w) => w.of === `${approach}:${option}`)?.told
    if (told === undefined) expect(observed(chosen(approach, option))).not.toBe(observed(usual))
    else expect(told.length).toBeGreaterThan(30)
  },
)
it('names only what there is: options, stages, checks, setups and their options within range', () => {
  const known = new Set(options.map(([a, o]) => `${a}:${o}`))
  const stage = (name: string): boolean => practice.stages.some((s) => s.id.startsWith(name))
  for (const way of practice.ways) {
    expect([way.of, known.has(way.of)]).toEqual([way.of, true])
    for (const name of [
      ...(way.say?.on ?? []),
      ...(way.ask?.on ?? []),
      ...(way.hides ?? []),
      ...(way.prefers ?? []),
    ])
      expect([way.of, name, stage(name)]).toEqual([way.of, name, true])
    if (way.ask) findById(practice.checks, way.ask.check)
    for (const id of way.set?.setups ?? []) {
      const found = SETUPS.find((s) => s.id === id)?.options.find((o) => o.key === way.set?.option)
      expect([way.of, id, found?.key]).toEqual([way.of, id, way.set?.option])
      if (way.set?.value !== undefined) expect(way.set.value).toBeLessThanOrEqual(found!.max)
    }
    for (const line of describeWay(practice, way))
      expect(line).not.toMatch(/undefined|NaN|[A-Z]{2}-\d\d|CK-|SETUP-/)
  }
})
it('a way asks for more, never for less: of two that ask the same the harder stands', () => {
  const kick = findById(practice.stages, 'FS-10a')
  const asked = askedBy(practice, chosen('A30', 'time'))
  const held = gatesWith(practice, kick, asked).filter((g) => g.check === 'CK-dolphin-hold')
  expect(held.map((g) => g.value)).toEqual([60])
  const easier = [{ on: ['FS-10'], gate: { ...asked[0]!.gate, value: 10 } }]
  expect(
    gatesWith(practice, kick, easier)
      .filter((g) => g.check === 'CK-dolphin-hold')
      .map((g) => g.value),
  ).toEqual([kick.gates.find((g) => g.check === 'CK-dolphin-hold')?.value])
})
it('what a way asks reaches the decision', () => {
  const days = [1, 3, 5, 8]
  const facts = [
    ...ready(),
    ...days.flatMap((d) => [
      did('FS-09', d),
      saw('CK-dolphin-hold', 62, d),
      saw('CK-leg-lift-forearm', { left: 40, right: 40 }, d),
      saw('CK-forearm-overhead', { left: 1, right: 1 }, d),
      saw('CK-kick-height', { left: 2, right: 2 }, d),
      saw('CK-elbow-drift', 1, d),
    ]),
  ]
  const with_ = (inForce: typeof usual) =>
    decide(practice, 'FS', 's', evidence(...facts), NO_LIMITS, TODAY, {
      ...{ hidden: new Set<string>(), prefers: ['FS-10b'] },
      asks: askedBy(practice, inForce),
    })
  expect(with_(usual).branches).toContainEqual({ stageId: 'FS-10b', outcome: 'offer' })
  const higher = with_(chosen('A30', 'height'))
  expect(higher.branches).not.toContainEqual({ stageId: 'FS-10b', outcome: 'offer' })
  expect(higher.branches).toContainEqual({ stageId: 'FS-10b', outcome: expect.stringMatching(/near|build/) })
})
it('touching the wall begins at nought on every body, and a hand’s length is one’s own', () => {
  for (const stature of [150, 185]) {
    const body = bodyOf(stature)
    const at = (approach: string, option: string, setup: string) =>
      beginWith(beginnings(practice, chosen(approach, option))[setup], body)
    expect(at('A04', 'touching', 'SETUP-wall-kick-forearm')).toEqual({ fingertipGapCm: 0 })
    expect(at('A05', 'hand-length', 'SETUP-wall-kick-hand').fingertipGapCm).toBeCloseTo(0.108 * stature, 6)
  }
})
