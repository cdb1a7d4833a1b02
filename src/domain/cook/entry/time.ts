/**
 * Seconds since 1970 of an ISO instant; NaN where it is none.
 * @example secondsOf('1970-01-01T00:01:00Z') // 60
 */
export const secondsOf = (iso: string): number => Date.parse(iso) / 1000
/**
 * The same back, to the millisecond.
 * @example isoOf(60) // '1970-01-01T00:01:00.000Z'
 */
export const isoOf = (at_s: number): string => new Date(Math.round(at_s * 1000)).toISOString()
