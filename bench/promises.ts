import { writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { seededRandom } from '@/core/estimate/random'
import { CHART_ROWS } from '@/core/reference/charts'
import { findCut } from '@/core/reference/cuts'
import { carveSeconds } from '@/core/schedule/carving'
import { fahrenheitToCelsius, poundsToKilograms } from '@/core/units'
import type { PromisesKept } from '@/domain/accuracy/measured'
import { cookFromMeal, cookFromPlan } from '@/domain/cook/begin'
import { makeMeal } from '@/domain/meal/make-meal'
import { type MealDocumentInput, mealDocument } from '@/domain/meal/meal-document'
import { makePlan } from '@/domain/plan/make-plan'
import { planDocument } from '@/domain/roast/roast-document'
import { KitchenHeat, KitchenRoast } from '@/stand-ins/kitchen/kitchen'
import { type Served, type ServedRoast, serve } from '@/stand-ins/service/service'

/**
 * Promises kept, in closed loop: a cook who does what the board says, and only that, in kitchens of other physics
 * than the planner's, beside one who follows a published chart by the clock, and one who follows it with a probe.
 * Prints, for each: served within so many minutes of the promise, core within 2 K of the wanted.
 *
 * npm run bench:promises -- [first seed] [how many roasts] [first seed of meals] [how many meals] [--write]
 */

const numbers = process.argv.slice(2).map(Number).filter(Number.isFinite)
const [first = 2101, many = 40, firstMeal = 2601, manyMeals = 0] = numbers
const PROMISE = '2026-11-28T19:00:00Z'
const PROMISE_S = Date.parse(PROMISE) / 1000
const BEGUN_S = PROMISE_S - 12 * 3600
const TICK_S = 15
/** Nothing is later than this, s. */
const GIVE_UP_S = PROMISE_S + 4 * 3600

type Ended = Omit<Served, 'item'>

/** To the charts' own 145 °F, or, beef, to what is asked for oftener; the clock's cook is judged by the first alone. */
const CHART_C = 63
const ROSY_C = 57
/** What is under this is pale, over that burnt, minutes at 150 °C by the kitchen's own law. */
const COLOURED_MIN = [0.8, 100] as const
const KINDS = [
  { cut: 'beef-rib-bone-in', kg: [2, 4.5], serve_c: 63, schools: ['steady', 'reverse-sear', 'hot-start'] },
  { cut: 'pork-loin', kg: [1.2, 3], serve_c: 63, schools: ['steady', 'hot-start', 'pan-first'] },
  { cut: 'beef-tenderloin', kg: [1.3, 2.4], serve_c: 63, schools: ['steady', 'reverse-sear', 'pan-first'] },
  { cut: 'beef-eye-of-round', kg: [0.9, 2.2], serve_c: 63, schools: ['steady', 'reverse-sear'] },
] as const

const draw = (seed: number) => {
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
  const serve_c = kind.cut !== 'pork-loin' && random() < 0.4 ? ROSY_C : kind.serve_c
  const family = random() < 0.5 ? ('drying' as const) : ('plateau' as const)
  const swings = random() < 0.5
  // Forgotten in its heat, guests who say that they come later, doors that nobody writes down.
  const forgotten_min = random() < 0.1 ? Math.round(3 + 6 * random()) : undefined
  const guests =
    random() < 0.15
      ? { said_s: PROMISE_S - 60 * (20 + 60 * random()), later_s: 60 * Math.round(15 + 20 * random()) }
      : undefined
  const doors_s = Array.from({ length: Math.floor(4 * random()) }, () => PROMISE_S - 3600 * (0.5 + 3 * random()))
  const kitchen = { swings, doors_s, ...(guests ? { guests } : {}) }
  return { kind, mass_kg, offset_k, thicker, school, late_min, dead_at, serve_c, family, forgotten_min, kitchen }
}
type Drawn = ReturnType<typeof draw>

const pieceOf = (seed: number, { kind, mass_kg, thicker, family }: Drawn): KitchenRoast => {
  const cut = findCut(kind.cut)
  if (!cut) throw new Error(kind.cut)
  const planned = makePlan(planDocument.parse({ roast: { cut: kind.cut, mass_kg }, promise: PROMISE }), BEGUN_S, 8)
  if (!planned.ok) throw new Error(JSON.stringify(planned.problems))
  return new KitchenRoast({ seed, thickness_m: planned.value.plan.thickness_m * thicker, shape: 2, start_c: 5, family })
}
const servedRoast = (seed: number, drawn: Drawn): ServedRoast => ({
  piece: pieceOf(seed, drawn),
  serve_c: drawn.serve_c,
  late_min: drawn.late_min,
  dead_at: drawn.dead_at,
  ...(drawn.forgotten_min ? { forgotten_min: drawn.forgotten_min } : {}),
})
const roastOf = ({ kind, mass_kg, school, serve_c }: Drawn) => ({
  roast: { cut: kind.cut, mass_kg, temper_min: 0, surface: 'dry_salted' as const },
  program: { school },
  target: { serve_c },
})

/** One roast by the board alone. */
function byBoard(seed: number, drawn: Drawn): Ended {
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
  return { ...served, held: served.held || !asksForHeat(drawn) }
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

function mealByBoard(seed: number): Ended | undefined {
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
    { offset_k: (oven) => offsets.get(oven) ?? 0, ...drawn[0]?.kitchen },
    BEGUN_S,
    GIVE_UP_S,
    64,
  )
  if (process.env.EACH)
    console.log(
      `meal ${seed}: ${served.map(({ late_min, off_k }, i) => `${drawn[i]?.kind.cut} ${drawn[i]?.school} ${late_min.toFixed(0)} min ${off_k.toFixed(1)} K`).join('; ')}`,
    )
  return worstOf(served, drawn)
}

/** A meal is as late as its latest roast, as far off as its furthest, as safe as its least safe. */
function worstOf(served: readonly Ended[], drawn: readonly Drawn[]): Ended {
  const worst = (of: (each: Ended) => number) =>
    served.map(of).reduce((most, value) => (Math.abs(value) > Math.abs(most) || Number.isNaN(value) ? value : most), 0)
  return {
    late_min: worst(({ late_min }) => late_min),
    off_k: worst(({ off_k }) => off_k),
    peak_c: Math.min(...served.map(({ peak_c }) => peak_c)),
    taken: served.reduce((sum, { taken }) => sum + taken, 0),
    calls: served.reduce((sum, { calls }) => sum + calls, 0),
    browned_s: served.map(({ browned_s }) => browned_s).toSorted((a, b) => offColour(b) - offColour(a))[0] ?? 0,
    held: served.every(({ held }, i) => held || !asksForHeat(drawn[i])),
  }
}

/** Whole muscle of beef may be served as it is asked for; pork is held as long as the table says. */
const asksForHeat = (drawn: Drawn | undefined) => drawn?.kind.cut === 'pork-loin'
const offColour = (browned_s: number) =>
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
function byChart(seed: number, drawn: Drawn, probe: boolean): Ended | undefined {
  const chart = chartOf(drawn)
  if (!chart) return undefined
  const carve_s = carveSeconds(drawn.mass_kg)
  const in_s = PROMISE_S - carve_s - REST_S - chart.minutes * 60
  const roast = pieceOf(seed, drawn)
  const { swings, guests, doors_s } = drawn.kitchen
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
    (probe ? roast.core_c < drawn.serve_c - EARLY_K : now_s < in_s + (chart.minutes + drawn.late_min) * 60)
  )
    step()
  const forgot_s = now_s + (drawn.forgotten_min ?? 0) * 60
  while (now_s < forgot_s) step()
  roast.put(undefined)
  const out_s = now_s
  while (now_s < Math.max(out_s + REST_S, promise_s - carve_s)) step()
  return {
    late_min: (now_s + carve_s - promise_s) / 60,
    off_k: roast.highest_c - drawn.serve_c,
    peak_c: roast.highest_c,
    taken: 0,
    calls: 3,
    browned_s: roast.browned_s,
    held: roast.held >= 1 || !asksForHeat(drawn),
  }
}

/** A meal by charts: each roast has an oven of its own and whoever minds it, which no kitchen has. */
function mealByChart(seed: number, probe: boolean): Ended | undefined {
  const { drawn } = mealDrawn(seed)
  const ended = drawn.flatMap((each, i) => byChart(seed * 10 + i, each, probe) ?? [])
  return ended.length === drawn.length ? worstOf(ended, drawn) : undefined
}

/** What is printed, and kept for the page that tells it. */
function tell(name: string, ended: readonly Ended[], what = 'roasts'): PromisesKept {
  const known = ended.filter(({ late_min }) => Number.isFinite(late_min))
  const share = (ok: (each: Ended) => boolean) => `${Math.round((100 * known.filter(ok).length) / ended.length)} %`
  const late = known.map(({ late_min }) => Math.max(0, late_min))
  const mean = late.reduce((sum, each) => sum + each, 0) / Math.max(1, late.length)
  console.log(
    `${name.padEnd(34)} ${ended.length} ${what}: within 5 min ${share(({ late_min }) => Math.abs(late_min) <= 5)}, 10 min ${share(({ late_min }) => Math.abs(late_min) <= 10)}, 20 min ${share(({ late_min }) => Math.abs(late_min) <= 20)}; late ${mean.toFixed(1)} min on average; core within 2 K ${share(({ off_k }) => Math.abs(off_k) <= 2)}; coloured as it should be ${share(({ browned_s }) => offColour(browned_s) === 0)}; not safe ${known.filter(({ held }) => !held).length}; not served ${ended.length - known.length}; asked for something ${(ended.reduce((sum, { calls }) => sum + calls, 0) / ended.length).toFixed(1)} times, ways out taken ${(ended.reduce((sum, { taken }) => sum + taken, 0) / ended.length).toFixed(1)} each`,
  )
  const of = (ok: (each: Ended) => boolean) => Math.round((1000 * known.filter(ok).length) / ended.length) / 1000
  return {
    count: ended.length,
    within5: of(({ late_min }) => Math.abs(late_min) <= 5),
    within10: of(({ late_min }) => Math.abs(late_min) <= 10),
    within20: of(({ late_min }) => Math.abs(late_min) <= 20),
    asWanted: of(({ off_k }) => Math.abs(off_k) <= 2),
    both: of(({ late_min, off_k }) => Math.abs(late_min) <= 10 && Math.abs(off_k) <= 2),
    late_min: Math.round(10 * mean) / 10,
    coloured: of(({ browned_s }) => offColour(browned_s) === 0),
    unsafe: known.filter(({ held }) => !held).length,
    calls: Math.round((10 * ended.reduce((sum, { calls }) => sum + calls, 0)) / Math.max(1, ended.length)) / 10,
  }
}

const drawn = Array.from({ length: many }, (_, i) => ({ seed: first + i, ...draw(first + i) }))
const board = drawn.map((each) => {
  const ended = byBoard(each.seed, each)
  if (process.env.EACH)
    console.log(
      `${each.seed} ${each.kind.cut} ${each.mass_kg} kg ${each.school}, oven ${each.offset_k.toFixed(0)} K off, ${each.thicker.toFixed(2)} as thick${each.late_min ? `, in ${each.late_min} min late` : ''}${each.dead_at ? ', its probe dies' : ''}${each.forgotten_min ? `, forgotten ${each.forgotten_min} min` : ''}${each.kitchen.guests ? ', guests late' : ''}, ${each.family}, to ${each.serve_c}: ${ended.late_min.toFixed(0)} min, ${ended.off_k.toFixed(1)} K, ${ended.taken} taken`,
    )
  return { ...ended, school: each.school }
})
console.log(`Promises kept by seeds ${first} to ${first + many - 1}; goals: within 10 min 95 %, core within 2 K 90 %`)
const told = { board: tell('by the board alone', board) }
for (const school of [...new Set(board.map((each) => each.school))])
  tell(
    `  ${school}`,
    board.filter((each) => each.school === school),
  )
const clock = tell(
  'by a chart and the clock',
  drawn.flatMap((each) => (each.serve_c === CHART_C && byChart(each.seed, each, false)) || []),
)
const probe = tell(
  'by a chart and a probe',
  drawn.flatMap((each) => byChart(each.seed, each, true) ?? []),
)
const feasts = Array.from({ length: manyMeals }, (_, i) => firstMeal + i)
const meals =
  manyMeals > 0
    ? tell(
        'whole meals, their worst roast',
        feasts.flatMap((seed) => mealByBoard(seed) ?? []),
        'meals',
      )
    : undefined
const mealsByProbe =
  manyMeals > 0
    ? tell(
        'meals by charts and probes',
        feasts.flatMap((seed) => mealByChart(seed, true) ?? []),
        'meals',
      )
    : undefined

if (process.argv.includes('--write'))
  writeFileSync(
    process.env.PROMISES_FILE ?? resolve(import.meta.dirname, '../src/domain/accuracy/promises-kept.json'),
    `${JSON.stringify({ on: new Date().toISOString().slice(0, 10), seeds: [first, first + many - 1], ...told, clock, probe, meals, mealsByProbe, mealSeeds: manyMeals > 0 ? [firstMeal, firstMeal + manyMeals - 1] : null }, null, 2)}\n`,
  )
