import { z } from 'zod'
import {
  altitudePart,
  frozenPart,
  learnedPart,
  notesPart,
  ovenPart,
  PREPARATIONS,
  programPart,
  roastPart,
  thawsPart,
} from '../roast/roast-document'
import { finite, ident, instant, text } from '../schema/scalars'
import { zonePart } from '../schema/zone'

const id = ident(60)
const title = text(120).trim()
const target = z.union([z.strictObject({ serve_c: finite }), z.strictObject({ doneness: ident(60) })])

/** An oven of a kitchen: how it heats, what it takes. */
export const mealOven = ovenPart.extend({
  id,
  name: title,
  places: z
    .int()
    .min(1)
    .max(20)
    .default(2)
    .describe('Shelves or slots that take a roast or a tray; small pieces share one'),
  low_c: finite.default(60),
  high_c: finite.default(260),
})

/** What a kitchen cooks with. */
export const equipmentPart = z.strictObject({
  ovens: z.array(mealOven).min(1).max(12),
  fire_places: z.int().min(0).max(12).default(0),
  hob_rings: z.int().min(0).max(24).default(4),
  bath_places: z.int().min(0).max(12).default(0),
  cabinet_places: z.int().min(0).max(24).default(0),
  cooks: z.array(title).min(1).max(20).default(['Cook']),
  probes: z.int().min(0).max(40).default(1),
  fridge_litres: finite.min(0).max(20_000).default(200),
  altitude_m: altitudePart,
})
export type Equipment = z.output<typeof equipmentPart>

/** Held by hand: the scheduler keeps it. */
const pinPart = z.strictObject({
  oven: id.nullable().default(null),
  start: instant.nullable().default(null),
})

export const mealRoast = z.strictObject({
  id,
  title,
  serving: id,
  roast: roastPart,
  program: programPart.default({ school: 'steady' }),
  target: target.optional(),
  heads: z.int().min(0).max(2000).default(0),
  price_per_kg: finite.min(0).max(10_000).nullable().default(null),
  frozen: frozenPart,
  thaws: thawsPart,
  preparation: z.enum(PREPARATIONS).default('dry_salt'),
  notes: notesPart,
  owner: title.nullable().default(null),
  pin: pinPart.prefault({}),
})
export type MealRoast = z.output<typeof mealRoast>

export const mealSide = z.strictObject({
  id,
  title,
  serving: id,
  set_c: finite.describe('Oven it likes best, °C'),
  low_c: finite,
  high_c: finite,
  minutes: finite.min(1).max(600).describe('In the oven at the setting it likes best'),
  places: finite
    .min(0.5)
    .max(4)
    .multipleOf(0.5)
    .default(1)
    .describe('Of an oven; half of one where no more than ten eat, all of it where more do'),
  hold_min: finite.min(0).max(240).default(10).describe('How long it keeps before serving'),
  hob_min: finite.min(0).max(240).default(0).describe('On the hob first: par-boiling'),
  quantity: text(120).default('').describe('For the shopping list'),
  owner: title.nullable().default(null),
  pin: pinPart.prefault({}),
})
export type MealSide = z.output<typeof mealSide>

export const mealServing = z.strictObject({
  id,
  title,
  at: instant,
  away_min: finite.min(0).max(240).default(0).describe('The way there, packed hot, minutes: all is dished before it'),
})

/** The schedule a cook saw and kept: sheets, calendars and boards go by it. */
const placedPart = z.strictObject({
  proved: z.boolean(),
  bound: finite.nullable(),
  items: z
    .array(
      z.strictObject({
        id,
        stays: z.array(z.strictObject({ source: id, from: instant, to: instant })).max(6),
        dish: instant,
        done: instant,
      }),
    )
    .max(80),
})
export type PlacedPart = z.output<typeof placedPart>

/** A whole meal as it is kept, exported and imported; also what the headless `plan` reads. */
export const mealDocument = z
  .strictObject({
    version: z.literal(1).default(1),
    kind: z.literal('meal').default('meal'),
    title: title.default(''),
    kitchen: equipmentPart,
    servings: z.array(mealServing).min(1).max(12),
    guests: z.int().min(1).max(2000).default(6),
    vulnerable: z.boolean().default(false),
    roasts: z.array(mealRoast).max(40).default([]),
    sides: z.array(mealSide).max(40).default([]),
    gravy: z.boolean().default(true),
    time_zone: zonePart,
    learned: z.array(learnedPart).max(24).default([]).describe('What earlier cooks taught its ovens and pieces'),
    day_start: instant
      .nullable()
      .default(null)
      .describe('Nothing goes into an oven before this; null: twelve hours before the last serving'),
    placed: placedPart.nullable().default(null).describe('The schedule last kept; null: to be made'),
  })
  .superRefine((meal, context) => {
    const servings = new Set(meal.servings.map((serving) => serving.id))
    const ovens = new Set(meal.kitchen.ovens.map((oven) => oven.id))
    const once = (list: readonly { readonly id: string }[], path: readonly (string | number)[]) => {
      const ids = new Set<string>()
      list.forEach((part, i) => {
        if (ids.has(part.id))
          context.addIssue({ code: 'custom', path: [...path, i, 'id'], message: `${part.id} is used twice` })
        ids.add(part.id)
      })
    }
    once(meal.servings, ['servings'])
    once(meal.kitchen.ovens, ['kitchen', 'ovens'])
    const seen = new Set<string>()
    const each = (list: 'roasts' | 'sides') =>
      meal[list].forEach((item, i) => {
        if (seen.has(item.id))
          context.addIssue({ code: 'custom', path: [list, i, 'id'], message: `${item.id} is used twice` })
        seen.add(item.id)
        if (!servings.has(item.serving))
          context.addIssue({
            code: 'custom',
            path: [list, i, 'serving'],
            message: `there is no serving ${item.serving}`,
          })
        if (item.pin.oven !== null && !ovens.has(item.pin.oven))
          context.addIssue({
            code: 'custom',
            path: [list, i, 'pin', 'oven'],
            message: `there is no oven ${item.pin.oven}`,
          })
      })
    each('roasts')
    each('sides')
    meal.sides.forEach((side, i) => {
      if (!(side.low_c <= side.set_c && side.set_c <= side.high_c))
        context.addIssue({ code: 'custom', path: ['sides', i, 'set_c'], message: 'must lie between low_c and high_c' })
    })
  })
export type MealDocument = z.output<typeof mealDocument>
export type MealDocumentInput = z.input<typeof mealDocument>

/** The servings that something is eaten at: one whose last roast was left out or moved is no step of anybody's. */
export function servingsLaid({ servings, roasts, sides }: Pick<MealDocument, 'servings' | 'roasts' | 'sides'>) {
  const used = new Set([...roasts, ...sides].map(({ serving }) => serving))
  const laid = servings.filter(({ id }) => used.has(id))
  return laid.length > 0 ? laid : servings
}

/** What comes on the table then, by name. */
export const servingsAt = ({ servings }: MealDocument, at_s: number): string =>
  servings
    .filter(({ at }) => Math.abs(Date.parse(at) / 1000 - at_s) < 30)
    .map(({ title }) => title)
    .join(', ')

/** How long what is served then is on its way, s. */
export const awayOf = ({ servings }: MealDocument, serving: string): number =>
  (servings.find((each) => each.id === serving)?.away_min ?? 0) * 60

/** A meal with something of one of its roasts or sides changed. */
export const withPart = (
  meal: MealDocument,
  id: string,
  part: Partial<MealRoast> & Partial<MealSide>,
): MealDocument => ({
  ...meal,
  roasts: meal.roasts.map((roast) => (roast.id === id ? { ...roast, ...part } : roast)),
  sides: meal.sides.map((side) => (side.id === id ? { ...side, ...part } : side)),
})
