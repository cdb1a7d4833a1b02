import { SCHOOLS } from '@/core/program/schools'
import { CUTS } from '@/core/reference/cuts'
import { DONENESS_SCALES } from '@/core/reference/doneness'
import {
  celsius,
  fahrenheitToCelsius,
  gasMarkToCelsius,
  inchesToMetres,
  ouncesToKilograms,
  poundsToKilograms,
} from '@/core/units'
import { fail, type Outcome, type Problem, type Span, succeed } from '../problem/problem'
import { nearestOf } from '../quantity/nearest'
import { cutWords, nearestCuts } from '../roast/resolve'
import { LONGEST_MOMENT, readMoment } from './moment'

/** What one typed line says. Anything left out takes its usual value. */
export interface Line {
  readonly cut: string
  readonly mass_kg: number
  readonly thickness_mm?: number
  readonly start_c?: number
  readonly temper_min?: number
  readonly salted?: boolean
  readonly doneness?: string
  readonly serve_c?: number
  readonly oven?: 'still' | 'fan'
  readonly set_c?: number
  readonly school?: string
  readonly guests?: number
  /** Seconds since 1970; undefined when no time was said. */
  readonly promise_s?: number
}

/** Nobody types more than this to name one roast or one table; what is longer was pasted by mistake. Characters. */
export const LONGEST_LINE = 400

interface Word extends Span {
  readonly text: string
}

const NUMBER = String.raw`-?\d+(?:[.,]\d+)?`
const number = (text: string) => Number(text.replace(',', '.'))

/**
 * Splits a line into words with their places; a comma, a semicolon or a space ends a word.
 * @example wordsOf('beef rib').length // 2
 */
export function wordsOf(line: string): Word[] {
  return [...line.matchAll(/[^\s,;]+(?:(?<=\d),(?=\d)[^\s,;]+)?/g)].map((match) => ({
    text: match[0].toLowerCase(),
    from: match.index,
    to: match.index + match[0].length,
  }))
}

type Draft = { -readonly [Key in keyof Line]?: Line[Key] }

/** One thing a line can say: how many words it takes from here, and what it means. */
type Reader = (words: readonly Word[], at: number, context: Context) => Reading | undefined
interface Reading {
  readonly count: number
  readonly set: Draft
}
interface Context {
  readonly now_s: number
  readonly timeZone: string
}

/** The text of up to `count` words from a place, joined by spaces. */
const textOf = (words: readonly Word[], at: number, count: number) =>
  words
    .slice(at, at + count)
    .map((word) => word.text)
    .join(' ')

/** Matches a pattern against one to four words from here, longest first. */
function match(
  words: readonly Word[],
  at: number,
  pattern: RegExp,
  most = 4,
): { groups: RegExpMatchArray; count: number } | undefined {
  for (let count = Math.min(most, words.length - at); count >= 1; count--) {
    const groups = textOf(words, at, count).match(pattern)
    if (groups) return { groups, count }
  }
  return undefined
}

const exact = (source: string) => new RegExp(`^(?:${source})$`)
const MASS = exact(`(${NUMBER})\\s?(kg|kgs|kilo|kilos|kilograms?|g|grams?|lb|lbs|pounds?|oz|ounces?)`)
const POUNDS_OUNCES = exact(`(${NUMBER})\\s?(?:lb|lbs|pounds?)\\s?(${NUMBER})\\s?(?:oz|ounces?)`)
const THICKNESS = exact(`(${NUMBER})\\s?(mm|cm|in|inch|inches|")\\s?(?:thick|deep|through)`)
const TEMPERATURE = `(${NUMBER})\\s?(°\\s?c|°\\s?f|c|f|°)?`
const HEAT_AFTER = exact(`(oven|fan|fire|bath|at)\\s?(?:at )?${TEMPERATURE}`)
const HEAT_BEFORE = exact(`${TEMPERATURE}\\s?(oven|fan)`)
const GAS = exact(String.raw`gas(?: mark)?\s?(\d|¼|½|1\/4|1\/2)`)
const SERVE = exact(`(?:to |serve |serve at |core )?(${NUMBER})\\s?(°\\s?c|°\\s?f|c|f)(?: core)?`)
const START = exact(`(?:from|starts?|start at)\\s?(${NUMBER})\\s?(°\\s?c|°\\s?f|c|f|°)?`)
const FRIDGE = exact('(?:from the |from )?fridge(?:[- ]cold)?')
const BENCH = exact(`(?:bench|temper|out)\\s?(${NUMBER})\\s?(min|mins|minutes|h|hours?)`)
const GUESTS = exact(String.raw`(?:for|feeds?)\s?(\d+)(?: people| guests| heads?)?|(\d+) (?:people|guests|heads?)`)

/** A bare number for an oven above 290 can only be °F: no domestic dial goes there in °C. */
const asCelsius = (value: number, unit: string | undefined, fahrenheitAbove: number) => {
  const mark = unit?.replace(/[°\s]/g, '')
  return mark === 'f' || (!mark && value > fahrenheitAbove) ? fahrenheitToCelsius(value) : celsius(value)
}

const readers: readonly Reader[] = [
  (words, at) => {
    const both = match(words, at, POUNDS_OUNCES)
    if (both) {
      const mass =
        poundsToKilograms(number(both.groups[1] as string)) + ouncesToKilograms(number(both.groups[2] as string))
      return { count: both.count, set: { mass_kg: mass } }
    }
    const thick = match(words, at, THICKNESS)
    if (thick) {
      const value = number(thick.groups[1] as string)
      const unit = thick.groups[2] as string
      const metres = unit === 'mm' ? value / 1000 : unit === 'cm' ? value / 100 : inchesToMetres(value)
      return { count: thick.count, set: { thickness_mm: Math.round(metres * 10_000) / 10 } }
    }
    const one = match(words, at, MASS, 2)
    if (!one) return undefined
    const value = number(one.groups[1] as string)
    const unit = one.groups[2] as string
    const mass = unit.startsWith('k')
      ? value
      : unit.startsWith('g')
        ? value / 1000
        : unit.startsWith('o')
          ? ouncesToKilograms(value)
          : poundsToKilograms(value)
    return { count: one.count, set: { mass_kg: mass } }
  },
  (words, at) => {
    const gas = match(words, at, GAS, 3)
    if (gas) {
      const mark = { '¼': 0.25, '1/4': 0.25, '½': 0.5, '1/2': 0.5 }[gas.groups[1] as string] ?? Number(gas.groups[1])
      const set_c = gasMarkToCelsius(mark)
      return set_c === undefined ? undefined : { count: gas.count, set: { set_c, oven: 'still' } }
    }
    const before = match(words, at, HEAT_BEFORE, 3)
    const after = match(words, at, HEAT_AFTER, 4)
    const heat =
      before && (!after || before.count >= after.count)
        ? { count: before.count, kind: before.groups[3], value: before.groups[1], unit: before.groups[2] }
        : after && { count: after.count, kind: after.groups[1], value: after.groups[2], unit: after.groups[3] }
    if (!heat) return undefined
    // "at 7" is a time, "at 160" a heat.
    if (heat.kind === 'at' && !heat.unit && number(heat.value as string) < 48) return undefined
    const set: Draft = { set_c: Math.round(asCelsius(number(heat.value as string), heat.unit, 300) * 10) / 10 }
    if (heat.kind === 'fan') set.oven = 'fan'
    if (heat.kind === 'oven') set.oven = 'still'
    if (heat.kind === 'fire') set.school = 'two-zone-fire'
    if (heat.kind === 'bath') set.school = 'water-bath'
    return { count: heat.count, set }
  },
  (words, at, context) => {
    const moment = readMoment(
      words.slice(at, at + LONGEST_MOMENT).map((word) => word.text),
      context,
    )
    return moment && { count: moment.count, set: { promise_s: moment.at_s } }
  },
  (words, at) => {
    const start = match(words, at, START, 4)
    if (start)
      return { count: start.count, set: { start_c: asCelsius(number(start.groups[1] as string), start.groups[2], 30) } }
    const fridge = match(words, at, FRIDGE, 4)
    if (fridge) return { count: fridge.count, set: { start_c: 5, temper_min: 0 } }
    const bench = match(words, at, BENCH, 3)
    if (bench)
      return {
        count: bench.count,
        set: { temper_min: number(bench.groups[1] as string) * ((bench.groups[2] as string).startsWith('h') ? 60 : 1) },
      }
    const guests = match(words, at, GUESTS, 3)
    if (guests) return { count: guests.count, set: { guests: Number(guests.groups[1] ?? guests.groups[2]) } }
    const salted = match(words, at, /^(?:dry[- ]?)?(?:salted|brined|salt|brine)$/, 2)
    return salted && { count: salted.count, set: { salted: true } }
  },
  (words, at) => {
    for (const { school, pattern } of SCHOOL_PATTERNS) {
      const found = match(words, at, pattern, 5)
      if (found) return { count: found.count, set: { school } }
    }
    return undefined
  },
  (words, at) => {
    const found = match(words, at, DONENESS_PATTERN, 3)
    if (found) return { count: found.count, set: { doneness: found.groups[0].replaceAll(' ', '-') } }
    const serve = match(words, at, SERVE, 3)
    return (
      serve && {
        count: serve.count,
        set: { serve_c: asCelsius(number(serve.groups[1] as string), serve.groups[2], 105) },
      }
    )
  },
]

const DONENESS_WORDS = [
  ...new Set(
    DONENESS_SCALES.flatMap((scale) =>
      scale.degrees.flatMap(({ id, words }) => [
        id.replaceAll('-', ' '),
        ...words.map((word) => word.replaceAll('-', ' ')),
      ]),
    ),
  ),
].sort((a, b) => b.length - a.length)
const DONENESS_PATTERN = exact(DONENESS_WORDS.map((word) => word.replaceAll(' ', '[- ]')).join('|'))
const SCHOOL_PATTERNS = SCHOOLS.map(({ id, name }) => ({
  school: id,
  pattern: exact([id, name.toLowerCase().replaceAll(',', '')].map((each) => each.replaceAll('-', '[- ]')).join('|')),
}))
const SUGGESTED = [
  ...DONENESS_WORDS,
  ...SCHOOLS.map(({ id }) => id),
  'bone-in',
  'boneless',
  'oven',
  'fan',
  'eat',
  'gas',
  'tomorrow',
  'salted',
]
/** The first few words not understood are looked up; who wrote more of them did not misspell. */
const MOST_SUGGESTIONS = 4
const FILLER = new Set(['a', 'an', 'the', 'of', 'and', 'with', 'please', 'roast', 'in', 'on', 'whole', 'joint'])
const BONE = { 'bone-in': 'in', boneless: 'out', boned: 'out', 'bone-out': 'out' } as const

/** Cut ids by every run of words that names one. */
const CUTS_BY_WORDS = new Map<string, string[]>()
for (const cut of CUTS)
  for (const word of cutWords(cut)) {
    const text = word.replaceAll('-', ' ').replaceAll(',', '')
    const ids = CUTS_BY_WORDS.get(text) ?? []
    if (!ids.includes(cut.id)) CUTS_BY_WORDS.set(text, [...ids, cut.id])
  }

/** The cut a run of words names: longest first, then with the bone word taken into account. */
function readCut(words: readonly Word[], at: number): { count: number; ids: string[] } | undefined {
  for (let count = Math.min(6, words.length - at); count >= 1; count--) {
    const ids = CUTS_BY_WORDS.get(textOf(words, at, count).replaceAll('-', ' '))
    if (ids) return { count, ids }
  }
  return undefined
}

/** "beef rib … boneless" means the boneless one: the same cut with the other bone, where there is one. */
function withBone(id: string, bone: 'in' | 'out' | undefined): string {
  const cut = CUTS.find((each) => each.id === id)
  if (!cut || !bone || cut.bone === bone) return id
  const stem = id.replace(/-(bone-in|boneless.*)$/, '')
  return (
    CUTS.find((each) => each.id.startsWith(stem) && each.species === cut.species && each.bone === bone)?.id ??
    (stem === 'pork-loin' && bone === 'in' ? 'pork-rib-rack' : id)
  )
}

/**
 * Reads a line such as `beef rib 2.7 kg bone-in, medium-rare, oven 120, eat 19:00`.
 *
 * Words may come in any order. What is not understood comes back with its place and the nearest
 * words that are.
 *
 * @param now_s the present, seconds since 1970: "eat 19:00" is the next 19:00 after it
 * @param timeZone IANA name of the kitchen's time zone
 * @example readLine('pork loin 1.8 kg', 0, 'UTC').value // { cut: 'pork-loin', mass_kg: 1.8 }
 */
export function readLine(line: string, now_s: number, timeZone: string): Outcome<Line> {
  if (line.length > LONGEST_LINE) return fail({ code: 'line_too_long', given: line.length, most: LONGEST_LINE })
  const words = wordsOf(line)
  const context = { now_s, timeZone }
  const draft: Draft = {}
  const problems: Problem[] = []
  let cut: string | undefined
  let bone: 'in' | 'out' | undefined
  const unknown: Word[] = []
  for (let at = 0; at < words.length; ) {
    const word = words[at] as Word
    const span = (count: number): Span => ({ from: word.from, to: (words[at + count - 1] as Word).to })
    const boneWord = (BONE as Record<string, 'in' | 'out' | undefined>)[
      textOf(words, at, 2) === 'bone in' ? 'bone-in' : word.text
    ]
    const named = readCut(words, at)
    if (named && (cut === undefined || named.count > 1 || !boneWord)) {
      if (cut !== undefined) problems.push({ code: 'given_twice', what: 'cut', at: span(named.count) })
      cut = named.ids[0]
      at += named.count
      continue
    }
    if (boneWord) {
      bone = boneWord
      at += textOf(words, at, 2) === 'bone in' ? 2 : 1
      continue
    }
    const readings = readers.map((read) => read(words, at, context)).filter((reading) => reading !== undefined)
    const best = readings.sort((a, b) => b.count - a.count)[0]
    if (best) {
      for (const [key, value] of Object.entries(best.set)) {
        if (key in draft && draft[key as keyof Draft] !== value && key !== 'oven')
          problems.push({ code: 'given_twice', what: key, at: span(best.count) })
      }
      Object.assign(draft, best.set)
      at += best.count
      continue
    }
    if (!FILLER.has(word.text)) unknown.push(word)
    at += 1
  }
  for (const [i, word] of joinedRuns(unknown, line).entries()) {
    problems.push({
      code: 'unknown_word',
      word: word.text,
      at: { from: word.from, to: word.to },
      nearest: i < MOST_SUGGESTIONS ? suggest(word.text, cut === undefined) : [],
    })
  }
  if (cut === undefined && unknown.length === 0)
    problems.push({ code: 'missing_cut', nearest: ['beef-rib-bone-in', 'lamb-leg-bone-in', 'turkey'] })
  if (draft.mass_kg === undefined) problems.push({ code: 'missing_mass' })
  if (problems.length > 0 || cut === undefined || draft.mass_kg === undefined) return fail(...problems)
  return succeed({ ...draft, cut: withBone(cut, bone), mass_kg: draft.mass_kg })
}

/** Unknown words that stand side by side make one unknown phrase. */
function joinedRuns(unknown: readonly Word[], line: string): Word[] {
  const runs: Word[] = []
  for (const word of unknown) {
    const last = runs.at(-1)
    if (last && /^\s*$/.test(line.slice(last.to, word.from)))
      runs[runs.length - 1] = { text: `${last.text} ${word.text}`, from: last.from, to: word.to }
    else runs.push(word)
  }
  return runs
}

function suggest(word: string, cutMissing: boolean): string[] {
  const cuts = cutMissing ? nearestCuts(word).map((id) => id.replaceAll('-', ' ')) : []
  const others = nearestOf(word, SUGGESTED, 2)
  return [...cuts, ...others].slice(0, 3)
}
