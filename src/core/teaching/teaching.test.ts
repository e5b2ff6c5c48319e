import fc from 'fast-check'
import { USUAL_AIM } from '../classes/aim'
import type { Plan } from '../classes/plan'
import { foldRun, type ClassEvent } from '../classes/run'
import { momentOf } from './class-run'
import { readHlc, tick, writeHlc } from '../facts/hlc'

const event = (what: ClassEvent['event'], n: number, blockIndex = 0): ClassEvent => ({
  id: `e${n}`,
  day: '2026-03-10',
  hlc: writeHlc({ ms: n, counter: 0 }, 'd'),
  event: what,
  atMs: n * 1000,
  blockIndex,
})

describe('the clock that orders facts', () => {
  it('never goes back, whatever the wall clock does', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(5000), { minLength: 2, maxLength: 20 }), (walls) => {
        let last = { ms: 0, counter: 0 }
        const stamps = walls.map((ms) => writeHlc((last = tick(last, ms)), 'device'))
        expect([...stamps].sort()).toEqual(stamps)
        expect(new Set(stamps).size).toBe(stamps.length)
      }),
    )
  })
  it('reads back what it wrote and starts afresh from nonsense', () => {
    expect(readHlc(writeHlc({ ms: 1234567, counter: 3 }, 'd'))).toEqual({ ms: 1234567, counter: 3 })
    expect(readHlc('nonsense?')).toEqual({ ms: 0, counter: 0 })
  })
})

describe('a class from its events', () => {
  it('starts, moves on, ends; a tap sent twice counts once and order of arrival does not matter', () => {
    const events = [event('started', 1), event('block', 2, 1), event('ended', 3, 1)]
    expect(foldRun([])).toMatchObject({ state: 'not-started' })
    expect(foldRun(events.slice(0, 2))).toMatchObject({
      state: 'running',
      blockIndex: 1,
      blockStartedMs: 2000,
    })
    expect(foldRun([...events].reverse())).toEqual(foldRun([...events, ...events]))
    expect(foldRun(events).state).toBe('ended')
  })
})

describe('whose turn it is', () => {
  const plan: Plan = {
    version: 2,
    minutes: 30,
    aim: USUAL_AIM,
    pull: [],
    warnings: [],
    points: null,
    blocks: [
      { kind: 'rest', startS: 0, seconds: 100, items: [] },
      {
        ...{ kind: 'peak', purpose: 'peak:FS', startS: 100, seconds: 190, setupS: 30, sets: 1, waves: 2 },
        ...{ workS: 60, gapS: 20, people: [] },
      },
    ],
  }
  it.each([
    [0, 0, 'ready', 30],
    [30, 0, 'up', 60],
    [89, 0, 'up', 1],
    [95, 0, 'change', 15],
    [110, 1, 'up', 60],
    [180, 1, 'change', 10],
  ])('%p s into the block: turn %p, %s, %p s left', (elapsed, index, phase, leftS) => {
    expect(momentOf(plan, 1, elapsed).turn).toEqual({ index, phase, leftS })
  })
  it('counts a plain block down and stops at nothing', () => {
    expect(momentOf(plan, 0, 40)).toEqual({ elapsedS: 40, leftS: 60, turn: null })
    expect(momentOf(plan, 0, 400).leftS).toBe(0)
    expect(momentOf(plan, 9, 1).leftS).toBe(0)
  })
})
