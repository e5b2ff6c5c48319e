import fc from 'fast-check'
import { describeOverrideRefusal, fieldName } from '../words/own-practice'
import { entriesOf } from '../library/entries'
import { indexOf, search } from '../library/search'
import { variantsOf } from '../planning/variants'
import { beginnings, beginWith } from '../approaches/effects'
import { estimateBody } from '../body/estimate'
import { findSetup, solveSetup } from '../setups/catalogue'
import { must } from '../../testing/bodies'
import { findById } from './find'
import { integrityFlaws } from './integrity'
import { shippedPractice } from './library'
import { fieldsOf, OVERRIDABLE, withOverrides, type Override } from './override'
import { runs } from '@/testing/runs'

const practice = shippedPractice()
const body = must(estimateBody({ statureCm: 168 }))
const laid = (...overrides: Override[]) => {
  const made = withOverrides(overrides)
  if (!made.ok) throw new Error(JSON.stringify(made.refusal))
  return made.value
}
const refusedWith = (override: Override) => {
  const made = withOverrides([override])
  return made.ok ? [] : made.refusal
}
const TARGETS = {
  stage: practice.stages.map((s) => s.id),
  drill: practice.drills.map((d) => d.id),
  check: practice.checks.map((c) => c.id),
  fault: practice.faults.map((f) => f.id),
  setup: practice.setups.map((s) => s.id),
}
const LISTS = {
  ...({ stage: 'stages', drill: 'drills', check: 'checks', fault: 'faults', setup: 'setups' } as const),
}

describe('a studio’s own practice', () => {
  it('is what ships where nothing is laid over it', () => {
    expect(JSON.stringify(laid())).toBe(JSON.stringify(practice))
  })
  it('has every change within its range hold together, and changes nothing else', () => {
    const anyChange = fc.constantFrom(...OVERRIDABLE).chain((kind) =>
      fc.constantFrom(...TARGETS[kind]).chain((id) => {
        const fields = fieldsOf(kind, id)
        return fc
          .record(
            Object.fromEntries(
              fields.map((f) => [
                f.key,
                f.kind === 'text'
                  ? fc.constantFrom('Own words', f.practice)
                  : fc.integer({ min: Math.ceil(f.min), max: Math.floor(f.max) }),
              ]),
            ),
            { requiredKeys: [] },
          )
          .map((chosen): Override => ({ kind, id, fields: chosen as Override['fields'] }))
      }),
    )
    fc.assert(
      fc.property(anyChange, (override) => {
        const own = laid(override)
        expect(integrityFlaws(own)).toEqual([])
        const list = LISTS[override.kind]
        for (const [name, entries] of Object.entries(own))
          if (name !== list) expect(entries).toEqual(practice[name as keyof typeof practice])
        for (const entry of own[list])
          if (entry.id !== override.id)
            expect(entry).toEqual(findById(practice[list] as { id: string }[], entry.id))
      }),
      { numRuns: runs(15) },
    )
  })
  it('moves a threshold, a dose and a name, and strain with the dose', () => {
    const own = laid({
      ...{ kind: 'stage', id: 'FS-07' },
      fields: { 'gate.CK-dolphin-hold': 40, name: '  L at the wall ', 'dose.seconds': 25 },
    })
    const [was, now] = [practice, own].map((p) => findById(p.stages, 'FS-07'))
    expect(now?.name).toBe('L at the wall')
    expect(now?.gates.find((g) => g.check === 'CK-dolphin-hold')?.value).toBe(40)
    // Three seconds are little strain, twenty-five are more.
    expect([was?.load.ST, now?.load.ST]).toEqual([1, 2])
  })
  it('never loosens a threshold that has no range, and never touches a load, a limit or a ladder', () => {
    const field = fieldsOf('stage', 'FS-07').find((f) => f.key === 'gate.CK-dolphin-hold')
    expect(field).toMatchObject({ practice: 30, min: 30 })
    expect(refusedWith({ kind: 'stage', id: 'FS-07', fields: { 'gate.CK-dolphin-hold': 29 } })).toMatchObject(
      [{ code: 'out-of-range', min: 30 }],
    )
    for (const key of [
      'load',
      'load.FR',
      'after',
      'exits',
      'gates',
      'id',
      '__proto__',
      'constructor.prototype',
    ])
      expect(refusedWith({ kind: 'stage', id: 'FS-07', fields: { [key]: 1 } })).toMatchObject([
        { code: 'unknown' },
      ])
  })
  it('says what is wrong, field by field, in a sentence', () => {
    const wrong = refusedWith({
      kind: 'drill',
      id: 'DR-hollow',
      fields: { name: ' ', do: 'x'.repeat(141), 'dose.seconds': NaN, 'dose.sets': 99 },
    })
    expect(wrong.map((w) => describeOverrideRefusal(practice, w))).toEqual([
      'Name needs a word or two.',
      'Do: 140 characters at most, so that it fits a card.',
      'Seconds: type a number.',
      'Sets: 3 to 6, the range it is kept with.',
    ])
    expect(fieldName(practice, 'gate.CK-dolphin-hold')).toBe('Asks: Dolphin hold, s')
    expect(refusedWith({ kind: 'drill', id: 'DR-moon', fields: { name: 'x' } })).toMatchObject([
      { code: 'unknown' },
    ])
  })
})

describe('a drill of a studio’s own', () => {
  const own = (base: string, fields: Override['fields'] = {}): Override => ({
    ...{ kind: 'drill', id: 'DR-own-1' },
    fields: { base, name: 'Our own', ...fields },
  })

  it('is sound on whatever it is built on, loads as that does, and serves where that serves', () => {
    fc.assert(
      fc.property(fc.constantFrom(...practice.drills), (like) => {
        const made = laid(own(like.id))
        expect(integrityFlaws(made)).toEqual([])
        const { id, name, sanskrit: _s, like: _l, ...rest } = findById(made.drills, 'DR-own-1')
        const { id: _i, name: _n, sanskrit: _t, ...base } = findById(made.drills, like.id)
        expect([id, name, rest]).toEqual(['DR-own-1', 'Our own', base])
        expect(base).toEqual((({ id: _a, name: _b, sanskrit: _c, ...was }) => was)(like))
        for (const list of [made.warmups, made.capabilities, made.faults])
          for (const { drills } of list) expect(drills.includes('DR-own-1')).toBe(drills.includes(like.id))
        expect(variantsOf(made).some((v) => v.id === 'DR-own-1')).toBe(like.theme !== 'lotus')
      }),
      { numRuns: runs(15) },
    )
  })

  it('is held longer at a harder load, within the ranges of what it is built on', () => {
    const long = laid(own('DR-forearm-plank', { 'dose.breaths': 12 }))
    const { load, dose } = findById(long.drills, 'DR-own-1')
    expect([dose.breaths?.value, load.ST]).toEqual([12, 3])
    expect(refusedWith(own('DR-forearm-plank', { 'dose.breaths': 13 })).map((r) => r.code)).toEqual([
      'out-of-range',
    ])
  })

  it('has a name of its own, and is built on what ships', () => {
    const taken = findById(practice.drills, 'DR-hollow').name
    expect(refusedWith(own('DR-forearm-plank', { name: taken.toUpperCase() }))).toMatchObject([
      { code: 'taken' },
    ])
    expect(refusedWith(own('DR-forearm-plank', { name: ' ' })).map((r) => r.code)).toContain('empty')
    expect(refusedWith(own('DR-own-2')).map((r) => r.code)).toEqual(['unknown'])
    const two = withOverrides([own('DR-hollow'), { ...own('DR-hollow'), id: 'DR-own-2' }])
    expect(two.ok ? [] : two.refusal).toMatchObject([{ code: 'taken' }])
  })

  it('that rests is taken by nothing and keeps its name', () => {
    const resting = laid(own('DR-forearm-plank', { retired: 1 }))
    expect(findById(resting.drills, 'DR-own-1')).toMatchObject({ name: 'Our own', for: {} })
    for (const list of [resting.warmups, resting.capabilities])
      for (const { drills } of list) expect(drills).not.toContain('DR-own-1')
  })

  it('another name in another language is found by the search; none is no name', () => {
    const named = laid({ kind: 'stage', id: 'FS-05', fields: { sanskrit: 'Delfin, Bein hoch' } })
    expect(findById(named.stages, 'FS-05').sanskrit).toBe('Delfin, Bein hoch')
    expect(search(indexOf(entriesOf(named)), 'delfin')[0]).toBe('FS-05')
    const bare = laid({ kind: 'stage', id: 'FS-05', fields: { sanskrit: ' ' } })
    expect(findById(bare.stages, 'FS-05').sanskrit).toBeUndefined()
  })
})

describe('a setup in a studio’s own way', () => {
  it('begins where the studio says, within what is usual, and leaves the ways of working theirs', () => {
    for (const setup of practice.setups)
      for (const field of fieldsOf('setup', setup.id)) {
        if (field.kind !== 'number') continue
        const option = field.key.slice('begin.'.length)
        const own = laid({ kind: 'setup', id: setup.id, fields: { [field.key]: field.max } })
        expect(beginWith(beginnings(own, new Map())[setup.id], body)[option]).toBe(field.max)
        expect(solveSetup(setup.id, body, { [option]: field.max }).ok).toBe(true)
        expect(
          refusedWith({ kind: 'setup', id: setup.id, fields: { [field.key]: field.max + 1 } }),
        ).toMatchObject([{ code: expect.stringMatching(/out-of-range/) as string }])
      }
    // What a way of working answers is asked once.
    for (const { set } of practice.ways)
      for (const id of set?.setups ?? [])
        expect(fieldsOf('setup', id).map((f) => f.key)).not.toContain(`begin.${set!.option}`)
  })
  it('offers no one number for what scales with the body', () => {
    let scaled = 0
    for (const { id } of practice.setups)
      for (const option of findSetup(id)?.options ?? [])
        if (typeof option.usual === 'function') {
          scaled += 1
          expect(fieldsOf('setup', id).map((f) => f.key)).not.toContain(`begin.${option.key}`)
        }
    expect(scaled).toBeGreaterThan(0)
  })
})
