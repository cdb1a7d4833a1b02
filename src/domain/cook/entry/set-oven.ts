import type { EntryKind } from './kind'

/** Its oven was set, or it was carried to another, which the text names. */
export const setOven: EntryKind = {
  needs: [],
  ofItem: true,
  onItem: (item, { value_c, text }, at_s) => {
    item.never = false
    if (text) item.oven_name = text
    if (value_c !== null) item.settings.push({ at_s, set_c: value_c })
  },
  change: ({ value_c }) => (value_c === null ? undefined : { set_c: value_c }),
}
