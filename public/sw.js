// Keeps the boards that were opened on this device, so that one that was closed opens without the network.
// Network first, always: what is kept is only shown when nothing answers, and says so (data-kept).
const KEPT = 'pheasant-boards-2'
const BOARD = /^\/k\/[^/]+\/cooks\/[^/]+$/
const MOST_FILES = 400

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) =>
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys())
        if (name.startsWith('pheasant-boards') && name !== KEPT) await caches.delete(name)
      await self.clients.claim()
    })(),
  ),
)

// An answer takes the address it was first asked by, and a thread reads what it is to run from the part
// behind the # of its address, which no cache tells apart: without an address of its own it takes the asker's.
const unaddressed = ({ body, headers, status, statusText }) => new Response(body, { headers, status, statusText })

async function board(request) {
  const cache = await caches.open(KEPT)
  try {
    const answer = await fetch(request)
    if (answer.ok) await cache.put(request.url, answer.clone())
    return answer
  } catch (problem) {
    const kept = await cache.match(request.url)
    if (!kept) throw problem
    return new Response((await kept.text()).replace('<html', '<html data-kept="yes"'), { headers: kept.headers })
  }
}

async function file(request) {
  const cache = await caches.open(KEPT)
  const kept = await cache.match(request)
  if (kept) return unaddressed(kept)
  const answer = await fetch(request)
  if (answer.ok) await cache.put(request, answer.clone())
  return unaddressed(answer)
}

self.addEventListener('fetch', (event) => {
  const { request } = event
  const { origin, pathname } = new URL(request.url)
  if (request.method !== 'GET' || origin !== self.location.origin) return
  if (request.mode === 'navigate' && BOARD.test(pathname)) event.respondWith(board(request))
  else if (pathname.startsWith('/_next/static/')) event.respondWith(file(request))
})

// A board that opened before this worker did tells what it was made of.
self.addEventListener('message', (event) => {
  const { keep } = event.data ?? {}
  if (!Array.isArray(keep)) return
  event.waitUntil(
    (async () => {
      const cache = await caches.open(KEPT)
      const wanted = new Set(keep)
      const held = await cache.keys()
      if (held.length > MOST_FILES)
        for (const { url } of held) if (!wanted.has(url) && !BOARD.test(new URL(url).pathname)) await cache.delete(url)
      for (const url of wanted) {
        if (await cache.match(url)) continue
        const answer = await fetch(url).catch(() => undefined)
        if (answer?.ok) await cache.put(url, answer)
      }
      event.source?.postMessage({ kept: wanted.size })
    })(),
  )
})
