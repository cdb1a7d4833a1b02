import { cookShelf } from '@/db/cooks'
import { type PhotoRow, photoShelf } from '@/db/photos'
import type { KitchenScope } from '@/db/repositories'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { inKitchen } from './kitchen'
import { PHOTOS_PER_ROAST } from './limits'
import { pictureOf } from './picture'
import { database } from './rooms'

/** The use cases around pictures of how it came out. */

const shelfOf = (scope: KitchenScope) => photoShelf(database(), scope.kitchen)

export const photosOf = (slug: string, cook: string): Promise<Outcome<readonly PhotoRow[]>> =>
  inKitchen(slug, 'read', async (scope) => succeed(await shelfOf(scope).list(cook)))

/** Keeps a picture of one roast of a cook: made anew, a few at most. */
export const addPhoto = (slug: string, cook: string, item: string, sent: Buffer): Promise<Outcome<PhotoRow>> =>
  inKitchen(slug, 'cook', async (scope) => {
    const row = await cookShelf(database(), scope.kitchen).find(cook)
    if (!row) return fail({ code: 'not_found', path: ['cook'], what: cook })
    if (!row.document.items.some(({ id }) => id === item))
      return fail({ code: 'not_found', path: ['item'], what: item })
    const shelf = shelfOf(scope)
    const there = (await shelf.list(cook)).filter((each) => each.item === item)
    const picture = await pictureOf(sent)
    if (!picture) return fail({ code: 'malformed', path: [], detail: 'this is no JPEG, PNG or WebP picture' })
    if (there.length >= PHOTOS_PER_ROAST && !there.some(({ hash }) => hash === picture.hash))
      return fail({ code: 'too_many', path: ['photos'], most: PHOTOS_PER_ROAST })
    return succeed(await shelf.add({ cookId: cook, item, ...picture }))
  })

export const photoBytes = (slug: string, id: string): Promise<Outcome<Buffer>> =>
  inKitchen(slug, 'read', async (scope) => {
    const found = await shelfOf(scope).find(id)
    return found ? succeed(found) : fail({ code: 'not_found', path: ['photo'], what: id })
  })

export const removePhoto = (slug: string, id: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'cook', async (scope) =>
    (await shelfOf(scope).remove(id))
      ? succeed({ removed: true })
      : fail({ code: 'not_found', path: ['photo'], what: id }),
  )
