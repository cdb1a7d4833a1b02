import { z } from 'zod'
import { cookDocument, keptEntry } from '@/domain/cook/cook-document'
import { houseItemDocument } from '@/domain/house/house-item'
import { mealDocument } from '@/domain/meal/meal-document'
import { recordEntry } from '@/domain/record/record'
import { planDocument } from '@/domain/roast/roast-document'
import { WHOLE_KINDS } from '@/domain/whole/whole'

/**
 * What leaves over HTTP, each answer with a schema of its own: an answer is made by parsing, so what a
 * schema does not name stays inside, whatever the row behind it has.
 */

const id = z.string()
/** Computed here and now from the document beside it, and typed in core: passed on whole. */
const computed = z.unknown()
const instant = z.date().transform((at) => at.toISOString())

/** A plan or a meal in a list. */
const summary = <Document extends z.ZodType>(document: Document) =>
  z
    .object({ id, version: z.int(), promiseAt: instant, updatedAt: instant, document })
    .transform(({ promiseAt, updatedAt, ...rest }) => ({ ...rest, promise_at: promiseAt, updated_at: updatedAt }))

/** A document that could not be read: it is kept as it is, and said. */
const unreadable = z.object({ id, detail: z.string() })

export const planRowAnswer = summary(planDocument)
export const lineAnswer = z.object({ kind: z.enum(['plan', 'meal']), id })
/** How many there are in all, of which this is a part. */
const total = z.int()
export const planListAnswer = z.object({ plans: z.array(planRowAnswer), unreadable: z.array(unreadable), total })
export const planAnswer = z.object({ id, version: z.int(), document: planDocument, plan: computed })
export const mealRowAnswer = summary(mealDocument)
export const mealListAnswer = z.object({ meals: z.array(mealRowAnswer), unreadable: z.array(unreadable), total })
export const mealAnswer = z.object({
  id,
  version: z.int(),
  document: mealDocument,
  plan: computed,
  problems: z.array(computed),
})
export const previewAnswer = z.object({ document: mealDocument, plan: computed })
export const savedAnswer = z.object({ outcome: z.literal('saved'), version: z.int() })
export const staleAnswer = z.object({
  errors: z.array(computed),
  current: z.object({ version: z.int(), document: z.unknown() }),
  set_aside: id,
})
export const settledAnswer = z.object({ settled: z.boolean() })

export const cookRowAnswer = z
  .object({ id, state: z.enum(['cooking', 'done']), document: cookDocument, createdAt: instant })
  .transform(({ createdAt, ...rest }) => ({ ...rest, created_at: createdAt }))
export const cookListAnswer = z.object({ cooks: z.array(cookRowAnswer), unreadable: z.array(unreadable), total })
const kept = z.object({ seq: z.int(), entry: keptEntry, received_at: z.string() })
/** What became of each entry: the server has those it names here, and only those. */
export const entriesAnswer = z.object({
  kept: z.array(kept),
  refused: z.array(z.object({ id: z.string().nullable(), problems: z.array(computed) })),
})
const device = z
  .object({ id, name: z.string(), battery: z.number().nullable(), seenAt: instant.nullable() })
  .transform(({ seenAt, ...rest }) => ({ ...rest, seen_at: seenAt }))
export const cookStateAnswer = z.object({
  entries: z.array(kept),
  readings: z.array(z.object({ device: z.string(), channel: z.int(), at_s: z.number(), value_c: z.number() })),
  devices: z.array(device),
  now_s: z.number(),
  state: z.enum(['cooking', 'done']),
})
/** The token is shown this once. */
export const newDeviceAnswer = z.object({ device, token: z.string() })
export const readingsAnswer = z.object({
  kept: z.int(),
  known: z.int(),
  refused: z.array(z.object({ place: z.int(), problems: z.array(computed) })),
})

export const broughtAnswer = z.object({ bytes: z.int() })
const wholeCounts = z.record(z.enum(WHOLE_KINDS), z.int())
export const wholeAnswer = z.object({
  kitchen: z.string(),
  made: z.string(),
  adds: wholeCounts,
  there: wholeCounts,
  left: z.array(z.object({ what: z.string(), why: z.string() })),
  leftMore: z.int(),
})

export const photoAnswer = z.object({ id, item: z.string(), width: z.int(), height: z.int() })
export const photosAnswer = z.array(photoAnswer)

export const houseItemAnswer = z.object({ id, document: houseItemDocument })
export const houseListAnswer = z.array(houseItemAnswer)
export const removedAnswer = z.object({ removed: z.literal(true) })
export const archivedAnswer = z.object({ archived: z.boolean() })
export const equipmentAnswer = z.object({ kept: z.literal(true) })
/** A secret that was handed out, shown this once. */
export const handedAnswer = z.object({ id, token: z.string() })
/** An address that was made, shown this once. */
export const addressAnswer = z.object({ id, path: z.string(), ends: z.string() })
/** Where whoever was let in goes on. */
export const welcomeAnswer = z.object({ kitchen: z.string() })
export const kitchenAnswer = z.object({ slug: z.string() })
export const stoveAnswer = z.object({ name: z.string() })
export const readyAnswer = z.object({ ready: z.literal(true) })

export const healthAnswer = z.object({
  application: z.literal('pheasant'),
  checkout: z.string().nullable(),
  now_s: z.number(),
})
/** Something was saved in the kitchen that listens: what and which, never whose. */
export const changeAnswer = z.object({
  what: z.string(),
  id: z.string(),
  version: z.int(),
  latest: z.array(z.array(z.number())).optional(),
})
export const schemaAnswer = z.record(z.string(), z.unknown())

/** Entries of the food-safety record in their places. */
export const recordKeptAnswer = z.object({
  kept: z.array(z.object({ seq: z.int(), entry: recordEntry, prev: z.string(), hash: z.string() })),
})
