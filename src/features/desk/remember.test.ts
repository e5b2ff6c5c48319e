import { sql } from 'drizzle-orm'
import { seeded } from '@/core/random'
import { FAMILIES } from '@/core/practice/schema'
import type { DemoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, screen, seedWorld } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('remember', DAY)
let world: DemoWorld
beforeAll(async () => {
  world = await seedWorld(DAY)
})
afterEach(() => {
  process.env.LEVITAR_NOW = `${DAY}T17:00:00Z`
})
const { stamp } = ownDevice(7, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const nobody = (): string => '00000000-0000-7000-8000-000000000000'
const trial = (studentId: string) => ({
  ...{ ...stamp(), kind: 'attempt', studentId, classId: null, stageId: 'FS-03e', level: 'practised' },
  ...{ outcome: 'clean', exitControlled: true, help: 'alone', faults: [], endedBy: null },
  ...{ lead: null, seconds: null, setupId: null, replaces: null, withdrawn: false },
})
const tried = async (studentId: string): Promise<string> => {
  const { appendAttempt } = await import('@/db/evidence')
  const fact = trial(studentId)
  appendAttempt((await screen()).scope, fact as never, fact)
  return fact.id
}

it('keeps an answer until what it was worked out from is written to, by this process or another, and to each screen its own', async () => {
  const { remembered } = await import('./remember')
  const { addStudents, listStudents } = await import('@/db/students')
  const { appendNote } = await import('@/db/evidence')
  const { databaseFile, dataFolder } = await import('@/db/open')
  let asked = 0
  const read = async (privacy = {}, name = 'x') => {
    const ctx = await screen(privacy)
    return remembered(ctx, name, () => {
      listStudents(ctx.scope)
      asked += 1
      return asked
    })
  }
  expect([await read(), await read(), asked]).toEqual([1, 1, 1])
  // Another question, and a screen that shows less, are answered by themselves.
  expect([await read({}, 'y'), await read({ hidden: true }), await read({ notesOpen: false })]).toEqual([
    2, 3, 4,
  ])
  const { scope } = await screen()
  appendNote(scope, { ...stamp(), studentId: null, classId: null, text: 'elsewhere' }, stamp())
  expect(await read()).toBe(1)
  addStudents(scope, [{ id: 'w1', name: 'Written' }], DAY)
  expect([await read(), await read()]).toEqual([5, 5])
  const { default: Database } = await import('better-sqlite3')
  const other = new Database(databaseFile(dataFolder()))
  other.prepare("update student set name = 'Again' where id = 'w1'").run()
  other.close()
  expect(await read()).toBe(6)
  process.env.LEVITAR_NOW = `${DAY}T18:00:00Z`
  expect(await read()).toBe(7)
  process.env.LEVITAR_NOW = '2026-03-11T17:00:00Z'
  expect(await read()).toBe(8)
})

it('follows from the studio’s own ways too, and what was begun before they changed is kept for nobody', async () => {
  const { remembered } = await import('./remember')
  const { saveStudio } = await import('@/db/studio')
  const early = await screen()
  const read = (ctx: typeof early) => remembered(ctx, 'units', () => ctx.studio.units)
  expect(read(early)).toBe('cm')
  for (const units of ['in', 'cm'] as const) saveStudio(early.scope, { units })
  let made = 0
  const late = (ctx: typeof early) => remembered(ctx, 'late', () => (made += 1))
  // Its context is from before the change: the answer is for this one request.
  expect([late(early), late(await screen()), late(await screen())]).toEqual([1, 2, 2])
})

it('one person’s evidence and standing are another’s no longer: a try moves whoever made it alone', async () => {
  const { remembered } = await import('./remember')
  const { standings } = await import('./standing')
  const { evidenceOf, lastFactDays } = await import('@/db/evidence')
  const made: Record<string, number> = {}
  const read = async (id: string) => {
    const ctx = await screen()
    return remembered(ctx, `of ${id}`, () => {
      lastFactDays(ctx.scope, [id])
      standings(ctx, [id])
      made[id] = (made[id] ?? 0) + 1
      return evidenceOf(ctx.scope, id).attempts.length
    })
  }
  const [wren, ines] = [idOf('Wren Haskett'), idOf('Ines Calder')]
  const before = await read(wren)
  // What was judged anew is kept, so it is made once more.
  await read(wren)
  await read(ines)
  await read(ines)
  const times = { ...made }
  await tried(ines)
  expect(await read(wren)).toBe(before)
  expect(made[wren]).toBe(times[wren])
  await tried(wren)
  expect(await read(wren)).toBe(before + 1)
})

it('when somebody is erased everything that was kept is let go', async () => {
  const { remembered } = await import('./remember')
  const { erase } = await import('../students/actions')
  const { addStudents } = await import('@/db/students')
  let made = 0
  const read = async () => remembered(await screen(), 'of nobody in particular', () => (made += 1))
  const gone = nobody().replace('0000-7', '1111-7')
  addStudents((await screen()).scope, [{ id: gone, name: 'Somebody Else' }], DAY)
  expect([await read(), await read()]).toEqual([1, 1])
  expect(await erase({ id: gone, typed: 'Somebody' })).toMatchObject({ ok: false })
  expect(await read()).toBe(1)
  expect(await erase({ id: gone, typed: 'Somebody Else' })).toMatchObject({ ok: true })
  expect(await read()).toBe(2)
})

it('a fact that takes the row of one that is gone is seen', async () => {
  const { evidenceOf } = await import('@/db/evidence')
  const wren = idOf('Wren Haskett')
  const { scope } = await screen()
  const has = (id: string) => evidenceOf(scope, wren).attempts.some((fact) => fact.id === id)
  const first = await tried(wren)
  expect(has(first)).toBe(true)
  scope.db.run(sql`delete from attempt where id = ${first}`)
  // As many rows, and the last of them where the last one was.
  const second = await tried(wren)
  expect([has(first), has(second)]).toEqual([false, true])
})

it('law: after whatever is written, every page that is kept reads as one that is made anew', async () => {
  const shown = await pages()
  const { saveProfile, findStudent, setArchived } = await import('@/db/students')
  const { eraseStudent } = await import('@/db/erase')
  const random = seeded(11)
  const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
  const someone = () => one(world.students).id
  const { scope, health } = await screen()
  const WRITES: readonly (() => unknown)[] = [
    () => tried(someone()),
    () => tried(someone()),
    () => {
      const student = findStudent(scope, someone())
      return (
        student &&
        saveProfile(scope, student.id, { ...student, statureCm: 150 + Math.floor(random() * 40) }, DAY)
      )
    },
    () => setArchived(scope, someone(), DAY),
    () => eraseStudent(scope, health.key, someone(), nobody()),
  ]
  for (let i = 0; i < 10; i += 1) {
    await one(WRITES)()
    const [kept, fresh] = [await shown(false), await shown(true)]
    expect(kept).toEqual(fresh)
  }
})

/** Pages that are kept, for the class and two people; made anew in a transaction, of which nothing is kept. */
async function pages() {
  const [students, today, round, person, weeks, review, files, classes] = [
    await import('../students/queries'),
    await import('../today/queries'),
    await import('../readiness/round-queries'),
    await import('../readiness/person-queries'),
    await import('../progress/person-queries'),
    await import('../progress/review-queries'),
    await import('./class-file'),
    await import('@/db/classes'),
  ]
  const people = ['Wren Haskett', 'Priya Dunmore'].map(idOf)
  const classId = world.classes.at(-1)?.id ?? ''
  return async (anew: boolean) => {
    const ctx = await screen()
    const all = (db: typeof ctx.scope.db) => {
      const on = { ...ctx, scope: { ...ctx.scope, db } }
      return JSON.stringify([
        today.todayData(on),
        students.studentsShown(on, 1),
        round.roundData(on, classId),
        review.studioReview(on),
        files.briefFor(on, classes.findClass(on.scope, classId) as never, []),
        people.map((id) => weeks.personProgress(on, id, FAMILIES[0])),
        people.map((id) =>
          person.personReadiness(on, id, { family: FAMILIES[0], withTurnings: false, withAll: false }),
        ),
      ])
    }
    return anew ? ctx.scope.db.transaction((tx) => all(tx)) : all(ctx.scope.db)
  }
}

it('another database in the place of this one is asked anew, however few its writes', async () => {
  const { remembered } = await import('./remember')
  const { backUp, restore } = await import('@/db/backup')
  const { databaseFile, dataFolder, replaceShared } = await import('@/db/open')
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
