import { seededRandom } from '@/core/estimate/random'
import { CHART_ROWS } from '@/core/reference/charts'
import { findCut } from '@/core/reference/cuts'
import { type TenderEnd, tenderSeconds } from '@/core/reference/tenderness'
import { carveSeconds } from '@/core/schedule/carving'
import { fahrenheitToCelsius, poundsToKilograms } from '@/core/units'
import { cookFromMeal, cookFromPlan } from '@/domain/cook/begin'
import { makeMeal } from '@/domain/meal/make-meal'
import { type MealDocumentInput, mealDocument } from '@/domain/meal/meal-document'
import { makePlan } from '@/domain/plan/make-plan'
import { planDocument } from '@/domain/roast/roast-document'
import { KitchenBird } from '@/stand-ins/kitchen/bird'
import { KitchenHeat, type KitchenMeat, KitchenRoast, leastRead } from '@/stand-ins/kitchen/kitchen'
import { type Kitchen, type Served, type ServedRoast, serve } from '@/stand-ins/service/service'

/** The roasts and meals by which promises are judged, each drawn from its seed, and how each comes out by a cook. */

const PROMISE = '2026-11-28T19:00:00Z'
const PROMISE_S = Date.parse(PROMISE) / 1000
const BEGUN_S = PROMISE_S - 16 * 3600
const TICK_S = 15
/** Nothing is later than this, s. */
const GIVE_UP_S = PROMISE_S + 4 * 3600

/** How a roast, or the worst of a meal's, came out. */
export interface Ended extends Omit<Served, 'item' | 'off_k'> {
  /** Highest core less the wanted, K; undefined where it is wanted tender and not at a reading. */
  readonly off_k: number | undefined
  /** Whether that is as wanted; undefined where it is wanted tender. */
  readonly asWanted: boolean | undefined
  /** As tender as wanted; undefined where a reading was. */
  readonly tender: boolean | undefined
}

/** To the charts' own 145 and 165 °F, or, beef, to what is asked for oftener; the clock's cook is judged by the first alone. */
const CHART_C = 63
const BIRD_C = 74
const ROSY_C = 57
const TENDER_C = 93
/** What is under this is pale, over that burnt, minutes at 150 °C by the kitchen's own law. */
const COLOURED_MIN = [0.8, 100] as const
/** Within this of the wanted is as wanted, K. A bird is never pulled under 71 °C: until the next degree it is as wanted. */
const OFF_K = 2
const BIRD_OVER_K = 6
/** So tender is as wanted, as shares of what falls apart. */
const TENDER_ENOUGH = [0.7, 3] as const

interface Kind {
  readonly cut: string
  readonly kg: readonly [number, number]
  readonly serve_c: number
  readonly schools: readonly string[]
  /** Long or round, as its kitchen's physics takes it; a bird is none of these. */
  readonly shape?: number
  readonly tender?: TenderEnd
}
const KINDS: readonly Kind[] = [
  {
    cut: 'beef-rib-bone-in',
    kg: [2, 4.5],
    serve_c: CHART_C,
    schools: ['steady', 'reverse-sear', 'hot-start'],
    shape: 2,
  },
  { cut: 'pork-loin', kg: [1.2, 3], serve_c: CHART_C, schools: ['steady', 'hot-start', 'pan-first'], shape: 2 },
  {
    cut: 'beef-tenderloin',
    kg: [1.3, 2.4],
    serve_c: CHART_C,
    schools: ['steady', 'reverse-sear', 'pan-first'],
    shape: 2,
  },
  { cut: 'beef-eye-of-round', kg: [0.9, 2.2], serve_c: CHART_C, schools: ['steady', 'reverse-sear'], shape: 2 },
  { cut: 'chicken', kg: [1.3, 2.6], serve_c: BIRD_C, schools: ['steady', 'hot-start'] },
  { cut: 'turkey', kg: [3.5, 8], serve_c: BIRD_C, schools: ['steady'] },
  {
    cut: 'pork-shoulder',
    kg: [1.5, 3],
    serve_c: TENDER_C,
    schools: ['low-and-long'],
    shape: 2.4,
    tender: 'falls_apart',
  },
]
const isBird = ({ shape }: Kind) => shape === undefined
const isBeef = ({ cut }: Kind) => cut.startsWith('beef')

export const draw = (seed: number) => {
  const random = seededRandom(seed * 7717 + 5)
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
  const kind = pick(KINDS)
  const mass_kg = Math.round(10 * (kind.kg[0] + (kind.kg[1] - kind.kg[0]) * random())) / 10
  // A dial that lies, a piece that is thicker or thinner than its weight says, a cook who is late with it, a probe that dies.
  const offset_k = 12 * (2 * random() - 1)
  const thicker = 1 + 0.1 * (2 * random() - 1)
  const school = pick(kind.schools)
  const late_min = random() < 0.2 ? Math.round(5 + 20 * random()) : 0
  const dead_at = random() < 0.1 ? 0.3 + 0.4 * random() : undefined
  const serve_c = isBeef(kind) && random() < 0.4 ? ROSY_C : kind.serve_c
  const family = random() < 0.5 ? ('drying' as const) : ('plateau' as const)
  const swings = random() < 0.5
  // Forgotten in its heat, guests who say that they come later, doors that nobody writes down.
  const forgotten_min = random() < 0.1 ? Math.round(3 + 6 * random()) : undefined
  const guests =
    random() < 0.15
      ? { said_s: PROMISE_S - 60 * (20 + 60 * random()), later_s: 60 * Math.round(15 + 20 * random()) }
      : undefined
  const doors_s = Array.from({ length: Math.floor(4 * random()) }, () => PROMISE_S - 3600 * (0.5 + 3 * random()))
  // An oven that fails in the last hours, a probe in its air.
  const ovenDies_s = random() < 0.06 ? PROMISE_S - 3600 * (0.6 + 1.2 * random()) : undefined
  const kitchen: Omit<Kitchen, 'offset_k'> = {
    swings,
    doors_s,
    airProbe: random() < 0.4,
    ...(guests ? { guests } : {}),
    ...(ovenDies_s === undefined ? {} : { ovenDies_s }),
  }
  return { kind, mass_kg, offset_k, thicker, school, late_min, dead_at, serve_c, family, forgotten_min, kitchen }
}
export type Drawn = ReturnType<typeof draw>

const pieceOf = (seed: number, { kind, mass_kg, thicker, family }: Drawn): KitchenMeat => {
  if (kind.shape === undefined) return new KitchenBird({ seed, mass_kg: mass_kg * thicker ** 3, start_c: 5 })
  const cut = findCut(kind.cut)
  if (!cut) throw new Error(kind.cut)
  const planned = makePlan(planDocument.parse({ roast: { cut: kind.cut, mass_kg }, promise: PROMISE }), BEGUN_S, 8)
  if (!planned.ok) throw new Error(JSON.stringify(planned.problems))
  const thickness_m = planned.value.plan.thickness_m * thicker
  return new KitchenRoast({ seed, thickness_m, shape: kind.shape, start_c: 5, family })
}
export const servedRoast = (seed: number, drawn: Drawn): ServedRoast => ({
  piece: pieceOf(seed, drawn),
  serve_c: drawn.serve_c,
  late_min: drawn.late_min,
  dead_at: drawn.dead_at,
  ...(drawn.forgotten_min ? { forgotten_min: drawn.forgotten_min } : {}),
})
export const roastOf = ({ kind, mass_kg, school, serve_c }: Drawn) => ({
  roast: {
    cut: kind.cut,
    mass_kg,
    temper_min: 0,
    surface: kind.tender || isBird(kind) ? ('plain' as const) : ('dry_salted' as const),
  },
  program: { school },
  target: { serve_c },
})
/** Under this whole beef is raw, and nobody serves it, °C (common practice: the bluest is 45 to 47). */
const RAW_C = 45
/** Whole muscle of beef may be served as it is asked for; pork and birds are held as long as their tables say. */
const asksForHeat = ({ kind }: Drawn) => !isBeef(kind)

/** A roast that is done, as its wish judges it. */
const endedAs = (drawn: Drawn, served: Omit<Served, 'item'>): Ended => {
  const { tender } = drawn.kind
  const share = (served.tender_min * 60) / tenderSeconds('falls_apart')
  return {
    ...served,
    off_k: tender ? undefined : served.off_k,
    asWanted: tender ? undefined : served.off_k >= -OFF_K && served.off_k <= (isBird(drawn.kind) ? BIRD_OVER_K : OFF_K),
    tender: tender && share >= TENDER_ENOUGH[0] && share <= TENDER_ENOUGH[1],
    held: served.held || (!asksForHeat(drawn) && served.peak_c >= RAW_C),
  }
}

/** One roast by the board alone. */
export function byBoard(seed: number, drawn: Drawn): Ended {
  const plan = { ...roastOf(drawn), promise: PROMISE }
  const cook = cookFromPlan(planDocument.parse(plan), BEGUN_S, 1)
  if (!cook.ok) throw new Error(JSON.stringify(cook.problems))
  const [item] = cook.value.items
  if (!item) throw new Error('no roast')
  const [served] = serve(
    cook.value,
    { plan },
    new Map([[item.id, servedRoast(seed, drawn)]]),
    { offset_k: () => drawn.offset_k, ...drawn.kitchen },
    BEGUN_S,
    GIVE_UP_S,
  )
  if (!served) throw new Error('not served')
  return endedAs(drawn, served)
}

/** A meal of two or three roasts and two sides in two ovens, by the board alone; its worst roast is its own. */
function mealDrawn(seed: number): { random: () => number; drawn: Drawn[] } {
  const random = seededRandom(seed * 3571 + 11)
  const drawn = Array.from({ length: random() < 0.5 ? 2 : 3 }, (_, i) => draw(seed * 10 + i)).map((each) => ({
    ...each,
    school: each.school === 'pan-first' ? ('steady' as const) : each.school,
  }))
  return { random, drawn }
}

export function mealByBoard(seed: number): Ended | undefined {
  const { random, drawn } = mealDrawn(seed)
  const meal: MealDocumentInput = {
    title: `Supper ${seed}`,
    kitchen: {
      ovens: [
        { id: 'left', name: 'Left oven', kind: 'still', places: 3 },
        { id: 'right', name: 'Right oven', kind: 'still', places: 3 },
      ],
      cooks: ['Ann', 'Bo'],
      probes: 4,
      cabinet_places: 2,
    },
    guests: 12,
    servings: [{ id: 'supper', title: 'Supper', at: PROMISE }],
    roasts: drawn.map((each, i) => ({ id: `roast-${i}`, title: `Roast ${i}`, serving: 'supper', ...roastOf(each) })),
    sides: [
      {
        id: 'roots',
        title: 'Roots',
        serving: 'supper',
        set_c: 190,
        low_c: 160,
        high_c: 220,
        minutes: 50,
        hold_min: 20,
      },
      {
        id: 'gratin',
        title: 'Gratin',
        serving: 'supper',
        set_c: 170,
        low_c: 150,
        high_c: 190,
        minutes: 60,
        hold_min: 25,
      },
    ],
  }
  const parsed = mealDocument.parse(meal)
  const made = makeMeal(parsed, undefined, 0)
  const cook = made.ok ? cookFromMeal(parsed, made.value, BEGUN_S, 1) : made
  // A kitchen that is too small says so, and nobody promises it.
  if (!cook.ok || cook.value.items.length < drawn.length) {
    console.log(`meal ${seed} has no plan`)
    return undefined
  }
  const offsets = new Map(['Left oven', 'Right oven'].map((name) => [name, 12 * (2 * random() - 1)]))
  const served = serve(
    cook.value,
    { meal: parsed },
    new Map(drawn.map((each, i) => [`roast-${i}`, servedRoast(seed * 10 + i, each)])),
    {
      offset_k: (oven) => offsets.get(oven) ?? 0,
      ...drawn[0]?.kitchen,
      ...(random() < 0.15 ? { swapped_s: PROMISE_S - 3600 * (0.7 + random()) } : {}),
    },
    BEGUN_S,
    GIVE_UP_S,
    64,
  )
  if (process.env.EACH)
    console.log(
      `meal ${seed}: ${served.map((each, i) => `${drawn[i]?.kind.cut} ${drawn[i]?.school} ${each.late_min.toFixed(0)} min ${each.off_k.toFixed(1)} K`).join('; ')}`,
    )
  return worstOf(served.map((each, i) => endedAs(drawn[i] as Drawn, each)))
}

/** A meal is as late as its latest roast, as far off as its furthest, as safe as its least safe. */
function worstOf(ended: readonly Ended[]): Ended {
  const worst = (of: (each: Ended) => number) =>
    ended.map(of).reduce((most, value) => (Math.abs(value) > Math.abs(most) || Number.isNaN(value) ? value : most), 0)
  const tenders = ended.flatMap(({ tender }) => (tender === undefined ? [] : [tender]))
  return {
    late_min: worst(({ late_min }) => late_min),
    off_k: ended.every(({ off_k }) => off_k === undefined) ? undefined : worst(({ off_k }) => off_k ?? 0),
    asWanted: ended.every(({ asWanted }) => asWanted !== false),
    tender: tenders.length === 0 ? undefined : tenders.every(Boolean),
    tender_min: 0,
    peak_c: Math.min(...ended.map(({ peak_c }) => peak_c)),
    taken: ended.reduce((sum, { taken }) => sum + taken, 0),
    calls: ended.reduce((sum, { calls }) => sum + calls, 0),
    browned_s: ended.map(({ browned_s }) => browned_s).toSorted((a, b) => offColour(b) - offColour(a))[0] ?? 0,
    held: ended.every(({ held }) => held),
  }
}

export const offColour = (browned_s: number) =>
  Math.max(0, COLOURED_MIN[0] - browned_s / 60) + Math.max(0, browned_s / 60 - COLOURED_MIN[1])

/** The chart's oven and minutes for a piece: the row nearest to its weight, the middle of its interval. */
function chartOf({ kind, mass_kg }: Drawn): { set_c: number; minutes: number } | undefined {
  const lb = mass_kg / poundsToKilograms(1)
  const apart = ([low, high]: readonly [number, number]) => Math.max(0, low - lb, lb - high)
  const [row] = CHART_ROWS.filter(({ cut }) => cut === kind.cut).toSorted(
    (a, b) => apart(a.weight_lb) - apart(b.weight_lb),
  )
  if (!row) return undefined
  const [low, high] = row.minutes
  return {
    set_c: fahrenheitToCelsius(row.oven_f),
    minutes: ((low + high) / 2) * (row.basis === 'per_lb' ? lb : 1),
  }
}

const REST_S = 20 * 60
/** A probe's cook pulls so far below the wanted, K (common practice). */
const EARLY_K = 5

/** By the chart: put in when it says, taken out by the clock, or at a reading. */
export function byChart(seed: number, drawn: Drawn, probe: boolean): Ended | undefined {
  const chart = drawn.kind.tender ? undefined : chartOf(drawn)
  // A chart's clock knows one degree of doneness.
  if (!chart || (!probe && drawn.serve_c === ROSY_C)) return undefined
  const carve_s = carveSeconds(drawn.mass_kg)
  const in_s = PROMISE_S - carve_s - REST_S - chart.minutes * 60
  const roast = pieceOf(seed, drawn)
  const { swings, guests, doors_s = [] } = drawn.kitchen
  const oven = new KitchenHeat(drawn.offset_k, 1, swings)
  oven.set(chart.set_c)
  for (let i = 0; i < 1500; i += TICK_S) oven.advance(TICK_S)
  roast.put(oven)
  // The same troubles: late with it, doors, forgotten in its heat, guests who come later.
  let now_s = in_s + drawn.late_min * 60
  const promise_s = PROMISE_S + (guests?.later_s ?? 0)
  const doors = doors_s.toSorted((a, b) => a - b)
  const step = () => {
    for (; doors[0] !== undefined && doors[0] <= now_s; doors.shift()) oven.door()
    oven.advance(TICK_S)
    roast.advance(TICK_S)
    now_s += TICK_S
  }
  while (
    now_s < GIVE_UP_S &&
    (probe ? leastRead(roast) < drawn.serve_c - EARLY_K : now_s < in_s + (chart.minutes + drawn.late_min) * 60)
  )
    step()
  const forgot_s = now_s + (drawn.forgotten_min ?? 0) * 60
  while (now_s < forgot_s) step()
  roast.put(undefined)
  const out_s = now_s
  while (now_s < Math.max(out_s + REST_S, promise_s - carve_s)) step()
  return endedAs(drawn, {
    late_min: (now_s + carve_s - promise_s) / 60,
    off_k: roast.highest_c - drawn.serve_c,
    peak_c: roast.highest_c,
    taken: 0,
    calls: 3,
    browned_s: roast.browned_s,
    tender_min: roast.tender_min,
    held: roast.held >= 1,
  })
}

/** A meal by charts: each roast has an oven of its own and whoever minds it, which no kitchen has. */
export function mealByChart(seed: number, probe: boolean): Ended | undefined {
  const { drawn } = mealDrawn(seed)
  const ended = drawn.flatMap((each, i) => byChart(seed * 10 + i, each, probe) ?? [])
  return ended.length === drawn.length ? worstOf(ended) : undefined
}
