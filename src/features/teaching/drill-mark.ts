/** A drill that somebody did in a class. */
export type DrillMark = { readonly id: string; readonly studentId: string; readonly drillId: string }
