import type { OvenSpec } from '../../heat/oven'
import type { Shaping } from '../../reference/cuts'
import { STANDARDS } from '../../reference/standards'
import { epochSeconds } from '../../units'
import { aroundTheTable, daysBefore, type Preparation, type Thaw } from '../days-before'
import type { TimedStage } from '../plan'
import { because, byClock, HANDS_S, type Task, type TaskKind } from '../task'
import { roastTasks, waitsFor } from '../tasks'
import type { MealProblem, Option } from './problem'
import { type CookedRoast, sourceOf } from './roast-times'

/** What the tasks of one item need beyond its option. */
export interface TaskNeeds {
  /** The roast as it was cooked in the oven it got; undefined for a side. */
  readonly cooked: CookedRoast | undefined
  readonly oven: OvenSpec | undefined
  readonly mass_kg: number
  readonly serve_c: number
  readonly thaw: Thaw | undefined
  readonly preparation: Preparation
  readonly shape: Shaping | undefined
  readonly temper_s: number
  /** Cook the document names, or undefined for whoever is free. */
  readonly owner: number | undefined
}

/**
 * A cooked roast on the clock of the schedule: each heated stage in the phase it got, what lies between
 * in the gaps, so that a rest the schedule made longer is longer.
 */
export function stagesOnClock(cooked: CookedRoast, option: Option): TimedStage[] {
  const { blocks } = option
  const timed: TimedStage[] = []
  let leg = 0
  let phase = 0
  let now = option.start_s
  cooked.stages.forEach(({ stage, start_s, end_s, core_c }, index) => {
    const heated = sourceOf(stage) !== undefined
    if (heated && Math.round((end_s - start_s) / 60) <= 0) return
    const here = heated ? blocks[leg]?.phases[phase] : undefined
    if (here) {
      timed.push({ stage, from: epochSeconds(here.from_s), to: epochSeconds(here.to_s), core_c })
      now = here.to_s
      phase++
      if (phase >= (blocks[leg]?.phases.length ?? 0)) {
        leg++
        phase = 0
      }
      return
    }
    // Unheated: until the next stay begins, or the knife; the last of several takes what the others leave.
    const more = cooked.stages.slice(index + 1).findIndex((later) => sourceOf(later.stage) !== undefined)
    const between = more < 0 ? cooked.stages.length - index - 1 : more
    const until = blocks[leg]?.from_s ?? option.dish_s
    const to = between > 0 ? Math.min(until, now + (end_s - start_s)) : until
    timed.push({ stage, from: epochSeconds(now), to: epochSeconds(Math.max(now, to)), core_c })
    now = Math.max(now, to)
  })
  return timed
}

/** How long before its table a roast is carved, where that is longer than slices keep by themselves, s. */
const aheadOf = ({ items }: MealProblem, { item, done_s }: Option): number | undefined => {
  const ahead_s = (items[item]?.serve_s ?? done_s) - done_s
  return ahead_s > STANDARDS.keepsCarved.value ? ahead_s : undefined
}

/** Every task of the meal in the order of the clock, each with a cook. */
export function mealTasks(
  problem: MealProblem,
  options: readonly Option[],
  needs: readonly TaskNeeds[],
  gravyAt_s: number | undefined,
  servings: readonly number[],
  packs: readonly { readonly at_s: number; readonly away_s: number }[] = [],
): Task[] {
  const tasks: Task[] = []
  const last = Math.max(...servings)
  const table = { serving_s: last, zone_s: problem.zone_s }
  const add = (kind: TaskKind, at_s: number, more: Partial<Task> = {}) =>
    tasks.push({ kind, at: epochSeconds(at_s), hands_s: HANDS_S[kind], because: because('common_practice'), ...more })
  for (const option of options) {
    const need = needs[option.item]
    const { item } = option
    if (!need) continue
    const { cooked } = need
    const in_s = option.start_s
    if (cooked) {
      const ready = in_s - need.temper_s
      const { tasks: before } = daysBefore(need.preparation, need.thaw, ready, in_s, table, {
        shape: need.shape,
        tin: cooked.stages[0]?.stage.environment.kind === 'oven',
      })
      tasks.push(...before.map((task) => ({ ...task, item })))
      if (need.temper_s > 0)
        add('take_out', ready, { item, because: because('house_rule', { minutes: need.temper_s / 60 }) })
      const stages = stagesOnClock(cooked, option)
      const sourceAt = (at: number) =>
        option.blocks.find(({ from_s, to_s }) => at >= from_s && at <= to_s)?.source ?? option.blocks[0]?.source
      if (need.oven)
        for (const task of roastTasks({
          program: cooked.program,
          stages,
          oven: need.oven,
          mass_kg: need.mass_kg,
          serve_c: need.serve_c,
          pull_c: cooked.pull_c,
          peak_c: cooked.peak_c,
          peakAfter_s: cooked.peakAfter_s,
          window_s: cooked.window_s,
          waits: waitsFor(cooked.outcome, cooked.program),
          takenOff: true,
          carve: { at: option.dish_s, hands_s: option.done_s - option.dish_s, ahead_s: aheadOf(problem, option) },
        }))
          tasks.push({
            ...task,
            item,
            ...(task.kind === 'carve' || task.kind === 'rest' ? {} : { source: sourceAt(task.at) }),
          })
      // A cook by the clock alone still has to be taken out.
      const end = option.blocks.at(-1)
      if (end && (!waitsFor(cooked.outcome, cooked.program) || option.blocks.length > 1))
        add('take_off', end.to_s, { item, source: end.source })
    } else {
      for (const block of option.blocks) {
        add('put_in', block.from_s, { item, source: block.source, set_c: block.phases[0]?.set_c })
        add('take_off', block.to_s, { item, source: block.source })
      }
      add('dish', option.dish_s, { item, hands_s: option.done_s - option.dish_s })
    }
  }
  tasks.push(...heatUps(problem, options))
  if (gravyAt_s !== undefined) add('gravy', gravyAt_s)
  for (const { at_s, away_s } of packs)
    add('pack', at_s, { because: because('common_practice', { minutes: away_s / 60 }) })
  for (const at_s of servings) add('serve', at_s, { because: because('promise') })
  if (needs.some(({ cooked }) => cooked)) {
    const start = Math.min(...tasks.map(({ at }) => at), last)
    const in_s = Math.min(...options.map(({ start_s }) => start_s))
    tasks.push(...aroundTheTable({ first_s: start, in_s, ...table }))
  }
  return assign(problem.cooks, tasks.sort(byClock), needs)
}

/** One heat-up each time a source comes to another setting. */
function heatUps(problem: MealProblem, options: readonly Option[]): Task[] {
  return problem.sources.flatMap((source, index) => {
    if (source.kind === 'hob' || source.kind === 'fire') return []
    const stays = options
      .flatMap((option) => option.blocks.filter((block) => block.source === index))
      .sort((a, b) => a.from_s - b.from_s)
    const tasks: Task[] = []
    let until = Number.NEGATIVE_INFINITY
    let setting: number | undefined
    for (const stay of stays) {
      const set_c = stay.phases[0]?.set_c
      if (set_c !== undefined && stay.lead_s > 0 && (stay.from_s > until + 900 || set_c !== setting))
        tasks.push({
          kind: 'heat_up',
          at: epochSeconds(stay.from_s - stay.lead_s),
          hands_s: HANDS_S.heat_up,
          source: index,
          set_c,
          because: because('common_practice', { minutes: stay.lead_s / 60, set_c }),
        })
      if (stay.to_s >= until) {
        until = stay.to_s
        setting = stay.phases.at(-1)?.set_c
      }
    }
    return tasks
  })
}

/** Gives each task to its owner, or to the cook who is free and has done least. */
function assign(cooks: number, tasks: readonly Task[], needs: readonly TaskNeeds[]): Task[] {
  const free = Array.from({ length: cooks }, () => Number.NEGATIVE_INFINITY)
  const done = Array.from({ length: cooks }, () => 0)
  return tasks.map((task) => {
    if (task.hands_s <= 0) return task
    const owner = task.item === undefined ? undefined : needs[task.item]?.owner
    const idle = free.flatMap((until, cook) => (until <= task.at ? [cook] : []))
    const pool = idle.length > 0 ? idle : free.map((_, cook) => cook)
    const least = Math.min(...pool.map((cook) => done[cook] as number))
    const cook = owner ?? (pool.find((each) => done[each] === least) as number)
    free[cook] = task.at + task.hands_s
    done[cook] = (done[cook] as number) + task.hands_s
    return { ...task, cook }
  })
}
