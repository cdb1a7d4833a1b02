import type { EntryKind } from './kind'

/** It went in; back in where it was out by mistake. What came after the oven is no longer so. */
export const putIn: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item, _entry, at_s) => {
    const { in_s, out_s, finish_s, off_s } = item
    const left_s = off_s ?? out_s
    if (in_s !== undefined && left_s !== undefined && at_s >= left_s) {
      item.away.push({ from_s: left_s, to_s: at_s })
      if (finish_s !== undefined && off_s !== undefined) item.finished = { from_s: finish_s, to_s: off_s }
    } else item.in_s = at_s
    item.state = 'in'
    item.out_s = undefined
    item.finish_s = undefined
    item.off_s = undefined
    item.carve_s = undefined
    item.arrival = undefined
    item.never = false
  },
}
