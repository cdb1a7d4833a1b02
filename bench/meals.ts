import loadHighs from 'highs'
import { checkSchedule } from '@/core/schedule/meal/check'
import { gapOf, solveMeal } from '@/core/schedule/meal/solve'
import { highsSolver } from '@/workers/solver/highs-solver'
import { busyMeal } from '../tests/integration/meal-kitchens'

/** Prints how long the scheduler takes on suppers that fit their kitchens, and how sure it is of its answer. */
const solver = highsSolver(await loadHighs())
for (const [roasts, sides, ovens, limit_s, rounds] of [
  [6, 6, 2, 5, 5],
  [14, 10, 4, 5, 3],
] as const) {
  for (let round = 0; round < rounds; round++) {
    const problem = busyMeal(100 + round, roasts, sides, ovens)
    const from = performance.now()
    let first = 0
    let usable = 0
    const answer = solveMeal(problem, solver, limit_s, ({ schedule }) => {
      first ||= performance.now() - from
      if (schedule.dropped.length === 0) usable ||= performance.now() - from
    })
    const total = performance.now() - from
    console.log(
      `${roasts} roasts, ${sides} sides, ${ovens} ovens: first answer ${first.toFixed(0)} ms, all placed after ${usable ? `${usable.toFixed(0)} ms` : 'never'}, ${answer.proved ? `proved after ${(total / 1000).toFixed(1)} s` : `gap ${(100 * gapOf(answer)).toFixed(1)} % after ${(total / 1000).toFixed(1)} s`}, ${answer.schedule.dropped.length} left out, ${checkSchedule(problem, answer.schedule).length} faults`,
    )
  }
}
