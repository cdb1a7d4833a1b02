import { z } from 'zod'
import { CAUSES, causesOf } from '@/core/estimate/causes'
import { paceLesson } from '@/core/estimate/lesson'
import { ovenWays, SETTLES_S } from '@/core/estimate/oven-air'
import { assimilate, inferredOf } from '@/core/estimate/posterior'
import { usualThickness } from '@/core/heat/piece'
import { answerRoast } from '@/core/roast/answer'
import { tenth } from '../../quantity/round'
import { cutAsCooked } from '../../roast/resolve'
import { finite, instant } from '../../schema/scalars'
import { ATE_ASPECTS, ATE_SAID, type Ate } from '../ate'
import { type BoardItem, boardOf, settingOf } from '../board'
import type { CookDocument, CookEntry, CookItem, ProbeReading } from '../cook-document'
import { foldLog, promisedAt, standing } from '../entry/fold'
import { secondsOf } from '../entry/time'
import { questionOfItem, setupOf } from '../forecast/belief'
import { howItWent } from '../how-it-went'

/** A cook once it is over, as it is kept and read again: as it was planned, as it went, why, and how it ate. */

const at = instant.nullable()
const point = z.tuple([finite, finite])
const ateShape = z.object(
  Object.fromEntries([...ATE_ASPECTS, ...ATE_SAID].map((name) => [name, z.string().optional()])),
)

/** What it says for the next: longer than the model by a logarithm, with what an oven and a piece would do to that; and the air, where it was measured. */
const taught = z.object({
  longer: finite,
  per_k: finite,
  per_thickness: finite,
  air_k: finite.nullable(),
  /** What it was planned with already: the oven's offset, K, and the thickness over the usual, as a logarithm. */
  told_k: finite,
  told_thicker: finite,
  /** The thickness was measured: then it was no guess, and says what such pieces are like. */
  measured: z.boolean(),
  /** How its oven heats, over the usual one, as logarithms; where a probe in the air told. */
  preheat: finite.nullable().optional(),
  door: finite.nullable().optional(),
  swing: finite.nullable().optional(),
  decay: finite.nullable().optional(),
  /** What its oven was set to, °C: an oven may be off by another amount at another setting. */
  set_c: finite.nullable().optional(),
})

export const storyItem = z.object({
  id: z.string(),
  title: z.string(),
  cut: z.string(),
  cut_name: z.string(),
  mass_kg: finite,
  supplier: z.string().default(''),
  /** A school's id, or what the house calls its own stages; empty: it says nothing. */
  school: z.string(),
  oven: z.string(),
  set_c: finite.nullable(),
  serve_c: finite,
  planned: z.object({ in: instant, out: at, carve: instant, plate: instant, pull_c: finite.nullable() }),
  went: z.object({ in: at, out: at, carve: at, plate: at, pull_c: finite.nullable(), peak_c: finite.nullable() }),
  given_up: z.string().nullable(),
  /** Core as planned and as read, seconds since put-in and °C. */
  planned_curve: z.array(point),
  read_curve: z.array(point),
  /** Pulls as they were foreseen, each with when that was. */
  foreseen: z.array(z.object({ at: instant, p10: instant, p50: instant, p90: instant })),
  causes: z.array(
    z.object({
      what: z.enum(CAUSES),
      later_s: finite,
      share: finite,
      value: finite.nullable(),
      spread: finite.nullable(),
    }),
  ),
  taught: taught.nullable(),
  /** Thickness it was planned with, m. */
  thickness_m: finite,
  doors: z.int(),
  ate: ateShape,
})
export type StoryItem = z.output<typeof storyItem>

export const cookStory = z.object({
  version: z.literal(1),
  title: z.string(),
  /** When it was on the table; the last of it. */
  served: at,
  promise: instant,
  guests: z.int().nullable(),
  items: z.array(storyItem),
})
export type CookStory = z.output<typeof cookStory>

const iso = (at_s: number) => new Date(Math.round(at_s) * 1000).toISOString()
const isoOr = (at_s: number | undefined) => (at_s === undefined || !Number.isFinite(at_s) ? null : iso(at_s))
const thousandth = (value: number) => Math.round(1000 * value) / 1000

/** So many points of a curve are kept: more is not seen. */
const MOST_POINTS = 240
const MEMBERS = 128
const SEED = 7

function thinned<Point>(points: readonly Point[]): Point[] {
  if (points.length <= MOST_POINTS) return [...points]
  const step = (points.length - 1) / (MOST_POINTS - 1)
  return Array.from({ length: MOST_POINTS }, (_, i) => points[Math.round(i * step)] as Point)
}

/** How it ate, as the log stands. */
export const ateOf = (document: CookDocument, entries: readonly CookEntry[]): ReadonlyMap<string, Ate> => {
  const log = foldLog(document, entries)
  return new Map(document.items.map(({ id }) => [id, Object.fromEntries(log.items.get(id)?.ate ?? [])]))
}

/** The school a program is of, or what the house calls its stages. */
export const schoolOf = ({ program }: Pick<CookItem, 'program'>): string =>
  'school' in program ? program.school : (program.name ?? '')

/** The newest time it was taken out of its heat, with its board the moment before; `entries` by time. */
function lastPull(pulls: readonly CookEntry[], boardAt: (at_s: number) => BoardItem | undefined) {
  for (const { at, value_c } of pulls.toReversed()) {
    const at_s = secondsOf(at)
    const board = boardAt(at_s)
    if (board?.state === 'in') return { at_s, value_c, board }
  }
  return undefined
}

/** What made a roast sooner or later, and what it says for the next; nothing where it was never read. */
function lessonOf(
  document: CookDocument,
  entries: readonly CookEntry[],
  readings: readonly ProbeReading[],
  { item, in_s, out_s }: BoardItem,
): Pick<StoryItem, 'causes' | 'taught'> {
  const nothing = { causes: [], taught: null }
  if (out_s === undefined || in_s === undefined) return nothing
  // The moment before it was last taken out of its heat: taken out again what is out already was no pull.
  const pulls = entries.filter(({ kind, item: of }) => kind === 'out' && of === item.id)
  const last = lastPull(pulls, (at_s) => {
    const then = entries.filter((entry) => secondsOf(entry.at) < at_s)
    return boardOf(document, then, readings, at_s - 1).find((each) => each.item.id === item.id)
  })
  const known = last?.board.state === 'in' ? setupOf(last.board, last.at_s - 1, SEED, MEMBERS) : undefined
  if (!last || !known || known.setup.readings.length < 3) return nothing
  const { setup } = known
  const planned_c = setup.pull_c.map(() => item.pull_c ?? item.serve_c)
  const read_c = last.value_c ?? last.board.latest?.value_c
  const pace =
    read_c === undefined
      ? undefined
      : paceLesson(
          setup,
          setup.pull_c.map(() => read_c),
          last.at_s - in_s,
        )
  const air_k = setup.air ? airOffset(last.board) : undefined
  const usual_m = usualThickness(setup.piece.cut, item.roast.mass_kg, setup.parameters, item.roast.legs)
  return {
    causes: causesOf(setup, inferredOf(assimilate({ ...setup, named: true }), setup.program), planned_c).map(
      ({ what, later_s, share, value, spread }) => ({
        what,
        later_s: Math.round(later_s),
        share: thousandth(share),
        value: value === undefined ? null : thousandth(value),
        spread: spread === undefined ? null : thousandth(spread),
      }),
    ),
    taught: pace
      ? {
          longer: thousandth(pace.longer),
          per_k: Number(pace.per_k.toPrecision(3)),
          per_thickness: thousandth(pace.per_thickness),
          air_k: air_k ?? null,
          told_k: item.oven.offset_k,
          told_thicker: thousandth(Math.log(setup.thickness_m / usual_m)),
          measured: item.roast.thickness_mm !== null && item.roast.thickness_doubt === undefined,
          set_c: last.board.settings.at(-1)?.set_c ?? settingOf(item) ?? null,
          ...waysOfOven(entries, readings, last.board, in_s, last.at_s),
        }
      : null,
  }
}

/** What the probes in its air said of the oven, from before it went in. */
function waysOfOven(
  entries: readonly CookEntry[],
  readings: readonly ProbeReading[],
  { item, settings }: BoardItem,
  in_s: number,
  out_s: number,
) {
  const own = entries.filter((entry) => entry.item === item.id)
  const probe = own.find(({ kind, point }) => kind === 'assign' && point === 'air')
  const set_c = settings.at(-1)?.set_c ?? settingOf(item)
  // One setting: what changes is read as a swing else.
  const steady = settings.length <= 1 && set_c !== undefined
  const air = readings.filter(({ device, channel }) => device === probe?.device && channel === probe?.channel)
  const found =
    probe && steady
      ? ovenWays(air, {
          in_s,
          out_s,
          set_c,
          doors_s: own.filter(({ kind }) => OPENS.has(kind)).map(({ at }) => secondsOf(at)),
        })
      : undefined
  const kept = (value: number | undefined) => (value === undefined ? null : thousandth(value))
  return {
    preheat: kept(found?.preheat),
    door: kept(found?.door),
    swing: kept(found?.swing),
    decay: kept(found?.decay),
  }
}
/** What is done with the door open. */
const OPENS: ReadonlySet<CookEntry['kind']> = new Set(['door', 'turned', 'basted', 'glazed', 'covered', 'uncovered'])

/** What the air was off the dial, K, where it was measured long enough. */
function airOffset(board: BoardItem): number | undefined {
  const set_c = board.settings.at(-1)?.set_c ?? settingOf(board.item)
  const from_s = Math.max(board.settings.at(-1)?.at_s ?? 0, board.in_s ?? 0) + SETTLES_S
  const settled = board.air.filter(({ at_s }) => at_s > from_s).map(({ value_c }) => value_c)
  if (set_c === undefined || settled.length < 10) return undefined
  return tenth((settled.toSorted((a, b) => a - b)[Math.floor(settled.length / 2)] as number) - set_c)
}

/**
 * The story of a cook that is over, from its document, its log and its readings. Takes about a third of a second a
 * roast: not for a thread that answers boards.
 */
export function storyOf(
  document: CookDocument,
  entries: readonly CookEntry[],
  readings: readonly ProbeReading[],
  now_s: number,
): CookStory {
  const stand = standing(entries)
  const log = foldLog(document, entries)
  const boards = boardOf(document, entries, readings, now_s)
  const ate = ateOf(document, entries)
  const served = boards.flatMap(({ item }) => log.items.get(item.id)?.served_s ?? [])
  return {
    version: 1,
    title: document.title,
    served: isoOr(served.length > 0 ? Math.max(...served) : undefined),
    promise: iso(Math.max(...document.items.map((item) => promisedAt(item, log)))),
    guests: document.guests,
    items: boards.map((board) => {
      const { item, in_s } = board
      const { rows, pull, peak, foreseen, givenUp } = howItWent(board, stand)
      const actual = (what: (typeof rows)[number]['what']) => isoOr(rows.find((row) => row.what === what)?.actual_s)
      const asked = questionOfItem(item)
      const answer = asked.ok ? answerRoast(asked.value.question) : undefined
      const curve = answer?.run.curve
      const own = stand.filter((entry) => entry.item === item.id)
      return {
        id: item.id,
        title: item.title,
        cut: item.roast.cut,
        cut_name: cutAsCooked(item)?.name ?? item.roast.cut,
        mass_kg: item.roast.mass_kg,
        supplier: item.roast.supplier,
        school: schoolOf(item),
        oven: board.oven_name,
        set_c: item.set_c,
        serve_c: item.serve_c,
        planned: {
          in: item.put_in,
          out: item.pull,
          carve: item.carve,
          plate: iso(promisedAt(item, log)),
          pull_c: item.pull_c,
        },
        went: {
          in: actual('in'),
          out: actual('out'),
          carve: actual('carve'),
          plate: actual('plate'),
          pull_c: pull.actual_c === undefined ? null : tenth(pull.actual_c),
          peak_c: peak.actual_c === undefined ? null : tenth(peak.actual_c),
        },
        given_up: givenUp ?? null,
        planned_curve: curve
          ? thinned(
              Array.from({ length: curve.length }, (_, i): [number, number] => [
                Math.round(curve.time_s[i] as number),
                tenth(Math.min(...curve.core_c.map((body) => body[i] as number))),
              ]),
            )
          : [],
        read_curve: thinned(board.readings).map(({ at_s, value_c }): [number, number] => [
          Math.round(at_s - (in_s ?? at_s)),
          tenth(value_c),
        ]),
        foreseen: foreseen.map(({ at_s, p10, p50, p90 }) => ({
          at: iso(at_s),
          p10: iso(p10),
          p50: iso(p50),
          p90: iso(p90),
        })),
        ...lessonOf(document, stand, readings, board),
        thickness_m: answer?.prepared.thickness_m ?? 0,
        doors: own.filter(({ kind }) => kind === 'door').length,
        ate: ate.get(item.id) ?? {},
      }
    }),
  }
}
