import type { Cut } from '../../reference/cuts'
import { ellipticCylinder, equivalentBall } from '../shape'
import { type PieceBody, THIN_SHARE, type Working } from './body'

type Round = Extract<Cut['geometry'], { readonly family: 'round' }>

/** Width over thickness and length, m, of a round piece: one whose length would come out the shorter way is rounder, not shorter. */
function sectionOf(section_m: number, width: number, volume_m3: number): { width: number; length: number } {
  const across = (Math.PI / 4) * section_m ** 2
  const rounder = Math.max(1, Math.min(width, volume_m3 / (across * section_m)))
  return { width: rounder, length: volume_m3 / (across * rounder) }
}

/** The section of a round cut at a weight before anyone measures, m. */
const usualSection = (geometry: Round, cut: Cut, mass_kg: number): number =>
  geometry.thickness_m * (mass_kg / cut.mass_kg.usual) ** geometry.growth

/** The usual thickness of a round cut, m: its section, or its length where that is the shorter way. */
export function roundThickness(geometry: Round, cut: Cut, mass_kg: number, volume_m3: number): number {
  const section = usualSection(geometry, cut, mass_kg)
  return Math.min(section, sectionOf(section, geometry.width, volume_m3).length)
}

/** The bodies of an elliptic cylinder: a loin, a rib, a rolled leg; with its thin end beside it where it has one. */
export function roundBodies(geometry: Round, working: Working): PieceBody[] {
  const {
    size,
    parameters,
    meat_kg,
    volume_m3: volume,
    usual_m: usual,
    thickness_m: thickness,
    exposure,
    thin,
    body,
  } = working
  const { cut, mass_kg } = size
  const section = usualSection(geometry, cut, mass_kg) * (thickness / usual)
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
