import type { Stage } from '@/core/program/stage'
import type { EntryKind } from './kind'

const FOILED: Readonly<Record<string, Stage['foil']>> = { breast: 'breast', thigh: 'legs' }

/** Foil over it, or over the part that is named. */
export const cover: EntryKind = {
  needs: [],
  ofItem: true,
  change: ({ point }) => {
    const foil = FOILED[point ?? '']
    return foil ? { foil, door: true } : { cover: 'foil', door: true }
  },
}
