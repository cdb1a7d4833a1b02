import { isDeepStrictEqual } from 'node:util'
import { and, asc, desc, eq, gte, inArray, isNotNull, isNull, lt, type SQL, sql } from 'drizzle-orm'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import type { Customs } from '@/domain/house/customs'
import type { HouseItem, HouseItemDocument } from '@/domain/house/house-item'
import type { Equipment, MealDocument } from '@/domain/meal/meal-document'
import type { PlanSummary } from '@/domain/plan/summary'
import type { RecordPlan } from '@/domain/record/record'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { readStored, STORED, type StoredKind } from '@/domain/stored/stored'
import type { Database } from './connection'
import { newId } from './ids'
import { addresses, invitations, members, tablets } from './people-schema'
import { cooks, devices, houseChanges, houseItems, kitchens, planSummaries, plans, planVersions } from './schema'
import { type Listed, typedRow, typedRows } from './stored'
import { within } from './within'

export type KitchenRow = typeof kitchens.$inferSelect
type AnyPlanRow = typeof plans.$inferSelect
type AnyVersionRow = typeof planVersions.$inferSelect
export type HouseChange = typeof houseChanges.$inferSelect
type With<Row, Document> = Omit<Row, 'document'> & { document: Document }
/** A plan of one roast, and a version of one. */
export type PlanRow = With<AnyPlanRow, PlanDocument>
export type PlanVersionRow = With<AnyVersionRow, PlanDocument>
/** A whole meal, and a version of one. */
export type MealRow = With<AnyPlanRow, MealDocument>
export type MealVersionRow = With<AnyVersionRow, MealDocument>

/** The kitchens of this house, oldest first, without those that were given up. */
export const listKitchens = (db: Database): Promise<KitchenRow[]> =>
  db.select().from(kitchens).where(isNull(kitchens.closedAt)).orderBy(asc(kitchens.createdAt), asc(kitchens.id))

/** A kitchen is given up: what is in it goes, and every way into it; what its record holds stays. */
export const closeKitchen = (db: Database, kitchen: KitchenRow): Promise<void> =>
  within(db, kitchen.id).transaction(async (tx) => {
    const mine = <Table extends { kitchenId: AnyPgColumn }>(table: Table) => eq(table.kitchenId, kitchen.id)
    for (const table of [members, invitations, tablets, addresses, cooks, plans, houseItems] as const)
      await tx.delete(table).where(mine(table))
    await tx.update(devices).set({ revokedAt: sql`now()` }).where(mine(devices))
    await tx
      .update(kitchens)
      .set({ closedAt: sql`now()`, slug: `${kitchen.slug}-closed-${kitchen.id}` })
      .where(eq(kitchens.id, kitchen.id))
    await tx.execute(sql`select ${notice({ kitchen: kitchen.id, what: 'access', id: '', version: 0 })}`)
  })

type NewKitchen = Omit<typeof kitchens.$inferInsert, 'id'>

/** Adds a kitchen; undefined where its slug is taken. */
export async function addKitchen(db: Database, kitchen: NewKitchen): Promise<KitchenRow | undefined> {
  const [row] = await db
    .insert(kitchens)
    .values({ ...kitchen, id: newId('kit') })
    .onConflictDoNothing({ target: kitchens.slug })
    .returning()
  return row
}

/** Adds a kitchen unless its slug is taken; answers the row either way. */
export async function ensureKitchen(db: Database, kitchen: NewKitchen): Promise<KitchenRow> {
  const added = await addKitchen(db, kitchen)
  const row = added ?? (await db.select().from(kitchens).where(eq(kitchens.slug, kitchen.slug)))[0]
  if (!row) throw new Error(`kitchen ${kitchen.slug} was neither added nor found`)
  return row
}

export type SaveResult<Document = PlanDocument> =
  | { readonly outcome: 'saved'; readonly row: With<AnyPlanRow, Document> }
  | {
      readonly outcome: 'stale'
      readonly current: With<AnyPlanRow, Document>
      readonly setAside: With<AnyVersionRow, Document>
    }
  | { readonly outcome: 'missing' }

/** Part of a list: what is promised from a moment on, soonest first; or before it, latest first. */
export interface Page {
  readonly from?: Date
  readonly before?: Date
  readonly archived?: boolean
  readonly limit: number
  readonly offset: number
}

/** Documents of one kind in one kitchen, each with its versions. */
export interface Shelf<Document> {
  readonly list: (page: Page) => Promise<Listed<With<AnyPlanRow, Document>> & { readonly total: number }>
  readonly find: (id: string) => Promise<With<AnyPlanRow, Document> | undefined>
  /** Whether it is there, without reading its document. */
  readonly has: (id: string) => Promise<boolean>
  readonly add: (document: Document) => Promise<With<AnyPlanRow, Document>>
  /** Saves over the version it started from; a stale save is kept beside, not written over. */
  readonly save: (id: string, baseVersion: number, document: Document) => Promise<SaveResult<Document>>
  readonly listSetAside: (id: string) => Promise<With<AnyVersionRow, Document>[]>
  readonly listVersions: (id: string) => Promise<With<AnyVersionRow, Document>[]>
  /** Puts it away or takes it out again; false where there is none. */
  readonly archive: (id: string, away: boolean) => Promise<boolean>
  /** Takes it away with all its versions; false where there is none. */
  readonly remove: (id: string) => Promise<boolean>
}

/** Who does it: what is kept says so. */
export interface Who {
  /** A person's id, a tablet's, or what else it is that does it. */
  readonly id: string
  readonly name: string
}
/** The house itself: its demo, its jobs. */
export const NOBODY: Who = { id: 'house', name: '' }

/** Everything one kitchen may see and change. There is no other way to a kitchen's rows. */
export interface KitchenScope {
  readonly kitchen: KitchenRow
  readonly who: Who
  readonly plans: Shelf<PlanDocument>
  readonly meals: Shelf<MealDocument>
  readonly setEquipment: (equipment: Equipment) => Promise<void>
  readonly setCustoms: (customs: Customs) => Promise<void>
  /** Whether shared tablets ask for a number. */
  readonly setPins: (on: boolean) => Promise<void>
  /** Its food-safety plan. */
  readonly setRecordPlan: (plan: RecordPlan) => Promise<void>
  /** Plans go by a lesson of its cooks, or do without it. */
  readonly setLearning: (key: string, on: boolean) => Promise<void>
  /** Summaries of plans as they now stand, by id; those of another version or model are not among them. */
  readonly summaries: (
    rows: readonly Pick<AnyPlanRow, 'id' | 'version'>[],
    model: string,
  ) => Promise<ReadonlyMap<string, PlanSummary | null>>
  readonly keepSummary: (
    row: Pick<AnyPlanRow, 'id' | 'version'>,
    model: string,
    summary: PlanSummary | null,
  ) => Promise<void>
  readonly listHouseItems: () => Promise<HouseItem[]>
  /** Adds a house cut or program; one of the same kind and name is replaced. */
  readonly putHouseItem: (document: HouseItemDocument, by: string) => Promise<HouseItem>
  readonly removeHouseItem: (id: string, by: string) => Promise<boolean>
  /** Who changed what of them, newest first. */
  readonly houseChanges: (most: number) => Promise<readonly HouseChange[]>
  /** Marks a set-aside version as dealt with; answers false when there was none open. */
  readonly settle: (planId: string, versionId: string) => Promise<boolean>
}

/** A kitchen whose equipment cannot be read starts from a plain one again. */
const readKitchen = (row: KitchenRow): KitchenRow => {
  const equipment = row.equipment === null ? undefined : readStored(STORED.equipment, row.equipment)
  return { ...row, equipment: equipment?.ok ? equipment.value : null }
}

/** Opens the scope of one kitchen; undefined when there is no such kitchen. */
export async function openKitchen(db: Database, slug: string, who: Who = NOBODY): Promise<KitchenScope | undefined> {
  const [kitchen] = await db
    .select()
    .from(kitchens)
    .where(and(eq(kitchens.slug, slug), isNull(kitchens.closedAt)))
  return kitchen && scopeOf(db, readKitchen(kitchen), who)
}

/** Tells every listener of the kitchen that something was saved: who listens asks again. */
export const CHANNEL = 'pheasant_changes'

/** The call that tells them, for a statement of its own or within one; sent when the transaction is kept. */
export const notice = (change: {
  readonly kitchen: string
  readonly what: string
  readonly id: string
  readonly version: number
  readonly latest?: readonly (readonly number[])[]
}): SQL => sql`pg_notify(${CHANNEL}, ${JSON.stringify(change)})`

interface Kind<Document> {
  readonly kind: AnyPlanRow['kind']
  readonly stored: StoredKind<Document>
  readonly promiseOf: (document: Document) => Date
}
const ROASTS: Kind<PlanDocument> = {
  kind: 'roast',
  stored: STORED.roast,
  promiseOf: ({ promise }) => new Date(promise),
}
const MEALS: Kind<MealDocument> = {
  kind: 'meal',
  stored: STORED.meal,
  promiseOf: ({ servings }) => new Date(Math.min(...servings.map(({ at }) => Date.parse(at)))),
}

/** How each kind of plan is read, and when it is promised; by its name in the table. */
export const PLAN_KINDS = { roast: ROASTS, meal: MEALS } as const

function shelfOf<Document extends PlanDocument | MealDocument>(
  db: Database,
  kitchen: KitchenRow,
  who: Who,
  { kind, stored, promiseOf }: Kind<Document>,
): Shelf<Document> {
  const mine = and(eq(plans.kitchenId, kitchen.id), eq(plans.kind, kind))
  const versionOf = (planId: string) => and(eq(planVersions.kitchenId, kitchen.id), eq(planVersions.planId, planId))
  const typed = <Row extends { id: string; document: unknown }>(row: Row): With<Row, Document> => typedRow(stored, row)
  const version = (
    tx: Pick<Database, 'insert'>,
    planId: string,
    number: number,
    state: AnyVersionRow['state'],
    document: Document,
  ) =>
    tx
      .insert(planVersions)
      .values({ id: newId('pvr'), kitchenId: kitchen.id, planId, version: number, state, document, who: who.id })
      .returning()
  const tell = (tx: Pick<Database, 'execute'>, planId: string, number: number) =>
    tx.execute(sql`select ${notice({ kitchen: kitchen.id, what: kind, id: planId, version: number })}`)
  return {
    list: async ({ from, before, archived = false, limit, offset }) => {
      const which = and(
        mine,
        archived ? isNotNull(plans.archivedAt) : isNull(plans.archivedAt),
        from && gte(plans.promiseAt, from),
        before && lt(plans.promiseAt, before),
      )
      const order = before ? [desc(plans.promiseAt), desc(plans.id)] : [asc(plans.promiseAt), asc(plans.id)]
      const rows = await db
        .select()
        .from(plans)
        .where(which)
        .orderBy(...order)
        .limit(limit)
        .offset(offset)
      return { ...typedRows(stored, rows), total: await db.$count(plans, which) }
    },
    has: async (id) => (await db.$count(plans, and(mine, eq(plans.id, id)))) > 0,
    find: async (id) =>
      (
        await db
          .select()
          .from(plans)
          .where(and(mine, eq(plans.id, id)))
      ).map(typed)[0],
    add: (document) =>
      db.transaction(async (tx) => {
        const [row] = await tx
          .insert(plans)
          .values({ id: newId('pln'), kitchenId: kitchen.id, kind, promiseAt: promiseOf(document), document })
          .returning()
        if (!row) throw new Error('an inserted plan came back empty')
        await version(tx, row.id, row.version, 'saved', document)
        await tell(tx, row.id, row.version)
        return typed(row)
      }),
    save: (id, baseVersion, document) =>
      db.transaction(async (tx): Promise<SaveResult<Document>> => {
        const [row] = await tx
          .update(plans)
          .set({ document, promiseAt: promiseOf(document), version: sql`${plans.version} + 1`, updatedAt: sql`now()` })
          .where(and(mine, eq(plans.id, id), eq(plans.version, baseVersion)))
          .returning()
        if (row) {
          await version(tx, id, row.version, 'saved', document)
          await tell(tx, id, row.version)
          return { outcome: 'saved', row: typed(row) }
        }
        const [current] = await tx
          .select()
          .from(plans)
          .where(and(mine, eq(plans.id, id)))
        if (!current) return { outcome: 'missing' }
        const [setAside] = await version(tx, id, baseVersion, 'set_aside', document)
        if (!setAside) throw new Error('an inserted version came back empty')
        return { outcome: 'stale', current: typed(current), setAside: typed(setAside) }
      }),
    listSetAside: async (planId) =>
      (
        await db
          .select()
          .from(planVersions)
          .where(and(versionOf(planId), eq(planVersions.state, 'set_aside'), isNull(planVersions.settledAt)))
          .orderBy(desc(planVersions.createdAt))
      ).flatMap((row) => typedRows(stored, [row]).rows),
    listVersions: async (planId) =>
      (await db.select().from(planVersions).where(versionOf(planId)).orderBy(asc(planVersions.createdAt))).flatMap(
        (row) => typedRows(stored, [row]).rows,
      ),
    archive: (id, away) =>
      db.transaction(async (tx) => {
        const [row] = await tx
          .update(plans)
          .set({ archivedAt: away ? sql`now()` : null })
          .where(and(mine, eq(plans.id, id)))
          .returning({ version: plans.version })
        if (row) await tell(tx, id, row.version)
        return row !== undefined
      }),
    remove: async (id) => {
      const gone = await db
        .delete(plans)
        .where(and(mine, eq(plans.id, id)))
        .returning({ id: plans.id })
      return gone.length > 0
    },
  }
}

function scopeOf(whole: Database, kitchen: KitchenRow, who: Who): KitchenScope {
  const db = within(whole, kitchen.id)
  const changed = (
    tx: Pick<Database, 'insert'>,
    by: string,
    before: HouseItemDocument | undefined,
    after: HouseItemDocument | undefined,
  ) => {
    const { kind, name } = (after ?? before) as HouseItemDocument
    return tx
      .insert(houseChanges)
      .values({ id: newId('chg'), kitchenId: kitchen.id, by, who: who.id, kind, name, before, after })
  }
  return {
    kitchen,
    who,
    plans: shelfOf(db, kitchen, who, ROASTS),
    meals: shelfOf(db, kitchen, who, MEALS),
    setPins: async (on) => {
      await db.update(kitchens).set({ pins: on }).where(eq(kitchens.id, kitchen.id))
    },
    setRecordPlan: async (plan) => {
      await db.update(kitchens).set({ recordPlan: plan }).where(eq(kitchens.id, kitchen.id))
    },
    setLearning: async (key, on) => {
      const without = sql`array_remove(${kitchens.learningOff}, ${key})`
      await db
        .update(kitchens)
        .set({ learningOff: on ? without : sql`array_append(${without}, ${key})` })
        .where(eq(kitchens.id, kitchen.id))
    },
    setCustoms: async ({ temperature, mass, clock, date_order }) => {
      await db
        .update(kitchens)
        .set({ temperatureUnit: temperature, massUnit: mass, clock, dateOrder: date_order })
        .where(eq(kitchens.id, kitchen.id))
    },
    setEquipment: async (equipment) => {
      await db.update(kitchens).set({ equipment }).where(eq(kitchens.id, kitchen.id))
    },
    summaries: async (rows, model) => {
      if (rows.length === 0) return new Map()
      const wanted = new Map(rows.map(({ id, version }) => [id, version]))
      const kept = await db
        .select()
        .from(planSummaries)
        .where(
          and(
            eq(planSummaries.kitchenId, kitchen.id),
            eq(planSummaries.model, model),
            inArray(planSummaries.planId, [...wanted.keys()]),
          ),
        )
      return new Map(
        kept.flatMap(({ planId, version, summary }) => (wanted.get(planId) === version ? [[planId, summary]] : [])),
      )
    },
    keepSummary: async ({ id: planId, version }, model, summary) => {
      const values = { planId, kitchenId: kitchen.id, version, model, summary }
      await db.insert(planSummaries).values(values).onConflictDoUpdate({ target: planSummaries.planId, set: values })
    },
    listHouseItems: async () =>
      (
        await db
          .select()
          .from(houseItems)
          .where(eq(houseItems.kitchenId, kitchen.id))
          .orderBy(asc(houseItems.kind), asc(houseItems.name))
      ).flatMap((row) => typedRows(STORED.house, [row]).rows.map(({ id, document }) => ({ id, document }))),
    putHouseItem: (document, by) =>
      db.transaction(async (tx) => {
        const { kind, name } = document
        const named = and(eq(houseItems.kitchenId, kitchen.id), eq(houseItems.kind, kind), eq(houseItems.name, name))
        const [before] = await tx.select().from(houseItems).where(named).for('update')
        const [row] = await tx
          .insert(houseItems)
          .values({ id: newId('hse'), kitchenId: kitchen.id, kind, name, document })
          .onConflictDoUpdate({
            target: [houseItems.kitchenId, houseItems.kind, houseItems.name],
            set: { document },
          })
          .returning()
        if (!row) throw new Error('a house item came back empty')
        if (!isDeepStrictEqual(before?.document, document)) await changed(tx, by, before?.document, document)
        return { id: row.id, document: row.document }
      }),
    removeHouseItem: (id, by) =>
      db.transaction(async (tx) => {
        const [row] = await tx
          .delete(houseItems)
          .where(and(eq(houseItems.kitchenId, kitchen.id), eq(houseItems.id, id)))
          .returning()
        if (row) await changed(tx, by, row.document, undefined)
        return row !== undefined
      }),
    houseChanges: (most) =>
      db
        .select()
        .from(houseChanges)
        .where(eq(houseChanges.kitchenId, kitchen.id))
        .orderBy(desc(houseChanges.at), desc(houseChanges.id))
        .limit(most),
    settle: async (planId, versionId) => {
      const rows = await db
        .update(planVersions)
        .set({ settledAt: sql`now()` })
        .where(
          and(
            eq(planVersions.kitchenId, kitchen.id),
            eq(planVersions.planId, planId),
            eq(planVersions.id, versionId),
            eq(planVersions.state, 'set_aside'),
            isNull(planVersions.settledAt),
          ),
        )
        .returning({ id: planVersions.id })
      return rows.length > 0
    },
  }
}
