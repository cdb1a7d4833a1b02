import { TZDate } from '@date-fns/tz'

/** The instant of a datetime-local value in a time zone, ISO; undefined while it is incomplete. */
export function instantOfLocal(value: string, timeZone: string): string | undefined {
  const parts = value.match(/^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})/)
  if (!parts) return undefined
  const [year, month, day, hour, minute] = parts.slice(1).map(Number) as [number, number, number, number, number]
  const moment = new TZDate(year, month - 1, day, hour, minute, timeZone)
  return Number.isFinite(moment.getTime()) ? new Date(moment.getTime()).toISOString() : undefined
}
