import { compositionOf } from '../reference/composition'
import type { Cut } from '../reference/cuts'
import { enthalpyTableOf } from './enthalpy'
import type { KernelBody } from './kernel'
import type { HeatParameters } from './parameters'
import { ellipsoid, ellipticCylinder, equivalentBall, type Solid } from './shape'
import { boilingPoint } from './vapour'

/** A point of a piece that is probed and must be done. */
export type PointId = 'core' | 'thin_end' | 'breast' | 'thigh' | 'stuffing'

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
  /** Stuffing in the cavity: a third body, heated by the two others. */
  readonly stuffed?: boolean
  /** Legs tied close to the body (the default) or left open, which bares the inner thigh. */
  readonly legs?: 'tied' | 'open'
  /** Thickness of the thin end over that of the thick one, 0.3–1; 1 or undefined: tied even. */
  readonly thinEnd?: number | undefined
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
/** Exposure of a thigh whose leg stands open, over that of one tied close: the inner side sees some of the oven. */
const OPEN_LEG = 1.18
/** A stuffed cavity gives its walls no hot air: exposure of a stuffed bird's bodies over an empty one's. */
const STUFFED = 0.93
/** Stuffing as a share of the bird's weight: about 150 ml a kilo, loosely (common practice). */
const STUFFING_SHARE = 0.1
/** Share of a piece's length that its thin end takes up: a third, as a tenderloin's tail. */
const THIN_SHARE = 0.3
/** Loosely packed stuffing, kg/m³ (from memory). */
const STUFFING_DENSITY = 700
const THIGH: BirdPart = { point: 'thigh', share: 0.32, width: 1.25, length: 1.9, exposure: 0.535 }
const LOBE: BirdPart = { point: 'breast', share: 0.5, width: 1.4, length: 2, exposure: 0.9 }
const BIRD_PARTS: Readonly<Record<'bird' | 'crown', readonly [BirdPart, ...BirdPart[]]>> = {
  bird: [BREAST, THIGH],
  crown: [LOBE],
}

const ellipsoidThickness = (volume_m3: number, width: number, length: number) =>
  2 * (volume_m3 / ((4 / 3) * Math.PI * width * length)) ** (1 / 3)

/** Width over thickness and length, m, of a round piece: one whose length would come out the shorter way is rounder, not shorter. */
function sectionOf(section_m: number, width: number, volume_m3: number): { width: number; length: number } {
  const across = (Math.PI / 4) * section_m ** 2
  const rounder = Math.max(1, Math.min(width, volume_m3 / (across * section_m)))
  return { width: rounder, length: volume_m3 / (across * rounder) }
}

/** The usual thickness of a cut at a weight, m: what the catalogue says before anyone measures. */
export function usualThickness(cut: Cut, mass_kg: number, parameters: HeatParameters): number {
  const { geometry } = cut
  const volume = (mass_kg * (1 - (cut.boneShare ?? 0))) / parameters.density_kg_per_m3
  switch (geometry.family) {
    case 'round': {
      const section = geometry.thickness_m * (mass_kg / cut.mass_kg.usual) ** geometry.growth
      return Math.min(section, sectionOf(section, geometry.width, volume).length)
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
  const boiling_c = boilingPoint(parameters.pressure_pa)
  const meat_kg = mass_kg * (1 - (cut.boneShare ?? 0))
  const volume = meat_kg / parameters.density_kg_per_m3
  const usual = usualThickness(cut, mass_kg, parameters)
  const thickness = size.thickness_m ?? usual
  const skin = geometry.family === 'bird' || geometry.family === 'crown'
  const body = (point: PointId, solid: Solid, mass: number, thickness_m: number, exposure: number): PieceBody => ({
    point,
    mass_kg: mass,
    ball: equivalentBall(solid),
    table: enthalpyTableOf(composition, boiling_c),
    water: composition.water,
    exposure,
    wetness: parameters.wetness * (size.wetness ?? 1) * (skin ? SKIN : 1),
    thickness_m,
  })
  const exposure = EXPOSURE[cut.bone === 'in' ? 'in' : 'out']
  const thin = size.thinEnd !== undefined && size.thinEnd < 0.98 ? Math.max(0.3, size.thinEnd) : undefined
  switch (geometry.family) {
    case 'round': {
      const section = geometry.thickness_m * (mass_kg / cut.mass_kg.usual) ** geometry.growth * (thickness / usual)
      const { width, length } = sectionOf(section, geometry.width, volume)
      const whole = body(
        'core',
        ellipticCylinder(section / 2, (section * width) / 2, length),
        meat_kg,
        Math.min(section, length),
        exposure,
      )
      if (thin === undefined) return [whole]
      // Two cylinders side by side of one width: the tail of a tenderloin, the flap of a butterflied leg.
      const thick_kg = (meat_kg * (1 - THIN_SHARE)) / (1 - THIN_SHARE + THIN_SHARE * thin)
      const end = (kg: number, height: number, run: number) =>
        ellipticCylinder(
          Math.min(height, section * width) / 2,
          Math.max(height, section * width) / 2,
          Math.max(run, kg / parameters.density_kg_per_m3 / ((Math.PI / 4) * height * section * width)),
        )
      return [
        { ...whole, mass_kg: thick_kg, ball: equivalentBall(end(thick_kg, section, length * (1 - THIN_SHARE))) },
        body(
          'thin_end',
          end(meat_kg - thick_kg, section * thin, length * THIN_SHARE),
          meat_kg - thick_kg,
          section * thin,
          exposure,
        ),
      ]
    }
    case 'plump': {
      const spread = Math.sqrt((usual / thickness) ** 3)
      const half = thickness / 2
      const width = Math.max(1, geometry.width * spread)
      const length = (geometry.width * geometry.length * spread ** 2) / width
      const axes = [half, half * width, half * length].sort((a, b) => a - b) as [number, number, number]
      const whole = body('core', ellipsoid(...axes), meat_kg, thickness, exposure)
      if (thin === undefined) return [whole]
      const thin_kg = meat_kg * THIN_SHARE * thin
      const small = Math.cbrt((6 * thin_kg) / parameters.density_kg_per_m3 / (Math.PI * width * length))
      const flat = Math.min(small, thickness * thin) / 2
      const wide = Math.sqrt(((3 * thin_kg) / (4 * Math.PI * parameters.density_kg_per_m3 * flat)) * (width / length))
      const far = (3 * thin_kg) / (4 * Math.PI * parameters.density_kg_per_m3 * flat * wide)
      const ends = [flat, wide, far].sort((a, b) => a - b) as [number, number, number]
      return [
        { ...whole, mass_kg: meat_kg - thin_kg },
        body('thin_end', ellipsoid(...ends), thin_kg, flat * 2, exposure),
      ]
    }
    case 'bird':
    case 'crown': {
      const stuffed = geometry.family === 'bird' && size.stuffed === true
      const meat = BIRD_PARTS[geometry.family].map((part) => {
        const own = ellipsoidThickness(volume * part.share, part.width, part.length)
        const scale = thickness / usual
        const half = (own / 2) * scale
        const spread = Math.sqrt(1 / scale ** 3)
        const axes = [half, half * part.width * spread, half * part.length * spread].sort((a, b) => a - b)
        const solid = ellipsoid(...(axes as [number, number, number]))
        const open = part.point === 'thigh' && size.legs === 'open' ? OPEN_LEG : 1
        return body(part.point, solid, meat_kg * part.share, half * 2, part.exposure * open * (stuffed ? STUFFED : 1))
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
    default:
      return geometry satisfies never
  }
}
