import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf } from '@/core/heat/piece'
import { donenessScale } from '@/core/reference/doneness'
import type { MealPlan } from '../meal/make-meal'
import type { MealDocument } from '../meal/meal-document'
import { makePlan } from '../plan/make-plan'
import { fail, type Outcome, succeed } from '../problem/problem'
import { cutOf, pieceOf } from '../roast/resolve'
import type { PlanDocument } from '../roast/roast-document'
import { type CookDocument, type CookItem, cookDocument } from './cook-document'

const iso = (at_s: number) => new Date(at_s * 1000).toISOString()

/** A cook of one planned roast. */
export function cookFromPlan(plan: PlanDocument, now_s: number, speed: number): Outcome<CookDocument> {
  const made = makePlan(plan, now_s)
  if (!made.ok) return made
  const { resolved, plan: planned } = made.value
  if (resolved.target.kind !== 'serve') return fail({ code: 'missing_doneness', path: ['target'] })
  const pull = planned.tasks.find(({ kind }) => kind === 'pull')
  const carve = planned.tasks.find(({ kind }) => kind === 'carve')
  const item: CookItem = {
    id: 'roast',
    title: plan.title || resolved.cut.name,
    roast: plan.roast,
    oven: plan.oven,
    oven_name: 'the oven',
    program: plan.program,
    serve_c: resolved.target.serve_c,
    promise: plan.promise,
    put_in: iso(planned.putIn),
    pull: pull ? iso(pull.at) : null,
    carve: iso(carve?.at ?? planned.promise),
    pull_c: pull ? planned.pull_c : null,
    rest_min: planned.rest_s / 60,
    altitude_m: plan.altitude_m,
    vulnerable: plan.vulnerable,
    points: [...planned.points],
  }
  return succeed(begun(item.title, [item], now_s, speed, Date.parse(item.put_in) / 1000))
}

/** The rest a schedule gave a roast: between its first stay and the next, or the knife, s. */
const restOfPlaced = ({ stays, dish_s }: MealPlan['items'][number]): number =>
  Math.max(0, (stays[1]?.from_s ?? dish_s) - (stays[0]?.to_s ?? dish_s))

/** A cook of a whole meal, by the schedule that was kept. */
export function cookFromMeal(meal: MealDocument, plan: MealPlan, now_s: number, speed: number): Outcome<CookDocument> {
  const items = plan.items.flatMap((placed): CookItem[] => {
    const roast = meal.roasts.find(({ id }) => id === placed.id)
    const cut = roast && cutOf(roast.roast)
    if (!roast || !cut) return []
    const scale = donenessScale(cut.doneness)
    const word = roast.target && 'doneness' in roast.target ? roast.target.doneness : cut.usualDoneness
    const serve_c =
      roast.target && 'serve_c' in roast.target
        ? roast.target.serve_c
        : (scale.degrees.find(({ id, words }) => id === word || words.includes(word))?.serve_c ?? 60)
    const oven = meal.kitchen.ovens.find(({ id }) => id === placed.stays[0]?.source)
    const { kind = 'still' as const, offset_k = 0 } = oven ?? {}
    return [
      {
        id: roast.id,
        title: roast.title,
        roast: roast.roast,
        oven: { kind, offset_k },
        oven_name: oven?.name ?? placed.stays[0]?.source ?? 'the oven',
        program: roast.program,
        serve_c,
        promise: iso(placed.serve_s),
        put_in: iso(placed.start_s),
        pull: placed.pull_c === undefined ? null : iso(placed.stays[0]?.to_s ?? placed.dish_s),
        carve: iso(placed.dish_s),
        pull_c: placed.pull_c ?? null,
        rest_min: restOfPlaced(placed) / 60,
        altitude_m: meal.kitchen.altitude_m,
        vulnerable: meal.vulnerable,
        points: bodiesOf(pieceOf(cut, roast.roast), HEAT_PARAMETERS).map(({ point }) => point),
      },
    ]
  })
  if (items.length === 0) return fail({ code: 'nothing_placed', path: ['roasts'] })
  const first = Math.min(...items.map(({ put_in }) => Date.parse(put_in) / 1000))
  return succeed(begun(meal.title, items, now_s, speed, first))
}

/** The cook's clock is the wall's; a rehearsal starts ten minutes before the first roast goes in, and runs faster. */
function begun(title: string, items: CookItem[], now_s: number, speed: number, first_s: number): CookDocument {
  const origin = speed > 1 ? first_s - 600 : now_s
  return cookDocument.parse({ title, items, clock: { origin: iso(origin), real: iso(now_s), speed } })
}
