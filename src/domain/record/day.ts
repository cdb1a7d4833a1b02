import { TZDate } from '@date-fns/tz'
import { addDays, isValid } from 'date-fns'

/** A day by a kitchen's clock, with its neighbours. */
export interface KitchenDay {
  /** As an address says it. */
  readonly iso: string
  readonly from_s: number
  readonly before_s: number
  readonly before: string
  /** The next; null: that has not come yet. */
  readonly after: string | null
}

const isoOf = (day: Date) =>
  `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`

/**
 * The day that an address says, or today; what is none is today, and no day is later.
 * @example kitchenDay('2026-11-02', 1795651200, 'UTC').before // '2026-11-01'
 */
export function kitchenDay(said: string | undefined, now_s: number, timeZone: string): KitchenDay {
  const now = new TZDate(now_s * 1000, timeZone)
  const today = new TZDate(now.getFullYear(), now.getMonth(), now.getDate(), timeZone)
  const parts = /^(\d{4})-(\d{2})-(\d{2})$/.exec(said ?? '')
  const asked = parts ? new TZDate(Number(parts[1]), Number(parts[2]) - 1, Number(parts[3]), timeZone) : today
  const day = isValid(asked) && asked <= today ? asked : today
  const next = addDays(day, 1)
  return {
    iso: isoOf(day),
    from_s: day.getTime() / 1000,
    before_s: next.getTime() / 1000,
    before: isoOf(addDays(day, -1)),
    after: next <= today ? isoOf(next) : null,
  }
}
