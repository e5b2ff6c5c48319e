// Two studios on one host behind the nginx of deploy/, as docs/deployment.md says: each name reaches its own studio alone.
import { spawn, spawnSync } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import https from 'node:https'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { certificates } from './lan.mjs'
import { freePort, ROOT, startServer } from './lib.mjs'
import { ensureBuilt } from './packages.mjs'

const NAMES = ['boathouse.example', 'harbour.example']
if (spawnSync('nginx', ['-v']).error) {
  console.log('There is no nginx on this machine: nothing was tried.')
  process.exit(0)
}
if (!(await ensureBuilt())) process.exit(1)
const folder = mkdtempSync(path.join(tmpdir(), 'levitar-nginx-'))
const apps = []
const ports = []
for (const name of NAMES) {
  const data = path.join(folder, name)
  const port = await freePort()
  ports.push(port)
  spawnSync('npx', ['tsx', 'cli/keep.ts', 'owner'], {
    env: { ...process.env, LEVITAR_DATA: data },
    cwd: ROOT,
  })
  apps.push(
    await startServer({
      port,
      data,
      now: '2026-03-10T17:00:00Z',
      env: { LEVITAR_HOSTS: name, LEVITAR_TLS: '1' },
    }),
  )
}
const port = await freePort()
const { cert, key } = certificates(path.join(folder, 'tls'), NAMES)
writeFileSync(path.join(folder, 'cert.pem'), cert)
writeFileSync(path.join(folder, 'key.pem'), key)
cpSync(path.join(ROOT, 'deploy', 'levitar-proxy.conf'), path.join(folder, 'levitar-proxy.conf'))
// The file as it ships; only ports and places of this machine are put in.
const site = readFileSync(path.join(ROOT, 'deploy', 'nginx.conf'), 'utf8')
  .replaceAll('listen 443', `listen ${port}`)
  .replace('4180', String(ports[0]))
  .replace('4181', String(ports[1]))
  .replace('/etc/levitar/tls/fullchain.pem', path.join(folder, 'cert.pem'))
  .replace('/etc/levitar/tls/key.pem', path.join(folder, 'key.pem'))
  .replace('/var/log/nginx/levitar.log', path.join(folder, 'access.log'))
const conf = path.join(folder, 'nginx.conf')
writeFileSync(
  conf,
  `pid ${folder}/pid; error_log ${folder}/error.log; events {} http { ${['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((t) => `${t}_temp_path ${folder}/${t};`).join(' ')}\n${site}\n}`,
)
const tested = spawnSync('nginx', ['-t', '-p', folder, '-c', conf], { encoding: 'utf8' })
if (tested.status !== 0) end(1, tested.stderr)
const nginx = spawn('nginx', ['-p', folder, '-c', conf, '-g', 'daemon off;'], { stdio: 'ignore' })
await new Promise((resolve) => setTimeout(resolve, 800))

let wrong = 0
function expect(what, holds) {
  console.log(`${holds ? 'holds' : 'FAILS'}  ${what}`)
  if (!holds) wrong += 1
}
const first = await ask(NAMES[0], '/sign-in')
expect('a studio answers by its name, over HTTPS', first.status === 200 && first.body.includes('Levitar'))
expect(
  'its policy, frames and kind of content stay as the app says',
  first.headers['content-security-policy']?.includes('nonce-') &&
    first.headers['x-content-type-options'] === 'nosniff',
)
const home = await ask(NAMES[0], '/students')
expect(
  'nobody is at home behind it: whoever has not signed in is asked to',
  [303, 307].includes(home.status) && home.headers.location.endsWith('/sign-in'),
)
const forged = await ask(NAMES[0], '/students', {
  'x-forwarded-for': '127.0.0.1',
  'x-forwarded-host': 'localhost',
  'x-levitar-home': '1',
})
expect('what a browser claims of itself lets nobody in', [303, 307].includes(forged.status))
const cookie = first.headers['set-cookie']?.join(';') ?? ''
expect('a cookie that it sets travels over HTTPS alone', cookie === '' || /secure/i.test(cookie))
const unknown = await ask('elsewhere.example', '/', {}, NAMES[0]).catch((error) => error)
expect('a name that no studio has reaches none, whatever certificate was asked for', unknown instanceof Error)
const other = await ask('elsewhere.example', '/').catch((error) => error)
expect('nor does it get a certificate', other instanceof Error)
const crossed = await ask(NAMES[1], '/healthz')
expect('the second studio answers by its own', crossed.status === 200)
await ask(NAMES[0], '/h/secret-token-of-somebody')
await new Promise((resolve) => setTimeout(resolve, 300))
const log = readFileSync(path.join(folder, 'access.log'), 'utf8')
expect('no log keeps a private link', log.includes('GET /h/- ') && !log.includes('secret-token'))
const burst = await Promise.all(Array.from({ length: 60 }, () => ask(NAMES[0], '/sign-in')))
expect(
  'sixty sign-in pages at once are slowed down',
  burst.some((a) => a.status === 503),
)
nginx.kill()
end(wrong === 0 ? 0 : 1, wrong === 0 ? 'Two studios behind nginx: all holds.' : `${wrong} did not hold.`)

function ask(name, at, headers = {}, servername = name) {
  return new Promise((resolve, reject) => {
    const request = https.get(
      {
        host: '127.0.0.1',
        port,
        path: at,
        servername,
        rejectUnauthorized: false,
        headers: { ...headers, host: name },
      },
      (answer) => {
        let body = ''
        answer.on('data', (chunk) => (body += chunk))
        answer.on('end', () => resolve({ status: answer.statusCode, headers: answer.headers, body }))
      },
    )
    request.on('error', reject)
  })
}

function end(code, say) {
  console.log(say)
  for (const { child } of apps) child.kill('SIGKILL')
  rmSync(folder, { recursive: true, force: true })
  process.exit(code)
}
