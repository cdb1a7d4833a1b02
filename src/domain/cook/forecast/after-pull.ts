import { AS_WANTED_K, type Verdict, verdictOf } from '@/core/doneness/wanted'
import { CLIMB_STEP_S, climbedMore, climbsMore } from '@/core/estimate/anchor'
import { atLeast, type Spread } from '@/core/estimate/ensemble'
import { foresee } from '@/core/estimate/estimate'
import { assimilate } from '@/core/estimate/posterior'
import type { Reading } from '@/core/estimate/reading'
import { restUntil } from '@/core/estimate/resting'
import { type Program, pullStageIndex, pullsAtReading, type Stage, settingOf, staysInHeat } from '@/core/program/stage'
import { pullFloor } from '@/core/roast/prepare'
import { seconds } from '@/core/units'
import { type BoardItem, isResting } from '../board'
import { carvingSeconds } from '../run/course'
import { MEMBERS, setupOf } from './belief'
import { isUnsure, safeChance } from './safety'

/** What becomes of a roast that is out: how far it climbs, and what there is to do where that is not enough. */
export interface PeakWatch {
  /** By the knife. */
  readonly peak_c: { readonly p10: number; readonly p50: number; readonly p90: number }
  /** Wanted at the peak, °C, or the least that is safe where that is more. */
  readonly wanted_c: number
  /** Chance that it is safe when it is carved, of 1, where something is asked for that. */
  readonly safe: number | undefined
  /** By the knife, against the wanted. */
  readonly verdict: Verdict
  /** It will not get there, or is not surely safe. */
  readonly short: boolean
  /** By its knife it falls short, and left to rest until then it does not; on the table so much later, s since 1970. */
  readonly restUntil: { readonly at_s: number; readonly plate_s: number; readonly peak_c: number } | undefined
  /** The setting of a hot finish that it comes out of and would go back into, °C; undefined: into the heat it was pulled from. */
  readonly into_c: number | undefined
  /** What gets it there: back into its heat for so long, to be pulled again at another reading. */
  readonly backIn: { readonly minutes: number; readonly peak_c: number; readonly pull_c: number } | undefined
}

/** Where putting it back makes its table late, short by no more than this is as wanted, K. */
const SHORT_LATE_K = 2
/** Left to rest until it is short by no more than this, K. */
const RESTED_K = 1
/** A reading is believed over the model by no more than this, K. */
const MOST_OFF_K = 1
/** Back in, it is pulled at no less than this over the reading it came out too soon by, K. */
const LEAST_MORE_K = 0.5
/**
 * So soon after it was pulled at its reading it is not sent back, and a while longer not for a chance that is over this:
 * its next readings say more, s.
 */
const JUST_OUT = { s: 300, doubtful_s: 600, chance: 0.7 } as const
const BACK_IN_MIN = [5, 10, 15, 20, 30, 45] as const

/** Heated stages as they went: to the minute the last ended, by the clock. */
function wentUntil(heated: readonly Stage[], end_s: number): Stage[] {
  let left_s = end_s
  return heated.flatMap((stage, i) => {
    if (left_s <= 1) return []
    const last = i === heated.length - 1
    const own_s = last || stage.until.kind !== 'time' ? left_s : Math.min(left_s, stage.until.duration_s)
    left_s -= own_s
    return [{ ...stage, until: { kind: 'time' as const, duration_s: seconds(own_s) } }]
  })
}

/**
 * The program as it went: to the minute it was taken out, by the clock.
 * @param finish_s where it went straight on into a hot finish, and is out of that: when it did, since it was put in
 */
function asItWent(program: Program, out_s: number, finish_s: number | undefined): Program {
  const pull = pullStageIndex(program)
  const heated = wentUntil(program.stages.slice(0, pull + 1), finish_s ?? out_s)
  const hot = program.stages[pull + 1]
  if (finish_s === undefined || !hot) return { ...program, stages: [...heated, ...program.stages.slice(pull + 1)] }
  const duration_s = seconds(out_s - finish_s)
  const finish: Stage = { ...hot, role: 'cook', until: { kind: 'time', duration_s } }
  return { ...program, stages: [...heated, finish, ...program.stages.slice(pull + 2)] }
}

/**
 * The readings of each probe until the highest since it came out: how meat cools after its peak says nothing of that,
 * and a board that is draughtier than ours would have it that it never was as hot as it read.
 * @param out_s since it was put in
 */
function untilPeak(readings: readonly Reading[], out_s: number): Reading[] {
  const highest = new Map<number, Reading>()
  for (const reading of readings) {
    const before = highest.get(reading.body ?? 0)
    if (reading.time_s >= out_s && !(before && before.value_c > reading.value_c))
      highest.set(reading.body ?? 0, reading)
  }
  return readings.filter(({ time_s, body = 0 }) => time_s <= (highest.get(body)?.time_s ?? Number.POSITIVE_INFINITY))
}

/** The highest that the least done of all bodies has read since it came out, °C; −∞ where one has not been read. */
function leastRead(readings: readonly Reading[], out_s: number, bodies: number): number {
  const highest = Array.from({ length: bodies }, () => Number.NEGATIVE_INFINITY)
  for (const { time_s, body = 0, value_c } of readings)
    if (time_s >= out_s) highest[body] = Math.max(highest[body] as number, value_c)
  return Math.min(...highest)
}

/**
 * Watches a roast after its pull: by what was read until then and since, how high it peaks.
 *
 * @param now_s cook time, s since 1970
 * @returns undefined while it is not resting, or where its document has problems
 */
export function watchPeak(board: BoardItem, now_s: number, seed = 7): PeakWatch | undefined {
  const { in_s, item } = board
  const out_s = board.off_s ?? board.out_s
  if (!isResting(board) || in_s === undefined || out_s === undefined) return undefined
  const prepared = setupOf(board, now_s, seed, MEMBERS.peak)
  if (!prepared) return undefined
  // Rested before its hot finish, it was watched there.
  const finished = board.off_s !== undefined
  if (finished && !staysInHeat(prepared.setup.program)) return undefined
  const { setup: planned, meant, floor_c = Number.NEGATIVE_INFINITY } = prepared
  const finish_s = finished && board.finish_s !== undefined ? board.finish_s - in_s : undefined
  const program = asItWent(planned.program, out_s - in_s, finish_s)
  const readings = untilPeak(planned.readings, out_s - in_s)
  const setup = { ...planned, program, readings }
  const posterior = assimilate(setup)
  const foreseen = foresee(setup, posterior)
  // Out, it may rest as long as it was meant to: what is short after that is short.
  const found = foreseen.whole.peak_c
  if (!Number.isFinite(found.p50)) return undefined
  // Where it was pulled by its reading it climbs as its plan thought it would from there.
  const climb = !finished && pullsAtReading(planned.program) ? climbsMore(planned, posterior) : undefined
  const rested_s = now_s - out_s
  /** What it is still to climb more than is believed, by so long after its pull, K: what it has climbed is read. */
  const climbsBy = (rest_s: number) =>
    climb === undefined ? 0 : climbedMore(climb, Math.max(rested_s, rest_s)) - climbedMore(climb, rested_s)
  // What is read counts before what is believed, as it did at the pull: only where it is to be safe the belief that a
  // probe lies off the core, and the core is colder, is heard.
  const read_c = board.readings.findLast(({ at_s }) => at_s <= out_s)?.value_c
  const believed_c = Math.min(...foreseen.points.map(({ pull_c }) => pull_c))
  const off_k = meant === undefined && read_c !== undefined ? Math.min(MOST_OFF_K, Math.max(0, read_c - believed_c)) : 0
  const wholeMore_k = climbsBy(Number.POSITIVE_INFINITY) + off_k
  const knifeMore_k = climbsBy(restUntil(planned.knife, Number.POSITIVE_INFINITY, out_s - in_s)) + off_k
  // It has been as hot as it has read.
  const been_c = leastRead(readings, out_s - in_s, setup.pull_c.length)
  const raised = ({ p10, p50, p90 }: Spread, more_k: number): Spread =>
    atLeast({ p10: p10 + more_k, p50: p50 + more_k, p90: p90 + more_k }, been_c)
  const peak_c = raised(foreseen.peak_c, knifeMore_k)
  const whole_c = raised(found, wholeMore_k)
  const wanted_c = Math.max(item.serve_c, floor_c)
  const safe = safeChance(whole_c, 0, meant, foreseen.whole.safe)
  // Short of the wanted by a little it is not worth keeping a table waiting for; short of safe it is, always.
  const again_s = now_s + (BACK_IN_MIN[1] as number) * 60 + prepared.rest.least_s + carvingSeconds(item)
  // In its first minutes nothing more is known than when it was pulled at its reading, and that was enough.
  const asPulled = !finished && read_c !== undefined && read_c >= (board.pull_c ?? read_c) - LEAST_MORE_K
  const justOut = asPulled && rested_s < JUST_OUT.s
  const doubtful = asPulled && rested_s < JUST_OUT.doubtful_s && (safe ?? 0) > JUST_OUT.chance
  const under = whole_c.p50 < wanted_c - (again_s > board.promise_s ? SHORT_LATE_K : AS_WANTED_K.under)
  const short = !justOut && (under || (isUnsure(safe) && !doubtful))
  const verdict = verdictOf(peak_c.p50 - wanted_c)
  const pull = pullStageIndex(program)
  const last = program.stages[pull] as Stage
  // Nothing stays in a pan until its core is done.
  const inPan = finished && last.environment.kind === 'pan'
  const heat = inPan ? (planned.program.stages[pullStageIndex(planned.program)] as Stage) : last
  const into_c = finished && !inPan ? settingOf(heat.environment) : undefined
  const told = { peak_c, wanted_c, verdict, safe, short, into_c }
  if (!short) {
    const longer = verdict === 'under' ? foreseen.climb_c : []
    const rests = longer.findIndex((by_c, i) => by_c + climbsBy(i * CLIMB_STEP_S) + off_k >= wanted_c - RESTED_K)
    const until = rests < 0 ? undefined : out_s + rests * CLIMB_STEP_S
    return {
      ...told,
      restUntil:
        until === undefined || until <= now_s
          ? undefined
          : { at_s: until, plate_s: until + carvingSeconds(item), peak_c: wanted_c - RESTED_K },
      backIn: undefined,
    }
  }
  const onBoard: Stage = {
    role: 'cook',
    environment: { kind: 'counter' },
    cover: 'tent',
    preheated: true,
    tending: [],
    until: { kind: 'time', duration_s: seconds(Math.max(60, now_s - out_s)) },
  }
  const rested = program.stages.slice(pull + 1)
  for (const minutes of BACK_IN_MIN) {
    const heated: Stage = { ...heat, tending: [], until: { kind: 'time', duration_s: seconds(minutes * 60) } }
    const back: Program = { ...program, stages: [...program.stages.slice(0, pull + 1), onBoard, heated, ...rested] }
    const again = foresee({ ...setup, program: back }, posterior)
    const again_c = again.whole.peak_c.p50 + wholeMore_k
    const sure = !isUnsure(safeChance(again.whole.peak_c, wholeMore_k, meant, again.whole.safe))
    if (again_c < wanted_c - 0.3 || !sure) continue
    // Above what it was pulled at, no lower than its kind is pulled to rest, and never above what is wanted of it.
    const least_c = Math.max(pullFloor(floor_c, program) ?? floor_c, (board.pull_c ?? floor_c) + LEAST_MORE_K)
    const reads_c = Math.min(...again.points.map(({ pull_c }) => pull_c))
    const pull_c = Math.round(2 * Math.min(wanted_c, Math.max(least_c, reads_c))) / 2
    return { ...told, restUntil: undefined, backIn: { minutes, peak_c: again_c, pull_c } }
  }
  return { ...told, restUntil: undefined, backIn: undefined }
}
