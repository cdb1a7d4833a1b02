import type { Token } from './tokens'

/** One heat as recipes print it, for each kind of oven at once: that of the fan oven is taken, and is all that is said. */

/** Between these an oven of a recipe is set, in either scale. */
const LEAST = 90
const MOST = 550
const FAN = /^(?:fan|convection)$/
const UNIT = /^(?:c|f|deg|degrees|celsius|fahrenheit)$/
const BESIDE = /^(?:oven|conventional|static|electric|ovens)$/

/** One of the heats, up to the token after it. */
interface Heat {
  readonly heat: Token
  readonly unit?: Token | undefined
  readonly fan: boolean
  readonly end: number
}

const isHeat = (token: Token | undefined): token is Token =>
  token !== undefined && /^\d{2,3}$/.test(token.text) && Number(token.text) >= LEAST && Number(token.text) <= MOST

/** "180/160" is one word; its two heats as they stand. */
function halves(token: Token | undefined): readonly [Token, Token] | undefined {
  const both = /^(\d{3})\/(\d{3})$/.exec(token?.text ?? '')
  if (!token || !both) return undefined
  const [first = '', second = ''] = both.slice(1)
  const pair = [
    { ...token, text: first, to: token.from + first.length },
    { ...token, text: second, from: token.to - second.length, parted: false },
  ] as const
  return pair.every(isHeat) ? pair : undefined
}

/** A heat at a place: "180 C", "fan 160", "160 C fan oven", "gas mark 4". */
function heatAt(tokens: readonly Token[], at: number): Heat | undefined {
  const text = (i: number) => tokens[i]?.text ?? ''
  if (text(at) === 'gas') {
    const number = text(at + 1) === 'mark' ? at + 2 : at + 1
    const heat = tokens[number]
    return heat && /^(?:\d|1\/[24])$/.test(heat.text) ? { heat, fan: false, end: number + 1 } : undefined
  }
  let next = at
  const led = FAN.test(text(next))
  if (led || BESIDE.test(text(next))) next++
  if (led && text(next) === 'oven') next++
  const heat = tokens[next]
  if (!isHeat(heat)) return undefined
  next++
  while (UNIT.test(text(next)) && next <= at + 4) next++
  const unit = UNIT.test(text(next - 1)) ? tokens[next - 1] : undefined
  // "180 C, fan 160": that is the next one's.
  // "275 F convection, 130 final": no comma parts it from its own.
  const isOwn = tokens[next]?.parted === false && tokens[next + 1]?.parted === true
  const follows = !led && FAN.test(text(next)) && (isOwn || !isHeat(tokens[next + 1]))
  if (follows || BESIDE.test(text(next))) next++
  if (follows && text(next) === 'oven') next++
  return { heat, unit, fan: led || follows, end: next }
}

/** Whether one heat stands beside another: a stroke or a bracket between them, or a comma before another oven's. */
function isBeside(tokens: readonly Token[], end: number, line: string): boolean {
  const [last, next] = [tokens[end - 1], tokens[end]]
  if (!last || !next) return false
  const between = line.slice(last.to, next.from)
  if (!/^[^\p{L}\d]*$/u.test(between)) return false
  return /[/(]/.test(between) || ((FAN.test(next.text) || next.text === 'gas') && !/[;.!?\n]/.test(between))
}

/**
 * "180C/160C fan/gas 4", "200 C (fan 180 C)", "180/160 fan": the heat of the fan oven, with the place of them all. What
 * names one kind of oven only stays as it is.
 *
 * @param line the line they stand in, for what stands between two words
 */
export function oneHeat(tokens: readonly Token[], line: string): Token[] {
  const parted = tokens.flatMap(
    (token, i) => (FAN.test(tokens[i + 1]?.text ?? '') ? halves(token) : undefined) ?? [token],
  )
  const said: Token[] = []
  for (let at = 0; at < parted.length; ) {
    const heats: Heat[] = []
    let end = at
    for (let heat = heatAt(parted, at); heat; heat = isBeside(parted, end, line) ? heatAt(parted, end) : undefined) {
      heats.push(heat)
      end = heat.end
    }
    const fanned = heats.filter(({ fan }) => fan)
    const [kept] = fanned
    const [first, last] = [parted[at], parted[end - 1]]
    if (!kept || !first || !last || fanned.length === heats.length) {
      said.push(parted[at] as Token)
      at++
      continue
    }
    said.push(
      { ...kept.heat, from: first.from, parted: first.parted },
      ...(kept.unit ? [{ ...kept.unit, parted: false }] : []),
      { text: 'fan', from: (kept.unit ?? kept.heat).to, to: last.to, parted: false },
    )
    at = end
  }
  return said
}
