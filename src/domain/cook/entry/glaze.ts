import type { EntryKind } from './kind'

/** Glazed: a door opened, unless the program glazes. */
export const glaze: EntryKind = {
  needs: [],
  ofItem: true,
  change: (_entry, planned) => (planned.has('glaze') ? undefined : { door: true }),
}
