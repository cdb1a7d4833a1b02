import type { Cover } from '../heat/environment'
import { FRIDGE_C, ROOM_C } from '../reference/standards'
import type { Celsius, Seconds } from '../units'

/** What surrounds the meat, with its setting where it has one. */
export type StageEnvironment =
  | { readonly kind: 'oven'; readonly heat: 'on'; readonly set_c: Celsius }
  | { readonly kind: 'oven'; readonly heat: 'off' }
  | { readonly kind: 'fire' | 'pan' | 'bath' | 'cabinet'; readonly set_c: Celsius }
  | { readonly kind: 'counter' | 'fridge' }

/** When a stage ends. The pull reading is found by the planner, so that the peak after it is the wanted doneness. */
export type StageEnd =
  | { readonly kind: 'time'; readonly duration_s: Seconds }
  | { readonly kind: 'pull' }
  | { readonly kind: 'core'; readonly core_c: Celsius }
  | { readonly kind: 'colour'; readonly browning_s: Seconds }
  /** Until a tough cut is so tender at its centre, by time and temperature: seconds at 90 °C. */
  | { readonly kind: 'tender'; readonly tender_s: Seconds }
  /** Holds until the clock says go; the planner stretches it from this least. */
  | { readonly kind: 'clock'; readonly least_s: Seconds }

/** What a cook does inside a stage: coals go on a fire, and a look is a door opened for nothing else. */
export const TENDING_ACTS = ['baste', 'turn', 'glaze', 'uncover', 'cover', 'look', 'coals'] as const
export type TendingAct = (typeof TENDING_ACTS)[number]

/** When something is done that no clock says: a share of the stage, so long before its end, or at a reading. */
export type TendingMoment =
  | { readonly kind: 'share'; readonly share: number }
  | { readonly kind: 'before_end'; readonly before_s: Seconds }
  | { readonly kind: 'core'; readonly core_c: Celsius }

/** Something a cook does inside a stage; in an oven each costs one opening of the door. */
export interface Tending {
  readonly act: TendingAct
  /** First time, from the start of the stage; infinite while its moment has not been placed. */
  readonly at_s: Seconds
  /** What says when, where it is not the clock; {@link placeTending} turns it into a time. */
  readonly moment?: TendingMoment | undefined
  /** And again after each of these; undefined: once. */
  readonly every_s?: Seconds | undefined
}

/** Where a moment has not been placed yet. */
export const UNPLACED_S = Number.POSITIVE_INFINITY as Seconds

export type StageRole = 'cook' | 'rest' | 'finish'
export type BirdPosition = 'breast_up' | 'breast_down'
/** What is on the surface: fat or butter seals some of it, a sugar glaze browns and seals a little. */
export type StageSurface = 'plain' | 'fat' | 'glaze'

/** One stage of a program: one surrounding, one cover, until something happens. */
export interface Stage {
  readonly role: StageRole
  readonly environment: StageEnvironment
  readonly cover: Cover
  /** Whether an oven is up to heat when the meat goes in. */
  readonly preheated: boolean
  readonly position?: BirdPosition | undefined
  /** A piece of foil over one part of a bird only. */
  readonly foil?: 'breast' | 'legs' | undefined
  readonly surface?: StageSurface | undefined
  readonly until: StageEnd
  readonly tending: readonly Tending[]
}

/** A way of roasting as stages, in order. The last stage ends at the knife. */
export interface Program {
  readonly school: string
  readonly stages: readonly Stage[]
}

/** The longest any one stage may run before the simulator gives up. */
export const STAGE_LIMIT_S = 36 * 3600

/**
 * The temperature a stage asks of its surroundings, °C; the room on the counter, undefined with the heat off.
 * @example settingOf({ kind: 'oven', heat: 'off' }) // undefined
 */
export function settingOf(environment: StageEnvironment): number | undefined {
  switch (environment.kind) {
    case 'oven':
      return environment.heat === 'on' ? environment.set_c : undefined
    case 'counter':
      return ROOM_C
    case 'fridge':
      return FRIDGE_C
    default:
      return environment.set_c
  }
}

const WAITS: ReadonlySet<StageEnd['kind']> = new Set(['pull', 'core', 'tender'])
/**
 * Whether a stage's end is waited for, not timed: what is pulled is pulled then.
 * @example isWaitedFor({ until: { kind: 'pull' } }) // true
 */
export const isWaitedFor = ({ until }: { readonly until: { readonly kind: StageEnd['kind'] } }): boolean =>
  WAITS.has(until.kind)

/**
 * Whether a program's pull waits for the reading that makes the peak the wanted, not for a clock or a core of its own.
 * @example pullsAtReading(steadyProgram(160, 20)) // true
 */
export const pullsAtReading = (program: Program): boolean =>
  program.stages[pullStageIndex(program)]?.until.kind === 'pull'

/**
 * The core at which a program is pulled that was told its reading, °C; undefined where its pull waits for anything else.
 * @example pullsAtCore(steadyProgram(160, 20)) // undefined
 */
export function pullsAtCore(program: Program): Celsius | undefined {
  const end = program.stages[toldPullOf(program.stages) ?? -1]?.until
  return end?.kind === 'core' ? end.core_c : undefined
}

/**
 * Whether a program is cooked until it is tender, whatever the reading.
 * @example endsTender(steadyProgram(160, 20)) // false
 */
export const endsTender = (program: Program): boolean =>
  program.stages[pullStageIndex(program)]?.until.kind === 'tender'

/**
 * Whether it goes straight on in the heat at its reading, to be taken out only later.
 * @example staysInHeat(steadyProgram(160, 20)) // false
 */
export const staysInHeat = (program: Program): boolean => program.stages[pullStageIndex(program) + 1]?.role === 'finish'

/**
 * The stage whose end is the pull: the last that waits for a reading, else the last heated one.
 * @example pullStageIndex(steadyProgram(160, 20)) // 0
 */
export const pullStageIndex = (program: Program): number => pullStageOf(program.stages)

/** A stage by what its place among others is told from, in a program or in a document. */
type Placed = { readonly role: StageRole; readonly until: { readonly kind: StageEnd['kind'] } }
/**
 * The same of stages alone.
 * @example pullStageOf(steadyProgram(160, 20).stages) // 0
 */
export function pullStageOf(stages: readonly Placed[]): number {
  const waits = stages.findLastIndex(isWaitedFor)
  return waits >= 0 ? waits : stages.findLastIndex(({ role }) => role === 'cook')
}
/**
 * That stage where it ends at a core it was told, and no other cooks on after it; undefined where it does not.
 * @example toldPullOf(steadyProgram(160, 20).stages) // undefined
 */
export function toldPullOf(stages: readonly Placed[]): number | undefined {
  const at = pullStageOf(stages)
  const goesOn = stages.slice(at + 1).some(({ role }) => role === 'cook')
  return stages[at]?.until.kind === 'core' && !goesOn ? at : undefined
}
