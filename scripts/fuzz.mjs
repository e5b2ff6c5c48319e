// Sends what no page would send to every route and every action, then reads every page back. Seeded; counts what must not be.
import { readFileSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import Database from 'better-sqlite3'
import { filesBelow, freePort, options, ROOT, run, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const given = options(process.argv.slice(2))
const REQUESTS = Number(given.requests ?? 50_000)
const AT_ONCE = 6
const DAY = '2026-03-10'
const PLANTED = 'planted-plover-word'
const MARKUP = `<img src=x onerror="window.fired=1">${PLANTED}`
if (!(await ensureBuilt())) process.exit(1)
const data = mkdtempSync(path.join(tmpdir(), 'levitar-fuzz-'))
await run('npx', ['tsx', 'cli/seed.ts', DAY], { env: { LEVITAR_DATA: data } })
const { child, address } = await startServer({
  port: await freePort(),
  data,
  now: `${DAY}T17:00:00Z`,
  stdio: ['ignore', 'pipe', 'pipe'],
})
let log = ''
for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (log += chunk))

let seed = Number(given.seed ?? 1)
const random = () => {
  seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0
  return seed / 2 ** 32
}
const pick = (list) => list[Math.floor(random() * list.length)]

const raw = new Database(path.join(data, 'levitar.sqlite'), { readonly: true })
const ids = ['student', 'class_session', 'observation', 'class_plan', 'prop_item'].flatMap((t) =>
  raw.prepare(`select id from ${t} limit 5`).pluck().all(),
)
raw.close()
const KEYS = [
  ...[
    'id',
    'studentId',
    'classId',
    'planId',
    'entryId',
    'typed',
    'name',
    'day',
    'minutes',
    'text',
    'note',
    'title',
  ],
  ...[
    'words',
    'part',
    'stageId',
    'family',
    'answers',
    'way',
    'role',
    'login',
    'password',
    'code',
    'key',
    'shape',
  ],
  ...[
    'count',
    'members',
    'roster',
    'aim',
    'seconds',
    'facts',
    'kind',
    'hlc',
    'change',
    'edit',
    'value',
    '__proto__',
  ],
  ...['constructor', 'prototype', 'toString', 'health', 'passphrase', 'file', 'room', 'bays'],
]
const TEXTS = [
  ...[
    '',
    ' ',
    'x',
    MARKUP,
    '../../../etc/passwd',
    '%00',
    '\u0000',
    '‮abc',
    '💀'.repeat(50),
    'é'.repeat(4000),
  ],
  ...[
    '2026-02-30',
    '2026-03-10',
    '9999-12-31',
    'zzz',
    '1e999',
    '-1',
    'FS-10a',
    'DR-puppy',
    'CK-dolphin-hold',
  ],
  ...[`'; drop table student; --`, '{"a":1}', 'practice', 'teacher', 'true', 'null', 'a'.repeat(100_000)],
]
function value(depth = 0) {
  const r = random()
  if (r < 0.22) return pick(ids)
  if (r < 0.47) return pick(TEXTS)
  if (r < 0.6) return pick([0, 1, -1, 3.5, 1e308, -1e308, 2 ** 53, null, true, false])
  if (depth > 3) return null
  if (r < 0.72) return Array.from({ length: Math.floor(random() * 4) }, () => value(depth + 1))
  // JSON.parse makes an own key of what an object literal would take for its prototype.
  const fields = Array.from({ length: 1 + Math.floor(random() * 8) }, () => [pick(KEYS), value(depth + 1)])
  return JSON.parse(`{${fields.map(([k, v]) => `${JSON.stringify(k)}:${JSON.stringify(v)}`).join(',')}}`)
}

const pages = filesBelow(path.join(ROOT, 'src', 'app'))
  .map((file) => file.slice(path.join(ROOT, 'src', 'app').length))
  .filter((file) => /\/(page\.tsx|route\.ts)$/.test(file))
  .map((file) => file.replaceAll(/\/\([^/]+\)/g, '').replace(/\/(page\.tsx|route\.ts)$/, ''))
  // A stream has no end to wait for.
  .filter((page) => !page.endsWith('/live'))
const filled = (page, by) => page.replaceAll(/\[[^\]]+\]/g, () => encodeURIComponent(by())) || '/'
const manifest = JSON.parse(
  readFileSync(path.join(ROOT, '.next', 'server', 'server-reference-manifest.json'), 'utf8'),
)
// Signing out or locking would end the run for nothing; erasing is left to its own tests.
const LEFT = ['signOut', 'lockScreen', 'makeAccount', 'erase']
const actions = Object.entries(manifest.node).filter(([, { exportedName }]) => !LEFT.includes(exportedName))

const counts = { requests: 0, actions: 0, accepted: 0, refused: 0, dropped: 0, status: {} }
const failures = []
async function one() {
  const r = random()
  const origin = address
  let url
  let init
  if (r < 0.7) {
    const [id, { workers }] = pick(actions)
    const page = Object.keys(workers)[0]
      .replace(/^app/, '')
      .replaceAll(/\/\([^/]+\)/g, '')
      .replace(/\/page$/, '')
    url = filled(page, () => pick(ids))
    const args = JSON.stringify([value()])
    init = {
      method: 'POST',
      headers: { 'next-action': id, 'content-type': 'text/plain;charset=UTF-8', origin },
      // A dollar sign begins a code of the wire format, which is the framework's to refuse.
      body: args.replaceAll('"$', '"'),
    }
    counts.actions += 1
  } else if (r < 0.9) {
    const query =
      random() < 0.4
        ? `?${pick(KEYS)}=${encodeURIComponent(String(pick(TEXTS)).slice(0, 900))}&${pick(KEYS)}=1`
        : ''
    url =
      filled(pick(pages), () => (random() < 0.5 ? pick(ids) : String(pick(TEXTS)).slice(0, 300) || 'x')) +
      query
    init = {
      method: 'GET',
      headers: {
        accept: 'text/html',
        cookie: random() < 0.2 ? 'levitar.layer=%E2%98%83; levitar.sign-in=abc' : '',
      },
    }
  } else {
    url = pick(['/facts', '/facts', '/studio-file/taken', '/studio-file/brought', '/healthz'])
    init = {
      method: pick(['POST', 'POST', 'PUT', 'DELETE']),
      headers: {
        'content-type': pick(['application/json', 'text/plain', 'multipart/form-data; boundary=x']),
        origin,
      },
      body:
        random() < 0.3
          ? String(pick(TEXTS))
          : JSON.stringify(random() < 0.5 ? { facts: [value(), value()] } : value()),
    }
  }
  counts.requests += 1
  try {
    const answer = await fetch(address + url, {
      ...init,
      redirect: 'manual',
      signal: AbortSignal.timeout(30_000),
    })
    counts.status[answer.status] = (counts.status[answer.status] ?? 0) + 1
    const text = await answer.text()
    if (init.headers['next-action']) {
      if (/"ok":true/.test(text)) counts.accepted += 1
      else if (/"ok":false/.test(text)) counts.refused += 1
    }
    if (/could not be stored\. Nothing was changed/.test(text) || answer.status >= 500)
      failures.push(
        `${answer.status} ${init.method} ${url.slice(0, 120)} ${String(init.body ?? '').slice(0, 300)}`,
      )
    if (/node_modules|at \/|SQLITE/.test(text.slice(0, 5000)) && init.method !== 'GET')
      failures.push(`tells too much: ${url}`)
  } catch (error) {
    counts.dropped += 1
    failures.push(`no answer: ${init.method} ${url.slice(0, 120)} ${error}`)
  }
}
await Promise.all(
  Array.from({ length: AT_ONCE }, async () => {
    while (counts.requests < REQUESTS) await one()
  }),
)
// What was stored is text on every page, and every page still opens.
let broken = 0
let markup = 0
for (const page of pages.filter((p) => !/healthz|facts|studio-file|live|sign-in/.test(p)))
  for (const id of ids.slice(0, 14)) {
    const answer = await fetch(address + filled(page, () => id), { headers: { accept: 'text/html' } })
    const text = await answer.text()
    if (answer.status >= 500) broken += 1
    if (text.includes('<img src=x onerror')) markup += 1
  }
const inLog = log.includes(PLANTED)
child.kill('SIGTERM')
rmSync(data, { recursive: true, force: true })
console.log(
  `${counts.requests} requests, ${counts.actions} to ${actions.length} actions (${counts.accepted} accepted, ${counts.refused} refused), ${counts.dropped} without an answer; by status ${JSON.stringify(counts.status)}`,
)
console.log(
  `failures ${failures.length}; pages broken afterwards ${broken}, markup drawn ${markup}, typed words in the log ${inLog ? 'yes' : 'none'}`,
)
for (const line of [...new Set(failures)].slice(0, 12)) console.log(line)
process.exit(failures.length + broken + markup === 0 && !inLog ? 0 : 1)
