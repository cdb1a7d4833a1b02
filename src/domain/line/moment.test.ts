import { describe, expect, it } from 'vitest'
import { nearestOf } from '../quantity/nearest'
import { readClock, readMoment } from './moment'

/** Wednesday 25 November 2026, 09:00 in London. */
const now_s = Date.UTC(2026, 10, 25, 9) / 1000
const read = (words: string, timeZone = 'Europe/London', at = now_s) => {
  const found = readMoment(words.split(' '), { now_s: at, timeZone })
  return found && [new Date(found.at_s * 1000).toISOString().slice(0, 16), found.count]
}

describe('a clock in words', () => {
  it('is read as cooks write it', () => {
    expect(readClock('19:30', false)).toEqual({ hour: 19, minute: 30 })
    expect(readClock('7.30pm', false)).toEqual({ hour: 19, minute: 30 })
    expect(readClock('12am', false)).toEqual({ hour: 0, minute: 0 })
    expect(readClock('noon', false)).toEqual({ hour: 12, minute: 0 })
  })
  it('a bare number is an hour only after a word that says so', () => {
    expect(readClock('7', false)).toBeUndefined()
    expect(readClock('19', true)).toEqual({ hour: 19, minute: 0 })
  })
  it('there is no 25:00 and no 7:60', () => {
    expect(readClock('25:00', true)).toBeUndefined()
    expect(readClock('7:60', true)).toBeUndefined()
  })
})

describe('a promise in words', () => {
  it('without a day is the next such time: today, or tomorrow when that has passed', () => {
    expect(read('eat 19:00')).toEqual(['2026-11-25T19:00', 2])
    expect(read('eat 8:30')).toEqual(['2026-11-26T08:30', 2])
  })
  it('with a weekday is the next such day, today included while it is to come', () => {
    expect(read('eat sat 19:30')).toEqual(['2026-11-28T19:30', 3])
    expect(read('wed 18:00')).toEqual(['2026-11-25T18:00', 2])
    expect(read('wed 8:00')).toEqual(['2026-12-02T08:00', 2])
  })
  it('with a date is that date, and next year’s when it has passed', () => {
    expect(read('eat 25 dec 14:00')).toEqual(['2026-12-25T14:00', 4])
    expect(read('dec 25 2 pm')).toEqual(['2026-12-25T14:00', 4])
    expect(read('1 jan 13:00')).toEqual(['2027-01-01T13:00', 3])
    expect(read('2027-04-04 13:00')).toEqual(['2027-04-04T12:00', 2])
  })
  it('the time may come before the day', () => {
    expect(read('at 7pm on sunday')).toEqual(['2026-11-29T19:00', 4])
    expect(read('7 pm tomorrow')).toEqual(['2026-11-26T19:00', 3])
    expect(read('at 7 pm tomorrow')).toEqual(['2026-11-26T19:00', 4])
  })
  it('the clock is the kitchen’s, summer time and all', () => {
    expect(read('tomorrow 18:00', 'America/New_York')).toEqual(['2026-11-26T23:00', 2])
    const eve = Date.UTC(2027, 2, 27, 12) / 1000
    expect(read('tomorrow 13:00', 'Europe/London', eve)).toEqual(['2027-03-28T12:00', 2])
  })
  it('a number of guests is no moment', () => {
    expect(read('for 8')).toBeUndefined()
    expect(read('rosy')).toBeUndefined()
  })
})

describe('words that are nearly right', () => {
  const cuts = ['beef-rib-bone-in', 'beef-tenderloin', 'pork-loin', 'turkey', 'lamb-leg-bone-in']
  it('find what was meant, best first', () => {
    expect(nearestOf('turky', cuts)[0]).toBe('turkey')
    expect(nearestOf('tenderlion', cuts)[0]).toBe('beef-tenderloin')
    expect(nearestOf('lamb', cuts)[0]).toBe('lamb-leg-bone-in')
  })
  it('find nothing where nothing is near, and never more than was asked for', () => {
    expect(nearestOf('xylophone', cuts)).toEqual([])
    expect(nearestOf('loin', cuts, 1).length).toBe(1)
  })
})
