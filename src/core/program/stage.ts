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
  /** Holds until the clock says go; the planner stretches it from this least. */
  | { readonly kind: 'clock'; readonly least_s: Seconds }

/** Something a cook does inside a stage; each costs one opening of the door. */
export interface Tending {
  readonly act: 'baste' | 'turn' | 'glaze' | 'uncover'
  /** First time, from the start of the stage. */
  readonly at_s: Seconds
  /** And again after each of these; undefined: once. */
  readonly every_s?: Seconds | undefined
}

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

/**
 * The stage whose end is the pull: the last that waits for a reading, else the last heated one.
 * @example pullStageIndex(steadyProgram(160, 20)) // 0
 */
export function pullStageIndex(program: Program): number {
  const waits = program.stages.findLastIndex((stage) => stage.until.kind === 'pull' || stage.until.kind === 'core')
  if (waits >= 0) return waits
  return program.stages.findLastIndex((stage) => stage.role === 'cook')
}
