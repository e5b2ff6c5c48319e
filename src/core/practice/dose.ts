import type { Dose, Load } from './schema'

/** A breath until somebody's own is timed, s (ruling 15). */
export const BREATH_S = 5
/** One repetition without a time of its own, s. */
const REPETITION_S = 3
/** The same where the seconds of several are counted, s (ruling 25). */
export const TEMPO_S = 4

/** How long one hold or repetition of a dose lasts, s. */
export function holdSeconds({ seconds, breaths }: Dose, breathS = BREATH_S): number {
  return seconds?.value ?? (breaths ? breaths.value * breathS : REPETITION_S)
}

/** The shortest hold that is the dose at all, s; 0 where nothing is held. */
export function leastSeconds({ seconds, breaths }: Dose): number {
  return seconds?.min ?? (breaths?.min ?? 0) * BREATH_S
}

/** Level of strain by planned seconds: under 10, to 30, over 30 (cautions.md 0.1). */
export function strainOf(dose: Dose): NonNullable<Load['ST']> {
  const held = holdSeconds(dose)
  return held < 10 ? 1 : held <= 30 ? 2 : 3
}

/** A dose as it is fitted to somebody. */
export type FittedDose = {
  readonly sets: number
  readonly reps: number | null
  /** One hold, s; null where it is repeated instead. */
  readonly holdS: number | null
  readonly breaths: number | null
  readonly perSide: boolean
  readonly restS: number | null
  readonly cap: number | null
  readonly note: string
}

/** What a dose is fitted by. */
export type FitBy = {
  /** Own breath, s. */
  readonly breathS: number
  /** Measured level against what is asked, 0–1; 1 for the usual dose. */
  readonly share: number
  /** The longest hold a limit allows, s; null for none. */
  readonly mostSeconds: number | null
  /** Attempts left in the class; null where nobody counts. */
  readonly mostAttempts: number | null
}

const USUAL: FitBy = { breathS: BREATH_S, share: 1, mostSeconds: null, mostAttempts: null }

/**
 * A dose for one person: their own breath, the share that their measured level allows, what limits leave of it. A share
 * never goes under the dose's own range, a limit always may; nothing is ever more than the usual dose.
 */
export function fitDose(dose: Dose, by: Partial<FitBy> = {}): FittedDose {
  const { breathS, share, mostSeconds, mostAttempts } = { ...USUAL, ...by }
  const part = ({ value, min }: NonNullable<Dose['reps']>): number =>
    Math.max(Math.min(min, value), Math.round(value * Math.min(1, share)))
  const wanted = dose.seconds ? part(dose.seconds) : dose.breaths ? part(dose.breaths) * breathS : null
  const holdS = wanted === null ? null : Math.min(wanted, mostSeconds ?? wanted)
  const cap = dose.cap ? Math.min(dose.cap.value, mostAttempts ?? dose.cap.value) : null
  const reps = dose.reps ? part(dose.reps) : null
  return {
    ...underCap(
      // Tries come one by one, with rest between; what is repeated in one turn is one effort, by its seconds.
      { sets: dose.sets?.value ?? 1, reps: dose.cap ? reps : underSeconds(reps, holdS, mostSeconds) },
      dose.perSide ? 2 : 1,
      cap,
    ),
    holdS,
    breaths: dose.breaths && holdS !== null ? Math.max(1, Math.floor(holdS / breathS)) : null,
    perSide: dose.perSide,
    restS: dose.restS ?? null,
    cap,
    note: dose.note ?? '',
  }
}

/** As many repetitions of one turn as a limit of seconds leaves, holds among them summed; one at least. */
function underSeconds(reps: number | null, holdS: number | null, mostSeconds: number | null): number | null {
  if (reps === null || mostSeconds === null) return reps
  return Math.max(1, Math.min(reps, Math.floor(mostSeconds / Math.max(1, holdS ?? TEMPO_S))))
}

/** Sets and repetitions that keep within a cap of tries, both sides together: a set less before a repetition less. */
function underCap(
  { sets, reps }: { sets: number; reps: number | null },
  sides: number,
  cap: number | null,
): { sets: number; reps: number | null } {
  if (cap === null) return { sets, reps }
  const each = (reps ?? 1) * sides
  const fewer = Math.max(1, Math.min(sets, Math.floor(cap / each)))
  const most = Math.max(1, Math.floor(cap / (fewer * sides)))
  return { sets: fewer, reps: reps === null ? null : Math.min(reps, most) }
}

/** The part of a dose that a limit leaves. It may go under the dose's own range, which a measured level never does. */
export function lessBy(fitted: FittedDose, share: number): FittedDose {
  if (share === 1) return fitted
  const part = (n: number | null): number | null => (n === null ? null : Math.max(1, Math.floor(n * share)))
  return fitted.reps === null
    ? { ...fitted, sets: part(fitted.sets) ?? 1, cap: part(fitted.cap) }
    : { ...fitted, reps: part(fitted.reps), cap: part(fitted.cap) }
}
