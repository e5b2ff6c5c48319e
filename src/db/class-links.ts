import { and, eq } from 'drizzle-orm'
import { classLink } from './schema'
import { mine, type Scope } from './scope'

/** Makes a way to a class; an earlier one ends with it. */
export function addClassLink(
  scope: Scope,
  link: { readonly tokenHash: string; readonly classId: string },
): void {
  endClassLinks(scope, link.classId)
  scope.db
    .insert(classLink)
    .values({ ...link, studioId: scope.studioId })
    .run()
}

/** Ends every way to a class. Returns how many were open. */
export function endClassLinks(scope: Scope, classId: string): number {
  return scope.db
    .update(classLink)
    .set({ revoked: true })
    .where(mine(scope, classLink, and(eq(classLink.classId, classId), eq(classLink.revoked, false))))
    .run().changes
}

/** Which class a token leads to; null where it is unknown or has ended. */
export function classOfLink(scope: Scope, tokenHash: string): string | null {
  const row = scope.db
    .select()
    .from(classLink)
    .where(mine(scope, classLink, eq(classLink.tokenHash, tokenHash)))
    .get()
  return row && !row.revoked ? row.classId : null
}
