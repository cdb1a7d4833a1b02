/** How a roast comes out against what was wanted of it. */
export type Verdict = 'as_wanted' | 'over' | 'under'

/**
 * A core that peaks within this of the wanted is as wanted, K: over it a table notices later than under it, for what is
 * a little more done is still hot (common practice).
 */
export const AS_WANTED_K = { over: 2, under: 1.5 } as const

/**
 * The one home of "as wanted": ways out, what is watched in the rest and the words for both judge by it.
 *
 * @param off_k peak less wanted, K
 * @example verdictOf(2.4) // 'over'
 */
export const verdictOf = (off_k: number): Verdict =>
  off_k > AS_WANTED_K.over ? 'over' : off_k < -AS_WANTED_K.under ? 'under' : 'as_wanted'
