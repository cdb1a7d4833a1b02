import { type CookEntry, cookDocument, cookEntry } from '../cook-document'

/** A supper of two roasts and what is entered of it, for tests of its log. */

/** When it begins, s since 1970. */
export const T0 = Date.UTC(2026, 10, 25, 12) / 1000
/** So many minutes after. */
export const iso = (minute: number) => new Date((T0 + minute * 60) * 1000).toISOString()

export const supper = cookDocument.parse({
  title: 'Supper',
  clock: { origin: iso(0), real: iso(0), speed: 1 },
  items: ['rib', 'pork'].map((id) => ({
    id,
    title: id,
    roast: { cut: id === 'rib' ? 'beef-rib-bone-in' : 'pork-loin', mass_kg: 2.5 },
    program: { school: 'steady', set_c: 140 },
    serve_c: 60,
    promise: iso(240),
    put_in: iso(10),
    pull: iso(190),
    carve: iso(225),
    pull_c: 54,
  })),
})

let count = 0
/** An entry of its rib, so many minutes after it began. */
export const entry = (kind: CookEntry['kind'], minute: number, more: Partial<CookEntry> = {}): CookEntry =>
  cookEntry.parse({ id: `entry-${String(count++).padStart(4, '0')}`, kind, at: iso(minute), item: 'rib', ...more })
