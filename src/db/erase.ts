import { eq } from 'drizzle-orm'
import type { Plan } from '@/core/planning/plan'
import type { Decision } from '@/core/readiness/decide'
import { incidentsOf } from './incidents'
import type { Db } from './open'
import { approachChoice, classDecision, classSession, student } from './schema'

/** What goes and what stays when somebody is erased. */
export type Erasure = { readonly plans: number; readonly decisions: number; readonly incidents: number }

/**
 * Removes every fact about somebody. Plans of past classes keep their shape under an id that belongs to nobody;
 * decisions keep their outcome alone, marked as inputs erased. Nothing in the database leads from that id to a person.
 * @param nobody a fresh id, made for this and used for nothing else
 */
export function eraseStudent(db: Db, id: string, nobody: string): Erasure {
  const incidents = incidentsOf(db, id)
  const plans = renameInPlans(db, id, nobody)
  const decisions = stripDecisions(db, id, nobody)
  db.delete(approachChoice).where(eq(approachChoice.scopeId, id)).run()
  db.delete(student).where(eq(student.id, id)).run()
  return { plans, decisions, incidents }
}

function renameInPlans(db: Db, id: string, nobody: string): number {
  let renamed = 0
  for (const row of db.select().from(classSession).all()) {
    const text = JSON.stringify([row.plan, row.locks])
    if (!text.includes(id)) continue
    const [plan, locks] = JSON.parse(text.replaceAll(id, nobody)) as [Plan | null, unknown[]]
    db.update(classSession).set({ plan, locks }).where(eq(classSession.id, row.id)).run()
    renamed += 1
  }
  return renamed
}

function stripDecisions(db: Db, id: string, nobody: string): number {
  const rows = db.select().from(classDecision).where(eq(classDecision.studentId, id)).all()
  db.delete(classDecision).where(eq(classDecision.studentId, id)).run()
  for (const row of rows)
    db.insert(classDecision)
      .values({
        classId: row.classId,
        studentId: nobody,
        before: bare(row.before as Decision, nobody),
        after: bare(row.after as Decision, nobody),
        inputsErased: true,
      })
      .run()
  return rows.length
}

/** A decision without what it was made from. */
function bare({ family, asOf, outcome, targetId }: Decision, studentId: string): Decision {
  return {
    studentId,
    family,
    asOf,
    outcome,
    targetId,
    standing: null,
    reasons: [],
    missing: [],
    wouldChange: null,
    branches: [],
  }
}

/** After health answers were taken away: what was decided with them can be shown and not made again. */
export function markInputsErased(db: Db, studentId: string): void {
  db.update(classDecision).set({ inputsErased: true }).where(eq(classDecision.studentId, studentId)).run()
}
