import { type CookRow, cookShelf } from '@/db/cooks'
import type { KitchenScope } from '@/db/repositories'
import { cookTime } from '@/domain/cook/cook-document'
import type { LivingCook } from '@/domain/cook/living-plan'
import { openSteps, runOf } from '@/domain/cook/run'
import { nowPrecisely } from './environment'
import { database } from './rooms'

/** Plans that are being cooked, with the times their boards say. */

/** A cook as the page of its plan names it. */
export interface CookOfPlan {
  readonly id: string
  readonly state: CookRow['state']
  readonly at_s: number
  readonly rehearsal: boolean
}

/** How one cook stands now. */
export async function livingCook(scope: KitchenScope, { id, document }: CookRow): Promise<LivingCook> {
  const entries = await cookShelf(database(), scope.kitchen).entriesSince(id, 0)
  const run = runOf(
    document,
    entries.map(({ entry }) => entry),
    cookTime(document.clock, nowPrecisely()),
  )
  return { cookId: id, document, run, next: openSteps(run)[0] }
}

/** Of these plans and meals: what is cooking of each now, and every cook there was, newest first. */
export async function cooksOfSources(
  scope: KitchenScope,
  ids: readonly string[],
): Promise<ReadonlyMap<string, { readonly living: LivingCook | undefined; readonly cooks: readonly CookOfPlan[] }>> {
  const shelf = cookShelf(database(), scope.kitchen)
  const found = new Map<string, { living: LivingCook | undefined; cooks: CookOfPlan[] }>()
  for (const { id, state, createdAt, source, speed } of await shelf.ofSources(ids)) {
    const own = found.get(source) ?? { living: undefined, cooks: [] }
    found.set(source, own)
    // A rehearsal is nobody's dinner: no plan goes by its clock.
    const rehearsal = speed !== 1
    if (state === 'cooking' && !rehearsal && !own.living) {
      const row = await shelf.find(id)
      if (row) own.living = await livingCook(scope, row)
    }
    own.cooks.push({ id, state, at_s: createdAt.getTime() / 1000, rehearsal })
  }
  return found
}
