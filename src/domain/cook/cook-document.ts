import { z } from 'zod'
import { celsiusToFahrenheit } from '@/core/units'
import { mealDocument } from '../meal/meal-document'
import { parseWith } from '../problem/parse'
import type { Problem } from '../problem/problem'
import { altitudePart, notesPart, ovenPart, programPart, roastPart } from '../roast/roast-document'
import { finite, ident, instant, PROBE_C, probeCelsius, text, versionNumber } from '../schema/scalars'
import { ENTRY_KINDS, kindOf } from './entry'
import { cookStep } from './step'

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
  id: ident(60),
  title: text(120),
  roast: roastPart,
  oven: ovenPart.prefault({}),
  oven_name: text(120).default('the oven'),
  program: programPart,
  serve_c: finite,
  promise: instant,
  /** Planned, for comparison and for the time before it goes in. */
  put_in: instant,
  pull: instant.nullable(),
  /** The pull's own window, eight times in ten: inside it nothing is early or late. */
  window: z.strictObject({ from: instant, to: instant }).nullable().default(null),
  carve: instant,
  pull_c: finite.nullable(),
  /** What its heat is set to as it goes in, °C: its school’s where nobody said. */
  set_c: finite.nullable().default(null),
  /** The rest the plan gave it, minutes; null: its program's least. */
  rest_min: finite
    .min(0)
    .max(24 * 60)
    .nullable()
    .default(null),
  /** The least it may rest, minutes; null: its program's. */
  rest_least_min: finite
    .min(0)
    .max(24 * 60)
    .nullable()
    .default(null),
  altitude_m: altitudePart,
  vulnerable: z.boolean().default(false),
  points: z.array(ident(40)).max(8).default(['core']),
  notes: notesPart,
})
export type CookItem = z.output<typeof cookItem>

export const cookDocument = z.strictObject({
  version: z.literal(1).default(1),
  title: text(120),
  clock: clockPart,
  items: z.array(cookItem).min(1).max(40),
  /** How many eat; null: nobody said. */
  guests: z.int().min(1).max(2000).nullable().default(null),
  /** What goes with them: potatoes, stuffing, puddings. */
  sides: z
    .array(z.strictObject({ id: ident(60), title: text(120), promise: instant }))
    .max(40)
    .default([]),
  /** Every step of the plan; none in a cook of an earlier release. */
  steps: z.array(cookStep).max(800).default([]),
  /** The plan or meal it cooks, as it was then. */
  source: z
    .strictObject({ kind: z.enum(['plan', 'meal']), id: ident(60), version: versionNumber })
    .nullable()
    .default(null),
  /** The meal as it was when the cook began: its ovens, sides and hands, for planning the rest again. */
  meal: mealDocument.nullable().default(null),
})
export type CookDocument = z.output<typeof cookDocument>

/**
 * What its meal asks for and its schedule found no room for: nothing on a board cooks it.
 * @example leftOut({ items: [], sides: [], meal: null }) // []
 */
export const leftOut = ({
  items,
  sides,
  meal,
}: Pick<CookDocument, 'items' | 'sides' | 'meal'>): readonly { readonly id: string; readonly title: string }[] =>
  [...(meal?.roasts ?? []), ...(meal?.sides ?? [])].filter(
    ({ id }) => ![...items, ...sides].some((own) => own.id === id),
  )

/** What somebody did or saw, once and for all: entries are added, never changed. `id` is made where it happened. */
const entryShape = z.strictObject({
  id: ident(64, 8),
  kind: z.enum(ENTRY_KINDS),
  /** Cook time. */
  at: instant,
  item: ident(60).nullable().default(null),
  by: text(80).default(''),
  /** A reading's °C, an oven's setting, an assignment's channel, a note's text, what is undone. */
  value_c: probeCelsius.nullable().default(null),
  point: ident(40).nullable().default(null),
  device: ident(60).nullable().default(null),
  channel: z.int().min(0).max(63).nullable().default(null),
  of: ident(64).nullable().default(null),
  text: text(1000).nullable().default(null),
})
export type CookEntry = z.output<typeof entryShape>

/** An entry that says what its kind must say. */
export const cookEntry = entryShape.superRefine((entry, context) => {
  const { needs, ofItem, cannot } = kindOf(entry.kind)
  for (const field of needs)
    if (entry[field] === null)
      context.addIssue({ code: 'custom', path: [field], message: `an entry ${entry.kind} must say its ${field}` })
  if (ofItem && entry.item === null)
    context.addIssue({ code: 'custom', path: ['item'], message: `an entry ${entry.kind} must name its roast` })
  const wrong = needs.every((field) => entry[field] !== null) ? cannot?.(entry) : undefined
  if (wrong !== undefined) context.addIssue({ code: 'custom', path: ['text'], message: wrong })
})
/** An entry as it was once kept: earlier releases asked less of it. */
export const keptEntry = entryShape.extend({ value_c: finite.nullable().default(null) })

/** One reading of a batch: what a kitchen's probe can read, at a time of ours. */
const readingOf = (unit: 'c' | 'f') =>
  z.strictObject({
    channel: z.int().min(0).max(63),
    seq: z.int().min(0),
    at: instant,
    value:
      unit === 'c' ? probeCelsius : finite.min(celsiusToFahrenheit(PROBE_C.low)).max(celsiusToFahrenheit(PROBE_C.high)),
  })
const readingIn = { c: readingOf('c'), f: readingOf('f') }
export type SentReading = z.output<typeof readingIn.c>

/** A batch of probe readings from a device. Each reading is looked at on its own: one that cannot be takes no other with it. */
export const readingsBatch = z.strictObject({
  /** The device's clock as it sends: what it is off by is taken out. Left out: its times are believed. */
  sent_at: instant.optional(),
  unit: z.enum(['c', 'f']),
  battery: finite.min(0).max(1).optional(),
  /** Whose count `seq` is: a device that counts from the start again when it is switched on names each time anew. */
  session: ident(64).default('-'),
  readings: z.array(z.unknown()).min(1).max(5000),
})

/** The readings of a batch that can be, and why each of the others cannot, by its place. */
export function sortReadings({ unit, readings }: z.output<typeof readingsBatch>): {
  readonly possible: readonly { readonly place: number; readonly reading: SentReading }[]
  readonly refused: readonly { readonly place: number; readonly problems: readonly Problem[] }[]
} {
  const possible: { place: number; reading: SentReading }[] = []
  const refused: { place: number; problems: readonly Problem[] }[] = []
  readings.forEach((value, place) => {
    const read = parseWith(readingIn[unit], value)
    if (read.ok) possible.push({ place, reading: read.value })
    else refused.push({ place, problems: read.problems })
  })
  return { possible, refused }
}

/** A probe reading as the board knows it; cook time. */
export interface ProbeReading {
  readonly device: string
  readonly channel: number
  readonly at_s: number
  readonly value_c: number
}
