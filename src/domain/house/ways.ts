import { isBird, pullsApart } from '@/core/program/schools'
import { type Cut, isCured } from '@/core/reference/cuts'
import type { SaidRoast } from '../line/reading'
import { stagesOfDocument } from '../roast/resolve'
import { ovenPart, type PlanDocument, type PREPARATIONS } from '../roast/roast-document'
import { mainStage } from '../roast/stages'
import type { HouseItem, WayId } from './house-item'

export type { WayId } from './house-item'

/**
 * What practitioners differ about, each with the ways there are: one is chosen without asking, said with its
 * reason, and changed in a tap; a kitchen remembers how it does it.
 */

/** What of a plan or a meal's roast a way sets. */
export interface Wayed {
  readonly roast: PlanDocument['roast']
  readonly program: PlanDocument['program']
  readonly target?: PlanDocument['target']
  readonly preparation: (typeof PREPARATIONS)[number] | null
  readonly notes: string
}

export interface WayOption {
  readonly id: string
  readonly set: (document: Wayed) => Partial<Wayed>
}
export interface Way {
  readonly id: WayId
  readonly applies: (cut: Cut) => boolean
  /** Whether a line says this itself. */
  readonly said: (roast: SaidRoast) => boolean
  /** The first is the usual one. */
  readonly options: readonly WayOption[]
  /** Which of them a document has; undefined where it has another of its own. */
  readonly of: (document: Wayed) => string | undefined
}

const temper = (minutes: number): WayOption => ({
  id: `${minutes}`,
  set: ({ roast }) => ({ roast: { ...roast, temper_min: minutes } }),
})
/** A note that says how, in place of the others of its way. */
const noted = (id: string, words: string, others: readonly string[]): WayOption => ({
  id,
  set: ({ notes }) => ({
    notes: [...notes.split('; ').filter((note) => note !== '' && !others.includes(note)), words]
      .filter((note) => note !== '')
      .join('; ')
      .slice(0, 500),
  }),
})
const notedAs =
  (words: Readonly<Record<string, string>>) =>
  ({ notes }: Wayed): string | undefined => {
    const held = notes.split('; ')
    return Object.entries(words).find(([, said]) => said !== '' && held.includes(said))?.[0] ?? Object.keys(words)[0]
  }
const STUFFED = {
  empty: '',
  dish: 'stuffing baked in a dish beside',
  neck: 'stuffed in the neck only',
  cavity: '',
} as const
const RACK = { rack: '', trivet: 'on a trivet of vegetables', bones: 'on a bed of bones' } as const
const BONE = { on: '', off: 'bone off, tied back on for carving' } as const
const notesOf = (words: Readonly<Record<string, string>>) =>
  Object.entries(words).map(([id, said]) => noted(id, said, Object.values(words)))
const hasNote = (words: Readonly<Record<string, string>>, pattern: RegExp) => (roast: SaidRoast) =>
  roast.notes.some((note) => Object.values(words).includes(note) || pattern.test(note))

/** Wanted at the core by the old school for pork, and in the thigh for its texture, °C (common practice). */
const OLD_PORK_C = 75
const THIGH_C = 80
const serves = (id: string, serve_c: number | undefined): WayOption => ({
  id,
  set: () => ({ target: serve_c === undefined ? undefined : { serve_c } }),
})
const servedAs =
  (id: string, serve_c: number) =>
  ({ target }: Wayed): string | undefined =>
    target === undefined ? 'usual' : 'serve_c' in target && target.serve_c === serve_c ? id : undefined
const targetSaid = ({ doneness, serve_c, pull_c }: SaidRoast) =>
  doneness !== undefined || serve_c !== undefined || pull_c !== undefined

/** Basted so often where nobody says how often, minutes (common practice). */
export const BASTE_MIN = 40
/** The main stretch of heat basted: a school becomes its own stages for that. */
function basted(document: Wayed): Partial<Wayed> {
  const stages = stagesOfDocument({ ...document, oven: ovenPart.parse({}) })
  const main = mainStage(stages)
  if (main < 0) return {}
  const name = 'stages' in document.program ? document.program.name : undefined
  const tended = { act: 'baste' as const, at_min: BASTE_MIN, every_min: BASTE_MIN }
  return {
    program: {
      ...(name ? { name } : {}),
      stages: stages.map((stage, i) => (i === main ? { ...stage, tending: [...stage.tending, tended] } : stage)),
    },
  }
}
const bastes = ({ program }: Wayed) =>
  'stages' in program && program.stages.some(({ tending }) => tending.some(({ act }) => act === 'baste'))

export const WAYS: readonly Way[] = [
  {
    id: 'temper',
    applies: () => true,
    said: ({ temper_min }) => temper_min !== undefined,
    options: [30, 0, 60, 120].map(temper),
    of: ({ roast }) => `${roast.temper_min}`,
  },
  {
    id: 'salt',
    applies: (cut) => !isCured(cut),
    said: ({ preparation, surface }) => preparation !== undefined || surface !== undefined,
    options: [
      { id: 'ahead', set: ({ roast }) => ({ preparation: 'dry_salt', roast: { ...roast, surface: 'dry_salted' } }) },
      { id: 'at_once', set: ({ roast }) => ({ preparation: 'none', roast: { ...roast, surface: 'plain' } }) },
    ],
    of: ({ preparation, roast }) =>
      preparation === 'none' || (preparation === null && roast.surface === 'plain')
        ? 'at_once'
        : preparation === 'dry_salt' || preparation === null
          ? 'ahead'
          : undefined,
  },
  {
    id: 'truss',
    applies: isBird,
    said: ({ legs }) => legs !== undefined,
    options: (['tied', 'open', 'flat'] as const).map((legs) => ({
      id: legs,
      set: ({ roast }) => ({ roast: { ...roast, legs, stuffed: roast.stuffed && legs !== 'flat' } }),
    })),
    of: ({ roast }) => roast.legs,
  },
  {
    id: 'stuff',
    applies: (cut) => cut.geometry.family === 'bird',
    said: ({ stuffed, notes }) => stuffed === true || notes.some((note) => /stuff/.test(note)),
    options: Object.entries(STUFFED).map(([id, said]) => ({
      id,
      set: (document) => ({
        ...noted(id, said, Object.values(STUFFED)).set(document),
        roast: {
          ...document.roast,
          stuffed: id === 'cavity',
          legs: id === 'cavity' && document.roast.legs === 'flat' ? ('tied' as const) : document.roast.legs,
        },
      }),
    })),
    of: (document) => (document.roast.stuffed ? 'cavity' : notedAs(STUFFED)({ ...document })),
  },
  {
    id: 'baste',
    applies: isBird,
    said: ({ tending }) => tending.some(({ act }) => act === 'baste'),
    options: [
      {
        id: 'never',
        set: ({ program }) =>
          'stages' in program
            ? {
                program: {
                  ...program,
                  stages: program.stages.map((stage) => ({
                    ...stage,
                    tending: stage.tending.filter(({ act }) => act !== 'baste'),
                  })),
                },
              }
            : {},
      },
      { id: 'often', set: basted },
    ],
    of: (document) => (bastes(document) ? 'often' : 'never'),
  },
  {
    id: 'rack',
    applies: (cut) => !pullsApart(cut),
    said: hasNote(RACK, /\b(?:rack|trivet|bed of|on (?:the )?bones)\b/),
    options: notesOf(RACK),
    of: notedAs(RACK),
  },
  {
    id: 'bone',
    applies: ({ bone, geometry }) => bone === 'in' && geometry.family === 'round',
    said: hasNote(BONE, /\bbones? (?:off|tied)\b/),
    options: notesOf(BONE),
    of: notedAs(BONE),
  },
  {
    id: 'pork',
    applies: ({ doneness, intact }) => doneness === 'pork' && intact,
    said: targetSaid,
    options: [serves('usual', undefined), serves('old', OLD_PORK_C)],
    of: servedAs('old', OLD_PORK_C),
  },
  {
    id: 'thigh',
    applies: (cut) => isBird(cut) && cut.doneness === 'poultry',
    said: targetSaid,
    options: [serves('usual', undefined), serves('tender', THIGH_C)],
    of: servedAs('tender', THIGH_C),
  },
]

/** A document with one way of doing it chosen; as it is where there is no such way. */
export function withWay<Document extends Wayed>(document: Document, id: WayId, option: string): Document {
  const found = WAYS.find((way) => way.id === id)?.options.find((each) => each.id === option)
  if (!found) return document
  const changed: Document & { target?: unknown } = { ...document, ...found.set(document) }
  if (changed.target === undefined) delete changed.target
  return changed
}

/** What a kitchen remembers of how it does it, by way. */
export type HouseWays = Readonly<Partial<Record<WayId, string>>>
export const waysOf = (house: readonly HouseItem[]): HouseWays =>
  Object.fromEntries(
    house.flatMap(({ document }) => (document.kind === 'way' ? [[document.name, document.option] as const] : [])),
  )

/** A roast as it was said, with what its kitchen does where nothing was said. */
export function asTheHouseDoes<Document extends Wayed>(
  document: Document,
  said: SaidRoast,
  cut: Cut,
  ways: HouseWays,
): Document {
  let done = document
  for (const way of WAYS) {
    const option = ways[way.id]
    if (option !== undefined && way.applies(cut) && !way.said(said)) done = withWay(done, way.id, option)
  }
  return done
}
