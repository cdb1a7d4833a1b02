import icalendar, { ICalCalendarMethod } from 'ical-generator'
import Papa from 'papaparse'
import type { KitchenRow, KitchenScope, MealRow } from '@/db/repositories'
import { livingMeal, livingTasks } from '@/domain/cook/living-plan'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import { totalOf } from '@/domain/meal/quantities'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { cutOf } from '@/domain/roast/resolve'
import { sceneOf } from '@/words/meal-words'
import { taskTitle } from '@/words/tasks'
import { kitchenUnits, type Units } from '@/words/units'
import { compute } from './compute'
import { nowSeconds } from './environment'
import { cooksOfSources } from './living'
import { mealInKitchen, mealRowInKitchen, savedMeal } from './meals'
import { settled } from './passing'

/** The ways out: calendar, CSV, JSON. Words come from the caller, for sentences live at the edge. */

interface CalendarEntry {
  readonly id: string
  readonly at_s: number
  readonly minutes: number
  readonly text: string
}

function calendarOf(name: string, entries: readonly CalendarEntry[]): string {
  const calendar = icalendar({
    name,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Pheasant', product: 'Pheasant' },
  })
  for (const { id, at_s, minutes, text } of entries)
    calendar.createEvent({
      id,
      // To the minute that every page says: a calendar cuts seconds off.
      start: new Date(Math.round(at_s / 60) * 60_000),
      end: new Date((Math.round(at_s / 60) + minutes) * 60_000),
      summary: text,
      stamp: new Date(at_s * 1000),
    })
  return calendar.toString()
}

/** The how-manieth task of its kind for its item and source. */
const nth = (
  tasks: readonly { kind: string; item?: number | undefined; source?: number | undefined }[],
  index: number,
) => {
  const own = tasks[index]
  return tasks
    .slice(0, index)
    .filter((task) => task.kind === own?.kind && task.item === own?.item && task.source === own?.source).length
}

const entriesOf = (id: string, meal: MealDocument, plan: MealPlan, units: Units): CalendarEntry[] =>
  plan.tasks.map((task, i) => ({
    // The same task keeps its name when its time moves, so that a subscribed calendar moves it.
    id: `${id}-${task.kind}-${task.item ?? ''}-${task.source ?? ''}-${nth(plan.tasks, i)}@pheasant`,
    at_s: task.at,
    minutes: Math.max(5, Math.round(task.hands_s / 60)),
    text: taskTitle(task, sceneOf(task, plan, meal), units),
  }))

/** A meal that has a plan; its problems where it has none. */
async function plannedMeal(
  slug: string,
  id: string,
): Promise<Outcome<{ kitchen: KitchenRow; row: MealRow; plan: MealPlan }>> {
  const found = await mealInKitchen(slug, id)
  if (!found.ok) return found
  const { kitchen, row, plan, problems, living } = found.value
  if (!plan) return fail(...problems)
  return succeed({ kitchen, row, plan: living ? livingMeal(plan, living.run) : plan })
}

/** One meal's tasks as an iCalendar file. */
export async function mealCalendar(slug: string, id: string): Promise<Outcome<string>> {
  const found = await plannedMeal(slug, id)
  if (!found.ok) return found
  const { kitchen, row, plan } = found.value
  return succeed(calendarOf(row.document.title, entriesOf(row.id, row.document, plan, kitchenUnits(kitchen))))
}

/** A calendar shows what was promised in the last days, and so many of what is ahead. */
const CALENDAR = { days: 7, most: 100 } as const

/** Everything ahead in a kitchen, for whoever has an address of its calendar (access/addresses.ts). */
export async function calendarOfKitchen(scope: KitchenScope): Promise<Outcome<string>> {
  const page = {
    from: new Date((nowSeconds() - CALENDAR.days * 86_400) * 1000),
    limit: CALENDAR.most,
    offset: 0,
  }
  const entries: CalendarEntry[] = []
  const meals = (await scope.meals.list(page)).rows
  const plans = (await scope.plans.list(page)).rows
  const cooking = await cooksOfSources(
    scope,
    [...meals, ...plans].map(({ id }) => id),
  )
  for (const row of meals) {
    const saved = await savedMeal(scope.kitchen, row)
    if (!saved.ok) return saved
    const living = cooking.get(row.id)?.living
    const plan = saved.value.plan && living ? livingMeal(saved.value.plan, living.run) : saved.value.plan
    if (plan)
      entries.push(
        ...entriesOf(row.id, row.document, plan, kitchenUnits(scope.kitchen)).map((entry) => ({
          ...entry,
          text: `${row.document.title}: ${entry.text}`,
        })),
      )
  }
  for (const row of plans) {
    const plan = settled(await compute('plan', { document: row.document, now_s: nowSeconds() }))
    if (!plan) continue
    const living = cooking.get(row.id)?.living
    const tasks = living ? livingTasks(plan.tasks, living.run) : plan.tasks
    const cut = cutOf(row.document.roast)
    entries.push(
      ...tasks.map((task, i) => ({
        id: `${row.id}-${task.kind}-${nth(tasks, i)}@pheasant`,
        at_s: task.at,
        minutes: 5,
        text: `${row.document.title}: ${taskTitle(task, { cut }, kitchenUnits(scope.kitchen))}`,
      })),
    )
  }
  return succeed(calendarOf(scope.kitchen.name, entries))
}

/** A cell that a spreadsheet would run as a formula is text in ours. */
const DEFUSED = { escapeFormulae: true } as const

const localOf = (at_s: number, { timeZone }: KitchenRow) =>
  new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' }).format(at_s * 1000)

/** One meal's tasks as CSV; times in the kitchen's zone. */
export async function mealTasksCsv(slug: string, id: string): Promise<Outcome<string>> {
  const found = await plannedMeal(slug, id)
  if (!found.ok) return found
  const { kitchen, row, plan } = found.value
  return succeed(
    Papa.unparse(
      plan.tasks.map((task) => ({
        local_time: localOf(task.at, kitchen),
        utc: new Date(task.at * 1000).toISOString(),
        task: taskTitle(task, sceneOf(task, plan, row.document), kitchenUnits(kitchen)),
        cook: task.cook === undefined ? '' : (row.document.kitchen.cooks[task.cook] ?? ''),
        set_c: task.set_c ?? '',
        pull_c: task.pull_c === undefined ? '' : task.pull_c.toFixed(1),
        hands_min: Math.round(task.hands_s / 60),
      })),
      DEFUSED,
    ),
  )
}

/** One meal's shopping as CSV. */
export async function mealShoppingCsv(slug: string, id: string): Promise<Outcome<string>> {
  const found = await plannedMeal(slug, id)
  if (!found.ok) return found
  const { row, plan } = found.value
  const { document } = row
  const none = { pieces: '', mass_kg: '', quantity: '', price: '', price_per_head: '' }
  return succeed(
    Papa.unparse(
      [
        ...plan.purchases.map(({ id: roast, purchase }) => ({
          ...none,
          item: document.roasts.find((each) => each.id === roast)?.title ?? roast,
          pieces: purchase.pieces,
          mass_kg: purchase.mass_kg.toFixed(2),
          price: purchase.price?.toFixed(2) ?? '',
          price_per_head: purchase.pricePerHead?.toFixed(2) ?? '',
        })),
        ...document.sides.map((side) => ({
          ...none,
          item: side.title,
          quantity: [totalOf(side.quantity, document.guests), side.quantity].filter(Boolean).join(', '),
        })),
        ...(plan.gravy
          ? [
              { ...none, item: 'Stock', quantity: `${plan.gravy.stock_l.toFixed(1)} l` },
              { ...none, item: 'Flour', quantity: `${Math.round(plan.gravy.flour_g)} g` },
            ]
          : []),
      ],
      DEFUSED,
    ),
  )
}

/** The document alone, as it would be imported. */
export async function mealJson(slug: string, id: string): Promise<Outcome<MealDocument>> {
  const found = await mealRowInKitchen(slug, id)
  return found.ok ? succeed(found.value.document) : found
}
