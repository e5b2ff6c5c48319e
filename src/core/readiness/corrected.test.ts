import { did, evidence, placed, ready, saw, TODAY } from '@/testing/evidence'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { FAMILIES, type Family } from '../practice/schema'
import { NO_LIMITS, NOT_ASKED, type Caps } from '../screening/caps'
import { decide, type Decision, openStages } from './decide'
import type { Attempt, Observation, Placement } from './evidence'
import { evaluateGate } from './gate'
import { answerTo, type OfferTap } from './offers'

/** What once was judged wrongly, each rule with histories worked by hand from the practice and its rulings. */

type Fact = Observation | Attempt | Placement
const practice = shippedPractice()
const days = (stage: string, ...ago: number[]): Attempt[] => ago.map((d) => did(stage, d))
const as = (family: Family, facts: readonly Fact[], limits: Caps = NO_LIMITS): Decision =>
  decide(practice, family, 's', evidence(...facts), limits, TODAY)
const branches = (decision: Decision): string[] => decision.branches.map((b) => b.stageId)
const outcomeAt = (decision: Decision, stage: string) =>
  decision.branches.find((b) => b.stageId === stage)?.outcome
const gatesOf = (stage: string): string[] => findById(practice.stages, stage).gates.map((g) => g.check)

describe('credit is one (ruling 18)', () => {
  it.each<[Family, string, Fact[]]>([
    ['HD', 'HD-03', [did('HD-01'), did('FS-01')]],
    ['HD', 'HD-04', [did('HD-03'), did('FS-03d')]],
    ['CR', 'CR-01', [did('HS-01')]],
    ['CR', 'CR-11', [did('PU-06'), did('HS-02')]],
    ['HD', 'HD-13a', [did('FS-05')]],
  ])('in %s the next may be %s by what another family showed', (family, stage, facts) =>
    expect(branches(as(family, facts))).toContain(stage),
  )
  it('every stage is somebody’s next: whoever holds what comes before may be judged for it', () => {
    for (const stage of practice.stages) {
      const names = [...stage.after.all, ...stage.after.some.flatMap((g) => g.of)]
      const before = practice.stages.filter((s) => names.some((n) => s.id.startsWith(n)))
      const held = before.flatMap((s) => days(s.id, 1, 3, 5))
      const family = stage.family
      const open = openStages(practice, family, evidence(...held), NO_LIMITS, TODAY)
      const next = branches(as(family, held))
      expect([stage.id, next.includes(stage.id) || open.has(stage.id)]).toEqual([stage.id, true])
    }
  })
})

describe('what a stage comes after', () => {
  const held = (...stages: string[]) => stages.flatMap((s) => days(s, 1, 3, 5))
  it('any two of five open the free seconds at the wall; one does not', () => {
    expect(branches(as('HS', held('HS-11', 'HS-12')))).toContain('HS-14')
    expect(branches(as('HS', held('HS-11')))).not.toContain('HS-14')
  })
  it('lotus upside down wants a shoulder stand or a headstand that is held', () => {
    expect(branches(as('AD', held('AD-04')))).not.toContain('AD-05')
    expect(branches(as('AD', held('AD-04', 'SH-14')))).toContain('AD-05')
  })
  it('hips close to the wall wants the wall plough or the bridge besides the platform', () => {
    expect(branches(as('SH', held('SH-07')))).not.toContain('SH-09')
    expect(branches(as('SH', held('SH-07', 'SH-06')))).toContain('SH-09')
  })
  it('the kick without aid wants one aided way first', () => {
    expect(branches(as('HS', held('HS-07')))).not.toContain('HS-08d')
    expect(branches(as('HS', held('HS-07', 'HS-09a')))).toContain('HS-08d')
  })
})

describe('one step does not hide the others', () => {
  it('a met offer stays beside a branch that was begun', () => {
    const shown = [
      saw('CK-dolphin-hold', 60, 1),
      saw('CK-dolphin-hold', 60, 4),
      saw('CK-head-clear', 6, 1),
      saw('CK-head-clear', 6, 4),
    ]
    const next = as('FS', [...ready(), did('FS-06'), did('FS-08a'), ...shown])
    expect(outcomeAt(next, 'FS-09')).toBe('offer')
    expect(branches(next)).toContain('FS-08b')
  })
  it('nobody is sent down the ladder for their next step', () => {
    for (const stage of practice.stages.filter((s) => s.family !== 'AD')) {
      const decision = as(stage.family, [...days(stage.id, 1, 3, 5)])
      if (decision.targetId === null) continue
      const target = findById(practice.stages, decision.targetId)
      const needed = target.rung >= stage.rung || /^(HD-0|PU-0|SH-|CR-|FS-0|HS-0)/.test(target.id)
      expect([stage.id, target.id, needed]).toEqual([stage.id, target.id, true])
    }
    expect(branches(as('FS', days('FS-11', 1, 3, 5)))).not.toContain('FS-08a')
    expect(branches(as('HS', days('HS-12', 1, 3, 5)))).not.toContain('HS-08a')
  })
  it('a side branch at the end of the list costs nobody their rungs after a time away', () => {
    const away = [...days('HS-08d', 25, 27, 29), ...days('HS-15', 25, 27, 29)]
    expect(as('HS', away)).toMatchObject({ outcome: 'step-back' })
    expect(as('HS', away).targetId).not.toBe('HS-03')
  })
})

describe('what every load asks for (rule gates)', () => {
  it('stand on each stage that carries the load', () => {
    for (const { id, load, setups } of practice.stages) {
      const asked = gatesOf(id)
      const saved = setups.every((s) => ['SETUP-wrist-wedge', 'SETUP-neutral-grips'].includes(s))
      expect([id, asked.includes('CK-exit-rehearsed')]).toEqual([id, (load.FR ?? 0) >= 2])
      if ((load.HBH ?? 0) >= 2) expect(asked).toContain('CK-hbh-tolerance')
      if ((load.WB ?? 0) >= 3 && !saved) expect(asked).toContain('CK-wrist-extension')
      if ((load.HB ?? 0) >= 1) expect(asked).toContain('CK-neck-range')
      if ((load.NF ?? 0) >= 2) expect(asked).toContain('CK-neck-flexion')
      if (asked.includes('CK-kick-height')) expect(asked).toContain('CK-both-leads')
    }
  })
  const kick: Fact[] = [1, 3, 5].flatMap((d): Fact[] => [
    did('FS-09', d),
    saw('CK-dolphin-hold', 60, d),
    saw('CK-leg-lift-forearm', { left: 33, right: 33 }, d),
    saw('CK-kick-height', { left: 3, right: 3 }, d),
    saw('CK-forearm-overhead', { left: 1, right: 1 }, d),
  ])
  const without = (...checks: string[]): Fact[] => ready().filter((o) => !checks.includes(o.checkId))
  it.each<[string, Fact[]]>([
    ['no way out rehearsed', without('CK-exit-rehearsed')],
    [
      'legs three levels apart',
      [...without('CK-both-leads'), saw('CK-kick-height', { left: 5, right: 2 }, 1)],
    ],
    ['the head low badly borne', [...ready(3), saw('CK-hbh-tolerance', 0, 1)]],
    ['head low badly borne later the same day', [...ready(), saw('CK-hbh-tolerance', 0, 1)]],
  ])('no kick to the wall with %s', (_, facts) => {
    expect(outcomeAt(as('FS', [...kick, ...facts]), 'FS-10a')).not.toBe('offer')
    expect(outcomeAt(as('FS', [...kick, ...ready()]), 'FS-10a')).toBe('offer')
  })
  it('the way out that was rehearsed must be the one the step is left by, and named where the fall is high', () => {
    const kicked = [...kick, ...without('CK-exit-rehearsed')]
    const way = (exitId: string | null, ago = 1) =>
      saw('CK-exit-rehearsed', { left: 1, right: 1 }, ago, { exitId })
    expect(outcomeAt(as('FS', [...kicked, way('EX-step-down')]), 'FS-10a')).toBe('offer')
    expect(outcomeAt(as('FS', [...kicked, way('EX-roll-tuck')]), 'FS-10a')).not.toBe('offer')
    const unnamed = as('FS', [...kicked, way(null)])
    expect(outcomeAt(unnamed, 'FS-10a')).not.toBe('offer')
    const asked = unnamed.missing.find(({ gate }) => gate.check === 'CK-exit-rehearsed')
    expect([asked?.state, asked?.notCounted]).toEqual(['unmet', 'unnamed'])
    // It is no day at all: one that was named before it stands.
    for (const ago of [1, 4])
      expect(outcomeAt(as('FS', [...kicked, way('EX-step-down', ago), way(null)]), 'FS-10a')).toBe('offer')
  })
  it('no full weight on wrists that do not bend, none on a neck that is not free', () => {
    const wrists = [
      did('HS-03'),
      saw('CK-leg-lift-hands', { left: 9, right: 9 }, 1),
      saw('CK-leg-lift-hands', { left: 9, right: 9 }, 3),
    ]
    const stiff = [...without('CK-wrist-extension'), saw('CK-wrist-extension', { left: 60, right: 90 })]
    expect(outcomeAt(as('HS', [...wrists, ...stiff]), 'HS-07')).not.toBe('offer')
    expect(outcomeAt(as('HS', [...wrists, ...ready()]), 'HS-07')).toBe('offer')
    const neck = [did('SH-04'), saw('CK-reverse-curl', 8), saw('CK-neck-rotation', { left: 7, right: 7 })]
    const sore = [...without('CK-neck-flexion'), saw('CK-neck-flexion', 3)]
    expect(outcomeAt(as('SH', [...neck, ...sore]), 'SH-05')).not.toBe('offer')
    expect(outcomeAt(as('SH', [...neck, ...ready()]), 'SH-05')).toBe('offer')
    expect(outcomeAt(as('SH', [...neck, ...ready()], NOT_ASKED), 'SH-05')).not.toBe('offer')
  })
  it('sides are even within two fingers, however far they turn', () => {
    const gate = findById(practice.stages, 'SH-05').gates.find((g) => g.check === 'CK-neck-rotation')!
    const check = findById(practice.checks, 'CK-neck-rotation')
    const at = (left: number, right: number) =>
      evaluateGate(gate, check, { load: {} }, [saw('CK-neck-rotation', { left, right })], TODAY).state
    expect([at(7, 7), at(7, 10), at(1, 5)]).toEqual(['met', 'met', 'unmet'])
  })
})

describe('how grave a fault is depends on where it was seen (ruling 20)', () => {
  const once = (stage: string, faultId: string, part: Partial<Attempt> = {}): Decision => {
    const family = findById(practice.stages, stage).family
    return as(family, [
      ...days(stage, 4, 6, 8),
      did(stage, 1, { outcome: 'not-yet', faults: [faultId], endedBy: 'self', ...part }),
    ])
  }
  it('a dip of the head in a hold, an arch and an overkick at the wall cost no rung', () => {
    expect(once('FS-05', 'FT-head-drop').outcome).not.toBe('step-back')
    expect(once('FS-10a', 'FT-low-back-arch').outcome).not.toBe('step-back')
    expect(once('FS-10a', 'FT-overkick').outcome).not.toBe('step-back')
  })
  it('in a hop, in the room, or with pain they do', () => {
    expect(once('FS-09', 'FT-head-drop', { level: 'hop' })).toMatchObject({
      outcome: 'step-back',
      targetId: 'FS-06',
    })
    expect(once('FS-15', 'FT-overkick').outcome).toBe('step-back')
    expect(once('FS-10a', 'FT-low-back-arch', { faults: ['FT-low-back-arch', 'FT-stop-sign'] }).outcome).toBe(
      'step-back',
    )
  })
  it('a strap or stack that was put up badly is nobody’s fault but the setup’s (ruling 7)', () => {
    for (const id of [
      'FT-strap-misplaced',
      'FT-stack-misplaced',
      'FT-hands-too-close',
      'FT-block-width',
      'FT-clothing-snag',
    ])
      expect(findById(practice.faults, id).own).toBe(false)
  })
  it('who drops out for a stop sign keeps the rung', () => {
    const out = {
      exitControlled: false,
      outcome: 'stopped' as const,
      endedBy: 'self' as const,
      faults: ['FT-stop-sign'],
    }
    expect(as('FS', [did('FS-05', 4), did('FS-05', 1, out)]).outcome).not.toBe('step-back')
  })
})

describe('clean is clean', () => {
  it('two seconds of a ten-second stage hold nothing, nor does work with an unsafe fault', () => {
    const held = (part: Partial<Attempt>) =>
      as('FS', [did('FS-10a', 1, part), did('FS-10a', 3, part), did('FS-10a', 5, part)]).standing?.stageId
    expect(held({ seconds: 2 })).toBeUndefined()
    expect(held({ seconds: 20 })).toBe('FS-10a')
    expect(held({ faults: ['FT-elbow-bend'] })).toBeUndefined()
  })
  it('weight on the bent neck is proven on more than one day, however low the fall', () => {
    expect(as('SH', days('SH-16', 1)).standing?.stageId).not.toBe('SH-16')
    expect(as('SH', days('SH-16', 1, 3)).standing?.stageId).toBe('SH-16')
  })
})

it('going back names the checks to show', () => {
  const away = as('FS', [did('FS-06', 61)])
  expect(away.outcome).toBe('step-back')
  expect(away.missing.map((m) => m.gate.check)).toEqual(expect.arrayContaining(['CK-leg-lift-forearm']))
})

it('what is asked on the night never holds the standing back, and is said', () => {
  const next = as('SH', [
    ...ready(),
    did('SH-07'),
    did('SH-06'),
    saw('CK-reverse-curl', 8),
    saw('CK-shoulder-extension', 3),
  ])
  expect(outcomeAt(next, 'SH-09')).toBe('offer')
  const codes = next.targetId === 'SH-09' ? next.reasons.map((r) => r.code) : ['tonight']
  expect(codes).toContain('tonight')
})

it('a look at an offer lasts as long as what was looked at; holding back lasts until it is taken back', () => {
  const tap = (answer: OfferTap['answer']): OfferTap => ({
    studentId: 's',
    stageId: 'FS-10a',
    answer,
    reason: null,
    by: 'M',
    atMs: 0,
  })
  const day = 86_400_000
  expect(answerTo([tap('accept')], 's', 'FS-10a', 41 * day)?.answer).toBe('accept')
  expect(answerTo([tap('accept')], 's', 'FS-10a', 300 * day)).toBeNull()
  expect(answerTo([tap('hold-back')], 's', 'FS-10a', 300 * day)?.answer).toBe('hold-back')
})

it('a placing opens neither high falls nor the head in any family', () => {
  for (const family of FAMILIES)
    for (const stage of practice.stages.filter((s) => s.family === family)) {
      const decision = as(family, [...ready(), placed(stage.id)])
      for (const branch of decision.branches.filter((b) => b.outcome === 'offer')) {
        const { FR = 0, HB = 0 } = findById(practice.stages, branch.stageId).load
        expect([branch.stageId, FR >= 3 || HB >= 3]).toEqual([branch.stageId, false])
      }
    }
})
