import type { EntryKind } from './kind'

/** The door of its oven was opened. */
export const openDoor: EntryKind = { needs: [], ofItem: true, change: () => ({ door: true }) }
