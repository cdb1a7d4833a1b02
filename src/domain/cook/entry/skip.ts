import type { EntryKind } from './kind'

/** A step of the plan is left out. */
export const skip: EntryKind = { needs: ['of'], ofItem: false }
