import { describe, expect, it } from 'vitest'
import type { Problem } from '@/domain/problem/problem'
import { problemSentence } from './problems'
import { clock, duration, length, localInput, mass, rise, shortDay, temperature, type Units } from './units'

const metric: Units = { temperature: 'c', mass: 'kg', clock: '24h', timeZone: 'Europe/London' }
const american: Units = { temperature: 'f', mass: 'lb', clock: '12h', timeZone: 'America/New_York' }
const CHRISTMAS_S = Date.UTC(2026, 11, 25, 19, 5) / 1000

describe('quantities as a reader wants them', () => {
  it('temperatures and rises are not the same thing in Fahrenheit', () => {
    expect(temperature(100, american)).toBe('212 °F')
    expect(rise(5, american)).toBe('9 °F')
    expect(rise(5, metric)).toBe('5.0 °C')
    expect(temperature(54.6, metric, 1)).toBe('54.6 °C')
  })
  it('ounces never reach sixteen', () => {
    expect(mass(2.7215, american)).toBe('6 lb')
    expect(mass(0.4535, american)).toBe('1 lb')
    expect(mass(0.2, american)).toBe('7 oz')
    expect(mass(2.7, american)).toBe('5 lb 15 oz')
    expect(mass(0.25, metric)).toBe('250 g')
    expect(mass(2.75, metric)).toBe('2.75 kg')
  })
  it('durations round to minutes and carry into hours', () => {
    expect(duration(3599)).toBe('1 h')
    expect(duration(3661)).toBe('1 h 1 min')
    expect(duration(29)).toBe('0 min')
    expect(duration(-50)).toBe('0 min')
  })
  it('the same instant is another clock in another kitchen', () => {
    expect(clock(CHRISTMAS_S, metric)).toBe('19:05')
    expect(clock(CHRISTMAS_S, american).toLowerCase().replace(/\s/g, ' ')).toBe('2:05 pm')
    expect(clock(CHRISTMAS_S + 31, metric)).toBe('19:06')
    expect(shortDay(CHRISTMAS_S, metric)).toContain('25 Dec')
    expect(localInput(CHRISTMAS_S, american)).toBe('2026-12-25T14:05')
  })
  it('lengths are whole millimetres or tenths of an inch', () => {
    expect([length(0.127, metric), length(0.127, american)]).toEqual(['127 mm', '5.0 in'])
  })
})

describe('a problem as a sentence', () => {
  const problems: [Problem, RegExp][] = [
    [{ code: 'missing_cut', nearest: ['beef-tenderloin'] }, /such as beef tenderloin/],
    [{ code: 'line_of_a_meal', path: [] }, /plan it as a meal/],
    [{ code: 'heat_below_target', set_c: 50, serve_c: 55 } as Problem, /never gets to 131 °F inside.*at least 145 °F/],
    [{ code: 'promise_passed', promise: '2026-12-25T19:05:00Z' } as Problem, /has passed\. Promise a time/],
    [{ code: 'stale_version', theirs: 4, yours: 3 } as Problem, /version 4.*from 3.*Both are kept/],
    [
      {
        code: 'out_of_range',
        path: ['roast', 'mass_kg'],
        quantity: 'mass_kg',
        value: 27,
        low: 0.9,
        high: 9,
        cut: 'beef-rib-bone-in',
      } as unknown as Problem,
      /^The weight 59 lb 8 oz is out of range for .*: give 2 lb to 19 lb 14 oz\.$/,
    ],
  ]
  for (const [problem, sentence] of problems)
    it(`${problem.code} says what is wrong and what to do`, () => {
      expect(problemSentence(problem, american)).toMatch(sentence)
    })
})
