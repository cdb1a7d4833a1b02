import { spawn } from 'node:child_process'
import { createHash, randomBytes } from 'node:crypto'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { sql } from 'drizzle-orm'
import { openDatabase } from '@/db/connection'
import { cookShelf } from '@/db/cooks'
import { ensureKitchen, openKitchen } from '@/db/repositories'
import { ensureBuild } from '../bin/setup/build.mjs'
import { cluster } from '../bin/setup/database.mjs'
import { root } from '../bin/setup/dependencies.mjs'
import { prepareDatabase } from '../bin/setup/prepare.mjs'

/** 200 kitchens with five probes each at a reading a second into one server, 50 boards watching: on loopback, for a bounded time. */
const KITCHENS = 200
const CHANNELS = 5
const BOARDS = 50
const SECONDS = Number(process.env.LOAD_SECONDS ?? 30)
const PORT = 3198
const address = `http://127.0.0.1:${PORT}`

const data = cluster({ name: 'postgres-load', firstPort: 54520, databases: ['pheasant'], durable: true })
await data.start()
await ensureBuild()
data.recreate('pheasant')
prepareDatabase(data.ownerUrl('pheasant'), { demo: false })
const { db, close } = openDatabase(data.ownerUrl('pheasant'))
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
const server = spawn(
  process.execPath,
  [join(root, 'node_modules/next/dist/bin/next'), 'start', '-H', '127.0.0.1', '-p', String(PORT)],
  {
    cwd: root,
    stdio: 'ignore',
    env: { ...process.env, NODE_ENV: 'production', DATABASE_URL: data.url('pheasant'), NEXT_TELEMETRY_DISABLED: '1' },
  },
)
for (let i = 0; i < 200 && !(await fetch(`${address}/api/health`).catch(() => undefined))?.ok; i++) await sleep(200)

const memory = async () => {
  const { readFileSync } = await import('node:fs')
  return Number(readFileSync(`/proc/${server.pid}/status`, 'utf8').match(/VmRSS:\s+(\d+)/)?.[1] ?? 0) / 1024
}
const lags: number[] = []
let heard = 0
const stop = new AbortController()
for (const { slug } of stations.slice(0, BOARDS)) {
  void (async () => {
    const response = await fetch(`${address}/api/k/${slug}/events`, { signal: stop.signal })
    const reader = response.body?.getReader()
    const decoder = new TextDecoder()
    let text = ''
    for (;;) {
      const part = await reader?.read()
      if (!part || part.done) return
      text += decoder.decode(part.value, { stream: true })
      const lines = text.split('\n\n')
      text = lines.pop() ?? ''
      for (const line of lines) {
        if (!line.startsWith('data: {')) continue
        const told = JSON.parse(line.slice(6)) as { latest?: [number, number, number][] }
        const at_s = Math.max(...(told.latest ?? []).map(([, at]) => at))
        if (Number.isFinite(at_s)) lags.push(Date.now() - at_s * 1000)
        heard++
      }
    }
  })().catch(() => {})
}
await sleep(1500)
let sent = 0
let failed = 0
const from_mb = await memory()
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
      const response = await fetch(`${address}/api/readings`, {
        method: 'POST',
        headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' },
        body: JSON.stringify({ unit: 'c', readings }),
      }).catch(() => undefined)
      if (response?.ok) sent += CHANNELS
      else failed += CHANNELS
      if (k === 0 && second === Math.floor(SECONDS / 2)) middle_mb = await memory()
    }
  }),
)
const took_s = (Date.now() - began) / 1000
await sleep(1500)
const [row] = await db.execute<{ count: number }>(sql`select count(*)::int as count from readings`)
lags.sort((a, b) => a - b)
const at = (share: number) => lags[Math.floor(share * (lags.length - 1))] ?? Number.NaN
console.log(
  `${KITCHENS} kitchens × ${CHANNELS} probes, ${SECONDS} s: ${sent} readings acknowledged in ${took_s.toFixed(1)} s (${(sent / took_s).toFixed(0)} a second), ${failed} failed, ${row?.count} stored, ${sent - (row?.count ?? 0)} lost`,
)
console.log(
  `${BOARDS} boards heard ${heard} messages; lag p50 ${at(0.5).toFixed(0)} ms, p95 ${at(0.95).toFixed(0)} ms, p99 ${at(0.99).toFixed(0)} ms (goal p95 1000)`,
)
console.log(
  `server memory ${from_mb.toFixed(0)} MB before, ${middle_mb.toFixed(0)} MB half way, ${(await memory()).toFixed(0)} MB after`,
)
stop.abort()
server.kill('SIGKILL')
await close()
await data.stop()
process.exit(0)
