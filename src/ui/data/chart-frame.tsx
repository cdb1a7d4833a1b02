/** What every chart of temperatures through time has alike. */

export const TICK = { fill: 'var(--soft)', fontSize: 13 } as const
export const TOOLTIP = {
  isAnimationActive: false,
  contentStyle: {
    background: 'var(--sheet)',
    border: '1px solid var(--line)',
    borderRadius: 10,
    color: 'var(--ink)',
  },
} as const
export const GRID = { stroke: 'var(--line)', strokeDasharray: '2 5', vertical: false } as const
export const DEGREES = {
  tick: TICK,
  stroke: 'var(--line)',
  domain: [0, 'auto'] as [number, 'auto'],
  tickFormatter: (value: number) => value.toFixed(0),
}
