import { describe, expect, it } from 'vitest'
import { readLine } from '../line/reading'
import { planFromLine } from './from-line'

const now_s = Date.UTC(2026, 10, 24, 9) / 1000
/** How a line has its roast cooked: its school's settings, or each stretch of heat in its order. */
function cookedBy(line: string): object | string[] {
  const reading = readLine(line, { now_s, timeZone: 'Europe/London' })
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  const { program } = planFromLine(reading.value, now_s)
  if (!('stages' in program)) return program
  return program.stages.map(({ role, environment, until }) =>
    [role, 'set_c' in environment ? environment.set_c : environment.kind, ...Object.values(until)].join(' '),
  )
}

describe('one heat and then another', () => {
  it('hotter first is a hot start, for as long as is said or as usual', () => {
    for (const line of [
      'rib 3kg at 260 then 160',
      'rib 3kg start in a 260C oven then 160',
      'rib 3 kg in a 260 oven, then turn it down to 160',
    ])
      expect(cookedBy(line), line).toEqual({ school: 'hot-start', hot_c: 260, set_c: 160, hot_min: 15 })
    for (const line of [
      'rib 3kg 230 turned down to 160 after 20 min',
      'rib 3kg at 230, after 20 minutes down to 160',
      'rib 3kg oven at 160, first 20 min at 230',
      'rib 3kg 230 for 20 min then 160',
    ])
      expect(cookedBy(line), line).toEqual({ school: 'hot-start', hot_c: 230, set_c: 160, hot_min: 20 })
  })

  it('hotter last is its finish, and never comes first', () => {
    expect(cookedBy('rib 3kg at 120C then 250')).toMatchObject({ school: 'reverse-sear', set_c: 120, hot_c: 250 })
    for (const line of ['rib 3kg at 120C then 250 for 10 minutes', 'rib 3kg at 120C, last 10 minutes at 250'])
      expect(cookedBy(line), line).toEqual({ school: 'reverse-sear', set_c: 120, hot_c: 250, hot_min: 10 })
  })

  it('with a reading or minutes of its own the second heat keeps them, and its place', () => {
    expect(cookedBy('rib 3kg at 260 then 160 to 52')).toEqual([
      'cook 260 time 15',
      'cook 160 core 52',
      'rest counter time 20',
    ])
    expect(cookedBy('rib 3kg at 260 then 160 for 2 hours')).toEqual([
      'cook 260 time 15',
      'cook 160 time 120',
      'rest counter time 20',
    ])
  })

  it('then off: the hot stretch stays, and what was not said of either is as its school does it', () => {
    const hot = ['cook 260 time 15', 'cook  time 150']
    expect(cookedBy('eye of round 3lb 500F then off for two and a half hours')).toEqual(hot)
    expect(cookedBy('eye of round 1.4kg 260C 18 min then turn off the oven')).toEqual([
      'cook 260 time 18',
      'cook  time 120',
    ])
    expect(cookedBy('rib 3kg 260C oven off')).toEqual({ school: 'oven-off', set_c: 260 })
  })
})
