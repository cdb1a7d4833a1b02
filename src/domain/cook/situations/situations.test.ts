import { describe, expect, it } from 'vitest'
import { backSince, boardOf, soonestPull } from '../board'
import { cookEntry } from '../cook-document'
import { forecastOf, watchPeak } from '../forecast'
import { sceneOf } from './kitchen'
import { SITUATIONS } from './table'

const ON_TIME_S = 300

describe('what goes otherwise than planned, and what a good cook does (common practice)', () => {
  it('is at least forty situations', () => {
    expect(new Set(SITUATIONS.map(({ name }) => name)).size).toBeGreaterThanOrEqual(40)
  })

  it.each(SITUATIONS)('$name', ({ told, time, best, offers = [], never = [], odd }) => {
    const { board, now_s } = sceneOf(told)
    const found = forecastOf(board, now_s, 7, [], 96)
    if (!found) throw new Error('nothing is foreseen')
    const { advice, late_s, estimate } = found
    const stuck = !Number.isFinite(estimate.pull_s.p50)
    const says = stuck ? 'stuck' : late_s >= ON_TIME_S - 60 ? 'late' : late_s <= -ON_TIME_S + 60 ? 'early' : 'on_time'
    if (time) expect(says).toBe(time)
    if (odd) expect(board.odd.map(({ code }) => code)).toContain(odd)
    const codes = advice.map(({ code }) => code)
    if (best) expect(best).toContain(advice.find((way) => way.best)?.code)
    expect(codes).toEqual(expect.arrayContaining([...offers]))
    for (const code of never) expect(codes).not.toContain(code)

    // Whatever is advised could be printed.
    expect(codes).toContain('leave_it')
    expect(codes.length).toBeLessThanOrEqual(4)
    expect(new Set(codes).size).toBe(codes.length)
    expect(advice.filter((way) => way.best).length).toBe(1)
    expect(advice[0]?.best).toBe(true)
    for (const way of advice) {
      if (way.never) continue
      expect(way.plate_s).toBeGreaterThan(now_s)
      expect(way.pull_s).toBeGreaterThanOrEqual(now_s - 1)
      expect(way.plate_s).toBeGreaterThanOrEqual(way.pull_s)
      if (way.pull_c !== undefined) expect(way.pull_c).toBeLessThanOrEqual(Math.max(board.item.serve_c, 71) + 0.5)
      if (way.promise_s !== undefined) expect(way.promise_s).toBeGreaterThan(now_s)
    }
  })
})

describe('after the pull', () => {
  const after = (minute: number, wait: number, thicker = 1) => {
    const scene = sceneOf({ plan: {}, minute, thicker })
    const out_s = scene.now_s
    const out = cookEntry.parse({
      id: `pulled-at-${minute}-${wait}`,
      kind: 'out',
      at: new Date(out_s * 1000).toISOString(),
      item: 'roast',
    })
    const readings = scene.board.readings.map(({ at_s, value_c }) => ({ device: 'd', channel: 0, at_s, value_c }))
    const now_s = out_s + wait * 60
    const [board] = boardOf(scene.document, [...scene.entries, out], readings, now_s)
    return board && watchPeak(board, now_s)
  }

  it('pulled where it was planned it peaks as wanted, and nothing is asked', () => {
    const planned = sceneOf({ plan: {}, minute: 79 })
    expect(planned.board.latest?.value_c).toBeGreaterThan(55)
    const peak = after(82, 3)
    expect(peak?.short).toBe(false)
    expect(Math.abs((peak?.peak_c.p50 ?? 0) - (peak?.wanted_c ?? 0))).toBeLessThan(4)
  })

  it('pulled half an hour early it says within minutes that it falls short, and how long back in would do', () => {
    const peak = after(55, 3)
    expect(peak?.short).toBe(true)
    expect(peak?.backIn?.minutes).toBeGreaterThan(4)
    expect(peak?.backIn?.peak_c).toBeGreaterThanOrEqual((peak?.wanted_c ?? 0) - 0.5)
  })

  it('the earlier it was pulled the longer it goes back in', () => {
    const longer = after(45, 3)?.backIn?.minutes ?? 60
    const shorter = after(68, 3)?.backIn?.minutes ?? 0
    expect(longer).toBeGreaterThan(shorter)
  })

  it('back in it is pulled at more than it came out by, and at no more than is wanted', () => {
    for (const minute of [45, 60]) {
      const back = after(minute, 3)?.backIn
      if (!back) continue
      expect(back.pull_c).toBeLessThanOrEqual(63)
      expect(back.pull_c).toBeGreaterThan(50)
      expect(back.pull_c % 0.5).toBe(0)
    }
    expect(after(45, 3)?.backIn).toBeDefined()
  })

  it('back in, what it reads at first is heat from before: it stays five minutes, and no other reading is advised for ten', () => {
    const scene = sceneOf({ plan: {}, minute: 68 })
    const out_s = scene.now_s
    const back_s = out_s + 6 * 60
    const did = (kind: 'out' | 'in' | 'pull_at', at_s: number, value_c: number | null = null) =>
      cookEntry.parse({
        id: `put-back-${kind}`,
        kind,
        at: new Date(at_s * 1000).toISOString(),
        item: 'roast',
        value_c: value_c === null ? null : Math.round(value_c),
      })
    const readings = scene.board.readings.map(({ at_s, value_c }) => ({ device: 'd', channel: 0, at_s, value_c }))
    const last_c = scene.board.latest?.value_c ?? 0
    const after = (seconds: number, value_c: number) => {
      const now_s = back_s + seconds
      const read = [...readings, { device: 'd', channel: 0, at_s: now_s - 5, value_c }]
      const log = [...scene.entries, did('out', out_s), did('in', back_s), did('pull_at', back_s, last_c)]
      const [board] = boardOf(scene.document, log, read, now_s)
      if (!board) throw new Error('no board')
      return { board, now_s }
    }
    const soon = after(60, last_c + 1.5)
    expect(soonestPull(soon.board, soon.now_s)).toBe(back_s + 300)
    const codes = forecastOf(soon.board, soon.now_s)?.advice.map(({ code }) => code) ?? []
    expect(codes).toContain('leave_it')
    expect(codes).not.toContain('pull_at')
    expect(codes).not.toContain('pull_now')
    // As hot as it is wanted it comes out at once, and what went out for a baste is not held.
    const hot = after(60, soon.board.item.serve_c + 0.5)
    expect(soonestPull(hot.board, hot.now_s)).toBeUndefined()
    const later = after(301, last_c + 1.5)
    expect(soonestPull(later.board, later.now_s)).toBeUndefined()
    expect(backSince({ state: 'in', away: [{ from_s: 0, to_s: 60 }], entries: [] })).toBeUndefined()
    // Put back at once, to be pulled at another reading, it is back all the same.
    const entries = [did('in', 60), did('pull_at', 60, 62)]
    expect(backSince({ state: 'in', away: [{ from_s: 60, to_s: 60 }], entries })).toBe(60)
    expect(backSince({ state: 'resting', away: [{ from_s: 60, to_s: 60 }], entries })).toBeUndefined()
  })

  it('pulled at its reading it is not sent back before anything more is known; pulled short of it, it is', () => {
    const short = (minute: number, seconds: number, under_k = 0) => {
      const { board } = sceneOf({ plan: {}, minute })
      const { latest } = board
      if (!latest) throw new Error('nothing is read')
      const pull_c = latest.value_c + under_k
      return watchPeak({ ...board, pull_c, state: 'resting', out_s: latest.at_s }, latest.at_s + seconds)?.short
    }
    for (const minute of [55, 66, 74]) for (const seconds of [0, 120, 290]) expect(short(minute, seconds)).toBe(false)
    expect(short(55, 0, 4)).toBe(true)
    expect(short(55, 310)).toBe(true)
  })
})
