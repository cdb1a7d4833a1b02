import type { EntryKind } from './kind'

/** A reading by hand, °C; of the meat unless it says the air. */
export const reading: EntryKind = {
  needs: ['value_c'],
  ofItem: true,
  onItem: (item, { value_c, point }, at_s) => {
    if (value_c !== null && point !== 'air') item.hand.push({ at_s, value_c, point: point ?? 'core' })
  },
}
