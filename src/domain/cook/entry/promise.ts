import type { EntryKind } from './kind'
import { secondsOf } from './time'

/** The promise was moved to the instant in its text: of one roast, or of all. */
export const promise: EntryKind = {
  needs: ['text'],
  ofItem: false,
  onItem: (item, { text }) => {
    const at_s = secondsOf(text ?? '')
    if (Number.isFinite(at_s)) item.promise_s = at_s
  },
  onCook: (log, { item, text }) => {
    const at_s = secondsOf(text ?? '')
    if (item === null && Number.isFinite(at_s)) log.promise_s = at_s
  },
}
