import { type Program, pullStageIndex, type Stage } from '../program/stage'
import { type Seconds, seconds } from '../units'

/**
 * The stage after the pull that can be made longer: one that holds for the clock, else the first rest; −1 when there is none.
 * @example restStageIndex(steadyProgram(160, 20)) // 1
 */
export function restStageIndex(program: Program): number {
  const pull = pullStageIndex(program)
  const after = (ok: (stage: Stage) => boolean) => program.stages.findIndex((stage, i) => i > pull && ok(stage))
  const waits = after((stage) => stage.until.kind === 'clock')
  return waits >= 0 ? waits : after((stage) => stage.role === 'rest' && stage.until.kind === 'time')
}

/**
 * The rest of a program after its pull, s; 0 when it has none.
 * @example restSeconds(steadyProgram(160, 20)) // 1200
 */
export function restSeconds(program: Program): Seconds {
  const until = program.stages[restStageIndex(program)]?.until
  if (until?.kind === 'clock') return until.least_s
  return until?.kind === 'time' ? until.duration_s : seconds(0)
}

/**
 * The same program with another rest, s. A program without one stays as it is.
 * @example restSeconds(withRest(steadyProgram(160, 20), 1800)) // 1800
 */
export function withRest(program: Program, rest_s: number): Program {
  const index = restStageIndex(program)
  if (index < 0) return program
  return {
    ...program,
    stages: program.stages.map((stage, i) =>
      i === index ? { ...stage, until: { kind: 'time', duration_s: seconds(rest_s) } } : stage,
    ),
  }
}
