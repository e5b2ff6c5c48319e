import 'server-only'
import { z } from 'zod'
import { factSchema, type SentFact } from '@/core/facts/fact'
import { heardOf } from '@/core/facts/heard'
import { levelOfFact, reaches } from '@/core/access/roles'
import { isOfTheGround, sharedDb } from '@/db/open'
import { inOneGo, logFailure } from '../action'
import { keepFact } from './keep'
import { ring } from './live'
import type { FactAnswer, Received } from './wire'
import type { Who } from '../who'

/** Facts in one batch at most. */
const MOST = 100
const batchSchema = z.object({ facts: z.array(z.unknown()).max(MOST) })
const idOf = z.object({ id: z.uuid() })

/**
 * Takes a batch of facts from a device, each in a transaction of its own and each with its own answer: a spoilt one never
 * holds the others up. Sending the same batch again changes nothing.
 * @returns null where the body is no batch at all
 */
export function receive(raw: unknown, who: Who): Received | null {
  const batch = batchSchema.safeParse(raw)
  if (!batch.success) return null
  const answers = batch.data.facts.flatMap((fact): FactAnswer[] => {
    const named = idOf.safeParse(fact)
    return named.success ? [answerTo(named.data.id, fact, who)] : []
  })
  return { answers }
}

/** What was written for people ends with a full stop; anything else is the parser's own. */
function asSentence(message = ''): string {
  return message.endsWith('.') ? message : 'It cannot be read, so it is not recorded.'
}

/** Other screens of the same class hear of it once it is on the disk. */
function tellScreens(fact: SentFact): void {
  const line = { deviceId: fact.deviceId, heard: heardOf(fact) }
  if (fact.kind === 'taken-back') ring(null, line)
  else if ('classId' in fact && fact.classId !== null) ring(fact.classId, line)
}

function answerTo(id: string, raw: unknown, who: Who): FactAnswer {
  const parsed = factSchema.safeParse(raw)
  if (!parsed.success) return { id, state: 'refused', why: asSentence(parsed.error.issues[0]?.message) }
  try {
    // Whether the store opens at all is no fault of the fact.
    sharedDb()
    // A tablet in other hands takes tonight's words; what its teacher tapped before waits until it is given back.
    if (who.privacy.passed && parsed.data.kind !== 'check-in') return { id, state: 'again' }
    // A locked screen's judgements wait for the password; what was seen goes on being stored.
    if (who.actor.locked && !reaches('device', levelOfFact(parsed.data.kind))) return { id, state: 'again' }
    const kept = inOneGo((ctx) => keepFact(ctx, parsed.data), who)
    if (kept.ok && kept.value === 'stored') tellScreens(parsed.data)
    return kept.ok
      ? { id, state: kept.value }
      : { id, state: 'refused', why: kept.problems[0]?.message ?? 'It cannot be stored.' }
  } catch (error) {
    const number = logFailure('fact', error)
    // A full disk, a held lock, a broken file: nothing about the fact is wrong, so it waits.
    if (isOfTheGround(error)) return { id, state: 'again' }
    // Anything else would be so at every try: it ends here, in view.
    return { id, state: 'refused', why: `It could not be recorded (noted under ${number}). Record it again.` }
  }
}
