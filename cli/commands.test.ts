import { COMMANDS, LISTS } from './commands'
import { POSITIONS } from '@/core/mechanics/positions/catalogue'
import { InputError } from './input'

const run = (name: string, input: unknown): Record<string, unknown> =>
  COMMANDS.find((c) => c.name === name)!.run(input) as Record<string, unknown>
const BODY = { statureCm: 168, table: 'female' }

it.each(COMMANDS.map((c) => [c.name, c.example] as const))('%s answers its own example', (name, example) => {
  expect(run(name, example)).not.toHaveProperty('error')
})

it.each(POSITIONS.map((p) => [p.id]))('%s prints the contract', (position) => {
  const printed = run('position', { position, body: BODY })
  for (const key of [
    'joints',
    'centreOfMassCm',
    'contacts',
    'base',
    'margin',
    'angles',
    'shoulderMomentNmPerKg',
  ])
    expect(printed).toHaveProperty(key)
  const contacts = printed.contacts as { share: { value: number; min: number; max: number } }[]
  expect(contacts.reduce((sum, c) => sum + c.share.value, 0)).toBeCloseTo(1, 9)
  if (position.endsWith('kick-start')) expect(printed).toHaveProperty('riseCm')
})

it.each([
  ['body', { statureCm: 17 }, ['statureCm']],
  ['body', { statureCm: 'tall' }, ['statureCm']],
  ['position', { position: 'dolphin', body: { statureCm: 300 } }, ['body', 'statureCm']],
  ['position', { position: 'dolphin', body: BODY, params: { kneeBendDeg: -4 } }, ['params', 'kneeBendDeg']],
  [
    'endurance',
    { body: BODY, observed: { position: 'dolphin' }, predict: { position: 'dolphin' } },
    ['observed'],
  ],
  [
    'endurance',
    { body: BODY, observed: { position: 'swing', seconds: 9 }, predict: { position: 'dolphin' } },
    ['observed', 'position'],
  ],
  [
    'fatigue',
    { joint: 'shoulder', sequence: [{ label: 'x', intensity: 2, seconds: 9 }] },
    ['sequence', 0, 'intensity'],
  ],
  ['readiness', { family: 'FS', asOf: 'tomorrow', student: {} }, ['asOf']],
  ['plan', { asOf: '2026-03-05', minutes: 60, bays: 3, stock: { straps: 1, blocks: 1 }, students: [] }, []],
  ['setup', { setup: 'SETUP-dolphin-plain', body: BODY, stock: { blocks: -1 } }, ['stock', 'blocks']],
  ['position', { position: 'trapeze', body: BODY }, ['position']],
  [
    'setup',
    { setup: 'SETUP-wall-kick-forearm-block', body: BODY, options: { wallGapCm: -1 } },
    ['options', 'wallGapCm'],
  ],
])('%s refuses bad input and says where: %p', (name, input, path) => {
  try {
    run(name, input)
    throw new Error('took it')
  } catch (error) {
    expect(error).toBeInstanceOf(InputError)
    expect((error as InputError).path).toEqual(path)
  }
})

it('answers what a body cannot reach, with code, numbers and a sentence', () => {
  expect(run('position', { position: 'dolphin', body: BODY, params: { hipRangeDeg: 30 } })).toMatchObject({
    reachable: false,
    refusal: { code: 'joint-out-of-range', joint: 'hip', availableDeg: 30 },
    message: expect.stringContaining('30°'),
  })
})

it('lists every catalogue', () => {
  for (const list of Object.values(LISTS)) expect((list() as unknown[]).length).toBeGreaterThan(0)
})
