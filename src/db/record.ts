import { and, asc, desc, eq, gte, inArray, lt, sql } from 'drizzle-orm'
import { type ChainedEntry, FIRST_PREV, hashedText, type RecordEntry } from '@/domain/record/record'
import type { Database } from './connection'
import type { KitchenRow } from './repositories'
import { recordEntries } from './schema'
import { within } from './within'

/** The food-safety record of one kitchen. */
export interface RecordShelf {
  /** Adds entries in their order, each once; answers what is now kept of them, and ids that are another entry's. */
  readonly add: (
    entries: readonly RecordEntry[],
    sha256: (text: string) => string,
    /** Who entered them. */
    who?: string,
  ) => Promise<{ readonly kept: readonly ChainedEntry[]; readonly reused: readonly string[] }>
  /** Entries of a span, with everything said of them, in the order of the chain. */
  readonly span: (from: Date, before: Date) => Promise<readonly ChainedEntry[]>
  readonly all: () => Promise<readonly ChainedEntry[]>
  /** The newest, in the order of the chain. */
  readonly newest: (most: number) => Promise<readonly ChainedEntry[]>
  /** What was read of one kind since then, °C, newest first. */
  readonly readOf: (kind: RecordEntry['kind'], since: Date, most: number) => Promise<readonly number[]>
  readonly find: (id: string) => Promise<ChainedEntry | undefined>
}

const CHAINED = {
  seq: recordEntries.seq,
  entry: recordEntries.entry,
  prev: recordEntries.prev,
  hash: recordEntries.hash,
}

export function recordShelf(whole: Database, kitchen: KitchenRow): RecordShelf {
  const db = within(whole, kitchen.id)
  const mine = eq(recordEntries.kitchenId, kitchen.id)
  return {
    add: (entries, sha256, who = '') =>
      db.transaction(async (tx) => {
        // One at a time: each is bound to the one before it.
        await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${`record ${kitchen.id}`}, 0))`)
        const known = await tx
          .select(CHAINED)
          .from(recordEntries)
          .where(
            and(
              mine,
              inArray(
                recordEntries.id,
                entries.map(({ id }) => id),
              ),
            ),
          )
        const [last] = await tx
          .select(CHAINED)
          .from(recordEntries)
          .where(mine)
          .orderBy(desc(recordEntries.seq))
          .limit(1)
        let { seq, hash } = last ?? { seq: 0, hash: FIRST_PREV }
        const kept: ChainedEntry[] = []
        const reused: string[] = []
        for (const entry of entries) {
          const before = known.find((each) => each.entry.id === entry.id)
          if (before) {
            const same =
              hashedText(before.seq, before.prev, before.entry) === hashedText(before.seq, before.prev, entry)
            if (same) kept.push(before)
            else reused.push(entry.id)
            continue
          }
          seq++
          const row = { seq, entry, prev: hash, hash: sha256(hashedText(seq, hash, entry)) }
          await tx
            .insert(recordEntries)
            .values({ ...row, id: entry.id, kitchenId: kitchen.id, at: new Date(entry.at), who })
          hash = row.hash
          kept.push(row)
        }
        return { kept, reused }
      }),
    span: async (from, before) => {
      const own = await db
        .select(CHAINED)
        .from(recordEntries)
        .where(and(mine, gte(recordEntries.at, from), lt(recordEntries.at, before)))
        .orderBy(asc(recordEntries.seq))
      if (own.length === 0) return []
      const about = await db
        .select(CHAINED)
        .from(recordEntries)
        .where(
          and(
            mine,
            inArray(
              sql`${recordEntries.entry} ->> 'of'`,
              own.map(({ entry }) => entry.id),
            ),
          ),
        )
      const rows = new Map([...own, ...about].map((row) => [row.seq, row]))
      return [...rows.values()].sort((a, b) => a.seq - b.seq)
    },
    all: async () => db.select(CHAINED).from(recordEntries).where(mine).orderBy(asc(recordEntries.seq)),
    newest: async (most) =>
      (await db.select(CHAINED).from(recordEntries).where(mine).orderBy(desc(recordEntries.seq)).limit(most)).reverse(),
    readOf: async (kind, since, most) =>
      (
        await db
          .select({ entry: recordEntries.entry })
          .from(recordEntries)
          .where(and(mine, gte(recordEntries.at, since), eq(sql`${recordEntries.entry} ->> 'kind'`, kind)))
          .orderBy(desc(recordEntries.at))
          .limit(most)
      ).flatMap(({ entry }) => entry.value_c ?? []),
    find: async (id) =>
      (
        await db
          .select(CHAINED)
          .from(recordEntries)
          .where(and(mine, eq(recordEntries.id, id)))
      )[0],
  }
}
