import 'server-only'
import { findById, library } from '@/core/practice/library'
import { describeLoad } from '@/core/words/load'
import { threshold } from '@/core/words/reason'

export type StageCard = {
  id: string
  name: string
  sanskrit: string
  do: string
  lookFor: string
  cue: string
  why: string
  gates: string[]
  load: string
}

/** Every stage as a card, in ladder order. */
export function stageCards(): StageCard[] {
  const practice = library()
  return practice.stages.map(({ id, name, sanskrit = '', do: doing, lookFor, cue, why, gates, load }) => ({
    id,
    name,
    sanskrit,
    do: doing,
    lookFor,
    cue,
    why,
    gates: gates.map((gate) => {
      const check = findById(practice.checks, gate.check)
      return `${check.name} ${threshold(gate, check)}`
    }),
    load: describeLoad(load),
  }))
}
