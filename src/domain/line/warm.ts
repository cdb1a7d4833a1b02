import { makeReady } from './readers'
import { readLine } from './reading'

/** A thread is kept from all else for so long at a time, ms. */
const SLICE_MS = 8

/**
 * Makes the reading of lines ready before the first is typed, in slices: at once it takes a quarter of a second.
 *
 * @param later calls back when the thread has nothing better to do
 */
export function warmLines(later: (go: () => void) => void): void {
  const go = () => {
    if (makeReady(SLICE_MS)) readLine('rib 3 kg', { now_s: 0, timeZone: 'UTC' })
    else later(go)
  }
  later(go)
}
