import type { Composition } from '../../reference/composition'
import { compositionOf } from '../../reference/composition'
import type { Cut } from '../../reference/cuts'
import { enthalpyTableOf } from '../enthalpy'
import type { KernelBody } from '../kernel'
import type { HeatParameters } from '../parameters'
import { equivalentBall, type Solid } from '../shape'
import { boilingPoint } from '../vapour'

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
  /** Legs tied close to the body (the default), left open, which bares the inner thigh, or the whole bird pressed flat. */
  readonly legs?: 'tied' | 'open' | 'flat'
  /** Thickness of the thin end over that of the thick one, 0.3–1; 1 or undefined: tied even. */
  readonly thinEnd?: number | undefined
}

/** A boneless piece on a rack sees the oven all round but for the rack. */
const ON_A_RACK = 0.97

/** Share of a piece's length that its thin end takes up: a third, as a tenderloin's tail. */
export const THIN_SHARE = 0.3
/**
 * Shortest full thickness of an ellipsoid of such a volume, m³, and proportions, m.
 * @example ellipsoidThickness((4 / 3) * Math.PI * 0.05 ** 3, 1, 1) // ≈ 0.1
 */
export const ellipsoidThickness = (volume_m3: number, width: number, length: number) =>
  2 * (volume_m3 / ((4 / 3) * Math.PI * width * length)) ** (1 / 3)

/** What every family of piece is worked out from. */
export interface Working {
  readonly size: PieceSize
  readonly parameters: HeatParameters
  /** Meat without its bone, kg, and its volume, m³. */
  readonly meat_kg: number
  readonly volume_m3: number
  /** Usual and own thickness, m. */
  readonly usual_m: number
  readonly thickness_m: number
  readonly exposure: number
  /** Thickness of the thin end over the thick one; undefined where tied even. */
  readonly thin: number | undefined
  readonly boiling_c: number
  /** One body of this piece's meat. */
  readonly body: (point: PointId, solid: Solid, mass_kg: number, thickness_m: number, exposure: number) => PieceBody
}

/**
 * Volume of a cut's meat, m³.
 * @example meatVolume(findCut('pork-loin'), 1.06, HEAT_PARAMETERS) // 0.001
 */
export const meatVolume = (cut: Cut, mass_kg: number, parameters: HeatParameters): number =>
  (mass_kg * (1 - (cut.boneShare ?? 0))) / parameters.density_kg_per_m3

const EVEN = 0.98
const THINNEST = 0.3

/** Works out what a family starts from. @param usual_m the usual thickness of the cut at its weight, m */
export function workingOf(size: PieceSize, parameters: HeatParameters, usual_m: number): Working {
  const { cut } = size
  const composition: Composition = compositionOf(cut.composition)
  const boiling_c = boilingPoint(parameters.pressure_pa)
  const skin = cut.geometry.family === 'bird' || cut.geometry.family === 'crown'
  const boned = cut.bone === 'in'
  const wet = (skin ? parameters.skin_wet : 1) * (boned ? parameters.bone_wet : 1)
  return {
    size,
    parameters,
    meat_kg: size.mass_kg * (1 - (cut.boneShare ?? 0)),
    volume_m3: meatVolume(cut, size.mass_kg, parameters),
    usual_m,
    thickness_m: size.thickness_m ?? usual_m,
    exposure: boned ? parameters.bone_exposure : ON_A_RACK,
    thin: size.thinEnd !== undefined && size.thinEnd < EVEN ? Math.max(THINNEST, size.thinEnd) : undefined,
    boiling_c,
    body: (point, solid, mass_kg, thickness_m, exposure) => ({
      point,
      mass_kg,
      ball: equivalentBall(solid),
      table: enthalpyTableOf(composition, boiling_c),
      water: composition.water,
      exposure,
      wetness: parameters.wetness * (size.wetness ?? 1) * wet,
      restingWetness: parameters.resting_wetness * wet,
      thickness_m,
    }),
  }
}
