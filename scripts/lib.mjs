import { spawn } from 'node:child_process'
import { accessSync, constants, mkdirSync, readdirSync, statSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'

export const ROOT = path.resolve(import.meta.dirname, '..')
const QUIET = {
  ...process.env,
  NEXT_TELEMETRY_DISABLED: '1',
  npm_config_fund: 'false',
  npm_config_audit: 'false',
}

const STOPS = ['SIGINT', 'SIGTERM']

/**
 * Runs a command to its end with its output shown; returns whether it went well. Whoever stops this process meanwhile stops
 * the command, and this process ends after it: a command that cleans up must not meet the next start at it.
 */
export function run(command, args, { env = {}, stdio = 'inherit' } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio, env: { ...QUIET, ...env } })
    let stopped = false
    const stop = (signal) => {
      stopped = true
      child.kill(signal)
    }
    const end = (well) => {
      for (const signal of STOPS) process.off(signal, stop)
      if (stopped) process.exit(130)
      resolve(well)
    }
    for (const signal of STOPS) process.on(signal, stop)
    child.on('close', (code) => end(code === 0))
    child.on('error', () => end(false))
  })
}

/** Ends with one sentence. */
export function end(message, code = 1) {
  console.error(message)
  process.exit(code)
}

/** A port as typed, or the usual one; ends with a sentence when it is none. */
export function portOf(given, usual) {
  if (given === undefined) return usual
  const port = Number(given)
  if (!/^\d{1,5}$/.test(String(given)) || port < 1 || port > 65535)
    end(`--port wants a number from 1 to 65535, not “${given}”.`)
  return port
}

/** Makes a folder for data; ends with a sentence when it cannot be one, or cannot be written in. */
export function dataFolder(folder, mode = 0o700) {
  try {
    mkdirSync(folder, { recursive: true, mode })
    accessSync(folder, constants.W_OK)
  } catch (problem) {
    const why = { EEXIST: 'a file of that name is there', ENOTDIR: 'a file of that name is there' }
    end(
      `The data cannot lie in ${folder}: ${why[problem.code] ?? 'it cannot be written there'}. Name another folder with --data.`,
    )
  }
}

/** A port nobody listens on: the one asked for if it is free. */
export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const server = net.createServer()
    server.once('error', () => (wanted === 0 ? reject(new Error('no free port')) : resolve(freePort(0))))
    server.listen(wanted, '127.0.0.1', () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })
}

/**
 * How the built server is started. A connection stays open for longer than anything before it keeps one: where the server
 * closes first, a request that is just on its way is lost.
 */
export function startArgs(host, port) {
  return ['start', '--hostname', host, '--port', String(port), '--keepAliveTimeout', '65000']
}

/** Starts the built app on the loopback address and waits until it answers. */
export async function startServer({ port, data, now, env: more = {}, stdio = 'ignore' }) {
  mkdirSync(data, { recursive: true })
  const env = {
    ...QUIET,
    ...more,
    LEVITAR_DATA: data,
    ...(now ? { LEVITAR_NOW: now } : {}),
    NODE_ENV: 'production',
  }
  const next = path.join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next')
  const child = spawn(process.execPath, [next, ...startArgs('127.0.0.1', port)], {
    cwd: ROOT,
    env,
    stdio,
  })
  const address = `http://127.0.0.1:${port}`
  for (let tries = 0; tries < 150; tries += 1) {
    if (child.exitCode !== null) throw new Error('the server stopped while starting')
    try {
      const answer = await fetch(address)
      if (answer.ok) return { child, address }
    } catch {
      // not up yet
    }
    await new Promise((resolve) => setTimeout(resolve, 200))
  }
  child.kill()
  throw new Error('the server did not answer in 30 seconds')
}

/** `--name value` and `--name` from the command line. */
export function options(argv) {
  const found = {}
  for (let i = 0; i < argv.length; i += 1) {
    if (!argv[i].startsWith('--')) continue
    const [key, inline] = argv[i].slice(2).split('=')
    const next = argv[i + 1]
    if (inline !== undefined) found[key] = inline
    else if (next !== undefined && !next.startsWith('--')) found[key] = argv[(i += 1)]
    else found[key] = true
  }
  return found
}

/** Today as the machine's calendar has it. */
export function machineDay() {
  const now = new Date()
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`
}

/** Every file below a folder. */
export function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const full = path.join(folder, entry.name)
    return entry.isDirectory() ? filesBelow(full) : statSync(full).isFile() ? [full] : []
  })
}
