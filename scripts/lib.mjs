import { execFileSync, spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'

export const ROOT = path.resolve(import.meta.dirname, '..')
const QUIET = {
  ...process.env,
  NEXT_TELEMETRY_DISABLED: '1',
  npm_config_fund: 'false',
  npm_config_audit: 'false',
}

/** Runs a command to its end with its output shown; returns whether it went well. */
export function run(command, args, { env = {}, stdio = 'inherit' } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio, env: { ...QUIET, ...env } })
    child.on('close', (code) => resolve(code === 0))
    child.on('error', () => resolve(false))
  })
}

/** One sentence for what is missing to compile the database driver, or null. */
export function missingTools() {
  const has = (name) => {
    try {
      execFileSync('which', [name], { stdio: 'ignore' })
      return true
    } catch {
      return false
    }
  }
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 9))
    return `Levitar needs Node 20.9 or newer; this is ${process.versions.node}.`
  const missing = ['python3', 'make', 'g++'].filter((tool) => !has(tool))
  if (missing.length === 0) return null
  return `The database driver is compiled on install and ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} missing: install ${missing.join(' ')} with your system's package manager (on Debian: apt-get install -y python3 make g++) and run this again.`
}

/** Installs packages when node_modules does not match the lockfile. */
export async function ensureInstalled() {
  const marker = path.join(ROOT, 'node_modules', '.levitar-lock')
  const want = hashFiles([path.join(ROOT, 'package-lock.json')])
  if (existsSync(marker) && readFileSync(marker, 'utf8') === want) return true
  console.log('Installing packages (the database driver compiles for about two minutes) …')
  // Not `npm ci`: it insists on other systems' optional binaries, which not every registry carries. The lockfile still pins.
  if (!(await run('npm', ['install', '--no-save', '--loglevel=error']))) return false
  writeFileSync(marker, want)
  return true
}

/** Builds for production unless the sources are those of the last build. */
export async function ensureBuilt() {
  const marker = path.join(ROOT, '.next', '.levitar-sources')
  const want = sourceHash()
  if (existsSync(marker) && readFileSync(marker, 'utf8') === want) return true
  console.log('Building …')
  if (!(await run('npx', ['next', 'build']))) return false
  writeFileSync(marker, want)
  return true
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

function sourceHash() {
  const files = ['src', 'public']
    .map((f) => path.join(ROOT, f))
    .filter(existsSync)
    .flatMap(filesBelow)
  return hashFiles([
    ...files.sort(),
    ...['next.config.ts', 'package-lock.json'].map((f) => path.join(ROOT, f)),
  ])
}

function hashFiles(files) {
  const hash = createHash('sha256')
  for (const file of files) hash.update(path.relative(ROOT, file)).update(readFileSync(file))
  return hash.digest('hex')
}
