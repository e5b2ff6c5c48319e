import type { Brief } from '../classes/brief'
import { isWork, type Plan } from '../classes/plan'
import type { Library } from '../practice/library'
import type { Result } from '../result'
import { dealt, evaluator } from './evaluate'
import { improve } from './improve'
import type { Model } from './model'
import { planFrom, startsFor, type Planned, type PlanRefusal } from './plan-class'
import type { State } from './state'

/** States beyond the plan before: enough to mend what an edit broke, short enough that nobody waits. */
const NEARBY = 2000

/**
 * A plan made again after an edit: it begins from the plan before and pays a point for every version that changes for
 * somebody, so that what the edit is not about stays as it was.
 */
export function planNear(
  practice: Library,
  brief: Brief,
  before: Plan,
  count = NEARBY,
): Result<Planned, PlanRefusal> {
  const started = startsFor(practice, brief)
  if (!started.ok) return started
  const { model, starts } = started.value
  const priced = pricedBy(model, before)
  const { evaluate } = evaluator(priced)
  const held = stateOf(model, before)
  const found = improve(
    priced,
    [...(held ? [held] : []), ...starts.map((s) => s.state)]
      .map((state) => ({ state, outcome: dealt(evaluate(state)) }))
      .sort((a, b) => b.outcome.points - a.outcome.points),
    count,
  )
  if (!found) return planFrom(model, brief, null)
  // What it cost to change is no part of what the plan is worth.
  return planFrom(model, brief, {
    state: found.state,
    outcome: dealt(evaluator(model).evaluate(found.state)),
  })
}

/** The model in which every other version than the one before costs a point; its blocks are its own. */
function pricedBy(model: Model, before: Plan): Model {
  const was = new Map(
    before.blocks
      .filter(isWork)
      .map((b) => [b.purpose, new Map(b.people.map((p) => [p.studentId, p.variantId]))]),
  )
  return {
    ...model,
    slots: model.slots.map((slot) => {
      const block = was.get(slot.purpose.id)
      return {
        ...slot,
        options: slot.options.map((options, p) => {
          const id = block?.get(model.people[p]?.studentId ?? '')
          return options.map((o) =>
            id === undefined || model.variants[o.v]?.id === id ? o : { ...o, outside: o.outside + CHANGED },
          )
        }),
      }
    }),
  }
}

/** What it costs that somebody does something else than before, points. */
const CHANGED = 2

/** A plan said in a model: its blocks, lengths and versions, where the model has them. Null where it has not. */
export function stateOf(model: Model, plan: Plan): State | null {
  const blocks = plan.blocks.filter(isWork)
  const off = model.people.map(() => -1)
  const chosen = model.slots.map((slot) => {
    const block = blocks.find((b) => b.purpose === slot.purpose.id)
    if (!block) return { config: -1, option: off }
    const config = slot.configs.findIndex(
      // Turns are as long as the slowest needs: only what is stayed in differs by nothing else.
      (c) =>
        c.sets === block.sets &&
        c.waves === block.waves &&
        (block.kind === 'stay' ? c.workS >= block.workS : block.kind !== 'ease' || c.workS === block.workS),
    )
    const option = model.people.map(({ studentId }, p) => {
      const id = block.people.find((d) => d.studentId === studentId)?.variantId
      return (slot.options[p] ?? []).findIndex((o) => model.variants[o.v]?.id === id)
    })
    return { config, option, isLost: config < 0 }
  })
  if (chosen.some((c) => 'isLost' in c && c.isLost)) return null
  return { config: chosen.map((c) => c.config), option: chosen.map((c) => c.option) }
}
