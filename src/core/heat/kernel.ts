import { TENDER_FROM_C, tenderRate } from '../reference/tenderness'
import { browningRate, dryShare, patchTemperature } from './colour'
import { type EnthalpyTable, enthalpyAt } from './enthalpy'
import { layersOf } from './layers'
import type { HeatParameters } from './parameters'
import { conductionAt, type EquivalentBall } from './shape'
import type { Surroundings } from './surroundings'
import { EVAPORATION_LOWEST_C, EVAPORATION_PER_KELVIN, ZERO_C_IN_K } from './vapour'
import { MeatWater } from './water'

/** What lies on a pan boils under its crust, °C: there the front is half as far from that as the mean one. */
const BOILS_C = 100
/** In anything cooler nothing browns or dries out, °C. */
const DRIES_FROM_C = 75

/** What a kernel is made from. */
export interface KernelBody {
  readonly mass_kg: number
  readonly ball: EquivalentBall
  readonly table: EnthalpyTable
  /** Water in the raw meat, kg/kg. */
  readonly water: number
  /** Share of the surface that sees the oven (the rest lies on bone, cavity or tin), 0–1. */
  readonly exposure: number
  /** Wetness of the raw surface, 0–1. */
  readonly wetness: number
  /** Wetness where it rests, 0–1: juices come back to a surface however dry it was; as the raw one's where left out. */
  readonly restingWetness?: number
}

/** Lewis relation: mass-transfer conductance per heat-transfer coefficient, m³K/J. 1/(ρ c_p Le^(2/3)) of moist air near 90 °C. */
const LEWIS = 1 / (950 * 0.92)
/** Stefan–Boltzmann constant, W/m²K⁴. */
const STEFAN_BOLTZMANN = 5.670374e-8
export const DEFAULT_SHELLS = 20
/** No meat takes so much for a kelvin but where its water freezes or boils, J/kg·K. */
const CORNER_J_PER_KG_K = 15_000
/** A layer that ends farther from where it was moved to is moved again, K, so often, and then in halves, so often. */
const SETTLED_K = 1
const MOST_PASSES = 8
const MOST_HALVINGS = 3
/** Numbers of a state beside those of its shells. */
const SCALARS = 12

/**
 * One body heated through its surface: the numerical heart.
 *
 *   ∂H/∂t = r^(1−Γ) ∂/∂r ( r^(Γ−1) k ∂T/∂r ),   T = T(H)
 *   U (T_env − T_f) = k ∂T/∂r|_R + ṁ L
 *
 * Finite volumes over shells, thinner towards the surface; backward Euler in time. The state is
 * enthalpy. The face conductances are exact for parabolic profiles in any dimension Γ. The
 * surface is fully implicit: elimination from the centre outward leaves the outermost shell as a
 * straight line in the front temperature T_f, and the surface balance is then one monotone
 * equation, solved by Newton's method.
 *
 * Water leaves the layers that cannot hold it: what evaporates comes from them, some of the rest drips, and what is
 * left of them stores less heat. Surface and conductances follow the mass left.
 *
 * Nothing is allocated after construction. Everything public is readable state; units in names.
 */
export class RoastKernel {
  readonly shells: number
  readonly ball: EquivalentBall
  /** Enthalpy of each shell, J/kg, centre first. */
  readonly enthalpy: Float64Array
  /** Temperature of each shell, °C. */
  readonly temperature: Float64Array
  /** Raw mass of each shell, kg. */
  readonly shellMass: Float64Array
  /** What water each shell has left, how hot it has been, and what dripped. */
  readonly water: MeatWater
  /** Outer radius of each shell as a share of the whole, 0–1. */
  readonly outerShare: Float64Array
  /** Surface, m². */
  readonly area_m2: number
  /** Raw mass, kg. */
  readonly mass_kg: number
  /** Temperature of the evaporation front, °C. */
  front_c = 0
  /** Temperature of the outside of the crust, °C. */
  surface_c = 0
  /** Thickness of the dried crust, m. */
  crust_m = 0
  /** Water evaporated so far, kg. */
  evaporated_kg = 0
  /** Heat taken into the meat so far, J. */
  absorbed_j = 0
  /** Share of the raw mass that has left as vapour: the piece shrinks with it, and with what drips. */
  lost = 0
  /** Enthalpy that left with it, J: absorbed − carried is what the meat has gained. */
  carried_j = 0
  /** Heat taken from the surroundings in the last step, W. */
  drawn_w = 0
  /** Water given off in the last step, kg/s. */
  given_kg_per_s = 0
  /** Browning of its dry patches so far: seconds at 150 °C. */
  browning_s = 0
  /** Connective tissue turned to gelatine at the centre so far: seconds at 90 °C, by one Arrhenius law for all cuts. */
  tender_s = 0
  /** How long its surface has been drying in hot air, uncovered, s. */
  dried_s = 0
  /** Newton iterations spent, for the benchmark. */
  iterations = 0

  private readonly table: EnthalpyTable
  private readonly parameters: HeatParameters
  private readonly conductivity: Float64Array
  /** Heat capacity of each shell's meat, J/kg·K. */
  private readonly slope: Float64Array
  private readonly faceGeometry: Float64Array
  private readonly upper: Float64Array
  private readonly across: Float64Array
  private readonly right: Float64Array
  /** Enthalpy at the beginning of the step, J/kg. */
  private readonly was: Float64Array
  private readonly saved: Float64Array
  private readonly surfaceGeometry: number
  private readonly coreWeight: number
  private readonly exposure: number
  private readonly wetness: number
  private readonly restingWetness: number
  private readonly waterPerVolume: number
  /** How much more heat the surface took in the last step for each kelvin it was colder, W/m²K. */
  private yields_w_per_m2k = 0

  constructor(body: KernelBody, parameters: HeatParameters, start_c: number, shells = DEFAULT_SHELLS) {
    const { ball } = body
    this.shells = shells
    this.ball = ball
    this.table = body.table
    this.parameters = parameters
    this.exposure = body.exposure
    this.mass_kg = body.mass_kg
    this.wetness = body.wetness
    this.restingWetness = body.restingWetness ?? body.wetness
    this.waterPerVolume = body.water * parameters.density_kg_per_m3
    const volume = body.mass_kg / parameters.density_kg_per_m3
    this.area_m2 = (ball.shape * volume) / ball.radius_m
    this.enthalpy = new Float64Array(shells)
    this.temperature = new Float64Array(shells)
    this.shellMass = new Float64Array(shells)
    this.outerShare = new Float64Array(shells)
    this.conductivity = new Float64Array(shells)
    this.slope = new Float64Array(shells)
    this.faceGeometry = new Float64Array(shells)
    this.upper = new Float64Array(shells)
    this.across = new Float64Array(shells)
    this.right = new Float64Array(shells)
    this.was = new Float64Array(shells)
    this.saved = new Float64Array(shells + SCALARS + 1)

    const layers = layersOf(ball.shape, ball.radius_m, this.area_m2, shells)
    this.shellMass.set(layers.share.map((share) => body.mass_kg * share))
    this.outerShare.set(layers.outer)
    this.faceGeometry.set(layers.faces)
    this.surfaceGeometry = layers.surface
    this.coreWeight = layers.coreWeight
    this.water = new MeatWater(this.shellMass)
    this.reset(start_c)
  }

  /** Back to a uniform raw piece at a temperature, °C. */
  reset(start_c: number): void {
    this.enthalpy.fill(enthalpyAt(this.table, start_c))
    for (let i = 0; i < this.shells; i++) this.readTemperature(i)
    this.temperature.fill(start_c)
    this.water.reset(this.temperature)
    this.front_c = start_c
    this.surface_c = start_c
    this.crust_m = 0
    this.evaporated_kg = 0
    this.absorbed_j = 0
    this.drawn_w = 0
    this.given_kg_per_s = 0
    this.browning_s = 0
    this.tender_s = 0
    this.dried_s = 0
    this.yields_w_per_m2k = 0
    this.lost = 0
    this.carried_j = 0
  }

  /** A raw piece whose centre is colder than its outside, °C: linear in the square of the radius, as after hours of thawing. */
  resetFrom(core_c: number, outside_c: number): void {
    this.reset(outside_c)
    let inner = 0
    for (let i = 0; i < this.shells; i++) {
      const outer = this.outerShare[i] as number
      const share = (inner * inner + outer * outer) / 2
      this.enthalpy[i] = enthalpyAt(this.table, core_c + share * (outside_c - core_c))
      this.readTemperature(i)
      inner = outer
    }
    this.water.reset(this.temperature)
  }

  /** Temperature at the thermal centre, °C, from a parabola through the two innermost shells. */
  get core_c(): number {
    const first = this.temperature[0] as number
    // A middle that boils stands still while what is round it cools: no parabola holds there, and none is hotter.
    return Math.min(first - this.coreWeight * ((this.temperature[1] as number) - first), this.table.hottest_c)
  }

  /** Mean temperature by mass, °C. */
  get mean_c(): number {
    let sum = 0
    let mass = 0
    for (let i = 0; i < this.shells; i++) {
      sum += (this.temperature[i] as number) * (this.water.left[i] as number)
      mass += this.water.left[i] as number
    }
    return sum / mass
  }

  /** Remembers the present state, for {@link restore}. */
  save(): void {
    const { shells, saved } = this
    this.keep(saved)
    saved[shells + SCALARS] = this.carried_j
    this.water.save()
  }

  /** Goes back to the state last saved. */
  restore(): void {
    const { shells, saved } = this
    this.goBack(saved)
    this.carried_j = saved[shells + SCALARS] as number
    this.water.restore()
  }

  /** Goes on where another kernel of the same body is. */
  goOnFrom(other: RoastKernel): void {
    other.keep(this.saved)
    this.goBack(this.saved)
    this.carried_j = other.carried_j
    this.water.goOnFrom(other.water)
  }

  /** How many numbers {@link solve} changes. */
  get stateSize(): number {
    return this.shells + SCALARS
  }

  /** Writes what {@link solve} changes into a buffer of {@link stateSize} or more. */
  keep(into: Float64Array): void {
    into.set(this.enthalpy)
    let s = this.shells
    into[s++] = this.front_c
    into[s++] = this.surface_c
    into[s++] = this.crust_m
    into[s++] = this.evaporated_kg
    into[s++] = this.absorbed_j
    into[s++] = this.drawn_w
    into[s++] = this.browning_s
    into[s++] = this.lost
    into[s++] = this.tender_s
    into[s++] = this.dried_s
    into[s++] = this.yields_w_per_m2k
    into[s] = this.given_kg_per_s
  }

  /** Takes back what was kept. */
  goBack(from: Float64Array): void {
    for (let i = 0; i < this.shells; i++) {
      this.enthalpy[i] = from[i] as number
      this.readTemperature(i)
    }
    let s = this.shells
    this.front_c = from[s++] as number
    this.surface_c = from[s++] as number
    this.crust_m = from[s++] as number
    this.evaporated_kg = from[s++] as number
    this.absorbed_j = from[s++] as number
    this.drawn_w = from[s++] as number
    this.browning_s = from[s++] as number
    this.lost = from[s++] as number
    this.tender_s = from[s++] as number
    this.dried_s = from[s++] as number
    this.yields_w_per_m2k = from[s++] as number
    this.given_kg_per_s = from[s] as number
  }

  /**
   * Having come here in two halves, and to `whole` in one step: backward Euler's error is as the step, so twice the
   * one less the other is right to its square (Richardson).
   */
  extrapolate(whole: Float64Array): void {
    for (let i = 0; i < this.shells; i++) {
      // Where it freezes or boils the curve has a corner, and nothing is to be extrapolated.
      if ((this.slope[i] as number) > CORNER_J_PER_KG_K) continue
      this.enthalpy[i] = 2 * (this.enthalpy[i] as number) - (whole[i] as number)
      this.readTemperature(i)
    }
    let s = this.shells
    this.front_c = 2 * this.front_c - (whole[s++] as number)
    this.surface_c = 2 * this.surface_c - (whole[s++] as number)
    this.crust_m = Math.max(0.5 * this.crust_m, 2 * this.crust_m - (whole[s++] as number))
    this.evaporated_kg = 2 * this.evaporated_kg - (whole[s++] as number)
    this.absorbed_j = 2 * this.absorbed_j - (whole[s++] as number)
    this.drawn_w = 2 * this.drawn_w - (whole[s++] as number)
    this.browning_s = 2 * this.browning_s - (whole[s++] as number)
    this.lost = 2 * this.lost - (whole[s++] as number)
    this.tender_s = 2 * this.tender_s - (whole[s++] as number)
    this.dried_s = 2 * this.dried_s - (whole[s] as number)
  }

  private readTemperature(i: number): void {
    const { table } = this
    let x = (this.enthalpy[i] as number) * table.perJoule
    const top = table.rows - 1.000001
    if (x < 0) x = 0
    else if (x > top) x = top
    const row = x | 0
    const low = table.temperature[row] as number
    const rise = (table.temperature[row + 1] as number) - low
    this.temperature[i] = low + (x - row) * rise
    this.slope[i] = table.heat[row] as number
    this.conductivity[i] = table.conductivity[row] as number
  }

  /**
   * Moves the body on by one time step, backward Euler.
   * @param dt_s step, s; 30 s is accurate to about half a minute in a three-hour roast; see {@link extrapolate}
   * @param around what the surface meets
   */
  step(dt_s: number, around: Surroundings): void {
    this.solve(dt_s, around)
    this.giveWater(dt_s)
  }

  /** A step of heat alone: what evaporates is counted, and leaves its layers with {@link giveWater}; none is colder than its table. */
  solve(dt_s: number, around: Surroundings, halvings = 0): void {
    const { shells, temperature, slope, conductivity, faceGeometry, upper, across, right, enthalpy, was } = this
    const massLeft = this.water.left
    const { parameters } = this
    const { perJoule, temperature: tableTemperature, conductivity: tableConductivity, heat: tableHeat } = this.table
    const top = this.table.rows - 1.000001
    const last = shells - 1

    const wallK = around.wall_c + ZERO_C_IN_K
    const surfaceK = this.surface_c + ZERO_C_IN_K
    const radiation = around.emissivity * STEFAN_BOLTZMANN * (wallK * wallK + surfaceK * surfaceK) * (wallK + surfaceK)
    const outside = around.convection_w_per_m2k + radiation
    const effective_c = (around.convection_w_per_m2k * around.air_c + radiation * around.wall_c) / outside

    const kept = 1 - this.lost - this.water.dripped
    const shrunk = Math.cbrt(kept)
    const yields = this.yields_w_per_m2k || outside * this.exposure
    // Where it cools nothing drives its juices inward any more, and it conducts as still meat does.
    const conducts = effective_c > this.front_c ? parameters.conductivity_factor : parameters.still_conductivity_factor
    const biot = (yields * this.ball.short_m) / (conducts * (conductivity[shells >> 1] as number))
    const factor = conducts * conductionAt(this.ball, biot) * shrunk
    const perStep = 1 / dt_s
    const half = factor / 2
    // The surface balance, one equation in the front temperature, W.
    const exposed = this.area_m2 * this.exposure * shrunk * shrunk
    const through = exposed / (1 / outside + this.crust_m / parameters.crust_w_per_mk)
    // Out of the heat juices come back to the surface.
    const wetness =
      effective_c > DRIES_FROM_C ? this.wetness * Math.exp(-this.dried_s / parameters.dries_s) : this.restingWetness
    const conductance = around.convection_w_per_m2k * around.airy * LEWIS
    const transfer =
      (exposed * wetness * around.evaporation * Math.max(0, 1 - this.lost / parameters.free_water)) /
      (1 / conductance + this.crust_m / parameters.crust_diffusivity_m2_per_s)
    const heat = around.vapour.heat
    const topRow = around.vapour.rows - 2
    let front = this.front_c
    let evaporation_w = 0
    let steepness = 0
    let absorbed = 0
    was.set(enthalpy)
    // Once; where a layer comes to ice, out of it or to the boil, again about where it ends (Newton's method in enthalpy).
    for (let pass = 0, settled = false; !settled; pass++) {
      if (pass === MOST_PASSES && halvings < MOST_HALVINGS) {
        this.inHalves(dt_s, around, halvings + 1)
        return
      }
      for (let i = 0; pass > 0 && i < shells; i++)
        temperature[i] =
          (temperature[i] as number) - ((enthalpy[i] as number) - (was[i] as number)) / (slope[i] as number)
      settled = true
      // Elimination outward. Unknown: temperature at the end of the step, linearised about where it is thought to end.
      let below = 0
      let carry = 0
      let carryRight = 0
      for (let i = 0; i < last; i++) {
        const capacity = (massLeft[i] as number) * perStep * (slope[i] as number)
        const k1 = conductivity[i] as number
        const k2 = conductivity[i + 1] as number
        const above = half * (k1 + k2) * (faceGeometry[i] as number)
        across[i] = above
        const pivot = 1 / (capacity + below + above - below * carry)
        carry = above * pivot
        carryRight = (capacity * (temperature[i] as number) + below * carryRight) * pivot
        upper[i] = carry
        right[i] = carryRight
        below = above
      }
      const toFront = factor * (conductivity[last] as number) * this.surfaceGeometry
      const capacity = (massLeft[last] as number) * perStep * (slope[last] as number)
      const pivot = 1 / (capacity + below + toFront - below * carry)
      const alpha = (capacity * (temperature[last] as number) + below * carryRight) * pivot
      const beta = toFront * pivot
      const inward = toFront * (1 - beta)
      const fixed = through * effective_c + toFront * alpha
      for (let iteration = 0; iteration < 40; iteration++) {
        let row = ((front - EVAPORATION_LOWEST_C) * EVAPORATION_PER_KELVIN) | 0
        if (row < 0) row = 0
        else if (row > topRow) row = topRow
        const low = heat[row] as number
        const rise = ((heat[row + 1] as number) - low) * EVAPORATION_PER_KELVIN
        const at = EVAPORATION_LOWEST_C + row / EVAPORATION_PER_KELVIN
        const line = transfer * (low - rise * at)
        // Within a table row the balance is a straight line, so a Newton step that stays in its row is exact.
        const next = (fixed - line) / (through + inward + transfer * rise)
        evaporation_w = line + transfer * rise * next
        steepness = transfer * rise
        this.iterations++
        const change = next - front
        front = next
        if (change < 1e-7 && change > -1e-7) break
      }
      if (transfer === 0) evaporation_w = 0

      // Back to the centre; fluxes from the new temperatures move the enthalpy, so energy is kept exactly.
      let outer_c = alpha + beta * front
      let inflow = toFront * (front - outer_c)
      absorbed = inflow
      for (let i = last; i >= 0; i--) {
        let outflow = 0
        let inner_c = 0
        if (i > 0) {
          inner_c = (right[i - 1] as number) + (upper[i - 1] as number) * outer_c
          outflow = (across[i - 1] as number) * (outer_c - inner_c)
        }
        const held = (was[i] as number) + ((inflow - outflow) * dt_s) / (massLeft[i] as number)
        enthalpy[i] = held
        // readTemperature written out: the call costs a third of the step.
        let x = held * perJoule
        if (x < 0) enthalpy[i] = x = 0
        else if (x > top) x = top
        const row = x | 0
        const low = tableTemperature[row] as number
        const rise = (tableTemperature[row + 1] as number) - low
        const t = low + (x - row) * rise
        temperature[i] = t
        slope[i] = tableHeat[row] as number
        conductivity[i] = tableConductivity[row] as number
        const off_k = t - outer_c
        if ((off_k > SETTLED_K || off_k < -SETTLED_K) && pass < MOST_PASSES) settled = false
        inflow = outflow
        outer_c = inner_c
      }
    }

    const drawn = through * (effective_c - front)
    this.front_c = front
    this.surface_c = effective_c - drawn / (exposed * outside)
    this.absorbed_j += absorbed * dt_s
    this.drawn_w = drawn
    this.yields_w_per_m2k = (through + steepness) / (this.area_m2 * shrunk * shrunk)
    const evaporated = (evaporation_w / (2_501_000 - 2381 * front)) * dt_s
    this.evaporated_kg += evaporated
    this.given_kg_per_s = evaporated / dt_s
    this.lost += Math.max(0, evaporated) / this.mass_kg
    if (evaporated > 0) {
      this.crust_m += (evaporated * (1 - parameters.replenished)) / (exposed * this.waterPerVolume)
    }
    if (effective_c > DRIES_FROM_C) {
      this.dried_s += dt_s * around.evaporation
      const dry = dryShare(around.evaporation) * around.browning
      if (dry > 0) {
        const under_c = around.touches < 1 ? (front + BOILS_C) / 2 : front
        this.browning_s += dt_s * dry * browningRate(patchTemperature(under_c, effective_c, outside / around.touches))
      }
    }
    const core_c = this.core_c
    if (core_c > TENDER_FROM_C) this.tender_s += dt_s * tenderRate(core_c)
  }

  /** A step that would not settle, in two from where it began. */
  private inHalves(dt_s: number, around: Surroundings, halvings: number): void {
    this.enthalpy.set(this.was)
    for (let i = 0; i < this.shells; i++) this.readTemperature(i)
    this.solve(dt_s / 2, around, halvings)
    this.solve(dt_s / 2, around, halvings)
  }

  /** Layers are as light in a step as in its middle, by what they gave in the last one: {@link giveWater} says what they did. */
  foretellWater(dt_s: number): void {
    this.water.foretell(dt_s)
  }

  /** What has evaporated leaves its layers, and some of what they cannot hold drips. @param dt_s in which it did, s */
  giveWater(dt_s: number): void {
    this.carried_j += this.water.give(dt_s, this.temperature, this.enthalpy, this.lost)
  }
}
