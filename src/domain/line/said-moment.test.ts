import { describe, expect, it } from 'vitest'
import { readLine } from './reading'

const said = (line: string, hour: number) => {
  const read = readLine(line, { now_s: Date.UTC(2026, 10, 24, hour) / 1000, timeZone: 'UTC' })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const { put_in_s = Number.NaN, isIn = false } = read.value
  return [new Date(put_in_s * 1000).toISOString().slice(0, 16), isIn]
}

describe('when it went in, or goes in', () => {
  it('this morning is before noon of today: still to come at seven, and past at nine and at night', () => {
    for (const words of ['put it in at 8 this morning', 'went in at 8 this morning', 'in at 8 this morning'])
      for (const hour of [7, 9, 21])
        expect(said(`pork shoulder 3 kg ${words}, 135 C`, hour), `${words}, said at ${hour}`).toEqual([
          '2026-11-24T08:00',
          hour > 8,
        ])
  })

  it('of an hour alone what is said to be past was its last, and what is not is its next', () => {
    expect(said('pork shoulder 3 kg went in at 8, 135 C', 9)).toEqual(['2026-11-24T08:00', true])
    expect(said('pork shoulder 3 kg put it in at 10 am, 135 C', 9)).toEqual(['2026-11-24T10:00', false])
  })
})
