import 'server-only'
import { formatDay } from '@/core/day'
import { library } from '@/core/practice/library'
import { KIND_WORD, TOLD_WORD } from '@/core/words/incident'
import { listClasses } from '@/db/classes'
import { findIncident, listIncidents, type IncidentRecord } from '@/db/incidents'
import { listStudents } from '@/db/students'
import { now } from '../clock'
import { context, keyOfHealth } from '../context'

/** Reports by day; without open notes only that there is one. */
export function incidentList(open: boolean): { id: string; when: string; what: string }[] {
  return listIncidents(context().db, open ? keyOfHealth() : null).map((i) => ({
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

/** One report for reading and printing; null where it is gone or does not open. */
export function incidentView(id: string): IncidentView | null {
  const { db, studio } = context()
  const found = findIncident(db, keyOfHealth(), id)
  if (!found?.report) return null
  return {
    when: `${formatDay(found.day)}, ${found.time}`,
    written: formatDay(found.writtenDay),
    studio: studio.name,
    lines: linesOf(found, found.report),
  }
}

function linesOf(
  record: IncidentRecord,
  report: NonNullable<IncidentRecord['report']>,
): { label: string; text: string }[] {
  const { db } = context()
  const person = listStudents(db, { archived: true }).find((s) => s.id === record.studentId)
  const held = listClasses(db).find((c) => c.id === record.classId)
  const stage = library().stages.find((s) => s.id === report.stageId)
  return [
    { label: 'Person', text: person?.name ?? 'Nobody named' },
    { label: 'Class', text: held ? `${held.title}, ${formatDay(held.day)}` : 'None' },
    { label: 'During', text: stage ? `${stage.name} (${stage.id})` : 'Not said' },
    { label: 'Kind', text: KIND_WORD[report.kind] },
    { label: 'What happened', text: report.happened },
    { label: 'What was done', text: report.done },
    { label: 'Who was told', text: report.told.map((t) => TOLD_WORD[t]).join(', ') || 'Nobody yet' },
    { label: 'Witnesses', text: report.witnesses || 'None named' },
    { label: 'Written by', text: report.reporter },
  ]
}

/** What the form picks from. */
export function incidentForm(): {
  people: { value: string; label: string }[]
  classes: { value: string; label: string }[]
  stages: { value: string; label: string }[]
  today: string
  time: string
  reporter: string
} {
  const { db, studio, today } = context()
  return {
    people: listStudents(db).map((s) => ({ value: s.id, label: s.name })),
    classes: listClasses(db)
      .filter((c) => c.day <= today)
      .slice(0, 12)
      .map((c) => ({ value: c.id, label: `${c.title}, ${formatDay(c.day)}` })),
    stages: library().stages.map((s) => ({ value: s.id, label: `${s.name} (${s.id})` })),
    today,
    time: new Intl.DateTimeFormat('en-GB', {
      timeZone: studio.timeZone,
      hour: '2-digit',
      minute: '2-digit',
    }).format(now()),
    reporter: studio.teacher,
  }
}
