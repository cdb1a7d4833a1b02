import { numberOf, type Token } from './tokens'

/** Hours and dates as they are said in words: each made one word that a moment is read from. */

/** A word that names a day or a month. */
export const DAYS_SAID =
  /^(?:today|tonight|tomorrow|\d{4}-\d{2}-\d{2}|(?:sun|mon|tue|wed|thu|fri|sat|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*)$/
export const MONTH = /^(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)/
/** What a number is that is no hour. */
export const MEASURED =
  /^(?:kgs?|kilos?|kilograms?|g|gr|gms?|grams?|lbs?|pounds?|oz|ounces?|mm|cm|inch|inches|people|persons?|guests?|heads?|covers?|adults?|min|mins|minutes?|hours?|hrs?|x|c|f|degrees)$/

/** Minutes before or after an hour, in words. */
const PARTS_OF_AN_HOUR: Readonly<Record<string, number>> = { five: 5, ten: 10, quarter: 15, twenty: 20 }

/** Before an hour that is half past. */
const HALF_OF = /^(?:at|by|around|about|eat|eating|ready|table|for)$/
/** An hour of twelve as roasts are eaten by, and so many minutes before or after it. */
function clockOf(hour12: number, minutes = 0): string {
  const at_min = (hour12 < 11 ? hour12 + 12 : hour12) * 60 + minutes
  return `${Math.floor(at_min / 60)}:${String(at_min % 60).padStart(2, '0')}`
}
export const isHour12 = (value: number) => Number.isInteger(value) && value >= 1 && value <= 12

/** Hours said in words: half past seven, quarter to eight, seven o'clock. Roasts are eaten after noon. */
export function clocks(tokens: readonly Token[]): Token[] {
  const made: Token[] = []
  for (let i = 0; i < tokens.length; i++) {
    const token = tokens[i] as Token
    const [part, side, hour] = [token.text, tokens[i + 1]?.text, tokens[i + 2]]
    const minutes =
      part === 'half' && side === 'past'
        ? 30
        : (side === 'past' || side === 'to') && tokens[i - 1]?.text !== 'for'
          ? PARTS_OF_AN_HOUR[part] && PARTS_OF_AN_HOUR[part] * (side === 'past' ? 1 : -1)
          : undefined
    const said = minutes === undefined ? undefined : hour && numberOf(hour.text)
    if (
      minutes !== undefined &&
      hour &&
      said !== undefined &&
      isHour12(said) &&
      !MEASURED.test(tokens[i + 3]?.text ?? '')
    ) {
      made.push({ ...token, to: hour.to, text: clockOf(said, minutes) })
      i += 2
      continue
    }
    if (side === "o'clock" || side === 'oclock') {
      const value = numberOf(part)
      if (isHour12(value)) {
        made.push({ ...token, to: (tokens[i + 1] as Token).to, text: clockOf(value) })
        i++
        continue
      }
    }
    // 12 noon, 12:30 noon
    if (/^12(?:[:.][0-5]\d)?$/.test(part) && /^(?:noon|midday)$/.test(side ?? '')) {
      made.push({ ...token, to: (tokens[i + 1] as Token).to, text: part === '12' ? '12:00' : part })
      i++
      continue
    }
    // "half seven" is half past seven.
    const halfHour =
      part === 'half' && i > 0 && HALF_OF.test(tokens[i - 1]?.text ?? '') ? numberOf(side ?? '') : Number.NaN
    if (isHour12(halfHour) && !/^an?$/.test(side ?? '') && !MEASURED.test(hour?.text ?? '')) {
      made.push({ ...token, to: (tokens[i + 1] as Token).to, text: clockOf(halfHour, 30) })
      i++
      continue
    }
    // 730 pm
    const close = /^(1[0-2]|[1-9])([0-5]\d)$/.exec(part)
    if (close && /^[ap]m$/.test(side ?? '')) {
      const hours = (Number(close[1]) % 12) + (side === 'pm' ? 12 : 0)
      made.push({ ...token, to: (tokens[i + 1] as Token).to, text: `${hours}:${close[2]}` })
      i++
      continue
    }
    // 1930 h, at 1930
    const military = /^([01]\d|2[0-3])([0-5]\d)$/.exec(part)
    const hoursSaid = /^(?:h|hrs?|hours?)$/.test(side ?? '')
    if (
      military &&
      (hoursSaid || (/^(?:at|by|eat|serve|table|ready)$/.test(tokens[i - 1]?.text ?? '') && !MEASURED.test(side ?? '')))
    ) {
      made.push({
        ...token,
        to: (hoursSaid ? (tokens[i + 1] as Token) : token).to,
        text: `${military[1]}:${military[2]}`,
      })
      if (hoursSaid) i++
      continue
    }
    // around 7
    const next = tokens[i + 1]
    if (
      i > 0 &&
      tokens[i - 1]?.text === 'around' &&
      /^(?:[1-9]|1[0-2])$/.test(part) &&
      (!next || next.parted || DAYS_SAID.test(next.text))
    ) {
      made.push({ ...token, text: clockOf(Number(part)) })
      continue
    }
    // 7ish
    if (side === 'ish' && /^(?:[1-9]|1[0-2])$/.test(part)) {
      made.push({
        ...token,
        to: (tokens[i + 1] as Token).to,
        text: clockOf(Number(part)),
      })
      i++
      continue
    }
    const led = i > 0 && /^(?:at|by)$/.test(tokens[i - 1]?.text ?? '')
    const hour12 =
      led && /^[a-z]+$/.test(part) && !['a', 'an', 'half', 'quarter'].includes(part) ? numberOf(part) : Number.NaN
    if (isHour12(hour12) && !MEASURED.test(side ?? '')) {
      made.push({ ...token, text: clockOf(hour12) })
      continue
    }
    made.push(token)
  }
  return made
}
