import { createHash } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { kitchenDay } from './day'
import {
  brokenAt,
  type ChainedEntry,
  canonical,
  FIRST_PREV,
  hashedText,
  isOpen,
  keepsLimit,
  limitOf,
  PUBLISHED_LIMITS,
  RECORD_KINDS,
  type RecordEntry,
  recordEntry,
  rowsOf,
} from './record'

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')
const entry = (n: number, more: Partial<RecordEntry> = {}): RecordEntry =>
  recordEntry.parse({
    id: `record-${String(n).padStart(4, '0')}`,
    kind: 'storage',
    at: '2026-11-26T09:00:00Z',
    what: `Walk-in ${n}`,
    value_c: 3.5,
    limit: limitOf(null, 'storage'),
    by: 'Maren',
    ...more,
  })
function chained(entries: readonly RecordEntry[]): ChainedEntry[] {
  let prev = FIRST_PREV
  return entries.map((each, i) => {
    const hash = sha256(hashedText(i + 1, prev, each))
    const row = { seq: i + 1, entry: each, prev, hash }
    prev = hash
    return row
  })
}

describe('a limit', () => {
  it('is kept at its edge and broken a tenth beyond it, whichever way it goes', () => {
    for (const kind of RECORD_KINDS) {
      const limit = limitOf(null, kind)
      const edge = limit.least_c ?? limit.most_c ?? 0
      const beyond = limit.least_c === null ? edge + 0.1 : edge - 0.1
      expect(keepsLimit({ value_c: edge, minutes: null, limit }), kind).toBe(true)
      expect(keepsLimit({ value_c: beyond, minutes: null, limit }), kind).toBe(false)
      expect(PUBLISHED_LIMITS[kind].source).not.toBe('')
    }
    const cooling = limitOf(null, 'cooling')
    expect(keepsLimit({ value_c: 20, minutes: 121, limit: cooling })).toBe(false)
    expect(keepsLimit({ value_c: 20, minutes: 120, limit: cooling })).toBe(true)
  })

  it('is the kitchen’s own where its plan says one', () => {
    const own = { on: true, limits: { storage: { most_c: 3, least_c: null, within_min: null } } }
    expect(limitOf(own, 'storage').most_c).toBe(3)
    expect(limitOf(own, 'holding').least_c).toBe(57)
  })
})

describe('the chain', () => {
  const random = seededRandom(12)
  const chain = chained(Array.from({ length: 40 }, (_, i) => entry(i, { value_c: Math.round(100 * random()) / 10 })))

  it('holds, and any change anywhere shows at its place', () => {
    expect(brokenAt(chain, sha256)).toBeUndefined()
    expect(brokenAt([], sha256)).toBeUndefined()
    // A part of it holds by itself, from the hash that it begins with.
    const part = chain.slice(25)
    const after = { seq: 25, prev: part[0]?.prev ?? '' }
    expect(brokenAt(part, sha256, after)).toBeUndefined()
    expect(brokenAt(part.slice(1), sha256, after)).toMatchObject({ seq: 26, why: 'missing' })
    for (let round = 0; round < 60; round++) {
      const at = Math.floor(random() * chain.length)
      const each = chain[at] as ChainedEntry
      const changed: ChainedEntry[] = [...chain]
      const how = Math.floor(random() * 4)
      if (how === 0) changed[at] = { ...each, entry: { ...each.entry, value_c: 1.23 } }
      if (how === 1) changed[at] = { ...each, entry: { ...each.entry, by: 'nobody' } }
      if (how === 2) changed.splice(at, 1)
      if (how === 3) {
        // Hashed again by whoever changed it: the next one no longer fits.
        const forged = { ...each.entry, value_c: 2.22 }
        changed[at] = { ...each, entry: forged, hash: sha256(hashedText(each.seq, each.prev, forged)) }
      }
      const broken = brokenAt(changed, sha256)
      const last = how === 3 && at === chain.length - 1
      const cut = how === 2 && at === chain.length - 1
      // The end alone can be cut or made anew: that is why a printed sheet bears the last hash.
      expect(broken === undefined).toBe(last || cut)
      if (broken) expect(broken.seq).toBe(how === 3 ? at + 2 : at + 1)
    }
  })

  it('reads the same whatever the order of names, and through JSON', () => {
    expect(canonical({ b: { d: 1, c: 'ü\n' }, a: [1, { z: null }] })).toBe(
      '{"a":[1,{"z":null}],"b":{"c":"ü\\n","d":1}}',
    )
    const again = JSON.parse(JSON.stringify(chain)) as ChainedEntry[]
    expect(brokenAt(again, sha256)).toBeUndefined()
  })
})

describe('what is said of an entry later', () => {
  it('corrects it or settles it; until then a broken limit is open', () => {
    const warm = entry(1, { value_c: 9 })
    const typo = entry(2, { value_c: 33 })
    const rows = rowsOf(
      chained([
        warm,
        typo,
        entry(3, { value_c: 3.3, of: typo.id, about: 'correction' }),
        entry(4, {
          value_c: null,
          of: warm.id,
          about: 'release',
          action: 'moved to the other fridge, back at 4 °C in an hour',
        }),
        entry(5, { value_c: 8 }),
      ]),
    )
    expect(rows.map(({ seq }) => seq)).toEqual([1, 2, 3, 5])
    expect(rows.map(isOpen)).toEqual([false, false, false, true])
    expect(rows[1]?.correctedBy).toBe(3)
    expect(rows[0]?.released?.action).toContain('other fridge')
  })

  it('is refused where it says nothing', () => {
    const wrong = [
      { value_c: null },
      { about: 'release' as const, of: 'record-0001', value_c: null },
      { about: 'correction' as const },
      { what: '  ' },
      { by: '' },
    ]
    for (const more of wrong) expect(recordEntry.safeParse({ ...entry(9), ...more }).success).toBe(false)
  })
})

describe('a day of the record', () => {
  it('is the kitchen’s own, through a change of clocks, and none is later than today', () => {
    const zone = 'Europe/London'
    const now_s = Date.parse('2026-11-26T12:00:00Z') / 1000
    const long = kitchenDay('2026-10-25', now_s, zone)
    expect(long.before_s - long.from_s).toBe(25 * 3600)
    expect(long).toMatchObject({ iso: '2026-10-25', before: '2026-10-24', after: '2026-10-26' })
    for (const said of [undefined, '2027-01-01', '2026-11-26', 'yesterday', '9999-99-99', '2026-1-1'])
      expect(kitchenDay(said, now_s, zone)).toMatchObject({ iso: '2026-11-26', after: null })
    // Half past midnight in Auckland is still yesterday in London.
    expect(kitchenDay(undefined, Date.parse('2026-11-25T11:30:00Z') / 1000, 'Pacific/Auckland').iso).toBe('2026-11-26')
  })
})
