import { MEASURED } from './said-clock'
import { DASHED, madeOne, type Rule, TIME, type Token } from './tokens'

/** Numbers said as "from so much to so much", made the one in the middle. */

const SO_HOT = /^(?:c|f|degrees?|deg)$/
/** "5 to 40 minutes" says no length, "20-90 C" no heat. */
const MOST_TIMES = 3
const MOST_DEGREES = 30
/** "52-54" is a core and nothing else, °C. */
const CORES_C = { least: 45, most: 75, apart: 6 } as const
/** "17-19h" are hours of the day, h. */
const LONGEST_H = 16

/** What the range at a place comes to, with the tokens that it takes. */
const middle: Rule = (tokens, at, line) => {
  const first = tokens[at] as Token
  const joiner = tokens[at + 1]
  const dashed = DASHED.test(line.slice(first.to, joiner?.from))
  if (!dashed && !/^(?:to|or)$/.test(joiner?.text ?? '')) return undefined
  const second = at + (dashed ? 1 : 2)
  const unit = tokens[second + 1]?.text ?? ''
  const [least, most] = [Number(first.text), Number(tokens[second]?.text)]
  if (!(least > 0 && most > least)) return undefined
  const lasts = TIME.test(unit) && most <= MOST_TIMES * least && !(unit.startsWith('h') && most > LONGEST_H)
  // "120 to 54 C" is how far.
  const hot = dashed && SO_HOT.test(unit) && most - least <= MOST_DEGREES
  const core = dashed && least >= CORES_C.least && most <= CORES_C.most && most - least <= CORES_C.apart
  return lasts || hot || (core && !MEASURED.test(unit))
    ? { count: second + 1 - at, text: String((least + most) / 2) }
    : undefined
}

const HALF: Readonly<Record<string, number>> = { '1/2': 0.5, '1/4': 0.25, '3/4': 0.75 }
/** "3 1/2 to 4 hours". */
const mixed: Rule = (tokens, at, line) => {
  const part = HALF[tokens[at + 1]?.text ?? '']
  const first = tokens[at]
  if (!first || part === undefined || !/^\d{1,2}$/.test(first.text)) return undefined
  const whole = { ...first, text: String(Number(first.text) + part), to: (tokens[at + 1] as Token).to }
  const found = middle([whole, ...tokens.slice(at + 2)], 0, line)
  return found && { count: found.count + 1, text: found.text }
}

/** "125F-130F": the unit said twice. */
const twiceSaid: Rule = (tokens, at, line) => {
  const [first, unit, second, again] = tokens.slice(at, at + 4)
  if (!first || !unit || !second || unit.text !== again?.text || !SO_HOT.test(unit.text)) return undefined
  const [least, most] = [Number(first.text), Number(second.text)]
  const isRange = DASHED.test(line.slice(unit.to, second.from)) && least > 0 && most > least
  return isRange && most - least <= MOST_DEGREES ? { count: 3, text: String((least + most) / 2) } : undefined
}

/** "Half a dozen": no dozen. */
const halfDozen: Rule = (tokens, at) =>
  ['half', 'a', 'dozen'].every((word, i) => tokens[at + i]?.text === word) ? { count: 3, text: '6' } : undefined

/**
 * "10-15 minutes", "3 to 4 hours", "54-56 C": the middle of it, as one number where the range stood; "half a dozen" is six.
 * @param line the line they stand in, for what stands between two words
 */
export const middles = (tokens: readonly Token[], line: string): Token[] =>
  madeOne(tokens, line, [middle, mixed, twiceSaid, halfDozen])
