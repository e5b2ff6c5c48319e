import { did, evidence, saw, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { proposeFade, proposeFades } from './fade'
import { sideBySide, trialsOf } from './trials'
import type { Attempt } from './evidence'

const practice = shippedPractice()

describe('props fade', () => {
  // A strap keeps elbows from splaying; a block is the next smaller aid.
  const [STRAP, BLOCK] = ['SETUP-dolphin-strap', 'SETUP-dolphin-block']
  const tried = (setupId: string, daysAgo: number, part: Partial<Attempt> = {}) =>
    did('FS-05', daysAgo, { setupId, seconds: 12, ...part })
  const ask = (...tries: Attempt[]) => proposeFade(practice, findById(practice.stages, 'FS-05'), STRAP, tries)
  it('one step after two clean days, not after one, and not where a try of the day failed', () => {
    expect(ask(tried(STRAP, 9))).toBeNull()
    expect(ask(tried(STRAP, 9), tried(STRAP, 2))).toMatchObject({ code: 'fade', to: BLOCK })
    expect(ask(tried(STRAP, 9), tried(STRAP, 2), tried(STRAP, 2, { outcome: 'not-yet' }))).toBeNull()
    expect(ask(tried(STRAP, 9), tried(STRAP, 2, { help: 'touched' }))).toBeNull()
    expect(ask(tried(STRAP, 9), tried(STRAP, 5), tried(STRAP, 2, { outcome: 'not-yet' }))).toBeNull()
    expect(ask()).toBeNull()
    // What nobody timed proves no hold (ruling 22).
    expect(ask(tried(STRAP, 9), tried(STRAP, 2, { seconds: null }))).toBeNull()
  })
  it('at the target dose or above: 3 s of 6 is no reason to take a prop away', () => {
    const held = (seconds: number) => [9, 2].map((d) => did('FS-03c', d, { setupId: STRAP, seconds }))
    const at = (seconds: number) =>
      proposeFade(practice, findById(practice.stages, 'FS-03c'), STRAP, held(seconds))
    expect([at(24), at(25)?.code]).toEqual([null, 'fade'])
  })
  it('is silent once somebody works with less already', () => {
    expect(ask(tried(STRAP, 9), tried(STRAP, 5), tried(BLOCK, 2))).toBeNull()
  })
  it('back when the fault it guards against comes twice in one class without it', () => {
    const seen = { outcome: 'not-yet' as const, faults: ['FT-elbow-splay'] }
    expect(ask(tried(BLOCK, 2, seen))).toBeNull()
    expect(ask(tried(BLOCK, 2, seen), tried(BLOCK, 2, seen))).toMatchObject({
      code: 'restore',
      faultId: 'FT-elbow-splay',
    })
    expect(ask(tried(BLOCK, 9, seen), tried(BLOCK, 2, seen))).toBeNull()
  })
  it('never jumps to another stage’s setup', () => {
    const rested = (stage: string, ...setups: string[]) =>
      setups.flatMap((setupId) => {
        const own = findById(practice.stages, stage)
        return (
          proposeFade(practice, own, setupId, [did(stage, 9, { setupId }), did(stage, 2, { setupId })]) ?? []
        )
      })
    for (const stage of ['SH-02', 'SH-03', 'FS-08a', 'HD-06', 'HS-03'])
      expect([stage, rested(stage, ...findById(practice.stages, stage).setups)]).toEqual([stage, []])
    for (const stage of practice.stages)
      for (const fade of rested(stage.id, ...stage.setups)) {
        const after = practice.stages.filter((s) => stage.fadeTo.some((name) => s.id.startsWith(name)))
        const allowed = [stage, ...after].flatMap((s) => s.setups)
        expect([stage.id, fade.code === 'fade' && allowed.includes(fade.to)]).toEqual([stage.id, true])
      }
  })
  it('not while elbows still drift, after a time away, on the way back, or where props are kept', () => {
    const clean = [tried(STRAP, 12), tried(STRAP, 9)]
    const fades = (e: Parameters<typeof evidence>, held = {}) =>
      proposeFades(practice, evidence(...e), TODAY, held)
    expect(fades(clean)).toHaveLength(1)
    expect(fades([...clean, saw('CK-elbow-drift', 3)])).toEqual([])
    expect(fades([...clean, saw('CK-elbow-drift', 1)])).toHaveLength(1)
    expect(fades([tried(STRAP, 35), tried(STRAP, 32)])).toEqual([])
    expect(fades(clean, { keep: true })).toEqual([])
    expect(fades(clean, { backFrom: 'FS-05' })).toEqual([])
  })
  it('over a history: one proposal a stage, and what should come back before what may go', () => {
    const clean = [tried(STRAP, 12), tried(STRAP, 9)]
    expect(proposeFades(practice, evidence(...clean), TODAY)).toMatchObject([
      { code: 'fade', setupId: STRAP },
    ])
    const failed = [1, 1].map((d) => tried(BLOCK, d, { outcome: 'not-yet', faults: ['FT-elbow-splay'] }))
    expect(proposeFades(practice, evidence(...clean, ...failed), TODAY)).toMatchObject([{ code: 'restore' }])
    expect(proposeFades(practice, evidence(tried(STRAP, 60), tried(STRAP, 50)), TODAY)).toEqual([])
  })
  it('side by side: by hand three pairs of +4, +5, +6 are sure in six of eight flips', () => {
    const pairs = [4, 5, 6].map((d) => ({ with: 20, without: 20 + d }))
    expect(sideBySide(pairs)).toEqual({ difference: 5, sure: 6 / 8, pairs: 3 })
    expect(sideBySide([])).toMatchObject({ sure: 0, pairs: 0 })
  })
  it('finds a trial in timed tries taken in turns on one day, from three pairs on', () => {
    const turn = (setupId: string, seconds: number) => tried(setupId, 1, { seconds })
    const six = [
      turn(STRAP, 20),
      turn(BLOCK, 16),
      turn(STRAP, 22),
      turn(BLOCK, 17),
      turn(STRAP, 21),
      turn(BLOCK, 15),
    ]
    expect(trialsOf(practice, evidence(...six))).toMatchObject([
      { with: STRAP, without: BLOCK, pairs: 3, difference: -5, day: addDays(TODAY, -1) },
    ])
    expect(trialsOf(practice, evidence(...six.slice(0, 5)))).toEqual([])
  })
})
