import { bodyOf, must } from '@/testing/bodies'
import { estimateBody } from '../body/estimate'
import { solvePosition } from '../mechanics/positions/catalogue'
import { shippedPractice } from '../practice/library'
import { solveSetup } from '../setups/catalogue'
import { describeName, describeQuantity } from './entry'
import { describeLoad } from './load'
import { count, deg, length, METRIC, percent, plain } from './number'
import { OUTCOME_MEANING, OUTCOME_WORD } from './outcome'
import { OVERRIDE_WORD } from './override'
import { describeAsked, shown } from './reason'
import { describeBody, describeLength } from './length'
import { describeSetup } from './setup-refusal'
import { bodyWay, placementValue, plumbSentence } from './setup'

const INCHES = { units: 'in' as const }
const check = (id: string) => shippedPractice().checks.find((c) => c.id === id)!

describe('numbers', () => {
  it.each([
    [length(33.3, METRIC), '33.5 cm'],
    [length(25.4, INCHES), '10 in'],
    [deg(12.6), '13°'],
    [percent(0.642), '64 %'],
    [plain(5), '5'],
    [plain(5.25), '5.3'],
    [count(1, 'strap'), '1 strap'],
    [count(3, 'person', 'people'), '3 people'],
  ])('%s', (printed, expected) => expect(printed).toBe(expected))
})

describe('what was refused, and what to do', () => {
  it.each([
    [describeLength({ code: 'length-empty' }), 'Type a length, for example 168 cm or 5\'6".'],
    [
      describeLength({ code: 'length-inches-over-foot', inches: 13 }),
      '13 inches are more than a foot. Inches after feet go from 0 to 11.',
    ],
    [
      describeLength({ code: 'length-out-of-range', cm: 17, minCm: 120, maxCm: 220 }, INCHES),
      '6.75 in is outside 47.25 in to 86.5 in. Measure again?',
    ],
    [describeQuantity({ code: 'quantity-empty' }, 'a result in s'), 'Type a result in s.'],
    [
      describeQuantity({ code: 'quantity-out-of-range', value: -5, min: 0, max: 300 }, 'x', 's'),
      '-5 s is outside 0 to 300 s. Check it for a slip.',
    ],
    [
      describeName({ code: 'name-too-long', length: 300, most: 80 }),
      'A name may have 80 characters; this one has 300.',
    ],
    [
      describeSetup({ code: 'no-blocks', needed: 2, inStock: 0 }),
      'This needs 2 blocks; none is in the cupboard. Add some in Studio or pick another setup.',
    ],
    [
      describeSetup({ code: 'not-in-stock', prop: 'strap-long', needed: 1, inStock: 0 }),
      'This needs 1 × strap long; the cupboard has 0 that will do.',
    ],
    [
      describeSetup({ code: 'stack-too-low', neededCm: 41, reachedCm: 30 }),
      'The stack must reach 41 cm; what is in the cupboard reaches 30 cm safely.',
    ],
    [
      describeSetup({ code: 'rig-without-overlap', overlapCm: 4, leastCm: 7.5 }),
      'The upper block rests on 4 cm of the lower one; 7.5 cm is the least. A tower like that is not built.',
    ],
    [
      describeSetup({ code: 'wall-out-of-reach', elbowToWallCm: 300, reachCm: 150 }),
      'The wall is 300 cm from the elbows and the heels reach 150 cm. Come nearer.',
    ],
    [
      describeSetup({ code: 'parameter-out-of-range', key: 'wallGapCm', value: 40, min: 5, max: 30 }),
      'Block to wall of 40 is outside 5 to 30.',
    ],
  ])('%s', (printed, expected) => expect(printed).toBe(expected))

  it('names the joint, what it would need and what to change', () => {
    const solved = solvePosition('dolphin', bodyOf(168), { hipRangeDeg: 30 })
    expect(solved.ok ? '' : describeSetup(solved.refusal)).toMatch(
      /^This would need \d+° at the hip; 30° is what there is\. Change: Balls of the feet from the support\.$/,
    )
  })
  it('says by how much legs are too short', () => {
    const solved = solvePosition('dolphin', bodyOf(140), { toeDistanceCm: 140 })
    expect(solved.ok ? '' : describeSetup(solved.refusal)).toMatch(
      /^The legs reach [\d.]+ cm and [\d.]+ cm are needed\. Shorten: Balls of the feet from the support\.$/,
    )
  })
  it('asks which line was used when a length fits no such body', () => {
    const body = estimateBody({ statureCm: 168, measured: { hand: 60 } })
    expect(body.ok ? '' : describeBody(body.refusal)).toMatch(
      /^Hand of 60 cm does not fit this height .* Which line did you use\? Measure again\?$/,
    )
  })
})

describe('the board’s words', () => {
  it('has a word and a meaning for every outcome, and a word for every reason to override', () => {
    expect(Object.keys(OUTCOME_WORD)).toEqual(Object.keys(OUTCOME_MEANING))
    for (const text of [...Object.values(OUTCOME_MEANING)]) expect(text).toMatch(/^[A-Z].*\.$/)
    expect(Object.values(OVERRIDE_WORD)).toEqual(['Seen it', 'Knows own body', 'Spotter beside', 'Other'])
  })
  it.each([
    ['CK-dolphin-hold', { op: '>=', value: 30 }, 'Dolphin hold at least 30 s'],
    ['CK-elbow-drift', { op: '<=', value: 2 }, 'Elbow drift at most 2 cm'],
    [
      'CK-leg-lift-forearm',
      { op: '>=', value: 5, side: 'each' },
      'Leg lift in dolphin without sinking at least 5 s each side',
    ],
    ['CK-kick-height', { op: '>=', value: 2, side: 'each' }, 'Kick height at least level 2 each side'],
    ['CK-pelvic-set', { op: 'yes' }, 'Finds a neutral, braced pelvis'],
    ['CK-walk-in', { op: 'recorded' }, 'Walk-in distance, known'],
  ] as const)('%s', (id, gate, words) => {
    const full = { check: id, side: 'single' as const, aidedOk: false, life: 'standing' as const, ...gate }
    expect(describeAsked(full, check(id))).toBe(words)
  })
  it('shows yes and no as words', () =>
    expect([1, 0].map((v) => shown(check('CK-pelvic-set'), v))).toEqual(['yes', 'no']))
  it('names loads with their levels', () => {
    expect(describeLoad({ FB: 2, HBH: 1 })).toBe('weight on the forearms · head below heart')
    expect(describeLoad({})).toBe('nothing to speak of')
  })
})

describe('a setup in words', () => {
  const kick = must(solveSetup('SETUP-wall-kick-forearm-block', bodyOf(168)))
  const placement = (key: string) => kick.placements.find((p) => p.key === key)!

  it('gives a number with its error, and a way without a tape', () => {
    expect(placementValue(placement('elbow-to-wall'), METRIC)).toBe('58.5 cm ± 2 cm')
    expect(bodyWay(placement('elbow-to-wall'), METRIC)).toBe(
      'Lay the forearm down: the wall is 16 cm past the fingertips (within 2 cm).',
    )
    expect(bodyWay(placement('elbow-width'), INCHES)).toMatch(/\(within 1\.25 in\)\.$/)
    expect(bodyWay({ ...placement('block-gap'), bodyWay: null }, METRIC)).toBe('By tape.')
  })
  it('tells where the plumb line falls, inside, behind or past the base', () => {
    const at = (leanDeg: number) =>
      plumbSentence(must(solvePosition('forearm-stand-straight', bodyOf(168), { leanDeg })), METRIC)
    expect(at(0)).toMatch(/inside the rear edge of the base\.$/)
    expect(at(-10)).toMatch(/behind the base\.$/)
  })
})
