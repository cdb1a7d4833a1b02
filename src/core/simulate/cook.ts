import { CAVITY_W_PER_M2K, COVERS, newSurroundings, setSurroundings } from '../heat/environment'
import { DEFAULT_SHELLS, RoastKernel } from '../heat/kernel'
import { type OvenSpec, OvenState } from '../heat/oven'
import type { HeatParameters } from '../heat/parameters'
import type { PieceBody, PointId } from '../heat/piece'
import { type Program, STAGE_LIMIT_S, type Stage, settingOf } from './stage'

/** Everything one simulated cook starts from. */
export interface CookSetup {
  readonly bodies: readonly PieceBody[]
  readonly program: Program
  readonly oven: OvenSpec
  readonly start_c: number
  /** Centre still colder than the rest, °C: part-frozen. */
  readonly startCore_c?: number | undefined
  /** Reading that ends stages marked "pull", °C, one for each body. */
  readonly pull_c: readonly number[]
  readonly parameters: HeatParameters
  readonly dt_s?: number
  readonly shells?: number
}

/** One stage as it went. */
export interface StageRun {
  readonly stage: Stage
  readonly start_s: number
  readonly end_s: number
  /** Lowest core of all bodies at the end of the stage, °C. */
  readonly core_c: number
  /** Whether its condition was met, or the time limit came first. */
  readonly ended: boolean
}

/** Sampled course of a cook; all arrays have `length` valid values. Times in s, temperatures in °C. */
export interface CookCurve {
  readonly length: number
  readonly time_s: Float64Array
  readonly air_c: Float64Array
  readonly surface_c: Float64Array
  /** One array for each body, in the order of the set-up. */
  readonly core_c: readonly Float64Array[]
}

/** What a simulated cook answers, with its evidence. */
export interface CookRun {
  readonly outcome: 'reached' | 'time_limit'
  readonly stages: readonly StageRun[]
  readonly curve: CookCurve
  /** End of the last stage that ends at the pull reading (else of the last heated stage), s. */
  readonly pull_s: number
  /** Each body's core at the pull, °C. */
  readonly pullCore_c: readonly number[]
  /** Each body's highest core from the pull to the knife, °C, and when, s. */
  readonly peak_c: readonly number[]
  readonly peak_s: readonly number[]
  /** End of the last stage, s. */
  readonly carve_s: number
  readonly points: readonly PointId[]
  /** The bodies as they are at the knife. */
  readonly kernels: readonly RoastKernel[]
  readonly steps: number
}

/** How turning a bird moves heat between its two bodies: factor on what the surface receives. */
const POSITION = {
  breast_up: { core: 1, thin_end: 1, breast: 1, thigh: 1, stuffing: 1 },
  breast_down: { core: 1, thin_end: 1, breast: 0.72, thigh: 1.18, stuffing: 1 },
} as const
/** Share of the evaporation that what is on the surface lets through (sizes from memory). */
const SURFACE = { plain: 1, fat: 0.6, glaze: 0.8 } as const
const FOILED: Readonly<Record<'breast' | 'legs', PointId>> = { breast: 'breast', legs: 'thigh' }

/** Growing column store for the curve: doubles when full, so a step allocates nothing on average. */
class CurveRecorder {
  length = 0
  private capacity: number
  private columns: Float64Array[]

  constructor(width: number, capacity: number) {
    this.capacity = capacity
    this.columns = Array.from({ length: width }, () => new Float64Array(capacity))
  }

  add(time_s: number, air_c: number, kernels: readonly RoastKernel[]): void {
    if (this.length === this.capacity) {
      this.capacity *= 2
      this.columns = this.columns.map((column) => {
        const grown = new Float64Array(this.capacity)
        grown.set(column)
        return grown
      })
    }
    const row = this.length++
    const { columns } = this
    ;(columns[0] as Float64Array)[row] = time_s
    ;(columns[1] as Float64Array)[row] = air_c
    ;(columns[2] as Float64Array)[row] = (kernels[0] as RoastKernel).surface_c
    for (let i = 0; i < kernels.length; i++) (columns[3 + i] as Float64Array)[row] = (kernels[i] as RoastKernel).core_c
  }

  finish(): CookCurve {
    const [time_s, air_c, surface_c, ...core_c] = this.columns as [
      Float64Array,
      Float64Array,
      Float64Array,
      ...Float64Array[],
    ]
    return { length: this.length, time_s, air_c, surface_c, core_c }
  }
}

/** Times inside a stage at which the door opens, s from its start, in order; those past the end simply never come. */
function doorTimes(stage: Stage): number[] {
  const times: number[] = []
  for (const { at_s, every_s } of stage.tending) {
    times.push(at_s)
    if (every_s) for (let t = at_s + every_s; t < 12 * 3600; t += every_s) times.push(t)
  }
  return times.sort((a, b) => a - b)
}

/** A core moves less than this in one step, K: a body of a few centimetres in a roaring oven moves about 2 K in a minute. */
const NEAR_END = 12

/** Cooks a piece through a program. Deterministic: same set-up, same answer. */
export function cook(setup: CookSetup): CookRun {
  const { bodies, program, oven, parameters, pull_c } = setup
  const dt = setup.dt_s ?? 30
  const kernels = bodies.map((body) => new RoastKernel(body, parameters, setup.start_c, setup.shells ?? DEFAULT_SHELLS))
  if (setup.startCore_c !== undefined) for (const kernel of kernels) kernel.resetFrom(setup.startCore_c, setup.start_c)
  const around = newSurroundings()
  const stuffing = bodies.findIndex(({ point }) => point === 'stuffing')
  const ovenState = new OvenState(oven)
  const recorder = new CurveRecorder(3 + kernels.length, 1024)
  const stages: StageRun[] = []
  const points = bodies.map((body) => body.point)
  const pullIndex = pullStageIndex(program)
  const peak_c = kernels.map(() => Number.NEGATIVE_INFINITY)
  const peak_s = kernels.map(() => 0)
  let pullCore_c: number[] = kernels.map((kernel) => kernel.core_c)
  let pull_s = 0
  let time = 0
  let steps = 0
  let outcome: CookRun['outcome'] = 'reached'
  let inOven = false
  let pulled = false

  const trackPeak = () => {
    for (let i = 0; i < kernels.length; i++) {
      const core = (kernels[i] as RoastKernel).core_c
      if (core > (peak_c[i] as number)) {
        peak_c[i] = core
        peak_s[i] = time
      }
    }
  }

  for (let index = 0; index < program.stages.length; index++) {
    const stage = program.stages[index] as Stage
    const { environment, until } = stage
    const setting = settingOf(environment)
    const isOven = environment.kind === 'oven'
    if (isOven && !inOven) {
      if (stage.preheated && setting !== undefined) {
        ovenState.preheated(setting)
        ovenState.openDoor()
      } else ovenState.cold()
    }
    inOven = isOven
    setSurroundings(around, environment.kind, oven.kind, stage.cover, parameters)
    const bareContact = around.convection_w_per_m2k
    const bareEmissivity = around.emissivity
    const bareEvaporation = around.evaporation * SURFACE[stage.surface ?? 'plain']
    const position = POSITION[stage.position ?? 'breast_up']
    const doors = isOven ? doorTimes(stage) : []
    let nextDoor = 0
    const start = time
    const fixed_s = until.kind === 'time' ? until.duration_s : until.kind === 'clock' ? until.least_s : undefined
    const end = start + (fixed_s ?? STAGE_LIMIT_S)
    if (index === 0) recorder.add(time, setting ?? ovenState.air_c, kernels)

    const advance = (step: number) => {
      if (isOven) {
        let drawn = 0
        for (let i = 0; i < kernels.length; i++) drawn += (kernels[i] as RoastKernel).drawn_w
        ovenState.step(step, setting, drawn)
        around.air_c = ovenState.air_c
        around.wall_c = ovenState.wall_c
      } else {
        around.air_c = setting as number
        around.wall_c = setting as number
      }
      for (let i = 0; i < kernels.length; i++) {
        if (i === stuffing) continue
        const point = points[i] as PointId
        const share = position[point]
        const foil = stage.foil && FOILED[stage.foil] === point ? COVERS.foil : COVERS.bare
        around.convection_w_per_m2k = bareContact * share * foil.contact
        around.emissivity = bareEmissivity * share * foil.radiation
        around.evaporation = bareEvaporation * foil.evaporation
        ;(kernels[i] as RoastKernel).step(step, around)
      }
      if (stuffing >= 0) {
        // The cavity's walls are the inner sides of breast and thigh, which nothing heats but the meat.
        const wall = ((kernels[0] as RoastKernel).mean_c + (kernels[1] as RoastKernel).mean_c) / 2
        const air = around.air_c
        around.convection_w_per_m2k = CAVITY_W_PER_M2K
        around.emissivity = 0
        around.evaporation = 0
        around.air_c = wall
        ;(kernels[stuffing] as RoastKernel).step(step, around)
        around.air_c = air
      }
    }
    /** How far the stage's condition is from being met: ≤ 0 when it is. */
    const lacking = (): number => {
      let most = Number.NEGATIVE_INFINITY
      for (let i = 0; i < kernels.length; i++) {
        const kernel = kernels[i] as RoastKernel
        const gap =
          until.kind === 'pull'
            ? (pull_c[i] as number) - kernel.core_c
            : until.kind === 'core'
              ? until.core_c - kernel.core_c
              : until.kind === 'colour'
                ? until.browning_s - kernel.browning_s
                : Number.POSITIVE_INFINITY
        if (gap > most) most = gap
      }
      return most
    }

    let ended = fixed_s !== undefined
    let gap = lacking()
    if (gap <= 0) ended = true
    else
      while (time < end - 1e-6) {
        while (nextDoor < doors.length && start + (doors[nextDoor] as number) <= time) {
          ovenState.openDoor()
          nextDoor++
        }
        const step = Math.min(dt, end - time)
        // The step that meets the condition is taken again to the instant; far from it nothing needs keeping.
        const near = gap < NEAR_END || until.kind === 'colour'
        if (near) for (let i = 0; i < kernels.length; i++) (kernels[i] as RoastKernel).save()
        const air = ovenState.air_c
        const wall = ovenState.wall_c
        advance(step)
        steps++
        const after = lacking()
        if (after <= 0 && near) {
          const part = Math.max(1e-3, Math.min(1, gap / (gap - after))) * step
          for (let i = 0; i < kernels.length; i++) (kernels[i] as RoastKernel).restore()
          ovenState.air_c = air
          ovenState.wall_c = wall
          advance(part)
          time += part
          ended = true
          recorder.add(time, around.air_c, kernels)
          if (pulled) trackPeak()
          break
        }
        gap = after
        time += step
        if (pulled) trackPeak()
        recorder.add(time, around.air_c, kernels)
      }
    if (!ended) outcome = 'time_limit'
    stages.push({
      stage,
      start_s: start,
      end_s: time,
      core_c: Math.min(...kernels.map((kernel) => kernel.core_c)),
      ended,
    })
    if (index === pullIndex) {
      pulled = true
      pull_s = time
      pullCore_c = kernels.map((kernel) => kernel.core_c)
      trackPeak()
    }
    if (!ended) break
  }
  return {
    outcome,
    stages,
    curve: recorder.finish(),
    pull_s,
    pullCore_c,
    peak_c,
    peak_s,
    carve_s: time,
    points,
    kernels,
    steps,
  }
}

/** The stage whose end is the pull: the last that waits for a reading, else the last heated one. */
export function pullStageIndex(program: Program): number {
  const waits = program.stages.findLastIndex((stage) => stage.until.kind === 'pull' || stage.until.kind === 'core')
  if (waits >= 0) return waits
  return program.stages.findLastIndex((stage) => stage.role === 'cook')
}
