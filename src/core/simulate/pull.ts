import { type CookRun, type CookSetup, cook } from './cook'

/** The pull reading that makes the peak meet the wanted doneness, with the cook that shows it. */
export interface PullAnswer {
  readonly outcome: 'reached' | 'time_limit' | 'fixed_program'
  /** One for each body, °C. */
  readonly pull_c: readonly number[]
  readonly run: CookRun
  /** Peak less wanted, K, for the body that decides. */
  readonly residual_k: number
}

/**
 * Finds the pull reading so that the least-done body peaks at `serve_c` between the pull and the knife.
 *
 * Carry-over is found by simulation, not by a rule: the cook is run, the reading corrected by the
 * miss of the peak, and run again, four times at most. A lag of K in the rise makes the map a
 * contraction, so two or three runs usually reach 0.05 K.
 *
 * @param floor_c the reading is never set below this, °C (birds), so the peak may pass `serve_c`
 *
 * A program with no reading to wait for (by the clock only) is run once and answers `fixed_program`.
 */
export function findPull(
  setup: Omit<CookSetup, 'pull_c'>,
  serve_c: number,
  guess_c?: number,
  floor_c = Number.NEGATIVE_INFINITY,
): PullAnswer {
  const count = setup.bodies.length
  const waits = setup.program.stages.some((stage) => stage.until.kind === 'pull')
  let pull = Math.max(floor_c, guess_c ?? serve_c - 4)
  if (!waits) {
    const run = cook({ ...setup, pull_c: Array(count).fill(pull) })
    return {
      outcome: run.outcome === 'time_limit' ? 'time_limit' : 'fixed_program',
      pull_c: run.pullCore_c,
      run,
      residual_k: Math.min(...run.peak_c) - serve_c,
    }
  }
  let run = cook({ ...setup, pull_c: Array(count).fill(pull) })
  let miss = Math.min(...run.peak_c) - serve_c
  let previousPull = pull
  let previousMiss = miss
  for (let attempt = 0; attempt < 5 && run.outcome === 'reached' && Math.abs(miss) > 0.05; attempt++) {
    const slope = attempt === 0 ? 1 : (miss - previousMiss) / (pull - previousPull)
    const next = Math.max(floor_c, pull - miss / Math.min(2, Math.max(0.4, slope)))
    if (Math.abs(next - pull) < 1e-6) break
    previousPull = pull
    previousMiss = miss
    pull = next
    run = cook({ ...setup, pull_c: Array(count).fill(pull) })
    miss = Math.min(...run.peak_c) - serve_c
  }
  return { outcome: run.outcome, pull_c: Array(count).fill(pull), run, residual_k: miss }
}
