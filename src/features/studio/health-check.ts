import 'server-only'
import { damageSeen, schemaVersion, sharedDb } from '@/db/open'
import { logFailure } from '../action'

/** Whether the server answers and its database is read: for whatever watches over it. Says nothing about anybody. */
export function healthResponse(): Response {
  try {
    const schema = schemaVersion(sharedDb())
    const damage = damageSeen()
    if (damage) throw damage
    return Response.json({ ok: true, schema }, { headers: NO_STORE })
  } catch (error) {
    return Response.json(
      { ok: false, noted: logFailure('health check', error) },
      { status: 503, headers: NO_STORE },
    )
  }
}

const NO_STORE = { 'cache-control': 'no-store' }
