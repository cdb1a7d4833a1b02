import arrivals from './arrivals-judged.json'
import promises from './promises-kept.json'

/**
 * What takes minutes to measure: written by `npm run bench:promises` and `npm run validate` with `--write`, on the day
 * and with the seeds that stand in the files. Shares are of 1.
 */
export interface PromisesKept {
  readonly count: number
  readonly within5: number
  readonly within10: number
  readonly within20: number
  /** Core at its highest within 2 K of the wanted, of a bird from 72 to 80 °C; of those that are wanted so and not tender. */
  readonly asWanted: number
  /** Within ten minutes and as wanted. */
  readonly both: number
  /** Two numbers: roasts wanted tender that were, and how many there were; null where none was. */
  readonly tender?: readonly number[] | null
  /** Minutes late on average. */
  readonly late_min: number
  /** Neither pale nor burnt. */
  readonly coloured: number
  /** Pork and birds whose least heated point was not held as long as the published table asks. */
  readonly unsafe: number
  /** How often the cook was asked to do something, on average. */
  readonly calls: number
}

export interface Measured {
  readonly on: string
  readonly seeds: readonly number[]
  readonly board: PromisesKept
  readonly clock: PromisesKept
  readonly probe: PromisesKept
  readonly meals?: PromisesKept | undefined
  /** The same meals by charts and probes, each roast in an oven of its own. */
  readonly mealsByProbe?: PromisesKept | undefined
  readonly mealSeeds?: readonly number[] | null
}
export const PROMISES: Measured = promises

/** Median error of the predicted pull, as a share of the cook, and the share of cooks its band held. */
export interface ArrivalsJudged {
  readonly on: string
  readonly seeds: readonly number[]
  readonly rows: readonly {
    readonly at: number
    readonly cooks: number
    readonly median: number
    readonly inside: number
    readonly straight: number
    readonly exponential: number
  }[]
}
export const ARRIVALS: ArrivalsJudged = arrivals
