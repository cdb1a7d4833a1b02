import { describe, expect, it } from 'vitest'
import { readLine } from '../line/reading'
import { addSaid } from './add-said'
import { makeMeal } from './make-meal'
import { mealDocument } from './meal-document'

const context = { now_s: Date.UTC(2026, 10, 24, 9) / 1000, timeZone: 'Europe/London' }
const MEAL = mealDocument.parse({
  title: 'Saturday',
  guests: 12,
  kitchen: { ovens: [{ id: 'oven', name: 'Oven' }] },
  servings: [{ id: 'serving', title: 'The meal', at: '2026-11-28T18:00:00.000Z' }],
  roasts: [{ id: 'rib', title: 'Beef rib', serving: 'serving', roast: { cut: 'beef-rib-bone-in', mass_kg: 3 } }],
})
function withLine(line: string, meal = MEAL) {
  const reading = readLine(line, context)
  if (!reading.ok) throw new Error(line)
  return addSaid(meal, reading.value, 'Europe/London').meal
}
const served = ({ servings, roasts }: typeof MEAL) =>
  roasts.map(({ title, serving }) => `${title} ${servings.find(({ id }) => id === serving)?.at.slice(5, 16)}`)

describe('a line that is added to a meal', () => {
  it('is for the first serving where it says no hour, and keeps its names apart', () => {
    expect(served(withLine('beef rib 2 kg', withLine('pork loin 2 kg')))).toEqual([
      'Beef rib 11-28T18:00',
      'Pork loin, boneless 11-28T18:00',
      'Beef rib, bone in 11-28T18:00',
    ])
  })

  it('is for the hour that it says, on the day of the meal, in a serving that is made once', () => {
    const later = withLine('chicken 1.6 kg at 8:30')
    expect(served(later)).toContain('Chicken 11-28T20:30')
    const again = withLine('duck 2 kg at 20:30', later)
    expect(again.servings).toHaveLength(2)
    expect(served(again)).toContain('Duck 11-28T20:30')
    expect(mealDocument.safeParse(again).success).toBe(true)
  })

  it('each piece for its own, where it says several', () => {
    const both = withLine('two pork loins 1.5 kg, one at 6 and one at 8')
    expect(served(both)).toEqual([
      'Beef rib 11-28T18:00',
      'Pork loin, boneless 1 of 2 11-28T18:00',
      'Pork loin, boneless 2 of 2 11-28T20:00',
    ])
  })

  it('a day alone, or the name of a meal, is no hour', () => {
    for (const line of ['pork loin 2 kg sunday', 'pork loin 2 kg for lunch'])
      expect(withLine(line).servings, line).toHaveLength(1)
  })

  it('leaves no step for a serving whose last roast is left out again', () => {
    const both = withLine('pork loin 1.5 kg at 20:30')
    const left = { ...both, roasts: both.roasts.slice(0, 1) }
    const serves = (meal: typeof MEAL) => {
      const made = makeMeal(meal, undefined, 0)
      return made.ok ? made.value.tasks.filter(({ kind }) => kind === 'serve').length : undefined
    }
    expect([serves(both), serves(left)]).toEqual([2, 1])
  })
})
