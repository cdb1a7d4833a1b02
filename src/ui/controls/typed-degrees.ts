/**
 * A temperature as it is typed, in the typist's own degrees; undefined where it is none.
 * @example typedDegrees('24,5 °C') // 24.5
 */
export function typedDegrees(typed: string): number | undefined {
  const value = Number(typed.replace(',', '.').replace(/\s*°?\s*[cf]?$/i, ''))
  return typed.trim() !== '' && Number.isFinite(value) ? value : undefined
}
