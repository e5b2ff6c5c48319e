import { sql } from 'drizzle-orm'
import {
  healthKeyFile,
  makeHealthKey,
  readHealthKey,
  seal,
  unseal,
  writeHealthKey,
  type HealthKey,
} from './health-codec'
import { classPlan, healthRecord, incident } from './schema'
import { mine, type Scope } from './scope'
import { saveStudio } from './studio'

/**
 * The key of the health notes, or how it is missing. `lost`: there is no file; `wrong`: the file is no key, or not the one
 * that sealed what lies here.
 */
export type KeyState =
  { readonly code: 'ok'; readonly key: HealthKey } | { readonly code: 'lost' | 'wrong'; readonly key: null }

/** Bound into the value by which the right key is known. */
const CHECK_OWNER = 'key-check'

/**
 * Finds the key of a studio. It is made only where nothing is sealed yet: a second key would turn every earlier answer
 * into “not asked” and open what a Stop closed.
 * @param check the studio's key check, null until there is one
 */
export function keyOf(scope: Scope, folder: string, check: string | null): KeyState {
  const file = healthKeyFile(folder)
  const key = readHealthKey(file)
  const sealed = firstSealed(scope)
  if (key === null)
    return sealed === null ? remember(scope, makeHealthKey(file)) : { code: 'lost', key: null }
  if (check !== null) {
    if (unseal(key, CHECK_OWNER, check) !== null) return { code: 'ok', key }
    return sealed === null ? remember(scope, key) : { code: 'wrong', key: null }
  }
  // From before there was a check: whatever is sealed tells.
  const fits = sealed === null || unseal(key, sealed.owner, sealed.sealed) !== null
  return fits ? remember(scope, key) : { code: 'wrong', key: null }
}

/** Puts a key back, from its printed code. Returns whether it is the one that sealed what lies here. */
export function restoreKey(scope: Scope, folder: string, check: string | null, key: HealthKey): boolean {
  const sealed = firstSealed(scope)
  const fits =
    check === null
      ? sealed === null || unseal(key, sealed.owner, sealed.sealed) !== null
      : unseal(key, CHECK_OWNER, check) !== null
  if (fits) writeHealthKey(healthKeyFile(folder), key)
  return fits
}

function remember(scope: Scope, key: HealthKey): KeyState {
  saveStudio(scope, { keyCheck: seal(key, CHECK_OWNER, true) })
  return { code: 'ok', key }
}

/** Something that the right key opens; null where nothing is sealed. */
function firstSealed(scope: Scope): { owner: string; sealed: string } | null {
  const health = scope.db.select().from(healthRecord).where(mine(scope, healthRecord)).limit(1).get()
  if (health) return { owner: health.studentId, sealed: health.sealed }
  const report = scope.db.select().from(incident).where(mine(scope, incident)).limit(1).get()
  if (report) return { owner: report.id, sealed: report.sealed }
  const plan = scope.db
    .select()
    .from(classPlan)
    .where(mine(scope, classPlan, sql`${classPlan.brief} is not null`))
    .limit(1)
    .get()
  return plan?.brief ? { owner: plan.classId, sealed: plan.brief } : null
}
