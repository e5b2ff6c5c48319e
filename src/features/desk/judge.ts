import 'server-only'
import { askedBy, handsOff } from '@/core/approaches/effects'
import { floorCaps } from '@/core/approaches/floor'
import {
  hiddenStages,
  preferredStages,
  resolveApproaches,
  type Layers,
  type Resolved,
} from '@/core/approaches/resolve'
import type { Day } from '@/core/day'
import type { Family } from '@/core/practice/schema'
import { decide, type Decision, type Ways } from '@/core/readiness/decide'
import { foldEvidence, type Evidence } from '@/core/readiness/evidence'
import { answerTo, type OfferTap } from '@/core/readiness/offers'
import { conditionsOf } from '@/core/screening/answers'
import { capsAfter } from '@/core/incident/consequence'
import { capsFrom, capsOf, NO_LIMITS, type Caps } from '@/core/screening/caps'
import { capsSeen } from '@/core/screening/seen'
import { needsGuardian, withAge } from '@/core/screening/minor'
import { SHUT_LIMITS } from '@/core/screening/shut'
import { checkInOf, tonightsCaps, together, touchTonight, type CheckIn } from '@/core/screening/tonight'
import { readApproaches } from '@/db/approaches'
import { evidenceOf } from '@/db/evidence'
import { readHealth, type HealthFile } from '@/db/health'
import { reportedOf } from '@/db/incidents'
import { offerTapsOf } from '@/db/offers'
import { ageOf } from '@/db/students'
import type { Context } from '../context'

/** Everything that bears on what people may do on a day; each person is read once, when first asked about. */
export type Judge = {
  readonly day: Day
  /** What stands: health, clearances and what this room does not do. */
  readonly limits: (studentId: string) => Caps
  /** The same with that day's check-in on top: its ceiling. */
  readonly tonight: (studentId: string) => Caps
  readonly checkIn: (studentId: string) => CheckIn | null
  readonly touch: (studentId: string) => CheckIn['touch']
  readonly health: (studentId: string) => HealthFile
  readonly evidence: (studentId: string) => Evidence
  /** Options in force for somebody, the class's included. */
  readonly approaches: (studentId: string | null) => ReadonlyMap<string, Resolved>
  /** What those options hide, prefer and ask for. */
  readonly ways: (studentId: string) => Ways
  /** The teacher’s answer to what is offered; null where nobody has looked. */
  readonly looked: (studentId: string, stageId: string) => OfferTap | null
  /** The standing decision: a check-in has no part in it. */
  readonly decide: (studentId: string, family: Family, with_?: Ask) => Decision
}

/** What to ask the engine with, where it is not the usual. */
type Ask = {
  readonly evidence?: Evidence
  /** Another day than the judge's: what was known then, and the limits that stood then. */
  readonly asOf?: Day
  /** Other limits than those that stand. */
  readonly limits?: Caps
  /** Choices to try out in place of those stored. */
  readonly layers?: (stored: Layers) => Layers
}

/** For a class: its own ways of working and its own day. */
type ForClass = { readonly id: string; readonly day: Day }

/**
 * Answers for anybody from their facts, health and answers, and reads nobody who is not asked about.
 * @param class_ the class it is for; without one, today outside any class
 */
export function judgeOf(ctx: Context, class_: ForClass | null = null): Judge {
  const { scope, practice, studio, clock } = ctx
  const day = class_?.day ?? clock.today
  const book = readApproaches(scope)
  const room = floorCaps(studio.floor)
  const health = once((id: string) => readHealth(scope, ctx.health.key, id))
  const evidence = once((id: string) => evidenceOf(scope, id))
  const reported = once((id: string) => reportedOf(scope, ctx.health.key, id))
  const age = once((id: string) => ageOf(scope, id))
  const conditions = once((id: string) => conditionsOf(practice, health(id).screening, day))
  const taps = once((id: string) => offerTapsOf(scope, [id]))
  const limitsOn = (id: string, on: Day): Caps => {
    const { screening, clearances, shut } = health(id)
    const said =
      on === day
        ? capsFrom(practice, conditions(id), clearances, on)
        : capsOf(practice, screening, clearances, on)
    const own = withAge(practice, said, age(id), on)
    const seen = {
      ...NO_LIMITS,
      caps: [
        ...capsSeen(practice, foldEvidence(evidence(id), on).observations, on),
        ...capsAfter(reported(id), screening.asked ?? null, on),
      ],
    }
    return shut ? together(own, seen, room, SHUT_LIMITS) : together(own, seen, room)
  }
  const limits = once((id: string) => limitsOn(id, day))
  const checkIn = (id: string): CheckIn | null => checkInOf(health(id).checkIns, day)
  const resolve = (layers: Layers): ReadonlyMap<string, Resolved> =>
    resolveApproaches(practice, layers, studio.floor.forbidden)
  const waysFor = (id: string, layers: (stored: Layers) => Layers): Ways => {
    const inForce = resolve(layers(book.layersFor(id, class_?.id ?? null)))
    return {
      hidden: hiddenStages(practice, inForce),
      prefers: preferredStages(practice, inForce),
      asks: askedBy(practice, inForce),
    }
  }
  const approaches = once((id: string) => resolve(book.layersFor(id, class_?.id ?? null)))
  return {
    day,
    limits,
    checkIn,
    health,
    tonight: (id) => {
      const said = checkIn(id)
      return said ? together(limits(id), tonightsCaps(practice, said, day)) : limits(id)
    },
    // A way that keeps hands off, and a guardian who has not agreed, stand above what anybody would let happen.
    touch: (id) =>
      handsOff(practice, approaches(id)) || needsGuardian(age(id), day)
        ? 'no'
        : touchTonight(conditions(id).set, checkIn(id)),
    evidence,
    approaches: (id) => (id === null ? resolve(book.layersFor(null, class_?.id ?? null)) : approaches(id)),
    ways: (id) => waysFor(id, (stored) => stored),
    looked: (id, stageId) => answerTo(taps(id), id, stageId, clock.nowMs),
    decide: (
      id,
      family,
      {
        evidence: facts = evidence(id),
        asOf = day,
        limits: under = asOf === day ? limits(id) : limitsOn(id, asOf),
        layers = (l: Layers) => l,
      } = {},
    ) => decide(practice, family, id, facts, under, asOf, waysFor(id, layers)),
  }
}

/** Reads somebody once, however often they are asked about. */
function once<T>(read: (id: string) => T): (id: string) => T {
  const known = new Map<string, T>()
  return (id) => {
    const found = known.get(id)
    if (found !== undefined) return found
    const made = read(id)
    known.set(id, made)
    return made
  }
}
