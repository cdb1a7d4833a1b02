import { readMoment } from './moment'
import type { LineContext } from './sentence'

const DAY_S = 86_400

/**
 * When something was, as it is typed: a clock time is the last such and not the next. Undefined where it is none, or is
 * a day ago.
 *
 * @returns s since 1970
 * @example goneBy('14:05', { now_s: 1795615200, timeZone: 'UTC' }) // 1795615500 - 86400
 */
export function goneBy(typed: string, context: Pick<LineContext, 'now_s' | 'timeZone'>): number | undefined {
  const { now_s } = context
  const moment = readMoment(['at', ...typed.trim().toLowerCase().split(/\s+/)], context)
  const at_s = moment && (moment.at_s > now_s ? moment.at_s - DAY_S : moment.at_s)
  return at_s !== undefined && now_s - at_s < DAY_S ? at_s : undefined
}
