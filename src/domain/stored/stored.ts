import type { z } from 'zod'
import { type CookDocument, cookDocument } from '../cook/cook-document'
import { type HouseItemDocument, houseItemDocument } from '../house/house-item'
import { type Equipment, equipmentPart, type MealDocument, mealDocument } from '../meal/meal-document'
import { parseWith } from '../problem/parse'
import { fail, type Outcome } from '../problem/problem'
import { type PlanDocument, planDocument } from '../roast/roast-document'

/** One step of a document from the version that is its place in the list, plus one, to the next. */
export type Step = (document: Readonly<Record<string, unknown>>) => Record<string, unknown>

/** A kind of document as it is kept: what it is now, and how older ones became it. */
export interface StoredKind<Document> {
  readonly schema: z.ZodType<Document>
  /** From version 1 to 2, from 2 to 3, …; as many as there have been versions, less one. */
  readonly steps: readonly Step[]
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/**
 * Reads a document as it was kept: taken up version by version to today's, then parsed; never cast.
 * One from a later release, or one that cannot be read, is a problem and not a crash.
 */
export function readStored<Document>(kind: StoredKind<Document>, value: unknown): Outcome<Document> {
  if (!isRecord(value)) return fail({ code: 'no_document', path: [] })
  const newest = kind.steps.length + 1
  const version = value.version ?? 1
  if (!Number.isInteger(version) || (version as number) < 1 || (version as number) > newest)
    return fail({ code: 'version_unknown', path: ['version'], version: String(version).slice(0, 40), newest })
  let document: Readonly<Record<string, unknown>> = value
  for (let at = version as number; at < newest; at++) {
    const step = kind.steps[at - 1] as Step
    document = { ...step(document), version: at + 1 }
  }
  return parseWith(kind.schema, document)
}

export const STORED = {
  roast: { schema: planDocument as unknown as z.ZodType<PlanDocument>, steps: [] },
  meal: { schema: mealDocument as unknown as z.ZodType<MealDocument>, steps: [] },
  cook: { schema: cookDocument as unknown as z.ZodType<CookDocument>, steps: [] },
  house: { schema: houseItemDocument as unknown as z.ZodType<HouseItemDocument>, steps: [] },
  equipment: { schema: equipmentPart as unknown as z.ZodType<Equipment>, steps: [] },
} satisfies Readonly<Record<string, StoredKind<unknown>>>
