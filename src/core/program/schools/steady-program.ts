import type { Program, Stage } from '../stage'
import { on, rest, stage, toPull } from './parts'

/**
 * The simplest program there is: one setting to the pull, then a rest under a tent.
 * @example steadyProgram(160, 20).stages.length // 2
 */
export const steadyProgram = (set_c: number, rest_min: number, more: Partial<Stage> = {}): Program => ({
  school: 'steady',
  stages: [stage('cook', on(set_c), toPull, more), rest(rest_min)],
})
