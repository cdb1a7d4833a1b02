import type { MealProblem, Option } from './problem'

export type MealTaskKind =
  | 'buy'
  | 'thaw'
  | 'salt'
  | 'brine'
  | 'unbrine'
  | 'marinate'
  | 'shape'
  | 'dress'
  | 'set_out'
  | 'take_out'
  | 'heat_up'
  | 'put_in'
  | 'change'
  | 'off'
  | 'pull'
  | 'rest'
  | 'take_off'
  | 'dish'
  | 'gravy'
  | 'serve'

/** One dated thing to do. Items and sources by index; words are made at the edge. */
export interface MealTask {
  readonly kind: MealTaskKind
  readonly at_s: number
  /** How long it takes a cook's hands, s. */
  readonly hands_s: number
  readonly item?: number | undefined
  readonly source?: number | undefined
  readonly set_c?: number | undefined
  /** Reading at which to pull, °C, and its window. */
  readonly pull_c?: number | undefined
  readonly window?: { readonly from_s: number; readonly to_s: number } | undefined
  readonly cook?: number | undefined
}

/** What the tasks of one item need beyond its option. */
export interface TaskNeeds {
  readonly roast: boolean
  readonly mass_kg: number
  readonly thaw_s: number
  readonly preparation: 'none' | 'dry_salt' | 'wet_brine' | 'marinade' | 'acid_marinade'
  readonly shape: boolean
  readonly temper_s: number
  readonly pull_c: number | undefined
  readonly window_s: { readonly p10: number; readonly p90: number; readonly p50: number } | undefined
  /** Cook the document names, or undefined for whoever is free. */
  readonly owner: number | undefined
}

const HOUR_S = 3600
/** Salted a day ahead; a wet brine 12 h; a marinade overnight; one with acid six hours at the most (common practice). */
const AHEAD_S = {
  none: 0,
  dry_salt: 24 * HOUR_S,
  wet_brine: 12 * HOUR_S,
  marinade: 12 * HOUR_S,
  acid_marinade: 5 * HOUR_S,
}
export const ACID_LIMIT_S = 6 * HOUR_S
/** A brined piece dries open in the fridge before it goes in, s (common practice). */
const DRIES_S = 4 * HOUR_S
const MORNING_S = 10 * HOUR_S

const DAY_S = 24 * HOUR_S
/** Counted from the serving, nobody is up from 4 to 12 hours after it; what falls there is done half an hour before bed. */
function beforeBed(at_s: number, serving_s: number): number {
  const after = (((at_s - serving_s) % DAY_S) + DAY_S) % DAY_S
  return after > 4 * HOUR_S && after < 12 * HOUR_S ? at_s - (after - 3.5 * HOUR_S) : at_s
}

/** Every task of the meal in the order of the clock, each with a cook. */
export function mealTasks(
  problem: MealProblem,
  options: readonly Option[],
  needs: readonly TaskNeeds[],
  gravyAt_s: number | undefined,
  servings: readonly number[],
): MealTask[] {
  const tasks: MealTask[] = []
  const last = Math.max(...servings)
  const awake = (at_s: number) => beforeBed(at_s, last)
  for (const option of options) {
    const need = needs[option.item]
    const { item } = option
    if (!need) continue
    const first = option.blocks[0]
    const in_s = option.start_s
    if (need.roast) {
      const ready = in_s - need.temper_s
      const ahead = AHEAD_S[need.preparation]
      const wanted = ready - ahead - (need.preparation === 'wet_brine' ? DRIES_S : 0)
      // Acid bears no longer than its hours: that one is done when it must be.
      const prepared = need.preparation === 'acid_marinade' ? wanted : awake(wanted)
      if (need.preparation === 'dry_salt') tasks.push({ kind: 'salt', at_s: prepared, hands_s: 600, item })
      if (need.preparation === 'wet_brine') {
        tasks.push({ kind: 'brine', at_s: prepared, hands_s: 900, item })
        tasks.push({ kind: 'unbrine', at_s: ready - DRIES_S, hands_s: 600, item })
      }
      if (need.preparation === 'marinade' || need.preparation === 'acid_marinade')
        tasks.push({ kind: 'marinate', at_s: prepared, hands_s: 900, item })
      if (need.thaw_s > 0) tasks.push({ kind: 'thaw', at_s: awake(prepared - need.thaw_s), hands_s: 300, item })
      if (need.shape) tasks.push({ kind: 'shape', at_s: Math.min(prepared, ready - HOUR_S), hands_s: 900, item })
      tasks.push({ kind: 'dress', at_s: ready - 2 * HOUR_S, hands_s: 600, item })
      if (need.temper_s > 0) tasks.push({ kind: 'take_out', at_s: ready, hands_s: 300, item })
    }
    option.blocks.forEach((block, leg) => {
      const setting = block.phases[0]?.set_c
      tasks.push({ kind: 'put_in', at_s: block.from_s, hands_s: 300, item, source: block.source, set_c: setting })
      block.phases.slice(1).forEach((phase) => {
        tasks.push({
          kind: phase.set_c === undefined ? 'off' : 'change',
          at_s: phase.from_s,
          hands_s: 60,
          item,
          source: block.source,
          set_c: phase.set_c,
        })
      })
      const pulls = need.roast && leg === 0 && need.pull_c !== undefined
      const early = need.window_s ? need.window_s.p10 - need.window_s.p50 : 0
      const late = need.window_s ? need.window_s.p90 - need.window_s.p50 : 0
      tasks.push({
        kind: pulls ? 'pull' : 'take_off',
        at_s: block.to_s,
        hands_s: 300,
        item,
        source: block.source,
        ...(pulls ? { pull_c: need.pull_c, window: { from_s: block.to_s + early, to_s: block.to_s + late } } : {}),
      })
    })
    if (need.roast && first) {
      const end = option.blocks.at(-1)?.to_s ?? option.dish_s
      if (option.dish_s > end + 300) tasks.push({ kind: 'rest', at_s: end, hands_s: 0, item })
    }
    tasks.push({ kind: 'dish', at_s: option.dish_s, hands_s: option.done_s - option.dish_s, item })
  }
  tasks.push(...heatUps(problem, options))
  if (gravyAt_s !== undefined) tasks.push({ kind: 'gravy', at_s: gravyAt_s, hands_s: 900 })
  for (const at_s of servings) tasks.push({ kind: 'serve', at_s, hands_s: 0 })
  if (needs.some(({ roast }) => roast)) {
    const start = Math.min(...tasks.map(({ at_s }) => at_s), last)
    tasks.push({ kind: 'buy', at_s: last - (Math.ceil((last - start) / DAY_S) * 24 + 8) * HOUR_S, hands_s: 0 })
    tasks.push({
      kind: 'set_out',
      at_s: Math.min(last - MORNING_S, ...options.map(({ start_s }) => start_s - HOUR_S)),
      hands_s: 1200,
    })
  }
  return assign(
    problem.cooks,
    tasks.sort((a, b) => a.at_s - b.at_s),
    needs,
  )
}

/** One heat-up each time a source comes to another setting. */
function heatUps(problem: MealProblem, options: readonly Option[]): MealTask[] {
  return problem.sources.flatMap((source, index) => {
    if (source.kind === 'hob' || source.kind === 'fire') return []
    const stays = options
      .flatMap((option) => option.blocks.filter((block) => block.source === index))
      .sort((a, b) => a.from_s - b.from_s)
    const tasks: MealTask[] = []
    let until = Number.NEGATIVE_INFINITY
    let setting: number | undefined
    for (const stay of stays) {
      const set_c = stay.phases[0]?.set_c
      if (set_c !== undefined && stay.lead_s > 0 && (stay.from_s > until + 900 || set_c !== setting))
        tasks.push({ kind: 'heat_up', at_s: stay.from_s - stay.lead_s, hands_s: 60, source: index, set_c })
      if (stay.to_s >= until) {
        until = stay.to_s
        setting = stay.phases.at(-1)?.set_c
      }
    }
    return tasks
  })
}

/** Gives each task to its owner, or to the cook who is free and has done least. */
function assign(cooks: number, tasks: readonly MealTask[], needs: readonly TaskNeeds[]): MealTask[] {
  const free = Array.from({ length: cooks }, () => Number.NEGATIVE_INFINITY)
  const done = Array.from({ length: cooks }, () => 0)
  return tasks.map((task) => {
    if (task.hands_s <= 0) return task
    const owner = task.item === undefined ? undefined : needs[task.item]?.owner
    const idle = free.flatMap((until, cook) => (until <= task.at_s ? [cook] : []))
    const pool = idle.length > 0 ? idle : free.map((_, cook) => cook)
    const least = Math.min(...pool.map((cook) => done[cook] as number))
    const cook = owner ?? (pool.find((each) => done[each] === least) as number)
    free[cook] = task.at_s + task.hands_s
    done[cook] = (done[cook] as number) + task.hands_s
    return { ...task, cook }
  })
}
