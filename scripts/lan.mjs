// The app for other devices of the same room: HTTPS by a certificate made here, and a page that helps a tablet trust it.
import { createHash, createPublicKey, generateKeyPairSync } from 'node:crypto'
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import http from 'node:http'
import https from 'node:https'
import { hostname, networkInterfaces } from 'node:os'
import path from 'node:path'
import forge from 'node-forge'
import { renderSVG, renderUnicodeCompact } from 'uqr'

const DAY_MS = 86_400_000
/** The root that tablets trust lasts long; what it signs is made anew at each start. */
const ROOT_DAYS = 3650
const LEAF_DAYS = 300

/** Names and addresses by which this machine is reached from the room. */
export function lanNames() {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .filter((a) => a && a.family === 'IPv4' && !a.internal)
    .map((a) => a.address)
  const own = hostname().toLowerCase()
  return [...addresses, own, ...(own.endsWith('.local') ? [] : [`${own}.local`])]
}

/** What the app has to know when others reach it: by which names, and that it is over HTTPS. */
export function lanEnv(names) {
  return { LEVITAR_NETWORK: '1', LEVITAR_TLS: '1', LEVITAR_HOSTS: names.join(',') }
}

/** A root of this folder, made once, and a certificate for these names signed by it. */
export function certificates(folder, names) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const [rootFile, keyFile] = [path.join(folder, 'root.crt'), path.join(folder, 'root.key')]
  if (!existsSync(rootFile) || !existsSync(keyFile)) {
    const keys = newKeys()
    const root = certificate({
      names: [],
      days: ROOT_DAYS,
      subject: 'Levitar in this room',
      keys,
      signer: null,
    })
    writeFileSync(keyFile, keys.private, { mode: 0o600 })
    chmodSync(keyFile, 0o600)
    writeFileSync(rootFile, forge.pki.certificateToPem(root))
  }
  const root = readFileSync(rootFile, 'utf8')
  const keys = keptKeys(path.join(folder, 'server.key'))
  const signer = { certificate: forge.pki.certificateFromPem(root), key: readFileSync(keyFile, 'utf8') }
  const leaf = certificate({ names, days: LEAF_DAYS, subject: names[0], keys, signer })
  return {
    root,
    cert: forge.pki.certificateToPem(leaf),
    key: keys.private,
    fingerprint: createHash('sha256').update(derOf(root)).digest('hex').match(/../g).join(' '),
    spki: createHash('sha256')
      .update(createPublicKey(keys.public).export({ type: 'spki', format: 'der' }))
      .digest('base64'),
  }
}

/** The key stays from start to start, so that a device meets the same one. */
function keptKeys(file) {
  if (existsSync(file)) {
    const own = readFileSync(file, 'utf8')
    return { private: own, public: createPublicKey(own).export({ type: 'spki', format: 'pem' }).toString() }
  }
  const keys = newKeys()
  writeFileSync(file, keys.private, { mode: 0o600 })
  return keys
}

function newKeys() {
  const pair = generateKeyPairSync('rsa', {
    modulusLength: 2048,
    publicKeyEncoding: { type: 'spki', format: 'pem' },
    privateKeyEncoding: { type: 'pkcs8', format: 'pem' },
  })
  return { public: pair.publicKey, private: pair.privateKey }
}

function certificate({ names, days, subject, keys, signer }) {
  const made = forge.pki.createCertificate()
  made.publicKey = forge.pki.publicKeyFromPem(keys.public)
  // A serial is positive and never used twice.
  made.serialNumber = `01${forge.util.bytesToHex(forge.random.getBytesSync(15))}`
  made.validity.notBefore = new Date(Date.now() - DAY_MS)
  made.validity.notAfter = new Date(Date.now() + days * DAY_MS)
  made.setSubject([{ name: 'commonName', value: subject }])
  made.setIssuer(signer ? signer.certificate.subject.attributes : [{ name: 'commonName', value: subject }])
  made.setExtensions(
    signer
      ? [
          { name: 'basicConstraints', cA: false },
          { name: 'keyUsage', digitalSignature: true, keyEncipherment: true },
          { name: 'extKeyUsage', serverAuth: true },
          { name: 'subjectAltName', altNames: names.map(altName) },
        ]
      : [
          { name: 'basicConstraints', cA: true, critical: true },
          { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
        ],
  )
  made.sign(forge.pki.privateKeyFromPem(signer ? signer.key : keys.private), forge.md.sha256.create())
  return made
}

const IP = /^\d+\.\d+\.\d+\.\d+$/
const altName = (name) => (IP.test(name) ? { type: 7, ip: name } : { type: 2, value: name })

function derOf(pem) {
  return Buffer.from(pem.replaceAll(/-----[^-]+-----|\s/g, ''), 'base64')
}

/**
 * Hands what comes over HTTPS on to the app on this machine. On the next port a plain page helps a tablet trust it, and does
 * nothing else.
 */
export async function startFront({ port, appPort, folder, names }) {
  const { root, cert, key, fingerprint, spki } = certificates(folder, names)
  const front = https.createServer({ cert, key, minVersion: 'TLSv1.2' }, (request, response) =>
    handOn(request, response, appPort),
  )
  const address = `https://${names[0]}:${port}`
  const help = http.createServer((request, response) => {
    if (request.url === '/levitar.crt') {
      response.writeHead(200, {
        'content-type': 'application/x-x509-ca-cert',
        'content-disposition': 'attachment; filename="levitar.crt"',
      })
      response.end(root)
      return
    }
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' })
    response.end(trustPage(address, fingerprint))
  })
  await listen(front, port)
  await listen(help, port + 1)
  return {
    address,
    help: `http://${names[0]}:${port + 1}`,
    spki,
    stop: () => {
      front.close()
      front.closeAllConnections()
      help.close()
      help.closeAllConnections()
    },
  }
}

/** The usual port for other devices; the next one is the page that helps to trust it. */
const LAN_PORT = 4443

/** Opens a running app to the room, and says how a tablet comes in. */
export async function openToRoom({ appPort, data, names }) {
  const front = await startFront({ port: LAN_PORT, appPort, folder: path.join(data, 'lan'), names })
  console.log(`\nFor other devices in this room: ${front.address}`)
  console.log(`A tablet begins here: ${front.help}\n`)
  console.log(renderUnicodeCompact(front.help))
  console.log('Nobody comes in without signing in. For the first owner, on this machine: npm run owner')
}

function handOn(request, response, appPort) {
  const headers = { ...request.headers }
  for (const name of Object.keys(headers)) if (name.startsWith('x-forwarded-')) delete headers[name]
  headers['x-forwarded-for'] = request.socket.remoteAddress ?? 'unknown'
  headers['x-forwarded-proto'] = 'https'
  headers['x-forwarded-host'] = headers.host ?? ''
  const onward = http.request(
    // A connection of its own each time: one kept from before may be closed by the app at the moment it is used again.
    { host: '127.0.0.1', port: appPort, method: request.method, path: request.url, headers, agent: false },
    (answer) => {
      response.writeHead(answer.statusCode ?? 502, answer.headers)
      answer.pipe(response)
    },
  )
  onward.on('error', () => {
    if (!response.headersSent) response.writeHead(502)
    response.end()
  })
  // Whoever stops listening to a stream ends it on both sides.
  response.on('close', () => onward.destroy())
  request.pipe(onward)
}

function listen(server, port) {
  return new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, resolve)
  })
}

function trustPage(address, fingerprint) {
  return `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Levitar in this room</title>
<body style="font:20px/1.5 system-ui;max-width:38rem;margin:6vh auto;padding:0 1rem">
<h1>Levitar in this room</h1>
<ol>
<li><a href="/levitar.crt">Take the certificate</a> and open it: the tablet asks whether it may be trusted.</li>
<li>Trust it in the tablet’s settings, as a certificate authority. It was made on the studio’s own machine and is good for nothing else. Its fingerprint there must read:<br><code style="font-size:15px;word-break:break-word">${fingerprint}</code></li>
<li>Then open <a href="${address}">${address}</a>, choose “This is a tablet of the studio” and type the code from the teacher’s screen.</li>
</ol>
<div style="width:220px">${renderSVG(address, { border: 2 })}</div>
<p>Without the certificate the tablet may open the page with a warning; then it can neither start while the network is away nor keep its screen awake.</p>
</body></html>`
}
