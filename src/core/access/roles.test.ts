import { readdirSync, readFileSync } from 'node:fs'
import { FACT_KINDS } from '../facts/fact'
import { matrixText } from './matrix'
import { signInFor, whereTo } from './where-to'
import { LEVELS, levelOf, levelOfFact, mayKnow, PAGES, reaches, ROLES } from './roles'

const FROM_LEAST = ['nobody', ...ROLES] as const

it('each role reaches what the ones before it reach, and one level more', () => {
  const reached = FROM_LEAST.map((asker) => LEVELS.filter((level) => reaches(asker, level)))
  expect(reached.map((r) => r.length)).toEqual([1, 2, 3, 4, 5])
  reached.forEach((levels, i) => expect(levels).toEqual(LEVELS.slice(0, i + 1)))
})

it('health opens for teachers and owners, never for the floor', () => {
  expect(FROM_LEAST.filter(mayKnow)).toEqual(['teacher', 'owner'])
  for (const [path, level] of PAGES)
    if (/\/health$|incidents|students/.test(path))
      expect([path, reaches('assistant', level)]).toEqual([path, false])
})

it('a path asks for what its nearest line says, and one that no line names for the most', () => {
  expect(levelOf('/')).toBe('floor')
  expect(levelOf('/teach/x/board/')).toBe('device')
  expect(levelOf('/teach/x/door/y')).toBe('floor')
  expect(levelOf('/readiness/by-eye')).toBe('desk')
  expect(levelOf('/readiness/round/x')).toBe('device')
  for (const path of ['', '/nowhere', '/teach/x/board/more', '/students/x/health/../..', '//students'])
    expect([path, levelOf(path)]).toEqual([path, 'owner'])
})

it('every page and every route of the app has its own line', () => {
  const files = readdirSync('src/app', { recursive: true, encoding: 'utf8' })
  const paths = files
    .filter((file) => /(^|\/)(page\.tsx|route\.ts)$/.test(file))
    .map((file) =>
      `/${file}`
        .replace(/\/\([^/]+\)/g, '')
        .replace(/\/(page\.tsx|route\.ts)$/, '')
        .replaceAll(/\[[^\]]+\]/g, '*'),
    )
  expect(paths.length).toBeGreaterThan(50)
  const lines = PAGES.map(([path]) => path)
  expect(paths.map((p) => p || '/').filter((p) => !lines.includes(p))).toEqual([])
  expect(lines.filter((l) => !paths.map((p) => p || '/').includes(l))).toEqual([])
})

it('judging and planning are a teacher’s, seeing is the floor’s', () => {
  const judged = FACT_KINDS.filter((kind) => levelOfFact(kind) === 'desk')
  expect(judged).toEqual(['placement', 'offer', 'lock'])
})

it('docs/roles.md prints the list as it is', () => {
  const rows = (text: string) =>
    text.split('\n').map((line) => line.replaceAll(/\s+/g, ' ').replaceAll(/-+/g, '-'))
  const printed = rows(readFileSync('docs/roles.md', 'utf8'))
  expect(rows(matrixText()).filter((line) => !printed.includes(line))).toEqual([])
})

it('after signing in the page that was asked for opens, where it is ours and theirs', () => {
  expect(signInFor('/')).toBe('/sign-in')
  const asked = (path: string) =>
    new URL(signInFor(path), 'http://studio.test').searchParams.get('to') ?? undefined
  expect(whereTo(asked('/plans/new'), 'teacher')).toBe('/plans/new')
  expect(whereTo(asked('/teach/7/board'), 'device')).toBe('/teach/7/board')
  // What does not open to them, or is not of this studio, leads to where they always begin.
  expect(whereTo('/plans', 'assistant')).toBe('/')
  expect(whereTo('/studio/files', 'device')).toBe('/teach')
  for (const elsewhere of [
    '//else.test',
    'https://else.test',
    '/\\else.test',
    'javascript:alert(1)',
    '/sign-in',
    '/account',
    '',
    undefined,
  ])
    expect(whereTo(elsewhere, 'owner')).toBe('/')
  expect(whereTo('/plans/../studio/access', 'assistant')).toBe('/')
})
