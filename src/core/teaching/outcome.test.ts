import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { decide } from '../readiness/decide'
import { describeAfter, describeTaps, describeTouch, describeStopped } from '../words/floor'
import { did, evidence, TODAY } from '@/testing/evidence'
import { isDone, seenOf, stoppedBy, tapOf, type Seen } from './outcome'

const ALL: readonly Seen[] = ['clean', 'not-yet', 'fell-out', 'unwell', 'arms-spent', 'own-choice']

it('what was tapped is what is read back, with the faults that were seen', () => {
  for (const seen of ALL) {
    const tap = tapOf(seen, seen === 'clean' ? [] : ['FT-elbow-splay'])
    expect(seenOf(tap)).toBe(seen)
    expect(tap.faults.includes('FT-elbow-splay')).toBe(seen !== 'clean')
  }
})

it('falling out costs a rung; stopping, for whatever reason, costs none (ruling 7)', () => {
  const outcomeAfter = (seen: Seen) => {
    const facts = evidence(did('FS-05', 5), did('FS-05', 1, tapOf(seen, [])))
    return decide(shippedPractice(), 'FS', 's', facts, NO_LIMITS, TODAY).outcome
  }
  expect(outcomeAfter('fell-out')).toBe('step-back')
  for (const seen of ALL.filter((s) => s !== 'fell-out'))
    expect([seen, outcomeAfter(seen)]).not.toEqual([seen, 'step-back'])
})

it('who is not well or has spent arms is not called up again; who chose to stop may be', () => {
  const done = (...seen: Seen[]) => isDone(seen.map((s) => tapOf(s, [])))
  expect([done('clean', 'unwell'), done('arms-spent'), done('unwell', 'clean')]).toEqual([true, true, true])
  expect([done(), done('clean', 'fell-out'), done('own-choice')]).toEqual([false, false, false])
})

it('whoever stopped is given something that asks nothing of arms or head, and not feeling well weighs more', () => {
  const by = (...seen: Seen[]) => stoppedBy(seen.map((s) => tapOf(s, [])))
  expect([by('arms-spent', 'unwell'), by('arms-spent', 'clean'), by('own-choice')]).toEqual([
    ...['unwell', 'arms-spent', null],
  ])
  expect(describeStopped('unwell')).toMatch(/head level.*nothing more upside down/)
  expect(describeStopped('arms-spent')).toMatch(/nothing on the arms/)
})

it('says what was tapped, and what to do at once, the way out first', () => {
  const on = (stageId: string, seen: Seen) => ({ stageId, ...tapOf(seen, []) })
  expect(describeTaps([], 'A')).toBe('')
  expect(describeTaps([on('A', 'clean'), on('A', 'fell-out')], 'A')).toBe('2 tries: clean, fell out of it')
  // Beside the name of a step stands nothing that was tried on another as if it were of this one.
  expect(describeTaps([on('A', 'clean')], 'B')).toBe('on another step 1 try: clean')
  expect(describeTaps([on('A', 'clean'), on('B', 'not-yet'), on('C', 'clean')], 'B')).toBe(
    '1 try: not yet; on other steps 2 tries: clean, clean',
  )
  expect(describeAfter(tapOf('fell-out', []), 'Step down, one foot at a time.')).toMatch(
    /^Ask whether anything hurts\. Then the way out, .*: Step down, one foot at a time\.$/,
  )
  expect(describeAfter(tapOf('unwell', []), '')).toMatch(/Nothing more upside down tonight.*get help/)
  expect(describeAfter(tapOf('clean', []), 'x')).toBe('')
  expect([describeTouch('no'), describeTouch('ask')]).toEqual(['No touch.', ''])
})
