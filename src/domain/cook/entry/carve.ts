import type { EntryKind } from './kind'

/** The knife has begun. */
export const carve: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item, _entry, at_s) => {
    item.state = 'carving'
    item.carve_s = at_s
    item.out_s ??= at_s
  },
}
