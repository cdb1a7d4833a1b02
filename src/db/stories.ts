import { and, arrayContains, asc, count, desc, eq, gte, ilike, inArray, lt, or, type SQL, sql } from 'drizzle-orm'
import type { Facet, Facets, ListedStory, ServedDay } from '@/domain/cook/story/found'
import type { CookStory } from '@/domain/cook/story/story'
import type { TaughtItem } from '@/domain/learn/learned'
import type { Database } from './connection'
import type { KitchenRow } from './repositories'
import { cookStories, cooks } from './schema'
import { within } from './within'

type StoryRow = typeof cookStories.$inferSelect
/** What a list of stories is narrowed to. */
export interface StoryFilter {
  readonly words?: string | undefined
  readonly cut?: string | undefined
  readonly school?: string | undefined
  readonly oven?: string | undefined
  readonly supplier?: string | undefined
  readonly verdict?: 'under' | 'as_wanted' | 'over' | undefined
  readonly late?: boolean | undefined
  readonly guests?: { readonly least: number; readonly most: number } | undefined
  readonly from?: Date | undefined
  readonly before?: Date | undefined
  /** Months of the year, 1 to 12. */
  readonly months?: readonly number[] | undefined
}

/** A cook that is over and whose story is not written yet, or misses its newest entries. */
export interface Untold {
  readonly id: string
  readonly lastSeq: number
}

/** So many of each are narrowed to. */
const MOST_FACETS = 60
/** More than this is no longer called on time, minutes. */
const LATE_MIN = 10

export interface StoryShelf {
  readonly list: (
    filter: StoryFilter,
    page: { readonly limit: number; readonly offset: number },
  ) => Promise<{ readonly stories: readonly ListedStory[]; readonly total: number }>
  readonly find: (cookIds: readonly string[]) => Promise<readonly { cookId: string; seq: number; story: CookStory }[]>
  readonly facets: () => Promise<Facets>
  /** Days of a span on which something was served, in the kitchen's zone. */
  readonly days: (from: Date, before: Date) => Promise<readonly ServedDay[]>
  /** What the newest cooks taught, each roast that was read. */
  readonly taught: (most: number) => Promise<readonly TaughtItem[]>
  /** Newest first; of these cooks alone where they are named. */
  readonly untold: (most: number, of?: readonly string[]) => Promise<readonly Untold[]>
  readonly keep: (row: Omit<StoryRow, 'kitchenId'>) => Promise<void>
}

export function storyShelf(whole: Database, kitchen: KitchenRow): StoryShelf {
  const db = within(whole, kitchen.id)
  const mine = eq(cookStories.kitchenId, kitchen.id)
  const shown = sql`exists (select 1 from ${cooks} where ${cooks.id} = ${cookStories.cookId} and ${cooks.archivedAt} is null)`
  const local = sql`(${cookStories.servedAt} at time zone ${kitchen.timeZone})`
  const whichOf = (filter: StoryFilter): SQL | undefined => {
    const words = (filter.words ?? '').toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8)
    return and(
      mine,
      shown,
      // Every word said must be in it, as it is written: % and _ stand for themselves.
      ...words.map((word) => ilike(cookStories.words, `%${word.replace(/[\\%_]/g, '\\$&')}%`)),
      filter.cut ? arrayContains(cookStories.cuts, [filter.cut]) : undefined,
      filter.school ? arrayContains(cookStories.schools, [filter.school]) : undefined,
      filter.oven ? arrayContains(cookStories.ovens, [filter.oven]) : undefined,
      filter.supplier ? arrayContains(cookStories.suppliers, [filter.supplier]) : undefined,
      filter.verdict ? eq(cookStories.verdict, filter.verdict) : undefined,
      filter.late ? gte(cookStories.lateMin, LATE_MIN) : undefined,
      filter.guests
        ? and(gte(cookStories.guests, filter.guests.least), lt(cookStories.guests, filter.guests.most + 1))
        : undefined,
      filter.from ? gte(cookStories.servedAt, filter.from) : undefined,
      filter.before ? lt(cookStories.servedAt, filter.before) : undefined,
      filter.months && filter.months.length > 0
        ? or(...filter.months.map((month) => sql`extract(month from ${local}) = ${month}`))
        : undefined,
    )
  }
  return {
    list: async (filter, { limit, offset }) => {
      const which = whichOf(filter)
      const order = [desc(cookStories.servedAt), asc(cookStories.cookId)]
      // The page first: of a thousand stories only those that are shown are opened.
      const page = db
        .select({ id: cookStories.cookId })
        .from(cookStories)
        .where(which)
        .orderBy(...order)
        .limit(limit)
        .offset(offset)
      const [rows, [counted]] = await Promise.all([
        db
          .select({
            cookId: cookStories.cookId,
            servedAt: cookStories.servedAt,
            guests: cookStories.guests,
            verdict: cookStories.verdict,
            lateMin: cookStories.lateMin,
            title: sql<string>`${cookStories.story} ->> 'title'`,
            items: sql<ListedStory['items']>`(select jsonb_agg(jsonb_build_object(
              'title', item -> 'title', 'cut_name', item -> 'cut_name', 'mass_kg', item -> 'mass_kg', 'serve_c', item -> 'serve_c',
              'peak_c', item -> 'went' -> 'peak_c', 'change', item -> 'ate' -> 'change'))
              from jsonb_array_elements(${cookStories.story} -> 'items') as item)`,
          })
          .from(cookStories)
          .where(and(mine, inArray(cookStories.cookId, page)))
          .orderBy(...order),
        db.select({ many: count() }).from(cookStories).where(which),
      ])
      return { stories: rows, total: counted?.many ?? 0 }
    },
    find: async (cookIds) =>
      cookIds.length === 0
        ? []
        : db
            .select({ cookId: cookStories.cookId, seq: cookStories.seq, story: cookStories.story })
            .from(cookStories)
            .where(and(mine, inArray(cookStories.cookId, [...cookIds]))),
    facets: async () => {
      // All in one look over the stories.
      const rows = await db.execute<{ what: keyof Facets; name: string; count: number }>(sql`
        select what, name, count(*)::int as count from ${cookStories}, lateral (
          select 'cuts' as what, unnest(${cookStories.cuts}) as name
          union all select 'schools', unnest(${cookStories.schools})
          union all select 'ovens', unnest(${cookStories.ovens})
          union all select 'suppliers', unnest(${cookStories.suppliers})
        ) as each
        where ${mine} and ${shown} and name <> '' group by what, name order by 3 desc, 2`)
      const of = (what: keyof Facets): Facet[] =>
        rows
          .filter((row) => row.what === what)
          .slice(0, MOST_FACETS)
          .map(({ name, count: many }) => ({ name, count: many }))
      return { cuts: of('cuts'), schools: of('schools'), ovens: of('ovens'), suppliers: of('suppliers') }
    },
    days: async (from, before) =>
      (
        await db.execute<{ day: string; count: number }>(
          sql`select to_char(${local}, 'YYYY-MM-DD') as day, count(*)::int as count from ${cookStories} where ${mine} and ${shown} and ${gte(cookStories.servedAt, from)} and ${lt(cookStories.servedAt, before)} group by 1 order by 1`,
        )
      ).map(({ day, count: many }) => ({ day, count: many })),
    taught: async (most) =>
      db.execute<TaughtItem & Record<string, unknown>>(sql`
        select to_char(served_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as served, item ->> 'cut' as cut,
          coalesce(item ->> 'supplier', '') as supplier, item ->> 'oven' as oven, item -> 'taught' as taught
        from (select * from ${cookStories} where ${mine} and ${shown} order by ${cookStories.servedAt} desc limit ${most}) as ${cookStories},
          jsonb_array_elements(story -> 'items') as item
        where jsonb_typeof(item -> 'taught') = 'object'`),
    untold: async (most, of) => {
      // What is put away is told where it is asked for by name, and in no list.
      const among = of === undefined ? sql`c.archived_at is null` : inArray(sql`c.id`, [...of])
      // A rehearsal is nobody's dinner. That stands in the document, which is read of those alone that are not told.
      const rows = await db.execute<{ id: string; last_seq: string }>(sql`
        select id, last_seq from (
          select c.id, c.last_seq, c.created_at, c.document from ${cooks} c left join ${cookStories} s on s.cook_id = c.id
          where c.kitchen_id = ${kitchen.id} and c.state = 'done' and ${among}
            and (s.cook_id is null or s.seq < c.last_seq)
          offset 0
        ) as late
        where coalesce((document -> 'clock' ->> 'speed')::float8, 1) = 1
        order by created_at desc limit ${most}`)
      return rows.map(({ id, last_seq }) => ({ id, lastSeq: Number(last_seq) }))
    },
    keep: async (row) => {
      const { cookId, ...changed } = row
      const values = { cookId, ...changed, kitchenId: kitchen.id }
      await db
        .insert(cookStories)
        .values(values)
        .onConflictDoUpdate({
          target: cookStories.cookId,
          set: changed,
          // Told meanwhile from a longer log: that one stays.
          setWhere: sql`${mine} and ${lt(cookStories.seq, row.seq + 1)}`,
        })
    },
  }
}
