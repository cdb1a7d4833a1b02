import type { CookDocument, CookEntry, ProbeReading } from '@/domain/cook/cook-document'
import { standing } from '@/domain/cook/entry/fold'
import { type Glance, glanceOf } from '@/domain/cook/story/glance'
import { ateOf, type CookStory, storyOf } from '@/domain/cook/story/story'
import { type Outcome, succeed } from '@/domain/problem/problem'

export interface StoryAsked {
  readonly document: CookDocument
  readonly entries: readonly CookEntry[]
  readonly readings: readonly ProbeReading[]
  readonly now_s: number
  /** As it was told before, where only how it ate was said since. */
  readonly told: CookStory | undefined
}
export interface StoryTold {
  readonly story: CookStory
  readonly glance: Glance
}

/** The story of a cook, and what it is found by. */
export function tellStory({ document, entries, readings, now_s, told }: StoryAsked): Outcome<StoryTold> {
  const story = told ? withAte(told, document, entries) : storyOf(document, entries, readings, now_s)
  return succeed({ story, glance: glanceOf(story) })
}

function withAte(told: CookStory, document: CookDocument, entries: readonly CookEntry[]): CookStory {
  const ate = ateOf(document, standing(entries))
  return { ...told, items: told.items.map((item) => ({ ...item, ate: ate.get(item.id) ?? {} })) }
}
