import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

const folder = mkdtempSync(path.join(tmpdir(), 'levitar-holder-'))
const file = path.join(folder, 'server.pid')
afterAll(() => rmSync(folder, { recursive: true }))

/** What a process of its own finds in the file. */
function heldBy(): { pid: number; address?: string } | null {
  const ask = `import { heldBy } from './scripts/holder.mjs'; console.log(JSON.stringify(heldBy('${file}')))`
  const run = spawnSync(process.execPath, ['--input-type=module', '--eval', ask], { encoding: 'utf8' })
  return JSON.parse(run.stdout) as { pid: number } | null
}

it('a lock is held while its holder lives, and tells where; a killed holder holds nothing', async () => {
  const holding = `import { hold } from './scripts/holder.mjs'; hold('${file}', { address: 'there' }); console.log('held'); setInterval(() => 0, 1000)`
  const holder = spawn(process.execPath, ['--input-type=module', '--eval', holding])
  await new Promise((resolve) => holder.stdout.once('data', resolve))
  expect(heldBy()).toMatchObject({ pid: holder.pid, address: 'there' })
  const ended = new Promise((resolve) => holder.once('close', resolve))
  holder.kill('SIGKILL')
  await ended
  expect(heldBy()).toBeNull()
})

it('a process that has the number of a dead holder is not taken for it', () => {
  writeFileSync(file, JSON.stringify({ pid: process.pid, began: 'another boot 17' }))
  expect(heldBy()).toBeNull()
})

it.each(['', '4711', '{"pid":', 'null'])('what says nobody (“%s”) holds nothing', (text) => {
  writeFileSync(file, text)
  expect(heldBy()).toBeNull()
})
