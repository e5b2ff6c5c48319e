// The studio of ten years that pages are measured on, made once on a machine.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, statSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import Database from 'better-sqlite3'
import { ROOT } from './lib.mjs'

export const DAY = '2026-03-10'

/** Its folder, and the class of the day with who is on its list; its plan is made as its teacher would. */
export function tenYears() {
  const folder = path.join(os.tmpdir(), 'levitar-ten-years')
  if (!existsSync(path.join(folder, 'levitar.sqlite'))) {
    mkdirSync(folder, { recursive: true })
    const began = Date.now()
    const made = tsx('scripts/studio-seed.ts', folder, DAY)
    if (made.status !== 0) throw new Error(made.stderr)
    console.log(`made ${made.stdout.trim()} in ${Math.round((Date.now() - began) / 1000)} s`)
  }
  console.log(`database ${Math.round(statSync(path.join(folder, 'levitar.sqlite')).size / 1e6)} MB`)
  const raw = new Database(path.join(folder, 'levitar.sqlite'), { readonly: true })
  const { id } = raw.prepare('select id from class_session where day = ?').get(DAY)
  const roster = raw.prepare('select student_id from class_roster where class_id = ?').pluck().all(id)
  raw.close()
  const planned = tsx('--conditions=react-server', 'scripts/studio-plan.ts', folder, DAY)
  if (planned.status !== 0) throw new Error(planned.stderr)
  return { folder, classId: id, roster }
}

function tsx(file, ...args) {
  return spawnSync('npx', ['tsx', file, ...args], { cwd: ROOT, encoding: 'utf8' })
}
