import fc from 'fast-check'
import { shippedPractice } from '../practice/library'
import { findById } from '../practice/find'
import { did as tried, evidence, TODAY } from '@/testing/evidence'
import type { Attempt } from './evidence'
import { evaluateGate, type GateState } from './gate'
import { asShown } from './shown'

const practice = shippedPractice()

/** A stage's gate on a check, asked of these tries. */
function gateAt(
  stageId: string,
  checkId: string,
  ...tries: Attempt[]
): { state: GateState; value: number | null } {
  const stage = findById(practice.stages, stageId)
  const gate = stage.gates.find((g) => g.check === checkId)!
  const { observations } = asShown(practice, evidence(...tries), TODAY)
  return evaluateGate(gate, findById(practice.checks, checkId), stage, observations, TODAY)
}
const days = (n: number): number[] => Array.from({ length: n }, (_, i) => n - i)

it('forty seconds at the wall are eight breaths, and open nothing of the hands', () => {
  const held = days(4).map((d) => tried('FS-10b', d, { level: 'held', seconds: 40 }))
  expect(gateAt('FS-13', 'CK-wall-hold', ...held)).toMatchObject({ state: 'met', value: 8 })
  expect(gateAt('HS-14', 'CK-wall-hold', ...held).state).toBe('unknown')
})
it('a held wall with a helper proves nothing', () => {
  const held = days(4).map((d) => tried('FS-10b', d, { level: 'held', seconds: 40, help: 'touched' }))
  expect(gateAt('FS-13', 'CK-wall-hold', ...held).state).not.toBe('met')
})
it('free seconds count by the second best of five: one long balance is luck', () => {
  const day = (d: number, seconds: number[]): Attempt[] =>
    seconds.map((s) => tried('FS-13', d, { level: 'held', seconds: s }))
  const once = days(4).flatMap((d) => day(d, [30, 2, 2]))
  const twice = days(4).flatMap((d) => day(d, [30, 8, 2]))
  expect(gateAt('FS-14', 'CK-offwall', ...once).state).not.toBe('met')
  expect(gateAt('FS-14', 'CK-offwall', ...twice)).toMatchObject({ state: 'met', value: 8 })
  // A day with a single try says nothing either way.
  expect(gateAt('FS-14', 'CK-offwall', ...days(4).flatMap((d) => day(d, [30]))).state).toBe('unknown')
  // FS-16 asks the same of three in five.
  expect(gateAt('FS-16', 'CK-offwall', ...days(4).flatMap((d) => day(d, [12, 12, 2]))).state).not.toBe('met')
})
it('kick level is the best of a day with each lead, where both led; hard arrivals only touched', () => {
  const kick = (d: number, lead: 'left' | 'right', rest: Partial<Attempt>): Attempt =>
    tried('FS-09', d, { lead, ...rest })
  const both = (d: number): Attempt[] => [
    kick(d, 'left', { level: 'hop' }),
    kick(d, 'left', { level: 'held' }),
    kick(d, 'right', { level: 'touched' }),
  ]
  const kicks = days(4).flatMap(both)
  expect(gateAt('FS-10b', 'CK-kick-height', ...kicks)).toMatchObject({ state: 'met', value: 3 })
  expect(gateAt('FS-10b', 'CK-both-leads', ...kicks)).toMatchObject({ state: 'met', value: 1 })
  const oneLeg = days(4).map((d) => kick(d, 'left', { level: 'held' }))
  expect(gateAt('FS-10b', 'CK-kick-height', ...oneLeg).state).toBe('unknown')
  const thrown = days(4).flatMap((d) => [
    kick(d, 'left', { level: 'held', outcome: 'not-yet' }),
    kick(d, 'right', { level: 'held', outcome: 'not-yet' }),
  ])
  expect(gateAt('FS-14', 'CK-kick-height', ...thrown)).toMatchObject({ value: 3 })
})
it('an elbow that slides in a hop shows no height', () => {
  const slid = days(4).flatMap((d) =>
    (['left', 'right'] as const).map((lead) =>
      tried('FS-09', d, { lead, level: 'held', faults: ['FT-elbow-splay'] }),
    ),
  )
  expect(gateAt('FS-10b', 'CK-kick-height', ...slid).state).toBe('unknown')
})
it('consistency is clean days of the last five at one stage', () => {
  const tuck = (clean: boolean, d: number): Attempt =>
    tried('HD-08', d, { outcome: clean ? 'clean' : 'not-yet', seconds: 40 })
  const pattern = (marks: string): Attempt[] => Array.from(marks, (m, i) => tuck(m === 'x', marks.length - i))
  expect(gateAt('HD-10', 'CK-consistency', ...pattern('xx.xx'))).toMatchObject({ state: 'met', value: 4 })
  expect(gateAt('HD-10', 'CK-consistency', ...pattern('x..xx')).state).not.toBe('met')
  expect(gateAt('HD-10', 'CK-consistency', ...pattern('.....xxxx')).value).toBe(4)
  // Four clean days at two stages are not four at one.
  const split = ['FS-10a', 'FS-10b'].flatMap((id, i) => days(2).map((d) => tried(id, d + 2 * i)))
  expect(gateAt('FS-15', 'CK-consistency', ...split)).toMatchObject({ value: 2 })
})
it('one more clean day never lowers it, one more poor day never raises it', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 8 }), (marks) => {
      const at = (list: boolean[]): number =>
        gateAt(
          'HD-10',
          'CK-consistency',
          ...list.map((ok, i) =>
            tried('HD-08', list.length - i, { outcome: ok ? 'clean' : 'not-yet', seconds: 40 }),
          ),
        ).value ?? 0
      expect(at([...marks, true])).toBeGreaterThanOrEqual(at(marks))
      expect(at([...marks, false])).toBeLessThanOrEqual(at(marks))
    }),
    { numRuns: 40 },
  )
})
it('stopped tries, and arms that were spent, are no verdict', () => {
  const stopped = days(4).map((d) => tried('FS-10b', d, { outcome: 'stopped', seconds: 40 }))
  expect(gateAt('FS-13', 'CK-wall-hold', ...stopped).state).toBe('unknown')
  const spent = days(4).map((d) => tried('FS-10b', d, { level: 'held', seconds: 5, endedBy: 'spent-arms' }))
  expect(gateAt('FS-13', 'CK-wall-hold', ...spent).state).toBe('unknown')
})
it('every stage that a check is read from stands in the ladders, and no gate is left without one', () => {
  const known = new Set(practice.stages.map((s) => s.id))
  for (const { shownOn = {} } of practice.checks)
    for (const id of Object.values(shownOn).flat()) expect(known.has(id)).toBe(true)
  for (const stage of practice.stages)
    for (const gate of stage.gates)
      if (gate.check === 'CK-consistency')
        expect([stage.id, gate.last, gate.shownBy?.length]).toEqual([
          stage.id,
          expect.any(Number),
          expect.any(Number),
        ])
      else if (['CK-offwall', 'CK-wall-hold', 'CK-kick-height'].includes(gate.check))
        expect([stage.id, (gate.shownBy?.length ?? 0) > 0]).toEqual([stage.id, true])
})
