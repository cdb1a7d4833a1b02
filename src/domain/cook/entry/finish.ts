import type { EntryKind } from './kind'

/** It went to its hot finish. */
export const finish: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item, _entry, at_s) => {
    item.state = 'finishing'
    item.out_s ??= at_s
    item.finish_s = at_s
    item.off_s = undefined
  },
}
