import type { Cut } from '../../reference/cuts'
import type { HeatParameters } from '../parameters'
import { birdBodies, birdThickness, FLAT_DEPTH } from './bird'
import { ellipsoidThickness, meatVolume, type PieceBody, type PieceSize, workingOf } from './body'
import { plumpBodies } from './plump'
import { roundBodies, roundThickness } from './round'

export type { PieceBody, PieceSize, PointId } from './body'

/**
 * The usual thickness of a cut at a weight, m: what the catalogue says before anyone measures.
 * @param mass_kg raw weight, bone included, kg
 * @param legs of a bird: pressed flat it lies thinner
 * @example usualThickness(findCut('beef-rib-bone-in'), 3.5, HEAT_PARAMETERS) // ≈ 0.11
 */
export function usualThickness(
  cut: Cut,
  mass_kg: number,
  parameters: HeatParameters,
  legs?: PieceSize['legs'],
): number {
  const { geometry } = cut
  const volume_m3 = meatVolume(cut, mass_kg, parameters)
  switch (geometry.family) {
    case 'round':
      return roundThickness(geometry, cut, mass_kg, volume_m3)
    case 'plump':
      return ellipsoidThickness(volume_m3, geometry.width, geometry.length)
    case 'bird':
      return birdThickness(geometry.family, volume_m3) * (legs === 'flat' ? FLAT_DEPTH : 1)
    case 'crown':
      return birdThickness(geometry.family, volume_m3)
    default:
      return geometry satisfies never
  }
}

/**
 * The thickest a piece of this weight can be through its shortest way, m: as thick as it is wide and long.
 * @example greatestThickness(findCut('pork-loin'), 1.8, HEAT_PARAMETERS) > usualThickness(findCut('pork-loin'), 1.8, HEAT_PARAMETERS) // true
 */
export function greatestThickness(cut: Cut, mass_kg: number, parameters: HeatParameters): number {
  const volume_m3 = meatVolume(cut, mass_kg, parameters)
  return cut.geometry.family === 'round' ? Math.cbrt((4 * volume_m3) / Math.PI) : Math.cbrt((6 * volume_m3) / Math.PI)
}

/**
 * The bodies of a piece. Breast and thigh of a bird; otherwise one, or thick and thin end.
 *
 * A measured thickness changes the section, never the weight: a thicker piece of the same weight is
 * shorter (round) or less spread (plump). Told its usual thickness a piece is what it was untold.
 * @example bodiesOf({ cut: findCut('turkey'), mass_kg: 6, stuffed: true }, HEAT_PARAMETERS).map(({ point }) => point) // ['breast', 'thigh', 'stuffing']
 */
export function bodiesOf(size: PieceSize, parameters: HeatParameters): PieceBody[] {
  const { cut } = size
  const { geometry } = cut
  const working = workingOf(size, parameters, usualThickness(cut, size.mass_kg, parameters, size.legs))
  switch (geometry.family) {
    case 'round':
      return roundBodies(geometry, working)
    case 'plump':
      return plumpBodies(geometry, working)
    case 'bird':
    case 'crown':
      return birdBodies(geometry.family, working)
    default:
      return geometry satisfies never
  }
}
