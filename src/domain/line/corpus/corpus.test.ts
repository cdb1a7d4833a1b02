import { describe, expect, it } from 'vitest'
import { readLine } from '../reading'
import { FOUND } from './found'
import { gist, sorted } from './gist'
import { LINES } from './lines'
import { RECIPES } from './recipes'
import { SEASON } from './season'
import { SERVICE } from './service'
import { SPOKEN } from './spoken'
import { TYPED } from './typed'
import { UNSEEN, UNSEEN_AGAIN, UNSEEN_LAST } from './unseen'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const ZONE = 'Europe/London'

/** Every line of the corpus is understood, or the score says how many are not. */
const LEAST_SHARE = 0.99

const plain = (text: string) => text.replaceAll('\u00a0', ' ')
const read = (line: string): string => {
  const reading = readLine(line, { now_s: NOW, timeZone: ZONE })
  return reading.ok
    ? plain(
        sorted(
          gist(reading.value, ZONE).replace(
            /\?(\S+(?: [a-z]+)*)$/,
            (_, words: string) => `?${words.replaceAll(' ', '\u00a0')}`,
          ),
        ),
      )
    : JSON.stringify(reading.problems)
}

/** The lines that are not understood as they should be, with both meanings. */
const missedOf = (lines: typeof LINES): string[] =>
  lines.flatMap(([line, means]) => {
    const found = read(line)
    return found === plain(sorted(means)) ? [] : [`${line}\n    wanted ${plain(sorted(means))}\n    found  ${found}`]
  })

describe('lines as cooks say them', () => {
  it('are understood', () => {
    const all = [...LINES, ...FOUND, ...SEASON, ...RECIPES, ...SERVICE, ...SPOKEN, ...TYPED]
    const missed = missedOf(all)
    console.log(`corpus: ${all.length - missed.length} of ${all.length} lines understood\n${missed.join('\n')}`)
    expect(all.length).toBeGreaterThanOrEqual(400)
    expect(missed.length / all.length, missed.join('\n')).toBeLessThanOrEqual(1 - LEAST_SHARE)
  })

  it('that were not looked at while the readers were written are understood by most', () => {
    const missed = missedOf(UNSEEN)
    console.log(`unseen: ${UNSEEN.length - missed.length} of ${UNSEEN.length} lines understood\n${missed.join('\n')}`)
    expect(missed.length / UNSEEN.length, missed.join('\n')).toBeLessThanOrEqual(0.5)
  })

  it.each([
    ['that were written before the readers were mended again', UNSEEN_AGAIN],
    ['and when they had been', UNSEEN_LAST],
  ])('%s, and read once afterwards', (_, lines) => {
    const missed = missedOf(lines)
    console.log(`again: ${lines.length - missed.length} of ${lines.length}\n${missed.join('\n')}`)
    expect(missed.length / lines.length, missed.join('\n')).toBeLessThanOrEqual(0.5)
  })
})
