import 'server-only'
import { schemaVersion, sharedDb } from '@/db/open'
import { logFailure } from '../action'

/** Whether the server answers and its database is read: for whatever watches over it. Says nothing about anybody. */
export function healthResponse(): Response {
  try {
    return Response.json({ ok: true, schema: schemaVersion(sharedDb()) }, { headers: NO_STORE })
  } catch (error) {
    return Response.json(
      { ok: false, noted: logFailure('health check', error) },
      { status: 503, headers: NO_STORE },
    )
  }
}

const NO_STORE = { 'cache-control': 'no-store' }
