import { type Estimate, type EstimateSetup, estimate } from '@/core/estimate/assimilate'
import type { OvenSpec } from '@/core/heat/oven'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf } from '@/core/heat/piece'
import type { Stage } from '@/core/program/stage'
import { celsius } from '@/core/units'
import { pieceOf, resolveRoast } from '../roast/resolve'
import { type BoardItem, jumpsOf } from './board'

/** One way out, simulated: what it does to the time and the meat. */
export interface Advice {
  readonly code:
    | 'oven_up'
    | 'oven_down'
    | 'pull_now'
    | 'later_promise'
    | 'earlier_promise'
    | 'hold'
    | 'short_rest'
    | 'skip_finish'
    | 'pan_finish'
    | 'thin_end_first'
    | 'swap_ovens'
  readonly set_c?: number | undefined
  /** Pull and plate, cook time, s. */
  readonly pull_s: number
  readonly plate_s: number
  readonly peak_c: number
  /** Reading to pull at then, °C: another oven climbs by another rise. */
  readonly pull_c?: number | undefined
  readonly promise_s?: number | undefined
  /** The other roast of a swap, and what it does to that. */
  readonly swap?:
    | {
        readonly item: string
        readonly title: string
        readonly oven_name: string
        readonly set_c: number
        readonly pull_c: number
        readonly plate_s: number
      }
    | undefined
}

/** One part is done and another is not: what the done part comes to while the other gets there. */
export interface Split {
  readonly done: string
  readonly lacking: string
  /** The lacking part gets there, cook time, s. */
  readonly arrives_s: number
  /** The done part now, and by then left as it is, under foil, °C. */
  readonly now_c: number
  readonly as_it_is_c: number
  readonly foiled_c: number
}

export interface Forecast {
  readonly estimate: Estimate
  readonly advice: readonly Advice[]
  /** The probe seems to sit this far from the centre, 0–1; undefined while that is not plain. */
  readonly shallow: number | undefined
  readonly split: Split | undefined
  /** Against the promise: over nothing late, under nothing early, s. */
  readonly late_s: number
}

const REST_S = 20 * 60
/** Held warm longer than this a roast dries and greys, s (common practice). */
const LONGEST_HOLD_S = 4 * 3600
/** An oven must be this much hotter to be worth carrying hot tins across the kitchen, K. */
const SWAP_LEAST_K = 15
const MEMBERS = { arrival: 256, advice: 48 } as const

const heatedStages = (program: { readonly stages: readonly Stage[] }): Stage[] => {
  const pull = program.stages.findIndex(({ until }) => until.kind === 'pull')
  return program.stages.slice(0, pull < 0 ? program.stages.length : pull + 1)
}

/** Where each stage begins, and the settings that were changed since, as the estimator takes them. */
function stagesOf(board: BoardItem, stages: readonly Stage[], in_s: number): EstimateSetup['stages'] {
  const rows: { stage: Stage; from_s: number }[] = []
  let from_s = 0
  for (const stage of stages) {
    rows.push({ stage, from_s })
    if (stage.until.kind === 'time') from_s += stage.until.duration_s
  }
  const base = rows.at(-1)?.stage
  for (const { at_s, set_c } of board.settings) {
    if (!base || at_s <= in_s) continue
    rows.push({
      from_s: at_s - in_s,
      stage: { ...base, environment: { kind: 'oven', heat: 'on', set_c: celsius(set_c) } },
    })
  }
  return rows.sort((a, b) => a.from_s - b.from_s)
}

interface Prepared {
  readonly setup: EstimateSetup
  readonly program: { readonly stages: readonly Stage[] }
  readonly oven: OvenSpec
  readonly last: Stage | undefined
  /** What its oven is set to, °C; undefined where the heat is off. */
  readonly set: number | undefined
  readonly bodies: readonly { readonly point: string }[]
  readonly lastJump: number | undefined
}

/** The estimator's setup of a roast that is in; undefined while it is not, or its document has problems. */
function prepare(board: BoardItem, now_s: number, seed: number): Prepared | undefined {
  const { item, in_s, pull_c } = board
  if (in_s === undefined || board.state !== 'in') return undefined
  const resolved = resolveRoast({
    roast: item.roast,
    oven: item.oven,
    program: item.program,
    target: { serve_c: item.serve_c },
  })
  if (!resolved.ok) return undefined
  const { cut, program, oven } = resolved.value
  const piece = pieceOf(cut, item.roast)
  const bodies = bodiesOf(piece, HEAT_PARAMETERS)
  const heated = heatedStages(program)
  const jumps = jumpsOf(board.readings)
  const lastJump = jumps.at(-1)
  const readings = board.readings
    .map(({ at_s, value_c }, i) => ({
      time_s: at_s - in_s,
      value_c,
      sitting: lastJump !== undefined && i >= lastJump ? 1 : 0,
    }))
    // Of more than one jump only the last sitting is believed: what lay between nobody knows.
    .filter((_, i) => jumps.length < 2 || i >= (lastJump ?? 0))
    .filter(({ time_s }) => time_s > 60)
  const latest = readings.at(-1)
  const lying = latest !== undefined && board.odd.some(({ code }) => code === 'pulled_out')
  const setup: EstimateSetup = {
    piece,
    body: Math.max(
      0,
      bodies.findIndex(({ point }) => point === board.point),
    ),
    stages: stagesOf(board, heated, in_s),
    oven,
    start_c: item.roast.start_c,
    readings: lying ? readings.filter(({ sitting }) => sitting === 0) : readings,
    air:
      board.air.length > 5
        ? board.air.map(({ at_s, value_c }) => ({ time_s: at_s - in_s, value_c })).filter(({ time_s }) => time_s >= 0)
        : undefined,
    now_s: now_s - in_s,
    pull_c: pull_c ?? item.serve_c - 4,
    rest_s: REST_S,
    measured: item.roast.thickness_mm !== null,
    parameters: HEAT_PARAMETERS,
    members: MEMBERS.arrival,
    seed,
  }
  const set =
    board.settings.at(-1)?.set_c ??
    [...heated]
      .reverse()
      .map(settingOfStage)
      .find((value) => value !== undefined)
  return { setup, program, oven, last: heated.at(-1), set, bodies, lastJump }
}

/** The roast cooked on with another setting from now. */
function tried({ setup, last }: Prepared, set_c: number, pull_c = setup.pull_c): Estimate {
  return estimate({
    ...setup,
    pull_c,
    air: setup.air?.filter(({ time_s }) => time_s <= setup.now_s),
    members: MEMBERS.advice,
    stages: [
      ...setup.stages,
      {
        from_s: setup.now_s + 1,
        stage: { ...(last as Stage), environment: { kind: 'oven', heat: 'on', set_c: celsius(set_c) } },
      },
    ],
  })
}

/** From the pull to the plate of a roast, s: rest and carving. */
const afterPull = ({ item }: BoardItem): number => REST_S + (Date.parse(item.promise) - Date.parse(item.carve)) / 1000

/** With another setting: when it is on the table, and the reading to pull at so that it peaks as wanted. */
function withSetting(board: BoardItem, prepared: Prepared, set_c: number) {
  const pull_c = prepared.setup.pull_c + board.item.serve_c - tried(prepared, set_c).peak_c.p50
  const answer = tried(prepared, set_c, pull_c)
  const pull_s = (board.in_s ?? 0) + answer.pull_s.p50
  return { set_c, pull_c, pull_s, plate_s: pull_s + afterPull(board), peak_c: answer.peak_c.p50 }
}

/** Hotter ovens that others of this cook are in: changed places, each with its new time and reading. */
function swaps(board: BoardItem, prepared: Prepared, others: readonly BoardItem[], now_s: number, seed: number) {
  return others.flatMap((other): Advice[] => {
    const theirs = other.oven_name === board.oven_name ? undefined : prepare(other, now_s, seed)
    if (theirs?.set === undefined || prepared.set === undefined || theirs.oven.kind !== prepared.oven.kind) return []
    if (theirs.set < prepared.set + SWAP_LEAST_K) return []
    // The dial of one oven in terms of the other's: their means agree.
    const between = theirs.oven.offset_k - prepared.oven.offset_k
    const mine = withSetting(board, prepared, theirs.set + between)
    const its = withSetting(other, theirs, prepared.set - between)
    return [
      {
        ...mine,
        code: 'swap_ovens',
        swap: { item: other.item.id, title: other.item.title, oven_name: other.oven_name, ...its },
      },
    ]
  })
}

/**
 * When one roast of a cook arrives, by its readings, and what could be done about it. Undefined while
 * it is not in, or its document has problems.
 *
 * @param others the other roasts of the cook: their ovens are a way out too
 */
export function forecastOf(
  board: BoardItem,
  now_s: number,
  seed = 7,
  others: readonly BoardItem[] = [],
): Forecast | undefined {
  const prepared = prepare(board, now_s, seed)
  if (!prepared) return undefined
  const { setup, program, oven, set, bodies, lastJump } = prepared
  const { in_s = 0, latest } = board
  const main = estimate(setup)
  const plate = (pull_s: number) => in_s + pull_s + afterPull(board)
  const late_s = plate(main.pull_s.p50) - board.promise_s
  const advice: Advice[] = []
  if (set !== undefined && Math.abs(late_s) > 300) {
    const steps = late_s > 0 ? [20, 40] : [-15, -30]
    for (const step of steps) {
      const set_c = Math.min(oven.kind === 'fan' ? 230 : 250, Math.max(80, set + step))
      if (set_c === set) continue
      advice.push({ code: step > 0 ? 'oven_up' : 'oven_down', ...withSetting(board, prepared, set_c) })
    }
    if (late_s > 0) advice.push(...swaps(board, prepared, others, now_s, seed))
    if (late_s > 0) advice.push(...shorterEnds(board, program, main, plate))
    const rounded = Math.ceil(plate(main.pull_s.p50) / 300) * 300
    advice.push({
      code: late_s > 0 ? 'later_promise' : 'earlier_promise',
      pull_s: in_s + main.pull_s.p50,
      plate_s: rounded,
      peak_c: main.peak_c.p50,
      promise_s: rounded,
    })
    if (late_s < -600 && late_s > -LONGEST_HOLD_S)
      advice.push({ code: 'hold', pull_s: in_s + main.pull_s.p50, plate_s: board.promise_s, peak_c: main.peak_c.p50 })
  }
  if (latest && latest.value_c > 35) {
    const early = estimate({ ...setup, members: MEMBERS.advice, pull_c: Math.max(latest.value_c, 20) })
    advice.push({ code: 'pull_now', pull_s: now_s, plate_s: now_s + afterPull(board), peak_c: early.peak_c.p50 })
  }
  const depth = main.inferred.find(({ name }) => name === (lastJump === undefined ? 'depth' : 'depth2'))
  const shallow = setup.readings.length > 40 && depth && depth.mean > SHALLOW ? depth.mean : undefined
  return { estimate: main, advice, late_s, shallow, split: splitOf(board, setup, main, bodies) }
}

/** So far above its reading the done part is followed, K. */
const SPLIT_SPAN_K = 25

/**
 * What the done part of a bird comes to while the other gets there: its own posterior cooked on from
 * its reading, bare and under foil.
 */
function splitOf(
  board: BoardItem,
  setup: EstimateSetup,
  main: Estimate,
  bodies: readonly { readonly point: string }[],
): Split | undefined {
  const { latest, in_s = 0 } = board
  const done = board.points
    .filter(({ point, value_c }) => point !== board.point && value_c >= setup.pull_c)
    .sort((a, b) => b.value_c - a.value_c)[0]
  const body = bodies.findIndex(({ point }) => point === done?.point)
  const last = setup.stages.at(-1)
  if (!done || !latest || !last || latest.value_c >= setup.pull_c || body < 0) return undefined
  const arrives_s = main.pull_s.p50
  const readings = done.readings.map(({ at_s, value_c }) => ({ time_s: at_s - in_s, value_c }))
  const reached = (stages: EstimateSetup['stages']): number => {
    const pull_c = done.value_c + SPLIT_SPAN_K
    const { course } = estimate({ ...setup, body, readings, stages, pull_c, members: MEMBERS.advice })
    const at = (time_s: number) => (course.find((row) => row.time_s >= time_s) ?? course.at(-1))?.middle_c ?? 0
    return done.value_c + Math.max(0, at(arrives_s) - at(setup.now_s))
  }
  const foiled = [...setup.stages, { from_s: setup.now_s + 1, stage: { ...last.stage, cover: 'foil' as const } }]
  return {
    done: done.point,
    lacking: board.point,
    arrives_s: in_s + arrives_s,
    now_c: done.value_c,
    as_it_is_c: reached(setup.stages),
    foiled_c: reached(foiled),
  }
}

/** Beyond this share of the way out a probe is said to be too shallow. */
const SHALLOW = 0.3
/** The least rest that keeps the juice in a small roast, s (common practice). */
const SHORT_REST_S = 10 * 60
/** A heavy pan does on all sides what the hottest oven does, in about this time, s (common practice). */
const PAN_FINISH_S = 5 * 60

/** What the end of a cook can give up: rest, the hot finish, waiting for the thick end. */
function shorterEnds(
  board: BoardItem,
  program: { readonly stages: readonly Stage[] },
  main: Estimate,
  plate: (pull_s: number) => number,
): Advice[] {
  const in_s = board.in_s ?? 0
  const common = { pull_s: in_s + main.pull_s.p50, peak_c: main.peak_c.p50 }
  const ways: Advice[] = [
    // Half of the rise is over by then: the knife comes before the peak.
    {
      ...common,
      code: 'short_rest',
      plate_s: plate(main.pull_s.p50) - (REST_S - SHORT_REST_S),
      peak_c: (main.peak_c.p50 + (board.pull_c ?? main.peak_c.p50)) / 2,
    },
  ]
  const finish = program.stages.find(({ role, until }) => role === 'finish' && until.kind === 'time')
  if (finish?.until.kind === 'time') {
    ways.push({ ...common, code: 'skip_finish', plate_s: plate(main.pull_s.p50) - finish.until.duration_s })
    if (finish.environment.kind !== 'pan' && finish.until.duration_s > PAN_FINISH_S)
      ways.push({
        ...common,
        code: 'pan_finish',
        plate_s: plate(main.pull_s.p50) - (finish.until.duration_s - PAN_FINISH_S),
      })
  }
  if (board.item.roast.thin_end !== null) ways.push({ ...common, code: 'thin_end_first', plate_s: board.promise_s })
  return ways
}

const settingOfStage = ({ environment }: Stage): number | undefined =>
  environment.kind === 'oven' && environment.heat === 'on' ? environment.set_c : undefined
