import { TZDate } from '@date-fns/tz'
import { addDays } from 'date-fns'
import { verdictOf } from '../cook/ate'
import type { CookDocument, CookItem } from '../cook/cook-document'
import { secondsOf } from '../cook/entry/time'
import type { CookStory, StoryItem } from '../cook/story/story'
import type { MealDocument } from '../meal/meal-document'
import { type PlanDocument, planDocument } from '../roast/roast-document'

import { mealWithout } from './learned'

/** A cook cooked again: the same roast, for another day, with what was said of it. */

/** Over or under on the plate is met with so much, K. */
const BY_VERDICT_K = 2

/**
 * The next day of the same weekday at the same time of the kitchen's clock, at least a day ahead, s since 1970.
 * @example sameDayAgain(0, 86400 * 8, 'UTC') // 86400 * 14
 */
export function sameDayAgain(then_s: number, now_s: number, timeZone: string): number {
  const then = new TZDate(then_s * 1000, timeZone)
  const today = new TZDate(now_s * 1000, timeZone)
  const ahead = (((then.getDay() - today.getDay()) % 7) + 7) % 7 || 7
  const on = addDays(today, ahead)
  return (
    new TZDate(on.getFullYear(), on.getMonth(), on.getDate(), then.getHours(), then.getMinutes(), timeZone).getTime() /
    1000
  )
}

/**
 * The same day of the year at the same time of the kitchen's clock, the next there is, at least a day ahead, s since 1970.
 * @example sameDateAgain(0, 86400 * 8, 'UTC') // 31536000
 */
export function sameDateAgain(then_s: number, now_s: number, timeZone: string): number {
  const then = new TZDate(then_s * 1000, timeZone)
  const year = new TZDate(now_s * 1000, timeZone).getFullYear()
  const on = (of: number) =>
    new TZDate(of, then.getMonth(), then.getDate(), then.getHours(), then.getMinutes(), timeZone).getTime() / 1000
  return on(year) > now_s + 86_400 ? on(year) : on(year + 1)
}

const MOST_NOTES = 500
const withNote = (notes: string, note: string) => [notes, note].filter(Boolean).join('. ').slice(0, MOST_NOTES)

/** What is changed for how it ate: what it is served at, and what was to be remembered. */
function byVerdict(item: CookItem, told: StoryItem | undefined): { readonly serve_c: number; readonly notes: string } {
  const verdict = told && verdictOf(told.ate)
  const by = verdict === 'over' ? -BY_VERDICT_K : verdict === 'under' ? BY_VERDICT_K : 0
  return { serve_c: item.serve_c + by, notes: withNote(item.notes, told?.ate.change ?? '') }
}

/** The plan of one cooked roast for another day. */
export function planAgain(
  document: CookDocument,
  story: CookStory | undefined,
  promise_s: number,
): PlanDocument | undefined {
  const [item] = document.items
  if (!item) return undefined
  const { serve_c, notes } = byVerdict(item, story?.items[0])
  // What was taught then is taught anew: only what a hand had said stays.
  const taughtPiece = item.roast.thickness_doubt !== undefined
  const taughtOven = item.oven.doubt_k !== undefined
  return planDocument.parse({
    title: document.title,
    roast: {
      ...item.roast,
      thickness_mm: taughtPiece ? null : item.roast.thickness_mm,
      thickness_doubt: undefined,
    },
    oven: { ...item.oven, offset_k: taughtOven ? 0 : item.oven.offset_k, doubt_k: undefined },
    program: item.program,
    target: { serve_c },
    promise: new Date(promise_s * 1000).toISOString(),
    guests: document.guests,
    vulnerable: item.vulnerable,
    altitude_m: item.altitude_m,
    notes,
  })
}

/** The meal of a cook for another day: every serving moved by as much, each roast as it is wanted now. */
export function mealAgain(
  document: CookDocument,
  story: CookStory | undefined,
  promise_s: number,
): MealDocument | undefined {
  const { meal } = document
  if (!meal) return undefined
  const first_s = Math.min(...meal.servings.map(({ at }) => secondsOf(at)))
  const moved = (at: string) => new Date((secondsOf(at) + promise_s - first_s) * 1000).toISOString()
  // What was taught then is taught anew.
  const plain = meal.learned.reduce(mealWithout, meal)
  return {
    ...plain,
    servings: meal.servings.map((serving) => ({ ...serving, at: moved(serving.at) })),
    placed: null,
    roasts: plain.roasts.map((roast) => {
      const item = document.items.find(({ id }) => id === roast.id)
      const told = story?.items.find(({ id }) => id === roast.id)
      if (!item || !told || verdictOf(told.ate) === undefined) return roast
      const { serve_c, notes } = byVerdict(item, told)
      return { ...roast, target: { serve_c }, notes }
    }),
  }
}
