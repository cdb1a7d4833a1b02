import type { BoardItem, ProbedPoint } from './board'

/** A roast that no probe watches is read by hand: when next, so that its pull is neither missed nor guessed. */

/**
 * Half of the time to what waits for a reading is let go by and then it is read again, within this, s; what was read so
 * lately before it is not read again for it.
 */
const AGAIN = { least_s: 300, most_s: 3600, lately_s: 240 } as const
/** Points that were read within so long of each other are read in one round, s. */
const ROUND_S = AGAIN.most_s + 300
/** Of what is read at several points the one whose reading is the oldest, of those that are read at all. */
export function oldestPoint({ item, points }: Pick<BoardItem, 'item' | 'points'>): ProbedPoint | undefined {
  const newest_s = Math.max(...points.map(({ at_s }) => at_s))
  const read = item.points.length > 1 ? points.filter(({ at_s }) => newest_s - at_s <= ROUND_S) : []
  return read.toSorted((a, b) => a.at_s - b.at_s)[0]
}

/**
 * When a roast is to be read by hand next, s since 1970; undefined where a probe does it, or nothing waits for a reading.
 * The first is asked for by its plan. Of a bird each point that is read is read again.
 *
 * @param wanted_s when it is thought to be at the reading that is waited for; not finite where nothing waits
 */
export function readNext(
  board: Pick<BoardItem, 'item' | 'byHand' | 'latest' | 'points'>,
  wanted_s: number,
): number | undefined {
  const { byHand, latest } = board
  if (!byHand || !latest || !Number.isFinite(wanted_s)) return undefined
  const read_s = Math.min(latest.at_s, oldestPoint(board)?.at_s ?? latest.at_s)
  const left_s = wanted_s - read_s
  if (left_s <= AGAIN.lately_s) return undefined
  const again_s = Math.min(AGAIN.most_s, Math.max(AGAIN.least_s, left_s / 2))
  // The last is taken when it is thought to be there.
  return read_s + (left_s - again_s < AGAIN.lately_s ? left_s : again_s)
}
