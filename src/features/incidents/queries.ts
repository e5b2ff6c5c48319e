import 'server-only'
import { addDays, formatDay } from '@/core/day'
import { KIND_WORD, TOLD_WORD } from '@/core/words/incident'
import { classLines, findClass } from '@/db/classes'
import { findIncident, listIncidents, type IncidentRecord } from '@/db/incidents'
import { findStudent, listNames } from '@/db/students'
import { now } from '../clock'
import type { Context } from '../context'

/** Reports by day; without open notes only that there is one. */
export function incidentList({
  scope,
  health,
  privacy,
}: Context): { id: string; when: string; what: string }[] {
  return listIncidents(scope, privacy.notesOpen ? health.key : null).map((i) => ({
    id: i.id,
    when: `${formatDay(i.day)}, ${i.time}`,
    what: i.report ? KIND_WORD[i.report.kind] : 'A report, sealed',
  }))
}

export type IncidentView = {
  readonly when: string
  readonly written: string
  readonly lines: readonly { label: string; text: string }[]
  readonly studio: string
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
    lines: linesOf(ctx, found, found.report),
  }
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
export function incidentForm({ scope, practice, studio, clock }: Context): {
  people: { value: string; label: string }[]
  classes: { value: string; label: string }[]
  stages: { value: string; label: string }[]
  today: string
  time: string
  reporter: string
} {
  const { today } = clock
  return {
    people: listNames(scope).map((s) => ({ value: s.id, label: s.name })),
    classes: classLines(scope, addDays(today, 1), 12).lines.map((c) => ({
      value: c.id,
      label: `${c.title}, ${formatDay(c.day)}`,
    })),
    stages: practice.stages.map((s) => ({ value: s.id, label: s.name })),
    today,
    time: new Intl.DateTimeFormat('en-GB', {
      timeZone: studio.timeZone,
      hour: '2-digit',
      minute: '2-digit',
    }).format(now()),
    reporter: studio.teacher,
  }
}
