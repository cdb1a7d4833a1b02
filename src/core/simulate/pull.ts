import { pullStageIndex } from '../program/stage'
import { type CookRun, cook } from './cook'
import type { CookSetup } from './stepper'

/** The pull reading that makes the peak meet the wanted doneness, with the cook that shows it. */
export interface PullAnswer {
  readonly outcome: 'reached' | 'time_limit' | 'fixed_program'
  /** One for each body, °C. Never above the wanted, never below where the stage that waits begins. */
  readonly pull_c: readonly number[]
  readonly run: CookRun
  /** Peak less wanted, K, for the body that decides. Far above 0: what comes before the reading passes it. */
  readonly residual_k: number
}

/** A first guess of the rise, K. */
const USUAL_RISE_K = 4
/** The peak is met to this, K. */
const TOLERANCE_K = 0.05
const ATTEMPTS = 10

/** Lowest core as the stage that waits for the reading begins, °C. */
function beginsAt(run: CookRun, setup: Omit<CookSetup, 'pull_c'>): number {
  const before = run.stages[pullStageIndex(setup.program) - 1]
  return before ? before.core_c : Math.min(setup.start_c, setup.startCore_c ?? setup.start_c)
}

/**
 * Finds the pull reading so that the least-done body peaks at `serve_c` between the pull and the knife.
 *
 * Carry-over is found by simulation, not by a rule: the cook is run, the reading corrected by the miss
 * of the peak, and run again. The peak rises with the reading, so the answer is bracketed: pulled at the
 * wanted it peaks at least there, and below where the waiting stage begins there is nothing to pull at.
 * Secant steps inside the bracket, halving where they leave it; two or three runs usually reach 0.05 K.
 *
 * A program with no reading to wait for (by the clock only) is run once and answers `fixed_program`.
 *
 * @param serve_c wanted at the peak, °C
 * @param guess_c where to begin, °C
 * @param floor_c the reading is never set below this, °C (birds), so the peak may pass `serve_c`
 */
export function findPull(
  setup: Omit<CookSetup, 'pull_c'>,
  serve_c: number,
  guess_c?: number,
  floor_c = Number.NEGATIVE_INFINITY,
): PullAnswer {
  const count = setup.bodies.length
  const waits = setup.program.stages.some((stage) => stage.until.kind === 'pull')
  const at = (pull: number) => {
    const run = cook({ ...setup, pull_c: Array(count).fill(pull) })
    return { pull, run, miss: Math.min(...run.peak_c) - serve_c }
  }
  const first = Math.min(serve_c, Math.max(floor_c, guess_c ?? serve_c - USUAL_RISE_K))
  let best = at(first)
  if (!waits) {
    const { run } = best
    return {
      outcome: run.outcome === 'reached' ? 'fixed_program' : 'time_limit',
      pull_c: run.pullCore_c,
      run,
      residual_k: best.miss,
    }
  }
  let low = Math.min(serve_c, Math.max(floor_c, beginsAt(best.run, setup)))
  let high = serve_c
  let previous: typeof best | undefined
  for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
    if (best.run.outcome !== 'reached' || Math.abs(best.miss) <= TOLERANCE_K) break
    if (best.miss > 0) high = Math.min(high, best.pull)
    else low = Math.max(low, best.pull)
    if (high - low < 1e-3) break
    const slope =
      previous && previous.pull !== best.pull ? (best.miss - previous.miss) / (best.pull - previous.pull) : 1
    const secant = best.pull - best.miss / Math.min(2, Math.max(0.4, slope))
    // Below the bracket there is nothing, so the lowest is tried before halving: most often it is the floor.
    const next =
      secant <= low ? (previous?.pull === low ? (low + high) / 2 : low) : secant >= high ? (low + high) / 2 : secant
    if (Math.abs(next - best.pull) < 1e-6) break
    previous = best
    best = at(next)
  }
  const { pull, run, miss } = best
  const begins = beginsAt(run, setup)
  return {
    outcome: run.outcome === 'reached' ? 'reached' : 'time_limit',
    pull_c: Array(count).fill(Math.max(pull, Math.min(serve_c, begins))),
    run,
    residual_k: miss,
  }
}
