import type { Slice } from '@/core/doneness/slice'
import { DOOR_COST_S } from '@/core/heat/oven'
import { buyFor, type Purchase } from '@/core/portions/buy'
import { type Gravy, gravyFor } from '@/core/portions/gravy'
import { type Leftovers, leftoversOf } from '@/core/portions/leftovers'
import { shapingOf } from '@/core/reference/cuts'
import type { Caution } from '@/core/safety/cautions'
import { checkSchedule, type MealFault } from '@/core/schedule/meal/check'
import { clashesOf, type MealClash } from '@/core/schedule/meal/clash'
import { othersOpen } from '@/core/schedule/meal/doors'
import { greedySchedule, type Prepared, prepare } from '@/core/schedule/meal/greedy'
import { dropCost, GRID_S, type MealSchedule, type Option } from '@/core/schedule/meal/problem'
import type { CookedRoast } from '@/core/schedule/meal/roast-times'
import { type MealAnswer, type MipSolver, solveMeal } from '@/core/schedule/meal/solve'
import { mealTasks, type TaskNeeds } from '@/core/schedule/meal/tasks'
import type { Task } from '@/core/schedule/task'
import { type Outcome, succeed } from '../problem/problem'
import { cutOf } from '../roast/resolve'
import { thawOf } from '../roast/thaw'
import { awayOf, type MealDocument, type PlacedPart, servingsLaid } from './meal-document'
import { type ResolvedMeal, resolveMeal } from './meal-problem'

/** An item of a meal on the clock, by the document's ids: plain data that can cross to a worker and back. */
export interface PlacedItem {
  readonly id: string
  readonly title: string
  readonly kind: 'roast' | 'side'
  readonly serve_s: number
  readonly stays: readonly {
    readonly source: string
    readonly from_s: number
    readonly to_s: number
    readonly lead_s: number
    /** Of the places there: a part of one where small pieces share it. */
    readonly places: number
    readonly phases: readonly { readonly from_s: number; readonly to_s: number; readonly set_c: number | undefined }[]
  }[]
  readonly start_s: number
  readonly dish_s: number
  readonly done_s: number
  readonly pinned: boolean
  /** Openings of its oven by others while it is in, and the minutes they cost. */
  readonly doors: number
  readonly pull_c: number | undefined
  readonly peak_c: number | undefined
  readonly window_s: { readonly p10: number; readonly p50: number; readonly p90: number } | undefined
  /** Core by time from put-in, for the ribbon. */
  readonly course: readonly { readonly time_s: number; readonly core_c: number }[]
  readonly slice: Slice | undefined
  readonly cautions: readonly Caution[]
  /** Of a roast: what is left of it and its bones when those it feeds have eaten. */
  readonly left: Leftovers | undefined
}

export interface MealSource {
  readonly id: string
  readonly name: string
  readonly kind: string
  readonly places: number
}

export interface MealPlan {
  readonly items: readonly PlacedItem[]
  readonly dropped: readonly { readonly id: string; readonly clash: MealClash; readonly against: readonly string[] }[]
  readonly sources: readonly MealSource[]
  readonly tasks: readonly Task[]
  /** Item ids by the indices that tasks name. */
  readonly itemIds: readonly string[]
  readonly faults: readonly MealFault[]
  readonly cost: number
  readonly bound: number | undefined
  readonly proved: boolean
  readonly purchases: readonly { readonly id: string; readonly purchase: Purchase }[]
  readonly gravy: Gravy | undefined
  readonly begin_s: number
  readonly end_s: number
}

const NAMES = { fire: 'Fire', hob: 'Hob', bath: 'Water bath', cabinet: 'Warm cabinet', oven: 'Oven' } as const

/** The document as placed items, tasks and purchases. */
function planOf(resolved: ResolvedMeal, answer: MealAnswer): MealPlan {
  const { document, problem, owners, roasts } = resolved
  const { schedule } = answer
  const prepared = prepare(problem)
  const clashes = clashesOf(problem, prepared, schedule)
  const idOf = (item: number) => problem.items[item]?.id ?? ''
  const cookedOf = (option: Option) => {
    const owner = owners[option.item]
    if (owner?.kind !== 'roast') return undefined
    const cooked = roasts[owner.index]?.cooked
    return cooked?.find(({ oven }) => oven === option.blocks[0]?.source) ?? cooked?.[0]
  }
  const titleOf = (item: number) => {
    const owner = owners[item]
    const entry = owner && (owner.kind === 'roast' ? document.roasts[owner.index] : document.sides[owner.index])
    return entry?.title ?? ''
  }
  const servingOf = (item: number) => {
    const owner = owners[item]
    const entry = owner && (owner.kind === 'roast' ? document.roasts[owner.index] : document.sides[owner.index])
    return entry?.serving ?? ''
  }
  const leftOf = (item: number, cooked: CookedRoast) => {
    const owner = owners[item]
    const roast = owner?.kind === 'roast' ? document.roasts[owner.index] : undefined
    const cut = roast && cutOf(roast.roast)
    return cut && leftoversOf(cut, roast.roast.mass_kg, cooked.yield, roast.heads)
  }
  const items = schedule.options.map((option): PlacedItem => {
    const cooked = cookedOf(option)
    return {
      id: idOf(option.item),
      title: titleOf(option.item),
      kind: owners[option.item]?.kind ?? 'side',
      serve_s: (problem.items[option.item]?.serve_s ?? option.done_s) + awayOf(document, servingOf(option.item)),
      stays: option.blocks.map(({ source, from_s, to_s, lead_s, places, phases }) => ({
        source: problem.sources[source]?.id ?? '',
        from_s,
        to_s,
        lead_s,
        places,
        phases,
      })),
      start_s: option.start_s,
      dish_s: option.dish_s,
      done_s: option.done_s,
      pinned:
        problem.items[option.item]?.pinnedStart_s !== undefined ||
        problem.items[option.item]?.pinnedSource !== undefined,
      doors: othersOpen(schedule.options, option).length,
      pull_c: cooked?.pull_c,
      peak_c: cooked?.peak_c,
      window_s: cooked?.window_s,
      course: cooked?.course.map(({ time_s, core_c }) => ({ time_s, core_c })) ?? [],
      slice: cooked?.slice,
      cautions: cooked?.cautions ?? [],
      left: cooked && leftOf(option.item, cooked),
    }
  })
  const needs = owners.map((owner, item): TaskNeeds => {
    const roast = owner.kind === 'roast' ? document.roasts[owner.index] : undefined
    const option = schedule.options.find((each) => each.item === item)
    const cooked = option && cookedOf(option)
    const name = roast?.owner ?? (owner.kind === 'side' ? document.sides[owner.index]?.owner : undefined)
    const cook = name ? document.kitchen.cooks.indexOf(name) : -1
    const cut = roast && cutOf(roast.roast)
    return {
      cooked,
      oven: resolved.ovens[cooked?.oven ?? 0],
      serve_c: resolved.serve_c[item] ?? 0,
      mass_kg: roast?.roast.mass_kg ?? 0,
      thaw: roast && thawOf(roast),
      preparation: roast?.preparation ?? 'none',
      shape: cut && shapingOf(cut, roast?.roast.legs),
      temper_s: (roast?.roast.temper_min ?? 0) * 60,
      owner: cook >= 0 ? cook : undefined,
    }
  })
  const laid = servingsLaid(document)
  const servings = laid.map(({ at }) => Date.parse(at) / 1000)
  const roastEnds = items
    .filter(({ kind }) => kind === 'roast')
    .map(({ stays, dish_s }) => stays.at(-1)?.to_s ?? dish_s)
  const gravyAt_s =
    document.gravy && roastEnds.length > 0 ? Math.min(Math.max(...roastEnds), Math.min(...servings) - 1200) : undefined
  const packs = laid.flatMap(({ at, away_min }) =>
    away_min > 0 ? [{ at_s: Date.parse(at) / 1000 - away_min * 60, away_s: away_min * 60 }] : [],
  )
  const tasks = mealTasks(problem, schedule.options, needs, gravyAt_s, servings, packs)
  const starts = items.flatMap(({ stays, start_s }) => [start_s, ...stays.map(({ from_s, lead_s }) => from_s - lead_s)])
  return {
    items,
    dropped: clashes.map((clash) => ({ id: idOf(clash.item), clash, against: clash.against.map(idOf) })),
    sources: problem.sources.map(({ id, kind, places }) => ({
      id,
      kind,
      places,
      name: document.kitchen.ovens.find((oven) => oven.id === id)?.name ?? NAMES[kind],
    })),
    tasks,
    itemIds: problem.items.map(({ id }) => id),
    faults: checkSchedule(problem, schedule),
    cost: schedule.cost,
    bound: answer.bound !== undefined && Number.isFinite(answer.bound) ? answer.bound : undefined,
    proved: answer.proved,
    purchases: document.roasts.flatMap((roast) => {
      const cut = cutOf(roast.roast)
      return cut && roast.heads > 0
        ? [{ id: roast.id, purchase: buyFor(cut, roast.heads, roast.price_per_kg ?? undefined) }]
        : []
    }),
    gravy: document.gravy
      ? gravyFor(
          document.guests,
          document.roasts.some(({ preparation }) => preparation === 'wet_brine'),
        )
      : undefined,
    begin_s: Math.min(...starts, ...servings) - 900,
    end_s: Math.max(...servings),
  }
}

/** Makes the stays of items in shared ovens longer by what the others' door openings cost them, to the grid. */
function withDoors(resolved: ResolvedMeal, schedule: MealSchedule): ResolvedMeal | undefined {
  let changed = false
  const items = resolved.problem.items.map((item, index) => {
    const option = schedule.options.find((each) => each.item === index)
    if (!option || resolved.owners[index]?.kind !== 'roast') return item
    const cost_s = Math.round((othersOpen(schedule.options, option).length * DOOR_COST_S) / 60) * 60
    if (cost_s < 60) return item
    changed = true
    return {
      ...item,
      legs: item.legs.map((leg, i) =>
        i > 0
          ? leg
          : {
              ...leg,
              choices: leg.choices.map((choice) => ({
                ...choice,
                phases: choice.phases.map((phase, k) =>
                  k === choice.phases.length - 1 && phase.set_c !== undefined
                    ? { ...phase, duration_s: phase.duration_s + Math.min(cost_s, GRID_S * 2) }
                    : phase,
                ),
              })),
            },
      ),
    }
  })
  return changed ? { ...resolved, problem: { ...resolved.problem, items } } : undefined
}

/** The schedule a document keeps, where every item still has that very option and no fault; else undefined. */
function kept(resolved: ResolvedMeal, prepared: readonly Prepared[][]): MealAnswer | undefined {
  const { placed } = resolved.document
  if (!placed) return undefined
  const { problem } = resolved
  const options: Option[] = []
  const dropped: number[] = []
  let cost = 0
  const near = (iso: string, at_s: number) => Math.abs(Date.parse(iso) / 1000 - at_s) < 30
  for (let item = 0; item < problem.items.length; item++) {
    const wanted = placed.items.find(({ id }) => id === problem.items[item]?.id)
    if (!wanted) {
      dropped.push(item)
      cost += dropCost(problem, item)
      continue
    }
    const found = prepared[item]?.find(
      ({ option }) =>
        near(wanted.dish, option.dish_s) &&
        option.blocks.length === wanted.stays.length &&
        option.blocks.every((block, i) => {
          const stay = wanted.stays[i]
          return (
            stay !== undefined &&
            problem.sources[block.source]?.id === stay.source &&
            near(stay.from, block.from_s) &&
            near(stay.to, block.to_s)
          )
        }),
    )
    if (!found) return undefined
    options.push(found.option)
    cost += found.option.cost
  }
  const schedule = { options, dropped, cost }
  if (checkSchedule(problem, schedule).length > 0) return undefined
  return { schedule, proved: placed.proved, bound: placed.bound ?? undefined }
}

/** What a plan keeps of itself in its document. */
export const placedOf = (plan: MealPlan): PlacedPart => {
  const iso = (at_s: number) => new Date(at_s * 1000).toISOString()
  return {
    proved: plan.proved,
    bound: plan.bound ?? null,
    items: plan.items.map(({ id, stays, dish_s, done_s }) => ({
      id,
      stays: stays.map(({ source, from_s, to_s }) => ({ source, from: iso(from_s), to: iso(to_s) })),
      dish: iso(dish_s),
      done: iso(done_s),
    })),
  }
}

/**
 * Schedules a meal: a good first answer at once, better ones as they come.
 *
 * The openings that the first answer gives each roast are counted in, and the problem is solved
 * again with them: one round, for a second changes openings by one or two.
 */
export function makeMeal(
  document: MealDocument,
  solver: MipSolver | undefined,
  limit_s: number,
  tell: (plan: MealPlan) => void = () => {},
): Outcome<MealPlan> {
  const resolved = resolveMeal(document)
  if (!resolved.ok) return resolved
  const prepared = prepare(resolved.value.problem)
  const first = greedySchedule(resolved.value.problem, prepared)
  const counted = withDoors(resolved.value, first) ?? resolved.value
  const before = kept(counted, prepare(counted.problem))
  if (before && (before.proved || !solver)) {
    const plan = planOf(counted, before)
    tell(plan)
    return succeed(plan)
  }
  let told = false
  const answer = solveMeal(counted.problem, solver, limit_s, (each) => {
    told = true
    tell(planOf(counted, each))
  })
  if (!told) tell(planOf(counted, answer))
  return succeed(planOf(counted, answer))
}
