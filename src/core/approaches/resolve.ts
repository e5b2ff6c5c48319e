import type { Library } from '../practice/library'
import { waysInForce } from './effects'

/** Where a setting stands: pose → teacher → class → student, the last one set wins. The studio stands above all. */
export const SCOPES = ['teacher', 'class', 'student'] as const
export type Scope = (typeof SCOPES)[number]
const LETTER: Readonly<Record<Scope, 'T' | 'C' | 'S'>> = { teacher: 'T', class: 'C', student: 'S' }

/** Approach id → option id. */
export type Choices = Readonly<Record<string, string>>

/** What the studio allows nobody below it to choose, `A01:wall`. */
export type Forbidden = readonly string[]

/** Settings from each scope; an absent one has none. */
export type Layers = Readonly<Partial<Record<Scope, Choices>>>

export type Resolved = {
  readonly option: string
  readonly from: Scope | 'default' | 'studio'
}

/**
 * The option that holds for every question. A choice that the studio forbids is passed over for the next one out; where
 * nothing allowed is left, the first option that the studio does allow.
 */
export function resolveApproaches(
  practice: Library,
  layers: Layers,
  forbidden: Forbidden = [],
): ReadonlyMap<string, Resolved> {
  const allowed = (approach: string, option: string): boolean => !forbidden.includes(`${approach}:${option}`)
  return new Map(
    practice.approaches.map((question): [string, Resolved] => {
      const known = new Set(question.options.map((o) => o.id))
      const chosen = SCOPES.toReversed().flatMap((scope): Resolved[] => {
        const option = layers[scope]?.[question.id]
        return option !== undefined && known.has(option) && allowed(question.id, option)
          ? [{ option, from: scope }]
          : []
      })[0]
      if (chosen) return [question.id, chosen]
      if (allowed(question.id, question.default))
        return [question.id, { option: question.default, from: 'default' }]
      const left = question.options.find((o) => allowed(question.id, o.id)) ?? question.options[0]
      return [question.id, { option: left?.id ?? question.default, from: 'studio' }]
    }),
  )
}

/** Whether a question may be answered at a scope. A class may always set what a teacher may: it is theirs tonight. */
export function isSetAt(practice: Library, approach: string, scope: Scope): boolean {
  const scopes = practice.approaches.find((a) => a.id === approach)?.scopes ?? []
  if (scope === 'class') return scopes.includes('C') || scopes.includes('T') || scopes.includes('P')
  if (scope === 'teacher') return scopes.some((s) => s !== 'S' && s !== 'C') || scopes.includes('C')
  return scopes.includes(LETTER[scope])
}

/** Stages that the options in force take off the ladder. */
export function hiddenStages(
  practice: Library,
  resolved: ReadonlyMap<string, Pick<Resolved, 'option'>>,
): ReadonlySet<string> {
  return new Set(waysInForce(practice, resolved).flatMap(({ hides }) => hides ?? []))
}

/** Branches that the options in force would rather take, in the order of the questions. */
export function preferredStages(
  practice: Library,
  resolved: ReadonlyMap<string, Pick<Resolved, 'option'>>,
): string[] {
  return waysInForce(practice, resolved).flatMap(({ prefers }) => prefers ?? [])
}

export type Clash = { readonly a: string; readonly b: string; readonly problem: string }

/** Pairs in force together that do not go together; a pair of one question clashes where two people differ. */
export function clashesOf(
  practice: Library,
  resolved: ReadonlyMap<string, Pick<Resolved, 'option'>>,
  others: readonly ReadonlyMap<string, Pick<Resolved, 'option'>>[] = [],
): Clash[] {
  const here = ({ approach, option }: { approach: string; option: string }): boolean =>
    resolved.get(approach)?.option === option
  const there = ({ approach, option }: { approach: string; option: string }): boolean =>
    others.some((o) => o.get(approach)?.option === option)
  return practice.clashes
    .filter(({ a, b }) =>
      a.approach === b.approach ? (here(a) && there(b)) || (here(b) && there(a)) : here(a) && here(b),
    )
    .map(({ a, b, problem }) => ({
      a: `${a.approach}:${a.option}`,
      b: `${b.approach}:${b.option}`,
      problem,
    }))
}

/** Choices of a preset, or none. */
export function presetChoices(practice: Library, presetId: string): Choices {
  return practice.presets.find((p) => p.id === presetId)?.choices ?? {}
}
