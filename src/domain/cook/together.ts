import type { CookDocument, CookEntry, CookItem } from './cook-document'
import { secondsOf } from './entry/time'
import type { CookStep } from './step'

/** Steps that are one for the hands: the same of pieces that are alike, at the same time. */

/** A step and when it is due. */
export interface Due {
  readonly step: CookStep
  readonly at_s: number
}

/** Nearer than this is the same time, s. */
const SAME_S = 60
/** Each piece is read before it is pulled, however alike they are; and tables and sides stand for themselves. */
const ALONE: ReadonlySet<CookStep['kind']> = new Set(['pull', 'serve', 'gravy'])

/** What makes pieces alike: the same meat, cooked the same way in the same place for the same table. */
const likeness = ({ roast, program, oven_name, promise, serve_c }: CookItem): string =>
  JSON.stringify([roast, program, oven_name, promise, serve_c])

/**
 * Steps in their order, those that are done with one pair of hands in one group: where the first of them stands.
 *
 * @example together([], { items: [] }).length // 0
 */
export function together<Step extends Due>(steps: readonly Step[], { items }: Pick<CookDocument, 'items'>): Step[][] {
  const likes = new Map(items.map((item) => [item.id, likeness(item)]))
  const groups: Step[][] = []
  const open = new Map<string, Step[]>()
  for (const due of steps) {
    const like = due.step.item === null ? undefined : likes.get(due.step.item)
    if (like === undefined || ALONE.has(due.step.kind)) {
      groups.push([due])
      continue
    }
    const key = [
      like,
      due.step.kind,
      due.step.set_c,
      due.step.who,
      due.step.stage && JSON.stringify(due.step.stage),
    ].join('|')
    const group = open.get(key)
    const [first] = group ?? []
    const isOther = first && !group?.some(({ step }) => step.item === due.step.item)
    if (group && first && isOther && Math.abs(due.at_s - first.at_s) < SAME_S) {
      group.push(due)
      continue
    }
    const begun = [due]
    open.set(key, begun)
    groups.push(begun)
  }
  return groups
}

/** What one tap enters comes this close, s of the cook's time. */
const TAP_S = 2
/** Entries that nobody takes back. */
const STAY: ReadonlySet<CookEntry['kind']> = new Set(['arrival', 'heard'])

/**
 * What is taken back next: the last entry, and those of pieces alike that were entered with it by one tap.
 *
 * @param entries those that stand, in their order
 * @example lastTogether([], { items: [] }).length // 0
 */
export function lastTogether(
  entries: readonly CookEntry[],
  { items }: Pick<CookDocument, 'items'>,
): readonly CookEntry[] {
  const last = entries.findLast(({ kind }) => !STAY.has(kind))
  if (!last) return []
  const likeOf = (id: string | null) => {
    const item = items.find((each) => each.id === id)
    return item && likeness(item)
  }
  const like = likeOf(last.item)
  return entries.filter(
    (entry) =>
      entry === last ||
      (like !== undefined &&
        entry.kind === last.kind &&
        entry.device === last.device &&
        Math.abs(secondsOf(entry.at) - secondsOf(last.at)) < TAP_S &&
        likeOf(entry.item) === like),
  )
}

/** "Cornish hen 1 of 8" is one of its kind. */
const NUMBERED = / \d+ of \d+$/

/**
 * A cook in which the first piece of a group has the name of all of them, for its words.
 *
 * @example namedTogether({ items: [{ id: 'a', title: 'Quail 1 of 2' }] }, ['a', 'b']).items[0].title // '2 × Quail'
 */
export function namedTogether<
  Cook extends { readonly items: readonly { readonly id: string; readonly title: string }[] },
>(cook: Cook, ids: readonly (string | null)[]): Cook {
  const [first] = ids
  if (ids.length < 2) return cook
  return {
    ...cook,
    items: cook.items.map((item) =>
      item.id === first ? { ...item, title: `${ids.length} × ${item.title.replace(NUMBERED, '')}` } : item,
    ),
  }
}
