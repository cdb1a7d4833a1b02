import { and, asc, desc, eq, gt, inArray, sql } from 'drizzle-orm'
import { type CookDocument, type CookEntry, keptEntry, type ProbeReading } from '@/domain/cook/cook-document'
import { STORED } from '@/domain/stored/stored'
import type { Database } from './connection'
import { newId } from './ids'
import { type KitchenRow, notice } from './repositories'
import { cooks, devices, entries, readings } from './schema'
import { type Listed, typedRow, typedRows } from './stored'

export type CookRow = typeof cooks.$inferSelect
export type DeviceRow = Pick<typeof devices.$inferSelect, 'id' | 'name' | 'battery' | 'seenAt'>

/** An entry as it is kept: with its place in the order of receipt. */
export interface KeptEntry {
  readonly seq: number
  readonly entry: CookEntry
  readonly received_at: string
}

/** Cooks, entries and probes of one kitchen. */
export interface CookShelf {
  readonly list: () => Promise<Listed<CookRow>>
  readonly find: (id: string) => Promise<CookRow | undefined>
  readonly begin: (document: CookDocument) => Promise<CookRow>
  readonly setState: (id: string, state: CookRow['state']) => Promise<void>
  /** Keeps each entry once; answers what of them is now kept. */
  readonly add: (id: string, added: readonly CookEntry[]) => Promise<readonly KeptEntry[]>
  readonly entriesSince: (id: string, seq: number) => Promise<readonly KeptEntry[]>
  readonly devices: () => Promise<DeviceRow[]>
  readonly addDevice: (name: string, tokenHash: string) => Promise<DeviceRow>
  /** Readings of the kitchen's devices in a span of cook time, thinned to one in each step, newest of the step. */
  readonly readings: (from: Date, to: Date, step_s: number) => Promise<ProbeReading[]>
}

export function cookShelf(db: Database, kitchen: KitchenRow): CookShelf {
  const mine = eq(cooks.kitchenId, kitchen.id)
  const kept = (row: { seq: number; id: string; entry: unknown; receivedAt: Date }): KeptEntry => {
    const received_at = row.receivedAt.toISOString()
    const entry = keptEntry.safeParse(row.entry)
    // One from a later release is said to be there; what it did only that release knows.
    return entry.success
      ? { seq: row.seq, entry: entry.data, received_at }
      : {
          seq: row.seq,
          entry: keptEntry.parse({
            id: row.id,
            kind: 'note',
            at: received_at,
            text: 'an entry this release cannot read',
          }),
          received_at,
        }
  }
  return {
    list: async () =>
      typedRows(STORED.cook, await db.select().from(cooks).where(mine).orderBy(desc(cooks.createdAt)).limit(40)),
    find: async (id) => {
      const [row] = await db
        .select()
        .from(cooks)
        .where(and(mine, eq(cooks.id, id)))
      return row && typedRow(STORED.cook, row)
    },
    begin: async (document) => {
      const [row] = await db
        .insert(cooks)
        .values({ id: newId('cok'), kitchenId: kitchen.id, document })
        .returning()
      if (!row) throw new Error('a cook came back empty')
      return row
    },
    setState: async (id, state) => {
      await db
        .update(cooks)
        .set({ state })
        .where(and(mine, eq(cooks.id, id)))
    },
    add: (id, added) =>
      db.transaction(async (tx) => {
        await tx
          .insert(entries)
          .values(added.map((entry) => ({ id: entry.id, kitchenId: kitchen.id, cookId: id, entry })))
          .onConflictDoNothing({ target: [entries.cookId, entries.id] })
        await tx.execute(sql`select ${notice({ kitchen: kitchen.id, what: 'entries', id, version: 0 })}`)
        const rows = await tx
          .select()
          .from(entries)
          .where(
            and(
              eq(entries.cookId, id),
              inArray(
                entries.id,
                added.map((entry) => entry.id),
              ),
            ),
          )
        return rows.map(kept)
      }),
    entriesSince: async (id, seq) =>
      (
        await db
          .select()
          .from(entries)
          .where(and(eq(entries.kitchenId, kitchen.id), eq(entries.cookId, id), gt(entries.seq, seq)))
          .orderBy(asc(entries.seq))
          .limit(5000)
      ).map(kept),
    devices: () =>
      db
        .select({ id: devices.id, name: devices.name, battery: devices.battery, seenAt: devices.seenAt })
        .from(devices)
        .where(eq(devices.kitchenId, kitchen.id))
        .orderBy(asc(devices.createdAt)),
    addDevice: async (name, tokenHash) => {
      const [row] = await db
        .insert(devices)
        .values({ id: newId('dev'), kitchenId: kitchen.id, name, tokenHash })
        .returning()
      if (!row) throw new Error('a device came back empty')
      return row
    },
    readings: async (from, to, step_s) => {
      const rows = await db.execute<{ device_id: string; channel: number; at_s: number; value_c: number }>(sql`
        select distinct on (${readings.deviceId}, ${readings.channel}, bucket) ${readings.deviceId}, ${readings.channel},
          extract(epoch from ${readings.at})::float8 as at_s, ${readings.valueC},
          floor(extract(epoch from ${readings.at}) / ${step_s}) as bucket
        from ${readings}
        where ${readings.deviceId} in (select ${devices.id} from ${devices} where ${devices.kitchenId} = ${kitchen.id})
          and ${readings.at} >= ${from.toISOString()} and ${readings.at} < ${to.toISOString()}
        order by ${readings.deviceId}, ${readings.channel}, bucket, ${readings.at} desc
        limit 60000`)
      return [...rows]
        .map((row) => ({ device: row.device_id, channel: row.channel, at_s: Number(row.at_s), value_c: row.value_c }))
        .sort((a, b) => a.at_s - b.at_s)
    },
  }
}

/** The device that a token belongs to. */
export async function deviceByToken(
  db: Database,
  tokenHash: string,
): Promise<{ id: string; kitchenId: string } | undefined> {
  const [row] = await db
    .select({ id: devices.id, kitchenId: devices.kitchenId })
    .from(devices)
    .where(eq(devices.tokenHash, tokenHash))
  return row
}

export interface NewReading {
  readonly channel: number
  readonly seq: number
  readonly at: Date
  readonly valueC: number
}

/** Keeps readings once each by device, channel and sequence; answers how many were new. Tells the boards the newest of each channel. */
export async function keepReadings(
  db: Database,
  device: { readonly id: string; readonly kitchenId: string },
  added: readonly NewReading[],
  battery: number | undefined,
): Promise<number> {
  const newest = new Map<number, NewReading>()
  for (const reading of added) {
    const last = newest.get(reading.channel)
    if (!last || last.at < reading.at) newest.set(reading.channel, reading)
  }
  const latest = [...newest.values()].map(({ channel, at, valueC }) => [channel, at.getTime() / 1000, valueC])
  const rows = await db.execute(sql`
    with kept as (
      insert into ${readings} (kitchen_id, device_id, channel, seq, at, value_c)
      select ${device.kitchenId}, ${device.id}, r.channel, r.seq, r.at, r.value_c
      from jsonb_to_recordset(${JSON.stringify(
        added.map(({ channel, seq, at, valueC }) => ({ channel, seq, at: at.toISOString(), value_c: valueC })),
      )}::jsonb) as r(channel int, seq bigint, at timestamptz, value_c real)
      on conflict do nothing
      returning 1
    ), seen as (
      update ${devices} set seen_at = now(), battery = coalesce(${battery ?? null}::real, battery) where id = ${device.id}
        and (seen_at is null or seen_at < now() - interval '5 seconds')
    )
    select count(*)::int as count, ${notice({
      kitchen: device.kitchenId,
      what: 'readings',
      id: device.id,
      version: 0,
      latest,
    })} from kept`)
  return Number((rows[0] as { count?: number } | undefined)?.count ?? 0)
}
