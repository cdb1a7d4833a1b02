import type { EntryKind } from './kind'

/** It is on the table. */
export const serve: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item) => {
    item.state = 'served'
  },
}
