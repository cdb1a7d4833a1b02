const WORDS: Readonly<Record<string, number>> = { one: 1, two: 2, three: 3, four: 4, half: 0.5 }
const A_HEAD =
  /^\s*(\d+(?:[.,]\d+)?|one|two|three|four|half)\s*(g|kg|ml|l)?\s+(?:a|per|each)\s*(?:head|person|guest)\s*$/i

/**
 * What "250 g a head" comes to for so many; undefined where it is not said by the head.
 * @example totalOf('250 g a head', 10) // '2.5 kg'
 */
export function totalOf(quantity: string, guests: number): string | undefined {
  const found = quantity.match(A_HEAD)
  if (!found) return undefined
  const [, count = '', unit] = found
  const each = WORDS[count.toLowerCase()] ?? Number(count.replace(',', '.'))
  if (!Number.isFinite(each)) return undefined
  const total = each * guests
  const big = unit?.toLowerCase() === 'g' ? 'kg' : unit?.toLowerCase() === 'ml' ? 'l' : undefined
  if (big && total >= 1000) return `${Number((total / 1000).toFixed(1))} ${big}`
  const rounded = unit ? Number(total.toFixed(total < 10 ? 1 : 0)) : Math.ceil(total)
  return unit ? `${rounded} ${unit.toLowerCase()}` : `${rounded}`
}
