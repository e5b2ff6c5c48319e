import { readFileSync } from 'node:fs'
import path from 'node:path'

const ROOT = path.resolve(__dirname, '..')
const scripts = (
  JSON.parse(readFileSync(path.join(ROOT, 'package.json'), 'utf8')) as { scripts: Record<string, string> }
).scripts

/** Every module that is read before the first line of a script runs, as written. */
function readFirst(file: string, seen = new Set<string>()): string[] {
  if (seen.has(file)) return []
  seen.add(file)
  const source = readFileSync(file, 'utf8')
  const named = [...source.matchAll(/^(?:import|export)\s(?:[\w\s{},*]*?\sfrom\s)?['"]([^'"]+)['"]/gm)].map(
    (found) => found[1]!,
  )
  return named.flatMap((name) =>
    name.startsWith('.') ? [name, ...readFirst(path.resolve(path.dirname(file), name), seen)] : [name],
  )
}

it.each(Object.entries(scripts))('“npm run %s” starts on Node alone', (_, command) => {
  const begins = /^node (scripts\/[\w-]+\.mjs)/.exec(command)?.[1]
  expect(begins).toBeDefined()
  const packages = readFirst(path.join(ROOT, begins!)).filter(
    (name) => !name.startsWith('node:') && !name.startsWith('.'),
  )
  expect(packages).toEqual([])
})

it('sees what a script reads through another', () => {
  expect(readFirst(path.join(ROOT, 'scripts/lan.mjs'))).toContain('node-forge')
  expect(readFirst(path.join(ROOT, 'scripts/shots.mjs'))).toContain('@playwright/test')
})
