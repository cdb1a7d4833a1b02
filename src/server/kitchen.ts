import { sharedDatabase } from '@/db/connection'
import { type KitchenRow, type KitchenScope, listKitchens, openKitchen } from '@/db/repositories'
import { fail, type Outcome } from '@/domain/problem/problem'
import { environment } from './environment'

export const database = () => sharedDatabase(environment().DATABASE_URL)

export const kitchensOfHouse = (): Promise<KitchenRow[]> => listKitchens(database())

/** Opens a kitchen's scope for a piece of work; a kitchen that is not there is a problem, not a crash. */
export async function inKitchen<Value>(
  slug: string,
  work: (scope: KitchenScope) => Promise<Outcome<Value>>,
): Promise<Outcome<Value>> {
  const scope = await openKitchen(database(), slug)
  return scope ? work(scope) : fail({ code: 'not_found', path: ['kitchen'], what: slug })
}
