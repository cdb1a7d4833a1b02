import { describe, expect, it } from 'vitest'
import { makePlan } from '../plan/make-plan'
import { planDocument } from '../roast/roast-document'
import { cookFromPlan } from './begin'
import { type CookEntry, cookEntry } from './cook-document'
import { livingTasks } from './living-plan'
import { runOf } from './run'

const NOW = Date.UTC(2026, 10, 27, 9) / 1000
const document = planDocument.parse({
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
  promise: '2026-11-27T19:00:00Z',
  program: { school: 'reverse-sear' },
})
const made = makePlan(document, NOW)
const begun = cookFromPlan(document, NOW, 1)
if (!made.ok || !begun.ok) throw new Error('no plan')
const { tasks } = made.value.plan
const cook = begun.value
const entry = (kind: CookEntry['kind'], more: Partial<CookEntry>) =>
  cookEntry.parse({
    id: `entry-${kind}-0001`,
    kind,
    at: new Date((NOW + 60) * 1000).toISOString(),
    item: 'roast',
    ...more,
  })
const living = (...entries: CookEntry[]) => {
  const run = runOf(cook, entries, NOW + 120)
  return { run, tasks: livingTasks(tasks, run) }
}

describe('a plan while it is cooked is on every page what it is on the board', () => {
  it('with nothing decided it is the plan, to the minute', () => {
    const said = (all: typeof tasks) =>
      all.map(({ kind, at, set_c, stage }) => [kind, Math.round(at), set_c, stage?.environment.kind])
    expect(said(living().tasks)).toEqual(said([...tasks]))
  })

  it('a finish that was left out is on no page', () => {
    const finish = cook.steps.find(({ kind }) => kind === 'finish')
    const { tasks: now } = living(entry('skipped', { of: finish?.id ?? '' }))
    expect(now.map(({ kind }) => kind)).toEqual(tasks.map(({ kind }) => kind).filter((kind) => kind !== 'finish'))
  })

  it('a finish in the pan is in the pan, when the board says', () => {
    const { run, tasks: now } = living(entry('ending', { text: 'pan_finish' }))
    const step = run.steps.find(({ step: { kind } }) => kind === 'finish')
    const finish = now.find(({ kind }) => kind === 'finish')
    expect(finish?.stage?.environment).toEqual({ kind: 'pan', set_c: 230 })
    expect(finish?.because.numbers.minutes).toBe(5)
    expect(finish?.at).toBe(step?.at_s)
    expect(now.findLast(({ kind }) => kind === 'heat_up')?.stage?.environment.kind).toBe('pan')
  })

  it('held hot, the cabinet is a task from the minute that the board says until its table', () => {
    const { run, tasks: now } = living(entry('ending', { text: 'hold' }))
    expect(now).toHaveLength(tasks.length + 1)
    const held = now.find(({ stage }) => stage?.environment.kind === 'cabinet')
    const step = run.steps.find(({ step: { id } }) => id.startsWith('hold'))
    expect(held?.at).toBe(step?.at_s)
    expect((held?.at ?? 0) + (held?.because.numbers.minutes ?? 0) * 60).toBeCloseTo(run.items[0]?.plate_s ?? 0, 3)
    expect(now.map(({ at }) => at)).toEqual(now.map(({ at }) => at).toSorted((a, b) => a - b))
  })
})
