import type { Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import { closes, type Limits } from './caps'

/** A way out of a stage, as the practice has it. */
export type WayOut = Library['exits'][number]

/**
 * The ways out of a stage that limits leave somebody, in the order in which the practice names them: a way out carries
 * loads of its own, and a tucked roll is none for a neck that nothing may rest on (ruling 1). Where limits close every
 * one, none.
 */
export function waysOut(
  { exits }: Pick<Library, 'exits'>,
  stage: Pick<Stage, 'exits'>,
  limits: Limits,
): WayOut[] {
  return stage.exits
    .flatMap((id) => exits.filter((exit) => exit.id === id))
    .filter(({ load }) => !closes(limits, load))
}
