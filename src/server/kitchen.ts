import { sharedDatabase } from '@/db/connection'
import { type KitchenRow, type KitchenScope, listKitchens, openKitchen } from '@/db/repositories'
import { UnreadableDocument } from '@/db/stored'
import { customsPart } from '@/domain/house/customs'
import type { LineContext } from '@/domain/line/sentence'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { databaseIsAway, meansAway, unlessAway } from './availability'
import { environment } from './environment'
import { RETRY_AFTER_S } from './limits'

export const database = () => sharedDatabase(environment().DATABASE_URL)

/** The kitchens of this house; none while the database is gone. */
export async function kitchensOfHouse(): Promise<readonly KitchenRow[]> {
  const found = await withDatabase(async () => succeed(await listKitchens(database())))
  return found.ok ? found.value : []
}

/** Does a piece of work with the database; where that is gone, the answer says so instead of failing. */
export async function withDatabase<Value>(work: () => Promise<Outcome<Value>>): Promise<Outcome<Value>> {
  const away = fail({ code: 'unavailable', path: [], retry_s: RETRY_AFTER_S })
  if (databaseIsAway()) return away
  try {
    return (await unlessAway(work())) ?? away
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

/** What a kitchen's lines are read by: its zone, its order of day and month, its own cuts, programs and ways. */
export const lineContextOf = async (scope: KitchenScope, now_s: number): Promise<LineContext> => ({
  now_s,
  timeZone: scope.kitchen.timeZone,
  dateOrder: scope.kitchen.dateOrder,
  house: await scope.listHouseItems(),
})

/** How the kitchen's people read quantities and days. */
export const keepCustoms = (slug: string, value: unknown): Promise<Outcome<{ kept: true }>> =>
  inKitchen<{ kept: true }>(slug, async (scope) => {
    const customs = parseWith(customsPart, value)
    if (!customs.ok) return customs
    await scope.setCustoms(customs.value)
    return succeed({ kept: true })
  })
