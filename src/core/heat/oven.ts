import { ROOM_C } from '../reference/standards'
import type { OvenKind } from './environment'

/** One oven as it really behaves. Defaults are common practice for a domestic oven. */
export interface OvenSpec {
  readonly kind: OvenKind
  /** How far the true mean lies above the dial, K. */
  readonly offset_k: number
  /** And a fire above what it is kept at, where it is on one, K. */
  readonly fire_k?: number | undefined
  /** Half the swing of the thermostat, K. */
  readonly swing_k: number
  /** Period of the swing, s. */
  readonly period_s: number
  /** Warm-up at full power, K/s. */
  readonly preheat_k_per_s: number
  /** Time constant of cooling with the door shut, s. */
  readonly decay_s: number
  /** Share of the air's heat lost at one door opening, 0–1. */
  readonly door_loss: number
  /** Heat capacity of air, walls and racks together, J/K: what a cold roast draws down when the heat is off. */
  readonly capacity_j_per_k: number
}

export const DOMESTIC_OVEN: OvenSpec = {
  kind: 'still',
  offset_k: 0,
  swing_k: 5,
  period_s: 600,
  preheat_k_per_s: 12 / 60,
  decay_s: 55 * 60,
  door_loss: 0.35,
  capacity_j_per_k: 18_000,
}

/** What one opening of the door by somebody else costs a roast, s: simulated for a rib at 160 °C, and near it for others. */
export const DOOR_COST_S = 90

/** With the heat between pulses an oven vents more than with the heat off for good: its time constant is shorter by this. */
const SHED = 0.5

/** Walls follow the air with this time constant, s. */
const WALL_LAG_S = 480

/**
 * How long an oven takes from a temperature to a setting at full power, s.
 * @example preheatSeconds(DOMESTIC_OVEN, 201) // ≈ 1080
 */
export const preheatSeconds = (oven: OvenSpec, set_c: number, from_c: number = ROOM_C): number =>
  Math.max(0, set_c - from_c) / oven.preheat_k_per_s + (set_c > from_c ? 180 : 0)

/** Air and walls of an oven through time. */
export class OvenState {
  air_c = ROOM_C
  wall_c = ROOM_C
  private readonly spec: OvenSpec
  clock_s = 0

  constructor(spec: OvenSpec) {
    this.spec = spec
  }

  /** A cold oven. */
  cold(): void {
    this.air_c = ROOM_C
    this.wall_c = ROOM_C
    this.clock_s = 0
  }

  /** An oven that has reached its setting. */
  preheated(set_c: number): void {
    this.air_c = set_c + this.spec.offset_k
    this.wall_c = this.air_c
    this.clock_s = 0
  }

  /** One opening of the door, about half a minute. */
  openDoor(): void {
    this.air_c -= this.spec.door_loss * (this.air_c - ROOM_C)
    this.wall_c -= 0.15 * this.spec.door_loss * (this.wall_c - ROOM_C)
  }

  /**
   * Moves the oven on by a step.
   * @param set_c the dial, °C; undefined when the heat is off
   * @param drawn_w heat the meat took in the last step, W: felt only with the heat off
   */
  step(dt_s: number, set_c: number | undefined, drawn_w: number): void {
    const { spec } = this
    this.clock_s += dt_s
    if (set_c === undefined) {
      const fall = -Math.expm1(-dt_s / spec.decay_s)
      this.air_c -= fall * (this.air_c - ROOM_C) + (drawn_w * dt_s) / spec.capacity_j_per_k
      this.wall_c -= fall * (this.wall_c - ROOM_C) + (drawn_w * dt_s) / spec.capacity_j_per_k
    } else {
      const swing = spec.swing_k === 0 ? 0 : spec.swing_k * Math.sin((2 * Math.PI * this.clock_s) / spec.period_s)
      const target = set_c + spec.offset_k + swing
      const gap = target - this.air_c
      if (gap > 0) this.air_c += Math.min(gap, spec.preheat_k_per_s * dt_s)
      else this.air_c += Math.max(gap, Math.expm1(-dt_s / (spec.decay_s * SHED)) * (this.air_c - ROOM_C))
    }
    this.wall_c += -Math.expm1(-dt_s / WALL_LAG_S) * (this.air_c - this.wall_c)
  }

  /** Writes air, walls and clock into a buffer of three. */
  keep(into: Float64Array): void {
    into[0] = this.air_c
    into[1] = this.wall_c
    into[2] = this.clock_s
  }

  goBack(from: Float64Array): void {
    this.air_c = from[0] as number
    this.wall_c = from[1] as number
    this.clock_s = from[2] as number
  }

  /** Having come here in two halves, and to `whole` in one step: as the kernel does. */
  extrapolate(whole: Float64Array): void {
    this.air_c = 2 * this.air_c - (whole[0] as number)
    this.wall_c = 2 * this.wall_c - (whole[1] as number)
  }
}
