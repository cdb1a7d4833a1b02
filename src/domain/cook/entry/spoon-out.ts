import type { EntryKind } from './kind'

/** Its stuffing went out into a dish: from then on it is cooked, and safe, by itself. */
export const spoonOut: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item, _entry, at_s) => {
    item.spooned_s = at_s
  },
  change: () => ({ door: true }),
}
