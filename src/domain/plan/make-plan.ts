import type { RoastQuestion } from '@/core/roast/answer'
import { type Plan, planRoast } from '@/core/schedule/plan'
import { celsius, epochSeconds } from '@/core/units'
import { fail, type Outcome, succeed } from '../problem/problem'
import { questionOf } from '../roast/question'
import type { ResolvedRoast } from '../roast/resolve'
import type { PlanDocument, PREPARATIONS } from '../roast/roast-document'
import { thawOf } from '../roast/thaw'
import { zoneOffset } from '../schema/zone'

/** A plan document, what it was understood as, and the plan the model makes of it. */
export interface MadePlan {
  readonly document: PlanDocument
  readonly resolved: ResolvedRoast
  readonly plan: Plan
}

/**
 * Size of the ensemble behind every plan: the desk, its sheet, the home page, the calendar and the board
 * that begins from it ask the same members with the same seed, so they say the same minute.
 */
export const MEMBERS = 96
/** Farther ahead than this a promise is more likely a slip of the keys. */
const FARTHEST_DAYS = 400
const SEED = 20_261

/** What is wrong with a plan's document, without cooking it. */
export function checkPlan(document: PlanDocument, now_s: number): Outcome<ReturnType<typeof resolvedOf>> {
  const promise_s = Date.parse(document.promise) / 1000
  if (promise_s - now_s > FARTHEST_DAYS * 86_400)
    return fail({ code: 'promise_too_far', path: ['promise'], days: Math.round((promise_s - now_s) / 86_400) })
  const asked = questionOf(document, { rest: 'takes_doubt', members: MEMBERS, seed: SEED })
  if (!asked.ok) return asked
  const { target } = asked.value.resolved
  if (target.kind !== 'serve') return fail({ code: 'missing_doneness', path: ['target'] })
  return succeed(resolvedOf(asked.value, target.serve_c))
}
const resolvedOf = (asked: { question: RoastQuestion; resolved: ResolvedRoast }, serve_c: number) => ({
  ...asked,
  serve_c,
})

/** What is done to it on the days before: as it was said, or as its surface says. */
export const preparationOf = ({ preparation, roast }: PlanDocument): (typeof PREPARATIONS)[number] =>
  preparation ?? (roast.surface === 'dry_salted' ? 'dry_salt' : 'none')

/** Plans made lately, by what they depend on: a list looks at the same ones again and again. */
const made = new Map<string, Plan>()
const MOST_MADE = 120
/** A plan's tasks depend on the present only in what is past: within a minute it is the same plan. */
const FRESH_S = 60

/** Plans a document. The same code runs in the browser's worker and on the server. */
export function makePlan(document: PlanDocument, now_s: number, members = MEMBERS): Outcome<MadePlan> {
  const checked = checkPlan(document, now_s)
  if (!checked.ok) return checked
  const { question, resolved, serve_c } = checked.value
  const promise_s = Date.parse(document.promise) / 1000
  const zone_s = zoneOffset(document.time_zone, promise_s)
  const key = JSON.stringify([
    question,
    document.promise,
    zone_s,
    document.in_since,
    preparationOf(document),
    thawOf(document),
    document.gravy,
    members,
    Math.floor(now_s / FRESH_S),
  ])
  let plan = made.get(key)
  if (!plan) {
    plan = planRoast({
      ...question,
      members,
      preparation: preparationOf(document),
      gravy: document.gravy,
      thaw: thawOf(document),
      serve_c: celsius(serve_c),
      promise: epochSeconds(promise_s),
      zone_s,
      now: epochSeconds(now_s),
      inSince: document.in_since === undefined ? undefined : epochSeconds(Date.parse(document.in_since) / 1000),
    })
    if (made.size >= MOST_MADE) made.delete(made.keys().next().value as string)
    made.set(key, plan)
  }
  return succeed({ document, resolved, plan })
}

/** The same, as if it were still to go in: when that is is counted from its promise. */
export const asIfToGoIn = (document: PlanDocument): PlanDocument => ({ ...document, in_since: undefined })

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
