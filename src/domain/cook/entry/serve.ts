import type { EntryKind } from './kind'

/** It is on the table. */
export const serve: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item, _entry, at_s) => {
    item.state = 'served'
    item.served_s = at_s
    item.out_s ??= at_s
  },
}
