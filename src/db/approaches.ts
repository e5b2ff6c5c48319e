import { and, eq } from 'drizzle-orm'
import type { Choices, Layers, Scope } from '@/core/approaches/resolve'
import type { Day } from '@/core/day'
import { approachChoice } from './schema'
import { dropRows, rowsOf } from './rows'
import { mine, type Scope as Store } from './scope'

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
export function readApproaches(within: Store): ApproachBook {
  return new ApproachBook(rowsOf(within, approachChoice))
}

/** Sets an option at a scope, or takes the choice away when `option` is null. */
export function chooseApproach(
  within: Store,
  at: { readonly scope: Scope; readonly scopeId: string; readonly approach: string },
  option: string | null,
  day: Day,
): void {
  const { scope, scopeId, approach } = at
  const here = mine(
    within,
    approachChoice,
    eq(approachChoice.scope, scope),
    eq(approachChoice.scopeId, scopeId),
    eq(approachChoice.approach, approach),
  )
  if (option === null) {
    within.db.delete(approachChoice).where(here).run()
    return
  }
  const row = { ...at, option, day, studioId: within.studioId }
  within.db
    .insert(approachChoice)
    .values(row)
    .onConflictDoUpdate({
      target: [
        approachChoice.studioId,
        approachChoice.scope,
        approachChoice.scopeId,
        approachChoice.approach,
      ],
      set: row,
    })
    .run()
}

/** Replaces all of a scope's choices, as a preset does. */
export function replaceChoices(
  within: Store,
  scope: Scope,
  scopeId: string,
  choices: Choices,
  day: Day,
): void {
  dropRows(within, approachChoice, and(eq(approachChoice.scope, scope), eq(approachChoice.scopeId, scopeId)))
  for (const [approach, option] of Object.entries(choices))
    chooseApproach(within, { scope, scopeId, approach }, option, day)
}
