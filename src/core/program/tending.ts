import { seconds } from '../units'
import { type Program, type Stage, type Tending, UNPLACED_S } from './stage'

/** How a program went, as far as placing its tending asks: when each stage began and ended, and the core by time. */
export interface WentBy {
  readonly stages: readonly { readonly start_s: number; readonly end_s: number }[]
  /** When the least done core first reads this between two times, s; undefined where it does not. */
  readonly reads: (core_c: number, from_s: number, to_s: number) => number | undefined
}

/** Nothing is done later than this before its stage ends, s. */
const LAST_S = 60
const PLACED_TO_S = 60

const isOpen = ({ moment }: Tending) => moment !== undefined
/**
 * Whether anything in a program is done at a moment that no clock says.
 * @example hasMoments(steadyProgram(160, 20)) // false
 */
export const hasMoments = (program: Program): boolean => program.stages.some(({ tending }) => tending.some(isOpen))

function placed(tending: Tending, start_s: number, end_s: number, reads: WentBy['reads']): Tending {
  const { moment } = tending
  if (!moment) return tending
  const long_s = Math.max(0, end_s - start_s)
  const at =
    moment.kind === 'share'
      ? moment.share * long_s
      : moment.kind === 'before_end'
        ? long_s - moment.before_s
        : (reads(moment.core_c, start_s, end_s) ?? Number.POSITIVE_INFINITY) - start_s
  if (!Number.isFinite(at)) return { ...tending, at_s: UNPLACED_S }
  const inside = Math.min(Math.max(0, at), Math.max(0, long_s - LAST_S))
  return { ...tending, at_s: seconds(Math.floor(inside / PLACED_TO_S) * PLACED_TO_S) }
}

/**
 * The same program with every moment at its time, to the minute, by how it went: half-way is half-way through its
 * stage, a reading is when the core first has it. What never comes is at an infinite time.
 */
export function placeTending(program: Program, { stages, reads }: WentBy): Program {
  return {
    ...program,
    stages: program.stages.map((stage, i): Stage => {
      const went = stages[i]
      if (!went || !stage.tending.some(isOpen)) return stage
      return { ...stage, tending: stage.tending.map((each) => placed(each, went.start_s, went.end_s, reads)) }
    }),
  }
}

/**
 * The same program with nobody tending it, in one stage or in all.
 * @example untended(steadyProgram(160, 20)).stages[0].tending // []
 */
export const untended = (program: Program, only?: number): Program => ({
  ...program,
  stages: program.stages.map((stage, i) =>
    only === undefined || i === only ? { ...stage, tending: stage.tending.filter(({ act }) => KEPT.has(act)) } : stage,
  ),
})
/** What changes the meat's surroundings is more than a door. */
const KEPT: ReadonlySet<Tending['act']> = new Set(['uncover', 'cover'])
