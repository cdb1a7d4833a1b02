import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf } from '@/core/heat/piece'
import { pullStageIndex } from '@/core/program/stage'
import { degreeNamed, scaleOf } from '@/core/reference/doneness'
import { restSeconds } from '@/core/roast/rest'
import { AHEAD_KINDS } from '@/core/schedule/task'
import type { MealPlan } from '../meal/make-meal'
import { type MealDocument, servingsAt } from '../meal/meal-document'
import { servedAsItComes } from '../plan/from-line'
import { asIfToGoIn, makePlan } from '../plan/make-plan'
import { fail, type Outcome, succeed } from '../problem/problem'
import { cutAsCooked, pieceOf } from '../roast/resolve'
import type { PlanDocument } from '../roast/roast-document'
import { waitingForPull } from '../roast/stages'
import { type CookDocument, type CookEntry, type CookItem, cookDocument, cookEntry } from './cook-document'
import { type CookStep, stepsOf } from './step'

/** The one roast of a plan, by the name that its entries have. */
const ROAST = 'roast'

const iso = (at_s: number) => new Date(at_s * 1000).toISOString()

/** A cook of one planned roast. */
export function cookFromPlan(plan: PlanDocument, now_s: number, speed: number): Outcome<CookDocument> {
  // What is in already is counted from its entry, as whatever went in otherwise than planned.
  const made = makePlan(asIfToGoIn(plan), now_s)
  if (!made.ok) return made
  const { resolved, plan: planned } = made.value
  if (resolved.target.kind !== 'serve') return fail({ code: 'missing_doneness', path: ['target'] })
  const pull = planned.tasks.find(({ kind }) => kind === 'pull')
  const carve = planned.tasks.find(({ kind }) => kind === 'carve')
  const told = waitingForPull(plan.program)
  // By the clock it is out when its last heat ends.
  const clocked = planned.stages[pullStageIndex(resolved.program)]
  const item: CookItem = {
    id: ROAST,
    title: plan.title || resolved.cut.name,
    roast: plan.roast,
    oven: plan.oven,
    oven_name: 'the oven',
    program: told.program,
    serve_c: servedAsItComes(plan, planned) ?? resolved.target.serve_c,
    promise: plan.promise,
    put_in: iso(planned.putIn),
    pull: pull ? iso(pull.at) : clocked ? iso(clocked.to) : null,
    window: pull?.window ? { from: iso(pull.window.from), to: iso(pull.window.to) } : null,
    carve: iso(carve?.at ?? planned.promise),
    pull_c: told.pull_c ?? (pull ? planned.pull_c : null),
    set_c: planned.tasks.find(({ kind }) => kind === 'put_in')?.set_c ?? null,
    rest_min: planned.rest_s / 60,
    rest_least_min: restSeconds(resolved.program) / 60,
    altitude_m: plan.altitude_m,
    vulnerable: plan.vulnerable,
    points: [...planned.points],
    notes: plan.notes,
  }
  const steps = stepsOf(planned.tasks, ({ kind }) => ({
    item: kind === 'serve' ? null : item.id,
    source: null,
    servings: null,
    who: null,
  }))
  return succeed(begun({ title: item.title, guests: plan.guests, items: [item], steps }, now_s, speed))
}

/** Longer ago than this what a plan says to be in is of another day, s. */
const LONGEST_IN_S = 36 * 3600

/** The entry that a plan begins with whose roast is in already, if it is. */
export function wentInAlready({ in_since }: PlanDocument, now_s: number, id: string): readonly CookEntry[] {
  const since_s = in_since === undefined ? Number.NaN : Date.parse(in_since) / 1000
  if (!(since_s <= now_s && now_s - since_s < LONGEST_IN_S)) return []
  return [cookEntry.parse({ id, kind: 'in', at: iso(since_s), item: ROAST })]
}

/** The rest a schedule gave a roast: between its first stay and the next, or the knife, s. */
const restOfPlaced = ({ stays, dish_s }: MealPlan['items'][number]): number =>
  Math.max(0, (stays[1]?.from_s ?? dish_s) - (stays[0]?.to_s ?? dish_s))

/** A cook of a whole meal, by the schedule that was kept. */
export function cookFromMeal(meal: MealDocument, plan: MealPlan, now_s: number, speed: number): Outcome<CookDocument> {
  const items = plan.items.flatMap((placed): CookItem[] => {
    const roast = meal.roasts.find(({ id }) => id === placed.id)
    const cut = roast && cutAsCooked(roast)
    if (!roast || !cut) return []
    const scale = scaleOf(cut)
    const word = roast.target && 'doneness' in roast.target ? roast.target.doneness : cut.usualDoneness
    const serve_c =
      roast.target && 'serve_c' in roast.target ? roast.target.serve_c : (degreeNamed(scale, word)?.serve_c ?? 60)
    const oven = meal.kitchen.ovens.find(({ id }) => id === placed.stays[0]?.source)
    const { kind = 'still' as const, offset_k = 0 } = oven ?? {}
    const told = waitingForPull(roast.program)
    return [
      {
        id: roast.id,
        title: roast.title,
        roast: roast.roast,
        oven: { kind, offset_k },
        oven_name: oven?.name ?? placed.stays[0]?.source ?? 'the oven',
        program: told.program,
        serve_c: servedAsItComes(roast, { peak_c: placed.peak_c }) ?? serve_c,
        promise: iso(placed.serve_s),
        put_in: iso(placed.start_s),
        pull: placed.pull_c === undefined ? null : iso(placed.stays[0]?.to_s ?? placed.dish_s),
        window: placed.window_s
          ? { from: iso(placed.start_s + placed.window_s.p10), to: iso(placed.start_s + placed.window_s.p90) }
          : null,
        carve: iso(placed.dish_s),
        pull_c: told.pull_c ?? placed.pull_c ?? null,
        set_c: placed.stays[0]?.phases[0]?.set_c ?? null,
        rest_min: restOfPlaced(placed) / 60,
        rest_least_min: Math.min(cut.rest_min.least, restOfPlaced(placed) / 60),
        altitude_m: meal.kitchen.altitude_m,
        vulnerable: meal.vulnerable,
        notes: roast.notes,
        points: bodiesOf(pieceOf(cut, roast.roast), HEAT_PARAMETERS).map(({ point }) => point),
      },
    ]
  })
  if (items.length === 0) return fail({ code: 'nothing_placed', path: ['roasts'] })
  const sides = plan.items.flatMap((placed) => {
    const side = meal.sides.find(({ id }) => id === placed.id)
    return side ? [{ id: side.id, title: side.title, promise: iso(placed.serve_s) }] : []
  })
  const known = new Set([...items, ...sides].map(({ id }) => id))
  const steps = stepsOf(plan.tasks, (task) => {
    const id = task.item === undefined ? undefined : plan.itemIds[task.item]
    const source = task.source === undefined ? undefined : plan.sources[task.source]
    return {
      item: id !== undefined && known.has(id) ? id : null,
      source: source ? { id: source.id, name: source.name, kind: source.kind } : null,
      servings: task.kind === 'serve' ? servingsAt(meal, task.at).slice(0, 400) : null,
      who: task.cook === undefined ? null : (meal.kitchen.cooks[task.cook] ?? null),
    }
  })
  return succeed(begun({ title: meal.title, guests: meal.guests, items, sides, steps, meal }, now_s, speed))
}

/** The cook's clock is the wall's; a rehearsal starts some minutes before the first thing to do on the day, and runs faster. */
function begun(
  parts: Pick<CookDocument, 'title' | 'items'> & Partial<Pick<CookDocument, 'guests' | 'sides' | 'steps' | 'meal'>>,
  now_s: number,
  speed: number,
): CookDocument {
  const at = ({ at }: CookStep) => Date.parse(at) / 1000
  const first_s = Math.min(...parts.items.map(({ put_in }) => Date.parse(put_in) / 1000))
  const day_s = Math.min(first_s, ...(parts.steps ?? []).filter(({ kind }) => !AHEAD_KINDS.has(kind)).map(at))
  const origin = speed > 1 ? Math.min(first_s - 600, day_s - 60) : now_s
  return cookDocument.parse({ ...parts, clock: { origin: iso(origin), real: iso(now_s), speed } })
}
