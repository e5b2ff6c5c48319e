import 'server-only'
import { z } from 'zod'
import { resolveApproaches } from '@/core/approaches/resolve'
import { estimateBody, type BodyInput } from '@/core/body/estimate'
import { formatDay } from '@/core/day'
import { findById, library } from '@/core/practice/library'
import { FAMILIES } from '@/core/practice/schema'
import type { Stock } from '@/core/props/stock'
import { SETUPS } from '@/core/setups/catalogue'
import { calibrate, type Weighing } from '@/core/weighing/calibrate'
import { readApproaches } from '@/db/approaches'
import { nextClass } from '@/db/classes'
import { listSavedSetups, listWeighings } from '@/db/setups'
import { listStudents, type StudentRecord } from '@/db/students'
import { context, type Context } from '../context'
import { closedWords } from '../health/queries'
import { judgeFor, type Judge } from '../judge'

export type BenchPerson = {
  readonly id: string
  readonly name: string
  readonly body: BodyInput | null
  /** Shares that were weighed; the model already follows them. */
  readonly weighings: readonly Weighing[]
  /** What is barred or left out tonight, in words; empty where hidden. */
  readonly limits: readonly string[]
  /** Setups of what comes next, the nearest family first. */
  readonly next: readonly string[]
  readonly saved: readonly {
    id: string
    setupId: string
    options: Readonly<Record<string, number>>
    day: string
  }[]
}

/** What the practice says around a setup, so that the bench need not carry the whole library. */
export type SetupFacts = {
  readonly id: string
  readonly label: string
  readonly stages: readonly string[]
  readonly lookFor: string
  readonly exit: string
  readonly faults: readonly { id: string; name: string; see: string; cue: string }[]
  readonly assists: readonly { id: string; name: string; do: string }[]
}

export type BenchData = {
  readonly people: readonly BenchPerson[]
  readonly setups: readonly SetupFacts[]
  readonly stock: Stock
  readonly nextClass: { readonly id: string; readonly title: string } | null
  /** The option in force, by approach, for the teacher’s own way. */
  readonly approaches: Readonly<Record<string, string>>
}

/** Who and what can be measured: people with their bodies, setups that can be solved, what is in stock. */
export function benchData(hidden: boolean): BenchData {
  const ctx = context()
  const { db, studio, today } = ctx
  const judge = judgeFor(ctx)
  const upcoming = nextClass(db, today)
  const resolved = resolveApproaches(library(), readApproaches(db).layersFor(null), studio.floor.forbidden)
  return {
    people: listStudents(db).map((s) => personOf(ctx, judge, s, hidden)),
    setups: SETUPS.map((setup) => factsOf(setup.id)),
    stock: studio.stock,
    nextClass: upcoming ? { id: upcoming.id, title: upcoming.title } : null,
    approaches: Object.fromEntries([...resolved].map(([id, { option }]) => [id, option])),
  }
}

function personOf({ db }: Context, judge: Judge, student: StudentRecord, hidden: boolean): BenchPerson {
  const { id, name, statureCm, measured } = student
  const weighings = listWeighings(db).filter((w) => w.studentId === id)
  return {
    id,
    name,
    weighings: weighings.map(({ shapeId, share }) => ({ shapeId, share })),
    body: statureCm === null ? null : calibrated({ statureCm, measured }, weighings),
    limits: hidden ? [] : closedWords(judge.tonight(id)),
    next: [...new Set(FAMILIES.flatMap((family) => nextSetups(judge, id, family)))],
    saved: listSavedSetups(db)
      .filter((s) => s.studentId === id)
      .map((s) => ({ id: s.id, setupId: s.setupId, options: s.options, day: formatDay(s.day) })),
  }
}

function nextSetups(judge: Judge, id: string, family: (typeof FAMILIES)[number]): readonly string[] {
  const { targetId } = judge.decide(id, { family })
  return targetId === null ? [] : findById(library().stages, targetId).setups
}

/** A body with what was weighed of it; readings that fit no body are left aside. */
function calibrated(input: BodyInput, weighings: readonly Weighing[]): BodyInput {
  if (weighings.length === 0 || !estimateBody(input).ok) return input
  const found = calibrate(input, weighings)
  return found.ok ? { ...input, massToLegs: found.value.massToLegs } : input
}

/** Four faults that a stage’s setup is most likely to show. */
const FAULTS_SHOWN = 4

function factsOf(id: string): SetupFacts {
  const practice = library()
  const entry = findById(practice.setups, id)
  const stages = practice.stages.filter((s) => s.setups.includes(id))
  const [main] = stages
  const faults = [...new Set([...entry.prevents, ...stages.flatMap((s) => s.faults)])].slice(0, FAULTS_SHOWN)
  return {
    id,
    label: entry.name,
    stages: stages.map((s) => `${s.name} (${s.id})`),
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
      .map((a) => ({ id: a.id, name: a.name, do: a.do })),
  }
}

export type CardData = {
  readonly facts: SetupFacts
  readonly name: string
  readonly body: BodyInput
  readonly options: Readonly<Record<string, number>>
  readonly stock: Stock
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
export function cardData(asked: unknown): CardData | null {
  const parsed = asksFor.safeParse(asked)
  if (!parsed.success || !SETUPS.some((s) => s.id === parsed.data.setup)) return null
  const { db, studio } = context()
  const student = listStudents(db, { archived: true }).find((s) => s.id === parsed.data.student)
  const statureCm = student?.statureCm ?? parsed.data.height ?? null
  if (statureCm === null) return null
  const weighings = listWeighings(db).filter((w) => w.studentId === student?.id)
  return {
    facts: factsOf(parsed.data.setup),
    name: student?.name ?? 'Any body of this height',
    body: calibrated({ statureCm, measured: student?.measured }, weighings),
    options: parsed.data.with ?? {},
    stock: studio.stock,
  }
}
