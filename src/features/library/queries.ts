import 'server-only'
import { pictureOf, viewOf, type Picture } from '@/core/figure/picture'
import { carriedBy, type Carried } from '@/core/mechanics/carried'
import { rightBesideWrong } from '@/core/mechanics/beside'
import { pictureFor, positionFor } from '@/core/figure/picture-of'
import { entriesOf, findEntry, KINDS, type Entry, type Kind } from '@/core/library/entries'
import { linksOf } from '@/core/library/links'
import { indexOf, search } from '@/core/library/search'
import { BREATH_S, fitDose } from '@/core/practice/dose'
import { partsOfDose, type DosePart } from '@/core/practice/dose-run'
import type { Library } from '@/core/practice/library'
import { FAMILIES, type Family } from '@/core/practice/schema'
import { findById } from '@/core/practice/find'
import { NO_LIMITS } from '@/core/screening/caps'
import { pathOf } from '@/core/readiness/path'
import { FAMILY_NAMES } from '@/core/words/family'
import { KIND_WORD, RELATION_WORD } from '@/core/words/kinds'
import { length } from '@/core/words/number'
import { describeLoads } from '@/core/words/setup'
import { linesOf, type Line } from '@/core/words/library-page'
import { anyBody, AVERAGE_CM } from '../body'
import type { Context } from '../context'

/** An entry as it stands in a list. */
export type Card = { id: string; name: string; kind: string; picture: Picture | null }

/** What a step asks arms and head to carry, drawn and said. */
export type StepLoad = { carried: Carried; words: string }

export type EntryPage = {
  id: string
  name: string
  kind: string
  also: string
  picture: Picture | null
  lines: Line[]
  links: { title: string; to: { id: string; name: string; picture: Picture | null }[] }[]
  /** For a fault that can be drawn: right beside wrong, in one view. */
  beside: { right: Picture; wrong: Picture; view: Picture['view'] } | null
  /** Its dose part by part, for what is done by the clock or counted. */
  parts: DosePart[]
  /** Where it can be measured on a body, for what is built. */
  bench: string | null
}

/** One step of a progression with its branches, drawn. */
export type MapStep = { name: string; rung: string; steps: (Card & { load: StepLoad | null })[] }

/** The height of the body that everything is drawn on, in words. */
export function drawnHeight({ studio }: Context): string {
  return length(AVERAGE_CM, studio)
}

/** The family in a link, or forearm stand. */
export function familyFrom(text: string | undefined): Family {
  return FAMILIES.find((family) => family === text) ?? 'FS'
}

/** The kind in a link; null where none is asked for. */
export function kindFrom(text: string | undefined): Kind | null {
  return KINDS.find((kind) => kind === text) ?? null
}

/** Families to pick from, as the board names them. */
export function familyNames(): [code: string, name: string][] {
  return Object.entries(FAMILY_NAMES)
}

/** Kinds to pick from, without the steps: they have their map. */
export function kindNames(): [kind: Kind, name: string][] {
  return KINDS.filter((kind) => kind !== 'stage').map((kind) => [kind, KIND_WORD[kind][1]])
}

function cardOf(practice: Library, { id, name, kind }: Entry): Card {
  return { id, name, kind: KIND_WORD[kind][0], picture: pictureFor(practice, id, anyBody()) }
}

/** Everything of one kind, in the practice’s own order. */
export function listOf({ practice }: Context, kind: Kind): Card[] {
  return entriesOf(practice)
    .filter((entry) => entry.kind === kind)
    .map((entry) => cardOf(practice, entry))
}

/**
 * A family’s progression: every numbered step with its branches.
 * @param weighed with what each asks the body to carry, where its shape is solved
 */
export function mapOf({ practice }: Context, family: Family, weighed: boolean): MapStep[] {
  const nobody = { family, standing: null, targetId: null, branches: [], outcome: 'build' as const }
  return pathOf(practice, nobody, new Set(), NO_LIMITS, new Set()).map(({ name, steps }) => ({
    name,
    rung: steps[0]?.stage.rung ?? '',
    steps: steps.flatMap(({ stage }) => {
      const entry = findEntry(practice, stage.id)
      const load = weighed ? loadOf(practice, stage.id) : null
      return entry ? [{ ...cardOf(practice, { ...entry, name: stage.short ?? stage.name }), load }] : []
    }),
  }))
}

function loadOf(practice: Library, id: string): StepLoad | null {
  const position = positionFor(practice, id, anyBody())
  return position && { carried: carriedBy(position), words: describeLoads(position) }
}

const indexes = new WeakMap<Library, ReturnType<typeof indexOf>>()

/** What answers a question, best first. */
export function found({ practice }: Context, asked: string): Card[] {
  const index = indexes.get(practice) ?? indexOf(entriesOf(practice))
  indexes.set(practice, index)
  return search(index, asked).flatMap((id) => {
    const entry = findEntry(practice, id)
    return entry ? [cardOf(practice, entry)] : []
  })
}

/** One thing of the practice to read, with everything it points at and is pointed at by; null where there is none. */
export function entryPage({ practice, studio }: Context, id: string): EntryPage | null {
  const entry = findEntry(practice, id)
  if (!entry) return null
  return {
    id,
    name: entry.name,
    kind: KIND_WORD[entry.kind][0],
    also: sanskritOf(practice, entry),
    picture: pictureFor(practice, id, anyBody()),
    lines: linesOf(practice, entry, studio),
    links: linksOf(practice, id).map(({ relation, to }) => ({
      title: RELATION_WORD[relation],
      to: to.map((other) => ({
        id: other.id,
        name: other.name,
        picture: pictureFor(practice, other.id, anyBody()),
      })),
    })),
    beside: besideOf(entry),
    parts: partsOf(practice, entry),
    bench: entry.kind === 'setup' ? `/setups?setup=${id}` : null,
  }
}

function besideOf({ id }: Entry): EntryPage['beside'] {
  const pair = rightBesideWrong(id, anyBody())
  if (!pair?.ok) return null
  const { right, wrong } = pair.value
  return { right: pictureOf(right), wrong: pictureOf(wrong), view: viewOf([right, wrong]) }
}

function partsOf(practice: Library, { id, kind }: Entry): DosePart[] {
  if (kind !== 'drill' && kind !== 'stage') return []
  const { dose } = kind === 'drill' ? findById(practice.drills, id) : findById(practice.stages, id)
  return partsOfDose(fitDose(dose, { breathS: BREATH_S }))
}

function sanskritOf(practice: Library, { id, kind }: Entry): string {
  if (kind === 'stage') return findById(practice.stages, id).sanskrit ?? ''
  return kind === 'drill' ? (findById(practice.drills, id).sanskrit ?? '') : ''
}
