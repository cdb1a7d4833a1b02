import type { KitchenRow, KitchenScope, MealRow, MealVersionRow } from '@/db/repositories'
import type { Unreadable } from '@/db/stored'
import { mealFromWords, readMealWords } from '@/domain/meal/from-words'
import { type MealPlan, makeMeal } from '@/domain/meal/make-meal'
import { type MealDocument, mealDocument } from '@/domain/meal/meal-document'
import { PLAIN_KITCHEN } from '@/domain/meal/meal-problem'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, type Problem, succeed } from '@/domain/problem/problem'
import { nowSeconds } from './environment'
import { inKitchen } from './kitchen'

/** The use cases around whole meals. */

const noMeal = (id: string) => fail({ code: 'not_found', path: ['meal'], what: id })

export interface SavedMeal {
  readonly kitchen: KitchenRow
  readonly row: MealRow
  /** By the schedule the document keeps, or a quick one; undefined while the document has problems. */
  readonly plan: MealPlan | undefined
  readonly problems: readonly Problem[]
}

/** A meal as its desk shows it: with the saves that came too late and wait to be looked at. */
export interface MealOnDesk extends SavedMeal {
  readonly setAside: readonly MealVersionRow[]
}

export const mealsOfKitchen = (
  slug: string,
): Promise<Outcome<{ kitchen: KitchenRow; meals: readonly MealRow[]; unreadable: readonly Unreadable[] }>> =>
  inKitchen(slug, async (scope) => {
    const { rows, unreadable } = await scope.meals.list()
    return succeed({ kitchen: scope.kitchen, meals: rows, unreadable })
  })

export function savedMeal(kitchen: KitchenRow, row: MealRow): SavedMeal {
  const made = makeMeal(row.document, undefined, 0)
  return made.ok
    ? { kitchen, row, plan: made.value, problems: [] }
    : { kitchen, row, plan: undefined, problems: made.problems }
}

/** A meal's row alone: nothing is planned for it. */
export const mealRowInKitchen = (slug: string, id: string): Promise<Outcome<MealRow>> =>
  inKitchen(slug, async (scope) => {
    const row = await scope.meals.find(id)
    return row ? succeed(row) : noMeal(id)
  })

export const mealInKitchen = (slug: string, id: string): Promise<Outcome<MealOnDesk>> =>
  inKitchen(slug, async (scope) => {
    const row = await scope.meals.find(id)
    if (!row) return noMeal(id)
    return succeed({ ...savedMeal(scope.kitchen, row), setAside: await scope.meals.listSetAside(id) })
  })

/** The equipment a new meal starts from. */
const equipmentOf = (scope: KitchenScope): MealDocument['kitchen'] => scope.kitchen.equipment ?? PLAIN_KITCHEN

/** Adds a meal said in words: "38 people on Saturday at 19:30". */
export const addMealFromWords = (slug: string, line: string): Promise<Outcome<MealRow>> =>
  inKitchen(slug, async (scope) => {
    const words = readMealWords(line, nowSeconds(), scope.kitchen.timeZone)
    if (!words.ok) return words
    if (words.value.at_s <= nowSeconds())
      return fail({
        code: 'promise_passed',
        path: ['line'],
        promise: new Date(words.value.at_s * 1000).toISOString(),
        now: new Date(nowSeconds() * 1000).toISOString(),
      })
    return succeed(await scope.meals.add(mealFromWords(words.value, equipmentOf(scope))))
  })

/** A document from outside with the plan it makes, or what is wrong with it. */
function checkedMeal(value: unknown): Outcome<{ document: MealDocument; plan: MealPlan }> {
  const document = parseWith(mealDocument, value)
  if (!document.ok) return document
  const made = makeMeal(document.value, undefined, 0)
  return made.ok ? succeed({ document: document.value, plan: made.value }) : made
}

/** What an imported document would be, without keeping it. */
export const previewMeal = (
  slug: string,
  value: unknown,
): Promise<Outcome<{ document: MealDocument; plan: MealPlan }>> => inKitchen(slug, async () => checkedMeal(value))

/** Adds a meal from a document, whole or not at all. */
export const addMealFromDocument = (slug: string, value: unknown): Promise<Outcome<MealRow>> =>
  inKitchen(slug, async (scope) => {
    const checked = checkedMeal(value)
    return checked.ok ? succeed(await scope.meals.add(checked.value.document)) : checked
  })

export type MealSaveAnswer =
  | { readonly outcome: 'saved'; readonly version: number }
  | { readonly outcome: 'stale'; readonly current: MealRow; readonly setAside: MealVersionRow }

export const saveMeal = (
  slug: string,
  id: string,
  baseVersion: number,
  value: unknown,
): Promise<Outcome<MealSaveAnswer>> =>
  inKitchen<MealSaveAnswer>(slug, async (scope) => {
    const document = parseWith(mealDocument, value)
    if (!document.ok) return document
    const result = await scope.meals.save(id, baseVersion, document.value)
    switch (result.outcome) {
      case 'missing':
        return noMeal(id)
      case 'saved':
        await scope.setEquipment(document.value.kitchen)
        return succeed({ outcome: 'saved', version: result.row.version })
      case 'stale':
        return succeed(result)
      default:
        return result satisfies never
    }
  })
