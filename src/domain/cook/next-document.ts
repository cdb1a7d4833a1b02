import { z } from 'zod'
import { makeMeal } from '../meal/make-meal'
import { mealDocument } from '../meal/meal-document'
import { fail, type Outcome, succeed } from '../problem/problem'
import { planDocument } from '../roast/roast-document'
import { finite, ident, instant, probeCelsius, text } from '../schema/scalars'
import { cookFromMeal, cookFromPlan, wentInAlready } from './begin'
import { type BoardItem, boardOf, isResting, nextActions } from './board'
import { type CookDocument, type CookEntry, cookEntry, leftOut, type ProbeReading } from './cook-document'
import { ENTRY_KINDS } from './entry'
import { arrivalText } from './entry/arrival'
import { secondsOf } from './entry/time'
import { PROBED, pointProbed } from './estimate-document'
import { type Forecast, forecastOf, type PeakWatch, watchPeak } from './forecast'
import { entriesOf, isOver, type Run, runOf } from './run'
import type { CookStep } from './step'
import { type Decided, promiseMoved, putBackIn, wayTaken } from './take'

/** What a board says of a cook at a minute, without the board: so that any simulator can be the kitchen. */

/** What somebody did or saw, as an outside kitchen says it. */
const toldEntry = z.strictObject({
  kind: z.enum(ENTRY_KINDS),
  at: instant,
  item: ident(60).nullable().default(null).describe('The roast or side; left out where there is but one roast'),
  step: ident(64).nullable().default(null).describe('The step of the plan it was, as an action names it'),
  value_c: probeCelsius.nullable().default(null),
  point: ident(40).nullable().default(null),
  text: text(1000).nullable().default(null),
})

const toldReading = z.strictObject({
  at: instant,
  c: probeCelsius,
  item: ident(60).nullable().default(null),
  probe: z.enum(PROBED).default('core'),
})

/** What `next` reads: a plan or a meal, when its cook began, what was done and read since, and the minute. */
export const nextDocument = z
  .strictObject({
    version: z.literal(1).default(1),
    plan: planDocument.optional(),
    meal: mealDocument.optional(),
    begun: instant.describe('When the cook began: what the plan asks for more than half an hour before is done'),
    now: instant,
    entries: z.array(toldEntry).max(5000).default([]),
    readings: z.array(toldReading).max(20_000).default([]),
    members: z.int().min(32).max(1024).default(256).describe('Size of the ensemble'),
    seed: z.int().min(0).max(4294967295).default(7),
  })
  .refine(({ plan, meal }) => (plan === undefined) !== (meal === undefined), 'say one of plan and meal')
export type NextDocument = z.output<typeof nextDocument>

const spread = z.object({ p10: instant.nullable(), p50: instant.nullable(), p90: instant.nullable() })
const decided = z.array(z.looseObject({ kind: z.string() }))
const actionAnswer = z.object({
  step: z
    .string()
    .nullable()
    .describe(
      'null: look at the probe, what it says cannot be; or read by hand, and send an entry `reading` of each point',
    ),
  kind: z.string(),
  act: z.string().nullable(),
  item: z.string().nullable(),
  at: instant,
  window: z.object({ from: instant, to: instant }).nullable(),
  overdue: z.boolean(),
  set_c: finite.nullable(),
  where: z
    .string()
    .nullable()
    .describe('oven, fire, pan, bath, cabinet or counter: where it goes on, or what is heated'),
  oven: z.string().nullable().describe('Which one, by its name'),
  pull_c: finite.nullable(),
  hands_min: finite,
  why: z.object({ basis: z.string(), numbers: z.record(z.string(), finite) }),
  says: z.string().optional(),
  enter: decided.describe('Entries to send back when it is done, without their time'),
})
const wayAnswer = z.object({
  code: z.string(),
  best: z.boolean().describe('The one it would take'),
  why: z.string(),
  set_c: finite.nullable(),
  pull_c: finite.nullable(),
  pull: instant.nullable(),
  plate: instant.nullable(),
  promise: instant.nullable(),
  peak_c: finite.nullable(),
  late_min: finite.nullable(),
  enter: decided.describe('Entries to send back when it is taken, without their time'),
})

/** What `next` answers. */
export const nextAnswer = z.object({
  version: z.literal(1),
  over: z.boolean(),
  actions: z
    .array(actionAnswer)
    .describe('Soonest first; what is to be read by hand stands after the rest, with its own time'),
  left_out: z
    .array(z.object({ item: z.string(), title: z.string() }))
    .describe('What the meal asks for and its schedule has no room for: `plan` says why, and what would make room'),
  roasts: z.array(
    z.object({
      item: z.string(),
      state: z.string(),
      promise: instant,
      plate: instant,
      pull_c: finite.nullable(),
      pull: spread.describe('Foreseen, while it is in'),
      late_min: finite.nullable().describe('Against its window; under nothing it is early'),
      peak_c: finite.nullable().describe('Foreseen'),
      back_in_min: finite.nullable().describe('Out too soon: so long back in its heat gets it there'),
      back_in_pull_c: finite.nullable().describe('Back in, it is pulled at this reading: entered as pull_at'),
      rest_until: instant
        .nullable()
        .describe('Carved at its promise it falls short; left to rest until then it does not'),
      rest_plate: instant.nullable().describe('Then it is on the table: a promise of so much'),
      back_in_enter: decided.nullable().describe('Entries to send back when it is put back in'),
      rest_enter: decided.nullable().describe('Entries to send back when its table is moved to that'),
      safe_chance: finite.nullable(),
      safe_pull_c: finite.nullable().describe('The reading that is safe in 95 of 100, where the chance is less'),
      odd: z.array(z.looseObject({ code: z.string() })),
      ways: z.array(wayAnswer),
    }),
  ),
})
export type NextAnswer = z.output<typeof nextAnswer>

const iso = (at_s: number) => new Date(Math.round(at_s) * 1000).toISOString()
const isoOr = (at_s: number) => (Number.isFinite(at_s) ? iso(at_s) : null)
const hundredth = (value: number | undefined) =>
  value === undefined || !Number.isFinite(value) ? null : Math.round(value * 100) / 100
const minutesOf = (seconds: number) => (Number.isFinite(seconds) ? Math.round(seconds / 6) / 10 : null)

/** The cook that a document is about, as it was when it began; a meal's is scheduled, which takes a second or more. */
export function begunCook({ plan, meal, begun }: NextDocument): Outcome<CookDocument> {
  const begun_s = secondsOf(begun)
  if (plan) return cookFromPlan(plan, begun_s, 1)
  if (!meal) return fail({ code: 'malformed', path: [], detail: 'say one of plan and meal' })
  const made = makeMeal(meal, undefined, 0)
  return made.ok ? cookFromMeal(meal, made.value, begun_s, 1) : made
}

/** What was told, as a log and a station's readings; each probe of each roast is a channel of one station. */
function toldOf(
  document: NextDocument,
  cook: CookDocument,
): Outcome<{ entries: CookEntry[]; readings: ProbeReading[] }> {
  const known = new Set([...cook.items, ...cook.sides].map(({ id }) => id))
  const only = cook.items.length === 1 ? (cook.items[0]?.id ?? null) : null
  const unknown = [...document.entries, ...document.readings].find(({ item }) => item !== null && !known.has(item))
  if (unknown) return fail({ code: 'not_found', path: ['item'], what: unknown.item ?? '' })
  const entries: CookEntry[] = []
  for (const [i, { step, ...told }] of document.entries.entries()) {
    const entry = cookEntry.safeParse({
      ...told,
      id: `told-entry-${`${i}`.padStart(5, '0')}`,
      of: step,
      item: told.item ?? only,
    })
    if (!entry.success)
      return fail({ code: 'malformed', path: ['entries', i], detail: entry.error.issues[0]?.message ?? '' })
    entries.push(entry.data)
  }
  // What the plan says is in already is entered as its cook begins, where nobody says it here.
  if (document.plan && !entries.some(({ kind }) => kind === 'in'))
    entries.unshift(...wentInAlready(document.plan, secondsOf(document.begun), 'told-in-already'))
  const channels: string[] = []
  const readings = document.readings.flatMap(({ at, c, item, probe }): ProbeReading[] => {
    const roast = cook.items.find(({ id }) => id === (item ?? only))
    if (!roast) return []
    const point = pointProbed(roast.points, probe)
    const key = `${roast.id} ${point}`
    if (!channels.includes(key)) {
      const channel = channels.push(key) - 1
      entries.unshift(
        cookEntry.parse({
          id: `told-probe-${channel}`,
          kind: 'assign',
          at: document.begun,
          item: roast.id,
          device: 'told',
          channel,
          point,
        }),
      )
    }
    return [{ device: 'told', channel: channels.indexOf(key), at_s: secondsOf(at), value_c: c }]
  })
  return succeed({ entries, readings })
}

/** A roast as it is foreseen. */
interface Foreseen {
  readonly forecast: Forecast | undefined
  readonly peak: PeakWatch | undefined
}

/**
 * The whole of the headless `next`: the board of a cook at a minute, with what is foreseen kept in its log as a
 * board keeps it, the steps that are open, and each roast's ways out.
 *
 * @param says words for a step; left out where there are none
 */
export function nextFrom(
  document: NextDocument,
  says?: (step: CookStep, cook: CookDocument, pull_c: number | undefined) => string,
): Outcome<NextAnswer> {
  const cook = begunCook(document)
  return cook.ok ? nextOf(cook.value, document, says) : cook
}

/** The same of a cook that has begun already: what a long service asks again and again. */
export function nextOf(
  cook: CookDocument,
  document: NextDocument,
  says?: (step: CookStep, cook: CookDocument, pull_c: number | undefined) => string,
): Outcome<NextAnswer> {
  const told = toldOf(document, cook)
  if (!told.ok) return told
  const now_s = secondsOf(document.now)
  // What lies ahead of the minute is not known yet.
  const entries = told.value.entries.filter(({ at }) => secondsOf(at) <= now_s)
  const readings = told.value.readings.filter(({ at_s }) => at_s <= now_s)
  const boards = boardOf(cook, entries, readings, now_s)
  const foreseen = new Map(
    boards.map((board): [string, Foreseen] => {
      const others = boards.filter(({ item }) => item.id !== board.item.id)
      return [
        board.item.id,
        {
          forecast:
            board.state === 'in' ? forecastOf(board, now_s, document.seed, others, document.members) : undefined,
          peak: isResting(board) ? watchPeak(board, now_s, document.seed) : undefined,
        },
      ]
    }),
  )
  const arrivals = boards.flatMap((board): CookEntry[] => {
    const pull = foreseen.get(board.item.id)?.forecast?.estimate.pull_s
    const { in_s } = board
    if (!pull || in_s === undefined) return []
    return [
      cookEntry.parse({
        // Of entries of one second it is the last: what was done until then is in it.
        id: `told-foreseen-${board.item.id}`.slice(0, 64),
        kind: 'arrival',
        at: document.now,
        item: board.item.id,
        text: arrivalText(in_s, pull),
      }),
    ]
  })
  const log = [...entries, ...arrivals]
  const run = runOf(cook, log, now_s)
  return succeed({
    version: 1,
    over: isOver(cook, log, now_s),
    actions: actionsOf(run, boards, cook, now_s, says),
    left_out: leftOut(cook).map(({ id, title }) => ({ item: id, title })),
    roasts: boards.map((board) => roastOf(board, boards, run, foreseen.get(board.item.id))),
  })
}

function actionsOf(
  run: Run,
  boards: readonly BoardItem[],
  cook: CookDocument,
  now_s: number,
  says: Parameters<typeof nextFrom>[1],
): NextAnswer['actions'] {
  const states = boards.map(({ item, state }) => ({ id: item.id, state, promise_s: secondsOf(item.promise) }))
  const actions = nextActions(run, boards, now_s)
  // Who only does what comes first loses no step over a reading that nobody takes.
  const readLast = actions.toSorted((a, b) => Number(a.kind === 'read') - Number(b.kind === 'read'))
  return readLast.map((action) => {
    if (action.kind !== 'step')
      return {
        step: null,
        kind: action.kind,
        act: null,
        item: action.item,
        at: iso(action.at_s),
        window: null,
        overdue: action.at_s <= now_s,
        set_c: null,
        where: null,
        oven: null,
        pull_c: null,
        hands_min: 0,
        why: { basis: 'model', numbers: {} },
        enter: [],
      }
    const { step, at_s, window } = action.step
    const board = boards.find(({ item }) => item.id === step.item)
    return {
      step: step.id,
      kind: step.kind,
      act: step.act,
      item: step.item,
      at: iso(at_s),
      window: window ? { from: iso(window.from_s), to: iso(window.to_s) } : null,
      overdue: at_s < now_s,
      set_c: step.set_c,
      where: step.stage?.environment.kind ?? step.source?.kind ?? null,
      oven: step.source?.name ?? board?.oven_name ?? null,
      pull_c:
        step.kind === 'pull' || step.kind === 'watch' ? hundredth(board?.pull_c ?? step.pull_c ?? undefined) : null,
      hands_min: Math.round(step.hands_s / 60),
      why: { basis: step.basis, numbers: step.numbers },
      ...(says ? { says: says(step, cook, board?.pull_c) } : {}),
      enter: asSent(entriesOf(step, states, board?.latest?.value_c ?? null)),
    }
  })
}

/** As entries are sent. */
const asSent = (decided: readonly Decided[]) => decided.map(({ of, ...entry }) => ({ ...entry, step: of ?? null }))

function roastOf(
  board: BoardItem,
  boards: readonly BoardItem[],
  run: Run,
  seen: Foreseen | undefined,
): NextAnswer['roasts'][number] {
  const { item, in_s = 0, promise_s } = board
  const forecast = seen?.forecast
  const peak = seen?.peak
  const pull = forecast?.estimate.pull_s
  return {
    item: item.id,
    state: board.state,
    promise: iso(promise_s),
    plate: iso(run.items.find(({ id }) => id === item.id)?.plate_s ?? promise_s),
    pull_c: hundredth(board.pull_c),
    pull: {
      p10: pull ? isoOr(in_s + pull.p10) : null,
      p50: pull ? isoOr(in_s + pull.p50) : null,
      p90: pull ? isoOr(in_s + pull.p90) : null,
    },
    late_min: forecast ? minutesOf(forecast.late_s) : null,
    peak_c: hundredth(forecast?.estimate.peak_c.p50 ?? peak?.peak_c.p50),
    back_in_min: peak?.backIn?.minutes ?? null,
    back_in_pull_c: hundredth(peak?.backIn?.pull_c),
    rest_until: peak?.restUntil ? iso(peak.restUntil.at_s) : null,
    rest_plate: peak?.restUntil ? iso(peak.restUntil.plate_s) : null,
    back_in_enter: peak?.short ? asSent(putBackIn(peak, board)) : null,
    rest_enter: peak?.restUntil ? asSent(promiseMoved(peak.restUntil.plate_s, board, boards)) : null,
    safe_chance: hundredth(forecast?.safety?.chance ?? peak?.safe),
    safe_pull_c: hundredth(forecast?.safety?.pull_c),
    odd: board.odd.map(({ at_s, ...odd }) => ({ ...odd, at: iso(at_s) })),
    ways: (forecast?.advice ?? []).map((way) => ({
      code: way.code,
      best: way.best,
      why: way.why,
      set_c: hundredth(way.set_c),
      pull_c: hundredth(way.pull_c),
      pull: way.never ? null : isoOr(way.pull_s),
      plate: way.never ? null : isoOr(way.plate_s),
      promise: way.promise_s === undefined ? null : isoOr(way.promise_s),
      peak_c: hundredth(way.peak_c),
      late_min: way.never ? null : minutesOf(way.cost.late_s),
      enter: asSent(wayTaken(way, board, boards, run)),
    })),
  }
}
