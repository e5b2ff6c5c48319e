import { rowBy, guessColumns, type TableKind } from '@/core/formats/table-in'
import { ownData, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('table', DAY)
const load = async () => ({
  table: await import('./table-actions'),
  out: await import('./actions'),
  students: await import('@/db/students'),
  evidence: await import('@/db/evidence'),
  attendance: await import('@/db/attendance'),
})
let app: Awaited<ReturnType<typeof load>>
let world: Awaited<ReturnType<typeof seedWorld>>
beforeAll(async () => {
  app = await load()
  world = await seedWorld(DAY)
})

const rowsOf = (kind: TableKind, text: string) => {
  const [head = '', ...lines] = text.trim().split('\n')
  const columns = guessColumns(kind, head.split(';'))
  return lines.map((line) => rowBy(kind, columns, line.split(';')))
}
const bring = (kind: TableKind, text: string, keep = true) =>
  app.table.tableIn({ kind, rows: rowsOf(kind, text), firstLine: 2, keep })
const said = (answer: Awaited<ReturnType<typeof bring>>) =>
  answer.ok ? [] : answer.problems.map((p) => p.message)
const idOf = (name: string) => world.students.find((s) => s.name === name)!.id
const resultsOf = async (name: string) =>
  app.evidence.evidenceOf((await screen()).scope, idOf(name)).observations.length

describe('students from a table', () => {
  const TABLE = 'Full name;Stature\nNia Corrow;172\nGreta Sommerby;\nOlu Tamsin;5 ft 4'
  it('are looked through without being stored, then brought in once', async () => {
    const count = async () => app.students.listStudents((await screen()).scope).length
    const before = await count()
    expect(value(await bring('students', TABLE, false))).toEqual({ fresh: 2, known: 1 })
    expect(await count()).toBe(before)
    expect(value(await bring('students', TABLE))).toEqual({ fresh: 2, known: 1 })
    expect(value(await bring('students', TABLE))).toEqual({ fresh: 0, known: 3 })
    expect(await count()).toBe(before + 2)
    const olu = app.students.listStudents((await screen()).scope).find((s) => s.name === 'Olu Tamsin')
    expect(olu?.statureCm).toBeCloseTo(162.6, 0)
  })
  it('with one row that cannot be read store nothing, and the row is named', async () => {
    const answer = await bring('students', 'name;height\nMara Ell;170\nJo Brey;17 metres\n;160')
    expect(said(answer)).toEqual([expect.stringMatching(/^Row 3: /), expect.stringMatching(/^Row 4: /)])
    expect(app.students.listStudents((await screen()).scope).some((s) => s.name === 'Mara Ell')).toBe(false)
  })
})

describe('results from a table', () => {
  it('count as seen that day; what is there already is left alone', async () => {
    const before = await resultsOf('Ines Calder')
    const table =
      'name;date;test;value\nInes Calder;1.3.2026;Dolphin hold;41\nInes Calder;1.3.2026;Dolphin hold;41'
    expect(value(await bring('results', table))).toEqual({ fresh: 1, known: 1 })
    expect(value(await bring('results', table))).toEqual({ fresh: 0, known: 2 })
    expect(await resultsOf('Ines Calder')).toBe(before + 1)
    const scope = (await screen()).scope
    expect(app.evidence.observationsOn(scope, idOf('Ines Calder'), '2026-03-01')).toContainEqual(
      expect.objectContaining({
        checkId: 'CK-dolphin-hold',
        values: { single: 41 },
        observer: 'from a table',
      }),
    )
  })
  it('that name nobody, no check, no day, a day to come or no number say so, row by row', async () => {
    const answer = await bring(
      'results',
      'name;day;check;result\nNobody Here;2026-03-01;Dolphin hold;4\nInes Calder;2026-03-01;Flying;4\nInes Calder;3/4/2026;Dolphin hold;4\nInes Calder;2026-03-11;Dolphin hold;4\nInes Calder;2026-03-01;Dolphin hold;many',
    )
    const lines = said(answer)
    expect(lines.map((l) => l.slice(0, 6))).toEqual(['Row 2:', 'Row 3:', 'Row 4:', 'Row 5:', 'Row 6:'])
    expect(lines[0]).toContain('Nobody here is called “Nobody Here”')
    expect(lines[2]).toContain('could be two days')
    expect(lines[3]).toContain('still to come')
  })
  it('go out as a table and come back without a change', async () => {
    const { text } = value(await app.out.csvOut({ what: 'attendance' }))
    const [head = '', ...lines] = text.replace('\uFEFF', '').trim().split('\r\n')
    const columns = guessColumns('attendance', head.split(','))
    const rows = lines.map((line) => rowBy('attendance', columns, line.split(',')))
    const answer = await app.table.tableIn({ kind: 'attendance', rows, firstLine: 2, keep: true })
    expect(value(answer)).toEqual({ fresh: 0, known: rows.length })
    expect(rows.length).toBeGreaterThan(20)
  })
})

it('attendance goes to the class of that day, and asks which where two fit', async () => {
  const [past] = world.classes
  const scope = (await screen()).scope
  value(await bring('attendance', `who;when;came\nInes Calder;${past!.day};late`))
  expect(app.attendance.rosterOf(scope, past!.id)).toContainEqual(
    expect.objectContaining({ studentId: idOf('Ines Calder'), attended: 'late' }),
  )
  expect(said(await bring('attendance', 'who;when;came\nInes Calder;2020-01-01;yes'))[0]).toContain(
    'No such class',
  )
  expect(said(await bring('attendance', `who;when;came\nInes Calder;${past!.day};perhaps`))[0]).toContain(
    'neither',
  )
})

it('five thousand rows at once', async () => {
  const lines = Array.from(
    { length: 5000 },
    (_, i) => `Tab Row ${String.fromCharCode(97 + (i % 26))}${'abcdefghij'[i % 10]}${i};17${i % 10}`,
  )
  expect(value(await bring('students', `name;height\n${lines.join('\n')}`))).toEqual({
    fresh: 5000,
    known: 0,
  })
})

it('results of a name that two people have are nobody’s', async () => {
  const { scope } = await screen()
  const twin = { id: '019cd91e-cc55-7ca7-946b-000c59c22c01', name: 'Greta Sommerby' }
  app.students.addStudents(scope, [twin], DAY)
  const lines = said(
    await bring('results', 'name;day;check;result\nGreta Sommerby;2026-03-01;Dolphin hold;44'),
  )
  expect(lines).toEqual(['Row 2: Two people here are called “Greta Sommerby”.'])
  expect(app.evidence.observationsOn(scope, twin.id, '2026-03-01')).toEqual([])
})
