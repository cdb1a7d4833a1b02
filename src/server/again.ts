import { z } from 'zod'
import { cookShelf } from '@/db/cooks'
import type { KitchenScope } from '@/db/repositories'
import { storyShelf } from '@/db/stories'
import { secondsOf } from '@/domain/cook/entry/time'
import { mealAgain, planAgain, sameDateAgain, sameDayAgain } from '@/domain/learn/again'
import { easterAgain } from '@/domain/learn/feasts'
import type { LikeBefore } from '@/domain/line/like'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { instant } from '@/domain/schema/scalars'
import { nowSeconds } from './environment'
import { taughtMeal, taughtPlan } from './learned'
import { cookLike } from './logbook'
import { database } from './rooms'
import { type AddedLine, addStanding, type Standing } from './standing'

/** What was cooked once, planned again with what was learned since. */

const asking = z.strictObject({
  promise: instant.optional().describe('Left out: the same weekday and time, the next there is'),
})

/** The document of a cook for another day. */
async function documentAgain(
  scope: KitchenScope,
  id: string,
  promise: string | undefined,
  comes: 'weekly' | 'yearly' | 'easter' = 'weekly',
): Promise<Outcome<Standing>> {
  const row = await cookShelf(database(), scope.kitchen).find(id)
  if (!row) return fail({ code: 'not_found', path: ['cook'], what: id })
  const { document } = row
  const [told] = await storyShelf(database(), scope.kitchen).find([id])
  const then_s = Math.min(...document.items.map((item) => secondsOf(item.promise)))
  const promise_s = promise
    ? secondsOf(promise)
    : ((comes === 'easter' ? easterAgain(then_s, nowSeconds(), scope.kitchen.timeZone) : undefined) ??
      (comes === 'weekly' ? sameDayAgain : sameDateAgain)(then_s, nowSeconds(), scope.kitchen.timeZone))
  const meal = mealAgain(document, told?.story, promise_s)
  if (meal) return succeed<Standing>({ kind: 'meal', document: await taughtMeal(scope, meal) })
  const plan = planAgain(document, told?.story, promise_s)
  return plan
    ? succeed<Standing>({ kind: 'plan', document: await taughtPlan(scope, plan) })
    : fail({ code: 'not_found', path: ['cook'], what: id })
}

/** Plans a cook again: a plan where it was one roast, a meal where it was a meal. */
export async function cookAgain(slug: string, id: string, value: unknown): Promise<Outcome<AddedLine>> {
  const asked = parseWith(asking, value)
  return asked.ok ? addStanding(slug, (scope) => documentAgain(scope, id, asked.value.promise)) : asked
}

/** The same, of the newest cook that some words find. */
export const cookAgainLike = (slug: string, { words, yearly }: LikeBefore): Promise<Outcome<AddedLine>> =>
  addStanding(slug, async (scope) => {
    const id = await cookLike(scope, words)
    return id === undefined
      ? fail({ code: 'not_found', path: ['cook'], what: `like “${words}”` })
      : documentAgain(scope, id, undefined, /\beaster\b/.test(words) ? 'easter' : yearly ? 'yearly' : 'weekly')
  })
