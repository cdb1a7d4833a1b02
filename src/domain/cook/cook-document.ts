import { z } from 'zod'
import { altitudePart, ovenPart, programPart, roastPart } from '../roast/roast-document'
import { ENTRY_KINDS, kindOf } from './entry'

const finite = z.number().finite()
const instant = z.iso.datetime({ offset: true })

/** The clock of a cook: the wall's, or one that runs faster for a rehearsal. */
export const clockPart = z.strictObject({
  /** Cook time at the moment `real` of the wall clock. */
  origin: instant,
  real: instant,
  speed: finite.min(1).max(120).default(1),
})
export type CookClock = z.output<typeof clockPart>

/**
 * Cook time, s, at a wall-clock time, s.
 * @example cookTime({ origin: '1970-01-01T01:00:00Z', real: '1970-01-01T00:00:00Z', speed: 60 }, 10) // 4200
 */
export const cookTime = (clock: CookClock, real_s: number): number =>
  Date.parse(clock.origin) / 1000 + (real_s - Date.parse(clock.real) / 1000) * clock.speed

/** One roast of a cook as it was planned when the cook began. */
export const cookItem = z.strictObject({
  id: z.string().min(1).max(60),
  title: z.string().max(120),
  roast: roastPart,
  oven: ovenPart.prefault({}),
  oven_name: z.string().max(120).default('the oven'),
  program: programPart,
  serve_c: finite,
  promise: instant,
  /** Planned, for comparison and for the time before it goes in. */
  put_in: instant,
  pull: instant.nullable(),
  carve: instant,
  pull_c: finite.nullable(),
  /** The rest the plan gave it, minutes; null: its program's least. */
  rest_min: finite
    .min(0)
    .max(24 * 60)
    .nullable()
    .default(null),
  altitude_m: altitudePart,
  vulnerable: z.boolean().default(false),
  points: z.array(z.string()).default(['core']),
})
export type CookItem = z.output<typeof cookItem>

export const cookDocument = z.strictObject({
  version: z.literal(1).default(1),
  title: z.string().max(120),
  clock: clockPart,
  items: z.array(cookItem).min(1).max(40),
})
export type CookDocument = z.output<typeof cookDocument>

/** What somebody did or saw, once and for all: entries are added, never changed. `id` is made where it happened. */
const entryShape = z.strictObject({
  id: z.string().min(8).max(64),
  kind: z.enum(ENTRY_KINDS),
  /** Cook time. */
  at: instant,
  item: z.string().max(60).nullable().default(null),
  by: z.string().max(80).default(''),
  /** A reading's °C, an oven's setting, an assignment's channel, a note's text, what is undone. */
  value_c: finite.nullable().default(null),
  point: z.string().max(40).nullable().default(null),
  device: z.string().max(60).nullable().default(null),
  channel: z.int().min(0).max(63).nullable().default(null),
  of: z.string().max(64).nullable().default(null),
  text: z.string().max(1000).nullable().default(null),
})
export type CookEntry = z.output<typeof entryShape>

/** An entry that says what its kind must say. */
export const cookEntry = entryShape.superRefine((entry, context) => {
  const { needs, ofItem } = kindOf(entry.kind)
  for (const field of needs)
    if (entry[field] === null)
      context.addIssue({ code: 'custom', path: [field], message: `an entry ${entry.kind} must say its ${field}` })
  if (ofItem && entry.item === null)
    context.addIssue({ code: 'custom', path: ['item'], message: `an entry ${entry.kind} must name its roast` })
})
/** An entry as it was once kept: earlier releases asked less of it. */
export const keptEntry = entryShape

/** A batch of probe readings from a device. */
export const readingsBatch = z.strictObject({
  /** The device's clock as it sends: what it is off by is taken out. Left out: its times are believed. */
  sent_at: instant.optional(),
  unit: z.enum(['c', 'f']),
  battery: finite.min(0).max(1).optional(),
  readings: z
    .array(
      z.strictObject({
        channel: z.int().min(0).max(63),
        seq: z.int().min(0),
        at: instant,
        value: finite.min(-100).max(1000),
      }),
    )
    .min(1)
    .max(5000),
})
export type ReadingsBatch = z.output<typeof readingsBatch>

/** A probe reading as the board knows it; cook time. */
export interface ProbeReading {
  readonly device: string
  readonly channel: number
  readonly at_s: number
  readonly value_c: number
}
