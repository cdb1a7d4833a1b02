import { tenth } from '../quantity/round'
import { type BoardItem, sameOven, sameTable } from './board'
import type { CookEntry } from './cook-document'
import type { PeakWatch, Way } from './forecast'
import type { Run } from './run'

/** What is entered of a roast when somebody decides about it: the one home of that for the board and for `next`. */
export type Decided = Pick<CookEntry, 'kind'> & Partial<Pick<CookEntry, 'item' | 'value_c' | 'text' | 'of'>>

/** Ways out that change nothing a board reckons with: they are written down. */
const NOTED: Readonly<Partial<Record<Way['code'], string>>> = {
  leave_it: 'left as it is',
  thin_end_first: 'carve the thin end first',
}

const tenthOr = (value: number | undefined) => (value === undefined ? null : tenth(value))

/** Another reading to pull at. @param value_c °C; undefined: none */
export const pullAt = (value_c: number | undefined, item: string): Decided[] =>
  value_c === undefined ? [] : [{ kind: 'pull_at', item, value_c: tenthOr(value_c) }]

/** Another setting of the oven it is in: an oven has one, noted for every roast that is in it. @param set_c °C; null: off */
export const ovenSet = (set_c: number | null, board: BoardItem, items: readonly BoardItem[]): Decided[] =>
  sameOven(board, items).map(({ item }) => ({ kind: 'oven', item: item.id, value_c: set_c }))

/** Another promise, for its whole table. @param to_s s since 1970 */
export const promiseMoved = (to_s: number, board: BoardItem, items: readonly BoardItem[]): Decided[] =>
  sameTable(board, items).map(({ item }) => ({
    kind: 'promise',
    item: item.id,
    text: new Date(to_s * 1000).toISOString(),
  }))

/** Back into its heat, or that of its hot finish, until it reads more than it has: it has read what it was to be pulled at. */
export const putBackIn = (
  { backIn, into_c, wanted_c }: Pick<PeakWatch, 'backIn' | 'into_c' | 'wanted_c'>,
  { item }: Pick<BoardItem, 'item'>,
): Decided[] => [
  { kind: 'in', item: item.id },
  ...(into_c === undefined ? [] : [{ kind: 'oven' as const, item: item.id, value_c: tenth(into_c) }]),
  // No finish is to come any more that would bring the rest.
  ...pullAt(backIn?.pull_c ?? (into_c === undefined ? undefined : wanted_c), item.id),
]

/** A way out that is taken. @param items all of the cook, the one itself among them */
export function wayTaken(way: Way, board: BoardItem, items: readonly BoardItem[], run: Pick<Run, 'steps'>): Decided[] {
  const { item, latest } = board
  switch (way.code) {
    case 'oven_up':
    case 'oven_down':
    case 'other_heat':
      return [...pullAt(way.pull_c, item.id), ...ovenSet(tenthOr(way.set_c), board, items)]
    case 'swap_ovens': {
      if (!way.swap) return []
      const { swap } = way
      return [
        ...pullAt(way.pull_c, item.id),
        { kind: 'oven', item: item.id, value_c: tenthOr(way.set_c), text: swap.oven_name },
        ...pullAt(swap.pull_c, swap.item),
        { kind: 'oven', item: swap.item, value_c: tenthOr(swap.set_c), text: board.oven_name },
      ]
    }
    case 'pull_at':
      return pullAt(way.pull_c, item.id)
    case 'pull_now':
      return [{ kind: 'out', item: item.id, value_c: latest?.value_c ?? null }]
    case 'skip_finish':
      return run.steps.flatMap(({ step, state }): Decided[] =>
        step.item === item.id && state === 'open' && (step.kind === 'finish' || step.stage?.role === 'finish')
          ? [{ kind: 'skipped', item: item.id, of: step.id }]
          : [],
      )
    case 'later_promise':
    case 'earlier_promise':
      return [...pullAt(way.pull_c, item.id), ...promiseMoved(way.promise_s ?? way.plate_s, board, items)]
    case 'short_rest':
    case 'pan_finish':
    case 'hold':
      return [{ kind: 'ending', item: item.id, text: way.code }]
    default:
      return [{ kind: 'note', item: item.id, text: NOTED[way.code] ?? null }]
  }
}
