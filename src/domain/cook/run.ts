import { STANDARDS } from '@/core/reference/standards'
import type { TaskKind } from '@/core/schedule/task'
import type { CookDocument, CookEntry, CookItem } from './cook-document'
import { foldLog } from './entry/fold'
import { type Arrival, type CookLog, freshItem, type ItemLog, type ItemState, type Shift } from './entry/kind'
import { secondsOf } from './entry/time'
import type { CookStep } from './step'

/**
 * The living plan: every step of a cook with where it stands and when it is, from what was planned, what
 * happened and what is foreseen. The desk, the sheet, the home page, the calendar and the board all say
 * these times and no others.
 */

/** Passed: what came after it is done, so it is done or moot. Before: planned for a time before the cook began, and taken as done. */
export type StepState = 'open' | 'done' | 'skipped' | 'passed' | 'before'

export interface RunStep {
  readonly step: CookStep
  readonly state: StepState
  /** When it is to be done, or was; cook time, s. */
  readonly at_s: number
  readonly planned_s: number
  /** Where that is in doubt: eight times in ten between these. */
  readonly window: { readonly from_s: number; readonly to_s: number } | undefined
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

/** Done on the days or hours before: nobody opens a board for them. */
const AHEAD: ReadonlySet<TaskKind> = new Set([
  'buy',
  'thaw',
  'shape',
  'salt',
  'brine',
  'unbrine',
  'marinate',
  'dress',
  'set_out',
])
/** What was planned longer than this before the cook began is taken as done, s. */
const BEFORE_S = 1800
const RANK: Readonly<Record<ItemState, number>> = {
  waiting: 0,
  in: 1,
  resting: 2,
  finishing: 3,
  carving: 4,
  served: 5,
  given_up: 9,
}
/** Entries that do a step of the plan to a roast, by the step. */
const DOES: Readonly<Partial<Record<CookEntry['kind'], (step: CookStep) => boolean>>> = {
  turned: ({ act }) => act === 'turn',
  basted: ({ act }) => act === 'baste',
  glazed: ({ act }) => act === 'glaze',
  uncovered: ({ act }) => act === 'uncover',
  rest: ({ kind }) => kind === 'rest',
}

/** So long after the pull nobody need be told that it rests, s. */
const RESTS_S = 180

/** The same minute: times of the plan are kept to the second. */
const SAME_S = 30

/** What a roast's plan says of its own milestones, s. */
interface Milestones {
  readonly in_s: number
  readonly pull_s: number
  /** What ends its rest: the hot finish, else the knife. */
  readonly next_s: number
  readonly carve_s: number
  readonly promise_s: number
  readonly finish: CookStep | undefined
  readonly pull: CookStep | undefined
  readonly takenOff: CookStep | undefined
}

const at = (step: CookStep): number => secondsOf(step.at)

function milestonesOf(item: CookItem, steps: readonly CookStep[]): Milestones {
  const in_s = secondsOf(item.put_in)
  const carve_s = secondsOf(item.carve)
  const pull = steps.findLast(({ kind }) => kind === 'pull')
  const offs = steps.filter(({ kind }) => kind === 'take_off')
  const pull_s = pull ? at(pull) : item.pull !== null ? secondsOf(item.pull) : offs[0] ? at(offs[0]) : carve_s
  const finish = steps.find((step) => step.kind === 'finish' && at(step) >= pull_s - SAME_S)
  // Of a roast by the clock the first taking off is its pull; one after a finish only ends that.
  const takenOff = pull ? undefined : offs[0]
  return {
    in_s,
    pull_s,
    next_s: finish ? at(finish) : carve_s,
    carve_s,
    promise_s: secondsOf(item.promise),
    finish,
    pull,
    takenOff,
  }
}

/** The state of its roast that a step belongs to, as a rank: with a later one it is passed. */
function rankOf(step: CookStep, plan: Milestones): number {
  switch (step.kind) {
    case 'put_in':
      return at(step) <= plan.in_s + SAME_S ? 0 : 1
    case 'pull':
      return 1
    case 'rest':
    case 'finish':
      return at(step) < plan.pull_s - SAME_S ? 1 : 2
    case 'carve':
      return 3
    case 'take_off':
      return step === plan.takenOff ? 1 : 3
    case 'heat_up':
      if (step.stage?.role === 'finish') return 2
      return at(step) <= plan.in_s ? 0 : at(step) < plan.pull_s ? 1 : 2
    case 'serve':
      return 4
    default:
      return at(step) < plan.in_s ? 0 : at(step) < plan.pull_s - SAME_S ? 1 : 2
  }
}

/** A roast on its way: its milestones as they now stand, s. */
export interface RoastCourse {
  readonly in_s: number
  readonly pull_s: number
  readonly finish_s: number
  readonly carve_s: number
  readonly plate_s: number
  readonly promise_s: number
  readonly arrival: Arrival | undefined
}

/**
 * When the milestones of a roast are, by its plan, its log and what is foreseen. What is over keeps its
 * time; what is late moves what follows; the rest gives way down to its least first.
 */
function courseOf(item: CookItem, plan: Milestones, own: ItemLog, log: CookLog, now_s: number): RoastCourse {
  const promise_s = own.promise_s ?? log.promise_s ?? plan.promise_s
  const putIn = own.in_s ?? plan.in_s + promise_s - plan.promise_s
  const waits = own.state === 'waiting'
  const goesIn = waits ? Math.max(putIn, now_s) : putIn
  const arrival = own.state === 'in' ? own.arrival : undefined
  const pulled = own.out_s ?? arrival?.p50 ?? plan.pull_s + goesIn - plan.in_s
  // Not out yet is out no sooner than now.
  const out_s = own.out_s ?? Math.max(pulled, waits || own.state === 'in' ? now_s : pulled)
  const gap_s = plan.next_s - plan.pull_s
  const least_s = Math.min(gap_s, (item.rest_least_min ?? item.rest_min ?? gap_s / 60) * 60)
  const tail_s = plan.promise_s - plan.next_s
  const carving_s = plan.promise_s - plan.carve_s
  const earliest_s =
    own.carve_s !== undefined
      ? own.carve_s + carving_s
      : own.finish_s !== undefined
        ? own.finish_s + tail_s
        : out_s + least_s + tail_s
  const plate_s = own.served_s ?? Math.max(promise_s, earliest_s)
  return {
    in_s: putIn,
    pull_s: pulled,
    finish_s: own.finish_s ?? plate_s - tail_s,
    carve_s: own.carve_s ?? plate_s - carving_s,
    plate_s,
    promise_s,
    arrival,
  }
}

/** When an open step of a roast is, s. */
function timeOf(step: CookStep, plan: Milestones, course: RoastCourse): Pick<RunStep, 'at_s' | 'window'> {
  const planned = at(step)
  const begins = course.in_s - plan.in_s
  const ends = course.plate_s - plan.promise_s
  const { arrival } = course
  switch (step.kind) {
    case 'put_in':
      return { at_s: planned <= plan.in_s + SAME_S ? course.in_s : planned + begins, window: undefined }
    case 'watch':
      return { at_s: arrival ? arrival.p10 - STANDARDS.watchAhead.value : planned + begins, window: undefined }
    case 'carve':
      return { at_s: course.carve_s, window: undefined }
    case 'pull':
      return {
        at_s: course.pull_s,
        window: arrival
          ? { from_s: arrival.p10, to_s: arrival.p90 }
          : step.window
            ? { from_s: secondsOf(step.window.from) + begins, to_s: secondsOf(step.window.to) + begins }
            : undefined,
      }
    case 'rest':
      if (Math.abs(planned - plan.pull_s) <= SAME_S) return { at_s: course.pull_s, window: undefined }
      break
    case 'take_off':
      if (step === plan.takenOff) return { at_s: course.pull_s, window: undefined }
      break
    case 'finish':
      if (step === plan.finish) return { at_s: course.finish_s, window: undefined }
      break
    default:
  }
  const after = planned >= plan.pull_s - SAME_S || (step.kind === 'heat_up' && step.stage?.role === 'finish')
  return { at_s: planned + (after ? ends : begins), window: undefined }
}

/** A step with nothing said but what and when. */
const plainStep = (
  kind: TaskKind,
  at: string,
  item: string | null,
  i: number,
  pull_c: number | null = null,
): CookStep => ({
  id: `${kind} ${i + 1}`.slice(0, 20),
  kind,
  what: null,
  item,
  at,
  hands_s: 0,
  window: null,
  act: null,
  set_c: null,
  pull_c,
  source: null,
  stage: null,
  servings: null,
  who: null,
  basis: 'model',
  numbers: {},
})

/** Steps of a cook that an earlier release began: what its roasts say. */
function plainSteps({ items }: CookDocument): CookStep[] {
  const steps = items.flatMap((item, i) => [
    plainStep('put_in', item.put_in, item.id, i),
    ...(item.pull === null
      ? [plainStep('take_off', item.carve, item.id, i)]
      : [plainStep('pull', item.pull, item.id, i, item.pull_c)]),
    plainStep('carve', item.carve, item.id, i),
  ])
  const tables = [...new Set(items.map(({ promise }) => promise))]
  return [...steps, ...tables.map((promise, i) => plainStep('serve', promise, null, i))]
}

/** Stuffing in a dish of its own, so long at a good heat (common practice, five centimetres deep), s. */
const STUFFING_S = 25 * 60

/** What a stuffing asks for that went out into a dish: into the heat, and read in its own middle. */
const stuffingSteps = (document: CookDocument, log: CookLog): CookStep[] =>
  document.items.flatMap(({ id, title }, i) => {
    const spooned_s = log.items.get(id)?.spooned_s
    if (spooned_s === undefined) return []
    const step = (kind: TaskKind, at_s: number): CookStep => ({
      ...plainStep(kind, new Date(at_s * 1000).toISOString(), null, i),
      id: `stuffing ${kind} ${i + 1}`.slice(0, 20),
      what: `Stuffing of ${title}`.slice(0, 120),
      source: { id: 'oven', name: 'the oven', kind: 'oven' },
      set_c: kind === 'put_in' ? STANDARDS.stuffingOven.value : null,
      pull_c: kind === 'pull' ? STANDARDS.stuffingLeast.value : null,
      basis: 'common_practice',
    })
    return [step('put_in', spooned_s + 120), step('pull', spooned_s + 120 + STUFFING_S)]
  })

/** The steps of a cook's plan, whatever release began it. */
export const planSteps = (document: CookDocument): readonly CookStep[] =>
  document.steps.length > 0 ? document.steps : plainSteps(document)

/**
 * Every step of a cook as it now stands.
 *
 * @param now_s cook time, s since 1970: what is overdue moves what follows
 */
export function runOf(document: CookDocument, entries: readonly CookEntry[], now_s: number): Run {
  const log = foldLog(document, entries)
  const steps = [...planSteps(document), ...stuffingSteps(document, log)]
  const origin_s = secondsOf(document.clock.origin)
  const ticked = tickedOf(steps, log)
  const roasts = new Map(
    document.items.map((item) => {
      const own = log.items.get(item.id) ?? freshItem()
      const plan = milestonesOf(
        item,
        steps.filter((step) => step.item === item.id),
      )
      const shifted = steps.find((step) => step.item === item.id && step.kind === 'put_in' && log.shifted.has(step.id))
      const begins = own.in_s ?? (shifted && log.shifted.get(shifted.id)?.at_s)
      const course = courseOf(item, plan, begins === undefined ? own : { ...own, in_s: begins }, log, now_s)
      return [item.id, { item, own, plan, course }] as const
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
      return [side.id, { steps: own, moved, began, late, slip, last, promise_s: secondsOf(side.promise) }] as const
    }),
  )
  const served = (planned_s: number) => {
    const own = [...roasts.values()].filter(({ plan }) => Math.abs(plan.promise_s - planned_s) < SAME_S)
    return own.length > 0 && own.every(({ own: { state } }) => RANK[state] >= RANK.served)
  }
  const plateOf = (planned_s: number) => {
    const own = [...roasts.values()].filter(({ plan }) => Math.abs(plan.promise_s - planned_s) < SAME_S)
    const moved = planned_s + tableMoved(document, log, planned_s)
    return Math.max(moved, ...own.map(({ course }) => course.plate_s))
  }
  const whole = (planned_s: number) =>
    steps.some((step) => step.kind === 'serve' && Math.abs(at(step) - planned_s) < SAME_S && ticked.has(step.id))

  const sources = new Map(steps.flatMap(({ source }) => (source ? [[source.id, source] as const] : [])))
  const found = new Map<string, RunStep>()
  const said = (step: CookStep, state: StepState, when: Pick<RunStep, 'at_s' | 'window'>): RunStep => ({
    step,
    state,
    planned_s: at(step),
    ...when,
  })
  /** @param with_s what was moved goes along by so much with what it follows */
  const put = (step: CookStep, passed: boolean, when: Pick<RunStep, 'at_s' | 'window'>, with_s = 0, by_s = now_s) => {
    const tick = ticked.get(step.id)
    const moved = log.shifted.get(step.id)
    const state: StepState =
      tick !== undefined
        ? 'done'
        : log.skipped.has(step.id)
          ? 'skipped'
          : AHEAD.has(step.kind) && at(step) < origin_s - BEFORE_S
            ? 'before'
            : passed
              ? 'passed'
              : 'open'
    // When what nobody ticked was done nobody knows: it keeps its planned time.
    const gone = state === 'passed' || state === 'before'
    const elsewhere = moved && (moved.source !== undefined || moved.set_c !== undefined)
    found.set(
      step.id,
      said(
        elsewhere ? atSource(step, moved, sources) : step,
        state,
        tick !== undefined
          ? { at_s: tick, window: undefined }
          : gone
            ? { at_s: Math.min(at(step), by_s), window: undefined }
            : moved !== undefined
              ? { at_s: moved.at_s + with_s, window: undefined }
              : when,
      ),
    )
  }
  for (const step of steps) {
    const roast = step.item === null ? undefined : roasts.get(step.item)
    const side = step.item === null ? undefined : sides.get(step.item)
    if (roast) {
      const { plan, own, course } = roast
      // It rests by itself: said when it came out, and not again.
      const rests = step.kind === 'rest' && own.out_s !== undefined && now_s - own.out_s > RESTS_S
      const passed = rests || RANK[own.state] > rankOf(step, plan)
      const happened = passed ? happenedAt(step, plan, own) : undefined
      if (happened !== undefined && !ticked.has(step.id)) ticked.set(step.id, happened)
      put(step, passed, timeOf(step, plan, course), 0, passedBy(step, plan, own) ?? now_s)
    } else if (side) {
      const place = side.steps.indexOf(step)
      const after = side.began !== undefined && place > side.steps.indexOf(side.began)
      put(
        step,
        place < side.last || whole(side.promise_s),
        {
          at_s: at(step) + (after && step.kind !== 'dish' ? side.late : side.moved),
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
      put(step, user.state !== 'open', { at_s: planned_s + moved, window: undefined })
      continue
    }
    const table = steps.find((each) => each.kind === 'serve' && at(each) >= planned_s)
    const begun = [...roasts.values()].some(({ own }) => RANK[own.state] >= 1)
    const passed = step.kind === 'gravy' ? table !== undefined && served(at(table)) : AHEAD.has(step.kind) && begun
    const moved = table && step.kind === 'gravy' ? plateOf(at(table)) - at(table) : 0
    put(step, passed, { at_s: planned_s + moved, window: undefined })
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

/** When a milestone that a roast has passed was, s; undefined for what the log does not tell. */
function happenedAt(step: CookStep, plan: Milestones, own: ItemLog): number | undefined {
  if (own.state === 'given_up') return undefined
  switch (step.kind) {
    case 'put_in':
      return at(step) <= plan.in_s + SAME_S ? own.in_s : undefined
    case 'pull':
      return own.out_s
    case 'take_off':
      return step === plan.takenOff ? own.out_s : undefined
    case 'finish':
      return step === plan.finish ? own.finish_s : undefined
    case 'carve':
      return own.carve_s
    default:
      return undefined
  }
}

/** When what came after a step was done, s: by then it was gone by. */
const passedBy = (step: CookStep, plan: Milestones, own: ItemLog): number | undefined =>
  [own.in_s, own.out_s, own.finish_s ?? own.carve_s, own.carve_s ?? own.served_s, own.served_s][rankOf(step, plan)]

/** Steps that are done, by id: those that an entry names, then those that an entry does without naming one. */
function tickedOf(steps: readonly CookStep[], log: CookLog): Map<string, number> {
  const ticked = new Map(log.ticked)
  for (const { item, kind, at_s } of log.loose) {
    const does = DOES[kind]
    const step = does && steps.find((each) => each.item === item && does(each) && !ticked.has(each.id))
    if (step) ticked.set(step.id, at_s)
  }
  return ticked
}

/** What is to be done next, soonest first. */
export const openSteps = ({ steps }: Run): RunStep[] =>
  steps
    .map((step, place) => ({ step, place }))
    .filter(({ step: { state } }) => state === 'open')
    .sort((a, b) => a.step.at_s - b.step.at_s || a.place - b.place)
    .map(({ step }) => step)

/**
 * Whether everything is on the table, the last potato too; what was given up is not waited for.
 *
 * @param now_s cook time, s
 */
export function isOver(document: CookDocument, entries: readonly CookEntry[], now_s: number): boolean {
  const log = foldLog(document, entries)
  const ended = [...log.items.values()].every(({ state }) => RANK[state] >= RANK.served)
  return ended && openSteps(runOf(document, entries, now_s)).length === 0
}

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
    const table = items.filter(
      ({ state, promise_s }) => RANK[state] < RANK.served && Math.abs(promise_s - at(step)) < SAME_S,
    )
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
      return own('rest')
    case 'finish':
      return own(roast.state === 'resting' ? 'finish' : 'done')
    case 'carve':
      return own('carve')
    case 'tend':
      return own(
        step.act === 'turn'
          ? 'turned'
          : step.act === 'baste'
            ? 'basted'
            : step.act === 'glaze'
              ? 'glazed'
              : 'uncovered',
      )
    default:
      return own('done')
  }
}
