import 'server-only'
import { findById } from '@/core/practice/find'
import { FAMILIES, type Family } from '@/core/practice/schema'
import type { Context } from '../context'
import { FAMILY_NAMES } from '@/core/words/family'
import { describeLoad } from '@/core/words/load'
import { describeAsked } from '@/core/words/reason'

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
  rung: string
  exits: string[]
  faults: string[]
}

/** The family in a link, or forearm stand. */
export function familyFrom(text: string | undefined): Family {
  return FAMILIES.find((family) => family === text) ?? 'FS'
}

/** The stages of a family as cards, in ladder order. */
export function stageCards({ practice }: Context, family: Family): StageCard[] {
  return practice.stages
    .filter((stage) => stage.family === family)
    .map(({ id, name, sanskrit = '', do: doing, lookFor, cue, why, gates, load, rung, exits, faults }) => ({
      id,
      name,
      sanskrit,
      do: doing,
      lookFor,
      cue,
      why,
      gates: gates.map((gate) => {
        const check = findById(practice.checks, gate.check)
        return describeAsked(gate, check)
      }),
      load: describeLoad(load),
      rung,
      exits: exits.map((exit) => findById(practice.exits, exit).name),
      faults: faults.slice(0, 4).map((fault) => findById(practice.faults, fault).name),
    }))
}

/** Families to pick from, as the board names them. */
export function familyNames(): [code: string, name: string][] {
  return Object.entries(FAMILY_NAMES)
}
