import { commonPractice, fromMemory, type Source } from './source'

export type DonenessScaleId = 'red' | 'pork' | 'ham' | 'poultry' | 'duck' | 'tender'

/** One degree of doneness: the word, the temperature to serve it at, and the band of meat that is called so. */
export interface DonenessDegree {
  readonly id: string
  readonly serve_c: number
  /** The band starts here, °C; it ends where the next one starts. */
  readonly from_c: number
  readonly words: readonly string[]
  readonly source: Source
}

export interface DonenessScale {
  readonly id: DonenessScaleId
  /** Rarest first. */
  readonly degrees: readonly DonenessDegree[]
  /** Consumer minimum for this kind of meat, °C at the core, and the rest that goes with it. */
  readonly minimum_c: number
  readonly minimumRest_s: number
  readonly minimumSource: Source
  /** Never pulled below this reading, °C, whatever the rise promises: house rule for birds. */
  readonly pullFloor_c?: number
}

const trade = commonPractice('Words and temperatures of the trade; kitchens differ by 2 °C either way')
const consumer = (text: string) => fromMemory(`US federal consumer guidance: ${text}`)

export const DONENESS_SCALES: readonly DonenessScale[] = [
  {
    id: 'red',
    degrees: [
      { id: 'blue', serve_c: 47, from_c: 0, words: ['blue', 'bleu'], source: trade },
      { id: 'rare', serve_c: 51, from_c: 49, words: ['rare'], source: trade },
      {
        id: 'medium-rare',
        serve_c: 55,
        from_c: 53,
        words: ['medium-rare', 'medium rare', 'mid-rare', 'pink'],
        source: trade,
      },
      { id: 'medium', serve_c: 60, from_c: 58, words: ['medium', 'rosy'], source: trade },
      { id: 'medium-well', serve_c: 66, from_c: 63, words: ['medium-well', 'medium well'], source: trade },
      {
        id: 'well-done',
        serve_c: 71,
        from_c: 69,
        words: ['well-done', 'well done', 'well', 'done', 'cooked through'],
        source: trade,
      },
    ],
    minimum_c: 62.8,
    minimumRest_s: 180,
    minimumSource: consumer('63 °C (145 °F) and 3 minutes of rest for whole-muscle beef, veal, lamb and pork'),
  },
  {
    id: 'pork',
    degrees: [
      { id: 'underdone', serve_c: 58, from_c: 0, words: ['underdone'], source: trade },
      { id: 'rosy', serve_c: 63, from_c: 61, words: ['rosy', 'pink', 'medium', 'juicy'], source: trade },
      {
        id: 'just-done',
        serve_c: 67,
        from_c: 65,
        words: ['just-done', 'just done', 'medium-well', 'medium well'],
        source: trade,
      },
      {
        id: 'well-done',
        serve_c: 72,
        from_c: 70,
        words: ['well-done', 'well done', 'well', 'done', 'cooked through'],
        source: trade,
      },
    ],
    minimum_c: 62.8,
    minimumRest_s: 180,
    minimumSource: consumer('63 °C (145 °F) and 3 minutes of rest for whole-muscle pork'),
  },
  {
    // What is cooked already: how hot it is served, not how done.
    id: 'ham',
    degrees: [
      { id: 'lukewarm', serve_c: 50, from_c: 0, words: ['lukewarm'], source: trade },
      {
        id: 'warmed-through',
        serve_c: 60,
        from_c: 58,
        words: ['warmed-through', 'warmed through', 'warm', 'done', 'heated', 'cooked through'],
        source: trade,
      },
      { id: 'hot', serve_c: 66, from_c: 64, words: ['hot', 'hot through'], source: trade },
      { id: 'reheated', serve_c: 74, from_c: 73, words: ['reheated', 'well-done', 'well done'], source: trade },
    ],
    minimum_c: 60,
    minimumRest_s: 0,
    minimumSource: consumer(
      '60 °C (140 °F) for ham cooked and packed under inspection, 74 °C (165 °F) for any other cooked ham',
    ),
  },
  {
    id: 'poultry',
    degrees: [
      { id: 'underdone', serve_c: 68, from_c: 0, words: ['underdone'], source: trade },
      {
        id: 'done',
        serve_c: 74,
        from_c: 73,
        words: ['done', 'cooked', 'cooked through', 'juicy', 'medium'],
        source: trade,
      },
      { id: 'well-done', serve_c: 80, from_c: 78, words: ['well-done', 'well done', 'well'], source: trade },
    ],
    minimum_c: 73.9,
    minimumRest_s: 0,
    minimumSource: consumer('74 °C (165 °F) everywhere in poultry, stuffing included'),
    pullFloor_c: 71,
  },
  {
    id: 'duck',
    degrees: [
      { id: 'rare', serve_c: 54, from_c: 0, words: ['rare'], source: trade },
      {
        id: 'pink',
        serve_c: 58,
        from_c: 56,
        words: ['pink', 'medium-rare', 'medium rare', 'rosy', 'medium'],
        source: trade,
      },
      {
        id: 'done',
        serve_c: 74,
        from_c: 70,
        words: ['done', 'cooked', 'cooked through', 'well', 'well-done', 'well done'],
        source: trade,
      },
    ],
    minimum_c: 73.9,
    minimumRest_s: 0,
    minimumSource: consumer('74 °C (165 °F) everywhere in poultry, stuffing included'),
  },
  {
    id: 'tender',
    degrees: [
      { id: 'pink', serve_c: 60, from_c: 0, words: ['pink', 'rosy', 'medium'], source: trade },
      {
        id: 'sliceable',
        serve_c: 74,
        from_c: 68,
        words: ['sliceable', 'done', 'cooked through', 'well-done', 'well done', 'well'],
        source: trade,
      },
      {
        id: 'pull-apart',
        serve_c: 93,
        from_c: 86,
        words: ['pull-apart', 'pulled', 'falling', 'tender'],
        source: trade,
      },
    ],
    minimum_c: 62.8,
    minimumRest_s: 180,
    minimumSource: consumer('63 °C (145 °F) and 3 minutes of rest for whole-muscle beef, veal, lamb and pork'),
  },
]

/**
 * The scale a cut is judged by, with what its kitchen serves each degree at.
 * @example scaleOf({ doneness: 'red', serves: { 'red.rare': 50 } }).degrees[1].serve_c // 50
 */
export function scaleOf(cut: {
  readonly doneness: DonenessScaleId
  readonly serves?: Readonly<Record<string, number>>
}): DonenessScale {
  const scale = donenessScale(cut.doneness)
  const { serves } = cut
  if (!serves) return scale
  return {
    ...scale,
    degrees: scale.degrees.map((degree) => ({
      ...degree,
      serve_c: serves[`${scale.id}.${degree.id}`] ?? degree.serve_c,
    })),
  }
}

/**
 * The degree of a scale that a word names, by its id or by one of its words, hyphens or spaces between.
 * @example degreeNamed(donenessScale('red'), 'cooked-through')?.id // 'well-done'
 */
export const degreeNamed = ({ degrees }: DonenessScale, word: string): DonenessDegree | undefined =>
  degrees.find(({ id, words }) => id === word || words.includes(word) || words.includes(word.replaceAll('-', ' ')))

/**
 * Where a degree's band of meat lies, °C: a kitchen serves it somewhere in there, and never below what is promised of
 * the kind of meat.
 * @example servedWithin('red', 'medium-rare') // { low: 53, high: 57.5 }
 */
export function servedWithin(id: DonenessScaleId, degree: string): { low: number; high: number } | undefined {
  const scale = donenessScale(id)
  const at = scale.degrees.findIndex((each) => each.id === degree)
  const found = scale.degrees[at]
  if (!found) return undefined
  const low = Math.max(found.from_c, LEAST_SERVED_C, scale.pullFloor_c ?? 0)
  return { low, high: Math.min(MOST_SERVED_C, (scale.degrees[at + 1]?.from_c ?? MOST_SERVED_C + 0.5) - 0.5) }
}
const LEAST_SERVED_C = 45
const MOST_SERVED_C = 96

/**
 * The scale with this id. @throws RangeError for an id outside the table: our own bug.
 * @example donenessScale('poultry').minimum_c // 73.9
 */
export function donenessScale(id: DonenessScaleId): DonenessScale {
  const scale = DONENESS_SCALES.find((entry) => entry.id === id)
  if (!scale) throw new RangeError(`no doneness scale ${id}`)
  return scale
}
