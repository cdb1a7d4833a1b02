import { spawn, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { sql } from 'drizzle-orm'
import { seededRandom } from '@/core/estimate/random'
import { openDatabase } from '@/db/connection'
import { root } from '../bin/setup/dependencies.mjs'
import { prepareDatabase } from '../bin/setup/prepare.mjs'
import { benchServer, sendJson } from './server'

/**
 * So many kills, of the application, the database or both, in the midst of entries, readings and saves, and of a
 * migration: what was acknowledged is there, once. Then the database away for a while.
 */
const KILLS = Number(process.env.KILLS ?? 200)
const SEED = Number(process.env.KILL_SEED ?? 25_11)
const MIGRATIONS = Math.ceil(KILLS / 10)
const AWAY_S = Number(process.env.AWAY_S ?? 60)

const bench = await benchServer(3195, { demo: true, name: 'postgres-kills' })
const { address, data } = bench
const api = `${address}/api/k/cottage`
const random = seededRandom(SEED)
const promise = new Date(Date.now() + 30 * 3600_000).toISOString()
const document = { title: '0', roast: { cut: 'pork-loin', mass_kg: 1.8 }, promise }
/** What is made before the kills begin: asked again where the machine is busy with something else. */
async function made(path: string, body: object) {
  for (let tries = 0; tries < 20; tries++) {
    const answer = await sendJson(`${api}/${path}`, body)
    if (answer?.ok) return answer.json()
    await sleep(500)
  }
  throw new Error(`${path}: nothing was made`)
}
const plan = await made('plans', { document })
const cook = await made('cooks', { plan: plan.id })
const { token, device } = await made('devices', { name: 'Kill' })

const acknowledged = { entries: new Set<string>(), readings: new Set<number>(), saves: new Set<number>() }
let going = true
/** A device that sends what was not acknowledged again, as ours do. */
async function writer(lane: number): Promise<void> {
  for (let n = lane; going; n += 4) {
    const id = `kill-entry-${String(n).padStart(6, '0')}`
    const entry = { id, kind: 'note', at: new Date(1_800_000_000_000 + n).toISOString(), item: 'roast', text: id }
    const reading = {
      channel: 0,
      seq: n,
      at: new Date(1_800_000_000_000 + n * 1000).toISOString(),
      value: 20 + (n % 400) / 10,
    }
    for (let tries = 0; going && tries < 200; tries++) {
      const kept = await sendJson(`${api}/cooks/${cook.id}/entries`, { entries: [entry] })
      const answer = kept?.ok ? await kept.json().catch(() => undefined) : undefined
      if (answer?.kept.some((each: { entry: { id: string } }) => each.entry.id === id)) {
        acknowledged.entries.add(id)
        break
      }
      await sleep(50)
    }
    for (let tries = 0; going && tries < 200; tries++) {
      const taken = await sendJson(
        `${address}/api/readings`,
        { unit: 'c', readings: [reading] },
        { authorization: `Bearer ${token}` },
      )
      const answer = taken?.ok ? await taken.json().catch(() => undefined) : undefined
      if (answer && answer.kept + answer.known === 1) {
        acknowledged.readings.add(n)
        break
      }
      await sleep(50)
    }
    await sleep(5)
  }
}
async function saver(): Promise<void> {
  let version = 1
  for (let n = 1; going; n++) {
    const saved = await fetch(`${api}/plans/${plan.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ base_version: version, document: { ...document, title: String(n) } }),
    }).catch(() => undefined)
    const answer = await saved?.json().catch(() => undefined)
    if (saved?.ok && answer) {
      version = answer.version
      acknowledged.saves.add(n)
    } else if (saved?.status === 409 && answer) version = answer.current.version
    await sleep(30)
  }
}
const killDatabase = () => {
  const pid = readFileSync(join(data.files, 'postmaster.pid'), 'utf8').split('\n')[0] as string
  spawnSync('kill', ['-9', pid])
}
const busy = [writer(0), writer(1), writer(2), writer(3), saver()]
const kinds = { application: 0, database: 0, both: 0 }
for (let kill = 0; kill < KILLS - MIGRATIONS; kill++) {
  await sleep(100 + random() * 500)
  const kind = (['application', 'database', 'both'] as const)[Math.floor(random() * 3)] ?? 'both'
  kinds[kind]++
  if (kind !== 'application') killDatabase()
  if (kind !== 'database') bench.kill()
  if (kind !== 'application') {
    await sleep(100)
    await data.start()
  }
  if (kind !== 'database') await bench.start()
}
/** Killed while a fresh database is being migrated: the next start goes on, and it is whole. */
let whole = 0
for (let kill = 0; kill < MIGRATIONS; kill++) {
  data.ensureDatabase('migrated')
  data.recreate('migrated')
  const child = spawn(process.execPath, ['--import', 'tsx', join(root, 'bin/prepare-database.ts'), '--demo'], {
    cwd: root,
    stdio: 'ignore',
    env: { ...process.env, DATABASE_URL: data.ownerUrl('migrated') },
  })
  await sleep(900 + random() * 1500)
  child.kill('SIGKILL')
  prepareDatabase(data.ownerUrl('migrated'), { demo: true })
  const { db, close } = openDatabase(data.url('migrated'))
  const rows = await db.execute<{ count: number }>(sql`select count(*)::int as count from kitchens`)
  if ((rows[0]?.count ?? 0) >= 1) whole++
  await close()
}
const before = acknowledged.entries.size
await data.stop()
const statuses = new Map<string, number>()
let slowest_ms = 0
const until = Date.now() + AWAY_S * 1000
while (Date.now() < until) {
  for (const path of ['/api/health', '/api/ready', '/k/cottage', '/api/k/cottage/plans']) {
    const from = performance.now()
    const status = (await fetch(`${address}${path}`).catch(() => undefined))?.status ?? 0
    slowest_ms = Math.max(slowest_ms, performance.now() - from)
    statuses.set(`${path} ${status}`, (statuses.get(`${path} ${status}`) ?? 0) + 1)
  }
  await sleep(500)
}
await data.start()
const back = performance.now()
let healed_s = Number.NaN
for (let i = 0; i < 200 && Number.isNaN(healed_s); i++) {
  if ((await fetch(`${address}/k/cottage`).catch(() => undefined))?.status === 200)
    healed_s = (performance.now() - back) / 1000
  else await sleep(100)
}
await sleep(3000)
going = false
await Promise.all(busy)

const { db, close } = openDatabase(bench.ownerUrl)
const ids = (await db.execute<{ id: string }>(sql`select id from entries where cook_id = ${cook.id}`)).map(
  ({ id }) => id,
)
const seqs = (
  await db.execute<{ seq: number }>(sql`select seq::int as seq from readings where device_id = ${device.id}`)
).map(({ seq }) => seq)
const titles = new Set(
  (
    await db.execute<{ title: string }>(
      sql`select document->>'title' as title from plan_versions where plan_id = ${plan.id}`,
    )
  ).map(({ title }) => Number(title)),
)
const there = { entries: new Set(ids), readings: new Set(seqs) }
const lost = {
  entries: [...acknowledged.entries].filter((id) => !there.entries.has(id)).length,
  readings: [...acknowledged.readings].filter((seq) => !there.readings.has(seq)).length,
  saves: [...acknowledged.saves].filter((n) => !titles.has(n)).length,
}
console.log(
  `${KILLS} kills by seed ${SEED}: application ${kinds.application}, database ${kinds.database}, both ${kinds.both}, in a migration ${MIGRATIONS} (${whole} whole afterwards)`,
)
console.log(
  `acknowledged ${acknowledged.entries.size} entries, ${acknowledged.readings.size} readings, ${acknowledged.saves.size} saves; lost ${lost.entries}, ${lost.readings}, ${lost.saves}; doubled ${ids.length - there.entries.size}, ${seqs.length - there.readings.size}`,
)
console.log(
  `the database away for ${AWAY_S} s: ${[...statuses].map(([what, count]) => `${what} × ${count}`).join(', ')}; slowest answer ${slowest_ms.toFixed(0)} ms; well again ${healed_s.toFixed(1)} s after it came back; ${acknowledged.entries.size - before} entries kept since`,
)
await close()
await bench.end()
process.exit(0)
