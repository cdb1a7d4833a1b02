import type { Spread } from '../estimate/ensemble'
import { type OvenSpec, preheatSeconds } from '../heat/oven'
import {
  endsTender,
  type Program,
  pullStageIndex,
  pullsAtCore,
  type Stage,
  settingOf,
  staysInHeat,
  type TendingAct,
} from '../program/stage'
import { shapingOf } from '../reference/cuts'
import { PREHEAT_SLACK_S, STANDARDS } from '../reference/standards'
import type { RoastAnswer } from '../roast/answer'
import { epochSeconds } from '../units'
import { carveSeconds } from './carving'
import { aroundTheTable, beforeBed, daysBefore } from './days-before'
import type { PlanRequest, TimedStage } from './plan'
import { because, byClock, HANDS_S, type Task, type TaskKind } from './task'

/** A cooked roast on the clock, as its tasks see it: by a plan's own times, or by the places a meal gave it. */
export interface RoastOnClock {
  readonly program: Program
  readonly stages: readonly TimedStage[]
  readonly oven: OvenSpec
  readonly mass_kg: number
  readonly serve_c: number
  readonly pull_c: number
  readonly peak_c: number
  /** Peak after the pull, s. */
  readonly peakAfter_s: number
  /** Time to pull by the ensemble, s; undefined where it says nothing or nothing is waited for. */
  readonly window_s: Spread | undefined
  /** Whether a reading is waited for. */
  readonly waits: boolean
  /** Whether a step of its own takes it out where none is: of a meal's roasts one does. */
  readonly takenOff?: true | undefined
  /** When the knife begins, how long it takes, and how long what is carved waits for its table where that is long, s. */
  readonly carve: { readonly at: number; readonly hands_s: number; readonly ahead_s?: number | undefined }
}

/** Whether a cook stands there and waits for something, a reading or a fork that turns; else the clock takes it out. */
export const waitsFor = (outcome: RoastAnswer['outcome'], program: Program): boolean =>
  outcome !== 'fixed_program' || endsTender(program) || pullsAtCore(program) !== undefined

const UNHEATED: ReadonlySet<Stage['environment']['kind']> = new Set(['counter', 'fridge', 'cabinet'])
const COVERS: ReadonlySet<TendingAct> = new Set(['cover', 'uncover'])
/** Steps closer together than this to the end of a stage fall away, s. */
const TEND_LEAST_S = 60

/** What to do with one roast from the oven door to the knife: the one place where stages become steps. */
export function roastTasks(roast: RoastOnClock): Task[] {
  const { program, stages, window_s } = roast
  const tasks: Task[] = []
  const add = (kind: TaskKind, at: number, why: Task['because'], more: Partial<Task> = {}) =>
    tasks.push({ kind, at: epochSeconds(at), hands_s: HANDS_S[kind], because: why, ...more })
  const pullIndex = pullStageIndex(program)
  const first = stages[0]
  const pulled = stages[pullIndex]
  if (!first) return tasks
  const last = stages.at(-1) as TimedStage
  add(
    'put_in',
    first.from,
    because('model', {
      cook_min: ((pulled ?? last).to - first.from) / 60,
      rest_min: (roast.carve.at - (pulled ?? last).to) / 60,
    }),
    { stage: first.stage, set_c: settingOf(first.stage.environment) },
  )
  stages.forEach(({ stage, from, to }, index) => {
    const set_c = settingOf(stage.environment)
    // Nothing is basted or turned that is out of the heat: there foil goes on or off, and no more.
    const tending = UNHEATED.has(stage.environment.kind)
      ? stage.tending.filter(({ act }) => COVERS.has(act))
      : stage.tending
    for (const { act, at_s, every_s, moment } of tending) {
      const times = [at_s as number]
      if (every_s !== undefined && every_s >= TEND_LEAST_S)
        for (let t = at_s + every_s; t < to - from - TEND_LEAST_S; t += every_s) times.push(t)
      for (const t of times)
        if (Number.isFinite(t) && from + t < to)
          add(
            'tend',
            from + t,
            because('common_practice', {
              ...(act === 'turn' && t > 0 && stage.position !== 'breast_down' ? { other_way: 1 } : {}),
              ...(moment?.kind === 'core' ? { reads_c: moment.core_c } : {}),
            }),
            { act, stage },
          )
    }
    if (index > 0) {
      const kind: TaskKind = stage.role === 'rest' ? 'rest' : stage.role === 'finish' ? 'finish' : 'change'
      const before = stages[index - 1]?.stage.until
      add(
        kind,
        from,
        because(kind === 'rest' ? 'common_practice' : 'model', {
          minutes: (to - from) / 60,
          ...(set_c === undefined ? {} : { set_c }),
          // It waits for a reading that is no pull: the board moves it with the core.
          ...(kind === 'change' && before?.kind === 'core' ? { reads_c: before.core_c } : {}),
          ...(kind === 'rest' && stages[index - 1]?.stage.environment.kind === 'fire' ? { fire: 1 } : {}),
          // Out of a hot finish no other step says that it comes out.
          ...(kind === 'rest' && stages[index - 1]?.stage.role === 'finish' ? { finished: 1 } : {}),
          // By the clock no other step says that it comes out.
          ...(kind === 'rest' && index === pullIndex + 1 && !roast.waits && !roast.takenOff ? { out: 1 } : {}),
          ...(kind === 'change' && stages[index - 1]?.stage.cover !== stage.cover ? { cover_changes: 1 } : {}),
          ...(kind === 'finish' && stages.slice(index + 1).some((later) => later.stage.role === 'rest')
            ? { rests: 1 }
            : {}),
        }),
        { stage, set_c },
      )
    }
    if (index === pullIndex && roast.waits) {
      const window = window_s && {
        from: epochSeconds(to + window_s.p10 - window_s.p50),
        to: epochSeconds(to + window_s.p90 - window_s.p50),
      }
      if (window)
        add(
          'watch',
          window.from - STANDARDS.watchAhead.value,
          because('model', { pull_c: roast.pull_c, ...(endsTender(program) ? { tender: 1 } : {}) }),
          {
            pull_c: roast.pull_c,
          },
        )
      add(
        'pull',
        to,
        because('model', {
          pull_c: roast.pull_c,
          serve_c: roast.serve_c,
          rise_k: roast.peak_c - roast.pull_c,
          peak_after_min: roast.peakAfter_s / 60,
          ...(endsTender(program) ? { tender: 1 } : {}),
          ...(stage.environment.kind === 'bath' ? { bath: 1 } : {}),
          // What follows may be a hotter oven, not the board.
          ...(staysInHeat(program) ? { stays: 1 } : {}),
        }),
        { window, pull_c: roast.pull_c },
      )
    }
  })
  const { at, hands_s, ahead_s } = roast.carve
  const ahead = ahead_s === undefined ? {} : { ahead_min: ahead_s / 60 }
  add('carve', at, because('common_practice', { minutes: hands_s / 60, ...ahead }), { hands_s })
  return tasks
}

/** What is laid out or made ready: nothing of it is late, it is only not to be done any more. */
const LAID_OUT: ReadonlySet<TaskKind> = new Set(['shape', 'dress'])

/** The ovens that must be hot in time: before the meat first goes in, and before it goes back. */
function heatUps(stages: readonly TimedStage[], oven: OvenSpec): Task[] {
  return stages.flatMap(({ stage, from }, index): Task[] => {
    const set_c = settingOf(stage.environment)
    const before: Stage | undefined = stages[index - 1]?.stage
    const comes = before === undefined || before.environment.kind !== stage.environment.kind
    const heated = ['oven', 'fire', 'pan', 'bath'].includes(stage.environment.kind)
    if (!heated || !stage.preheated || set_c === undefined || !comes) return []
    const preheat_s = preheatSeconds(oven, set_c) + PREHEAT_SLACK_S
    // The same heat is needed by the meat itself until it comes off it.
    const free = stages.slice(0, index).findLast((earlier) => earlier.stage.environment.kind === stage.environment.kind)
    return [
      {
        kind: 'heat_up',
        at: epochSeconds(Math.max(from - preheat_s, free?.to ?? Number.NEGATIVE_INFINITY)),
        hands_s: HANDS_S.heat_up,
        stage,
        set_c,
        because: because('common_practice', { minutes: preheat_s / 60, set_c }),
      },
    ]
  })
}

/** Every task of one planned roast, in the order of the clock. */
export function tasksOf(request: PlanRequest, answer: RoastAnswer, stages: readonly TimedStage[]): Task[] {
  const putIn = stages[0]?.from ?? request.promise
  const carve_s = carveSeconds(request.piece.mass_kg)
  const tasks: Task[] = [
    ...heatUps(stages, request.oven),
    ...roastTasks({
      program: answer.program,
      stages,
      oven: request.oven,
      mass_kg: request.piece.mass_kg,
      serve_c: request.serve_c,
      pull_c: answer.pull_c,
      peak_c: answer.peak_c,
      peakAfter_s: answer.peakAfter_s,
      window_s: answer.hasSpread ? answer.ensemble.pull_s : undefined,
      waits: waitsFor(answer.pull.outcome, answer.program),
      carve: { at: request.promise - carve_s, hands_s: carve_s },
    }),
    { kind: 'serve', at: request.promise, hands_s: 0, because: because('promise') },
  ]
  const salted = request.preparation === 'dry_salt' && !request.thaw
  const table = { serving_s: request.promise, zone_s: request.zone_s }
  if (salted) {
    const at = Math.min(
      Math.max(beforeBed(putIn - STANDARDS.saltAhead.value, table), request.now),
      putIn - Math.max(STANDARDS.saltLeast.value, request.temper_s),
    )
    tasks.push({
      kind: 'salt',
      at: epochSeconds(at),
      hands_s: HANDS_S.salt,
      because: because('common_practice', { ahead_h: (putIn - at) / 3600 }),
    })
  }
  const { tasks: before } = daysBefore(
    salted ? 'none' : request.preparation,
    request.thaw,
    putIn - request.temper_s,
    putIn,
    table,
    { shape: shapingOf(request.piece.cut, request.piece.legs), tin: stages[0]?.stage.environment.kind === 'oven' },
  )
  tasks.push(...before.filter(({ kind, at }) => !LAID_OUT.has(kind) || at >= request.now))
  if (request.gravy) {
    const off = stages[pullStageIndex(answer.program)]?.to ?? putIn
    // Without a rest it is made while it is carved: its tin is in the oven until then.
    tasks.push({
      kind: 'gravy',
      at: epochSeconds(Math.max(off, putIn)),
      hands_s: HANDS_S.gravy,
      because: because('common_practice'),
    })
  }
  const first_s = Math.min(...tasks.map(({ at }) => at))
  tasks.push(...aroundTheTable({ first_s, in_s: putIn, ...table }).filter(({ at }) => at >= request.now))
  if (request.temper_s > 0)
    tasks.push({
      kind: 'take_out',
      at: epochSeconds(putIn - request.temper_s),
      hands_s: HANDS_S.take_out,
      because: because('house_rule', { minutes: request.temper_s / 60 }),
    })
  return tasks.sort(byClock)
}
