import { pullStageIndex } from '../program/stage'
import { spreadOf } from './ensemble'
import { cookMember, type EstimateSetup, type MemberRun } from './member'
import { assimilate, drawnOf, type Posterior } from './posterior'
import { type Drawn, goesOff, type Unknown } from './unknowns'

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
/** How a roast as told climbs after its pull, against the members of a belief. */
export interface Climb {
  /** Higher at its peak by so much, K. */
  readonly peak_k: number
  /** What of its whole climb it has done after each five minutes, of 1; nothing said: all at once. */
  readonly climbed: readonly number[]
}
/** Where a roast as told lies against the members of a belief: later by a share of its time, and how it climbs. */
export interface Anchor extends Climb {
  readonly share: number
}
const NO_CLIMB: Climb = { peak_k: 0, climbed: [] }
const NO_ANCHOR: Anchor = { share: 0, ...NO_CLIMB }
/** A climb after the pull is told so often, and for so long, s: no roast climbs for longer, however long it rests. */
export const CLIMB_STEP_S = 300
export const CLIMB_S = 3 * 3600

/**
 * How much higher a roast as told has climbed than its members so long after its pull, K.
 * @example climbedMore({ peak_k: 2, climbed: [0, 0.5, 1] }, 450) // 1.5
 */
export function climbedMore({ peak_k, climbed }: Climb, rest_s: number): number {
  const at = Math.max(0, rest_s) / CLIMB_STEP_S
  if (!(at < climbed.length)) return peak_k
  const from = climbed[Math.floor(at)] ?? 1
  const to = climbed[Math.floor(at) + 1] ?? 1
  return peak_k * (from + (at - Math.floor(at)) * (to - from))
}
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
  if (fine.run.outcome !== 'reached') return NO_ANCHOR
  const few = setup.readings.length < FINER_READINGS
  const prior = assimilate({ ...told, members: few ? posterior.members : ANCHOR_MEMBERS })
  const pulls: number[] = []
  for (let m = 0; m < prior.members; m++) {
    const { run } = cookMember(told, drawnOf(prior.theta, m), [], [], true)
    if (run.outcome === 'reached') pulls.push(run.pull_s)
  }
  if (pulls.length <= prior.members / 2) return NO_ANCHOR
  const middle_s = spreadOf(pulls).p50
  // With its heat off it climbs by when it is pulled, and as told that is another time.
  const climb = goesOff(told.program) ? NO_CLIMB : climbsMoreThan(fine, told, posterior)
  return { share: middle_s > 0 ? fine.run.pull_s / middle_s - 1 : 0, ...climb }
}

/**
 * By how much higher a roast as told peaks than the middle of a belief would with its size, start and oven, K. How wet
 * a surface was says nothing of how much farther the core climbs; what a belief has learned of the rest does, and is
 * left in. Stays so, whatever is read.
 */
export function climbsMore(setup: EstimateSetup, posterior: Posterior): Climb {
  const told = asTold(setup)
  const fine = toldRun(told)
  return fine.run.outcome === 'reached' ? climbsMoreThan(fine, told, posterior) : NO_CLIMB
}

/** @param fine the roast as told, cooked as finely as a plan */
function climbsMoreThan({ run: fine, resting }: MemberRun, told: EstimateSetup, posterior: Posterior): Climb {
  const stride = Math.max(1, Math.floor(posterior.members / ANCHOR_MEMBERS))
  const peaks: number[] = []
  for (let m = 0; m < posterior.members; m += stride) {
    const own = drawnOf(posterior.theta, m)
    const { run } = cookMember(told, (name) => (SIZE_AND_HEAT.has(name) ? 0 : own(name)), [], [], true)
    if (run.outcome === 'reached') peaks.push(Math.min(...run.peak_c))
  }
  if (peaks.length === 0) return NO_CLIMB
  const pulled_c = Math.min(...fine.pullCore_c)
  const peak_c = Math.min(...fine.peak_c)
  const climbed: number[] = []
  for (let rest_s = 0; rest_s <= Math.min(CLIMB_S, fine.carve_s - fine.pull_s); rest_s += CLIMB_STEP_S)
    climbed.push((Math.min(...resting.at(fine.pull_s + rest_s).peak_c) - pulled_c) / Math.max(0.1, peak_c - pulled_c))
  return { peak_k: peak_c - spreadOf(peaks).p50, climbed }
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
const toldRun = (told: EstimateSetup) => cookMember({ ...told, certain: true }, NOTHING_DRAWN, [], [], true)
