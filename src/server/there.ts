import { cookShelf } from '@/db/cooks'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { database, inKitchen } from './kitchen'

/** Whether something is there to be shown: asked before a page begins, by its row alone. */

export const kitchenIsThere = (slug: string): Promise<Outcome<{ there: true }>> =>
  inKitchen<{ there: true }>(slug, async () => succeed({ there: true }))

export const isThere = (slug: string, kind: 'plan' | 'meal' | 'cook', id: string): Promise<Outcome<{ there: true }>> =>
  inKitchen<{ there: true }>(slug, async (scope) => {
    const shelf = { plan: scope.plans, meal: scope.meals, cook: cookShelf(database(), scope.kitchen) }[kind]
    return (await shelf.find(id)) ? succeed({ there: true }) : fail({ code: 'not_found', path: [kind], what: id })
  })
