/** Seconds since 1970 of an ISO instant; NaN where it is none. */
export const secondsOf = (iso: string): number => Date.parse(iso) / 1000
