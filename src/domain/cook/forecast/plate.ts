import type { Belief } from './belief'

/** When the plates can be on the table if the knife begins then, and when they will be: the rest gives way. */
export function plateOf(belief: Belief, carve_s: number): { earliest_s: number; plate_s: number } {
  const { rest, carving_s, board, in_s } = belief
  const planned_s = in_s + carve_s + carving_s
  const earliest_s = planned_s - (rest.planned_s - rest.least_s)
  const latest_s = planned_s + (rest.most_s - rest.planned_s)
  return { earliest_s, plate_s: Math.min(Math.max(board.promise_s, earliest_s), latest_s) }
}
