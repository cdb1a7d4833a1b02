import type { ProbeReading } from './cook-document'

/** Readings are kept one in each so many seconds of cook time: enough for a curve, flat in memory over a long day. */
const STEP_S = 20
const MOST_READINGS = 20_000
const sameStep = (a: ProbeReading, b: ProbeReading) =>
  a.device === b.device && a.channel === b.channel && Math.floor(a.at_s / STEP_S) === Math.floor(b.at_s / STEP_S)

/**
 * Merges new readings: the newest of each step replaces the one before it.
 * @example mergeReadings([{ device: 'a', channel: 1, at_s: 1, value_c: 5 }], [{ device: 'a', channel: 1, at_s: 2, value_c: 6 }]).length // 1
 */
export function mergeReadings(kept: readonly ProbeReading[], added: readonly ProbeReading[]): ProbeReading[] {
  const merged = [...kept]
  for (const reading of added) {
    let i = merged.length - 1
    while (i >= 0 && (merged[i] as ProbeReading).at_s > reading.at_s) i--
    let same = -1
    for (let k = Math.min(merged.length - 1, i + 1); k >= 0 && k > i - 80; k--)
      if (sameStep(merged[k] as ProbeReading, reading)) {
        same = k
        break
      }
    if (same >= 0) {
      if ((merged[same] as ProbeReading).at_s <= reading.at_s) merged[same] = reading
    } else merged.splice(i + 1, 0, reading)
  }
  return merged.length > MOST_READINGS ? merged.slice(merged.length - MOST_READINGS) : merged
}
