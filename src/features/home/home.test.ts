import { demoWorld } from '@/core/simulate/demo'
import { addDays } from '@/core/day'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('home', DAY)
const world = demoWorld(DAY)
const { v7, stamp } = ownDevice(71, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const wren = idOf('Wren Haskett')
const greta = idOf('Greta Sommerby')
const FORM = { minutes: 15, times: 2, has: ['wall', 'strap', 'block', 'blanket'] as const }

const load = async () => ({
  actions: await import('./actions'),
  queries: await import('./queries'),
  facts: await import('../facts/actions'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})
const make = (studentId: string, how: 'fresh' | 'next') =>
  app.actions.makeHome({ ...FORM, has: [...FORM.has], id: v7(), studentId, how })
const view = async (id = wren) => app.queries.homeView(await screen(), id)
const on = (day: string): void => void (process.env.LEVITAR_NOW = `${day}T17:00:00Z`)

it('a sheet is made, its ticks are typed back, and next week’s dose is grown', async () => {
  expect(refusedAt(await make(wren, 'next'))).toEqual([''])
  value(await make(wren, 'fresh'))
  const sheet = (await view())?.sheet
  expect(sheet?.items.length).toBeGreaterThanOrEqual(3)
  const days = sheet!.days.map((d) => d.day)
  const tick = (drillId: string, day: string) =>
    app.actions.tickFromPaper({ id: v7(), studentId: wren, drillId, day, tick: 'done' })
  // What is to come, and what stands on no sheet, is refused.
  expect(refusedAt(await tick(sheet!.items[1]!.id, days[0]!))).toEqual([''])
  on(addDays(DAY, 7))
  expect(refusedAt(await tick('DR-moon', days[0]!))).toEqual([''])
  for (const { id } of sheet!.items) for (const day of days) value(await tick(id, day))
  expect((await view())?.after.some((line) => line.includes('a little more next week'))).toBe(true)
  const { homePlansOf } = await import('@/db/home')
  const before = homePlansOf((await screen()).scope, wren)[0]!
  value(await make(wren, 'next'))
  const after = homePlansOf((await screen()).scope, wren)[0]!
  expect(after.sheet.items.map((i) => i.drillId)).toEqual(before.sheet.items.map((i) => i.drillId))
  const grew = after.sheet.items.filter((item, i) => {
    const was = before.sheet.items[i]!
    if (item.holdS !== null) expect(item.holdS).toBeLessThanOrEqual(was.holdS! * 1.2)
    return (item.holdS ?? item.reps ?? 0) > (was.holdS ?? was.reps ?? 0)
  })
  expect(grew.length).toBeGreaterThan(0)
  on(DAY)
})

it('a private link shows a first name and the sheet, takes ticks, and ends', async () => {
  const { path } = value(await app.actions.makeHomeLink({ studentId: wren }))
  const token = path.split('/').at(-1)!
  expect(token.length).toBeGreaterThanOrEqual(43)
  const ctx = await screen({ hidden: true, notesOpen: false })
  const opened = (on_: typeof ctx, by: string) => {
    const link = app.queries.homeByToken(on_, by)
    return 'closed' in link ? link.closed : link
  }
  const found = app.queries.homeByToken(ctx, token)
  if ('closed' in found) throw new Error('shut')
  expect(found.name).toBe('Wren')
  expect(JSON.stringify(found)).not.toMatch(/Haskett|clinician|blood|pregnan/i)
  // Whoever guesses waits, and holds up nobody who has the right one, which forgets the wrong ones.
  const wrong = Array.from({ length: 6 }, (_, i) => opened(ctx, String(i).repeat(43)))
  expect(wrong).toEqual(['ended', 'ended', 'ended', 'wait', 'wait', 'wait'])
  expect(opened(ctx, token)).toMatchObject({ name: 'Wren' })
  expect(opened(ctx, 'x'.repeat(43))).toBe('ended')
  // Nothing in the store leads in: only what the token hashes to is kept.
  const { sql } = await import('drizzle-orm')
  expect(JSON.stringify(ctx.scope.db.all(sql`select * from home_link`))).not.toContain(token)
  on(addDays(DAY, 12))
  const later = await screen({ hidden: true, notesOpen: false })
  const [item] = found.sheet.items
  const [day] = found.sheet.days
  const tick = { id: v7(), token, drillId: item!.id, day: day!.day, tick: 'part' as const }
  value(await app.actions.tickByLink(tick))
  expect(opened(later, token)).toMatchObject({
    sheet: { ticks: { [`${item!.id} ${day!.day}`]: 'part' } },
  })
  // A second link ends the first; four weeks end any.
  const second = value(await app.actions.makeHomeLink({ studentId: wren }))
    .path.split('/')
    .at(-1)!
  expect(refusedAt(await app.actions.tickByLink({ ...tick, id: v7() }))).toEqual([''])
  on(addDays(DAY, 12 + 29))
  expect(opened(await screen(), second)).toBe('ended')
  on(addDays(DAY, 13))
  expect(opened(await screen(), second)).toMatchObject({ name: 'Wren' })
  expect(value(await app.actions.endHomeLink({ studentId: wren }))).toEqual({ ended: 1 })
  expect(opened(await screen(), second)).toBe('ended')
  on(DAY)
})

it('what is closed since a sheet was made is closed on it, in its calendar and in its files', async () => {
  const ines = idOf('Ines Calder')
  value(await make(ines, 'fresh'))
  const open = (await view(ines))?.sheet?.items.filter((i) => !i.closed) ?? []
  expect(open.length).toBeGreaterThanOrEqual(3)
  const words = {
    pain: 8,
    regions: ['wrist' as const, 'shoulder' as const],
    energy: 2,
    arms: 8,
    look: 'watch' as const,
  }
  value(
    await app.facts.recordFact({
      ...{ ...stamp(), kind: 'check-in', studentId: ines },
      words: { ...words, ticked: [], touch: 'no' },
    }),
  )
  const closed = (await view(ines))?.sheet?.items.filter((i) => i.closed) ?? []
  expect(closed.length).toBeGreaterThan(0)
  const all = (await view(ines))?.sheet?.items ?? []
  const data = await app.actions.homeAsFile({ studentId: ines, as: 'json' })
  const drawn = await app.actions.homeAsFile({ studentId: ines, as: 'svg' })
  if (closed.length === all.length) expect([refusedAt(data), refusedAt(drawn)]).toEqual([[''], ['']])
  else {
    const listed = (JSON.parse(value(data).text) as { items: { drill: string }[] }).items.map((i) => i.drill)
    expect(listed).toEqual(all.filter((i) => !i.closed).map((i) => i.id))
    expect(value(drawn).text.match(/Leave this out until/g)).toHaveLength(closed.length)
  }
  const file = await app.actions.homeAsCalendar({ studentId: ines })
  if (file.ok) for (const item of closed) expect(file.value.text).not.toContain(item.name)
  else expect(refusedAt(file)).toEqual([''])
})

it('goes with whoever is erased', async () => {
  const { eraseStudent } = await import('@/db/erase')
  const { scope, health } = await screen()
  eraseStudent(scope, health.key, wren, v7())
  const { sql } = await import('drizzle-orm')
  for (const table of ['home_plan', 'home_link'])
    expect(scope.db.all(sql`select * from ${sql.raw(table)} where student_id = ${wren}`)).toEqual([])
})

it('the mailbox shows what would have been sent to whoever has a link, and neither the link nor why', async () => {
  const { mailboxView } = await import('./mailbox-queries')
  const before = mailboxView(await screen()).length
  value(await make(greta, 'fresh'))
  const { path } = value(await app.actions.makeHomeLink({ studentId: greta }))
  const mine = mailboxView(await screen()).filter((m) => m.to === 'Greta Sommerby')
  expect(mailboxView(await screen()).length).toBeGreaterThan(before)
  expect(mine.map((m) => m.subject)).toContain('Your week at home')
  const reminder = mine.find((m) => m.subject.startsWith('Tomorrow: 15 minutes'))
  expect(reminder?.toCome).toBe(true)
  const shown = app.queries.homeView(await screen(), greta)!.sheet!.items[0]!.name
  expect(reminder?.body.join(' ')).toContain(shown)
  expect(JSON.stringify(mine)).not.toContain(path.split('/').at(-1))
  value(await app.actions.endHomeLink({ studentId: greta }))
  const after = mailboxView(await screen()).filter((m) => m.to === 'Greta Sommerby')
  expect(after.every((m) => !m.subject.startsWith('Tomorrow'))).toBe(true)
})
