import 'server-only'
import { beginnings, type Beginning } from '@/core/approaches/effects'
import { z } from 'zod'
import { resolveApproaches } from '@/core/approaches/resolve'
import { estimateBody, type BodyInput } from '@/core/body/estimate'
import { formatDay } from '@/core/day'
import { findById } from '@/core/practice/find'
import type { Library } from '@/core/practice/library'
import type { Stock } from '@/core/props/stock'
import { SETUPS, solveSetup } from '@/core/setups/catalogue'
import { calibrate, type Weighing } from '@/core/weighing/calibrate'
import { readApproaches } from '@/db/approaches'
import { nextClass } from '@/db/classes'
import { allWeighings, savedSetupsOf, weighingsOf } from '@/db/setups'
import { findStudent, listStudents } from '@/db/students'
import { anyBody } from '../body'
import type { Context } from '../context'
import { judgeOf } from '../desk/judge'
import { closedTonight, setupTonight, UNLIMITED, type SetupLimit } from '../desk/limit-words'
import { nextSetups } from '../desk/next-setups'

/** A body to measure: of everybody, so that any two can be compared. */
export type BenchBody = {
  readonly id: string
  readonly name: string
  readonly body: BodyInput | null
  /** Shares that were weighed; the model already follows them. */
  readonly weighings: readonly Weighing[]
}

/** What is asked for one person at a time: their limits are opened for nobody else. */
export type BenchDetails = {
  /** What is barred or left out tonight, in words; empty where hidden, null until it is known. */
  readonly limits: readonly string[] | null
  /** Whether hands may help tonight. */
  readonly touch: 'no' | 'ask' | 'yes'
  /** By setup, what is closed to them tonight, with what instead, or done otherwise; the others are missing. */
  readonly bySetup: Readonly<Record<string, SetupLimit>>
  /** Where setups begin for them, under the ways that hold for them. */
  readonly begins: Readonly<Record<string, readonly Beginning[]>>
  /** Setups of what comes next, in the order of the families. */
  readonly next: readonly string[]
  readonly saved: readonly {
    id: string
    setupId: string
    options: Readonly<Record<string, number>>
    day: string
  }[]
}
export type BenchPerson = BenchBody & BenchDetails

/** What the practice says around a setup, so that the bench need not carry the whole library. */
export type SetupFacts = {
  readonly id: string
  readonly label: string
  readonly stages: readonly string[]
  readonly lookFor: string
  readonly exit: string
  readonly faults: readonly { id: string; name: string; see: string; cue: string }[]
  readonly assists: readonly { id: string; name: string; do: string; touch: boolean }[]
}

export type BenchData = {
  readonly people: readonly BenchBody[]
  /** What stands of the person that the page opens with. */
  readonly first: BenchDetails | null
  readonly setups: readonly SetupFacts[]
  readonly stock: Stock
  readonly nextClass: { readonly id: string; readonly title: string } | null
  /** The option in force, by approach, for the teacher’s own way. */
  readonly approaches: Readonly<Record<string, string>>
  /** Where setups begin under it. */
  readonly begins: Readonly<Record<string, readonly Beginning[]>>
}

/** Who and what can be measured: people with their bodies, setups that can be solved, what is in stock. */
export function benchData(ctx: Context, studentId: string | undefined): BenchData {
  const { scope, practice, studio, clock } = ctx
  const upcoming = nextClass(scope, clock.today)
  const resolved = resolveApproaches(practice, readApproaches(scope).layersFor(null), studio.floor.forbidden)
  const weighed = allWeighings(scope)
  return {
    people: listStudents(scope).map(({ id, name, statureCm, measured }) => {
      const weighings = weighed
        .filter((w) => w.studentId === id)
        .map(({ shapeId, share }) => ({ shapeId, share }))
      const body = statureCm === null ? null : calibrated({ statureCm, measured }, weighings)
      return { id, name, weighings, body }
    }),
    first: studentId === undefined ? null : benchDetails(ctx, studentId),
    setups: SETUPS.map((setup) => factsOf(practice, setup.id)),
    stock: studio.stock,
    nextClass: upcoming ? { id: upcoming.id, title: upcoming.title } : null,
    approaches: Object.fromEntries([...resolved].map(([id, { option }]) => [id, option])),
    begins: beginnings(practice, resolved),
  }
}

/** What is asked of one person once they are picked; null where they are gone. */
export function benchDetails(ctx: Context, id: string): BenchDetails | null {
  const { scope, practice } = ctx
  const student = findStudent(scope, id)
  if (!student) return null
  const judge = judgeOf(ctx)
  const bySetup = Object.fromEntries(
    SETUPS.map((setup) => [setup.id, setupTonight(ctx, judge, student, setup.id)] as const).filter(
      ([, { text }]) => text !== '',
    ),
  )
  return {
    limits: closedTonight(ctx, judge, id),
    touch: judge.touch(id),
    begins: beginnings(practice, judge.approaches(id)),
    bySetup,
    next: nextSetups(ctx, judge, student),
    saved: savedSetupsOf(scope, id).map((s) => ({
      ...{ id: s.id, setupId: s.setupId, options: s.options },
      day: formatDay(s.day),
    })),
  }
}

/** How a setup opens for a step that it is built for; its usual way for any other. */
export function opensWith(
  { practice }: Pick<Context, 'practice'>,
  setupId: string,
  stepId: string | undefined,
): Readonly<Record<string, number>> {
  const stage = practice.stages.find((s) => s.id === stepId)
  return stage?.setups[0] === setupId ? (stage.setupWith ?? {}) : {}
}

/** A body with what was weighed of it; readings that fit no body are left aside. */
function calibrated(input: BodyInput, weighings: readonly Weighing[]): BodyInput {
  if (weighings.length === 0 || !estimateBody(input).ok) return input
  const found = calibrate(input, weighings)
  return found.ok ? { ...input, massToLegs: found.value.massToLegs } : input
}

/** What is drawn of a step. */
const shownAs = (practice: Library, stageId: string): string | null =>
  practice.pictures.find((p) => p.of === stageId)?.shape ?? null

/** What is solved of a setup in its usual way: its way out is that of the step which looks like it. */
function shapeOf(setupId: string): string {
  const known = shapes.get(setupId)
  if (known !== undefined) return known
  const solved = solveSetup(setupId, anyBody())
  const shape = solved.ok ? solved.value.target.id : ''
  shapes.set(setupId, shape)
  return shape
}

/** Any body's shape of a setup never changes. */
const shapes = new Map<string, string>()

/** Four faults that a stage’s setup is most likely to show. */
const FAULTS_SHOWN = 4

function factsOf(practice: Library, id: string): SetupFacts {
  const entry = findById(practice.setups, id)
  const stages = practice.stages.filter((s) => s.setups.includes(id))
  const main = stages.find((s) => shownAs(practice, s.id) === shapeOf(id)) ?? stages[0]
  const faults = [...new Set([...entry.prevents, ...stages.flatMap((s) => s.faults)])].slice(0, FAULTS_SHOWN)
  return {
    id,
    label: entry.name,
    stages: stages.map((s) => s.name),
    lookFor: main?.lookFor ?? '',
    exit: main ? findById(practice.exits, main.exits[0] ?? '').do : '',
    faults: faults.map((fault) => {
      const { name, see, cue } = findById(practice.faults, fault)
      return { id: fault, name, see, cue }
    }),
    assists: [...new Set(stages.flatMap((s) => s.assists))]
      .filter((a) => a !== 'AS-none')
      .slice(0, 3)
      .map((a) => findById(practice.assists, a))
      .map(({ id: assistId, name, do: how, touch }) => ({ id: assistId, name, do: how, touch })),
  }
}

export type CardData = {
  readonly facts: SetupFacts
  readonly name: string
  readonly body: BodyInput
  readonly options: Readonly<Record<string, number>>
  readonly stock: Stock
  /** What that person's limits do to it; nothing for a body without a name. */
  readonly limit: SetupLimit
}

const asksFor = z.object({
  setup: z.string(),
  student: z.string().optional(),
  height: z.coerce.number().optional(),
  with: z
    .string()
    .max(2000)
    .transform((text, ctx) => {
      try {
        return JSON.parse(text) as unknown
      } catch {
        ctx.addIssue({ code: 'custom', message: 'not options' })
        return z.NEVER
      }
    })
    .pipe(z.record(z.string(), z.number()))
    .optional(),
})

/** A setup as a link names it; null where the link is broken or the person has no height. */
export function cardData(ctx: Context, asked: unknown): CardData | null {
  const { scope, practice, studio } = ctx
  const parsed = asksFor.safeParse(asked)
  if (!parsed.success || !SETUPS.some((s) => s.id === parsed.data.setup)) return null
  const student = parsed.data.student === undefined ? null : findStudent(scope, parsed.data.student)
  const statureCm = student?.statureCm ?? parsed.data.height ?? null
  if (statureCm === null) return null
  const weighings = student ? weighingsOf(scope, student.id) : []
  return {
    facts: factsOf(practice, parsed.data.setup),
    name: student?.name ?? 'Any body of this height',
    body: calibrated({ statureCm, measured: student?.measured }, weighings),
    options: parsed.data.with ?? {},
    stock: studio.stock,
    limit: student ? setupTonight(ctx, judgeOf(ctx), student, parsed.data.setup) : UNLIMITED,
  }
}
