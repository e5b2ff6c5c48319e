// Keeps the app's own files and the last floor pages on this device, so that a reload on the floor works while the server is
// away. Everything else comes from the server, always. What was tapped lies in the log of the device, not here.
const FILES = 'levitar-files'
const FLOOR = 'levitar-floor'
/** Pages that are used on the floor: a class as it runs, the door, a check round. */
const FLOOR_PAGE = /^\/(teach\/[^/]+(\/door)?|readiness\/round\/[^/]+)$/
const MOST_PAGES = 8
const MOST_FILES = 400
/** Where a page is kept, the server has this long before that is shown, ms; where none is, it has all the time it takes. */
const PATIENCE_MS = 6000

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (url.pathname.startsWith('/_next/static/')) event.respondWith(fromFiles(request))
  else if (request.mode === 'navigate') event.respondWith(page(request, FLOOR_PAGE.test(url.pathname)))
})

/** A page tells what it was made of, so that it can be drawn again from here. */
self.addEventListener('message', (event) => {
  if (event.data?.kind !== 'keep') return
  event.waitUntil(
    (async () => {
      // A page that was being opened at the very moment this worker began stands outside it until it is claimed.
      await self.clients.claim()
      const files = await caches.open(FILES)
      const urls = event.data.files.filter((url) =>
        new URL(url, self.location).pathname.startsWith('/_next/static/'),
      )
      await Promise.allSettled(urls.map(async (url) => ((await files.match(url)) ? null : files.add(url))))
      await prune(FILES, MOST_FILES)
      if (FLOOR_PAGE.test(new URL(event.data.page, self.location).pathname)) {
        const answer = await fetch(event.data.page)
        if (answer.ok) await (await caches.open(FLOOR)).put(event.data.page, answer)
      }
    })().catch(() => undefined),
  )
})

async function fromFiles(request) {
  const files = await caches.open(FILES)
  const kept = await files.match(request)
  if (kept) return kept
  const answer = await fetch(request)
  if (answer.ok) await files.put(request, answer.clone())
  return answer
}

async function page(request, isFloor) {
  try {
    const fresh = (async () => fetch(request))()
    if (!isFloor) return await fresh
    const kept = await (await caches.open(FLOOR)).match(request.url)
    const late = fresh.then(async (answer) => {
      if (!answer.ok) return answer
      const floor = await caches.open(FLOOR)
      await floor.put(request.url, answer.clone())
      await prune(FLOOR, MOST_PAGES)
      return answer
    })
    if (!kept) return await late
    // A server that is only slow goes on answering: what it sends is kept for the next look.
    return await Promise.race([
      late.catch(() => kept),
      new Promise((resolve) => setTimeout(resolve, PATIENCE_MS, kept)),
    ])
  } catch {
    return away()
  }
}

/** Said in place of the browser's own error page. */
async function away() {
  const floor = await (await caches.open(FLOOR)).keys()
  const links = floor
    .map(({ url }) => new URL(url).pathname)
    .map(
      (path) =>
        `<li><a href="${path}">${path.includes('/door') ? 'At the door' : path.startsWith('/teach') ? 'The class' : 'The check round'}</a></li>`,
    )
    .join('')
  return new Response(
    `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Levitar</title>
<body style="font:20px/1.5 system-ui;max-width:36rem;margin:15vh auto;padding:0 1rem">
<h1>The server is away</h1>
<p>Nothing is lost: what you tapped is kept on this device and is sent when the server answers.</p>
${links === '' ? '' : `<p>Kept here for the floor:</p><ul>${links}</ul>`}
<p><a href="">Try once more</a> (it is asked again by itself)</p>
<script>setInterval(()=>fetch('/healthz',{cache:'no-store'}).then(()=>location.reload(),()=>0),4000)</script></body></html>`,
    { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } },
  )
}

async function prune(name, most) {
  const cache = await caches.open(name)
  const keys = await cache.keys()
  await Promise.all(keys.slice(0, Math.max(0, keys.length - most)).map((key) => cache.delete(key)))
}
