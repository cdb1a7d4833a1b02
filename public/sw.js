// Keeps the boards that were opened on this device, so that one that was closed opens without the network.
// Network first, always: what is kept is only shown when nothing answers, and says so (data-kept).
const KEPT = 'pheasant-boards'
const BOARD = /^\/k\/[^/]+\/cooks\/[^/]+$/
const MOST_FILES = 400

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

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
  const kept = await caches.match(request)
  if (kept) return kept
  const answer = await fetch(request)
  if (answer.ok) await (await caches.open(KEPT)).put(request, answer.clone())
  return answer
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
