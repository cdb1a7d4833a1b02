/** The two colour ramps, used everywhere with the same meaning. Stops are sRGB; between them, straight lines. */
type Stop = readonly [value: number, red: number, green: number, blue: number]

/** What surrounds the meat: fridge slate, bench sage, straw, copper, russet, dark ember. °C. */
const HEAT: readonly Stop[] = [
  [4, 70, 112, 128],
  [21, 157, 184, 170],
  [60, 214, 200, 144],
  [100, 226, 174, 98],
  [140, 212, 134, 62],
  [170, 190, 98, 44],
  [200, 160, 66, 36],
  [240, 118, 40, 32],
  [300, 78, 24, 28],
]

/** The colour of meat by the hottest it has been: raw, rare, rosy, pale, grey-brown. °C, red meat. */
const RED_MEAT: readonly Stop[] = [
  [35, 112, 26, 58],
  [48, 148, 34, 62],
  [54, 186, 62, 78],
  [59, 208, 112, 108],
  [64, 204, 152, 132],
  [70, 176, 146, 122],
  [80, 142, 114, 92],
  [95, 104, 74, 54],
]

/** The same for pale meat: pork and birds. */
const PALE_MEAT: readonly Stop[] = [
  [35, 206, 128, 124],
  [55, 226, 160, 148],
  [62, 236, 190, 172],
  [68, 240, 212, 190],
  [74, 240, 224, 200],
  [82, 222, 198, 162],
  [95, 176, 140, 96],
]

function along(stops: readonly Stop[], value: number): string {
  const last = stops.length - 1
  let i = 0
  while (i < last - 1 && value > (stops[i + 1] as Stop)[0]) i++
  const [low, r1, g1, b1] = stops[i] as Stop
  const [high, r2, g2, b2] = stops[i + 1] as Stop
  const part = Math.min(1, Math.max(0, (value - low) / (high - low)))
  const mix = (a: number, b: number) => Math.round(a + part * (b - a))
  return `rgb(${mix(r1, r2)} ${mix(g1, g2)} ${mix(b1, b2)})`
}

export const heatColour = (value_c: number): string => along(HEAT, value_c)
export const meatColour = (value_c: number, pale: boolean): string => along(pale ? PALE_MEAT : RED_MEAT, value_c)
