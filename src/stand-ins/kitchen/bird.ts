import { seededRandom } from '@/core/estimate/random'
import { POULTRY_DECADES, poultryRate } from '@/core/safety/poultry'
import { Ball } from '../truth/shells'
import { K, magnus, RHO_C } from '../truth/truth'
import { browns, type KitchenHeat, type KitchenMeat } from './kitchen'
import { KitchenProbe } from './probe'

/** A whole bird of a kitchen that is none: two balls of meat, breast and thigh, on a carcass that joins them. */

const ROOM_C = 21
const SHELLS = 14
const MOST_C = 99
/** Below this nothing is counted towards safety, °C. */
const COUNTS_C = 55

/** A part of it, and what it has had. */
class Part extends Ball {
  highest_c = Number.NEGATIVE_INFINITY
  held = 0
  /**
   * @param sees share of the oven's heat it sees
   * @param joined share of the carcass's
   */
  constructor(
    radius_m: number,
    readonly sees: number,
    readonly joined: number,
    readonly probe: KitchenProbe,
    start_c: number,
  ) {
    super(radius_m, start_c, SHELLS)
  }
}

export class KitchenBird implements KitchenMeat {
  readonly tender_min = 0
  browned_s = 0
  private readonly breast: Part
  private readonly thigh: Part
  private readonly h: number
  private readonly wet: number
  private readonly dries_s: number
  private readonly touch: number
  private readonly carcass_j: number
  private readonly carcass_m2: number
  private readonly dt: number
  private carcass_c: number
  private hot_s = 0
  private heat: KitchenHeat | undefined

  /** @param mass_kg as it was weighed; the meat on it is a little more or less */
  constructor({ seed, mass_kg, start_c }: { seed: number; mass_kg: number; start_c: number }) {
    const random = seededRandom(seed * 15_485_863 + 3)
    const about = (share: number) => 1 + share * (2 * random() - 1)
    const size = Math.cbrt(mass_kg)
    this.breast = new Part(0.0385 * size * about(0.08), 0.84, 0.25, new KitchenProbe(seed * 32_452_843 + 11), start_c)
    this.thigh = new Part(0.0345 * size * about(0.08), 0.73, 0.4, new KitchenProbe(seed * 32_452_843 + 12), start_c)
    this.h = 20 * about(0.12)
    this.wet = 0.16 * about(0.4)
    this.dries_s = 2.5 * 3600 * about(0.3)
    this.touch = 20 * about(0.3)
    this.carcass_c = start_c
    this.carcass_j = 0.25 * mass_kg * 3000
    this.carcass_m2 = 0.0144 * size ** 2
    this.dt = Math.min(12, 0.2 * Math.min(this.breast.dr, this.thigh.dr) ** 2 * (RHO_C / K))
  }

  private get points(): readonly Part[] {
    return [this.breast, this.thigh]
  }
  get core_c(): number {
    return Math.min(this.breast.core_c, this.thigh.core_c)
  }
  get highest_c(): number {
    return Math.min(this.breast.highest_c, this.thigh.highest_c)
  }
  get held(): number {
    return Math.min(this.breast.held, this.thigh.held)
  }

  read(): ReturnType<KitchenMeat['read']> {
    const air_c = this.heat?.air_c ?? ROOM_C
    const shown = ({ probe, shells, dr }: Part) => probe.read(shells, dr, air_c)
    return [
      { probe: 'breast', c: shown(this.breast) },
      { probe: 'thigh', c: shown(this.thigh) },
    ]
  }

  put(heat: KitchenHeat | undefined): void {
    this.heat = heat
  }

  advance(step_s: number): void {
    const steps = Math.max(1, Math.ceil(step_s / this.dt))
    for (let i = 0; i < steps; i++) this.step(step_s / steps)
    for (const part of this.points) {
      part.highest_c = Math.max(part.highest_c, part.core_c)
      if (part.core_c > COUNTS_C) part.held += (step_s * poultryRate(part.core_c)) / POULTRY_DECADES
    }
    if (this.heat) this.browned_s += step_s * browns(this.breast.front_c, this.heat.air_c, this.h)
  }

  private step(dt: number): void {
    const { heat, touch } = this
    const air_c = heat?.air_c ?? ROOM_C
    const h = heat ? this.h : 9
    if (heat) this.hot_s += dt
    const wet = heat ? this.wet * Math.exp(-this.hot_s / this.dries_s) : 0.1
    let given_w = 0
    const fluxes = this.points.map(({ front_c, sees, joined, area_m2 }) => {
      const dry = sees * h * (air_c - front_c)
      const lost = wet * h * 0.011 * Math.max(0, magnus(Math.min(front_c, 99.5)) - 3400)
      const inward = joined * touch * 0.25 * (this.carcass_c - front_c)
      given_w -= inward * area_m2
      return dry - (heat ? Math.min(lost, 0.9 * Math.max(0, dry) + 150) : lost) + inward
    })
    this.carcass_c += ((given_w + this.carcass_m2 * h * (air_c - this.carcass_c)) * dt) / this.carcass_j
    for (const [i, part] of this.points.entries()) part.step(dt, fluxes[i] as number, MOST_C)
  }
}
