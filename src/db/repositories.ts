import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm'
import type { HouseItem, HouseItemDocument } from '@/domain/house/house-item'
import { type PlanDocument, planDocument } from '@/domain/roast/roast-document'
import type { Database } from './connection'
import { newId } from './ids'
import { houseItems, kitchens, plans, planVersions } from './schema'

export type KitchenRow = typeof kitchens.$inferSelect
export type PlanRow = typeof plans.$inferSelect
export type PlanVersionRow = typeof planVersions.$inferSelect

/** The kitchens of this house, oldest first. */
export const listKitchens = (db: Database): Promise<KitchenRow[]> =>
  db.select().from(kitchens).orderBy(asc(kitchens.createdAt), asc(kitchens.id))

/** Adds a kitchen unless its slug is taken; answers the row either way. */
export async function ensureKitchen(
  db: Database,
  kitchen: Omit<typeof kitchens.$inferInsert, 'id'>,
): Promise<KitchenRow> {
  await db
    .insert(kitchens)
    .values({ ...kitchen, id: newId('kit') })
    .onConflictDoNothing({ target: kitchens.slug })
  const [row] = await db.select().from(kitchens).where(eq(kitchens.slug, kitchen.slug))
  if (!row) throw new Error(`kitchen ${kitchen.slug} was neither added nor found`)
  return row
}

/** A plan kept by an earlier release takes the usual values for what it does not say. */
const upToDate = (row: PlanRow): PlanRow => ({ ...row, document: planDocument.parse(row.document) })

export type SaveResult =
  | { readonly outcome: 'saved'; readonly row: PlanRow }
  | { readonly outcome: 'stale'; readonly current: PlanRow; readonly setAside: PlanVersionRow }
  | { readonly outcome: 'missing' }

/** Everything one kitchen may see and change. There is no other way to a kitchen's rows. */
export interface KitchenScope {
  readonly kitchen: KitchenRow
  readonly listPlans: () => Promise<PlanRow[]>
  readonly findPlan: (id: string) => Promise<PlanRow | undefined>
  readonly addPlan: (document: PlanDocument) => Promise<PlanRow>
  /** Saves over the version it started from; a stale save is kept beside, not written over. */
  readonly savePlan: (id: string, baseVersion: number, document: PlanDocument) => Promise<SaveResult>
  readonly listSetAside: (planId: string) => Promise<PlanVersionRow[]>
  readonly listVersions: (planId: string) => Promise<PlanVersionRow[]>
  readonly listHouseItems: () => Promise<HouseItem[]>
  /** Adds a house cut or program; one of the same kind and name is replaced. */
  readonly putHouseItem: (document: HouseItemDocument) => Promise<HouseItem>
  readonly removeHouseItem: (id: string) => Promise<boolean>
  /** Marks a set-aside version as dealt with; answers false when there was none open. */
  readonly settle: (planId: string, versionId: string) => Promise<boolean>
}

/** Opens the scope of one kitchen; undefined when there is no such kitchen. */
export async function openKitchen(db: Database, slug: string): Promise<KitchenScope | undefined> {
  const [kitchen] = await db.select().from(kitchens).where(eq(kitchens.slug, slug))
  return kitchen && scopeOf(db, kitchen)
}

function scopeOf(db: Database, kitchen: KitchenRow): KitchenScope {
  const mine = eq(plans.kitchenId, kitchen.id)
  const versionOf = (planId: string) => and(eq(planVersions.kitchenId, kitchen.id), eq(planVersions.planId, planId))
  const findPlan = async (id: string) =>
    (
      await db
        .select()
        .from(plans)
        .where(and(mine, eq(plans.id, id)))
    ).map(upToDate)[0]
  return {
    kitchen,
    listPlans: async () =>
      (await db.select().from(plans).where(mine).orderBy(asc(plans.promiseAt), asc(plans.id))).map(upToDate),
    findPlan,
    addPlan: (document) =>
      db.transaction(async (tx) => {
        const [row] = await tx
          .insert(plans)
          .values({ id: newId('pln'), kitchenId: kitchen.id, promiseAt: new Date(document.promise), document })
          .returning()
        if (!row) throw new Error('an inserted plan came back empty')
        await tx.insert(planVersions).values({
          id: newId('pvr'),
          kitchenId: kitchen.id,
          planId: row.id,
          version: row.version,
          state: 'saved',
          document,
        })
        return row
      }),
    savePlan: (id, baseVersion, document) =>
      db.transaction(async (tx): Promise<SaveResult> => {
        const [row] = await tx
          .update(plans)
          .set({
            document,
            promiseAt: new Date(document.promise),
            version: sql`${plans.version} + 1`,
            updatedAt: sql`now()`,
          })
          .where(and(mine, eq(plans.id, id), eq(plans.version, baseVersion)))
          .returning()
        if (row) {
          await tx.insert(planVersions).values({
            id: newId('pvr'),
            kitchenId: kitchen.id,
            planId: id,
            version: row.version,
            state: 'saved',
            document,
          })
          return { outcome: 'saved', row }
        }
        const [current] = await tx
          .select()
          .from(plans)
          .where(and(mine, eq(plans.id, id)))
        if (!current) return { outcome: 'missing' }
        const [setAside] = await tx
          .insert(planVersions)
          .values({
            id: newId('pvr'),
            kitchenId: kitchen.id,
            planId: id,
            version: baseVersion,
            state: 'set_aside',
            document,
          })
          .returning()
        if (!setAside) throw new Error('an inserted version came back empty')
        return { outcome: 'stale', current, setAside }
      }),
    listSetAside: (planId) =>
      db
        .select()
        .from(planVersions)
        .where(and(versionOf(planId), eq(planVersions.state, 'set_aside'), isNull(planVersions.settledAt)))
        .orderBy(desc(planVersions.createdAt)),
    listVersions: (planId) =>
      db.select().from(planVersions).where(versionOf(planId)).orderBy(asc(planVersions.createdAt)),
    listHouseItems: async () =>
      (
        await db
          .select()
          .from(houseItems)
          .where(eq(houseItems.kitchenId, kitchen.id))
          .orderBy(asc(houseItems.kind), asc(houseItems.name))
      ).map(({ id, document }) => ({ id, document })),
    putHouseItem: async (document) => {
      const [row] = await db
        .insert(houseItems)
        .values({ id: newId('hse'), kitchenId: kitchen.id, kind: document.kind, name: document.name, document })
        .onConflictDoUpdate({
          target: [houseItems.kitchenId, houseItems.kind, houseItems.name],
          set: { document },
        })
        .returning()
      if (!row) throw new Error('a house item came back empty')
      return { id: row.id, document: row.document }
    },
    removeHouseItem: async (id) =>
      (
        await db
          .delete(houseItems)
          .where(and(eq(houseItems.kitchenId, kitchen.id), eq(houseItems.id, id)))
          .returning({ id: houseItems.id })
      ).length > 0,
    settle: async (planId, versionId) => {
      const rows = await db
        .update(planVersions)
        .set({ settledAt: sql`now()` })
        .where(
          and(
            versionOf(planId),
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
