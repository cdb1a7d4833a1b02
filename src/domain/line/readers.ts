import { SCHOOLS } from '@/core/program/schools'
import { DONENESS_SCALES } from '@/core/reference/doneness'
import { gasMarkToCelsius, inchesToMetres, ouncesToKilograms, poundsToKilograms } from '@/core/units'
import { heldNumber } from '../schema/scalars'
import type { Fact, SaidHeat, SaidStage } from './fact'
import { SIDES } from './sides'
import { NUMBER, numberOf } from './tokens'

/**
 * What words of a line can say, each as a pattern and what it means. Of all that match at a word the longest
 * counts; of two as long the earlier in this list. Patterns see one spelling: see tokensOf.
 */

type Groups = readonly (string | undefined)[]
interface Reader {
  readonly pattern: RegExp
  /** Undefined where the words only look like it. */
  readonly fact: (groups: Groups, text: string) => Fact | undefined
  /** It may go on after a comma, as lists do. */
  readonly across: boolean
}

const reader = (source: string, fact: Reader['fact'], across = false): Reader => ({
  pattern: new RegExp(`(?:${source})(?= |$)`, 'y'),
  fact,
  across,
})
/** As a list is said: with commas in it. */
const listed = (source: string, fact: Reader['fact']): Reader => reader(source, fact, true)

const N = NUMBER
const DIGITS = String.raw`\d+(?:\.\d+)?`
const UNIT = '(?: ?(c|f|degrees c|degrees f|deg c|deg f|celsius|fahrenheit|centigrade|degrees|deg))?'
const TEMP = `(${DIGITS})${UNIT}`
const GAS = String.raw`gas(?: mark)? (\d\/\d|\d+)`
/** Groups: value, unit, gas mark. */
const HEAT = `(?:${TEMP}|${GAS})`
const MIN = '(?:minutes?|mins?|m)'
const HOUR = '(?:hours?|hrs?|h)'
const SPAN = `(?:${N} ${HOUR}(?: and)?(?: ${N} ${MIN})?|${N} ${HOUR} and a half|${N} ${MIN}|half an hour|quarter of an hour|an hour and a half)`
/** After a heat a number of two digits or more is minutes, unless people or weights follow. */
const MINUTES = `(?:${SPAN}|\\d{2,3}(?! (?:${'people|persons?|guests?|heads?|covers?|kg|g|lb|lbs|oz|adults?|c|f'})))`
const FACES = '(?:a|per|each|every|on each|on every) side'

const unitOf = (unit: string | undefined): SaidHeat['unit'] => {
  const last = unit?.split(' ').at(-1)
  return last === undefined ? undefined : last.startsWith('c') ? 'c' : last.startsWith('f') ? 'f' : undefined
}
const heatOf = (value: string | undefined, unit: string | undefined, gas?: string): SaidHeat | undefined => {
  if (gas !== undefined) {
    const c = gasMarkToCelsius(numberOf(gas))
    return c === undefined ? undefined : { value: c, unit: 'c' }
  }
  return value === undefined ? undefined : { value: Number(value), unit: unitOf(unit) }
}

/**
 * A span of time, minutes.
 * @example minutesOf('1 h 30 min') // 90
 */
export function minutesOf(text: string): number {
  if (text === 'half an hour') return 30
  if (text === 'quarter of an hour') return 15
  if (text === 'an hour and a half') return 90
  const hours = text.match(new RegExp(`^(${N}) ${HOUR}(?:(?: and)? (${N}) ${MIN})?$`))
  if (hours) return numberOf(hours[1] as string) * 60 + (hours[2] ? numberOf(hours[2]) : 0)
  const half = text.match(new RegExp(`^(${N}) ${HOUR} and a half$`))
  if (half) return (numberOf(half[1] as string) + 0.5) * 60
  const minutes = text.match(new RegExp(`^(${N})(?: ${MIN})?$`))
  return minutes ? numberOf(minutes[1] as string) : Number.NaN
}

const KG: Readonly<Record<string, (value: number) => number>> = {
  k: (value) => value,
  g: (value) => value / 1000,
  l: poundsToKilograms,
  p: poundsToKilograms,
  o: ouncesToKilograms,
}
const MASS_UNIT = '(kg|kgs|kilos?|kilograms?|kilogrammes?|g|gr|gms?|grams?|grammes?|lbs?|pounds?|pounders?|oz|ounces?)'
const massOf = (value: string, unit: string): number =>
  (KG[unit[0] as string] as (value: number) => number)(numberOf(value))

const COVERS: readonly (readonly [string, NonNullable<SaidStage['cover']>])[] = [
  [
    'under (?:the |a |some )?(?:foil|lid)|covered(?: (?:with|in) foil)?|in foil|foil(?: on)?|lid on|with (?:the |a )?lid(?: on)?|wrapped(?: in foil)?',
    'foil',
  ],
  ['tented|loosely covered|under a tent(?: of foil)?', 'tent'],
  ['uncovered|foil off|lid off|bare|open|without (?:foil|lid)', 'bare'],
]
const COVER = `(?:${COVERS.map(([words]) => words).join('|')})`
const coverOf = (text: string | undefined): SaidStage['cover'] =>
  text === undefined ? undefined : COVERS.find(([words]) => new RegExp(`^(?:${words})$`).test(text))?.[1]

const POINT = '(?:thigh|breast|core|middle|centre|center|thickest part|thickest|leg|inside|stuffing|deepest part)'
const LEAD =
  '(?:then|first|starting|starts?|start|begin|begins|beginning|roast|blast|blasted|cook|followed by|after that|next|and|go|high|hot|low|down|turn|turned|turning|reduce|reduced|reducing|lower|lowered|drop|dropped|dropping|dial|dialled|it|the|in|into|an?|oven|at|to|with|temperature|heat)'

const stage = (stage: SaidStage): Fact => ({ kind: 'stage', stage })
const isHeat = (heat: SaidHeat | undefined, least = 75): heat is SaidHeat => heat !== undefined && heat.value >= least

const STAGES: readonly Reader[] = [
  // 230 for 20 min · then 175 covered for 2 h to 76 in the thigh
  reader(
    `((?:${LEAD} )*)${HEAT}(?: (${COVER}))?(?: (breast down))?(?: for (${MINUTES})| (${SPAN}))(?: (${COVER}))?(?: (breast down))?(?: (?:to|until) ${TEMP}(?: in (?:the |its )?(${POINT}))?)?`,
    ([, lead = '', value, unit, gas, cover, down, said, bare, cover2, down2, core, coreUnit]) => {
      const span = said ?? bare ?? ''
      const heat = heatOf(value, unit, gas)
      if (!isHeat(heat)) return undefined
      return stage({
        on: /\bfan\b/.test(lead) ? 'fan' : 'oven',
        heat,
        minutes: minutesOf(span),
        cover: coverOf(cover ?? cover2),
        breastDown: down !== undefined || down2 !== undefined || undefined,
        core: heatOf(core, coreUnit),
      })
    },
  ),
  // 20 min at 230 · an hour at 160 under foil
  reader(
    `((?:${LEAD} )*)(${SPAN}) (?:at|in an? oven at|in an oven of) ${HEAT}(?: (${COVER}))?(?: (breast down))?`,
    ([, , span = '', value, unit, gas, cover, down]) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat)
        ? stage({
            on: 'oven',
            heat,
            minutes: minutesOf(span),
            cover: coverOf(cover),
            breastDown: down !== undefined || undefined,
          })
        : undefined
    },
  ),
  // then 175 · down to 160 covered · then 175 to 76 in the thigh
  reader(
    `(?:(?:and )?then|down to|after that|followed by|(?:reduced?|reducing|lower(?:ed)?|turn(?:ed)?|drop(?:ped)?|dial(?:led)?)(?: it| the oven| the heat)?(?: down)?(?: to)?)(?: at| to| in| an?| the| oven| roast| down| straight| gentle)* ${HEAT}(?: (${COVER}))?(?: (?:to the end|until (?:it is )?done|till done|to finish))?(?: (?:to|until) ${TEMP}(?: in (?:the |its )?(${POINT}))?)?`,
    ([, value, unit, gas, cover, core, coreUnit]) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat) ? stage({ on: 'oven', heat, cover: coverOf(cover), core: heatOf(core, coreUnit) }) : undefined
    },
  ),
  // low 120 to 52 · 120 to 52 · 110 c until 50 c
  reader(
    `(?:(?:low|gentle|slow|oven|at|roast) )*${TEMP} (?:to|until|till) ${TEMP}(?: in (?:the |its )?(?:${POINT}))?(?: core| inside)?`,
    ([, value, unit, core, coreUnit]) => {
      const heat = heatOf(value, unit)
      const to = heatOf(core, coreUnit)
      return isHeat(heat) && to && to.value < heat.value && to.value >= 40
        ? stage({ on: 'oven', heat, core: to })
        : undefined
    },
  ),
  reader(
    `(?:then )?(?:(?:turn |switch )?(?:it |the oven |oven )?off|heat off)(?: for)? (${SPAN})(?: (?:with )?(?:the )?door (?:shut|closed))?`,
    ([, span = '']) => stage({ on: 'off', minutes: minutesOf(span) }),
  ),
  reader(
    `(?:in (?:a |the )?|from (?:a )?|start(?:ing)? in (?:a )?)?cold oven(?: set)?(?: to| at)? ${HEAT}(?: for)? (${SPAN})`,
    ([, value, unit, gas, span = '']) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat) ? stage({ on: 'cold', heat, minutes: minutesOf(span) }) : undefined
    },
  ),
  reader(
    `(?:sear(?:ed)?|brown(?:ed)?)?(?: ?in (?:a |the )?(?:hot )?pan)?(?: for)? ?(${N}) ?${MIN}? ${FACES}(?: (?:in|on) (?:a |the )?(?:hot |heavy )*(?:pan|skillet|hob|frying pan))?(?: first| to start)?`,
    ([, count = '']) => {
      const each = numberOf(count)
      // Two or three minutes a side are said of all four, eight of the two broad ones.
      return stage({ on: 'pan', minutes: each * (each <= 4 ? 4 : 2) })
    },
  ),
  reader(
    `(?:sear(?:ed)?|brown(?:ed)?|fry|fried)(?: it)? (?:in (?:a |the )?(?:hot |heavy )*(?:pan|skillet|frying pan)|on the hob)(?: for)? (${SPAN})(?: first)?|(?:pan|hob)(?: for)? (${SPAN})(?: first)?`,
    ([, one, two]) => stage({ on: 'pan', minutes: minutesOf(one ?? two ?? '') }),
  ),
  reader(
    `(?:then |and )?(?:(?:a )?hot finish|finish(?:ed)?(?: hot| off)?|(?:final |last )?(?:sear|blast)|crisp(?:ed)?(?: up)?)(?: it)?(?: at| in an?| in the| on| oven| hot| oven at)*(?: (?!${SPAN})${HEAT})?(?: for)?(?: (${SPAN}|${N}(?! (?:kg|g|lb|people|guests|mm|cm))))?`,
    ([, value, unit, gas, span], text) => {
      // One number alone after "hot finish" is minutes, or a heat where it can only be one.
      const only = span === undefined && value !== undefined && unit === undefined && Number(value) < 60
      const heat = only ? undefined : heatOf(value, unit, gas)
      const minutes = only ? Number(value) : span === undefined ? undefined : minutesOf(span)
      if (heat === undefined && minutes === undefined && !/hot finish/.test(text)) return undefined
      if (heat !== undefined && !isHeat(heat, 120)) return undefined
      return stage({ on: 'oven', heat, minutes, finish: true })
    },
  ),
]

const DONENESS = [
  ...new Set(
    DONENESS_SCALES.flatMap(({ degrees }) =>
      degrees.flatMap(({ id, words }) => [id, ...words].map((word) => word.replaceAll('-', ' '))),
    ),
  ),
].sort((a, b) => b.length - a.length)
/** Further words for a degree (common practice). */
const DEGREES: Readonly<Record<string, string>> = {
  'med rare': 'medium rare',
  mr: 'medium rare',
  'medium to rare': 'medium rare',
  'rare to medium': 'medium rare',
  'med well': 'medium well',
  'medium to well': 'medium well',
  saignant: 'rare',
  'a point': 'medium rare',
  'bien cuit': 'well done',
  'fully cooked': 'done',
  'cooked through': 'done',
  'fall apart': 'pull apart',
  'falls apart': 'pull apart',
  'falling apart': 'pull apart',
  'fall off the bone': 'pull apart',
  'falling off the bone': 'pull apart',
  pullable: 'pull apart',
  'to pull': 'pull apart',
  'for pulling': 'pull apart',
  shredded: 'pull apart',
  'no pink': 'well done',
  'not pink': 'well done',
  'still pink': 'pink',
  blushing: 'pink',
  bloody: 'rare',
}
const DEGREE = `(?:${[...Object.keys(DEGREES), ...DONENESS].sort((a, b) => b.length - a.length).join('|')})`
const degreeOf = (text: string): string => (DEGREES[text] ?? text).replaceAll(' ', '-')

/** What a school is called beside its own name (common practice). */
const SCHOOL_WORDS: Readonly<Record<string, string>> = {
  steady: 'steady|one (?:oven )?setting|one temperature|all the way',
  'hot-start': 'hot start(?: then gentle)?|high heat first|start(?:ed)? hot|high then low|hot then (?:low|gentle|cool)',
  'kick-start': 'kick start(?: under foil)?',
  'low-and-long': 'low and (?:slow|long)|slow roast(?:ed)?|slow cook(?:ed)?',
  'oven-off': 'oven off|closed oven(?: method)?|(?:with )?the oven off|turn(?:ed)? (?:it |the oven )?off and leave it',
  'cold-start': 'cold start(?: off reheat)?|cold oven start',
  'reverse-sear': 'reverse sear(?:ed|ing)?',
  'pan-first':
    '(?:pan )?sear(?:ed)?(?: (?:it )?first| in (?:a|the) pan(?: first)?)|pan sear(?:ed)?|brown(?:ed)?(?: (?:it )?first| in (?:a|the) pan(?: first)?)|pan first|pan roast(?:ed)?',
  'two-zone-fire':
    'two zone(?: fire)?|(?:on|over) (?:the |a )?(?:grill|barbecue|bbq|coals|charcoal|fire|embers)|grilled|barbecued?|bbq|indirect(?: on the (?:grill|bbq|barbecue))?|on the kettle',
  'water-bath': 'water bath(?: then hot)?|sous vide|in (?:a|the) bath',
  'bird-turned':
    'bird turned|turned(?: once| half way| halfway)|breast down first|start(?:ed|ing)? breast down|breast side down first',
  'finish-hot': 'finish hot(?: if pale)?|hot finish if pale|crisp (?:the )?skin at the end',
  'cook-and-hold': 'cook and hold|held (?:in the cabinet|warm)|hold(?:ing)? cabinet',
}

const ACID = /lemon|lime|citrus|vinegar|wine|yogh?urt|buttermilk|tamarind|pineapple|orange|tomato|beer|cider/
const AHEAD = `(?:overnight|the (?:day|night|evening) before|(?:for )?(?:${N}) (?:${HOUR}|days?)(?: (?:ahead|before))?)`
/** What meat lies in before it is cooked. */
const SOAK =
  '(?:(?:red|white|soy|olive|fish|dijon|greek|rice|cider|port|sesame|lemon|lime|orange) )?(?:lemon|lime|citrus|vinegar|wine|yogh?urt|buttermilk|tamarind|pineapple|orange|tomato|beer|cider|soy|sauce|oil|garlic|rosemary|thyme|herbs|mustard|honey|chilli|chili|ginger|spices|cumin|paprika|juice|zest|harissa|onions?|mint|oregano|milk|miso|sherry|port|whisky|bourbon)'
const EATER =
  '(?:pregnant(?: (?:woman|guest|lady|sister|daughter|wife))?|expecting|toddlers?|bab(?:y|ies)|infants?|small children|small child|young children|young child|children under (?:five|5)|elderly(?: (?:guests?|people|parents?|aunts?))?|frail|over (?:70|80|seventy|eighty)|immune(?: compromised| suppressed)?|immunocompromised|on chemo|vulnerable(?: guests?)?|grandma|granny|grandad|grandfather|grandmother|grandparents)'
const PEOPLE = '(?:people|persons?|guests?|heads?|covers?|diners?|eaters?|adults?|of us|pax|folks|friends|mouths)'
const LIKE = '(?:likes?|wants?|prefers?|eats?|takes?|having|have|has)(?: it| theirs| his| hers)?'
const BED =
  '(?:onions?|carrots?|celery|potatoes|vegetables?|veg|root vegetables|roots|bones|fennel|leeks?|herbs|rosemary|thyme|garlic|apples?|lemons?|sourdough|bread|trivet|salt)'
const SEASONING =
  '(?:rosemary|thyme|sage|garlic|mustard|pepper|peppercorns|salt and pepper|herbs|spices|spice|paprika|cumin|anchov(?:y|ies)|parsley|tarragon|bay|juniper|fennel seeds?|chilli|chili|ginger|horseradish|olive oil|oil|honey|maple syrup|lemon zest|zaatar|harissa|jerk|barbecue|breadcrumbs?)'
const LIQUID = '(?:stock|broth|wine|white wine|red wine|cider|water|beer|sherry|marsala|madeira|juice)'

const PLACES: Readonly<Record<string, 'oven' | 'fire' | 'pan' | 'bath' | 'cabinet'>> = {
  oven: 'oven',
  fire: 'fire',
  pan: 'pan',
  bath: 'bath',
  cabinet: 'cabinet',
}
const TENDED = `(?: (?:baste|turn|glaze|uncover) at ${DIGITS}(?: every ${DIGITS})?)`

/** Every reader but names, numbers of pieces and moments. */
export const READERS: readonly Reader[] = [
  ...STAGES,
  written(),
  // Weight
  reader(
    `(${DIGITS}|${N}) (?:lbs?|pounds?) (?:and )?(${DIGITS}|${N}) (?:oz|ounces?)`,
    ([, pounds = '', ounces = '']) => ({
      kind: 'mass',
      kg: poundsToKilograms(numberOf(pounds)) + ouncesToKilograms(numberOf(ounces)),
    }),
  ),
  reader(`(\\d+) x (${DIGITS}) ${MASS_UNIT}`, ([, count = '', value = '', unit = '']) => ({
    kind: 'mass',
    kg: massOf(value, unit),
    count: Number(count),
  })),
  reader(
    `(?:about |around |roughly |approx |circa |weighs |weighing |at |of )?(${N}) (?:of a )?${MASS_UNIT}(?: and a half)?(?: each| apiece| a piece| in weight| raw)?`,
    ([, value = '', unit = ''], text) => ({
      kind: 'mass',
      kg: massOf(/ and a half(?: |$)/.test(text) && !value.includes('half') ? `${value} and a half` : value, unit),
    }),
  ),
  // Size
  reader(
    `(?:thickness |about )?(${N}) (mm|millimetres?|millimeters?|cm|centimetres?|centimeters?|in|inch|inches|")(?: (?:thick|deep|through|across|high|tall|in diameter))`,
    ([, value = '', unit = '']) => thickness(value, unit),
  ),
  reader(`(?:thickness |thick )?(${N}) (mm|millimetres?|cm|centimetres?|inch|inches|")`, ([, value = '', unit = '']) =>
    thickness(value, unit),
  ),
  // Reading and doneness
  reader(
    `(?:pull(?:ed)?|take it out|out|remove|removed)(?: it)?(?: at| when)? ${TEMP}(?: in (?:the |its )?(${POINT}))?|(?:to|until|till) (?:a core of )?${TEMP} in (?:the |its )?(${POINT})`,
    ([, a, aUnit, aPoint, b, bUnit, bPoint]) => {
      const heat = heatOf(a ?? b, aUnit ?? bUnit)
      const point = aPoint ?? bPoint
      return heat && heat.value >= 40 ? { kind: 'pull', heat, ...(point ? { point } : {}) } : undefined
    },
  ),
  reader(
    `(?:(?:to|until|serve|served|serve at|served at|core|core of|core to|inside|middle at|internal|internal temp(?:erature)?(?: of)?|eaten at) )${TEMP}(?: core| internal| inside| in the middle)?|(${DIGITS})(?: (c|f))? (?:core|internal|inside|in the middle)`,
    ([, a, aUnit, b, bUnit]) => {
      const heat = heatOf(a ?? b, aUnit ?? bUnit)
      return heat && heat.value >= 40 && heat.value <= 212 ? { kind: 'serve', heat } : undefined
    },
  ),
  reader(
    `(${N}) (?:of (?:them|us) )?(?:people |guests )?(?:who )?(?:${LIKE} )?(?:it )?(${DEGREE})(?: meat)?`,
    ([, count = '', word = '']) => {
      const eaters = numberOf(count)
      return Number.isInteger(eaters) && eaters >= 1 && eaters <= 60 && count !== 'a' && count !== 'an'
        ? { kind: 'wish', count: eaters, word: degreeOf(word) }
        : undefined
    },
  ),
  reader(
    `(?:(?:served |done |cooked |just (?!done)|nice and |still |to |very |quite )+(${DEGREE})|(${DEGREE}))(?: in the middle| inside| please)?`,
    ([, plain, led]) => ({ kind: 'doneness', word: degreeOf(plain ?? led ?? '') }),
  ),
  // Start and bench
  reader(`(?:(?:straight )?(?:from|out of) (?:the )?)?fridge(?: cold)?|straight from cold`, () => ({
    kind: 'start',
    heat: { value: 5, unit: 'c' },
    temper_min: 0,
  })),
  reader(`(?:from|starts?(?: at)?|starting(?: at)?|start at) ${TEMP}`, ([, value, unit]) => {
    const heat = heatOf(value, unit)
    return heat && heat.value <= 75 ? { kind: 'start', heat } : undefined
  }),
  reader(
    `(?:bench|temper(?:ed)?|on the (?:bench|counter|side)|out(?: of the fridge)?|stood|standing|left out|at room temperature)(?: for)? (${SPAN})(?: (?:before|ahead|first|out of the fridge|on the (?:bench|counter|side)))?|(${SPAN}) (?:on the (?:bench|counter|side)|out of the fridge|at room temperature|tempered)`,
    ([, one, two]) => ({ kind: 'start', temper_min: minutesOf(one ?? two ?? '') }),
  ),
  reader(`(?:at |from )?room temp(?:erature)?`, () => ({
    kind: 'start',
    heat: { value: 18, unit: 'c' },
    temper_min: 0,
  })),
  // Rest
  reader(
    `(?:then |and )?(?:rest(?:ed|ing)?)(?: it)?(?: for)? (${SPAN}|${N})(?: (?:tented|under foil|before carving|covered))?|(${SPAN}) rest(?:ing)?`,
    ([, one, two]) => ({
      kind: 'rest',
      minutes: minutesOf(one ?? two ?? ''),
    }),
  ),
  reader(`second heat(?: ${HEAT})?(?: for (${SPAN}))?`, ([, value, unit, gas, span]) => {
    const heat = heatOf(value, unit, gas)
    return { kind: 'second', ...(heat ? { heat } : {}), ...(span ? { minutes: minutesOf(span) } : {}) }
  }),
  // Heat
  reader(
    `(?:in (?:an? |the )?|with (?:an? |the )?)?(oven|fan|fan oven|convection|convection oven|fire|grill|coals|bath|water bath|sous vide|at|roast at|cook at|heat|oven on)(?: on| set)?(?: at| to)? ${TEMP}(?: (fan|convection|oven))?`,
    ([, word = '', value, unit, after]) =>
      heatFact(after === 'oven' || after === undefined ? word : after, heatOf(value, unit)),
  ),
  reader(
    `(?:at |in an? |in the )?${TEMP} (oven|fan|fan oven|convection|convection oven|fire|grill|bath|water bath)`,
    ([, value, unit, word = '']) => heatFact(word, heatOf(value, unit)),
  ),
  reader(`(?:oven |at |on )?${GAS}`, ([, gas]) => heatFact('oven', heatOf(undefined, undefined, gas))),
  reader(`(?:in an? |in the |my )?(?:fan|convection|fan assisted)(?: oven)?`, () => ({ kind: 'oven', oven: 'fan' })),
  reader(`(?:in an? |in the |my )?(?:still|conventional|static|ordinary|top and bottom heat) oven`, () => ({
    kind: 'oven',
    oven: 'still',
  })),
  ...SCHOOLS.map(({ id, name }) =>
    reader(
      `(?:by |with a |as a |the )?(?:${[SCHOOL_WORDS[id], id.replaceAll('-', ' '), name.toLowerCase().replaceAll(/[,-]/g, ' ').replace(/ +/g, ' ')].filter(Boolean).join('|')})`,
      () => ({ kind: 'school', id }),
    ),
  ),
  // What was done to it
  reader('plain surface', () => ({ kind: 'surface', surface: 'plain' })),
  reader('buttered surface', () => ({ kind: 'surface', surface: 'buttered' })),
  reader('salted surface', () => ({ kind: 'surface', surface: 'dry_salted' })),
  reader('handling (rolled|stuffed|tenderised|injected)', ([, handling]) => ({
    kind: 'traits',
    traits: {},
    handling: handling as 'rolled' | 'stuffed' | 'tenderised' | 'injected',
  })),
  reader('acid marinade', () => ({ kind: 'preparation', preparation: 'acid_marinade' })),
  reader(`(?:unsalted|no salt|without salt|not salted)`, () => ({ kind: 'preparation', preparation: 'none' })),
  reader(
    `(?:dry ?)?(?:salted|salt|dry brined?|dry brine)(?: (?:overnight|ahead|the day before|the night before|yesterday|today|all over|well|and left open|(?:for )?${N} (?:${HOUR}|days?)(?: (?:ahead|before))?))*`,
    () => ({ kind: 'preparation', preparation: 'dry_salt' }),
  ),
  reader(
    `(?:wet )?(?:brined?|in (?:a )?brine|wet brined?|pickled)(?: (?:overnight|(?:for )?${N} (?:${HOUR}|days?)))?`,
    (_, text) => ({
      kind: 'preparation',
      preparation: 'wet_brine',
      ...noted(text),
    }),
  ),
  listed(
    `(?:in (?:an? )?)?(?:(?:${SOAK} )?(?:marinated?|marinade|marinading|marinating))(?: ${AHEAD})?(?: (?:in|with|of) (${SOAK}(?:(?: and| with)? ${SOAK}){0,4}))?(?: ${AHEAD})?`,
    ([, what = ''], text) => ({
      kind: 'preparation',
      preparation: ACID.test(what || text) ? 'acid_marinade' : 'marinade',
      ...noted(text),
    }),
  ),
  reader(
    `(?:butter under (?:the|its) skin|with butter(?: under the skin)?|rubbed with butter|butter(?:ed)?|larded|smeared with (?:butter|fat)|goose fat|dripping|basted in butter)`,
    () => ({
      kind: 'surface',
      surface: 'buttered',
    }),
  ),
  reader(`(?:(?:from )?frozen(?: solid)?|from the freezer|still frozen)`, () => ({ kind: 'frozen' })),
  reader(`(?:unstuffed|not stuffed|no stuffing|without stuffing|empty cavity)`, () => ({
    kind: 'stuffing',
    where: 'none',
  })),
  reader(
    `(?:stuff(?:ed|ing)?|filled)(?: (?:in|at))?(?: only)?(?: the)? neck(?: (?:only|end))?|neck (?:end )?stuffed|neck stuffing`,
    () => ({
      kind: 'stuffing',
      where: 'neck',
    }),
  ),
  reader(
    `(?:stuffed|with (?:[a-z]+ (?:and [a-z]+ )?)?stuffing(?: (?:in(?: the)?|inside)(?: cavity)?)?|(?:[a-z]+ and [a-z]+ )?stuffing (?:in the cavity|inside))(?: (?:cavity|inside|in the cavity|bird))?(?: with (?:[a-z]+(?: and )?){1,3})?`,
    () => ({ kind: 'stuffing', where: 'cavity' }),
  ),
  reader(`(?:legs? (?:open|untied|loose|splayed)|open legs?|untrussed|untied|not trussed|un trussed)`, () => ({
    kind: 'legs',
    legs: 'open',
  })),
  reader(`(?:legs? tied|trussed|tied legs?|truss|tied up|tied)`, () => ({ kind: 'legs', legs: 'tied' })),
  reader(`(?:on the bone|bone ?in|with (?:the )?bone(?: in)?|bone on|with bones?)`, () => ({
    kind: 'traits',
    traits: { bone: 'in' },
  })),
  reader(
    `(?:off the bone|bone ?less|boned(?: out)?|bone out|de ?boned|without (?:the )?bones?|no bones?)(?: (?:and )?(?:rolled|tied)(?: and (?:tied|rolled))?)?`,
    (_, text) => ({
      kind: 'traits',
      traits: { bone: 'out', rolled: /rolled/.test(text) || undefined },
    }),
  ),
  reader(`(?:rolled|rolled and tied|tied and rolled)`, () => ({ kind: 'traits', traits: { rolled: true } })),
  reader(`(?:butterflied|butterfly|opened flat|opened out)`, () => ({ kind: 'traits', traits: { butterflied: true } })),
  reader(`half(?: an?)?(?= (?:ham|leg|fresh|tenderloin|fillet|beef|a|pork|of))`, () => ({
    kind: 'traits',
    traits: { half: true },
  })),
  reader(`(?:breast only|crown)`, () => ({ kind: 'traits', traits: { crown: true } })),
  reader(`(?:tenderised|tenderized|bladed|blade tenderi[sz]ed|needled)`, () => ({
    kind: 'traits',
    traits: {},
    handling: 'tenderised',
  })),
  reader(`(?:injected|pumped|self basting)`, () => ({ kind: 'traits', traits: {}, handling: 'injected' })),
  reader(COVER, (_, text) => {
    const cover = coverOf(text)
    return cover === undefined || text === 'open' || text === 'bare' ? undefined : { kind: 'cover', cover }
  }),
  reader(
    `(?:baste|basted|basting)(?: (?:it|with (?:butter|its juices|juices|fat|dripping)))*(?: (once|twice|three times|four times|often|a lot|now and then|every (${SPAN})))?`,
    ([, how, span]) => ({
      kind: 'tending',
      act: 'baste',
      ...(span ? { every_min: minutesOf(span) } : {}),
      ...({
        once: { times: 1 },
        twice: { times: 2 },
        'three times': { times: 3 },
        'four times': { times: 4 },
        often: { every_min: 20 },
      }[how ?? ''] ?? {}),
    }),
  ),
  listed(
    `(?:with (?:a |an )?)?(?:(?:honey|maple|mustard|sugar|marmalade|orange|apricot|cider) (?:and )?)*(?:glaze|glazed)(?: (?:it )?with [a-z]+(?: (?:and )?(?!half|halfway|ten|five|at|near|in|once|twice|three|and|every)[a-z]+){0,3})?(?: (once|twice|three times))?(?: (?:and )?(?:half way|halfway|at the end|near the end|towards the end|in the last third|at half time|${N} ${MIN} before (?:the end|it is done|serving)|in the last ${N} ${MIN}))*`,
    ([, how], text) => ({
      kind: 'tending',
      act: 'glaze',
      said: text,
      ...(how === 'twice' ? { times: 2 } : how === 'three times' ? { times: 3 } : {}),
    }),
  ),
  listed(
    `(?:on|over|with) (?:a )?(?:bed of |trivet of |rack of )?(?:${BED}(?: and |, | )?)+(?: (?:underneath|in the (?:pan|tin|tray)|under it|below))?|(?:a )?bed of (?:${BED}(?: and | )?)+`,
    (_, text) =>
      /^(?:with) /.test(text) && !/(?:underneath|in the|under it|below)$/.test(text)
        ? undefined
        : { kind: 'note', text },
  ),
  reader(
    `(?:with |and )?(?:(?:a |some )?(?:splash|glass|cup|${N} (?:ml|l|cups?|litres?)) of )?(?:${LIQUID}(?: and )?)+ (?:in|under|into) (?:the )?(?:pan|tin|tray|roasting tin|roasting pan|bottom)`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(`(?:on|over) (?:a |the |its )?(?:wire )?rack`, (_, text) => ({ kind: 'note', text })),
  reader(
    `(?:with )?(?:a |the |two |one )?probes? (?:in|into) (?:the )?(?:${POINT})(?: and (?:the )?(?:${POINT}))?|with (?:a |two )?(?:probes?|thermometers?)|no (?:probe|thermometer)`,
    (_, text) => ({
      kind: 'note',
      text,
    }),
  ),
  listed(
    `(?:(?:with|and|rubbed|in|under|studded|seasoned|flavoured|some|plenty of|lots of|a little|fresh|dried|cracked|black|sea) )*(?:${SEASONING})(?:(?: and| with|,)? (?:(?:fresh|dried|black|cracked|sea|some) )*(?:${SEASONING}))*(?: (?:rub|crust|butter|paste|all over|under the skin))?`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(
    `(?:(?:for |with )?(?:good |crisp |crispy )?(?:crackling|skin)|(?:score|scored)(?: (?:fat|skin))?|fat cap (?:on|off)|trimmed|frenched|french trimmed|skin (?:on|off)|giblets? (?:out|in)|wings? tucked|spatchcocked?)`,
    (_, text) => ({
      kind: 'note',
      text,
    }),
  ),
  // A number with a degree, or one that can only be a heat
  reader(`(?:at )?(${DIGITS}) (c|f|degrees c|degrees f|deg c|deg f|celsius|fahrenheit|degrees)`, ([, value, unit]) => {
    const heat = heatOf(value, unit)
    if (heat === undefined) return undefined
    const core = heat.unit === 'f' ? heat.value >= 104 && heat.value <= 205 : heat.value >= 40 && heat.value <= 96
    return core ? { kind: 'serve', heat } : isHeat(heat, 97) ? { kind: 'heat', heat } : undefined
  }),
  reader(
    `(\\d{3})(?! (?:kg|kgs|g|gr|gm|gms|grams?|lbs?|pounds?|oz|mm|cm|x|people|guests|heads|covers|adults))`,
    ([, value]) => {
      const heat = heatOf(value, undefined)
      return isHeat(heat, 100) && heat.value <= 500 ? { kind: 'heat', heat } : undefined
    },
  ),
  // Who eats
  listed(
    `(?:for |feeds |feeding |serves |serving |there are |we are |we will be |party of )?(${N}) adults?(?: and| plus)? (${N}) (?:children|kids|child|teenagers)`,
    ([, adults = '', children = '']) => guests(numberOf(adults) + numberOf(children)),
  ),
  reader(
    `(?:for |feeds |feeding |serves |serving |there are |we are |we will be |dinner for |lunch for |supper for |party of )(${N})(?: (?:hungry )?${PEOPLE})?(?! (?:kg|g|lb|lbs|h|hours?|min|minutes?))`,
    ([, count = '']) => guests(numberOf(count)),
  ),
  reader(`(${N}) (?:hungry )?${PEOPLE}`, ([, count = '']) => guests(numberOf(count))),
  reader(
    `(?:(?:one|two|three|1|2|3|a|an|some|my|the|with|is|of them|of us|who is|someone|somebody|guest) )*${EATER}(?: (?:at the table|guest|guests|is coming|are coming))?`,
    () => ({ kind: 'vulnerable' }),
  ),
  // Beside it
  ...SIDES.map(({ id, title, words }) =>
    reader(`(?:with |and |plus |alongside |some |the |served with |a |dish of )*(?:${words})`, () => ({
      kind: 'side',
      id,
      title,
    })),
  ),
  reader(`(?:with |and |plus )?(?:some |the )?gravy`, () => ({ kind: 'filler' })),
]

/** What was said beyond the bare word is remembered as it was said. */
const noted = (text: string) => (/ (?!brined?$|marinade$)/.test(text) ? { note: text } : {})

/** A stage in full: "stage oven 160 c foil for 20 min baste at 10 every 15". */
function written(): Reader {
  return reader(
    `stage (?:(oven|fire|pan|bath|cabinet) (${DIGITS}) c|(oven off)|(counter|fridge))( cold)?(?: (tent|foil|bag))?(?: (breast up|breast down))?(?: foil on (breast|legs))?(?: (fat|glazed) surface)?(?: for (${DIGITS}) min|( to the pull)| to (${DIGITS}) c| to colour (${DIGITS})| at least (${DIGITS}) min)(${TENDED}*)`,
    ([
      ,
      place,
      heat,
      off,
      still,
      cold,
      cover,
      position,
      foil,
      surface,
      minutes,
      pull,
      core,
      colour,
      least,
      tended = '',
    ]) => ({
      kind: 'written',
      stage: {
        role: 'cook',
        environment: off
          ? { kind: 'oven', set_c: null }
          : still
            ? { kind: still as 'counter' | 'fridge' }
            : { kind: PLACES[place ?? ''] ?? 'oven', set_c: heldNumber(Number(heat)) },
        cover: (cover as 'tent' | 'foil' | 'bag' | undefined) ?? 'bare',
        preheated: cold === undefined,
        ...(position ? { position: position === 'breast up' ? 'breast_up' : 'breast_down' } : {}),
        ...(foil ? { foil: foil as 'breast' | 'legs' } : {}),
        ...(surface ? { surface: surface === 'fat' ? 'fat' : 'glaze' } : {}),
        until: minutes
          ? { kind: 'time', minutes: heldNumber(Number(minutes)) }
          : pull
            ? { kind: 'pull' }
            : core
              ? { kind: 'core', core_c: heldNumber(Number(core)) }
              : colour
                ? { kind: 'colour', browning_min: heldNumber(Number(colour)) }
                : { kind: 'clock', least_min: heldNumber(Number(least)) },
        tending: [...tended.matchAll(/(baste|turn|glaze|uncover) at (\d+(?:\.\d+)?)(?: every (\d+(?:\.\d+)?))?/g)].map(
          ([, act, at, every]) => ({
            act: act as 'baste' | 'turn' | 'glaze' | 'uncover',
            at_min: heldNumber(Number(at)),
            ...(every ? { every_min: heldNumber(Number(every)) } : {}),
          }),
        ),
      },
    }),
  )
}

function thickness(value: string, unit: string): Fact {
  const size = numberOf(value)
  const mm =
    unit.startsWith('mm') || unit.startsWith('milli')
      ? size
      : unit.startsWith('c')
        ? size * 10
        : inchesToMetres(size) * 1000
  return { kind: 'thickness', mm: Math.round(mm * 10) / 10 }
}

const guests = (count: number): Fact | undefined =>
  Number.isInteger(count) && count >= 1 && count <= 2000 ? { kind: 'guests', guests: count } : undefined

function heatFact(word: string, heat: SaidHeat | undefined): Fact | undefined {
  if (heat === undefined) return undefined
  // "at 7" is a time, "at 160" a heat.
  if ((word === 'at' || word.endsWith(' at')) && heat.unit === undefined && heat.value < 75) return undefined
  const on: SaidStage['on'] | undefined = /bath|vide/.test(word)
    ? 'bath'
    : /fire|grill|coals/.test(word)
      ? 'fire'
      : /fan|convection/.test(word)
        ? 'fan'
        : /oven/.test(word)
          ? 'oven'
          : undefined
  if (on !== 'bath' && heat.value < 50) return undefined
  return { kind: 'heat', heat, ...(on ? { on } : {}) }
}
