import { and, eq } from 'drizzle-orm'
import type { Choices, Layers, Scope } from '@/core/approaches/resolve'
import type { Day } from '@/core/day'
import type { Db } from './open'
import { approachChoice } from './schema'

type Row = typeof approachChoice.$inferSelect

/** Every choice there is, ready to be asked for one class and person. */
export class ApproachBook {
  constructor(private readonly rows: readonly Row[]) {}

  /** What each scope says for somebody, in a class or outside one. */
  layersFor(studentId: string | null, classId: string | null = null): Layers {
    return {
      teacher: this.of('teacher', ''),
      class: classId === null ? {} : this.of('class', classId),
      student: studentId === null ? {} : this.of('student', studentId),
    }
  }

  /** Choices of one scope. */
  of(scope: Scope, scopeId: string): Choices {
    return Object.fromEntries(
      this.rows.filter((r) => r.scope === scope && r.scopeId === scopeId).map((r) => [r.approach, r.option]),
    )
  }
}

/** Reads every choice once. */
export function readApproaches(db: Db): ApproachBook {
  return new ApproachBook(db.select().from(approachChoice).all())
}

/** Sets an option at a scope, or takes the choice away when `option` is null. */
export function chooseApproach(
  db: Db,
  at: { readonly scope: Scope; readonly scopeId: string; readonly approach: string },
  option: string | null,
  day: Day,
): void {
  const { scope, scopeId, approach } = at
  const here = and(
    eq(approachChoice.scope, scope),
    eq(approachChoice.scopeId, scopeId),
    eq(approachChoice.approach, approach),
  )
  if (option === null) {
    db.delete(approachChoice).where(here).run()
    return
  }
  const row = { ...at, option, day }
  db.insert(approachChoice)
    .values(row)
    .onConflictDoUpdate({
      target: [approachChoice.scope, approachChoice.scopeId, approachChoice.approach],
      set: row,
    })
    .run()
}

/** Replaces all of a scope's choices, as a preset does. */
export function replaceChoices(db: Db, scope: Scope, scopeId: string, choices: Choices, day: Day): void {
  db.delete(approachChoice)
    .where(and(eq(approachChoice.scope, scope), eq(approachChoice.scopeId, scopeId)))
    .run()
  for (const [approach, option] of Object.entries(choices))
    chooseApproach(db, { scope, scopeId, approach }, option, day)
}
