import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import { makeMeal } from '@/domain/meal/make-meal'
import { makePlan } from '@/domain/plan/make-plan'
import { planDocument } from '@/domain/roast/roast-document'
import { reunion } from '@/stand-ins/demo/meals'
import { sceneOf } from '@/words/meal-words'
import type { Units } from '@/words/units'
import { MealSheets } from '../meal/meal-sheets'
import { PlanSheet } from '../plan/plan-sheet'
import { RunSheet } from './run-sheet'

const metric: Units = { temperature: 'c', mass: 'kg', clock: '24h', timeZone: 'Europe/London' }
const imperial: Units = { temperature: 'f', mass: 'lb', clock: '12h', timeZone: 'America/New_York' }
const NOW = Date.UTC(2027, 0, 28, 9) / 1000
const document = planDocument.parse({
  title: 'Saturday rib',
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7, temper_min: 30, surface: 'dry_salted' },
  program: { school: 'reverse-sear' },
  promise: '2027-01-30T19:00:00Z',
})
const made = makePlan(document, NOW)
if (!made.ok) throw new Error('no plan')
const { plan } = made.value
const sheet = (units: Units) =>
  renderToStaticMarkup(<PlanSheet kitchen="Cottage" document={document} plan={plan} units={units} version={3} />)
const rowsOf = (html: string) => [...html.matchAll(/<tr class="break.*?<\/tr>/gs)].map(([row]) => row)

describe('the run sheet of one roast', () => {
  it('has a row for every step, in order, each with its minute and a line to write on', () => {
    const rows = rowsOf(sheet(metric))
    expect(rows).toHaveLength(plan.tasks.length)
    for (const row of rows) expect(row).toMatch(/\d\d:\d\d/)
    const text = rows.join('')
    for (const step of ['Salt all over', 'Into the oven', 'Pull at', 'Rest', 'Finish', 'Carve', 'On the table'])
      expect(text).toContain(step)
    expect(text.indexOf('Pull at')).toBeLessThan(text.indexOf('Finish'))
  })

  it('speaks the reader’s units and clock, and no other', () => {
    const ours = sheet(metric)
    const theirs = sheet(imperial)
    expect(ours).toContain('2.7 kg')
    expect(ours).not.toMatch(/°F| lb\b/)
    expect(theirs).toMatch(/\d+ lb/)
    expect(theirs).not.toMatch(/\d °C/)
    expect(theirs).toMatch(/\d (am|pm)/i)
    expect(theirs).toContain('2:00')
  })

  it('says the day once where it changes, carries the cautions, and leaves nothing blank', () => {
    const html = sheet(metric)
    expect(html).toContain('Your local code comes before this sheet')
    expect(html).toContain('consumer guidance')
    expect(html).not.toMatch(/undefined|NaN|\[object/)
    const days = new Set(plan.tasks.map(({ at }) => new Date(at * 1000).toDateString()))
    expect([...html.matchAll(/<div class="text-\[10pt\]">[A-Z][a-z]{2},? \d/g)].length).toBe(days.size)
  })
})

describe('the run sheets of a meal are the same sheet', () => {
  const meal = reunion('2027-01-30T19:30:00Z')
  const planned = makeMeal(meal, undefined, 0)
  if (!planned.ok) throw new Error('no meal')
  const of = (kind: 'whole' | 'oven' | 'cook' | 'labels', units = metric) =>
    renderToStaticMarkup(
      <MealSheets kind={kind} kitchen="Tern Point" document={meal} plan={planned.value} units={units} version={2} />,
    )

  it('the whole has every task, with whose hands', () => {
    const html = of('whole')
    expect(rowsOf(html)).toHaveLength(planned.value.tasks.length)
    expect(html).toContain('>Who<')
    for (const cook of meal.kitchen.cooks) expect(html).toContain(cook)
    expect(html).not.toMatch(/undefined|NaN|\[object/)
  })

  it('by cook each task with hands stands on exactly one sheet, by oven on its own', () => {
    const handed = planned.value.tasks.filter(({ cook }) => cook !== undefined).length
    expect(rowsOf(of('cook'))).toHaveLength(handed)
    const placed = planned.value.tasks.filter(({ source }) => source !== undefined).length
    expect(rowsOf(of('oven'))).toHaveLength(placed)
  })

  it('a label for every tray, in the reader’s units', () => {
    const html = of('labels', imperial)
    for (const { title } of planned.value.items) expect(html).toContain(title.replace('’', '’'))
    expect(html).not.toMatch(/\d °C/)
  })

  it('a sheet of no steps is a sheet all the same', () => {
    const html = renderToStaticMarkup(
      <RunSheet kicker="k" title="Nothing" day="d" time="t" rows={[]} foot="f" units={metric} />,
    )
    expect(rowsOf(html)).toEqual([])
    expect(html).not.toContain('>Who<')
  })

  it('names which of several items a step is for, and of one roast only the step', () => {
    const task = planned.value.tasks.find(({ kind }) => kind === 'pull')
    if (!task) throw new Error('no pull')
    const scene = sceneOf(task, planned.value, meal)
    const row = (title: string | undefined) =>
      renderToStaticMarkup(
        <RunSheet
          kicker=""
          title=""
          day=""
          time=""
          foot=""
          units={metric}
          rows={[{ task, scene: { ...scene, title } }]}
        />,
      )
    expect(row('The rib')).toContain('The rib: pull at')
    expect(row(undefined)).toContain('Pull at')
  })
})
