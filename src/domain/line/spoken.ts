import { partOfDay } from './part-of-day'
import { COVERS, GRAM, madeOne, type Rule, TIME, type Token, textAt } from './tokens'

/** Numbers as they are spoken, or typed in haste: fourteen, twenty-two, two hundred and ten, one point eight, 1 kilo 800. */

const ONES: readonly string[] = 'one two three four five six seven eight nine'.split(' ')
const TEENS: readonly string[] = 'thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(' ')
const TENS: readonly string[] = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ')
/** Such a word after a worded hour is its minutes: seven fifteen. */
export const HOUR_WORDS: ReadonlySet<string> = new Set([...ONES, 'ten', 'eleven', 'twelve'])
const UNIT = /^(?:f|c|degrees?|deg|fahrenheit|celsius|centigrade)$/
/** From sixty on no hour has so many minutes: "one eighty" is a heat. */
const NO_MINUTES = 60

/** No oven is hotter than four hundred and something, and "five thirty for an hour" is half past five. */
const MOST_HEAD = 4
/** No core reads three hundred. */
const MOST_CORE_HEAD = 2

const TO_TEN: readonly string[] = [...ONES, 'ten']
const one = (word: string): number => ONES.indexOf(word) + 1
/** No comma stands between the words of one number. */
const joined = (tokens: readonly Token[], at: number): boolean => tokens[at]?.parted === false

interface Spoken {
  readonly value: number
  readonly count: number
}

/** Under a hundred: sixteen, fifty, twenty two. */
function underHundred(tokens: readonly Token[], at: number): Spoken | undefined {
  const word = textAt(tokens, at)
  const teen = TEENS.indexOf(word)
  if (teen >= 0) return { value: teen + 13, count: 1 }
  const tens = 10 * (TENS.indexOf(word) + 2)
  if (tens < 20) return undefined
  const unit = joined(tokens, at + 1) ? one(textAt(tokens, at + 1)) : 0
  return { value: tens + unit, count: unit > 0 ? 2 : 1 }
}

/** "Two hundred and ten", "a hundred and sixty five", "three hundred fifty". */
const hundreds: Rule = (tokens, at) => {
  const word = textAt(tokens, at)
  const head = word === 'a' ? 1 : one(word)
  if (head < 1 || textAt(tokens, at + 1) !== 'hundred' || !joined(tokens, at + 1)) return undefined
  const and = textAt(tokens, at + 2) === 'and' ? 1 : 0
  const next = at + 2 + and
  const under = joined(tokens, next) ? underHundred(tokens, next) : undefined
  // "Two hundred five degrees"; "two hundred, five minutes" are two numbers.
  const few = joined(tokens, next) ? TO_TEN.indexOf(textAt(tokens, next)) + 1 : 0
  const after = tokens[next + 1]
  const ends = and > 0 || few === 10 || after === undefined || after.parted || UNIT.test(after.text)
  const rest = under ?? (few > 0 && ends ? { value: few, count: 1 } : undefined)
  return rest
    ? { count: 2 + and + rest.count, text: String(100 * head + rest.value) }
    : { count: 2, text: String(100 * head) }
}

const LEADS_HOUR = /^(?:at|by|for|dinner|lunch|supper|eat|serve|table|ready)$/
/** "Nineteen hundred", "at eighteen thirty". */
const ofTheDay: Rule = (tokens, at) => {
  const hour = underHundred(tokens, at)
  if (!hour || hour.value > 23 || !joined(tokens, at + hour.count)) return undefined
  const next = at + hour.count
  if (textAt(tokens, next) === 'hundred') return { count: hour.count + 1, text: `${hour.value}:00` }
  const minutes = hour.count === 1 && LEADS_HOUR.test(textAt(tokens, at - 1)) ? underHundred(tokens, next) : undefined
  return minutes && minutes.value < 60 && minutes.value % 5 === 0
    ? { count: 1 + minutes.count, text: `${hour.value}:${minutes.value}` }
    : undefined
}

/** After these a number of two parts is no hour: what it is set in, how long it lasts, what it reads. */
const HEATED = /^(?:oven|smoker|grill|fan|fire)$/
const READS = /^(?:until|till|to|pull|reads|internal|core)$/
/** "One eighty" is a heat, "three fifty degrees" too; "seven twenty" is an hour. */
const heatInTwo: Rule = (tokens, at) => {
  const head = one(textAt(tokens, at))
  const under = head > 0 && joined(tokens, at + 1) ? (underHundred(tokens, at + 1) ?? tenAt(tokens, at + 1)) : undefined
  if (!under) return undefined
  const next = at + 1 + under.count
  const [before, follows] = [textAt(tokens, at - 1), textAt(tokens, next)]
  // "Seven hours at one ten", "225 degrees until one twenty".
  const said =
    (head <= MOST_HEAD && before === 'at' && TIME.test(textAt(tokens, at - 2))) ||
    (head <= MOST_CORE_HEAD &&
      READS.test(before) &&
      tokens.slice(Math.max(0, at - 5), at - 1).some(({ text: word }) => isHeatWord(word)))
  // "Two fifty for ten minutes", "one twenty until fifty two", "then three twenty five".
  const lasts =
    head <= MOST_HEAD &&
    (/^(?:until|till)$/.test(follows) ||
      before === 'then' ||
      // "Four twenty five", "three fifty to one sixty", where no hour is led.
      (under.value % 25 === 0 && !LEADS_HOUR.test(before)) ||
      (follows === 'for' && tokens.slice(next + 1, next + 4).some(({ text: word }) => TIME.test(word))))
  const isHeat =
    under.value >= NO_MINUTES || UNIT.test(follows) || (HEATED.test(follows) && joined(tokens, next)) || said || lasts
  return isHeat ? { count: 1 + under.count, text: String(100 * head + under.value) } : undefined
}
const isHeatWord = (word: string): boolean =>
  UNIT.test(word) || HEATED.test(word) || word === 'hundred' || /^\d{3}$/.test(word)
const tenAt = (tokens: readonly Token[], at: number): Spoken | undefined =>
  textAt(tokens, at) === 'ten' ? { value: 10, count: 1 } : undefined

/** "Pull at two oh three" reads 203; "at seven oh five" is an hour. */
const ohs: Rule = (tokens, at) => {
  const [head, last] = [one(textAt(tokens, at)), one(textAt(tokens, at + 2))]
  if (head < 1 || last < 1 || !/^(?:oh|o|zero)$/.test(textAt(tokens, at + 1))) return undefined
  if (!joined(tokens, at + 1) || !joined(tokens, at + 2)) return undefined
  const reads = [1, 2].some((back) => READS.test(textAt(tokens, at - back)))
  if (reads) return { count: 3, text: `${head}0${last}` }
  return LEADS_HOUR.test(textAt(tokens, at - 1)) ? { count: 3, text: `${head}:0${last}` } : undefined
}

/** "Seven p m". */
const letters: Rule = (tokens, at) =>
  /^[ap]$/.test(textAt(tokens, at)) && textAt(tokens, at + 1) === 'm' && joined(tokens, at + 1)
    ? { count: 2, text: `${textAt(tokens, at)}m` }
    : undefined

const QUARTERS: Readonly<Record<string, number>> = { 'a quarter': 0.25, 'a half': 0.5, 'three quarters': 0.75 }
/** "Two and a quarter kilos", "a kilo and a half", "a kilo point two": the words after the whole, and what they come to. */
function partAfter(tokens: readonly Token[], at: number): Spoken | undefined {
  if (textAt(tokens, at) === 'point' && one(textAt(tokens, at + 1)) > 0)
    return { value: one(textAt(tokens, at + 1)) / 10, count: 2 }
  // "20 min per pound and a half hour".
  if (textAt(tokens, at) !== 'and' || TIME.test(textAt(tokens, at + 3))) return undefined
  const value = QUARTERS[`${textAt(tokens, at + 1)} ${textAt(tokens, at + 2)}`]
  return value === undefined ? undefined : { value, count: 3 }
}
const A_UNIT = /^(?:kilos?|kilograms?|kgs?|pounds?|lbs?)$/
const withPart: Rule = (tokens, at) => {
  const word = textAt(tokens, at)
  const named = /^an?$/.test(word) && A_UNIT.test(textAt(tokens, at + 1)) ? at + 1 : A_UNIT.test(word) ? at : -1
  // "A kilo and a half", "topside kilo and a half": of one of them.
  if (named >= 0) {
    if (named === at && /^\d|^(?:an?|half|quarter|per|each|every|of|by)$/.test(textAt(tokens, at - 1))) return undefined
    if (named === at && HOUR_WORDS.has(textAt(tokens, at - 1))) return undefined
    const part = partAfter(tokens, named + 1)
    return part && { count: named - at + 1 + part.count, text: `${1 + part.value} ${textAt(tokens, named)}` }
  }
  const whole = /^\d{1,2}$/.test(word) ? Number(word) : one(word)
  const part = whole > 0 && textAt(tokens, at + 1) === 'and' ? partAfter(tokens, at + 1) : undefined
  return part && A_UNIT.test(textAt(tokens, at + 1 + part.count))
    ? { count: 1 + part.count, text: String(whole + part.value) }
    : undefined
}

/** "One point eight", "2 point 5". */
const decimal: Rule = (tokens, at) => {
  const word = textAt(tokens, at)
  const head = /^\d{1,2}$/.test(word) ? word : one(word) > 0 ? String(one(word)) : undefined
  if (head === undefined || textAt(tokens, at + 1) !== 'point' || !joined(tokens, at + 1)) return undefined
  const digits: string[] = []
  for (let next = at + 2; joined(tokens, next); next++) {
    const said = textAt(tokens, next)
    const digit = /^\d$/.test(said) ? said : one(said) > 0 ? String(one(said)) : undefined
    if (digit === undefined) break
    digits.push(digit)
  }
  return digits.length > 0 ? { count: 2 + digits.length, text: `${head}.${digits.join('')}` } : undefined
}

/** "Fourteen", "twenty two"; the round tens up to forty are words of their own. */
const plain: Rule = (tokens, at) => {
  const found = underHundred(tokens, at)
  if (!found || (HOUR_WORDS.has(textAt(tokens, at - 1)) && joined(tokens, at))) return undefined
  return found.value > 12 && !(found.count === 1 && found.value <= 40 && found.value >= 20)
    ? { count: found.count, text: String(found.value) }
    : undefined
}

/** "An hour and ten": minutes. */
const hourAnd: Rule = (tokens, at) => {
  if (textAt(tokens, at) !== 'and' || !/^(?:hours?|hrs?)$/.test(textAt(tokens, at - 1))) return undefined
  const word = textAt(tokens, at + 1)
  const under = underHundred(tokens, at + 1)
  const minutes = under?.value ?? { five: 5, ten: 10 }[word] ?? (/^[1-5]?\d$/.test(word) ? Number(word) : Number.NaN)
  const end = at + 1 + (under?.count ?? 1)
  const ends = tokens[end] === undefined || tokens[end]?.parted || /^(?:at|in|then)$/.test(textAt(tokens, end))
  return minutes >= 5 && minutes < 60 && ends ? { count: end - at, text: `and ${minutes} min` } : undefined
}

/** "20 min a 250": at so much, as it is written without its accent. */
const aHeat: Rule = (tokens, at) => {
  if (textAt(tokens, at) !== 'a' || !/^(?:[89]\d|1\d\d|2\d\d)$/.test(textAt(tokens, at + 1))) return undefined
  const after = textAt(tokens, at + 2)
  return TIME.test(textAt(tokens, at - 1)) && !KILOS.test(after) && !GRAMS.test(after)
    ? { count: 1, text: 'at' }
    : undefined
}

const KILOS = /^(?:kg|kgs|kilo|kilos|kilograms?)$/
/** What is set in °C is less. */
const LEAST_GRAMS = 300
const GRAMS = new RegExp(`^(?:${GRAM})$`)
/** "1 kilo 800", "2 kg 300 grams": one weight. */
const kilosAndGrams: Rule = (tokens, at) => {
  const [kilos, grams] = [textAt(tokens, at), textAt(tokens, at + 2)]
  if (!/^\d{1,2}$/.test(kilos) || !KILOS.test(textAt(tokens, at + 1)) || !/^\d{3}$/.test(grams)) return undefined
  if (!joined(tokens, at + 1) || !joined(tokens, at + 2)) return undefined
  const named = GRAMS.test(textAt(tokens, at + 3)) && joined(tokens, at + 3)
  // "2 kg 180", "2 kilos 180" may as well be an oven, "1 kilo 800" not.
  const glued = tokens[at + 1]?.to === tokens[at + 2]?.from
  const after = textAt(tokens, at + 3)
  const isNoHeat =
    Number(grams) >= LEAST_GRAMS && /^kilo/.test(textAt(tokens, at + 1)) && !UNIT.test(after) && !HEATED.test(after)
  if (!named && !glued && !isNoHeat) return undefined
  // One word: its unit stays with it.
  return { count: named ? 4 : 3, text: `${Number(kilos) + Number(grams) / 1000} kg` }
}

const NOT_ABOUT = /^(?:for|of|is|it's|weighs|weighing|feeds|feeding|serves|serving|are|at|takes|rest|oven|core)$/
/** "Tonight about 7", "chicken, about 7": a bare number with nothing after it is an hour, as "around 7" is. */
const aboutAnHour: Rule = (tokens, at) => {
  if (textAt(tokens, at) !== 'about' || NOT_ABOUT.test(textAt(tokens, at - 1))) return undefined
  const isAlone = tokens[at + 2] === undefined || !joined(tokens, at + 2)
  return isAlone && joined(tokens, at + 1) && /^(?:[1-9]|1[0-2])$/.test(textAt(tokens, at + 1))
    ? { count: 1, text: 'around' }
    : undefined
}

/** "550 F x 6 min": so hot for so long. */
const heatTimes: Rule = (tokens, at) =>
  textAt(tokens, at) === 'x' &&
  /^(?:\d{3}|[cf]|degrees?|deg)$/.test(textAt(tokens, at - 1)) &&
  /^\d+$/.test(textAt(tokens, at + 1)) &&
  TIME.test(textAt(tokens, at + 2))
    ? { count: 1, text: 'for' }
    : undefined

const A_DAY = /^(?:(?:sun|mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?)(?:day)?|tomorrow|today|thanksgiving)$/
const A_FEAST = /^(?:christmas|xmas|boxing|new years?) (?:day|eve)$/
/** "Goose 5 kg, 2 Christmas day": before a day, and nothing else, it is an hour. */
const hourBeforeDay: Rule = (tokens, at) => {
  const word = textAt(tokens, at)
  if (!/^[1-9]$/.test(word) || (at > 0 && joined(tokens, at)) || !joined(tokens, at + 1)) return undefined
  const count = A_DAY.test(textAt(tokens, at + 1)) ? 1 : 2
  const day = textAt(tokens, at + 1) + (count === 2 ? ` ${textAt(tokens, at + 2)}` : '')
  const isAlone = tokens[at + 1 + count] === undefined || !joined(tokens, at + 1 + count)
  return isAlone && (A_DAY.test(day) || A_FEAST.test(day)) ? { count: 1, text: `${word}:00` } : undefined
}

/**
 * Spoken numbers as figures, each where its first word stood.
 * @param line the line they stand in
 */
export const spokenNumbers = (tokens: readonly Token[], line: string): Token[] =>
  madeOne(
    madeOne(tokens, line, [
      partOfDay,
      hourBeforeDay,
      heatTimes,
      aboutAnHour,
      letters,
      hundreds,
      ofTheDay,
      hourAnd,
      withPart,
      decimal,
      ohs,
      heatInTwo,
      aHeat,
      plain,
    ]),
    line,
    [kilosAndGrams],
  )

/** "1. turkey 6 kg 2. ham 3 kg", "roast 1: rib": the numbers of a list, which count up from one, say nothing. */
export function enumerated(tokens: readonly Token[], line: string): Token[] {
  const marks: number[] = []
  tokens.forEach(({ text: word, to }, at) => {
    const next = tokens[at + 1]
    const isMark = next && /^[.):]\s/.test(line.slice(to, next.from)) && /^\p{L}/u.test(next.text)
    if (isMark && word === String(marks.length + 1)) marks.push(at)
  })
  if (marks.length < 2) return [...tokens]
  return tokens.flatMap((token, at) =>
    marks.includes(at) ? [] : marks.includes(at - 1) ? [{ ...token, parted: true }] : [token],
  )
}

/** "Breakfast at 9": in the morning, as no roast else is eaten. */
export const breakfasts = (tokens: readonly Token[]): Token[] =>
  tokens.flatMap((token, at): Token[] => {
    const led = /^(?:at|by|for|is)$/.test(textAt(tokens, at - 1)) ? at - 2 : at - 1
    const isHour = /^(?:[5-9]|1[01])(?:[:.][0-5]\d)?$/.test(token.text) && !/^[ap]m$/.test(textAt(tokens, at + 1))
    return isHour && textAt(tokens, led) === 'breakfast' ? [token, { ...token, text: 'am', parted: false }] : [token]
  })

const THEY_EAT = new RegExp(`^(?:${COVERS})$`)
const AN_HOUR = /^\d{1,2}[:.][0-5]\d$|^(?:1[0-9]|2[0-3])[0-5][05]$|^[ap]m$/
/** "Saturday 7.30 x8", "19:00 x 12": an hour is for so many people, not so many times. */
export const covers = (tokens: readonly Token[]): Token[] =>
  tokens.flatMap((token, at): Token[] => {
    const isTimes = (i: number) => textAt(tokens, i) === 'x' && AN_HOUR.test(textAt(tokens, i - 1)) && joined(tokens, i)
    const isMany = (i: number) => /^\d{1,3}$/.test(textAt(tokens, i)) && joined(tokens, i)
    if (isTimes(at) && isMany(at + 1)) return []
    const isNamed = THEY_EAT.test(textAt(tokens, at + 1))
    return isTimes(at - 1) && isMany(at) && !isNamed ? [token, { ...token, text: 'people', parted: false }] : [token]
  })

/**
 * What was spoken, counted up and abbreviated, as it is written.
 * @param line the line they stand in
 */
export const written = (tokens: readonly Token[], line: string): Token[] =>
  spokenNumbers(breakfasts(covers(enumerated(tokens, line))), line)
