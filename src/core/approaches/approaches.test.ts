import fc from 'fast-check'
import { evidence, placed, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { shippedPractice } from '../practice/library'
import { decide } from '../readiness/decide'
import { judgeLoad, NO_LIMITS } from '../screening/caps'
import { together } from '../screening/tonight'
import { disagreement } from './disagree'
import { attemptCap, firstMonthCap, floorCaps, NO_FLOOR } from './floor'
import { shiftsBetween } from './preview'
import {
  clashesOf,
  hiddenStages,
  isSetAt,
  preferredStages,
  presetChoices,
  resolveApproaches,
  SCOPES,
  type Choices,
} from './resolve'

const practice = shippedPractice()
const optionOf = (layers: Parameters<typeof resolveApproaches>[1], id: string, forbidden: string[] = []) =>
  resolveApproaches(practice, layers, forbidden).get(id)

describe('which option holds', () => {
  it('is the default until somebody sets one, and then the nearest to the person', () => {
    expect(optionOf({}, 'A01')).toEqual({ option: 'padded', from: 'default' })
    const layers = { teacher: { A01: 'open' }, class: { A01: 'wall' }, student: { A01: 'home-wall' } }
    expect(optionOf({ teacher: layers.teacher }, 'A01')).toEqual({ option: 'open', from: 'teacher' })
    expect(optionOf({ teacher: layers.teacher, class: layers.class }, 'A01')?.from).toBe('class')
    expect(optionOf(layers, 'A01')).toEqual({ option: 'home-wall', from: 'student' })
  })
  it('passes over what the studio forbids, and over what nobody knows', () => {
    expect(optionOf({ teacher: { A01: 'open' }, student: { A01: 'wall' } }, 'A01', ['A01:wall'])).toEqual({
      option: 'open',
      from: 'teacher',
    })
    expect(optionOf({ teacher: { A01: 'sideways' } }, 'A01')?.from).toBe('default')
    expect(optionOf({}, 'A01', ['A01:padded'])).toEqual({ option: 'open', from: 'studio' })
  })
  const question = fc.constantFrom(...practice.approaches)
  const anyChoices = fc
    .array(fc.tuple(question, fc.nat(5)), { maxLength: 8 })
    .map((picks): Choices =>
      Object.fromEntries(picks.flatMap(([q, i]) => (q.options[i] ? [[q.id, q.options[i].id]] : []))),
    )
  it('is never a forbidden one while anything else is left', () => {
    fc.assert(
      fc.property(anyChoices, anyChoices, anyChoices, (teacher, student, no) => {
        const forbidden = Object.entries(no).map(([a, o]) => `${a}:${o}`)
        for (const [id, { option }] of resolveApproaches(practice, { teacher, student }, forbidden))
          expect(forbidden).not.toContain(`${id}:${option}`)
      }),
    )
  })
  it('may be asked of a class wherever a teacher may set it', () => {
    expect(isSetAt(practice, 'A01', 'class')).toBe(true)
    expect(isSetAt(practice, 'A08', 'class')).toBe(false)
    expect(isSetAt(practice, 'A08', 'student')).toBe(true)
    expect(isSetAt(practice, 'A06', 'student')).toBe(false)
    for (const { id } of practice.approaches)
      expect([id, SCOPES.some((scope) => isSetAt(practice, id, scope))]).toEqual([id, true])
  })
})

it.each(practice.presets.map((p) => [p.id]))('preset %s names options that exist', (id) => {
  const resolved = resolveApproaches(practice, { teacher: presetChoices(practice, id) })
  for (const [approach, option] of Object.entries(presetChoices(practice, id)))
    expect(resolved.get(approach)).toEqual({ option, from: 'teacher' })
})
it('no preset is no choice', () => expect(presetChoices(practice, 'none')).toEqual({}))

describe('what an option does', () => {
  it('takes stages off the ladder: without a wall no wall headstand', () => {
    const open = hiddenStages(practice, resolveApproaches(practice, { teacher: { A01: 'open' } }))
    const wall = hiddenStages(practice, resolveApproaches(practice, { teacher: { A01: 'wall' } }))
    expect([open.has('HD-12a'), wall.has('HD-12a')]).toEqual([true, false])
  })
  it('is never offered once hidden, while the standing stays', () => {
    const stood = evidence(placed('HD-11'))
    const before = decide(practice, 'HD', 's', stood, NO_LIMITS, TODAY)
    const hidden = new Set([before.targetId ?? ''])
    const after = decide(practice, 'HD', 's', stood, NO_LIMITS, TODAY, { hidden, prefers: [] })
    expect(after.standing).toEqual(before.standing)
    expect(after.targetId).not.toBe(before.targetId)
    expect(shiftsBetween([before], [after])).toHaveLength(1)
    expect(shiftsBetween([before], [before])).toEqual([])
    expect(() => shiftsBetween([before], [{ ...after, studentId: 'other' }])).toThrow('same people')
  })
  it('never lets anybody go further than without it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...practice.stages),
        fc.constantFrom(...practice.presets),
        (stage, preset) => {
          const hidden = hiddenStages(practice, resolveApproaches(practice, { teacher: preset.choices }))
          const { targetId } = decide(
            practice,
            stage.family,
            's',
            evidence(placed(stage.id)),
            NO_LIMITS,
            TODAY,
            { hidden, prefers: [] },
          )
          expect(targetId === null || !hidden.has(targetId)).toBe(true)
        },
      ),
    )
  })
})

describe('clashes', () => {
  it('are told within one set of choices, and between two people where one question is meant', () => {
    const clash = resolveApproaches(practice, { teacher: { A01: 'open', A08: 'push' } })
    expect(clashesOf(practice, clash).map((c) => c.problem)).toContain('no-back-stop')
    const hollow = resolveApproaches(practice, { teacher: { A19: 'hollow' } })
    const broad = resolveApproaches(practice, { teacher: { A19: 'broad' } })
    expect(clashesOf(practice, hollow).map((c) => c.problem)).not.toContain('opposite-words')
    expect(clashesOf(practice, hollow, [broad]).map((c) => c.problem)).toContain('opposite-words')
  })
})

describe('a hand that disagrees', () => {
  const small = resolveApproaches(practice, {})
  const ask = (cm: number) => disagreement(small, 'SETUP-wall-kick-forearm', 'fingertipGapCm', cm)
  it('only ever wants an option that its question has', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.constantFrom('SETUP-wall-kick-forearm', 'SETUP-wall-kick-hand'),
        (cm, setup) => {
          const found = disagreement(
            new Map([
              ['A04', { option: '?' }],
              ['A05', { option: '?' }],
            ]),
            setup,
            'fingertipGapCm',
            cm,
          )
          const options = practice.approaches.find((a) => a.id === found?.approach)?.options.map((o) => o.id)
          expect(options).toContain(found?.wants)
        },
      ),
    )
  })
  it('is heard past the setting’s own span and nowhere else', () => {
    expect(ask(20)).toEqual({ approach: 'A04', now: 'small', wants: 'far' })
    expect(ask(0)).toEqual({ approach: 'A04', now: 'small', wants: 'touching' })
    expect(ask(5)).toBeNull()
    expect(disagreement(small, 'SETUP-dolphin-strap', 'wallGapCm', 20)).toBeNull()
    expect(disagreement(small, 'SETUP-wall-kick-hand', 'fingertipGapCm', 40)).toBeNull()
  })
})

describe('the studio’s floor', () => {
  const floor = { ...NO_FLOOR, closed: [{ tag: 'HB', level: 3 } as const], mostAttempts: 8 }
  it('bars what the room does not do, whatever else is open', () => {
    expect(judgeLoad({ HB: 3 }, together(NO_LIMITS, floorCaps(floor))).verdict).toBe('barred')
    expect(judgeLoad({ HB: 2 }, together(NO_LIMITS, floorCaps(floor))).verdict).toBe('open')
  })
  it('only tightens the cap on attempts', () => {
    expect(attemptCap(floor, 10)).toBe(8)
    expect(attemptCap(floor, 5, null)).toBe(5)
    expect(attemptCap(NO_FLOOR, 20)).toBe(12)
  })
})

describe('attempts in a class', () => {
  it('are 12 at most and 8 in the first month, and a studio can only go lower', () => {
    expect(firstMonthCap([TODAY], TODAY)).toBe(8)
    expect(firstMonthCap([TODAY, addDays(TODAY, -29)], TODAY)).toBe(8)
    expect(firstMonthCap([TODAY, addDays(TODAY, -30)], TODAY)).toBeNull()
    expect(firstMonthCap([], TODAY)).toBe(8)
    const cap = (most: number | null, ...below: (number | null)[]) =>
      attemptCap({ ...NO_FLOOR, mostAttempts: most }, ...below)
    expect([cap(null), cap(null, 8), cap(6, 8), cap(10, null)]).toEqual([12, 8, 6, 10])
  })
})

describe('branches that an approach would rather take', () => {
  const prefers = (teacher: Record<string, string>) => {
    const inForce = resolveApproaches(practice, { teacher })
    return preferredStages(practice, inForce)
  }
  it('come in the order of the questions, and only those of the options in force', () => {
    expect(prefers({ A08: 'tuck' })).toContain('FS-10f')
    expect(prefers({ A08: 'by-pose' })).not.toContain('FS-10f')
    expect(prefers({ A12: 'v', A13: 'flat' }).filter((id) => id.startsWith('FS'))).toEqual([
      'FS-03e',
      'FS-10b',
    ])
  })
  it('never brings a stage on to a ladder from which it is hidden', () => {
    for (const preset of practice.presets) {
      const inForce = resolveApproaches(practice, { teacher: preset.choices })
      const hidden = hiddenStages(practice, inForce)
      for (const stage of practice.stages) {
        const decision = decide(practice, stage.family, 's', evidence(placed(stage.id)), NO_LIMITS, TODAY, {
          hidden,
          prefers: preferredStages(practice, inForce),
        })
        const brought = decision.branches.filter((b) => hidden.has(b.stageId)).map((b) => b.stageId)
        expect([preset.id, stage.id, brought]).toEqual([preset.id, stage.id, []])
      }
    }
  })
})
