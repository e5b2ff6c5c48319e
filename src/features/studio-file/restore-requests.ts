import 'server-only'
import { createWriteStream, mkdirSync, rmSync } from 'node:fs'
import path from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { v7 } from 'uuid'
import { reaches } from '@/core/access/roles'
import { erasedIds, restore, type RestoreRefusal } from '@/db/backup'
import { StoreRefusal } from '@/db/migrate'
import { databaseFile, dataFolder, replaceShared } from '@/db/open'
import { mostBytes } from '@/edge/sizes'
import { logFailure } from '../action'
import { done, problem, type Answer } from '../answer'
import { contextFor } from '../context'
import { isOwnPage } from '../own-page'
import { tell } from '../tell'
import { refusalFor, whoHere, type Who } from '../who'
import { isEmptyStudio } from './queries'

const MOST = mostBytes('/studio-file/restored')
const BROKEN = 'That file is no whole backup of a studio. Take an earlier one. Nothing was changed.'
const SAID: Readonly<Record<RestoreRefusal['code'], string>> = {
  'not-empty': 'A restore is under way already. Wait a moment and look again.',
  'no-backup': BROKEN,
  broken: BROKEN,
}
const FULL = 'That is more than a studio comes to. Nothing was changed.'

/**
 * A backup into an installation in which nobody is yet: taken to the disk as it comes, looked through, brought up to date
 * and erased again beside what is here, and only then put in its place.
 */
export async function backupIn(request: Request): Promise<Response> {
  if (!isOwnPage(request)) return new Response(null, { status: 403 })
  const who = await whoHere()
  if (!reaches(who.actor.role, 'owner')) return said(problem(refusalFor(who.actor, true)))
  if (!isEmptyStudio(contextFor(who.privacy, undefined, who.actor)))
    return said(problem('Somebody is here already. A backup goes into an empty installation.'))
  const beside = path.join(dataFolder(), 'restoring')
  const incoming = path.join(beside, 'incoming.sqlite')
  try {
    rmSync(beside, { recursive: true, force: true })
    mkdirSync(beside, { recursive: true, mode: 0o700 })
    const whole = await taken(request, incoming)
    return said(whole ? putInPlace(incoming, beside, who) : problem(FULL))
  } catch (error) {
    if (error instanceof StoreRefusal && error.code === 'newer-release')
      return said(problem('That backup is of a newer release. Bring this installation up to date first.'))
    logFailure('restore', error)
    return said(problem('That could not be restored. Nothing was changed; try once more.'))
  } finally {
    rmSync(beside, { recursive: true, force: true })
  }
}

/** To the disk as it comes, readable by nobody else. Returns false where it is more than is taken. */
async function taken(request: Request, file: string): Promise<boolean> {
  if (!request.body) return true
  let bytes = 0
  const counted = async function* (source: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
    for await (const chunk of source) {
      bytes += chunk.length
      if (bytes > MOST) return
      yield chunk
    }
  }
  const body = Readable.fromWeb(request.body as Parameters<typeof Readable.fromWeb>[0])
  await pipeline(body, counted, createWriteStream(file, { mode: 0o600 }))
  return bytes <= MOST
}

function putInPlace(incoming: string, beside: string, who: Who): Answer<{ erased: number }> {
  const target = path.join(beside, 'data')
  const restored = restore(incoming, target, () => v7(), erasedIds(dataFolder()))
  if (!restored.ok) return problem(SAID[restored.refusal.code])
  // Somebody may have begun here while it came.
  if (!isEmptyStudio(contextFor(who.privacy, undefined, who.actor)))
    return problem('Somebody was added here meanwhile. Nothing was changed.')
  replaceShared(databaseFile(target))
  tell(contextFor(who.privacy, undefined, who.actor), { what: 'backup-restored' })
  return done({ erased: restored.value })
}

function said(answer: Answer<unknown>): Response {
  return Response.json(answer, { status: answer.ok ? 200 : 422, headers: { 'cache-control': 'no-store' } })
}
