import type { TendingAct } from '@/core/program/stage'
import { AHEAD_KINDS } from '@/core/schedule/task'
import type { CookDocument, CookEntry } from '../cook-document'
import { endingsOf, inPan, isNoMore, PAN_FINISH, pullAgain } from '../ending'
import { foldLog } from '../entry/fold'
import { type CookLog, freshItem, hasEnded, type ItemState, type Shift } from '../entry/kind'
import { secondsOf } from '../entry/time'
import type { CookStep } from '../step'
import {
  at,
  courseOf,
  happenedAt,
  isAfterFinish,
  isMilestone,
  milestonesOf,
  passedBy,
  RANK,
  type RoastCourse,
  rankOf,
  SAME_S,
  timeOf,
  type When,
} from './course'
import { holdSteps, isDecidedHold, isHold, planSteps, readingSteps, stuffingSteps } from './steps'

export { isDecidedHold, planSteps } from './steps'

/**
 * The living plan: every step of a cook with where it stands and when it is, from what was planned, what
 * happened and what is foreseen. The desk, the sheet, the home page, the calendar and the board all say
 * these times and no others.
 */

/** Passed: what came after it is done, so it is done or moot. Before: planned for a time before the cook began, and taken as done. */
export type StepState = 'open' | 'done' | 'skipped' | 'passed' | 'before'

/** A step with when it is to be done, or was. */
export interface RunStep extends When {
  readonly step: CookStep
  readonly state: StepState
  readonly planned_s: number
}

/** One roast or side of a cook as it now stands. */
export interface RunItem {
  readonly id: string
  /** When its plates are on the table, s: the promise, or later where that cannot be kept. */
  readonly plate_s: number
  /** As it is promised now, s. */
  readonly promise_s: number
}

export interface Run {
  readonly steps: readonly RunStep[]
  readonly items: readonly RunItem[]
}

/** What was planned longer than this before the cook began is taken as done, s. */
const BEFORE_S = 1800
/** Entries that do a step of the plan to a roast, by the step. */
const DOES: Readonly<Partial<Record<CookEntry['kind'], (step: CookStep) => boolean>>> = {
  turned: ({ act }) => act === 'turn',
  basted: ({ act }) => act === 'baste',
  glazed: ({ act }) => act === 'glaze',
  uncovered: ({ act }) => act === 'uncover',
  covered: ({ act }) => act === 'cover',
  rest: ({ kind }) => kind === 'rest',
}

/** So long after the pull nobody need be told that it rests, s. */
export const RESTS_S = 180

/**
 * Every step of a cook as it now stands.
 *
 * @param now_s cook time, s since 1970: what is overdue moves what follows
 */
export const runOf = (document: CookDocument, entries: readonly CookEntry[], now_s: number): Run =>
  runOfLog(document, foldLog(document, entries), now_s)

/** The same, of a log that is folded already. */
export function runOfLog(document: CookDocument, log: CookLog, now_s: number): Run {
  const steps = [
    ...planSteps(document),
    ...readingSteps(document, log),
    ...stuffingSteps(document, log),
    ...holdSteps(document, log),
  ]
  const origin_s = secondsOf(document.clock.origin)
  const ticked = tickedOf(steps, log)
  const roasts = new Map(
    document.items.map((item) => {
      const own = log.items.get(item.id) ?? freshItem()
      const endings = endingsOf(steps, item.id, log)
      const plan = milestonesOf(
        item,
        steps.filter((step) => step.item === item.id && !isNoMore(step, log)),
        endings,
      )
      const shifted = steps.find((step) => step.item === item.id && step.kind === 'put_in' && log.shifted.has(step.id))
      const begins = own.in_s ?? (shifted && log.shifted.get(shifted.id)?.at_s)
      const course = courseOf(item, plan, begins === undefined ? own : { ...own, in_s: begins }, log, now_s)
      return [item.id, { own, plan, course, panned: endings.includes('pan_finish') }] as const
    }),
  )
  const sides = new Map(
    document.sides.map((side) => {
      const own = steps.filter((step) => step.item === side.id)
      const moved = tableMoved(document, log, secondsOf(side.promise))
      // What is in stays as long as was planned, from when it went in.
      const began = own.find((step) => step.kind === 'put_in' && ticked.has(step.id))
      const late = began ? (ticked.get(began.id) as number) - at(began) : moved
      const slip = began ? (ticked.get(began.id) as number) - (log.shifted.get(began.id)?.at_s ?? at(began) + moved) : 0
      const last = own.findLastIndex((step) => ticked.has(step.id))
      // Nothing is dished up that is still in: what is late of it makes its table late.
      const off = own.findLast(({ kind }) => kind === 'take_off')
      const dish = own.findLast(({ kind }) => kind === 'dish')
      const off_s = off && (ticked.get(off.id) ?? at(off) + (began ? late : moved))
      const waits_s = dish && off_s !== undefined && !ticked.has(dish.id) ? Math.max(0, off_s - at(dish) - moved) : 0
      return [
        side.id,
        { steps: own, moved, began, late, slip, last, waits_s, promise_s: secondsOf(side.promise) },
      ] as const
    }),
  )
  const roastsOf = (planned_s: number) =>
    [...roasts.values()].filter(({ plan }) => Math.abs(plan.promise_s - planned_s) < SAME_S)
  const served = (planned_s: number) => {
    const own = roastsOf(planned_s)
    return own.length > 0 && own.every(({ own: { state } }) => hasEnded(state))
  }
  const plateOf = (planned_s: number) => {
    const own = roastsOf(planned_s)
    const moved = planned_s + tableMoved(document, log, planned_s)
    const beside = [...sides.values()].filter(({ promise_s }) => Math.abs(promise_s - planned_s) < SAME_S)
    return Math.max(
      moved,
      ...own.map(({ course }) => course.plate_s),
      ...beside.map(({ promise_s, moved: by_s, waits_s }) => promise_s + by_s + waits_s),
    )
  }
  const whole = (planned_s: number) =>
    steps.some((step) => step.kind === 'serve' && Math.abs(at(step) - planned_s) < SAME_S && ticked.has(step.id))

  const sources = new Map(steps.flatMap(({ source }) => (source ? [[source.id, source] as const] : [])))
  const found = new Map<string, RunStep>()
  /** @param with_s what was moved goes along by so much with what it follows */
  const put = (step: CookStep, passed: boolean, when: When, with_s = 0, by_s = now_s) => {
    const tick = ticked.get(step.id)
    const moved = log.shifted.get(step.id)
    const state: StepState =
      tick !== undefined
        ? 'done'
        : log.skipped.has(step.id)
          ? 'skipped'
          : AHEAD_KINDS.has(step.kind) && at(step) < origin_s - BEFORE_S
            ? 'before'
            : passed
              ? 'passed'
              : 'open'
    // When what nobody ticked was done nobody knows: it keeps its planned time.
    const gone = state === 'passed' || state === 'before'
    const elsewhere = moved && (moved.source !== undefined || moved.set_c !== undefined)
    const stands: When =
      tick !== undefined
        ? { at_s: tick, window: undefined }
        : gone
          ? { at_s: Math.min(at(step), by_s), window: undefined }
          : moved !== undefined
            ? { at_s: moved.at_s + with_s, window: undefined }
            : when
    found.set(step.id, {
      step: elsewhere ? atSource(step, moved, sources) : step,
      state,
      // What came up on the way was not planned for another time.
      planned_s: isDecidedHold(step) ? stands.at_s : at(step),
      ...stands,
    })
  }
  for (const step of steps) {
    const roast = step.item === null ? undefined : roasts.get(step.item)
    const side = step.item === null ? undefined : sides.get(step.item)
    if (roast) {
      const { plan, own, course, panned } = roast
      // It rests by itself: said when it came out, and not again. Into a cabinet somebody puts it.
      const byItself = step.kind === 'rest' && !isHold(step) && step !== plan.takenOff && !isAfterFinish(step, plan)
      const rests = byItself && own.out_s !== undefined && now_s - own.out_s > RESTS_S
      const passed = rests || RANK[own.state] > rankOf(step, plan)
      const finished = step.kind === 'finish' ? own.finished?.from_s : undefined
      const happened = finished ?? (passed ? happenedAt(step, plan, own) : undefined)
      if (happened !== undefined && !ticked.has(step.id)) ticked.set(step.id, happened)
      // Back in, it is to be pulled again: a milestone is done as long as its roast is past it, however often it was ticked.
      if (!passed && isMilestone(step, plan)) ticked.delete(step.id)
      const when = decidedAt(step, course, panned) ?? timeOf(step, plan, course)
      const again = own.finished !== undefined && step.kind === 'pull'
      put(again ? pullAgain(step) : panned ? inPan(step) : step, passed, when, 0, passedBy(step, plan, own) ?? now_s)
    } else if (side) {
      const place = side.steps.indexOf(step)
      const after = side.began !== undefined && place > side.steps.indexOf(side.began)
      put(
        step,
        place < side.last || whole(side.promise_s),
        {
          at_s: at(step) + (step.kind === 'dish' ? side.moved + side.waits_s : after ? side.late : side.moved),
          window: undefined,
        },
        after && step.kind !== 'dish' ? side.slip : 0,
      )
    }
  }
  // What is done to no item alone goes by what it is for.
  for (const step of steps) {
    if (found.has(step.id)) continue
    const planned_s = at(step)
    if (step.kind === 'serve') {
      put(step, served(planned_s), { at_s: plateOf(planned_s), window: undefined })
      continue
    }
    if (step.what !== null) {
      put(step, false, { at_s: planned_s, window: undefined })
      continue
    }
    const use =
      step.kind === 'heat_up'
        ? steps
            .filter(({ kind }) => kind === 'put_in' || kind === 'finish')
            .find((each) => at(each) >= planned_s && (step.source === null || each.source?.id === step.source.id))
        : undefined
    const user = use && found.get(use.id)
    if (user) {
      const moved = user.state === 'done' ? 0 : user.at_s - user.planned_s
      const itsRoast = use.item === null ? undefined : roasts.get(use.item)
      if (itsRoast?.panned && use.kind === 'finish') {
        put(inPan({ ...step, stage: use.stage }), user.state !== 'open', {
          at_s: user.at_s - PAN_FINISH.heats_s,
          window: undefined,
        })
        continue
      }
      // What was moved to another setting or heat is heated for there.
      const elsewhere = user.step.set_c !== use.set_c || user.step.source?.id !== use.source?.id
      const heated = elsewhere ? { ...step, set_c: user.step.set_c, source: user.step.source } : step
      // An oven is not turned up over a roast that was to be out of it by then and is not.
      const stays = document.items.flatMap(({ id, oven_name }) => {
        const roast = oven_name === step.source?.name ? roasts.get(id) : undefined
        const over = roast?.own.state === 'in' && roast.plan.pull_s <= planned_s + SAME_S
        return roast && over ? [roast.course.pull_s] : []
      })
      const free_s = Math.max(planned_s + moved, ...stays)
      put(heated, user.state !== 'open', { at_s: free_s, window: undefined })
      continue
    }
    const begun = [...roasts.values()].some(({ own }) => RANK[own.state] >= 1)
    if (step.kind !== 'gravy') {
      put(step, AHEAD_KINDS.has(step.kind) && begun, { at_s: planned_s, window: undefined })
      continue
    }
    const table = steps.find((each) => each.kind === 'serve' && at(each) >= planned_s)
    const moved = table ? plateOf(at(table)) - at(table) : 0
    // It is made of what is in the first tin that is out.
    const tin_s = Math.min(...[...roasts.values()].map(({ course }) => course.pull_s))
    const at_s = Math.max(planned_s + moved, tin_s)
    put(step, table !== undefined && served(at(table)), { at_s, window: undefined })
  }
  return {
    steps: steps.flatMap((step) => found.get(step.id) ?? []),
    items: [
      ...[...roasts].map(([id, { course }]) => ({ id, plate_s: course.plate_s, promise_s: course.promise_s })),
      ...[...sides].map(([id, { promise_s, moved }]) => ({
        id,
        plate_s: plateOf(promise_s),
        promise_s: promise_s + moved,
      })),
    ],
  }
}

/** When what came of a decided end is: into the cabinet after the least rest, a pan heated for a finish in it. */
const decidedAt = (step: CookStep, course: RoastCourse, panned: boolean): When | undefined =>
  isDecidedHold(step)
    ? { at_s: course.pull_s + course.rest_s, window: undefined }
    : panned && step.kind === 'heat_up' && step.stage?.role === 'finish'
      ? { at_s: course.finish_s - PAN_FINISH.heats_s, window: undefined }
      : undefined

/** A step as it is done on another heat, or at another setting, than was planned. */
const atSource = (
  step: CookStep,
  { source, set_c }: Shift,
  sources: ReadonlyMap<string, NonNullable<CookStep['source']>>,
): CookStep => ({
  ...step,
  source: (source === undefined ? undefined : sources.get(source)) ?? step.source,
  set_c: set_c ?? step.set_c,
})

/** How far the promise of a table was moved, s: by its roasts' own, or by all's. */
function tableMoved({ items }: CookDocument, log: CookLog, planned_s: number): number {
  const own = items
    .filter(({ promise }) => Math.abs(secondsOf(promise) - planned_s) < SAME_S)
    .flatMap(({ id }) => log.items.get(id)?.promise_s ?? [])
  const to_s = own.length > 0 ? Math.max(...own) : log.promise_s
  return to_s === undefined ? 0 : to_s - planned_s
}

/** Steps that are done, by id: those that an entry names, then those that an entry does without naming one. */
function tickedOf(steps: readonly CookStep[], log: CookLog): Map<string, number> {
  const ticked = new Map(log.ticked)
  for (const { item, kind, at_s } of log.loose) {
    const does = DOES[kind]
    const step =
      does &&
      steps.find((each) => each.item === item && does(each) && !ticked.has(each.id) && !log.skipped.has(each.id))
    if (step) ticked.set(step.id, at_s)
  }
  return ticked
}

/** At the same second gravy is after the pull whose tin it is made of: 1 for what waits so, else 0. */
export const afterPulls = ({ step }: RunStep): number => Number(step.kind === 'gravy')

/** What is to be done next, soonest first. */
export const openSteps = ({ steps }: Run): RunStep[] =>
  steps
    .map((step, place) => ({ step, place }))
    .filter(({ step: { state } }) => state === 'open')
    .sort((a, b) => a.step.at_s - b.step.at_s || afterPulls(a.step) - afterPulls(b.step) || a.place - b.place)
    .map(({ step }) => step)

/**
 * Whether everything is on the table, the last potato too; what was given up is not waited for.
 *
 * @param now_s cook time, s
 */
export function isOver(document: CookDocument, entries: readonly CookEntry[], now_s: number): boolean {
  const log = foldLog(document, entries)
  const ended = [...log.items.values()].every(({ state }) => hasEnded(state))
  return ended && openSteps(runOfLog(document, log, now_s)).length === 0
}

/** What is entered for each kind of tending; coals move nothing that is known of the meat. */
const TENDED: Readonly<Record<TendingAct, CookEntry['kind']>> = {
  baste: 'basted',
  turn: 'turned',
  glaze: 'glazed',
  uncover: 'uncovered',
  cover: 'covered',
  look: 'door',
  coals: 'done',
}

/** A reading at which the heat goes up, and nothing is taken out to rest or asked of the cook. */
export const goesStraightOn = ({ kind, numbers }: Pick<CookStep, 'kind' | 'numbers'>): boolean =>
  kind === 'pull' && Boolean(numbers.stays) && !numbers.pale

/** What a cook enters when a step is done: what is done to the meat says so, and the step it was. */
export function entriesOf(
  step: CookStep,
  items: readonly { readonly id: string; readonly state: ItemState; readonly promise_s: number }[],
  latest_c: number | null = null,
): readonly (Pick<CookEntry, 'kind'> & Partial<CookEntry>)[] {
  const { id: of, item } = step
  const roast = items.find(({ id }) => id === item)
  const own = (kind: CookEntry['kind'], more: Partial<CookEntry> = {}) => [{ kind, of, item, ...more }]
  if (step.kind === 'serve') {
    const table = items.filter(({ state, promise_s }) => !hasEnded(state) && Math.abs(promise_s - at(step)) < SAME_S)
    return table.length > 0 ? table.map(({ id }) => ({ kind: 'served', of, item: id })) : [{ kind: 'done', of }]
  }
  if (!roast) return own('done')
  switch (step.kind) {
    case 'put_in':
      return roast.state === 'waiting' ? own('in') : own('done')
    case 'pull':
      return own('out', { value_c: latest_c })
    case 'take_off':
      return roast.state === 'in' ? own('out', { value_c: latest_c }) : own('done')
    case 'rest':
      // By the clock no pull was tapped before: what rests is out.
      return roast.state === 'in' && !isHold(step) ? own('out', { value_c: latest_c }) : own('rest')
    case 'finish':
      return own(roast.state === 'in' || roast.state === 'resting' ? 'finish' : 'done')
    case 'carve':
      return own('carve')
    case 'tend':
      return own(TENDED[step.act ?? 'look'])
    default:
      return own('done')
  }
}
