import type { Brief } from '../classes/brief'
import type { Doing } from '../classes/plan'
import { ASSISTANT_POINTS, MOST_AT_ONCE, MOST_GENTLE, MOST_VERSIONS, TEACHER_POINTS } from './deal'
import type { Model } from './model'
import { LIGHT_POINTS, type Variant } from './variants'

/**
 * Adds to a block what its people step onto tonight once what they do is clean (ruling 21): as many as the room holds if
 * all of them do. Only what takes nothing from anybody: on the mat, without pieces, tries or hands, with no limit acting on
 * it, and so that versions and eyes suffice with everybody at the top.
 */
export function stepping(model: Model, brief: Brief, people: readonly Doing[]): Doing[] {
  const variantOf = (id: string | null): Variant | undefined => model.variants.find((v) => v.id === id)
  // Whoever helps somebody has eyes for them alone.
  if (people.some((p) => p.helper !== null)) return [...people]
  const now: Doing[] = [...people]
  now.forEach((doing, i) => {
    const person = brief.people.find((p) => p.studentId === doing.studentId)
    const next = Object.values(person?.families ?? {})
      .flatMap((reach) => reach.onto)
      .find(({ from }) => from === doing.variantId)
    const variant = variantOf(next?.stageId ?? null)
    if (!person || !variant || !takesNothing(variant)) return
    now[i] = { ...doing, then: variant.id }
    if (!holdsAtTop(now, variantOf, brief)) now[i] = doing
  })
  return now
}

function takesNothing({ stands, bill, tries, helped, rig }: Variant): boolean {
  return stands === 'mat' && bill.length === 0 && tries === 0 && !helped && !rig
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
  const most = TEACHER_POINTS + ASSISTANT_POINTS * helpers.length
  return [...new Set(people.map((p) => p.wave))].every((wave) => {
    const up = people.filter((p) => p.variantId !== null && (p.every || p.wave === wave))
    const versions = up.flatMap((p) => [p.variantId, p.then].flatMap((id) => variantOf(id) ?? []))
    const working = new Set(versions.filter((v) => !v.gentle))
    const eyes = up.reduce((sum, p) => {
      const points = [p.variantId, p.then].map((id) => variantOf(id)?.points ?? 0)
      return sum + Math.max(...points)
    }, 0)
    const waiting = people.length - up.length
    return working.size <= MOST_AT_ONCE && eyes + LIGHT_POINTS * waiting <= most
  })
}
