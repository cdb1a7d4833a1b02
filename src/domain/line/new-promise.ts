import { LONGEST_MOMENT, readMoment } from './moment'

const HALF_DAY_S = 12 * 3600
const SPANS: readonly (readonly [RegExp, number])[] = [
  [/^(\d{1,3}(?:[.,]\d+)?)\s*(?:h|hr|hrs|hour|hours)$/, 3600],
  [/^(\d{1,4})\s*(?:m|min|mins|minute|minutes)?$/, 60],
]
const WORDED: ReadonlyMap<string, number> = new Map(
  Object.entries({
    'half an hour': 1800,
    'half hour': 1800,
    'a quarter of an hour': 900,
    'quarter of an hour': 900,
    'an hour': 3600,
    'one hour': 3600,
    'an hour and a half': 5400,
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
  return undefined
}

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
  const text = typed.trim().toLowerCase().replace(/\s+/g, ' ').slice(0, 60)
  const ahead = (at_s: number | undefined) =>
    at_s !== undefined && Number.isFinite(at_s) && at_s > now_s && at_s < now_s + 400 * 86_400 ? at_s : undefined
  const moved = text.match(/^([+\-−]?)\s*(.+?)\s*(later|more|earlier|sooner)?$/)
  if (moved && (moved[1] || moved[3])) {
    const span = spanOf(moved[2] as string)
    const back = moved[1] === '-' || moved[1] === '−' || moved[3] === 'earlier' || moved[3] === 'sooner'
    if (span !== undefined) return ahead(promise_s + (back ? -span : span))
  }
  const inSpan = text.match(/^in (.+)$/)
  if (inSpan) {
    const span = spanOf(inSpan[1] as string)
    return span === undefined ? undefined : ahead(Math.ceil((now_s + span) / 60) * 60)
  }
  const words = text.split(' ').slice(0, LONGEST_MOMENT)
  const moment = readMoment(['at', ...words], { now_s, timeZone })
  if (!moment || moment.count < words.length + 1) return undefined
  const clock = text.match(/^(?:at )?(\d{1,2})(?:[:.](\d{2}))?$/)
  if (!clock || Number(clock[1]) > 12 || Number(clock[1]) === 0) return ahead(moment.at_s)
  // Seven may be either: the nearest to what was promised that is still to come.
  const candidates = [-2, -1, 0, 1, 2].map((k) => moment.at_s + k * HALF_DAY_S).filter((at_s) => at_s > now_s)
  return ahead(candidates.sort((a, b) => Math.abs(a - promise_s) - Math.abs(b - promise_s))[0])
}
