import Papa from 'papaparse'
import { demoWorld } from '@/core/simulate/demo'
import { writeCsv } from '@/core/formats/csv'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
const mockCookies = new Map<string, { value: string }>()
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () =>
    Promise.resolve({
      get: (name: string) => mockCookies.get(name),
      set: (name: string, text: string) => void mockCookies.set(name, { value: text }),
    }),
}))

const DAY = '2026-03-10'
ownData('studio-file', DAY)
const world = demoWorld(DAY)
const { v7 } = ownDevice(95, DAY)

const load = async () => ({
  requests: await import('./bundle-requests'),
  actions: await import('./actions'),
  students: await import('@/db/students'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})
const ask = (body: unknown, headers: Record<string, string> = {}) =>
  app.requests.bundleOut(
    new Request('http://localhost/studio-file/taken', {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json', ...headers },
    }),
  )
const send = (file: Blob | null, headers: Record<string, string> = {}) => {
  const form = new FormData()
  if (file) form.set('file', file)
  form.set('passphrase', '')
  return app.requests.bundleIn(
    new Request('http://localhost/studio-file/brought', { method: 'POST', body: form, headers }),
  )
}

it('is taken out by this app’s own pages, health only where the notes are open', async () => {
  const answer = await ask({ health: false, passphrase: '' })
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/zip'])
  expect((await answer.arrayBuffer()).byteLength).toBeGreaterThan(10_000)
  expect((await ask({ health: false, passphrase: '' }, { 'sec-fetch-site': 'cross-site' })).status).toBe(403)
  expect((await ask({ health: 'yes' })).status).toBe(422)
  const shut = (await (await ask({ health: true, passphrase: 'seven grey herons' })).json()) as {
    problems: { message: string }[]
  }
  expect(shut.problems[0]?.message).toMatch(/notes are shut/)
})

it('is not brought in where somebody is, nor by another site’s page, nor what is no file', async () => {
  const before = app.students.listNames((await screen()).scope).length
  const zip = new Blob([await (await ask({ health: false, passphrase: '' })).arrayBuffer()])
  const told = async (answer: Response) =>
    ((await answer.json()) as { problems: { message: string }[] }).problems[0]
  expect((await told(await send(zip)))?.message).toMatch(/Somebody is here already/)
  expect((await told(await send(new Blob(['no zip']))))?.message).toMatch(/does not open/)
  expect((await told(await send(null)))?.message).toMatch(/Pick the file/)
  expect((await send(zip, { 'sec-fetch-site': 'cross-site' })).status).toBe(403)
  expect(app.students.listNames((await screen()).scope)).toHaveLength(before)
})

it('tables for a spreadsheet fire no formula and hold no word of health', async () => {
  const { scope } = await screen()
  const evil = '=HYPERLINK("http://x","y")'
  app.students.addStudents(
    scope,
    [
      { id: v7(), name: evil },
      { id: v7(), name: '@SUM(1)' },
    ],
    DAY,
  )
  const { text } = value(await app.actions.csvOut({ what: 'students' }))
  expect(text.startsWith('\uFEFF')).toBe(true)
  const { data } = Papa.parse<string[]>(text.slice(1))
  expect(data.flat().filter((cell) => /^[=+@\t\r-]/.test(cell))).toEqual([])
  expect(data.flat()).toContain(`'${evil}`)
  for (const what of ['results', 'tries', 'attendance'] as const) {
    const sheet = value(await app.actions.csvOut({ what })).text
    const rows = Papa.parse<string[]>(sheet.slice(1)).data
    expect(rows.length).toBeGreaterThan(50)
    expect(new Set(rows.filter((r) => r.length > 1).map((r) => r.length)).size).toBe(1)
    expect(sheet).not.toMatch(/blood pressure|glaucoma|clinician|where it hurts/i)
  }
})

it('a cell that looks like a formula is told as text, and one that only holds a sign is left', () => {
  const cells = ['=1+1', '+1', '-1', '@x', '\tx', 'a=1', '5 − 3']
  const { data } = Papa.parse<string[]>(
    writeCsv(
      ['c'],
      cells.map((c) => [c]),
    ).slice(1),
  )
  expect(data.slice(1).map(([c]) => c)).toEqual(["'=1+1", "'+1", "'-1", "'@x", "'\tx", 'a=1', '5 − 3'])
})

it('somebody’s own file asks for open notes, and then holds all of theirs and of nobody else', async () => {
  const studentId = world.said[0]!.studentId
  expect(refusedAt(await app.actions.ownFile({ studentId }))).toEqual([''])
  await (await import('../layer')).openOnThisScreen()
  const { text } = value(await app.actions.ownFile({ studentId }))
  const file = JSON.parse(text) as { records: Record<string, { student_id?: string }[]>; health: object }
  expect(file.records.observation?.length).toBeGreaterThan(0)
  expect(JSON.stringify(file.health)).toContain('answers')
  for (const [table, rows] of Object.entries(file.records))
    if (table !== 'student') for (const row of rows) expect(row.student_id).toBe(studentId)
  for (const other of world.students) if (other.id !== studentId) expect(text).not.toContain(other.id)
})
