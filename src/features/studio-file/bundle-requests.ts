import 'server-only'
import { z } from 'zod'
import { describeBundle } from '@/core/words/bundle'
import { readBundle, MOST_ZIPPED } from '@/db/bundle/read'
import { takeIn } from '@/db/bundle/take-in'
import { writeBundle } from '@/db/bundle/write'
import { healthKeyFile, writeHealthKey } from '@/db/health-codec'
import { dataFolder } from '@/db/open'
import { logFailure, orNothing } from '../action'
import { done, problem, type Answer } from '../answer'
import { reaches } from '@/core/access/roles'
import { contextFor } from '../context'
import { isOwnPage } from '../own-page'
import { tell } from '../tell'
import { refusalFor, whoHere } from '../who'

/** A word of this length is guessed slowly enough. */
const LEAST_PASSPHRASE = 10

const outSchema = z.object({
  health: z.boolean(),
  passphrase: z.string().max(200),
})

/** The whole studio as a file; the health notes only where they are open here, sealed with a passphrase. */
export async function bundleOut(request: Request): Promise<Response> {
  if (!isOwnPage(request)) return new Response(null, { status: 403 })
  const asked = outSchema.safeParse(await request.json().catch(() => null))
  if (!asked.success) return said(problem('That is not how a studio is asked for.'))
  const who = await whoHere()
  if (!reaches(who.actor.role, 'owner')) return said(problem(refusalFor(who.actor, true)))
  const ctx = contextFor(who.privacy, undefined, who.actor)
  const { health, passphrase } = asked.data
  if (health && !ctx.privacy.notesOpen)
    return said(problem('The health notes are shut. Open them on a student’s page and take it out again.'))
  if (health && passphrase.length < LEAST_PASSPHRASE)
    return said(problem(`The passphrase: at least ${LEAST_PASSPHRASE} characters.`, 'passphrase'))
  if (health && !ctx.health.key)
    return said(problem('The key of the health notes is missing, so they cannot be taken along.'))
  const bytes = writeBundle(ctx.scope, health && ctx.health.key ? { passphrase, key: ctx.health.key } : null)
  tell(ctx, { what: 'studio-taken-out' })
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="levitar ${ctx.clock.today}.zip"`,
      'cache-control': 'no-store',
    },
  })
}

/** A studio's file brought into an empty installation: all of it, or nothing. */
export async function bundleIn(request: Request): Promise<Response> {
  if (!isOwnPage(request)) return new Response(null, { status: 403 })
  const who = await whoHere()
  if (!reaches(who.actor.role, 'owner')) return said(problem(refusalFor(who.actor, true)))
  if (Number(request.headers.get('content-length') ?? 0) > MOST_ZIPPED) return said(tooLarge())
  const form = await request.formData().catch(() => null)
  const file = form?.get('file')
  const passphrase = form?.get('passphrase')
  if (!(file instanceof Blob)) return said(problem('Pick the file first.'))
  if (file.size > MOST_ZIPPED) return said(tooLarge())
  const read = readBundle(
    new Uint8Array(await file.arrayBuffer()),
    typeof passphrase === 'string' ? passphrase : '',
  )
  if (!read.ok) return said(problem(describeBundle(read.refusal), pathOf(read.refusal.code)))
  try {
    return said(
      orNothing((ctx) => {
        const taken = takeIn(ctx.scope, read.value)
        if (!taken.ok) return problem(describeBundle(taken.refusal))
        // Before the rows count: rows without their key would be a lost key.
        if (read.value.key) writeHealthKey(healthKeyFile(dataFolder()), read.value.key)
        tell(ctx, { what: 'studio-brought-in' })
        return done({ rows: taken.value, health: read.value.key !== null })
      }, who),
    )
  } catch (error) {
    logFailure('studio file', error)
    return said(problem('That could not be stored. Nothing was changed; try once more.'))
  }
}

function tooLarge() {
  return problem(describeBundle({ code: 'too-large' }))
}

function pathOf(code: string): string {
  return code === 'passphrase' ? 'passphrase' : ''
}

function said(answer: Answer<unknown>): Response {
  return Response.json(answer, { status: answer.ok ? 200 : 422, headers: { 'cache-control': 'no-store' } })
}
