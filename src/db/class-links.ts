import { and, eq } from 'drizzle-orm'
import { classLink } from './schema'
import { addRow, changeRows, rowOf } from './rows'
import type { Scope } from './scope'

/** Makes a way to a class; an earlier one ends with it. */
export function addClassLink(
  scope: Scope,
  link: { readonly tokenHash: string; readonly classId: string },
): void {
  endClassLinks(scope, link.classId)
  addRow(scope, classLink, link)
}

/** Ends every way to a class. Returns how many were open. */
export function endClassLinks(scope: Scope, classId: string): number {
  return changeRows(scope, classLink, and(eq(classLink.classId, classId), eq(classLink.revoked, false)), {
    revoked: true,
  })
}

/** Which class a token leads to; null where it is unknown or has ended. */
export function classOfLink(scope: Scope, tokenHash: string): string | null {
  const row = rowOf(scope, classLink, eq(classLink.tokenHash, tokenHash))
  return row && !row.revoked ? row.classId : null
}
