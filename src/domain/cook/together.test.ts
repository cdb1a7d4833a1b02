import { describe, expect, it } from 'vitest'
import { readLine } from '../line/reading'
import { mealFromLine } from '../meal/from-line'
import { makeMeal } from '../meal/make-meal'
import { PLAIN_KITCHEN } from '../meal/meal-problem'
import { cookFromMeal } from './begin'
import { cookEntry } from './cook-document'
import { type Due, lastTogether, namedTogether, together } from './together'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000

function cookOf(line: string) {
  const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
  if (!read.ok) throw new Error(line)
  const meal = mealFromLine(read.value, NOW, PLAIN_KITCHEN)
  const made = makeMeal(meal, undefined, 0)
  if (!made.ok) throw new Error(line)
  const cook = cookFromMeal(meal, made.value, NOW, 1)
  if (!cook.ok) throw new Error(line)
  const due = (cook.value.steps ?? []).map((step): Due => ({ step, at_s: Date.parse(step.at) / 1000 }))
  return { cook: cook.value, due }
}

describe('the same step of pieces that are alike', () => {
  it('is one for the hands, but that each is pulled by its own reading', () => {
    const { cook, due } = cookOf('6 poussins 600 g, 200, 19:00')
    const groups = together(due, cook)
    const sizes = (kind: string) => groups.filter(([first]) => first?.step.kind === kind).map(({ length }) => length)
    expect(sizes('put_in')).toEqual([6])
    expect(sizes('take_out')).toEqual([6])
    expect(sizes('rest')).toEqual([6])
    expect(sizes('pull')).toEqual([1, 1, 1, 1, 1, 1])
    expect(sizes('serve')).toEqual([1])
    // Nothing is lost and nothing is twice, and each group stands where its first step stood.
    expect(groups.flat().toSorted((a, b) => due.indexOf(a) - due.indexOf(b))).toEqual(due)
    const places = groups.map(([first]) => due.indexOf(first as Due))
    expect(places).toEqual(places.toSorted((a, b) => a - b))
    const putIn = groups.find(([first]) => first?.step.kind === 'put_in') ?? []
    const named = namedTogether(
      cook,
      putIn.map(({ step }) => step.item),
    )
    expect(named.items.find(({ id }) => id === putIn[0]?.step.item)?.title).toBe('6 × Cornish hen')
    expect(namedTogether(cook, [putIn[0]?.step.item ?? null])).toBe(cook)
  })

  it('what one tap entered one tap takes back', () => {
    const { cook } = cookOf('3 poussins 600 g, 200, 19:00')
    const ids = cook.items.map(({ id }) => id)
    const entry = (n: number, part: object) =>
      cookEntry.parse({
        id: `together-${n}`,
        kind: 'in',
        at: new Date(NOW * 1000).toISOString(),
        item: ids[n],
        ...part,
      })
    const later = new Date((NOW + 30) * 1000).toISOString()
    const three = [0, 1, 2].map((n) => entry(n, {}))
    expect(lastTogether(three, cook)).toEqual(three)
    const arrival = entry(2, { id: 'together-9', kind: 'heard', text: 'x', at: later })
    expect(lastTogether([...three, arrival], cook)).toEqual(three)
    const apart = [entry(0, {}), entry(1, {}), entry(2, { at: later })]
    expect(lastTogether(apart, cook)).toEqual(apart.slice(2))
    const note = cookEntry.parse({ id: 'together-7', kind: 'note', at: later, item: ids[0], text: 'x' })
    expect(lastTogether([...three, note], cook)).toEqual([note])
    expect(lastTogether([], cook)).toEqual([])
  })

  it('of another weight, another heat or another time is another', () => {
    const sizes = (line: string) => {
      const { cook, due } = cookOf(line)
      return together(due, cook)
        .filter(([first]) => first?.step.kind === 'put_in')
        .map(({ length }) => length)
    }
    expect(sizes('pork tenderloin 500 g and pork tenderloin 700 g, 180, 19:00')).toEqual([1, 1])
    expect(sizes('2 pork tenderloins 500 g, 180, 19:00')).toEqual([2])
    const { cook, due } = cookOf('2 pork tenderloins 500 g, 180, 19:00')
    const later = due.map((each, i) => ({ ...each, at_s: each.at_s + (i % 2 === 0 ? 0 : 120) }))
    const ins = together(later, cook).filter(([first]) => first?.step.kind === 'put_in')
    const times = later.filter(({ step }) => step.kind === 'put_in').map(({ at_s }) => at_s)
    expect(ins.length).toBe(new Set(times).size)
  })
})
