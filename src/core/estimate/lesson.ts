import { pullStageIndex } from '../program/stage'
import { cookMember, type EstimateSetup } from './member'
import type { Unknown } from './unknowns'

/**
 * What one cook says for the next: how much longer it took than the model says of it as it was told and done, and how
 * much of that a colder oven or a thicker piece would make. Which of the two it was no single cook can tell; many can.
 */
export interface PaceLesson {
  /** Logarithm of the time it took over the model's. */
  readonly longer: number
  /** By how much that grows with each kelvin the oven is hotter: under nothing. */
  readonly per_k: number
  /** And with the logarithm of the thickness. */
  readonly per_thickness: number
}

const STEP_K = 5
const STEP_THICKNESS = 0.05
/** Beyond this something else happened than an oven and a piece, as a logarithm. */
const MOST_LONGER = 0.7

/**
 * @param setup the cook at its pull, with what was done to it
 * @param pull_c what was read at the pull, for each body, °C
 * @param took_s put-in to pull, s
 * @returns undefined where the model never gets there, it went by the clock, or was on a fire, which is no oven
 */
export function paceLesson(setup: EstimateSetup, pull_c: readonly number[], took_s: number): PaceLesson | undefined {
  if (setup.program.stages[pullStageIndex(setup.program)]?.environment.kind === 'fire') return undefined
  const told: EstimateSetup = { ...setup, readings: [], air: undefined, now_s: 0, pull_c, certain: true }
  const timeOf = (name?: Unknown, value = 0): number => {
    const { run } = cookMember(told, (each) => (each === name ? value : 0), [], [], true)
    return run.outcome === 'reached' && run.pull_s > 0 ? Math.log(run.pull_s) : Number.NaN
  }
  const longer = Math.log(took_s) - timeOf()
  const per_k = (timeOf('oven_k', STEP_K) - timeOf('oven_k', -STEP_K)) / (2 * STEP_K)
  const per_thickness =
    (timeOf('thickness', STEP_THICKNESS) - timeOf('thickness', -STEP_THICKNESS)) / (2 * STEP_THICKNESS)
  const known = [longer, per_k, per_thickness].every(Number.isFinite)
  // By the clock neither matters, and nothing is learned.
  return known && Math.abs(longer) < MOST_LONGER && per_thickness > 0.1 ? { longer, per_k, per_thickness } : undefined
}
