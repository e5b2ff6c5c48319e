import { addDays, type Day } from '../day'
import { writeHlc } from '../facts/hlc'
import type { Library } from '../practice/library'
import { PLAIN_RESULT, PLAIN_TRY, type Attempt, type Observation } from '../readiness/evidence'
import { isHealth, type Answer } from '../screening/answers'
import { seeded, uuidAt, type Random } from '../random'

/** How large the studio is that pages are measured on. */
const TEN_YEARS = {
  people: 400,
  weeks: 520,
  classesAWeek: 4,
  inClass: 14,
  checksEach: 10,
  triesEach: 2,
} as const

/** One class of it with everything that was recorded there. */
export type YearsClass = {
  readonly id: string
  readonly title: string
  readonly day: Day
  readonly startTime: string
  readonly roster: readonly string[]
  readonly observations: readonly Observation[]
  readonly attempts: readonly Attempt[]
}

export type YearsPerson = {
  readonly id: string
  readonly name: string
  readonly joined: Day
  readonly answers: readonly Answer[]
}

type Size = Record<keyof typeof TEN_YEARS, number>

/** The people of a studio of ten years, in the order in which they came. */
export function peopleOfYears(
  practice: Library,
  asOf: Day,
  size: Size = TEN_YEARS,
  seed = 11,
): YearsPerson[] {
  const random = seeded(seed)
  const first = addDays(asOf, -7 * size.weeks)
  return Array.from({ length: size.people }, (_, i) => {
    const joined = addDays(first, Math.floor((i / size.people) * 7 * size.weeks * 0.97))
    return {
      id: uuidAt(random, Date.parse(`${joined}T12:00:00Z`)),
      name: `${FIRST[i % FIRST.length] ?? ''} ${LAST[Math.floor(i / FIRST.length) % LAST.length] ?? ''}`,
      joined,
      answers: practice.intake.filter(isHealth).map((question) => ({
        question: question.id,
        choice: random() < 0.08 ? 'yes' : 'no',
        options: [],
        day: addDays(asOf, -Math.floor(random() * 150)),
        given: 'by-student',
      })),
    }
  })
}

/** The classes of all those years one after the other, the last of them on the day itself. */
export function* classesOfYears(
  practice: Library,
  people: readonly YearsPerson[],
  asOf: Day,
  size: Size = TEN_YEARS,
  seed = 13,
): Generator<YearsClass> {
  const random = seeded(seed)
  const ladder = practice.stages.filter((s) => ['FS', 'HS', 'CR'].includes(s.family))
  const standing = practice.checks.filter((c) => c.life === 'standing' && c.kind !== 'level')
  for (let week = size.weeks - 1; week >= 0; week -= 1)
    for (let hour = 0; hour < size.classesAWeek; hour += 1) {
      const day = addDays(asOf, -7 * week - hour)
      const make = factMaker(random, day)
      const roster = whoComes(people, day, size, random)
      const id = make.id()
      yield {
        id,
        title: ['Tuesday', 'Monday', 'Sunday', 'Saturday'][hour % 4] ?? '',
        day,
        startTime: '18:30',
        roster,
        observations:
          week === 0 && hour === 0
            ? []
            : roster.flatMap((studentId) =>
                Array.from({ length: size.checksEach }, (): Observation => {
                  const check = pick(standing, random)
                  const value = (): number =>
                    check.kind === 'yes-no'
                      ? Number(random() < 0.7)
                      : Math.round(check.min + random() * (check.max - check.min) * 0.2)
                  const values =
                    check.side === 'each' ? { left: value(), right: value() } : { single: value() }
                  return { ...PLAIN_RESULT, ...make.fact(studentId), checkId: check.id, values, classId: id }
                }),
              ),
        attempts:
          week === 0 && hour === 0
            ? []
            : roster.flatMap((studentId) =>
                Array.from({ length: size.triesEach }, (): Attempt => {
                  const clean = random() < 0.8
                  const stageId = pick(ladder.slice(0, 12), random).id
                  const end = clean
                    ? { outcome: 'clean' as const }
                    : { outcome: 'not-yet' as const, endedBy: 'self' as const }
                  return { ...PLAIN_TRY, ...make.fact(studentId), ...end, stageId, classId: id }
                }),
              ),
      }
    }
}

/** Whoever joined lately comes; the others left in the order in which they came. */
function whoComes(people: readonly YearsPerson[], day: Day, size: Size, random: Random): string[] {
  const here = people.filter((p) => p.joined <= day).slice(-size.inClass * size.classesAWeek)
  const from = Math.floor(random() * Math.max(1, here.length - size.inClass))
  return here.slice(from, from + size.inClass).map((p) => p.id)
}

function factMaker(random: Random, day: Day) {
  const start = Date.parse(`${day}T18:30:00Z`)
  let n = 0
  return {
    id: () => uuidAt(random, start),
    fact: (studentId: string) => {
      n += 1
      const hlc = writeHlc({ ms: start + n, counter: 0 }, 'years')
      return { id: uuidAt(random, start + n), studentId, day, hlc, replaces: null }
    },
  }
}

function pick<T>(list: readonly T[], random: Random): T {
  const found = list[Math.floor(random() * list.length)]
  if (found === undefined) throw new Error('nothing to pick from')
  return found
}

const FIRST = [
  'Ines',
  'Tomas',
  'Wren',
  'Odile',
  'Bertram',
  'Sunniva',
  'Priya',
  'Callum',
  'Maud',
  'Jonty',
  'Ysolde',
  'Hamish',
  'Nell',
  'Greta',
  'Ravi',
  'Lettie',
  'Ash',
  'Fen',
  'Corin',
  'Dagny',
]
const LAST = [
  'Calder',
  'Reyle',
  'Haskett',
  'Voss',
  'Oake',
  'Lund',
  'Dunmore',
  'Strand',
  'Ferrier',
  'Abara',
  'Pike',
  'Tolland',
  'Arden',
  'Sommerby',
  'Ellender',
  'Marrow',
  'Fallow',
  'Marlow',
  'Teale',
  'Brandt',
]
