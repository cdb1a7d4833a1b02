import { describe, expect, it } from 'vitest'
import { tenth } from '../quantity/round'
import { boardOf, settingOf } from './board'
import { type CookEntry, cookEntry } from './cook-document'
import { forecastOf, type Way } from './forecast'
import { runOf } from './run'
import { sceneOf } from './situations/kitchen'
import { SITUATIONS } from './situations/table'
import { type Decided, ovenSet, promiseMoved, putBackIn, wayTaken } from './take'

const iso = (at_s: number) => new Date(Math.round(at_s * 1000)).toISOString()
let count = 0
/** Entered a second later than now. */
const entered = (decided: readonly Decided[], now_s: number): CookEntry[] =>
  decided.map((each) =>
    cookEntry.parse({ ...each, id: `taken-${String(count++).padStart(5, '0')}`, at: iso(now_s + 1) }),
  )

describe('what is entered when somebody decides', () => {
  const scenes = SITUATIONS.filter((_, i) => i % 2 === 1).map(({ told, name }) => ({ ...sceneOf(told), name }))

  it('of each way out it is what the log takes, and the board then stands as the way said', {
    timeout: 120_000,
  }, () => {
    const taken = new Map<Way['code'], number>()
    for (const { document, entries, board, now_s, name } of scenes) {
      const ways = forecastOf(board, now_s, 7, [], 64)?.advice ?? []
      const run = runOf(document, entries, now_s)
      for (const way of ways) {
        const decided = wayTaken(way, board, [board], run)
        const log = [...entries, ...entered(decided, now_s)]
        const readings = board.readings.map((reading) => ({ device: 'd', channel: 0, ...reading }))
        const [after] = boardOf(document, log, readings, now_s + 2)
        if (!after) throw new Error('no board')
        taken.set(way.code, (taken.get(way.code) ?? 0) + 1)
        switch (way.code) {
          case 'oven_up':
          case 'oven_down':
          case 'other_heat':
            expect(after.settings.at(-1)?.set_c ?? settingOf(after.item), name).toBe(tenth(way.set_c as number))
            if (way.pull_c !== undefined) expect(after.pull_c, name).toBe(tenth(way.pull_c))
            break
          case 'pull_at':
            expect(after.pull_c, name).toBe(tenth(way.pull_c as number))
            break
          case 'pull_now':
            expect(after.state, name).toBe('resting')
            break
          case 'later_promise':
          case 'earlier_promise':
            expect(Math.abs(after.promise_s - (way.promise_s ?? way.plate_s)), name).toBeLessThan(1)
            break
          case 'skip_finish':
            expect(
              runOf(document, log, now_s + 2).steps.filter(
                ({ step, state }) => step.kind === 'finish' && state === 'open',
              ),
            ).toEqual([])
            break
          case 'short_rest':
          case 'pan_finish':
          case 'hold': {
            expect(decided).toEqual([{ kind: 'ending', item: board.item.id, text: way.code }])
            // The board reckons with it: its table comes when the way said, and it is not offered again.
            const then = forecastOf(after, now_s + 2, 7, [], 64)
            expect(then?.tried.map(({ code }) => code)).not.toContain(way.code)
            expect(Math.abs((then?.plate_s ?? Number.NaN) - way.plate_s), `${name}: ${way.code}`).toBeLessThan(300)
            break
          }
          default:
            expect(
              decided.map(({ kind, text }) => [kind, typeof text]),
              way.code,
            ).toEqual([['note', 'string']])
            expect(after.state).toBe(board.state)
        }
      }
    }
    // Enough kinds of them came up to say that of all.
    expect([...taken.keys()]).toEqual(expect.arrayContaining(['leave_it', 'oven_up', 'later_promise', 'pull_at']))
    expect(taken.size).toBeGreaterThanOrEqual(8)
  })

  it('an oven has one setting and a table one promise: what shares them is entered with it', () => {
    const [first, second] = scenes
    if (!first || !second) throw new Error('no scenes')
    const other = { ...first.board, item: { ...first.board.item, id: 'other' } }
    const elsewhere = { ...other, item: { ...other.item, id: 'elsewhere' }, oven_name: 'Another oven' }
    const later = { ...other, item: { ...other.item, id: 'later' }, promise_s: other.promise_s + 3600 }
    const all = [first.board, other, elsewhere, later]
    expect(ovenSet(140, first.board, all).map(({ item }) => item)).toEqual([first.board.item.id, 'other', 'later'])
    expect(promiseMoved(first.board.promise_s + 600, first.board, all).map(({ item }) => item)).toEqual([
      first.board.item.id,
      'other',
      'elsewhere',
    ])
    expect(ovenSet(null, first.board, all).every(({ value_c }) => value_c === null)).toBe(true)
  })

  it('back in it is given the reading that it is to come to, where one is known', () => {
    const [scene] = scenes
    if (!scene) throw new Error('no scene')
    const { board, now_s } = scene
    expect(putBackIn({ backIn: undefined, into_c: undefined, wanted_c: 63 }, board)).toEqual([
      { kind: 'in', item: board.item.id },
    ])
    const decided = putBackIn({ wanted_c: 63, into_c: 230, backIn: { minutes: 10, peak_c: 63, pull_c: 59.5 } }, board)
    expect(entered(decided, now_s).map(({ kind, value_c }) => [kind, value_c])).toEqual([
      ['in', null],
      ['oven', 230],
      ['pull_at', 59.5],
    ])
  })
})
