import { spawnSync } from 'node:child_process'
import path from 'node:path'

/** Lints planted text as if it stood in a file of core. */
function lintAsCore(text: string): string {
  const run = spawnSync(
    'npx',
    ['eslint', '--stdin', '--stdin-filename', path.join('src', 'core', 'day.ts'), '--format', 'json'],
    { input: text, encoding: 'utf8' },
  )
  expect(run.status).toBe(1)
  return run.stdout
}

it('lint fails on a planted import from core to features, to SQLite, and on a look at the clock', () => {
  const found = lintAsCore(
    [
      "import { board } from '@/features/readiness/queries'",
      "import Database from 'better-sqlite3'",
      'export const a = [board, Database, Date.now(), Math.random()]',
    ].join('\n'),
  )
  expect(found).toContain('core imports nothing above it')
  expect(found).toContain('core has no interface, storage or I/O')
  expect(found).toContain('core gets the time as an argument')
  expect(found).toContain('core gets randomness as a seed')
}, 240_000)
