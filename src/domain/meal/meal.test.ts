import { describe, expect, it } from 'vitest'
import { buyFor, coldWaterThawSeconds, thawSeconds } from '@/core/portions/buy'
import { gravyFor } from '@/core/portions/gravy'
import { findCut } from '@/core/reference/cuts'
import { fridayEvening, reunion, TERN_POINT_KITCHEN } from '@/stand-ins/demo/meals'
import { readLine } from '../line/reading'
import { parseWith } from '../problem/parse'
import { changesFor } from './changes'
import { mealFromLine } from './from-line'
import { mealFromWords, mealWordsOf, USUAL_SIDES } from './from-words'
import { makeMeal, placedOf } from './make-meal'
import { type MealDocument, type MealDocumentInput, mealDocument } from './meal-document'
import { PLAIN_KITCHEN, resolveMeal, sourcesOf } from './meal-problem'

const AT = '2026-12-25T19:00:00Z'
const NOW = Date.UTC(2026, 11, 20, 9) / 1000
const meal = (change: Partial<MealDocumentInput> = {}): MealDocument =>
  mealDocument.parse({
    title: 'Supper',
    kitchen: { ...PLAIN_KITCHEN, cooks: ['A', 'B'] },
    guests: 6,
    servings: [{ id: 's', title: 'Supper', at: AT }],
    roasts: [
      {
        id: 'rib',
        title: 'Rib',
        serving: 's',
        heads: 6,
        price_per_kg: 20,
        roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7, temper_min: 30 },
        program: { school: 'steady', set_c: 140 },
      },
    ],
    sides: [{ ...(USUAL_SIDES[0] as (typeof USUAL_SIDES)[number]), id: 'potatoes', serving: 's' }],
    ...change,
  })
const plan = (document: MealDocument) => {
  const made = makeMeal(document, undefined, 0)
  if (!made.ok) throw new Error(JSON.stringify(made.problems))
  return made.value
}
const seconds = (iso: string) => Date.parse(iso) / 1000

describe('a meal said in words', () => {
  const read = (line: string) => {
    const reading = readLine(line, { now_s: NOW, timeZone: 'UTC' })
    return reading.ok ? mealWordsOf(reading.value) : reading
  }

  it('takes how many and when, in any order and with the little words', () => {
    for (const line of ['38 people on Saturday at 19:30', 'saturday 19:30, 38 guests', '38 covers saturday 7:30pm'])
      expect(read(line)).toMatchObject({ ok: true, value: { guests: 38, at_s: seconds('2026-12-26T19:30:00Z') } })
  })

  it('is read as any other line: hours, days and who is at the table', () => {
    expect(read('dinner for 12 the day after tomorrow at 7 p.m., one pregnant, sprouts')).toMatchObject({
      ok: true,
      value: {
        guests: 12,
        at_s: seconds('2026-12-22T19:00:00Z'),
        vulnerable: true,
        sides: [{ title: 'Roast sprouts' }],
      },
    })
    const words = read('dinner for 12 the day after tomorrow at 7 p.m., one pregnant, sprouts')
    const made = words.ok ? mealFromWords(words.value, PLAIN_KITCHEN) : undefined
    expect(made).toMatchObject({ vulnerable: true, sides: [{ title: 'Roast sprouts' }] })
  })

  it('says what is missing, and points at what it does not know', () => {
    expect(read('saturday 19:30')).toMatchObject({
      ok: false,
      problems: [{ code: 'missing_guests' }],
    })
    expect(read('12 people')).toMatchObject({ ok: false, problems: [{ code: 'missing_time' }] })
    expect(read('12 people saturday 19:30 purple')).toMatchObject({
      ok: false,
      problems: [{ code: 'only_guests_and_time', words: 'purple' }],
    })
  })

  it('becomes a meal that can be planned: enough meat, potatoes and roots', () => {
    const made = mealFromWords({ guests: 24, at_s: seconds(AT) }, PLAIN_KITCHEN)
    const mass = made.roasts.reduce((sum, roast) => sum + roast.roast.mass_kg, 0)
    expect(mass).toBeGreaterThanOrEqual(24 * 0.45 - 0.1)
    expect(made.sides.map(({ title }) => title)).toEqual(['Roast potatoes', 'Roast roots'])
    expect(plan(made).items.length + plan(made).dropped.length).toBe(made.roasts.length + made.sides.length)
  })
})

describe('what to buy', () => {
  it('by heads, rounded up, in no more pieces than the cut comes in', () => {
    const rib = findCut('beef-rib-bone-in') as NonNullable<ReturnType<typeof findCut>>
    expect(buyFor(rib, 6, 20)).toEqual({ mass_kg: 2.7, pieces: 1, price: 54, pricePerHead: 9 })
    expect(buyFor(rib, 40, undefined)).toMatchObject({ pieces: 2, price: undefined })
  })

  it('thawing and gravy by the usual rules (common practice)', () => {
    expect(thawSeconds(6.6)).toBeCloseTo(3 * 86_400, 3)
    expect(thawSeconds(1)).toBe(86_400)
    expect(coldWaterThawSeconds(3)).toBe(3 * 3600)
    const gravy = gravyFor(12, true)
    expect(gravy.stock_l).toBeCloseTo(0.96, 2)
    expect(gravy.flour_g / gravy.stock_l).toBeCloseTo(33.3, 0)
    expect(gravy.salty).toBe(true)
  })
})

describe('a meal on the clock', () => {
  it('everything is ready by its serving, rested within its range, at heats that agree', () => {
    const made = plan(meal())
    expect(made.faults).toEqual([])
    expect(made.dropped).toEqual([])
    for (const item of made.items) {
      expect(item.done_s).toBeLessThanOrEqual(seconds(AT))
      expect(item.done_s).toBeGreaterThanOrEqual(seconds(AT) - 1200)
    }
    const rib = made.items.find(({ id }) => id === 'rib')
    const stay = rib?.stays[0]
    expect((rib?.dish_s ?? 0) - (stay?.to_s ?? 0)).toBeGreaterThanOrEqual(20 * 60 - 1)
    expect(rib?.pull_c).toBeLessThan(55)
  })

  it('has tasks in order from the days before to the table, each with hands that exist', () => {
    const { tasks } = plan(meal())
    expect(tasks.map(({ at }) => at)).toEqual([...tasks.map(({ at }) => at)].sort((a, b) => a - b))
    expect(tasks.at(-1)).toMatchObject({ kind: 'serve', at: seconds(AT) })
    const kinds = new Set(tasks.map(({ kind }) => kind))
    for (const kind of [
      'buy',
      'salt',
      'take_out',
      'heat_up',
      'put_in',
      'pull',
      'rest',
      'carve',
      'dish',
      'gravy',
      'serve',
    ] as const)
      expect(kinds).toContain(kind)
    for (const { cook } of tasks) if (cook !== undefined) expect([0, 1]).toContain(cook)
  })

  it('nobody salts a roast in the middle of the night; acid waits for no bed', () => {
    const night = (preparation: 'wet_brine' | 'acid_marinade' | 'marinade') => {
      const document = meal({ servings: [{ id: 's', title: 'Lunch', at: '2026-12-25T12:00:00Z' }] })
      const made = plan({ ...document, roasts: document.roasts.map((roast) => ({ ...roast, preparation })) })
      return made.tasks.find(({ kind }) => kind === 'brine' || kind === 'marinate')
    }
    for (const preparation of ['wet_brine', 'marinade'] as const) {
      const hour = new Date((night(preparation)?.at ?? 0) * 1000).getUTCHours()
      expect(hour >= 0 && hour < 16).toBe(hour <= 15 && hour >= 0)
      const after = ((night(preparation)?.at ?? 0) - seconds('2026-12-25T12:00:00Z') + 10 * 86_400) % 86_400
      expect(after <= 4 * 3600 || after >= 12 * 3600).toBe(true)
    }
    const rib = plan(meal()).items.find(({ id }) => id === 'rib')
    expect(rib?.start_s).toBeGreaterThan(night('acid_marinade')?.at ?? 0)
  })

  it('a frozen roast thaws on the days before, a brined one makes the gravy salty', () => {
    const document = meal()
    const made = plan({
      ...document,
      roasts: document.roasts.map((roast) => ({ ...roast, frozen: true, preparation: 'wet_brine' as const })),
    })
    const thaw = made.tasks.find(({ kind }) => kind === 'thaw')
    const brine = made.tasks.find(({ kind }) => kind === 'brine')
    expect((brine?.at ?? 0) - (thaw?.at ?? 0)).toBeGreaterThan(86_400)
    expect(made.gravy?.salty).toBe(true)
  })

  it('an owner keeps his item; a pin keeps its oven and minute', () => {
    const document = meal()
    const owned = plan({ ...document, roasts: document.roasts.map((roast) => ({ ...roast, owner: 'B' })) })
    const mine = owned.tasks.filter(({ item, cook }) => item === 0 && cook !== undefined)
    expect(mine.every(({ cook }) => cook === 1)).toBe(true)
    const start = owned.items.find(({ id }) => id === 'rib')?.start_s ?? 0
    const pinned = { start: new Date((start - 600) * 1000).toISOString(), oven: 'oven' }
    const held = plan({ ...document, roasts: document.roasts.map((roast) => ({ ...roast, pin: pinned })) })
    expect(held.items.find(({ id }) => id === 'rib')).toMatchObject({ start_s: start - 600, pinned: true })
  })

  it('a schedule that was kept is taken up again, and given up when the meal changes', () => {
    const document = meal()
    const first = plan(document)
    const kept = { ...document, placed: { ...placedOf(first), proved: true, bound: first.cost } }
    const again = plan(kept)
    expect(again.proved).toBe(true)
    expect(again.items.map(({ id, start_s }) => [id, start_s])).toEqual(
      first.items.map(({ id, start_s }) => [id, start_s]),
    )
    const heavier = plan({
      ...kept,
      roasts: kept.roasts.map((roast) => ({ ...roast, roast: { ...roast.roast, mass_kg: 4.5 } })),
    })
    expect(heavier.proved).toBe(false)
  })
})

describe('kitchens', () => {
  it('have only the sources they say', () => {
    expect(sourcesOf(PLAIN_KITCHEN).map(({ kind }) => kind)).toEqual(['oven', 'hob'])
    expect(sourcesOf(mealDocument.parse(meal({ kitchen: TERN_POINT_KITCHEN })).kitchen).map(({ id }) => id)).toEqual([
      'lamp',
      'galley',
      'fire',
      'hob',
      'cabinet',
    ])
  })

  it('a school that needs what the kitchen lacks is said at the roast', () => {
    const document = meal()
    const fire = {
      ...document,
      roasts: document.roasts.map((roast) => ({ ...roast, program: { school: 'two-zone-fire' } })),
    }
    expect(resolveMeal(fire)).toMatchObject({ ok: false, problems: [{ path: ['roasts', 0, 'program'] }] })
  })

  it('a fan oven cooks the same roast sooner than a still one', () => {
    const resolved = resolveMeal(meal({ kitchen: TERN_POINT_KITCHEN, sides: [] }))
    if (!resolved.ok) throw new Error('unresolved')
    const [lamp, galley] = resolved.value.roasts[0]?.cooked ?? []
    const minutes = (cooked: typeof lamp) => cooked?.stays[0]?.phases[0]?.duration_s ?? 0
    expect(minutes(lamp)).toBeLessThan(minutes(galley))
  })

  it('the demo’s two meals find a place for everything', () => {
    for (const document of [reunion('2026-11-28T19:30:00Z'), fridayEvening('2026-11-27T18:00:00Z')]) {
      const made = plan(document)
      expect(made.faults).toEqual([])
      expect(made.dropped.length).toBeLessThanOrEqual(1)
    }
  })
})

describe('bad documents', () => {
  const problems = (change: object) => {
    const outcome = parseWith(mealDocument, { ...JSON.parse(JSON.stringify(meal())), ...change })
    return outcome.ok ? [] : outcome.problems.map((problem) => ('path' in problem ? problem.path.join('.') : ''))
  }

  it('are refused at the field: strangers, twins, impossible ranges', () => {
    expect(problems({})).toEqual([])
    expect(problems({ servings: [] })).toContain('servings')
    expect(problems({ guests: 0 })).toEqual(['guests'])
    const [roast] = meal().roasts
    const [side] = meal().sides
    expect(problems({ roasts: [roast, roast] })).toContain('roasts.1.id')
    expect(problems({ roasts: [{ ...roast, serving: 'elsewhere' }] })).toContain('roasts.0.serving')
    expect(problems({ roasts: [{ ...roast, pin: { oven: 'none', start: null } }] })).toContain('roasts.0.pin.oven')
    expect(problems({ sides: [{ ...side, low_c: 230 }] })).toContain('sides.0.set_c')
  })

  it('what it does not say takes its usual value, and a round trip changes nothing', () => {
    const document = meal()
    expect(mealDocument.parse(JSON.parse(JSON.stringify(document)))).toEqual(document)
    expect(document.roasts[0]).toMatchObject({
      preparation: 'dry_salt',
      frozen: false,
      pin: { oven: null, start: null },
    })
  })
})

describe('when it cannot be', () => {
  const crowded = () => {
    const document = meal()
    const [rib] = document.roasts
    if (!rib) throw new Error('no rib')
    return {
      ...document,
      roasts: [
        rib,
        {
          ...rib,
          id: 'bird',
          title: 'Bird',
          roast: { ...rib.roast, cut: 'chicken', mass_kg: 1.7 },
          program: { school: 'steady', set_c: 200 },
        },
      ],
    }
  }

  it('the clash names who is in the way, and each change that is offered was tried and helps', () => {
    const document = crowded()
    const made = plan(document)
    expect(made.dropped.length).toBeGreaterThan(0)
    const [dropped] = made.dropped
    expect(['crowded', 'hands']).toContain(dropped?.clash.code)
    const ids = [...new Set(made.dropped.flatMap(({ id, against }) => [id, ...against]))]
    const changes = changesFor(document, ids, made.dropped.length)
    expect(changes.length).toBeGreaterThan(0)
    for (const { document: changed, dropped: left } of changes) {
      expect(left).toBeLessThan(made.dropped.length)
      expect(plan(changed).dropped.length).toBeLessThanOrEqual(made.dropped.length)
    }
  })

  it('one oven and two usual heats: the bird’s is offered to the loin, though nobody said either; the loin’s is too slow for a bird', () => {
    const document = crowded()
    const [oven] = document.kitchen.ovens
    const usual = {
      ...document,
      kitchen: { ...document.kitchen, ovens: oven ? [{ ...oven, places: 2 }] : [] },
      sides: [],
      roasts: document.roasts.map((roast, i) => ({
        ...roast,
        roast: { ...roast.roast, cut: ['pork-loin', 'chicken'][i] as string, mass_kg: 1.8 },
        target: undefined,
        program: { school: 'steady' },
      })),
    }
    const made = plan(mealDocument.parse(JSON.parse(JSON.stringify(usual))))
    expect(made.dropped).toHaveLength(1)
    const ids = [...new Set(made.dropped.flatMap(({ id, against }) => [id, ...against]))]
    const found = changesFor(mealDocument.parse(JSON.parse(JSON.stringify(usual))), ids, 1)
    const heats = found.filter(({ change, dropped }) => change.code === 'oven_setting' && dropped === 0)
    expect(heats.map(({ change }) => change)).toMatchObject([{ id: usual.roasts[0]?.id, set_c: 165 }])
  })

  it.each([
    ['8 poussins 600 g, 220, 19:00', 8],
    ['12 quails 180 g, 19:00', 12],
    ['6 lamb shanks 450 g, 160 covered for 2.5 hours, 19:00', 6],
    ['4 pork tenderloins 500 g, rosy, 19:00', 4],
  ])('%s: small pieces share a tray, and go in and come out with it', (line, count) => {
    const read = readLine(line, { now_s: Date.UTC(2026, 10, 24, 9) / 1000, timeZone: 'UTC' })
    if (!read.ok) throw new Error(line)
    const made = plan(mealFromLine(read.value, Date.UTC(2026, 10, 24, 9) / 1000, PLAIN_KITCHEN))
    expect([made.items.length, made.dropped, made.faults]).toEqual([count, [], []])
    expect(new Set(made.items.map(({ start_s }) => start_s)).size).toBe(1)
    const taken = made.items.reduce((sum, { stays }) => sum + (stays[0]?.places ?? Number.NaN), 0)
    expect(taken).toBeLessThanOrEqual(PLAIN_KITCHEN.ovens[0]?.places ?? 0)
  })

  it('a tray that is full is full: nine quarters of a place are more than two', () => {
    const read = readLine('9 poussins 600 g, 220, 19:00', { now_s: Date.UTC(2026, 10, 24, 9) / 1000, timeZone: 'UTC' })
    const [oven] = PLAIN_KITCHEN.ovens
    if (!read.ok || !oven) throw new Error('no oven')
    const kitchen = { ...PLAIN_KITCHEN, ovens: [{ ...oven, places: 2 }] }
    const made = plan(mealFromLine(read.value, Date.UTC(2026, 10, 24, 9) / 1000, kitchen))
    expect(made.faults).toEqual([])
    const starts = made.items.map(({ start_s }) => start_s)
    expect(starts.filter((at) => at === Math.max(...starts)).length).toBeLessThanOrEqual(8)
  })

  it('what asks least is offered first, and no bird is sent into an oven too slow for it', () => {
    const document = crowded()
    const of = (id: string, cut: string, mass_kg: number, program: MealDocument['roasts'][number]['program']) => ({
      ...(document.roasts[0] as MealDocument['roasts'][number]),
      id,
      title: id,
      roast: { ...(document.roasts[0] as MealDocument['roasts'][number]).roast, cut, mass_kg },
      program,
    })
    const oven = document.kitchen.ovens[0] as MealDocument['kitchen']['ovens'][number]
    const three = mealDocument.parse({
      ...document,
      kitchen: { ...document.kitchen, ovens: ['left', 'right'].map((id) => ({ ...oven, id, name: id, places: 3 })) },
      sides: [],
      roasts: [
        of('bird', 'turkey', 4, { school: 'steady', set_c: 165 }),
        of('eye', 'beef-eye-of-round', 2, { school: 'reverse-sear' }),
        of('rib', 'beef-rib-bone-in', 2.4, { school: 'steady', set_c: 160 }),
      ],
    })
    const made = plan(three)
    expect(made.dropped).toHaveLength(1)
    const ids = [...new Set(made.dropped.flatMap(({ id, against }) => [id, ...against]))]
    const found = changesFor(three, ids, 1)
    expect(found[0]?.change).toMatchObject({ code: 'oven_setting' })
    expect(found[0]?.change).toSatisfy((change: { set_c: number; id: string }) =>
      change.id === 'rib' ? change.set_c === 165 : change.set_c === 160,
    )
    for (const { change } of found)
      if (change.code === 'oven_setting' && change.id === 'bird') expect(change.set_c).toBeGreaterThan(150)
    for (const code of new Set(found.map(({ change }) => change.code)))
      expect(found.filter(({ change }) => change.code === code).length).toBeLessThanOrEqual(2)
  })

  it('a start before the kitchen opens is no way at all', () => {
    const made = plan(meal({ day_start: '2026-12-25T18:30:00Z' }))
    expect(made.dropped.find(({ id }) => id === 'rib')?.clash.code).toBe('no_way')
  })
})
