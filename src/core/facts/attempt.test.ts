import fc from 'fast-check'
import { evidence, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { PLAIN_TRY, type Attempt } from '../readiness/evidence'
import { evaluateGate } from '../readiness/gate'
import { asShown } from '../readiness/shown'
import { unsaidFor } from '../readiness/unsaid'
import { SEEN, tapOf } from '../teaching/outcome'
import { describeTry } from '../words/attempt'
import { describeUnsaid } from '../words/reason'
import { isSamePress, newAttempt, type SaidOfTry } from './attempt'
import { attemptFact } from './fact'

const practice = shippedPractice()
const KICK = { id: 'FS-09', leavesFloor: true }

/** A try on the floor, so many days ago, with nothing said but what is given. */
function pressed(daysAgo: number, said: SaidOfTry = {}): Attempt {
  const day = addDays(TODAY, -daysAgo)
  const { lead, seconds, ...tried } = newAttempt(
    's',
    KICK,
    tapOf('clean', []),
    { help: 'alone', ...said },
    'c',
  )
  return {
    ...PLAIN_TRY,
    ...tried,
    ...{ lead, seconds, day, withdrawn: false },
    ...{ id: `${daysAgo} ${lead ?? ''} ${Math.random()}`, hlc: day },
  }
}
function gateOf(checkId: string, tries: readonly Attempt[], stageId = 'FS-10b') {
  const stage = findById(practice.stages, stageId)
  const gate = stage.gates.find((g) => g.check === checkId)!
  const check = findById(practice.checks, checkId)
  const shown = asShown(practice, evidence(...tries), TODAY)
  return {
    ...evaluateGate(gate, check, stage, shown.observations, TODAY),
    unsaid: unsaidFor(practice, gate, stage, shown.attempts, TODAY),
  }
}
const DAYS = [9, 6, 3, 1]

it('two plain presses on each of four days meet no gate that depends on kicks, and it is said why', () => {
  const tries = DAYS.flatMap((d) => [pressed(d), pressed(d)])
  for (const check of ['CK-kick-height', 'CK-both-leads']) {
    const { state, value, unsaid } = gateOf(check, tries)
    expect([check, state, value]).toEqual([check, 'unknown', null])
    expect(unsaid).toEqual({ tries: 8, of: 8, what: ['leg', 'height'] })
    expect(describeUnsaid(unsaid!)).toBe('In 8 of 8 tries it was not said which leg led and how far it got.')
  }
})
it('once leg and height are said the same days meet them', () => {
  const tries = DAYS.flatMap((d) =>
    (['left', 'right'] as const).map((lead) => pressed(d, { lead, level: 'held' })),
  )
  expect(gateOf('CK-kick-height', tries)).toMatchObject({ state: 'met', unsaid: null })
  expect(gateOf('CK-both-leads', tries)).toMatchObject({ state: 'met', unsaid: null })
})
it('what nobody said was alone is no clean day, and no poor one either', () => {
  const said = DAYS.map((d) => ({ ...pressed(d), stageId: 'HD-08', seconds: 40 }))
  const unsaid = said.map((a) => ({ ...a, help: 'not-said' as const }))
  const stage = practice.stages.find((s) => s.gates.some((g) => g.shownBy?.includes('HD-08') && g.last))!
  expect(gateOf('CK-consistency', said, stage.id)).toMatchObject({ state: 'met' })
  const open = gateOf('CK-consistency', unsaid, stage.id)
  expect(open).toMatchObject({ state: 'unknown', value: null, unsaid: { tries: 4, what: ['alone'] } })
  // With one poor day it is that day that stands, not four more.
  const poor = { ...said[0]!, outcome: 'not-yet' as const, day: addDays(TODAY, -2), id: 'poor' }
  expect(gateOf('CK-consistency', [...unsaid, poor], stage.id).value).toBe(0)
  expect(gateOf('CK-consistency', [...said, poor], stage.id).state).toBe('met')
})
it('whatever is left out stays unsaid, whatever is said stands, and each is a fact that can be sent', () => {
  const said = fc.record(
    {
      level: fc.constantFrom('took-off', 'hop', 'touched', 'held' as const),
      help: fc.constantFrom('alone', 'touched', 'carried' as const),
      lead: fc.constantFrom('left', 'right' as const),
      seconds: fc.integer({ min: 0, max: 900 }),
      setupId: fc.constant('SETUP-kick-up-wall'),
    },
    { requiredKeys: [] },
  )
  const stamp = {
    id: '018e0000-0000-7000-8000-000000000001',
    ...{ deviceId: '018e0000-0000-4000-8000-000000000002', deviceSeq: 1, day: '2026-03-10' },
    hlc: '0abcdefgh-0000-018e0000-0000-4000-8000-000000000002',
  }
  const person = '018e0000-0000-4000-8000-000000000003'
  fc.assert(
    fc.property(fc.constantFrom(...SEEN), said, fc.boolean(), (seen, some, leavesFloor) => {
      const tried = newAttempt(person, { id: 'FS-09', leavesFloor }, tapOf(seen, []), some, null)
      expect(tried).toMatchObject({
        level: leavesFloor ? (some.level ?? 'not-said') : 'practised',
        help: some.help ?? 'not-said',
        lead: some.lead ?? null,
        seconds: some.seconds ?? null,
      })
      expect(attemptFact.safeParse({ ...tried, ...stamp }).success).toBe(true)
    }),
  )
})
it('is told in words without a guess', () => {
  expect(describeTry(pressed(1))).toBe('Clean')
  expect(describeTry({ ...pressed(1), help: 'not-said' })).toBe('Clean, not said whether alone')
})
it('a press again at once is the same try; another person, outcome or moment is not', () => {
  const clean = (who: string, seen: (typeof SEEN)[number] = 'clean') =>
    newAttempt(who, KICK, tapOf(seen, []), {}, 'c')
  const before = { try: clean('a'), atMs: 1000 }
  expect(isSamePress(before, { try: clean('a'), atMs: 1400 })).toBe(true)
  expect(isSamePress(before, { try: clean('b'), atMs: 1400 })).toBe(false)
  expect(isSamePress(before, { try: clean('a', 'fell-out'), atMs: 1400 })).toBe(false)
  expect(isSamePress(before, { try: clean('a'), atMs: 4000 })).toBe(false)
  expect(isSamePress(null, before)).toBe(false)
})
