import loadHighs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { checkSchedule } from '@/core/schedule/meal/check'
import { Occupancy, type Prepared, prepare } from '@/core/schedule/meal/greedy'
import { DROP_COST, type MealProblem, type Option } from '@/core/schedule/meal/problem'
import { gapOf, type MipSolver, solveMeal } from '@/core/schedule/meal/solve'
import { highsSolver } from '@/workers/solver/highs-solver'
import { randomMeal } from './meal-kitchens'

let solver: MipSolver
beforeAll(async () => {
  solver = highsSolver(await loadHighs())
})

/** The least cost over every combination: the whole tree, with no bound but the cost already spent. */
function bruteForce(problem: MealProblem, prepared: readonly Prepared[][]): number {
  const occupancy = new Occupancy(problem)
  let best = Number.POSITIVE_INFINITY
  const walk = (item: number, cost: number) => {
    if (cost >= best) return
    if (item === problem.items.length) {
      best = cost
      return
    }
    for (const each of prepared[item] ?? []) {
      if (cost + each.option.cost >= best) break
      if (!occupancy.fits(each)) continue
      occupancy.add(each)
      walk(item + 1, cost + each.option.cost)
      occupancy.add(each, -1)
    }
    walk(item + 1, cost + DROP_COST)
  }
  walk(0, 0)
  return best
}

describe('the scheduler against an independent checker', () => {
  it('the first answer of a hundred random kitchens has no fault', () => {
    const faults = []
    for (let seed = 1; seed <= 100; seed++) {
      const problem = randomMeal(seed, 1 + (seed % 6), seed % 5, 1 + (seed % 3), 1 + (seed % 2))
      faults.push(...checkSchedule(problem, solveMeal(problem, undefined, 0).schedule))
    }
    expect(faults).toEqual([])
  })

  it('the exact answer of sixteen has no fault either, and is never dearer than the first', () => {
    for (let seed = 1; seed <= 16; seed++) {
      const problem = randomMeal(seed, 2 + (seed % 4), seed % 4, 1 + (seed % 2))
      const first = solveMeal(problem, undefined, 0)
      const exact = solveMeal(problem, solver, 5)
      expect(checkSchedule(problem, exact.schedule)).toEqual([])
      expect(exact.schedule.cost).toBeLessThanOrEqual(first.schedule.cost + 1e-6)
      expect(gapOf(exact)).toBeGreaterThanOrEqual(0)
    }
  })

  it('on every small kitchen the exact answer costs what brute force finds', () => {
    for (let seed = 500; seed < 530; seed++) {
      const problem = randomMeal(seed, 2, 1, 1)
      const exact = solveMeal(problem, solver, 20)
      expect(exact.proved).toBe(true)
      expect(exact.schedule.cost).toBeCloseTo(bruteForce(problem, prepare(problem)), 4)
    }
  })

  it('and so it does where roasts change their heat in the middle of a slot, together or not', () => {
    let together = 0
    for (let seed = 600; seed < 612; seed++) {
      const drawn = randomMeal(seed, 2, 1, 1)
      const problem: MealProblem = {
        ...drawn,
        items: drawn.items.map((item, i) => ({
          ...item,
          legs: item.legs.slice(0, 1).map((leg) => ({
            ...leg,
            choices: leg.choices.map((choice) =>
              i === 2
                ? choice
                : {
                    ...choice,
                    phases: [
                      { duration_s: 23 * 60, set_c: 230 },
                      { duration_s: (67 + 10 * (seed % 2)) * 60, set_c: 160 },
                    ],
                  },
            ),
          })),
        })),
      }
      const exact = solveMeal(problem, solver, 20)
      expect(exact.proved).toBe(true)
      expect(checkSchedule(problem, exact.schedule)).toEqual([])
      expect(exact.schedule.cost).toBeCloseTo(bruteForce(problem, prepare(problem)), 4)
      if (exact.schedule.options.filter(({ item }) => item < 2).length === 2) together++
    }
    expect(together).toBeGreaterThan(4)
  })

  it('the checker finds what is wrong when it is', () => {
    const problem = randomMeal(3, 3, 2, 2)
    const { schedule } = solveMeal(problem, undefined, 0)
    const broken = (change: (option: Option) => Option) =>
      checkSchedule(problem, {
        ...schedule,
        options: schedule.options.map((option, i) => (i === 0 ? change(option) : option)),
      }).map(({ code }) => code)
    expect(broken((option) => ({ ...option, done_s: option.done_s + 1800 }))).toContain('late')
    expect(
      broken((option) => ({ ...option, blocks: option.blocks.map((b) => ({ ...b, to_s: b.to_s + 7200 })) })),
    ).toContain('gap')
    expect(
      checkSchedule(problem, { ...schedule, options: schedule.options.slice(1) }).map(({ code }) => code),
    ).toContain('missing')
    expect(checkSchedule({ ...problem, cooks: 0 }, schedule).map(({ code }) => code)).toContain('hands')
    const crowded = { ...problem, sources: problem.sources.map((source) => ({ ...source, places: 0 })) }
    expect(checkSchedule(crowded, schedule).map(({ code }) => code)).toContain('too_full')
    const cold = { ...problem, sources: problem.sources.map((source) => ({ ...source, high_c: 90 })) }
    expect(checkSchedule(cold, schedule).map(({ code }) => code)).toContain('out_of_range')
  })

  it('a pinned start and source stay pinned', () => {
    const problem = randomMeal(11, 3, 1, 2)
    const free = solveMeal(problem, solver, 5).schedule
    const first = free.options[0] as Option
    const pinned: MealProblem = {
      ...problem,
      items: problem.items.map((item, i) =>
        i === 0 ? { ...item, pinnedStart_s: first.start_s, pinnedSource: first.blocks[0]?.source } : item,
      ),
    }
    const again = solveMeal(pinned, solver, 5).schedule
    expect(again.options[0]?.start_s).toBe(first.start_s)
    expect(checkSchedule(pinned, again)).toEqual([])
  })
})
