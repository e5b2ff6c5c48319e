import { z } from 'zod'
import { attemptFact, classEventFact, drillFact, type SentFact } from './fact'

/**
 * What the screens of a class hear of a fact, so that they fold it into what they show in place of reading the whole page
 * anew. Nothing is in it that the floor's page does not show.
 */
const heardSchema = z.discriminatedUnion('kind', [
  attemptFact.pick({
    ...{ kind: true, id: true, hlc: true, studentId: true, stageId: true, level: true, outcome: true },
    ...{ exitControlled: true, faults: true, endedBy: true, replaces: true },
  }),
  drillFact.pick({ kind: true, id: true, studentId: true, drillId: true, replaces: true }),
  classEventFact.pick({
    kind: true,
    id: true,
    day: true,
    hlc: true,
    event: true,
    atMs: true,
    blockIndex: true,
  }),
  z.object({ kind: z.literal('taken-back'), target: z.string() }),
  // Whatever else it was: roster, limits or words may be others, and the page is read anew.
  z.object({ kind: z.literal('other') }),
])
export type Heard = z.output<typeof heardSchema>

/** One line of the bell: which device recorded something, and what. */
export const bellSchema = z.object({ deviceId: z.string(), heard: heardSchema })
export type BellLine = z.output<typeof bellSchema>

/** What a fact is to the screens of its class: the fields of it that they show, and no others. */
export function heardOf(fact: SentFact): Heard {
  const heard = heardSchema.safeParse(fact)
  return heard.success ? heard.data : { kind: 'other' }
}
