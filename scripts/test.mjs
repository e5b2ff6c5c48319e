// Everything that must hold, from a clean clone, ending with one line `N passed, N failed`.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import path from 'node:path'
import { ROOT, run } from './lib.mjs'
import { ensureBuilt, ensureInstalled, missingTools } from './packages.mjs'

const REPORTS = path.join(ROOT, 'reports')
const counts = { passed: 0, failed: 0 }

const missing = missingTools()
if (missing) fail(missing)
// What a newcomer does first comes first, on what this checkout has: on a fresh clone nothing.
await step('the first command', 'node', ['scripts/first-start.mjs'])
const wrong = await ensureInstalled()
if (wrong) fail(wrong)
if (!(await ensureChromium()))
  fail('The browser journeys need Debian’s packages chromium and poppler-utils: have them installed.')
rmSync(REPORTS, { recursive: true, force: true })
mkdirSync(REPORTS, { recursive: true })

await Promise.all([
  step('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']),
  step('types', 'npm', ['run', '--silent', 'types']),
])
// The linters fill what the units leave of two cores.
await Promise.all([linters(), units()])
const built = await timed('build', ensureBuilt)
add('build', built)
if (built) await step('first load', 'node', ['scripts/first-load.mjs'])
if (built) await step('kills', 'node', ['scripts/kill.mjs', '--kills', '10'])
if (built) await suite('journeys', 'playwright.json', 'npx', ['playwright', 'test'], playwrightCounts)
finish()

async function linters() {
  await step('lint', 'npx', ['eslint', '.', '--max-warnings', '0'])
  await step('boundaries', 'npx', [
    'depcruise',
    '--config',
    '.dependency-cruiser.cjs',
    '--output-type',
    'err',
    'src',
    'cli',
  ])
  await step('dead code', 'npx', ['knip', '--no-progress'])
}

async function units() {
  await suite(
    'units',
    'jest.json',
    'npx',
    ['jest', '--maxWorkers=2', '--json', '--outputFile=reports/jest.json'],
    jestCounts,
  )
}

/** A step that either holds or does not: one count. */
async function step(name, command, args) {
  add(name, await timed(name, () => run(command, args)))
}

/** A suite with its own counts; a run that leaves no report counts as one failure. */
async function suite(name, report, command, args, read) {
  const ok = await timed(name, () => run(command, args))
  const file = path.join(REPORTS, report)
  if (!existsSync(file)) return add(name, false)
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')))
  counts.passed += passed
  counts.failed += failed === 0 && !ok ? 1 : failed
}

function jestCounts(report) {
  return { passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites }
}

function playwrightCounts({ stats, errors }) {
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected + errors.length }
}

async function timed(name, work) {
  const began = Date.now()
  console.log(`\n— ${name}`)
  const ok = await work()
  console.log(`— ${name}: ${ok ? 'holds' : 'FAILS'} (${Math.round((Date.now() - began) / 1000)} s)`)
  return ok
}

function add(name, ok) {
  if (ok) counts.passed += 1
  else counts.failed += 1
}

async function ensureChromium() {
  // pdftotext reads the printed cards back.
  const there = () =>
    existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium') && existsSync('/usr/bin/pdftotext')
  if (there()) return true
  // Only an administrator may install packages; anybody else is told what to ask for.
  if (process.getuid?.() !== 0) return false
  console.log('Installing Chromium and poppler-utils from Debian’s packages …')
  const apt = (...args) => run('apt-get', args, { env: { DEBIAN_FRONTEND: 'noninteractive' } })
  await apt('update', '-qq')
  await apt('install', '-y', '-qq', 'chromium', 'poppler-utils')
  return there()
}

function fail(message) {
  console.error(message)
  counts.failed += 1
  finish()
}

function finish() {
  console.log(`\n${counts.passed} passed, ${counts.failed} failed`)
  process.exit(counts.failed === 0 && counts.passed > 0 ? 0 : 1)
}
