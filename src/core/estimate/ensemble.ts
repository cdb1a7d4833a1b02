import { CONDUCTION_WITH_WETNESS, PARAMETER_DOUBT, parametersVaried } from '../heat/parameters'
import { bodiesOf, type PieceSize, usualThickness } from '../heat/piece'
import { isSafe, type SafetyLeast } from '../safety/least'
import { cook } from '../simulate/cook'
import { type CookConditions, RESOLUTION } from '../simulate/stepper'
import { NATURES } from './learning'
import { quantile, seededRandom, stratifiedNormals } from './random'

/** How unsure each input is: one standard deviation. */
export interface Doubt {
  /** Of the thickness, relative. 0.03 when measured, 0.08 when taken from the weight. */
  readonly thickness: number
  /** Of the start temperature, K. */
  readonly start_k: number
  /** Of the oven's true mean against the dial, K. */
  readonly oven_k: number
  /** Of the wetness of the surface, relative. */
  readonly wetness: number
  /** Of the heat transfer in this oven with this tin, relative. */
  readonly convection: number
  /** Of the model itself: the conductivity stands for what the physics leaves out, relative. */
  readonly model: number
  /** Of the time in which the surface dries, relative. */
  readonly drying: number
  /** How far the model's own and the wetness are one doubt, −1 to 1: what the evidence leaves open of both together. */
  readonly together: number
}

/** What differs from piece to piece, kitchen to kitchen and cut to cut besides what the evidence leaves open, relative. */
const BETWEEN = { pieces: 0.12, kitchens: 0.08, cuts: 0.04 } as const

/**
 * Doubts of a home kitchen (common practice: dials lie by 5–25 °C, a fridge by a few degrees).
 * @example usualDoubt(true).thickness // 0.03
 */
export const usualDoubt = (measured: boolean): Doubt => taughtDoubt(measured, {})

/**
 * Doubts of a kitchen whose cooks have taught something. How long things take in one oven is learned as a whole: what
 * is the same in every cook there, the model's own error with it, is known as well as the oven is.
 *
 * @param taught deviation of the oven, K, and of the thickness, relative, for the next cook
 * @example taughtDoubt(false, {}).oven_k // 6
 */
export function taughtDoubt(
  measured: boolean,
  taught: { readonly oven_k?: number | undefined; readonly thickness?: number | undefined },
): Doubt {
  const left = taught.oven_k === undefined ? 1 : Math.min(1, taught.oven_k / NATURES.oven.prior)
  const wetness = Math.hypot(PARAMETER_DOUBT.wetness * left, BETWEEN.pieces)
  const model = Math.hypot(PARAMETER_DOUBT.conduction * left, BETWEEN.cuts)
  return {
    thickness: taught.thickness ?? (measured ? 0.03 : 0.07),
    start_k: 1.5,
    oven_k: taught.oven_k ?? 6,
    wetness,
    convection: Math.hypot(PARAMETER_DOUBT.contact, BETWEEN.kitchens) * left,
    model,
    drying: PARAMETER_DOUBT.drying * left,
    // Pieces and cuts differ in one without the other.
    together:
      (CONDUCTION_WITH_WETNESS * PARAMETER_DOUBT.wetness * PARAMETER_DOUBT.conduction * left ** 2) / (wetness * model),
  }
}

export type DoubtName = Exclude<keyof Doubt, 'together'>

export interface EnsembleSetup extends CookConditions {
  readonly piece: PieceSize
  readonly doubt: Doubt
  readonly members: number
  readonly seed: number
  /** What makes it safe, where something is asked. */
  readonly least?: SafetyLeast | undefined
}

export interface Spread {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}

/** A spread none of which is under a value; what is nowhere stays so. */
export const atLeast = ({ p10, p50, p90 }: Spread, least: number): Spread => ({
  p10: Math.max(least, p10),
  p50: Math.max(least, p50),
  p90: Math.max(least, p90),
})

export interface EnsembleAnswer {
  /** Time to pull, s. */
  readonly pull_s: Spread
  /** Highest core after the pull, °C. */
  readonly peak_c: Spread
  /** The band of the deciding core through time: minute, p10, p90. Members that are out already rest. */
  readonly band: readonly { readonly time_s: number; readonly low_c: number; readonly high_c: number }[]
  /** Share of the variance of the time to pull that goes with each input, largest first. */
  readonly matters: readonly { readonly input: DoubtName; readonly share: number }[]
  /** Share of those that arrive which are safe at every point; undefined where nothing is asked. */
  readonly safe: number | undefined
  /** Members that did not reach the pull. */
  readonly lost: number
  readonly members: number
}

const BAND_STEP_S = 300
const INPUTS: readonly DoubtName[] = ['thickness', 'start_k', 'oven_k', 'wetness', 'convection', 'model', 'drying']

/** Cooks the same roast many times with the inputs drawn from their doubts. Seeded: same answer every time. */
export function cookEnsemble(setup: EnsembleSetup): EnsembleAnswer {
  const { members, doubt, parameters, piece } = setup
  const random = seededRandom(setup.seed)
  const draws = INPUTS.map(() => stratifiedNormals(members, random))
  const draw = (input: DoubtName, member: number) => (draws[INPUTS.indexOf(input)] as Float64Array)[member] as number
  const thickness = piece.thickness_m ?? usualThickness(piece.cut, piece.mass_kg, parameters, piece.legs)
  const pulls: number[] = []
  const kept: number[] = []
  const peaks: number[] = []
  const courses: { length: number; time_s: Float64Array; core_c: Float64Array }[] = []
  let lost = 0
  let safe = 0
  const apart = Math.sqrt(1 - doubt.together ** 2)
  for (let member = 0; member < members; member++) {
    const wetter = doubt.together * draw('model', member) + apart * draw('wetness', member)
    const drawn = parametersVaried(parameters, {
      conduction: doubt.model * draw('model', member),
      contact: doubt.convection * draw('convection', member),
      drying: doubt.drying * draw('drying', member),
    })
    const size: PieceSize = {
      ...piece,
      thickness_m: thickness * Math.exp(doubt.thickness * draw('thickness', member)),
      wetness: (piece.wetness ?? 1) * Math.exp(doubt.wetness * wetter),
    }
    const heat_k = doubt.oven_k * draw('oven_k', member)
    const run = cook({
      bodies: bodiesOf(size, drawn),
      program: setup.program,
      oven: { ...setup.oven, offset_k: setup.oven.offset_k + heat_k, fire_k: heat_k },
      start_c: setup.start_c + doubt.start_k * draw('start_k', member),
      startCore_c: setup.startCore_c,
      pull_c: setup.pull_c,
      parameters: drawn,
      resolution: RESOLUTION.member,
    })
    if (run.outcome === 'time_limit') {
      lost++
      continue
    }
    const deciding = run.peak_c.indexOf(Math.min(...run.peak_c))
    pulls.push(run.pull_s)
    kept.push(member)
    peaks.push(run.peak_c[deciding] as number)
    if (setup.least && isSafe(setup.least, run)) safe++
    courses.push({
      length: run.curve.length,
      time_s: run.curve.time_s,
      core_c: run.curve.core_c[deciding] as Float64Array,
    })
  }
  return {
    pull_s: spreadOf(pulls),
    peak_c: spreadOf(peaks),
    band: bandOf(courses),
    matters: mattersOf(pulls, kept, draws),
    safe: setup.least && pulls.length > 0 ? safe / pulls.length : undefined,
    lost,
    members,
  }
}

/**
 * p10, p50 and p90 of unsorted values; NaN when there are none.
 * @example spreadOf([1, 2, 3, 4, 5]).p50 // 3
 */
export function spreadOf(values: readonly number[]): Spread {
  if (values.length === 0) return { p10: Number.NaN, p50: Number.NaN, p90: Number.NaN }
  const sorted = Float64Array.from(values).sort()
  return { p10: quantile(sorted, 0.1), p50: quantile(sorted, 0.5), p90: quantile(sorted, 0.9) }
}

function bandOf(
  courses: readonly { length: number; time_s: Float64Array; core_c: Float64Array }[],
): EnsembleAnswer['band'] {
  const band: { time_s: number; low_c: number; high_c: number }[] = []
  const rows = courses.map(() => 0)
  const longest = Math.max(0, ...courses.map((course) => course.time_s[course.length - 1] as number))
  const values = new Float64Array(courses.length)
  for (let t = 0; t <= longest; t += BAND_STEP_S) {
    courses.forEach((course, c) => {
      let row = rows[c] as number
      while (row < course.length - 2 && (course.time_s[row + 1] as number) < t) row++
      rows[c] = row
      const from = course.time_s[row] as number
      const to = course.time_s[row + 1] as number
      const part = Math.min(1, Math.max(0, (t - from) / (to - from)))
      values[c] =
        (course.core_c[row] as number) + part * ((course.core_c[row + 1] as number) - (course.core_c[row] as number))
    })
    const sorted = Float64Array.from(values).sort()
    band.push({ time_s: t, low_c: quantile(sorted, 0.1), high_c: quantile(sorted, 0.9) })
  }
  return band
}

/** Squared correlation of each input's draw with the time to pull: its share of the variance while the answer is near linear. */
function mattersOf(
  pulls: readonly number[],
  kept: readonly number[],
  draws: readonly Float64Array[],
): EnsembleAnswer['matters'] {
  const mean = pulls.reduce((sum, value) => sum + value, 0) / Math.max(1, pulls.length)
  return INPUTS.map((input, column) => {
    let cross = 0
    let square = 0
    let own = 0
    kept.forEach((member, i) => {
      const x = (draws[column] as Float64Array)[member] as number
      const y = (pulls[i] as number) - mean
      cross += x * y
      square += y * y
      own += x * x
    })
    return { input, share: square > 0 && own > 0 ? (cross * cross) / (square * own) : 0 }
  }).sort((a, b) => b.share - a.share)
}
