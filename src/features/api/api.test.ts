import { API_PATHS, API_SCOPES, type ApiPath, type ApiScope } from '@/core/formats/api'
import { addDays } from '@/core/day'
import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('api', DAY)
const world = demoWorld(DAY)
const { v7 } = ownDevice(73, DAY)
const someone = world.students[0]!.id

const load = async () => ({
  actions: await import('./actions'),
  queries: await import('./queries'),
  request: await import('./request'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})
const tokenFor = async (scopes: readonly ApiScope[], days = 30) => {
  const id = v7()
  const { token } = value(await app.actions.makeToken({ id, name: 'A calendar', scopes: [...scopes], days }))
  return { id, token }
}
const get = (path: string, token = '', query = '') =>
  app.request.answerApi(
    new Request(`http://studio.test/api/v1${path}${query}`, {
      headers: token === '' ? {} : { authorization: `Bearer ${token}` },
    }),
    path.split('/').slice(1),
  )
const bodyOf = async (answer: Response) => (await answer.json()) as Record<string, unknown>

it('each path answers what its description says, to a token that may read it and to no other', async () => {
  const { classId } = await aClass()
  for (const path of Object.keys(API_PATHS) as ApiPath[]) {
    const { scope, of } = API_PATHS[path]
    const asked = path.replace('{id}', path.startsWith('/classes') ? classId : someone)
    const may = await tokenFor([scope])
    const answer = get(asked, may.token)
    expect([path, answer.status]).toEqual([path, 200])
    expect(answer.headers.get('cache-control')).toBe('no-store')
    const told = await bodyOf(answer)
    expect(of.parse(told)).toEqual(told)
    const mayNot = await tokenFor(API_SCOPES.filter((s) => s !== scope))
    expect([path, get(asked, mayNot.token).status]).toEqual([path, 403])
  }
})

async function aClass() {
  const { classLines } = await import('@/db/classes')
  const [line] = classLines((await screen()).scope).lines
  if (!line) throw new Error('no class')
  const { planAgain } = await import('../plans/actions')
  value(await planAgain({ id: line.id, planId: v7() }))
  return { classId: line.id }
}

it('tells no limit, no note, no word of health, and where it stands as the private board does', async () => {
  const { token } = await tokenFor(API_SCOPES)
  const { classId } = await aClass()
  const all = [
    ...world.students.flatMap(({ id }) => [`/students/${id}/readiness`, `/students/${id}/results`]),
    `/classes/${classId}/plan`,
  ]
  const told = (
    await Promise.all(
      all.map((path) => get(path, token, path.endsWith('results') ? '?from=2020-01-01' : '').text()),
    )
  ).join('\n')
  expect(told.length).toBeGreaterThan(10_000)
  expect(told).not.toMatch(/change|reason|limit|note|instead|override|pressure|pregnan|condition|caps/i)
})

it('results and classes are asked for between days; a day that is none is refused', async () => {
  const { token } = await tokenFor(['results', 'classes'])
  const path = `/students/${someone}/results`
  const of = async (query: string) =>
    (await bodyOf(get(path, token, query))) as { from: string; to: string; results: { day: string }[] }
  const all = await of('?from=2020-01-01')
  const days = all.results.map((r) => r.day).toSorted()
  expect(days.length).toBeGreaterThan(1)
  const middle = days[Math.floor(days.length / 2)]!
  const late = await of(`?from=${middle}`)
  expect(late.results.length).toBe(days.filter((d) => d >= middle).length)
  expect((await of('')).from).toBe(addDays(DAY, -42))
  for (const query of ['?from=yesterday', '?from=2026-02-30', '?from=2026-03-09&to=2026-03-01'])
    expect([query, get(path, token, query).status]).toEqual([query, 400])
  const first = (await bodyOf(get('/classes', token))) as { classes: { day: string }[] }
  const before = (await bodyOf(get('/classes', token, `?before=${DAY}`))) as { classes: { day: string }[] }
  expect(first.classes.some((c) => c.day >= DAY)).toBe(true)
  expect(before.classes.every((c) => c.day < DAY)).toBe(true)
})

it('a token that is missing, ended or over opens nothing; what is not there is said so', async () => {
  const open = await tokenFor(API_SCOPES, 1)
  expect(get('/students').status).toBe(401)
  expect(get('/nothing', open.token).status).toBe(404)
  expect(get(`/students/${v7()}/results`, open.token).status).toBe(404)
  expect(get(`/classes/${someone}/plan`, open.token).status).toBe(404)
  process.env.LEVITAR_NOW = `${addDays(DAY, 2)}T17:00:00Z`
  expect(get('/students', open.token).status).toBe(401)
  process.env.LEVITAR_NOW = `${DAY}T17:00:00Z`
  const used = app.queries.tokenLines(await screen()).find((l) => l.id === open.id)
  expect(used?.when).toMatch(/^good until .*, last used 10 Mar/)
  value(await app.actions.endToken({ id: open.id }))
  expect(get('/students', open.token).status).toBe(401)
  expect(app.queries.tokenLines(await screen()).find((l) => l.id === open.id)?.open).toBe(false)
})

it('guessing is slowed down, and never whoever has the right one', async () => {
  const { token } = await tokenFor(['students'])
  expect(get('/students', token).status).toBe(200)
  const wrong = Array.from({ length: 6 }, (_, i) => get('/students', `wrong-${i}`))
  expect(wrong.map((a) => a.status)).toEqual([401, 401, 401, 429, 429, 429])
  expect(Number(wrong.at(-1)?.headers.get('retry-after'))).toBeGreaterThan(0)
  expect(get('/students', token).status).toBe(200)
})

it('only its hash is kept, and what is made is asked for whole', async () => {
  const { token } = await tokenFor(['students'])
  const { scope } = await screen()
  const { apiToken } = await import('@/db/schema')
  const rows = JSON.stringify(scope.db.select().from(apiToken).all())
  expect(rows).not.toContain(token)
  const make = (part: object) =>
    app.actions.makeToken({ id: v7(), name: 'X', scopes: ['students'], days: 30, ...part })
  expect(refusedAt(await make({ name: ' ' }))).toEqual(['name'])
  expect(refusedAt(await make({ scopes: [] }))).toEqual(['scopes'])
  expect(refusedAt(await make({ days: 4000 }))).toEqual(['days'])
})
