import { did, evidence, placed, ready, saw, TODAY } from '@/testing/evidence'
import { shippedPractice } from '../practice/library'
import type { Region } from '../screening/regions'
import { NO_LIMITS, type Caps } from '../screening/caps'
import { decide, type Decision, type Ways } from './decide'
import type { Attempt, Observation, Placement } from './evidence'

/** What sends somebody back, and what ends it, worked by hand. */

const practice = shippedPractice()
type Facts = (Observation | Attempt | Placement)[]
const fs = (facts: Facts, limits: Caps = NO_LIMITS, ways?: Ways): Decision =>
  decide(
    practice,
    'FS',
    's',
    evidence(...ready().filter((o) => o.checkId !== 'CK-both-leads'), ...facts),
    limits,
    TODAY,
    ways,
  )
const legs = (left: number, right: number, daysAgo = 1, part: Partial<Observation> = {}): Observation =>
  saw('CK-leg-lift-forearm', { left, right }, daysAgo, part)
const fault = (stage: string, daysAgo: number, id: string, part: Partial<Attempt> = {}): Attempt =>
  did(stage, daysAgo, { outcome: 'not-yet', endedBy: 'self', faults: [id], ...part })

describe('going back and coming back', () => {
  it('a setback is over after a later clean day at least at the rung below, without the same again', () => {
    const base = [did('FS-05', 9), fault('FS-05', 6, 'FT-elbow-bend')]
    // After a scare two calm visits, not one (class-craft.md 13).
    expect(fs([...base, did('FS-04', 2)]).outcome).toBe('step-back')
    expect(fs([...base, did('FS-04', 2), did('FS-04', 3)]).outcome).not.toBe('step-back')
    expect(fs([...base, did('FS-03c', 2), did('FS-03c', 3)]).outcome).toBe('step-back')
    expect(fs([...base, did('FS-05', 6)]).outcome).toBe('step-back')
    expect(fs([...base, did('FS-05', 2), fault('FS-05', 2, 'FT-elbow-bend')]).outcome).toBe('step-back')
  })
  it('a teacher who places somebody there afterwards has seen past it; an earlier placing has not', () => {
    const seen = [did('FS-05', 9), fault('FS-05', 6, 'FT-elbow-bend')]
    expect(fs([...seen, placed('FS-05', 2)]).outcome).not.toBe('step-back')
    expect(fs([...seen, placed('FS-05', 8)]).outcome).toBe('step-back')
    expect(fs([...seen, placed('FS-02', 2)]).outcome).toBe('step-back')
    const sameDay = fault('FS-05', 6, 'FT-elbow-bend')
    expect(fs([did('FS-05', 9), sameDay, placed('FS-05', 6)]).outcome).not.toBe('step-back')
  })
  it('a day that merely shows less does not end it', () => {
    const base = [did('FS-05', 9), fault('FS-05', 6, 'FT-elbow-bend')]
    expect(fs([...base, fault('FS-05', 1, 'FT-gaze-back')]).outcome).toBe('step-back')
  })
  it('a setback on the step that is tried holds the offer back and leaves the standing', () => {
    const tried = fs([did('FS-05'), legs(7, 7), fault('FS-06', 0, 'FT-elbow-bend')])
    expect(tried).toMatchObject({ outcome: 'once-more', standing: { stageId: 'FS-05' }, wouldChange: null })
    expect(tried.reasons.at(-1)).toMatchObject({ code: 'own-fault-severe', stageId: 'FS-06' })
  })
  it.each([
    'FT-spent-arms',
    'FT-stop-sign',
    'FT-assist-loose',
    'FT-setup-unsafe',
    'FT-head-load-hidden',
    'FT-chair-slip',
    'FT-edge-too-near',
    'FT-fear-freeze',
  ])('%s ends tonight’s work and leaves the standing (rulings 7 and 10)', (id) => {
    expect(fs([did('FS-05', 9), fault('FS-05', 8, id), fault('FS-05', 1, id)]).outcome).not.toBe('step-back')
  })
  it('pain of 3 is kept up with; 4 steps back until a better report, and old pain is no news', () => {
    const said = (value: number, daysAgo: number, region: Region | null = null) =>
      saw('CK-symptoms-after', value, daysAgo, { region })
    expect(fs([did('FS-05'), said(3, 1)]).outcome).toBe('build')
    expect(fs([did('FS-05'), said(4, 2), said(1, 1)]).outcome).toBe('build')
    expect(fs([did('FS-05'), said(9, 15)]).outcome).toBe('build')
    // A place speaks of what loads it: a wrist says nothing of dolphins, a shoulder does, and “nothing hurts” ends both.
    expect(fs([did('FS-05'), said(6, 1, 'wrist')]).outcome).toBe('build')
    expect(fs([did('FS-05'), said(6, 1, 'shoulder')]).outcome).toBe('step-back')
    expect(fs([did('FS-05'), said(6, 2, 'shoulder'), said(1, 1, 'wrist')]).outcome).toBe('step-back')
    expect(fs([did('FS-05'), said(6, 2, 'shoulder'), said(0, 1)]).outcome).toBe('build')
    const hands = decide(practice, 'HS', 's', evidence(did('HS-03'), said(6, 1, 'wrist')), NO_LIMITS, TODAY)
    expect(hands.outcome).toBe('step-back')
  })
  it('after a time away the rungs are shown again from where they were taken back to', () => {
    // Held FS-05, away 30 days, back on FS-04 yesterday: stands at FS-04 and FS-05 is next, with its own checks.
    const back = fs([did('FS-05', 31), did('FS-04', 1)])
    expect(back).toMatchObject({
      outcome: 'build',
      targetId: 'FS-05',
      standing: { stageId: 'FS-04', before: { stageId: 'FS-05', daysAway: 30 } },
    })
    const checked = [saw('CK-dolphin-hold', 40), saw('CK-head-clear', 4)]
    expect(fs([did('FS-05', 31), did('FS-04', 1), ...checked])).toMatchObject({
      outcome: 'offer',
      targetId: 'FS-05',
    })
    expect(fs([did('FS-05', 31), did('FS-04', 1), did('FS-05', 0)]).standing?.stageId).toBe('FS-05')
  })
  it('what ends a time away is practice, not a poor result: an absence cannot be talked short', () => {
    const away = [did('FS-05', 25)]
    expect(fs([...away, saw('CK-dolphin-hold', 5)]).outcome).toBe('step-back')
    expect(fs([...away, saw('CK-dolphin-hold', 60, 10)]).outcome).toBe('build')
  })
  it('every family has its own absence: a season of handstands does not keep the forearm stand warm', () => {
    expect(fs([did('FS-05', 30), did('HS-05a', 1)]).outcome).toBe('step-back')
  })
})
