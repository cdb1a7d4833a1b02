import { type Plan, planRoast } from '@/core/schedule/plan'
import { celsius, epochSeconds, minutes } from '@/core/units'
import { fail, type Outcome, succeed } from '../problem/problem'
import { pieceOf, type ResolvedRoast, resolveRoast } from '../roast/resolve'
import type { PlanDocument } from '../roast/roast-document'

/** A plan document, what it was understood as, and the plan the model makes of it. */
export interface MadePlan {
  readonly document: PlanDocument
  readonly resolved: ResolvedRoast
  readonly plan: Plan
}

/** Size of the ensemble behind the saved plan and behind the live answer on the screen. */
export const MEMBERS = { saved: 192, live: 64 } as const
/** Farther ahead than this a promise is more likely a slip of the keys. */
const FARTHEST_DAYS = 400
/** One seed for all: the same document gives the same plan on the screen and on the server. */
const SEED = 20_261

/** Plans a document. The same code runs in the browser's worker and on the server. */
export function makePlan(document: PlanDocument, now_s: number, members: number): Outcome<MadePlan> {
  const promise_s = Date.parse(document.promise) / 1000
  if (promise_s - now_s > FARTHEST_DAYS * 86_400) {
    return fail({ code: 'promise_too_far', path: ['promise'], days: Math.round((promise_s - now_s) / 86_400) })
  }
  const resolved = resolveRoast(document)
  if (!resolved.ok) return resolved
  const { cut, oven, program, target } = resolved.value
  const { roast } = document
  if (target.kind !== 'serve')
    return fail({ code: 'malformed', path: ['target'], detail: 'a plan needs a wanted doneness' })
  const plan = planRoast({
    piece: pieceOf(cut, roast),
    startCore_c: roast.icy_core_c === null ? undefined : celsius(roast.icy_core_c),
    table: {
      vulnerable: document.vulnerable,
      coldest_c: roast.icy_core_c ?? roast.start_c,
      mass_kg: roast.mass_kg,
      oven: oven.kind,
    },
    start_c: celsius(document.roast.start_c),
    temper_s: minutes(document.roast.temper_min),
    drySalted: document.roast.surface === 'dry_salted',
    oven,
    program,
    serve_c: celsius(target.serve_c),
    promise: epochSeconds(promise_s),
    now: epochSeconds(now_s),
    members,
    seed: SEED,
  })
  return succeed({ document, resolved: resolved.value, plan })
}

/** A new plan may not be promised for the past; an old one may be looked at afterwards. */
export function checkPromiseAhead(document: PlanDocument, now_s: number): Outcome<PlanDocument> {
  const promise_s = Date.parse(document.promise) / 1000
  if (promise_s > now_s) return succeed(document)
  return fail({
    code: 'promise_passed',
    path: ['promise'],
    promise: document.promise,
    now: new Date(now_s * 1000).toISOString(),
  })
}
