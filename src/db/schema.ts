import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  check,
  customType,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  real,
  text,
  timestamp,
  unique,
  uniqueIndex,
} from 'drizzle-orm/pg-core'
import type { CookDocument, CookEntry } from '@/domain/cook/cook-document'
import type { CookStory } from '@/domain/cook/story/story'
import type { HouseItemDocument } from '@/domain/house/house-item'
import type { Equipment, MealDocument } from '@/domain/meal/meal-document'
import type { PlanSummary } from '@/domain/plan/summary'
import type { RecordEntry, RecordPlan } from '@/domain/record/record'
import type { PlanDocument } from '@/domain/roast/roast-document'

/** Every table hangs from a kitchen; every query goes through one kitchen's scope (repositories.ts). */

const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' })

export const kitchens = pgTable(
  'kitchens',
  {
    id: text('id').primaryKey(),
    slug: text('slug').notNull().unique(),
    name: text('name').notNull(),
    timeZone: text('time_zone').notNull(),
    temperatureUnit: text('temperature_unit', { enum: ['c', 'f', 'gas'] })
      .notNull()
      .default('c'),
    massUnit: text('mass_unit', { enum: ['kg', 'lb'] })
      .notNull()
      .default('kg'),
    clock: text('clock', { enum: ['24h', '12h'] })
      .notNull()
      .default('24h'),
    /** Whether 3/11 is in November or in March, here. */
    dateOrder: text('date_order', { enum: ['dmy', 'mdy'] })
      .notNull()
      .default('dmy'),
    /** Ovens, cooks and the rest, for a meal that starts from nothing. */
    equipment: jsonb('equipment').$type<Equipment>(),
    /** Its food-safety plan; null: it keeps no record. */
    recordPlan: jsonb('record_plan').$type<RecordPlan>(),
    /** What of its cooks' lessons plans do without, by their keys. */
    learningOff: text('learning_off').array().notNull().default(sql`'{}'::text[]`),
    /** Who looks at a shared tablet says who they are by a number of their own. */
    pins: boolean('pins').notNull().default(false),
    /** Closed: nobody's any more, kept for its record. */
    closedAt: at('closed_at'),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    check('kitchens_units', sql`${table.temperatureUnit} in ('c', 'f', 'gas') and ${table.massUnit} in ('kg', 'lb')`),
    check('kitchens_clock', sql`${table.clock} in ('24h', '12h')`),
    check('kitchens_date_order', sql`${table.dateOrder} in ('dmy', 'mdy')`),
  ],
)

export const plans = pgTable(
  'plans',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id, { onDelete: 'cascade' }),
    /** One roast, or a whole meal. */
    kind: text('kind', { enum: ['roast', 'meal'] })
      .notNull()
      .default('roast'),
    /** Counts up with every save; a save must name the version it started from. */
    version: integer('version').notNull().default(1),
    promiseAt: at('promise_at').notNull(),
    document: jsonb('document').$type<PlanDocument | MealDocument>().notNull(),
    createdAt: at('created_at').notNull().defaultNow(),
    updatedAt: at('updated_at').notNull().defaultNow(),
    /** Put away: kept, and not listed. */
    archivedAt: at('archived_at'),
  },
  (table) => [
    check('plans_kind', sql`${table.kind} in ('roast', 'meal')`),
    unique('plans_kitchen_id_id').on(table.kitchenId, table.id),
    index('plans_kitchen_promise').on(table.kitchenId, table.kind, table.promiseAt),
    check('plans_version_positive', sql`${table.version} > 0`),
  ],
)

/** What a list shows of a plan, computed once for a version by one model; gone when either is another. */
export const planSummaries = pgTable(
  'plan_summaries',
  {
    planId: text('plan_id').primaryKey(),
    kitchenId: text('kitchen_id').notNull(),
    version: integer('version').notNull(),
    /** Which code computed it. */
    model: text('model').notNull(),
    /** null: this document makes no plan. */
    summary: jsonb('summary').$type<PlanSummary>(),
  },
  (table) => [
    foreignKey({
      name: 'plan_summaries_plan',
      columns: [table.kitchenId, table.planId],
      foreignColumns: [plans.kitchenId, plans.id],
    }).onDelete('cascade'),
  ],
)

/** A kitchen's own cuts, programs and ways of doing it, beside those everyone has. */
export const houseItems = pgTable(
  'house_items',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id, { onDelete: 'cascade' }),
    kind: text('kind', { enum: ['cut', 'program', 'way', 'standard'] }).notNull(),
    name: text('name').notNull(),
    document: jsonb('document').$type<HouseItemDocument>().notNull(),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    unique('house_items_name').on(table.kitchenId, table.kind, table.name),
    check('house_items_kind', sql`${table.kind} in ('cut', 'program', 'way', 'standard')`),
  ],
)

/** Who changed what of a house's cuts, programs, ways and standards, and when. Only ever added to. */
export const houseChanges = pgTable(
  'house_changes',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id, { onDelete: 'cascade' }),
    at: at('at').notNull().defaultNow(),
    /** As they say they are called; empty where they did not. */
    by: text('by').notNull(),
    /** The person or tablet that was signed in. */
    who: text('who').notNull().default(''),
    kind: text('kind').notNull(),
    name: text('name').notNull(),
    /** null: there was none, or there is none any more. */
    before: jsonb('before').$type<HouseItemDocument>(),
    after: jsonb('after').$type<HouseItemDocument>(),
  },
  (table) => [index('house_changes_at').on(table.kitchenId, table.at)],
)

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' })

/** A picture of how it came out: made anew from what was sent, without where and with what it was taken. */
export const photos = pgTable(
  'photos',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id').notNull(),
    cookId: text('cook_id').notNull(),
    item: text('item').notNull(),
    at: at('at').notNull().defaultNow(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    /** SHA-256 of the picture as it is kept: the same one is kept once. */
    hash: text('hash').notNull(),
    picture: bytea('picture').notNull(),
  },
  (table) => [
    foreignKey({
      name: 'photos_cook',
      columns: [table.kitchenId, table.cookId],
      foreignColumns: [cooks.kitchenId, cooks.id],
    }).onDelete('cascade'),
    unique('photos_once').on(table.cookId, table.item, table.hash),
    check('photos_size', sql`${table.width} > 0 and ${table.height} > 0 and octet_length(${table.picture}) < 2000000`),
  ],
)

/** A cook under way or over: what was planned when it began. What happened stands in its entries. */
export const cooks = pgTable(
  'cooks',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id, { onDelete: 'cascade' }),
    state: text('state', { enum: ['cooking', 'done'] })
      .notNull()
      .default('cooking'),
    document: jsonb('document').$type<CookDocument>().notNull(),
    /** Place of its newest entry: counted up under this row's lock. */
    lastSeq: bigint('last_seq', { mode: 'number' }).notNull().default(0),
    createdAt: at('created_at').notNull().defaultNow(),
    /** Put away: kept, and not listed. */
    archivedAt: at('archived_at'),
  },
  (table) => [
    unique('cooks_kitchen_id_id').on(table.kitchenId, table.id),
    index('cooks_kitchen_state').on(table.kitchenId, table.state, table.createdAt),
    index('cooks_source').on(table.kitchenId, sql`(${table.document} -> 'source' ->> 'id')`),
    check('cooks_state', sql`${table.state} in ('cooking', 'done')`),
  ],
)

/** A cook that is over, as the logbook has it: what it is found by, and its whole story; made from its log and readings. */
export const cookStories = pgTable(
  'cook_stories',
  {
    cookId: text('cook_id').primaryKey(),
    kitchenId: text('kitchen_id').notNull(),
    /** Place of the newest entry that is in it. */
    seq: bigint('seq', { mode: 'number' }).notNull(),
    servedAt: at('served_at').notNull(),
    /** Title, cuts and the rest, in small letters: what a search looks in. */
    words: text('words').notNull(),
    cuts: text('cuts').array().notNull(),
    schools: text('schools').array().notNull(),
    ovens: text('ovens').array().notNull(),
    suppliers: text('suppliers').array().notNull(),
    guests: integer('guests'),
    verdict: text('verdict', { enum: ['under', 'as_wanted', 'over'] }),
    lateMin: real('late_min'),
    story: jsonb('story').$type<CookStory>().notNull(),
  },
  (table) => [
    foreignKey({
      name: 'cook_stories_cook',
      columns: [table.kitchenId, table.cookId],
      foreignColumns: [cooks.kitchenId, cooks.id],
    }).onDelete('cascade'),
    index('cook_stories_kitchen_served').on(table.kitchenId, table.servedAt),
    check('cook_stories_verdict', sql`${table.verdict} in ('under', 'as_wanted', 'over')`),
  ],
)

/** What somebody did or saw. Only ever added to: a correction is a new entry. */
export const entries = pgTable(
  'entries',
  {
    /** Its place in its cook's log: no place is seen before all earlier ones are. */
    seq: bigint('seq', { mode: 'number' }).notNull(),
    /** Made where it happened: sent twice it is kept once. */
    id: text('id').notNull(),
    kitchenId: text('kitchen_id').notNull(),
    cookId: text('cook_id').notNull(),
    entry: jsonb('entry').$type<CookEntry>().notNull(),
    /** The person or tablet that sent it. */
    who: text('who').notNull().default(''),
    receivedAt: at('received_at').notNull().defaultNow(),
  },
  (table) => [
    foreignKey({
      name: 'entries_cook',
      columns: [table.kitchenId, table.cookId],
      foreignColumns: [cooks.kitchenId, cooks.id],
    }).onDelete('cascade'),
    primaryKey({ name: 'entries_place', columns: [table.cookId, table.seq] }),
    index('entries_checks').on(table.kitchenId, table.receivedAt).where(sql`(${table.entry} ->> 'kind') = 'calibrate'`),
    unique('entries_once').on(table.cookId, table.id),
    check('entries_seq_positive', sql`${table.seq} > 0`),
  ],
)

/** A probe station that may send readings to one kitchen. */
export const devices = pgTable(
  'devices',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    /** SHA-256 of its token; the token itself is shown once. */
    tokenHash: text('token_hash').notNull().unique(),
    battery: real('battery'),
    seenAt: at('seen_at'),
    /** When its token was taken back: it opens nothing any more. */
    revokedAt: at('revoked_at'),
    createdAt: at('created_at').notNull().defaultNow(),
    /** Up to here its readings are thinned to a few a minute; and to a few in five. */
    thinnedTo: at('thinned_to'),
    thinnedFarTo: at('thinned_far_to'),
  },
  (table) => [
    index('devices_kitchen').on(table.kitchenId),
    check('devices_battery', sql`${table.battery} between 0 and 1`),
  ],
)

/** Probe readings, partitioned by device (migration 0004): one of a device's session, channel and number, whatever its time. */
export const readings = pgTable(
  'readings',
  {
    kitchenId: text('kitchen_id').notNull(),
    deviceId: text('device_id')
      .notNull()
      .references(() => devices.id, { onDelete: 'cascade' }),
    /** Whose count the number is. */
    session: text('session').notNull().default('-'),
    channel: integer('channel').notNull(),
    seq: bigint('seq', { mode: 'number' }).notNull(),
    /** When it was, by the server's clock. */
    at: at('at').notNull(),
    /** When it was, as the device said: sent again it says the same. */
    deviceAt: at('device_at').notNull(),
    valueC: real('value_c').notNull(),
  },
  (table) => [
    primaryKey({ name: 'readings_once', columns: [table.deviceId, table.session, table.channel, table.seq] }),
    index('readings_device_at').on(table.deviceId, table.channel, table.at),
    check('readings_possible', sql`${table.valueC} between -60 and 500`),
  ],
)

/** Every text a plan has had, and those that were refused because another came first. Never changed, only added. */
export const planVersions = pgTable(
  'plan_versions',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id').notNull(),
    planId: text('plan_id').notNull(),
    /** The version it became, or, when it was set aside, the version it started from. */
    version: integer('version').notNull(),
    state: text('state', { enum: ['saved', 'set_aside'] }).notNull(),
    document: jsonb('document').$type<PlanDocument | MealDocument>().notNull(),
    /** The person or tablet that saved it. */
    who: text('who').notNull().default(''),
    createdAt: at('created_at').notNull().defaultNow(),
    /** When a version set aside was looked at and taken or let go. */
    settledAt: at('settled_at'),
  },
  (table) => [
    check('plan_versions_state', sql`${table.state} in ('saved', 'set_aside') and ${table.version} > 0`),
    foreignKey({
      name: 'plan_versions_plan',
      columns: [table.kitchenId, table.planId],
      foreignColumns: [plans.kitchenId, plans.id],
    }).onDelete('cascade'),
    uniqueIndex('plan_versions_saved_once').on(table.planId, table.version).where(sql`${table.state} = 'saved'`),
    index('plan_versions_plan_state').on(table.kitchenId, table.planId, table.state),
  ],
)

/** The food-safety record: each entry bound to the one before it by its hash. Only ever added to. */
export const recordEntries = pgTable(
  'record_entries',
  {
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id),
    seq: bigint('seq', { mode: 'number' }).notNull(),
    id: text('id').notNull(),
    at: at('at').notNull(),
    entry: jsonb('entry').$type<RecordEntry>().notNull(),
    /** The person or tablet that entered it: beside the chain, which says who measured. */
    who: text('who').notNull().default(''),
    prev: text('prev').notNull(),
    hash: text('hash').notNull(),
    receivedAt: at('received_at').notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ name: 'record_entries_place', columns: [table.kitchenId, table.seq] }),
    unique('record_entries_once').on(table.kitchenId, table.id),
    index('record_entries_at').on(table.kitchenId, table.at),
    check('record_entries_hashes', sql`length(${table.hash}) = 64 and length(${table.prev}) = 64 and ${table.seq} > 0`),
  ],
)
