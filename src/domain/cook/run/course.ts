import { STANDARDS } from '@/core/reference/standards'
import { carveSeconds } from '@/core/schedule/carving'
import type { CookItem } from '../cook-document'
import { type EndsNow, leastRest, PAN_FINISH } from '../ending'
import { promisedAt } from '../entry/fold'
import type { Arrival, CookLog, ItemLog, ItemState } from '../entry/kind'
import { secondsOf } from '../entry/time'
import type { CookStep } from '../step'

/** The course of one roast through its plan: its milestones as planned, and as they now stand. */

/** When a step is, cook time, s, and its window where that is in doubt: eight times in ten. */
export interface When {
  readonly at_s: number
  readonly window: { readonly from_s: number; readonly to_s: number } | undefined
}

/** How far a roast is, as a rank. */
export const RANK: Readonly<Record<ItemState, number>> = {
  waiting: 0,
  in: 1,
  resting: 2,
  finishing: 3,
  carving: 4,
  served: 5,
  given_up: 9,
}
/** The same minute: times of the plan are kept to the second. */
export const SAME_S = 30

/** What a roast's plan says of its own milestones, s. */
export interface Milestones {
  readonly in_s: number
  readonly pull_s: number
  /** What ends its rest: the hot finish, else the knife. */
  readonly next_s: number
  readonly carve_s: number
  readonly promise_s: number
  readonly finish: CookStep | undefined
  readonly takenOff: CookStep | undefined
}

/** When a step was planned, s. */
export const at = (step: CookStep): number => secondsOf(step.at)

/** The milestones of a roast, from its steps but a finish that is not to come; one in the pan begins so much later. */
export function milestonesOf(item: CookItem, steps: readonly CookStep[], endings: readonly EndsNow[]): Milestones {
  const in_s = secondsOf(item.put_in)
  const carve_s = secondsOf(item.carve)
  const pull = steps.findLast(({ kind }) => kind === 'pull')
  const offs = steps.filter(({ kind }) => kind === 'take_off')
  const pull_s = pull ? at(pull) : item.pull !== null ? secondsOf(item.pull) : offs[0] ? at(offs[0]) : carve_s
  const finish = steps.find((step) => step.kind === 'finish' && at(step) >= pull_s - SAME_S)
  // Of a roast by the clock the first taking off is its pull, or the rest that takes it out; one after a finish only ends that.
  const takenOff = pull
    ? undefined
    : (offs[0] ?? steps.find(({ kind, numbers }) => kind === 'rest' && numbers.out === 1))
  return {
    in_s,
    pull_s,
    next_s: finish
      ? Math.max(at(finish), endings.includes('pan_finish') ? carve_s - PAN_FINISH.s : Number.NEGATIVE_INFINITY)
      : carve_s,
    carve_s,
    promise_s: secondsOf(item.promise),
    finish,
    takenOff,
  }
}

/** Out of its hot finish to a rest of its own: open as long as the finish lasts. */
export const isAfterFinish = (step: CookStep, { finish }: Milestones): boolean =>
  step.kind === 'rest' && finish !== undefined && at(step) > at(finish) + SAME_S

/** The state of its roast that a step belongs to, as a rank: with a later one it is passed. */
export function rankOf(step: CookStep, plan: Milestones): number {
  if (step === plan.takenOff) return 1
  switch (step.kind) {
    case 'put_in':
      return at(step) <= plan.in_s + SAME_S ? 0 : 1
    case 'pull':
      return 1
    case 'rest':
    case 'finish':
      if (isAfterFinish(step, plan)) return 3
      return at(step) < plan.pull_s - SAME_S ? 1 : 2
    case 'carve':
    case 'take_off':
      return 3
    case 'heat_up':
      if (step.stage?.role === 'finish') return 2
      return at(step) <= plan.in_s ? 0 : at(step) < plan.pull_s ? 1 : 2
    case 'serve':
      return 4
    default:
      // What is done to it in its hot finish is open as long as that lasts.
      if (plan.finish && at(step) >= at(plan.finish) - SAME_S) return 3
      return at(step) < plan.in_s ? 0 : at(step) < plan.pull_s - SAME_S ? 1 : 2
  }
}

/** What gets nowhere as it is is out no sooner than this from now, s: whatever is done about it takes as long. */
const STUCK_S = 3600

/** A roast on its way: its milestones as they now stand, s. */
export interface RoastCourse {
  readonly in_s: number
  readonly pull_s: number
  /** The least rest after its pull, s. */
  readonly rest_s: number
  readonly finish_s: number
  readonly carve_s: number
  readonly plate_s: number
  readonly promise_s: number
  readonly arrival: Arrival | undefined
}

/** From the knife to the plates at the quickest, s: what carving it takes, or less where the plan gave it less. */
export const carvingSeconds = ({ roast, promise, carve }: CookItem): number =>
  Math.max(0, Math.min(secondsOf(promise) - secondsOf(carve), carveSeconds(roast.mass_kg)))

/** Put back in it is out no sooner than after so long, until its readings say when, s (common practice: looked at after ten minutes). */
export const BACK_IN_S = 600

/**
 * When the milestones of a roast are, by its plan, its log and what is foreseen. What is over keeps its
 * time; what is late moves what follows; the rest gives way down to its least first.
 */
export function courseOf(item: CookItem, plan: Milestones, own: ItemLog, log: CookLog, now_s: number): RoastCourse {
  const promise_s = promisedAt(item, log)
  const putIn = own.in_s ?? plan.in_s + promise_s - plan.promise_s
  const waits = own.state === 'waiting'
  const goesIn = waits ? Math.max(putIn, now_s) : putIn
  const arrival = own.state === 'in' ? own.arrival : undefined
  const stuck = own.state === 'in' && own.never
  // Put back in, and nothing foreseen yet: what its plan said is over.
  const back_s = own.away.at(-1)?.to_s ?? Number.NEGATIVE_INFINITY
  const planned_s = Math.max(plan.pull_s + goesIn - plan.in_s, back_s + BACK_IN_S)
  const pulled = own.out_s ?? arrival?.p50 ?? (stuck ? Math.max(planned_s, now_s + STUCK_S) : planned_s)
  // Not out yet is out no sooner than now.
  const out_s = own.out_s ?? Math.max(pulled, waits || own.state === 'in' ? now_s : pulled)
  const gap_s = plan.next_s - plan.pull_s
  const least_s = Math.min(
    gap_s,
    leastRest((item.rest_least_min ?? item.rest_min ?? gap_s / 60) * 60, [...own.endings]),
  )
  const tail_s = plan.promise_s - plan.next_s
  const carving_s = plan.promise_s - plan.carve_s
  // Carved early in the plan it waits for its table; late, it need not.
  const quick_s = carvingSeconds(item)
  const quickTail_s = tail_s - carving_s + quick_s
  const earliest_s =
    own.carve_s !== undefined
      ? own.carve_s + quick_s
      : own.finish_s !== undefined
        ? own.finish_s + quickTail_s
        : out_s + least_s + quickTail_s
  const plate_s = own.served_s ?? Math.max(promise_s, earliest_s)
  // What goes straight on in the heat at its reading does not wait there for its table: it rests after.
  const straightOn = plan.finish !== undefined && gap_s <= SAME_S
  const finish_s =
    own.finish_s ?? (straightOn ? out_s : Math.max(plate_s - tail_s, Math.min(out_s + least_s, plate_s - quickTail_s)))
  return {
    in_s: putIn,
    pull_s: pulled,
    rest_s: least_s,
    finish_s,
    carve_s:
      own.carve_s ?? Math.max(plate_s - carving_s, Math.min(finish_s + plan.carve_s - plan.next_s, plate_s - quick_s)),
    plate_s,
    promise_s,
    arrival,
  }
}

/** When an open step of a roast is, s. */
export function timeOf(step: CookStep, plan: Milestones, course: RoastCourse): When {
  const planned = at(step)
  const begins = course.in_s - plan.in_s
  const ends = course.plate_s - plan.promise_s
  const { arrival } = course
  if (step === plan.takenOff) return { at_s: course.pull_s, window: undefined }
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
      if (plan.finish && isAfterFinish(step, plan))
        return { at_s: course.finish_s + planned - at(plan.finish), window: undefined }
      break
    case 'finish':
      if (step === plan.finish) return { at_s: course.finish_s, window: undefined }
      break
    default:
  }
  // It is made of what has run out by then.
  if (step.kind === 'gravy' && planned >= plan.pull_s - SAME_S)
    return { at_s: Math.max(planned + ends, Math.min(course.pull_s, course.carve_s)), window: undefined }
  const after = planned >= plan.pull_s - SAME_S || (step.kind === 'heat_up' && step.stage?.role === 'finish')
  return { at_s: planned + (after ? ends : begins), window: undefined }
}

/** Whether a step is one that the state of its roast speaks of: in, out, to its finish, under the knife. */
export function isMilestone(step: CookStep, plan: Milestones): boolean {
  if (step === plan.takenOff) return true
  switch (step.kind) {
    case 'put_in':
      return at(step) <= plan.in_s + SAME_S
    case 'pull':
    case 'carve':
      return true
    case 'finish':
      return step === plan.finish
    default:
      return false
  }
}

/** When a milestone that a roast has passed was, s; undefined for what the log does not tell. */
export function happenedAt(step: CookStep, plan: Milestones, own: ItemLog): number | undefined {
  if (own.state === 'given_up' || !isMilestone(step, plan)) return undefined
  switch (step.kind) {
    case 'put_in':
      return own.in_s
    case 'finish':
      return own.finish_s
    case 'carve':
      return own.carve_s
    default:
      return own.out_s
  }
}

/** When what came after a step was done, s: by then it was gone by. */
export const passedBy = (step: CookStep, plan: Milestones, own: ItemLog): number | undefined =>
  [own.in_s, own.out_s, own.finish_s ?? own.carve_s, own.carve_s ?? own.served_s, own.served_s][rankOf(step, plan)]
