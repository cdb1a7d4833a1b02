import { z } from 'zod'
import { findCut } from '@/core/reference/cuts'
import { houseCutPart, stagePart } from '../roast/roast-document'
import { ident, text } from '../schema/scalars'

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

export const houseItemDocument = z.discriminatedUnion('kind', [
  houseCutDocument,
  houseProgramDocument,
  houseWayDocument,
])
export type HouseItemDocument = z.output<typeof houseItemDocument>

/** One of them as it is kept. */
export interface HouseItem {
  readonly id: string
  readonly document: HouseItemDocument
}
