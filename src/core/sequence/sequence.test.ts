import fc from 'fast-check'
import { limited } from '@/testing/briefs'
import { must } from '@/testing/bodies'
import { changeOn } from '../classes/change'
import { callsFor } from '../practice/ask'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { isOpenTo } from '../readiness/may'
import type { Capability } from '../readiness/capabilities'
import { withinOf } from '../readiness/within'
import { NO_LIMITS, NOT_ASKED, type Caps } from '../screening/caps'
import { clash, composeSequence, othersFor, type SequenceAsked } from './compose'
import { editSequence } from './edit'
import type { ForWhom } from './may'
import { heldToday } from './today'
import { secondsOf, sequenceSchema, type Sequence } from './sequence'

const practice = shippedPractice()
const CONDITIONS = [...new Set(practice.cautions.flatMap((c) => c.conditions))]
const behind = (stageId: string): ReadonlySet<string> => {
  const { family } = findById(practice.stages, stageId)
  const ladder = practice.stages.filter((s) => s.family === family)
  return new Set(ladder.slice(0, ladder.findIndex((s) => s.id === stageId) + 1).map((s) => s.id))
}
const someone = (part: {
  at?: string
  lacks?: ForWhom['lacks']
  limits?: Caps
  breathS?: number
}): ForWhom => ({
  within: withinOf(practice, behind(part.at ?? 'FS-04'), part.limits ?? NO_LIMITS, []),
  lacks: part.lacks ?? {},
  breathS: part.breathS ?? 5,
})
const asked = (people: ForWhom[], part: Partial<SequenceAsked> = {}): SequenceAsked => ({
  ...{ people, minutes: 14, towards: findById(practice.stages, 'FS-05'), moves: 'CK-dolphin-hold' },
  ...{ has: () => true },
  ...part,
})
const drillsIn = ({ items }: Sequence) =>
  items.flatMap((i) => practice.drills.find((d) => d.id === i.id) ?? [])

describe('a strength sequence', () => {
  it('stands in the order of its parts, hardest first, for what is short', () => {
    const made = must(composeSequence(practice, asked([someone({ lacks: { SP: 1 } })])))
    const order = made.items.map((i) => i.part)
    expect(order[0]).toBe('warm')
    expect(order.at(-1)).toBe('rest')
    const at = (part: string) => order.indexOf(part as (typeof order)[number])
    expect([at('show'), at('strength'), at('carry'), at('check'), at('counter')]).toEqual(
      [at('show'), at('strength'), at('carry'), at('check'), at('counter')].toSorted((a, b) => a - b),
    )
    expect(at('show')).toBeGreaterThan(0)
    for (const { id } of made.items.filter((i) => i.part === 'strength').slice(0, 1))
      expect(findById(practice.drills, id).for.SP).toBeGreaterThanOrEqual(2)
    expect(
      findById(
        made.items.map((i) => ({ ...i })),
        'CK-dolphin-hold',
      ).part,
    ).toBe('check')
  })

  it('for a group takes what is short in most of them, in the smaller dose and with pieces for all', () => {
    const push = { lacks: { SP: 1 } }
    const hollow = { lacks: { HB: 1 } }
    const first = (people: ForWhom[]) =>
      must(composeSequence(practice, asked(people))).items.find((i) => i.part === 'strength')?.id ?? ''
    const mostly = first([someone(hollow), someone(hollow), someone(push)])
    expect(findById(practice.drills, mostly).for.HB).toBeGreaterThanOrEqual(2)
    const bare = must(composeSequence(practice, asked([someone(push)], { has: () => false })))
    for (const drill of drillsIn(bare)) expect(drill.props).toEqual([])
  })

  it('is refused where nothing that strengthens is open to everybody', () => {
    const closed: ForWhom = {
      ...someone({}),
      within: {
        ...someone({}).within,
        most: Object.fromEntries(Object.keys(someone({}).within.most).map((t) => [t, -1])) as never,
      },
    }
    expect(composeSequence(practice, asked([closed]))).toEqual({
      ok: false,
      refusal: { code: 'nothing-open' },
    })
  })

  it('offers in the place of one only what is open, alike and not in it already', () => {
    const who = asked([someone({ lacks: { SP: 1 }, limits: limited('WRI-stiff') })])
    const made = must(composeSequence(practice, who))
    made.items.forEach((item, at) => {
      const others = othersFor(practice, who, made, at)
      if (item.dose === null) expect(others).toEqual([])
      for (const id of others) {
        expect(made.items.some((i) => i.id === id)).toBe(false)
        for (const { within } of who.people)
          expect(isOpenTo(within, findById(practice.drills, id).load)).toBe(true)
      }
    })
  })

  it('is lowered, or left out, by a limit that came after it was kept', () => {
    const fresh = asked([someone({ lacks: { SP: 1 } }), someone({ lacks: { SP: 1 } })])
    const made = must(composeSequence(practice, fresh))
    expect(made.items.some((i) => i.part === 'check')).toBe(true)
    for (const item of made.items)
      expect(heldToday(practice, fresh, item)).toEqual({ item, shutTo: [], changes: [] })
    let [lowered, shut] = [0, 0]
    for (const conditions of CONDITIONS.map((c) => [c])) {
      const limits = limited(...conditions)
      const today = asked([someone({}), someone({ limits })])
      made.items.forEach((kept, at) => {
        const { item, shutTo, changes } = heldToday(practice, today, kept)
        const drill = practice.drills.find((d) => d.id === kept.id)
        const change = drill && changeOn(drill, limits)
        if (drill && !isOpenTo(limits, drill.load)) expect(shutTo).toEqual([1])
        // What warms by the clock has no dose to lower: under a limit it is closed here.
        if (change && kept.dose === null) expect(shutTo).toEqual([1])
        if (change) expect(changes.map((c) => c.at)).toEqual([1])
        if (shutTo.length > 0) shut += 1
        if (!change || !kept.dose || !item.dose) return
        expect(item.dose.holdS ?? 0).toBeLessThanOrEqual(change.mostSeconds ?? Infinity)
        for (const part of ['sets', 'reps', 'holdS'] as const)
          expect(item.dose[part] ?? 0).toBeLessThanOrEqual(kept.dose[part] ?? 0)
        if (item.seconds < kept.seconds) lowered += 1
        const five = editSequence(practice, today, made, { kind: 'sets', at, sets: 5 })
        expect(five).toEqual({ ok: false, refusal: { code: 'more-than-open' } })
      })
      // No check ends it where a limit acts on a drill that is named for it.
      const check = made.items.find((i) => i.part === 'check')!
      const named = practice.capabilities.filter((c) => c.checks.includes(check.id)).flatMap((c) => c.drills)
      const acts = named.some((id) => {
        const { load } = findById(practice.drills, id)
        return !isOpenTo(limits, load) || changeOn({ load }, limits) !== null
      })
      if (acts) expect(heldToday(practice, today, check).shutTo).toEqual([1])
      const again = composeSequence(practice, today)
      if (again.ok && acts) expect(again.value.items.some((i) => i.part === 'check')).toBe(false)
    }
    expect([lowered > 0, shut > 0]).toEqual([true, true])
  })

  it('keeps to its rules for anybody, in any time', () => {
    const stages = practice.stages.filter((s) => s.family !== 'AD').map((s) => s.id)
    const capability = fc.constantFrom<Capability>('SP', 'SR', 'SF', 'HB', 'CC', 'OB', 'WS', 'UB', 'HH', 'BT')
    const anyone = fc.record({
      at: fc.constantFrom(...stages),
      lacks: fc.dictionary(capability, fc.double({ min: 0.1, max: 1, noNaN: true }), { maxKeys: 4 }),
      limits: fc.oneof(
        fc.constant(NO_LIMITS),
        fc.constant(NOT_ASKED),
        fc.subarray(CONDITIONS, { maxLength: 3 }).map((c) => limited(...c)),
      ),
      breathS: fc.constantFrom(3, 5, 8),
    })
    let made = 0
    fc.assert(
      fc.property(
        fc.array(anyone, { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 8, max: 20 }),
        fc.option(fc.constantFrom(...stages)),
        (all, minutes, towards) => {
          const people = all.map((p) => someone(p as Parameters<typeof someone>[0]))
          const stage = towards === null ? null : findById(practice.stages, towards)
          const who = asked(people, { minutes, towards: stage })
          const found = composeSequence(practice, who)
          if (!found.ok) return
          made += 1
          const sequence = found.value
          expect(sequenceSchema.parse(sequence)).toEqual(sequence)
          expect(composeSequence(practice, who)).toEqual(found)
          const ids = sequence.items.map((i) => i.id)
          expect(new Set(ids).size).toBe(ids.length)
          const drills = drillsIn(sequence)
          const worked = sequence.items.filter((i) => i.dose !== null)
          for (const drill of drills) {
            expect([drill.id, (drill.load.FR ?? 0) > 0]).toEqual([drill.id, false])
            for (const { within } of people)
              expect([drill.id, isOpenTo(within, drill.load)]).toEqual([drill.id, true])
          }
          worked.forEach((item, i) => {
            const [a, b] = [worked[i - 1], item].map((x) => practice.drills.find((d) => d.id === x?.id))
            if (b) expect([a?.id, b.id, clash(a, b)]).toEqual([a?.id, b.id, false])
          })
          // What is worked at is unloaded, wherever its counterpose is open to everybody.
          for (const cp of practice.counterposes.filter((c) => c.id !== 'CP-savasana')) {
            const owed = worked.some((i) => callsFor(findById(practice.drills, i.id), cp))
            const loads = [cp, ...practice.drills.filter((d) => cp.drills.includes(d.id))].map((x) => x.load)
            const shut = people.some(({ within }) => loads.some((load) => !isOpenTo(within, load)))
            if (shut) expect([cp.id, ids.includes(cp.id)]).toEqual([cp.id, false])
            const late = people.some(({ within }) =>
              within.caps.some((c) => c.change?.notBefore !== undefined),
            )
            if (owed && !shut && !late) expect([cp.id, ids.includes(cp.id)]).toEqual([cp.id, true])
          }
          const shares = (parts: readonly string[]) =>
            secondsOf(sequence.items.filter((i) => parts.includes(i.part))) / (minutes * 60)
          expect(shares(['strength', 'carry'])).toBeLessThanOrEqual(0.75)
          expect(secondsOf(sequence.items) / 60).toBeLessThanOrEqual(minutes * 1.25 + 3)
        },
      ),
      { numRuns: 150 },
    )
    expect(made).toBeGreaterThan(60)
  })
})
