import type { EntryKind } from './kind'

/** A word for the log; whoever writes one has looked. */
export const note: EntryKind = {
  needs: [],
  ofItem: false,
  onItem: (item, _entry, at_s) => {
    item.looked_s = Math.max(item.looked_s, at_s)
  },
}
