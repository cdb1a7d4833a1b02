import type { TenderEnd } from '@/core/reference/tenderness'
import { gasMarkToCelsius, ouncesToKilograms, poundsToKilograms } from '@/core/units'
import type { Fact, SaidHeat, SaidMoment, SaidStage } from '../fact'
import { NUMBER, numberOf } from '../tokens'

/**
 * What words of a line can say, each as a pattern and what it means. Of all that match at a word the longest
 * counts; of two as long the earlier in this list. Patterns see one spelling: see tokensOf.
 */

type Groups = readonly (string | undefined)[]
export interface Reader {
  readonly pattern: RegExp
  /** Undefined where the words only look like it. */
  readonly fact: (groups: Groups, text: string) => Fact | undefined
  /** It may go on after a comma, as lists do. */
  readonly across: boolean
}

export const reader = (source: string, fact: Reader['fact'], across = false): Reader => ({
  pattern: new RegExp(`(?:${source})(?= |$)`, 'y'),
  fact,
  across,
})
/** As a list is said: with commas in it. */
export const listed = (source: string, fact: Reader['fact']): Reader => reader(source, fact, true)

export const N = NUMBER
export const DIGITS = String.raw`\d+(?:\.\d+)?`
const UNIT = '(?: ?(c|f|degrees c|degrees f|deg c|deg f|celsius|fahrenheit|centigrade|degrees|deg))?'
export const TEMP = `(${DIGITS})${UNIT}`
export const GAS = String.raw`gas(?: mark)? (\d\/\d|\d+)`
/** Groups: value, unit, gas mark. */
export const HEAT = `(?:${TEMP}|${GAS})`
export const MIN = '(?:minutes?|mins?|m)'
export const HOUR = '(?:hours?|hrs?|h)'
/** After a number these make it no minutes. */
export const MEASURE =
  'c|f|degrees?|kg|kgs|k|kilos?|g|grams?|lbs?|pounds?|oz|people|guests?|heads?|covers?|adults?|am|pm|mm|cm'
export const SPAN = `(?:an hour and (?:a half|a quarter|three quarters)|${N} (?:${HOUR}(?: and a (?:half|quarter)|(?: and)? ${N} ${MIN}| (?:05|10|15|20|25|30|35|40|45|50|55)(?= |$)(?! (?:${MEASURE})(?: |$)))?|${MIN})|half an hour|(?:three quarters|quarter) of an hour)`
/** After a heat a number of two digits or more is minutes, unless people or weights follow. */
export const MINUTES = `(?:${SPAN}|\\d{2,3}(?! (?:${'people|persons?|guests?|heads?|covers?|kg|g|lb|lbs|oz|adults?|c|f'})(?: |$)))`
export const FACES = '(?:a|per|each|every|on each|on every) side'

const unitOf = (unit: string | undefined): SaidHeat['unit'] => {
  const last = unit?.split(' ').at(-1)
  return last === undefined ? undefined : last.startsWith('c') ? 'c' : last.startsWith('f') ? 'f' : undefined
}
export const heatOf = (value: string | undefined, unit: string | undefined, gas?: string): SaidHeat | undefined => {
  if (gas !== undefined) {
    const c = gasMarkToCelsius(numberOf(gas))
    return c === undefined ? undefined : { value: c, unit: 'c' }
  }
  return value === undefined ? undefined : { value: Number(value), unit: unitOf(unit) }
}

/** Spans that are said without a number before their hours, minutes. */
const WORDED_MIN: ReadonlyMap<string, number> = new Map([
  ['quarter of an hour', 15],
  ['half an hour', 30],
  ['three quarters of an hour', 45],
  ['an hour and three quarters', 105],
])

/**
 * A span of time, minutes.
 * @example minutesOf('1 h 30 min') // 90
 */
export function minutesOf(text: string): number {
  const worded = WORDED_MIN.get(text)
  if (worded !== undefined) return worded
  const part = text.match(new RegExp(`^(${N}) ${HOUR} and a (half|quarter)$`))
  if (part) return (numberOf(part[1] as string) + (part[2] === 'half' ? 0.5 : 0.25)) * 60
  const hours = text.match(new RegExp(`^(${N}) ${HOUR}(?:(?: and)? (${N})(?: ${MIN})?)?$`))
  if (hours) return numberOf(hours[1] as string) * 60 + (hours[2] ? numberOf(hours[2]) : 0)
  const minutes = text.match(new RegExp(`^(${N})(?: ${MIN})?$`))
  return minutes ? numberOf(minutes[1] as string) : Number.NaN
}

/**
 * The last hour, the first half hour: a span that an article leads, minutes.
 * @example stretchOf('half hour') // 30
 */
export const stretchOf = (text: string): number => (text === 'hour' ? 60 : text === 'half hour' ? 30 : minutesOf(text))

const KG: Readonly<Record<string, (value: number) => number>> = {
  k: (value) => value,
  g: (value) => value / 1000,
  l: poundsToKilograms,
  p: poundsToKilograms,
  o: ouncesToKilograms,
}
export const MASS_UNIT =
  '(kg|kgs|k|kilos?|kilograms?|kilogrammes?|g|gr|gms?|grams?|grammes?|lbs?|pounds?|pounders?|oz|ounces?)'
export const IS_MASS_UNIT = new RegExp(`^${MASS_UNIT}$`)
export const massOf = (value: string, unit: string): number =>
  (KG[unit[0] as string] as (value: number) => number)(numberOf(value))

/** After minutes: for each so much of its weight ("min/lb" is read as "min lb"). Groups: how many, unit. */
export const A_WEIGHT = `(?:(?:per|a|each|every|for each|for every) (?:(${DIGITS}) )?)?${MASS_UNIT}`

const IN_A = '(?:in (?:a |an |the |my )?)'
const CLOSED = '(?:(?:covered|lidded|closed|tightly|heavy|cast iron|iron|clay) )'
const POT = '(?:pot|casserole(?: dish)?)'
const ITS_LID = ' with (?:a |the )?lid(?: on)?'
/** What is cooked in under its lid. */
const LIDDED = [
  `${IN_A}?${CLOSED}*(?:dutch oven|clay pot|cocotte|tagine)(?:${ITS_LID})?`,
  `${IN_A}?${CLOSED}+(?:${POT}|roaster|dish|tin)`,
  `${IN_A}(?:(?:heavy|cast iron|iron|big|large) )*${POT}`,
  `${IN_A}?${POT}${ITS_LID}`,
].join('|')
const COVERS: readonly (readonly [string, NonNullable<SaidStage['cover']>])[] = [
  ['uncover(?:ed)?(?: it)?|unwrap(?:ped)?(?: it)?|foil off|lid off|bare|open|without (?:foil|lid)', 'bare'],
  ['(?:in (?:a |an |the )?)?(?:oven |roasting |cooking )?bag', 'bag'],
  [
    '(?:under |with |in )?(?:a |the )?(?:loose )?(?:foil )?tent(?:ed)?(?: (?:of|with|in|under)(?: loose)? foil)?|loosely covered(?: with foil)?|(?:under |with |in )?(?:a )?loose(?:ly)?(?: in)? foil',
    'tent',
  ],
  [
    `${LIDDED}|under (?:the |a |some )?(?:foil|lid)|cover(?:ed)?(?: (?:with|in) foil| with (?:stock|wine|cider|water|broth))?|in foil|foil(?: on| over)?|lid on|with (?:the |a )?lid(?: on)?|(?:tightly )?wrapped(?: tight(?:ly)?)?(?: in foil)?`,
    'foil',
  ],
]
export const COVER = `(?:${COVERS.map(([words]) => words).join('|')})`
export const coverOf = (text: string | undefined): SaidStage['cover'] =>
  text === undefined ? undefined : COVERS.find(([words]) => new RegExp(`^(?:${words})$`).test(text))?.[1]

export const POINT =
  '(?:thigh|breast|core|middle|centre|center|thickest part|thickest|leg|inside|stuffing|deepest part)'
/** "Until it reads", "till the middle hits": before what it comes out at. */
export const READS =
  '(?:it|(?:the |its )?(?:core|middle|centre|center|inside|probe|thermometer|meat|joint|roast|thigh|breast|thickest part|(?:core |internal )?temp(?:erature)?)) (?:hits|reads|reaches|is(?: at)?|gets to|gets up to|comes to|shows|says|registers)'
export const LEAD =
  '(?:then|first|starting|starts?|start|begin|begins|beginning|roast|blast|blasted|cook|followed by|after that|next|and|go|high|hot|low|cooked|roasted|down|up|turn|turned|turning|crank|cranked|whack|whacked|reduce|reduced|reducing|lower|lowered|drop|dropped|dropping|dial|dialled|it|the|in|into|an?|fan|convection|oven|at|to|with|temperature|heat|another)'
/** Of these words some say that another heat came before. */
export const isNext = (lead: string): boolean =>
  /\b(?:then|next|after that|followed by|down|turn|crank|whack|reduc|lower|drop|dial)/.test(lead)

/** And some that it is the first, however late that is said. */
export const isFirst = (lead: string): true | undefined =>
  (/\b(?:first|start|begin)/.test(lead) && !isNext(lead)) || undefined

export const stage = (stage: SaidStage): Fact => ({ kind: 'stage', stage })
/** No oven is set over this, in the unit that is said, or in either. */
const MOST_HEAT = { c: 320, f: 600 } as const
export const isHeat = (heat: SaidHeat | undefined, least = 75): heat is SaidHeat =>
  heat !== undefined && heat.value >= least && heat.value <= MOST_HEAT[heat.unit ?? 'f']

/** So hot nothing is roasted for half a day, °C; from 225 on a heat without its letter may be °F. */
const HOT_C = { least: 160, most: 210 } as const
/**
 * Whether an oven is too hot for half a day: "at 180, 20h" is eaten at eight.
 * @example isHotInCelsius({ value: 225, unit: undefined }) // false
 */
export const isHotInCelsius = (heat: SaidHeat | undefined): boolean =>
  heat !== undefined &&
  heat.unit !== 'f' &&
  heat.value >= HOT_C.least &&
  (heat.unit === 'c' || heat.value <= HOT_C.most)

/** How tender, as it is said; the first of each is how a plan says it. */
const TENDER: readonly (readonly [TenderEnd, string])[] = [
  ['slices', 'it slices|it is sliceable|it can be sliced|just tender'],
  [
    'leaves_bone',
    'it leaves the bone|(?:it |meat )?(?:drops|falls|comes|slides|pulls) off (?:the |its )bone|(?:the |its )?bones? (?:slides?|slips?|comes?|pulls?|lets? go)(?: out| off| away| free| clean)*|it lets go of (?:the|its) bone|(?:it is )?off the bone',
  ],
  [
    'falls_apart',
    'it falls apart|falling apart|(?:it is )?(?:very |really |fork |probe |meltingly )?tender|it pulls(?: apart)?|it shreds|it can be pulled|fall apart(?: tender)?|it is falling(?: apart| off the bone)|you can pull it(?: apart)?|it is soft|a fork (?:turns|slides in|twists)(?: in it)?',
  ],
]
export const TENDER_SAID = `(?:${TENDER.map(([, words]) => words).join('|')})`
export const tenderOf = (text: string): TenderEnd =>
  TENDER.find(([, words]) => new RegExp(`^(?:${words})$`).test(text))?.[0] ?? 'falls_apart'

const END = '(?:the )?(?:end|finish|it is done|it comes out|serving|the pull|pulling)'
/** When something is done while it cooks. */
export const MOMENT = `(?:(?:at )?half ?way(?: through)?|at half time|(?:at )?(?:a )?third(?: of the way)?(?: through)?|at two thirds|in the last third|(?:for |in )?(?:the )?last (?:${SPAN}|hour|half hour)|(?:at|near|towards) the end|${N} ${MIN} before ${END}|${SPAN} before ${END}|after (?:${SPAN}|an hour|half an hour)|at the (?:start|beginning)|(?:when|once) (?:the core|it|the middle) (?:reads|is at|is|reaches|hits) ${DIGITS}(?: (?:c|f))?)`
/** Near the end and in the last third are shares; a cook means no minute by them. */
const NEAR_END = 0.9
const LAST_THIRD = 0.7

function momentOf(text: string): SaidMoment | undefined {
  const core = text.match(new RegExp(`(${DIGITS})(?: (c|f))?$`))
  if (/^(?:when|once) /.test(text) && core) {
    const heat = heatOf(core[1], core[2])
    return heat && { core: heat }
  }
  if (/half ?way|half time/.test(text)) return { share: 0.5 }
  if (/two thirds/.test(text)) return { share: 0.67 }
  if (/last third/.test(text)) return { share: LAST_THIRD }
  if (/third/.test(text)) return { share: 0.33 }
  if (/the (?:start|beginning)$/.test(text)) return { at_min: 0 }
  const span = text.replace(/^(?:for |in )?(?:the )?last |^after /, '').replace(new RegExp(` before ${END}$`), '')
  const minutes = stretchOf(span)
  if (Number.isFinite(minutes)) return /^after/.test(text) ? { at_min: minutes } : { before_end_min: minutes }
  return /the end/.test(text) ? { share: NEAR_END } : undefined
}

/** Every moment that is named in some words, in their order. */
export const momentsOf = (text: string): SaidMoment[] =>
  [...text.matchAll(new RegExp(`(?<= |^)${MOMENT}(?= |$)`, 'g'))].flatMap(([said]) => momentOf(said) ?? [])
