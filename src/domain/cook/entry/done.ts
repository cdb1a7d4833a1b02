import type { EntryKind } from './kind'

/** A step of the plan was done: heating, a side, the gravy. What is done to the meat has a kind of its own, and names its step too. */
export const done: EntryKind = { needs: ['of'], ofItem: false }
