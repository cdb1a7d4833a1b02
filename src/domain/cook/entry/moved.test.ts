import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { boardOf } from '../board'
import { type CookEntry, cookEntry } from '../cook-document'
import { runOf } from '../run'
import { standing } from './fold'
import { isMovable, movedTo } from './moved'
import { supper as document, entry, iso, T0 } from './supper'

let count = 0
const moved = (entries: CookEntry[], one: CookEntry, minute: number, now = 300) => {
  const decided = movedTo(document, entries, one, T0 + minute * 60, T0 + now * 60)
  return (
    decided && [
      ...entries,
      ...decided.map((each) => cookEntry.parse({ at: iso(now), ...each, id: `again-${count++}-again` })),
    ]
  )
}

describe('what was tapped later than it was done', () => {
  const log = [
    entry('in', 12),
    entry('oven', 60, { value_c: 160 }),
    entry('turned', 90),
    entry('oven', 100, { value_c: 150 }),
    entry('out', 190, { value_c: 55 }),
    entry('carve', 220),
  ]
  const [wentIn, hotter, turned, cooler, out, carve] = log as [
    CookEntry,
    CookEntry,
    CookEntry,
    CookEntry,
    CookEntry,
    CookEntry,
  ]

  it('is put where it was: the board, and every time of the plan, go by that', () => {
    const again = moved(log, out, 178)
    expect(again && boardOf(document, again, [], T0 + 230 * 60)[0]).toMatchObject({
      state: 'carving',
      out_s: T0 + 178 * 60,
    })
    // It is known with what was said of it, and only once.
    const outs = standing(again ?? []).filter(({ kind }) => kind === 'out')
    expect(outs).toHaveLength(1)
    expect(outs[0]).toMatchObject({ value_c: 55, item: 'rib' })
    const early = moved([log[0] as CookEntry], wentIn, 2)
    const pull = (entries: CookEntry[]) =>
      runOf(document, entries, T0 + 30 * 60).steps.find(({ step }) => step.kind === 'pull' && step.item === 'rib')?.at_s
    expect((pull([wentIn]) ?? 0) - (pull(early ?? []) ?? 0)).toBe(600)
  })

  it('is refused where it would be the other way round with what was done, or is still to come', () => {
    expect(moved(log, out, 8)).toBeUndefined()
    expect(moved(log, out, 221)).toBeUndefined()
    expect(moved(log, wentIn, 195)).toBeUndefined()
    expect(moved(log, carve, 301)).toBeUndefined()
    // The heat it is set to now was set last.
    expect(moved(log, hotter, 110)).toBeUndefined()
    expect(moved(log, cooler, 50)).toBeUndefined()
    expect(moved(log, cooler, 70)).toBeDefined()
    expect(moved(log, wentIn, -60 * 13)).toBeUndefined()
    // Nothing is turned before it is in, or once it is out.
    expect(moved(log, turned, 5)).toBeUndefined()
    expect(moved(log, turned, 195)).toBeUndefined()
    expect(moved(log, turned, 75)).toBeDefined()
  })

  it('what was undone, foreseen, heard or said for later stays as it is', () => {
    const undone = [...log, entry('undo', 230, { of: carve.id })]
    expect(moved(undone, carve, 215)).toBeUndefined()
    for (const kind of ['arrival', 'heard', 'undo', 'promise', 'skipped', 'shifted', 'note', 'ate'] as const)
      expect(isMovable({ kind })).toBe(false)
  })

  it('whatever is moved wherever, each roast stands where it stood and nothing is lost or twice', () => {
    const random = seededRandom(63)
    let entries = log
    let done = 0
    for (let i = 0; i < 200; i++) {
      const stands = standing(entries).filter(isMovable)
      const one = stands[Math.floor(random() * stands.length)] as CookEntry
      const next = moved(entries, one, Math.round(320 * random() - 20))
      if (!next) continue
      done++
      const before = boardOf(document, entries, [], T0 + 300 * 60)
      const after = boardOf(document, next, [], T0 + 300 * 60)
      expect(after.map(({ state, hand_c }) => [state, hand_c])).toEqual(
        before.map(({ state, hand_c }) => [state, hand_c]),
      )
      expect(
        standing(next)
          .map(({ kind }) => kind)
          .sort(),
      ).toEqual(
        standing(entries)
          .map(({ kind }) => kind)
          .sort(),
      )
      entries = next
    }
    expect(done).toBeGreaterThan(20)
  })
})
