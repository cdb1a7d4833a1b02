import { compositionOf } from '../../reference/composition'
import { enthalpyTableOf } from '../enthalpy'
import type { HeatParameters } from '../parameters'
import { ellipsoid } from '../shape'
import { ellipsoidThickness, type PieceBody, type PointId, type Working } from './body'

/**
 * The two bodies of a bird that decide when it is done. Breast: one lobe on the cage, which shields
 * its inner side. Thigh: one thigh, shielded by the body on its inner side. A crown is the two
 * lobes alone, its cage open to the oven.
 * Shares of the dressed weight are common butchery yields, from memory.
 */
interface BirdPart {
  readonly point: PointId
  readonly share: number
  readonly width: number
  readonly length: number
  readonly exposure: (parameters: HeatParameters) => number
}
const BREAST: BirdPart = {
  point: 'breast',
  share: 0.4,
  width: 1.35,
  length: 1.75,
  exposure: (of) => of.breast_exposure,
}
/** Exposure of a thigh whose leg stands open, over that of one tied close: the inner side sees some of the oven. */
const OPEN_LEG = 1.18
/**
 * Its backbone out and pressed flat, a bird's meat lies thinner by so much (common
 * practice: of 1.8 kg at 220 °C in 40 to 50 minutes, of 6 kg at 230 °C in 75 to 95).
 */
export const FLAT_DEPTH = 0.62
/** A stuffed cavity gives its walls no hot air: exposure of a stuffed bird's bodies over an empty one's. */
const STUFFED = 0.93
/** Stuffing as a share of the bird's weight: about 150 ml a kilo, loosely (common practice). */
const STUFFING_SHARE = 0.1
/** Loosely packed stuffing, kg/m³ (from memory). */
const STUFFING_DENSITY = 700
const THIGH: BirdPart = { point: 'thigh', share: 0.32, width: 1.25, length: 1.9, exposure: (of) => of.thigh_exposure }
const LOBE: BirdPart = { point: 'breast', share: 0.5, width: 1.4, length: 2, exposure: (of) => of.bone_exposure }
const BIRD_PARTS: Readonly<Record<'bird' | 'crown', readonly [BirdPart, ...BirdPart[]]>> = {
  bird: [BREAST, THIGH],
  crown: [LOBE],
}

/**
 * The usual depth of a bird's breast, m.
 * @example birdThickness('bird', 0.008) / birdThickness('bird', 0.001) // ≈ 2
 */
export function birdThickness(family: 'bird' | 'crown', volume_m3: number): number {
  const [breast] = BIRD_PARTS[family]
  return ellipsoidThickness(volume_m3 * breast.share, breast.width, breast.length)
}

/** The bodies of a whole bird or a crown: breast, thigh, and the stuffing in its cavity. */
export function birdBodies(family: 'bird' | 'crown', working: Working): PieceBody[] {
  const {
    size,
    parameters,
    meat_kg,
    volume_m3: volume,
    usual_m: usual,
    thickness_m: thickness,
    boiling_c,
    body,
  } = working
  const { mass_kg } = size
  const flat = family === 'bird' && size.legs === 'flat'
  const stuffed = family === 'bird' && size.stuffed === true && !flat
  const scale = (thickness / usual) * (flat ? FLAT_DEPTH : 1)
  const meat = BIRD_PARTS[family].map((part) => {
    const own = ellipsoidThickness(volume * part.share, part.width, part.length)
    const half = (own / 2) * scale
    const spread = Math.sqrt(1 / scale ** 3)
    const axes = [half, half * part.width * spread, half * part.length * spread].sort((a, b) => a - b)
    const solid = ellipsoid(...(axes as [number, number, number]))
    // Flat nothing but its own cage is between the meat and the oven.
    const sees = flat ? Math.max(parameters.bone_exposure, part.exposure(parameters)) : part.exposure(parameters)
    const open = part.point === 'thigh' && size.legs === 'open' ? OPEN_LEG : 1
    return body(part.point, solid, meat_kg * part.share, half * 2, sees * open * (stuffed ? STUFFED : 1))
  })
  if (!stuffed) return meat
  const filling = compositionOf('stuffing')
  const filling_kg = mass_kg * STUFFING_SHARE
  const across = ellipsoidThickness(filling_kg / STUFFING_DENSITY, 1.1, 1.4) / 2
  return [
    ...meat,
    {
      ...body('stuffing', ellipsoid(across, across * 1.1, across * 1.4), filling_kg, across * 2, 1),
      table: enthalpyTableOf(filling, boiling_c),
      water: filling.water,
      wetness: 0,
    },
  ]
}
