import { greedySchedule, prepare } from './greedy'
import { buildModel, type MipModel } from './model'
import type { MealProblem, MealSchedule } from './problem'

/** The one door to an exact solver: the caller brings it, core has no package of its own. */
export interface MipSolver {
  solve(model: MipModel, request: MipRequest): MipAnswer
}
export interface MipRequest {
  readonly limit_s: number
  /** Columns that are 1 in a known solution. */
  readonly start: readonly number[]
  readonly improved: (values: ArrayLike<number>, bound: number) => void
}
export interface MipAnswer {
  readonly status: 'optimal' | 'limit'
  readonly values: ArrayLike<number> | undefined
  /** Nothing can cost less than this. */
  readonly bound: number
}

/** An answer on the way, or the last one. */
export interface MealAnswer {
  readonly schedule: MealSchedule
  readonly proved: boolean
  /** Nothing can cost less; undefined before the exact solver has said anything. */
  readonly bound: number | undefined
}

/** Cost above the proved bound, as a share of the cost: 0 when proved. */
export const gapOf = ({ schedule, bound, proved }: MealAnswer): number =>
  proved ? 0 : bound === undefined ? 1 : Math.max(0, (schedule.cost - bound) / Math.max(1, schedule.cost))

/**
 * A first answer at once, better ones as they come, and at the end the best with its proof or gap.
 * @param tell hears every better answer; the first comes before the exact solver is asked
 */
export function solveMeal(
  problem: MealProblem,
  solver: MipSolver | undefined,
  limit_s: number,
  tell: (answer: MealAnswer) => void = () => {},
): MealAnswer {
  const prepared = prepare(problem)
  const first = greedySchedule(problem, prepared)
  let best: MealAnswer = { schedule: first, proved: first.cost === 0, bound: first.cost === 0 ? 0 : undefined }
  tell(best)
  if (!solver || best.proved || problem.items.length === 0) return best
  const built = buildModel(problem, prepared)
  const answer = solver.solve(built.model, {
    limit_s,
    start: built.columnsOf(first),
    improved: (values, bound) => {
      const schedule = built.scheduleOf(values)
      if (schedule.cost < best.schedule.cost - 1e-6) {
        best = { schedule, proved: false, bound }
        tell(best)
      }
    },
  })
  const last = answer.values && built.scheduleOf(answer.values)
  const schedule = last && last.cost <= best.schedule.cost ? last : best.schedule
  return { schedule, proved: answer.status === 'optimal', bound: answer.bound }
}
