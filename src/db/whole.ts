import { and, asc, count, eq, gt, sql } from 'drizzle-orm'
import type { CookEntry } from '@/domain/cook/cook-document'
import type { ChainedEntry } from '@/domain/record/record'
import type { ReadingRow } from '@/domain/whole/whole'
import type { Database } from './connection'
import type { KitchenRow } from './repositories'
import { cooks, devices, entries, photos, plans, planVersions, readings, recordEntries } from './schema'

/** A whole kitchen read out part by part, and taken in within one transaction. */

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0]
/** Whatever reads and writes: the database, or a transaction on it. */
type Session = Database | Transaction
const PART = 200
const READINGS_PART = 20_000

/** Rows by their ids, so many at a time: what is read out is never held whole. */
async function* byId<Row extends { readonly id: string }>(
  part: (after: string) => Promise<readonly Row[]>,
): AsyncGenerator<Row> {
  let after = ''
  for (;;) {
    const rows = await part(after)
    yield* rows
    const last = rows.at(-1)
    if (!last) return
    after = last.id
  }
}

export function wholeKitchen(db: Session, kitchen: KitchenRow) {
  return {
    plans: () =>
      byId((after) =>
        db
          .select()
          .from(plans)
          .where(and(eq(plans.kitchenId, kitchen.id), gt(plans.id, after)))
          .orderBy(asc(plans.id))
          .limit(PART),
      ),
    versions: (planId: string) =>
      db
        .select()
        .from(planVersions)
        .where(and(eq(planVersions.kitchenId, kitchen.id), eq(planVersions.planId, planId)))
        .orderBy(asc(planVersions.createdAt), asc(planVersions.id)),
    cooks: () =>
      byId((after) =>
        db
          .select()
          .from(cooks)
          .where(and(eq(cooks.kitchenId, kitchen.id), gt(cooks.id, after)))
          .orderBy(asc(cooks.id))
          .limit(PART),
      ),
    entries: (cookId: string) =>
      db
        .select({ entry: entries.entry, receivedAt: entries.receivedAt })
        .from(entries)
        .where(and(eq(entries.kitchenId, kitchen.id), eq(entries.cookId, cookId)))
        .orderBy(asc(entries.seq)),
    devices: () => db.select().from(devices).where(eq(devices.kitchenId, kitchen.id)).orderBy(asc(devices.id)),
    async *readings(deviceId: string) {
      let after = { session: '', channel: -1, seq: -1 }
      for (;;) {
        const rows = await db
          .select({
            session: readings.session,
            channel: readings.channel,
            seq: readings.seq,
            at: readings.at,
            deviceAt: readings.deviceAt,
            valueC: readings.valueC,
          })
          .from(readings)
          .where(
            and(
              eq(readings.deviceId, deviceId),
              sql`(${readings.session}, ${readings.channel}, ${readings.seq}) > (${after.session}, ${after.channel}, ${after.seq})`,
            ),
          )
          .orderBy(asc(readings.session), asc(readings.channel), asc(readings.seq))
          .limit(READINGS_PART)
        if (rows.length === 0) return
        yield rows
        after = rows.at(-1) as typeof after
      }
    },
    photos: () =>
      byId((after) =>
        db
          .select()
          .from(photos)
          .where(and(eq(photos.kitchenId, kitchen.id), gt(photos.id, after)))
          .orderBy(asc(photos.id))
          .limit(8),
      ),
  }
}

/** Where something of another installation stands here: under its own id, or under another where that is taken. */
export interface Place {
  readonly id: string
  readonly there: boolean
}

type Held = 'plan' | 'version' | 'cook' | 'device' | 'photo'

/**
 * Takes parts of another kitchen in.
 *
 * @param derived another id for one that another kitchen of this installation has; always the same one
 */
export function intake(tx: Transaction, kitchen: KitchenRow, derived: (id: string) => string) {
  const own = { kitchenId: kitchen.id }
  const holder = async (what: Held, id: string) => {
    const [row] = await tx.execute<{ holder: string | null }>(sql`select holder_of(${what}, ${id}) as holder`)
    return row?.holder ?? undefined
  }
  const place = async (what: Held, id: string): Promise<Place> => {
    const held = await holder(what, id)
    if (held === undefined || held === kitchen.id) return { id, there: held !== undefined }
    return { id: derived(id), there: (await holder(what, derived(id))) !== undefined }
  }
  return {
    place,
    planVersion: async (id: string) =>
      (await tx.select({ version: plans.version }).from(plans).where(eq(plans.id, id)))[0]?.version,
    addPlan: async (
      row: typeof plans.$inferInsert,
      versions: readonly Omit<typeof planVersions.$inferInsert, 'kitchenId' | 'planId'>[],
    ) => {
      await tx.insert(plans).values({ ...row, ...own })
      for (const version of versions) {
        const { id } = await place('version', version.id)
        await tx.insert(planVersions).values({ ...version, ...own, id, planId: row.id })
      }
    },
    addCook: (row: Omit<typeof cooks.$inferInsert, 'kitchenId' | 'lastSeq'>) =>
      tx.insert(cooks).values({ ...row, ...own }),
    /** Adds the entries that are not there, behind those that are; answers how many. */
    addEntries: async (
      cookId: string,
      added: readonly { readonly entry: CookEntry; readonly received_at: string }[],
    ) => {
      if (added.length === 0) return 0
      const [cook] = await tx.select({ lastSeq: cooks.lastSeq }).from(cooks).where(eq(cooks.id, cookId)).for('update')
      const known = new Set(
        (await tx.select({ id: entries.id }).from(entries).where(eq(entries.cookId, cookId))).map(({ id }) => id),
      )
      let seq = cook?.lastSeq ?? 0
      const fresh = added.filter(({ entry }) => !known.has(entry.id) && known.add(entry.id))
      const rows = fresh.map(({ entry, received_at }) => {
        seq += 1
        return { seq, id: entry.id, ...own, cookId, entry, receivedAt: new Date(received_at) }
      })
      for (let i = 0; i < rows.length; i += 1000) await tx.insert(entries).values(rows.slice(i, i + 1000))
      if (rows.length > 0) await tx.update(cooks).set({ lastSeq: seq }).where(eq(cooks.id, cookId))
      return rows.length
    },
    /** A probe as it was called; its token is not among what is taken along, so nobody sends for it any more. */
    addDevice: (id: string, name: string, createdAt: Date, tokenHash: string) =>
      tx.insert(devices).values({ id, ...own, name, tokenHash, createdAt, revokedAt: new Date() }),
    /** Adds readings that are not there; answers how many. */
    addReadings: async (deviceId: string, rows: readonly ReadingRow[]) => {
      const [kept] = await tx.execute<{ count: number }>(sql`
        with added as (
          insert into ${readings} (kitchen_id, device_id, session, channel, seq, at, device_at, value_c)
          select ${kitchen.id}, ${deviceId}, session, channel, seq, at, device_at, value_c
          from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb)
            as r(session text, channel int, seq bigint, at timestamptz, device_at timestamptz, value_c real)
          on conflict do nothing returning 1
        ) select count(*)::int as count from added`)
      return kept?.count ?? 0
    },
    addPhoto: async (row: Omit<typeof photos.$inferInsert, 'kitchenId'>) =>
      (
        await tx
          .insert(photos)
          .values({ ...row, ...own })
          .onConflictDoNothing()
          .returning({ id: photos.id })
      ).length > 0,
    recordLength: async () =>
      (await tx.select({ count: count() }).from(recordEntries).where(eq(recordEntries.kitchenId, kitchen.id)))[0]
        ?.count ?? 0,
    recordAt: async (seq: number) =>
      (
        await tx
          .select({ hash: recordEntries.hash })
          .from(recordEntries)
          .where(and(eq(recordEntries.kitchenId, kitchen.id), eq(recordEntries.seq, seq)))
      )[0]?.hash,
    addRecord: async (chain: readonly ChainedEntry[]) => {
      for (let i = 0; i < chain.length; i += 500)
        await tx.insert(recordEntries).values(
          chain.slice(i, i + 500).map(({ seq, entry, prev, hash }) => ({
            ...own,
            seq,
            id: entry.id,
            at: new Date(entry.at),
            entry,
            prev,
            hash,
          })),
        )
    },
  }
}
