import { describe, expect, it } from 'vitest'
import { CHECK_K, CHECK_RHO_C, heatingTime, THIRD } from './heating-time'
import { ellipsoid } from './shape'

/**
 * A reference of our own in three dimensions, for ellipsoids of three different axes: Ritz's method. What is sought is
 * a polynomial in the squares of the coordinates, of the ball that the ellipsoid is when its axes are made one;
 * convection all round, backward Euler. Legs, shoulders, rumps and the parts of birds are such ellipsoids.
 */
type Axes = readonly [number, number, number]
type Powers = readonly [number, number, number]

/** Highest power of the squares: from this to 7 the times differ by less than one in a thousand. */
const DEGREE = 4
const POWERS: readonly Powers[] = Array.from({ length: (DEGREE + 1) ** 3 }, (_, n): Powers => {
  const side = DEGREE + 1
  return [Math.floor(n / side ** 2), Math.floor(n / side) % side, n % side]
}).filter(([i, j, k]) => i + j + k <= DEGREE)
const N = POWERS.length
const of = (values: ArrayLike<number>, i: number) => values[i] as number

/** Γ(n + 1/2). */
const gammaHalf = (n: number): number => (n === 0 ? Math.sqrt(Math.PI) : (n - 0.5) * gammaHalf(n - 1))

/** ∫ x²ⁱ y²ʲ z²ᵏ over the unit ball. */
const overBall = ([i, j, k]: Powers): number => (gammaHalf(i) * gammaHalf(j) * gammaHalf(k)) / gammaHalf(i + j + k + 2)

const plus = (p: Powers, q: Powers, less?: number): Powers => {
  const sum = p.map((power, s) => power + of(q, s) - (s === less ? 1 : 0))
  return [of(sum, 0), of(sum, 1), of(sum, 2)]
}

/** Surface of an octant of the ellipsoid, by its midpoints: the ball's point and its share of the area, m². */
function surfaceOf(axes: Axes): { readonly at: Axes; readonly area_m2: number }[] {
  const across = 24
  const volume = axes[0] * axes[1] * axes[2]
  return Array.from({ length: across ** 2 }, (_, n) => {
    const z = (Math.floor(n / across) + 0.5) / across
    const angle = ((Math.PI / 2) * ((n % across) + 0.5)) / across
    const out = Math.sqrt(1 - z * z)
    const at: Axes = [out * Math.cos(angle), out * Math.sin(angle), z]
    const stretched = Math.hypot(...at.map((x, s) => x / of(axes, s)))
    return { at, area_m2: (8 * (Math.PI / 2) * volume * stretched) / across ** 2 }
  })
}

/** Solves L Lᵀ x = b in place. */
function solve(lower: readonly Float64Array[], b: Float64Array): void {
  for (let i = 0; i < N; i++) {
    let sum = of(b, i)
    for (let q = 0; q < i; q++) sum -= of(lower[i] as Float64Array, q) * of(b, q)
    b[i] = sum / of(lower[i] as Float64Array, i)
  }
  for (let i = N - 1; i >= 0; i--) {
    let sum = of(b, i)
    for (let q = i + 1; q < N; q++) sum -= of(lower[q] as Float64Array, i) * of(b, q)
    b[i] = sum / of(lower[i] as Float64Array, i)
  }
}

/** Time for Θ at the centre to fall from 1 to `to`, s. @param axes semi-axes, m */
function timeByRitz(axes: Axes, h: number, k: number, rhoC: number, dt: number, to: number): number {
  const volume = axes[0] * axes[1] * axes[2]
  const surface = surfaceOf(axes).map(({ at, area_m2 }) => ({
    area_m2,
    values: POWERS.map((powers) => powers.reduce((product, power, s) => product * of(at, s) ** (2 * power), 1)),
  }))
  const mass = POWERS.map((p) => Float64Array.from(POWERS, (q) => rhoC * volume * overBall(plus(p, q))))
  const whole = POWERS.map((p, row) =>
    Float64Array.from(POWERS, (q, column) => {
      let stiff = 0
      for (const s of [0, 1, 2])
        if (of(p, s) > 0 && of(q, s) > 0)
          stiff += ((4 * of(p, s) * of(q, s)) / of(axes, s) ** 2) * overBall(plus(p, q, s))
      let given = 0
      for (const { area_m2, values } of surface) given += area_m2 * of(values, row) * of(values, column)
      return of(mass[row] as Float64Array, column) + dt * (k * volume * stiff + h * given)
    }),
  )
  const scale = whole.map((row, i) => 1 / Math.sqrt(of(row, i)))
  const lower = whole.map((row, i) => row.map((value, j) => value * of(scale, i) * of(scale, j)))
  for (let i = 0; i < N; i++)
    for (let j = 0; j <= i; j++) {
      const row = lower[i] as Float64Array
      const other = lower[j] as Float64Array
      let sum = of(row, j)
      for (let q = 0; q < j; q++) sum -= of(row, q) * of(other, q)
      row[j] = i === j ? Math.sqrt(sum) : sum / of(other, j)
    }
  const theta = new Float64Array(N)
  theta[0] = 1
  let before = 1
  for (let time = dt; time < 1e6; time += dt) {
    const right = Float64Array.from(
      mass,
      (row, i) => of(scale, i) * row.reduce((sum, m, j) => sum + m * of(theta, j), 0),
    )
    solve(lower, right)
    for (let i = 0; i < N; i++) theta[i] = of(right, i) * of(scale, i)
    const now = of(theta, 0)
    if (now <= to) return time - (dt * (to - now)) / (before - now)
    before = now
  }
  return Number.NaN
}

const SHORT_M = 0.05
const STEP_S = 20

describe('ellipsoids of three axes against three dimensions, Biot 0.3 to 5, to a third of the way', () => {
  it('the reference meets the series of a ball in convection (Carslaw and Jaeger, Conduction of Heat in Solids, 9.4)', () => {
    const biot = 2.2
    // β cot β = 1 − Bi, by halving.
    let low = 0
    let high = Math.PI
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2
      if (middle / Math.tan(middle) > 1 - biot) low = middle
      else high = middle
    }
    const first = (4 * (Math.sin(low) - low * Math.cos(low))) / (2 * low - Math.sin(2 * low))
    const time = ((Math.log(first / 0.3) / low ** 2) * SHORT_M ** 2 * CHECK_RHO_C) / CHECK_K
    const found = timeByRitz([SHORT_M, SHORT_M, SHORT_M], (biot * CHECK_K) / SHORT_M, CHECK_K, CHECK_RHO_C, 5, 0.3)
    expect(Math.abs(found / time - 1)).toBeLessThan(0.005)
  })

  it.each([
    ['a shoulder of pork', 1.3, 1.6],
    ['a rump', 1.55, 2],
    ['a shoulder of lamb', 1.7, 2.2],
    ['a leg of lamb', 1.3, 2.8],
    ['a whole ham', 1.2, 1.9],
    ['a lobe of breast', 1.35, 1.75],
    ['a thigh', 1.25, 1.9],
    ['a breast spread flat', 2, 3],
    ['a tri-tip', 2.6, 4.8],
  ])('%s', (_, middle, long) => {
    const axes: Axes = [SHORT_M, SHORT_M * middle, SHORT_M * long]
    for (const biot of [0.3, 1, 2.2, 5]) {
      const h = (biot * CHECK_K) / SHORT_M
      const error = heatingTime(ellipsoid(...axes), h) / timeByRitz(axes, h, CHECK_K, CHECK_RHO_C, STEP_S, THIRD) - 1
      expect(Math.abs(error), `Bi ${biot}: ${(100 * error).toFixed(1)} %`).toBeLessThan(0.02)
    }
  })
})
