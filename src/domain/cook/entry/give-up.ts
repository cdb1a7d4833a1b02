import type { EntryKind } from './kind'

/** It does not come to the table: its reason is in the text. */
export const giveUp: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item) => {
    item.state = 'given_up'
  },
}
