import { elapsedMs, type Moment } from './elapsed'

const at = (wallMs: number, monotonicMs: number, page = 1): Moment => ({ wallMs, monotonicMs, page })

describe('time that has passed on a device', () => {
  it.each<[string, Moment, Moment, number]>([
    ['both clocks agree', at(1000, 50), at(31_000, 30_050), 30_000],
    ['the tablet slept: the monotonic clock stood still', at(1000, 50), at(31_000, 5050), 30_000],
    ['somebody set the clock back an hour', at(3_601_000, 50), at(31_000, 30_050), 30_000],
    ['the page was loaded anew', at(1000, 90_000, 1), at(31_000, 400, 2), 30_000],
    ['loaded anew with the clock set back', at(31_000, 50, 1), at(1000, 400, 2), 0],
  ])('%s', (_, from, to, ms) => expect(elapsedMs(from, to)).toBe(ms))
})
