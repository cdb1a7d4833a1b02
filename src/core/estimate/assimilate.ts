import { newSurroundings, setSurroundings } from '../heat/environment'
import { RoastKernel } from '../heat/kernel'
import { type OvenSpec, OvenState } from '../heat/oven'
import type { HeatParameters } from '../heat/parameters'
import { bodiesOf, type PieceSize, usualThickness } from '../heat/piece'
import { type EquivalentBall, firstZero } from '../heat/shape'
import { type Stage, settingOf } from '../program/stage'
import { quantile, seededRandom, stratifiedNormals } from './random'

/** One reading of a probe in the meat. */
export interface Reading {
  /** Since put-in, s. */
  readonly time_s: number
  readonly value_c: number
  /** After the probe was moved it sits at another depth: readings of one sitting share a number, 0 or 1. */
  readonly sitting?: number
}

/** A reading of the air, °C, since put-in. */
export interface AirReading {
  readonly time_s: number
  readonly value_c: number
}

export interface EstimateSetup {
  readonly piece: PieceSize
  /** Which of the piece's bodies the probe is in. */
  readonly body: number
  /** The stages up to the pull: what surrounds the meat, in order; the last one goes on until the pull. */
  readonly stages: readonly { readonly stage: Stage; readonly from_s: number }[]
  readonly oven: OvenSpec
  readonly start_c: number
  readonly readings: readonly Reading[]
  /** Air probe, where there is one: then the oven is known and not guessed. */
  readonly air?: readonly AirReading[] | undefined
  readonly now_s: number
  readonly pull_c: number
  /** Rest after the pull, s: for the peak. */
  readonly rest_s: number
  readonly measured: boolean
  readonly parameters: HeatParameters
  readonly members: number
  readonly seed: number
}

export interface Spread3 {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}

export interface Estimate {
  /** Time of the pull since put-in, s. */
  readonly pull_s: Spread3
  readonly peak_c: Spread3
  /** What the readings have taught: posterior mean and spread of each unknown, in its own unit. */
  readonly inferred: readonly {
    readonly name: Unknown
    readonly mean: number
    readonly spread: number
    readonly prior: number
  }[]
  /** Root mean square of reading less prediction, K. */
  readonly misfit_k: number
  /** Predicted core (true centre) through time: median and band, each five minutes. */
  readonly course: readonly {
    readonly time_s: number
    readonly low_c: number
    readonly middle_c: number
    readonly high_c: number
  }[]
  readonly members: number
}

/**
 * What is not known of a cook, each with its doubt before any reading.
 *
 * `late` lets the surface take more or less heat as the cook goes on: the physics of the late
 * surface is where models of meat differ, so the doubt about the model itself is part of the state.
 */
const UNKNOWNS = {
  thickness: 0.12,
  start_k: 2,
  oven_k: 8,
  wetness: 0.45,
  contact: 0.3,
  conduct: 0.07,
  shape: 0.45,
  late: 0.6,
  depth: 1,
  depth2: 1,
} as const
export type Unknown = keyof typeof UNKNOWNS
/** Where a probe sits, as a share of the way from the centre to the surface: usually near a tenth, seldom beyond a third. */
const depthOf = (z: number): number => Math.min(0.8, 0.11 * Math.exp(0.75 * z))
const NAMES = Object.keys(UNKNOWNS) as Unknown[]

/** Most readings used: spread evenly, the last always among them. More teach nothing new, for errors are correlated. */
const MOST_READINGS = 18
/** Error of one reading, K: noise of the probe and of the model between readings. */
const READING_K = 1.5
/** Rounds of the smoother; each takes 1/ROUNDS of the evidence. */
const ROUNDS = 2
const DT_S = 120
const SHELLS = 12
const LIMIT_S = 20 * 3600
/** Doubt about the future that no reading can take away, as a share of the time still to go. Set on unlike truth models (`npm run validate`). */
const FUTURE_DOUBT = 0.05
/** And as a share of the whole cook, fading over its last fifth. */
const MODEL_DOUBT = 0.03

/** Thins readings to at most so many, evenly in time. */
function thinned(readings: readonly Reading[]): Reading[] {
  if (readings.length <= MOST_READINGS) return [...readings]
  const last = readings.length - 1
  return Array.from(
    { length: MOST_READINGS },
    (_, i) => readings[Math.round((i * last) / (MOST_READINGS - 1))] as Reading,
  )
}

/** The same volume, surface and slowest mode, with heat from more or fewer directions: not the shape it was said to be. */
function reshaped(ball: EquivalentBall, more: number): EquivalentBall {
  const shape = Math.min(4, Math.max(1, ball.shape + more))
  const radius_m = (ball.radius_m * shape) / ball.shape
  const slowest = ball.conduction * (firstZero(ball.shape) / ball.radius_m) ** 2
  return { shape, radius_m, conduction: slowest * (radius_m / firstZero(shape)) ** 2 }
}

/** One member's cook. Reused for all: nothing is allocated but the bodies. */
class MemberCook {
  private readonly around = newSurroundings()
  readonly predicted: Float64Array
  readonly samples: Float64Array
  /** The probe as this member would read it, each two minutes. */
  readonly probe: Float64Array
  probeCount = 0
  pull_s = 0
  peak_c = 0

  constructor(
    private readonly setup: EstimateSetup,
    private readonly wanted: readonly Reading[],
  ) {
    this.predicted = new Float64Array(wanted.length)
    this.samples = new Float64Array(Math.ceil(LIMIT_S / COURSE_STEP_S))
    this.probe = new Float64Array(Math.ceil(LIMIT_S / DT_S) + 1)
  }

  /** Runs one member: predictions at the readings, the time of the pull, the peak after it. */
  run(of: (name: Unknown) => number, full: boolean): void {
    const { setup, around, wanted } = this
    const { parameters: base } = setup
    const contact = Math.exp(of('contact'))
    const parameters: HeatParameters = {
      ...base,
      conductivity_factor: base.conductivity_factor * Math.exp(of('conduct')),
      still_oven_w_per_m2k: base.still_oven_w_per_m2k * contact,
      fan_oven_w_per_m2k: base.fan_oven_w_per_m2k * contact,
    }
    const { piece } = setup
    const thickness = piece.thickness_m ?? usualThickness(piece.cut, piece.mass_kg, parameters)
    const told = bodiesOf(
      {
        ...piece,
        thickness_m: thickness * Math.exp(of('thickness')),
        wetness: (piece.wetness ?? 1) * Math.exp(of('wetness')),
      },
      parameters,
    )[setup.body]
    if (!told) throw new RangeError(`the piece has no body ${setup.body}`)
    const body = { ...told, ball: reshaped(told.ball, of('shape')) }
    const kernel = new RoastKernel(body, parameters, setup.start_c + of('start_k'), SHELLS)
    const oven = new OvenState({ ...setup.oven, offset_k: setup.oven.offset_k + of('oven_k'), swing_k: 0 })
    const late = of('late')
    const depths = [depthOf(of('depth')), depthOf(of('depth2'))] as const
    // The whole heated time is about twice the time to half way; `late` counts from a third of it on.
    const scale_s = Math.max(3600, (4 * thickness) / 2 / 1e-5)
    let time = 0
    let next = 0
    let air = 0
    let stage = -1
    let previous = kernel.core_c
    let bareContact = 0
    let bareEmissivity = 0
    this.pull_s = LIMIT_S
    this.probeCount = 0
    const lastSitting = this.setup.readings.at(-1)?.sitting === 1 ? 1 : 0
    while (time < LIMIT_S) {
      while (stage + 1 < setup.stages.length && (setup.stages[stage + 1] as { from_s: number }).from_s <= time + 1e-6) {
        stage++
        const entry = setup.stages[stage] as EstimateSetup['stages'][number]
        const set = settingOf(entry.stage.environment)
        if (stage === 0 && entry.stage.environment.kind === 'oven') {
          if (entry.stage.preheated && set !== undefined) {
            oven.preheated(set)
            oven.openDoor()
          } else oven.cold()
        }
        setSurroundings(around, entry.stage.environment.kind, setup.oven.kind, entry.stage.cover, parameters)
        bareContact = around.convection_w_per_m2k
        bareEmissivity = around.emissivity
      }
      const entry = setup.stages[stage] as EstimateSetup['stages'][number]
      const following = setup.stages[stage + 1]
      const set = settingOf(entry.stage.environment)
      let step = DT_S
      if (following) step = Math.min(step, following.from_s - time)
      const reading = wanted[next]
      if (reading && reading.time_s > time) step = Math.min(step, Math.max(1, reading.time_s - time))
      const known = setup.air
      if (known && known.length > 0 && time <= (known.at(-1) as AirReading).time_s) {
        while (air + 1 < known.length && (known[air + 1] as AirReading).time_s <= time) air++
        around.air_c = (known[air] as AirReading).value_c
        around.wall_c += -Math.expm1(-step / 480) * (around.air_c - around.wall_c)
        oven.air_c = around.air_c
        oven.wall_c = around.wall_c
      } else if (entry.stage.environment.kind === 'oven') {
        oven.step(step, set, kernel.drawn_w)
        around.air_c = oven.air_c
        around.wall_c = oven.wall_c
      } else {
        around.air_c = set as number
        around.wall_c = set as number
      }
      const flux = Math.exp(late * Math.min(1, Math.max(0, time / scale_s - 0.3)))
      around.convection_w_per_m2k = bareContact * flux
      around.emissivity = Math.min(1, bareEmissivity * flux)
      previous = kernel.core_c
      kernel.step(step, around)
      time += step
      while (next < wanted.length && (wanted[next] as Reading).time_s <= time + 0.5) {
        const at = wanted[next] as Reading
        this.predicted[next] = kernel.temperatureAtShare(depths[at.sitting === 1 ? 1 : 0])
        next++
      }
      if (full) {
        while (this.probeCount * DT_S <= time && this.probeCount < this.probe.length)
          this.probe[this.probeCount++] = kernel.temperatureAtShare(depths[lastSitting])
        const slot = Math.floor(time / COURSE_STEP_S)
        if (slot < this.samples.length) this.samples[slot] = kernel.core_c
      }
      const core = kernel.core_c
      if (core >= setup.pull_c && this.pull_s === LIMIT_S) {
        this.pull_s = time - step * (1 - (setup.pull_c - previous) / Math.max(1e-6, core - previous))
        if (next >= wanted.length) break
      }
      if (!full && next >= wanted.length) break
    }
    while (next < wanted.length) this.predicted[next++] = kernel.core_c
    if (!full) return
    this.peak_c = kernel.core_c
    setSurroundings(around, 'counter', setup.oven.kind, 'tent', parameters)
    around.air_c = 21
    around.wall_c = 21
    for (let rest = 0; rest < setup.rest_s; rest += DT_S) {
      kernel.step(DT_S, around)
      if (kernel.core_c > this.peak_c) this.peak_c = kernel.core_c
      else break
    }
  }
}
const COURSE_STEP_S = 300

/** Solves A X = B for symmetric positive A by Cholesky's method; B has `columns` columns. In place on copies. */
function solveSymmetric(a: Float64Array, b: Float64Array, size: number, columns: number): Float64Array {
  const l = Float64Array.from(a)
  for (let i = 0; i < size; i++)
    for (let j = 0; j <= i; j++) {
      let sum = l[i * size + j] as number
      for (let k = 0; k < j; k++) sum -= (l[i * size + k] as number) * (l[j * size + k] as number)
      l[i * size + j] = i === j ? Math.sqrt(Math.max(1e-12, sum)) : sum / (l[j * size + j] as number)
    }
  const x = Float64Array.from(b)
  for (let c = 0; c < columns; c++) {
    for (let i = 0; i < size; i++) {
      let sum = x[i * columns + c] as number
      for (let k = 0; k < i; k++) sum -= (l[i * size + k] as number) * (x[k * columns + c] as number)
      x[i * columns + c] = sum / (l[i * size + i] as number)
    }
    for (let i = size - 1; i >= 0; i--) {
      let sum = x[i * columns + c] as number
      for (let k = i + 1; k < size; k++) sum -= (l[k * size + i] as number) * (x[k * columns + c] as number)
      x[i * columns + c] = sum / (l[i * size + i] as number)
    }
  }
  return x
}

/**
 * Sharpens a cook by its readings and says when it arrives.
 *
 * Ensemble smoother with multiple data assimilation: members are drawn from the doubts before, each
 * is cooked, and all are moved towards the readings by
 *
 *   θ ← θ + C_θd (C_dd + α R)⁻¹ (d + √α ε − d(θ))
 *
 * in α = 2 rounds, each with the readings' error inflated by √α. Members stay whole cooks, so what
 * comes out is physically one piece; what the model cannot say is in `late`, in the error of a
 * reading, and in a share of the time to go that no reading takes away.
 *
 * @see A. A. Emerick and A. C. Reynolds, Computers & Geosciences 55 (2013) 3–15 (from memory).
 */
export function estimate(setup: EstimateSetup): Estimate {
  const { members, seed } = setup
  const random = seededRandom(seed)
  const count = NAMES.length
  const theta = NAMES.map((name) => {
    const spread = UNKNOWNS[name] * (name === 'thickness' && setup.measured ? 0.5 : 1)
    return stratifiedNormals(members, random).map((value) => value * spread)
  })
  const wanted = thinned(setup.readings.filter(({ time_s }) => time_s > 0 && time_s <= setup.now_s))
  const size = wanted.length
  const cook = new MemberCook(setup, wanted)
  const of = (member: number) => (name: Unknown) => (theta[NAMES.indexOf(name)] as Float64Array)[member] as number
  const predictions = new Float64Array(size * members)

  for (let round = 0; round < (size > 0 ? ROUNDS : 0); round++) {
    for (let m = 0; m < members; m++) {
      cook.run(of(m), false)
      for (let k = 0; k < size; k++) predictions[k * members + m] = cook.predicted[k] as number
    }
    const mean = new Float64Array(size)
    for (let k = 0; k < size; k++) {
      let sum = 0
      for (let m = 0; m < members; m++) sum += predictions[k * members + m] as number
      mean[k] = sum / members
    }
    const noise = ROUNDS * READING_K ** 2
    const cdd = new Float64Array(size * size)
    for (let i = 0; i < size; i++)
      for (let j = 0; j <= i; j++) {
        let sum = 0
        for (let m = 0; m < members; m++)
          sum +=
            ((predictions[i * members + m] as number) - (mean[i] as number)) *
            ((predictions[j * members + m] as number) - (mean[j] as number))
        cdd[i * size + j] = sum / (members - 1) + (i === j ? noise : 0)
        cdd[j * size + i] = cdd[i * size + j] as number
      }
    const innovation = new Float64Array(size * members)
    for (let k = 0; k < size; k++) {
      const jitter = stratifiedNormals(members, random)
      for (let m = 0; m < members; m++)
        innovation[k * members + m] =
          (wanted[k] as Reading).value_c +
          Math.sqrt(noise) * (jitter[m] as number) -
          (predictions[k * members + m] as number)
    }
    const weights = solveSymmetric(cdd, innovation, size, members)
    for (let p = 0; p < count; p++) {
      const column = theta[p] as Float64Array
      let average = 0
      for (let m = 0; m < members; m++) average += column[m] as number
      average /= members
      const cross = new Float64Array(size)
      for (let k = 0; k < size; k++) {
        let sum = 0
        for (let m = 0; m < members; m++)
          sum += ((column[m] as number) - average) * ((predictions[k * members + m] as number) - (mean[k] as number))
        cross[k] = sum / (members - 1)
      }
      for (let m = 0; m < members; m++) {
        let shift = 0
        for (let k = 0; k < size; k++) shift += (cross[k] as number) * (weights[k * members + m] as number)
        column[m] = (column[m] as number) + shift
      }
    }
  }

  const pulls = new Float64Array(members)
  const peaks = new Float64Array(members)
  const slots = Math.ceil(LIMIT_S / COURSE_STEP_S)
  const courses: Float64Array[] = []
  let misfit = 0
  const future = stratifiedNormals(members, random)
  const level = levelOf(setup.readings, setup.now_s)
  for (let m = 0; m < members; m++) {
    cook.samples.fill(Number.NaN)
    cook.run(of(m), true)
    const left = Math.max(0, cook.pull_s - setup.now_s)
    const paced = level ? pacedPull(cook, level, setup.now_s) : cook.pull_s
    const ahead = Math.max(left, paced - setup.now_s)
    const whole = Math.max(paced, setup.now_s)
    const doubt = FUTURE_DOUBT * ahead + MODEL_DOUBT * whole * Math.min(1, ahead / (0.2 * whole))
    pulls[m] = Math.max(setup.now_s, paced + doubt * (future[m] as number))
    peaks[m] = cook.peak_c
    courses.push(cook.samples.slice(0, slots))
    for (let k = 0; k < size; k++) misfit += ((wanted[k] as Reading).value_c - (cook.predicted[k] as number)) ** 2
  }
  return {
    pull_s: spread3(pulls),
    peak_c: spread3(peaks),
    inferred: NAMES.map((name, p) => {
      const column = theta[p] as Float64Array
      const mean = column.reduce((sum, value) => sum + value, 0) / members
      const variance = column.reduce((sum, value) => sum + (value - mean) ** 2, 0) / members
      return {
        name,
        mean: name === 'depth' || name === 'depth2' ? depthOf(mean) : mean,
        spread: Math.sqrt(variance),
        prior: UNKNOWNS[name],
      }
    }),
    misfit_k: size > 0 ? Math.sqrt(misfit / (size * members)) : 0,
    course: courseOf(courses, Math.max(...pulls)),
    members,
  }
}

function spread3(values: Float64Array): Spread3 {
  const sorted = Float64Array.from(values).sort()
  return { p10: quantile(sorted, 0.1), p50: quantile(sorted, 0.5), p90: quantile(sorted, 0.9) }
}

function courseOf(courses: readonly Float64Array[], until_s: number): Estimate['course'] {
  const rows: { time_s: number; low_c: number; middle_c: number; high_c: number }[] = []
  for (let slot = 1; slot * COURSE_STEP_S <= until_s; slot++) {
    const values = courses.map((course) => course[slot] as number).filter(Number.isFinite)
    if (values.length < courses.length / 4) break
    const sorted = Float64Array.from(values).sort()
    rows.push({
      time_s: slot * COURSE_STEP_S,
      low_c: quantile(sorted, 0.1),
      middle_c: quantile(sorted, 0.5),
      high_c: quantile(sorted, 0.9),
    })
  }
  return rows
}

/** Where the readings stand now and how fast they climb, by a straight line through the last of them. */
interface Level {
  readonly value_c: number
  readonly slope_per_s: number
  /** Standard error of the slope, relative. */
  readonly doubt: number
}
const LEVEL_SPAN_S = 1500
const LEVEL_LEAST = 8

function levelOf(readings: readonly Reading[], now_s: number): Level | undefined {
  const sitting = readings.at(-1)?.sitting ?? 0
  const recent = readings.filter(
    ({ time_s, sitting: own }) => time_s > now_s - LEVEL_SPAN_S && time_s <= now_s && (own ?? 0) === sitting,
  )
  if (recent.length < LEVEL_LEAST) return undefined
  const n = recent.length
  const middle = recent.reduce((sum, { time_s }) => sum + time_s, 0) / n
  const mean = recent.reduce((sum, { value_c }) => sum + value_c, 0) / n
  let cross = 0
  let square = 0
  for (const { time_s, value_c } of recent) {
    cross += (time_s - middle) * (value_c - mean)
    square += (time_s - middle) ** 2
  }
  if (square < 3600 * n) return undefined
  const slope = cross / square
  if (!(slope > 0.2 / 3600)) return undefined
  let error = 0
  for (const { time_s, value_c } of recent) error += (value_c - mean - slope * (time_s - middle)) ** 2
  const doubt = Math.sqrt(error / Math.max(1, n - 2) / square) / slope
  return { value_c: mean + slope * (now_s - middle), slope_per_s: slope, doubt }
}

/**
 * A member's remaining time from where its own probe would read what is read now, at the pace that
 * is seen: what the smoother could not explain shows in level and slope, and those are carried on.
 */
function pacedPull(cook: MemberCook, level: Level, now_s: number): number {
  const { probe, probeCount } = cook
  let i = 1
  while (i < probeCount && (probe[i] as number) < level.value_c) i++
  if (i >= probeCount - 1 || i < 2) return cook.pull_s
  const low = probe[i - 1] as number
  const high = probe[i] as number
  const at = DT_S * (i - 1 + (level.value_c - low) / Math.max(1e-6, high - low))
  const back = Math.max(0, i - 8)
  const slope = ((probe[i] as number) - (probe[back] as number)) / ((i - back) * DT_S)
  if (!(slope > 0)) return cook.pull_s
  // Early on the pace says little of the end, for the curve still bends; near the end it says nearly all.
  const done = now_s / Math.max(now_s, cook.pull_s)
  const late = Math.min(1, Math.max(0, (done - 0.5) / 0.2))
  const trust = late / (1 + (level.doubt / 0.15) ** 2)
  const pace = Math.min(1.8, Math.max(0.55, level.slope_per_s / slope)) ** trust
  const left = Math.max(0, cook.pull_s - at) / pace
  return now_s + late * left + (1 - late) * Math.max(0, cook.pull_s - now_s)
}

/** The cook's usual tool: a straight line through the last twenty minutes. Infinity while it does not rise. */
export function straightLine(readings: readonly Reading[], pull_c: number): number {
  const last = readings.at(-1)
  if (!last) return Number.POSITIVE_INFINITY
  const from = readings.find(({ time_s }) => time_s >= last.time_s - 1200) ?? last
  const slope = (last.value_c - from.value_c) / (last.time_s - from.time_s)
  return slope > 0 ? last.time_s + (pull_c - last.value_c) / slope : Number.POSITIVE_INFINITY
}
