import { DOMESTIC_OVEN, type OvenSpec, preheatSeconds } from '@/core/heat/oven'
import { STANDARDS } from '@/core/reference/standards'
import { carvedAhead, carveSeconds } from '@/core/schedule/carving'
import {
  DROP_COST,
  type HeatSource,
  type Leg,
  type LegChoice,
  type MealItem,
  type MealProblem,
  type SourceKind,
} from '@/core/schedule/meal/problem'
import { type CookedRoast, cookForMeal, type MealRoastRequest } from '@/core/schedule/meal/roast-times'
import type { Hindrance } from '@/core/simulate/hindrance'
import { fail, type Outcome, type Problem, succeed } from '../problem/problem'
import { questionOf } from '../roast/question'
import { ovenOf } from '../roast/resolve'
import { zoneOffset } from '../schema/zone'
import { awayOf, type MealDocument, type MealRoast, type MealSide } from './meal-document'

/** A meal document worked out: what the scheduler needs, and what stands behind each of its items. */
export interface ResolvedMeal {
  readonly document: MealDocument
  readonly problem: MealProblem
  readonly roasts: readonly { readonly roast: MealRoast; readonly cooked: readonly CookedRoast[] }[]
  /** For each item of the problem: the roast or side of the document it is. */
  readonly owners: readonly { readonly kind: 'roast' | 'side'; readonly index: number }[]
  /** The kitchen's ovens as the model knows them. */
  readonly ovens: readonly OvenSpec[]
  /** Wanted at the core by item, °C; undefined for a side. */
  readonly serve_c: readonly (number | undefined)[]
}

const DAY_S = 12 * 3600
/** A table without its roast is worse off than without a side (common practice). */
const ROAST_DROP_COST = 4 * DROP_COST
/** Up to so many eat from a dish that takes half a place; beyond it takes a whole one (common practice). */
const MOST_ON_HALF = 10
/** Sides are dished up by one cook in this time, s. */
const DISH_SIDE_S = 60
/** Heat flux into a tray goes about as the oven above this, °C: what a crust does at (common practice for converting oven times). */
const FLUX_ZERO_C = 85

const at = (iso: string) => Date.parse(iso) / 1000

/** Cooks already simulated, by what they depend on: a change to one roast does not cook the others again. */
const remembered = (() => {
  const known = new Map<string, CookedRoast>()
  return (request: MealRoastRequest): CookedRoast => {
    const key = JSON.stringify(request)
    const found = known.get(key)
    if (found) return found
    if (known.size > 400) known.clear()
    const cooked = cookForMeal(request)
    known.set(key, cooked)
    return cooked
  }
})()

/** Every heat source of a kitchen, ovens first, in the order the problem's indices count. */
export function sourcesOf(kitchen: MealDocument['kitchen']): HeatSource[] {
  const more: readonly (readonly [SourceKind, number, boolean, number, number])[] = [
    ['fire', kitchen.fire_places, false, 60, 500],
    ['hob', kitchen.hob_rings, false, 0, 500],
    ['bath', kitchen.bath_places, true, 40, 95],
    ['cabinet', kitchen.cabinet_places, true, 40, 95],
  ]
  return [
    ...kitchen.ovens.map((oven) => ({
      id: oven.id,
      kind: 'oven' as const,
      places: oven.places,
      oneSetting: true,
      low_c: oven.low_c,
      high_c: oven.high_c,
    })),
    ...more
      .filter(([, places]) => places > 0)
      .map(([kind, places, oneSetting, low_c, high_c]) => ({ id: kind, kind, places, oneSetting, low_c, high_c })),
  ]
}

const leadOf = (spec: OvenSpec, set_c: number) => preheatSeconds(spec, set_c)

function sideItem(
  side: MealSide,
  meal: MealDocument,
  sources: readonly HeatSource[],
  settings: readonly number[],
): MealItem {
  const candidates = [...new Set([side.set_c, ...settings.filter((set) => set >= side.low_c && set <= side.high_c)])]
  const choices: LegChoice[] = sources.flatMap((source, index) => {
    const oven = meal.kitchen.ovens[index]
    if (source.kind !== 'oven' || !oven) return []
    const spec = ovenOf(oven)
    return candidates
      .filter((set_c) => set_c >= source.low_c && set_c <= source.high_c)
      .map((set_c) => {
        const faster = oven.kind === 'fan' ? 1.12 : 1
        const duration = (side.minutes * (side.set_c - FLUX_ZERO_C)) / (set_c - FLUX_ZERO_C) / faster
        return {
          source: index,
          phases: [{ duration_s: Math.round(duration) * 60, set_c }],
          lead_s: leadOf(spec, set_c),
          cost: Math.abs(set_c - side.set_c) / 20,
        }
      })
  })
  const legs: Leg[] = [
    {
      places: meal.guests > MOST_ON_HALF ? Math.ceil(side.places) : side.places,
      choices,
      gap: { least_s: 0, most_s: side.hold_min * 60, liked_s: 0, perTen: 1 },
    },
  ]
  const hob = sources.findIndex(({ kind }) => kind === 'hob')
  if (side.hob_min > 0 && hob >= 0)
    legs.unshift({
      places: 1,
      choices: [{ source: hob, phases: [{ duration_s: side.hob_min * 60, set_c: 100 }], lead_s: 0, cost: 0 }],
      gap: { least_s: 0, most_s: 1800, liked_s: 0, perTen: 0.5 },
    })
  return {
    id: side.id,
    serve_s: at(meal.servings.find(({ id }) => id === side.serving)?.at ?? '') - awayOf(meal, side.serving),
    legs,
    dish_s: DISH_SIDE_S,
    early_s: 0,
    ...pinOf(side.pin, sources),
  }
}

const pinOf = (pin: MealSide['pin'], sources: readonly HeatSource[]) => ({
  ...(pin.start === null ? {} : { pinnedStart_s: at(pin.start) }),
  ...(pin.oven === null ? {} : { pinnedSource: sources.findIndex(({ id }) => id === pin.oven) }),
})

/** Pieces of up to so many kilograms share a place, so many of them (common practice: what a tray takes side by side). */
export const SHARE_A_PLACE = [
  { most_kg: 0.3, pieces: 8 },
  { most_kg: 0.65, pieces: 4 },
  { most_kg: 2, pieces: 2 },
] as const
/** One larger than this is carried and carved for itself, whatever stands beside it, kg. */
const MOST_ON_A_TRAY_KG = 1.1
/**
 * The part of a shelf or slot that a piece takes: an eighth, a quarter, a half or all of it, so that sums are exact.
 * @example shareOfPlace(0.42) // 0.25
 */
export const shareOfPlace = (mass_kg: number): number =>
  1 / (SHARE_A_PLACE.find(({ most_kg }) => mass_kg <= most_kg)?.pieces ?? 1)

/** The stretch of a cooked roast's stages on one kind of source. @param places what it takes of each */
function legsOf(
  cooked: readonly CookedRoast[],
  places: number,
  sources: readonly HeatSource[],
  meal: MealDocument,
): { legs: Leg[]; missing: SourceKind | undefined } {
  const pattern = cooked[0]
  if (!pattern) return { legs: [], missing: 'oven' }
  let missing: SourceKind | undefined
  const legs = pattern.stays.map((stay, index): Leg => {
    const choices = sources.flatMap((source, at): LegChoice[] => {
      if (source.kind !== stay.kind) return []
      // An oven cooks at its own pace; other sources as the first simulation said.
      const own = source.kind === 'oven' ? cooked.find(({ oven }) => oven === at) : pattern
      const phases = own?.stays[index]?.phases
      if (!phases || phases.some(({ set_c }) => set_c !== undefined && (set_c < source.low_c || set_c > source.high_c)))
        return []
      const first = phases[0]?.set_c
      const oven = meal.kitchen.ovens[at]
      return [
        {
          source: at,
          phases,
          lead_s: stay.preheated && oven && first !== undefined ? leadOf(ovenOf(oven), first) : 0,
          cost: 0,
        },
      ]
    })
    if (choices.length === 0) missing ??= stay.kind
    const last = index === pattern.stays.length - 1
    const { least_s, most_s } = stay.gap
    return {
      places,
      choices,
      gap: {
        least_s,
        most_s: Math.max(least_s, most_s),
        liked_s: least_s + (most_s > least_s ? pattern.slack_s : 0),
        perTen: last ? 1.5 : 1,
      },
    }
  })
  return { legs, missing }
}

/** Looks everything up, simulates every roast in every oven it may go into, and states the problem. */
export function resolveMeal(document: MealDocument): Outcome<ResolvedMeal> {
  const problems: Problem[] = []
  const sources = sourcesOf(document.kitchen)
  const last_s = Math.max(...document.servings.map((serving) => at(serving.at)))
  const earliest_s = document.day_start === null ? last_s - DAY_S : at(document.day_start)
  const items: MealItem[] = []
  const owners: { kind: 'roast' | 'side'; index: number }[] = []
  const roasts: { roast: MealRoast; cooked: CookedRoast[] }[] = []
  const settings: number[] = []
  const wanted: (number | undefined)[] = []
  document.roasts.forEach((roast, index) => {
    const cooked: CookedRoast[] = []
    let hindered: Hindrance | undefined
    document.kitchen.ovens.forEach((oven, ovenIndex) => {
      const asked = questionOf(
        {
          roast: roast.roast,
          oven,
          program: roast.program,
          ...(roast.target ? { target: roast.target } : {}),
          altitude_m: document.kitchen.altitude_m,
          vulnerable: document.vulnerable,
        },
        { rest: 'takes_doubt', members: 0, seed: 0 },
      )
      if (!asked.ok) {
        if (ovenIndex === 0)
          problems.push(
            ...asked.problems.map((problem) =>
              'path' in problem ? { ...problem, path: ['roasts', index, ...problem.path] } : problem,
            ),
          )
        return
      }
      const { target } = asked.value.question
      wanted[index] = target.kind === 'serve' ? target.serve_c : target.pull_c
      const answer = remembered({ ...asked.value.question, oven_index: ovenIndex })
      if (answer.outcome === 'cannot') hindered ??= answer.hindrances[0]
      else cooked.push(answer)
    })
    roasts.push({ roast, cooked })
    if (cooked.length === 0) {
      if (hindered) problems.push({ code: 'cannot_be', path: ['roasts', index, 'program'], because: hindered })
      return
    }
    const share = shareOfPlace(roast.roast.mass_kg)
    const { legs, missing } = legsOf(cooked, share, sources, document)
    if (missing)
      problems.push({
        code: 'missing_heat',
        path: ['roasts', index, 'program'],
        title: roast.title || roast.roast.cut,
        source: missing,
      })
    for (const stay of cooked[0]?.stays ?? [])
      for (const { set_c } of stay.phases) if (set_c !== undefined && stay.kind === 'oven') settings.push(set_c)
    items.push({
      id: roast.id,
      serve_s: at(document.servings.find(({ id }) => id === roast.serving)?.at ?? '') - awayOf(document, roast.serving),
      legs,
      dish_s: carveSeconds(roast.roast.mass_kg),
      early_s: STANDARDS.keepsCarved.value,
      hands: roast.roast.mass_kg > MOST_ON_A_TRAY_KG ? 1 : share,
      drop_cost: ROAST_DROP_COST,
      ...pinOf(roast.pin, sources),
    })
    owners.push({ kind: 'roast', index })
  })
  settings.push(...document.sides.map(({ set_c }) => set_c))
  settings.push(...sharedHeats(document.sides, settings))
  document.sides.forEach((side, index) => {
    items.push(sideItem(side, document, sources, [...new Set(settings)]))
    owners.push({ kind: 'side', index })
  })
  if (problems.length > 0) return fail(...problems)
  const cooks = document.kitchen.cooks.length
  return succeed({
    document,
    problem: {
      sources,
      items: carvedInTime(items, owners, cooks),
      cooks,
      earliest_s,
      zone_s: zoneOffset(document.time_zone, last_s),
    },
    roasts,
    owners,
    ovens: document.kitchen.ovens.map(ovenOf),
    serve_c: owners.map(({ kind, index }) => (kind === 'roast' ? wanted[index] : undefined)),
  })
}

/** For each two sides that bear one heat, but none that anything is set to: the lowest such, °C. */
const sharedHeats = (sides: readonly MealSide[], settings: readonly number[]): number[] =>
  sides.flatMap((one, i) =>
    sides.slice(i + 1).flatMap((other) => {
      const low_c = Math.max(one.low_c, other.low_c)
      const high_c = Math.min(one.high_c, other.high_c)
      const shares = low_c > high_c || settings.some((set_c) => set_c >= low_c && set_c <= high_c)
      return shares ? [] : [low_c]
    }),
  )

/** Where the cooks cannot carve all the roasts of one table as late as they would like, they begin earlier. */
const carvedInTime = (
  items: readonly MealItem[],
  owners: ResolvedMeal['owners'],
  cooks: number,
): readonly MealItem[] => {
  const isRoast = (item: number) => owners[item]?.kind === 'roast'
  return items.map((item, index) => {
    if (!isRoast(index)) return item
    const together = items.filter((other, i) => isRoast(i) && other.serve_s === item.serve_s)
    return {
      ...item,
      early_s: carvedAhead(
        together.map(({ dish_s }) => dish_s),
        cooks,
      ),
    }
  })
}

/** A kitchen with one domestic oven, for a meal that starts from nothing. */
export const PLAIN_KITCHEN: MealDocument['kitchen'] = {
  ovens: [{ id: 'oven', name: 'The oven', kind: DOMESTIC_OVEN.kind, offset_k: 0, places: 3, low_c: 60, high_c: 260 }],
  fire_places: 0,
  hob_rings: 4,
  bath_places: 0,
  cabinet_places: 0,
  cooks: ['Cook'],
  probes: 1,
  fridge_litres: 200,
  altitude_m: 0,
}
