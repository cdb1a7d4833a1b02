import type { KitchenRow, KitchenScope, MealRow, MealVersionRow, Page } from '@/db/repositories'
import type { Unreadable } from '@/db/stored'
import type { LivingCook } from '@/domain/cook/living-plan'
import { type HouseStandards, standardsOf, withStandards } from '@/domain/house/standards'
import { readLine } from '@/domain/line/reading'
import { mealAsTold, mealFromLine } from '@/domain/meal/from-line'
import { mealFromWords, mealWordsOf } from '@/domain/meal/from-words'
import type { MealPlan } from '@/domain/meal/make-meal'
import { equipmentPart, type MealDocument, mealDocument } from '@/domain/meal/meal-document'
import { PLAIN_KITCHEN } from '@/domain/meal/meal-problem'
import { mayComeAsTold } from '@/domain/plan/from-line'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, type Problem, succeed } from '@/domain/problem/problem'
import { keepTrail } from './access/trail'
import { compute } from './compute'
import { nowSeconds } from './environment'
import { inKitchen, lineContextOf } from './kitchen'
import { taughtMeal } from './learned'
import { type CookOfPlan, cooksOfSources } from './living'
import { passes, settled } from './passing'
import { cooksFollow, promisesOfMeal } from './promise'

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
  /** What is cooking of it now, and every cook there was. */
  readonly living: LivingCook | undefined
  readonly cooks: readonly CookOfPlan[]
}

export interface MealList {
  readonly kitchen: KitchenRow
  readonly meals: readonly MealRow[]
  readonly unreadable: readonly Unreadable[]
  readonly total: number
}

export const mealsOfKitchen = (slug: string, page: Page): Promise<Outcome<MealList>> =>
  inKitchen(slug, 'read', async (scope) => {
    const { rows, unreadable, total } = await scope.meals.list(page)
    return succeed({ kitchen: scope.kitchen, meals: rows, unreadable, total })
  })

/** A meal with the plan its document makes, or what is wrong with that. */
export async function savedMeal(kitchen: KitchenRow, row: MealRow, gone?: AbortSignal): Promise<Outcome<SavedMeal>> {
  const made = await compute('meal', row.document, gone)
  if (made.ok) return succeed({ kitchen, row, plan: made.value, problems: [] })
  return passes(made) ? made : succeed({ kitchen, row, plan: undefined, problems: made.problems })
}

/** A meal's row alone: nothing is planned for it. */
export const mealRowInKitchen = (slug: string, id: string): Promise<Outcome<MealRow>> =>
  inKitchen(slug, 'read', async (scope) => {
    const row = await scope.meals.find(id)
    return row ? succeed(row) : noMeal(id)
  })

export const mealInKitchen = (slug: string, id: string, gone?: AbortSignal): Promise<Outcome<MealOnDesk>> =>
  inKitchen(slug, 'read', async (scope) => {
    const row = await scope.meals.find(id)
    if (!row) return noMeal(id)
    const saved = await savedMeal(scope.kitchen, row, gone)
    if (!saved.ok) return saved
    const cooked = (await cooksOfSources(scope, [id])).get(id)
    return succeed({
      ...saved.value,
      setAside: await scope.meals.listSetAside(id),
      living: cooked?.living,
      cooks: cooked?.cooks ?? [],
    })
  })

/** The equipment a new meal starts from. */
export const equipmentOf = (scope: KitchenScope): MealDocument['kitchen'] => scope.kitchen.equipment ?? PLAIN_KITCHEN

/** The meal of a line with what its kitchen has learned, and heats that leave room for all of it; roasts that were told their reading are wanted as that makes them. */
export async function mealAsSaid(scope: KitchenScope, untaught: MealDocument): Promise<MealDocument> {
  const taught = await taughtMeal(scope, untaught)
  const meal = settled(await compute('fit', taught)) ?? taught
  if (!meal.roasts.some(mayComeAsTold)) return meal
  const plan = settled(await compute('meal', meal))
  return plan ? mealAsTold(meal, plan) : meal
}

/** Adds a meal said in words: "38 people on Saturday at 19:30", or with all that is eaten. */
export const addMealFromWords = (slug: string, line: string): Promise<Outcome<MealRow>> =>
  inKitchen(slug, 'plan', async (scope) => {
    const now_s = nowSeconds()
    const whole = readLine(line, await lineContextOf(scope, now_s))
    if (whole.ok && whole.value.roasts.length > 0) {
      const said = here(scope, mealFromLine(whole.value, now_s, equipmentOf(scope)))
      const checked = await checkedMeal(await mealAsSaid(scope, said))
      return checked.ok ? succeed(await scope.meals.add(checked.value.document)) : checked
    }
    const words = whole.ok ? mealWordsOf(whole.value) : whole
    if (!words.ok) return words
    if (words.value.at_s <= now_s)
      return fail({
        code: 'promise_passed',
        path: ['line'],
        promise: new Date(words.value.at_s * 1000).toISOString(),
        now: new Date(now_s * 1000).toISOString(),
      })
    const meal = here(scope, mealFromWords(words.value, equipmentOf(scope), undefined, await houseStandards(scope)))
    return succeed(await scope.meals.add(await taughtMeal(scope, meal)))
  })

/** A document from outside with the plan it makes, or what is wrong with it; `standards` go under what is new here. */
async function checkedMeal(
  value: unknown,
  standards: HouseStandards = new Map(),
): Promise<Outcome<{ document: MealDocument; plan: MealPlan }>> {
  const document = parseWith(mealDocument, value)
  if (!document.ok) return document
  const roasts = document.value.roasts.map((each) => ({ ...each, roast: withStandards(each.roast, standards) }))
  const meal = { ...document.value, roasts }
  const made = await compute('meal', meal)
  return made.ok ? succeed({ document: meal, plan: made.value }) : made
}
/** A meal that does not say by whose clock is cooked by this kitchen's. */
const here = ({ kitchen }: KitchenScope, meal: MealDocument): MealDocument => ({
  ...meal,
  time_zone: meal.time_zone ?? kitchen.timeZone,
})
const houseStandards = async (scope: KitchenScope) => standardsOf(await scope.listHouseItems())

/** What an imported document would be, without keeping it. */
export const previewMeal = (
  slug: string,
  value: unknown,
): Promise<Outcome<{ document: MealDocument; plan: MealPlan }>> =>
  inKitchen(slug, 'plan', async (scope) => checkedMeal(value, await houseStandards(scope)))

/** Adds a meal from a document, whole or not at all. */
export const addMealFromDocument = (slug: string, value: unknown): Promise<Outcome<MealRow>> =>
  inKitchen(slug, 'plan', async (scope) => {
    const checked = await checkedMeal(value, await houseStandards(scope))
    return checked.ok ? succeed(await scope.meals.add(here(scope, checked.value.document))) : checked
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
  inKitchen<MealSaveAnswer>(slug, 'plan', async (scope) => {
    const checked = await checkedMeal(value)
    if (!checked.ok) return checked
    const result = await scope.meals.save(id, baseVersion, checked.value.document)
    switch (result.outcome) {
      case 'missing':
        return noMeal(id)
      case 'saved':
        // A kitchen that has said nothing of its equipment yet has now; one that has keeps what it said.
        if (scope.kitchen.equipment === null) await scope.setEquipment(checked.value.document.kitchen)
        await cooksFollow(scope, id, promisesOfMeal(checked.value.document))
        return succeed({ outcome: 'saved', version: result.row.version })
      case 'stale':
        return succeed(result)
      default:
        return result satisfies never
    }
  })

/** Keeps a meal's ovens and hands as what the kitchen's next meals start from: only when it is asked for. */
export const keepEquipment = (slug: string, value: unknown): Promise<Outcome<{ kept: true }>> =>
  inKitchen<{ kept: true }>(slug, 'house', async (scope) => {
    const equipment = parseWith(equipmentPart, value)
    if (!equipment.ok) return equipment
    await scope.setEquipment(equipment.value)
    await keepTrail(scope, 'setting', 'ovens, cooks and the rest of the equipment')
    return succeed({ kept: true })
  })
