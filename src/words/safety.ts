import type { PullSafety } from '@/core/roast/answer'
import type { Shown } from '@/core/simulate/shown'
import type { Safety } from '@/domain/cook/forecast'
import { rise, temperature, type Units } from './units'

/** A chance of safety as it is said: never a hundred. */
export const chanceWords = (chance: number): string => `${Math.min(99, Math.floor(chance * 100))} in 100`

/** How surely it is safe, said plainly. */
export const safetyWords = ({ least_c, chance }: Safety, units: Units): string =>
  `Safe from ${temperature(least_c, units)} in its coldest part, or a little cooler for long enough: ${chanceWords(chance)}`

/** How surely the reading of a plan is safe, and what a degree less would do. */
export const pullSafetyWords = ({ least_c, chanceLower, raised_k }: PullSafety, units: Units): string =>
  [
    `Asked is a peak of ${temperature(least_c, units)} in its coldest part, or cooler for so long that as many germs die. Pulled a degree earlier it is ${chanceWords(chanceLower)}.`,
    raised_k > 0 ? `So it is pulled ${rise(raised_k, units)} later than the wanted doneness alone asks.` : '',
    'Your local code may ask for more.',
  ]
    .filter(Boolean)
    .join(' ')

/**
 * What a usual probe shows at the pull and at the peak, where that is not what the core has.
 * @example shownWords(undefined, units) // ''
 */
export const shownWords = (shown: Shown | undefined, units: Units): string =>
  shown
    ? ` A probe lies a little off the core: pulled right there, a good one shows ${temperature(shown.pull_c, units)}, and ${temperature(shown.peak_c, units)} at its highest.`
    : ''
