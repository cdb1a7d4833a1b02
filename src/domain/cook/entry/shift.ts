import type { EntryKind } from './kind'

/** A step of the plan is done at another time, which the text says. */
export const shift: EntryKind = { needs: ['of', 'text'], ofItem: false }
