import { describe, expect, it } from 'vitest'
import { enthalpyAt, enthalpyTableOf } from './enthalpy'
import { newSurroundings } from './environment'
import { RoastKernel } from './kernel'
import { HEAT_PARAMETERS, type HeatParameters } from './parameters'
import { conductivityOf, heatCapacityOf } from './properties'
import { equivalentBall, firstZero, plate, type Solid } from './shape'

const meat = { water: 0.71, protein: 0.22, fat: 0.06, ash: 0.01 }
const parameters: HeatParameters = { ...HEAT_PARAMETERS, conductivity_factor: 1 }
const table = enthalpyTableOf(meat)
const RADIUS = 0.05

function dryBody(shape: 1 | 2 | 3, shells = 20, wetness = 0): RoastKernel {
  const area = 0.1
  const volume = (area * RADIUS) / shape
  const solid: Solid = {
    volume_m3: volume,
    area_m2: area,
    eigenvalue_per_m2: (firstZero(shape) / RADIUS) ** 2,
    shape,
    short_m: RADIUS,
    yields: [0, 0, 0],
  }
  return new RoastKernel(
    { mass_kg: volume * 1060, ball: equivalentBall(solid), table, water: 0.71, exposure: 1, wetness },
    parameters,
    20,
    shells,
  )
}

/** Surroundings with one coefficient and no radiation. */
const bath = (air_c: number, h: number) => ({
  ...newSurroundings(),
  air_c,
  wall_c: air_c,
  convection_w_per_m2k: h,
  emissivity: 0,
  evaporation: 0,
})
/** Diffusivity at the middle of a small temperature range. */
const middle = 22
const alpha = conductivityOf(meat, middle) / (1060 * heatCapacityOf(meat, middle))
const conductivity = conductivityOf(meat, middle)

/** First six roots of ζ's equation by bisection between poles, for slab, cylinder and sphere. */
function roots(shape: 1 | 2 | 3, biot: number): number[] {
  const f = (z: number) =>
    shape === 1
      ? z * Math.sin(z) - biot * Math.cos(z)
      : shape === 2
        ? z * bessel(1, z) - biot * bessel(0, z)
        : Math.sin(z) - z * Math.cos(z) - biot * Math.sin(z)
  const found: number[] = []
  let low = 1e-6
  for (let z = 0.002; found.length < 6; z += 0.002) {
    if (f(low) * f(z) < 0) {
      let [a, b] = [low, z]
      for (let i = 0; i < 60; i++) {
        const m = (a + b) / 2
        if (f(a) * f(m) <= 0) b = m
        else a = m
      }
      found.push((a + b) / 2)
    }
    low = z
  }
  return found
}
/** J0 and J1 by their integral representation: good to 1e-10 for the arguments used here. */
function bessel(order: 0 | 1, x: number): number {
  const n = 400
  let sum = 0
  for (let i = 0; i < n; i++) {
    const t = ((i + 0.5) * Math.PI) / n
    sum += Math.cos(order * t - x * Math.sin(t))
  }
  return sum / n
}
/** Dimensionless temperature at the centre by the series solution. @see Carslaw and Jaeger, Conduction of Heat in Solids, 2nd ed., ch. III, VII, IX. */
function seriesCentre(shape: 1 | 2 | 3, biot: number, fourier: number): number {
  return roots(shape, biot).reduce((sum, z) => {
    const c =
      shape === 1
        ? (4 * Math.sin(z)) / (2 * z + Math.sin(2 * z))
        : shape === 2
          ? (2 / z) * (bessel(1, z) / (bessel(0, z) ** 2 + bessel(1, z) ** 2))
          : (4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z))
    return sum + c * Math.exp(-z * z * fourier)
  }, 0)
}

function centreAfter(shape: 1 | 2 | 3, biot: number, fourier: number, shells = 20, steps = 400): number {
  const kernel = dryBody(shape, shells)
  const h = (biot * conductivity) / RADIUS
  const seconds = (fourier * RADIUS ** 2) / alpha
  const around = bath(24, h)
  for (let i = 0; i < steps; i++) kernel.step(seconds / steps, around)
  return (24 - kernel.core_c) / 4
}

describe('conduction against the series solutions of Carslaw and Jaeger', () => {
  for (const [shape, name] of [
    [1, 'slab'],
    [2, 'cylinder'],
    [3, 'sphere'],
  ] as const) {
    for (const biot of [0.5, 2, 10, 50]) {
      it(`the centre of a ${name} at Biot ${biot} follows the series within 0.5 % of the step`, () => {
        for (const fourier of [0.2, 0.5, 1]) {
          expect(Math.abs(centreAfter(shape, biot, fourier) - seriesCentre(shape, biot, fourier))).toBeLessThan(0.005)
        }
      })
    }
  }

  it('a tabulated Heisler value is met: sphere, Bi = 1, Fo = 1 gives 0.127… for the first root 1.5708 (handbook, from memory)', () => {
    expect(roots(3, 1)[0]).toBeCloseTo(1.5708, 3)
    expect(centreAfter(3, 1, 1)).toBeCloseTo(1.2732 * Math.exp(-(1.5708 ** 2)), 2)
  })

  it('the error falls with the square of the shell and with the step', () => {
    const finest = centreAfter(3, 5, 0.3, 128, 4000)
    const error = (shells: number) => Math.abs(centreAfter(3, 5, 0.3, shells, 4000) - finest)
    expect(error(8) / error(16)).toBeGreaterThan(3.2)
    expect(error(8) / error(16)).toBeLessThan(5)
    const reference = centreAfter(3, 5, 0.3, 20, 12_800)
    const timeError = (steps: number) => Math.abs(centreAfter(3, 5, 0.3, 20, steps) - reference)
    expect(timeError(50) / timeError(100)).toBeGreaterThan(1.7)
    expect(timeError(50) / timeError(100)).toBeLessThan(2.4)
  })
})

describe('balances', () => {
  it('the heat taken in is the heat found inside, to rounding', () => {
    const kernel = dryBody(3, 20, 0.8)
    const start = enthalpyAt(table, 20)
    const around = { ...newSurroundings(), air_c: 180, wall_c: 180, convection_w_per_m2k: 12 }
    for (let i = 0; i < 300; i++) kernel.step(30, around)
    let inside = 0
    let initial = 0
    for (let i = 0; i < kernel.shells; i++) {
      inside += (kernel.water.left[i] as number) * (kernel.enthalpy[i] as number)
      initial += (kernel.shellMass[i] as number) * start
    }
    const gained = kernel.absorbed_j - kernel.carried_j
    expect(Math.abs(inside - initial - gained) / kernel.absorbed_j).toBeLessThan(1e-6)
  })

  it('the water gone is the mass lost, to rounding', () => {
    const kernel = dryBody(3, 20, 0.8)
    const around = { ...newSurroundings(), air_c: 180, wall_c: 180, convection_w_per_m2k: 12 }
    for (let i = 0; i < 300; i++) kernel.step(30, around)
    expect(kernel.evaporated_kg).toBeGreaterThan(0.01)
    expect(Math.abs(kernel.evaporated_kg - kernel.lost * kernel.mass_kg)).toBeLessThan(1e-6 * kernel.mass_kg)
  })

  it('an even piece in surroundings at its own temperature, wrapped, stays as it is', () => {
    const kernel = dryBody(2)
    for (let i = 0; i < 100; i++) kernel.step(60, bath(20, 200))
    expect(kernel.core_c).toBeCloseTo(20, 9)
    expect(kernel.absorbed_j).toBeCloseTo(0, 6)
  })

  it('going back to a saved state and stepping again gives the same to the last bit', () => {
    const kernel = dryBody(3, 20, 0.7)
    const around = { ...newSurroundings(), air_c: 160, wall_c: 160 }
    for (let i = 0; i < 50; i++) kernel.step(30, around)
    kernel.save()
    for (let i = 0; i < 20; i++) kernel.step(30, around)
    const first = [kernel.core_c, kernel.front_c, kernel.lost, kernel.browning_s]
    kernel.restore()
    for (let i = 0; i < 20; i++) kernel.step(30, around)
    expect([kernel.core_c, kernel.front_c, kernel.lost, kernel.browning_s]).toEqual(first)
  })
})

describe('the wet surface', () => {
  it('stays under the boiling point in the hottest oven while there is water, and the crust goes far above', () => {
    const kernel = dryBody(3, 20, 0.8)
    const around = { ...newSurroundings(), air_c: 280, wall_c: 280, convection_w_per_m2k: 20 }
    let hottestFront = 0
    while (kernel.lost < 0.6 * HEAT_PARAMETERS.free_water) {
      kernel.step(30, around)
      hottestFront = Math.max(hottestFront, kernel.front_c)
    }
    expect(hottestFront).toBeLessThan(100.6)
    expect(kernel.surface_c).toBeGreaterThan(120)
  })

  it('a wet piece in a dry oven is held near the wet-bulb temperature for a while', () => {
    const kernel = dryBody(1, 20, 1)
    const around = { ...newSurroundings(), air_c: 110, wall_c: 110, convection_w_per_m2k: 20, emissivity: 0 }
    for (let i = 0; i < 60; i++) kernel.step(30, around)
    // Psychrometric wet-bulb of 110 °C air with 3 kPa-like vapour is about 45 °C; conduction inwards keeps the front below.
    expect(kernel.front_c).toBeLessThan(48)
    expect(kernel.front_c).toBeGreaterThan(25)
  })

  it('thawing takes about half as long again (common practice)', () => {
    const minutesTo = (start_c: number) => {
      const kernel = dryBody(3, 20, 0.6)
      kernel.reset(start_c)
      const around = { ...newSurroundings(), air_c: 165, wall_c: 165 }
      let steps = 0
      while (kernel.core_c < 60 && steps < 5000) {
        kernel.step(30, around)
        steps++
      }
      return steps / 2
    }
    const ratio = minutesTo(-6) / minutesTo(5)
    expect(ratio).toBeGreaterThan(1.3)
    expect(ratio).toBeLessThan(2)
  })

  it('what has boiled dry settles at once, and is neither hotter nor colder than its table', () => {
    for (const step_s of [30, 300]) {
      const body = dryBody(3, 8)
      body.reset(20)
      const steps = (50 * 3600) / step_s
      for (let i = 0; i < steps; i++) body.step(step_s, bath(230, 40))
      expect(body.core_c).toBeGreaterThan(99)
      expect(body.core_c).toBeLessThan(101)
      // By the slope of a table that has ended it took more than forty passes a step, and some four hundred long ones.
      expect(body.iterations / steps).toBeLessThan(6)
    }
  })
})

describe('refused inputs', () => {
  it('a solid without a size is our own bug', () => {
    expect(() => equivalentBall({ ...plate(0.05, 0.1), volume_m3: 0 })).toThrow(/positive/)
  })
})
