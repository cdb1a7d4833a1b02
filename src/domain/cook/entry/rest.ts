import { type EntryKind, SEEN_ONLY } from './kind'

/** It rests: said beside having been taken out, and what takes it out of a hot finish. */
export const rest: EntryKind = {
  ...SEEN_ONLY,
  onItem: (item, _entry, at_s) => {
    if (item.state === 'finishing') item.off_s = at_s
  },
}
