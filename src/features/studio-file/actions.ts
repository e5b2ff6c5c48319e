'use server'

import { z } from 'zod'
import { writeCsv } from '@/core/formats/csv'
import { findById } from '@/core/practice/find'
import { describeTry } from '@/core/words/attempt'
import { describeCounted, stageName } from '@/core/words/reason'
import { foldEvidence } from '@/core/readiness/evidence'
import { attendanceMarks } from '@/db/attendance'
import { evidenceOf } from '@/db/evidence'
import { readHealth } from '@/db/health'
import { rowsOfStudent } from '@/db/own-file'
import { trailLines } from '@/db/trail'
import { findStudent, listStudents } from '@/db/students'
import { action } from '../action'
import { done, problem } from '../answer'
import type { Context } from '../context'
import { idField } from '../fields'

const SHEETS = {
  students: studentSheet,
  results: resultSheet,
  tries: trySheet,
  attendance: attendanceSheet,
} as const

/** One kind of record of everybody, for a spreadsheet: nothing of anybody's health. */
export const csvOut = action(
  z.object({ what: z.enum(['students', 'results', 'tries', 'attendance']) }),
  (ctx, { what }) => {
    const { columns, rows } = SHEETS[what](ctx)
    return done({ name: `${ctx.clock.today} ${what}.csv`, text: writeCsv(columns, rows) })
  },
  { refresh: false },
)

type Sheet = { columns: readonly string[]; rows: (string | number)[][] }

function studentSheet({ scope }: Context): Sheet {
  return {
    columns: ['name', 'height cm', 'breath s', 'since', 'put away'],
    rows: listStudents(scope, { archived: true }).map((s) => [
      ...[s.name, s.statureCm ?? '', s.breathS, s.createdDay, s.archivedDay ?? ''],
    ]),
  }
}

function resultSheet({ scope, practice, clock }: Context): Sheet {
  return {
    columns: ['name', 'day', 'check', 'result', 'left', 'right', 'unit', 'counts'],
    rows: listStudents(scope, { archived: true }).flatMap((s) =>
      foldEvidence(evidenceOf(scope, s.id), clock.today)
        // Where it hurts is the health notes' and stays there.
        .observations.filter((o) => o.region === null || o.region === undefined)
        .map((o) => {
          const check = findById(practice.checks, o.checkId)
          const { single, left, right } = o.values
          return [
            ...[s.name, o.day, check.name, single ?? '', left ?? '', right ?? '', check.unit],
            describeCounted(o, check),
          ]
        }),
    ),
  }
}

function trySheet({ scope, practice, clock }: Context): Sheet {
  return {
    columns: ['name', 'day', 'step', 'result'],
    rows: listStudents(scope, { archived: true }).flatMap((s) =>
      foldEvidence(evidenceOf(scope, s.id), clock.today).attempts.map((a) => [
        ...[s.name, a.day, stageName(practice, a.stageId), describeTry(a)],
      ]),
    ),
  }
}

function attendanceSheet({ scope }: Context): Sheet {
  const names = new Map(listStudents(scope, { archived: true }).map((s) => [s.id, s.name]))
  return {
    columns: ['day', 'class', 'name', 'came'],
    rows: attendanceMarks(scope).map((m) => [m.day, m.title, names.get(m.studentId) ?? '', m.mark]),
  }
}

/** Deeds that a person’s file tells at most. */
const MOST_OPENED = 2000

/** Everything that is kept of one person, for themselves: answers too, so it asks for open health notes. */
export const ownFile = action(
  z.object({ studentId: idField }),
  ({ scope, health, clock }, { studentId }) => {
    const student = findStudent(scope, studentId)
    if (!student) return problem('That person is not here any more.')
    const file = {
      format: 'levitar-person',
      version: 1,
      made: clock.today,
      records: rowsOfStudent(scope, studentId),
      health: readHealth(scope, health.key, studentId),
      // Who opened or changed what is private of them: theirs to know.
      opened: trailLines(scope, MOST_OPENED, studentId).map(({ atMs, name, what }) => ({ atMs, name, what })),
    }
    return done({ name: `${clock.today} ${student.name}.json`, text: JSON.stringify(file, null, 2) })
  },
  { trail: ({ studentId }) => ({ what: 'own-file', studentId }), refresh: false, layer: true },
)
