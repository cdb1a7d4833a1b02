/**
 * To a tenth: degrees, minutes and kilograms as a cook reads them.
 * @example tenth(52.46) // 52.5
 */
export const tenth = (value: number): number => Math.round(value * 10) / 10

/**
 * To a hundredth.
 * @example hundredth(0.954) // 0.95
 */
export const hundredth = (value: number): number => Math.round(value * 100) / 100
