import type { HouseItem } from '@/domain/house/house-item'
import { houseItemDocument } from '@/domain/house/house-item'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { inKitchen } from './kitchen'

/** The use cases around a kitchen's own cuts and programs. */

export const houseItemsOf = (slug: string): Promise<Outcome<readonly HouseItem[]>> =>
  inKitchen(slug, async (scope) => succeed(await scope.listHouseItems()))

export const putHouseItem = (slug: string, value: unknown): Promise<Outcome<HouseItem>> =>
  inKitchen(slug, async (scope) => {
    const document = parseWith(houseItemDocument, value)
    return document.ok ? succeed(await scope.putHouseItem(document.value)) : document
  })

export const removeHouseItem = (slug: string, id: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, async (scope) =>
    (await scope.removeHouseItem(id))
      ? succeed({ removed: true })
      : fail({ code: 'not_found', path: ['house item'], what: id }),
  )
