import type { Cut, CutGeometry } from './cuts'
import { derived } from './source'

/** What a cook may say otherwise about a cut: a house cut is a catalogue cut with some of these. */
export interface CutOverrides {
  readonly name?: string | undefined
  /** Thickness at the usual weight, m (cylinders only: a plump piece's follows from its proportions). */
  readonly thickness_m?: number | undefined
  /** Width over thickness, and length over thickness, dimensionless. */
  readonly width?: number | undefined
  readonly length?: number | undefined
  readonly usual_kg?: number | undefined
  /** Bone as a share of the raw weight, 0–0.5. */
  readonly boneShare?: number | undefined
  readonly perHead_kg?: number | undefined
  readonly restLeast_min?: number | undefined
  readonly restMost_min?: number | undefined
  readonly intact?: boolean | undefined
  readonly measure?: string | undefined
  readonly probe?: string | undefined
}

/** What a kitchen does with every cut of a kind, laid under a cut's own values. */
export interface CutStandards {
  readonly serves?: Readonly<Record<string, number>> | undefined
  readonly usual?: string | undefined
  readonly restLeast_min?: number | undefined
  /** Of the usual portion. */
  readonly portion?: number | undefined
  readonly buyStep_kg?: number | undefined
}

/**
 * A catalogue cut as a kitchen serves, rests, portions and buys it.
 * @example standardCut(findCut('turkey'), { portion: 1.2 }).perHead_kg > findCut('turkey').perHead_kg // true
 */
export function standardCut(base: Cut, of: CutStandards): Cut {
  const least = of.restLeast_min ?? base.rest_min.least
  return {
    ...base,
    ...(of.serves ? { serves: of.serves } : {}),
    ...(of.buyStep_kg === undefined ? {} : { buyStep_kg: of.buyStep_kg }),
    usualDoneness: of.usual ?? base.usualDoneness,
    rest_min: { least, most: Math.max(base.rest_min.most, least) },
    perHead_kg: Number((base.perHead_kg * (of.portion ?? 1)).toFixed(4)),
  }
}

const given = <Value>(value: Value | undefined, usual: Value): Value => value ?? usual

function geometryWith(geometry: CutGeometry, over: CutOverrides): CutGeometry {
  switch (geometry.family) {
    case 'round':
      return {
        ...geometry,
        thickness_m: given(over.thickness_m, geometry.thickness_m),
        width: Math.max(1, given(over.width, geometry.width)),
      }
    case 'plump': {
      const width = Math.max(1, given(over.width, geometry.width))
      return { ...geometry, width, length: Math.max(width, given(over.length, geometry.length)) }
    }
    case 'bird':
    case 'crown':
      return geometry
    default:
      return geometry satisfies never
  }
}

/**
 * A catalogue cut with the house's own values laid over it.
 * @example houseCut(findCut('turkey'), { name: 'Our turkey' }).name // 'Our turkey'
 */
export function houseCut(base: Cut, over: CutOverrides): Cut {
  const usual = given(over.usual_kg, base.mass_kg.usual)
  return {
    ...base,
    name: given(over.name, base.name),
    geometry: geometryWith(base.geometry, over),
    boneShare: given(over.boneShare, base.boneShare ?? 0),
    bone: base.bone === 'bird' ? 'bird' : given(over.boneShare, base.boneShare ?? 0) > 0 ? 'in' : 'out',
    intact: given(over.intact, base.intact),
    mass_kg: { least: Math.min(base.mass_kg.least, usual), usual, most: Math.max(base.mass_kg.most, usual) },
    rest_min: {
      least: given(over.restLeast_min, base.rest_min.least),
      most: Math.max(given(over.restMost_min, base.rest_min.most), given(over.restLeast_min, base.rest_min.least)),
    },
    perHead_kg: given(over.perHead_kg, base.perHead_kg),
    measure: given(over.measure, base.measure),
    probe: given(over.probe, base.probe),
    source: derived(`House cut, from ${base.id}`),
  }
}
