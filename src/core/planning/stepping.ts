import type { Brief, BriefPerson } from '../classes/brief'
import type { Doing } from '../classes/plan'
import type { Family } from '../practice/schema'
import { eyesOf, lightPoints, MOST_AT_ONCE, MOST_GENTLE, MOST_VERSIONS } from './deal'
import type { Model } from './model'
import { mayClimbTo } from './passable'
import { LIGHT_POINTS, type Variant } from './variants'

/** From this rung on, c, going on is an advance. */
const ADVANCE = 2

/** What a class is warmed up for and unloads, as bits of the practice's blocks. */
export type Prepared = { readonly warm: number; readonly owes: number }

/**
 * Adds to a block what its people go on to once what they do is clean: what may be stepped onto tonight (ruling 21), else the
 * next rung that is open to them; as many as the room holds if all of them do. Only what takes nothing from anybody: on the
 * mat, without pieces, tries or hands, with no limit acting on it, prepared and unloaded as the class is, and so that
 * versions and eyes suffice with everybody at the top.
 */
export function stepping(model: Model, brief: Brief, people: readonly Doing[], prepared: Prepared): Doing[] {
  const variantOf = (id: string | null): Variant | undefined => model.variants.find((v) => v.id === id)
  // Whoever helps somebody has eyes for them alone.
  if (people.some((p) => p.helper !== null)) return [...people]
  const now: Doing[] = [...people]
  now.forEach((doing, i) => {
    const person = brief.people.find((p) => p.studentId === doing.studentId)
    const track = model.people.find((p) => p.studentId === doing.studentId)?.track
    if (!person || !track || doing.variantId === null || doing.override !== null || doing.turns < 2) return
    const next = Object.values(person.families)
      .flatMap((reach) => reach.onto)
      .find(({ from }) => from === doing.variantId)
    const isReady = (v: Variant): boolean =>
      takesNothing(v) && (v.warm & ~prepared.warm) === 0 && (v.owes & ~prepared.owes) === 0
    const onto = variantOf(next?.stageId ?? null)
    // Beginning in a second family is no advance; going on in it is (ruling 16).
    const isNear =
      onto && (onto.family === track || (model.rungOf[model.variants.indexOf(onto)] ?? 0) < ADVANCE)
    const above =
      onto && isNear && isReady(onto) ? [onto] : nextOpen(model, person, track, doing).filter(isReady)
    // What others do anyhow comes first: it is explained already.
    const done = new Set(now.flatMap((p) => [p.variantId, p.then]))
    for (const variant of above.toSorted((a, b) => Number(done.has(b.id)) - Number(done.has(a.id)))) {
      now[i] = { ...doing, then: variant.id }
      if (holdsAtTop(now, variantOf, brief)) return
      now[i] = doing
    }
  })
  return now
}

/** The rungs directly above what somebody does that are open to them as they are. */
function nextOpen(
  model: Model,
  person: BriefPerson,
  track: Family,
  { variantId, inPlace }: Doing,
): readonly Variant[] {
  if (inPlace || variantId === null) return []
  return model.variants.filter((v) => v.follows.includes(variantId) && mayClimbTo(person, track, v.id))
}

/** No piece, place or hand, and no fall, weight on the head or work on the nape: those are reckoned with what is planned. */
function takesNothing({
  stands,
  bill,
  tries,
  helped,
  rig,
  load: { FR = 0, HB = 0, NF = 0 },
}: Variant): boolean {
  const isLow = tries === 0 && FR <= 1 && HB === 0 && NF <= 1
  return stands === 'mat' && bill.length === 0 && isLow && !helped && !rig
}

/** Whether versions and eyes suffice in every wave while anybody is where they began or where they may come to. */
function holdsAtTop(
  people: readonly Doing[],
  variantOf: (id: string | null) => Variant | undefined,
  { helpers }: Brief,
): boolean {
  const all = new Set(people.flatMap((p) => [p.variantId, p.then].flatMap((id) => variantOf(id) ?? [])))
  const gentle = [...all].filter((v) => v.gentle).length
  if (gentle > MOST_GENTLE || all.size - gentle > MOST_VERSIONS) return false
  const most = eyesOf(helpers)
  return [...new Set(people.map((p) => p.wave))].every((wave) => {
    const up = people.filter((p) => p.variantId !== null && (p.every || p.wave === wave))
    const versions = up.flatMap((p) => [p.variantId, p.then].flatMap((id) => variantOf(id) ?? []))
    const working = new Set(versions.filter((v) => !v.gentle))
    const each = up.map((p) => Math.max(...[p.variantId, p.then].map((id) => variantOf(id)?.points ?? 0)))
    const eyes = each.reduce((sum, points) => sum + (points > LIGHT_POINTS ? points : 0), 0)
    const light = people.length - each.filter((points) => points > LIGHT_POINTS).length
    return working.size <= MOST_AT_ONCE && eyes + lightPoints(light, most) <= most
  })
}
