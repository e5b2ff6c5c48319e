import { USUAL_STOCK } from '../props/stock'
import { doubtful, worthMeasuring } from './measure-sheet'

const ask = (ids: string[], measured = {}) => worthMeasuring({ statureCm: 168, measured }, ids, USUAL_STOCK)

it('for a kick on forearms asks for the lengths that lie between elbow, wall and elbow, the heaviest first', () => {
  const lengths = ask(['SETUP-wall-kick-forearm-block']).map((w) => w.length)
  expect(lengths).toContain('forearm')
  expect(lengths).not.toContain('footLength')
  const moves = ask(['SETUP-wall-kick-forearm-block']).map((w) => w.movesCm)
  expect(moves.toSorted((a, b) => b - a)).toEqual(moves)
})
it('by hand: a forearm of 24.53 ± 0.98 moves the elbow’s mark by 0.98', () => {
  const forearm = ask(['SETUP-wall-kick-forearm-block']).find((w) => w.length === 'forearm')
  expect(forearm).toMatchObject({ placement: 'elbow-to-wall' })
  expect(forearm?.movesCm).toBeCloseTo(24.528 * 0.04, 2)
})
it('does not ask again for what is measured, nor for anything where no body places things', () => {
  expect(ask(['SETUP-wall-kick-forearm-block'], { forearm: 24 }).map((w) => w.length)).not.toContain(
    'forearm',
  )
  expect(ask(['SETUP-floor-clear'])).toEqual([])
  expect(worthMeasuring({ statureCm: 300 }, ['SETUP-floor-clear'], USUAL_STOCK)).toEqual([])
})
it('doubts a length three estimates away and tells what was expected, and believes a rare one', () => {
  expect(doubtful(168, 'forearm', 30)).toMatchObject({ expectedCm: 24.528 })
  expect(doubtful(168, 'forearm', 26)).toBeNull()
  expect(doubtful(168, 'seatedLeg', 10)).toBeNull()
})
