import { type Program, pullStageIndex } from '../program/stage'
import { type EpochSeconds, epochSeconds } from '../units'
import type { Plan, TimedStage } from './plan'
import { byClock, type Task } from './task'

/** As near as this to the pull a task is of it, s. */
const SAME_S = 90

interface Rests {
  readonly program: Program
  readonly least_s: number
}

/**
 * A plan as it goes on from when its roast went in: what comes before its rest is so much later or earlier, the rest
 * gives way down to its least, and what is then still late moves the table; as a begun cook counts it.
 *
 * @param plan planned back from its promise
 * @param rests its program, and the least rest after its pull, s
 */
export function asItWentIn(plan: Plan, inSince: EpochSeconds, { program, least_s }: Rests): Plan {
  const out = pullStageIndex(program)
  const begins_s = inSince - plan.putIn
  const when = (kind: Task['kind']) => plan.tasks.find((each) => each.kind === kind)?.at
  const pull_s = when('pull') ?? plan.stages[out]?.to ?? plan.putIn
  const carve_s = when('carve') ?? plan.promise
  const finish_s = when('finish') ?? carve_s
  // What goes straight on in the heat at its reading rests after that, and its rest gives nothing.
  const straightOn = finish_s - pull_s <= SAME_S
  const next_s = straightOn ? carve_s : finish_s
  const gives_s = straightOn ? 0 : Math.max(0, next_s - pull_s - least_s)
  const ends_s = Math.max(0, begins_s - gives_s)
  const moved = (at: number, by_s: number) => epochSeconds(at + by_s)
  const task = (each: Task): Task => {
    const at =
      each.kind === 'gravy'
        ? moved(Math.max(each.at + ends_s, pull_s + begins_s), 0)
        : moved(each.at, each.at < next_s - SAME_S ? begins_s : ends_s)
    return each.window === undefined
      ? { ...each, at }
      : { ...each, at, window: { from: moved(each.window.from, begins_s), to: moved(each.window.to, begins_s) } }
  }
  const stage = ({ from, to, ...each }: TimedStage): TimedStage => ({
    ...each,
    from: moved(from, from < next_s - SAME_S ? begins_s : ends_s),
    to: moved(to, to < next_s - SAME_S ? begins_s : ends_s),
  })
  return {
    ...plan,
    putIn: inSince,
    begin: moved(plan.begin, begins_s),
    tasks: plan.tasks.map(task).sort(byClock),
    stages: plan.stages.map(stage),
    troubles: plan.troubles.map((trouble) =>
      trouble.code === 'in_otherwise'
        ? { ...trouble, table: moved(plan.promise, ends_s), waits_s: next_s + ends_s - pull_s - begins_s }
        : trouble,
    ),
  }
}
