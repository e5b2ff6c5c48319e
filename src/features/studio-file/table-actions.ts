'use server'

import { v7 } from 'uuid'
import { z } from 'zod'
import { parseName } from '@/core/entry'
import { readMark, readDay, TABLES } from '@/core/formats/table-in'
import type { ReadinessCheck } from '@/core/practice/schema'
import { PLAIN_RESULT, type Observation } from '@/core/readiness/evidence'
import { readValue } from '@/core/readiness/read-values'
import { describeName, describeResult } from '@/core/words/entry'
import { addDropIn, appendAttendance, attendanceMarks } from '@/db/attendance'
import { classLines } from '@/db/classes'
import { appendObservation, observationsOn } from '@/db/evidence'
import { addStudents, listStudents, type StudentRecord } from '@/db/students'
import { action } from '../action'
import { ownStamps } from '../facts/own-stamps'
import { spansOfStudent } from '../body'
import { done, type Answer, type Problem } from '../answer'
import type { Context } from '../context'
import { statureField } from '../fields'

/** Rows of one table at most: ten years of a studio's register. */
const MOST_ROWS = 6000
const MOST_TOLD = 20

type Row = Readonly<Record<string, string>>
/** What one row comes to: how it is stored, that it is there already, or why it cannot be read. */
type Fate = (() => void) | 'known' | { readonly why: string }
type Reader = (ctx: Context) => (row: Row, line: number) => Fate

const READERS: Readonly<Record<(typeof TABLES)[number], Reader>> = {
  students: studentRows,
  results: resultRows,
  attendance: attendanceRows,
}

/**
 * A table, all of it or nothing; what is there already is left alone, so the same table twice changes nothing. Every row
 * that cannot be read is named.
 */
export const tableIn = action(
  z.object({
    kind: z.enum(TABLES),
    rows: z.array(z.record(z.string().max(12), z.string().max(200))).max(MOST_ROWS),
    /** Where the first of these rows stands in the table. */
    firstLine: z.number().int().min(1),
    /** False reads it and stores nothing. */
    keep: z.boolean(),
  }),
  (ctx, { kind, rows, firstLine, keep }): Answer<{ fresh: number; known: number }> => {
    const read = READERS[kind](ctx)
    const fates = rows.map((row, i) => read(row, i))
    const problems = fates.flatMap((fate, i): Problem[] =>
      typeof fate === 'object' ? [{ path: '', message: `Row ${firstLine + i}: ${fate.why}` }] : [],
    )
    if (problems.length > 0) return { ok: false, problems: told(problems) }
    const writes = fates.flatMap((fate) => (typeof fate === 'function' ? [fate] : []))
    if (keep) for (const write of writes) write()
    return done({ fresh: writes.length, known: fates.length - writes.length })
  },
)

function told(problems: readonly Problem[]): Problem[] {
  const more = problems.length - MOST_TOLD
  return [
    ...problems.slice(0, MOST_TOLD),
    ...(more > 0 ? [{ path: '', message: `And ${more} more rows.` }] : []),
  ]
}

function studentRows({ scope, studio, clock }: Context): ReturnType<Reader> {
  const known = new Set(listStudents(scope, { archived: true }).map((s) => s.name.toLowerCase()))
  const height = statureField(studio.units)
  return (row) => {
    const name = parseName(row.name ?? '')
    if (!name.ok) return { why: describeName(name.refusal) }
    const stature = height.safeParse(row.height ?? '')
    if (!stature.success) return { why: stature.error.issues[0]?.message ?? 'The height cannot be read.' }
    if (known.has(name.value.toLowerCase())) return 'known'
    known.add(name.value.toLowerCase())
    return () => addStudents(scope, [{ id: v7(), name: name.value, statureCm: stature.data }], clock.today)
  }
}

/** Finds people by name; two of one name cannot be told apart, and nobody is taken for another. */
function finder({ scope }: Context): (name: string) => StudentRecord | { readonly why: string } {
  const byName = new Map<string, StudentRecord[]>()
  for (const student of listStudents(scope, { archived: true })) {
    const name = student.name.toLowerCase()
    byName.set(name, [...(byName.get(name) ?? []), student])
  }
  return (name) => {
    const [student, other] = byName.get(name.toLowerCase()) ?? []
    if (!student) return { why: `Nobody here is called “${name}”. Bring the students in first.` }
    return other === undefined ? student : { why: `Two people here are called “${name}”.` }
  }
}

const DAY_WHY = {
  'no-day': 'is no day. Write days as 2026-03-10.',
  'either-way': 'could be two days: write it as 2026-03-10.',
} as const

function dayOf(row: Row, today: string): { readonly day: string } | { readonly why: string } {
  const read = readDay(row.day ?? '')
  if (!read.ok) return { why: `“${row.day ?? ''}” ${DAY_WHY[read.refusal.code]}` }
  return read.value > today ? { why: `${read.value} is still to come.` } : { day: read.value }
}

function resultRows(ctx: Context): ReturnType<Reader> {
  const { practice, studio, clock, scope } = ctx
  const find = finder(ctx)
  const stamp = ownStamps(ctx)
  const checks = new Map(practice.checks.flatMap((c) => [c.id, c.name].map((n) => [n.toLowerCase(), c])))
  const seen = new Set<string>()
  return (row, line) => {
    const who = find(row.name ?? '')
    if ('why' in who) return who
    const on = dayOf(row, clock.today)
    if ('why' in on) return on
    const check = checks.get((row.check ?? '').toLowerCase())
    if (!check) return { why: `“${row.check ?? ''}” is no check of the practice. The Library lists them.` }
    const values = valuesOf(row, check, who, studio)
    if ('why' in values) return values
    const key = JSON.stringify([who.id, on.day, check.id, values.read])
    const isThere = observationsOn(scope, who.id, on.day).some(
      (o) => JSON.stringify([who.id, o.day, o.checkId, o.values]) === key,
    )
    if (isThere || seen.has(key)) return 'known'
    seen.add(key)
    const { fact, origin } = stamp(line)
    const told = { studentId: who.id, checkId: check.id, values: values.read, observer: 'from a table' }
    return () =>
      void appendObservation(
        scope,
        { ...PLAIN_RESULT, ...fact, ...told, day: on.day, replaces: null },
        origin,
      )
  }
}

function valuesOf(
  row: Row,
  check: ReadinessCheck,
  who: StudentRecord,
  { units }: Context['studio'],
): { readonly read: Observation['values'] } | { readonly why: string } {
  const keys = check.side === 'each' ? (['left', 'right'] as const) : (['single'] as const)
  const read: { single?: number; left?: number; right?: number } = {}
  for (const key of keys) {
    const parsed = readValue(row[key] ?? '', check, spansOfStudent(who), units)
    if (!parsed.ok) return { why: describeResult(parsed.refusal, check, { units }) }
    read[key] = parsed.value
  }
  return { read }
}

function attendanceRows(ctx: Context): ReturnType<Reader> {
  const { scope, clock } = ctx
  const find = finder(ctx)
  const stamp = ownStamps(ctx)
  const classes = classLines(scope, null, MOST_CLASSES).lines
  const marks = new Set(attendanceMarks(scope).map((m) => `${m.day} ${m.title} ${m.studentId} ${m.mark}`))
  return (row, line) => {
    const who = find(row.name ?? '')
    if ('why' in who) return who
    const on = dayOf(row, clock.today)
    if ('why' in on) return on
    const mark = readMark(row.came ?? '')
    if (mark === null) return { why: `“${row.came ?? ''}” says neither yes, late nor no.` }
    const title = (row.class ?? '').toLowerCase()
    const fits = classes.filter((c) => c.day === on.day && (title === '' || c.title.toLowerCase() === title))
    const [held, other] = fits
    if (!held) return { why: `No such class on ${on.day}. Make it under Plans first.` }
    if (other) return { why: `Two classes fit on ${on.day}: name the class.` }
    if (marks.has(`${on.day} ${held.title} ${who.id} ${mark}`)) return 'known'
    marks.add(`${on.day} ${held.title} ${who.id} ${mark}`)
    const { fact, origin } = stamp(line)
    return () => {
      if (mark !== 'absent') addDropIn(scope, held.id, who.id)
      appendAttendance(scope, { ...fact, classId: held.id, studentId: who.id, day: on.day, mark }, origin)
    }
  }
}

/** Classes among which a table's are looked for. */
const MOST_CLASSES = 5000
