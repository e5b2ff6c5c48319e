import { Secret } from 'otpauth'
import { recoveryCodes, stepOf } from './second-factor'

it('a code reckons as the standard’s own example does', () => {
  const seed = Secret.fromUTF8('12345678901234567890').base32
  expect(stepOf(seed, '287 082', null, 59_000)).toBe(1)
  expect(stepOf(seed, '287082', 1, 59_000)).toBeNull()
  expect(stepOf(seed, '287082', null, 150_000)).toBeNull()
})

it('a code counts one step to either side of the clock and no further', () => {
  const seed = Secret.fromUTF8('12345678901234567890').base32
  const steps = [-31_000, -1, 0, 29_000, 30_000, 59_999, 60_000].map((ms) =>
    stepOf(seed, '287082', null, 30_000 + ms),
  )
  expect(steps).toEqual([null, 1, 1, 1, 1, 1, null])
})

it('printed codes are ten, all different, of letters and digits that are not taken for one another', () => {
  const codes = recoveryCodes()
  expect(new Set(codes).size).toBe(10)
  for (const code of codes) expect(code).toMatch(/^[a-hj-km-np-z2-9]{10}$/)
})
