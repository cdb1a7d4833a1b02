import type { EnsembleAnswer } from '../estimate/ensemble'
import { type OvenSpec, preheatSeconds } from '../heat/oven'
import { type CookRun, pullStageIndex } from '../program/cook'
import type { PullAnswer } from '../program/pull'
import { type Program, type Stage, settingOf } from '../program/stage'
import { type EpochSeconds, epochSeconds, minutes, type Seconds } from '../units'

export type TaskKind =
  | 'salt'
  | 'take_out'
  | 'preheat'
  | 'put_in'
  | 'tend'
  | 'watch'
  | 'pull'
  | 'rest'
  | 'change'
  | 'preheat_finish'
  | 'finish'
  | 'carve'
  | 'serve'

/** One thing to do, at a time. Why it is then and not otherwise stands in `because`. */
export interface Task {
  readonly kind: TaskKind
  readonly at: EpochSeconds
  /** Where the time has doubt: the window, p10 to p90. */
  readonly window?: { readonly from: EpochSeconds; readonly to: EpochSeconds } | undefined
  readonly because: Because
  readonly stage?: Stage | undefined
  readonly act?: string | undefined
}

/** Where a number comes from, as data. */
export interface Because {
  readonly basis: 'model' | 'common_practice' | 'house_rule' | 'standard' | 'promise'
  readonly numbers: Readonly<Record<string, number>>
}

/** Carving takes a few minutes, and longer for a larger piece (common practice). */
export const carveSeconds = (mass_kg: number): Seconds => minutes(Math.min(20, 5 + 2 * mass_kg))
/** Slack before an oven is needed hot: dials click off before the walls are warm (common practice). */
export const PREHEAT_SLACK_S = 300
/** Dry salting: a day ahead is best, three quarters of an hour the least that is not worse than none (common practice). */
const SALT_AHEAD_S = 24 * 3600
const SALT_LEAST_S = 45 * 60
/** Someone should stand there before the window opens. */
const WATCH_AHEAD_S = 15 * 60
/** Of two tasks at the same minute, which is said first. */
const ORDER: Readonly<Record<TaskKind, number>> = {
  salt: 0,
  take_out: 1,
  preheat: 2,
  put_in: 3,
  change: 4,
  tend: 5,
  watch: 6,
  pull: 7,
  rest: 8,
  preheat_finish: 9,
  finish: 10,
  carve: 11,
  serve: 12,
}

/** What the tasks of a roast need to know of its request. */
export interface TaskRequest {
  readonly mass_kg: number
  readonly temper_s: number
  readonly drySalted: boolean
  readonly oven: OvenSpec
  readonly serve_c: number
  readonly promise: EpochSeconds
  readonly now: EpochSeconds
}

/** Every task of one roast, in the order of the clock. */
export function tasksOf(
  request: TaskRequest,
  program: Program,
  run: CookRun,
  answer: PullAnswer,
  ensemble: EnsembleAnswer,
  putIn: EpochSeconds,
  hasSpread: boolean,
): Task[] {
  const at = (offset_s: number) => epochSeconds(putIn + offset_s)
  const because = (basis: Because['basis'], numbers: Record<string, number> = {}): Because => ({ basis, numbers })
  const tasks: Task[] = []
  const ahead_s = SALT_AHEAD_S
  if (request.drySalted) {
    const wanted = putIn - ahead_s
    const saltAt = Math.min(Math.max(wanted, request.now), putIn - SALT_LEAST_S)
    tasks.push({
      kind: 'salt',
      at: epochSeconds(saltAt),
      because: because('common_practice', { ahead_h: (putIn - saltAt) / 3600 }),
    })
  }
  if (request.temper_s > 0)
    tasks.push({
      kind: 'take_out',
      at: at(-request.temper_s),
      because: because('house_rule', { minutes: request.temper_s / 60 }),
    })
  const firstStage = program.stages[0] as Stage
  const firstSetting = settingOf(firstStage.environment)
  const needsHeat = firstStage.preheated && firstSetting !== undefined && firstStage.environment.kind !== 'counter'
  if (needsHeat && firstSetting !== undefined) {
    const preheat_s = preheatSeconds(request.oven, firstSetting) + PREHEAT_SLACK_S
    tasks.push({
      kind: 'preheat',
      at: at(-preheat_s),
      stage: firstStage,
      because: because('common_practice', { minutes: preheat_s / 60, set_c: firstSetting }),
    })
  }
  tasks.push({
    kind: 'put_in',
    at: putIn,
    stage: firstStage,
    because: because('model', { cook_min: run.pull_s / 60, rest_min: (run.carve_s - run.pull_s) / 60 }),
  })
  const pullIndex = pullStageIndex(program)
  run.stages.forEach(({ stage, start_s, end_s }, index) => {
    for (const tending of stage.tending) {
      const times = [tending.at_s as number]
      if (tending.every_s)
        for (let t = tending.at_s + tending.every_s; t < end_s - start_s - 60; t += tending.every_s) times.push(t)
      for (const t of times)
        tasks.push({ kind: 'tend', act: tending.act, at: at(start_s + t), stage, because: because('common_practice') })
    }
    if (index > 0 && start_s < run.carve_s) {
      const kind: TaskKind = stage.role === 'rest' ? 'rest' : stage.role === 'finish' ? 'finish' : 'change'
      const setting = settingOf(stage.environment)
      if (
        kind === 'finish' &&
        stage.environment.kind === 'oven' &&
        setting !== undefined &&
        run.stages[index - 1]?.stage.environment.kind !== 'oven'
      ) {
        const preheat_s = preheatSeconds(request.oven, setting) + PREHEAT_SLACK_S
        tasks.push({
          kind: 'preheat_finish',
          at: at(Math.max(start_s - preheat_s, run.pull_s)),
          stage,
          because: because('common_practice', { minutes: preheat_s / 60, set_c: setting }),
        })
      }
      tasks.push({
        kind,
        at: at(start_s),
        stage,
        because: because(kind === 'rest' ? 'common_practice' : 'model', {
          minutes: (end_s - start_s) / 60,
          ...(setting === undefined ? {} : { set_c: setting }),
        }),
      })
    }
    if (index === pullIndex && answer.outcome !== 'fixed_program') {
      const window = hasSpread ? { from: at(ensemble.pull_s.p10), to: at(ensemble.pull_s.p90) } : undefined
      if (window)
        tasks.push({
          kind: 'watch',
          at: epochSeconds(window.from - WATCH_AHEAD_S),
          because: because('model', { pull_c: answer.pull_c[0] as number }),
        })
      tasks.push({
        kind: 'pull',
        at: at(run.pull_s),
        window,
        because: because('model', {
          pull_c: answer.pull_c[0] as number,
          serve_c: request.serve_c,
          rise_k: Math.min(...run.peak_c) - (answer.pull_c[0] as number),
          peak_after_min: ((run.peak_s[0] as number) - run.pull_s) / 60,
        }),
      })
    }
  })
  tasks.push({
    kind: 'carve',
    at: at(run.carve_s),
    because: because('common_practice', { minutes: carveSeconds(request.mass_kg) / 60 }),
  })
  tasks.push({ kind: 'serve', at: request.promise, because: because('promise') })
  return tasks.sort((a, b) => a.at - b.at || ORDER[a.kind] - ORDER[b.kind])
}
