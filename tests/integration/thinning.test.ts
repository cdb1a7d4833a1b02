import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { afterAll, describe, expect, it } from 'vitest'
import { cookShelf, keepReadings } from '@/db/cooks'
import { thinNext } from '@/db/thinning'
import { within } from '@/db/within'
import { freshKitchen, openTestDatabase } from './kitchen'

const { db, close } = openTestDatabase()
afterAll(close)
const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

/** Two hours of one reading a second, so many days ago, with a peak of one second. */
async function read(days: number) {
  const scope = await freshKitchen(db)
  const device = await cookShelf(db, scope.kitchen).addDevice('Probe', sha256(scope.kitchen.id))
  const from = Date.now() - days * 86_400_000
  const start = new Date(from - (from % 300_000))
  const rows = Array.from({ length: 7200 }, (_, seq) => {
    const at = new Date(start.getTime() + seq * 1000)
    return { channel: 0, seq, at, deviceAt: at, valueC: seq === 4321 ? 71.5 : 5 + seq / 144 }
  })
  for (let i = 0; i < rows.length; i += 3600)
    await keepReadings(db, { id: device.id, kitchenId: scope.kitchen.id }, rows.slice(i, i + 3600), undefined)
  const left = async () =>
    (
      await within(db, scope.kitchen.id).execute<{ count: number; top: number; first: string; last: string }>(
        sql`select count(*)::int as count, max(value_c) as top, min(seq) as first, max(seq) as last from readings where device_id = ${device.id}`,
      )
    )[0]
  return { scope, device, left, start }
}
const thinAll = async () => {
  for (let i = 0; i < 200; i++) if ((await thinNext(db, new Date())) === undefined) return
  throw new Error('it never comes to an end')
}

describe('old readings', () => {
  it('are thinned to the first, last, lowest and highest of each minute; the peak of a second stays', async () => {
    const { scope, left, start } = await read(90)
    await thinAll()
    const kept = await left()
    // One that rises all the time has its lowest first and its highest last; the peak is one more.
    expect(kept?.count).toBe(2 * 120 + 1)
    expect(kept?.top).toBeCloseTo(71.5, 3)
    expect([kept?.first, kept?.last].map(Number)).toEqual([0, 7199])
    const curve = await cookShelf(db, scope.kitchen).readings(start, new Date(start.getTime() + 7200_000), 60)
    expect(curve.length).toBeGreaterThanOrEqual(119)
    await thinAll()
    expect((await left())?.count).toBe(kept?.count)
  })

  it('of more than a year are thinned once more', async () => {
    const { left } = await read(500)
    await thinAll()
    expect((await left())?.count).toBe(2 * 24 + 1)
  })

  it('of the last two months stay, and nobody can thin the last one by asking', async () => {
    const { device, left } = await read(40)
    await thinAll()
    expect((await left())?.count).toBe(7200)
    const ask = db.execute(
      sql`select thin_readings(${device.id}, now() - interval '90 days', now() - interval '3 days', 60)`,
    )
    await expect(ask).rejects.toThrow()
    await expect(db.execute(sql`delete from readings where device_id = ${device.id}`)).rejects.toThrow()
    expect((await left())?.count).toBe(7200)
  })
})
