import { compositionOf } from '../reference/composition'
import type { Cut } from '../reference/cuts'
import { enthalpyTableOf } from './enthalpy'
import type { KernelBody } from './kernel'
import type { HeatParameters } from './parameters'
import { ellipsoid, ellipticCylinder, equivalentBall, type Solid } from './shape'

/** A point of a piece that is probed and must be done. */
export type PointId = 'core' | 'breast' | 'thigh'

/** One body of meat of a piece: itself, or breast or thigh of a bird. */
export interface PieceBody extends KernelBody {
  readonly point: PointId
  /** Shortest full thickness, m. */
  readonly thickness_m: number
}

/** What geometry needs to know of a piece. */
export interface PieceSize {
  readonly cut: Cut
  readonly mass_kg: number
  /** As measured, m; undefined to use the cut's own. */
  readonly thickness_m?: number | undefined
  /** Wetness of the raw surface relative to a surface just wiped: 1 plain, less when dry-brined, dried or buttered. */
  readonly wetness?: number
}

/**
 * Exposed share of the surface. A rib's bones and a bird's cage shield the side they lie on; a
 * boneless piece on a rack sees the oven all round but for the rack.
 */
const EXPOSURE = { in: 0.82, out: 0.97 } as const

/** Skin and the fat under it hold back water: wetness of a bird's surface relative to bare meat. */
const SKIN = 0.5

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
  readonly exposure: number
}
const BREAST: BirdPart = { point: 'breast', share: 0.4, width: 1.35, length: 1.75, exposure: 0.85 }
const THIGH: BirdPart = { point: 'thigh', share: 0.32, width: 1.25, length: 1.9, exposure: 0.535 }
const LOBE: BirdPart = { point: 'breast', share: 0.5, width: 1.4, length: 2, exposure: 0.9 }
const BIRD_PARTS: Readonly<Record<'bird' | 'crown', readonly [BirdPart, ...BirdPart[]]>> = {
  bird: [BREAST, THIGH],
  crown: [LOBE],
}

const ellipsoidThickness = (volume_m3: number, width: number, length: number) =>
  2 * (volume_m3 / ((4 / 3) * Math.PI * width * length)) ** (1 / 3)

/** The usual thickness of a cut at a weight, m: what the catalogue says before anyone measures. */
export function usualThickness(cut: Cut, mass_kg: number, parameters: HeatParameters): number {
  const { geometry } = cut
  const volume = (mass_kg * (1 - (cut.boneShare ?? 0))) / parameters.density_kg_per_m3
  switch (geometry.family) {
    case 'round': {
      const section = geometry.thickness_m * (mass_kg / cut.mass_kg.usual) ** geometry.growth
      const length = volume / ((Math.PI / 4) * section ** 2 * geometry.width)
      return Math.min(section, length)
    }
    case 'plump':
      return ellipsoidThickness(volume, geometry.width, geometry.length)
    case 'bird':
    case 'crown': {
      const [breast] = BIRD_PARTS[geometry.family]
      return ellipsoidThickness(volume * breast.share, breast.width, breast.length)
    }
    default:
      return geometry satisfies never
  }
}

/** The thickest a piece of this weight can be through its shortest way, m: as thick as it is wide and long. */
export function greatestThickness(cut: Cut, mass_kg: number, parameters: HeatParameters): number {
  const volume = (mass_kg * (1 - (cut.boneShare ?? 0))) / parameters.density_kg_per_m3
  return cut.geometry.family === 'round' ? Math.cbrt((4 * volume) / Math.PI) : Math.cbrt((6 * volume) / Math.PI)
}

/**
 * The bodies of a piece. Breast and thigh of a bird; otherwise one.
 *
 * A measured thickness changes the section, never the weight: a thicker piece of the same weight is
 * shorter (round) or less spread (plump).
 */
export function bodiesOf(size: PieceSize, parameters: HeatParameters): PieceBody[] {
  const { cut, mass_kg } = size
  const { geometry } = cut
  const composition = compositionOf(cut.composition)
  const meat_kg = mass_kg * (1 - (cut.boneShare ?? 0))
  const volume = meat_kg / parameters.density_kg_per_m3
  const usual = usualThickness(cut, mass_kg, parameters)
  const thickness = size.thickness_m ?? usual
  const skin = geometry.family === 'bird' || geometry.family === 'crown'
  const body = (point: PointId, solid: Solid, mass: number, thickness_m: number, exposure: number): PieceBody => ({
    point,
    mass_kg: mass,
    ball: equivalentBall(solid),
    table: enthalpyTableOf(composition),
    water: composition.water,
    exposure,
    wetness: parameters.wetness * (size.wetness ?? 1) * (skin ? SKIN : 1),
    thickness_m,
  })
  switch (geometry.family) {
    case 'round': {
      const section = geometry.thickness_m * (mass_kg / cut.mass_kg.usual) ** geometry.growth * (thickness / usual)
      const across = (Math.PI / 4) * section ** 2
      // A piece measured so thick that its length would come out the shorter way is rounder, not shorter.
      const width =
        size.thickness_m === undefined
          ? geometry.width
          : Math.max(1, Math.min(geometry.width, volume / (across * section)))
      const length = volume / (across * width)
      const solid = ellipticCylinder(section / 2, (section * width) / 2, length)
      return [body('core', solid, meat_kg, Math.min(section, length), EXPOSURE[cut.bone === 'in' ? 'in' : 'out'])]
    }
    case 'plump': {
      const spread = Math.sqrt((usual / thickness) ** 3)
      const half = thickness / 2
      const width = Math.max(1, geometry.width * spread)
      const length = (geometry.width * geometry.length * spread ** 2) / width
      const axes = [half, half * width, half * length].sort((a, b) => a - b)
      const solid = ellipsoid(...(axes as [number, number, number]))
      return [body('core', solid, meat_kg, thickness, EXPOSURE[cut.bone === 'in' ? 'in' : 'out'])]
    }
    case 'bird':
    case 'crown':
      return BIRD_PARTS[geometry.family].map((part) => {
        const own = ellipsoidThickness(volume * part.share, part.width, part.length)
        const scale = thickness / usual
        const half = (own / 2) * scale
        const spread = Math.sqrt(1 / scale ** 3)
        const axes = [half, half * part.width * spread, half * part.length * spread].sort((a, b) => a - b)
        const solid = ellipsoid(...(axes as [number, number, number]))
        return body(part.point, solid, meat_kg * part.share, half * 2, part.exposure)
      })
    default:
      return geometry satisfies never
  }
}
