import type { Fact, Meaning } from './fact'
import { isImperial } from './scale'

/** Bare numbers of a line that may be an oven or a core: what each is, by what else the line says. */

/** Cores as those who think in °F want them, °F; nobody sets an oven of theirs so low. */
const LEAST_CORE_F = 115
const MOST_CORE_F = 165
/** Ovens in °C are set in tens. */
const STEP_C = 10
/** A core that is read in °C is under this. */
const MOST_CORE_C = 100

const ovenHeat = ({ fact }: Meaning) =>
  fact.kind === 'heat' && fact.on !== 'bath' ? fact.heat : fact.kind === 'stage' ? fact.stage.heat : undefined

/** The reading at which it was said to be wrapped, where that may be an oven. */
function wrapHeat(fact: Fact) {
  const only = fact.kind === 'tending' && fact.bare ? fact.moments?.[0] : undefined
  return only && 'core' in only ? only.core : undefined
}

/**
 * A line's meanings with their bare numbers told apart. "Pork tenderloin 1 lb, 145" is a core: a pound is roasted by °F,
 * and no oven is set so. "Wrapped at 160" is a core beside an oven that is said, and an oven where none is.
 * @param reads the scale that the kitchen reads
 */
export function toldApart(meanings: readonly Meaning[], line: string, reads: 'c' | 'f' | undefined): Meaning[] {
  const ovens = meanings.flatMap((meaning) => ovenHeat(meaning) ?? [])
  const isCored = meanings.some(({ fact }) => fact.kind === 'serve' || fact.kind === 'pull')
  const celsiusToo = meanings.some(({ fact }) => 'heat' in fact && fact.heat?.unit === 'c')
  const isCore = ({ fact }: Meaning): boolean => {
    if (fact.kind !== 'heat' || !fact.bare || isCored || celsiusToo) return false
    const { value } = fact.heat
    if (value < LEAST_CORE_F || value > MOST_CORE_F) return false
    if (reads === 'f') return true
    const hotter = ovens.some((other) => other.value > MOST_CORE_F)
    return isImperial(line) && (hotter || (ovens.length === 1 && value % STEP_C !== 0))
  }
  return meanings.flatMap((meaning): Meaning[] => {
    const { fact } = meaning
    if (fact.kind === 'heat' && isCore(meaning))
      return [{ ...meaning, fact: { kind: 'serve', heat: { ...fact.heat, unit: 'f' }, bare: true } }]
    const heat = wrapHeat(fact)
    return heat && heat.value > MOST_CORE_C && ovens.length === 0
      ? [
          { ...meaning, fact: { kind: 'heat', heat } },
          { ...meaning, fact: { kind: 'cover', cover: 'foil' }, parted: false },
        ]
      : [meaning]
  })
}
