import { describe, expect, it } from 'vitest'
import { CHECK_K, CHECK_RHO_C, heatingTime, THIRD } from './heating-time'
import { ellipsoid, ellipticCylinder } from './shape'

/**
 * A reference of our own in two dimensions: linear finite elements on a quarter of an ellipse, plane or turned about
 * its long or short axis, convection all round, backward Euler. Elliptic cylinders are its plane answer times the
 * series of the slab (product solution), spheroids its turned one.
 */
interface Section {
  readonly across_m: number
  readonly radial_m: number
  readonly kind: 'plane' | 'turned'
}
const RINGS = 14
const SPOKES = 10

/** Θ at the centre after each step, from 1 to 0. */
function centreOf(
  { across_m, radial_m, kind }: Section,
  h: number,
  k: number,
  rhoC: number,
  dt: number,
  steps: number,
) {
  const n = (RINGS + 1) * (SPOKES + 1)
  const at = (i: number, j: number) => i * (SPOKES + 1) + j
  const x = new Float64Array(n)
  const y = new Float64Array(n)
  for (let i = 0; i <= RINGS; i++)
    for (let j = 0; j <= SPOKES; j++) {
      const share = 1 - (1 - i / RINGS) ** 1.3
      const angle = ((Math.PI / 2) * j) / SPOKES
      x[at(i, j)] = across_m * share * Math.cos(angle)
      y[at(i, j)] = radial_m * share * Math.sin(angle)
    }
  const of = (values: Float64Array, i: number) => values[i] as number
  const stiff = new Float64Array(n * n)
  const mass = new Float64Array(n)
  const add = (p: number, q: number, value: number) => {
    stiff[p * n + q] = of(stiff, p * n + q) + value
  }
  const element = (...nodes: [number, number, number]) => {
    const [a, b, c] = nodes
    const twice = (of(x, b) - of(x, a)) * (of(y, c) - of(y, a)) - (of(x, c) - of(x, a)) * (of(y, b) - of(y, a))
    if (Math.abs(twice) < 1e-14) return
    const ys = nodes.map((node) => of(y, node)) as [number, number, number]
    const weight = kind === 'turned' ? (ys[0] + ys[1] + ys[2]) / 3 : 1
    const bs = [of(y, b) - of(y, c), of(y, c) - of(y, a), of(y, a) - of(y, b)]
    const cs = [of(x, c) - of(x, b), of(x, a) - of(x, c), of(x, b) - of(x, a)]
    const area = Math.abs(twice) / 2
    nodes.forEach((p, i) => {
      nodes.forEach((q, j) => {
        add(
          p,
          q,
          (k * weight * ((bs[i] as number) * (bs[j] as number) + (cs[i] as number) * (cs[j] as number))) / (4 * area),
        )
      })
      const own = kind === 'turned' ? (ys[0] + ys[1] + ys[2] + (ys[i] as number)) / 4 : 1
      mass[p] = of(mass, p) + (rhoC * area * own) / 3
    })
  }
  for (let i = 0; i < RINGS; i++)
    for (let j = 0; j < SPOKES; j++) {
      element(at(i, j), at(i + 1, j), at(i + 1, j + 1))
      element(at(i, j), at(i + 1, j + 1), at(i, j + 1))
    }
  for (let j = 0; j < SPOKES; j++) {
    const a = at(RINGS, j)
    const b = at(RINGS, j + 1)
    const length = Math.hypot(of(x, a) - of(x, b), of(y, a) - of(y, b))
    for (const [p, q] of [
      [a, b],
      [b, a],
    ] as const)
      add(p, p, ((h * length) / 2) * (kind === 'turned' ? (2 * of(y, p) + of(y, q)) / 3 : 1))
  }
  // The nodes of the innermost ring are one.
  for (let j = 1; j <= SPOKES; j++) {
    const tie = 1e4 * k * (kind === 'turned' ? radial_m : 1)
    add(at(0, 0), at(0, 0), tie)
    add(at(0, j), at(0, j), tie)
    add(at(0, 0), at(0, j), -tie)
    add(at(0, j), at(0, 0), -tie)
  }
  for (let i = 0; i < n; i++) add(i, i, of(mass, i) / dt)
  // Cholesky, in place.
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = of(stiff, i * n + j)
      for (let q = 0; q < j; q++) sum -= of(stiff, i * n + q) * of(stiff, j * n + q)
      stiff[i * n + j] = i === j ? Math.sqrt(sum) : sum / of(stiff, j * n + j)
    }
  const theta = new Float64Array(n).fill(1)
  const out = [1]
  for (let step = 0; step < steps; step++) {
    for (let i = 0; i < n; i++) {
      let sum = (of(mass, i) / dt) * of(theta, i)
      for (let q = 0; q < i; q++) sum -= of(stiff, i * n + q) * of(theta, q)
      theta[i] = sum / of(stiff, i * n + i)
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = of(theta, i)
      for (let q = i + 1; q < n; q++) sum -= of(stiff, q * n + i) * of(theta, q)
      theta[i] = sum / of(stiff, i * n + i)
    }
    out.push(of(theta, 0))
  }
  return out
}

/** Θ at the middle of a slab (Carslaw and Jaeger, Conduction of Heat in Solids, 3.11). */
function slabTheta(half_m: number, h: number, k: number, alpha: number, time_s: number): number {
  const biot = (h * half_m) / k
  let sum = 0
  for (let i = 0; i < 40; i++) {
    let low = i * Math.PI
    let high = low + Math.PI / 2
    for (let q = 0; q < 60; q++) {
      const middle = (low + high) / 2
      if (middle * Math.tan(middle) < biot) low = middle
      else high = middle
    }
    sum += ((4 * Math.sin(low)) / (2 * low + Math.sin(2 * low))) * Math.exp((-low * low * alpha * time_s) / half_m ** 2)
  }
  return sum
}

const crosses = (curve: readonly number[], dt: number, to: number): number => {
  const i = curve.findIndex((value) => value <= to)
  const from = curve[i - 1] as number
  return dt * (i - 1 + (from - to) / (from - (curve[i] as number)))
}

const SHORT = 0.05
const BIOTS = [0.3, 1, 2.2, 5]
const STEPS = 260

describe('shapes against two dimensions, Biot 0.3 to 5, to a third of the way', () => {
  it.each([
    ['a fillet, long and round', SHORT, 0.3, 0.02],
    ['a short loin', SHORT, 0.125, 0.02],
    ['as long as thick', SHORT, 0.05, 0.02],
    ['a rib, wider than thick', 0.08, 0.11, 0.02],
    ['a flat piece', 0.14, 0.2, 0.02],
  ] as const)('an elliptic cylinder: %s', (_, long_m, half_m, most) => {
    for (const biot of BIOTS) {
      const h = (biot * CHECK_K) / SHORT
      const dt = (((SHORT * SHORT * CHECK_RHO_C) / CHECK_K) * (1.4 / biot + 0.7)) / STEPS
      const flat = centreOf({ across_m: long_m, radial_m: SHORT, kind: 'plane' }, h, CHECK_K, CHECK_RHO_C, dt, STEPS)
      const both = flat.map((value, i) =>
        i === 0 ? 1 : value * slabTheta(half_m, h, CHECK_K, CHECK_K / CHECK_RHO_C, i * dt),
      )
      const error = heatingTime(ellipticCylinder(SHORT, long_m, 2 * half_m), h) / crosses(both, dt, THIRD) - 1
      expect(Math.abs(error), `Bi ${biot}: ${(100 * error).toFixed(1)} %`).toBeLessThan(most)
    }
  })

  it.each([
    ['a ball', SHORT, SHORT],
    ['a leg, one and a half times as long', 0.075, SHORT],
    ['two and a half times as long', 0.125, SHORT],
    ['flat, half as thick again across', SHORT, 0.075],
    ['twice as wide as thick', SHORT, 0.1],
  ] as const)('an ellipsoid: %s', (_, across_m, radial_m) => {
    for (const biot of BIOTS) {
      const h = (biot * CHECK_K) / SHORT
      const dt = (((SHORT * SHORT * CHECK_RHO_C) / CHECK_K) * (1.2 / biot + 0.6)) / STEPS
      const turned = centreOf({ across_m, radial_m, kind: 'turned' }, h, CHECK_K, CHECK_RHO_C, dt, STEPS)
      const axes: [number, number, number] =
        across_m > radial_m ? [SHORT, SHORT, across_m] : [SHORT, radial_m, radial_m]
      const error = heatingTime(ellipsoid(...axes), h) / crosses(turned, dt, THIRD) - 1
      expect(Math.abs(error), `Bi ${biot}: ${(100 * error).toFixed(1)} %`).toBeLessThan(0.02)
    }
  })
})
