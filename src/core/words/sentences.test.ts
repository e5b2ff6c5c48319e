import { fitDose } from '../practice/dose'
import { KINDS, TOLD } from '../incident/incident'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { EMPTY_CARD, missingOnCard } from '../room/emergency'
import { EMPTY_ROOM, type RoomProblem } from '../room/room'
import { describeClash, optionName, scopeWord } from './approach'
import { DAILY_WORD } from './daily'
import { CARD_LINES } from './emergency'
import { FAMILY_NAMES } from './family'
import { describeHeadRoom } from './head-room'
import { describeIncident, KIND_WORD, TOLD_WORD } from './incident'
import {
  aimOf,
  describeCeiling,
  describeFade,
  describeForecast,
  describeHelp,
  describeKicks,
  describeSideGap,
  describeTrial,
  weakerFirst,
} from './next-steps'
import { describeDose } from './dose'
import { METRIC } from './number'
import { describeCell, describeResult } from './entry'
import { shown, unitOf } from './reason'
import { describeRoom } from './room'

const practice = shippedPractice()

it('has a sentence for everything that can be wrong with a room', () => {
  const room = {
    ...EMPTY_ROOM,
    bays: ['a', 'b'].map((id) => ({
      id,
      side: 'north' as const,
      fromCm: 0,
      widthCm: 110,
      obstacle: '',
      usable: true,
    })),
    things: [{ id: 's', name: 'Stove', xCm: 0, yCm: 0, widthCm: 50, depthCm: 50 }],
  }
  const problems: [RoomProblem, RegExp][] = [
    [{ code: 'bay-outside', id: 'a', overCm: 12 }, /Bay 1 runs 12 cm past/],
    [{ code: 'door-outside', id: 'd', overCm: 5 }, /door runs 5 cm past/],
    [{ code: 'bays-overlap', id: 'a', other: 'b', byCm: 30 }, /Bay 1 and bay 2 share 30 cm/],
    [{ code: 'bay-narrow', id: 'b', widthCm: 110 }, /Bay 2 is 110 cm wide/],
    [{ code: 'bay-on-door', id: 'a', other: 'd' }, /across a way out/],
    [{ code: 'thing-in-fall-zone', id: 'a', other: 's' }, /Stove stands where/],
    [{ code: 'mat-outside', id: 'm' }, /mat lies partly outside/],
    [{ code: 'thing-outside', id: 's' }, /Stove stands partly outside/],
    [{ code: 'no-door' }, /No way out/],
  ]
  for (const [problem, sentence] of problems) expect(describeRoom(problem, room, METRIC)).toMatch(sentence)
  expect(describeRoom({ code: 'bay-narrow', id: 'a', widthCm: 101.6 }, room, { units: 'in' })).toMatch(
    /40 in wide/,
  )
})
it('has words for every clash of the practice, every scope and every option', () => {
  for (const { problem } of practice.clashes) expect(describeClash(problem)).not.toMatch(/do not go together/)
  for (const scope of ['default', 'teacher', 'class', 'student', 'studio'] as const)
    expect(scopeWord(scope).length).toBeGreaterThan(3)
  expect(optionName('home-wall')).toBe('Home wall')
})
it('asks at the door only what the practice asks', () => {
  const known = practice.intake.flatMap((q) => q.options.map((o) => `${q.id}:${o.id}`))
  for (const id of Object.keys(DAILY_WORD)) expect(known).toContain(id)
})
it('names every kind of incident, everybody told and every missing line', () => {
  for (const kind of KINDS) expect(KIND_WORD[kind].length).toBeGreaterThan(3)
  for (const told of TOLD) expect(TOLD_WORD[told].length).toBeGreaterThan(3)
  for (const field of ['happened', 'done', 'reporter'] as const)
    expect(describeIncident({ code: 'incident-empty', field })).toMatch(/^Say /)
  expect(describeIncident({ code: 'incident-in-the-future', day: '2026-03-11' })).toMatch(/11 Mar 2026/)
  expect(describeIncident({ code: 'incident-time', typed: 'x' })).toMatch(/18:50/)
  expect(missingOnCard(EMPTY_CARD).every((key) => CARD_LINES.some((l) => l.key === key))).toBe(true)
  expect(Object.keys(FAMILY_NAMES)).toHaveLength(7)
})
it('says whether the arms carry the head with its error, and what to lay under the forearms', () => {
  const room = { clearCm: -3, withinCm: 2, pushedCm: 0, answer: 'raise-the-forearms', raiseCm: 4 } as const
  const lines = describeHeadRoom(room, METRIC)
  expect(lines[1]).toBe('The crown is 3 cm short before a push, ± 2 cm; with a push 0 cm.')
  expect(lines[2]).toMatch(/Lay 4 cm under both forearms/)
  expect(describeHeadRoom({ ...room, clearCm: 4, answer: 'yes', raiseCm: 0 }, METRIC)).toHaveLength(2)
})
it('says a forecast as a range and never as a date', () => {
  const check = findById(practice.checks, 'CK-dolphin-hold')
  const said = (forecast: Parameters<typeof describeForecast>[1]) => describeForecast(check, forecast)
  expect(said({ code: 'weeks', from: 3, to: 6, perWeek: 2.5 })).toMatch(
    /3 to 6 weeks at this rate \(2.5 s a week\)/,
  )
  // A range that nobody needed a result for is not given.
  expect(said({ code: 'weeks', from: 1, to: 26, perWeek: 2.5 })).toBe(
    'Dolphin hold: 2.5 s a week, too unevenly to say in how many weeks.',
  )
  expect(said({ code: 'weeks', from: 1, to: 8, perWeek: 2.5 })).toMatch(/1 to 8 weeks at this rate/)
  expect(said({ code: 'weeks', from: 5, to: 20, perWeek: 2.5 })).toMatch(/5 to 20 weeks at this rate/)
  expect(said({ code: 'weeks', from: 3, to: 3, perWeek: 5 })).toMatch(/about 3 weeks/)
  expect(said({ code: 'flat', weeks: 4, value: 30 })).toMatch(
    /flat for 4 weeks at about 30 s. Change the drill/,
  )
  expect(said({ code: 'not-enough', days: 1, needed: 4 })).toMatch(
    /4 class days are needed before a forecast; one is there/,
  )
  expect(said({ code: 'old', days: 40 })).toMatch(/last shown 40 days ago/)
  expect(said({ code: 'there', value: 46 })).toMatch(/about 46 s on the last days/)
})
it('says what a drill is for, how much of it, and which side begins', () => {
  const [drill] = practice.drills
  expect(aimOf(practice, ['CK-dolphin-hold', 'FT-elbow-splay'])).toBe('dolphin hold and “elbows slide apart”')
  expect(describeDose(fitDose(drill!.dose, { share: 1 }))).toMatch(/^5 times\. /)
  expect(describeDose(fitDose(drill!.dose, { share: 0.62 }))).toMatch(/^3 times\. /)
  expect(weakerFirst('left')).toBe('Begin on the left and give it one set more.')
  expect(weakerFirst(null)).toBe('')
})
it('says what a prop may do, what a trial showed and how sure it is', () => {
  const base = { stageId: 'FS-05', setupId: 'SETUP-dolphin-strap', evidenceIds: [] }
  const days = ['2026-03-01', '2026-03-08']
  expect(describeFade(practice, { ...base, code: 'fade', to: 'SETUP-dolphin-block', days })).toBe(
    'Dolphin, one leg lifted: clean with dolphin with elbow strap on 1 Mar 2026 and 8 Mar 2026. Next with less: dolphin with hand block.',
  )
  expect(
    describeFade(practice, { ...base, code: 'restore', faultId: 'FT-elbow-splay', day: '2026-03-08' }),
  ).toMatch(/came back twice on 8 Mar 2026 without .*\. Put it back\.$/)
  const trial = (difference: number, sure: number, pairs: number) =>
    describeTrial(practice, {
      ...{ difference, sure, pairs, stageId: 'FS-05', day: '2026-03-08' },
      with: 'SETUP-dolphin-strap',
      without: 'SETUP-dolphin-block',
    })
  expect(trial(-3.75, 14 / 16, 4)).toMatch(/3.8 s shorter with .* over 4 pairs; 88 % sure\.$/)
  expect(trial(2, 6 / 8, 3)).toMatch(/2 s longer .* only 75 % sure: more pairs would tell\.$/)
  expect(trial(0, 0, 3)).toMatch(/no difference/)
})
it('says kicks as a range, sides with their days, and tonight without a word of why', () => {
  expect(describeKicks({ tries: 1, chance: 0.66, from: 1, to: 5 }, 'Kicks')).toBe(
    'Kicks: about 65 % arrive (1 try in six weeks); of the next five, 1 to 5.',
  )
  expect(describeKicks({ tries: 30, chance: 0.97, from: 5, to: 5 }, 'Kicks')).toMatch(
    /of the next five, 5\.$/,
  )
  const gap = {
    checkId: 'CK-leg-lift-forearm',
    weaker: 'left',
    share: 0.4,
    wideDays: ['a', 'b', 'c'],
    told: true,
  } as const
  expect(describeSideGap(practice, gap)).toMatch(/the left is 40 % behind, over 30 % on 3 days/)
  const ceiling = (stageId: string | null, usualId: string | null) =>
    describeCeiling(practice, { stageId, usualId, lowered: stageId !== usualId })
  expect(ceiling('FS-05', 'FS-05')).toMatch(/as it stands, up to/)
  expect(ceiling(null, null)).toMatch(/as it stands, nothing/)
  expect(ceiling('FS-01', 'FS-05')).toBe('Tonight: up to Forearm table. The standing stays as it is.')
  expect(ceiling(null, 'FS-05')).toMatch(/^Tonight: nothing of this ladder\. The standing stays/)
})
it('says of a fault its likeliest cause with the evidence, the word, the setup, the drill and whether to go on', () => {
  const said = describeHelp(practice, {
    faultId: 'FT-elbow-splay',
    causes: [
      {
        cause: 'strength',
        score: 2,
        because: [
          { code: 'check', checkId: 'CK-dolphin-hold', value: 12, short: 0.6, evidenceId: 'a' },
          { code: 'ended-spent', evidenceId: 'b' },
          { code: 'arms' },
          { code: 'arms' },
        ],
      },
    ],
    cue: 'Draw the elbows in.',
    setupId: 'SETUP-dolphin-strap',
    drillId: 'DR-dolphin-hold',
    then: 'step back',
    until: 'Over 4 cm: one rung back.',
    known: true,
    shortArms: null,
  })
  expect(said).toBe(
    'Likely strength (dolphin hold 12 s, work ended with spent arms, tired tonight). Say: Draw the elbows in. With: dolphin with elbow strap. Then dolphin hold. One rung easier if it stays. Over 4 cm: one rung back.',
  )
})
it('says lengths of checks in the chosen units, finer than a drawing does', () => {
  const drift = findById(practice.checks, 'CK-elbow-drift')
  const hold = findById(practice.checks, 'CK-dolphin-hold')
  expect([shown(drift, 2), shown(drift, 2, { units: 'in' })]).toEqual(['2 cm', '0.8 in'])
  expect([shown(hold, 34), shown(hold, 34, { units: 'in' })]).toEqual(['34 s', '34 s'])
  expect([unitOf(drift), unitOf(drift, { units: 'in' }), unitOf(hold, { units: 'in' })]).toEqual([
    'cm',
    'in',
    's',
  ])
  const refusal = { code: 'quantity-out-of-range', value: 50.8, min: 0, max: 15 } as const
  expect(describeResult(refusal, drift, { units: 'in' })).toBe(
    '20 in is outside 0 to 5.9 in. Check it for a slip.',
  )
  expect(describeCell({ code: 'sides-missing' }, drift)).toMatch(/^Both sides/)
  expect(describeCell({ code: 'one-side-only' }, drift)).toMatch(/no sides/)
  expect(describeCell({ code: 'unknown-mark', mark: 'q' }, drift)).toMatch(/letter “q”/)
  expect(describeCell({ code: 'quantity-empty' }, drift, { units: 'in' })).toBe('Type a result in inches.')
})

it('counts one fist, two fists, times and degrees as they are said', () => {
  const said = (id: string, value: number): string => shown(findById(practice.checks, id), value)
  const fists = practice.checks.find((c) => c.unit === 'fists')
  const reps = practice.checks.find((c) => c.unit === 'reps')
  const angle = practice.checks.find((c) => c.unit === 'deg')
  expect([1, 2, 1.5].map((n) => said(fists?.id ?? '', n))).toEqual(['1 fist', '2 fists', '1.5 fists'])
  expect(said(reps?.id ?? '', 1)).toBe('1 time')
  expect(said(reps?.id ?? '', 8)).toBe('8 times')
  expect(said(angle?.id ?? '', 90)).toBe('90°')
})
