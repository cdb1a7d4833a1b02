import { stagesOfDocument } from '../roast/resolve'
import type { StagePart } from '../roast/roast-document'
import type { MealDocument, MealRoast } from './meal-document'

/** Several pieces of the same: in batches, some minutes apart; and held warm until they are wanted. */

/** What a cabinet is set to, °C (above hot holding, with a margin), and the longest a roast is held, minutes. */
const CABINET_C = 60
export const LONGEST_HOLD_MIN = 240
/** A rest before it goes into the cabinet, or its outside cooks on. */
const holdPart = (minutes: number): StagePart => ({
  role: 'rest',
  environment: { kind: 'cabinet', set_c: CABINET_C },
  cover: 'tent',
  preheated: true,
  until: { kind: 'clock', least_min: minutes },
  tending: [],
})
const isHold = ({ environment }: StagePart) => environment.kind === 'cabinet'

/** The stages a roast of a meal is cooked in; empty where its document has problems. */
export function stagesOfRoast(roast: MealRoast, meal: MealDocument): readonly StagePart[] {
  const [oven] = meal.kitchen.ovens
  return oven ? stagesOfDocument({ ...roast, oven }) : []
}

/**
 * How long a roast is held in the cabinet at least, minutes; 0 where it is not.
 * @example holdOf([]) // 0
 */
export const holdOf = (stages: readonly StagePart[]): number => {
  const until = stages.find(isHold)?.until
  return until?.kind === 'clock' ? until.least_min : until?.kind === 'time' ? until.minutes : 0
}

/**
 * A roast held warm in the cabinet for so long at least, after its rest and before what finishes it: so it can be
 * cooked while an oven is free. 0 takes it out again.
 */
export function withHold(roast: MealRoast, meal: MealDocument, minutes: number): MealRoast {
  const stages = stagesOfRoast(roast, meal).filter((stage) => !isHold(stage))
  if (stages.length === 0) return roast
  const held = Math.min(LONGEST_HOLD_MIN, minutes)
  const finish = stages.findIndex(({ role }) => role === 'finish')
  const at = finish < 0 ? stages.length : finish
  return { ...roast, program: { stages: held > 0 ? stages.toSpliced(at, 0, holdPart(held)) : stages } }
}

/** A piece and its fellows: the same cut, said as so many of one. */
export const fellowsOf = (meal: MealDocument, { roast, title }: MealRoast): readonly MealRoast[] => {
  const name = stemOf(title)
  return meal.roasts.filter((each) => each.roast.cut === roast.cut && stemOf(each.title) === name)
}
const stemOf = (title: string) => title.replace(/ (?:\d+ of \d+|\d+|one|two)$/, '')

/** A meal holds no more. */
export const MOST_SERVINGS = 12

/**
 * Pieces of the same in batches: the first for the serving they had, the others so many minutes later each, in
 * servings of their own. One batch puts them all back to the first.
 */
export function inBatches(
  meal: MealDocument,
  ids: readonly string[],
  batches: number,
  apart_min: number,
): MealDocument {
  const own = meal.roasts.filter(({ id }) => ids.includes(id))
  const times = own.flatMap(({ serving }) => meal.servings.find(({ id }) => id === serving) ?? [])
  const first = times.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at))[0]
  if (!first) return meal
  const count = Math.max(1, Math.min(batches, own.length, MOST_SERVINGS))
  let servings = meal.servings
  const targets = Array.from({ length: count }, (_, i) => {
    const at = new Date(Date.parse(first.at) + i * apart_min * 60_000).toISOString()
    const same = servings.find((each) => Date.parse(each.at) === Date.parse(at) && each.away_min === first.away_min)
    if (same) return same.id
    const batch = { ...first, id: `batch-${Date.parse(at) / 60_000}`, title: `${first.title}, batch ${i + 1}`, at }
    servings = [...servings, batch]
    return batch.id
  })
  const size = Math.ceil(own.length / count)
  const roasts = meal.roasts.map((roast) => {
    const place = ids.indexOf(roast.id)
    return place < 0 ? roast : { ...roast, serving: targets[Math.min(count - 1, Math.floor(place / size))] as string }
  })
  // A batch nobody is served in any more falls away.
  const used = new Set([...roasts, ...meal.sides].map(({ serving }) => serving))
  return {
    ...meal,
    placed: null,
    roasts,
    servings: servings.filter(({ id }) => used.has(id) || !id.startsWith('batch-')).slice(0, MOST_SERVINGS),
  }
}
