import { BREATH_S, strainOf, TEMPO_S } from './dose'
import type { Library } from './library'
import { LOAD_TAGS, type Dose, type How, type Load } from './schema'

/** Longer than this on the back is long, s (ruling 27). */
const LONG_ON_BACK_S = 60

type Loaded = {
  readonly id: string
  readonly load: Load
  readonly dose?: Dose
  readonly like?: string | undefined
}

/**
 * Loads as strict as the shape that an entry is drawn in (rulings 23 and 25): at least what the practice's table says of the
 * shape, strain by the seconds of the whole effort and not of one repetition, lying on the back by how long it lasts; and
 * which changes the shape cannot take. Steps keep the loads that their own lines give them, but for what a line leaves out:
 * knees, elbows, belly and back.
 */
export function byShape(library: Library): Library {
  const shapeOf = new Map(library.pictures.map(({ of, shape }) => [of, shape]))
  const tagsOf = new Map(library.shapeTags.map((row) => [row.shape, row]))
  const cannot = (id: string, shape: string): readonly How[] =>
    library.changeLimits
      .filter(({ how, also, except }) =>
        also.includes(id) ? true : !except.includes(id) && tagsOf.get(shape)?.cannot.includes(how) === true,
      )
      .map(({ how }) => how)
  const raised = <T extends Loaded>(entry: T, tags: readonly (keyof Load)[]): T => {
    const shape = shapeOf.get(entry.id) ?? ''
    const least = tagsOf.get(shape)?.least ?? {}
    const load: Record<string, unknown> = { ...entry.load }
    for (const tag of LOAD_TAGS) {
      const level = tags.includes(tag)
        ? Math.max(entry.load[tag] ?? 0, least[tag] ?? 0)
        : (entry.load[tag] ?? 0)
      if (level > 0) load[tag] = level
    }
    const how = cannot(entry.like ?? entry.id, shape)
    if (how.length > 0) load.cannot = how
    return { ...entry, load: bySeconds(load, entry.dose) }
  }
  const body = ['KN', 'EL', 'PR', 'SU'] as const
  return {
    ...library,
    stages: library.stages.map((stage) => raised(stage, body)),
    drills: library.drills.map((drill) => raised(drill, LOAD_TAGS)),
    counterposes: library.counterposes.map((rest) => ({
      ...rest,
      ...raised(rest, LOAD_TAGS),
    })),
  }
}

/** Strain and lying by the seconds that a dose lasts. */
function bySeconds(load: Load, dose: Dose | undefined): Load {
  if (!dose) return load
  // Moving on all fours or with the knees down strains at nothing; holding does.
  const repeated = dose.reps !== undefined && !dose.seconds && !dose.breaths
  const isEffort =
    Math.max(load.WB ?? 0, load.FB ?? 0, load.SF ?? 0) >= 2 ||
    (!repeated && (load.WB ?? load.FB) !== undefined)
  const ST = Math.max(load.ST ?? 0, isEffort ? effortOf(dose, load) : 0)
  const SU = load.SU !== undefined && wholeSeconds(dose) > LONG_ON_BACK_S ? 2 : load.SU
  return { ...load, ...(ST > 0 ? { ST } : {}), ...(SU === undefined ? {} : { SU }) }
}

/**
 * The strain of one unbroken effort: a hold, or repetitions one after another without leaving the shape. Between tries that
 * leave the floor the arms rest, so that each is an effort of its own; repetitions never strain as a hold of over half a
 * minute does, since each eases before the next.
 */
function effortOf(dose: Dose, { FR = 0 }: Load): NonNullable<Load['ST']> {
  const { reps } = dose
  if (!reps || dose.seconds || dose.breaths || FR >= 2) return strainOf(dose)
  return reps.value * TEMPO_S < 10 ? 1 : 2
}

/** Everything of a dose one after another, s. */
function wholeSeconds({ sets, reps, seconds, breaths, perSide }: Dose): number {
  const one = seconds?.value ?? (breaths ? breaths.value * BREATH_S : TEMPO_S)
  return (sets?.value ?? 1) * (reps?.value ?? 1) * one * (perSide ? 2 : 1)
}
