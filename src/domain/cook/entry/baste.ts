import type { EntryKind } from './kind'

/** Basted: a door opened, unless the program bastes. */
export const baste: EntryKind = {
  needs: [],
  ofItem: true,
  change: (_entry, planned) => (planned.has('baste') ? undefined : { door: true }),
}
