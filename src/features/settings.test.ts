import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, refusedAt, seedWorld, value } from '@/testing/actions'
import { CookieJar } from '@/testing/cookies'

const mockJar = new CookieJar()
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve(mockJar),
}))

const DAY = '2026-03-10'
ownData('settings', DAY)

// Loaded after the data folder is set: the connection is opened once, on first use.
const load = async () => ({
  healthQueries: await import('./health/queries'),
  approaches: await import('./approaches/actions'),
  approachQueries: await import('./approaches/queries'),
  studio: await import('./studio/actions'),
  studioQueries: await import('./studio/queries'),
  groups: await import('./groups/actions'),
  groupQueries: await import('./groups/queries'),
  planQueries: await import('./plans/queries'),
  context: await import('./context'),
})
let app: Awaited<ReturnType<typeof load>>
const world = demoWorld(DAY)
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

const { v7 } = ownDevice(22, DAY)
/** A screen where nothing is hidden. */
const shown = (notesOpen = true) => app.context.contextFor({ hidden: false, notesOpen })
const refused = refusedAt
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const tonight = (): string => world.classes.at(-1)?.id ?? ''

describe('ways of working', () => {
  it('are tried before they are kept, for one class only, and told where they come from', async () => {
    const at = { scope: 'class' as const, scopeId: tonight(), approach: 'A01' }
    const preview = value(await app.approaches.tryChoice({ ...at, option: 'wall' }))
    expect(preview.hides.join(' ')).toMatch(/comes on to it/)
    expect(app.approachQueries.approachPage(shown(), 'class', tonight())?.questions[0]?.inForce).toBe(
      'padded',
    )
    value(await app.approaches.choose({ ...at, option: 'wall' }))
    expect(app.approachQueries.approachPage(shown(), 'class', tonight())?.questions[0]).toMatchObject({
      inForce: 'wall',
      from: 'this class',
      own: true,
    })
    expect(app.approachQueries.approachPage(shown(), 'teacher', '')?.questions[0]?.inForce).toBe('padded')
    value(await app.approaches.choose({ ...at, option: null }))
    expect(app.approachQueries.approachPage(shown(), 'class', tonight())?.questions[0]?.own).toBe(false)
  })
  it('cannot loosen what the house forbids, and the house leaves one way open', async () => {
    value(await app.approaches.allowOption({ approach: 'A22', option: 'trained', allowed: false }))
    const at = { scope: 'teacher' as const, scopeId: '', approach: 'A22' }
    expect((await app.approaches.choose({ ...at, option: 'trained' })).ok).toBe(false)
    for (const option of ['none', 'feather'])
      value(await app.approaches.allowOption({ approach: 'A22', option, allowed: false }))
    expect((await app.approaches.allowOption({ approach: 'A22', option: 'shared', allowed: false })).ok).toBe(
      false,
    )
    for (const option of ['none', 'feather', 'trained'])
      value(await app.approaches.allowOption({ approach: 'A22', option, allowed: true }))
  })
  it('start from a preset, show its clashes, and go back to none', async () => {
    const at = { scope: 'teacher' as const, scopeId: '' }
    value(await app.approaches.applyPreset({ ...at, preset: 'strength' }))
    expect(
      app.approachQueries.approachPage(shown(), 'teacher', '')?.questions.filter((q) => q.own).length,
    ).toBeGreaterThan(4)
    value(await app.approaches.applyPreset({ ...at, preset: 'none' }))
    expect(app.approachQueries.approachPage(shown(), 'teacher', '')?.questions.some((q) => q.own)).toBe(false)
    expect((await app.approaches.choose({ ...at, approach: 'A08', option: 'push' })).ok).toBe(false)
    // Nobody and no class that is gone has ways of working.
    for (const scope of ['student', 'class'] as const)
      for (const scopeId of ['nobody', ''])
        expect((await app.approaches.applyPreset({ scope, scopeId, preset: 'custom' })).ok).toBe(false)
    expect(app.approachQueries.approachPage(shown(), 'class', v7())).toBeNull()
  })
})

describe('the studio', () => {
  const room = world.studio.room
  const mutable = () => JSON.parse(JSON.stringify(room)) as Parameters<typeof app.studio.saveRoom>[0]
  it('keeps a drawn room and tells what wants care; refuses one that cannot be', async () => {
    expect(value(await app.studio.saveRoom(mutable())).join(' ')).toMatch(/Bay 5 is 105 cm wide/)
    expect(shown().studio.bays).toBe(5)
    const wrong = mutable()
    wrong.bays[0]!.fromCm = 700
    const answer = await app.studio.saveRoom(wrong)
    expect(answer.ok ? '' : answer.problems[0]?.message).toMatch(/past the end of its wall/)
  })
  it('counts the cupboard into what setups and plans may use', async () => {
    const { stock, blocks } = shown().studio
    expect([blocks, stock.blocks.length, stock.chairs]).toEqual([12, 12, 3])
    const line = {
      id: v7(),
      shape: 'chair',
      localName: '',
      sizeCm: null,
      count: 2,
      condition: 'sound' as const,
      checkedDay: null,
    }
    value(await app.studio.saveCupboardLine(line))
    expect(shown().studio.stock.chairs).toBe(5)
    value(await app.studio.checkedToday({ id: line.id }))
    expect(app.studioQueries.cupboard(shown()).lines.find((l) => l.id === line.id)?.due).toBe(false)
    expect(refused(await app.studio.saveCupboardLine({ ...line, count: -1 }))).toEqual(['count'])
    value(await app.studio.removeCupboardLine({ id: line.id }))
  })
  it('closes a load for everybody, and only lowers the cap', async () => {
    expect(refused(await app.studio.saveFloor({ closed: [], mostAttempts: 15 }))).toEqual(['mostAttempts'])
    value(await app.studio.saveFloor({ closed: [{ tag: 'HB', level: 2 }], mostAttempts: 6 }))
    const words = app.healthQueries.limitsView(shown(), idOf('Wren Haskett'))?.closed.map((c) => c.text) ?? []
    expect(words.join(' ')).toMatch(/Not done in this room/)
    value(await app.studio.saveFloor({ closed: [], mostAttempts: null }))
  })
  it('knows who helps today, what hangs by the door, and its zone', async () => {
    const [bram] = app.studioQueries.helpers(shown()).people
    value(await app.studio.saveHelper({ id: bram!.id, name: 'Bram Teale', trained: [], willing: false }))
    expect(app.studioQueries.helpers(shown()).people[0]?.willing).toBe(false)
    expect(app.studioQueries.emergencyView(shown()).missing).toEqual([])
    expect(refused(await app.studio.saveNames({ name: '', teacher: '', timeZone: 'Mars/Base' }))).toEqual([
      'timeZone',
    ])
  })
  it('plans the next class of a group on its own weekday', async () => {
    const [group] = app.groupQueries.groupViews(shown()).groups
    expect(app.planQueries.newClassData(shown(), { group: group?.id }).start).toMatchObject({
      day: DAY,
      startTime: '18:30',
      minutes: 75,
    })
    value(await app.groups.keepGroup({ ...group!, weekday: 4, members: [idOf('Ines Calder')] }))
    expect(app.planQueries.newClassData(shown(), { group: group?.id }).start).toMatchObject({
      day: '2026-03-12',
      roster: [idOf('Ines Calder')],
    })
  })
})
