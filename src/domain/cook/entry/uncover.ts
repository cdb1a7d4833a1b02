import type { EntryKind } from './kind'

/** All foil off. */
export const uncover: EntryKind = {
  needs: [],
  ofItem: true,
  change: () => ({ cover: 'bare', foil: 'none', door: true }),
}
