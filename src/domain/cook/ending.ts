import { type Program, pullStageIndex, type Stage } from '@/core/program/stage'
import { STANDARDS } from '@/core/reference/standards'
import { celsius, seconds } from '@/core/units'
import type { CookLog, Ending } from './entry/kind'
import type { CookStep } from './step'

/** The end of a cook, decided otherwise than planned while it is in: its program, and its steps. */

/** How a roast now ends; without its hot finish where the step was left out, or is over. */
export type EndsNow = Ending | 'no_finish'

/** A heavy pan does on all sides what the hottest oven does, in about this time, and is hot in so long, s (common practice). */
export const PAN_FINISH = { set_c: 230, s: 5 * 60, heats_s: 10 * 60 } as const

/** The hot finish after the pull, by the clock; −1 where there is none. */
const finishIndex = (program: Program): number =>
  program.stages.findIndex(
    ({ role, until }, i) => i > pullStageIndex(program) && role === 'finish' && until.kind === 'time',
  )

/** The same without its hot finish; undefined where it has none. */
export function withoutFinish(program: Program): Program | undefined {
  const index = finishIndex(program)
  return index < 0 ? undefined : { ...program, stages: program.stages.filter((_, i) => i !== index) }
}

/** The same with its hot finish in a pan; undefined where it has none, is over a fire, or a pan is no shorter. */
export function withPanFinish(program: Program): Program | undefined {
  const index = finishIndex(program)
  const stage = program.stages[index]
  const kind = stage?.environment.kind
  if (stage?.until.kind !== 'time' || kind === 'pan' || kind === 'fire' || stage.until.duration_s <= PAN_FINISH.s)
    return undefined
  const pan: Stage = {
    ...stage,
    environment: { kind: 'pan', set_c: celsius(PAN_FINISH.set_c) },
    until: { kind: 'time', duration_s: seconds(PAN_FINISH.s) },
    tending: [],
  }
  return { ...program, stages: program.stages.map((each, i) => (i === index ? pan : each)) }
}

/** The least rest as it was decided, s. @param least_s as it is planned */
export const leastRest = (least_s: number, endings: readonly EndsNow[]): number =>
  endings.includes('short_rest') ? Math.min(least_s, STANDARDS.shortRest.value) : least_s

/** A program as it was decided that it ends. */
export function endedAs(program: Program, endings: readonly EndsNow[]): Program {
  if (endings.includes('no_finish')) return withoutFinish(program) ?? program
  return (endings.includes('pan_finish') ? withPanFinish(program) : undefined) ?? program
}

/** How the end of a roast was decided, its finish among it that is not to come. */
export const endingsOf = (steps: readonly CookStep[], item: string, log: CookLog): readonly EndsNow[] => [
  ...(log.items.get(item)?.endings ?? []),
  ...(steps.some((step) => step.item === item && isNoMore(step, log)) ? ['no_finish' as const] : []),
]

/** A hot finish that is not to come: left out, or had before it went back into the heat. Its roast goes from its rest to the knife. */
export const isNoMore = ({ kind, id, item }: CookStep, log: CookLog): boolean =>
  kind === 'finish' && (log.skipped.has(id) || log.items.get(item ?? '')?.finished !== undefined)

/** The pull of what has had its hot finish, and went back into the heat: nothing comes after it but the rest. */
export const pullAgain = (step: CookStep): CookStep => ({
  ...step,
  numbers: Object.fromEntries(Object.entries(step.numbers).filter(([name]) => !AND_THEN.has(name))),
})
const AND_THEN: ReadonlySet<string> = new Set(['pale', 'stays', 'else_pull_c', 'else_min'])

/** A step of a hot finish, as it is done in a pan; which heat it was planned for stays said. */
export function inPan(step: CookStep): CookStep {
  if (step.stage?.role !== 'finish' || (step.kind !== 'finish' && step.kind !== 'heat_up')) return step
  return {
    ...step,
    set_c: PAN_FINISH.set_c,
    stage: { ...step.stage, environment: { kind: 'pan', set_c: PAN_FINISH.set_c }, preheated: true },
    numbers: { ...step.numbers, minutes: (step.kind === 'finish' ? PAN_FINISH.s : PAN_FINISH.heats_s) / 60 },
  }
}
