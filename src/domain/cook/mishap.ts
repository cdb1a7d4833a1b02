import type { BoardItem } from './board'
import { sameOven } from './board'
import type { CookEntry } from './cook-document'
import { NOWHERE } from './entry/assign'
import { againAt } from './entry/moved'
import { isoOf } from './entry/time'
import { ovenSet } from './take'

/**
 * What goes wrong in kitchens, as facts for the log: what is entered is what happened, and the ways out
 * follow from that as from every other fact.
 */
export const MISHAPS = [
  'oven_dead',
  'power_gone',
  'heat_back',
  'wrong_setting',
  'in_at',
  'out_since',
  'not_turned',
  'foil_left_on',
  'browning_fast',
  'probe_dead',
] as const
export type Mishap = (typeof MISHAPS)[number]

/** What is still to be said of a mishap. */
export const ASKS: Readonly<Partial<Record<Mishap, 'temperature' | 'time'>>> = {
  wrong_setting: 'temperature',
  in_at: 'time',
  out_since: 'time',
}

/** With the heat off an oven goes towards its room, °C. */
const ROOM_C = 22

type Part = Pick<CookEntry, 'kind'> & Partial<CookEntry>

/** Mishaps that can have happened to a roast as it stands. */
export function mishapsOf(board: BoardItem, set_c: number | undefined): Mishap[] {
  const dead = (board.settings.at(-1)?.set_c ?? Number.POSITIVE_INFINITY) <= ROOM_C
  switch (board.state) {
    case 'in':
      return [
        ...(dead
          ? (['heat_back'] as const)
          : set_c === undefined
            ? []
            : (['oven_dead', 'power_gone', 'wrong_setting'] as const)),
        'in_at',
        'out_since',
        ...(board.item.points.includes('breast') ? (['not_turned'] as const) : []),
        'foil_left_on',
        'browning_fast',
        ...(board.points.some(({ probe }) => probe) ? (['probe_dead'] as const) : []),
      ]
    case 'resting':
      return ['in_at']
    default:
      return []
  }
}

/**
 * The entries that say a mishap.
 *
 * @param said the temperature, °C, or the time, s, that it asks for
 */
export function entriesOfMishap(
  mishap: Mishap,
  board: BoardItem,
  items: readonly BoardItem[],
  now_s: number,
  intended_c: number | undefined,
  said: number | undefined,
): Part[] {
  const { item, in_s, entries } = board
  const own = (kind: CookEntry['kind'], more: Partial<CookEntry> = {}): Part => ({ kind, item: item.id, ...more })
  const inside = items.filter(({ state }) => state === 'in')
  switch (mishap) {
    case 'oven_dead':
      return ovenSet(ROOM_C, board, items)
    case 'power_gone':
      return inside.map((each) => ({ kind: 'oven', item: each.item.id, value_c: ROOM_C }))
    case 'heat_back':
      return sameOven(board, items).map((each) => ({
        kind: 'oven',
        item: each.item.id,
        value_c: each.settings.findLast(({ set_c }) => set_c > ROOM_C)?.set_c ?? intended_c ?? null,
      }))
    case 'wrong_setting':
      return said === undefined || in_s === undefined
        ? []
        : [
            own('oven', { value_c: said, at: isoOf(in_s + 1) }),
            ...(intended_c === undefined ? [] : [own('oven', { value_c: intended_c, at: isoOf(now_s) })]),
          ]
    case 'in_at': {
      const before = entries.findLast(({ kind }) => kind === 'in')
      return said === undefined || said > now_s ? [] : before ? againAt(before, said) : [own('in', { at: isoOf(said) })]
    }
    case 'out_since':
      return said === undefined || in_s === undefined || said <= in_s || said >= now_s
        ? []
        : [own('out', { at: isoOf(said) }), own('in', { at: isoOf(now_s) })]
    case 'not_turned':
      return [own('turned')]
    case 'foil_left_on':
      return [own('uncovered')]
    case 'browning_fast':
      return [own('covered')]
    case 'probe_dead':
      return board.points.flatMap(({ probe }) => (probe ? [own('assign', { ...probe, point: NOWHERE })] : []))
    default:
      return mishap satisfies never
  }
}
