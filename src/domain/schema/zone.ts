import { tzOffset } from '@date-fns/tz'
import { ident } from './scalars'

/**
 * Whether a word names a time zone that this machine knows.
 * @example isZone('Europe/Paris') // true
 */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** What is said where one is not. */
export const NO_ZONE = 'must be an IANA time zone name, such as Europe/Paris'

const offsetOf = (zone: string, at_s: number): number => tzOffset(zone, new Date(at_s * 1000)) * 60

/** The IANA name of the zone whose clock a kitchen goes by; left out: nobody knows. */
export const zonePart = ident(60)
  .refine(isZone, NO_ZONE)
  .optional()
  .describe('Whose clock the kitchen goes by (IANA): nothing of the days before falls into its night')

/**
 * What the clock of a zone shows beyond UTC at an instant, s; undefined where no zone is given.
 * @param at_s s since 1970
 * @example zoneOffset('Europe/Paris', 1782907200) // 7200
 */
export const zoneOffset = (zone: string | undefined, at_s: number): number | undefined =>
  zone === undefined ? undefined : offsetOf(zone, at_s)
