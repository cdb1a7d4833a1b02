import { TZDate } from '@date-fns/tz'
import { format } from 'date-fns'

/** Whether a day or a month is said first: 3/11 is in November here, in March there. */
export type DateOrder = 'dmy' | 'mdy'

const DATE = /^(\d{1,2})[/.](\d{1,2})(?:[/.](\d{4}|\d{2}))?$/
/** What a cook halves and quarters by: such a number is a share, no day. */
const SHARES = new Set([2, 3, 4, 8])

/**
 * A day said in numbers, as yyyy-MM-dd: in the order of the kitchen, or the only way round it can be; the next such
 * day where no year is said. Undefined where it is no day.
 *
 * @param closed a point stands after it, and a space
 * @example numericDate('25/12', { now_s: 0, timeZone: 'UTC', dateOrder: 'dmy' }) // '1970-12-25'
 */
export function numericDate(
  text: string,
  { now_s, timeZone, dateOrder = 'dmy' }: { now_s: number; timeZone: string; dateOrder?: DateOrder | undefined },
  closed = false,
): string | undefined {
  const found = text.match(DATE)
  if (!found) return undefined
  const [first, second] = [Number(found[1]), Number(found[2])]
  const slashed = text.includes('/')
  // With a point between them and no year they are an hour or a decimal, unless no day has so many hours or another
  // point follows: "29.11", "1.12.".
  const pointed = closed || (first > 24 && /^(?:0[1-9]|1[0-2])$/.test(found[2] ?? ''))
  if (found[3] === undefined && !(slashed ? first >= second || !SHARES.has(second) : pointed)) return undefined
  const inOrder = dateOrder === 'dmy' ? [first, second] : [second, first]
  const [day, month] = (inOrder[1] as number) <= 12 ? inOrder : [inOrder[1], inOrder[0]]
  const now = new TZDate(now_s * 1000, timeZone)
  const iso = (year: number): string | undefined => {
    const at = new TZDate(year, (month as number) - 1, day as number, 12, timeZone)
    const real = at.getMonth() === (month as number) - 1 && at.getDate() === day
    return real ? format(at, 'yyyy-MM-dd') : undefined
  }
  if (found[3] !== undefined) {
    const year = Number(found[3])
    return iso(year < 100 ? 2000 + year : year)
  }
  const here = iso(now.getFullYear())
  return here !== undefined && here < format(now, 'yyyy-MM-dd') ? iso(now.getFullYear() + 1) : here
}
