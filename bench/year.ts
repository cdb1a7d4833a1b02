import { sql } from 'drizzle-orm'
import { openDatabase } from '@/db/connection'
import { cookShelf } from '@/db/cooks'
import { ensureKitchen, openKitchen } from '@/db/repositories'
import { cookFromPlan } from '@/domain/cook/begin'
import { cookEntry } from '@/domain/cook/cook-document'
import { planDocument } from '@/domain/roast/roast-document'
import { compute, modelStamp } from '@/server/compute'
import { reunion } from '@/stand-ins/demo/meals'
import { benchServer, quantileOf } from './server'

/** A year later: a house with so many plans and so many readings; how long each page takes. */
const PLANS = Number(process.env.YEAR_PLANS ?? 2000)
const READINGS = Number(process.env.YEAR_READINGS ?? 20_000_000)
const KITCHENS = 40
const CHANNELS = 5
const LOADS = 30
const GOAL_MS = 300

/** Laying so much takes many minutes: YEAR_LAID=1 asks the pages of what an earlier run laid. */
const LAID = process.env.YEAR_LAID === '1'
const bench = await benchServer(3196, { durable: false, name: 'postgres-year', keep: LAID })
const { address } = bench
const { db, close } = openDatabase(bench.ownerUrl)
const now_s = Math.round(Date.now() / 1000)
const iso = (at_s: number) => new Date(at_s * 1000).toISOString()

const begun = performance.now()
async function lay(): Promise<void> {
  for (let i = 0; i < KITCHENS; i++)
    await ensureKitchen(db, { slug: i === 0 ? 'cottage' : `year-${i}`, name: `Kitchen ${i}`, timeZone: 'UTC' })
  const scope = await openKitchen(db, 'cottage')
  if (!scope) throw new Error('no kitchen')
  const CUTS = ['beef-rib-bone-in', 'pork-loin', 'chicken', 'lamb-leg-bone-in', 'turkey'] as const
  const made = async (i: number) => {
    const document = planDocument.parse({
      title: `Roast ${i}`,
      roast: { cut: CUTS[i % CUTS.length], mass_kg: 1.8 + (i % 7) / 10 },
      promise: iso(now_s + (i - PLANS * 0.9) * 4 * 3600),
    })
    const row = await scope.plans.add(document)
    const summary = await compute('summary', { document, now_s })
    await scope.keepSummary(row, modelStamp(), summary.ok ? summary.value : null)
    return row
  }
  let plan = await made(PLANS - 1)
  for (let i = 0; i < PLANS - 1; i += 4)
    [plan] = (await Promise.all([0, 1, 2, 3].filter((k) => i + k < PLANS - 1).map((k) => made(i + k)))) as [typeof plan]
  await scope.meals.add(reunion(iso(now_s + 30 * 3600)))
  for (let i = 0; i < 60; i++) await scope.meals.add(reunion(iso(now_s - i * 7 * 86_400)))
  const shelf = cookShelf(db, scope.kitchen)
  const cooked = cookFromPlan({ ...plan.document, promise: iso(now_s + 3600) }, now_s - 7 * 3600, 1)
  if (!cooked.ok) throw new Error('no cook')
  for (let i = 0; i < 400; i++) await shelf.setState((await shelf.begin(cooked.value)).id, 'done')
  const cook = await shelf.begin(cooked.value)
  await shelf.add(
    cook.id,
    Array.from({ length: 120 }, (_, i) =>
      cookEntry.parse({ id: `year-entry-${i}`, kind: 'note', at: iso(now_s - i), text: String(i) }),
    ),
  )
  // Every kitchen's probes read once a second, back from now, until there are so many readings.
  const each = Math.ceil(READINGS / KITCHENS / CHANNELS)
  for (let i = 0; i < KITCHENS; i++) {
    const kitchen = await openKitchen(db, i === 0 ? 'cottage' : `year-${i}`)
    if (!kitchen) throw new Error('no kitchen')
    const device = await cookShelf(db, kitchen.kitchen).addDevice('Station', `hash-${i}`)
    await db.transaction(async (tx) => {
      // That each device is there is known here: not asked again for each of so many rows.
      await tx.execute(sql`set local session_replication_role = replica`)
      await tx.execute(sql`
        insert into readings (kitchen_id, device_id, channel, seq, at, device_at, value_c)
        select ${kitchen.kitchen.id}, ${device.id}, c, s, to_timestamp(${now_s} - s), to_timestamp(${now_s} - s), 20 + (s % 500) / 10.0
        from generate_series(0, ${each - 1}) s, generate_series(0, ${CHANNELS - 1}) c`)
    })
  }
}
if (!LAID) await lay()
await db.execute(sql`analyze`)
const [count] = await db.execute<{ count: number }>(sql`select count(*)::int as count from readings`)
const [size] = await db.execute<{ size: string }>(
  sql`select pg_size_pretty(pg_database_size(current_database())) as size`,
)
console.log(
  `${count?.count} readings, ${PLANS} plans, 61 meals and 401 cooks, ${size?.size}, laid in ${((performance.now() - begun) / 1000).toFixed(0)} s`,
)

const found = await openKitchen(db, 'cottage')
if (!found) throw new Error('no kitchen')
const one = { limit: 1, offset: 0 }
const [plan] = (await found.plans.list({ from: new Date(), ...one })).rows
const [meal] = (await found.meals.list({ from: new Date(), ...one })).rows
const [cook] = (await cookShelf(db, found.kitchen).list({ state: 'cooking', ...one })).rows
if (!plan || !meal || !cook) throw new Error('nothing is laid: run it without YEAR_LAID first')
const pages = {
  'the kitchen': '/k/cottage',
  'all promised': '/k/cottage/all/promised',
  'eaten, page 40': '/k/cottage/all/eaten?page=40',
  'all meals': '/k/cottage/all/meals',
  'all cooked': '/k/cottage/all/cooked',
  'a plan': `/k/cottage/plans/${plan.id}`,
  'its run sheet': `/k/cottage/plans/${plan.id}/run-sheet`,
  'its schools': `/k/cottage/plans/${plan.id}/schools`,
  'a meal': `/k/cottage/meals/${meal.id}`,
  'its sheets': `/k/cottage/meals/${meal.id}/sheets`,
  'a board': `/k/cottage/cooks/${cook.id}`,
  'what a board asks again': `/api/k/cottage/cooks/${cook.id}?since=100`,
  'how good it is': '/accuracy',
  'what waits': '/waiting',
} as const
let over = 0
for (const [name, path] of Object.entries(pages)) {
  const times: number[] = []
  for (let i = 0; i < LOADS + 3; i++) {
    const from = performance.now()
    const answered = await fetch(`${address}${path}`)
    await answered.arrayBuffer()
    if (answered.status !== 200) throw new Error(`${path} answered ${answered.status}`)
    // The first ones load the page's program.
    if (i >= 3) times.push(performance.now() - from)
  }
  const p95 = quantileOf(times, 0.95)
  if (p95 > GOAL_MS) over++
  console.log(
    `${p95 > GOAL_MS ? 'NOT' : 'met'}  ${name.padEnd(26)} p50 ${quantileOf(times, 0.5).toFixed(0).padStart(4)}  p95 ${p95.toFixed(0).padStart(4)} ms (goal ${GOAL_MS})`,
  )
}
console.log(
  `${over} of ${Object.keys(pages).length} pages over ${GOAL_MS} ms; server memory ${bench.memory_mb().toFixed(0)} MB`,
)
await close()
await bench.end()
process.exit(0)
