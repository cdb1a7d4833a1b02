import { seededRandom } from '@/core/estimate/random'
import { cookFromMeal, cookFromPlan } from '@/domain/cook/begin'
import { type CookDocument, type CookEntry, cookEntry, type ProbeReading } from '@/domain/cook/cook-document'
import { makeMeal } from '@/domain/meal/make-meal'
import { type MealDocument, mealDocument } from '@/domain/meal/meal-document'
import { makePlan } from '@/domain/plan/make-plan'
import { type PlanDocument, planDocument } from '@/domain/roast/roast-document'
import { KitchenRoast } from '../kitchen/kitchen'
import { type Entered, type Kitchen, type ServedRoast, service } from '../service/service'
import { TERN_POINT_KITCHEN } from './meals'

/**
 * Two seasons of cooks of the demo's kitchens, as they went in kitchens of other physics than the planner's: the
 * cottage oven runs cold, its butcher cuts thick. Made by `npm run demo:seasons`, kept in `seasons.json` by the minute
 * before the promise, laid on days before today. Invented, like all of the demo.
 */

export type Slug = 'cottage' | 'tern-point'

/** A cook of the past: what was planned, and what went wrong. */
export interface PastCook {
  readonly slug: Slug
  /** About so many days ago, on the nearest Sunday where it is a lunch, else Saturday; at this time of the kitchen's clock. */
  readonly days: number
  /** Or on this day of the year, month and day, the last there was. */
  readonly on?: readonly [number, number]
  readonly clock: readonly [number, number]
  readonly title: string
  readonly guests: number
  readonly roasts: readonly PastRoast[]
  readonly by: string
  /** What its oven is off, K. */
  readonly oven_k: number
  readonly late_min?: number
  readonly forgotten_min?: number
  readonly dead_at?: number
  readonly doors_min?: readonly number[]
  readonly change?: string
}
interface PastRoast {
  readonly cut: string
  readonly kg: number
  readonly school: string
  readonly set_c?: number
  readonly serve_c: number
  readonly supplier: string
}

const HOLLIS = 'Hollis & Daughter'
const MARKET = 'the market hall'
const FELL = 'Fellside Meats'
const PORTER = 'Porter’s dock'

const roast = (
  cut: string,
  kg: number,
  school: string,
  serve_c: number,
  supplier: string,
  set_c?: number,
): PastRoast => ({
  cut,
  kg,
  school,
  serve_c,
  supplier,
  ...(set_c === undefined ? {} : { set_c }),
})
const RIB = 'beef-rib-bone-in'
const LOIN = 'pork-loin'
const FILLET = 'beef-tenderloin'
const EYE = 'beef-eye-of-round'
const LAMB = 'lamb-leg-bone-in'

const cottage = (
  days: number,
  clock: PastCook['clock'],
  title: string,
  guests: number,
  one: PastRoast,
  more: Partial<PastCook> = {},
): PastCook => ({ slug: 'cottage', days, clock, title, guests, roasts: [one], by: 'Wren', oven_k: -11, ...more })
const tern = (
  days: number,
  clock: PastCook['clock'],
  title: string,
  guests: number,
  roasts: readonly PastRoast[],
  more: Partial<PastCook> = {},
): PastCook => ({ slug: 'tern-point', days, clock, title, guests, roasts, by: 'Maren', oven_k: 5, ...more })

export const PAST_COOKS: readonly PastCook[] = [
  cottage(338, [13, 30], 'Christmas rib', 8, roast(RIB, 3.6, 'steady', 55, HOLLIS, 130), {
    on: [12, 25],
    change: 'a longer rest: it was still running',
  }),
  cottage(331, [19, 0], 'New Year fillet', 6, roast(FILLET, 1.9, 'reverse-sear', 54, HOLLIS), {
    on: [1, 1],
    by: 'Alder',
  }),
  cottage(304, [13, 0], 'Sunday loin', 5, roast(LOIN, 2.1, 'steady', 63, MARKET, 160)),
  cottage(276, [18, 30], 'Eye of round for sandwiches', 4, roast(EYE, 1.4, 'steady', 56, MARKET, 120), {
    forgotten_min: 7,
    change: 'stay in the kitchen for the last quarter of an hour',
  }),
  cottage(248, [13, 0], 'Mothering Sunday leg', 6, roast(LAMB, 2.5, 'steady', 58, HOLLIS, 160)),
  cottage(213, [13, 0], 'Easter leg', 7, roast(LAMB, 2.7, 'steady', 60, HOLLIS, 160), { late_min: 18, by: 'Alder' }),
  cottage(185, [19, 30], 'Birthday rib', 9, roast(RIB, 4.1, 'reverse-sear', 54, HOLLIS)),
  cottage(151, [19, 0], 'Loin with cherries', 4, roast(LOIN, 1.6, 'hot-start', 63, MARKET)),
  cottage(123, [19, 0], 'The night of the storm', 8, roast(RIB, 3.2, 'steady', 55, HOLLIS, 130), {
    oven_k: -70,
    late_min: 28,
    dead_at: 0.3,
    doors_min: [150, 120, 90, 60],
    change: 'a second probe, and nobody asks Alder to mind it',
  }),
  cottage(96, [18, 0], 'Cold beef for the fair', 6, roast(EYE, 1.7, 'reverse-sear', 56, MARKET), { by: 'Alder' }),
  cottage(68, [13, 0], 'Harvest loin', 6, roast(LOIN, 2.4, 'steady', 63, HOLLIS, 160)),
  cottage(40, [19, 0], 'Fillet for four', 4, roast(FILLET, 1.5, 'reverse-sear', 54, HOLLIS)),
  cottage(19, [13, 0], 'Martinmas rib', 6, roast(RIB, 2.8, 'steady', 55, HOLLIS, 120)),

  tern(
    339,
    [18, 0],
    'Keepers’ Christmas',
    22,
    [roast(RIB, 4.4, 'reverse-sear', 57, FELL), roast(LOIN, 2.9, 'steady', 63, PORTER)],
    { on: [12, 25], change: 'carve the rib at the table next year' },
  ),
  tern(318, [19, 0], 'Lamp night loin', 12, [roast(LOIN, 2.8, 'steady', 63, PORTER, 160)], { by: 'Jory' }),
  tern(290, [19, 30], 'Fillet, late sitting', 10, [roast(FILLET, 2.3, 'reverse-sear', 54, FELL)]),
  tern(261, [18, 0], 'Spring tide rib', 14, [roast(RIB, 4.2, 'steady', 55, FELL, 140)], { by: 'Tamsin' }),
  tern(227, [13, 0], 'Easter lamb', 11, [roast(LAMB, 2.9, 'steady', 60, FELL, 160)], { doors_min: [80, 70, 55] }),
  tern(192, [19, 0], 'Loin for the survey crew', 13, [roast(LOIN, 3, 'hot-start', 63, PORTER)], {
    by: 'Jory',
    late_min: 12,
  }),
  tern(158, [19, 0], 'Midsummer fillet', 10, [roast(FILLET, 2.2, 'steady', 54, FELL, 150)]),
  tern(130, [18, 30], 'Regatta rib', 16, [roast(RIB, 4.5, 'reverse-sear', 55, FELL)], { by: 'Tamsin' }),
  tern(101, [19, 0], 'Cold table', 12, [roast(EYE, 2.2, 'steady', 56, PORTER, 120)], { by: 'Jory', forgotten_min: 6 }),
  tern(73, [19, 0], 'Equinox loin', 12, [roast(LOIN, 2.7, 'steady', 63, PORTER, 160)]),
  tern(45, [18, 0], 'First Friday rib', 14, [roast(RIB, 4.3, 'steady', 55, FELL, 140)]),
  tern(12, [19, 0], 'Fillet for the bank', 8, [roast(FILLET, 2, 'reverse-sear', 54, FELL)], { by: 'Tamsin' }),
]

/** What a butcher's pieces are thicker than their weight says. */
const THICKER: Readonly<Record<string, number>> = { [HOLLIS]: 1.07, [MARKET]: 1, [FELL]: 1.01, [PORTER]: 0.95 }

/** A cook of the past as it went: entries and readings by seconds after the promise. */
export interface PastLog {
  readonly entries: readonly (Omit<Entered, 'at'> & { readonly s: number })[]
  readonly readings: Readonly<Record<string, readonly (readonly [number, number])[]>>
}

const BEGUN_BEFORE_S = 12 * 3600

/** The plan or the meal of a past cook, promised at an instant. */
export function documentOf(past: PastCook, promise: string): { plan: PlanDocument } | { meal: MealDocument } {
  const about = ({ cut, kg, school, set_c, serve_c, supplier }: PastRoast) => ({
    roast: { cut, mass_kg: kg, surface: 'dry_salted' as const, supplier },
    program: { school, ...(set_c === undefined ? {} : { set_c }) },
    target: { serve_c },
  })
  const [first] = past.roasts
  if (past.roasts.length === 1 && first)
    return {
      plan: planDocument.parse({
        title: past.title,
        ...about(first),
        oven: { kind: past.slug === 'cottage' ? 'still' : 'fan' },
        promise,
        guests: past.guests,
      }),
    }
  return {
    meal: mealDocument.parse({
      title: past.title,
      kitchen: TERN_POINT_KITCHEN,
      guests: past.guests,
      servings: [{ id: 'supper', title: 'Supper', at: promise }],
      roasts: past.roasts.map((each, i) => ({
        id: `roast-${i}`,
        title: each.cut === RIB ? 'Rib of beef' : 'Pork loin',
        serving: 'supper',
        ...about(each),
      })),
    }),
  }
}

/** The cook that began from it. @throws where it makes no plan: the list above is ours */
export function cookOf(past: PastCook, promise: string): CookDocument {
  const begun_s = Date.parse(promise) / 1000 - BEGUN_BEFORE_S
  const asked = documentOf(past, promise)
  if ('plan' in asked) {
    const cook = cookFromPlan(asked.plan, begun_s, 1)
    if (!cook.ok) throw new Error(`${past.title}: ${JSON.stringify(cook.problems)}`)
    return cook.value
  }
  const made = makeMeal(asked.meal, undefined, 0)
  const cook = made.ok ? cookFromMeal(asked.meal, made.value, begun_s, 1) : made
  if (!cook.ok) throw new Error(`${past.title}: ${JSON.stringify(cook.problems)}`)
  return cook.value
}

/** Any Saturday will do: what went is kept by the minute before the promise. */
const SOME_PROMISE = '2025-11-29T19:00:00.000Z'
const READ_S = 120

/** Cooks a past cook in its kitchen: takes some seconds. */
export function cookPast(past: PastCook, number: number): PastLog {
  const promise_s = Date.parse(SOME_PROMISE) / 1000
  const random = seededRandom(number * 911 + 3)
  const cook = cookOf(past, SOME_PROMISE)
  const truth = new Map(
    cook.items.map((item, i): [string, ServedRoast] => {
      const own = past.roasts[i] as PastRoast
      const asked = documentOf({ ...past, roasts: [own] }, SOME_PROMISE)
      const planned = 'plan' in asked ? makePlan(asked.plan, promise_s - BEGUN_BEFORE_S, 8) : undefined
      if (!planned?.ok) throw new Error(past.title)
      const thicker = (THICKER[own.supplier] ?? 1) * (1 + 0.03 * (2 * random() - 1))
      return [
        item.id,
        {
          piece: new KitchenRoast({
            seed: number * 10 + i,
            thickness_m: planned.value.plan.thickness_m * thicker,
            shape: 2,
            start_c: 6,
            family: number % 2 === 0 ? 'drying' : 'plateau',
          }),
          serve_c: own.serve_c,
          late_min: past.late_min ?? 0,
          dead_at: past.dead_at,
          ...(past.forgotten_min === undefined ? {} : { forgotten_min: past.forgotten_min }),
        },
      ]
    }),
  )
  const kitchen: Kitchen = {
    offset_k: () => past.oven_k + 2 * (2 * random() - 1),
    swings: true,
    doors_s: (past.doors_min ?? []).map((minutes) => promise_s - minutes * 60),
  }
  const went = service(
    cook,
    documentOf(past, SOME_PROMISE),
    truth,
    kitchen,
    promise_s - BEGUN_BEFORE_S,
    promise_s + 4 * 3600,
    64,
  )
  const after = (at: string) => Math.round(Date.parse(at) / 1000 - promise_s)
  const served = went.served.flatMap(({ item, off_k, browned_s }) => ateOf(item, off_k, browned_s, past, random))
  return {
    entries: [...went.entries.map(({ at, ...entry }) => ({ ...entry, s: after(at) })), ...served],
    readings: Object.fromEntries(
      cook.items.map(({ id }) => [
        id,
        thinned(went.readings.filter(({ item }) => item === id).map(({ at, c }) => [after(at), c] as const)),
      ]),
    ),
  }
}

/** One reading each two minutes is enough to be looked at. */
function thinned(readings: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  let next_s = Number.NEGATIVE_INFINITY
  return readings.filter(([s]) => {
    if (s < next_s) return false
    next_s = s + READ_S
    return true
  })
}

/** Said in bed, two hours after they ate. */
const SAID_S = 2 * 3600
const OFF_K = 2.5

/** How it ate, from how it truly was. */
function ateOf(
  item: string,
  off_k: number,
  browned_s: number,
  past: PastCook,
  random: () => number,
): PastLog['entries'] {
  const plate = off_k > OFF_K ? 'over' : off_k < -OFF_K ? 'under' : 'as_wanted'
  const crust = browned_s < 50 ? 'pale' : browned_s > 3600 ? 'dark' : 'as_wanted'
  const say = (point: string, text: string) => ({ kind: 'ate', item, point, text, s: SAID_S })
  return [
    say('plate', plate),
    say('crust', crust),
    ...(random() < 0.7 ? [say('juice', plate === 'over' ? 'dry' : 'as_wanted')] : []),
    ...(random() < 0.6 ? [say('left', (0.1 + 0.6 * random()).toFixed(1))] : []),
    ...(past.change ? [say('change', past.change)] : []),
  ]
}

/** A past cook’s log and readings on its day, each roast on a channel of one station. */
export function logOf(
  log: PastLog,
  document: CookDocument,
  promise: string,
  { device, by = '', tag }: { readonly device: string; readonly by?: string; readonly tag: string },
): { readonly entries: CookEntry[]; readonly readings: ProbeReading[] } {
  const promise_s = Date.parse(promise) / 1000
  const at = (s: number) => new Date((promise_s + s) * 1000).toISOString()
  const assigned = document.items.map(({ id, points }, channel) => ({
    kind: 'assign',
    item: id,
    device,
    channel,
    point: points[0] ?? 'core',
    s: (log.readings[id]?.[0]?.[0] ?? 0) - 20,
  }))
  const entries = [...assigned, ...log.entries].map(({ s, ...entry }, place) => {
    const { step = null, ...said } = entry as { step?: string | null }
    return cookEntry.parse({ ...said, of: step, id: `past-${tag}-${place}-entry`, at: at(s), by })
  })
  const readings = document.items.flatMap(({ id }, channel) =>
    (log.readings[id] ?? []).map(([s, c]): ProbeReading => ({ device, channel, at_s: promise_s + s, value_c: c })),
  )
  return { entries, readings }
}
