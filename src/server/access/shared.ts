import type { KitchenRow } from '@/db/repositories'
import { type BoardItem, boardOf } from '@/domain/cook/board'
import { type CookDocument, cookTime } from '@/domain/cook/cook-document'
import { type Run, runOf } from '@/domain/cook/run'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { cookInKitchen } from '../cooks'
import { type MealOnDesk, mealInKitchen } from '../meals'
import { planInKitchen, type SavedPlan } from '../plans'
import { atAddress } from './addresses'

/** What an address of a sheet or a board shows. */
export type SharedThing =
  | { readonly of: 'plan'; readonly kitchen: KitchenRow; readonly plan: SavedPlan }
  | { readonly of: 'meal'; readonly kitchen: KitchenRow; readonly meal: MealOnDesk }
  | {
      readonly of: 'board'
      readonly kitchen: KitchenRow
      readonly document: CookDocument
      readonly run: Run
      readonly items: readonly BoardItem[]
      readonly now_s: number
    }

export const sharedAt = (secret: string): Promise<Outcome<SharedThing>> =>
  atAddress<SharedThing>(secret, async ({ of, thing }, scope) => {
    const { kitchen } = scope
    const gone = fail({ code: 'not_found', path: ['address'], what: 'of that secret' })
    if (thing === null || of === 'calendar') return gone
    if (of === 'board') {
      const found = await cookInKitchen(kitchen.slug, thing, 0)
      if (!found.ok) return found
      const { document } = found.value.row
      const entries = found.value.entries.map(({ entry }) => entry)
      const now_s = cookTime(document.clock, found.value.now_s)
      return succeed({
        of: 'board',
        kitchen,
        document,
        run: runOf(document, entries, now_s),
        items: boardOf(document, entries, found.value.readings, now_s),
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
