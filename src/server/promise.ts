import { type CookRow, cookShelf } from '@/db/cooks'
import { newId } from '@/db/ids'
import type { KitchenScope } from '@/db/repositories'
import { type CookEntry, cookEntry, cookTime } from '@/domain/cook/cook-document'
import { foldLog, promisedAt } from '@/domain/cook/entry/fold'
import { type CookLog, freshItem, hasEnded } from '@/domain/cook/entry/kind'
import { secondsOf } from '@/domain/cook/entry/time'
import type { MealDocument } from '@/domain/meal/meal-document'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { nowPrecisely } from './environment'
import { database } from './rooms'

/**
 * One promise: a plan and the cook of it say the same. Moved on the board it moves in the plan, moved in
 * the plan it moves on the board. A rehearsal moves nothing but itself.
 */

const iso = (at_s: number) => new Date(Math.round(at_s) * 1000).toISOString()
const TRIES = 3

/** What a cook's log promises of each of its roasts, s. */
function promisesOf({ document }: CookRow, log: CookLog): ReadonlyMap<string, number> {
  return new Map(document.items.map((item) => [item.id, promisedAt(item, log)]))
}

/** A meal with its servings where its roasts are now promised; the same where nothing moved. */
function mealPromised(meal: MealDocument, promises: ReadonlyMap<string, number>): MealDocument {
  let moved = 0
  const servings = meal.servings.map((serving) => {
    const own = meal.roasts.filter((roast) => roast.serving === serving.id).flatMap(({ id }) => promises.get(id) ?? [])
    const to_s = Math.max(...own)
    if (own.length === 0 || Math.abs(to_s - secondsOf(serving.at)) < 1) return serving
    moved += 1
    return { ...serving, at: iso(to_s) }
  })
  // The kept schedule is of the old promise; the cook's own steps go on from what has happened.
  return moved === 0 ? meal : { ...meal, servings, placed: null }
}

/** After entries of a cook: its plan promises what its board does. */
export async function planFollows(
  scope: KitchenScope,
  row: CookRow,
  entries: readonly CookEntry[],
  added: readonly CookEntry[],
): Promise<void> {
  const { source, clock } = row.document
  if (!source || clock.speed !== 1) return
  const taken = new Set(added.filter(({ kind }) => kind === 'undo').map(({ of }) => of))
  const moves = added.some(({ kind }) => kind === 'promise')
  const takenBack = entries.some(({ id, kind }) => kind === 'promise' && taken.has(id))
  if (!moves && !takenBack) return
  const promises = promisesOf(row, foldLog(row.document, entries))
  for (let attempt = 0; attempt < TRIES; attempt++) {
    if (source.kind === 'plan') {
      const plan = await scope.plans.find(source.id)
      const to_s = [...promises.values()][0]
      if (!plan || to_s === undefined || Math.abs(to_s - secondsOf(plan.document.promise)) < 1) return
      const saved = await scope.plans.save(plan.id, plan.version, { ...plan.document, promise: iso(to_s) })
      if (saved.outcome !== 'stale') return
    } else {
      const meal = await scope.meals.find(source.id)
      const promised = meal && mealPromised(meal.document, promises)
      if (!meal || !promised || promised === meal.document) return
      const saved = await scope.meals.save(meal.id, meal.version, promised)
      if (saved.outcome !== 'stale') return
    }
  }
}

/** The roasts of a plan or meal with where each is promised, s. */
export const promisesOfPlan = ({ promise }: PlanDocument): ReadonlyMap<string, number> =>
  new Map([['roast', secondsOf(promise)]])
export const promisesOfMeal = ({ roasts, servings }: MealDocument): ReadonlyMap<string, number> =>
  new Map(
    roasts.flatMap(({ id, serving }) => {
      const at = servings.find((each) => each.id === serving)?.at
      return at === undefined ? [] : [[id, secondsOf(at)] as const]
    }),
  )

/** After a save of a plan or meal: what is cooking of it promises the same. */
export async function cooksFollow(
  scope: KitchenScope,
  source: string,
  promises: ReadonlyMap<string, number>,
): Promise<void> {
  const shelf = cookShelf(database(), scope.kitchen)
  for (const { id, state, speed } of await shelf.ofSources([source])) {
    const row = state === 'cooking' && speed === 1 ? await shelf.find(id) : undefined
    if (!row) continue
    const entries = (await shelf.entriesSince(row.id, 0)).map(({ entry }) => entry)
    const log = foldLog(row.document, entries)
    const now = promisesOf(row, log)
    const at = iso(cookTime(row.document.clock, nowPrecisely()))
    const moved = [...promises].flatMap(([item, to_s]) => {
      const from_s = now.get(item)
      const { state } = log.items.get(item) ?? freshItem()
      return from_s !== undefined && !hasEnded(state) && Math.abs(from_s - to_s) >= 1
        ? [cookEntry.parse({ id: newId('ent'), kind: 'promise', at, item, by: 'the plan', text: iso(to_s) })]
        : []
    })
    if (moved.length > 0) await shelf.add(row.id, moved)
  }
}
