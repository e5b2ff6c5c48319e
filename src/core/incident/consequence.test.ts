import { addDays } from '../day'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { insteadOf } from '../screening/instead'
import { closes, NO_LIMITS, type Caps } from '../screening/caps'
import { closesStage } from '../screening/stage-limits'
import { capsAfter, isGrave } from './consequence'
import { KINDS } from './incident'

const practice = shippedPractice()
const DAY = '2026-03-10'
const after = (
  kind: (typeof KINDS)[number],
  askedOn: string | null = null,
  asOf = addDays(DAY, 5),
): Caps => ({
  ...NO_LIMITS,
  caps: capsAfter([{ day: DAY, kind }], askedOn, asOf),
})
const shut = (id: string, limits: Caps) => closesStage(practice, limits, findById(practice.stages, id))

it('a fall on head or neck holds somebody out of head-down work and falls, in steps and drills, until asked again', () => {
  const held = after('fall-head-neck')
  expect(['FS-09', 'FS-03c', 'HD-05', 'SH-13', 'HS-08d', 'CR-06'].map((id) => shut(id, held))).toEqual(
    Array(6).fill(true),
  )
  expect(['FS-02', 'PU-04', 'HS-01'].map((id) => shut(id, held))).toEqual([false, false, false])
  expect(closes(held, findById(practice.drills, 'DR-dolphin-hop').load)).toBe(true)
  // Something stands in its place.
  expect(insteadOf(practice, findById(practice.stages, 'FS-09'), held)).not.toBeNull()
  expect(held.caps.every(({ instead }) => /^Ask first/.test(instead))).toBe(true)
})
it('an answer of that day or before ends nothing, one of a later day does; a report of tomorrow holds nobody today', () => {
  expect(after('fall-head-neck', DAY).caps).not.toEqual([])
  expect(after('fall-head-neck', addDays(DAY, -30)).caps).not.toEqual([])
  expect(after('fall-head-neck', addDays(DAY, 1)).caps).toEqual([])
  expect(after('fall-head-neck', null, addDays(DAY, -1)).caps).toEqual([])
})
it('each grave kind closes something, the others nothing; several at once close what each of them does', () => {
  for (const kind of KINDS) expect([kind, after(kind).caps.length > 0]).toEqual([kind, isGrave({ kind })])
  const both = capsAfter(
    [
      { day: DAY, kind: 'dizzy' },
      { day: DAY, kind: 'fall' },
    ],
    null,
    DAY,
  )
  expect(both.map(({ tag }) => tag)).toEqual(expect.arrayContaining(['HBH', 'FR']))
})
