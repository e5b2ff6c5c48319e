import fc from 'fast-check'
import { anyBrief } from '@/testing/briefs'
import { WORKED } from '@/testing/worked-class'
import { isWork, WAITING } from '../classes/plan'
import { blockClock, foldRun, isPaused, type ClassEvent } from '../classes/run'
import { writeHlc } from '../facts/hlc'
import { planClass } from '../planning/plan-class'
import { shippedPractice } from '../practice/library'
import { giveWords, lateWords } from '../words/late'
import { catchUp, lateBy, runThrough } from './catch-up'
import { runs } from '@/testing/runs'

const practice = shippedPractice()
let n = 0
const event = (what: ClassEvent['event'], atS: number, blockIndex = 0): ClassEvent => ({
  id: `e${(n += 1)}`,
  day: '2026-03-10',
  hlc: writeHlc({ ms: atS * 1000 + n, counter: 0 }, 'd'),
  event: what,
  atMs: atS * 1000 + 1_000_000,
  blockIndex,
})
const at = (s: number): number => s * 1000 + 1_000_000
const elapsed = (events: ClassEvent[], s: number) => blockClock(foldRun(events), at(s))

describe('the clock of a block', () => {
  const begun = event('started', 0)
  it('stands while the class pauses and goes on where it stood', () => {
    const events = [begun, event('paused', 10), event('resumed', 40)]
    expect(elapsed(events.slice(0, 2), 25).elapsedS).toBe(10)
    expect(isPaused(foldRun(events.slice(0, 2)))).toBe(true)
    expect(elapsed(events, 45)).toEqual({ elapsedS: 15, extraS: 0 })
  })
  it('stands for a minute more, twice for two taps, and a pause inside it does not count twice', () => {
    const more = [begun, event('more', 10)]
    expect(elapsed(more, 30)).toEqual({ elapsedS: 10, extraS: 40 })
    expect(elapsed(more, 80)).toEqual({ elapsedS: 20, extraS: 0 })
    expect(elapsed([...more, event('more', 20)], 140).elapsedS).toBe(20)
    expect(elapsed([...more, event('paused', 30), event('resumed', 50)], 60).elapsedS).toBe(20)
  })
  it('a second pause, a minute more in a pause and going on without one change nothing', () => {
    const paused = [begun, event('paused', 10)]
    for (const what of ['paused', 'more'] as const)
      expect(elapsed([...paused, event(what, 20), event('resumed', 40)], 50).elapsedS).toBe(20)
    expect(elapsed([begun, event('resumed', 10)], 50).elapsedS).toBe(50)
  })
  it('the next block begins with a clock of its own', () => {
    const events = [begun, event('paused', 10), event('block', 50, 1)]
    expect(foldRun(events)).toMatchObject({ blockIndex: 1, holds: [], startedMs: at(0) })
    expect(elapsed(events, 57).elapsedS).toBe(7)
  })
  it('never runs back, whatever is tapped in whatever order', () => {
    const taps = fc.array(
      fc.tuple(fc.constantFrom('paused' as const, 'resumed' as const, 'more' as const), fc.nat(600)),
    )
    fc.assert(
      fc.property(taps, (list) => {
        const events = [begun, ...list.map(([what, s]) => event(what, s))]
        let last = 0
        for (let s = 601; s < 900; s += 13) {
          const now = elapsed(events, s).elapsedS
          expect(now).toBeGreaterThanOrEqual(last)
          expect(now).toBeLessThanOrEqual(s)
          last = now
        }
      }),
    )
  })
})

describe('a class that runs late', () => {
  const secondsOf = (plan: { blocks: readonly { kind: string; seconds: number }[] }, kind: string) =>
    plan.blocks.filter((b) => b.kind === kind).reduce((sum, b) => sum + b.seconds, 0)
  it('gives strength first, keeps five minutes of rest, counterposes and everybody’s place, and says what it gives', () => {
    fc.assert(
      fc.property(anyBrief, fc.nat(1800), fc.nat(14), (b, lateS, index) => {
        const made = planClass(practice, b, 60)
        if (!made.ok) return
        const { plan } = made.value
        const cut = catchUp(plan, index, lateS)
        const saved = plan.blocks.reduce(
          (sum, x, i) => sum + x.seconds - (cut.plan.blocks[i]?.seconds ?? 0),
          0,
        )
        expect(saved + cut.leftS).toBeGreaterThanOrEqual(lateS)
        expect(cut.plan.blocks.slice(0, index + 1)).toEqual(plan.blocks.slice(0, index + 1))
        cut.plan.blocks.forEach((now, i) => {
          const was = plan.blocks[i]!
          expect(now.seconds).toBeLessThanOrEqual(was.seconds)
          if (now.kind === 'rest') expect(now.seconds).toBeGreaterThanOrEqual(Math.min(300, was.seconds))
          if (isWork(now) && isWork(was))
            expect(now.people.map((p) => p.studentId)).toEqual(was.people.map((p) => p.studentId))
          // Nothing else gives before strength has given everything.
          if (now.kind !== 'train' && now.seconds < was.seconds)
            expect(secondsOf({ blocks: cut.plan.blocks.slice(index + 1) }, 'train')).toBe(0)
        })
        for (const give of cut.gives)
          expect(giveWords('Strength', give)).toMatch(
            /^Strength: (left out|from \d+(\.5)? to \d+(\.5)? min)$/,
          )
      }),
      { numRuns: runs(12) },
    )
  })
  it('lets everybody come out of a stay a little sooner, and nobody at once', () => {
    const up = { ...WAITING, variantId: 'SH-01', turns: 1, holdS: 300 }
    const stay = {
      ...{
        kind: 'stay' as const,
        purpose: 'stay:SH',
        startS: 60,
        seconds: 420,
        setupS: 90,
        sets: 1,
        waves: 1,
      },
      ...{
        workS: 300,
        gapS: 30,
        people: [
          { ...up, studentId: 'a' },
          { ...up, studentId: 'b', holdS: 30 },
        ],
      },
    }
    const arrive = { kind: 'arrive' as const, startS: 0, seconds: 60, items: [] }
    const cut = (lateS: number) => {
      const [, block] = catchUp({ minutes: 8, blocks: [arrive, stay] }, 0, lateS).plan.blocks
      return block && isWork(block) ? [block.workS, block.seconds, ...block.people.map((p) => p.holdS)] : []
    }
    expect(cut(60)).toEqual([240, 360, 240, 30])
    expect(cut(1800)).toEqual([90, 210, 90, 30])
  })
  it('an hour begun ten minutes late is in time again after one tap, on every device alike', () => {
    const made = planClass(practice, WORKED, 60)
    if (!made.ok) throw new Error('no plan')
    const { plan } = made.value
    const events = [event('started', 0), event('block', 1200, 2)]
    const before = runThrough(plan, events)
    const late = lateBy(before.plan, before.run, at(1200))
    expect(late).toBeGreaterThan(120)
    const after = runThrough(plan, [...events, event('late', 1200, 2)])
    expect(lateBy(after.plan, after.run, at(1200))).toBeLessThan(late / 2)
    expect(after.gives.length).toBeGreaterThan(0)
    expect(runThrough(plan, [events[1]!, event('late', 1200, 2), events[0]!]).plan).toEqual(after.plan)
  })
  it('a class that has not begun or is over is never late', () => {
    const plan = { minutes: 1, blocks: [{ kind: 'rest' as const, startS: 0, seconds: 400, items: [] }] }
    expect([lateWords(60), lateWords(150)]).toEqual(['', '3 min late'])
    expect(lateBy(plan, foldRun([]), at(900))).toBe(0)
    expect(lateBy(plan, foldRun([event('started', 0), event('ended', 5)]), at(900))).toBe(0)
  })
})
