import 'server-only'
import { levelOfFact, reaches } from '@/core/access/roles'
import { addDays, formatDay } from '@/core/day'
import type { FactKind, FactOf, SentFact } from '@/core/facts/fact'
import { readHlc } from '@/core/facts/hlc'
import { CHECK_IN_DAYS, addCheckIn } from '@/db/health'
import { appendAttendance } from '@/db/attendance'
import { appendClassEvent, appendLock, eventsOf, findClass } from '@/db/classes'
import { appendDrill, appendNote, appendPlacement, drillsOf } from '@/db/evidence'
import { addOfferTap } from '@/db/offers'
import { findStudent } from '@/db/students'
import { whoseFact } from '@/db/whose'
import { problem, type Answer } from '../answer'
import type { Context } from '../context'
import { keepAttempt, keepObservation, takeBack } from './keep-evidence'
import { NO_KEY } from './no-key'
import { put, split, type Kept } from './split'
import { renewTurns } from './turns'
import { refusalFor } from '../who'

type Keep<K extends FactKind> = (ctx: Context, fact: FactOf<K>) => Answer<Kept>

const KEEP: { readonly [K in FactKind]: Keep<K> } = {
  observation: keepObservation,
  attempt: keepAttempt,
  'taken-back': takeBack,
  drill: (ctx, fact) => {
    if (!ctx.practice.drills.some((d) => d.id === fact.drillId))
      return problem('That drill is not in the practice.', 'drillId')
    if (fact.replaces !== null && !drillsOf(ctx.scope, fact.studentId).some((d) => d.id === fact.replaces))
      return problem('The entry to correct is not there any more.')
    const { rest, origin } = split(fact)
    return put(appendDrill(ctx.scope, { ...rest, withdrawn: false }, origin))
  },
  placement: (ctx, fact) => {
    if (fact.stageId !== null && !ctx.practice.stages.some((s) => s.id === fact.stageId))
      return problem('That stage is not in the practice.', 'stageId')
    const { rest, origin } = split(fact)
    return put(appendPlacement(ctx.scope, { ...rest, kind: 'placement', replaces: null }, origin))
  },
  'class-event': (ctx, fact) => {
    const record = findClass(ctx.scope, fact.classId)
    if (!record) return problem('That class is not here any more.')
    const { rest, origin } = split(fact)
    const isNew = appendClassEvent(ctx.scope, rest, origin)
    if (isNew) renewTurns(ctx, fact.classId)
    return put(isNew)
  },
  attended: (ctx, fact) => {
    const record = findClass(ctx.scope, fact.classId)
    if (!record?.roster.includes(fact.studentId))
      return problem('This person is not on the list of that class.')
    const { rest, origin } = split(fact)
    return put(appendAttendance(ctx.scope, rest, origin))
  },
  'check-in': (ctx, { id, hlc, day, studentId, words }) => {
    const { key } = ctx.health
    if (!key) return problem(NO_KEY)
    if (words.pain > 0 && words.regions.length === 0) return problem('Tap where it hurts.', 'words.regions')
    const keepFrom = addDays(ctx.clock.today, -CHECK_IN_DAYS)
    return put(addCheckIn(ctx.scope, key, { id, studentId, day, hlc }, { ...words, day }, keepFrom))
  },
  offer: (ctx, { id, studentId, stageId, answer, reason }) => {
    if (!ctx.practice.stages.some((s) => s.id === stageId))
      return problem('That stage is not in the practice.', 'stageId')
    if (answer === 'override' && reason === null)
      return problem('Say why: pick one of the reasons.', 'reason')
    const tap = {
      id,
      studentId,
      stageId,
      answer,
      reason,
      by: ctx.actor.accountId === null ? ctx.studio.teacher : ctx.actor.name,
      atMs: ctx.clock.nowMs,
    }
    return put(addOfferTap(ctx.scope, tap))
  },
  lock: (ctx, fact) => {
    const record = findClass(ctx.scope, fact.classId)
    if (!record?.roster.includes(fact.studentId))
      return problem('This person is not on the list of that class.')
    if (eventsOf(ctx.scope, fact.classId).length > 0)
      return problem('This class has begun; its plan stays as it was taught.')
    const { rest, origin } = split(fact)
    return put(appendLock(ctx.scope, rest, origin))
  },
  note: (ctx, fact) => {
    const { rest, origin } = split(fact)
    return put(appendNote(ctx.scope, rest, origin))
  },
}

/** A device's clock may be so far off; what is stamped further ahead would stand above everything that comes, ms. */
const AHEAD_MS = 26 * 3_600_000

/**
 * Puts one fact down, once: the day is the one it was tapped on, whenever it arrives.
 * @returns whether it is new, or why it is refused for good, beside its field where it has one
 */
export function keepFact(ctx: Context, fact: SentFact): Answer<Kept> {
  const level = levelOfFact(fact.kind)
  if (!reaches(ctx.actor.role, level)) return problem(refusalFor(ctx.actor, false))
  if (fact.day > addDays(ctx.clock.today, 1))
    return problem(
      `${formatDay(fact.day)} is still to come: set this device’s clock right and record it again.`,
    )
  if (readHlc(fact.hlc).ms > ctx.clock.nowMs + AHEAD_MS)
    return problem('The clock of this device runs far ahead: set it right and record it again.')
  if ('studentId' in fact && fact.studentId !== null && !findStudent(ctx.scope, fact.studentId))
    return problem('This person is not in the studio any more.')
  // A tablet may hold taps of a class that was made after the copy which this studio was put back from.
  if ('classId' in fact && fact.classId !== null && !findClass(ctx.scope, fact.classId))
    return problem(
      'That class is not here any more, so this is not recorded. Record it again on the person’s page.',
    )
  const keep = KEEP[fact.kind] as Keep<typeof fact.kind>
  const kept = keep(ctx, fact)
  return kept.ok && kept.value === 'known' && isAnothers(ctx, fact) ? problem(ANOTHERS) : kept
}

/** One id for two people: the second is told, not taken for the first (finding 23). */
const ANOTHERS = 'This entry has the mark of another person’s: it is not recorded. Tap it again.'

function isAnothers({ scope }: Context, fact: SentFact): boolean {
  const whose = whoseFact(scope, fact.id)
  return whose !== null && 'studentId' in fact && fact.studentId !== whose
}
