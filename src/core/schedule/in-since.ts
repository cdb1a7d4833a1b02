import { type Program, pullStageIndex } from '../program/stage'
import { type EpochSeconds, epochSeconds } from '../units'
import type { Plan, TimedStage } from './plan'
import { byClock, type Task } from './task'

/** As near as this to the end of its rest a task or a stage is of that end, s. */
const SAME_S = 90

/** What moves where a roast went in at another time than its promise asks: as a begun cook counts it. */
export interface Moves {
  readonly inSince: EpochSeconds
  /** What comes before its rest ends is so much later, s; under nothing sooner. */
  readonly begins_s: number
  /** What the rest cannot take up: the table is so much later, s. */
  readonly ends_s: number
  readonly pull_s: number
  /** When its rest ends as planned, s. */
  readonly next_s: number
}

/**
 * By how much a plan moves for when its roast went in: the rest gives way down to its least first.
 *
 * @param plan planned back from its promise, with its program and the least rest after its pull, s
 */
export function movesOf(
  inSince: EpochSeconds,
  plan: Pick<Plan, 'tasks' | 'stages' | 'putIn' | 'promise'> & { readonly program: Program; readonly least_s: number },
): Moves {
  const when = (kind: Task['kind']) => plan.tasks.find((each) => each.kind === kind)?.at
  const pull_s = when('pull') ?? plan.stages[pullStageIndex(plan.program)]?.to ?? plan.putIn
  const carve_s = when('carve') ?? plan.promise
  const finish_s = when('finish') ?? carve_s
  // What goes straight on in the heat at its reading rests after that, and its rest gives nothing.
  const straightOn = finish_s - pull_s <= SAME_S
  const next_s = straightOn ? carve_s : finish_s
  const gives_s = straightOn ? 0 : Math.max(0, next_s - pull_s - plan.least_s)
  const begins_s = inSince - plan.putIn
  return { inSince, begins_s, ends_s: Math.max(0, begins_s - gives_s), pull_s, next_s }
}

/** A plan as it goes on from when its roast went in. */
export function asItWentIn(plan: Plan, { inSince, begins_s, ends_s, pull_s, next_s }: Moves): Plan {
  const begun = (at: number) => epochSeconds(at + begins_s)
  const moved = (at: number) => (at < next_s - SAME_S ? begun(at) : epochSeconds(at + ends_s))
  const task = (each: Task): Task => ({
    ...each,
    // Gravy is made of what has run out by then.
    at: each.kind === 'gravy' ? epochSeconds(Math.max(each.at + ends_s, pull_s + begins_s)) : moved(each.at),
    ...(each.window && { window: { from: begun(each.window.from), to: begun(each.window.to) } }),
  })
  const stage = (each: TimedStage): TimedStage => ({ ...each, from: moved(each.from), to: moved(each.to) })
  return {
    ...plan,
    putIn: inSince,
    begin: begun(plan.begin),
    tasks: plan.tasks.map(task).sort(byClock),
    stages: plan.stages.map(stage),
  }
}
