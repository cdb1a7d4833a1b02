import type { CoursePoint, Plan } from '@/core/schedule/plan'
import type { Task } from '@/core/schedule/task'
import { tenth } from '../quantity/round'

/** What a plan's ribbon is drawn from. */
export type RibbonPlan = Pick<
  Plan,
  'begin' | 'promise' | 'putIn' | 'pull_c' | 'stages' | 'tasks' | 'course' | 'points'
> & {
  readonly ensemble: Pick<Plan['ensemble'], 'band'>
}

/** A plan as a list shows it: kept beside the plan, so that a list simulates nothing. */
export type PlanSummary = RibbonPlan

/** More points than this a small ribbon does not show. */
const MOST_POINTS = 48
const SHOWN: ReadonlySet<Task['kind']> = new Set(['put_in', 'pull', 'carve'])

function thinned<Point>(points: readonly Point[]): Point[] {
  const stride = Math.max(1, Math.ceil(points.length / MOST_POINTS))
  return points.filter((_, i) => i % stride === 0 || i === points.length - 1)
}

/**
 * The summary of a plan: its times to the second, its course thinned to what a small ribbon shows.
 */
export function summaryOf(plan: Plan): PlanSummary {
  return {
    begin: plan.begin,
    promise: plan.promise,
    putIn: plan.putIn,
    pull_c: plan.pull_c,
    stages: plan.stages,
    points: plan.points,
    tasks: plan.tasks.filter(({ kind }) => SHOWN.has(kind)),
    course: thinned(plan.course).map(
      ({ time_s, air_c, surface_c, core_c }): CoursePoint => ({
        time_s,
        air_c: tenth(air_c),
        surface_c: tenth(surface_c),
        core_c: core_c.map(tenth),
      }),
    ),
    ensemble: {
      band: thinned(plan.ensemble.band).map(({ time_s, low_c, high_c }) => ({
        time_s,
        low_c: tenth(low_c),
        high_c: tenth(high_c),
      })),
    },
  }
}
