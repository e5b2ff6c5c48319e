import 'server-only'
import { addDays, formatDay } from '@/core/day'
import { stillToTell, type Ran, type Told } from '@/core/incident/incident'
import { describeToTell, KIND_WORD, TOLD_WORD } from '@/core/words/incident'
import { classLines, findClass } from '@/db/classes'
import { findIncident, listIncidents, type IncidentRecord } from '@/db/incidents'
import { ageOf, findStudent, listStudents } from '@/db/students'
import { clockTime } from '../clock'
import type { Context } from '../context'

/** Reports by day; without open notes only that there is one. */
export function incidentList(ctx: Context): { id: string; when: string; what: string }[] {
  const { scope, health, privacy } = ctx
  return listIncidents(scope, privacy.notesOpen ? health.key : null).map((i) => ({
    id: i.id,
    when: `${formatDay(i.day)}, ${i.time}`,
    what: i.report ? whatOf(ctx, i, i.report) : 'A report, sealed',
  }))
}

function whatOf(ctx: Context, record: IncidentRecord, report: NonNullable<IncidentRecord['report']>): string {
  const toTell = toTellOf(ctx, record, report)
  return `${KIND_WORD[report.kind]}${toTell.length > 0 ? `. ${describeToTell(toTell)}` : ''}`
}

export type IncidentView = {
  readonly when: string
  readonly written: string
  readonly lines: readonly { label: string; text: string }[]
  readonly studio: string
  /** Who has still to be told. */
  readonly toTell: readonly Told[]
}

/** One report for reading and printing; null where it is gone, does not open, or the notes are shut on this screen. */
export function incidentView(ctx: Context, id: string): IncidentView | null {
  const { scope, studio, health, privacy } = ctx
  const found = privacy.notesOpen ? findIncident(scope, health.key, id) : null
  if (!found?.report) return null
  return {
    when: `${formatDay(found.day)}, ${found.time}`,
    written: formatDay(found.writtenDay),
    studio: studio.name,
    toTell: toTellOf(ctx, found, found.report),
    lines: linesOf(ctx, found, found.report),
  }
}

function toTellOf(
  { scope }: Context,
  { studentId }: IncidentRecord,
  report: NonNullable<IncidentRecord['report']>,
): Told[] {
  return stillToTell(report, studentId !== null && ageOf(scope, studentId).ageBand === 'under-18')
}

function linesOf(
  { scope, practice }: Context,
  record: IncidentRecord,
  report: NonNullable<IncidentRecord['report']>,
): { label: string; text: string }[] {
  const person = record.studentId === null ? null : findStudent(scope, record.studentId)
  const held = record.classId === null ? null : findClass(scope, record.classId)
  const stage = practice.stages.find((s) => s.id === report.stageId)
  return [
    { label: 'Person', text: person?.name ?? 'Nobody named' },
    { label: 'Class', text: held ? `${held.title}, ${formatDay(held.day)}` : 'None' },
    { label: 'During', text: stage ? stage.name : 'Not said' },
    { label: 'Kind', text: KIND_WORD[report.kind] },
    { label: 'What happened', text: report.happened },
    { label: 'What was done', text: report.done },
    { label: 'Who was told', text: report.told.map((t) => TOLD_WORD[t]).join(', ') || 'Nobody yet' },
    { label: 'Witnesses', text: report.witnesses || 'None named' },
    { label: 'Written by', text: report.reporter },
  ]
}

/** What the form picks from. */
export function incidentForm({ scope, practice, studio, clock, privacy, actor }: Context): {
  people: { value: string; label: string; isMinor: boolean }[]
  classes: (Ran & { value: string; label: string })[]
  stages: { value: string; label: string }[]
  today: string
  time: string
  reporter: string
  /** Whose half-written report it is: the next to sign in on this device does not find it. */
  draft: string
} {
  const { today } = clock
  return {
    people: listStudents(scope).map((s) => ({
      value: s.id,
      label: s.name,
      isMinor: !privacy.hidden && s.ageBand === 'under-18',
    })),
    classes: classLines(scope, addDays(today, 1), 12).lines.map((c) => ({
      ...{ id: c.id, day: c.day, startTime: c.startTime, minutes: c.minutes },
      value: c.id,
      label: `${c.title}, ${formatDay(c.day)}`,
    })),
    stages: practice.stages.map((s) => ({ value: s.id, label: s.name })),
    today,
    time: clockTime(studio.timeZone),
    reporter: studio.teacher,
    draft: `incident ${actor.accountId ?? ''}`,
  }
}
