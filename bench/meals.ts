import loadHighs from 'highs'
import { checkSchedule } from '@/core/schedule/meal/check'
import { gapOf, solveMeal } from '@/core/schedule/meal/solve'
import { cookFromMeal } from '@/domain/cook/begin'
import { replanMeal } from '@/domain/cook/replan'
import { runOf } from '@/domain/cook/run'
import { makeMeal } from '@/domain/meal/make-meal'
import { fridayEvening } from '@/stand-ins/demo/meals'
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

// The board's own arithmetic: every step as it now stands, and the rest planned again around what is in.
const meal = fridayEvening('2026-11-27T18:00:00Z')
const made = makeMeal(meal, undefined, 0)
const begun = made.ok ? cookFromMeal(meal, made.value, Date.UTC(2026, 10, 27, 9) / 1000, 1) : made
if (begun.ok) {
  const now_s = Date.parse(begun.value.items[0]?.put_in ?? '') / 1000 + 3600
  const times = (rounds: number, work: () => unknown) => {
    work()
    const from = performance.now()
    for (let round = 0; round < rounds; round++) work()
    return (performance.now() - from) / rounds
  }
  const step_ms = times(200, () => runOf(begun.value, [], now_s))
  const again_ms = times(5, () => replanMeal(begun.value, [], now_s))
  console.log(
    `a meal of ${begun.value.steps.length} steps: all times ${step_ms.toFixed(2)} ms, planned again ${again_ms.toFixed(0)} ms (${(again_ms / step_ms).toFixed(0)} times as long)`,
  )
}
