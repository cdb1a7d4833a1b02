import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { afterAll, describe, expect, it } from 'vitest'
import { cookShelf, deviceByToken, keepReadings } from '@/db/cooks'
import { cookDocument, cookEntry } from '@/domain/cook/cook-document'
import { freshKitchen, openTestDatabase } from './kitchen'

const { db, close } = openTestDatabase()
afterAll(close)

const at = '2026-12-25T12:00:00Z'
const document = cookDocument.parse({
  title: 'Rib',
  clock: { origin: at, real: at },
  items: [
    {
      id: 'rib',
      title: 'Rib',
      roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
      program: { school: 'steady' },
      serve_c: 55,
      promise: at,
      put_in: at,
      pull: at,
      carve: at,
      pull_c: 50,
    },
  ],
})
const entry = (n: number) => cookEntry.parse({ id: `integration-${n}`, kind: 'note', at, item: 'rib', text: String(n) })
const hash = (token: string) => createHash('sha256').update(token).digest('hex')
async function station() {
  const { kitchen } = await freshKitchen(db)
  const shelf = cookShelf(db, kitchen)
  const token = `token-${kitchen.id}`
  await shelf.addDevice('Station', hash(token))
  const device = await deviceByToken(db, hash(token))
  if (!device) throw new Error('no device')
  return { shelf, device, kitchen }
}
const reading = (seq: number, channel = 0, minute = seq) => ({
  channel,
  seq,
  at: new Date(Date.parse(at) + minute * 60_000),
  valueC: 10 + seq,
})

describe('entries of a cook', () => {
  it('sent twice, and from two tablets at once, each is kept once and in an order all agree on', async () => {
    const { shelf } = await station()
    const cook = await shelf.begin(document)
    await Promise.all([
      shelf.add(cook.id, [entry(1), entry(2)]),
      shelf.add(cook.id, [entry(2), entry(3)]),
      shelf.add(cook.id, [entry(1)]),
    ])
    const kept = await shelf.entriesSince(cook.id, 0)
    expect(kept.map(({ entry: { text } }) => text).sort()).toEqual(['1', '2', '3'])
    expect(await shelf.entriesSince(cook.id, kept[1]?.seq ?? 0)).toHaveLength(1)
  })

  it('belong to their kitchen', async () => {
    const { shelf } = await station()
    const other = await station()
    const cook = await shelf.begin(document)
    expect(await other.shelf.find(cook.id)).toBeUndefined()
    await expect(other.shelf.add(cook.id, [entry(9)])).rejects.toThrow()
  })
})

describe('probe readings', () => {
  it('late, out of order and sent again are kept once each', async () => {
    const { shelf, device } = await station()
    expect(await keepReadings(db, device, [reading(3), reading(1)], 0.9)).toBe(2)
    expect(await keepReadings(db, device, [reading(1), reading(2), reading(3)], undefined)).toBe(1)
    const read = await shelf.readings(new Date(at), new Date(Date.parse(at) + 3600_000), 20)
    expect(read.map(({ value_c }) => value_c)).toEqual([11, 12, 13])
    expect((await shelf.devices())[0]).toMatchObject({ battery: expect.closeTo(0.9, 3) })
  })

  it('are thinned to one a step, the newest', async () => {
    const { shelf, device } = await station()
    await keepReadings(
      db,
      device,
      Array.from({ length: 60 }, (_, i) => ({ ...reading(i), at: new Date(Date.parse(at) + i * 1000) })),
      undefined,
    )
    const read = await shelf.readings(new Date(at), new Date(Date.parse(at) + 60_000), 20)
    expect(read.map(({ value_c }) => value_c)).toEqual([29, 49, 69])
  })

  it('lie in the partition of their month, and a question for a day looks at that one alone by its index', async () => {
    const { device } = await station()
    await keepReadings(db, device, [reading(1)], undefined)
    const where = await db.execute<{ tableoid: string }>(
      sql`select tableoid::regclass::text as tableoid from readings where device_id = ${device.id}`,
    )
    expect([...where].map((row) => row.tableoid)).toEqual(['readings_2026_12'])
    // A table of a few rows is quicker read whole: whether there is an index to use is asked, not what is cheapest now.
    const plan = await db.transaction(async (tx) => {
      await tx.execute(sql`set local enable_seqscan = off`)
      return tx.execute(
        sql`explain (costs off) select value_c from readings where device_id = ${device.id} and channel = 0 and at >= ${at} and at < '2026-12-26'`,
      )
    })
    const text = [...plan].map((row) => Object.values(row as object).join('')).join('\n')
    expect(text).toContain('readings_2026_12')
    expect(text).not.toContain('readings_2026_11')
    expect(text).toMatch(/Index|Bitmap/)
  })
})
