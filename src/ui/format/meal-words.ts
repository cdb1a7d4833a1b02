import { findSchool } from '@/core/program/schools'
import { findCut } from '@/core/reference/cuts'
import type { MealClash } from '@/core/schedule/meal/clash'
import type { MealTask } from '@/core/schedule/meal/tasks'
import type { ChangeKind } from '@/domain/meal/changes'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { clock, mass, temperature, type Units } from './units'

export const itemTitle = (meal: MealDocument, id: string): string =>
  (meal.roasts.find((roast) => roast.id === id) ?? meal.sides.find((side) => side.id === id))?.title || id

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** A task of a meal in the imperative. */
export function mealTaskTitle(task: MealTask, plan: MealPlan, meal: MealDocument, units: Units): string {
  const id = task.item === undefined ? '' : (plan.itemIds[task.item] ?? '')
  const title = itemTitle(meal, id)
  const source = task.source === undefined ? undefined : plan.sources[task.source]
  const where = source ? lower(source.name) : ''
  const heat = task.set_c === undefined ? '' : temperature(task.set_c, units)
  switch (task.kind) {
    case 'buy':
      return 'Buy or fetch everything on the shopping list'
    case 'thaw':
      return `${title}: out of the freezer, into the fridge on a tray`
    case 'salt':
      return `${title}: salt all over, leave open in the fridge`
    case 'brine':
      return `${title}: into the brine, in the fridge`
    case 'unbrine':
      return `${title}: out of the brine, dry, leave open`
    case 'marinate':
      return `${title}: into the marinade, in the fridge`
    case 'shape':
      return `${title}: trim, tie, make it even`
    case 'dress':
      return `${title}: on its rack in the tin, surface dried`
    case 'set_out':
      return 'Sharpen knives, set out boards, probes, tins, foil'
    case 'take_out':
      return `${title}: out of the fridge`
    case 'heat_up':
      return `Heat ${where} to ${heat}`
    case 'put_in':
      return source?.kind === 'hob'
        ? `${title}: on the ${where}`
        : `${title}: into ${where}${heat ? ` at ${heat}` : ''}`
    case 'change':
      return `${title}: ${where} to ${heat}`
    case 'off':
      return `${title}: ${where} off. Do not open the door`
    case 'pull':
      return `${title}: pull at ${temperature(task.pull_c ?? 0, units)}`
    case 'rest':
      return `${title}: rest, loosely tented`
    case 'take_off':
      return source?.kind === 'hob' ? `${title}: off the ${where}, drain` : `${title}: out of ${where}`
    case 'dish':
      return meal.roasts.some((roast) => roast.id === id) ? `${title}: carve` : `${title}: dish up`
    case 'gravy':
      return 'Gravy: skim, roux, stock, strain, taste before salting'
    case 'serve':
      return `On the table: ${meal.servings
        .filter(({ at }) => Math.abs(Date.parse(at) / 1000 - task.at_s) < 30)
        .map(({ title: name }) => name)
        .join(', ')}`
    default:
      return task.kind satisfies never
  }
}

/** The caution or the how that belongs to a step. */
export function mealTaskHelp(task: MealTask, plan: MealPlan, meal: MealDocument): string | undefined {
  const id = task.item === undefined ? '' : (plan.itemIds[task.item] ?? '')
  const roast = meal.roasts.find((each) => each.id === id)
  const cut = roast && findCut(roast.roast.cut)
  const bird = cut?.bone === 'bird'
  switch (task.kind) {
    case 'thaw':
      return 'In the fridge, never on the bench; lowest shelf, over a tray.'
    case 'marinate':
      return roast?.preparation === 'acid_marinade' ? 'With acid, six hours at the most.' : undefined
    case 'dress':
      return bird ? 'Giblet bag out. Raw juice on nothing eaten raw; wash hands and board.' : undefined
    case 'take_out':
      return 'Never more than two hours on the bench.'
    case 'put_in':
      return roast && cut ? `Probe in: ${lower(cut.probe)}.` : undefined
    case 'pull':
      return 'Hot tin, hot fat: dry cloths, clear way. Push through and draw back: the lowest reading counts.'
    case 'gravy':
      return plan.gravy?.salty ? 'The brined roast gives salty juice: stretch it with unsalted stock.' : undefined
    case 'dish':
      return roast ? 'Keep above 57 °C or eat.' : undefined
    default:
      return undefined
  }
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
        ? `${title} wants ${sources.join(' or ')} when ${dropped.against.map((id) => lower(itemTitle(meal, id))).join(', ')} ${dropped.against.length === 1 ? 'has' : 'have'} it at another heat or fill${dropped.against.length === 1 ? 's' : ''} it.`
        : `${title} finds ${sources.join(' and ')} full or at another heat all the while; no single item in the way.`,
  }
  return codes[dropped.clash.code]
}

/** A change that would make room, in words. */
export function changeWords(change: ChangeKind, meal: MealDocument, units: Units): string {
  switch (change.code) {
    case 'oven_setting':
      return `${itemTitle(meal, change.id)} at ${temperature(change.set_c, units)}, ${change.minutes === 0 ? 'no longer' : `${Math.abs(change.minutes)} min ${change.minutes > 0 ? 'longer' : 'shorter'}`}`
    case 'longer_rest':
      return `Let ${lower(itemTitle(meal, change.id))} rest up to ${change.minutes} min longer`
    case 'other_serving':
      return `${itemTitle(meal, change.id)} on the table at ${clock(Date.parse(change.at) / 1000, units)}`
    case 'school':
      return `${itemTitle(meal, change.id)} by ${findSchool(change.school)?.name.toLowerCase() ?? change.school}`
    case 'two_smaller':
      return `Two of ${mass(change.mass_kg, units)} instead of one ${lower(itemTitle(meal, change.id))}`
    case 'side_range':
      return `${itemTitle(meal, change.id)} in any oven from ${temperature(change.low_c, units)} to ${temperature(change.high_c, units)}`
    case 'hold_longer':
      return `${itemTitle(meal, change.id)} ready up to ${change.minutes} min ahead`
    case 'start_earlier':
      return `Start the day ${change.hours} hours earlier`
    case 'another_cook':
      return 'One more pair of hands'
    default:
      return change satisfies never
  }
}
