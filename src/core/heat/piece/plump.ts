import type { Cut } from '../../reference/cuts'
import { ellipsoid } from '../shape'
import { type PieceBody, THIN_SHARE, type Working } from './body'

type Plump = Extract<Cut['geometry'], { readonly family: 'plump' }>

/** The bodies of an ellipsoid: a leg, a shoulder, a rump; with its thin end beside it where it has one. */
export function plumpBodies(geometry: Plump, working: Working): PieceBody[] {
  const { parameters, meat_kg, usual_m: usual, thickness_m: thickness, exposure, thin, body } = working
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
  return [{ ...whole, mass_kg: meat_kg - thin_kg }, body('thin_end', ellipsoid(...ends), thin_kg, flat * 2, exposure)]
}
