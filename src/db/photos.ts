import { and, asc, eq } from 'drizzle-orm'
import type { Database } from './connection'
import { newId } from './ids'
import type { KitchenRow } from './repositories'
import { photos } from './schema'
import { within } from './within'

type Row = typeof photos.$inferSelect
/** A picture without its bytes. */
export type PhotoRow = Omit<Row, 'picture' | 'kitchenId'>
export type NewPhoto = Pick<Row, 'cookId' | 'item' | 'width' | 'height' | 'hash' | 'picture'>

/** Pictures of one kitchen's cooks. */
export interface PhotoShelf {
  /** Of one cook, in the order they came. */
  readonly list: (cookId: string) => Promise<readonly PhotoRow[]>
  readonly find: (id: string) => Promise<Buffer | undefined>
  /** Keeps a picture; one that is there already is answered as it is. */
  readonly add: (photo: NewPhoto) => Promise<PhotoRow>
  readonly remove: (id: string) => Promise<boolean>
}

const SHOWN = {
  id: photos.id,
  cookId: photos.cookId,
  item: photos.item,
  at: photos.at,
  width: photos.width,
  height: photos.height,
  hash: photos.hash,
}

export function photoShelf(whole: Database, kitchen: KitchenRow): PhotoShelf {
  const db = within(whole, kitchen.id)
  const mine = eq(photos.kitchenId, kitchen.id)
  return {
    list: (cookId) =>
      db
        .select(SHOWN)
        .from(photos)
        .where(and(mine, eq(photos.cookId, cookId)))
        .orderBy(asc(photos.at), asc(photos.id)),
    find: async (id) =>
      (
        await db
          .select({ picture: photos.picture })
          .from(photos)
          .where(and(mine, eq(photos.id, id)))
      )[0]?.picture,
    add: async (photo) => {
      const [row] = await db
        .insert(photos)
        .values({ id: newId('pho'), kitchenId: kitchen.id, ...photo })
        .onConflictDoUpdate({ target: [photos.cookId, photos.item, photos.hash], set: { hash: photo.hash } })
        .returning(SHOWN)
      if (!row) throw new Error('a picture came back empty')
      return row
    },
    remove: async (id) =>
      (
        await db
          .delete(photos)
          .where(and(mine, eq(photos.id, id)))
          .returning({ id: photos.id })
      ).length > 0,
  }
}
