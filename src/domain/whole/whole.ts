import { z } from 'zod'
import { keptEntry } from '../cook/cook-document'
import { customsPart } from '../house/customs'
import { recordEntry, recordPlan } from '../record/record'
import { finite, ident, instant, text, versionNumber } from '../schema/scalars'

/**
 * A whole kitchen as one file: a ZIP of JSON, CSV and pictures with a list of what is in it (docs/whole-kitchen.md).
 * Documents are kept as they are stored, with their own versions, and read like stored ones.
 */

export const WHOLE_FORMAT = 'pheasant whole kitchen'
const path = text(200).regex(/^[\w./-]+$/, 'is no path of such a file')

export const manifestFile = z.strictObject({
  format: z.literal(WHOLE_FORMAT),
  version: z.literal(1),
  made: instant,
  kitchen: text(200),
  /** Everything in it but this list, each with its SHA-256. */
  files: z
    .array(z.strictObject({ path, bytes: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) }))
    .max(200_000),
})
export type Manifest = z.output<typeof manifestFile>

export const kitchenFile = z.strictObject({
  name: text(200),
  time_zone: text(80),
  customs: customsPart,
  equipment: z.unknown(),
  record_plan: recordPlan.nullable(),
  learning_off: z.array(text(200)).max(2000),
})
export const houseFile = z.strictObject({ items: z.array(z.unknown()).max(5000) })

const away = instant.nullable().default(null)
export const planFile = z.strictObject({
  id: ident(60),
  kind: z.enum(['roast', 'meal']),
  version: versionNumber,
  created_at: instant,
  archived_at: away,
  document: z.unknown(),
  versions: z
    .array(
      z.strictObject({
        id: ident(60),
        version: versionNumber,
        state: z.enum(['saved', 'set_aside']),
        created_at: instant,
        settled_at: away,
        document: z.unknown(),
      }),
    )
    .max(20_000),
})
export type PlanFile = z.output<typeof planFile>

export const cookFile = z.strictObject({
  id: ident(60),
  state: z.enum(['cooking', 'done']),
  created_at: instant,
  archived_at: away,
  document: z.unknown(),
  entries: z.array(z.strictObject({ received_at: instant, entry: keptEntry })).max(100_000),
})
export type CookFile = z.output<typeof cookFile>

export const devicesFile = z.array(z.strictObject({ id: ident(60), name: text(120), created_at: instant })).max(2000)
/** A row of a device's readings, as its CSV has it. */
export const readingRow = z.object({
  session: ident(64),
  channel: z.coerce.number().int().min(0).max(63),
  seq: z.coerce.number().int().min(0),
  at: instant,
  device_at: instant,
  value_c: z.coerce.number().pipe(finite.min(-60).max(500)),
})
export type ReadingRow = z.output<typeof readingRow>
export const photosFile = z
  .array(z.strictObject({ id: ident(60), cook: ident(60), item: ident(60), at: instant, file: path }))
  .max(200_000)
export const recordFile = z.looseObject({
  chain: z
    .array(
      z.strictObject({
        seq: z.int().min(1),
        entry: recordEntry,
        prev: z.string().length(64),
        hash: z.string().length(64),
      }),
    )
    .max(2_000_000),
})

/** What such a file holds, and how it is called. */
export const WHOLE_KINDS = [
  'plans',
  'meals',
  'cooks',
  'entries',
  'probes',
  'readings',
  'photos',
  'house',
  'record',
] as const
export type WholeKind = (typeof WHOLE_KINDS)[number]
type Counts = Record<WholeKind, number>

/** What taking a file in adds, what is here already, and what it cannot take or leaves as it is. */
export interface WholeReport {
  readonly kitchen: string
  readonly made: string
  readonly adds: Counts
  readonly there: Counts
  /** Each with why, in words. */
  readonly left: { readonly what: string; readonly why: string }[]
  /** So many more were left than are named. */
  leftMore: number
}

const none = (): Counts => Object.fromEntries(WHOLE_KINDS.map((kind) => [kind, 0])) as Counts
/** Named at most. */
const MOST_LEFT = 60

/** An empty report, and how something that stays out is said in it. */
export function wholeReport(kitchen: string, made: string) {
  const report: WholeReport = { kitchen, made, adds: none(), there: none(), left: [], leftMore: 0 }
  return {
    report,
    leave: (what: string, why: string) => {
      if (report.left.length < MOST_LEFT) report.left.push({ what, why })
      else report.leftMore++
    },
  }
}
