import type { HouseItem } from '@/domain/house/house-item'
import type { LineContext } from '@/domain/line/sentence'
import type { Units } from '@/words/units'

/** What a line is read by on a screen, as the server reads it: the kitchen's clock, its units and its own words. */
export const lineContext = (units: Units, now_s: number, house: readonly HouseItem[]): LineContext => ({
  now_s,
  timeZone: units.timeZone,
  dateOrder: units.dateOrder,
  reads: units.temperature,
  house,
})
