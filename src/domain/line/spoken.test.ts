import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { readLine } from './reading'
import { breakfasts, enumerated, spokenNumbers } from './spoken'
import { tokensOf } from './tokens'

const SEED = 51
const CONTEXT = { now_s: Date.UTC(2026, 10, 24, 9) / 1000, timeZone: 'Europe/London' }
const figures = (line: string): string =>
  spokenNumbers(tokensOf(line), line)
    .map(({ text }) => text)
    .join(' ')
const numbersTaken = (line: string): string =>
  enumerated(tokensOf(line), line)
    .map(({ text }) => text)
    .join(' ')

const ONES = 'one two three four five six seven eight nine ten eleven twelve'.split(' ')
const TEENS = 'thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(' ')
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ')
/** A whole number as it is spoken. */
function said(value: number, and: boolean): string {
  if (value >= 100) {
    const rest = value % 100
    return `${ONES[Math.floor(value / 100) - 1]} hundred${rest === 0 ? '' : `${and ? ' and' : ''} ${said(rest, and)}`}`
  }
  if (value > 19) return `${TENS[Math.floor(value / 10) - 2]}${value % 10 === 0 ? '' : ` ${ONES[(value % 10) - 1]}`}`
  return value > 12 ? (TEENS[value - 13] as string) : (ONES[value - 1] as string)
}

describe('numbers as they are spoken', () => {
  it.each([
    ['eighteen pounds four ounces', '18 pounds four ounces'],
    ['one point eight kilos', '1.8 kilos'],
    ['2 point two five kg', '2.25 kg'],
    ['at one eighty', 'at 180'],
    ['three fifty degrees', '350 degrees'],
    ['then two fifty for ten minutes', 'then 250 for ten minutes'],
    ['two hundred and ten', '210'],
    ['a hundred and sixty five', '165'],
    ['at nineteen hundred', 'at 19:00'],
    ['at eighteen thirty', 'at 18:30'],
    ['an hour and ten', 'an hour and 10 min'],
    ['1 kilo 800 of pork', '1.8 kg of pork'],
    ['2kg 300 grams', '2.3 kg'],
    ['two and a quarter kilos', '2.25 kilos'],
    ['a kilo and a half', '1.5 kilo'],
    ['topside kilo and three quarters', 'topside 1.75 kilo'],
    ['a kilo point two', '1.2 kilo'],
    ['7 p m', '7 pm'],
    ['in a three twenty five oven', 'in a 325 oven'],
    ['three fifty to one sixty', '350 to 160'],
    ['at 225 degrees until one twenty', 'at 225 degrees until 120'],
    ['pull at two oh three', 'pull at 203'],
    ['at seven oh five', 'at 7:05'],
    ['seven hours at one ten', 'seven hours at 110'],
  ])('%s is %s', (line, means) => {
    expect(figures(line)).toBe(means)
  })

  it.each([
    // Hours of the day
    'seven fifteen',
    'eat at three fifty',
    'at four twenty five',
    'two kilos and a half hour rest',
    'rest until one twenty',
    'a chicken and a half',
    'seven twenty',
    'five forty five',
    // Another number after a comma; a weight and an oven; no number of degrees
    'two, hundred',
    'lamb 2 kg 180',
    'lamb 2 kilos 180 for 90 min',
    'beef 3 kilos 400 f',
    '20 min per pound and a half hour',
    'rest 30 minutes at seven thirty',
    'shoulder point end',
    'at half past ten',
  ])('%s stays as it is', (line) => {
    expect(figures(line)).toBe(
      tokensOf(line)
        .map(({ text }) => text)
        .join(' '),
    )
  })

  it('weigh, feed and heat the same in words and in figures, in any order', () => {
    const random = seededRandom(SEED)
    const one = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
    for (let i = 0; i < 300; i++) {
      const [pounds, guests] = [one(3, 28), one(13, 60)]
      const oven = 100 + 5 * one(2, 27)
      const and = random() < 0.5
      const parts = (spell: (value: number) => string): string[] => [
        `turkey ${spell(pounds)} pounds`,
        `for ${spell(guests)} people`,
        `oven at ${spell(oven)} degrees`,
        'eat at 7 pm',
      ]
      const order = [0, 1, 2, 3].map((part) => ({ part, at: random() })).sort((a, b) => a.at - b.at)
      const lineOf = (all: string[]) => order.map(({ part }) => all[part]).join(', ')
      const [inWords, inFigures] = [
        lineOf(parts((value) => said(value, and))),
        lineOf(parts((value) => String(value))),
      ].map((line) => readLine(line, CONTEXT))
      if (!inWords?.ok || !inFigures?.ok) throw new Error('not read')
      const plain = ({ value }: typeof inWords) => ({
        roasts: value.roasts,
        guests: value.guests,
        promise: value.promise_s,
        asks: value.asks.length,
      })
      expect(plain(inWords), lineOf(parts((value) => said(value, and)))).toEqual(plain(inFigures))
      expect(inWords.value.roasts[0]?.mass_kg).toBeCloseTo(pounds * 0.453_592, 2)
      expect(inWords.value.guests).toBe(guests)
    }
  }, 60_000)

  it('any words of numbers, in any order, are read in time and none is lost without a word', () => {
    const random = seededRandom(SEED + 1)
    const words = [
      ...ONES,
      ...TEENS,
      ...TENS,
      'hundred',
      'point',
      'and',
      'a',
      'kilo',
      'pounds',
      'then',
      'for',
      'hour',
      '500',
      '2',
    ]
    for (let i = 0; i < 400; i++) {
      const line = Array.from(
        { length: 1 + Math.floor(random() * 14) },
        () => words[Math.floor(random() * words.length)],
      )
      const text = `turkey ${line.join(random() < 0.2 ? ', ' : ' ')}`
      const tokens = spokenNumbers(tokensOf(text), text)
      expect(tokens.length).toBeLessThanOrEqual(tokensOf(text).length)
      for (const token of tokens) expect(token.to).toBeGreaterThan(token.from)
      const reading = readLine(text, CONTEXT)
      if (reading.ok) for (const roast of reading.value.roasts) expect(roast.mass_kg).toBeGreaterThan(0)
    }
  }, 60_000)
})

describe('the numbers of a list', () => {
  it('say nothing where they count up from one', () => {
    expect(numbersTaken('1. turkey 14lb 2. ham 8lb')).toBe('turkey 14 lb ham 8 lb')
    expect(numbersTaken('roast 1: rib 3kg; roast 2: belly')).toBe('roast rib 3 kg roast belly')
  })

  it.each(['2. turkey 3. ham', '1. turkey', 'turkey 1.5 kg', 'serve at 1. turkey, then 3. ham'])(
    '%s has none',
    (line) => {
      expect(enumerated(tokensOf(line), line)).toHaveLength(tokensOf(line).length)
    },
  )
})

describe('breakfast', () => {
  it.each([
    ['ham for breakfast at 9', 'ham for breakfast at 9 am'],
    ['breakfast 8:30', 'breakfast 8:30 am'],
    ['breakfast at 11 am', 'breakfast at 11 am'],
    ['dinner at 9', 'dinner at 9'],
  ])('%s', (line, means) => {
    expect(
      breakfasts(tokensOf(line))
        .map(({ text }) => text)
        .join(' '),
    ).toBe(means)
  })
})
