import type { School } from '@/core/program/schools'
import {
  isWaitedFor,
  type Program,
  pullStageOf,
  type Stage,
  type StageEnvironment,
  type Tending,
  type TendingMoment,
  toldPullOf,
  UNPLACED_S,
} from '@/core/program/stage'
import { TENDER_ENDS, type TenderEnd, tenderSeconds } from '@/core/reference/tenderness'
import { celsius, minutes, seconds } from '@/core/units'
import type { Path, QuantityKind } from '../problem/problem'
import type { ProgramPart, StagePart } from './roast-document'

/** What the heat of a school may be set to, °C. */
export const HEAT_RANGE_C: Readonly<Record<School['heat'], { low: number; high: number }>> = {
  oven: { low: 60, high: 300 },
  fire: { low: 80, high: 400 },
  bath: { low: 48, high: 95 },
}
const degreeOf = (tender_s: number): TenderEnd =>
  TENDER_ENDS.findLast((degree) => tenderSeconds(degree) <= tender_s + 1) ?? TENDER_ENDS[0]
type RangeCheck = (path: Path, quantity: QuantityKind, value: number, low: number, high: number) => void

/** Nothing is left on a hot pan for longer, min: what it touches is charcoal long before, and fat catches fire. */
const PAN_MOST_MIN = 120

/** A stage of a document as the core's, its numbers checked. */
export function resolveStage(stage: StagePart, path: Path, range: RangeCheck): Stage {
  const { environment: given, until: end } = stage
  let environment: StageEnvironment
  if (given.kind === 'oven') {
    if (given.set_c !== null)
      range(
        [...path, 'environment', 'set_c'],
        'temperature_c',
        given.set_c,
        HEAT_RANGE_C.oven.low,
        HEAT_RANGE_C.oven.high,
      )
    environment =
      given.set_c === null ? { kind: 'oven', heat: 'off' } : { kind: 'oven', heat: 'on', set_c: celsius(given.set_c) }
  } else if ('set_c' in given) {
    range([...path, 'environment', 'set_c'], 'temperature_c', given.set_c, 45, 400)
    environment = { kind: given.kind, set_c: celsius(given.set_c) }
  } else environment = { kind: given.kind }
  const most_min = stage.environment.kind === 'pan' ? PAN_MOST_MIN : 36 * 60
  if (end.kind === 'time') range([...path, 'until', 'minutes'], 'minutes', end.minutes, 0, most_min)
  if (end.kind === 'clock') range([...path, 'until', 'least_min'], 'minutes', end.least_min, 0, 36 * 60)
  if (end.kind === 'core') range([...path, 'until', 'core_c'], 'temperature_c', end.core_c, 0, 98)
  if (end.kind === 'colour') range([...path, 'until', 'browning_min'], 'minutes', end.browning_min, 0, 600)
  return {
    role: stage.role,
    environment,
    cover: stage.cover,
    preheated: stage.preheated,
    ...(stage.position ? { position: stage.position } : {}),
    ...(stage.foil ? { foil: stage.foil } : {}),
    ...(stage.surface ? { surface: stage.surface } : {}),
    until:
      end.kind === 'time'
        ? { kind: 'time', duration_s: minutes(end.minutes) }
        : end.kind === 'core'
          ? { kind: 'core', core_c: celsius(end.core_c) }
          : end.kind === 'colour'
            ? { kind: 'colour', browning_s: minutes(end.browning_min) }
            : end.kind === 'clock'
              ? { kind: 'clock', least_s: minutes(end.least_min) }
              : end.kind === 'tender'
                ? { kind: 'tender', tender_s: seconds(tenderSeconds(end.degree)) }
                : { kind: 'pull' },
    tending: stage.tending.map(tendingOf),
  }
}

/** What is tended in a stage of a document as the core's; a moment has no time before its roast was cooked. */
function tendingOf(part: StagePart['tending'][number]): Tending {
  const { act, at_min, every_min, at_share, before_end_min, at_core_c } = part
  const moment: TendingMoment | undefined =
    at_share !== undefined
      ? { kind: 'share', share: at_share }
      : before_end_min !== undefined
        ? { kind: 'before_end', before_s: minutes(before_end_min) }
        : at_core_c !== undefined
          ? { kind: 'core', core_c: celsius(at_core_c) }
          : undefined
  return {
    act,
    at_s: moment ? UNPLACED_S : minutes(at_min),
    ...(moment ? { moment } : {}),
    every_s: every_min === undefined ? undefined : minutes(Math.max(1, every_min)),
  }
}

/** The way back from {@link tendingOf}. */
function tendingPart({ act, at_s, every_s, moment }: Tending): StagePart['tending'][number] {
  return {
    act,
    at_min: moment ? 0 : at_s / 60,
    ...(every_s === undefined ? {} : { every_min: every_s / 60 }),
    ...(moment?.kind === 'share' ? { at_share: moment.share } : {}),
    ...(moment?.kind === 'before_end' ? { before_end_min: moment.before_s / 60 } : {}),
    ...(moment?.kind === 'core' ? { at_core_c: moment.core_c } : {}),
  }
}

/** What each stage is for, from its place: to the pull it cooks, after it the board rests and a fire finishes. */
export function withRoles(stages: readonly StagePart[]): StagePart[] {
  const heated = ({ environment }: StagePart) => !['counter', 'cabinet', 'fridge'].includes(environment.kind)
  const waits = stages.findLastIndex(isWaitedFor)
  const pull = waits >= 0 ? waits : stages.findLastIndex(heated)
  return stages.map((stage, i) => ({
    ...stage,
    role: i <= pull ? 'cook' : heated(stage) ? 'finish' : 'rest',
  }))
}

/** The main stretch of heat, by its place: the last whose end is waited for, else the last that cooks. */
export const mainStage = (stages: readonly StagePart[]): number => pullStageOf(stages)

/**
 * A program that was told its reading as one that waits for its pull: on the board a cook may take another reading, as
 * of any other. The reading itself goes with it, where there is one.
 */
export function waitingForPull(program: ProgramPart): { readonly program: ProgramPart; readonly pull_c?: number } {
  if (!('stages' in program)) return { program }
  const at = toldPullOf(program.stages)
  const end = program.stages[at ?? -1]?.until
  if (end?.kind !== 'core') return { program }
  const stages = program.stages.map((stage, i) => (i === at ? { ...stage, until: { kind: 'pull' as const } } : stage))
  return { program: { ...program, stages }, pull_c: end.core_c }
}

/** A program written out as the stages of a document: the way back from {@link resolveStage}. */
export const stagesOf = (program: Program): StagePart[] =>
  program.stages.map((stage): StagePart => {
    const { environment, until } = stage
    return {
      role: stage.role,
      environment:
        environment.kind === 'oven'
          ? { kind: 'oven', set_c: environment.heat === 'on' ? environment.set_c : null }
          : environment,
      cover: stage.cover,
      preheated: stage.preheated,
      ...(stage.position ? { position: stage.position } : {}),
      ...(stage.foil ? { foil: stage.foil } : {}),
      ...(stage.surface ? { surface: stage.surface } : {}),
      until:
        until.kind === 'time'
          ? { kind: 'time', minutes: until.duration_s / 60 }
          : until.kind === 'core'
            ? { kind: 'core', core_c: until.core_c }
            : until.kind === 'colour'
              ? { kind: 'colour', browning_min: until.browning_s / 60 }
              : until.kind === 'clock'
                ? { kind: 'clock', least_min: until.least_s / 60 }
                : until.kind === 'tender'
                  ? { kind: 'tender', degree: degreeOf(until.tender_s) }
                  : { kind: 'pull' },
      tending: stage.tending.map(tendingPart),
    }
  })
