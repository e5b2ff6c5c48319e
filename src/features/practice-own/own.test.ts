import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('own', DAY)
const world = demoWorld(DAY)
const { v7 } = ownDevice(81, DAY)
const wren = world.students.find((s) => s.name === 'Wren Haskett')?.id ?? ''

const load = async () => ({
  actions: await import('./actions'),
  queries: await import('./queries'),
  files: await import('./file-actions'),
  person: await import('../readiness/person-queries'),
})
let app: Awaited<ReturnType<typeof load>>
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})
const KEY = 'gate.CK-dolphin-hold'
const target = { kind: 'stage' as const, target: 'FS-05' }
const holdOf = async () => {
  const person = app.person.personReadiness(await screen(), wren, {
    ...{ family: 'FS', withTurnings: false, withAll: false },
  })
  return JSON.stringify(person?.path.open) + JSON.stringify(person?.decision)
}

it('a threshold is changed: what it does is told first, then it stands in decisions, and it goes back', async () => {
  const field = app.queries.ownView(await screen(), 'FS-05')?.fields.find((f) => f.key === KEY)
  const typed = { [KEY]: String(Number(field?.practice) + 60) }
  const before = await holdOf()
  const told = value(await app.actions.tryOwn({ ...target, typed }))
  expect(told.lines.some((line) => /: from .+ to .+\.$/.test(line))).toBe(true)
  // Nothing is stored by asking.
  expect(await holdOf()).toBe(before)
  expect(app.queries.ownView(await screen(), 'FS-05')?.history).toEqual([])
  value(await app.actions.keepOwn({ ...target, typed, id: v7() }))
  const own = app.queries.ownView(await screen(), 'FS-05')
  expect(own?.isOwn).toBe(true)
  expect(own?.fields.find((f) => f.key === KEY)?.value).toBe(typed[KEY])
  expect(own?.history[0]?.what).toContain(`${typed[KEY]} in place of ${field?.practice}`)
  value(await app.actions.dropOwn({ kind: 'stage', target: 'FS-05', id: v7() }))
  expect(await holdOf()).toBe(before)
  expect(app.queries.ownView(await screen(), 'FS-05')).toMatchObject({ isOwn: false })
  expect(app.queries.ownView(await screen(), 'FS-05')?.history).toHaveLength(2)
})

it('refuses beside the field, and where nothing differs', async () => {
  expect(refusedAt(await app.actions.keepOwn({ ...target, id: v7(), typed: { [KEY]: 'long' } }))).toEqual([
    KEY,
  ])
  expect(refusedAt(await app.actions.keepOwn({ ...target, id: v7(), typed: {} }))).toEqual([''])
  expect(refusedAt(await app.actions.dropOwn({ kind: 'drill', target: 'DR-hollow', id: v7() }))).toEqual([''])
  expect(app.queries.ownView(await screen(), 'EX-roll')).toBeNull()
})

it('an override that no longer fits what ships is left out, and the others hold', async () => {
  const { addOverride } = await import('@/db/overrides')
  const { scope } = await screen()
  const by = { by: '', atMs: 1 }
  addOverride(scope, { id: v7(), kind: 'stage', target: 'FS-05', fields: { gone: 'x' }, ...by })
  addOverride(scope, {
    id: v7(),
    kind: 'drill',
    target: 'DR-hollow',
    fields: { name: 'Boat from below' },
    ...by,
  })
  const { practice } = await screen()
  expect(practice.drills.find((d) => d.id === 'DR-hollow')?.name).toBe('Boat from below')
})

it('a drill of their own is built, stands in the library and in a sequence, rests, and is taken up again', async () => {
  const base = 'DR-forearm-plank'
  const toBuild = app.queries.ownView(await screen(), base)?.toBuild?.fields ?? []
  expect(toBuild.find((f) => f.key === 'name')?.value).toBe('')
  const build = (typed: Record<string, string>) =>
    app.actions.addOwnEntry({ id: v7(), kind: 'drill', base, typed })
  expect(refusedAt(await build({ name: '' }))).toEqual(['name'])
  expect(refusedAt(await build({ name: 'Forearm plank' }))).toEqual(['name'])
  expect(refusedAt(await build({ name: 'Harbour plank', 'dose.breaths': '90' }))).toEqual(['dose.breaths'])
  const { target: made } = value(
    await build({ name: 'Harbour plank', do: 'Plank, eyes on the boats.', 'dose.breaths': '6' }),
  )
  const view = app.queries.ownView(await screen(), made)
  expect(view?.built).toEqual({ on: 'Forearm plank', onId: base, rests: false })
  expect(view?.toBuild).toBeNull()
  const { practice } = await screen()
  expect(practice.drills.find((d) => d.id === made)).toMatchObject({
    name: 'Harbour plank',
    dose: { breaths: { value: 6 } },
  })
  expect((await import('@/core/practice/ask')).othersFor(practice, base)).toContain(made)

  process.env.LEVITAR_NOW = `${DAY}T17:01:00Z`
  value(
    await app.actions.keepOwn({
      kind: 'drill',
      target: made,
      id: v7(),
      typed: { name: 'Harbour plank', lookFor: 'Level.' },
    }),
  )
  expect(app.queries.ownView(await screen(), made)?.built?.onId).toBe(base)
  expect(refusedAt(await app.actions.dropOwn({ kind: 'drill', target: made, id: v7() }))).toEqual([''])
  expect(refusedAt(await app.actions.restOwnEntry({ id: v7(), target: base, used: false }))).toEqual([''])
  process.env.LEVITAR_NOW = `${DAY}T17:02:00Z`
  value(await app.actions.restOwnEntry({ id: v7(), target: made, used: false }))
  expect(app.queries.ownView(await screen(), made)?.built?.rests).toBe(true)
  expect((await screen()).practice.drills.find((d) => d.id === made)).toMatchObject({
    name: 'Harbour plank',
    for: {},
  })
  expect(app.queries.ownView(await screen(), made)?.history[0]?.what).toMatch(/rests/)
  process.env.LEVITAR_NOW = `${DAY}T17:03:00Z`
  value(await app.actions.restOwnEntry({ id: v7(), target: made, used: true }))
  expect(app.queries.ownView(await screen(), made)?.built?.rests).toBe(false)
})

it('goes out as a file and comes in elsewhere: told first, kept whole or not at all, and once only', async () => {
  const own = () => screen().then((ctx) => app.queries.ownEntries(ctx)?.map(({ id }) => id))
  const typed = { cue: 'Ears away from the arms.' }
  value(await app.actions.keepOwn({ ...target, typed, id: v7() }))
  const { text } = value(await app.files.practiceOut({}))
  const same = value(await app.files.tryPracticeFile({ text }))
  expect(same.entries).toEqual([])
  expect(same.known).toBeGreaterThan(0)
  // As another studio has it: one word differs, and a drill that is not here.
  const file = JSON.parse(text) as {
    entries: { kind: string; id: string; fields: Record<string, unknown> }[]
  }
  const brought = file.entries.map((e) => (e.id === 'FS-05' ? { ...e, fields: { cue: 'Long neck.' } } : e))
  const other = (entries: unknown[]): string => JSON.stringify({ ...file, entries })
  const drill = { kind: 'drill', id: 'DR-own-els', fields: { base: 'DR-hollow', name: 'Moon boat' } }
  const told = value(await app.files.tryPracticeFile({ text: other([...brought, drill]) }))
  expect(told.entries).toHaveLength(2)
  expect(told.entries.join(' ')).toContain('Moon boat')
  expect(await own()).not.toContain('DR-own-els')
  const broken = { ...drill, fields: { ...drill.fields, base: 'DR-nowhere' } }
  expect(refusedAt(await app.files.keepPracticeFile({ text: other([...brought, broken]) }))).toEqual([''])
  expect(app.queries.ownView(await screen(), 'FS-05')?.fields.find((f) => f.key === 'cue')?.value).toBe(
    typed.cue,
  )
  expect(value(await app.files.keepPracticeFile({ text: other([...brought, drill]) }))).toEqual({ kept: 2 })
  expect(await own()).toContain('DR-own-els')
  expect(app.queries.ownView(await screen(), 'FS-05')?.fields.find((f) => f.key === 'cue')?.value).toBe(
    'Long neck.',
  )
  expect(value(await app.files.keepPracticeFile({ text: other([...brought, drill]) }))).toEqual({ kept: 0 })
  expect(refusedAt(await app.files.tryPracticeFile({ text: '{}' }))).toEqual([''])
  // An assistant reads the library and is shown no form that would refuse them.
  const ctx = await screen()
  const assistant = { ...ctx, actor: { ...ctx.actor, role: 'assistant' as const } }
  expect([app.queries.ownEntries(assistant), app.queries.ownView(assistant, 'FS-05')]).toEqual([null, null])
})

it('a step of their own is built, stands beside its base on a person’s path, moves nobody, and rests', async () => {
  const base = 'FS-03c'
  const build = (typed: Record<string, string>) =>
    app.actions.addOwnEntry({ id: v7(), kind: 'stage', base, typed })
  const before = await holdOf()
  expect(refusedAt(await build({ name: 'Forearm plank' }))).toEqual(['name'])
  const { target: made } = value(
    await build({ name: 'Dolphin, heels on a roll', do: 'Heels on a rolled mat.' }),
  )
  const view = app.queries.ownView(await screen(), made)
  expect([view?.built?.onId, view?.toBuild, view?.fields.some((f) => f.key.startsWith('gate.'))]).toEqual([
    ...[base, null, false],
  ])
  const stepsOf = async () => {
    const person = app.person.personReadiness(await screen(), wren, {
      ...{ family: 'FS', withTurnings: false, withAll: false },
    })
    return JSON.stringify(person?.path)
  }
  expect(await stepsOf()).toContain('Dolphin, heels on a roll')
  expect(await holdOf()).toBe(before)
  process.env.LEVITAR_NOW = `${DAY}T17:09:00Z`
  value(await app.actions.restOwnEntry({ id: v7(), target: made, used: false }))
  expect(await stepsOf()).not.toContain('Dolphin, heels on a roll')
  expect((await screen()).practice.stages.find((s) => s.id === made)?.name).toBe('Dolphin, heels on a roll')
})

it('a setup begins where the house has it, on the bench and in everybody’s numbers', async () => {
  const { benchData } = await import('../setups/queries')
  const setup = { kind: 'setup' as const, target: 'SETUP-dolphin-block' }
  const beginsAt = async () => benchData(await screen(), undefined).begins[setup.target]
  expect(await beginsAt()).toBeUndefined()
  const grip = app.queries.ownView(await screen(), setup.target)?.fields.find((f) => f.key === 'begin.grip')
  expect(grip?.choices?.map((c) => c.value)).toEqual(['0', '1', '2'])
  value(
    await app.actions.keepOwn({
      ...setup,
      id: v7(),
      typed: { 'begin.grip': '1', name: 'Dolphin on a brick' },
    }),
  )
  expect(await beginsAt()).toEqual([{ option: 'grip', value: 1 }])
  const own = app.queries.ownEntries(await screen())?.find((e) => e.id === setup.target)
  expect([own?.name, own?.what]).toEqual([
    'Dolphin on a brick',
    expect.stringContaining('Palms on the outer faces in place of Thumbs along the near face') as string,
  ])
})
