import { and, eq } from 'drizzle-orm'
import type { Brief } from '@/core/classes/brief'
import type { Fixed } from '@/core/classes/fixed'
import type { Decision } from '@/core/readiness/decide'
import { readBrief } from '@/core/classes/upgrade'
import { seal, unseal, type HealthKey } from './health-codec'
import { incidentsOf } from './incidents'
import { approachChoice, classDecision, classPlan, classSession, student } from './schema'
import { changeRows, dropRows, rowsOf } from './rows'
import { mine, type Scope } from './scope'
import { forgetInTrail } from './trail'

/** What goes and what stays when somebody is erased. */
export type Erasure = { readonly plans: number; readonly decisions: number; readonly incidents: number }

/**
 * Removes every fact about somebody. Plans of past classes keep their shape under an id that belongs to nobody;
 * decisions keep their outcome alone, marked as inputs erased. Nothing in the database leads from that id to a person.
 * @param nobody a fresh id, made for this and used for nothing else
 */
export function eraseStudent(scope: Scope, key: HealthKey | null, id: string, nobody: string): Erasure {
  const incidents = incidentsOf(scope, id)
  const plans = renameInPlans(scope, key, id, nobody)
  forgetFixed(scope, id)
  const decisions = stripDecisions(scope, id, nobody)
  forgetInTrail(scope, id)
  dropRows(scope, approachChoice, and(eq(approachChoice.scope, 'student'), eq(approachChoice.scopeId, id)))
  dropRows(scope, student, eq(student.id, id))
  return { plans, decisions, incidents }
}

/** Classes whose plans hold somebody: each plan keeps its shape, each brief loses the person whole. */
function renameInPlans(scope: Scope, key: HealthKey | null, id: string, nobody: string): number {
  const touched = new Set<string>()
  for (const row of rowsOf(scope, classPlan)) {
    const text = JSON.stringify(row.plan)
    const brief = row.brief !== null && key ? readBrief(unseal(key, row.classId, row.brief)) : null
    const inBrief = brief?.people.some((p) => p.studentId === id) ?? false
    // A brief that does not open may hold anybody: it goes.
    const unreadable = row.brief !== null && brief === null
    if (!text.includes(id) && !inBrief && !unreadable) continue
    scope.db
      .update(classPlan)
      .set({
        plan: JSON.parse(text.replaceAll(id, nobody)) as unknown,
        brief: brief && key ? seal(key, row.classId, without(brief, id)) : null,
      })
      .where(eq(classPlan.id, row.id))
      .run()
    if (text.includes(id)) touched.add(row.classId)
  }
  return touched.size
}

function without(brief: Brief, id: string): Brief {
  return {
    ...brief,
    people: brief.people.filter((p) => p.studentId !== id),
    locks: brief.locks.filter((l) => l.studentId !== id),
    fixed: withoutIn(brief.fixed, id),
  }
}

/** Nothing fixed about a class names them any more. */
function forgetFixed(scope: Scope, id: string): void {
  for (const row of rowsOf(scope, classSession))
    if (row.fixed?.out.includes(id))
      scope.db
        .update(classSession)
        .set({ fixed: withoutIn(row.fixed, id) })
        .where(eq(classSession.id, row.id))
        .run()
}

function withoutIn(fixed: Fixed, id: string): Fixed {
  return { ...fixed, out: fixed.out.filter((o) => o !== id) }
}

function stripDecisions(scope: Scope, id: string, nobody: string): number {
  const own = mine(scope, classDecision, eq(classDecision.studentId, id))
  const rows = scope.db.select().from(classDecision).where(own).all()
  scope.db.delete(classDecision).where(own).run()
  for (const row of rows)
    scope.db
      .insert(classDecision)
      .values({
        ...row,
        studentId: nobody,
        before: bare(row.before as Decision, nobody),
        after: bare(row.after as Decision, nobody),
        inputsErased: true,
      })
      .run()
  return new Set(rows.map((row) => row.classId)).size
}

/** A decision without what it was made from. */
function bare({ family, asOf, outcome, targetId }: Decision, studentId: string): Decision {
  return {
    ...{ studentId, family, asOf, outcome, targetId, standing: null },
    ...{ reasons: [], missing: [], wouldChange: null, branches: [], first: null, held: [] },
  }
}

/** After health answers were taken away: what was decided with them can be shown and not made again. */
export function markInputsErased(scope: Scope, studentId: string): void {
  changeRows(scope, classDecision, eq(classDecision.studentId, studentId), { inputsErased: true })
}
