import { readFileSync } from 'node:fs'
import path from 'node:path'
import { TABLES } from './tables'
import { COMMANDS, LISTS } from './commands'
import { POSITIONS } from '@/core/mechanics/positions/catalogue'
import { InputError } from './input'

const run = (name: string, input: unknown): Record<string, unknown> =>
  COMMANDS.find((c) => c.name === name)!.run(input) as Record<string, unknown>
const EMPTY_BRIEF = run('brief', {
  ...{ day: '2026-03-05', minutes: 60, bays: 3, stock: { strap: 1, block: 1 }, students: [] },
})
const BODY = { statureCm: 168, table: 'female' }

const DAY = '2026-03-05'
const student = (part: object) => ({ family: 'FS', asOf: DAY, student: part })

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
  ['brief', { day: 'soon', minutes: 60, bays: 3, stock: { strap: 1, block: 1 }, students: [] }, ['day']],
  ['plan', { brief: { ...EMPTY_BRIEF, version: 9 } }, ['brief', 'version']],
  ['plan', { brief: EMPTY_BRIEF }, []],
  ['check-plan', { brief: EMPTY_BRIEF, plan: { blocks: 'none' } }, ['plan']],
  ['setup', { setup: 'SETUP-dolphin-plain', body: BODY, stock: { blocks: -1 } }, ['stock', 'blocks']],
  ['position', { position: 'trapeze', body: BODY }, ['position']],
  ['body', { statureCm: 168, measured: { thigh: 50, shank: 50, seatedLeg: 70 } }, ['measured', 'seatedLeg']],
  ['body', { statureCm: 168, measured: { innerLeg: 95, seatedLeg: 71 } }, ['measured', 'seatedLeg']],
  ['readiness', { family: 'FS', asOf: '2026-13-45', student: {} }, ['asOf']],
  [
    'readiness',
    student({ results: [{ check: 'CK-dolphin-hld', day: DAY, values: { single: 8 } }] }),
    ['student', 'results', 0, 'check'],
  ],
  [
    'readiness',
    student({ results: [{ check: 'CK-dolphin-hold', day: DAY, values: { single: -8 } }] }),
    ['student', 'results', 0, 'values', 'single'],
  ],
  [
    'readiness',
    student({ results: [{ check: 'CK-leg-lift-forearm', day: DAY, values: { left: 8 } }] }),
    ['student', 'results', 0, 'values'],
  ],
  [
    'readiness',
    student({ results: [{ check: 'CK-dolphin-hold', day: '2027-03-05', values: { single: 8 } }] }),
    ['student', 'results', 0, 'day'],
  ],
  ['readiness', student({ attempts: [{ stage: 'FS-99', day: DAY }] }), ['student', 'attempts', 0, 'stage']],
  [
    'readiness',
    student({ attempts: [{ stage: 'FS-01', day: DAY, faults: ['FT-nothing'] }] }),
    ['student', 'attempts', 0, 'faults', 0],
  ],
  ['readiness', student({ placed: { stage: 'FS-1', day: DAY } }), ['student', 'placed', 'stage']],
  [
    'brief',
    { day: '2026-02-31', minutes: 60, bays: 3, stock: { strap: 1, block: 1 }, students: [] },
    ['day'],
  ],
  [
    'brief',
    { day: DAY, minutes: 60, bays: 3, stock: { strap: 1, block: 1 }, students: [{ id: 'a' }, { id: 'a' }] },
    ['students', 1, 'id'],
  ],
  [
    'endurance',
    {
      body: BODY,
      observed: { position: 'dolphin', seconds: 60, breaths: 5 },
      predict: { position: 'dolphin' },
    },
    ['observed'],
  ],
  ['setup', { setup: 'SETUP-wall-l-hand', body: BODY, options: { method: 0.5 } }, ['options', 'method']],
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
    expect((error as InputError).message).toMatch(/^[A-Z0-9“-].*[.?]$/)
    expect((error as InputError).message).not.toMatch(/undefined|Invalid input/)
  }
})

it('answers what a body cannot reach, with code, numbers and a sentence', () => {
  expect(run('position', { position: 'dolphin', body: BODY, params: { hipRangeDeg: 30 } })).toMatchObject({
    reachable: false,
    refusal: { code: 'joint-out-of-range', joint: 'hip', availableDeg: 30 },
    message: expect.stringContaining('30°'),
  })
})

it('a hold is carried over only between shapes that ask the same of the same limbs', () => {
  const from = (predict: string) =>
    run('endurance', {
      body: BODY,
      observed: { position: 'dolphin', seconds: 60 },
      predict: { position: predict },
    })
  expect(from('dolphin').hold).toMatchObject({ seconds: expect.closeTo(60, 6) })
  for (const other of ['down-dog-long', 'handstand-straight', 'right-angle-hands', 'high-plank'])
    expect(from(other)).toMatchObject({ hold: null, message: expect.stringMatching(/^Not known/) })
})

it('lists every catalogue', () => {
  for (const list of Object.values(LISTS)) expect((list() as unknown[]).length).toBeGreaterThan(0)
})

it('a brief goes into a plan and both into the validator, and a plan of the first release is read', () => {
  const brief = run('brief', COMMANDS.find((c) => c.name === 'brief')!.example)
  const { plan, problems } = run('plan', { brief }) as { plan: Record<string, unknown>; problems: unknown[] }
  expect(problems).toEqual([])
  expect(run('check-plan', { brief, plan })).toEqual({ problems: [] })
  // The first plans had no version, counted straps and blocks and knew waves.
  const version = { studentId: 'wren', stageId: 'FS-04', setupId: null, straps: 0, blocks: 1, override: null }
  const first = {
    minutes: 60,
    bays: 3,
    blocks: [{ kind: 'skill', startS: 0, seconds: 600, versions: [version], sets: 3, workS: 30, restS: 60 }],
  }
  const found = (run('check-plan', { brief, plan: first }) as { problems: { code: string }[] }).problems
  expect(found.map((p) => p.code)).toEqual(expect.arrayContaining(['load-without-warm-up', 'left-out']))
  expect(run('check-plan', { brief: { ...brief, minutes: 30 }, plan })).toMatchObject({
    problems: expect.arrayContaining([expect.objectContaining({ code: 'over-time' })]),
  })
})

it.each([
  ['drills', 'drill-tags.md'],
  ['shapes', 'shape-changes.md'],
])('the table of %s in docs is what the practice says today (npm run -s core -- table)', (name, file) => {
  expect(TABLES[name]?.()).toBe(readFileSync(path.join(process.cwd(), 'docs/method', file), 'utf8'))
})
