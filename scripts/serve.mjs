// The app for a studio's own use, after a build: one server a folder, nobody else on this machine reads what it writes.
import { existsSync } from 'node:fs'
import { spawn } from 'node:child_process'
import path from 'node:path'
import { heldBy, hold } from './holder.mjs'
import { dataFolder, end, options, portOf, ROOT, startArgs } from './lib.mjs'
import { isInstalled } from './packages.mjs'

const USUAL_PORT = 4180
const given = options(process.argv.slice(2))
const data = path.resolve(typeof given.data === 'string' ? given.data : (process.env.LEVITAR_DATA ?? 'data'))
const port = String(portOf(given.port, USUAL_PORT))
const host = typeof given.host === 'string' ? given.host : '127.0.0.1'

process.umask(0o077)
if (
  !isInstalled() ||
  !existsSync(path.join(ROOT, '.next', 'BUILD_ID')) ||
  existsSync(path.join(ROOT, '.levitar-building'))
)
  end('There is no whole build yet: “npm run build” installs what it needs and makes one.')
const LOOPBACK = ['127.0.0.1', 'localhost', '::1']
const onNetwork = !LOOPBACK.includes(host)
const lan = given.lan ? await import('./lan.mjs') : null
const names = lan?.lanNames() ?? []
if (onNetwork)
  console.log(
    'Others reach this address, so nobody is let in without signing in: “npm run owner” prints a code for the first one. Name the host in LEVITAR_HOSTS, and put something before it that speaks HTTPS.',
  )
dataFolder(data)
const lock = path.join(data, 'server.pid')
const other = heldBy(lock)
if (other)
  end(
    `A server works on that folder already (process ${other.pid}${other.address ? `, ${other.address}` : ''}; ${lock} says so). Two of them would each believe to be alone: end the other one first.`,
  )
const release = hold(lock, { address: `http://${host}:${port}` })

const next = path.join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next')
const child = spawn(process.execPath, [next, ...startArgs(host, port)], {
  cwd: ROOT,
  env: {
    ...process.env,
    LEVITAR_DATA: data,
    ...(onNetwork ? { LEVITAR_NETWORK: '1' } : {}),
    ...(lan?.lanEnv([...names, ...(process.env.LEVITAR_HOSTS ?? '').split(',')]) ?? {}),
    NODE_ENV: 'production',
    NEXT_TELEMETRY_DISABLED: '1',
  },
  stdio: 'inherit',
})
await lan?.openToRoom({ appPort: Number(port), data, names })
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill('SIGTERM'))
child.on('close', (code) => {
  release()
  process.exit(code ?? 0)
})
