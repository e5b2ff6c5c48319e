// First-load JavaScript of every route, gzipped, as a browser gets it from the built server; fails past the ceilings.
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { gzipSync } from 'node:zlib'
import { freePort, ROOT, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const DAY = '2026-03-10'
/** kB, gzipped. The bench carries the mechanics. */
const CEILING = 250
const BENCH_CEILING = 280

if (!(await ensureBuilt())) process.exit(1)
const data = mkdtempSync(path.join(os.tmpdir(), 'levitar-first-load-'))
spawnSync('npx', ['tsx', 'cli/seed.ts', DAY], { cwd: ROOT, env: { ...process.env, LEVITAR_DATA: data } })
const { child, address } = await startServer({ port: await freePort(), data, now: `${DAY}T17:00:00Z` })
let over = 0
try {
  const html = async (at) => (await fetch(address + at)).text()
  const person = /\/readiness\/([0-9a-f-]{36})/.exec(await html('/readiness'))?.[1]
  const round = /\/readiness\/round\/([0-9a-f-]{36})/.exec(await html('/readiness'))?.[1]
  const ROUTES = [
    ...['/', '/students', `/students/${person}`, `/students/${person}/health`, '/students/card'],
    ...[
      '/readiness',
      '/readiness/by-eye',
      `/readiness/${person}`,
      `/readiness/round/${round}`,
      `/readiness/round/${round}/card`,
    ],
    ...[
      `/readiness/round/${round}/enter`,
      '/setups',
      '/setups/card?setup=SETUP-dolphin-block&height=170',
      '/plans',
    ],
    ...['/plans/new', `/plans/${round}`, '/teach', `/teach/${round}/door`, `/teach/${round}/door/${person}`],
    ...[`/pass/${round}`, '/progress', '/library', '/studio', '/studio/approaches', '/studio/cupboard'],
    ...['/studio/people', '/studio/emergency', '/studio/house', '/studio/incidents', '/studio/incidents/new'],
  ]
  const sizes = new Map()
  const sizeOf = (src) => {
    const file = path.join(ROOT, src.replace('/_next/', '.next/'))
    if (!sizes.has(file)) sizes.set(file, gzipSync(readFileSync(file)).length)
    return sizes.get(file)
  }
  for (const route of ROUTES) {
    const page = await html(route)
    // What browsers that know modules never fetch is not theirs to carry.
    const old = new Set([...page.matchAll(/<script src="([^"]+)" noModule/g)].map((m) => m[1]))
    const scripts = new Set(
      (page.match(/\/_next\/static\/[^"'\\ ]+\.js/g) ?? []).filter((src) => !old.has(src)),
    )
    const kB = Math.round([...scripts].reduce((sum, src) => sum + sizeOf(src), 0) / 1024)
    const ceiling = route.startsWith('/setups') ? BENCH_CEILING : CEILING
    if (kB > ceiling) over += 1
    console.log(
      `${String(kB).padStart(4)} kB  ${route.replace(person, '…').replace(round, '…')}${kB > ceiling ? `  over ${ceiling}` : ''}`,
    )
  }
} finally {
  child.kill()
  rmSync(data, { recursive: true, force: true })
}
process.exit(over === 0 ? 0 : 1)
