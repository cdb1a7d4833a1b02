import type { MealProblem, Option } from './problem'

/** Times at which others open an oven while an item is in it: their going in and coming out, s. */
export function othersOpen(options: readonly Option[], own: Option): number[] {
  return own.blocks
    .flatMap((block) =>
      options
        .filter((other) => other.item !== own.item)
        .flatMap((other) => other.blocks.filter(({ source }) => source === block.source))
        .flatMap(({ from_s, to_s }) => [from_s, to_s])
        .filter((time) => time > block.from_s + 60 && time < block.to_s - 60),
    )
    .sort((a, b) => a - b)
}

/** Door openings of each oven through the meal, for the oven view. */
export const openingsOf = (problem: MealProblem, options: readonly Option[]): number[] =>
  problem.sources.map((_, source) =>
    options.reduce((sum, option) => sum + 2 * option.blocks.filter((block) => block.source === source).length, 0),
  )
