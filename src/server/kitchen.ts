import { sharedDatabase } from '@/db/connection'
import { type KitchenRow, type KitchenScope, listKitchens, openKitchen } from '@/db/repositories'
import { UnreadableDocument } from '@/db/stored'
import { fail, type Outcome } from '@/domain/problem/problem'
import { databaseIsAway, meansAway } from './availability'
import { environment } from './environment'
import { RETRY_AFTER_S } from './limits'

export const database = () => sharedDatabase(environment().DATABASE_URL)

export const kitchensOfHouse = (): Promise<KitchenRow[]> => listKitchens(database())

/** Does a piece of work with the database; where that is gone, the answer says so instead of failing. */
export async function withDatabase<Value>(work: () => Promise<Outcome<Value>>): Promise<Outcome<Value>> {
  const away = fail({ code: 'unavailable', path: [], retry_s: RETRY_AFTER_S })
  if (databaseIsAway()) return away
  try {
    return await work()
  } catch (problem) {
    if (problem instanceof UnreadableDocument)
      return fail({ code: 'unreadable', path: [], what: problem.id, detail: problem.detail })
    if (meansAway(problem)) return away
    throw problem
  }
}

/** Opens a kitchen's scope for a piece of work; a kitchen that is not there is a problem, not a crash. */
export const inKitchen = <Value>(
  slug: string,
  work: (scope: KitchenScope) => Promise<Outcome<Value>>,
): Promise<Outcome<Value>> =>
  withDatabase(async () => {
    const scope = await openKitchen(database(), slug)
    return scope ? work(scope) : fail({ code: 'not_found', path: ['kitchen'], what: slug })
  })
