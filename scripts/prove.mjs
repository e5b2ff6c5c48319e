// `-- --bundle`: the studio of ten years out, in and out again. `-- --server`: kills, fuzz, fault schedules, two studios behind nginx and eight hours of use, on the built server. Otherwise long validations: the properties over many more cases, simulated students, and the benches. Prints a dated summary for docs/.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { machineDay, run } from './lib.mjs'

if (process.argv.includes('--server')) {
  const killed = await run('node', ['scripts/kill.mjs'])
  const fuzzed = await run('node', ['scripts/fuzz.mjs'])
  const core = await run('npx', ['jest', 'src/features/facts/floor', '--testTimeout=900000'], {
    env: { PROPERTY_RUNS: '200' },
  })
  const screens = await run('npx', ['playwright', 'test', 'e2e/faults.spec.ts'], {
    env: { FAULT_SCHEDULES: '10' },
  })
  const fronted = await run('node', ['scripts/behind-nginx.mjs'])
  const hours = await run('node', ['scripts/hours.mjs'])
  console.log(
    `${machineDay()}: kills ${killed ? 'hold' : 'FAIL'}, fuzz ${fuzzed ? 'holds' : 'FAILS'}, 200 fault schedules ${core ? 'hold' : 'FAIL'}, 10 in the browser ${screens ? 'hold' : 'FAIL'}, behind nginx ${fronted ? 'holds' : 'FAILS'}, eight hours ${hours ? 'hold' : 'FAIL'}`,
  )
  process.exit(killed && fuzzed && core && screens && fronted && hours ? 0 : 1)
}
if (process.argv.includes('--bundle')) {
  const folder = mkdtempSync(path.join(tmpdir(), 'levitar-years-'))
  const seeded = await run('npx', ['tsx', 'scripts/studio-seed.ts', folder, '2026-03-10'])
  const same = seeded && (await run('npx', ['tsx', 'scripts/prove-bundle.ts', folder]))
  rmSync(folder, { recursive: true })
  console.log(
    `${machineDay()}: ten years out, in and out again ${same ? 'are the same' : 'are NOT the same'}`,
  )
  process.exit(same ? 0 : 1)
}
const RUNS = '3000'
console.log(`Properties with ${RUNS} runs each, ${machineDay()}`)
const laws = await run('npx', ['jest', 'src/core', '--testTimeout=600000'], {
  env: { PROPERTY_RUNS: RUNS, CLASS_RUNS: '500', BOUND_RUNS: '60', SMALL_CLASS_RUNS: '200' },
})
const readiness = await run('npx', ['tsx', 'scripts/prove-readiness.ts'])
const mutants = await run('node', ['scripts/mutants.mjs'])
const bench = await run('npx', ['tsx', 'scripts/bench.ts'])
console.log(
  `${machineDay()}: properties ${laws ? 'hold' : 'FAIL'}, simulated students ${readiness ? 'ran' : 'FAILED'}, planted faults ${mutants ? 'all caught' : 'MISSED'}, bench ${bench ? 'ran' : 'FAILED'}`,
)
process.exit(laws && readiness && mutants && bench ? 0 : 1)
