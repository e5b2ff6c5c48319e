import fc from 'fast-check'
import { did, evidence, saidTonight, saw, TODAY, within } from '@/testing/evidence'
import { closedUntilLate } from '../classes/change'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { capsFrom, NO_LIMITS, type Caps } from '../screening/caps'
import { type CheckIn } from '../screening/tonight'
import { helpWith } from './fault-help'
import type { Attempt, Evidence } from './evidence'
import { ladderOf } from './ladder'
import { likelyFaults } from './likely-faults'

const practice = shippedPractice()
const limitsOf = (condition: string) =>
  capsFrom(practice, { set: new Set([condition]), unknown: [] }, [], TODAY)

describe('help with a fault', () => {
  const help = (e: Evidence, checkIn: CheckIn | null = null) =>
    helpWith(practice, 'FT-elbow-splay', {
      evidence: e,
      caps: NO_LIMITS,
      checkIn,
      asked: ladderOf(practice, 'FS').gatesBeneath('FS-06'),
      asOf: TODAY,
      within: within(NO_LIMITS),
      stageId: 'FS-05',
    })
  const nobody = {
    evidence: evidence(),
    caps: NO_LIMITS,
    checkIn: null,
    asked: [],
    asOf: TODAY,
    within: within(NO_LIMITS),
    stageId: null,
  }
  it('two people with one fault and different evidence get different first causes, with the evidence', () => {
    const stiff = help(
      evidence(saw('CK-dolphin-hold', 60), saw('CK-forearm-overhead', { left: 4, right: 3 })),
    )
    const weak = help(evidence(saw('CK-dolphin-hold', 12), saw('CK-forearm-overhead', { left: 1, right: 0 })))
    expect([stiff.causes[0]?.cause, weak.causes[0]?.cause]).toEqual(['mobility', 'strength'])
    expect(stiff.causes[0]?.because[0]).toMatchObject({ checkId: 'CK-forearm-overhead', value: 4 })
  })
  it('a check speaks only when it is short of what the next step asks, and the furthest comes first', () => {
    // FS-06 and what lies beneath it ask for a dolphin hold of 30 s.
    expect(help(evidence(saw('CK-dolphin-hold', 30))).causes[0]?.because).toEqual([])
    expect(help(evidence(saw('CK-dolphin-hold', 15))).causes[0]).toMatchObject({
      cause: 'strength',
      because: [{ checkId: 'CK-dolphin-hold', value: 15, short: 0.5 }],
    })
    // Where the next step asks nothing of a check, the least that any stage asks: 20 s.
    const least = helpWith(practice, 'FT-elbow-splay', {
      ...nobody,
      evidence: evidence(saw('CK-dolphin-hold', 25)),
    })
    expect(least.causes[0]?.because).toEqual([])
    const both = help(evidence(saw('CK-dolphin-hold', 24), saw('CK-dolphin-rock', 1)))
    expect(both.causes[0]?.because.map((b) => b.code === 'check' && b.checkId)).toEqual([
      'CK-dolphin-rock',
      'CK-dolphin-hold',
    ])
    // What the fault's own drills do not train says nothing of it.
    expect(help(evidence(saw('CK-forward-fold', 8))).causes.every((c) => c.because.length === 0)).toBe(true)
    expect(help(evidence(saw('CK-dolphin-hold', 5, 50))).causes[0]?.because).toEqual([])
  })
  it('spent arms tonight come before what the practice names first', () => {
    const said = saidTonight({ energy: 5, arms: 7 })
    expect(help(evidence(), said).causes[0]?.cause).toBe('fatigue')
  })
  it('without evidence says that it is not known and what to measure first, and never gives a drill that limits close', () => {
    expect(help(evidence())).toMatchObject({ known: false })
    expect(help(evidence()).causes.map((c) => c.cause)).toEqual(['setup', 'fatigue', 'mobility', 'strength'])
    // Fear is never put first, nor read from tonight's private words (ruling 10).
    for (const f of practice.faults.filter((x) => x.causes.some((c) => c !== 'fear')))
      expect(helpWith(practice, f.id, nobody).causes[0]?.cause).not.toBe('fear')
    fc.assert(
      fc.property(
        fc.constantFrom(...practice.faults),
        fc.constantFrom(...practice.cautions.flatMap((c) => c.conditions)),
        (f, condition) => {
          const caps = limitsOf(condition)
          const { drillId } = helpWith(practice, f.id, { ...nobody, caps, within: within(caps) })
          if (drillId === null) return
          const { load } = findById(practice.drills, drillId)
          for (const c of caps.caps.filter((x) => x.action === 'stop' || x.action === 'avoid'))
            expect((load[c.tag] ?? 0) < c.level).toBe(true)
        },
      ),
    )
  })
  it('answers on the floor with nothing that is open in the last third of the class only', () => {
    const ate = { ...NO_LIMITS, caps: limitsOf('FOOD-2').caps }
    const drillsWith = (caps: Caps): string[] =>
      practice.faults.flatMap(
        (f) => helpWith(practice, f.id, { ...nobody, caps, within: within(caps) }).drillId ?? [],
      )
    const isLate = (id: string): boolean => {
      const { HBH = 0, AC = 0 } = findById(practice.drills, id).load
      return HBH >= 3 || AC >= 2
    }
    expect(drillsWith(ate).some(isLate)).toBe(true)
    expect(drillsWith(closedUntilLate(ate)).filter(isLate)).toEqual([])
    expect(drillsWith(closedUntilLate(ate)).length).toBeGreaterThan(20)
  })
})

describe('help follows the cause and the limbs', () => {
  const at = (faultId: string, stageId: string, ...facts: Parameters<typeof evidence>) =>
    helpWith(practice, faultId, {
      ...{ evidence: evidence(...facts), caps: NO_LIMITS, checkIn: null, asOf: TODAY },
      ...{ asked: ladderOf(practice, 'FS').gatesBeneath('FS-09'), within: within(NO_LIMITS), stageId },
    })
  it('stiff arms and weak arms that let the head drop get different drills', () => {
    const stiff = at(
      'FT-head-drop',
      'FS-05',
      saw('CK-dolphin-hold', 70),
      saw('CK-backs-reach', { left: 6, right: 6 }),
      saw('CK-forearm-overhead', { left: 5, right: 5 }),
    )
    const weak = at(
      'FT-head-drop',
      'FS-05',
      saw('CK-dolphin-hold', 10),
      saw('CK-forearm-overhead', { left: 0, right: 0 }),
    )
    expect([stiff.causes[0]?.cause, weak.causes[0]?.cause]).toEqual(['mobility', 'strength'])
    expect(stiff.drillId).not.toBe(weak.drillId)
    expect(findById(practice.drills, stiff.drillId ?? '').for.SF ?? 0).toBeGreaterThanOrEqual(2)
  })
  it('names no setup for other limbs: a hanging arch on the forearms is not mended on the hands', () => {
    for (const fault of practice.faults)
      for (const stage of practice.stages.filter((s) => s.faults.includes(fault.id))) {
        const { setupId } = at(fault.id, stage.id)
        if (setupId === null) continue
        const users = practice.stages.filter((s) => s.setups.includes(setupId))
        if (users.length === 0) continue
        const limbs = (s: (typeof users)[number]) => [(s.load.WB ?? 0) > 0, (s.load.FB ?? 0) > 0]
        expect([
          fault.id,
          stage.id,
          setupId,
          users.some((s) => limbs(s).join() === limbs(stage).join()),
        ]).toEqual([fault.id, stage.id, setupId, true])
      }
    expect(at('FT-low-back-arch', 'FS-10a').setupId).toBe('SETUP-wall-touch-forearm')
  })
  it('a check that is passed speaks against what it would show', () => {
    const strong = at('FT-head-drop', 'FS-05', saw('CK-dolphin-hold', 90))
    expect(strong.known).toBe(false)
    expect(strong.causes.at(-1)?.cause).toBe('strength')
  })
})

describe('chips for a person', () => {
  it('come by the days on which a fault was seen in six weeks, else as the practice orders them', () => {
    const faults = ['FT-a', 'FT-b', 'FT-c']
    const seen = (fault: string, daysAgo: number) => did('FS-05', daysAgo, { faults: [fault] })
    const order = (...facts: Attempt[]) => likelyFaults(faults, evidence(...facts), TODAY)
    expect(order()).toEqual(faults)
    expect(order(seen('FT-c', 1), seen('FT-c', 2), seen('FT-b', 1), seen('FT-b', 1))).toEqual([
      'FT-c',
      'FT-b',
      'FT-a',
    ])
    expect(order(seen('FT-c', 50))).toEqual(faults)
    expect(order(seen('FT-elsewhere', 1))).toEqual(faults)
  })
})
