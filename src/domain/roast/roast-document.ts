import { z } from 'zod'

/** The documents that Pheasant reads and writes. Units stand in the names; a `version` goes with each. */

const finite = z.number().finite()

export const ROAST_SURFACES = ['plain', 'dry_salted'] as const

export const roastPart = z.strictObject({
  cut: z.string().min(1).describe('Cut id from the catalogue, such as beef-rib-bone-in'),
  mass_kg: finite.describe('Raw weight as bought, kg'),
  thickness_mm: finite
    .nullable()
    .default(null)
    .describe('Measured shortest way through the thickest part, mm; null to take it from cut and weight'),
  start_c: finite.default(5).describe('Core temperature when it leaves the fridge, °C'),
  temper_min: finite.default(0).describe('Time on the bench before it goes in, minutes'),
  surface: z.enum(ROAST_SURFACES).default('plain').describe('dry_salted: salted ahead and left open in the fridge'),
})

export const ovenPart = z.strictObject({
  kind: z.enum(['still', 'fan']).default('still'),
  offset_k: finite.default(0).describe('How far the true mean lies above the dial, K'),
})

const environmentPart = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('oven'),
    set_c: finite.nullable().describe('Dial, °C; null: switched off, door shut'),
  }),
  z.strictObject({ kind: z.enum(['fire', 'pan', 'bath', 'cabinet']), set_c: finite }),
  z.strictObject({ kind: z.enum(['counter', 'fridge']) }),
])

const untilPart = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('time'), minutes: finite }),
  z.strictObject({ kind: z.literal('pull') }),
  z.strictObject({ kind: z.literal('core'), core_c: finite }),
  z.strictObject({
    kind: z.literal('colour'),
    browning_min: finite.describe('Minutes at 150 °C on the surface, or their like'),
  }),
])

export const stagePart = z.strictObject({
  role: z.enum(['cook', 'rest', 'finish']).default('cook'),
  environment: environmentPart,
  cover: z.enum(['bare', 'tent', 'foil', 'bag']).default('bare'),
  preheated: z.boolean().default(true),
  position: z.enum(['breast_up', 'breast_down']).optional(),
  until: untilPart,
  tending: z
    .array(
      z.strictObject({
        act: z.enum(['baste', 'turn', 'glaze', 'uncover']),
        at_min: finite,
        every_min: finite.optional(),
      }),
    )
    .max(12)
    .default([]),
})

export const schoolPart = z.strictObject({
  school: z.string().min(1).describe('School id, such as steady or reverse-sear'),
  set_c: finite.optional().describe("Main heat, °C; the school's own by default"),
  hot_c: finite.optional().describe('The hot part, °C, where the school has one'),
  hot_min: finite.optional().describe('How long the hot part lasts, minutes'),
  rest_min: finite.optional().describe('Least rest before carving, minutes'),
})

export const programPart = z.union([schoolPart, z.strictObject({ stages: z.array(stagePart).min(1).max(12) })])

export const targetPart = z.union([
  z.strictObject({ serve_c: finite.describe('Wanted at the core at its peak, °C') }),
  z.strictObject({ doneness: z.string().min(1).describe('A word for it, such as medium-rare') }),
  z.strictObject({ pull_c: finite.describe('Pull at this reading, whatever comes of it, °C') }),
])

/** What `simulate` reads. */
export const simulateDocument = z.strictObject({
  version: z.literal(1).default(1),
  roast: roastPart,
  oven: ovenPart.prefault({}),
  program: programPart.default({ school: 'steady' }),
  target: targetPart.optional().describe('The usual doneness of the cut by default'),
  members: z.int().min(8).max(1024).default(128).describe('Size of the ensemble'),
  seed: z.int().min(0).max(4294967295).default(1),
})
export type SimulateDocument = z.output<typeof simulateDocument>

/** One plan as it is kept, exported and imported: one roast, one oven, one promise. */
export const planDocument = z.strictObject({
  version: z.literal(1).default(1),
  title: z.string().trim().max(120).default(''),
  roast: roastPart,
  oven: ovenPart.prefault({}),
  program: schoolPart.default({ school: 'steady' }),
  target: z.union([z.strictObject({ serve_c: finite }), z.strictObject({ doneness: z.string().min(1) })]).optional(),
  promise: z.iso.datetime({ offset: true }).describe('Plates on the table'),
  guests: z.int().min(1).max(2000).nullable().default(null),
})
export type PlanDocument = z.output<typeof planDocument>
export type PlanDocumentInput = z.input<typeof planDocument>

const spread = z.object({ p10: finite.nullable(), p50: finite.nullable(), p90: finite.nullable() })

/** What `simulate` answers. */
export const simulateAnswer = z.object({
  version: z.literal(1),
  outcome: z.enum(['reached', 'time_limit', 'fixed_program']),
  pull_min: spread.describe('Minutes from the oven door to the pull'),
  pull_c: finite,
  peak_c: finite,
  peak_after_min: finite,
  carve_min: finite,
  thickness_mm: finite,
  points: z.array(z.string()),
  curve: z.array(
    z.object({ minute: finite, oven_c: finite, surface_c: finite, core_c: finite, second_c: finite.nullable() }),
  ),
  doneness: z.array(z.object({ degree: z.string(), share: finite })),
  grey_rim_mm: finite,
  lost_share: finite,
  cooked_kg: finite,
  carved_kg: finite,
  crust_index_min: finite.describe('Minutes at 150 °C on the surface, or their like'),
  lethality_share: finite.describe('Of the model food code hold table; met at 1'),
  danger_zone_min: finite,
  matters: z.array(z.object({ input: z.string(), share: finite })),
  cautions: z.array(z.looseObject({ code: z.string() })),
})
export type SimulateAnswer = z.output<typeof simulateAnswer>

/** Schemas by the name that `schema NAME` takes. */
export const DOCUMENTS = {
  simulate: simulateDocument,
  'simulate-answer': simulateAnswer,
  plan: planDocument,
} as const
