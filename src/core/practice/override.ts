import { z } from 'zod'
import { ok, refused, type Result } from '../result'
import { findSetup } from '../setups/catalogue'
import { strainOf } from './dose'
import { integrityFlaws } from './integrity'
import { addOwn, BASE, baseOf, namesTaken, RETIRED } from './own-entries'
import { buildLibrary, SHIPPED, type Library, type LibrarySource } from './library'
import { CARD_LIMIT, DoseSchema, LoadSchema } from './schema-base'

/** What a studio may word or measure in its own way. Limits, loads and ladders are the practice’s and stay. */
export const OVERRIDABLE = ['stage', 'drill', 'check', 'fault', 'setup'] as const
export type Overridable = (typeof OVERRIDABLE)[number]

/** One entry of the practice as a studio has it: only what differs, by field. */
export type Override = {
  readonly kind: Overridable
  readonly id: string
  readonly fields: Readonly<Record<string, string | number>>
}

/** A field that may differ, with what the practice says and how far it may move. */
export type OverrideField =
  | {
      readonly key: string
      readonly kind: 'text'
      readonly practice: string
      readonly most: number
      /** May be left empty: another name that there need not be. */
      readonly optional?: true
    }
  | {
      readonly key: string
      readonly kind: 'number'
      readonly practice: number
      readonly min: number
      readonly max: number
      readonly unit?: string
      /** Where the whole numbers stand for words, those, from 0. */
      readonly choices?: readonly string[]
    }

export type OverrideRefusal =
  | { readonly code: 'unknown'; readonly id: string; readonly key: string }
  | { readonly code: 'empty' | 'not-a-number'; readonly key: string }
  | { readonly code: 'too-long'; readonly key: string; readonly most: number }
  | { readonly code: 'out-of-range'; readonly key: string; readonly min: number; readonly max: number }
  | { readonly code: 'taken'; readonly key: 'name'; readonly name: string }
  | { readonly code: 'flaw'; readonly at: string; readonly detail: string }

const LISTS: Readonly<Record<Overridable, 'stages' | 'drills' | 'checks' | 'faults' | 'setups'>> = {
  ...{ stage: 'stages', drill: 'drills', check: 'checks', fault: 'faults', setup: 'setups' },
}
const NAME_LIMIT = 60
const TEXTS: Readonly<Record<Overridable, readonly string[]>> = {
  stage: ['name', 'do', 'lookFor', 'cue'],
  drill: ['name', 'do', 'lookFor'],
  check: ['name', 'asks', 'run'],
  fault: ['name', 'see', 'cue'],
  setup: ['name', 'place'],
}
const BEGIN = 'begin'
const DOSES = ['sets', 'reps', 'breaths', 'seconds', 'cap'] as const

type Raw = Record<string, unknown>
const looseGate = z.object({
  check: z.string(),
  op: z.string(),
  value: z.number().optional(),
  min: z.number().optional(),
  max: z.number().optional(),
})

/**
 * What of an entry a studio may change, as the practice has it; empty where nothing may be.
 * @param base of an own drill or step: what it is built on, whose ranges hold
 */
export function fieldsOf(kind: Overridable, id: string, base: string | null = null): OverrideField[] {
  const raw = rawOf(SHIPPED, kind, base ?? id)
  if (!raw) return []
  const texts = TEXTS[kind].flatMap((key): OverrideField[] => {
    const practice = raw[key]
    return typeof practice === 'string'
      ? [{ key, kind: 'text', practice, most: key === 'name' ? NAME_LIMIT : CARD_LIMIT }]
      : []
  })
  // An own step asks what it is built on asks: whoever holds that may do it.
  const gates = base === null || kind !== 'stage' ? gateFields(raw) : []
  return [
    ...texts,
    ...otherName(kind, raw),
    ...doseFields(raw),
    ...gates,
    ...(kind === 'setup' ? beginFields(id) : []),
  ]
}

/** What it is called in another language, or elsewhere: found by the search, and said beside the name. */
function otherName(kind: Overridable, { sanskrit }: Raw): OverrideField[] {
  if (kind !== 'stage' && kind !== 'drill') return []
  const practice = typeof sanskrit === 'string' ? sanskrit : ''
  return [{ key: 'sanskrit', kind: 'text', practice, most: NAME_LIMIT, optional: true }]
}

/** Numbers of a dose, each within the range that it is kept with. */
function doseFields({ dose }: Raw): OverrideField[] {
  const read = DoseSchema.safeParse(dose)
  if (!read.success) return []
  return DOSES.flatMap((part): OverrideField[] => {
    const ranged = read.data[part]
    return ranged && ranged.min < ranged.max
      ? [{ key: `dose.${part}`, kind: 'number', practice: ranged.value, min: ranged.min, max: ranged.max }]
      : []
  })
}

/** Thresholds within their range; one without a range can only be made stricter, as far as its check reads. */
function gateFields({ gates }: Raw): OverrideField[] {
  const read = z.array(looseGate).safeParse(gates ?? [])
  if (!read.success) return []
  const seen = new Set<string>()
  return read.data.flatMap(({ check, op, value, min, max }): OverrideField[] => {
    const reads = rangeOf(check)
    if (value === undefined || !reads || (op !== '>=' && op !== '<=') || seen.has(check)) return []
    seen.add(check)
    const field = {
      ...{ key: `gate.${check}`, kind: 'number' as const, practice: value },
      min: min ?? (op === '>=' ? value : reads.min),
      max: max ?? (op === '>=' ? reads.max : value),
    }
    return field.min < field.max ? [field] : []
  })
}

/**
 * Where a setup begins, within what is usual for it. What scales with the body stays with the body: one number for
 * everybody would be wrong for most. What a way of working sets is answered there.
 */
function beginFields(setupId: string): OverrideField[] {
  return (findSetup(setupId)?.options ?? []).flatMap((option): OverrideField[] => {
    const { key, usual, usualFrom, usualTo, choices } = option
    const [min, max] = [usualFrom ?? option.min, usualTo ?? option.max]
    // Only what the practice gives a usual span, or words to pick from: a hand's height without one is somebody's load.
    const isOffered = choices !== undefined || (usualFrom !== undefined && usualTo !== undefined)
    if (!isOffered || typeof usual === 'function' || min >= max || isOfAWay(setupId, key)) return []
    const field = { key: `${BEGIN}.${key}`, kind: 'number' as const, practice: usual, min, max }
    return [choices ? { ...field, choices } : { ...field, unit: UNITS[option.unit] ?? '' }]
  })
}

function isOfAWay(setupId: string, option: string): boolean {
  const ways = SHIPPED.ways as readonly { set?: { setups: readonly string[]; option: string } }[]
  return ways.some(({ set }) => set?.option === option && set.setups.includes(setupId))
}

const UNITS: Readonly<Record<string, string>> = { cm: 'cm', deg: '°' }

/** What a check can read at all. */
function rangeOf(check: string): { min: number; max: number } | undefined {
  const raw = rawOf(SHIPPED, 'check', check)
  const read = z.object({ min: z.number(), max: z.number() }).safeParse(raw)
  return read.data
}

/** What is wrong with an override on its own, field by field. */
function overrideFlaws(override: Override): OverrideRefusal[] {
  const { kind, id, fields } = override
  const base = baseOf(override)
  const known = new Map(fieldsOf(kind, id, base).map((f) => [f.key, f]))
  if (base !== null && known.size === 0) return [{ code: 'unknown', id, key: BASE }]
  return Object.entries(fields).flatMap(([key, value]): OverrideRefusal[] => {
    if (base !== null && (key === BASE || key === RETIRED)) return []
    const field = known.get(key)
    if (!field) return [{ code: 'unknown', id, key }]
    if (field.kind === 'text') {
      const text = String(value).trim()
      if (text === '') return field.optional ? [] : [{ code: 'empty', key }]
      return text.length > field.most ? [{ code: 'too-long', key, most: field.most }] : []
    }
    if (typeof value !== 'number' || !Number.isFinite(value)) return [{ code: 'not-a-number', key }]
    const { min, max, choices } = field
    if (choices && !Number.isInteger(value)) return [{ code: 'not-a-number', key }]
    return value < min || value > max ? [{ code: 'out-of-range', key, min, max }] : []
  })
}

/**
 * The practice with a studio’s own words and numbers laid over it: validated and held to every rule of integrity, so that
 * what the engine sees is as sound as what ships.
 */
export function withOverrides(overrides: readonly Override[]): Result<Library, readonly OverrideRefusal[]> {
  const wrong = [...overrides.flatMap(overrideFlaws), ...namesTaken(SHIPPED, overrides)]
  if (wrong.length > 0) return refused(wrong)
  const source = { ...SHIPPED }
  for (const override of overrides) lay(source, override)
  const library = buildLibrary(source)
  const flaws = integrityFlaws(library)
  return flaws.length > 0
    ? refused(flaws.map(({ at, detail }) => ({ code: 'flaw', at, detail })))
    : ok(library)
}

function lay(source: LibrarySource, override: Override): void {
  const { kind, id, fields } = override
  const base = baseOf(override)
  if (base !== null) {
    addOwn(source, override, base, laid)
    return
  }
  const list = LISTS[kind]
  source[list] = (source[list] as readonly Raw[]).map((entry) =>
    entry.id === id ? laid(entry, fields) : entry,
  )
}

function laid(entry: Raw, fields: Override['fields']): Raw {
  const next = structuredClone(entry)
  for (const [key, value] of Object.entries(fields)) {
    const [part = '', name = ''] = key.split(/\.(.*)/s)
    if (part === 'dose') {
      const ranged = (next.dose as Record<string, { value: unknown } | undefined>)[name]
      if (ranged) ranged.value = value
    } else if (part === 'gate') {
      const gate = (next.gates as { check: string; value?: unknown }[]).find((g) => g.check === name)
      if (gate) gate.value = value
    } else if (part === BEGIN) {
      const begins = (next.begins ?? []) as { option: string; value: unknown }[]
      next.begins = [...begins.filter((b) => b.option !== name), { option: name, value }]
    } else if (part === 'sanskrit' && String(value).trim() === '') delete next.sanskrit
    else next[part] = typeof value === 'string' ? value.trim() : value
  }
  return strained(next)
}

/** Strain follows the planned seconds of whatever rests on hands or forearms: a longer dose is a harder load. */
function strained(entry: Raw): Raw {
  const [dose, load] = [DoseSchema.safeParse(entry.dose), LoadSchema.safeParse(entry.load ?? {})]
  if (!dose.success || !load.success || (load.data.WB ?? load.data.FB) === undefined) return entry
  const ST = strainOf(dose.data)
  return (load.data.ST ?? 0) < ST ? { ...entry, load: { ...load.data, ST } } : entry
}

function rawOf(source: LibrarySource, kind: Overridable, id: string): Raw | undefined {
  return (source[LISTS[kind]] as readonly Raw[]).find((entry) => entry.id === id)
}
