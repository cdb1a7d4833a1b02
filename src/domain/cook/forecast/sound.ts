import { boilingPoint } from '@/core/heat/vapour'
import type { Advice } from './advice'
import type { Belief } from './belief'

/** Past the wanted by no more than this a pull reading may lie, K: the reading is rounded on the screen. */
const ROUNDING_K = 0.5

/**
 * Whether a way out could be printed: its times are ahead and in order, its pull is not above what is
 * wanted nor below what is read already, and no meat is hotter than water boils.
 */
export function isSound(advice: Advice, belief: Belief, now_s: number): boolean {
  if (advice.never) return advice.code === 'leave_it'
  const { board, floor_c = Number.NEGATIVE_INFINITY, pullFloor_c = Number.NEGATIVE_INFINITY, setup } = belief
  const { pull_s, plate_s, peak_c, pull_c, promise_s, set_c } = advice
  const finite = [pull_s, plate_s, peak_c].every(Number.isFinite)
  const times = pull_s >= now_s - 1 && plate_s >= pull_s - 1 && (promise_s === undefined || promise_s >= now_s)
  const wanted = Math.max(board.item.serve_c, floor_c) + ROUNDING_K
  const pull = pull_c === undefined || (Number.isFinite(pull_c) && pull_c <= wanted && pull_c > setup.start_c)
  // Raw is not served, and no bird is pulled before it is safe, whatever is promised.
  const safe = advice.code !== 'pull_now' || (board.latest?.value_c ?? 0) >= pullFloor_c
  const heat = set_c === undefined || (set_c > 0 && set_c <= 400)
  const peak = peak_c > setup.start_c && peak_c <= boilingPoint(setup.parameters.pressure_pa) + 1
  const swap = !advice.swap || (advice.swap.plate_s > now_s && advice.swap.pull_c > setup.start_c)
  return finite && times && pull && safe && heat && peak && swap
}
