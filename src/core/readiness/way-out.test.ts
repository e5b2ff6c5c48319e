import { evidence, ready, saw, TODAY, did } from '@/testing/evidence'
import { shippedPractice } from '../practice/library'
import type { Family } from '../practice/schema'
import { NO_LIMITS, type Caps } from '../screening/caps'
import { decide } from './decide'
import type { Observation } from './evidence'
import { wayOutToShow } from './way-out'

const practice = shippedPractice()
const as = (family: Family, ...facts: Parameters<typeof evidence>) =>
  decide(practice, family, 's', evidence(...facts), NO_LIMITS, TODAY)
const clean = (stageId: string) => [1, 3, 5].map((day) => did(stageId, day))
const without = (...exits: string[]): Observation[] =>
  ready().filter(({ checkId, exitId }) => checkId !== 'CK-exit-rehearsed' || !exits.includes(exitId ?? ''))
const shown = (decisions: Parameters<typeof wayOutToShow>[1], limits: Caps = NO_LIMITS) =>
  wayOutToShow(practice, decisions, limits)?.id ?? null

it('asks for the way out of the step that still lacks it, before the one of a step that has it', () => {
  // On the way to the kick, whose way out is shown, and to the headstand in the room, whose way out is not.
  const known = [...clean('FS-09'), ...clean('HD-09'), ...without('EX-tuck-down', 'EX-roll-tuck')]
  const [forearms, head] = [as('FS', ...known), as('HD', ...known)]
  expect([forearms.targetId, head.missing.some(({ gate }) => gate.check === 'CK-exit-rehearsed')]).toEqual([
    'FS-10a',
    true,
  ])
  const [own] = practice.stages.find((s) => s.id === head.targetId)?.exits ?? []
  expect(shown([forearms, head])).toBe(own)
  expect(shown([forearms])).toBe('EX-step-down')
})

it('names none where no step is left by one that is rehearsed', () => {
  expect(shown([as('PU', saw('CK-plank-hold', 20))])).toBeNull()
})

it('leaves out what a limit closes', () => {
  const head = { ...as('HD'), targetId: 'AD-02' }
  const closed: Caps = {
    ...NO_LIMITS,
    caps: [
      {
        ...{
          ruleId: 'C',
          tag: 'FR',
          level: 3,
          action: 'avoid',
          mostSeconds: null,
          instead: '',
          change: null,
        },
        needsClearance: false,
      },
    ],
  }
  expect([shown([head]), shown([head], closed)]).toEqual(['EX-drop-low-pushup', 'EX-step-down'])
})

it('a way out that a limit closes speaks for nobody any more, and a poor one still against', () => {
  const roll = saw('CK-exit-rehearsed', { left: 1, right: 1 }, 1, { exitId: 'EX-roll-tuck' })
  const neck: Caps = {
    ...NO_LIMITS,
    caps: [
      {
        ...{
          ruleId: 'C',
          tag: 'NF',
          level: 2,
          action: 'avoid',
          mostSeconds: null,
          instead: '',
          change: null,
        },
        needsClearance: false,
      },
    ],
  }
  const asked = (limits: Caps, way: Observation) => {
    const facts = [...clean('HD-09'), ...without(...practice.exits.map((e) => e.id)), way]
    const found = decide(practice, 'HD', 's', evidence(...facts), limits, TODAY)
    return found.reasons.flatMap((r) =>
      r.code === 'gate' && r.result.gate.check === 'CK-exit-rehearsed' ? [r.result.state] : [],
    )
  }
  expect([asked(NO_LIMITS, roll), asked(neck, roll)]).toEqual([['met'], ['unknown']])
  const poor = { ...roll, values: { left: 1, right: 0 } }
  expect([asked(NO_LIMITS, poor), asked(neck, poor)]).toEqual([['unmet'], ['unmet']])
})
