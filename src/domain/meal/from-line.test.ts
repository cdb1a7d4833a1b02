import { describe, expect, it } from 'vitest'
import type { HouseItem } from '../house/house-item'
import { readLine } from '../line/reading'
import { goingInAt } from '../plan/from-line'
import { asIfToGoIn, makePlan } from '../plan/make-plan'
import { documentFromLine } from './from-line'
import { makeMeal } from './make-meal'
import { PLAIN_KITCHEN } from './meal-problem'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const stands = (line: string, house: readonly HouseItem[] = []) => {
  const read = readLine(line, { now_s: NOW, timeZone: 'Europe/London', house })
  if (!read.ok) throw new Error(line)
  return documentFromLine(read.value, NOW, { ...PLAIN_KITCHEN, altitude_m: 700 })
}
const mealOf = (line: string) => {
  const found = stands(line)
  if (found?.kind !== 'meal') throw new Error(`${line} is no meal`)
  return found.document
}
const planOf = (line: string, house: readonly HouseItem[] = []) => {
  const found = stands(line, house)
  if (found?.kind !== 'plan') throw new Error(`${line} is no plan`)
  return found.document
}

describe('what a line stands for', () => {
  it('one roast is a plan in this kitchen; several, more of one, or something beside it are a meal', () => {
    expect(planOf('beef rib 3 kg').altitude_m).toBe(700)
    expect(mealOf('two ducks 2.2 kg').roasts.map(({ title }) => title)).toEqual(['Duck 1 of 2', 'Duck 2 of 2'])
    expect(mealOf('duck 2.2 kg with roast potatoes').sides.map(({ title }) => title)).toEqual(['Roast potatoes'])
    expect(stands('eat 19:00')).toBeUndefined()
  })

  it('so many ovens as are said: the first of the kitchen’s, and more like its last, each with a name of its own', () => {
    const namesIn = (words: string, ids: readonly string[]) => {
      const read = readLine(`turkey 5 kg and rib 3 kg, ${words}, eat 27 nov 19:00`, { now_s: NOW, timeZone: 'UTC' })
      if (!read.ok) throw new Error(words)
      const [oven] = PLAIN_KITCHEN.ovens
      if (!oven) throw new Error('no oven')
      const ovens = ids.map((id) => ({ ...oven, id, name: `The ${id}`, places: 2 }))
      const found = documentFromLine(read.value, NOW, { ...PLAIN_KITCHEN, ovens })
      return found?.kind === 'meal' ? found.document.kitchen.ovens.map(({ id, name }) => `${id}: ${name}`) : []
    }
    expect(namesIn('two ovens', ['oven'])).toEqual(['oven: The oven', 'oven-2: Oven 2'])
    expect(namesIn('3 ovens', ['oven-2'])).toEqual(['oven-2: The oven-2', 'oven-3: Oven 2', 'oven-4: Oven 3'])
    expect(namesIn('one oven', ['left', 'right'])).toEqual(['left: The left'])
    expect(namesIn('for 8', ['left', 'right'])).toEqual(['left: The left', 'right: The right'])
  })

  it('roasts alike that change their heat go into one oven together, with one pair of hands', () => {
    for (const line of [
      'two chickens 1.6kg each 220 for 20 min then 180, eat 27 nov 19:00',
      'two turkeys 5kg each hot start eat 27 nov 16:00',
      'two legs of lamb, 2.2kg each, 150 for three hours, 220 last 20 min, eat 27 nov 19:00',
      'two striploins 3kg each reverse seared, eat 27 nov 19:00',
      'two striploins 3kg each 110 to 48, rest 20, 250 for 8 min, eat 27 nov 19:00',
      // Not of one weight: the change of heat falls on the same minute, and the smaller rests longer.
      'a chicken 1.7kg hot start and a chicken 1.5kg hot start, eat 27 nov 19:00',
    ]) {
      const made = makeMeal(mealOf(line), undefined, 0)
      expect(made.ok && made.value.dropped, line).toEqual([])
    }
  })

  it('where not all has room a side is left out, and no roast for it', () => {
    const meal = mealOf('two striploins 3kg each 110 to 48, rest 20, 250 for 8 min, roast potatoes, eat 27 nov 19:00')
    const made = makeMeal(meal, undefined, 0)
    expect(made.ok && made.value.dropped.map(({ id }) => id)).toEqual(meal.sides.map(({ id }) => id))
  })

  it('the height and the oven that a line says are the kitchen’s, where it has one oven', () => {
    expect(planOf('turkey 6 kg at 5000 ft').altitude_m).toBe(1524)
    const { kitchen } = mealOf('two ducks 2.2 kg, oven runs 12 C hot, 1500 m altitude')
    expect(kitchen.altitude_m).toBe(1500)
    expect(kitchen.ovens.map(({ offset_k }) => offset_k)).toEqual([12])
  })

  it('what each weighs is of every roast that has no weight of its own', () => {
    expect(mealOf('beef and lamb 2 kg each').roasts.map(({ roast }) => roast.mass_kg)).toEqual([2, 2])
    expect(mealOf('beef 3 kg, a duck, a chicken, 2 kg each').roasts.map(({ roast }) => roast.mass_kg)).toEqual([
      3, 2, 2,
    ])
  })

  it('every guest is fed by one roast, and none by two', () => {
    const { roasts, guests } = mealOf('11 turkeys 5 kg for 100 people')
    expect(roasts).toHaveLength(11)
    expect(guests).toBe(100)
    expect(roasts.reduce((sum, { heads }) => sum + heads, 0)).toBe(100)
  })

  it('roasts of which no heat was said share one that all bear; what was said stays', () => {
    const heats = (line: string) =>
      mealOf(line).roasts.map(({ program }) => ('set_c' in program ? program.set_c : null))
    expect(heats('turkey 6 kg and a beef rib 3 kg')).toEqual([165, 165])
    expect(heats('turkey 6 kg, fan 150, and a beef rib 3 kg, oven 120')).toEqual([150, 120])
  })

  it('stages in words are the school that does just that, else stages', () => {
    expect(planOf('chicken 1.8 kg, 230 for 20 min, then 175').program).toEqual({
      school: 'hot-start',
      set_c: 175,
      hot_c: 230,
      hot_min: 20,
    })
    const covered = planOf('turkey 6 kg, 230 for 20 min, then 175 covered to 76 in the thigh').program
    expect('stages' in covered && covered.stages.map(({ role, cover, until }) => [role, cover, until.kind])).toEqual([
      ['cook', 'bare', 'time'],
      ['cook', 'foil', 'core'],
      ['rest', 'tent', 'time'],
    ])
    const seared = planOf('rib 3 kg low 120 to 52, rest 45, hot finish 10').program
    expect('stages' in seared && seared.stages.map(({ role }) => role)).toEqual(['cook', 'rest', 'finish'])
  })

  it('what is seared first is browned in a pan, however short it was said; what is seared at last, after its rest', () => {
    const ways = (line: string) => {
      const { program } = planOf(line)
      return 'stages' in program
        ? program.stages.map(({ role, environment, until }) => [
            role,
            environment.kind,
            until.kind === 'time' ? until.minutes : until.kind,
          ])
        : program
    }
    expect(ways('beef fillet 1.8 kg, sear, then 200 for 25 min')).toEqual([
      ['cook', 'pan', 10],
      ['cook', 'oven', 25],
      ['rest', 'counter', 10],
    ])
    expect(ways('strip loin 3.2 kg 110 fan to 48, then sear in a hot pan for 6 minutes')).toEqual([
      ['cook', 'oven', 'core'],
      ['rest', 'counter', 30],
      ['finish', 'pan', 6],
    ])
    expect(planOf('strip loin 3.2 kg 110 fan to 48').oven.kind).toBe('fan')
  })

  it('several weights are several roasts, and a weight a head is one for all heads', () => {
    const weights = (line: string) => mealOf(line).roasts.map(({ roast }) => roast.mass_kg)
    expect(weights('two legs of lamb, 2.2 and 2.5 kg')).toEqual([2.2, 2.5])
    expect(weights('turkeys 5 kg, 6 kg and 7 kg')).toEqual([5, 6, 7])
    expect(weights('rib 3 kg and 2 kg lamb leg')).toEqual([3, 2])
    expect(planOf('turkey 5 kg, no, 6 and 7 kg').roast.mass_kg).toBe(5)
    expect(planOf('turkey between 5 and 6 kg').roast.mass_kg).toBe(5.5)
    expect(weights('two 1.6 kg chickens')).toEqual([1.6, 1.6])
    expect(planOf('rib roast, 450 g a head, for 8').roast.mass_kg).toBe(3.6)
  })

  it.each([
    'beef rib 3 kg at 160, goes in at 3pm',
    'put in at 15:00: pork shoulder 2.5 kg',
    'turkey 5 kg start at 3 pm',
  ])('%s: goes in on that minute, and is eaten when it is done', (line) => {
    const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
    if (!read.ok || read.value.put_in_s === undefined) throw new Error(line)
    expect(read.value.promise_s).toBeUndefined()
    expect(read.value.asks).toEqual([])
    const draft = planOf(line)
    const made = makePlan(draft, NOW, 16)
    if (!made.ok) throw new Error(line)
    const again = makePlan(goingInAt(draft, made.value.plan.putIn, read.value.put_in_s, NOW), NOW, 16)
    if (!again.ok) throw new Error(line)
    const late_s = again.value.plan.putIn - Date.UTC(2026, 10, 24, 15) / 1000
    expect(Math.abs(late_s)).toBeLessThanOrEqual(30)
  })

  it.each([
    ['2 kg chicken going in now at 190', 0],
    ['chicken 2 kg in the oven now', 0],
    ['chicken 2 kg into the oven in 10 minutes', 10],
    ['chicken 2 kg goes in in half an hour', 30],
  ])('%s: so soon it goes in, and nobody eats then', (line, minutes) => {
    const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
    expect(read.ok && [read.value.put_in_s, read.value.promise_s]).toEqual([NOW + 60 * minutes, undefined])
  })

  it('what went in already is in since then, and eaten when it is done', () => {
    for (const line of ['6 kg turkey went in at 8:30am at 165', 'turkey 6 kg in the oven since 8:30']) {
      const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
      if (!read.ok) throw new Error(line)
      expect([read.value.isIn, read.value.promise_s, read.value.asks], line).toEqual([true, undefined, []])
      const draft = planOf(line)
      expect(draft.in_since, line).toBe('2026-11-24T08:30:00.000Z')
      const made = makePlan(asIfToGoIn(draft), NOW, 16)
      if (!made.ok || read.value.put_in_s === undefined) throw new Error(line)
      const promised = goingInAt(draft, made.value.plan.putIn, read.value.put_in_s, NOW)
      const kept = makePlan(promised, NOW, 16)
      const asked = makePlan(asIfToGoIn(promised), NOW, 16)
      if (!kept.ok || !asked.ok) throw new Error(line)
      expect(kept.value.plan.troubles, line).toEqual([])
      expect(kept.value.plan.putIn, line).toBe(read.value.put_in_s)
      expect(Math.abs(asked.value.plan.putIn - read.value.put_in_s), line).toBeLessThanOrEqual(30)
      // What should be out by now is promised as soon as it can be.
      const late = goingInAt(draft, made.value.plan.putIn, NOW - 19 * 3600, NOW)
      expect(Date.parse(late.promise) / 1000, line).toBe(NOW + 900)
    }
  })

  it('of a meal what went in already is remembered', () => {
    const read = readLine('chicken 1.6 kg and roast potatoes, in since 8:30, eat 10:30', {
      now_s: NOW,
      timeZone: 'UTC',
    })
    expect(read.ok && read.value.roasts.map(({ notes }) => notes)).toEqual([['in since 8:30']])
  })

  it('of several roasts it is asked when they are eaten, whenever they go in', () => {
    const read = readLine('turkey 5 kg and a chicken 1.6 kg, in at noon', { now_s: NOW, timeZone: 'UTC' })
    expect(read.ok && read.value.asks.map(({ code }) => code)).toEqual(['what_time'])
  })

  it('a school that is not made for the cut is cooked as it was asked for, not refused', () => {
    const { program } = planOf('turkey 6 kg reverse sear')
    expect(program).toMatchObject({ name: 'Reverse sear' })
  })

  it('the kitchen’s own cuts and programs are known by their names', () => {
    const house: HouseItem[] = [
      {
        id: 'one',
        document: { kind: 'cut', name: 'Harbour rib', cut: 'beef-rib-bone-in', house: { thickness_mm: 125 } },
      },
      { id: 'two', document: { kind: 'program', name: 'The Friday way', stages: planStages('rib 3 kg 110 for 3 h') } },
    ]
    const plan = planOf('harbour rib 4 kg by the friday way, sat 19:00', house)
    expect(plan.roast).toMatchObject({ cut: 'beef-rib-bone-in', house: { thickness_mm: 125 } })
    expect(plan.program).toMatchObject({ name: 'The Friday way' })
  })
})

const planStages = (line: string) => {
  const { program } = planOf(line)
  if (!('stages' in program)) throw new Error('no stages')
  return program.stages
}
