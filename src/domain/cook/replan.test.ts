import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { fridayEvening } from '@/stand-ins/demo/meals'
import { makeMeal } from '../meal/make-meal'
import { cookFromMeal } from './begin'
import { type CookDocument, type CookEntry, cookEntry } from './cook-document'
import { arrivalText } from './entry/arrival'
import { replanMeal } from './replan'
import { openSteps, runOf } from './run'

const NOW = Date.UTC(2026, 10, 27, 9) / 1000
const iso = (at_s: number) => new Date(Math.round(at_s) * 1000).toISOString()
let count = 0
const entry = (kind: CookEntry['kind'], at_s: number, more: Partial<CookEntry>) =>
  cookEntry.parse({ id: `entry-${String(count++).padStart(5, '0')}`, kind, at: iso(at_s), ...more })
const cook = ((): CookDocument => {
  const meal = fridayEvening('2026-11-27T18:00:00Z')
  const made = makeMeal(meal, undefined, 0)
  const begun = made.ok ? cookFromMeal(meal, made.value, NOW, 1) : made
  if (!begun.ok) throw new Error('no cook')
  return begun.value
})()
const at = (value: string | undefined) => Date.parse(value ?? '') / 1000
/** Everything done on its minute until then. */
const onTime = (until_s: number): CookEntry[] =>
  cook.steps
    .filter(({ at: planned }) => at(planned) <= until_s)
    .map(({ id, item, kind, at: planned }) =>
      entry(
        cook.items.some((each) => each.id === item)
          ? kind === 'put_in'
            ? 'in'
            : kind === 'pull'
              ? 'out'
              : kind === 'carve'
                ? 'carve'
                : 'done'
          : 'done',
        at(planned),
        { of: id, item },
      ),
    )
const first = cook.items.reduce((one, each) => (each.put_in < one.put_in ? each : one))

describe('the rest planned again', () => {
  it('answers within a second, whatever the minute', () => {
    for (const hours of [2, 5, 7, 8]) {
      const now_s = NOW + hours * 3600
      const began = performance.now()
      expect(replanMeal(cook, onTime(now_s), now_s).ok).toBe(true)
      expect(performance.now() - began).toBeLessThan(5000)
    }
  })

  it('a roast that is foreseen an hour late takes its table and its sides with it, and nothing lies in the past', () => {
    const now_s = at(first.put_in) + 1800
    const table = cook.items.filter(({ promise }) => promise === first.promise).map(({ id }) => id)
    const pull_s = at(first.pull ?? first.carve) + 5400
    const text = arrivalText(0, { p10: pull_s - 600, p50: pull_s, p90: pull_s + 600 })
    const log = [...onTime(now_s), entry('arrival', now_s, { item: first.id, text })]
    const found = replanMeal(cook, log, now_s)
    if (!found.ok) throw new Error('not planned')
    const { promises, moved, after } = found.value
    expect(promises.map(({ item }) => item)).toEqual(expect.arrayContaining([first.id]))
    expect(promises.every(({ item }) => table.includes(item))).toBe(true)
    for (const { to_s } of promises) expect(to_s).toBeGreaterThan(at(first.promise))
    for (const { to_s } of moved) expect(to_s).toBeGreaterThanOrEqual(now_s - 1)
    for (const step of openSteps(after).filter(({ step: { kind } }) => kind === 'dish'))
      expect(step.at_s).toBeGreaterThan(now_s)
    const serve = after.steps.find(({ step }) => step.kind === 'serve' && step.at === first.promise)
    expect(serve?.at_s).toBe(Math.max(...promises.map(({ to_s }) => to_s)))
  })

  it('taken, it is what stands: planned again at once there is nothing left to move', () => {
    const now_s = at(first.put_in) + 1800
    const pull_s = at(first.pull ?? first.carve) + 5400
    const text = arrivalText(0, { p10: pull_s - 600, p50: pull_s, p90: pull_s + 600 })
    const log = [...onTime(now_s), entry('arrival', now_s, { item: first.id, text })]
    const found = replanMeal(cook, log, now_s)
    if (!found.ok) throw new Error('not planned')
    const taken = [...log, ...found.value.entries.map(({ kind, ...more }) => entry(kind, now_s + 1, more))]
    const stands = runOf(cook, taken, now_s + 2)
    for (const { step, to_s } of found.value.moved) {
      const there = stands.steps.find((each) => each.step.id === step.step.id)
      if (there?.state === 'open') expect(Math.abs(there.at_s - to_s)).toBeLessThan(90)
    }
    const again = replanMeal(cook, taken, now_s + 2)
    expect(again.ok && again.value.promises).toEqual([])
  })

  it('stands any log: nothing moved is in the past, and it always ends', () => {
    const random = seededRandom(1127)
    for (let round = 0; round < 25; round++) {
      const now_s = NOW + random() * 36_000
      const log = onTime(now_s).filter(() => random() < 0.9)
      const found = replanMeal(cook, log, now_s)
      expect(found.ok).toBe(true)
      if (!found.ok) continue
      for (const { to_s } of found.value.moved) expect(to_s).toBeGreaterThanOrEqual(now_s - 1)
    }
  })

  it('a roast of a meal has the window of its own pull, as a roast alone has', () => {
    for (const { window, pull } of cook.items) {
      expect(at(window?.from)).toBeLessThan(at(pull ?? ''))
      expect(at(window?.to)).toBeGreaterThan(at(pull ?? ''))
    }
  })

  it('what goes in at another setting is heated for there, as long ahead as before', () => {
    const into = cook.steps.find(({ kind, source }) => kind === 'put_in' && source !== null && source.kind === 'oven')
    const heating = cook.steps.findLast(
      ({ kind, source, at: planned }) =>
        kind === 'heat_up' && source?.id === into?.source?.id && at(planned) <= at(into?.at),
    )
    if (!into || !heating) throw new Error('nothing is heated')
    const moved = entry('shifted', NOW, {
      of: into.id,
      item: into.item,
      text: iso(at(into.at) + 1200),
      value_c: (into.set_c ?? 0) + 20,
    })
    const now = runOf(cook, [moved], NOW).steps.find(({ step }) => step.id === heating.id)
    expect(now?.step.set_c).toBe((into.set_c ?? 0) + 20)
    expect(now?.at_s).toBe(at(heating.at) + 1200)
  })
})
