import { finite } from '../schema/scalars'

/**
 * How it ate: a few words said once it is served, each of its own accord. The middle one of each is as it was wanted.
 */
export const ATE_WORDS = {
  plate: ['under', 'as_wanted', 'over'],
  crust: ['pale', 'as_wanted', 'dark'],
  juice: ['dry', 'as_wanted', 'wet'],
  tender: ['tough', 'as_wanted', 'soft'],
} as const
export type AteAspect = keyof typeof ATE_WORDS
export const ATE_ASPECTS = Object.keys(ATE_WORDS) as AteAspect[]
/** What else is said of it: what is left over, kg, and what to change next time, in words. */
export const ATE_SAID = ['left', 'change'] as const
export type AteSaid = (typeof ATE_SAID)[number]

/** More is not left of one roast, kg. */
const MOST_LEFT_KG = 60
const leftPart = finite.min(0).max(MOST_LEFT_KG)

/** How a roast ate, as far as somebody said. */
export type Ate = Readonly<Partial<Record<AteAspect | AteSaid, string>>>

/**
 * Why an aspect cannot be said so; undefined where it can.
 * @example ateProblem('crust', 'dark') // undefined
 */
export function ateProblem(aspect: string, text: string): string | undefined {
  if (Object.hasOwn(ATE_WORDS, aspect)) {
    const words: readonly string[] = ATE_WORDS[aspect as AteAspect]
    return words.includes(text) ? undefined : `${aspect} is one of ${words.join(', ')}`
  }
  if (aspect === 'left')
    return text.trim() !== '' && leftPart.safeParse(Number(text)).success
      ? undefined
      : `what is left is a weight in kg from 0 to ${MOST_LEFT_KG}`
  if (aspect === 'change') return undefined
  return `nothing is said of “${aspect.slice(0, 40)}”`
}

/**
 * The whole of it in one word: what was wrong on the plate, or that nothing was.
 * @example verdictOf({ plate: 'as_wanted', crust: 'pale' }) // 'as_wanted'
 */
export const verdictOf = (ate: Ate): 'under' | 'as_wanted' | 'over' | undefined =>
  ATE_WORDS.plate.find((word) => word === ate.plate)

/** The point of a reading of what is left over, as it cools. */
export const LEFT_POINT = 'left'
