import type { EntryKind } from './kind'

/** It went in; back in where it was out by mistake. What came after the oven is no longer so. */
export const putIn: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item, _entry, at_s) => {
    if (item.in_s !== undefined && item.out_s !== undefined && at_s >= item.out_s)
      item.away.push({ from_s: item.out_s, to_s: at_s })
    else item.in_s = at_s
    item.state = 'in'
    item.out_s = undefined
    item.finish_s = undefined
    item.carve_s = undefined
    item.arrival = undefined
    item.never = false
  },
}
