import 'server-only'
import { formatDay } from '@/core/day'
import { MEASURED_SHAPE } from '@/core/figure/measured-body'
import { findById } from '@/core/practice/find'
import type { Shape } from '@/core/practice/schema-pictures'
import { markOf, nearestOf, type Mark } from '@/core/readiness/mark'
import type { Worth } from '@/core/setups/measure-sheet'
import { FAMILY_NAMES } from '@/core/words/family'
import { segmentName } from '@/core/words/length'
import { lastFactDays } from '@/db/evidence'
import { lastNotes } from '@/db/notes'
import { findStudent, listStudents, type StudentRecord } from '@/db/students'
import { incidentsOf } from '@/db/incidents'
import type { Context } from '../context'
import type { ScreeningState } from '../desk/screening'
import { BOARD } from '../desk/families'
import { judgeOf } from '../desk/judge'
import { nextSetups } from '../desk/next-setups'
import { remembered } from '../desk/remember'
import { decisionIn, standings } from '../desk/standing'
import type { ProfileValues } from './components/profile-form'
import type { StudentRow } from './components/student-table'
import { typedLength, typedStature } from './typed'
import { worthKept } from './worth-kept'

/** Everybody, current people first by name; put-away people apart. */
export function studentLists({ scope }: Context): { current: StudentRecord[]; archived: StudentRecord[] } {
  const everybody = listStudents(scope, { archived: true })
  return {
    current: everybody.filter((s) => !s.archivedDay),
    archived: everybody.filter((s) => s.archivedDay),
  }
}

/** People on a page of the list. */
const ROWS_A_PAGE = 60

const SCREENING: Readonly<Record<ScreeningState['code'], string>> = {
  shut: 'cannot be read',
  'not-asked': 'not asked',
  'ask-again': 'ask again',
  open: 'some open',
  soon: 'ask again soon',
  answered: 'answered',
}

/** A page of everybody, and whoever is put away, as rows. */
export type StudentsShown = {
  readonly shown: readonly StudentRow[]
  readonly archived: readonly StudentRow[]
  /** How many people there are, and on how many pages. */
  readonly all: number
  readonly pages: number
}

/** The list of people, from the page of it that is asked for. */
export function studentsShown(ctx: Context, at: number): StudentsShown {
  return remembered(ctx, `students ${at}`, () => {
    const { current, archived } = studentLists(ctx)
    const shown = current.slice((at - 1) * ROWS_A_PAGE, at * ROWS_A_PAGE)
    const known = workedOut(ctx, [...shown, ...archived])
    const row = (s: StudentRecord): StudentRow => ({
      id: s.id,
      name: s.name,
      statureCm: s.statureCm,
      measuredCount: Object.keys(s.measured).length,
      ...(known.get(s.id) ?? { nearest: null, closed: [], lastSeen: '', tape: '' }),
      screening: SCREENING[known.get(s.id)?.screening ?? 'not-asked'],
    })
    return {
      shown: shown.map(row),
      archived: archived.map(row),
      all: current.length,
      pages: Math.ceil(current.length / ROWS_A_PAGE),
    }
  })
}

/** One person's profile, or null. */
export function studentProfile({ scope }: Context, id: string): StudentRecord | null {
  return findStudent(scope, id)
}

/** The newest words kept of somebody, such as a remark from a list; empty where there are none, and on a private screen. */
export function lastWord({ scope, privacy }: Context, id: string): string {
  return privacy.hidden ? '' : (lastNotes(scope, [id]).get(id)?.text ?? '')
}

/** A profile as the form shows it: lengths in the studio's units. */
export function profileValues({ studio: { units } }: Context, student: StudentRecord): ProfileValues {
  return {
    id: student.id,
    name: student.name,
    stature: typedStature(student.statureCm, units),
    breath: String(student.breathS),
    contact: student.contact,
    ageBand: student.ageBand,
    guardian: student.guardian,
    guardianDay: student.guardianDay ?? '',
    measured: Object.fromEntries(
      Object.entries(student.measured).map(([segment, cm]) => [segment, typedLength(cm, units)]),
    ),
    archived: student.archivedDay !== null,
  }
}

/** What measuring somebody begins from. */
export type Measuring = {
  /** The shape that their body is drawn in. */
  readonly shapes: Shape[]
  /** What a tape would settle for what they do next, the length that moves most first; none without a height. */
  readonly worth: readonly (Omit<Worth, 'setupId'> & { readonly setup: string })[]
}

/** Lengths that are asked for first. */
const ASKED_FIRST = 3

/** How somebody is drawn to be measured, and which lengths matter most for what they do next. */
export function measuring(ctx: Context, student: StudentRecord): Measuring {
  const { practice, studio } = ctx
  const { statureCm, measured } = student
  const worth =
    statureCm === null
      ? []
      : worthKept({ statureCm, measured }, nextSetups(ctx, judgeOf(ctx), student), studio.stock)
  return {
    shapes: practice.shapes.filter(({ id }) => id === MEASURED_SHAPE),
    worth: worth
      .slice(0, ASKED_FIRST)
      .map(({ setupId, ...w }) => ({ ...w, setup: findById(practice.setups, setupId).name })),
  }
}

/** What was worked out of somebody, for a list. */
export type WorkedOut = {
  screening: ScreeningState['code']
  /** The ladder to speak of first; null where nothing is known of anybody’s. */
  nearest: { mark: Mark; family: string; next: string; href: string } | null
  /** Ladders that limits close for now; left out on a private screen. */
  closed: string[]
  /** When something was last on record; empty where nothing ever was. */
  lastSeen: string
  /** The length that would move most in their nearest step, if it were measured; empty where none would. */
  tape: string
}

/** What was worked out of some people, by id: their nearest step, what is closed, when they were last seen, what to measure. */
export function workedOut(
  ctx: Context,
  people: readonly Pick<StudentRecord, 'id' | 'statureCm' | 'measured'>[],
): ReadonlyMap<string, WorkedOut> {
  const { practice, scope, privacy } = ctx
  const ids = people.map(({ id }) => id)
  const bodies = new Map(people.map((student) => [student.id, student]))
  const seen = lastFactDays(scope, ids)
  return new Map(
    [...standings(ctx, ids)].map(([id, now]) => {
      const decisions = BOARD.map((family) => decisionIn(now, family))
      const first = nearestOf(decisions)
      const target = first?.targetId ? findById(practice.stages, first.targetId) : null
      const last = seen.get(id)
      return [
        id,
        {
          screening: now.screening,
          nearest: first
            ? {
                mark: markOf(first),
                family: FAMILY_NAMES[first.family],
                next: target?.short ?? target?.name ?? 'Top of the ladder',
                href: `/readiness/${id}?family=${first.family}`,
              }
            : null,
          closed: privacy.hidden
            ? []
            : decisions.filter((d) => d.outcome === 'not-now').map((d) => FAMILY_NAMES[d.family]),
          lastSeen: last === undefined ? '' : formatDay(last),
          tape: tapeOf(ctx, bodies.get(id), target?.setups ?? []),
        },
      ]
    }),
  )
}

function tapeOf(
  { studio }: Context,
  body: Pick<StudentRecord, 'statureCm' | 'measured'> | undefined,
  setups: readonly string[],
): string {
  if (!body?.statureCm) return ''
  const [first] = worthKept({ statureCm: body.statureCm, measured: body.measured }, setups, studio.stock)
  return first ? segmentName(first.length).toLowerCase() : ''
}

/** How many incident reports name somebody. */
export function incidentCount({ scope }: Context, id: string): number {
  return incidentsOf(scope, id)
}
