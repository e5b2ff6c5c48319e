import fc from 'fast-check'
import { did, evidence, placed, TODAY } from '@/testing/evidence'
import { runs } from '@/testing/runs'
import { answersTo, namesIn } from '../practice/after'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { NO_LIMITS } from '../screening/caps'
import { allowedStages, reachOf } from './allowed'
import { decide } from './decide'
import type { Attempt } from './evidence'
import { creditsOf, ladderOf, withPredecessors } from './ladder'
import { needsLook } from './offers'

const practice = shippedPractice()
const { stages } = practice
const days = (id: string): Attempt[] => [1, 3, 5].map((d) => did(id, d))
const as = (id: string, ...facts: Parameters<typeof evidence>) =>
  decide(practice, findById(stages, id).family, 's', evidence(...facts), NO_LIMITS, TODAY)
/** What may be planned of it without anybody’s tap. */
const dealt = (
  decision: ReturnType<typeof decide>,
  looked: Parameters<typeof allowedStages>[1]['looked'] = null,
) => allowedStages(practice, { ...reachOf(decision), limits: NO_LIMITS, looked }).map(({ id }) => id)

/** Every set of steps that somebody may have gone through to a step, by trying every way: the brute force. */
function waysTo(id: string): ReadonlySet<string>[] {
  const { after } = findById(stages, id)
  const letters = (name: string): string[] => stages.filter((s) => answersTo(s.id, name)).map((s) => s.id)
  const choices: { least: number; of: string[] }[] = [
    ...after.all.map((name) => ({ least: 1, of: [name] })),
    ...after.some,
  ]
  let ways: ReadonlySet<string>[] = [new Set([id])]
  for (const { least, of } of choices) {
    const picks =
      least === 1 ? of.map((name) => [name]) : of.flatMap((a, i) => of.slice(i + 1).map((b) => [a, b]))
    const through = picks.flatMap((names) =>
      names.reduce<ReadonlySet<string>[]>(
        (sets, name) =>
          sets.flatMap((set) => letters(name).flatMap((l) => waysTo(l).map((w) => new Set([...set, ...w])))),
        [new Set<string>()],
      ),
    )
    ways = thinned(ways.flatMap((way) => through.map((more) => new Set([...way, ...more]))))
  }
  return ways
}

/** As many as tell what all share: those from which something is missing that others have. */
function thinned(ways: readonly ReadonlySet<string>[]): ReadonlySet<string>[] {
  const small = ways.toSorted((a, b) => a.size - b.size).slice(0, 12)
  const all = new Set(ways.flatMap((w) => [...w]))
  const without = [...all].flatMap((id) => ways.find((w) => !w.has(id)) ?? [])
  return [...new Set([...small, ...without])]
}

it('a choice credits what every way leads through, by trying every way', () => {
  for (const { id } of stages) {
    const ways = waysTo(id)
    const shared = [...(ways[0] ?? [])].filter((s) => ways.every((w) => w.has(s))).toSorted()
    expect([id, [...creditsOf(stages)(id)].toSorted()]).toEqual([id, shared])
  }
})

it.each([
  ['HS-08d', ['HS-09a', 'HS-09c', 'HS-08a']],
  ['HD-09', ['HD-11a']],
  ['AD-05', ['HD-10', 'HD-08', 'SH-14']],
  ['FS-11', ['FS-10a', 'FS-10d', 'FS-10f']],
  ['HS-14', ['HS-10', 'HS-11', 'HS-12']],
])('clean days at %s alone give nobody %j', (id, never) => {
  const open = dealt(as(id, ...days(id)))
  expect(open).toContain(id)
  expect(open.filter((s) => never.includes(s))).toEqual([])
})

it('nothing of a high fall or of head weight is dealt that was not done and not tapped, whoever was placed or worked where', () => {
  const some = fc.constantFrom(...stages)
  fc.assert(
    fc.property(some, fc.array(some, { maxLength: 4 }), fc.boolean(), (at, worked, byEye) => {
      const done = worked.flatMap((s) => days(s.id))
      const facts = byEye ? [...done, placed(at.id, 1)] : [...done, ...days(at.id)]
      const did_ = new Set([...worked.map((s) => s.id), ...(byEye ? [] : [at.id])])
      const through = new Set([...did_].flatMap((id) => [...creditsOf(stages)(id)]))
      for (const id of dealt(as(at.id, ...facts)))
        if (needsLook(findById(stages, id))) expect([id, through.has(id)]).toEqual([id, true])
    }),
    { numRuns: runs(150) },
  )
})

it('placed by eye, the easy beneath is given, what falls high is not, and it is said', () => {
  for (const at of ['HD-10', 'FS-10b', 'HS-08d', 'FS-13']) {
    const decision = as(at, placed(at, 1))
    expect(decision.standing?.stageId).toBe(at)
    expect(decision.reasons).toContainEqual({ code: 'placed-not-given', stageId: at })
    const open = dealt(decision)
    expect([at, open.filter((id) => needsLook(findById(stages, id)))]).toEqual([at, []])
    expect(open.length).toBeGreaterThan(0)
  }
  const low = as('FS-05', placed('FS-05', 1))
  expect(low.reasons.map((r) => r.code)).not.toContain('placed-not-given')
  expect(dealt(low)).toContain('FS-05')
})

describe('next', () => {
  const ways = ['placed by eye', 'shown'] as const
  it.each(ways)('never looks back, for any of the steps, %s', (how) => {
    for (const stage of stages) {
      const { targetId, first, outcome } = as(
        stage.id,
        ...(how === 'shown' ? days(stage.id) : [placed(stage.id, 1)]),
      )
      if (targetId === null) continue
      const ladder = ladderOf(practice, stage.family)
      const follows = namesIn(findById(stages, targetId).after).some((name) => answersTo(stage.id, name))
      expect([stage.id, targetId, follows || ladder.rung(targetId) >= ladder.rung(stage.id)]).toEqual([
        ...[stage.id, targetId, true],
      ])
      // A gap below is what comes first, and only then is the next step not to be gone to.
      if (first !== null)
        expect([stage.id, outcome, withPredecessors(stages, targetId).has(first)]).toEqual([
          ...[stage.id, 'build', true],
        ])
    }
  })
  it('says what comes first where something was left out below', () => {
    const after = (...ids: string[]) => as('PU-06', ...days('PU-06'), ...ids.flatMap(days))
    expect(after()).toMatchObject({ targetId: 'PU-07', first: 'PU-01' })
    // It may be worked on wherever it is told: it is within what the same decision lets them do.
    const gap = after().branches.find((b) => b.stageId === 'PU-01')
    expect(gap?.outcome).toBe('offer')
    expect(dealt(after())).toContain('PU-01')
    expect(after('PU-03')).toMatchObject({ targetId: 'PU-07', first: 'PU-04' })
    const whole = after('PU-04')
    expect([whole.targetId, whole.first]).toEqual(['PU-07', null])
  })
})
