import { isDeepStrictEqual } from 'node:util'
import { and, asc, desc, eq, getTableColumns, gt, inArray, isNotNull, isNull, sql } from 'drizzle-orm'
import { type CookDocument, type CookEntry, keptEntry, type ProbeReading } from '@/domain/cook/cook-document'
import { STORED } from '@/domain/stored/stored'
import type { Database } from './connection'
import { newId } from './ids'
import { type KitchenRow, notice } from './repositories'
import { cooks, devices, entries, readings } from './schema'
import { type Listed, typedRow, typedRows } from './stored'
import { within } from './within'

export type CookRow = typeof cooks.$inferSelect
type EntryRow = typeof entries.$inferSelect
export type DeviceRow = Pick<typeof devices.$inferSelect, 'id' | 'name' | 'battery' | 'seenAt'>

/** An entry as it is kept: with its place in the order of receipt. */
export interface KeptEntry {
  readonly seq: number
  readonly entry: CookEntry
  readonly received_at: string
}

export interface CookPage {
  readonly state?: CookRow['state']
  readonly archived?: boolean
  readonly limit: number
  readonly offset: number
}

const WHOLE = getTableColumns(cooks)
const SLIM = sql<CookDocument>`${cooks.document} - 'steps' - 'meal'`

/** So many cooks of the plans asked for are looked at. */
const OF_SOURCES = 60

/** A cook by what it cooks, without its document. */
export interface CookOfSource {
  readonly id: string
  readonly state: CookRow['state']
  readonly createdAt: Date
  readonly source: string
  readonly speed: number
}

/** Cooks, entries and probes of one kitchen. */
export interface CookShelf {
  /** Newest first, without those put away. */
  readonly list: (page: CookPage) => Promise<Listed<CookRow> & { readonly total: number }>
  readonly find: (id: string) => Promise<CookRow | undefined>
  /** Cooks of these plans and meals, newest first, without those put away. */
  readonly ofSources: (ids: readonly string[]) => Promise<readonly CookOfSource[]>
  /** Whether it is there, without reading its document. */
  readonly has: (id: string) => Promise<boolean>
  readonly begin: (document: CookDocument) => Promise<CookRow>
  /** Puts it away or takes it out again; false where there is none. */
  readonly archive: (id: string, away: boolean) => Promise<boolean>
  /** Takes it away with its log; false where there is none. */
  readonly remove: (id: string) => Promise<boolean>
  readonly setState: (id: string, state: CookRow['state']) => Promise<void>
  /** Keeps each entry once; answers what of them is now kept, and which name an id that is another's. */
  readonly add: (
    id: string,
    added: readonly CookEntry[],
    /** Who sent them. */
    who?: string,
  ) => Promise<{ readonly kept: readonly KeptEntry[]; readonly reused: readonly string[] }>
  readonly entriesSince: (id: string, seq: number) => Promise<readonly KeptEntry[]>
  /** Every time a probe of the kitchen was checked, the newest first. */
  readonly checks: (most: number) => Promise<readonly CookEntry[]>
  readonly devices: () => Promise<DeviceRow[]>
  /** Those whose tokens were not taken back. */
  readonly openDevices: () => Promise<DeviceRow[]>
  /** Takes a device’s token back; its readings stay. False where there is none to take. */
  readonly revokeDevice: (id: string) => Promise<boolean>
  readonly addDevice: (name: string, tokenHash: string) => Promise<DeviceRow>
  /** Readings of the kitchen's devices in a span of cook time, thinned to one in each step, newest of the step. */
  readonly readings: (from: Date, to: Date, step_s: number) => Promise<ProbeReading[]>
}

export function cookShelf(whole: Database, kitchen: KitchenRow): CookShelf {
  const db = within(whole, kitchen.id)
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
    list: async ({ state, archived = false, limit, offset }) => {
      const which = and(
        mine,
        archived ? isNotNull(cooks.archivedAt) : isNull(cooks.archivedAt),
        state && eq(cooks.state, state),
      )
      const rows = await db
        // A list says what was cooked, and when: its steps and its meal are read where it is looked at.
        .select(state === 'cooking' ? WHOLE : { ...WHOLE, document: SLIM })
        .from(cooks)
        .where(which)
        .orderBy(desc(cooks.createdAt), desc(cooks.id))
        .limit(limit)
        .offset(offset)
      return { ...typedRows(STORED.cook, rows), total: await db.$count(cooks, which) }
    },
    has: async (id) => (await db.$count(cooks, and(mine, eq(cooks.id, id)))) > 0,
    find: async (id) => {
      const [row] = await db
        .select()
        .from(cooks)
        .where(and(mine, eq(cooks.id, id)))
      return row && typedRow(STORED.cook, row)
    },
    ofSources: async (ids) => {
      if (ids.length === 0) return []
      const source = sql<string>`(${cooks.document} -> 'source' ->> 'id')`
      return db
        .select({
          id: cooks.id,
          state: cooks.state,
          createdAt: cooks.createdAt,
          source,
          speed: sql<number>`(${cooks.document} -> 'clock' ->> 'speed')::float8`,
        })
        .from(cooks)
        .where(and(mine, isNull(cooks.archivedAt), inArray(source, [...ids])))
        .orderBy(desc(cooks.createdAt), desc(cooks.id))
        .limit(OF_SOURCES)
    },
    begin: async (document) => {
      const [row] = await db
        .insert(cooks)
        .values({ id: newId('cok'), kitchenId: kitchen.id, document })
        .returning()
      if (!row) throw new Error('a cook came back empty')
      return row
    },
    archive: async (id, away) => {
      const rows = await db
        .update(cooks)
        .set({ archivedAt: away ? sql`now()` : null })
        .where(and(mine, eq(cooks.id, id)))
        .returning({ id: cooks.id })
      return rows.length > 0
    },
    remove: async (id) => {
      const gone = await db
        .delete(cooks)
        .where(and(mine, eq(cooks.id, id)))
        .returning({ id: cooks.id })
      return gone.length > 0
    },
    setState: async (id, state) => {
      await db
        .update(cooks)
        .set({ state })
        .where(and(mine, eq(cooks.id, id)))
    },
    add: (id, added, who = '') =>
      db.transaction(async (tx) => {
        const own = and(mine, eq(cooks.id, id))
        // Under this lock places are given and kept one writer after another: a reader that has seen a place has seen all before it.
        const [cook] = await tx.select({ lastSeq: cooks.lastSeq }).from(cooks).where(own).for('update')
        if (!cook) throw new Error(`there is no cook ${id} in this kitchen`)
        const asked = and(
          eq(entries.cookId, id),
          inArray(
            entries.id,
            added.map((entry) => entry.id),
          ),
        )
        const before = new Map((await tx.select().from(entries).where(asked)).map((row) => [row.id, row]))
        const fresh = new Map<string, CookEntry>()
        const reused = new Set<string>()
        for (const entry of added) {
          const there = before.has(entry.id) ? kept(before.get(entry.id) as EntryRow).entry : fresh.get(entry.id)
          if (!there) fresh.set(entry.id, entry)
          else if (!isDeepStrictEqual(keptEntry.parse(there), keptEntry.parse(entry))) reused.add(entry.id)
        }
        if (fresh.size > 0) {
          let seq = cook.lastSeq
          const rows = [...fresh.values()].map((entry) => {
            seq += 1
            return { seq, id: entry.id, kitchenId: kitchen.id, cookId: id, entry, who }
          })
          await tx.insert(entries).values(rows)
          await tx.update(cooks).set({ lastSeq: seq }).where(own)
          await tx.execute(sql`select ${notice({ kitchen: kitchen.id, what: 'entries', id, version: 0 })}`)
        }
        const rows = await tx.select().from(entries).where(asked).orderBy(asc(entries.seq))
        return { kept: rows.filter((row) => !reused.has(row.id)).map(kept), reused: [...reused] }
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
    checks: async (most) =>
      (
        await db
          .select()
          .from(entries)
          .where(and(eq(entries.kitchenId, kitchen.id), sql`(${entries.entry} ->> 'kind') = 'calibrate'`))
          .orderBy(desc(entries.receivedAt))
          .limit(most)
      ).map((row) => kept(row).entry),
    devices: () =>
      db
        .select({ id: devices.id, name: devices.name, battery: devices.battery, seenAt: devices.seenAt })
        .from(devices)
        .where(eq(devices.kitchenId, kitchen.id))
        .orderBy(asc(devices.createdAt)),
    openDevices: () =>
      db
        .select({ id: devices.id, name: devices.name, battery: devices.battery, seenAt: devices.seenAt })
        .from(devices)
        .where(and(eq(devices.kitchenId, kitchen.id), isNull(devices.revokedAt)))
        .orderBy(asc(devices.createdAt)),
    revokeDevice: async (id) => {
      const rows = await db
        .update(devices)
        .set({ revokedAt: sql`now()` })
        .where(and(eq(devices.kitchenId, kitchen.id), eq(devices.id, id), isNull(devices.revokedAt)))
        .returning({ id: devices.id })
      if (rows.length > 0)
        await db.execute(sql`select ${notice({ kitchen: kitchen.id, what: 'access', id, version: 0 })}`)
      return rows.length > 0
    },
    addDevice: async (name, tokenHash) => {
      const [row] = await db
        .insert(devices)
        .values({ id: newId('dev'), kitchenId: kitchen.id, name, tokenHash })
        .returning()
      if (!row) throw new Error('a device came back empty')
      return row
    },
    readings: async (from, to, step_s) => {
      // Each channel's newest of each step, each found by the index: what it costs does not grow with how often a probe reads.
      const rows = await db.execute<{ device_id: string; channel: number; at_s: number; value_c: number }>(sql`
        with recursive channels as (
          select d.id as device_id, c.channel from ${devices} d,
            lateral (select r.channel from ${readings} r where r.device_id = d.id order by r.channel limit 1) c
          where d.kitchen_id = ${kitchen.id}
          union all
          select channels.device_id, c.channel from channels,
            lateral (select r.channel from ${readings} r where r.device_id = channels.device_id and r.channel > channels.channel order by r.channel limit 1) c
        ), span as (
          select channels.device_id, channels.channel,
            greatest(${from.toISOString()}::timestamptz, edge.first) as first, least(${to.toISOString()}::timestamptz, edge.last) as last
          from channels, lateral (
            select
              (select r.at from ${readings} r where r.device_id = channels.device_id and r.channel = channels.channel
                and r.at >= ${from.toISOString()}::timestamptz and r.at < ${to.toISOString()}::timestamptz order by r.at limit 1) as first,
              (select r.at from ${readings} r where r.device_id = channels.device_id and r.channel = channels.channel
                and r.at >= ${from.toISOString()}::timestamptz and r.at < ${to.toISOString()}::timestamptz order by r.at desc limit 1) as last
          ) edge where edge.first is not null
        )
        select span.device_id, span.channel, extract(epoch from r.at)::float8 as at_s, r.value_c
        from span,
          generate_series(
            floor(extract(epoch from span.first) / ${step_s}::float8)::bigint,
            floor(extract(epoch from span.last) / ${step_s}::float8)::bigint
          ) as bucket,
          lateral (
            select r.at, r.value_c from ${readings} r
            where r.device_id = span.device_id and r.channel = span.channel
              and r.at >= to_timestamp(bucket * ${step_s}::float8) and r.at < to_timestamp((bucket + 1) * ${step_s}::float8)
              and r.at < ${to.toISOString()}::timestamptz
            order by r.at desc limit 1
          ) r
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
  const [row] = await db.execute<{ id: string; kitchen_id: string }>(sql`select * from device_of_token(${tokenHash})`)
  return row && { id: row.id, kitchenId: row.kitchen_id }
}

export interface NewReading {
  readonly channel: number
  readonly seq: number
  readonly at: Date
  /** As the device said it. */
  readonly deviceAt: Date
  readonly valueC: number
}

/**
 * Keeps readings once each by device, session, channel and number, whatever their time; answers how many were new, and
 * the numbers that are another reading's. Tells the boards the newest of each channel.
 */
export async function keepReadings(
  db: Database,
  device: { readonly id: string; readonly kitchenId: string },
  added: readonly NewReading[],
  battery: number | undefined,
  session = '-',
): Promise<{ readonly kept: number; readonly reused: readonly { readonly channel: number; readonly seq: number }[] }> {
  const newest = new Map<number, NewReading>()
  for (const reading of added) {
    const last = newest.get(reading.channel)
    if (!last || last.at < reading.at) newest.set(reading.channel, reading)
  }
  const latest = [...newest.values()].map(({ channel, at, valueC }) => [channel, at.getTime() / 1000, valueC])
  const rows = await within(db, device.kitchenId).execute(sql`
    with given as (
      select * from jsonb_to_recordset(${JSON.stringify(
        added.map(({ channel, seq, at, deviceAt, valueC }) => ({
          channel,
          seq,
          at: at.toISOString(),
          device_at: deviceAt.toISOString(),
          value_c: valueC,
        })),
      )}::jsonb) as r(channel int, seq bigint, at timestamptz, device_at timestamptz, value_c real)
    ), kept as (
      insert into ${readings} (kitchen_id, device_id, session, channel, seq, at, device_at, value_c)
      select ${device.kitchenId}, ${device.id}, ${session}, channel, seq, at, device_at, value_c from given
      on conflict do nothing
      returning channel, seq, device_at, value_c
    ), there as (
      select r.channel, r.seq, r.device_at, r.value_c from given g join ${readings} r
        on r.device_id = ${device.id} and r.session = ${session} and r.channel = g.channel and r.seq = g.seq
      union all select * from kept
    ), reused as (
      select distinct g.channel, g.seq from given g join there t on t.channel = g.channel and t.seq = g.seq
        and (t.device_at <> g.device_at or t.value_c <> g.value_c)
    ), seen as (
      update ${devices} set seen_at = now(), battery = coalesce(${battery ?? null}::real, battery) where id = ${device.id}
        and (seen_at is null or seen_at < now() - interval '5 seconds')
    )
    select count(*)::int as count,
      (select coalesce(jsonb_agg(jsonb_build_object('channel', channel, 'seq', seq)), '[]') from reused) as reused, ${notice(
        {
          kitchen: device.kitchenId,
          what: 'readings',
          id: device.id,
          version: 0,
          latest,
        },
      )} from kept`)
  const [answer] = rows as unknown as [{ count: number; reused: { channel: number; seq: number }[] }]
  return { kept: answer.count, reused: answer.reused }
}
