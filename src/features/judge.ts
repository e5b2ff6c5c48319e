import 'server-only'
import { floorCaps } from '@/core/approaches/floor'
import {
  hiddenStages,
  preferredStages,
  resolveApproaches,
  type Layers,
  type Resolved,
} from '@/core/approaches/resolve'
import type { Day } from '@/core/day'
import { library } from '@/core/practice/library'
import type { Family } from '@/core/practice/schema'
import { decide, type Decision, type Ways } from '@/core/readiness/decide'
import { NO_EVIDENCE, type Evidence } from '@/core/readiness/evidence'
import { conditionsOf } from '@/core/screening/answers'
import { capsOf, type Caps } from '@/core/screening/caps'
import { checkInOf, tonightsCaps, together, touchTonight, type CheckIn } from '@/core/screening/tonight'
import { answerTo, type OfferTap } from '@/core/readiness/offers'
import { readApproaches } from '@/db/approaches'
import { evidenceByStudent } from '@/db/evidence'
import { EMPTY_HEALTH, readAllHealth, type HealthFile } from '@/db/health'
import { listOfferTaps } from '@/db/offers'
import { keyOfHealth, type Context } from './context'

/** Everything that bears on what somebody may do, read once for a page or an action. */
export type Judge = {
  /** What stands: health, clearances and what this room does not do. */
  readonly limits: (studentId: string) => Caps
  /** The same with today's check-in on top: tonight's ceiling. */
  readonly tonight: (studentId: string) => Caps
  readonly checkIn: (studentId: string) => CheckIn | null
  readonly touch: (studentId: string) => CheckIn['touch']
  readonly health: (studentId: string) => HealthFile
  readonly evidence: (studentId: string) => Evidence
  /** Options in force for somebody, tonight's class included. */
  readonly approaches: (studentId: string | null) => ReadonlyMap<string, Resolved>
  /** The teacher’s answer to what is offered; null where nobody has looked. */
  readonly looked: (studentId: string, stageId: string) => OfferTap | null
  /** The standing decision: tonight's check-in has no part in it. */
  readonly decide: (studentId: string, with_?: Ask) => Decision
}

/** What to ask the engine with, where it is not the usual. */
type Ask = {
  readonly family?: Family
  readonly evidence?: Evidence
  /** Another day than today: what was known then, and the limits that stood then. */
  readonly asOf?: Day
  /** Choices to try out in place of those stored. */
  readonly layers?: (stored: Layers) => Layers
}

/** Reads facts, health, approaches and the studio's floor once, and answers for anybody. */
export function judgeFor(ctx: Context, classId: string | null = null): Judge {
  const practice = library()
  const { today, studio } = ctx
  const files = readAllHealth(ctx.db, keyOfHealth())
  const facts = evidenceByStudent(ctx.db)
  const book = readApproaches(ctx.db)
  const room = floorCaps(studio.floor)
  const taps = listOfferTaps(ctx.db)
  const known = new Map<string, Caps>()

  const health = (id: string): HealthFile => files.get(id) ?? EMPTY_HEALTH
  const limitsOn = (id: string, day: Day): Caps => {
    const { screening, clearances } = health(id)
    return together(capsOf(practice, screening, clearances, day), room)
  }
  const limits = (id: string): Caps => {
    const found = known.get(id) ?? limitsOn(id, today)
    known.set(id, found)
    return found
  }
  const checkIn = (id: string): CheckIn | null => checkInOf(health(id).checkIns, today)
  const resolve = (layers: Layers): ReadonlyMap<string, Resolved> =>
    resolveApproaches(practice, layers, studio.floor.forbidden)
  const waysFor = (id: string, layers: (stored: Layers) => Layers): Ways => {
    const inForce = resolve(layers(book.layersFor(id, classId)))
    return { hidden: hiddenStages(practice, inForce), prefers: preferredStages(practice, inForce) }
  }
  return {
    limits,
    checkIn,
    health,
    tonight: (id) => {
      const said = checkIn(id)
      return said ? together(limits(id), tonightsCaps(practice, said, today)) : limits(id)
    },
    touch: (id) => touchTonight(conditionsOf(practice, health(id).screening, today).set, checkIn(id)),
    evidence: (id) => facts.get(id) ?? NO_EVIDENCE,
    approaches: (id) => resolve(book.layersFor(id, classId)),
    looked: (id, stageId) => answerTo(taps, id, stageId, ctx.nowMs),
    decide: (
      id,
      {
        family = 'FS',
        evidence = facts.get(id) ?? NO_EVIDENCE,
        asOf = today,
        layers = (l: Layers) => l,
      } = {},
    ) =>
      decide(
        practice,
        family,
        id,
        evidence,
        asOf === today ? limits(id) : limitsOn(id, asOf),
        asOf,
        waysFor(id, layers),
      ),
  }
}
