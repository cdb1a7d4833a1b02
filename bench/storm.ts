import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { root } from '../bin/setup/dependencies.mjs'
import { benchServer, quantileOf, sendJson, watchStream } from './server'

/**
 * Five of each worst case at once, again and again, while somebody cooks: how long the health answer and a board's
 * stream take meanwhile.
 */
const SECONDS = Number(process.env.STORM_SECONDS ?? 25)
const AT_ONCE = 5
const GOAL_MS = 100

const bench = await benchServer(3199, { demo: true })
const { address } = bench
const api = `${address}/api/k/cottage`
const promise = new Date(Date.now() + 30 * 3600_000).toISOString()

const plan = await (
  await sendJson(`${api}/plans`, { document: { roast: { cut: 'pork-loin', mass_kg: 1.8 }, promise } })
)?.json()
const cook = await (await sendJson(`${api}/cooks`, { plan: plan.id }))?.json()
const { token } = (await (await sendJson(`${api}/devices`, { name: 'Storm' }))?.json()) ?? {}

const health: number[] = []
const lags: number[] = []
const entries: number[] = []
let lost = 0
let going = true

const stop = new AbortController()
watchStream(`${api}/events`, stop.signal, (lag) => lags.push(lag)).catch(() => {})
await sleep(1000)

const every = async (ms: number, work: (n: number) => Promise<void>) => {
  for (let n = 0; going; n++) {
    const due = performance.now() + ms
    await work(n)
    await sleep(Math.max(0, due - performance.now()))
  }
}
const watching = [
  every(50, async () => {
    const from = performance.now()
    const answered = await fetch(`${address}/api/health`).catch(() => undefined)
    if (answered?.ok) health.push(performance.now() - from)
    else lost++
  }),
  every(200, async (n) => {
    const at = new Date().toISOString()
    const kept = await sendJson(
      `${address}/api/readings`,
      { unit: 'c', readings: [{ channel: 0, seq: n, at, value: 40 }] },
      { authorization: `Bearer ${token}` },
    )
    if (!kept?.ok) lost++
  }),
  every(500, async (n) => {
    const from = performance.now()
    const entry = { id: `storm-entry-${n}`, kind: 'note', at: new Date().toISOString(), item: 'roast', text: 'x' }
    const kept = await sendJson(`${api}/cooks/${cook.id}/entries`, { entries: [entry] })
    if (kept?.ok) entries.push(performance.now() - from)
    else lost++
  }),
]
const told = (name: string) => {
  const line = (values: readonly number[]) =>
    `p50 ${quantileOf(values, 0.5).toFixed(0)} p95 ${quantileOf(values, 0.95).toFixed(0)} most ${Math.max(...values).toFixed(0)} ms`
  console.log(
    `${name}: health ${line(health)}; a board’s stream ${line(lags)}; an entry kept ${line(entries)}; ${lost} lost (goal p95 ${GOAL_MS})`,
  )
  for (const list of [health, lags, entries]) list.length = 0
}
await sleep(5000)
told('quiet')
async function storm(pages: boolean): Promise<void> {
  const senders = spawn(process.execPath, ['--import', 'tsx', join(root, 'bench/storm-senders.ts')], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, STORM: JSON.stringify({ address, seconds: SECONDS, atOnce: AT_ONCE, promise, pages }) },
  })
  let said = ''
  senders.stdout.on('data', (part) => {
    said += String(part)
  })
  await once(senders, 'close')
  const answers = JSON.parse(said) as Record<string, Record<string, number>>
  told(
    pages
      ? `${AT_ONCE} readers of the longest page, one load after the other, for ${SECONDS} s`
      : `storm of ${AT_ONCE} × ${Object.keys(answers).length} worst cases for ${SECONDS} s`,
  )
  for (const [name, seen] of Object.entries(answers))
    console.log(
      `  ${name}: ${Object.entries(seen)
        .map(([status, count]) => `${count} × ${status === '0' ? 'cut off' : status}`)
        .join(', ')}`,
    )
}
await storm(false)
await storm(true)
console.log(`server memory ${bench.memory_mb().toFixed(0)} MB`)
going = false
await Promise.all(watching)
stop.abort()
await bench.end()
process.exit(0)
