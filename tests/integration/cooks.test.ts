import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { afterAll, describe, expect, it } from 'vitest'
import { cookShelf, deviceByToken, keepReadings } from '@/db/cooks'
import { within } from '@/db/within'
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
const reading = (seq: number, channel = 0, second = seq * 60) => {
  const when = new Date(Date.parse(at) + second * 1000)
  return { channel, seq, at: when, deviceAt: when, valueC: 10 + seq }
}

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
    expect(await keepReadings(db, device, [reading(3), reading(1)], 0.9)).toEqual({ kept: 2, reused: [] })
    expect(await keepReadings(db, device, [reading(1), reading(2), reading(3)], undefined)).toEqual({
      kept: 1,
      reused: [],
    })
    const read = await shelf.readings(new Date(at), new Date(Date.parse(at) + 3600_000), 20)
    expect(read.map(({ value_c }) => value_c)).toEqual([11, 12, 13])
    expect((await shelf.devices())[0]).toMatchObject({ battery: expect.closeTo(0.9, 3) })
  })

  it('are thinned to one a step, the newest', async () => {
    const { shelf, device } = await station()
    await keepReadings(
      db,
      device,
      Array.from({ length: 60 }, (_, i) => reading(i, 0, i)),
      undefined,
    )
    const read = await shelf.readings(new Date(at), new Date(Date.parse(at) + 60_000), 20)
    expect(read.map(({ value_c }) => value_c)).toEqual([29, 49, 69])
  })

  it('are one by session, channel and number, whatever their time; another value under the same number is told', async () => {
    const { shelf, device } = await station()
    const first = reading(7)
    await keepReadings(db, device, [first], undefined)
    // A late retry: the device's clock was off by another amount, what it said is the same.
    const late = { ...first, at: new Date(first.at.getTime() + 5000) }
    expect(await keepReadings(db, device, [late], undefined)).toEqual({ kept: 0, reused: [] })
    const other = { ...first, valueC: 99 }
    expect(await keepReadings(db, device, [other, reading(8)], undefined)).toEqual({
      kept: 1,
      reused: [{ channel: 0, seq: 7 }],
    })
    // Switched off and on, it counts from the start again.
    expect(await keepReadings(db, device, [{ ...reading(7, 0, 900), valueC: 40 }], undefined, 'second boot')).toEqual({
      kept: 1,
      reused: [],
    })
    const read = await shelf.readings(new Date(at), new Date(Date.parse(at) + 3600_000), 20)
    expect(read.map(({ value_c }) => value_c)).toEqual([17, 18, 40])
  })

  it('a board’s question is answered from its own devices’ partitions, by their index alone', async () => {
    const { device, kitchen } = await station()
    const own = within(db, kitchen.id)
    await keepReadings(db, device, [reading(1)], undefined)
    const where = await own.execute<{ part: string }>(
      sql`select tableoid::regclass::text as part from readings where device_id = ${device.id}`,
    )
    const [{ part } = { part: '' }] = [...where]
    expect(part).toMatch(/^readings_\d\d$/)
    // A table of a few rows is quicker read whole: whether there is an index to use is asked, not what is cheapest now.
    const plan = await own.transaction(async (tx) => {
      await tx.execute(sql`set local enable_seqscan = off`)
      return tx.execute(
        sql`explain (costs off) select value_c from readings where device_id = ${device.id} and channel = 0 and at >= ${at} and at < '2026-12-26'`,
      )
    })
    const text = [...plan].map((row) => Object.values(row as object).join('')).join('\n')
    const named = new Set(text.match(/readings_\d\d/g))
    expect([...named]).toEqual([part])
    expect(text).toMatch(/Index|Bitmap/)
  })

  it('what no probe can read is kept by no table, whoever asks', async () => {
    const { device, kitchen } = await station()
    const insert = (value: string) =>
      within(db, kitchen.id).execute(
        sql`insert into readings (kitchen_id, device_id, channel, seq, at, device_at, value_c) values (${kitchen.id}, ${device.id}, 0, 1, now(), now(), ${value}::real)`,
      )
    for (const value of ['NaN', 'Infinity', '-Infinity', '501', '-61'])
      await expect(insert(value), value).rejects.toThrow()
  })
})

describe('what the application may do to its own tables', () => {
  it('it is no superuser, and what happened cannot be changed or taken away', async () => {
    const [role] = await db.execute<{ rolsuper: boolean }>(
      sql`select rolsuper or rolcreaterole or rolcreatedb as rolsuper from pg_roles where rolname = current_user`,
    )
    expect(role?.rolsuper).toBe(false)
    const { shelf, kitchen } = await station()
    const cook = await shelf.begin(document)
    await shelf.add(cook.id, [entry(1)])
    for (const wrong of [
      sql`update entries set entry = '{}' where cook_id = ${cook.id}`,
      sql`delete from entries where cook_id = ${cook.id}`,
      sql`delete from readings`,
      sql`update plan_versions set document = '{}'`,
      sql`delete from plan_versions`,
      sql`create table mine (id int)`,
      sql`copy entries to program 'true'`,
    ])
      await expect(within(db, kitchen.id).execute(wrong)).rejects.toThrow()
    expect(await shelf.entriesSince(cook.id, 0)).toHaveLength(1)
    // With what they belong to they go.
    expect(await shelf.remove(cook.id)).toBe(true)
    expect(await shelf.entriesSince(cook.id, 0)).toEqual([])
  })
})

describe('a reader’s place in a log', () => {
  it('is never past an entry that is not kept yet: the second writer waits for the first', async () => {
    const { shelf, kitchen } = await station()
    const other = openTestDatabase()
    const third = openTestDatabase()
    try {
      const cook = await shelf.begin(document)
      let let_go = () => {}
      const held = new Promise<void>((done) => {
        let_go = done
      })
      let began = () => {}
      const isOpen = new Promise<void>((done) => {
        began = done
      })
      // One tablet's transaction is held open after it has taken its place; another's comes meanwhile.
      const first = within(other.db, kitchen.id).transaction(async (tx) => {
        await cookShelf(tx as unknown as typeof db, kitchen).add(cook.id, [entry(1)])
        began()
        await held
      })
      await isOpen
      const second = cookShelf(third.db, kitchen).add(cook.id, [entry(2)])
      await new Promise((done) => setTimeout(done, 300))
      const seen = await shelf.entriesSince(cook.id, 0)
      expect(seen).toEqual([])
      let_go()
      await Promise.all([first, second])
      const since = Math.max(0, ...seen.map(({ seq }) => seq))
      const missed = await shelf.entriesSince(cook.id, since)
      expect(missed.map(({ seq, entry: { text } }) => [seq, text])).toEqual([
        [1, '1'],
        [2, '2'],
      ])
    } finally {
      await Promise.all([other.close(), third.close()])
    }
  })

  it('an id that comes again with other content is refused, with the same content it is known', async () => {
    const { shelf } = await station()
    const cook = await shelf.begin(document)
    await shelf.add(cook.id, [entry(1)])
    const changed = { ...entry(1), text: 'something else' }
    const answer = await shelf.add(cook.id, [changed, entry(2), entry(1)])
    expect(answer.reused).toEqual([entry(1).id])
    expect(answer.kept.map(({ entry: { text } }) => text)).toEqual(['2'])
    expect((await shelf.add(cook.id, [entry(1)])).kept).toHaveLength(1)
    expect((await shelf.entriesSince(cook.id, 0)).map(({ entry: { text } }) => text)).toEqual(['1', '2'])
  })
})
