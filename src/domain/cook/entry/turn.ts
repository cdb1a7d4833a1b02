import { type EntryKind, UP } from './kind'

/** Turned; a bird is breast up after it. */
export const turn: EntryKind = {
  needs: [],
  ofItem: true,
  change: (_entry, planned) => (planned.has('turn') ? undefined : { position: UP, door: true }),
}
