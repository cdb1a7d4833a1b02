import { describe, expect, it } from 'vitest'
import { because, TASK_KINDS, type Task } from '@/core/schedule/task'
import { epochSeconds } from '@/core/units'
import type { Advice } from '@/domain/cook/forecast'
import type { OddReading } from '@/domain/cook/odd'
import type { ChangeKind } from '@/domain/meal/changes'
import { makeMeal } from '@/domain/meal/make-meal'
import { reunion } from '@/stand-ins/demo/meals'
import { adviceWords, lateWords, oddWords, peakWords } from './cook-words'
import { changeWords, clashWords, itemTitle, sceneOf } from './meal-words'
import { taskHelp, taskTitle, taskWhy } from './tasks'
import type { Units } from './units'

const units: Units = { temperature: 'c', mass: 'kg', clock: '24h', timeZone: 'UTC' }
const meal = reunion('2026-11-28T19:30:00Z')
const made = makeMeal(meal, undefined, 0)
if (!made.ok) throw new Error('the demo does not plan')
const plan = made.value
const BLANK = /undefined|NaN|\[object/

describe('a meal in words', () => {
  it('every task of the demo has a title, and no two at one minute are alike', () => {
    const titles = plan.tasks.map((task) => `${task.at} ${taskTitle(task, sceneOf(task, plan, meal), units)}`)
    for (const title of titles) expect(title).not.toMatch(BLANK)
    expect(new Set(titles).size).toBe(titles.length)
  })

  it('every kind of task has words even where it stands alone', () => {
    const alone = (kind: Task['kind'], more: Partial<Task> = {}): Task => ({
      kind,
      at: epochSeconds(plan.end_s),
      hands_s: 60,
      because: because('common_practice'),
      ...more,
    })
    const help = (task: Task) => taskHelp(task, sceneOf(task, plan, meal), units) ?? ''
    for (const kind of TASK_KINDS)
      for (const more of [{}, { item: 0, source: 0, set_c: 150, pull_c: 60 }]) {
        const task = alone(kind, more)
        expect(taskTitle(task, sceneOf(task, plan, meal), units).length).toBeGreaterThan(3)
        expect(taskTitle(task, sceneOf(task, plan, meal), units)).not.toMatch(BLANK)
        expect(taskWhy(task, units)).not.toMatch(BLANK)
        expect(help(task)).not.toMatch(BLANK)
      }
    expect(help(alone('gravy'))).toContain('unsalted')
    expect(help(alone('dress', { item: plan.itemIds.indexOf('duck') }))).toContain('Giblet')
  })

  it('a clash names the items, a change what it does', () => {
    for (const code of ['no_way', 'hands', 'crowded'] as const)
      for (const against of [[], ['pork'], ['pork', 'duck']]) {
        const words = clashWords(
          { id: 'rib', clash: { item: 0, code, against: [], sources: [0, 1] }, against },
          plan,
          meal,
        )
        expect(words).toMatch(/rib of beef/i)
        expect(words).not.toMatch(BLANK)
      }
    const changes: readonly ChangeKind[] = [
      { code: 'oven_setting', id: 'rib', set_c: 150, minutes: -20 },
      { code: 'longer_rest', id: 'rib', minutes: 30 },
      { code: 'other_serving', id: 'rib', at: '2026-11-28T20:00:00Z' },
      { code: 'school', id: 'rib', school: 'reverse-sear' },
      { code: 'school', id: 'rib', school: 'steady', set_c: 165 },
      { code: 'two_smaller', id: 'rib', mass_kg: 3 },
      { code: 'side_range', id: 'potatoes', low_c: 150, high_c: 250 },
      { code: 'hold_longer', id: 'potatoes', minutes: 35 },
      { code: 'start_earlier', hours: 3 },
      { code: 'another_cook' },
      { code: 'one_heat', set_c: 200 },
    ]
    const words = changes.map((change) => changeWords(change, meal, units))
    expect(new Set(words).size).toBe(changes.length)
    for (const each of words) expect(each).not.toMatch(BLANK)
    expect(words[0]).toContain('20 min shorter')
    expect(itemTitle(meal, 'nobody')).toBe('nobody')
  })
})

describe('the board in words', () => {
  it('odd readings say what was seen and what to do', () => {
    const odd: readonly OddReading[] = [
      { code: 'lost', at_s: 0, minutes: 5 },
      { code: 'pulled_out', at_s: 0, from_c: 45, to_c: 22 },
      { code: 'moved', at_s: 0, from_c: 45, to_c: 54 },
      { code: 'swapped', at_s: 0, with: 'probe 2' },
      { code: 'too_shallow', at_s: 0, depth: 0.4 },
      { code: 'door_open', at_s: 0, drop_k: 40 },
      { code: 'oven_falling', at_s: 0, air_c: 110, set_c: 150 },
    ]
    const words = odd.map((each) => oddWords(each, units))
    expect(new Set(words).size).toBe(odd.length)
    for (const each of words) expect(each).not.toMatch(BLANK)
  })

  it('a way out says when, how done and at what reading', () => {
    const advice = (code: Advice['code'], more: Partial<Advice> = {}): Advice => ({
      code,
      pull_s: 0,
      plate_s: 3600,
      peak_c: 58,
      ...more,
    })
    expect(adviceWords(advice('oven_up', { set_c: 180, pull_c: 49 }), 55, units)).toEqual({
      what: 'Oven up to 180 °C',
      result: 'on the table 01:00, pull at 49 °C, more done: peaks at 58 °C, a thicker grey rim',
    })
    expect(adviceWords(advice('oven_up', { set_c: 130, fire: true }), 58, units).what).toBe('Fire up to 130 °C')
    expect(adviceWords(advice('pull_now', { peak_c: 52 }), 55, units).result).toContain('less done')
    expect(adviceWords(advice('hold'), 58, units).result).toContain('57 °C')
    expect(adviceWords(advice('later_promise', { promise_s: 7200 }), 58, units).what).toBe('Promise 02:00')
    const out = {
      peak_c: { p10: 60, p50: 61, p90: 62 },
      wanted_c: 63,
      safe: undefined,
      verdict: 'under' as const,
      short: false,
      restUntil: undefined,
      into_c: undefined,
      backIn: undefined,
    }
    expect(peakWords(out, units)).toContain('too little to keep a table waiting for')
    expect(peakWords({ ...out, verdict: 'as_wanted', wanted_c: 61 }, units)).toContain('as wanted')
    expect(peakWords({ ...out, verdict: 'over', wanted_c: 57 }, units)).toContain('where 57 °C is wanted')
    expect(peakWords({ ...out, restUntil: { at_s: 3600, plate_s: 4200, peak_c: 62 } }, units)).toContain(
      'until 01:00 it comes to 62 °C',
    )
    expect([lateWords(0), lateWords(1200), lateWords(-1200)]).toEqual(['on time', '20 min late', '20 min early'])
  })
})
