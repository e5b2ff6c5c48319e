// The first command as a newcomer gives it, to a page that is read, stopped once in the middle of each phase on the way there:
// without HOME, on whatever this checkout has (on a fresh clone: nothing). `npm test` begins with it. Needs Node alone.
import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { freePort, ROOT } from './lib.mjs'

/** How long a phase is let run before it is stopped. */
const STOP_AFTER_MS = { 1: 8_000, 2: 5_000, 3: 1_500 }
/** A second start on what stands, on two cores. */
const SECOND_START_MS = 5_000
/** Past that it is a fault and not a busy machine. */
const FAR_TOO_LONG_MS = 60_000
const data = mkdtempSync(path.join(tmpdir(), 'levitar-first-'))
const port = await freePort()
const stopped = new Set()
let failed = false

try {
  let started
  do started = await start(({ phase, working }) => working && STOP_AFTER_MS[phase] && !stopped.has(phase))
  while (started.brokenOff)
  if (!started.address) problem('The demo did not start.')
  else {
    await reads(started.address)
    await secondOnSameFolder(started.address)
    await stop(started.child)
    if (existsSync(path.join(data, 'server.pid'))) problem('The lock outlived the demo.')
    const began = Date.now()
    const again = await start(() => false)
    const took = Date.now() - began
    console.log(`A second start: ${took} ms (aim ${SECOND_START_MS}).`)
    if (!again.address || took > FAR_TOO_LONG_MS) problem('The second start failed.')
    else await reads(again.address)
    // Killed, as by a power cut: whoever held the folder is gone, so the next one starts.
    again.child.kill('SIGKILL')
    again.server?.()
    const third = await start(() => false)
    if (!third.address) problem('After a kill the demo did not start.')
    if (third.child.exitCode === null) await stop(third.child)
  }
} finally {
  rmSync(data, { recursive: true, force: true })
}
process.exit(failed ? 1 : 0)

/** Starts the demo; stops it in a phase that is asked to be broken off. Answers once it is ready or has ended. */
function start(breakOff) {
  const { HOME: _, ...env } = process.env
  const child = spawn('npm', ['run', '--silent', 'demo', '--', '--port', String(port), '--data', data], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
    // In a group of its own: Ctrl-C reaches all of it.
    detached: true,
  })
  return new Promise((resolve) => {
    let seen = ''
    let brokenOff = false
    child.stdout.on('data', (chunk) => {
      process.stdout.write(chunk)
      for (const line of String(chunk).split('\n')) {
        const step = /^(\d) of \d: .*?(, there already)?$/.exec(line)
        if (!step) continue
        const phase = Number(step[1])
        if (!breakOff({ phase, working: step[2] === undefined })) continue
        stopped.add(phase)
        setTimeout(() => {
          if (child.exitCode !== null) return
          console.log(`(stopped in phase ${phase})`)
          brokenOff = true
          process.kill(-child.pid, 'SIGINT')
        }, STOP_AFTER_MS[phase])
      }
      seen += chunk
      const ready = /Levitar is ready: (\S+)/.exec(seen)
      if (ready && !brokenOff) resolve({ child, address: ready[1], server: () => killGroup(child) })
    })
    child.on('close', () => resolve({ child, brokenOff }))
  })
}

async function reads(address) {
  const answer = await fetch(`${address}/students`)
  const page = await answer.text()
  if (!answer.ok || !page.includes('Ines Calder'))
    problem(`${address}/students does not show the demo’s people.`)
}

/** Whoever starts it twice is told that one runs, and where. */
async function secondOnSameFolder(address) {
  const second = spawn(process.execPath, ['scripts/demo.mjs', '--data', data], { cwd: ROOT })
  let said = ''
  for (const stream of [second.stdout, second.stderr]) stream.on('data', (chunk) => (said += chunk))
  const code = await new Promise((resolve) => second.on('close', resolve))
  if (code === 0 || !said.includes(address)) problem(`A second demo on the same folder said: ${said}`)
}

function stop(child) {
  const ended = new Promise((resolve) => child.on('close', resolve))
  process.kill(-child.pid, 'SIGINT')
  return ended
}

function killGroup(child) {
  try {
    process.kill(-child.pid, 'SIGKILL')
  } catch {
    // gone already
  }
}

function problem(sentence) {
  console.error(sentence)
  failed = true
}
