// Faults planted one at a time in a copy of the tree, each with the test that must notice it: `npm run mutants [words of a fault, or of a test’s path]`.
import { execFileSync, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { ROOT } from './lib.mjs'

const only = process.argv.slice(2).join(' ')
const MUTANTS = JSON.parse(readFileSync(path.join(ROOT, 'scripts', 'mutants.json'), 'utf8'))
const copy = mkdtempSync(path.join(os.tmpdir(), 'levitar-mutants-'))
const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: ROOT, encoding: 'utf8' })
const archive = spawnSync('tar', ['-c', '-T', '-'], {
  cwd: ROOT,
  input: files
    .split('\n')
    .filter((f) => f !== '' && existsSync(path.join(ROOT, f)))
    .join('\n'),
  maxBuffer: 1 << 30,
})
spawnSync('tar', ['-x'], { cwd: copy, input: archive.stdout })
symlinkSync(path.join(ROOT, 'node_modules'), path.join(copy, 'node_modules'))

let missed = 0
let caught = 0
try {
  for (const [name, file, find, put, test] of MUTANTS) {
    if (only !== '' && !name.includes(only) && !test.includes(only)) continue
    const at = path.join(copy, file)
    const source = readFileSync(at, 'utf8')
    const times = source.split(find).length - 1
    if (times !== 1) {
      missed += 1
      console.log(`LOST    ${name}: its place stands ${times} times in ${file}`)
      continue
    }
    writeFileSync(
      at,
      source.replace(find, () => put),
    )
    const run = spawnSync('npx', ['jest', '--runTestsByPath', test, '--silent', '--bail'], {
      cwd: copy,
      encoding: 'utf8',
      env: { ...process.env, CI: 'true' },
    })
    writeFileSync(at, source)
    const noticed = run.status !== 0 && /Tests:.*failed/.test(run.stderr)
    if (noticed) caught += 1
    else missed += 1
    console.log(`${noticed ? 'caught ' : 'MISSED '} ${name}  (${test})`)
  }
} finally {
  rmSync(copy, { recursive: true, force: true })
}
console.log(`${caught} caught, ${missed} missed`)
process.exit(missed === 0 ? 0 : 1)
