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

/** What tells of a step whether it is one for the hands with another. */
interface ForHands {
  /** What pieces that are alike have the same; undefined where it is of no piece. */
  readonly like: string | undefined
  readonly item: string | number | null | undefined
  readonly kind: CookStep['kind']
  /** s. */
  readonly at_s: number
  /** What it is done with and in, and by whom: its setting, its cook, its oven. */
  readonly by: readonly (string | number | null | undefined)[]
  readonly stage: object | null | undefined
}

/**
 * Steps in their order, those that are alike, of different pieces and at the same time, in one group: where the first
 * of them stands.
 *
 * @param told what tells of each whether it is one with another
 * @example alike([], () => ({ like: '', item: null, kind: 'salt', at_s: 0, by: [], stage: null })).length // 0
 */
export function alike<Each>(all: readonly Each[], told: (each: Each) => ForHands): [Each, ...Each[]][] {
  const groups: [Each, ...Each[]][] = []
  const open = new Map<string, { readonly at_s: number; readonly items: Set<unknown>; readonly group: Each[] }>()
  for (const each of all) {
    const { like, item, kind, at_s, by, stage } = told(each)
    const key =
      like === undefined || ALONE.has(kind) ? undefined : [like, kind, ...by, stage && JSON.stringify(stage)].join('|')
    const begun = key === undefined ? undefined : open.get(key)
    if (begun && !begun.items.has(item) && Math.abs(at_s - begun.at_s) < SAME_S) {
      begun.group.push(each)
      begun.items.add(item)
      continue
    }
    const group: [Each, ...Each[]] = [each]
    if (key !== undefined) open.set(key, { at_s, items: new Set([item]), group })
    groups.push(group)
  }
  return groups
}

/**
 * Steps in their order, those that are done with one pair of hands in one group: where the first of them stands.
 *
 * @example together([], { items: [] }).length // 0
 */
export function together<Step extends Due>(
  steps: readonly Step[],
  { items }: Pick<CookDocument, 'items'>,
): [Step, ...Step[]][] {
  const likes = new Map(items.map((item) => [item.id, likeness(item)]))
  return alike(steps, ({ step: { item, kind, set_c, who, stage }, at_s }) => ({
    like: item === null ? undefined : likes.get(item),
    item,
    kind,
    at_s,
    by: [set_c, who],
    stage,
  }))
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
 * What several pieces alike are called.
 * @example manyOf('Quail 1 of 12', 12) // '12 × Quail'
 */
export const manyOf = (title: string, count: number): string => `${count} × ${title.replace(NUMBERED, '')}`

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
    items: cook.items.map((item) => (item.id === first ? { ...item, title: manyOf(item.title, ids.length) } : item)),
  }
}

/** The same, of the steps of a group: a cook whose words are of all of them. */
export const namedFor = <Cook extends Parameters<typeof namedTogether>[0]>(cook: Cook, group: readonly Due[]): Cook =>
  namedTogether(
    cook,
    group.map(({ step: { item } }) => item),
  )
