import { type Plan, planRoast } from '@/core/schedule/plan'
import { celsius, epochSeconds } from '@/core/units'
import { fail, type Outcome, succeed } from '../problem/problem'
import { questionOf } from '../roast/question'
import type { ResolvedRoast } from '../roast/resolve'
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
  const asked = questionOf(document, { rest: 'takes_doubt', members, seed: SEED })
  if (!asked.ok) return asked
  const { question, resolved } = asked.value
  const { target } = resolved
  if (target.kind !== 'serve') return fail({ code: 'missing_doneness', path: ['target'] })
  const plan = planRoast({
    ...question,
    drySalted: document.roast.surface === 'dry_salted',
    serve_c: celsius(target.serve_c),
    promise: epochSeconds(promise_s),
    now: epochSeconds(now_s),
  })
  return succeed({ document, resolved, plan })
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
