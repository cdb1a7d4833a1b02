/**
 * One radial equation for every shape.
 *
 * A piece with volume V, surface A and first Dirichlet eigenvalue λ is replaced by a ball of
 * radius R in Γ dimensions whose conductivity is scaled by κ:
 *
 *   R = Γ V/A        κ = λ R²/j(Γ)²        j(Γ) = first zero of the Bessel function J of order Γ/2 − 1
 *
 * Γ is 1 for a slab, 2 for a long cylinder, 3 for a sphere and for anything about as long as it
 * is thick. R makes slow heating right (small Biot number), κ fast heating (large Biot number),
 * and Γ the spread between core and mean, which decides the rise in the rest.
 *
 * The plain choice R = half-thickness, Γ = R A/V, κ = 1 makes a short cylinder about a fifth too
 * quick at its core. See docs/decisions/0002-equivalent-ball.md.
 */
export interface EquivalentBall {
  /** R, m. */
  readonly radius_m: number
  /** Γ, dimensionless. */
  readonly shape: number
  /** κ, dimensionless, where the surface is held. */
  readonly conduction: number
  /** Shortest half way through, m: the length in the Biot number that {@link conductionAt} takes. */
  readonly short_m: number
  /** ln κ(Bi)/κ by powers 0, 1, 2 of 1/(1 + Bi). */
  readonly yields: Yields
}

/** Coefficients of ln κ(Bi)/κ. */
export type Yields = readonly [number, number, number]

/**
 * κ at a Biot number of h·short/k. A surface that is not held leaves corners and ends warmer than the middle of
 * its faces; a ball has neither, and would be up to a tenth too quick.
 * @example conductionAt(equivalentBall(plate(0.03, 0.02)), 1) // ≈ 1
 */
export function conductionAt(ball: EquivalentBall, biot: number): number {
  const [none, first, second] = ball.yields
  const held = 1 / (1 + biot)
  return ball.conduction * Math.exp(none + held * (first + held * second))
}

/** First zeros of J at orders −1/2, 0, 1/2, … 7/2, for Γ = 1…9. @see Abramowitz and Stegun table 9.5 (from memory). */
const BESSEL_ZEROS = [1.570796, 2.404826, Math.PI, 3.831706, 4.493409, 5.135622, 5.763459, 6.380162, 6.987932] as const

/**
 * j(Γ) by quadratic interpolation between the tabulated zeros, within 0.002 for 1 ≤ Γ ≤ 9.
 * @example firstZero(3) // ≈ 3.1416
 */
export function firstZero(shape: number): number {
  const i = Math.min(BESSEL_ZEROS.length - 3, Math.max(0, Math.floor(shape) - 1))
  const [a, b, c] = [BESSEL_ZEROS[i], BESSEL_ZEROS[i + 1], BESSEL_ZEROS[i + 2]] as [number, number, number]
  const x = shape - 1 - i
  return a + x * (b - a) + ((x * (x - 1)) / 2) * (c - 2 * b + a)
}

/**
 * The ball that stands in for a solid. @throws RangeError when the inputs are not positive: our own bug.
 * @example equivalentBall(plate(0.03, 0.02)).radius_m // ≈ 0.03
 */
export function equivalentBall(solid: Solid): EquivalentBall {
  const { volume_m3, area_m2, eigenvalue_per_m2, shape } = solid
  if (!(volume_m3 > 0 && area_m2 > 0 && eigenvalue_per_m2 > 0))
    throw new RangeError('equivalentBall needs a positive solid')
  const radius_m = (shape * volume_m3) / area_m2
  return {
    shape,
    radius_m,
    conduction: eigenvalue_per_m2 * (radius_m / firstZero(shape)) ** 2,
    short_m: solid.short_m,
    yields: solid.yields,
  }
}

/** What the equivalence needs to know of a shape. */
export interface Solid {
  readonly volume_m3: number
  readonly area_m2: number
  /** λ: first eigenvalue of −∇² with the surface held at zero, 1/m². */
  readonly eigenvalue_per_m2: number
  /** Γ: how many directions heat comes from. */
  readonly shape: number
  /** Shortest half way through, m. */
  readonly short_m: number
  readonly yields: Yields
}

/** Sums features of a shape, each with what it adds to the three coefficients. */
function yieldsOf(features: readonly (readonly [number, Yields])[]): Yields {
  const sum: [number, number, number] = [0, 0, 0]
  for (const [feature, of] of features) for (let i = 0; i < 3; i++) (sum[i] as number) += feature * (of[i] as number)
  return sum
}

/** How far an ellipse's or ellipsoid's first eigenvalue lies under the Pólya–Szegő bound, fitted to its two limits. */
const slender = (ratio: number, limit: number) => 1 - (1 - limit) * (1 - ratio) ** 3.5

/**
 * A cylinder of elliptic section.
 *
 * λ = ½ j₀² (1/a² + 1/b²) · c(b/a) + (π/L)². The first factor is the Pólya–Szegő upper bound;
 * c falls from 1 (circle) to its slab limit 0.853 and agrees with the slender-domain expansion
 * within 1 % at b/a = 1/4. `yields` was fitted to times to Θ = 0.64 of a finite-element section times the series
 * of the slab, 1 ≥ b/a ≥ 0.27, L/2b from 1 to 17, Bi 0.3–15 (within 2 % of those times; see shape-reference.test.ts).
 *
 * @param short_m b, short semi-axis, m
 * @param long_m a, long semi-axis, m
 * @param length_m L, m
 * @see G. Pólya and G. Szegő, Isoperimetric Inequalities in Mathematical Physics, 1951 (bound from memory).
 * @example ellipticCylinder(0.05, 0.05, 0.2).volume_m3 // ≈ 0.001571
 */
export function ellipticCylinder(short_m: number, long_m: number, length_m: number): Solid {
  const section = Math.PI * short_m * long_m
  const perimeter = Math.PI * (3 * (short_m + long_m) - Math.sqrt((3 * short_m + long_m) * (short_m + 3 * long_m)))
  const flat = 0.5 * 2.404826 ** 2 * (1 / short_m ** 2 + 1 / long_m ** 2) * slender(short_m / long_m, 0.853)
  const roundRadius = Math.sqrt(short_m * long_m)
  const half = Math.min(roundRadius, length_m / 2)
  const near_m = Math.min(short_m, length_m / 2)
  const flatter = 1 - near_m / Math.max(long_m, short_m)
  const stubby = near_m / Math.max(near_m, length_m / 2)
  const root = Math.sqrt(stubby)
  return {
    short_m: near_m,
    yields: yieldsOf([
      [stubby, [-0.0842, -1.863, 1.8373]],
      [stubby ** 2, [0.0614, 1.6371, -1.7826]],
      [root * (1 - stubby), [0.0367, 1.1483, -2.5013]],
      [flatter, [-0.2083, -0.378, 1.2966]],
      [flatter ** 2, [0.3969, 0.0935, -2.0137]],
      [flatter * stubby, [-0.4393, 0.764, 1.3617]],
      [flatter * root, [0.4795, -0.7243, -1.0348]],
    ]),
    shape: half * (2 / roundRadius + 2 / length_m),
    volume_m3: section * length_m,
    area_m2: perimeter * length_m + 2 * section,
    eigenvalue_per_m2: flat + (Math.PI / length_m) ** 2,
  }
}

/**
 * An ellipsoid with semi-axes c ≤ b ≤ a, m. Surface by Thomsen's formula (p = 1.6075, within 1.1 %);
 * λ = π²/3 Σ1/axis² with the same kind of correction towards the flat and the long limit.
 * `yields` was fitted to finite-element times of spheroids, flat and long, to 1 : 3; an ellipsoid of three axes takes
 * both, and where it is flat and long at once a little more (within 2 % of times in three dimensions, see
 * three-dimensions.test.ts).
 * @see K. Thomsen's approximation of an ellipsoid's surface (from memory).
 * @example ellipsoid(0.05, 0.05, 0.05).volume_m3 // ≈ 0.0005236
 */
export function ellipsoid(short_m: number, middle_m: number, long_m: number): Solid {
  const p = 1.6075
  const ab = (short_m * middle_m) ** p
  const ac = (short_m * long_m) ** p
  const bc = (middle_m * long_m) ** p
  const bound = (Math.PI ** 2 / 3) * (1 / short_m ** 2 + 1 / middle_m ** 2 + 1 / long_m ** 2)
  const flat = 1 - short_m / middle_m
  const long = 1 - middle_m / long_m
  return {
    short_m,
    yields: yieldsOf([
      [flat, [-0.0999, -0.0123, 0.4373]],
      [flat ** 2, [0.3652, -0.9357, -1.2777]],
      [long, [-0.0297, -0.332, 0.399]],
      [long ** 2, [0.1876, 0.4122, -1.6463]],
      [(flat * long) ** 2, [0.5, 0, 0]],
    ]),
    shape: 3,
    volume_m3: (4 / 3) * Math.PI * short_m * middle_m * long_m,
    area_m2: 4 * Math.PI * ((ab + ac + bc) / 3) ** (1 / p),
    eigenvalue_per_m2: bound * slender(short_m / middle_m, 0.853) * slender(middle_m / long_m, 0.879),
  }
}

/**
 * A plate, held on both faces: thickness 2 b and a face area, m and m².
 * @example plate(0.03, 0.02).shape // 1
 */
export function plate(half_m: number, face_m2: number): Solid {
  return {
    short_m: half_m,
    yields: [0, 0, 0],
    shape: 1,
    volume_m3: 2 * half_m * face_m2,
    area_m2: 2 * face_m2,
    eigenvalue_per_m2: (Math.PI / (2 * half_m)) ** 2,
  }
}
