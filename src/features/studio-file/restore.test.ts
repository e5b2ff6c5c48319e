import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { demoWorld } from '@/core/simulate/demo'
import { backUp } from '@/db/backup'
import { keyOf } from '@/db/health-key'
import { databaseFile, dataFolder, openDb } from '@/db/open'
import { HOME } from '@/db/scope'
import { seedDemo } from '@/db/seed'
import { listNames } from '@/db/students'
import { trailLines } from '@/db/trail'
import { ownData, refusedAt, screen, value } from '@/testing/actions'
import { listErased } from './restore-actions'
import { backupIn } from './restore-requests'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('restore', DAY)
const world = demoWorld(DAY)
const elsewhere = mkdtempSync(path.join(tmpdir(), 'levitar-elsewhere-'))
afterAll(() => rmSync(elsewhere, { recursive: true, force: true }))

const send = (body: Uint8Array<ArrayBuffer>, headers: Record<string, string> = {}) =>
  backupIn(new Request('http://localhost/studio-file/restored', { method: 'POST', body, headers }))
const told = async (answer: Response): Promise<string> =>
  ((await answer.json()) as { problems?: { message: string }[] }).problems?.[0]?.message ?? ''
const names = async () => listNames((await screen()).scope).map((s) => s.name)

it('a backup is put back where nobody is: whole, less whoever was erased since, and only once', async () => {
  const db = openDb(databaseFile(elsewhere))
  const scope = { db, studioId: HOME }
  seedDemo(scope, world, DAY, keyOf(scope, elsewhere, null).key)
  const file = new Uint8Array(readFileSync(await backUp(elsewhere, Date.parse(`${DAY}T12:00:00Z`))))
  db.$client.close()
  expect(await names()).toEqual([])
  expect((await send(file, { 'sec-fetch-site': 'cross-site' })).status).toBe(403)
  // What is no backup, or half of one, changes nothing and leaves nothing behind.
  for (const bad of [
    new Uint8Array(0),
    new TextEncoder().encode('no database'),
    file.slice(0, file.length / 2),
  ])
    expect(await told(await send(bad))).toMatch(/no whole backup of a studio/)
  expect(await names()).toEqual([])
  expect(existsSync(path.join(dataFolder(), 'restoring'))).toBe(false)
  const gone = world.students[2]!
  // The list came along from the lost machine.
  expect(refusedAt(await listErased({ text: 'no ids' }))).toEqual([''])
  expect(value(await listErased({ text: `${gone.id}\n` }))).toEqual({ listed: 1 })
  expect(value(await listErased({ text: gone.id }))).toEqual({ listed: 0 })
  expect(await (await send(file)).json()).toEqual({ ok: true, value: { erased: 1 } })
  expect((await names()).sort()).toEqual(
    world.students
      .filter((s) => s.id !== gone.id)
      .map((s) => s.name)
      .sort(),
  )
  expect(readFileSync(databaseFile(dataFolder())).includes(gone.name)).toBe(false)
  expect(statSync(databaseFile(dataFolder())).mode & 0o077).toBe(0)
  expect(existsSync(path.join(dataFolder(), 'restoring'))).toBe(false)
  expect(trailLines((await screen()).scope, 5)[0]).toMatchObject({
    what: 'backup-restored',
    name: 'This machine',
  })
  expect(await told(await send(file))).toMatch(/Somebody is here already/)
  expect(refusedAt(await listErased({ text: gone.id }))).toEqual([''])
})
