import { LONGEST_MOMENT, readMoment } from './moment'
import { HALF_DAY_S } from './promised'
import { minutesOf } from './readers'
import { clocks } from './said-clock'
import { spokenNumbers } from './spoken'
import { tokensOf } from './tokens'

const SPANS: readonly (readonly [RegExp, number])[] = [
  [/^(\d{1,3}(?:[.,]\d+)?)\s*(?:h|hr|hrs|hour|hours)$/, 3600],
  [/^(\d{1,4})\s*(?:m|min|mins|minute|minutes)?$/, 60],
]
/** Beside what a line says of spans. */
const WORDED: ReadonlyMap<string, number> = new Map(
  Object.entries({
    'half hour': 1800,
    'a quarter of an hour': 900,
  }),
)

/** A span of time in words, s: 45 min, 1.5 h, 1 h 30, half an hour. */
function spanOf(text: string): number | undefined {
  const worded = WORDED.get(text)
  if (worded !== undefined) return worded
  const both = text.match(/^(\d{1,2})\s*(?:h|hr|hour|hours)\s*(?:and\s*)?(\d{1,2})\s*(?:m|min|minutes)?$/)
  if (both) return Number(both[1]) * 3600 + Number(both[2]) * 60
  for (const [pattern, unit_s] of SPANS) {
    const found = text.match(pattern)
    if (found) return Number((found[1] as string).replace(',', '.')) * unit_s
  }
  const minutes = minutesOf(wordsOf(text))
  return Number.isFinite(minutes) ? minutes * 60 : undefined
}

/** Some words in the one spelling that lines are read in, their hours written out: half past seven, 7.30 p.m. */
const wordsOf = (text: string): string =>
  clocks(spokenNumbers(tokensOf(text), text), text)
    .map((token) => token.text)
    .filter((word) => word !== 'sharp')
    .join(' ')

/** How a span goes: before it, and after it. */
const LATER = /^(?:later|late|delay(?:ed)?|push(?:ed)?(?: it)?(?: back)?|(?:put |move )?(?:it )?back)(?: by)? (?=\S)/
const EARLIER = /^(?:earlier|sooner|(?:bring |move )?(?:it )?forward)(?: by)? (?=\S)/
/** What is said round an hour: "make it 8 instead of 7", "not 7 but 8", "moved to half eight please". */
const LEADS =
  /^(?:(?:please|can we|could we|we|let's|they|now) )*(?:make it|(?:move|put|push|change|set|delay|hold)(?:d|ed)?(?: it)?(?: back| forward| on)? (?:to|until|till)|(?:eat|eating|dinner|lunch|serve|served|serving)(?: is)?(?: now)?(?: at)?|not \S+(?: [ap]m)? but)(?: at)? (?=\S)/
const TRAILS = /(?<=\S) (?:instead(?: of \S.*)?|rather than \S.*|not \S+(?: [ap]m)?|please)$/
/** An hour of twelve, of which nobody says the half of the day. */
const OF_TWELVE =
  /^(?:at )?(?:(?:0?[1-9]|1[0-2])(?:[:.][0-5]\d| [0-5]\d)?|(?!.*\b(?:noon|midday|midnight|to(?:day|night|morrow)))[a-z' -]+)(?: sharp)?$/

/**
 * Reads where a promise is to move, as a cook says it: `19:45`, `7.45`,
 * `+45`, `45 min later`, `half an hour earlier`, `in 2 h`, `tomorrow 13:00`. An hour of the half day is
 * the one nearest to what was promised.
 *
 * @returns s since 1970, ahead of now; undefined where nothing is understood or it has gone by
 * @example readNewPromise('+45', { now_s: 0, timeZone: 'UTC', promise_s: 3600 }) // 6300
 */
export function readNewPromise(
  typed: string,
  { now_s, timeZone, promise_s }: { readonly now_s: number; readonly timeZone: string; readonly promise_s: number },
): number | undefined {
  const text = typed
    .trim()
    .toLowerCase()
    .replaceAll('’', "'")
    .replace(/,?\s+/g, ' ')
    .slice(0, 60)
    .replace(TRAILS, '')
    .replace(LEADS, '')
  const ahead = (at_s: number | undefined) =>
    at_s !== undefined && Number.isFinite(at_s) && at_s > now_s && at_s < now_s + 400 * 86_400 ? at_s : undefined
  const turned = text.replace(LATER, '+').replace(EARLIER, '-')
  const moved = turned.match(/^([+\-−]?)\s*(.+?)\s*(later|late|more|earlier|sooner|early)?$/)
  if (moved && (moved[1] || moved[3])) {
    const span = spanOf(moved[2] as string)
    const back = moved[1] === '-' || moved[1] === '−' || /^(?:earlier|early|sooner)$/.test(moved[3] ?? '')
    if (span !== undefined) return ahead(promise_s + (back ? -span : span))
  }
  const inSpan = text.match(/^in (.+)$/)
  if (inSpan) {
    const span = spanOf(inSpan[1] as string)
    return span === undefined ? undefined : ahead(Math.ceil((now_s + span) / 60) * 60)
  }
  const words = wordsOf(`at ${text}`).split(' ').slice(0, LONGEST_MOMENT)
  const moment = readMoment(words, { now_s, timeZone })
  if (!moment || moment.count < words.length) return undefined
  if (!OF_TWELVE.test(text)) return ahead(moment.at_s)
  // Seven may be either: the nearest to what was promised that is still to come.
  const candidates = [-2, -1, 0, 1, 2].map((k) => moment.at_s + k * HALF_DAY_S).filter((at_s) => at_s > now_s)
  return ahead(candidates.sort((a, b) => Math.abs(a - promise_s) - Math.abs(b - promise_s))[0])
}
