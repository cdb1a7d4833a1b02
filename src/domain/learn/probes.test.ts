import { describe, expect, it } from 'vitest'
import { cookEntry } from '../cook/cook-document'
import { offsetsToBegin, probesFrom } from './probes'

const NOW_S = Date.parse('2026-11-25T09:00:00Z') / 1000
let count = 0
const check = (days: number, value_c: number, more: object = {}) =>
  cookEntry.parse({
    id: `check-${String(++count).padStart(4, '0')}`,
    kind: 'calibrate',
    at: new Date((NOW_S - days * 86_400) * 1000).toISOString(),
    device: 'dev_a',
    channel: 1,
    point: 'ice',
    value_c,
    ...more,
  })
const nameOf = (device: string) => (device === 'dev_a' ? 'Blue station' : undefined)

describe('what probes read too much', () => {
  it('is told of each with its checks, shrunken by as few as they are', () => {
    const [one] = probesFrom([check(10, 1.2)], nameOf, NOW_S)
    const [many] = probesFrom([check(90, 1.3), check(60, 1.1), check(30, 1.2), check(10, 1.2)], nameOf, NOW_S)
    expect(one).toMatchObject({ name: 'Probe 2 of Blue station', cooks: 1, device: 'dev_a', channel: 1 })
    expect(one?.mean).toBeLessThan(many?.mean ?? 0)
    expect(many?.mean).toBeGreaterThan(1.05)
    expect(many?.spread).toBeLessThan(one?.spread ?? 0)
  })

  it('a boil tells less than ice, a board’s own entry nothing, a probe that is gone is nobody’s', () => {
    const of = (point: string) => probesFrom([check(5, 1, { point })], nameOf, NOW_S)[0]
    expect(of('boiling')?.spread).toBeGreaterThan(of('ice')?.spread ?? 9)
    expect(of('learned')).toBeUndefined()
    expect(probesFrom([check(5, 1, { device: 'dev_gone' })], nameOf, NOW_S)).toEqual([])
  })

  it('two checks running that say otherwise are another probe', () => {
    const before = [100, 90, 80, 70].map((days) => check(days, 0))
    const [now] = probesFrom([...before, check(9, 4), check(8, 4.1)], nameOf, NOW_S)
    expect(now?.changed_s).toBeDefined()
    expect(now?.mean).toBeGreaterThan(3)
  })

  it('a cook begins with what is worth it, each as an entry that can be', () => {
    const probes = probesFrom([check(9, 1.2), check(8, 1.1), check(8, 0.05, { channel: 0 })], nameOf, NOW_S)
    const entries = offsetsToBegin(probes, new Date(NOW_S * 1000).toISOString(), () => 'learned-0001')
    expect(entries).toHaveLength(1)
    expect(cookEntry.parse(entries[0])).toMatchObject({ channel: 1, point: 'learned', by: 'earlier checks' })
  })
})
