import { z } from 'zod'
import { TENDING_ACTS } from '@/core/program/stage'
import { TENDER_ENDS } from '@/core/reference/tenderness'
import { finite, ident, instant, text } from '../schema/scalars'
import { zonePart } from '../schema/zone'

/** The documents that Pheasant reads and writes. Units stand in the names; a `version` goes with each. */

export const ROAST_SURFACES = ['plain', 'dry_salted', 'buttered'] as const
export const HANDLINGS = ['as_cut', 'rolled', 'stuffed', 'tenderised', 'injected'] as const

/** A house cut: a catalogue cut with some of its values changed. Units in the names; left out: the catalogue's own. */
export const houseCutPart = z.strictObject({
  name: text(80).trim().min(1).optional(),
  thickness_mm: finite.min(15).max(300).optional().describe('At the usual weight; cylinders only'),
  width_ratio: finite.min(1).max(8).optional().describe('Width over thickness'),
  length_ratio: finite.min(1).max(8).optional().describe('Length over thickness; plump pieces only'),
  usual_kg: finite.min(0.1).max(25).optional(),
  bone_share: finite.min(0).max(0.5).optional().describe('Bone as a share of the raw weight'),
  per_head_kg: finite.min(0.05).max(2).optional(),
  rest_least_min: finite.min(0).max(180).optional(),
  rest_most_min: finite.min(0).max(360).optional(),
  intact: z.boolean().optional(),
  measure: text(200).optional(),
  probe: text(200).optional(),
})
export type HouseCutPart = z.output<typeof houseCutPart>

/** What its kitchen's standards were for this cut when it was planned: one changed later changes no plan that is made. */
export const standardsPart = z.strictObject({
  serves: z
    .record(text(60), finite.min(40).max(98))
    .refine((serves) => Object.keys(serves).length <= 20, 'names at most 20 degrees')
    .optional()
    .describe('Served at, °C, by scale and degree, such as red.medium-rare'),
  usual: ident(60).optional().describe('The degree where nobody says one'),
  rest_least_min: finite.min(0).max(180).optional(),
  portion: finite.min(0.4).max(2.5).optional().describe('Of the usual portion'),
  buy_step_kg: finite.min(0.01).max(5).optional().describe('Weights to buy are rounded up to a step of'),
  school: text(200).optional().describe('Why it is cooked in this school, where the kitchen said so'),
})
export type StandardsPart = z.output<typeof standardsPart>

export const roastPart = z.strictObject({
  cut: ident(80).describe('Cut id from the catalogue, such as beef-rib-bone-in'),
  mass_kg: finite.describe('Raw weight as bought, kg'),
  thickness_mm: finite
    .nullable()
    .default(null)
    .describe('Measured shortest way through the thickest part, mm; null to take it from cut and weight'),
  thickness_doubt: finite
    .min(0.01)
    .max(0.5)
    .optional()
    .describe('Deviation of the thickness, relative, where earlier pieces taught it'),
  start_c: finite.default(5).describe('Core temperature when it leaves the fridge, °C'),
  temper_min: finite.default(0).describe('Time on the bench before it goes in, minutes'),
  surface: z.enum(ROAST_SURFACES).default('plain').describe('dry_salted: salted ahead and left open in the fridge'),
  handling: z
    .enum(HANDLINGS)
    .default('as_cut')
    .describe('What was done to it that carries its outside inside: then the rare choice is off'),
  stuffed: z.boolean().default(false).describe('Stuffing in the cavity of a bird'),
  legs: z
    .enum(['tied', 'open', 'flat'])
    .default('tied')
    .describe('Legs of a bird; flat: its backbone out, pressed flat'),
  thin_end: finite
    .min(0.3)
    .max(1)
    .nullable()
    .default(null)
    .describe('Thickness of the thin end over the thick one; null: tied even'),
  icy_core_c: finite.nullable().default(null).describe('Centre still colder than start_c: part-frozen, °C'),
  house: houseCutPart.nullable().default(null).describe('House values laid over the catalogue cut'),
  standards: standardsPart.optional().describe("Its kitchen's standards, under the house's values"),
  supplier: text(80).trim().default('').describe('Who it is from: pieces of one butcher are alike'),
})

export const ovenPart = z.strictObject({
  kind: z.enum(['still', 'fan']).default('still'),
  offset_k: finite.default(0).describe('How far the true mean lies above the dial, K'),
  doubt_k: finite.min(0.5).max(30).optional().describe('Deviation of that, where earlier cooks taught it, K'),
  swing_k: finite.min(0).max(40).optional().describe('Half the swing of the thermostat, K'),
  decay_min: finite.min(5).max(600).optional().describe('Time constant of cooling with the door shut, minutes'),
  preheat_k_per_min: finite.min(1).max(120).optional().describe('Warm-up at full power, K a minute'),
  door_loss: finite.min(0).max(0.9).optional().describe("Share of the air's heat lost at one opening"),
})

export const environmentPart = z.discriminatedUnion('kind', [
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
  z.strictObject({
    kind: z.literal('tender'),
    degree: z.enum(TENDER_ENDS).describe('How tender at its centre, by time and temperature'),
  }),
  z.strictObject({
    kind: z.literal('clock'),
    least_min: finite.describe('Holds until the clock says go, at least so long'),
  }),
])

export const stagePart = z.strictObject({
  role: z.enum(['cook', 'rest', 'finish']).default('cook'),
  environment: environmentPart,
  cover: z.enum(['bare', 'tent', 'foil', 'bag']).default('bare'),
  preheated: z.boolean().default(true),
  position: z.enum(['breast_up', 'breast_down']).optional(),
  foil: z.enum(['breast', 'legs']).optional().describe('Foil over one part of a bird'),
  surface: z.enum(['plain', 'fat', 'glaze']).optional(),
  until: untilPart,
  tending: z
    .array(
      z.strictObject({
        act: z.enum(TENDING_ACTS).describe('coals: fuel on the fire; look: the door opened for nothing else'),
        at_min: finite.default(0).describe('From the beginning of the stage; where nothing else says when'),
        every_min: finite.optional(),
        at_share: finite.min(0).max(1).optional().describe('Instead: at this share of the stage, 0.5 half-way'),
        before_end_min: finite.min(0).optional().describe('Instead: so long before the stage ends'),
        at_core_c: finite.min(0).max(98).optional().describe('Instead: when the core first reads this'),
      }),
    )
    .max(12)
    .default([]),
})

export const schoolPart = z.strictObject({
  school: ident(60).describe('School id, such as steady or reverse-sear'),
  set_c: finite.optional().describe("Main heat, °C; the school's own by default"),
  hot_c: finite.optional().describe('The hot part, °C, where the school has one'),
  hot_min: finite.optional().describe('How long the hot part lasts, minutes'),
  rest_min: finite.optional().describe('Least rest before carving, minutes'),
  tender: z.enum(TENDER_ENDS).optional().describe('How tender, of a school that cooks until it is'),
})

export type SchoolPart = z.output<typeof schoolPart>
export const stagesPart = z.strictObject({
  name: text(80).trim().optional().describe('What the house calls it'),
  stages: z.array(stagePart).min(1).max(12),
})
export const programPart = z.union([schoolPart, stagesPart])
export type ProgramPart = z.output<typeof programPart>
export type StagePart = z.output<typeof stagePart>

export const targetPart = z.union([
  z.strictObject({ serve_c: finite.describe('Wanted at the core at its peak, °C') }),
  z.strictObject({ doneness: ident(60).describe('A word for it, such as medium-rare') }),
  z.strictObject({ pull_c: finite.describe('Pull at this reading, whatever comes of it, °C') }),
])

/** Height of the kitchen over the sea: water boils sooner up there. From below the Dead Sea's shore to the highest towns. */
export const altitudePart = finite.min(-450).max(5500).default(0).describe('Height of the kitchen over the sea, m')
const vulnerablePart = z
  .boolean()
  .default(false)
  .describe('Someone at the table is very young, old, pregnant or has a weak immune system')

/** What is done to a piece on the days before. */
export const PREPARATIONS = ['none', 'dry_salt', 'wet_brine', 'marinade', 'acid_marinade'] as const
export const frozenPart = z.boolean().default(false).describe('Bought frozen: thawing goes on the days before')
export const thawsPart = z
  .enum(['water', 'out'])
  .optional()
  .describe(
    'How what was bought frozen thaws: in cold water, or out of the freezer already; in the fridge where nothing is said',
  )
export const notesPart = text(500).default('').describe('What is to be remembered but is not computed with')

/** What `simulate` reads. */
export const simulateDocument = z.strictObject({
  version: z.literal(1).default(1),
  roast: roastPart,
  oven: ovenPart.prefault({}),
  program: programPart.default({ school: 'steady' }),
  target: targetPart.optional().describe('The usual doneness of the cut by default'),
  altitude_m: altitudePart,
  vulnerable: vulnerablePart,
  members: z.int().min(8).max(1024).default(128).describe('Size of the ensemble'),
  seed: z.int().min(0).max(4294967295).default(1),
})
export type SimulateDocument = z.output<typeof simulateDocument>

/** What earlier cooks taught that a plan goes by. */
export const LEARNED_OF = ['oven', 'preheat', 'door', 'swing', 'decay', 'cut', 'supplier'] as const
export const learnedPart = z.strictObject({
  of: z.enum(LEARNED_OF),
  name: text(120).describe('Which oven, cut or supplier'),
  value: finite.describe(
    'Oven: K; warm-up: K a minute; door: share of its heat; swing: K; cooling: minutes; thickness: as a factor',
  ),
  spread: finite.describe('Deviation of the next cook, in the same unit'),
  cooks: z.int().min(1),
  later_min: finite.nullable().default(null).describe('By how much the put-in is later for it, minutes'),
})
export type LearnedPart = z.output<typeof learnedPart>

/** One plan as it is kept, exported and imported: one roast, one oven, one promise. */
export const planDocument = z.strictObject({
  version: z.literal(1).default(1),
  title: text(120).trim().default(''),
  roast: roastPart,
  oven: ovenPart.prefault({}),
  program: programPart.default({ school: 'steady' }),
  target: z.union([z.strictObject({ serve_c: finite }), z.strictObject({ doneness: ident(60) })]).optional(),
  promise: instant.describe('Plates on the table'),
  in_since: instant.optional().describe('It is in the heat already, since then; left out: it is not'),
  guests: z.int().min(1).max(2000).nullable().default(null),
  wishes: z
    .record(ident(60), z.int().min(0).max(2000))
    .refine((wishes) => Object.keys(wishes).length <= 20, 'names at most 20 donenesses')
    .default({})
    .describe('Guests by wanted doneness'),
  vulnerable: vulnerablePart,
  altitude_m: altitudePart,
  time_zone: zonePart,
  preparation: z.enum(PREPARATIONS).nullable().default(null).describe('null: as the surface says'),
  frozen: frozenPart,
  thaws: thawsPart,
  notes: notesPart,
  learned: z.array(learnedPart).max(10).default([]).describe('What earlier cooks taught it'),
  gravy: z.boolean().default(false).describe('Gravy is made of its juices'),
  price_per_kg: finite.min(0).max(10_000).nullable().default(null).describe("In the kitchen's own money"),
})
export type PlanDocument = z.output<typeof planDocument>
export type PlanDocumentInput = z.input<typeof planDocument>

const spread = z.object({ p10: finite.nullable(), p50: finite.nullable(), p90: finite.nullable() })

/** What `simulate` answers. */
export const simulateAnswer = z.object({
  version: z.literal(1),
  outcome: z.enum(['reached', 'fixed_program', 'time_limit', 'cannot']),
  because: z.array(z.looseObject({ code: z.string() })).describe('Why it cannot be; empty where it can'),
  pull_min: spread.describe('Minutes from the oven door to the pull'),
  pull_c: finite.nullable().describe('null where it cannot be'),
  peak_c: finite.describe('Where it cannot be: as far as it gets'),
  peak_after_min: finite.nullable(),
  pull_reads_c: finite.nullable().describe('What a usual probe shows at the pull: a little more than the core has'),
  peak_reads_c: finite.nullable().describe('And at its highest'),
  carve_min: finite.nullable(),
  thickness_mm: finite,
  points: z.array(z.string()),
  curve: z.array(
    z.object({
      minute: finite,
      oven_c: finite,
      surface_c: finite,
      core_c: finite,
      second_c: finite.nullable(),
      third_c: finite.nullable(),
    }),
  ),
  doneness: z.array(z.object({ degree: z.string(), share: finite })),
  grey_rim_mm: finite,
  lost_share: finite,
  juices_kg: finite.describe('Dripped into the tin; the rest of what is lost is steam'),
  board_juices_kg: finite.describe('Runs out on the board as it is sliced, at the temperature it has then'),
  cooked_kg: finite,
  carved_kg: finite,
  crust_index_min: finite.describe('Minutes at 150 °C on the surface, or their like'),
  lethality_share: finite.describe('Of the model food code hold table; met at 1'),
  poultry_decades: finite.nullable().describe('Decades of Salmonella killed at the least-heated point; birds only'),
  danger_zone_min: finite,
  warm_min: finite.describe('Minutes on the board, tented, until the mean is below 48 °C'),
  cooling: z.object({
    whole_to_21_min: finite.nullable(),
    whole_to_5_min: finite.nullable(),
    whole_in_time: z.boolean(),
    slab_mm: finite.nullable().describe('Thickest slab that cools 57→21 °C in 2 h and to 5 °C in 4 h more'),
  }),
  points_detail: z.array(z.object({ point: z.string(), pull_c: finite, peak_c: finite, thickness_mm: finite })),
  gap_k: finite.nullable().describe('Hottest less least-heated required point at the pull, K; one point: null'),
  matters: z.array(z.object({ input: z.string(), share: finite })),
  cautions: z.array(z.looseObject({ code: z.string() })),
})
export type SimulateAnswer = z.output<typeof simulateAnswer>
