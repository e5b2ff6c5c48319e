import type { FactOf, SentFact } from './fact'

export type RoundValues = {
  single?: string | undefined
  left?: string | undefined
  right?: string | undefined
}

/** What is said beside a value. */
export type Marks = {
  readonly faults: readonly string[]
  /** A prop or a wall that helped; empty where nothing did. */
  readonly aid: string
  readonly helped: boolean
  readonly spent: boolean
}

/** What a lane of a check round holds once its hand went up. */
export type RoundResult = Marks & { readonly id: string; readonly values: RoundValues }

/** A fact as a device's log holds it. */
export type Logged = { readonly fact: SentFact; readonly state: 'waiting' | 'refused' | 'stored' }

/** Facts of a log that count: what was refused does not, nor what was corrected or taken back since. */
export function standingFacts(log: readonly Logged[]): SentFact[] {
  const facts = log.flatMap((entry) => (entry.state === 'refused' ? [] : [entry.fact]))
  const gone = new Set(
    facts.flatMap((fact) =>
      fact.kind === 'taken-back'
        ? [fact.target]
        : 'replaces' in fact && fact.replaces !== null
          ? [fact.replaces]
          : [],
    ),
  )
  return facts.filter((fact) => fact.kind !== 'taken-back' && !gone.has(fact.id))
}

/** Results that a device took in a class, by check and person: the newest of each. */
export function roundResults(
  log: readonly Logged[],
  classId: string,
): Readonly<Record<string, Readonly<Record<string, RoundResult>>>> {
  const results: Record<string, Record<string, RoundResult>> = {}
  for (const fact of standingFacts(log)) {
    if (fact.kind !== 'observation' || fact.classId !== classId) continue
    results[fact.checkId] = { ...results[fact.checkId], [fact.studentId]: resultOf(fact) }
  }
  return results
}

function resultOf({ id, typed, faults, aid, help, arms }: FactOf<'observation'>): RoundResult {
  return { id, values: typed, faults, aid, helped: help !== 'alone', spent: arms === 'spent' }
}
