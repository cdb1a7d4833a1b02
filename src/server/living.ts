import { type CookRow, cookShelf } from '@/db/cooks'
import type { KitchenScope } from '@/db/repositories'
import { cookTime } from '@/domain/cook/cook-document'
import type { Living } from '@/domain/cook/living-plan'
import { openSteps, type RunStep, runOf } from '@/domain/cook/run'
import { nowPrecisely } from './environment'
import { database } from './kitchen'

/** Plans that are being cooked, with the times their boards say. */

/** A cook as the page of its plan names it. */
export interface CookOfPlan {
  readonly id: string
  readonly state: CookRow['state']
  readonly at_s: number
  readonly rehearsal: boolean
}

export interface LivingCook extends Living {
  readonly next: RunStep | undefined
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

/** A rehearsal is nobody's dinner: no plan goes by its clock. */
const isReal = ({ document }: CookRow): boolean => document.clock.speed === 1

/** Of these plans and meals: what is cooking of each now, and every cook there was, newest first. */
export async function cooksOfSources(
  scope: KitchenScope,
  ids: readonly string[],
): Promise<ReadonlyMap<string, { readonly living: LivingCook | undefined; readonly cooks: readonly CookOfPlan[] }>> {
  const rows = await cookShelf(database(), scope.kitchen).ofSources(ids)
  const found = new Map<string, { living: LivingCook | undefined; cooks: CookOfPlan[] }>()
  for (const row of rows) {
    const id = row.document.source?.id
    if (id === undefined) continue
    const own = found.get(id) ?? { living: undefined, cooks: [] }
    found.set(id, own)
    if (row.state === 'cooking' && isReal(row) && !own.living) own.living = await livingCook(scope, row)
    own.cooks.push({
      id: row.id,
      state: row.state,
      at_s: row.createdAt.getTime() / 1000,
      rehearsal: !isReal(row),
    })
  }
  return found
}
