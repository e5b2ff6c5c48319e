import { ownData, screen, seedWorld } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('remember', DAY)

it('keeps an answer until anything is written, by this process or another, and to each screen its own', async () => {
  await seedWorld(DAY)
  const { remembered } = await import('./remember')
  const { addStudents } = await import('@/db/students')
  const { databaseFile, dataFolder } = await import('@/db/open')
  let asked = 0
  const read = async (privacy = {}, name = 'x') =>
    remembered(await screen(privacy), name, () => {
      asked += 1
      return asked
    })
  expect([await read(), await read(), asked]).toEqual([1, 1, 1])
  // Another question, and a screen that shows less, are answered by themselves.
  expect([await read({}, 'y'), await read({ hidden: true }), await read({ notesOpen: false })]).toEqual([
    2, 3, 4,
  ])
  expect(await read()).toBe(1)
  addStudents((await screen()).scope, [{ id: 'w1', name: 'Written' }], DAY)
  expect([await read(), await read()]).toEqual([5, 5])
  const { default: Database } = await import('better-sqlite3')
  const other = new Database(databaseFile(dataFolder()))
  other.prepare("update student set name = 'Again' where id = 'w1'").run()
  other.close()
  expect(await read()).toBe(6)
  process.env.LEVITAR_NOW = '2026-03-11T17:00:00Z'
  expect(await read()).toBe(7)
})

it('another database in the place of this one is asked anew, however few its writes', async () => {
  const { remembered } = await import('./remember')
  const { backUp, restore } = await import('@/db/backup')
  const { databaseFile, dataFolder, replaceShared } = await import('@/db/open')
  const nobody = (): string => '00000000-0000-7000-8000-000000000000'
  const first = await backUp(dataFolder(), Date.parse(`${DAY}T12:00:00Z`))
  const put = async (where: string) => {
    const folder = `${dataFolder()}/${where}`
    expect(restore(first, folder, nobody)).toMatchObject({ ok: true })
    replaceShared(databaseFile(folder))
    return remembered(await screen(), 'whose', () => where)
  }
  // Both have seen as many writes through their connection: none.
  expect([await put('one'), await put('two')]).toEqual(['one', 'two'])
})
