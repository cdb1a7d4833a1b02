import type { EntryKind } from './kind'

/** It is out of the heat and rests. */
export const takeOut: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item, _entry, at_s) => {
    item.state = 'resting'
    item.out_s = at_s
    item.finish_s = undefined
    item.off_s = undefined
  },
}
