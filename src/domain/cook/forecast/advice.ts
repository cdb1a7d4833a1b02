import type { Stage } from '@/core/program/stage'

/** The ways out a cook is offered, in no order. */
export const ADVICE_CODES = [
  'leave_it',
  'pull_at',
  'oven_up',
  'oven_down',
  'pull_now',
  'later_promise',
  'earlier_promise',
  'hold',
  'short_rest',
  'skip_finish',
  'pan_finish',
  'thin_end_first',
  'swap_ovens',
  'other_heat',
] as const

/** One way out, simulated: what it does to the time and the meat. Times in s since 1970. */
export interface Advice {
  readonly code: (typeof ADVICE_CODES)[number]
  readonly set_c?: number | undefined
  /** It is off now: on again, and not up. */
  readonly again?: true | undefined
  /** No oven: a fire, with more coals or its vents open. */
  readonly fire?: true | undefined
  /** Pull and plate, cook time, s. */
  readonly pull_s: number
  readonly plate_s: number
  readonly peak_c: number
  /** Reading to pull at then, °C: another oven climbs by another rise. */
  readonly pull_c?: number | undefined
  readonly promise_s?: number | undefined
  /** Chance that it is safe, of 1, where something is asked for that. */
  readonly safe?: number | undefined
  /** It never gets there: no time can be said. */
  readonly never?: true | undefined
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

/** Whether what is turned up or down is a fire. */
export const ofFire = (stage: Stage | undefined): Pick<Advice, 'fire'> =>
  stage?.environment.kind === 'fire' ? { fire: true } : {}
