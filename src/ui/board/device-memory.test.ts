import { describe, expect, it } from 'vitest'
import type { CookEntry } from '@/domain/cook/cook-document'
import { type DeviceWorld, eachOnce, KitchenClock, recallEntries, rememberEntries } from './device-memory'
import { blank } from './use-cook'

const device = (fromKept: boolean, clock = { s: 1000 }, shelf = new Map<string, string>()) => ({
  clock,
  shelf,
  world: {
    storage: { getItem: (key) => shelf.get(key) ?? null, setItem: (key, value) => void shelf.set(key, value) },
    clock: () => clock.s,
    fromKept,
  } satisfies DeviceWorld,
})
const entry = (id: string): CookEntry => ({
  ...blank({ kind: 'door' }),
  id,
  at: '2026-11-26T17:00:00.000Z',
  by: '',
})

describe('the clock of a kitchen on one of its devices', () => {
  it('goes on through an hour with the lid closed', () => {
    const { world, clock } = device(false)
    const kitchen = new KitchenClock(5000, world)
    clock.s += 3600
    expect(kitchen.now()).toBe(8600)
  })
  it('is right on a page that was kept two hours ago and opened with nothing answering', () => {
    const first = device(false)
    new KitchenClock(5000, first.world)
    first.clock.s += 7200
    const again = new KitchenClock(5000, device(true, first.clock, first.shelf).world)
    expect(again.now()).toBe(12_200)
  })
  it('believes a fresh page before what it remembers', () => {
    const first = device(false)
    new KitchenClock(5000, first.world)
    first.clock.s += 100
    expect(new KitchenClock(9000, device(false, first.clock, first.shelf).world).now()).toBe(9000)
  })
  it('is put right by the server after the clock of the device was set', () => {
    const { world, clock } = device(false)
    const kitchen = new KitchenClock(5000, world)
    clock.s += 3600
    kitchen.heard(5010)
    clock.s += 5
    expect(kitchen.now()).toBe(5015)
  })
})

describe('the entries a device remembers', () => {
  it('come back on a kept page, of their own cook only', () => {
    const { shelf, world } = device(false)
    rememberEntries(world, 'one', [entry('a'), entry('b')])
    const later = device(true, { s: 0 }, shelf).world
    expect(recallEntries(later, 'one').map(({ id }) => id)).toEqual(['a', 'b'])
    expect(recallEntries(later, 'two')).toEqual([])
  })
  it('are left alone where the page is fresh: the server knows better', () => {
    const { world } = device(false)
    rememberEntries(world, 'one', [entry('a')])
    expect(recallEntries(world, 'one')).toEqual([])
  })
  it('are not forgotten by a page that lags behind another of this device', () => {
    const { shelf, world } = device(false)
    rememberEntries(world, 'one', [entry('a'), entry('b')])
    rememberEntries(world, 'one', [entry('a')])
    const later = device(true, { s: 0 }, shelf).world
    expect(recallEntries(later, 'one').map(({ id }) => id)).toEqual(['a', 'b'])
  })
  it('are each there once when the server, the memory and the queue all have them', () => {
    expect(eachOnce([entry('a'), entry('b')], [entry('b'), entry('c')], [entry('c')]).map(({ id }) => id)).toEqual([
      'a',
      'b',
      'c',
    ])
  })
  it.each(['{"id":', '{}', 'null', '[null, 3]'])('are begun anew where what lies there is %s', (broken) => {
    const { shelf, world } = device(false)
    world.storage.setItem('pheasant-kept-one', broken)
    world.storage.setItem('pheasant-clock-ahead', broken)
    const later = device(true, { s: 0 }, shelf).world
    expect(recallEntries(later, 'one')).toEqual([])
    expect(new KitchenClock(9000, later).now()).toBe(9000)
    rememberEntries(world, 'one', [entry('a')])
    expect(recallEntries(later, 'one').map(({ id }) => id)).toEqual(['a'])
  })
  it('do not stop the board when the device is full', () => {
    const { world } = device(false)
    const full: DeviceWorld = {
      ...world,
      storage: {
        getItem: () => null,
        setItem: () => {
          throw new Error('full')
        },
      },
    }
    expect(() => rememberEntries(full, 'one', [entry('a')])).not.toThrow()
    expect(new KitchenClock(5000, full).now()).toBe(5000)
  })
})
