import type { Brief, BriefPerson } from '../classes/brief'
import type { WorkKind } from '../classes/fixed'
import { usedFor } from '../practice/ask'
import type { Library } from '../practice/library'
import type { ClassUse } from '../practice/schema-pictures'
import type { Family } from '../practice/schema'
import type { Capability } from '../readiness/capabilities'
import { besideThem, ladderOf, leadsTo } from '../readiness/ladder'
import { BOTH_FROM_MIN } from './skeleton'
import type { Variant } from './variants'

/** What a block may be for, and which variants serve it: its own, and others of the same purpose by other means. */
export type Purpose = {
  /** `skill:FS`, `train:SP`. */
  readonly id: string
  readonly kind: WorkKind
  readonly family: Family | null
  readonly capability: Capability | null
  readonly own: readonly number[]
  readonly subs: readonly number[]
  readonly needed: boolean
}

/** A drill that trains a capability so much is its own. */
const OWN_FROM = 2

/** Courage is never a block's purpose (ruling 10), and hips for lotus are nobody's conditioning. */
const NOT_TRAINED: ReadonlySet<string> = new Set(['CF', 'HR'])

/** Capabilities that a block of strength may be for: those that some drill trains. */
export function trainable({ capabilities, drills }: Library): Library['capabilities'] {
  return capabilities.filter(
    ({ id }) => !NOT_TRAINED.has(id) && drills.some((d) => (d.for[id] ?? 0) >= OWN_FROM),
  )
}

/** How many capabilities conditioning may be offered for. */
const OFFERED = 4

/** Every purpose that a class may have a block for, in the usual order. */
export function purposesOf(practice: Library, brief: Brief, variants: readonly Variant[]): Purpose[] {
  const { aim, minutes, fixed } = brief
  const [main, second] = aim.families
  if (aim.kind === 'restorative') return easePurposes(practice, variants, minutes)
  const found: Purpose[] = []
  const both = minutes >= BOTH_FROM_MIN
  const turned = aim.families.filter((f) => f !== STAYED)
  if (hasStays(aim)) found.push(...withStays(practice, turned, variants, both))
  else {
    found.push(stagePurpose(practice, 'skill', main ?? 'FS', variants, both))
    if (second && both) found.push(stagePurpose(practice, 'support', second, variants, true))
    if (aim.kind !== 'strength') found.push(peakPurpose(practice, aim.families, variants, both))
  }
  if (aim.kind !== 'workshop')
    for (const capability of fixed.train ?? lackedMost(brief)) {
      const made = trainPurpose(capability as Capability, variants)
      if (made.own.length > 0) found.push(made)
    }
  return found
}

/** The family whose shapes are built once and stayed in (ruling 24). */
const STAYED: Family = 'SH'

/** Whether a class has a block of stays in place of turns for that family. */
export function hasStays({ kind, families }: Brief['aim']): boolean {
  return (kind === 'practice' || kind === 'workshop') && families.includes(STAYED)
}

/** Stays beside what is done in sets and turns; in a class of two families the other one has the turns. */
function withStays(
  practice: Library,
  turned: readonly Family[],
  variants: readonly Variant[],
  both: boolean,
): Purpose[] {
  const [main] = turned
  const own = indices(variants, (v) => v.stays && v.family === STAYED)
  const stay: Purpose = {
    ...{ id: `stay:${STAYED}`, kind: 'stay', family: STAYED, capability: null, needed: both, own },
    subs: indices(variants, (v) => v.kind !== 'stage' && usedFor(practice, 'stay').includes(v.id)),
  }
  if (main === undefined) return [stagePurpose(practice, 'skill', STAYED, variants, both), stay]
  return [
    stagePurpose(practice, 'skill', main, variants, both),
    ...(both ? [stagePurpose(practice, 'support', STAYED, variants, false)] : []),
    peakPurpose(practice, turned, variants, both),
    stay,
  ]
}

function stagePurpose(
  practice: Library,
  kind: 'skill' | 'support',
  family: Family,
  variants: readonly Variant[],
  needed: boolean,
): Purpose {
  // What leads to it from another family is of it as well: for whoever has nothing else of it yet.
  const leads = leadsTo(practice, family)
  const own = indices(variants, (v) => v.kind === 'stage' && leads.has(v.id) && v.tries === 0 && !v.stays)
  return {
    id: `${kind}:${family}`,
    kind,
    family,
    capability: null,
    own,
    subs: subsFor(practice, family, variants),
    needed,
  }
}

function peakPurpose(
  practice: Library,
  families: readonly Family[],
  variants: readonly Variant[],
  needed: boolean,
): Purpose {
  // The advanced follow the family they are reached from.
  const stages = new Set(families.flatMap((f) => ladderOf(practice, f).stages.map((s) => s.id)))
  const ladder = new Set([...stages, ...besideThem(practice, stages).map(({ id }) => id)])
  return {
    ...{
      id: `peak:${families.join('+')}`,
      kind: 'peak',
      family: families[0] ?? null,
      capability: null,
      needed,
    },
    own: indices(variants, (v) => ladder.has(v.id)),
    subs: [...new Set(families.flatMap((f) => subsFor(practice, f, variants)))],
  }
}

function trainPurpose(capability: Capability, variants: readonly Variant[]): Purpose {
  const trains = (least: number) => (v: Variant) =>
    v.kind === 'drill' && v.tries === 0 && (v.trains[capability] ?? 0) >= least
  const own = indices(variants, trains(OWN_FROM))
  const subs = indices(variants, (v) => v.kind === 'drill' && v.tries === 0 && v.gentle)
  return {
    ...{ id: `train:${capability}`, kind: 'train', family: null, capability, needed: false },
    own,
    subs: [...indices(variants, trains(1)), ...subs].filter(
      (i, at, all) => !own.includes(i) && all.indexOf(i) === at,
    ),
  }
}

function easePurposes(practice: Library, variants: readonly Variant[], minutes: number): Purpose[] {
  const of = (use: ClassUse): number[] => indices(variants, (v) => usedFor(practice, use).includes(v.id))
  const count = Math.max(2, Math.min(6, Math.floor(minutes / 12)))
  return Array.from({ length: count }, (_, i) => ({
    ...{ id: `ease:${i + 1}`, kind: 'ease', family: 'SH', capability: null, needed: i < 2 },
    own: of('stay'),
    subs: of('stay-otherwise'),
  }))
}

/** The same purpose by other means: drills without tries that train what the family's checks ask for most. */
function subsFor(practice: Library, family: Family, variants: readonly Variant[]): readonly number[] {
  const known = subs.get(variants) ?? new Map<Family, readonly number[]>()
  subs.set(variants, known)
  const made = known.get(family) ?? findSubs(practice, family, variants)
  known.set(family, made)
  return made
}

const subs = new WeakMap<readonly Variant[], Map<Family, readonly number[]>>()

function findSubs(practice: Library, family: Family, variants: readonly Variant[]): number[] {
  const asked = demandOf(practice, family)
  const most = [...asked]
    .sort((a, b) => b[1] - a[1])
    .slice(0, 4)
    .map(([id]) => id)
  return indices(
    variants,
    (v) =>
      v.kind === 'drill' && v.tries === 0 && most.reduce((sum, c) => sum + (v.trains[c] ?? 0), 0) >= OWN_FROM,
  )
}

/** How often a family's stages ask for each capability, read from the checks of their gates. */
function demandOf({ stages, capabilities }: Library, family: Family): Map<Capability, number> {
  const found = new Map<Capability, number>()
  for (const { gates } of stages.filter((s) => s.family === family))
    for (const { id, checks } of capabilities)
      if (gates.some((g) => checks.includes(g.check))) found.set(id, (found.get(id) ?? 0) + 1)
  return found
}

/** What the class is shortest of, weighted by how near each is to their next stage. */
function lackedMost({ people, aim }: Brief): string[] {
  const sums = new Map<string, number>()
  for (const person of people) {
    const { closeness, lacks } = trackReach(person, aim.families) ?? { closeness: 0, lacks: {} }
    for (const [c, share] of Object.entries(lacks).filter(([c]) => !NOT_TRAINED.has(c)))
      sums.set(c, (sums.get(c) ?? 0) + weightOf(closeness) * share)
  }
  const found = [...sums].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([c]) => c)
  // Where nothing is known to be short, the push and the middle are worth the minutes in every family.
  return [...new Set([...found, 'SP', 'HB', 'CC'])].slice(0, OFFERED)
}

/** How much somebody counts: those near their next stage more (planner, §4). */
export function weightOf(closeness: number): number {
  return 0.4 + 0.6 * closeness
}

/** The family somebody works towards in a class of two: where more is offered, else the first that is open to them. */
export function trackOf(person: BriefPerson, families: readonly Family[]): Family {
  const worth = (f: Family): number => {
    const reach = person.families[f]
    if (!reach || reach.open.length === 0) return -1
    return (reach.targetId !== null && reach.open.includes(reach.targetId) ? 1 : 0) + reach.closeness
  }
  const [first = 'FS', ...others] = families
  return others.reduce((best, f) => (worth(f) > worth(best) ? f : best), first)
}

function trackReach(person: BriefPerson, families: readonly Family[]) {
  return person.families[trackOf(person, families)]
}

function indices(variants: readonly Variant[], of: (variant: Variant) => boolean): number[] {
  return variants.flatMap((v, i) => (of(v) ? [i] : []))
}
