import type { Fact, Meaning } from './fact'
import { isImperial } from './scale'

/** Bare numbers of a line that may be an oven or a core: what each is, by what else the line says. */

/** Cores as those who think in °F want them, °F; nobody sets an oven of theirs so low. */
const LEAST_CORE_F = 115
const MOST_CORE_F = 165
/** Cores of what falls apart, °F, and the hottest oven that it is cooked in so. */
const APART_F = [190, 210] as const
const MOST_LOW_F = 350
/** No oven is set cooler, in either scale. */
const LEAST_OVEN = 55
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
    // "250, 203": no oven is set so beside a hotter one, and what falls apart is read so.
    const under = ovens.some((other) => other !== fact.heat && other.value > value && other.value <= MOST_LOW_F)
    if (value >= APART_F[0] && value <= APART_F[1] && under && (reads === 'f' || isImperial(line))) return true
    if (value < LEAST_CORE_F || value > MOST_CORE_F) return false
    if (reads === 'f') return true
    const hotter = ovens.some((other) => other.value > MOST_CORE_F)
    return isImperial(line) && (hotter || (ovens.length === 1 && value % STEP_C !== 0))
  }
  // "65 C, core 54": beside a core that says so, a bare one is the oven.
  const isTold = meanings.some(({ fact }) => fact.kind === 'serve' && !fact.bare)
  return meanings.flatMap((meaning): Meaning[] => {
    const { fact } = meaning
    if (fact.kind === 'serve' && fact.bare && isTold && ovens.length === 0 && fact.heat.value >= LEAST_OVEN)
      return [{ ...meaning, fact: { kind: 'heat', heat: fact.heat } }]
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
