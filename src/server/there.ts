import { cookShelf } from '@/db/cooks'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { inKitchen } from './kitchen'
import { database } from './rooms'

/** Whether something is there to be shown: asked before a page begins, of its row and not of its document. */

interface There {
  readonly there: true
}
/** What has pages of its own. */
export type Kind = 'plan' | 'meal' | 'cook'

export const kitchenIsThere = (slug: string): Promise<Outcome<There>> =>
  inKitchen<There>(slug, 'read', async () => succeed({ there: true }))

export const isThere = (slug: string, kind: Kind, id: string): Promise<Outcome<There>> =>
  inKitchen<There>(slug, 'read', async (scope) => {
    const shelf = { plan: scope.plans, meal: scope.meals, cook: cookShelf(database(), scope.kitchen) }[kind]
    return (await shelf.has(id)) ? succeed({ there: true }) : fail({ code: 'not_found', path: [kind], what: id })
  })
