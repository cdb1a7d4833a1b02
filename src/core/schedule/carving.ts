import { minutes, type Seconds } from '../units'

/**
 * Carving takes a few minutes, and longer for a larger piece (common practice), s.
 * @param mass_kg raw weight, kg
 * @example carveSeconds(2.5) // 600
 */
export const carveSeconds = (mass_kg: number): Seconds => minutes(Math.min(20, 5 + 2 * mass_kg))
