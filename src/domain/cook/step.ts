import { z } from 'zod'
import { type Stage, TENDING_ACTS } from '@/core/program/stage'
import { TASK_KINDS, type Task } from '@/core/schedule/task'
import { celsius, minutes } from '@/core/units'
import { environmentPart } from '../roast/roast-document'
import { stagesOf } from '../roast/stages'
import { finite, ident, instant, text } from '../schema/scalars'

/** One step of the plan as it was when the cook began: what to do, to what, when, why then. */
export const cookStep = z.strictObject({
  id: ident(20),
  kind: z.enum(TASK_KINDS),
  /** What it is done to where that is neither roast nor side. */
  what: text(120).nullable().default(null),
  /** The roast or side it is done to; null: to none alone. */
  item: ident(60).nullable().default(null),
  at: instant,
  hands_s: finite.min(0).max(86_400).default(0),
  /** Where the time had doubt: p10 to p90. */
  window: z.strictObject({ from: instant, to: instant }).nullable().default(null),
  act: z.enum(TENDING_ACTS).nullable().default(null),
  set_c: finite.nullable().default(null),
  pull_c: finite.nullable().default(null),
  source: z
    .strictObject({ id: ident(60), name: text(120), kind: ident(20) })
    .nullable()
    .default(null),
  /** The stage that begins or ends with it, as far as words need it. */
  stage: z
    .strictObject({
      role: z.enum(['cook', 'rest', 'finish']),
      environment: environmentPart,
      cover: z.enum(['bare', 'tent', 'foil', 'bag']),
      preheated: z.boolean(),
      position: z.enum(['breast_up', 'breast_down']).nullable().default(null),
    })
    .nullable()
    .default(null),
  /** What comes on the table then. */
  servings: text(400).nullable().default(null),
  /** Whose hands. */
  who: text(120).nullable().default(null),
  basis: z.enum(['model', 'common_practice', 'house_rule', 'standard', 'promise']).default('model'),
  numbers: z.record(ident(40), finite).default({}),
})
export type CookStep = z.output<typeof cookStep>

const iso = (at_s: number) => new Date(at_s * 1000).toISOString()

/** What a task of a plan belongs to, by the cook's names. */
export interface StepScene {
  readonly item: string | null
  readonly source: CookStep['source']
  readonly servings: string | null
  readonly who: string | null
}

/** The steps of a cook from the tasks of its plan, in their order. */
export const stepsOf = (tasks: readonly Task[], sceneOf: (task: Task) => StepScene): CookStep[] =>
  tasks.map((task, i): CookStep => {
    const { stage, window, because } = task
    const [part] = stage ? stagesOf({ school: '', stages: [stage] }) : []
    return {
      id: `step ${i + 1}`,
      kind: task.kind,
      what: null,
      at: iso(task.at),
      hands_s: task.hands_s,
      window: window ? { from: iso(window.from), to: iso(window.to) } : null,
      act: task.act ?? null,
      set_c: task.set_c ?? null,
      pull_c: task.pull_c ?? null,
      stage: part
        ? {
            role: part.role,
            environment: part.environment,
            cover: part.cover,
            preheated: part.preheated,
            position: part.position ?? null,
          }
        : null,
      basis: because.basis,
      numbers: Object.fromEntries(Object.entries(because.numbers).filter(([, value]) => Number.isFinite(value))),
      ...sceneOf(task),
    }
  })

/** The stage that begins with a step, as far as it is said: its end is not. */
export function stageOfStep({ stage }: CookStep): Stage | undefined {
  if (!stage) return undefined
  const { environment } = stage
  return {
    role: stage.role,
    cover: stage.cover,
    preheated: stage.preheated,
    ...(stage.position ? { position: stage.position } : {}),
    environment:
      environment.kind === 'oven'
        ? environment.set_c === null
          ? { kind: 'oven', heat: 'off' }
          : { kind: 'oven', heat: 'on', set_c: celsius(environment.set_c) }
        : 'set_c' in environment
          ? { kind: environment.kind, set_c: celsius(environment.set_c) }
          : environment,
    until: { kind: 'time', duration_s: minutes(0) },
    tending: [],
  }
}
