import { rest, toPull } from './schools/parts'
import { type Program, pullStageIndex, type Stage } from './stage'

/** What was to be carved as it comes out, and comes out sooner, rests at least so long, minutes (common practice). */
const LEAST_REST_MIN = 10
/** What a clock ends sooner than this is no roasting that a reading could end instead, s. */
const LEAST_ROAST_S = 1200
const ROASTED: ReadonlySet<Stage['environment']['kind']> = new Set(['oven', 'fire'])
/**
 * A program that the clock takes out of its oven or fire, as one that waits for a reading there instead; undefined where
 * it waits for something, or ends in no stretch of roasting.
 * @example readInstead(steadyProgram(160, 20)) // undefined
 */
export function readInstead(program: Program): Program | undefined {
  const at = pullStageIndex(program)
  const last = program.stages[at]
  if (last?.until.kind !== 'time' || last.until.duration_s < LEAST_ROAST_S || !ROASTED.has(last.environment.kind))
    return undefined
  const stages = program.stages.map((stage, i) => (i === at ? { ...stage, until: toPull } : stage))
  return { ...program, stages: at === stages.length - 1 ? [...stages, rest(LEAST_REST_MIN)] : stages }
}
