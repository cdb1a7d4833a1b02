import type { EntryKind } from './kind'

/** It is to be pulled at another reading, °C. */
export const pullAt: EntryKind = {
  needs: ['value_c'],
  ofItem: true,
  onItem: (item, { value_c }) => {
    item.pull_c = value_c ?? undefined
  },
}
