import type { EstimateSetup } from '@/core/estimate/estimate'
import { assimilate, type Posterior } from '@/core/estimate/posterior'
import type { Reading } from '@/core/estimate/reading'
import type { OvenSpec } from '@/core/heat/oven'
import type { PointId } from '@/core/heat/piece'
import { readInstead } from '@/core/program/read-instead'
import { type Program, pullStageIndex, type Stage, settingOf } from '@/core/program/stage'
import { STANDARDS } from '@/core/reference/standards'
import { prepareRoast, pullFloor } from '@/core/roast/prepare'
import { restSeconds, restStageIndex, withRest } from '@/core/roast/rest'
import { isMeantSafe, type SafetyLeast, safetyLeast } from '@/core/safety/least'
import type { StageChange } from '@/core/simulate/stepper'
import { questionOf } from '../../roast/question'
import type { BoardItem, Series } from '../board'
import type { CookItem } from '../cook-document'
import { endedAs, leastRest } from '../ending'
import { kindOf } from '../entry'
import { secondsOf } from '../entry/time'
import { jumpsOf } from '../odd'
import { carvingSeconds } from '../run/course'

/** Size of the ensemble behind an arrival, behind each way out, and behind how high a roast peaks that is out. */
export const MEMBERS = { arrival: 256, ways: 32, peak: 96 } as const

/** A roast that is in, as the estimator takes it, with what its readings have taught. */
export interface Belief {
  readonly board: BoardItem
  readonly in_s: number
  readonly setup: EstimateSetup
  readonly posterior: Posterior
  readonly points: readonly PointId[]
  readonly oven: OvenSpec
  /** The stage it is pulled from. */
  readonly last: Stage | undefined
  /** What its oven is set to, or its fire kept at, °C; undefined where the heat is off, or in a bath. */
  readonly set_c: number | undefined
  /** It ends in an oven that is switched off, and stays so. */
  readonly isOff: boolean
  readonly lastJump: number | undefined
  /** Its kind is never pulled to rest below this reading, °C. */
  readonly floor_c: number | undefined
  /** By its program it is never pulled below this, °C. */
  readonly pullFloor_c: number | undefined
  /** How far the rest may shrink and stretch, s; all alike where there is none. */
  readonly rest: { readonly least_s: number; readonly planned_s: number; readonly most_s: number }
  /** From the knife to the plates, s. */
  readonly carving_s: number
  /** What makes it safe, where what is wanted is meant to be. */
  readonly meant: SafetyLeast | undefined
}

/** An oven that is set so low is dead, °C. */
const DEAD_C = 30
export const isDead = ({ set_c }: Pick<Belief, 'set_c'>): boolean => set_c !== undefined && set_c <= DEAD_C

/** The question a cook's item puts to the model: the same as its plan did. */
export const questionOfItem = (item: CookItem) =>
  questionOf(
    {
      roast: item.roast,
      oven: item.oven,
      program: item.program,
      target: { serve_c: item.serve_c },
      altitude_m: item.altitude_m,
      vulnerable: item.vulnerable,
    },
    { rest: 'as_said', members: 0, seed: 0 },
  )

/** The stages it is heated in, the pull's the last. */
const heatedOf = (program: Program): readonly Stage[] => {
  return program.stages.slice(0, pullStageIndex(program) + 1)
}

/**
 * What was done outside the program since it went in, by time. Planned bastings are in the program already.
 * @param planned with the hot finish that it may have had
 */
function changesOf(board: BoardItem, planned: Program, program: Program, in_s: number): StageChange[] {
  const acts = new Set(
    // A moment that is not placed has no door in the program yet.
    program.stages.flatMap(({ tending }) => tending.flatMap(({ act, at_s }) => (Number.isFinite(at_s) ? [act] : []))),
  )
  const done = board.entries.flatMap((entry): StageChange[] => {
    const change = kindOf(entry.kind).change?.(entry, acts)
    return change ? [{ time_s: secondsOf(entry.at) - in_s, ...change }] : []
  })
  // A hot finish that it has had is no stage to come: it is heat that was set then.
  const hot = board.finished && planned.stages.find(({ role }) => role === 'finish')?.environment
  const set_c = hot && settingOf(hot)
  const finished: StageChange[] =
    set_c === undefined ? [] : [{ time_s: (board.finished?.from_s ?? in_s) - in_s, set_c }]
  const away = board.away.flatMap(({ from_s, to_s }): StageChange[] => [
    { time_s: from_s - in_s, away: true },
    { time_s: to_s - in_s, away: false, door: true },
  ])
  return [...finished, ...done, ...away].filter(({ time_s }) => time_s > 0).sort((a, b) => a.time_s - b.time_s)
}

/** A probe's readings as the estimator takes them: of more than one jump only the last sitting is believed. */
function readingsOf(series: Series, body: number, in_s: number, lying: boolean): Reading[] {
  const jumps = jumpsOf(series)
  const last = jumps.at(-1)
  return series
    .map(({ at_s, value_c }, i) => ({
      time_s: at_s - in_s,
      value_c,
      body,
      sitting: last !== undefined && i >= last ? 1 : 0,
    }))
    .filter((_, i) => jumps.length < 2 || i >= (last ?? 0))
    .filter(({ time_s, sitting }) => time_s > 60 && !(lying && sitting === 1))
}

/** What is known of a roast that has gone in, before its readings have taught anything. */
export interface KnownRoast {
  readonly setup: EstimateSetup
  readonly points: readonly PointId[]
  readonly oven: OvenSpec
  readonly heated: readonly Stage[]
  readonly floor_c: number | undefined
  readonly pullFloor_c: number | undefined
  readonly rest: Belief['rest']
  readonly meant: Belief['meant']
}

/** A roast that has gone in as the estimator takes it; undefined where it has not, or its document has problems. */
export function setupOf(board: BoardItem, now_s: number, seed: number, members: number): KnownRoast | undefined {
  const { item, in_s, pull_c } = board
  if (in_s === undefined) return undefined
  const asked = questionOfItem(item)
  if (!asked.ok) return undefined
  const { question } = asked.value
  const prepared = prepareRoast(question)
  const points = prepared.bodies.map(({ point }) => point)
  // Of a roast by the clock a reading was decided on: it is pulled at that.
  const decided = pull_c !== undefined && pull_c !== (item.pull_c ?? undefined)
  const asDecided = (decided && readInstead(question.program)) || question.program
  const ended = endedAs(asDecided, board.endings)
  const least_s = leastRest(restSeconds(ended), board.endings)
  const planned_s = item.rest_min === null ? least_s : Math.max(least_s, item.rest_min * 60)
  const has = restStageIndex(ended) >= 0
  const program = withRest(ended, planned_s)
  // Between a gentle roast and its hot finish it may wait, tented, longer than a rest before the knife.
  const finishes = program.stages.some(({ role }, i) => role === 'finish' && i > restStageIndex(program))
  const bodyOf = (point: string) => Math.max(0, points.indexOf(point as PointId))
  const carves_s = board.promise_s - carvingSeconds(item) - in_s
  const least = safetyLeast(question.piece.cut, { vulnerable: item.vulnerable, stuffed: item.roast.stuffed })
  const lying = board.odd.some(({ code }) => code === 'pulled_out')
  const others = board.points
    .filter(({ decides, silent }) => !decides && !silent)
    .flatMap(({ point, readings }) => readingsOf(readings, bodyOf(point), in_s, false))
  const own = readingsOf(board.readings, bodyOf(board.point), in_s, lying)
  // By time, the deciding point's own last: it is the one that is shown.
  const readings = [...others.filter(({ time_s }) => time_s <= (own.at(-1)?.time_s ?? 0)), ...own].sort(
    (a, b) => a.time_s - b.time_s,
  )
  return {
    setup: {
      ...prepared,
      program,
      changes: changesOf(board, question.program, program, in_s),
      pull_c: prepared.bodies.map(() => pull_c ?? item.serve_c - 4),
      readings,
      air:
        board.air.length > 5
          ? board.air.map(({ at_s, value_c }) => ({ time_s: at_s - in_s, value_c })).filter(({ time_s }) => time_s >= 0)
          : undefined,
      now_s: now_s - in_s,
      measured: item.roast.thickness_mm !== null,
      least,
      // What still waits for its hot finish is not carved sooner for being late out of its gentle heat.
      knife: has && !finishes ? { due_s: carves_s, least_s } : undefined,
      members,
      seed,
    },
    points,
    oven: prepared.oven,
    heated: heatedOf(program),
    meant: isMeantSafe(least, item.serve_c) ? least : undefined,
    floor_c: prepared.floor_c,
    pullFloor_c: pullFloor(prepared.floor_c, program),
    rest: {
      least_s,
      planned_s: has ? planned_s : least_s,
      most_s: has
        ? Math.max(finishes ? STANDARDS.finishWaits.value : question.piece.cut.rest_min.most * 60, planned_s) +
          (board.endings.includes('hold') ? STANDARDS.longestHold.value : 0)
        : least_s,
    },
  }
}

/** What is believed of a roast that is in; undefined while it is not, or its document has problems. */
export function beliefOf(board: BoardItem, now_s: number, seed: number, members: number): Belief | undefined {
  const { item, in_s, state } = board
  const known = state === 'in' ? setupOf(board, now_s, seed, members) : undefined
  if (!known || in_s === undefined) return undefined
  const { setup, points, oven, heated, floor_c, pullFloor_c, rest, meant } = known
  const last = heated.at(-1)
  const isOff = last?.environment.kind === 'oven' && last.environment.heat === 'off' && board.settings.length === 0
  return {
    board,
    in_s,
    setup,
    posterior: assimilate(setup),
    points,
    oven,
    last,
    set_c:
      board.hand_c ??
      (isOff
        ? undefined
        : heated
            .filter(({ environment: { kind } }) => kind === 'oven' || kind === 'fire')
            .map(({ environment }) => settingOf(environment))
            .findLast((value) => value !== undefined)),
    isOff,
    lastJump: jumpsOf(board.readings).at(-1),
    floor_c,
    pullFloor_c,
    rest,
    carving_s: carvingSeconds(item),
    meant,
  }
}
