import { sql } from 'drizzle-orm'
import { openDatabase } from '@/db/connection'
import { ensureKitchen, openKitchen } from '@/db/repositories'
import { cookStories, cooks } from '@/db/schema'
import { thinNext } from '@/db/thinning'
import { glanceOf } from '@/domain/cook/story/glance'
import { storyOf } from '@/domain/cook/story/story'
import { cookOf, logOf, PAST_COOKS, type PastLog } from '@/stand-ins/demo/seasons'
import seasons from '@/stand-ins/demo/seasons.json'
import { benchServer, quantileOf } from './server'

/**
 * A house with so many cooks in its logbook and so many readings of its probes: how long it takes to list, narrow, look
 * for, open and compare them, and what thinning leaves.
 *
 * LOGBOOK_COOKS=5000 LOGBOOK_READINGS=20000000 npm run bench:logbook
 */
const COOKS = Number(process.env.LOGBOOK_COOKS ?? 5000)
const READINGS = Number(process.env.LOGBOOK_READINGS ?? 20_000_000)
const DEVICES = 8
const LOADS = 30
const GOAL_MS = 200
const NOW_S = Math.round(Date.now() / 1000)

const bench = await benchServer(3197, { durable: false, name: 'postgres-logbook', keep: false })
const { db, close } = openDatabase(bench.ownerUrl)
await ensureKitchen(db, { slug: 'book', name: 'Book', timeZone: 'Europe/London' })
const scope = await openKitchen(db, 'book')
if (!scope) throw new Error('no kitchen')
const kitchenId = scope.kitchen.id

const PROMISE = '2026-06-06T18:00:00.000Z'
const models = PAST_COOKS.map((past, i) => {
  const log = (seasons as unknown as readonly PastLog[])[i] as PastLog
  const document = cookOf(past, PROMISE)
  const { entries, readings } = logOf(log, document, PROMISE, { device: 'd', tag: `${i}` })
  return { document, story: storyOf(document, entries, readings, Date.parse(PROMISE) / 1000 + 4 * 3600) }
})
const ids: string[] = []
for (let from = 0; from < COOKS; from += 250) {
  const some = Array.from({ length: Math.min(250, COOKS - from) }, (_, k) => {
    const i = from + k
    const { document, story } = models[i % models.length] as (typeof models)[number]
    const servedAt = new Date((NOW_S - i * 0.7 * 86_400) * 1000)
    const id = `cok_bench${i}`
    ids.push(id)
    return {
      cook: { id, kitchenId, state: 'done' as const, document, createdAt: servedAt },
      story: { ...glanceOf(story), cookId: id, kitchenId, seq: 0, servedAt, story },
    }
  })
  await db.insert(cooks).values(some.map(({ cook }) => cook))
  await db.insert(cookStories).values(some.map(({ story }) => story))
}
/** Two channels of each device read once a second, the newest yesterday, so far back as the number takes. */
const seconds = Math.ceil(READINGS / DEVICES / 2)
const seeded = performance.now()
for (let d = 0; d < DEVICES; d++) {
  const id = `dev_bench${d}`
  await db.execute(
    sql`insert into devices (id, kitchen_id, name, token_hash) values (${id}, ${kitchenId}, ${id}, ${`hash ${d}`})`,
  )
  await db.execute(sql`
    insert into readings (kitchen_id, device_id, session, channel, seq, at, device_at, value_c)
    select ${kitchenId}, ${id}, '-', c, s, t, t, 20 + 40 * abs(sin(s / 4000.0 + c))
    from generate_series(0, 1) c, generate_series(1, ${seconds}::int) s,
      lateral (select to_timestamp(${NOW_S - 86_400 * 450} + s + (s / 14400) * 432000) as t) at`)
}
const sizeOf = async () =>
  Number(
    (
      await db.execute<{ bytes: string }>(
        sql`select sum(pg_total_relation_size(inhrelid)) as bytes from pg_inherits where inhparent = 'readings'::regclass`,
      )
    )[0]?.bytes ?? 0,
  ) / 1e6
const countOf = async () =>
  Number((await db.execute<{ count: string }>(sql`select count(*) as count from readings`))[0]?.count ?? 0)
await db.execute(sql`analyze`)
console.log(
  `${(await countOf()).toLocaleString('en')} readings laid in ${((performance.now() - seeded) / 1000).toFixed(0)} s, ${(await sizeOf()).toFixed(0)} MB`,
)
const asked: readonly (readonly [string, (i: number) => string])[] = [
  ['list', (i) => `/k/book/logbook?page=${1 + (i % 40)}`],
  ['look for', (i) => `/k/book/logbook?words=${['rib', 'salt', 'hollis loin', 'storm'][i % 4]}`],
  ['narrow', (i) => `/k/book/logbook?cut=pork-loin&season=${['winter', 'summer'][i % 2]}&result=as_wanted`],
  ['a year', (i) => `/k/book/logbook?year=${2026 - (i % 8)}`],
  ['open', (i) => `/k/book/logbook/${ids[(i * 97) % ids.length]}`],
  ['compare', (i) => `/k/book/logbook/${[i, i * 7 + 1, i * 13 + 2].map((k) => ids[k % ids.length]).join(',')}`],
  ['learned', () => '/k/book/learned'],
]
console.log(`A logbook of ${COOKS} cooks; goal p95 under ${GOAL_MS} ms`)
for (const [name, of] of asked) {
  const times: number[] = []
  for (let i = 0; i < LOADS + 3; i++) {
    const began = performance.now()
    const answer = await fetch(`${bench.address}${of(i)}`)
    await answer.text()
    if (answer.status !== 200) throw new Error(`${of(i)} answered ${answer.status}`)
    // The first few compile the page.
    if (i >= 3) times.push(performance.now() - began)
  }
  console.log(
    `${name.padEnd(9)} p50 ${quantileOf(times, 0.5).toFixed(0)} ms, p95 ${quantileOf(times, 0.95).toFixed(0)} ms${quantileOf(times, 0.95) > GOAL_MS ? ', over the goal' : ''}`,
  )
}
if (READINGS > 0) {
  // What is due goes piece by piece; each is timed.
  const pieces: number[] = []
  for (;;) {
    const began = performance.now()
    if ((await thinNext(db, new Date())) === undefined) break
    pieces.push(performance.now() - began)
  }
  await db.execute(sql`vacuum full readings`)
  console.log(
    `thinned in ${pieces.length} pieces, p50 ${quantileOf(pieces, 0.5).toFixed(0)} ms, p95 ${quantileOf(pieces, 0.95).toFixed(0)} ms; ${(await countOf()).toLocaleString('en')} readings are left, ${(await sizeOf()).toFixed(0)} MB`,
  )
}
await close()
await bench.end()
process.exit(0)
