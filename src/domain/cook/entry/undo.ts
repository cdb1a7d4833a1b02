import type { EntryKind } from './kind'

/** Takes an entry back. Undone entries are gone before the log is folded, so it does nothing itself. */
export const undo: EntryKind = { needs: ['of'], ofItem: false }
