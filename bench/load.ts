import { createHash, randomBytes } from 'node:crypto'
import { setTimeout as sleep } from 'node:timers/promises'
import { sql } from 'drizzle-orm'
import { openDatabase } from '@/db/connection'
import { cookShelf } from '@/db/cooks'
import { ensureKitchen, openKitchen } from '@/db/repositories'
import { benchServer, quantileOf, sendJson, watchStream } from './server'

/** 200 kitchens with five probes each at a reading a second into one server, or into `SERVERS` on one database, 50 boards watching: on loopback, for a bounded time. */
const KITCHENS = 200
const CHANNELS = 5
const BOARDS = 50
const SECONDS = Number(process.env.LOAD_SECONDS ?? 30)

const SERVERS = Number(process.env.SERVERS ?? 1)

const bench = await benchServer(3198, { servers: SERVERS })
const { addresses } = bench
/** Kitchens go round the servers; a board watches at another than its probes send to, where there is one. */
const serverOf = (k: number) => addresses[k % addresses.length] as string
const { db, close } = openDatabase(bench.ownerUrl)
const stations: { slug: string; device: string; token: string }[] = []
for (let i = 0; i < KITCHENS; i++) {
  const slug = `load-${i}`
  await ensureKitchen(db, { slug, name: slug, timeZone: 'UTC' })
  const scope = await openKitchen(db, slug)
  if (!scope) throw new Error(slug)
  const token = randomBytes(18).toString('base64url')
  const device = await cookShelf(db, scope.kitchen).addDevice(
    'Station',
    createHash('sha256').update(token).digest('hex'),
  )
  stations.push({ slug, device: device.id, token })
}
const lags: number[] = []
const stop = new AbortController()
for (const [k, { slug }] of stations.slice(0, BOARDS).entries())
  watchStream(`${serverOf(k + 1)}/api/k/${slug}/events`, stop.signal, (lag) => lags.push(lag)).catch(() => {})
await sleep(1500)
let sent = 0
let failed = 0
const from_mb = bench.memory_mb()
let middle_mb = 0
const began = Date.now()
await Promise.all(
  stations.map(async ({ token }, k) => {
    await sleep((k / KITCHENS) * 1000)
    for (let second = 0; second < SECONDS; second++) {
      const due = began + (k / KITCHENS) * 1000 + second * 1000
      await sleep(Math.max(0, due - Date.now()))
      const at = new Date().toISOString()
      const readings = Array.from({ length: CHANNELS }, (_, channel) => ({
        channel,
        seq: second,
        at,
        value: 20 + second / 10 + channel,
      }))
      const response = await sendJson(
        `${serverOf(k)}/api/readings`,
        { unit: 'c', readings },
        { authorization: `Bearer ${token}` },
      )
      if (response?.ok) sent += CHANNELS
      else failed += CHANNELS
      if (k === 0 && second === Math.floor(SECONDS / 2)) middle_mb = bench.memory_mb()
    }
  }),
)
const took_s = (Date.now() - began) / 1000
await sleep(1500)
const [row] = await db.execute<{ count: number }>(sql`select count(*)::int as count from readings`)
const at = (share: number) => quantileOf(lags, share)
console.log(
  `${SERVERS} ${SERVERS === 1 ? 'server' : 'servers'}, ${KITCHENS} kitchens × ${CHANNELS} probes, ${SECONDS} s: ${sent} readings acknowledged in ${took_s.toFixed(1)} s (${(sent / took_s).toFixed(0)} a second), ${failed} failed, ${row?.count} stored, ${sent - (row?.count ?? 0)} lost`,
)
console.log(
  `${BOARDS} boards heard ${lags.length} messages; lag p50 ${at(0.5).toFixed(0)} ms, p95 ${at(0.95).toFixed(0)} ms, p99 ${at(0.99).toFixed(0)} ms (goal p95 1000)`,
)
console.log(
  `server memory ${from_mb.toFixed(0)} MB before, ${middle_mb.toFixed(0)} MB half way, ${bench.memory_mb().toFixed(0)} MB after`,
)
stop.abort()
await close()
await bench.end()
process.exit(0)
