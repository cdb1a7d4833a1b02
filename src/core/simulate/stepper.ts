import { SURFACE_BROWNING } from '../heat/colour'
import { type Cover, newSurroundings, SHIELD, setSurroundings, ventedVapour } from '../heat/environment'
import { RoastKernel } from '../heat/kernel'
import { type OvenSpec, OvenState } from '../heat/oven'
import type { HeatParameters } from '../heat/parameters'
import type { PieceBody, PointId } from '../heat/piece'
import { type BirdPosition, type Program, type Stage, settingOf, type TendingAct } from '../program/stage'
import { ROOM_C } from '../reference/standards'

/** How finely a roast is simulated. */
export interface Resolution {
  /** Time step, s. */
  readonly dt_s: number
  /** Shells of each body. */
  readonly shells: number
}
/** One answer shown to a cook; one member of a plan's ensemble; one member of an estimate, run three times a round. */
export const RESOLUTION = {
  answer: { dt_s: 90, shells: 16 },
  member: { dt_s: 180, shells: 12 },
  estimate: { dt_s: 300, shells: 8 },
} as const satisfies Readonly<Record<string, Resolution>>

/** Something done in mid-cook that the program did not foresee; holds until the next stage begins. */
export interface StageChange {
  /** Since put-in, s. */
  readonly time_s: number
  /** New dial, °C. */
  readonly set_c?: number | undefined
  readonly cover?: Cover | undefined
  readonly position?: BirdPosition | undefined
  readonly foil?: Stage['foil'] | 'none'
  /** The door was opened once. */
  readonly door?: boolean | undefined
  /** Taken out into the room by mistake, or back in. */
  readonly away?: boolean | undefined
}

/** A reading of the air around the meat. */
export interface AirReading {
  /** Since put-in, s. */
  readonly time_s: number
  readonly value_c: number
}

/** What a cook starts from besides its meat: the same for one simulation, an ensemble and an estimate. */
export interface CookConditions {
  /** To the knife. */
  readonly program: Program
  readonly oven: OvenSpec
  /** Mean temperature of the meat at put-in, °C. */
  readonly start_c: number
  /** Centre still colder than the rest, °C: part-frozen. */
  readonly startCore_c?: number | undefined
  /** Reading that ends stages marked "pull", °C, one for each body. */
  readonly pull_c: readonly number[]
  readonly parameters: HeatParameters
}

/** Everything one simulated roast starts from. Same set-up, same answer, on any machine. */
export interface CookSetup extends CookConditions {
  readonly bodies: readonly PieceBody[]
  readonly resolution?: Resolution | undefined
  /** What was done, or is tried, outside the program; by time. */
  readonly changes?: readonly StageChange[] | undefined
  /** An air probe: while it reads, the oven is known and not guessed. By time. */
  readonly air?: readonly AirReading[] | undefined
  /** Known to be in still at this time, s: the pull has not come before it. */
  readonly stillIn_s?: number | undefined
}

/** How turning a bird moves heat between its two bodies: factor on what the surface receives. */
const POSITION = {
  breast_up: { core: 1, thin_end: 1, breast: 1, thigh: 1, stuffing: 1 },
  breast_down: { core: 1, thin_end: 1, breast: 0.72, thigh: 1.18, stuffing: 1 },
} as const
/** Share of the evaporation that what is on the surface lets through (sizes from memory). */
const SURFACE = { plain: 1, fat: 0.6, glaze: 0.8 } as const
const FOILED: Readonly<Record<'breast' | 'legs', PointId>> = { breast: 'breast', legs: 'thigh' }
/** Walls follow a measured air with this time constant, s. */
const WALL_LAG_S = 480
/** Tending is looked for this far into a stage, s. */
const TENDED_S = 12 * 3600
/** Above this there is no ice left, °C, and the longest step while there is, s. */
const THAWED_C = 1
const FROZEN_STEP_S = 10
/** A step shorter than this is taken as it is, s. */
const WHOLE_S = 2
/** Steps shorter than this move nothing, s. */
export const INSTANT_S = 1e-6

interface Tended {
  readonly at_s: number
  readonly act: TendingAct
}

/** What is done inside a stage, s from its start, in order; what is past the end simply never comes. */
function tendedIn(stage: Stage): Tended[] {
  const done: Tended[] = []
  for (const { act, at_s, every_s } of stage.tending) {
    if (!Number.isFinite(at_s)) continue
    done.push({ at_s, act })
    if (every_s !== undefined && every_s > 0)
      for (let t = at_s + every_s; t < TENDED_S; t += Math.max(60, every_s)) done.push({ at_s: t, act })
  }
  return done.sort((a, b) => a.at_s - b.at_s)
}
/** Turned in the middle of a stage a bird lies the other way; at its beginning the stage itself says how it lies. */
const OTHER_WAY: Readonly<Record<BirdPosition, BirdPosition>> = { breast_up: 'breast_down', breast_down: 'breast_up' }

/**
 * The one stepper: bodies of meat and their oven, moved through stages.
 *
 * Plans, ensembles, estimates, advice, the headless core and the accuracy checks all drive it, so that
 * what one knows (the cavity of a stuffed bird, foil over its breast, a baste that costs heat, an oven that
 * was preheated or not) all know. Units: s, °C, W.
 */
export class RoastStepper {
  readonly kernels: readonly RoastKernel[]
  readonly points: readonly PointId[]
  /** Since put-in, s. */
  time_s = 0
  steps = 0
  stage: Stage
  stageStart_s = 0

  private readonly around = newSurroundings()
  private readonly ovenState: OvenState
  private readonly stuffing: number
  private readonly dt_s: number
  private inOven = false
  private isOven = false
  private away = false
  private setting: number | undefined
  private cover: Cover = 'bare'
  private position: BirdPosition = 'breast_up'
  private foil: Stage['foil']
  private tended: readonly Tended[] = []
  private nextTended = 0
  private nextChange = 0
  private nextAir = 0
  private contact = 0
  private emissivity = 0
  private evaporation = 0
  private readonly savedOven = new Float64Array(3)
  /** Before a step, and after it whole. */
  private readonly before: readonly Float64Array[]
  private readonly whole: readonly Float64Array[]
  private readonly beforeOven = new Float64Array(3)
  private readonly wholeOven = new Float64Array(3)
  private frozen: boolean

  constructor(private readonly setup: CookSetup) {
    const { shells, dt_s } = setup.resolution ?? RESOLUTION.answer
    this.dt_s = dt_s
    this.kernels = setup.bodies.map((body) => new RoastKernel(body, setup.parameters, setup.start_c, shells))
    if (setup.startCore_c !== undefined)
      for (const kernel of this.kernels) kernel.resetFrom(setup.startCore_c, setup.start_c)
    const buffers = () => this.kernels.map((kernel) => new Float64Array(kernel.stateSize))
    this.before = buffers()
    this.whole = buffers()
    this.points = setup.bodies.map(({ point }) => point)
    this.frozen = Math.min(setup.start_c, setup.startCore_c ?? setup.start_c) < THAWED_C
    this.stuffing = this.points.indexOf('stuffing')
    this.ovenState = new OvenState(setup.oven)
    this.stage = setup.program.stages[0] as Stage
  }

  /** Air around the meat, °C. */
  get air_c(): number {
    return this.around.air_c
  }

  /** What the stage that has begun is set to, °C: shown before the first step. */
  get begun_c(): number {
    return this.setting ?? this.ovenState.air_c
  }

  /** Lowest core of all bodies, °C. */
  get core_c(): number {
    let least = Number.POSITIVE_INFINITY
    for (const kernel of this.kernels) if (kernel.core_c < least) least = kernel.core_c
    return least
  }

  /** The meat goes from where it was into a stage. */
  begin(stage: Stage): void {
    const { environment } = stage
    this.stage = stage
    this.stageStart_s = this.time_s
    this.setting = settingOf(environment)
    this.isOven = environment.kind === 'oven'
    if (this.isOven && !this.inOven) {
      if (stage.preheated && this.setting !== undefined) {
        this.ovenState.preheated(this.setting)
        this.ovenState.openDoor()
      } else this.ovenState.cold()
    }
    this.inOven = this.isOven
    this.away = false
    this.cover = stage.cover
    this.position = stage.position ?? 'breast_up'
    this.foil = stage.foil
    this.tended = tendedIn(stage)
    this.nextTended = 0
    this.surround()
  }

  private surround(): void {
    const { around, setup, stage } = this
    const where = this.away ? 'counter' : stage.environment.kind
    setSurroundings(around, where, setup.oven.kind, this.cover, setup.parameters)
    this.contact = around.convection_w_per_m2k
    this.emissivity = around.emissivity
    this.evaporation = around.evaporation * SURFACE[stage.surface ?? 'plain']
    around.browning = SURFACE_BROWNING[stage.surface ?? 'plain']
  }

  /** One act of tending: the door, and what it does to cover and position. */
  private tend({ act, at_s }: Tended): void {
    if (this.isOven && act !== 'coals') this.ovenState.openDoor()
    if (act === 'turn' && at_s > INSTANT_S) this.position = OTHER_WAY[this.position]
    if (act !== 'cover' && act !== 'uncover') return
    this.cover = act === 'cover' ? 'foil' : 'bare'
    this.surround()
  }

  /** What was due by now: the tending of the stage, and changes the program did not foresee. */
  private attend(): void {
    while (this.nextTended < this.tended.length) {
      const next = this.tended[this.nextTended] as Tended
      if (this.stageStart_s + next.at_s > this.time_s + INSTANT_S) break
      this.tend(next)
      this.nextTended++
    }
    const changes = this.setup.changes
    if (!changes) return
    while (this.nextChange < changes.length) {
      const change = changes[this.nextChange] as StageChange
      if (change.time_s > this.time_s + INSTANT_S) break
      this.nextChange++
      // What was done before this stage began ended with the stage it was done in.
      if (change.time_s < this.stageStart_s - INSTANT_S) continue
      if (change.set_c !== undefined && (this.isOven || this.onFire)) this.setting = change.set_c
      if (change.position) this.position = change.position
      if (change.foil) this.foil = change.foil === 'none' ? undefined : change.foil
      if (change.door && this.isOven) this.ovenState.openDoor()
      if (change.cover) this.cover = change.cover
      if (change.away !== undefined) this.away = change.away
      if (change.cover || change.away !== undefined) this.surround()
    }
  }

  /** While there is ice in it heat capacity jumps by a factor of ten within a degree, and steps have to be short. */
  private longest_s(): number {
    if (!this.frozen) return this.dt_s
    this.frozen = this.kernels.some(({ temperature }) => temperature.some((value) => value < THAWED_C))
    return this.frozen ? Math.min(this.dt_s, FROZEN_STEP_S) : this.dt_s
  }

  /** The longest step from here that ends no later than `end_s` and skips no change. */
  stepTo(end_s: number): number {
    this.attend()
    const next = this.setup.changes?.[this.nextChange]?.time_s ?? Number.POSITIVE_INFINITY
    return Math.max(INSTANT_S, Math.min(this.longest_s(), end_s - this.time_s, next - this.time_s))
  }

  /**
   * Moves everything on by a step, s, without the clock: {@link settle} moves that, {@link restore} takes it back.
   *
   * Meat and oven together are moved once whole and once in two halves, and what these differ by is taken off again:
   * a third of the work goes there, and a step may be eight times as long for the same error.
   */
  advance(step_s: number): void {
    const { kernels, before, whole, ovenState, beforeOven, wholeOven } = this
    this.steps++
    if (step_s < WHOLE_S) {
      this.once(step_s)
      for (let i = 0; i < kernels.length; i++) (kernels[i] as RoastKernel).giveWater(step_s)
      return
    }
    for (let i = 0; i < kernels.length; i++) {
      const kernel = kernels[i] as RoastKernel
      kernel.foretellWater(step_s)
      kernel.keep(before[i] as Float64Array)
    }
    ovenState.keep(beforeOven)
    this.once(step_s)
    for (let i = 0; i < kernels.length; i++) {
      const kernel = kernels[i] as RoastKernel
      kernel.keep(whole[i] as Float64Array)
      kernel.goBack(before[i] as Float64Array)
    }
    ovenState.keep(wholeOven)
    ovenState.goBack(beforeOven)
    this.once(step_s / 2)
    this.once(step_s / 2)
    for (let i = 0; i < kernels.length; i++) {
      const kernel = kernels[i] as RoastKernel
      kernel.extrapolate(whole[i] as Float64Array)
      kernel.giveWater(step_s)
    }
    if (!this.isOven || this.away) return
    ovenState.extrapolate(wholeOven)
    this.around.air_c = ovenState.air_c
    this.around.wall_c = ovenState.wall_c
  }

  /** Backward Euler over a step, s. */
  private once(step_s: number): void {
    const { around, kernels, points, setup, stuffing } = this
    if (this.isOven && !this.away) this.heat(step_s)
    else if (this.away) {
      this.ovenState.step(step_s, this.setting, 0)
      around.air_c = ROOM_C
      around.wall_c = ROOM_C
    } else {
      around.air_c = this.outside_c
      around.wall_c = around.air_c
    }
    this.vent()
    const position = POSITION[this.position]
    for (let i = 0; i < kernels.length; i++) {
      if (i === stuffing) continue
      const point = points[i] as PointId
      const share = position[point]
      const shield = this.foil && FOILED[this.foil] === point ? SHIELD : undefined
      around.convection_w_per_m2k = this.contact * share * (shield?.contact ?? 1)
      around.emissivity = this.emissivity * share * (shield?.radiation ?? 1)
      around.evaporation = this.evaporation * (shield?.evaporation ?? 1)
      ;(kernels[i] as RoastKernel).solve(step_s, around)
    }
    if (stuffing >= 0) {
      // The cavity's walls are the inner sides of breast and thigh, which nothing heats but the meat.
      const wall = ((kernels[0] as RoastKernel).mean_c + (kernels[1] as RoastKernel).mean_c) / 2
      const air = around.air_c
      around.convection_w_per_m2k = setup.parameters.cavity_w_per_m2k
      around.emissivity = 0
      around.evaporation = 0
      around.air_c = wall
      ;(kernels[stuffing] as RoastKernel).solve(step_s, around)
      around.air_c = air
    }
  }

  /** What the meat gives off makes its oven moist. */
  private vent(): void {
    const { kind } = this.stage.environment
    if (this.away || (kind !== 'oven' && kind !== 'fire')) return
    let given = 0
    for (let i = 0; i < this.kernels.length; i++) given += (this.kernels[i] as RoastKernel).given_kg_per_s
    const { around, setup } = this
    around.vapour = ventedVapour(kind, setup.oven.kind, around.air_c, given, setup.parameters)
  }

  private get onFire(): boolean {
    return this.stage.environment.kind === 'fire'
  }
  /** The air where it is in no oven, °C: over a fire what a probe reads, or what it truly is. */
  private get outside_c(): number {
    const set_c = this.setting as number
    return this.onFire ? (this.airRead ?? set_c + (this.setup.oven.fire_k ?? 0)) : set_c
  }

  /** What a probe beside the meat read of the air by now, °C. */
  private get airRead(): number | undefined {
    const known = this.setup.air
    const last = known?.at(-1)
    if (!known || !last || this.time_s > last.time_s) return undefined
    while (this.nextAir + 1 < known.length && (known[this.nextAir + 1] as AirReading).time_s <= this.time_s)
      this.nextAir++
    return (known[this.nextAir] as AirReading).value_c
  }

  private heat(step_s: number): void {
    const { around, ovenState } = this
    const air = this.airRead
    if (air !== undefined) {
      ovenState.air_c = air
      ovenState.wall_c += -Math.expm1(-step_s / WALL_LAG_S) * (air - ovenState.wall_c)
    } else {
      let drawn = 0
      for (let i = 0; i < this.kernels.length; i++) drawn += (this.kernels[i] as RoastKernel).drawn_w
      ovenState.step(step_s, this.setting, drawn)
    }
    around.air_c = ovenState.air_c
    around.wall_c = ovenState.wall_c
  }

  /** The step just advanced stands: the clock goes on by it. */
  settle(step_s: number): void {
    this.time_s += step_s
  }

  /**
   * Goes on in mid-stage where another of the same roast is. The changes of this one begin with that one's, and its
   * program is the same so far.
   * @param stage the one it is in, of this one's program
   */
  goOnFrom(other: RoastStepper, stage: Stage): void {
    for (let i = 0; i < this.kernels.length; i++)
      (this.kernels[i] as RoastKernel).goOnFrom(other.kernels[i] as RoastKernel)
    other.ovenState.keep(this.savedOven)
    this.ovenState.goBack(this.savedOven)
    Object.assign(this.around, other.around)
    this.stage = stage
    this.time_s = other.time_s
    this.steps = other.steps
    this.stageStart_s = other.stageStart_s
    this.inOven = other.inOven
    this.isOven = other.isOven
    this.away = other.away
    this.setting = other.setting
    this.cover = other.cover
    this.position = other.position
    this.foil = other.foil
    this.tended = other.tended
    this.nextTended = other.nextTended
    this.nextChange = other.nextChange
    this.nextAir = other.nextAir
    this.contact = other.contact
    this.emissivity = other.emissivity
    this.evaporation = other.evaporation
    this.frozen = other.frozen
  }

  /** Remembers meat and oven, for {@link restore}. */
  save(): void {
    for (const kernel of this.kernels) kernel.save()
    this.ovenState.keep(this.savedOven)
  }

  /** Goes back to what was last saved. */
  restore(): void {
    for (const kernel of this.kernels) kernel.restore()
    this.ovenState.goBack(this.savedOven)
  }

  /** How far the stage's condition is from being met, in its own unit: ≤ 0 when it is; Infinity where only time ends it. */
  lacking(): number {
    const { until } = this.stage
    let most = Number.NEGATIVE_INFINITY
    for (let i = 0; i < this.kernels.length; i++) {
      const kernel = this.kernels[i] as RoastKernel
      const gap =
        until.kind === 'pull'
          ? (this.setup.pull_c[i] as number) - kernel.core_c
          : until.kind === 'core'
            ? until.core_c - kernel.core_c
            : until.kind === 'colour'
              ? until.browning_s - kernel.browning_s
              : until.kind === 'tender'
                ? until.tender_s - kernel.tender_s
                : Number.POSITIVE_INFINITY
      if (gap > most) most = gap
    }
    return most
  }
}
