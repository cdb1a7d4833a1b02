import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aroundTheTable, beforeBed, daysBefore, type Preparation } from './days-before'
import type { Task } from './task'

const HOUR = 3600
const DAY = 24 * HOUR
const SEED = 102
const PREPARATIONS: readonly Preparation[] = ['none', 'dry_salt', 'wet_brine', 'marinade']

/** A table at any hour of any kitchen, and when its roast goes in. */
const table = fc.record({
  zone_s: fc.integer({ min: -44, max: 56 }).map((quarters) => quarters * 900),
  serves_h: fc.integer({ min: 28, max: 88 }).map((quarters) => quarters / 4),
  roasts_h: fc.integer({ min: 2, max: 60 }).map((quarters) => quarters / 4),
  preparation: fc.constantFrom(...PREPARATIONS),
  shape: fc.constantFrom('tie' as const, undefined),
  tin: fc.boolean(),
})
type Table = typeof table extends fc.Arbitrary<infer Each> ? Each : never

function laid({ zone_s, serves_h, roasts_h, preparation, shape, tin }: Table) {
  const serving_s = 20_000 * DAY + serves_h * HOUR - zone_s
  const in_s = serving_s - roasts_h * HOUR
  const ready_s = in_s - HOUR / 2
  const { tasks } = daysBefore(preparation, undefined, ready_s, in_s, { serving_s, zone_s }, { shape, tin })
  const first_s = Math.min(ready_s, ...tasks.map(({ at }) => at))
  return { tasks, first_s, ready_s, around: aroundTheTable({ first_s, in_s, serving_s, zone_s }) }
}
const hourOf = ({ at }: Task, zone_s: number) => ((((at + zone_s) % DAY) + DAY) % DAY) / HOUR
const at = (tasks: readonly Task[], kind: Task['kind']) => tasks.find((task) => task.kind === kind)?.at

describe('the days before', () => {
  it('nothing of them wakes anybody, whatever the hour and the kitchen', () => {
    fc.assert(
      fc.property(table, (drawn) => {
        const { tasks, around } = laid(drawn)
        // Shaping stands a quarter of an hour before what it is made ready for.
        for (const task of [...tasks, ...around]) {
          const hour = hourOf(task, drawn.zone_s)
          expect(hour, task.kind).toBeGreaterThan(6)
          expect(hour, task.kind).toBeLessThan(23)
        }
      }),
      { seed: SEED, numRuns: 2000 },
    )
  })

  it('each comes after what it needs, and all before it leaves the fridge', () => {
    fc.assert(
      fc.property(table, (drawn) => {
        const { tasks, around, first_s, ready_s } = laid(drawn)
        for (const task of tasks) expect(task.at, task.kind).toBeLessThanOrEqual(ready_s)
        expect(at(around, 'buy') as number).toBeLessThan(first_s)
        const brine = at(tasks, 'brine')
        const unbrine = at(tasks, 'unbrine')
        if (brine !== undefined && unbrine !== undefined) {
          expect(unbrine - brine).toBeGreaterThanOrEqual(12 * HOUR - 1)
          expect(ready_s - unbrine).toBeGreaterThanOrEqual(4 * HOUR - 1)
          const dressed = at(tasks, 'dress')
          if (dressed !== undefined) expect(dressed).toBeGreaterThanOrEqual(unbrine)
        }
      }),
      { seed: SEED, numRuns: 2000 },
    )
  })

  it('it is shopped at ten by the kitchen’s clock', () => {
    fc.assert(
      fc.property(table, (drawn) => {
        const [buy] = laid(drawn).around.filter(({ kind }) => kind === 'buy')
        expect(hourOf(buy as Task, drawn.zone_s)).toBeCloseTo(10, 6)
      }),
      { seed: SEED, numRuns: 500 },
    )
  })

  it('where nobody knows the clock the night is counted from the serving, as of a supper', () => {
    const serving_s = 19 * HOUR
    expect(beforeBed(3 * HOUR, { serving_s })).toBe(-1.5 * HOUR)
    expect(beforeBed(8 * HOUR, { serving_s })).toBe(8 * HOUR)
    expect(beforeBed(23.5 * HOUR, { serving_s })).toBe(22.5 * HOUR)
  })
})
