/** How a ball of any dimension is laid into layers, thinner towards its surface. */
export interface Layers {
  /** Share of the mass in each, innermost first. */
  readonly share: readonly number[]
  /** Outer face of each, as a share of the radius. */
  readonly outer: readonly number[]
  /** Area over distance between the middles of each and the next, m; the last is the bare area, m². */
  readonly faces: readonly number[]
  /** Area over distance from the middle of the outermost to the surface, m. */
  readonly surface: number
  /** How far the centre lies beyond the two innermost on their parabola. */
  readonly coreWeight: number
}

/** Each is so much thinner than the one within it that its outer face lies at 1 − (1 − x)^1.4. */
const THINNER = 1.4

/**
 * The layers of a ball: face conductances that are exact for parabolic profiles.
 * @param dimension Γ: 1 a slab, 2 a cylinder, 3 a sphere
 * @param radius_m its radius, m
 * @param area_m2 its surface, m²
 * @example layersOf(3, 0.05, 0.03, 20).outer[19] // 1
 */
export function layersOf(dimension: number, radius_m: number, area_m2: number, layers: number): Layers {
  const share: number[] = []
  const outer: number[] = []
  const faces: number[] = []
  const squares: number[] = []
  let inner = 0
  let innerToG = 0
  for (let i = 0; i < layers; i++) {
    const at = 1 - (1 - (i + 1) / layers) ** THINNER
    const ofFace = at ** (dimension - 1)
    const outerToG = ofFace * at
    const own = outerToG - innerToG
    share.push(own)
    outer.push(at)
    squares.push(((dimension / (dimension + 2)) * (outerToG * at * at - innerToG * inner * inner)) / own)
    faces.push(area_m2 * ofFace)
    inner = at
    innerToG = outerToG
  }
  const square = (i: number) => squares[i] as number
  for (let i = 0; i < layers - 1; i++)
    faces[i] = (faces[i] as number) / (((square(i + 1) - square(i)) / (2 * (outer[i] as number))) * radius_m)
  return {
    share,
    outer,
    faces,
    surface: area_m2 / (((1 - square(layers - 1)) / 2) * radius_m),
    coreWeight: square(0) / (square(1) - square(0)),
  }
}
