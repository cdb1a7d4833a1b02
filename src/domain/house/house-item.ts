import { z } from 'zod'
import { findCut } from '@/core/reference/cuts'
import { houseCutPart, stagePart } from '../roast/roast-document'
import { finite, ident, text } from '../schema/scalars'

/** A kitchen's own cut: a catalogue cut with some values changed. */
export const houseCutDocument = z.strictObject({
  kind: z.literal('cut'),
  name: text(80).trim().min(1),
  cut: ident(80).refine((id) => findCut(id) !== undefined, 'is no cut of the catalogue'),
  house: houseCutPart,
})

/** A kitchen's own way of cooking. */
export const houseProgramDocument = z.strictObject({
  kind: z.literal('program'),
  name: text(80).trim().min(1),
  stages: z.array(stagePart).min(1).max(12),
})

/** What practitioners differ about. */
export const WAY_IDS = ['temper', 'salt', 'truss', 'stuff', 'baste', 'rack', 'bone', 'pork', 'thigh'] as const
export type WayId = (typeof WAY_IDS)[number]

/** How a kitchen does what practitioners differ about: one of each. */
export const houseWayDocument = z.strictObject({
  kind: z.literal('way'),
  name: z.enum(WAY_IDS),
  option: ident(20),
})

/** A standard of the house: what every plan of the kitchen begins with (standards.ts). */
export const houseStandardDocument = z.strictObject({
  kind: z.literal('standard'),
  name: text(60).trim().min(1).describe('Such as serve.red.rare, rest.poultry, margin'),
  value: finite.nullable().default(null),
  option: ident(60).nullable().default(null).describe('A degree or a school, where it is one of those'),
  set_c: finite.optional().describe('The heat of a school, °C'),
  reason: text(200).trim().default(''),
})
export type HouseStandard = z.output<typeof houseStandardDocument>

export const houseItemDocument = z.discriminatedUnion('kind', [
  houseCutDocument,
  houseProgramDocument,
  houseWayDocument,
  houseStandardDocument,
])
export type HouseItemDocument = z.output<typeof houseItemDocument>

/** One of them as it is kept. */
export interface HouseItem {
  readonly id: string
  readonly document: HouseItemDocument
}
