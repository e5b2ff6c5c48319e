import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { DAY } from './app'

/** Makes the demo world once; every app of the journeys starts on a copy of it. */
// eslint-disable-next-line no-restricted-syntax -- Playwright takes it by this export
export default function demoOnce(): () => void {
  const data = mkdtempSync(path.join(tmpdir(), 'levitar-e2e-demo-'))
  const seeded = spawnSync('npx', ['tsx', 'cli/seed.ts', DAY], {
    env: { ...process.env, LEVITAR_DATA: data },
    encoding: 'utf8',
  })
  if (seeded.status !== 0) throw new Error(seeded.stderr)
  process.env.E2E_DEMO = data
  return () => rmSync(data, { recursive: true, force: true })
}
