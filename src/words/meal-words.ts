import { findSchool } from '@/core/program/schools'
import type { MealClash } from '@/core/schedule/meal/clash'
import type { Task } from '@/core/schedule/task'
import { manyOf } from '@/domain/cook/together'
import type { ChangeKind } from '@/domain/meal/changes'
import type { MealPlan } from '@/domain/meal/make-meal'
import { type MealDocument, servingsAt } from '@/domain/meal/meal-document'
import { cutOf } from '@/domain/roast/resolve'
import { lower, type TaskScene } from './tasks'
import { clock, duration, mass, temperature, type Units } from './units'

export const itemTitle = (meal: MealDocument, id: string): string =>
  (meal.roasts.find((roast) => roast.id === id) ?? meal.sides.find((side) => side.id === id))?.title || id

/** What stands around a task of a meal. */
export function sceneOf(task: Task, plan: MealPlan, meal: MealDocument): TaskScene {
  const id = task.item === undefined ? '' : (plan.itemIds[task.item] ?? '')
  const roast = meal.roasts.find((each) => each.id === id)
  return {
    cut: roast && cutOf(roast.roast),
    title: id === '' ? undefined : itemTitle(meal, id),
    source: task.source === undefined ? undefined : plan.sources[task.source],
    servings: task.kind === 'serve' ? servingsAt(meal, task.at) : undefined,
    salty: plan.gravy?.salty,
    acid: roast?.preparation === 'acid_marinade',
  }
}

/** The same of several tasks that are one for the hands: named by how many of them there are. */
export function sceneOfAll(tasks: readonly [Task, ...Task[]], plan: MealPlan, meal: MealDocument): TaskScene {
  const scene = sceneOf(tasks[0], plan, meal)
  return tasks.length > 1 && scene.title ? { ...scene, title: manyOf(scene.title, tasks.length) } : scene
}

/** Why an item has no place. */
export function clashWords(dropped: MealPlan['dropped'][number], plan: MealPlan, meal: MealDocument): string {
  const title = itemTitle(meal, dropped.id)
  const sources = dropped.clash.sources.map((source) => lower(plan.sources[source]?.name ?? '')).filter(Boolean)
  const codes: Record<MealClash['code'], string> = {
    no_way: `${title} does not fit the day: it would have to start before the kitchen opens, or a pin holds it where it cannot be.`,
    hands: `${title}: at the minutes it needs a cook, all are busy with something else.`,
    crowded:
      dropped.against.length > 0
        ? `No room for ${lower(title)}: ${sources.join(' or ')} is full or at another heat then, with ${dropped.against.map((id) => lower(itemTitle(meal, id))).join(', ')}.`
        : `No room for ${lower(title)}: ${sources.join(' or ')} is full or at another heat all the while; no single item is in the way.`,
  }
  return codes[dropped.clash.code]
}

/** A change that would make room, in words. */
export function changeWords(change: ChangeKind, meal: MealDocument, units: Units): string {
  switch (change.code) {
    case 'oven_setting':
      return `${itemTitle(meal, change.id)} at ${temperature(change.set_c, units)}, ${change.minutes === 0 ? 'no longer' : `${Math.abs(change.minutes)} min ${change.minutes > 0 ? 'longer' : 'shorter'}`}`
    case 'one_heat':
      return `All the roasts at ${temperature(change.set_c, units)}, together`
    case 'longer_rest':
      return `Let ${lower(itemTitle(meal, change.id))} rest up to ${change.minutes} min longer`
    case 'other_serving':
      return `${itemTitle(meal, change.id)} on the table at ${clock(Date.parse(change.at) / 1000, units)}`
    case 'school':
      return `${itemTitle(meal, change.id)} by ${findSchool(change.school)?.name.toLowerCase() ?? change.school}${change.set_c === undefined ? '' : ` at ${temperature(change.set_c, units)}`}`
    case 'two_smaller':
      return `Two of ${mass(change.mass_kg, units)} instead of one ${lower(itemTitle(meal, change.id))}`
    case 'side_range':
      return `${itemTitle(meal, change.id)} in any oven from ${temperature(change.low_c, units)} to ${temperature(change.high_c, units)}`
    case 'hold_longer':
      return `${itemTitle(meal, change.id)} ready up to ${change.minutes} min ahead`
    case 'earlier_batch':
      return `${itemTitle(meal, change.id)} in an earlier batch, held ${duration(change.minutes * 60)} or more in the warm cabinet`
    case 'start_earlier':
      return `Start the day ${change.hours} hours earlier`
    case 'another_cook':
      return 'One more pair of hands'
    default:
      return change satisfies never
  }
}
