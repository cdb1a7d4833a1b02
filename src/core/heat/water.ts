/**
 * Juice that meat cannot hold once it has been this hot, as a share of its raw weight: 0.31/(1 + 30 exp(−0.17 (T − 52))).
 *
 * @see The sigmoid of water-holding capacity used by R. G. M. van der Sman, Meat Science 76 (2007), coefficients from memory.
 * @example squeezedShare(60) > squeezedShare(55) // true
 */
export const squeezedShare = (hottest_c: number): number => 0.31 / (1 + 30 * Math.exp(-0.17 * (hottest_c - 52)))

/** Rows a kelvin, and the highest, °C. */
const SQUEEZED_PER_KELVIN = 4
const MOST_C = 110

/** {@link squeezedShare} from 0 °C up, so many rows a kelvin: read once for each shell that grows hotter. */
const SQUEEZED = Float64Array.from({ length: MOST_C * SQUEEZED_PER_KELVIN + 1 }, (_, i) =>
  squeezedShare(i / SQUEEZED_PER_KELVIN),
)

/** The part of it that finds its way out and drips into the tin; of the rest some evaporates, some stays in the slice. */
const DRIP_SHARE = 0.35
/** Of its raw weight this much of a layer stays, however dry. */
const DRY_SHARE = 0.4
const TOP = SQUEEZED.length - 1
const squeezedAt = (hottest_c: number): number => {
  const row = (hottest_c * SQUEEZED_PER_KELVIN) | 0
  return SQUEEZED[row <= 0 ? 0 : row < TOP ? row : TOP] as number
}

/**
 * The water of a piece, layer by layer: what evaporates from its surface comes from the layers that cannot hold it, by
 * what each has left to give, and some of the rest drips. Layers that have given are lighter and store less heat.
 */
export class MeatWater {
  /** Mass left of each layer, kg. */
  readonly left: Float64Array
  /** The hottest each layer has been, °C. */
  readonly hottest: Float64Array
  /** Share of the raw mass that has dripped into the tin. */
  dripped = 0
  /** Share of the raw mass that has left its layers as vapour. */
  private given = 0
  /** Share of each layer's raw mass that it cannot hold. */
  private readonly squeezed: Float64Array
  /** What each gave in the last step, kg/s, and what it is taken to have given by the middle of this, kg. */
  private readonly gives: Float64Array
  private readonly ahead: Float64Array
  private readonly saved: Float64Array
  private readonly whole_kg: number

  /** @param raw mass of each layer, kg */
  constructor(private readonly raw: Float64Array) {
    const layers = raw.length
    this.left = new Float64Array(layers)
    this.hottest = new Float64Array(layers)
    this.squeezed = new Float64Array(layers)
    this.gives = new Float64Array(layers)
    this.ahead = new Float64Array(layers)
    this.saved = new Float64Array(3 * layers + 2)
    this.whole_kg = raw.reduce((sum, kg) => sum + kg, 0)
  }

  /**
   * Juice that runs from it as it is sliced: what its layers cannot hold and have not given, and what the knife sets free.
   * @param cutFree share of each layer's raw mass that slicing sets free
   * @param runs share of that which runs out of a layer, 0–1
   * @returns share of the raw mass of the whole
   */
  runsFrom(cutFree: number, runs: (layer: number) => number): number {
    const { raw, left, squeezed, whole_kg } = this
    let runs_kg = 0
    for (let i = 0; i < raw.length; i++) {
      const whole = raw[i] as number
      const loose_kg = Math.max(0, (left[i] as number) - (1 - (squeezed[i] as number)) * whole)
      runs_kg += (loose_kg + cutFree * whole) * runs(i)
    }
    return runs_kg / whole_kg
  }

  /** Raw again, at these temperatures, °C. */
  reset(temperature: Float64Array): void {
    this.left.set(this.raw)
    this.gives.fill(0)
    this.ahead.fill(0)
    this.dripped = 0
    this.given = 0
    for (let i = 0; i < this.raw.length; i++) {
      this.hottest[i] = temperature[i] as number
      this.squeezed[i] = squeezedAt(temperature[i] as number)
    }
  }

  save(): void {
    const { saved, raw } = this
    saved.set(this.left)
    saved.set(this.hottest, raw.length)
    saved.set(this.gives, 2 * raw.length)
    saved[3 * raw.length] = this.dripped
    saved[3 * raw.length + 1] = this.given
  }

  restore(): void {
    const { saved, raw } = this
    const layers = raw.length
    for (let i = 0; i < layers; i++) {
      this.left[i] = saved[i] as number
      this.hottest[i] = saved[layers + i] as number
      this.gives[i] = saved[2 * layers + i] as number
      this.ahead[i] = 0
      this.squeezed[i] = squeezedAt(this.hottest[i] as number)
    }
    this.dripped = saved[3 * layers] as number
    this.given = saved[3 * layers + 1] as number
  }

  /** Goes on where another piece of the same layers is. */
  goOnFrom(other: MeatWater): void {
    other.save()
    this.saved.set(other.saved)
    this.restore()
  }

  /** Takes from each layer what it would have given by the middle of a step, s: {@link give} says what it did. */
  foretell(dt_s: number): void {
    const { left, gives, ahead } = this
    for (let i = 0; i < left.length; i++) {
      const kg = (gives[i] as number) * dt_s * 0.5
      ahead[i] = kg
      left[i] = (left[i] as number) - kg
    }
  }

  /**
   * @param dt_s since the last time, s
   * @param temperature of each layer, °C, and its enthalpy, J/kg
   * @param lost share of the raw mass that has evaporated so far
   * @returns enthalpy that left with the water, J
   */
  give(dt_s: number, temperature: Float64Array, enthalpy: Float64Array, lost: number): number {
    const { raw, left, hottest, squeezed, gives, ahead, whole_kg } = this
    const layers = raw.length
    let carried_j = 0
    let drip_kg = 0
    let loose = 0
    for (let i = 0; i < layers; i++) {
      const t = temperature[i] as number
      const whole = raw[i] as number
      let mass = (left[i] as number) + (ahead[i] as number)
      ahead[i] = 0
      gives[i] = 0
      if (t > (hottest[i] as number)) {
        hottest[i] = t
        const now = squeezedAt(t)
        const drips = DRIP_SHARE * whole * (now - (squeezed[i] as number))
        squeezed[i] = now
        mass -= drips
        gives[i] = drips / dt_s
        drip_kg += drips
        carried_j += drips * (enthalpy[i] as number)
      }
      left[i] = mass
      const wet = mass - DRY_SHARE * whole
      if (wet > 0) loose += (squeezed[i] as number) * wet
    }
    const evaporated = (lost - this.given) * whole_kg
    this.given = lost
    if (evaporated > 0 && loose > 0) {
      const each = evaporated / loose
      for (let i = 0; i < layers; i++) {
        const mass = left[i] as number
        const wet = mass - DRY_SHARE * (raw[i] as number)
        if (wet <= 0) continue
        const share = each * (squeezed[i] as number)
        const kg = share < 1 ? share * wet : wet
        left[i] = mass - kg
        gives[i] = (gives[i] as number) + kg / dt_s
        carried_j += kg * (enthalpy[i] as number)
      }
    }
    this.dripped += drip_kg / whole_kg
    return carried_j
  }
}
