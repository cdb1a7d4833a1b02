import type { CookDocument, CookEntry } from '../cook-document'
import { foldLog, standing } from './fold'
import { isoOf, secondsOf } from './time'

/** What was tapped later than it was done is put where it was: undone, and entered again at its time. */

/** What happened to the meat or its heat at a moment, and may have been tapped at another. */
const HAPPENED: ReadonlySet<CookEntry['kind']> = new Set([
  'in',
  'out',
  'rest',
  'finish',
  'carve',
  'served',
  'turned',
  'basted',
  'glazed',
  'door',
  'covered',
  'uncovered',
  'spooned',
  'oven',
  'reading',
  'done',
])
export const isMovable = ({ kind }: Pick<CookEntry, 'kind'>): boolean => HAPPENED.has(kind)

/** No cook was begun longer before its first tap, s. */
const BEFORE_S = 12 * 3600

/** What brings a roast from one state into the next: in this order, whenever each was. */
const MILESTONES: ReadonlySet<CookEntry['kind']> = new Set(['in', 'out', 'rest', 'finish', 'carve', 'served'])

/** Names before and after all others. */
const FIRST_AND_LAST = ['', '~'] as const

/** Where each roast stands, and what has been done in which order: moving what happened changes neither. @param one what is moved */
function standOf(document: CookDocument, entries: readonly CookEntry[], one: string): string {
  const { items, ticked } = foldLog(document, entries)
  const inOrder = standing(entries).filter(({ id, kind }) => id === one || MILESTONES.has(kind))
  return JSON.stringify([
    [...items].map(([id, { state, settings }]) => [
      id,
      state,
      inOrder.flatMap(({ item, kind }) => (item === id ? [kind] : [])),
      settings.map(({ set_c }) => set_c),
    ]),
    [...ticked.keys()].sort(),
  ])
}

type Part = Pick<CookEntry, 'kind'> & Partial<CookEntry>

/** The same again at another time: nothing of a log is overwritten. @param at_s s since 1970 */
export function againAt({ id, ...what }: CookEntry, at_s: number): Part[] {
  return [
    { kind: 'undo', of: id, item: what.item },
    { ...what, at: isoOf(at_s) },
  ]
}

/**
 * The entries that put one of a log where it happened; undefined where that cannot be: it is still to come, or what was
 * done before it or after it would be the other way round.
 *
 * @param entries all of the log
 * @param at_s when it happened, s since 1970
 * @param now_s cook time, s since 1970
 */
export function movedTo(
  document: CookDocument,
  entries: readonly CookEntry[],
  entry: CookEntry,
  at_s: number,
  now_s: number,
): readonly Part[] | undefined {
  const stands = standing(entries)
  const { id } = entry
  const first_s = Math.min(...stands.map(({ at }) => secondsOf(at)))
  if (!isMovable(entry) || !stands.some((each) => each.id === id)) return undefined
  if (!(at_s <= now_s) || at_s < first_s - BEFORE_S) return undefined
  const before = standOf(document, stands, id)
  // Of one moment the order is by their names, and it gets a new one: whichever that is.
  const holds = FIRST_AND_LAST.every((own) => {
    const moved = stands.map((each) => (each.id === id ? { ...each, id: own, at: isoOf(at_s) } : each))
    return standOf(document, moved, own) === before
  })
  return holds ? againAt(entry, at_s) : undefined
}
