import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { boardOf } from '../board'
import { type CookEntry, cookEntry } from '../cook-document'
import { forecastOf } from '../forecast'
import { isOver } from '../run'
import { ENTRY_KINDS, kindOf } from '.'
import { foldLog } from './fold'
import { ENDINGS } from './kind'
import { supper as document, entry, iso, T0 } from './supper'

const rib = (...entries: CookEntry[]) => foldLog(document, entries).items.get('rib')

describe('the log as a fold', () => {
  it('out by mistake and in again is in, from when it first went in, with its spell outside', () => {
    const log = rib(entry('in', 10), entry('out', 90), entry('in', 97))
    expect(log).toMatchObject({ state: 'in', in_s: T0 + 600, out_s: undefined })
    expect(log?.away).toEqual([{ from_s: T0 + 5400, to_s: T0 + 5820 }])
  })

  it('a cook is over when every roast is on the table, and not when one of them is taken back', () => {
    const ribServed = entry('served', 240)
    const porkServed = entry('served', 241, { item: 'pork' })
    const over = (...entries: CookEntry[]) => isOver(document, entries, T0 + 15_000)
    expect(over(ribServed)).toBe(false)
    expect(over(ribServed, porkServed)).toBe(true)
    expect(over(ribServed, entry('undo', 240, { of: ribServed.id }), porkServed)).toBe(false)
    expect(over(ribServed, porkServed, entry('undo', 242, { of: porkServed.id }))).toBe(false)
  })

  it('undo takes back each thing it should', () => {
    const base = [entry('in', 10)]
    for (const [kind, more] of [
      ['out', {}],
      ['pull_at', { value_c: 50 }],
      ['oven', { value_c: 180, text: 'the top oven' }],
      ['reading', { value_c: 31 }],
      ['promise', { text: iso(300) }],
      ['assign', { device: 'd', channel: 1, point: 'core' }],
      ['ate', { point: 'crust', text: 'dark' }],
    ] as const) {
      const done = entry(kind, 60, more)
      const with_ = foldLog(document, [...base, done])
      const without = foldLog(document, [...base, done, entry('undo', 61, { of: done.id })])
      expect(with_, kind).not.toEqual(foldLog(document, base))
      expect(without, kind).toEqual(foldLog(document, base))
    }
  })

  it('says how it ate by the newest word of each respect, and refuses what is none', () => {
    const log = rib(
      entry('ate', 300, { point: 'plate', text: 'over' }),
      entry('ate', 301, { point: 'plate', text: 'as_wanted' }),
      entry('ate', 302, { point: 'left', text: '0.4' }),
      entry('ate', 303, { point: 'change', text: 'more salt' }),
      entry('ate', 304, { point: 'change', text: '' }),
    )
    expect(Object.fromEntries(log?.ate ?? [])).toEqual({ plate: 'as_wanted', left: '0.4' })
    for (const [point, text] of [
      ['plate', 'pale'],
      ['left', 'much'],
      ['left', '-1'],
      ['left', ''],
      ['taste', 'good'],
    ])
      expect(cookEntry.safeParse({ id: 'said-wrong', kind: 'ate', at: iso(1), item: 'rib', point, text }).success).toBe(
        false,
      )
  })

  it('arrives at the same state in whatever order and however often entries arrive', () => {
    const random = seededRandom(3)
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
    for (let round = 0; round < 300; round++) {
      const log: CookEntry[] = []
      for (let i = 0; i < 14; i++) {
        const kind = pick(ENTRY_KINDS)
        if (kind === 'undo' && log.length === 0) continue
        log.push(
          entry(kind, i * 7 + random(), {
            item: pick(['rib', 'pork']),
            value_c: 50 + Math.floor(random() * 40),
            device: 'd',
            channel: pick([0, 1]),
            point: pick(['core', 'air']),
            text: iso(200 + Math.floor(random() * 100)),
            of: kind === 'undo' ? pick(log).id : pick(['step 1', 'step 2']),
            ...(kind === 'ending' ? { text: pick(ENDINGS) } : {}),
            ...(kind === 'ate' ? { point: 'plate', text: pick(['under', 'over']) } : {}),
          }),
        )
      }
      const straight = foldLog(document, log)
      const shuffled = [...log, ...log.slice(0, 5)].sort(() => random() - 0.5)
      expect(foldLog(document, shuffled)).toEqual(straight)
    }
  })

  it('an entry that does not say what its kind must say is refused where it fails', () => {
    for (const kind of ENTRY_KINDS) {
      const bare = cookEntry.safeParse({ id: 'bare-entry', kind, at: iso(1) })
      const { needs, ofItem } = kindOf(kind)
      expect(bare.success, kind).toBe(needs.length === 0 && !ofItem)
      if (!bare.success)
        expect(bare.error.issues.map(({ path }) => path[0]).sort()).toEqual(
          [...needs, ...(ofItem ? ['item'] : [])].sort(),
        )
    }
  })

  it('a spell on the counter and an open door make it later; sealed in foil nothing it gives off cools it, and it is sooner', () => {
    const arrival = (...more: CookEntry[]) => {
      const [board] = boardOf(document, [entry('in', 10), ...more], [], T0 + 120 * 60)
      return (board && forecastOf(board, T0 + 120 * 60, 7, [], 64)?.estimate.pull_s.p50) ?? 0
    }
    const left = arrival()
    expect(arrival(entry('out', 60), entry('in', 80))).toBeGreaterThan(left + 300)
    expect(arrival(entry('door', 60), entry('door', 70), entry('door', 80))).toBeGreaterThan(left + 30)
    expect(arrival(entry('covered', 20))).toBeLessThan(left)
  })
})
