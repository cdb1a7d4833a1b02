import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { STANDARDS } from '@/core/reference/standards'
import { fridayEvening } from '@/stand-ins/demo/meals'
import { makeMeal } from '../../meal/make-meal'
import { makePlan } from '../../plan/make-plan'
import { type PlanDocumentInput, planDocument } from '../../roast/roast-document'
import { cookFromMeal, cookFromPlan } from '../begin'
import { boardOf } from '../board'
import { type CookDocument, type CookEntry, cookEntry } from '../cook-document'
import { ENTRY_KINDS } from '../entry'
import { arrivalText } from '../entry/arrival'
import { foldLog } from '../entry/fold'
import { ENDINGS } from '../entry/kind'
import { howItWent } from '../how-it-went'
import { entriesOf, isOver, openSteps, type Run, type RunStep, runOf } from '.'

const NOW = Date.UTC(2026, 10, 27, 9) / 1000
const iso = (at_s: number) => new Date(Math.round(at_s * 1000)).toISOString()
let count = 0
const entry = (kind: CookEntry['kind'], at_s: number, more: Partial<CookEntry> = {}) =>
  cookEntry.parse({ id: `entry-${String(count++).padStart(5, '0')}`, kind, at: iso(at_s), item: 'roast', ...more })

const cookOf = (plan: Partial<PlanDocumentInput>): CookDocument => {
  const document = planDocument.parse({
    roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
    promise: '2026-11-27T19:00:00Z',
    ...plan,
  })
  const made = cookFromPlan(document, NOW, 1)
  if (!made.ok) throw new Error('no cook')
  return made.value
}
const mealCook = (): CookDocument => {
  const meal = fridayEvening('2026-11-27T18:00:00Z')
  const made = makeMeal(meal, undefined, 0)
  const cook = made.ok ? cookFromMeal(meal, made.value, NOW, 1) : made
  if (!cook.ok) throw new Error('no cook')
  return cook.value
}
const statesOf = (document: CookDocument, entries: readonly CookEntry[]) => {
  const log = foldLog(document, entries)
  return document.items.map(({ id, promise }) => ({
    id,
    state: log.items.get(id)?.state ?? ('waiting' as const),
    promise_s: Date.parse(promise) / 1000,
  }))
}
const find = (run: Run, kind: string): RunStep => {
  const found = run.steps.find(({ step }) => step.kind === kind)
  if (!found) throw new Error(`no step ${kind}`)
  return found
}
const at = (document: CookDocument, kind: string) =>
  Date.parse(document.steps.find((step) => step.kind === kind)?.at ?? '') / 1000

/** Does every step when it is due, and answers what was offered. */
function cooked(
  document: CookDocument,
  told: readonly CookEntry[] = [],
): { readonly offered: string[]; readonly entries: CookEntry[] } {
  const entries: CookEntry[] = [...told]
  const offered: string[] = []
  let now_s = NOW
  for (let turn = 0; turn < 600; turn++) {
    const next = openSteps(runOf(document, entries, now_s))[0]
    if (!next) break
    now_s = Math.max(now_s + 1, next.at_s)
    offered.push(next.step.kind)
    for (const part of entriesOf(next.step, statesOf(document, entries), 50))
      entries.push(entry(part.kind, now_s, { item: null, ...part }))
  }
  return { offered, entries }
}

describe('the board’s steps are the plan’s', () => {
  it('before anything is done they are the very minutes of the plan', () => {
    const document = cookOf({ program: { school: 'reverse-sear' } })
    const plan = makePlan(
      planDocument.parse({
        roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
        promise: '2026-11-27T19:00:00Z',
        program: { school: 'reverse-sear' },
      }),
      NOW,
    )
    if (!plan.ok) throw new Error('no plan')
    const run = runOf(document, [], NOW)
    expect(run.steps.map(({ step, at_s }) => [step.kind, Math.round(at_s / 60)])).toEqual(
      plan.value.plan.tasks.map((task) => [task.kind, Math.round(task.at / 60)]),
    )
  })

  it.each([
    [
      'a reverse sear: heating, in, pull, rest, hot again, finish, carve',
      { program: { school: 'reverse-sear' } },
      ['heat_up', 'put_in', 'pull', 'rest', 'heat_up', 'finish', 'carve', 'serve'],
    ],
    [
      'a bird turned once',
      { roast: { cut: 'turkey', mass_kg: 5 }, program: { school: 'bird-turned' } },
      ['put_in', 'tend', 'pull', 'rest', 'carve', 'serve'],
    ],
    ['the oven off', { program: { school: 'oven-off' } }, ['put_in', 'change', 'carve', 'serve']],
    [
      'over a fire',
      { roast: { cut: 'lamb-leg-butterflied', mass_kg: 2 }, program: { school: 'two-zone-fire' } },
      ['heat_up', 'put_in', 'pull', 'carve', 'serve'],
    ],
    ['a hot start', { program: { school: 'hot-start' } }, ['put_in', 'change', 'pull', 'rest', 'carve', 'serve']],
  ] as const)('%s: each is offered once, in its order, and then it is over', (_, plan, wanted) => {
    const document = cookOf(plan as Partial<PlanDocumentInput>)
    const { offered, entries } = cooked(document)
    const asked = offered.filter((kind) => (wanted as readonly string[]).includes(kind))
    let place = 0
    for (const kind of offered) if (kind === wanted[place]) place++
    expect(asked.length).toBeGreaterThanOrEqual(wanted.length)
    expect(wanted.slice(place)).toEqual([])
    expect(isOver(document, entries, NOW + 86_400)).toBe(true)
  })

  const told = (text: string) => entry('ending', NOW + 60, { text })
  const timesOf = (document: CookDocument, entries: CookEntry[], now_s = NOW + 120) => {
    const run = runOf(document, entries, now_s)
    const step = (kind: string) => run.steps.findLast((each) => each.step.kind === kind)
    return { step, plate_s: run.items[0]?.plate_s ?? Number.NaN }
  }
  /** Out an hour late. */
  const lateOut = (document: CookDocument) => {
    const out_s = at(document, 'pull') + 3600
    return { out_s, log: [entry('in', at(document, 'put_in')), entry('out', out_s)] }
  }

  it('a rest of ten minutes, decided, brings knife and table forward where it is out late', () => {
    const document = cookOf({})
    const { out_s, log } = lateOut(document)
    const before = timesOf(document, log, out_s + 30)
    const after = timesOf(document, [...log, told('short_rest')], out_s + 30)
    expect(after.plate_s).toBeLessThan(before.plate_s - 120)
    expect((after.step('carve')?.at_s ?? 0) - out_s).toBeCloseTo(600, -1)
    expect(after.plate_s).toBeGreaterThan(after.step('carve')?.at_s ?? 0)
  })

  it('a hot finish that is left out is waited for no longer', () => {
    const document = cookOf({ program: { school: 'reverse-sear' } })
    const finish = document.steps.find(({ kind }) => kind === 'finish')
    const { out_s, log } = lateOut(document)
    const before = timesOf(document, log, out_s + 30)
    const after = timesOf(document, [...log, entry('skipped', out_s, { of: finish?.id ?? '' })], out_s + 30)
    expect(before.plate_s - after.plate_s).toBeGreaterThan(300)
    expect(after.step('finish')?.state).toBe('skipped')
    expect(after.step('carve')?.at_s ?? 0).toBeLessThan((before.step('carve')?.at_s ?? 0) - 300)
  })

  it('a finish in the pan is a step in the pan, five minutes before the knife, and the pan is heated for it', () => {
    const document = cookOf({ program: { school: 'reverse-sear' } })
    const { step } = timesOf(document, [told('pan_finish')])
    expect(step('finish')?.step.stage?.environment).toEqual({ kind: 'pan', set_c: 230 })
    expect((step('carve')?.at_s ?? 0) - (step('finish')?.at_s ?? 0)).toBeCloseTo(300, -1)
    expect(step('heat_up')?.step.stage?.environment.kind).toBe('pan')
    expect((step('finish')?.at_s ?? 0) - (step('heat_up')?.at_s ?? 0)).toBeCloseTo(600, -1)
    expect(step('heat_up')?.at_s).toBeGreaterThan(at(document, 'pull'))
  })

  it('held, it goes into the cabinet after its rest, and on its table when that was promised', () => {
    const document = cookOf({})
    const pull_s = at(document, 'pull') - 3600
    const log = [entry('in', at(document, 'put_in')), told('hold'), entry('out', pull_s)]
    const { step, plate_s } = timesOf(document, log, pull_s + 600)
    expect(step('rest')?.step.stage?.environment.kind).toBe('cabinet')
    expect(step('rest')?.state).toBe('open')
    expect(step('rest')?.at_s).toBeGreaterThan(pull_s + 300)
    expect(step('rest')?.at_s).toBeLessThan(step('carve')?.at_s ?? 0)
    expect(plate_s * 1000).toBe(Date.parse(document.items[0]?.promise ?? ''))
    const { offered } = cooked(document, [told('hold')])
    expect(offered.filter((kind) => kind === 'rest')).toHaveLength(2)
    expect(isOver(document, cooked(document, [told('hold')]).entries, NOW + 86_400)).toBe(true)
  })

  it('an oven is not turned up over a roast that was to be out of it and is not yet', () => {
    const document = mealCook()
    const roast = document.items.find(({ pull }) => pull !== null)
    const side = document.sides[0]
    if (!roast?.pull || !side) throw new Error('no roast or side')
    const pull_s = Date.parse(roast.pull) / 1000
    const source = { id: 'its-oven', name: roast.oven_name, kind: 'oven' }
    const pattern = document.steps.find(({ kind }) => kind === 'put_in')
    if (!pattern) throw new Error('no step')
    const step = (id: string, kind: 'heat_up' | 'put_in', at_s: number, item: string | null) => ({
      ...pattern,
      id,
      kind,
      at: iso(at_s),
      item,
      source,
      set_c: 190,
    })
    const told: CookDocument = {
      ...document,
      steps: [
        ...document.steps.filter(({ source: own }) => own?.name !== roast.oven_name),
        step('turn-up', 'heat_up', pull_s + 300, null),
        step('side-in', 'put_in', pull_s + 1200, side.id),
      ],
    }
    const turnedUp = (more: readonly CookEntry[]) =>
      runOf(told, more, pull_s - 600).steps.find(({ step: { id } }) => id === 'turn-up')?.at_s
    const inside = entry('in', Date.parse(roast.put_in) / 1000, { item: roast.id })
    const late = entry('arrival', pull_s - 700, {
      item: roast.id,
      text: arrivalText(0, { p10: pull_s + 600, p50: pull_s + 900, p90: pull_s + 1500 }),
    })
    expect(turnedUp([inside])).toBeCloseTo(pull_s + 300, 0)
    expect(turnedUp([inside, late])).toBeCloseTo(pull_s + 900, 0)
  })

  it('a meal is over with the last potato, not with the last roast', () => {
    const document = mealCook()
    expect(document.sides.length).toBeGreaterThan(0)
    const { offered, entries } = cooked(document)
    for (const kind of ['put_in', 'take_off', 'dish', 'gravy', 'carve', 'serve']) expect(offered).toContain(kind)
    expect(isOver(document, entries, NOW + 86_400)).toBe(true)
    const roastsOnly = document.items.map(({ id }) => entry('served', NOW + 36_000, { item: id }))
    expect(isOver(document, roastsOnly, NOW + 86_400)).toBe(false)
  })
})

describe('times are those of the plan as it now stands', () => {
  const document = cookOf({ program: { school: 'reverse-sear' } })
  const in_s = at(document, 'put_in')
  const pull_s = at(document, 'pull')

  it('in later, all before the pull is later; the plate is not, while the rest gives way', () => {
    const run = runOf(document, [entry('in', in_s + 600)], in_s + 900)
    expect(find(run, 'pull').at_s).toBeCloseTo(pull_s + 600, 0)
    expect(find(run, 'serve').at_s).toBe(at(document, 'serve'))
    expect(find(run, 'finish').at_s).toBeCloseTo(at(document, 'finish'), 0)
  })

  it('a pull foreseen so late that the least rest does not fit moves finish, knife and plate by the same', () => {
    const late_s = 3 * 3600
    const text = arrivalText(0, { p10: pull_s + late_s - 600, p50: pull_s + late_s, p90: pull_s + late_s + 600 })
    const run = runOf(document, [entry('in', in_s), entry('arrival', in_s + 1200, { text })], in_s + 1300)
    const moved = find(run, 'serve').at_s - at(document, 'serve')
    expect(moved).toBeGreaterThan(3600)
    for (const kind of ['finish', 'carve']) expect(find(run, kind).at_s - at(document, kind)).toBeCloseTo(moved, 0)
    expect(find(run, 'pull').window?.from_s).toBeCloseTo(pull_s + late_s - 600, 0)
  })

  it('what should have begun and has not moves what follows, minute by minute', () => {
    const run = runOf(document, [], in_s + 7200)
    expect(find(run, 'put_in').at_s).toBeCloseTo(in_s, 0)
    expect(find(run, 'serve').at_s).toBeGreaterThan(at(document, 'serve'))
  })

  it('a step is ticked, left out, moved and taken back', () => {
    const heat = document.steps.find(({ kind }) => kind === 'heat_up')
    const of = heat?.id ?? ''
    const shift = entry('shifted', in_s - 3000, { of, text: iso(in_s - 60) })
    expect(find(runOf(document, [shift], in_s - 2000), 'heat_up')).toMatchObject({ state: 'open', at_s: in_s - 60 })
    const skip = entry('skipped', in_s - 2500, { of })
    expect(find(runOf(document, [shift, skip], in_s - 2000), 'heat_up').state).toBe('skipped')
    const back = entry('undo', in_s - 2400, { of: skip.id })
    const done = entry('done', in_s - 2300, { of })
    expect(find(runOf(document, [shift, skip, back, done], in_s - 2000), 'heat_up')).toMatchObject({
      state: 'done',
      at_s: in_s - 2300,
    })
  })

  it('put back in, and nothing foreseen yet, its pull lies ahead and not where its plan had it', () => {
    const document = cookOf({})
    const pull_s = at(document, 'pull')
    const entries = [entry('in', at(document, 'put_in')), entry('out', pull_s, { value_c: 50 })]
    for (const back_min of [1, 20, 90]) {
      const back_s = pull_s + back_min * 60
      const pull = find(runOf(document, [...entries, entry('in', back_s)], back_s), 'pull')
      expect(pull.state).toBe('open')
      expect(pull.at_s).toBeGreaterThan(back_s)
      expect(pull.at_s).toBeLessThanOrEqual(back_s + 1800)
    }
  })

  it('taken out by mistake and back in, its pull is to be done again, and its milestones after that', () => {
    const pull = document.steps.find(({ kind }) => kind === 'pull')?.id ?? ''
    const out = [entry('in', in_s), entry('out', pull_s - 600, { of: pull })]
    expect(find(runOf(document, out, pull_s - 500), 'pull').state).toBe('done')
    const back = [...out, entry('in', pull_s - 300)]
    expect(find(runOf(document, back, pull_s - 200), 'pull').state).toBe('open')
    expect(find(runOf(document, back, pull_s - 200), 'put_in')).toMatchObject({ state: 'done', at_s: in_s })
    const again = [...back, entry('out', pull_s + 900, { of: pull })]
    expect(find(runOf(document, again, pull_s + 1000), 'pull')).toMatchObject({ state: 'done' })
  })

  it('given up it asks for nothing more, and the cook is over', () => {
    const entries = [entry('in', in_s), entry('given_up', in_s + 600, { text: 'dropped' })]
    expect(openSteps(runOf(document, entries, in_s + 700)).map(({ step }) => step.kind)).toEqual([])
    expect(isOver(document, entries, in_s + 700)).toBe(true)
  })

  it('a side that went in late comes out late by as much', () => {
    const meal = mealCook()
    const side = meal.sides[0]?.id ?? ''
    const own = meal.steps.filter(({ item }) => item === side)
    const begins = own.find(({ kind }) => kind === 'put_in')
    const ends = own.find(({ kind, at }) => kind === 'take_off' && at > (begins?.at ?? ''))
    const late = entry('done', Date.parse(begins?.at ?? '') / 1000 + 420, { of: begins?.id ?? '', item: side })
    const run = runOf(meal, [late], Date.parse(begins?.at ?? '') / 1000 + 500)
    const out = run.steps.find(({ step }) => step.id === ends?.id)
    expect((out?.at_s ?? 0) - (out?.planned_s ?? 0)).toBe(420)
  })

  it('a side that is still in is dished up after it came out, and its table waits for it', () => {
    const meal = mealCook()
    const side = meal.sides[0]
    const own = meal.steps.filter(({ item }) => item === side?.id)
    const begins = own.findLast(({ kind }) => kind === 'put_in')
    const dish = own.find(({ kind }) => kind === 'dish')
    const hour_s = 3600
    const in_s = Date.parse(begins?.at ?? '') / 1000 + hour_s
    const run = runOf(meal, [entry('done', in_s, { of: begins?.id ?? '', item: side?.id ?? '' })], in_s + 60)
    const at_s = (id: string | undefined) => run.steps.find(({ step }) => step.id === id)?.at_s ?? Number.NaN
    const off = own.findLast(({ kind }) => kind === 'take_off')
    expect(at_s(dish?.id)).toBeGreaterThanOrEqual(at_s(off?.id))
    const table = run.steps.find(({ step }) => step.kind === 'serve' && step.at === side?.promise)
    expect(table?.at_s).toBeGreaterThanOrEqual(at_s(dish?.id))
    expect(table?.at_s).toBeGreaterThan(Date.parse(side?.promise ?? '') / 1000)
  })

  it('what is done to a roast in its hot finish is offered while that lasts', () => {
    const document = cookOf({
      roast: { cut: 'lamb-leg-butterflied', mass_kg: 2 },
      program: { school: 'two-zone-fire' },
    })
    const { offered } = cooked(document)
    const finish = offered.indexOf('finish')
    expect(finish).toBeGreaterThan(0)
    expect(offered.slice(finish)).toEqual(['finish', 'tend', 'carve', 'serve'])
  })
})

describe('a stuffing has one truth', () => {
  it('spooned into a dish it is a task of its own, to a reading of its own, and the bird waits for it no longer', () => {
    const document = cookOf({
      roast: { cut: 'turkey', mass_kg: 6, stuffed: true },
      program: { school: 'steady', set_c: 165 },
    })
    const in_s = at(document, 'put_in')
    const log = [entry('in', in_s), entry('spooned', in_s + 9000)]
    const [bird] = boardOf(document, log, [], in_s + 9100)
    expect(document.items[0]?.points).toContain('stuffing')
    expect(bird?.item.points).not.toContain('stuffing')
    const own = openSteps(runOf(document, log, in_s + 9100)).filter(({ step }) => step.what !== null)
    expect(own.map(({ step }) => [step.kind, step.pull_c])).toEqual([
      ['put_in', null],
      ['pull', STANDARDS.stuffingLeast.value],
    ])
    const served = [...log, entry('out', in_s + 12_000), entry('carve', in_s + 13_000), entry('served', in_s + 14_000)]
    expect(isOver(document, served, in_s + 14_001)).toBe(false)
    const dish = own.map(({ step: { id } }) => entry('done', in_s + 11_000, { of: id, item: null }))
    const rest = openSteps(runOf(document, [...served, ...dish], in_s + 14_001))
    expect(rest.map(({ step }) => step.what)).not.toContain('Stuffing of Turkey')
  })
})

describe('what is kept of it', () => {
  it('says planned and actual, the peak that was read, and each arrival as it was foreseen', () => {
    const document = cookOf({ program: { school: 'steady', set_c: 140 } })
    const in_s = at(document, 'put_in')
    const text = arrivalText(0, { p10: in_s + 8000, p50: in_s + 9000, p90: in_s + 10_000 })
    const log = [
      entry('in', in_s + 300),
      entry('arrival', in_s + 2000, { text }),
      entry('reading', in_s + 9000, { value_c: 48, point: 'core' }),
      entry('out', in_s + 9060),
      entry('reading', in_s + 9900, { value_c: 54.5, point: 'core' }),
      entry('carve', in_s + 11_000),
      entry('served', in_s + 11_600),
    ]
    const [board] = boardOf(document, log, [], in_s + 12_000)
    if (!board) throw new Error('no board')
    const went = howItWent(board, log)
    expect(went.rows.map(({ what, actual_s }) => [what, Math.round((actual_s ?? 0) - in_s)])).toEqual([
      ['in', 300],
      ['out', 9060],
      ['carve', 11_000],
      ['plate', 11_600],
    ])
    expect(went.pull.actual_c).toBe(48)
    expect(went.peak).toEqual({ planned_c: 55, actual_c: 54.5 })
    expect(went.foreseen).toEqual([expect.objectContaining({ p50: expect.closeTo(in_s + 9000, 0) })])
  })
})

describe('whatever is entered, in whatever order', () => {
  it('every step has a time, none that is open lies before what it waits for, and the same log is the same run', () => {
    const random = seededRandom(2711)
    const documents = [cookOf({ program: { school: 'reverse-sear' } }), mealCook(), { ...cookOf({}), steps: [] }]
    const began = performance.now()
    for (let round = 0; round < 400; round++) {
      const document = documents[round % documents.length] as CookDocument
      const items = [...document.items, ...document.sides].map(({ id }) => id)
      const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
      const entries = Array.from({ length: Math.floor(random() * 14) }, () => {
        const kind = pick(ENTRY_KINDS.filter((each) => each !== 'undo' && each !== 'ate'))
        const said = [iso(NOW + random() * 40_000), 'x', arrivalText(0, { p10: NOW, p50: NOW + 60, p90: NOW + 120 })]
        return entry(kind, NOW + random() * 40_000, {
          item: pick(items),
          of: random() < 0.5 ? pick(['pull 1', ...document.steps.map(({ id }) => id)]) : 'nothing',
          value_c: 40,
          point: 'core',
          device: 'd',
          channel: 0,
          text: pick(kind === 'ending' ? ENDINGS : said),
        })
      })
      const now_s = NOW + random() * 45_000
      const run = runOf(document, entries, now_s)
      expect(run.steps.every(({ at_s }) => Number.isFinite(at_s))).toBe(true)
      expect(runOf(document, [...entries].reverse(), now_s)).toEqual(run)
      expect(run.items.every(({ plate_s }) => Number.isFinite(plate_s))).toBe(true)
      const open = openSteps(run)
      expect(open.map(({ at_s }) => at_s)).toEqual(open.map(({ at_s }) => at_s).sort((a, b) => a - b))
    }
    expect(performance.now() - began).toBeLessThan(20_000)
  })
})
