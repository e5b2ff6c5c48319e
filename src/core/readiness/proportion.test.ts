import { did, evidence, ready, saw, TODAY, within } from '@/testing/evidence'
import { estimateBody } from '../body/estimate'
import { forearmLift } from '../body/head-room'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { describeHelp } from '../words/next-steps'
import { must } from '@/testing/bodies'
import { decide } from './decide'
import { helpWith, type HelpFor } from './fault-help'
import { shortArms } from './proportion'

const practice = shippedPractice()
const measured = (left: number, right = left, daysAgo = 1) =>
  saw('CK-crown-proportion', { left, right }, daysAgo)

it('asks for the shortfall and two centimetres, by the shorter side, as the bench does for the same body', () => {
  expect(shortArms(practice, [measured(2, 1)], TODAY)).toBeNull()
  expect(shortArms(practice, [measured(1, 0)], TODAY)).toMatchObject({ value: 0, raiseCm: 2 })
  expect(shortArms(practice, [measured(-3)], TODAY)).toMatchObject({ value: -3, raiseCm: 5 })
  expect(shortArms(practice, [measured(-3, -3, 200)], TODAY)).toBeNull()
  const body = must(estimateBody({ statureCm: 168, measured: { upperArm: 28.5, headNeck: 31.5 } }))
  expect(forearmLift(body).valueCm).toBeCloseTo(5, 9)
})
it('a dropped head is told as proportion, with the lift and no drill, however short the hold is', () => {
  const who = (...facts: Parameters<typeof evidence>): HelpFor => ({
    ...{ evidence: evidence(...facts), caps: NO_LIMITS, checkIn: null, asked: [], asOf: TODAY },
    ...{ within: within(NO_LIMITS), stageId: 'FS-05' },
  })
  const help = helpWith(practice, 'FT-head-drop', who(measured(-1), saw('CK-dolphin-hold', 8)))
  expect(help).toMatchObject({ drillId: null, then: 'fix first', shortArms: { raiseCm: 3 } })
  expect(describeHelp(practice, help)).toBe(
    'These arms are 1 cm short of this head: no want of strength. Lay 3 cm under both forearms, then look again. Mend it before going on.',
  )
  const long = helpWith(practice, 'FT-head-drop', who(measured(4), saw('CK-dolphin-hold', 8)))
  expect(long.shortArms).toBeNull()
  expect(describeHelp(practice, long)).toMatch(/^Likely strength/)
  expect(helpWith(practice, 'FT-elbow-splay', who(measured(-1))).shortArms).toBeNull()
})
it('with short arms a clear head counts on raised forearms only, and a touching one on the floor counts against nobody', () => {
  const rest = ready().filter((o) => o.checkId !== 'CK-crown-proportion')
  const clear = (arms: number, aided: boolean, value: number) => {
    const facts = [1, 3, 5].flatMap((d) => [
      saw('CK-head-clear', value, d, { aided, aid: aided ? 'slab' : '' }),
      saw('CK-dolphin-hold', 60, d),
    ])
    const { missing } = decide(
      practice,
      'FS',
      's',
      evidence(did('FS-04', 1), ...rest, measured(arms), ...facts),
      NO_LIMITS,
      TODAY,
    )
    return missing.find((m) => m.gate.check === 'CK-head-clear')?.state ?? 'met'
  }
  expect(clear(3, false, 4)).toBe('met')
  expect(clear(-2, false, 4)).toBe('unknown')
  expect(clear(-2, true, 4)).toBe('met')
  expect(clear(3, true, 4)).not.toBe('met')
})
