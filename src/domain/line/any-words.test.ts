import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { CUTS } from '@/core/reference/cuts'
import { documentFromLine } from '../meal/from-line'
import { mealFromWords, mealWordsOf } from '../meal/from-words'
import { PLAIN_KITCHEN } from '../meal/meal-problem'
import { nearestOf } from '../quantity/nearest'
import { cutWords } from '../roast/resolve'
import { readClock, readMoment } from './moment'
import { readLine } from './reading'
import { LONGEST_LINE } from './tokens'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const LINES = 3_000
const readMealWords = (line: string, context: Parameters<typeof readLine>[1]) => {
  const reading = readLine(line, context)
  return reading.ok ? mealWordsOf(reading.value) : reading
}
const LIMIT_MS = 20
/** Or as long as so many ordinary lines: a machine that others use is slow at both. */
const MOST_ORDINARY = 12
const ORDINARY = 'prime rib 3 kg, medium rare, oven 120 then 250, for 8 at 19:00'

const WORDS = [
  ...CUTS.flatMap((cut) => cutWords(cut).slice(0, 3)),
  ...'roast beef one pregnant eat at on for by sunday monday 25 dec tomorrow tonight noon am pm 19:00 7pm 7.30'.split(
    ' ',
  ),
  ...'oven fan gas mark fire bath bone in bone-in boneless medium rare pink well done salted people guests heads'.split(
    ' ',
  ),
  ...'kg g lb lbs oz mm cm thick ½ 1/2 ¼ -1 0 00 1e9 999999999999999999999 1,5 2.7 -3,2 °C °F 325f 180c min h hours'.split(
    ' ',
  ),
  ...'until tender falls apart baste glaze turn foil off on the last half hour half-way before end every after when it reads in 3 batches apart by van drive look coals and a 25/12 12/25'.split(
    ' ',
  ),
  ...'goes in at put start at 8:30 1h20 19h30 → -> # per head around 7 7ish half seven probe set tmrw brace pieces kgs first then sear in pan remove foil 2.2 and 2.5 kg'.split(
    ' ',
  ),
  ...'guests arrive overnight oven runs 12 too hot cold by 5000 ft 1500 m altitude held hold 58 seven thirty forty five o clock @ 7p 1930 day after tomorrow in two days friday week a week from sunday tent thigh breast 82 pull low hot hour crisp crackle each'.split(
    ' ',
  ),
  ...['—', '"', '“', '\\', '/', '$', '^(', '[a-z]+', '%s', '\u0000', '\ud800', '\u202e', '\t', '\n', ',,,', ';', '°'],
  ...[
    'буженина',
    'лопатка',
    '烤牛肉',
    'ローストビーフ',
    'لحم',
    'צלי',
    'κρέας',
    'भुना',
    'เนื้อ',
    '🍖',
    'é',
    'ß',
    '٣ kg',
    '２ｋｇ',
  ],
]

/** A line of any words, numbers, signs and scripts in any order, the same for the same seed. */
function lineOf(random: () => number): string {
  const count = Math.floor(random() ** 2 * 24)
  const parts = Array.from({ length: count }, () => {
    const kind = random()
    if (kind < 0.75) return WORDS[Math.floor(random() * WORDS.length)] as string
    if (kind < 0.85) return String(Math.round((random() - 0.2) * 10 ** Math.floor(random() * 9)) / 10)
    return String.fromCharCode(
      ...Array.from({ length: 1 + Math.floor(random() * 9) }, () => Math.floor(random() * 0x3000)),
    )
  })
  const glue = [' ', ', ', '', '-'][Math.floor(random() ** 3 * 4)] as string
  return parts.join(glue)
}

/** The quickest of twenty readings, or the first that is within what is enough, ms. */
function quickest(read: (line: string) => unknown, line: string, enough_ms = 0): number {
  let ms = Number.POSITIVE_INFINITY
  for (let attempt = 0; attempt < 20 && ms > enough_ms; attempt++) {
    const from = performance.now()
    read(line)
    ms = Math.min(ms, performance.now() - from)
  }
  return ms
}

/** The least that a line takes of an ordinary one's time, each time one after the other. */
function timesOrdinary(read: (line: string) => unknown, line: string): number {
  const taken = (each: string) => quickest(read, each, Number.MAX_VALUE)
  return Math.min(...Array.from({ length: 20 }, () => taken(line) / taken(ORDINARY)))
}

/** Reads every line; answers the slowest, the best of twenty where one was slow: what counts is the reader, not the machine. */
function slowest(
  read: (line: string) => unknown,
  seed: number,
  lines = LINES,
): { readonly ms: number; readonly line: string } {
  const random = seededRandom(seed)
  let worst = { ms: 0, line: '' }
  for (let i = 0; i < lines; i++) {
    const line = lineOf(random)
    const ms = quickest(read, line, LIMIT_MS)
    if (ms > worst.ms && !(ms > LIMIT_MS && timesOrdinary(read, line) < MOST_ORDINARY)) worst = { ms, line }
  }
  return worst
}

describe('any words at all', () => {
  it('a line about a roast is answered at once, and what it becomes is a document', { timeout: 300_000 }, () => {
    const worst = slowest((line) => {
      const read = readLine(line, { now_s: NOW, timeZone: 'Europe/London' })
      if (read.ok) documentFromLine(read.value, NOW, PLAIN_KITCHEN)
      else expect(read.problems.length).toBeGreaterThan(0)
    }, 11)
    expect(worst.ms, worst.line).toBeLessThan(LIMIT_MS)
  })

  it('a line about a meal is answered at once, and what it becomes is a document', { timeout: 300_000 }, () => {
    const context = { now_s: NOW, timeZone: 'Europe/London' }
    const worst = slowest(
      (line) => {
        // Half the lines say who eats and when; as it stands it mostly does not.
        const odd = line.length % 2 === 1
        const read = readMealWords(odd ? `${line.slice(0, LONGEST_LINE - 40)} 12 people saturday 19:30` : line, context)
        if (read.ok) mealFromWords(read.value, PLAIN_KITCHEN)
      },
      12,
      LINES / 4,
    )
    expect(worst.ms, worst.line).toBeLessThan(LIMIT_MS)
  })

  it.each(['constructor', '__proto__', 'toString', 'hasOwnProperty', 'valueOf', '__defineGetter__'])(
    '%s is a word like others',
    (word) => {
      const read = readLine(`${word}, chicken 2 kg ${word}, ${word} a side`, { now_s: NOW, timeZone: 'UTC' })
      expect(read.ok && read.value.roasts.map(({ cut, mass_kg }) => [cut, mass_kg])).toEqual([['chicken', 2]])
    },
  )

  it('a moment, a clock and the nearest words are found at once', { timeout: 300_000 }, () => {
    const words = CUTS.flatMap((cut) => cutWords(cut))
    const worst = slowest((line) => {
      const moment = readMoment(line.toLowerCase().split(' '), { now_s: NOW, timeZone: 'Asia/Kathmandu' })
      if (moment) expect(moment.count).toBeGreaterThan(0)
      readClock(line, true)
      nearestOf(line.slice(0, 60), words.slice(0, 60))
    }, 13)
    expect(worst.ms, worst.line).toBeLessThan(LIMIT_MS)
  })

  it('the sentences that once stopped the server', () => {
    const context = { now_s: NOW, timeZone: 'UTC' }
    for (const line of ['roast beef', 'purple monkey dishwasher']) expect(readMealWords(line, context).ok).toBe(false)
    expect(readMealWords('10 people on Sunday at 18:00, one pregnant', context)).toMatchObject({
      value: { guests: 10, vulnerable: true },
    })
  })

  it('more than a line is refused with its length', () => {
    const line = 'beef '.repeat(20_000)
    const refused = { ok: false, problems: [{ code: 'line_too_long', given: line.length, most: LONGEST_LINE }] }
    expect(readLine(line, { now_s: NOW, timeZone: 'UTC' })).toEqual(refused)
    expect(readMealWords(line, { now_s: NOW, timeZone: 'UTC' })).toEqual(refused)
  })
})
