import { Occupancy, type Prepared } from './greedy'
import { type MealProblem, type MealSchedule, sameOption } from './problem'

/** Why an item could not be placed. */
export interface MealClash {
  readonly item: number
  /** no_way: nothing it may do fits the day at all; crowded: others stand in its way. */
  readonly code: 'no_way' | 'crowded' | 'hands'
  /** Items any one of which, taken away, would make room. */
  readonly against: readonly number[]
  /** Where they meet: indices of sources. */
  readonly sources: readonly number[]
}

/** Names for every item left out which needs clash with its own. */
export function clashesOf(problem: MealProblem, prepared: readonly Prepared[][], schedule: MealSchedule): MealClash[] {
  const chosen = schedule.options.flatMap((option) => {
    const found = prepared[option.item]?.find((each) => sameOption(each.option, option))
    return found ? [found] : []
  })
  return schedule.dropped.map((item): MealClash => {
    const mine = prepared[item] ?? []
    const sources = [...new Set(mine.flatMap(({ uses }) => uses.map(({ source }) => source)))]
    if (mine.length === 0) {
      const wanted = problem.items[item]?.legs.flatMap(({ choices }) => choices.map(({ source }) => source)) ?? []
      return { item, code: 'no_way', against: [], sources: [...new Set(wanted)] }
    }
    const against = chosen
      .filter((other) => {
        const without = new Occupancy(problem)
        for (const each of chosen) if (each !== other) without.add(each)
        return mine.some((each) => without.fits(each))
      })
      .map(({ option }) => option.item)
    const unlimited = new Occupancy({ ...problem, cooks: 1000 })
    for (const each of chosen) unlimited.add(each)
    const handsOnly = mine.some((each) => unlimited.fits(each))
    return { item, code: handsOnly ? 'hands' : 'crowded', against, sources }
  })
}
