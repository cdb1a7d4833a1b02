/** Ribbon geometry: time runs to the plate at the right edge, temperature climbs inside the band. */
export interface RibbonScale {
  readonly x: (at_s: number) => number
  readonly y: (temperature_c: number) => number
  readonly at: (x: number) => number
}

export interface RibbonFrame {
  readonly from_s: number
  readonly to_s: number
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

const LOW_C = 0
const HIGH_C = 100

export function ribbonScale({ from_s, to_s, left, right, top, bottom }: RibbonFrame): RibbonScale {
  const perSecond = (right - left) / (to_s - from_s)
  return {
    x: (at_s) => left + (at_s - from_s) * perSecond,
    y: (temperature_c) =>
      bottom - ((Math.min(HIGH_C, Math.max(LOW_C, temperature_c)) - LOW_C) / (HIGH_C - LOW_C)) * (bottom - top),
    at: (x) => from_s + (x - left) / perSecond,
  }
}

/** Round steps between hour ticks that leave about `room` pixels each, s. */
export function tickStep(perPixel_s: number, room: number): number {
  const wanted = perPixel_s * room
  return [900, 1800, 3600, 7200, 10_800, 21_600, 43_200, 86_400].find((step) => step >= wanted) ?? 172_800
}

/** Puts labels in rows so that none overlap: each takes the first row with room, else the last. */
export function rowsFor(labels: readonly { readonly x: number; readonly width: number }[], rows: number): number[] {
  const ends = Array.from({ length: rows }, () => Number.NEGATIVE_INFINITY)
  return labels.map(({ x, width }) => {
    const free = ends.findIndex((end) => end <= x)
    const row = free >= 0 ? free : ends.indexOf(Math.min(...ends))
    ends[row] = x + width + 8
    return row
  })
}
