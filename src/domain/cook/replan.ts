import { greedySchedule, type Prepared } from '@/core/schedule/meal/greedy'
import { handUses, optionsOf, usesOf } from '@/core/schedule/meal/options'
import type { Block, MealItem, MealProblem, Option } from '@/core/schedule/meal/problem'
import { awayOf, type MealDocument } from '../meal/meal-document'
import { resolveMeal } from '../meal/meal-problem'
import { fail, type Outcome, succeed } from '../problem/problem'
import { type CookDocument, type CookEntry, cookEntry } from './cook-document'
import { foldLog } from './entry/fold'
import { type CookLog, freshItem, hasEnded } from './entry/kind'
import { type Run, type RunStep, runOf, runOfLog } from './run'

/**
 * Plans the rest of a meal anew from now: what is in stays in and comes out when it is foreseen to, what
 * is done is done, and all that has not begun finds its place around that, in ovens, settings and hands.
 */

/** A step that would be done at another time, or elsewhere. */
export interface Moved {
  readonly step: RunStep
  readonly to_s: number
  /** Id and name of the heat it would go to; undefined: as planned. */
  readonly source: { readonly id: string; readonly name: string } | undefined
  readonly set_c: number | undefined
}

export interface Replan {
  readonly before: Run
  readonly after: Run
  readonly moved: readonly Moved[]
  /** Roasts whose table is later: item and where its promise goes, s. */
  readonly promises: readonly { readonly item: string; readonly to_s: number }[]
  /** What finds no place any more. */
  readonly dropped: readonly string[]
  /** What would be entered when it is taken. */
  readonly entries: readonly (Pick<CookEntry, 'kind'> & Partial<CookEntry>)[]
}

const MINUTE_S = 60
/** A table that will be late is promised on this grid, s. */
const PROMISE_S = 300
/** Less than this is no move, s. */
const WORTH_S = 90
/** Orders tried: enough for a dozen sides in a fraction of a second. */
const ROUNDS = 60

/** Staying as it stands is liked a little better than the best place there is. */
const STANDS_COST = -0.5

const iso = (at_s: number) => new Date(Math.round(at_s) * 1000).toISOString()

/** A meal with its tables where they can now be: as promised, or where what is under way lets them. */
function tablesOf(meal: MealDocument, cook: CookDocument, run: Run): MealDocument {
  const plateOf = new Map(run.items.map(({ id, plate_s }) => [id, plate_s]))
  return {
    ...meal,
    placed: null,
    servings: meal.servings.map((serving) => {
      const own = meal.roasts
        .filter((roast) => roast.serving === serving.id && cook.items.some(({ id }) => id === roast.id))
        .flatMap(({ id }) => plateOf.get(id) ?? [])
      if (own.length === 0) return serving
      const plate_s = Math.max(...own)
      const late = plate_s - promiseOf(run, serving.id, meal) > WORTH_S
      return { ...serving, at: iso(late ? Math.ceil(plate_s / PROMISE_S) * PROMISE_S : plate_s) }
    }),
  }
}

/** When a table is promised as the log stands, s. */
function promiseOf(run: Run, serving: string, meal: MealDocument): number {
  const own = run.items.filter(({ id }) => meal.roasts.some((roast) => roast.id === id && roast.serving === serving))
  return Math.max(...own.map(({ promise_s }) => promise_s))
}

/** The settings of a stay from here on: as it went in, and as its stages change it. */
function phasesOf(into: RunStep, own: readonly RunStep[], from_s: number, to_s: number): Block['phases'] {
  const changes = own.filter(({ step, at_s }) => step.kind === 'change' && at_s > into.at_s && at_s < to_s)
  const past = changes.findLast(({ at_s }) => at_s <= from_s)
  const ahead = changes.filter(({ at_s }) => at_s > from_s)
  return [past ?? into, ...ahead].map(({ step, at_s }, i) => ({
    from_s: i === 0 ? from_s : at_s,
    to_s: ahead[i]?.at_s ?? to_s,
    set_c: step.set_c ?? undefined,
  }))
}

/** What is left of one item: nothing, a stay that is under way, or legs that have not begun. */
function leftOf(
  index: number,
  item: MealItem,
  problem: MealProblem,
  own: readonly RunStep[],
  isRoast: boolean,
  log: CookLog,
  plate_s: number,
): readonly Option[] {
  const fixed = (blocks: readonly Block[], dish_s: number): Option[] => [
    { item: index, blocks, hands: [], start_s: blocks[0]?.from_s ?? dish_s, dish_s, done_s: plate_s, cost: 0 },
  ]
  const now_s = problem.earliest_s
  const state = isRoast ? (log.items.get(item.id) ?? freshItem()).state : undefined
  const ins = own.filter(({ step }) => step.kind === 'put_in' || step.kind === 'finish')
  const outs = own.filter(({ step }) => ['pull', 'take_off', 'carve', 'dish'].includes(step.kind))
  const begun = ins.filter((each) => each.state === 'done')
  const over = isRoast
    ? state === 'carving' || (state !== undefined && hasEnded(state))
    : own.every((each) => each.state !== 'open')
  if (over) return fixed([], now_s)
  const blocks: Block[] = []
  ins.forEach((each, leg) => {
    const out = outs.find((next) => next.planned_s > each.planned_s)
    const source = problem.sources.findIndex(({ id }) => id === each.step.source?.id)
    if (out?.state !== 'open' || source < 0) return
    const from_s = Math.max(now_s, each.at_s)
    const to_s = Math.max(from_s + MINUTE_S, out.at_s)
    blocks.push({
      source,
      places: item.legs[Math.min(leg, item.legs.length - 1)]?.places ?? 1,
      from_s,
      to_s,
      lead_s: 0,
      phases: phasesOf(each, own, from_s, to_s),
    })
  })
  // A roast under way goes on as it is foreseen, its finish too.
  if (isRoast && state !== 'waiting') return fixed(blocks, plate_s)
  if (begun.length === 0) {
    // As it stands is best, where it still can be: what need not move stays.
    const dish = own.find(({ step }) => step.kind === 'dish' || step.kind === 'carve')
    const begins = ins[0]?.at_s ?? Number.NEGATIVE_INFINITY
    const done_s = (dish?.at_s ?? Number.NaN) + item.dish_s
    const stands =
      dish !== undefined &&
      begins >= now_s &&
      blocks.length === item.legs.length &&
      done_s <= item.serve_s + WORTH_S &&
      done_s >= item.serve_s - item.early_s - WORTH_S
    const standing = stands ? fixed(blocks, dish.at_s).map((option) => ({ ...option, cost: STANDS_COST })) : []
    return [...standing, ...optionsOf(problem, index)]
  }
  // A side of two stays, of which the first has begun: what is in stays, the next is free.
  const left = item.legs.slice(begun.length)
  const last = begun.at(-1) as RunStep
  const out = outs.find((next) => next.planned_s > last.planned_s)
  if (left.length === 0 || out === undefined) return fixed(blocks.slice(0, 1), plate_s)
  const items = problem.items.map((each, i) => (i === index ? { ...each, legs: left } : each))
  const stay = out.state === 'open' ? blocks.slice(0, 1) : []
  const free_s = stay[0]?.to_s ?? now_s
  return optionsOf({ ...problem, items }, index)
    .filter(({ start_s }) => start_s >= free_s - MINUTE_S)
    .map((option) => ({ ...option, blocks: [...stay, ...option.blocks] }))
}

/**
 * The rest of a cooked meal planned again.
 *
 * @param now_s cook time, s since 1970
 * @returns a problem where the cook is of one roast, or its meal has problems
 */
export function replanMeal(cook: CookDocument, entries: readonly CookEntry[], now_s: number): Outcome<Replan> {
  if (!cook.meal) return fail({ code: 'not_found', path: ['meal'], what: cook.title })
  const log = foldLog(cook, entries)
  const before = runOfLog(cook, log, now_s)
  const meal = tablesOf(cook.meal, cook, before)
  const resolved = resolveMeal({ ...meal, day_start: iso(Math.ceil(now_s / MINUTE_S) * MINUTE_S) })
  if (!resolved.ok) return resolved
  const { problem, owners } = resolved.value
  const tableOf = new Map(
    [...meal.roasts, ...meal.sides].map(({ id, serving }) => [
      id,
      Date.parse(meal.servings.find((each) => each.id === serving)?.at ?? '') / 1000 - awayOf(meal, serving),
    ]),
  )
  const prepared = problem.items.map((item, index): Prepared[] => {
    const own = before.steps.filter(({ step }) => step.item === item.id)
    const plate_s = tableOf.get(item.id) ?? item.serve_s
    return leftOf(index, item, problem, own, owners[index]?.kind === 'roast', log, plate_s).map((option) => ({
      option,
      uses: usesOf(option, problem),
      hands: handUses(option, problem.earliest_s),
    }))
  })
  const schedule = greedySchedule(problem, prepared, ROUNDS)
  const moved = schedule.options.flatMap((option): Moved[] => {
    const item = problem.items[option.item]
    const owner = owners[option.item]
    if (!item || !owner) return []
    const own = before.steps.filter(({ step }) => step.item === item.id)
    const state = log.items.get(item.id)?.state
    if (owner.kind === 'roast' && state !== undefined && state !== 'waiting') return []
    const ins = own.filter(({ step }) => step.kind === 'put_in' || step.kind === 'finish')
    const outs = own.filter(({ step }) => step.kind === 'take_off')
    const blocks = option.blocks.slice(-ins.length)
    const skipped = ins.length - blocks.length
    const changes: Moved[] = []
    const put = (step: RunStep | undefined, to_s: number, block?: Block) => {
      if (step?.state !== 'open') return
      const source = block && problem.sources[block.source]
      const name = source && before.steps.find((each) => each.step.source?.id === source.id)?.step.source?.name
      const set_c = block?.phases[0]?.set_c
      const elsewhere = source !== undefined && source.id !== step.step.source?.id
      const otherHeat =
        set_c !== undefined && step.step.kind === 'put_in' && set_c !== step.step.set_c && step.step.set_c !== null
      if (Math.abs(to_s - step.at_s) < WORTH_S && !elsewhere && !otherHeat) return
      changes.push({
        step,
        to_s,
        source: elsewhere ? { id: source.id, name: name ?? source.id } : undefined,
        set_c: otherHeat ? set_c : undefined,
      })
    }
    ins.forEach((step, leg) => {
      const block = blocks[leg - skipped]
      // A roast's finish is where its table is: only where it goes in is chosen.
      if (block && step.step.kind === 'put_in') put(step, block.from_s, block)
    })
    if (owner.kind === 'side') {
      outs.forEach((step, leg) => {
        const block = blocks[leg - skipped]
        if (block) put(step, block.to_s, block)
      })
      put(
        own.find(({ step }) => step.kind === 'dish'),
        option.dish_s,
      )
    }
    return changes
  })
  const promises = cook.items.flatMap(({ id }) => {
    const { state } = log.items.get(id) ?? freshItem()
    const to_s = tableOf.get(id)
    const own = before.items.find((each) => each.id === id)
    return to_s === undefined || !own || hasEnded(state) || to_s - own.promise_s < WORTH_S ? [] : [{ item: id, to_s }]
  })
  const proposed = [
    ...promises.map(({ item, to_s }) => ({ kind: 'promise' as const, item, text: iso(to_s) })),
    ...moved.map(({ step, to_s, source, set_c }) => ({
      kind: 'shifted' as const,
      of: step.step.id,
      item: step.step.item,
      text: iso(to_s),
      device: source?.id ?? null,
      value_c: set_c ?? null,
    })),
  ]
  const thought = proposed.map((entry, i) =>
    cookEntry.parse({ id: `thought-${String(i).padStart(4, '0')}`, at: iso(now_s), ...entry }),
  )
  return succeed({
    before,
    after: runOf(cook, [...entries, ...thought], now_s),
    moved,
    promises,
    dropped: schedule.dropped.flatMap((index) => problem.items[index]?.id ?? []),
    entries: proposed,
  })
}
