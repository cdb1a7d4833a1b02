import { cookShelf } from '@/db/cooks'
import type { KitchenRow } from '@/db/repositories'
import { type BoardItem, boardOf } from '@/domain/cook/board'
import { cookTime } from '@/domain/cook/cook-document'
import type { LivingCook } from '@/domain/cook/living-plan'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { cookInKitchen } from '../cooks'
import { nowPrecisely } from '../environment'
import { livingCook } from '../living'
import { type MealOnDesk, mealInKitchen } from '../meals'
import { planInKitchen, type SavedPlan } from '../plans'
import { database } from '../rooms'
import { atAddress } from './addresses'

/** What an address of a sheet or a board shows. */
export type SharedThing =
  | { readonly of: 'plan'; readonly kitchen: KitchenRow; readonly plan: SavedPlan }
  | { readonly of: 'meal'; readonly kitchen: KitchenRow; readonly meal: MealOnDesk }
  | {
      readonly of: 'board'
      readonly kitchen: KitchenRow
      readonly living: LivingCook
      readonly items: readonly BoardItem[]
      readonly now_s: number
    }

export const sharedAt = (secret: string): Promise<Outcome<SharedThing>> =>
  atAddress<SharedThing>(secret, async ({ of, thing }, scope) => {
    const { kitchen } = scope
    const gone = fail({ code: 'not_found', path: ['address'], what: 'of that secret' })
    if (thing === null || of === 'calendar') return gone
    if (of === 'board') {
      const row = await cookShelf(database(), kitchen).find(thing)
      if (!row) return gone
      const state = await cookInKitchen(kitchen.slug, thing, 0)
      if (!state.ok) return state
      const now_s = cookTime(row.document.clock, nowPrecisely())
      return succeed({
        of: 'board',
        kitchen,
        living: await livingCook(scope, row),
        items: boardOf(
          row.document,
          state.value.entries.map(({ entry }) => entry),
          state.value.readings,
          now_s,
        ),
        now_s,
      })
    }
    if (await scope.plans.has(thing)) {
      const plan = await planInKitchen(kitchen.slug, thing)
      return plan.ok ? succeed({ of: 'plan', kitchen, plan: plan.value }) : plan
    }
    const meal = await mealInKitchen(kitchen.slug, thing)
    return meal.ok ? succeed({ of: 'meal', kitchen, meal: meal.value }) : meal
  })
