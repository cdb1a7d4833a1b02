import { describe, expect, it } from 'vitest'
import { ellipsoid, ellipticCylinder, equivalentBall, firstZero, plate } from './shape'

const J0 = 2.404826

describe('the first zero', () => {
  it('is that of the slab, the cylinder and the sphere (Abramowitz and Stegun, from memory)', () => {
    expect(firstZero(1)).toBeCloseTo(Math.PI / 2, 5)
    expect(firstZero(2)).toBeCloseTo(J0, 5)
    expect(firstZero(3)).toBeCloseTo(Math.PI, 5)
  })
  it('between them climbs without a step', () => {
    let last = firstZero(1)
    for (let shape = 1.05; shape <= 9; shape += 0.05) {
      const next = firstZero(shape)
      expect(next).toBeGreaterThan(last)
      expect(next - last).toBeLessThan(0.06)
      last = next
    }
  })
})

describe('a solid', () => {
  it('a round ball is its own equivalent: the radius and no correction', () => {
    const ball = equivalentBall(ellipsoid(0.05, 0.05, 0.05))
    expect(ball.radius_m).toBeCloseTo(0.05, 6)
    expect(ball.conduction).toBeCloseTo(1, 4)
    expect(ball.shape).toBe(3)
  })
  it('a plate is its own equivalent too', () => {
    const slab = equivalentBall(plate(0.03, 0.04))
    expect(slab.radius_m).toBeCloseTo(0.03, 9)
    expect(slab.conduction).toBeCloseTo(1, 4)
  })
  it('a long round cylinder comes near to its radius and to two directions', () => {
    const long = equivalentBall(ellipticCylinder(0.04, 0.04, 4))
    expect(long.radius_m).toBeCloseTo(0.04, 3)
    expect(long.shape).toBeCloseTo(2, 1)
    expect(long.conduction).toBeCloseTo(1, 1)
  })
  it('round section: the eigenvalue is the exact one, (j₀/a)² + (π/L)²', () => {
    expect(ellipticCylinder(0.05, 0.05, 0.2).eigenvalue_per_m2).toBeCloseTo((J0 / 0.05) ** 2 + (Math.PI / 0.2) ** 2, 6)
  })
  it('a very flat section goes to the slab of its thickness, from above', () => {
    const flat = ellipticCylinder(0.01, 0.4, 40).eigenvalue_per_m2
    const slab = plate(0.01, 1).eigenvalue_per_m2
    expect(flat / slab).toBeGreaterThan(0.99)
    expect(flat / slab).toBeLessThan(1.06)
  })
  it('twice the size has a quarter of the eigenvalue, eight times the volume, four times the surface', () => {
    const one = ellipsoid(0.04, 0.06, 0.09)
    const two = ellipsoid(0.08, 0.12, 0.18)
    expect(two.eigenvalue_per_m2).toBeCloseTo(one.eigenvalue_per_m2 / 4, 6)
    expect(two.volume_m3 / one.volume_m3).toBeCloseTo(8, 9)
    expect(two.area_m2 / one.area_m2).toBeCloseTo(4, 9)
  })
  it('no solid beats the ball of its volume (Faber and Krahn)', () => {
    for (const [c, b, a] of [
      [0.03, 0.05, 0.08],
      [0.02, 0.06, 0.06],
      [0.04, 0.04, 0.12],
    ] as const) {
      const solid = ellipsoid(c, b, a)
      const radius = Math.cbrt((3 * solid.volume_m3) / (4 * Math.PI))
      expect(solid.eigenvalue_per_m2).toBeGreaterThan((Math.PI / radius) ** 2)
      expect(solid.area_m2).toBeGreaterThan(4 * Math.PI * radius ** 2)
    }
  })
  it('thinner in one direction loses heat faster', () => {
    for (let short = 0.05; short > 0.02; short -= 0.005)
      expect(ellipticCylinder(short - 0.005, 0.05, 0.2).eigenvalue_per_m2).toBeGreaterThan(
        ellipticCylinder(short, 0.05, 0.2).eigenvalue_per_m2,
      )
  })
  it('without a size is our own bug', () => {
    expect(() => equivalentBall(plate(0, 1))).toThrow(RangeError)
    expect(() =>
      equivalentBall({
        volume_m3: 1,
        area_m2: Number.NaN,
        eigenvalue_per_m2: 1,
        shape: 3,
        short_m: 1,
        yields: [0, 0, 0],
      }),
    ).toThrow(RangeError)
  })
})
