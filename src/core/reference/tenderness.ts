/**
 * Collagen of tough cuts turns to gelatine by time and temperature: an Arrhenius law of 140 kJ/mol, which is what
 * two facts of practice ask for (68 °C for 30 h does what 90 °C does in 1.5 h). Common practice, from memory.
 */
const ACTIVATION_K = 140_000 / 8.314
const AT_90_C_K = 363.15
/** Below this nothing is counted, °C: it would take days. */
export const TENDER_FROM_C = 52

/**
 * How fast a tough cut turns tender at a temperature, against 90 °C.
 * @example Math.round(1 / tenderRate(68)) // 20
 */
export const tenderRate = (core_c: number): number => Math.exp(ACTIVATION_K * (1 / AT_90_C_K - 1 / (core_c + 273.15)))

/**
 * How tender a tough cut has become, from the least up, by minutes at 90 °C at its centre. Common practice: a shoulder
 * at 160 °C under foil for four hours falls apart; a leg at 140 °C for three to four lets go of its bone.
 */
export const TENDERNESS = [
  { id: 'firm', minutes: 0 },
  { id: 'slices', minutes: 6 },
  { id: 'leaves_bone', minutes: 15 },
  { id: 'falls_apart', minutes: 75 },
] as const
export type Tenderness = (typeof TENDERNESS)[number]['id']
/** What a stage may wait for. */
export const TENDER_ENDS = ['slices', 'leaves_bone', 'falls_apart'] as const satisfies readonly Tenderness[]
export type TenderEnd = (typeof TENDER_ENDS)[number]

/**
 * Seconds at 90 °C that a degree of tenderness takes.
 * @example tenderSeconds('falls_apart') // 4500
 */
export const tenderSeconds = (degree: Tenderness): number =>
  (TENDERNESS.find(({ id }) => id === degree)?.minutes ?? 0) * 60

/**
 * The word for what so many seconds at 90 °C make of a tough cut.
 * @example tendernessOf(5000) // 'falls_apart'
 */
export const tendernessOf = (tender_s: number): Tenderness =>
  TENDERNESS.findLast(({ minutes }) => tender_s >= minutes * 60 - 1)?.id ?? 'firm'
