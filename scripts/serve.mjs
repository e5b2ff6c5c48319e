// The app for a studio's own use, after a build: one server a folder, nobody else on this machine reads what it writes.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { spawn } from 'node:child_process'
import path from 'node:path'
import { lanEnv, lanNames, openToRoom } from './lan.mjs'
import { options, ROOT, startArgs } from './lib.mjs'

const USUAL_PORT = 4180
const given = options(process.argv.slice(2))
const data = path.resolve(typeof given.data === 'string' ? given.data : (process.env.LEVITAR_DATA ?? 'data'))
const port = String(given.port ?? USUAL_PORT)
const host = typeof given.host === 'string' ? given.host : '127.0.0.1'

process.umask(0o077)
if (!existsSync(path.join(ROOT, '.next', 'BUILD_ID'))) end('There is no build yet: npm run build makes one.')
if (!/^\d{2,5}$/.test(port)) end(`--port wants a number, not “${port}”.`)
const LOOPBACK = ['127.0.0.1', 'localhost', '::1']
const onNetwork = !LOOPBACK.includes(host)
const names = given.lan ? lanNames() : []
if (onNetwork)
  console.log(
    'Others reach this address, so nobody is let in without signing in: “npm run owner” prints a code for the first one. Name the host in LEVITAR_HOSTS, and put something before it that speaks HTTPS.',
  )
mkdirSync(data, { recursive: true, mode: 0o700 })
const lock = path.join(data, 'server.pid')
if (existsSync(lock) && isAlive(Number(readFileSync(lock, 'utf8'))))
  end(
    'A server works on that folder already. Two of them would each believe to be alone: end the other one first.',
  )
writeFileSync(lock, String(process.pid))

const next = path.join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next')
const child = spawn(process.execPath, [next, ...startArgs(host, port)], {
  cwd: ROOT,
  env: {
    ...process.env,
    LEVITAR_DATA: data,
    ...(onNetwork ? { LEVITAR_NETWORK: '1' } : {}),
    ...(given.lan ? lanEnv([...names, ...(process.env.LEVITAR_HOSTS ?? '').split(',')]) : {}),
    NODE_ENV: 'production',
    NEXT_TELEMETRY_DISABLED: '1',
  },
  stdio: 'inherit',
})
if (given.lan) await openToRoom({ appPort: Number(port), data, names })
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'))
child.on('close', (code) => {
  rmSync(lock, { force: true })
  process.exit(code ?? 0)
})

function isAlive(pid) {
  try {
    process.kill(pid, 0)
    return pid > 0
  } catch {
    return false
  }
}

function end(message) {
  console.error(message)
  process.exit(1)
}
