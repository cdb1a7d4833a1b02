import type { Span } from '../problem/problem'

/** Nobody types more than this to name a meal; what is longer was pasted by mistake. Characters. */
export const LONGEST_LINE = 600

/** One word or number of a line, in one spelling, with its place as it was typed. */
export interface Token extends Span {
  readonly text: string
  /** As it was typed, where its spelling was mended. */
  readonly was?: string
  /** A comma, a full stop or the like stands before it. */
  readonly parted: boolean
}

const FRACTIONS: ReadonlyMap<string, string> = new Map(
  Object.entries({
    '¼': '1/4',
    '½': '1/2',
    '¾': '3/4',
    '⅓': '1/3',
    '⅔': '2/3',
    '⅛': '1/8',
  }),
)
/** Dates, clocks and ordinals stay as they are; every other number parts from what is glued to it. */
const PIECE =
  /[£$€] ?\d+(?:[.,]\d+)?(?: ?\/ ?(?:kg|kilo|lb|pound|head|person))?|\b\d{1,2}h\d{2}\b|\b(?:o\/n|m\/[rw])\b|\d{4}-\d{2}-\d{2}|\d{1,2}[/.]\d{1,2}[/.](?:\d{4}|\d{2})\b|\d{1,2}:\d{2}|\d{1,2}\.\d{2}(?=[ap]m\b)|(?<=\d[.\s]?|\p{L}\s)[ap]\.\s?m\b\.?|\d+(?:st|nd|rd|th)\b|(?<!\d)\d{1,2}\/\d{1,2}(?!\d)|\d+[.,]\d+|\d+|[¼½¾⅓⅔⅛]|\p{L}[\p{L}\p{M}'’]*|\+|&|"|@|→|[-=]>|(?<=\d ?)#|(?<=\d ?)%(?= (?:of |like |want )?(?:the |them |us )?(?:guests |people |table )?(?:rare|med(?:ium)?|well|pink|bloody|blue|mr|mw)\b)/giu
/** Signs that stand for a word: an arrow goes to what it points at. */
const SIGNS: ReadonlyMap<string, string> = new Map(
  Object.entries({ '→': 'to', '->': 'to', '=>': 'to', '#': 'lb', '@': 'at', '%': 'percent' }),
)
/** "p.m." */
const HALVES = /^([ap])\.\s?m\.?$/i
/** Letters that no accent makes. */
const LIGATURES: Readonly<Record<string, string>> = { œ: 'oe', æ: 'ae', ß: 'ss' }
/** "56°" is a core, whatever comes after it. */
const CORE_NUMBER = /^[4-9]\d$/
const DEGREE_SIGN = /^[°º](?!\s?[cf]\b)/i
/** "15' at 250", "45 min/kg", "20 mins/500g". */
const MINUTE_SIGN = /^['\u2019\u2032](?![\p{L}\d])/u
export const TIME = /^(?:mins?|minutes?|h|hrs?|hours?)$/i
const PER = /^ ?\/ ?(?:\d+ ?)?(?:kg|kilo|lb|pound|g)/i
/** An hour of the day from here on, a span of hours before: 19h30, 1h20. */
const FIRST_CLOCK_H = 13
/** After the name of a day from here on. */
const LED_CLOCK_H = 9
/** Days as they are called where a cook writes German or French, in the order of ours. */
export const DAYS_ABROAD: readonly (readonly string[])[] = [
  'sonntag montag dienstag mittwoch donnerstag freitag samstag'.split(' '),
  'dimanche lundi mardi mercredi jeudi vendredi samedi'.split(' '),
]
const DAY_LEADS = new RegExp(
  `^(?:(?:sun|mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?)(?:day)?|${DAYS_ABROAD.flat().join('|')}|midi|noel)$`,
  'i',
)

/** "Pull: 118 F", "rest: 30 min": what stands behind the colon is of the word before it. */
const LABELS = /^(?:pull|pulled|rest|core|target|internal|finish|sear|serve|served)$/
/** Grams as they are written. */
export const GRAM = 'g|gr|gms?|grams?|grammes'
const GRAMS = new RegExp(`^ ?(?:${GRAM})\\b`, 'i')
/** Those who eat at an hour, after how many they are. */
export const COVERS = 'people|persons|covers|pax|guests'
const PARTS = /[,;.:!?()|\u2013\u2014\n]/
/** "rib eye 2 kg / 54 / 120" is parted too; "20 min / lb" is not. */
const STROKE = /^\s+\/\s+$/
const EACH = /^(?:lbs?|pounds?|kgs?|kilos?|g|person|people|head|portion|guest|side)$/i

/**
 * A line as words and numbers of one spelling: lower case, accents gone, hyphens open, units parted from numbers,
 * fractions written out. Each knows where it stood.
 *
 * @example tokensOf('2½lb bone-in').map(({ text }) => text) // ['2', '1/2', 'lb', 'bone', 'in']
 */
export function tokensOf(line: string): Token[] {
  const tokens: Token[] = []
  let last = 0
  for (const found of line.matchAll(PIECE)) {
    const from = found.index
    const raw = found[0]
    const gap = line.slice(last, from)
    const isLabelled = /^: *$/.test(gap) && LABELS.test(tokens.at(-1)?.text ?? '')
    const parted = (PARTS.test(gap) && !isLabelled) || (STROKE.test(gap) && !EACH.test(raw))
    last = from + raw.length
    const hours = raw.match(/^(\d{1,2})h(\d{2})$/i)
    if (hours) {
      const led = !parted && DAY_LEADS.test(tokens.at(-1)?.text ?? '')
      tokens.push(...spanOrClock(hours[1] as string, hours[2] as string, { from, to: last, parted }, led))
      continue
    }
    const text =
      FRACTIONS.get(raw) ??
      SIGNS.get(raw) ??
      HALVES.exec(raw)?.[1]?.toLowerCase().concat('m') ??
      raw
        .normalize('NFKD')
        .replace(/\p{M}/gu, '')
        .toLowerCase()
        .replace(/[œæß]/g, (letter) => LIGATURES[letter] ?? letter)
        .replaceAll('’', "'")
        // "3,200 g" are thousands, "3,2 kg" and "1,250 kg" no.
        .replace(/^(\d{1,2})[.,](\d{3})$/, (whole, head, tail) => (GRAMS.test(line.slice(last)) ? head + tail : whole))
        .replace(/^(\d+),(\d+)$/, '$1.$2')
    tokens.push({ text, from, to: last, parted: parted && !HALVES.test(raw) })
    if (CORE_NUMBER.test(raw) && DEGREE_SIGN.test(line.slice(last)))
      tokens.push({ text: 'deg', from: last, to: last + 1, parted: false })
    const rest = line.slice(last, last + 16)
    const sign =
      MINUTE_SIGN.test(rest) && /^\d{1,3}$/.test(raw) ? 'min' : PER.test(rest) && TIME.test(raw) ? 'per' : undefined
    if (sign) tokens.push({ text: sign, from: last, to: last + 1, parted: false })
  }
  return tokens
}

/** What "1h20" says, as the words it is short for; all stand where it stood. @param led by the name of a day */
function spanOrClock(hours: string, minutes: string, at: Omit<Token, 'text'>, led: boolean): Token[] {
  const said =
    Number(hours) >= (led ? LED_CLOCK_H : FIRST_CLOCK_H) ? [`${hours}:${minutes}`] : [hours, 'h', minutes, 'min']
  return said.map((text, i) => ({ ...at, text, parted: i === 0 && at.parted }))
}

/** The word at a place; none beyond the ends. */
export const textAt = (tokens: readonly Token[], at: number): string => tokens[at]?.text ?? ''

/** Words that are one, and the one that stands for them. */
export interface Made {
  readonly count: number
  readonly text: string
}
/** What some words from a place on say; undefined where they say something else. */
export type Rule = (tokens: readonly Token[], at: number, line: string) => Made | undefined

/** Between two tokens nothing but a dash stands. */
export const DASHED = /^\s*[-\u2013\u2014]\s*$/

/**
 * Words made one by the first rule that knows them, each where its first one stood; the others stay as they are.
 * @param line the line they stand in, for what stands between two words
 */
export function madeOne(tokens: readonly Token[], line: string, rules: readonly Rule[]): Token[] {
  const made: Token[] = []
  for (let at = 0; at < tokens.length; ) {
    const token = tokens[at] as Token
    let found: Made | undefined
    for (const rule of rules) {
      found = rule(tokens, at, line)
      if (found) break
    }
    made.push(found ? { ...token, text: found.text, to: (tokens[at + found.count - 1] as Token).to } : token)
    at += found?.count ?? 1
  }
  return made
}

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  couple: 2,
  pair: 2,
  brace: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
  twenty: 20,
  thirty: 30,
  forty: 40,
  half: 0.5,
  quarter: 0.25,
}

/** A number as cooks write it: 2, 2.7, 1 1/2, 3/4, two, a, half a, two and a half. */
export const NUMBER = String.raw`(?:\d+(?: \d+\/\d+|\/\d+|(?:\.\d+)?(?: and a half)?)|half an?|an? half|quarter of an?|(?:${Object.keys(NUMBER_WORDS).join('|')})(?: and a half)?)`

/**
 * The value of such a number.
 * @example numberOf('1 1/2') // 1.5
 */
export function numberOf(text: string): number {
  const mixed = text.match(/^(\d+) (\d+)\/(\d+)$/)
  if (mixed) return Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3])
  const fraction = text.match(/^(\d+)\/(\d+)$/)
  if (fraction) return Number(fraction[1]) / Number(fraction[2])
  const half = text.match(/^(.+) and a half$/)
  if (half) return numberOf(half[1] as string) + 0.5
  if (/^(?:half an?|an? half)$/.test(text)) return 0.5
  if (/^quarter of an?$/.test(text)) return 0.25
  return NUMBER_WORDS[text] ?? Number(text)
}
