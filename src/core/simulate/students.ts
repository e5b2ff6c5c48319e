import { addDays, type Day } from '../day'
import { PLAIN_RESULT, type Observation } from '../readiness/evidence'
import { writeHlc } from '../facts/hlc'
import { normal, seeded, uuidAt, type Random } from '../random'

/** How noisy the world is; the parameters are fixed in the design of readiness, so that nobody tunes them. */
export type SimulatedNoise = {
  /** Day-to-day variation of what somebody can do, share. */
  readonly dayShare: number
  /** Reading error, s either way. */
  readonly readingS: number
  /** Share of results with a flaw that nobody marked; such a hold reads longer than it was. */
  readonly unmarked: number
}

export const STATED_NOISE: SimulatedNoise = { dayShare: 0.15, readingS: 1, unmarked: 0.05 }
/** What an unmarked flaw adds to a hold, share: a sagging dolphin lasts longer. */
const FLAW_ADDS = 0.2
const WEEKS = 20
const CLASSES_A_WEEK = 1.5
const MISSED = 0.2

export type SimulatedStudent = {
  readonly id: string
  /** True ability on a day, s: the slow trend, without the day’s form. */
  readonly ability: (day: Day) => number
  readonly observations: readonly Observation[]
  readonly days: readonly Day[]
}

/**
 * A student of twenty weeks: ability log-uniform 10–60 s, growing 0–8 % a week, one in five not at all; about one and a
 * half classes a week, one in five of them missed; one hold a class.
 */
export function simulatedStudent(
  seed: number,
  start: Day,
  noise: SimulatedNoise = STATED_NOISE,
): SimulatedStudent {
  const random = seeded(seed)
  const first = 10 * 6 ** random()
  const growth = random() < 0.2 ? 0 : 0.08 * random()
  const id = uuidAt(random, 1)
  const ability = (day: Day): number =>
    first * (1 + growth) ** ((Date.parse(day) - Date.parse(start)) / (7 * 86_400_000))
  const days = classDays(start, random)
  const observations = days.map((day, i) => {
    const form = Math.max(0.3, 1 + normal(random, 0, noise.dayShare))
    const flawed = random() < noise.unmarked
    const reading = ability(day) * form * (flawed ? 1 + FLAW_ADDS : 1) + noise.readingS * (2 * random() - 1)
    return hold(id, day, Math.max(1, Math.round(reading * 10) / 10), i, random)
  })
  return { id, ability, days, observations }
}

function classDays(start: Day, random: Random): Day[] {
  const days: Day[] = []
  for (let week = 0; week < WEEKS; week += 1) {
    const classes = Math.floor(CLASSES_A_WEEK) + (random() < CLASSES_A_WEEK % 1 ? 1 : 0)
    for (let i = 0; i < classes; i += 1)
      if (random() >= MISSED) days.push(addDays(start, 7 * week + (i === 0 ? 1 : 4)))
  }
  return days
}

function hold(studentId: string, day: Day, seconds: number, i: number, random: Random): Observation {
  const ms = Date.parse(`${day}T19:00:00Z`) + i
  return {
    id: uuidAt(random, ms),
    studentId,
    day,
    hlc: writeHlc({ ms, counter: 0 }, 'simulated'),
    replaces: null,
    ...PLAIN_RESULT,
    checkId: 'CK-dolphin-hold',
    values: { single: seconds },
  }
}
