import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { sql } from 'drizzle-orm'

const folder = mkdtempSync(path.join(tmpdir(), 'levitar-process-'))
process.env.LEVITAR_DATA = folder
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** A bundle of the server: its own copy of every module, over the process's one connection. */
function bundle() {
  let own: { open: typeof import('./open'); ledger: typeof import('./ledger') } | undefined
  jest.isolateModules(() => {
    own = {
      open: jest.requireActual<typeof import('./open')>('./open'),
      ledger: jest.requireActual<typeof import('./ledger')>('./ledger'),
    }
  })
  return own!
}

it('whoever asks first, every bundle knows what is read and written', () => {
  const [route, pages] = [bundle(), bundle()]
  // A health check comes first, and opens the store.
  const opened = route.open.sharedDb()
  const db = pages.open.sharedDb()
  expect(db).toBe(opened)
  const ledger = pages.open.ledgerOf(db)
  expect(ledger).not.toBeNull()
  const { reads } = pages.ledger.readsOf(() => db.all(sql`select id from student`))
  expect([...reads.tables]).toEqual(['student'])
  const since = ledger!.now()
  route.open
    .sharedDb()
    .run(
      sql`insert into student (studio_id, id, name, breath_s, created_day) values ('home', 'x', 'X', 5, '2026-03-10')`,
    )
  expect(ledger!.untouched(['student'], since)).toBe(false)
})

it('damage that one bundle meets is known to the health check of another', () => {
  const [pages, route] = [bundle(), bundle()]
  expect(route.open.damageSeen()).toBeNull()
  expect(pages.open.groundOf(Object.assign(new Error('x'), { code: 'SQLITE_CONSTRAINT' }))).toBeNull()
  pages.open.groundOf(Object.assign(new Error('x'), { code: 'SQLITE_CORRUPT' }))
  expect(route.open.damageSeen()?.code).toBe('damaged')
})

it('what is only kept to be quicker is left out on a full disk, and nothing else is', () => {
  const { open } = bundle()
  const fail = (code: string) => () => {
    throw Object.assign(new Error('x'), { code })
  }
  expect(open.writeIfItCan(() => 7)).toBe(7)
  expect([open.writeIfItCan(fail('SQLITE_FULL')), open.writeIfItCan(fail('SQLITE_READONLY'))]).toEqual([
    null,
    null,
  ])
  expect(() => open.writeIfItCan(fail('SQLITE_CONSTRAINT'))).toThrow('x')
})
