import { COMMANDS, LISTS } from './commands'
import { POSITIONS } from '@/core/mechanics/positions/catalogue'
import { InputError } from './input'

const run = (name: string, input: unknown): Record<string, unknown> =>
  COMMANDS.find((c) => c.name === name)!.run(input) as Record<string, unknown>
const EMPTY_BRIEF = run('brief', {
  ...{ day: '2026-03-05', minutes: 60, bays: 3, stock: { straps: 1, blocks: 1 }, students: [] },
})
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
  ['brief', { day: 'soon', minutes: 60, bays: 3, stock: { straps: 1, blocks: 1 }, students: [] }, ['day']],
  ['plan', { brief: { ...EMPTY_BRIEF, version: 2 } }, ['brief', 'version']],
  ['plan', { brief: EMPTY_BRIEF }, []],
  ['check-plan', { brief: EMPTY_BRIEF, plan: { blocks: 'none' } }, ['plan']],
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

it('a brief goes into a plan and both into the validator, and a plan of the first release is read', () => {
  const brief = run('brief', COMMANDS.find((c) => c.name === 'brief')!.example)
  const { plan, problems } = run('plan', { brief }) as { plan: Record<string, unknown>; problems: unknown[] }
  expect(problems).toEqual([])
  expect(run('check-plan', { brief, plan })).toEqual({ problems: [] })
  // The first plans had no version and knew no limits.
  const first = JSON.parse(
    JSON.stringify(plan, (key, value: unknown) =>
      ['version', 'change', 'inPlace'].includes(key) ? undefined : value,
    ),
  ) as object
  expect(run('check-plan', { brief, plan: first })).toEqual({ problems: [] })
  expect(run('check-plan', { brief: { ...brief, minutes: 30 }, plan })).toMatchObject({
    problems: [{ code: 'over-time' }],
  })
})
