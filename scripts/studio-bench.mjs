// Pages of the built server on a studio of ten years, with one reader, and with twenty and two who write: `npm run bench -- --studio`.
import { readFileSync } from 'node:fs'
import os from 'node:os'
import { v7 } from 'uuid'
import { noteTaps, sendFacts, tryTaps } from './floor-taps.mjs'
import { freePort, machineDay, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'
import { DAY, tenYears } from './ten-years.mjs'

const THINK_MS = 5000
const SECONDS = 60
/** A timer of 20 ms that comes so much later was held up by the machine, ms. */
const STOOD_MS = 150
await ensureBuilt()
const { folder, classId, roster } = tenYears()
const tonight = [classId, roster]
const { child, address } = await startServer({
  port: await freePort(),
  data: folder,
  now: `${DAY}T17:00:00Z`,
})
try {
  const html = async (at) => (await fetch(address + at)).text()
  const board = await html('/readiness')
  const person = /\/readiness\/([0-9a-f-]{36})/.exec(board)?.[1]
  const round = /\/readiness\/round\/([0-9a-f-]{36})/.exec(board)?.[1]
  const PAGES = {
    Today: '/',
    Students: '/students',
    'Readiness board': '/readiness',
    'A person': `/readiness/${person}`,
    'A round': `/readiness/round/${round}`,
    Plans: '/plans',
    'Progress, the week': '/progress',
    'Progress, a person': `/progress/${person}`,
    'At home': `/progress/${person}/home`,
  }
  console.log(`\n${machineDay()}, ${os.cpus().length} cores. ms: median / p95`)
  const timed = async (at, headers = {}) => {
    const began = performance.now()
    const answer = await fetch(address + at, { headers })
    const size = (await answer.text()).length
    return { began, ms: performance.now() - began, size, ok: answer.ok }
  }
  // Where neither this process nor the server gets on, the machine stands still: such requests are counted apart.
  const stood = []
  let seen = performance.now()
  const watch = setInterval(() => {
    const now = performance.now()
    if (now - seen > STOOD_MS) stood.push([seen, now])
    seen = now
  }, 20)
  const rows = {}
  for (const [name, at] of Object.entries(PAGES)) {
    await timed(at)
    const runs = []
    for (let i = 0; i < 25; i += 1) runs.push(await timed(at))
    rows[name] = { alone: spread(runs), kB: Math.round(runs[0].size / 1000) }
  }
  // A browser asks for a whole page when it is opened and, when a link is followed, for what the page is made of.
  for (const [label, think, headers] of [
    ['twenty thinking', THINK_MS, {}],
    ['twenty following links', THINK_MS, { RSC: '1' }],
    ['twenty at once', 0, {}],
  ]) {
    const found = Object.fromEntries(Object.keys(PAGES).map((name) => [name, []]))
    const until = Date.now() + SECONDS * 1000
    const before = processor()
    let next = 0
    // One writes notes, the other what the people of tonight's class try.
    const writers = (think > 0 ? [noteTaps(v7(), DAY), tryTaps(v7(), DAY, ...tonight)] : []).map(
      async (tap) => {
        while (Date.now() < until) {
          await new Promise((resolve) => setTimeout(resolve, Math.random() * 2 * THINK_MS))
          const [{ state, why }] = await sendFacts(address, [tap()])
          if (state !== 'stored') throw new Error(`a tap was ${state}: ${why}`)
        }
      },
    )
    await Promise.all([
      ...writers,
      ...Array.from({ length: 20 }, async () => {
        while (Date.now() < until) {
          if (think > 0) await new Promise((resolve) => setTimeout(resolve, Math.random() * 2 * think))
          const name = Object.keys(PAGES)[(next += 1) % Object.keys(PAGES).length]
          found[name].push(await timed(PAGES[name], headers))
        }
      }),
    ])
    const held = ({ began, ms }) => stood.some(([from, to]) => from < began + ms && to > began)
    for (const name of Object.keys(PAGES)) rows[name][label] = spread(found[name].filter((r) => !held(r)))
    const all = Object.values(found).flat()
    const moved = all.filter((r) => !held(r))
    console.log(
      `${label}: ${spread(moved)} over all pages; ${all.length - moved.length} of ${all.length} fell into ${stood.length} moments in which the machine stood still; others took ${taken(before, processor())} of the processor`,
    )
  }
  clearInterval(watch)
  console.log(`the server holds ${residentMB(child.pid)} MB`)
  console.log(
    '| page | alone | twenty and two writers, 5 s between | the same, following links | twenty at once | HTML, kB |\n| --- | --- | --- | --- | --- | --- |',
  )
  for (const [name, row] of Object.entries(rows))
    console.log(
      `| ${name} | ${row.alone} | ${row['twenty thinking']} | ${row['twenty following links']} | ${row['twenty at once']} | ${row.kB} |`,
    )
} finally {
  child.kill()
}

/** What the processor did since it was started, by kind. */
function processor() {
  return readFileSync('/proc/stat', 'utf8').split('\n')[0].split(/\s+/).slice(1).map(Number)
}

/** The share that other machines on the same host took meanwhile: a figure from such a minute is none of this code's. */
function taken(before, after) {
  const spent = after.map((n, i) => n - before[i])
  return `${Math.round((100 * spent[7]) / spent.reduce((a, b) => a + b, 0))} %`
}

function residentMB(pid) {
  return Math.round(
    Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024,
  )
}

function spread(runs) {
  if (runs.some((r) => !r.ok)) return 'FAILED'
  const sorted = runs.map((r) => r.ms).sort((a, b) => a - b)
  const at = (share) =>
    Math.round(sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN)
  return `${at(0.5)} / ${at(0.95)}`
}
