import { seededRandom } from '@/core/estimate/random'
import { holdSeconds } from '@/core/safety/lethality'
import { stepShells } from '../truth/shells'
import { K, magnus, RHO_C } from '../truth/truth'
import { KitchenProbe } from './probe'

/**
 * A kitchen that is none: heats that warm and cool, and roasts that are put into them and taken out, by other
 * physics than the planner's. It is told what a cook does and when; it answers what a probe reads. Nothing here
 * is used to plan.
 */

const ROOM_C = 21
const SHELLS = 16
/** Meat in it gets no hotter, °C. */
const MOST_C = 99
/** How fast an oven comes up to its setting, and how fast it cools when it is off and shut, s. */
const HEATS_S = 240
const COOLS_S = 3600

/** An opened door lets out so much of what an oven is hotter than its room. */
const DOOR_LOSES = 0.35
/** A thermostat that switches lets its oven swing so far, K, once in so long, s. */
const SWINGS_K = 9
const SWINGS_S = 560
/** A surface that keeps its water goes no further by itself than about this, °C: the second family. */
const PLATEAU_C = 68
/** What a dry ridge of it is behind of, m²K/W, and by how much a hotter ridge browns twice as fast, K. */
const RIDGE_M2K_PER_W = 0.02
const BROWNS_TWICE_K = 10

/** An oven, a fire, a pan: its air goes to what it is set to. */
export class KitchenHeat {
  air_c = ROOM_C
  private set_c: number | undefined
  private clock_s = 0
  private gone = false
  /**
   * @param contact how much more heat it gives than an oven of its temperature: a pan lies on the meat
   * @param swings whether its thermostat switches it on and off
   */
  constructor(
    private readonly offset_k: number,
    readonly contact = 1,
    private readonly swings = false,
  ) {}

  /** It has failed: whatever it is set to, it cools. Whoever touches it sees that. */
  get dead(): boolean {
    return this.gone
  }

  fail(): void {
    this.gone = true
  }

  /** Somebody looks in. */
  door(): void {
    this.air_c -= DOOR_LOSES * (this.air_c - ROOM_C)
  }

  /** @param set_c °C; undefined: off, its door shut */
  set(set_c: number | undefined): void {
    this.set_c = set_c
  }

  advance(step_s: number): void {
    this.clock_s += step_s
    const swing = this.swings ? SWINGS_K * Math.sin((2 * Math.PI * this.clock_s) / SWINGS_S) : 0
    const set_c = this.gone ? undefined : this.set_c
    const to = set_c === undefined ? ROOM_C : set_c + this.offset_k + swing
    const tau = to > this.air_c ? HEATS_S : set_c === undefined ? COOLS_S : HEATS_S * 3
    this.air_c = to + (this.air_c - to) * Math.exp(-step_s / tau)
  }
}

export interface KitchenPiece {
  readonly seed: number
  /** As its plan thinks it, m; it is a little thicker or thinner. */
  readonly thickness_m: number
  /** 1 a slab, 2 a long cylinder, 3 a ball; between them what is between. */
  readonly shape: number
  readonly start_c: number
  /** By which law its surface takes heat: one that dries in time, or one that stays at a plateau. */
  readonly family?: 'drying' | 'plateau'
}

/** By so much hotter it turns tender twice as fast, K. */
const TENDERS_TWICE_K = 5

/** Meat in a kitchen: a piece, or a bird. */
export interface KitchenMeat {
  /** Of its least done point, °C, and the highest that has been, °C. */
  readonly core_c: number
  readonly highest_c: number
  /** How brown its ridges are, s at 150 °C. */
  readonly browned_s: number
  /** Share of the published hold time that its least heated point has had: safe at 1. */
  readonly held: number
  /** What its tough parts have had, minutes at 90 °C. */
  readonly tender_min: number
  /** What a probe in each of its points says: a thing with a length and a stem, not its middle. */
  read(): readonly { readonly probe: 'core' | 'breast' | 'thigh'; readonly c: number }[]
  put(heat: KitchenHeat | undefined): void
  advance(step_s: number): void
}

/** What the probe in its least done point shows, °C. */
export const leastRead = (meat: KitchenMeat): number => Math.min(...meat.read().map(({ c }) => c))

/**
 * How fast ridges brown that lie on a front of so many degrees, s at 150 °C in a second.
 * @param h what the surface takes for each kelvin, W/m²K
 */
export function browns(front_c: number, air_c: number, h: number): number {
  const ridge_c = front_c + ((air_c - front_c) * RIDGE_M2K_PER_W) / (RIDGE_M2K_PER_W + 1 / h)
  return 2 ** ((ridge_c - 150) / BROWNS_TWICE_K)
}

/** A piece of meat in shells, warmed from outside; its surface dries as it goes. */
export class KitchenRoast implements KitchenMeat {
  private readonly shells: Float64Array
  private readonly dr: number
  private readonly dt: number
  private readonly h: number
  private readonly dries_s: number
  private readonly wet: number
  private readonly shape: number
  private readonly plateau: { readonly at_c: number; readonly keeps: number } | undefined
  private hot_s = 0
  /** How brown its ridges are, s at 150 °C. */
  browned_s = 0
  /** Share of the published hold time that its middle has had: safe at 1. */
  held = 0
  tender_min = 0
  private heat: KitchenHeat | undefined
  private readonly probe: KitchenProbe
  highest_c = Number.NEGATIVE_INFINITY

  constructor({ seed, thickness_m, shape, start_c, family }: KitchenPiece) {
    const random = seededRandom(seed * 104_729 + 7)
    const about = (share: number) => 1 + share * (2 * random() - 1)
    const half = (thickness_m / 2) * about(0.06)
    this.dr = half / SHELLS
    this.dt = 0.2 * this.dr ** 2 * (RHO_C / K)
    this.h = 22 * about(0.12)
    this.wet = 0.5 * about(0.3)
    this.dries_s = 2.5 * 3600 * about(0.3)
    this.shape = shape
    this.probe = new KitchenProbe(seed * 32_452_843 + 11)
    this.shells = new Float64Array(SHELLS).fill(start_c + 2 * random() - 1)
    this.plateau = family === 'plateau' ? { at_c: PLATEAU_C * about(0.06), keeps: 0.18 * about(0.3) } : undefined
  }

  get core_c(): number {
    return this.shells[0] as number
  }

  put(heat: KitchenHeat | undefined): void {
    this.heat = heat
  }

  read(): ReturnType<KitchenMeat['read']> {
    return [{ probe: 'core', c: this.probe.read(this.shells, this.dr, this.heat?.air_c ?? ROOM_C) }]
  }

  advance(step_s: number): void {
    const steps = Math.max(1, Math.ceil(step_s / this.dt))
    for (let i = 0; i < steps; i++) this.step(step_s / steps)
    this.highest_c = Math.max(this.highest_c, this.core_c)
    this.held += step_s / holdSeconds(this.core_c)
    this.tender_min += (step_s / 60) * 2 ** ((this.core_c - 90) / TENDERS_TWICE_K)
    if (!this.heat) return
    const h = Math.min(60, this.h * this.heat.contact)
    this.browned_s += step_s * browns(this.shells[SHELLS - 1] as number, this.heat.air_c, h)
  }

  /** Heat into the surface, W/m²: contact and radiation, less what its water takes away. */
  private flux(surface_c: number): number {
    const air_c = this.heat?.air_c ?? ROOM_C
    const h = this.heat ? this.h * this.heat.contact : 9
    const wet = this.heat ? this.wet * Math.exp(-this.hot_s / this.dries_s) : 0.15
    const dry = h * (air_c - surface_c)
    if (this.heat && this.plateau) {
      const { at_c, keeps } = this.plateau
      const kept = surface_c > at_c ? dry * keeps : dry * (1 - (1 - keeps) * (surface_c / at_c) ** 2)
      return Math.max(-600, kept)
    }
    const lost = 0.6 * wet * h * 0.0163 * Math.max(0, magnus(Math.min(surface_c, 99.5)) - 3200)
    return this.heat ? Math.max(dry - Math.min(lost, 0.93 * Math.max(0, dry) + 200), -600) : dry - lost
  }

  private step(dt: number): void {
    const { shells, dr, shape } = this
    if (this.heat) this.hot_s += dt
    stepShells(shells, dr, shape, this.flux(shells[SHELLS - 1] as number), dt, MOST_C)
  }
}
