import { demoWorld } from '@/core/simulate/demo'
import { ownData, ownDevice, refusedAt, screen, seedWorld, value } from '@/testing/actions'

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/headers', () => ({
  headers: () => Promise.resolve(new Map([['x-levitar-home', '1']])),
  cookies: () => Promise.resolve({ get: () => undefined }),
}))

const DAY = '2026-03-10'
ownData('check-in', DAY)

// Loaded after the data folder is set: the connection is opened once, on first use.
const load = async () => ({
  healthQueries: await import('../health/queries'),
  doorQueries: await import('./queries'),
  readiness: await import('../readiness/person-queries'),
  facts: await import('../facts/actions'),
})
let app: Awaited<ReturnType<typeof load>>
const world = demoWorld(DAY)
beforeAll(async () => {
  app = await load()
  await seedWorld(DAY)
})

const { stamp } = ownDevice(21, DAY)
const idOf = (name: string): string => world.students.find((s) => s.name === name)?.id ?? ''
const tonight = (): string => world.classes.at(-1)?.id ?? ''
const decisionOf = async (id: string) =>
  app.readiness.personReadiness(await screen(), id, { family: 'FS', withTurnings: false, withAll: false })
    ?.decision

describe('tonight’s check-in', () => {
  const said = {
    pain: 5,
    regions: ['wrist' as const],
    energy: 2,
    arms: 1,
    look: 'half' as const,
    ticked: [],
    touch: 'no' as const,
  }
  it('lowers tonight’s ceiling, leaves the standing, and asks for what was not tapped', async () => {
    const studentId = idOf('Maud Ferrier')
    const checkIn = (words: typeof said | (Omit<typeof said, 'regions'> & { regions: [] })) =>
      app.facts.recordFactQuietly({ ...stamp(), kind: 'check-in', studentId, words })
    const before = await decisionOf(studentId)
    value(await checkIn(said))
    expect(await decisionOf(studentId)).toEqual(before)
    expect(app.healthQueries.limitsView(await screen(), studentId)?.tonight).toContain(
      'Left out: weight on the wrists',
    )
    const line = app.doorQueries.doorData(await screen(), tonight())?.lines.find((l) => l.id === studentId)
    expect(line).toMatchObject({ checkedIn: true, touch: 'no hands' })
    expect(refusedAt(await checkIn({ ...said, energy: null as unknown as number }))).toEqual(['words.energy'])
    expect(refusedAt(await checkIn({ ...said, regions: [] }))).toEqual(['words.regions'])
  })
  it('sends a passed tablet names and questions, and no answer', async () => {
    const data = JSON.stringify(app.healthQueries.passData(await screen(), tonight()))
    expect(data).toContain('Callum Strand')
    for (const word of ['Dr Alder', '"pain":', '"choice"', '"energy":', 'Barred'])
      expect([word, data.includes(word)]).toEqual([word, false])
  })
})
