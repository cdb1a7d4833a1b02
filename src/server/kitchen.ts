import { sharedDatabase } from '@/db/connection'
import { type KitchenRow, type KitchenScope, listKitchens, openKitchen } from '@/db/repositories'
import { UnreadableDocument } from '@/db/stored'
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
  if (!scope) return fail({ code: 'not_found', path: ['kitchen'], what: slug })
  try {
    return await work(scope)
  } catch (problem) {
    if (problem instanceof UnreadableDocument)
      return fail({ code: 'unreadable', path: [], what: problem.id, detail: problem.detail })
    throw problem
  }
}
