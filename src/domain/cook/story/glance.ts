import { verdictOf } from '../ate'
import { secondsOf } from '../entry/time'
import type { CookStory } from './story'

/** What a story is found by. */
export interface Glance {
  readonly servedAt: Date
  readonly words: string
  readonly cuts: string[]
  readonly schools: string[]
  readonly ovens: string[]
  readonly suppliers: string[]
  readonly guests: number | null
  readonly verdict: 'under' | 'as_wanted' | 'over' | null
  readonly lateMin: number | null
}

const MOST_WORDS = 4000
const each = (values: readonly string[]): string[] => [...new Set(values.filter((value) => value !== ''))]

/**
 * What a story is found by: its words in small letters, its cuts, schools, ovens and suppliers, how it ended. One that
 * was never served stands at its promise.
 */
export function glanceOf(story: CookStory): Glance {
  const { items, title, served, promise, guests } = story
  const verdicts = items.map(({ ate }) => verdictOf(ate)).filter((word) => word !== undefined)
  const late = items.flatMap(({ planned, went }) =>
    went.plate === null ? [] : [(secondsOf(went.plate) - secondsOf(planned.plate)) / 60],
  )
  return {
    servedAt: new Date(served ?? promise),
    words: [
      title,
      ...items.flatMap((item) => [
        item.title,
        item.cut_name,
        item.supplier,
        item.oven,
        item.school,
        ...Object.values(item.ate),
      ]),
    ]
      .join(' ')
      .toLowerCase()
      .slice(0, MOST_WORDS),
    cuts: each(items.map(({ cut }) => cut)),
    schools: each(items.map(({ school }) => school)),
    ovens: each(items.map(({ oven }) => oven)),
    suppliers: each(items.map(({ supplier }) => supplier)),
    guests,
    // What was wrong with one of them is what is remembered.
    verdict: verdicts.find((word) => word !== 'as_wanted') ?? verdicts[0] ?? null,
    lateMin: late.length > 0 ? Math.round(10 * Math.max(...late)) / 10 : null,
  }
}
