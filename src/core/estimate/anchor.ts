import { pullStageIndex } from '../program/stage'
import type { CookRun } from '../simulate/cook'
import { spreadOf } from './ensemble'
import { cookMember, type EstimateSetup } from './member'
import { assimilate, drawnOf, type Posterior } from './posterior'
import type { Drawn, Unknown } from './unknowns'

/** So many readings take half of what coarse members are off. */
export const FINER_READINGS = 6
/** What its main heat ends by. */
export const endOf = ({ program }: EstimateSetup) => program.stages[pullStageIndex(program)]?.until.kind
/** Pulled when the clock says: nothing is to be foreseen. */
export const endsByClock = (setup: EstimateSetup): boolean => {
  const until = endOf(setup)
  return until === 'time' || until === 'clock'
}

const NOTHING_DRAWN: Drawn = () => 0
/** Where a roast as told lies against the members of a belief: later by a share of its time, higher at its peak by so much, K. */
export interface Anchor {
  readonly share: number
  readonly peak_k: number
}
const NO_ANCHOR: Anchor = { share: 0, peak_k: 0 }
/** So many members tell where the middle of the belief lay before anything was read, once something is. */
const ANCHOR_MEMBERS = 32

/**
 * By what share of its time a roast as told pulls later than the middle of what is believed before any reading:
 * members are cooked coarsely, to be many, and half of them being slower does not put the middle one at what was
 * told. Until something is read, a board says what its plan said.
 *
 * Its rise is anchored too, see {@link climbsMore}. Nothing is where nothing is doubted, or it is pulled by the clock.
 */
export function anchorFor(setup: EstimateSetup, posterior: Posterior): Anchor {
  if (setup.certain || endsByClock(setup)) return NO_ANCHOR
  const told = asTold(setup)
  const fine = toldRun(told)
  if (fine.outcome !== 'reached') return NO_ANCHOR
  const few = setup.readings.length < FINER_READINGS
  const prior = assimilate({ ...told, members: few ? posterior.members : ANCHOR_MEMBERS })
  const pulls: number[] = []
  for (let m = 0; m < prior.members; m++) {
    const { run } = cookMember(told, drawnOf(prior.theta, m), [], [], true)
    if (run.outcome === 'reached') pulls.push(run.pull_s)
  }
  if (pulls.length <= prior.members / 2) return NO_ANCHOR
  const middle_s = spreadOf(pulls).p50
  return { share: middle_s > 0 ? fine.pull_s / middle_s - 1 : 0, peak_k: climbsMoreThan(fine, told, posterior) }
}

/**
 * By how much higher a roast as told peaks than the middle of a belief would with its size, start and oven, K. How wet
 * a surface was says nothing of how much farther the core climbs; what a belief has learned of the rest does, and is
 * left in. Stays so, whatever is read.
 */
export function climbsMore(setup: EstimateSetup, posterior: Posterior): number {
  const told = asTold(setup)
  const fine = toldRun(told)
  return fine.outcome === 'reached' ? climbsMoreThan(fine, told, posterior) : 0
}

/** @param fine the roast as told, cooked as finely as a plan */
function climbsMoreThan(fine: CookRun, told: EstimateSetup, posterior: Posterior): number {
  const stride = Math.max(1, Math.floor(posterior.members / ANCHOR_MEMBERS))
  const peaks: number[] = []
  for (let m = 0; m < posterior.members; m += stride) {
    const own = drawnOf(posterior.theta, m)
    const { run } = cookMember(told, (name) => (SIZE_AND_HEAT.has(name) ? 0 : own(name)), [], [], true)
    if (run.outcome === 'reached') peaks.push(Math.min(...run.peak_c))
  }
  return peaks.length === 0 ? 0 : Math.min(...fine.peak_c) - spreadOf(peaks).p50
}
/** What a belief learns of these says how far a core will climb. */
const SIZE_AND_HEAT: ReadonlySet<Unknown> = new Set(['thickness', 'start_k', 'oven_k'])

/** A cook before anything was done to it or read of it. */
const asTold = (setup: EstimateSetup): EstimateSetup => ({
  ...setup,
  now_s: 0,
  readings: [],
  changes: [],
  air: undefined,
})
const toldRun = (told: EstimateSetup) => cookMember({ ...told, certain: true }, NOTHING_DRAWN, [], [], true).run
