import fc from 'fast-check'
import type { Work } from '../classes/plan'
import { afterEvent, blockClock, foldRun, type ClassEvent, type Run } from '../classes/run'
import { writeHlc } from '../facts/hlc'
import { beforeTurn, rungIn, type Seen } from './climb'
import { momentOf } from './class-run'
import { tapOf } from './outcome'

const PATH = ['FS-02', 'FS-04', 'FS-05', 'FS-06']
const [TOP, KINDS] = [2, ['clean', 'not-yet', 'fell-out'] as const]
const seen = (stageId: string, what: (typeof KINDS)[number]): Seen => ({ stageId, ...tapOf(what, []) })

describe('whoever climbs', () => {
  it.each<[string, number, Seen[], string]>([
    ['begins at the foot', 0, [], 'FS-02'],
    ['goes on as planned with nothing said', 1, [], 'FS-04'],
    ['and no further than what they work at', 5, [], 'FS-05'],
    ['goes on after a clean one, sooner than planned', 0, [seen('FS-04', 'clean')], 'FS-05'],
    ['and beyond what they work at once that is clean', 3, [seen('FS-05', 'clean')], 'FS-06'],
    ['stays at the end of the way', 4, [seen('FS-06', 'clean')], 'FS-06'],
    ['stays for a turn where it was not yet', 2, [seen('FS-02', 'not-yet')], 'FS-02'],
    ['goes one down after two of them', 3, [seen('FS-05', 'not-yet'), seen('FS-05', 'not-yet')], 'FS-04'],
    ['not for one and one elsewhere', 3, [seen('FS-04', 'not-yet'), seen('FS-05', 'not-yet')], 'FS-05'],
    ['goes one down after a fall', 3, [seen('FS-05', 'fell-out')], 'FS-04'],
    ['never below the foot', 3, [seen('FS-02', 'fell-out')], 'FS-02'],
    ['hears nothing of what is on no way of theirs', 0, [seen('HS-07', 'clean')], 'FS-02'],
  ])('%s', (_, set, tries, at) => {
    expect(PATH[rungIn(PATH, TOP, set, tries)]).toBe(at)
  })
  it('is never above what they work at but by a clean one of it, whatever is tapped', () => {
    const tap = fc.record({ stage: fc.constantFrom(...PATH), what: fc.constantFrom(...KINDS) })
    fc.assert(
      fc.property(fc.array(tap, { maxLength: 8 }), fc.nat(6), (taps, set) => {
        const tries = taps.map(({ stage, what }) => seen(stage, what))
        const at = rungIn(PATH, TOP, set, tries)
        const last = taps.at(-1)
        expect(at).toBeGreaterThanOrEqual(0)
        if (at > TOP) expect(last?.what === 'fell-out').toBe(false)
        if (at > TOP) expect(PATH.indexOf(last?.stage ?? '')).toBeGreaterThanOrEqual(TOP)
        if (last && last.what !== 'clean') expect(at).toBeLessThanOrEqual(PATH.indexOf(last.stage))
      }),
    )
  })
})

describe('what was tapped before a turn', () => {
  // Three sets of two waves: half a minute to fetch, then 60 s up and 20 s to change.
  const block: Work = {
    ...{ kind: 'skill', startS: 600, seconds: 510, purpose: 'FS', setupS: 30, sets: 3, waves: 2 },
    ...{ workS: 60, gapS: 20, people: [] },
  }
  // The stamps are the studio's; the clock of the tablet on which Start was tapped runs behind it.
  const [BEGAN_MS, AHEAD_MS] = [1_000_000, 90_000]
  const event = (kind: ClassEvent['event'], atMs: number): ClassEvent => ({
    ...{ id: `${kind} ${atMs}`, day: '2026-03-10', event: kind, atMs, blockIndex: 0 },
    hlc: writeHlc({ ms: atMs + AHEAD_MS, counter: 0 }, 'a'),
  })
  const tap = (atS: number) => ({
    hlc: writeHlc({ ms: BEGAN_MS + AHEAD_MS + atS * 1000, counter: 0 }, 'b'),
    atS,
  })
  const running = foldRun([event('started', BEGAN_MS)])
  const before = (run: Run, index: number, ...atS: number[]): number[] =>
    beforeTurn(run, block, index, atS.map(tap)).map((t) => t.atS)

  it('is what was tapped earlier in the hour, and nothing of the turn itself', () => {
    expect(before(running, 0, -300, 5, 40)).toEqual([-300])
    expect(before(running, 1, -300, 5, 40, 109, 110)).toEqual([-300, 5, 40, 109])
    expect(before(running, 2, 200, 180, 40)).toEqual([40, 180])
  })
  it('by the clock of the block: what stood still moves the turn', () => {
    const paused = [event('paused', BEGAN_MS + 50_000), event('resumed', BEGAN_MS + 100_000)]
    expect(before(foldRun([event('started', BEGAN_MS), ...paused]), 1, 130, 159, 160)).toEqual([130, 159])
    const more = foldRun([event('started', BEGAN_MS), event('more', BEGAN_MS + 50_000)])
    expect(before(more, 1, 130, 169, 170)).toEqual([130, 169])
  })
  it('is all of a block’s first round where it is begun anew', () => {
    const again = afterEvent(running, event('block', BEGAN_MS + 400_000))
    expect(before(again, 0, 40, 399, 400)).toEqual([40, 399])
  })
  it('agrees with the clock on the wall, in whatever order the taps arrive', () => {
    const plan = { blocks: [block] }
    fc.assert(
      fc.property(
        fc.array(fc.nat(509), { maxLength: 8 }),
        fc.array(fc.tuple(fc.nat(500), fc.constantFrom('paused', 'resumed', 'more')), { maxLength: 4 }),
        fc.nat(5),
        (taps, said, index) => {
          const events = said.map(([s, kind]) => event(kind, BEGAN_MS + s * 1000))
          const run = foldRun([event('started', BEGAN_MS), ...events])
          const turnAt = (atS: number): number =>
            momentOf(plan, 0, blockClock(run, BEGAN_MS + atS * 1000).elapsedS).turn?.index ?? -1
          const told = before(run, index, ...taps)
          expect(told).toEqual(taps.filter((s) => turnAt(s) < index).toSorted((a, b) => a - b))
          expect(before(run, index, ...taps.toReversed())).toEqual(told)
        },
      ),
    )
  })
})
