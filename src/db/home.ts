import { and, asc, desc, eq } from 'drizzle-orm'
import { homeSheetSchema, type HomeSheet, type Tick } from '@/core/home/home'
import type { Day } from '@/core/day'
import { homeLink, homePlan, homeTick } from './schema'
import { addOnce, addRow, changeRows, rowOf, rowsOf } from './rows'
import { mine, type Scope } from './scope'

export type HomePlan = {
  readonly id: string
  readonly studentId: string
  readonly day: Day
  readonly madeMs: number
  readonly sheet: HomeSheet
}
export type HomeTick = {
  readonly id: string
  readonly planId: string
  readonly drillId: string
  readonly day: Day
  readonly tick: Tick | null
  readonly via: 'paper' | 'link'
  readonly atMs: number
}
export type HomeLink = {
  readonly tokenHash: string
  readonly studentId: string
  readonly made: Day
  readonly expires: Day
}

/** Keeps a week's sheet. Returns false when it was there already. */
export function addHomePlan(scope: Scope, plan: HomePlan): boolean {
  return addOnce(scope, homePlan, plan)
}

/** Somebody's sheets, newest first. A sheet that cannot be read counts as none. */
export function homePlansOf(scope: Scope, studentId: string): HomePlan[] {
  return rowsOf(
    scope,
    homePlan,
    eq(homePlan.studentId, studentId),
    desc(homePlan.day),
    desc(homePlan.madeMs),
  ).flatMap(({ studioId: _o, sheet, ...row }) => {
    const read = homeSheetSchema.safeParse(sheet)
    return read.success ? [{ ...row, sheet: read.data }] : []
  })
}

/** Keeps a word about one thing on one day. */
export function addHomeTick(scope: Scope, tick: HomeTick): boolean {
  return addOnce(scope, homeTick, tick)
}

/** What was said of a sheet: for each thing and day the newest word, those taken away left out. */
export function ticksOf(scope: Scope, planId: string): (HomeTick & { readonly tick: Tick })[] {
  const rows = rowsOf(scope, homeTick, eq(homeTick.planId, planId), asc(homeTick.atMs), asc(homeTick.id))
  const newest = new Map(rows.map(({ studioId: _o, ...row }) => [`${row.drillId} ${row.day}`, row]))
  return [...newest.values()].flatMap((row) => (row.tick === null ? [] : [{ ...row, tick: row.tick }]))
}

/** Makes a way to somebody's sheet; an earlier one ends with it. */
export function addHomeLink(scope: Scope, link: HomeLink): void {
  revokeHomeLinks(scope, link.studentId)
  addRow(scope, homeLink, link)
}

/** Every way to a sheet that was ever made, without what opens it. */
export function homeLinks(scope: Scope): (Omit<HomeLink, 'tokenHash'> & { readonly revoked: boolean })[] {
  return scope.db
    .select({
      studentId: homeLink.studentId,
      made: homeLink.made,
      expires: homeLink.expires,
      revoked: homeLink.revoked,
    })
    .from(homeLink)
    .where(mine(scope, homeLink))
    .all()
}

/** Ends every way to somebody's sheet. Returns how many there were. */
export function revokeHomeLinks(scope: Scope, studentId: string): number {
  return changeRows(scope, homeLink, and(eq(homeLink.studentId, studentId), eq(homeLink.revoked, false)), {
    revoked: true,
  })
}

/** The way to somebody's sheet that is open on a day; null where none is. */
export function openLinkOf(scope: Scope, studentId: string, today: Day): HomeLink | null {
  const rows = rowsOf(scope, homeLink, and(eq(homeLink.studentId, studentId), eq(homeLink.revoked, false)))
  return rows.find((row) => row.expires >= today) ?? null
}

/** Whose sheet a token leads to on a day; null where it is unknown, ended or too old. */
export function studentOfLink(scope: Scope, tokenHash: string, today: Day): string | null {
  const row = rowOf(scope, homeLink, eq(homeLink.tokenHash, tokenHash))
  return row && !row.revoked && row.expires >= today ? row.studentId : null
}
