import fc from 'fast-check'
import { rungIn, type Seen } from './climb'
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
