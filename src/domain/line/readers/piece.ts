import { inchesToMetres, ouncesToKilograms, poundsToKilograms } from '@/core/units'
import type { Fact, SaidHeat } from '../fact'
import { SIDES } from '../sides'
import { numberOf } from '../tokens'
import { DEGREE, degreeOf } from './doneness'
import {
  DIGITS,
  HEAT,
  heatOf,
  listed,
  MASS_UNIT,
  MEASURE,
  massOf,
  minutesOf,
  N,
  POINT,
  READS,
  type Reader,
  reader,
  SPAN,
  TEMP,
} from './grammar'

/** Two weights said together are a range where the second is no more than this of the first. */
const RANGE = 1.6
/** One of those at the table, by who it is. */
const KIN =
  'gran(?:ny|dma|dad|dpa)?|grandmother|grandfather|nana|mum|mom|mother|dad|father|uncle|aunt|auntie|husband|wife|partner|boyfriend|girlfriend|son|daughter|brother|sister'
/** Pieces of one kind said with a weight each are no more unlike than this. */
const LIKE_SIZE = 4
/** More of one roast than this nobody says in one breath. */
const MOST_PIECES = 40
const COUNT_WORD = '(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)'
/** Weighed beside a roast, it is no second one. */
const A_SIDE = SIDES.map(({ words }) => `(?:${words})`).join('|')
const OURS = '(?:(?:the|my|our|poor|old) )*'
const LIKE =
  '(?:likes?|wants?|prefers?|eats?|takes?|having|have|has)(?: it| theirs| hers| (?:his|her|their)(?: (?:own )?(?:meat|beef|lamb|pork|roast|steak|piece|portion))?)?'

/** "Bacon over the breast 190" is an oven: no bird reads so much, °F. */
const MOST_BARE_CORE = 185
/** "Cooked at 160" is how, not how done. */
const HOW = 'upside|breast|at|for|on|to|with|under|until|low|slow|by|from|over|first|gently|whole'
/** So many bones two racks have. */
const MOST_BONES = 16

/** So many of what was named, where it can be so many. */
function pieces(
  times: string,
  { least = 2, ofAll }: { readonly least?: number; readonly ofAll?: 'said' | 'perhaps' } = {},
): Fact | undefined {
  const count = numberOf(times)
  return Number.isInteger(count) && count >= least && count <= MOST_PIECES
    ? { kind: 'pieces', count, ...(ofAll ? { ofAll } : {}) }
    : undefined
}

/** What takes it out, with its name between that and the reading. */
const PULL = '(?:pull|remove|take out)'
const ITS_NAME = '(?:the |my |our )?(?:[a-z-]+ ){1,3}'
/** A reading to pull at, where meat is pulled at such. */
const pulledAt = (heat: SaidHeat | undefined, point?: string): Fact | undefined =>
  heat && heat.value >= 40 && heat.value <= (heat.unit === 'c' ? 98 : 208)
    ? { kind: 'pull', heat, ...(point ? { point } : {}) }
    : undefined

/** How much there is of it, how thick, how cold; how done it is wanted. */
export const PIECE: readonly Reader[] = [
  // Weight
  reader(
    `(${DIGITS}|${N}) (?:lbs?|pounds?) (?:and )?(${DIGITS}|${N}) (?:oz|ounces?)`,
    ([, pounds = '', ounces = '']) => ({
      kind: 'mass',
      kg: poundsToKilograms(numberOf(pounds)) + ouncesToKilograms(numberOf(ounces)),
    }),
  ),
  // 12-14 lb: between them
  reader(
    `(?:(${DIGITS}) (?:to |or )?|between (${DIGITS})(?: ${MASS_UNIT})? and )(${DIGITS}) ${MASS_UNIT}`,
    ([, from, between = '', lowUnit, high = '', unit = '']) => {
      const [least, most] = [massOf(from ?? between, lowUnit ?? unit), massOf(high, unit)]
      return most > least && most <= RANGE * least ? { kind: 'mass', kg: (least + most) / 2 } : undefined
    },
  ),
  // two 8 bone racks
  reader(`(${N}) (?:x )?(?:${N}) bones? (?:racks|joints|roasts|pieces)`, ([, count = '']) => {
    const pieces = numberOf(count)
    return Number.isInteger(pieces) && pieces >= 2 && pieces <= MOST_PIECES
      ? { kind: 'pieces', count: pieces }
      : undefined
  }),
  // 8 bones x 3
  reader(`(?:${N}) bones? x (\\d+)`, ([, times = '']) => pieces(times)),
  reader(`(${N}) bones?`, ([, count = '']) => {
    const bones = numberOf(count)
    return Number.isInteger(bones) && bones >= 1 && bones <= MOST_BONES ? { kind: 'bones', bones } : undefined
  }),
  // 280 g portions of
  reader(`(?:in |as )?(${N}) ${MASS_UNIT} (?:portions|servings|plates)(?: of)?`, ([, value = '', unit = '']) => ({
    kind: 'mass',
    kg: massOf(value, unit),
    each: 'guest',
  })),
  // 2 lb a head
  reader(
    `(?:about |around |at |allow |allowing )?(${N}) ${MASS_UNIT}(?: of (?:meat|beef|raw meat))? (?:per (?:person|head|guest|cover|adult|portion)|a (?:head|person)|each person|pp)`,
    ([, value = '', unit = '']) => ({ kind: 'mass', kg: massOf(value, unit), each: 'guest' }),
  ),
  // two legs of lamb, 2.2 and 2.5 kg
  listed(
    `(${DIGITS})(?: ${MASS_UNIT})?(?: (?:and )?(${DIGITS})(?: ${MASS_UNIT})?)? (?:and|&|\\+) (${DIGITS}) ${MASS_UNIT}(?! (?:of (?:the )?)?(?:${A_SIDE})(?: |$))`,
    ([, first = '', firstUnit, second, secondUnit, last = '', unit = '']) => {
      const kgs = [
        massOf(first, firstUnit ?? unit),
        ...(second === undefined ? [] : [massOf(second, secondUnit ?? unit)]),
        massOf(last, unit),
      ]
      return Math.max(...kgs) <= LIKE_SIZE * Math.min(...kgs) ? { kind: 'mass', kg: kgs[0] as number, kgs } : undefined
    },
  ),
  // 2 kilo 4: two kilos and four hundred grams
  reader(
    `(\\d{1,2}) kilos? (\\d)(?! (?:${MEASURE}|bones?|ribs?|hours?|hrs?|x)(?: |$))`,
    ([, kilos = '', more = '']) => ({
      kind: 'mass',
      kg: numberOf(kilos) + numberOf(more) / 10,
    }),
  ),
  // 500 g x 3
  reader(`(${DIGITS}) ${MASS_UNIT}(?: each)? x ?(\\d+)`, ([, value = '', unit = '', times = '']) => {
    const count = numberOf(times)
    return count >= 1 && count <= MOST_PIECES ? { kind: 'mass', kg: massOf(value, unit), count } : undefined
  }),
  // 2 x 1.5 kg · two 1.6 kg chickens · 2 pieces of 500 g each
  reader(
    `(?:(\\d+) x|(${COUNT_WORD})|(${N}) (?:pieces?|pcs?|joints?|lots|of them)(?: of| at)?) (${DIGITS}) ${MASS_UNIT}(?: each| apiece| a piece)?`,
    ([, times, word, pieces, value = '', unit = '']) => {
      const count = numberOf(times ?? word ?? pieces ?? '')
      return Number.isInteger(count) && count >= 1 && count <= MOST_PIECES
        ? { kind: 'mass', kg: massOf(value, unit), count }
        : undefined
    },
  ),
  reader(
    `(?:about |around |roughly |approx |circa |weighs |weighing |at |of )?(${N}) (?:of a )?${MASS_UNIT}(?: and a half)?(?: each| apiece| a piece| in weight| raw)?`,
    ([, value = '', unit = ''], text) => ({
      kind: 'mass',
      kg: massOf(/ and a half(?: |$)/.test(text) && !value.includes('half') ? `${value} and a half` : value, unit),
      ...(/ (?:each|apiece|a piece)$/.test(text) ? { apiece: true as const } : {}),
    }),
  ),
  // at 1.8 each: in kilograms, for no clock is "each"
  reader(`(?:at |of )?(\\d{1,2}\\.\\d{1,2}) (?:each|apiece)`, ([, value = '']) => ({
    kind: 'mass',
    kg: massOf(value, 'kg'),
    apiece: true,
  })),
  // two small chickens, one big one
  reader(
    `(one|an?|another|\\d{1,2}|${COUNT_WORD}) (?:more )?(?:big|bigger|large|larger|small|smaller|little|medium sized)(?: ones?|$)`,
    ([, times = '']) => {
      const more = pieces(times === 'another' ? 'one' : times, { least: 1 })
      return more && { ...more, more: true as const }
    },
  ),
  reader(`(?:a )?brace`, () => ({ kind: 'pieces', count: 2 })),
  // rack 2x 8 ribs
  reader(`(\\d+) x(?= \\d+ (?:ribs?|bones?)(?: |$))`, ([, times = '']) => pieces(times, { least: 1 })),
  // 12 kg of strip loin in 3 pieces: that is what all weigh
  reader(`(?:cut |divided |halved )?(?:in|into) (${N}) (?:pieces|joints|roasts|halves)`, ([, times = '']) =>
    pieces(times, { ofAll: 'said' }),
  ),
  // cut in two, halved
  reader(`(?:cut|divided|split) (?:in|into) (half|two|three|four|\\d)|halved`, ([, times]) =>
    pieces(times === undefined || times === 'half' ? '2' : times, { ofAll: 'said' }),
  ),
  // 24 kg of strip loin, 8 pieces
  reader(`(${N}) (?:pieces|pcs?|joints)(?! (?:of|at|each)(?: |$))`, ([, times = '']) =>
    pieces(times, { ofAll: 'perhaps' }),
  ),
  // best end of lamb, two racks
  reader(`(${N}) racks(?! of(?: |$))`, ([, times = '']) => pieces(times)),
  // poussins, 4 off; poussins, four of them: how many of what was named
  reader(`(\\d{1,2}) off(?! (?:the|for|at|after|when)(?: |$))`, ([, times = '']) => pieces(times)),
  reader(`(${N}) of (?:them|em|those|these)`, ([, times = '']) => pieces(times)),
  // Size
  reader(
    `(?:thickness |about )?(${N}) (mm|millimetres?|millimeters?|cm|centimetres?|centimeters?|in|inch|inches|")(?: (?:thick|deep|through|across|high|tall|in diameter))`,
    ([, value = '', unit = '']) => thickness(value, unit),
  ),
  reader(`(?:with (?:an? )?)?${N} (?:mm|cm|inch|inches|") (?:(?:of|thick) )?fat(?: cap)?`, (_, text) => ({
    kind: 'note',
    text,
  })),
  reader(`(?:thickness |thick )?(${N}) (mm|millimetres?|cm|centimetres?|inch|inches|")`, ([, value = '', unit = '']) =>
    thickness(value, unit),
  ),
  // Reading and doneness
  // pull the rib at 52: the name stands between
  reader(`${PULL}(?= ${ITS_NAME}(?:at|when|once)(?: ${READS})? ${TEMP}(?: |$))`, () => ({
    kind: 'filler',
  })),
  reader(`(?<=(?:^| )${PULL} ${ITS_NAME})(?:at|when|once)(?: ${READS})? ${TEMP}(?! oven(?: |$))`, ([, value, unit]) =>
    pulledAt(heatOf(value, unit)),
  ),
  reader(
    `(?:pull(?:ed)?(?: temp(?:erature)?)?|take it out|out|remove|removed|(?:pull(?:ed)?|take(?: it)?(?: out)?|remove|removed|out)(?: it)? (?:from|of) (?:the )?oven|(?:pull(?:ed)?|take out|remove)(?: the)? (?:breast|thigh|core|meat|bird|roast|joint)(?= (?:at|when|once) )|(?:probe alarm|probe|alarm|thermometer)(?: set| goes off| reads)?)(?: it)?(?: at| when(?: ${READS})?| once(?: ${READS})?| to| for)? ${TEMP}(?: in (?:the |its )?(${POINT}))?|(?:to|until|till) (?:a core of )?${TEMP} in (?:the |its )?(${POINT})|(?:cook(?:ed)? |roast(?:ed)? )?(?:until|till) ${READS} ${TEMP}|(?<!in )(?<!at )${TEMP} (?:in (?:the |its )?)?(thigh|breast)(?! (?:side|up|down|only|meat)(?: |$))|(?:at )?${TEMP} (?:when (?:it (?:comes|is taken) )?out|(?:at|when) (?:the )?pull(?:ed)?|pull)(?! (?:at|to|when|temp|temperature|it|for|\\d{2}(?! (?:c |f )?oven))(?: |$))|(?:core|internal|inside)(?: temp(?:erature)?)?(?: of| is)? ${TEMP} (?:when pulled|at the pull)|(?:the )?(thigh|breast)(?: (?:to|at|reads?|reading|until))? ${TEMP}(?! (?:min|minutes?|h|hours?|g|kg|lb))`,
    ([
      ,
      a,
      aUnit,
      aPoint,
      b,
      bUnit,
      bPoint,
      f,
      fUnit,
      e,
      eUnit,
      ePoint,
      pulled,
      pulledUnit,
      core,
      coreUnit,
      dPoint,
      d,
      dUnit,
    ]) => {
      const [c, cUnit] = [f ?? pulled ?? core, fUnit ?? pulledUnit ?? coreUnit]
      const heat = heatOf(a ?? b ?? c ?? d ?? e, aUnit ?? bUnit ?? cUnit ?? dUnit ?? eUnit)
      const point = aPoint ?? bPoint ?? dPoint ?? ePoint
      // "Breast 2 kg" is no reading.
      if (
        (d ?? e) !== undefined &&
        ((heat?.value ?? 0) < 55 || (heat?.unit === undefined && (heat?.value ?? 0) > MOST_BARE_CORE))
      )
        return undefined
      return pulledAt(heat, point)
    },
  ),
  reader(
    `(?:(?:to|until|till|serve|served|serve at|served at|core of|core to|middle at|(?:centre|center|middle)(?= \\d{2}(?: |$))|(?:core|inside|internal|final|finish(?:ed)?|target|end|serving|eating)(?: core| internal)?(?: temp(?:erature)?)?(?: of| is| at)?|done at|eaten at|want(?:ed)?(?: it)?(?: at)?(?= \\d{2,3}(?: (?:c|f|degrees?|deg|core|internal|inside|in the)(?: |$)|$))) )${TEMP}(?: core| internal| inside| in the (?:middle|centre|center))?|(?:at )?(${DIGITS})(?: (c|f|degrees c|degrees f|degrees|deg))? (?:core|final|target|finish(?:ed)?|internal|inside|(?:in|at) the (?:middle|centre|center|core))(?: temp(?:erature)?)?(?! (?:of |at |to )?\\d+(?:\\.\\d+)?(?! (?:(?:c |f |degrees )?oven|min|mins|minutes?|h|hrs?|hours?|kgs?|g|lbs?|people|guests|am|pm)(?: |$))(?: |$))`,
    ([, a, aUnit, b, bUnit]) => {
      const heat = heatOf(a ?? b, aUnit ?? bUnit)
      return heat && heat.value >= 40 && heat.value <= (heat.unit === 'c' ? 100 : 212)
        ? { kind: 'serve', heat }
        : undefined
    },
  ),
  reader(
    `(?:(?:no|not) (?:more|hotter|higher|over)(?: than)?|at (?:the )?most|max(?:imum)?) ${TEMP}(?! (?:m|mins?|minutes?|h|hrs?|hours?|people|guests|kgs?|g|lbs?|of)(?: |$))`,
    ([, value, unit]) => {
      const heat = heatOf(value, unit)
      return heat && heat.value >= 40 && heat.value <= (heat.unit === 'c' ? 100 : 160)
        ? { kind: 'serve', heat }
        : undefined
    },
  ),
  reader(
    `(${N}) (?:of (?:them|us|(?:the |my |our )?(?:kids|children|guests|people|men|ladies)) )?(?:people |guests )?(?:who )?(?:${LIKE} )?(?:it )?(?:(?:cooked|done) (?=${DEGREE}(?: |$)))?(?!(?:cooked|done) (?:${HOW})(?: |$))(${DEGREE})(?: meat)?`,
    ([, count = '', word = '']) => {
      const eaters = numberOf(count)
      return Number.isInteger(eaters) && eaters >= 1 && eaters <= 60 && count !== 'a' && count !== 'an'
        ? { kind: 'wish', count: eaters, word: degreeOf(word) }
        : undefined
    },
  ),
  // gran likes it well done: hers alone; everyone else pink
  reader(
    `${OURS}(?:me|(?:(${KIN})(?: in law)? and ${OURS})?(?:${KIN})(?: in law)?(?: (?:both|each))?) (?:${LIKE} |like |want |prefer )?(?:it )?(${DEGREE})`,
    ([, first, word = '']) => ({ kind: 'wish', count: first ? 2 : 1, word: degreeOf(word), perhapsAll: true }),
  ),
  reader(
    `(?:(?:and )?(?:the )?rest(?: of (?:us|them))?|(?:and )?(?:the )?other (?:half|third)|(?:every(?:one|body)|all|the) (?:else|others)|others)(?: ${LIKE})?(?: it)? (${DEGREE})`,
    ([, word = '']) => ({ kind: 'share', word: degreeOf(word) }),
  ),
  // pink for the rest
  reader(
    `(?:and )?(${DEGREE}) for (?:(?:the )?(?:rest|others)(?: of (?:us|them))?|(?:every(?:one|body)|all|the) (?:else|others))`,
    ([, word = '']) => ({ kind: 'share', word: degreeOf(word) }),
  ),
  // two thirds medium rare; half of us like it well done
  reader(
    `(?:and )?(?:about |roughly )?(?:(half)|(?:a |one )?(third|quarter)|two (thirds)|three (quarters))(?: (?:of )?(?:them|us|it|the (?:guests|table|party)|people|guests))?(?: ${LIKE})?(?: it)? (?!(?:cooked|done)(?: |$))(${DEGREE})`,
    ([, half, one, , three, word = '']) => ({
      kind: 'share',
      share: half ? 1 / 2 : one === 'third' ? 1 / 3 : one ? 1 / 4 : three ? 3 / 4 : 2 / 3,
      word: degreeOf(word),
    }),
  ),
  // 60 % medium rare
  reader(
    `(\\d{1,2}) percent (?:(?:of )?(?:them|us|it|the (?:guests|table|party)|people|guests) )?(?:${LIKE} )?(${DEGREE})`,
    ([, count = '', word = '']) => ({
      kind: 'share',
      share: Number(count) / 100,
      word: degreeOf(word),
    }),
  ),
  // well done for gran: for her alone
  reader(`(${DEGREE})(?= for ${OURS}(?:${KIN})(?: |$))`, ([, word = '']) => ({
    kind: 'wish',
    count: 1,
    word: degreeOf(word),
    perhapsAll: true,
  })),
  // when will it be done
  reader('(?:be|is|are|get|getting) done(?! (?:to|at)(?: |$))', () => ({ kind: 'filler' })),
  // rare for two
  reader(
    `(${DEGREE}) for (${N})(?: of (?:them|us)| (?:people|guests|persons|covers|heads|adults))?(?! (?:${MASS_UNIT.slice(1, -1)}|am|pm|oclock|o'clock|sharp|min|mins|minutes?|h|hrs?|hours?)(?: |$))`,
    ([, word = '', count = '']) => {
      const eaters = numberOf(count)
      return Number.isInteger(eaters) && eaters >= 1 && eaters <= 60 && count !== 'a' && count !== 'an'
        ? { kind: 'wish', count: eaters, word: degreeOf(word), perhapsAll: true }
        : undefined
    },
  ),
  reader(
    `(?:(?:served |done |cooked |just (?!done)|nice and |still |to |very |quite )+(${DEGREE})|(?!(?:cooked|done) (?:${HOW})(?: |$))(${DEGREE}))(?: in the middle| inside| please)?(?! (?:oven|heat)(?: |$))`,
    ([, plain, led]) => ({ kind: 'doneness', word: degreeOf(plain ?? led ?? '') }),
  ),
  // Not dried out: nobody wants that
  reader(
    `(?:not|never|nothing|neither|nor)(?: (?:too|all that|very))? (?:over ?(?:done|cooked)|dry|dried out)`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // Start and bench
  reader(`(?:(?:straight )?(?:from|out of) (?:the )?)?fridge(?: cold)?|straight from cold`, () => ({
    kind: 'start',
    heat: { value: 5, unit: 'c' },
    temper_min: 0,
  })),
  reader(
    `(?:from|start(?: at)?|starts(?: at)?(?= [\\d.]+ (?:c|f|degrees?|deg)(?: |$))|starting(?: at)?|(?:start(?:s|ing)? |meat )(?:temp(?:erature)?|is)(?: is| at| of)?|(?:straight )?(?:from|out of) (?:the )?fridge(?: at)?|fridge(?: at)?) ${TEMP}(?! (?:am|pm|o'?clock|${MASS_UNIT.slice(1, -1)})(?: |$))`,
    ([, value, unit], text) => {
      const heat = heatOf(value, unit)
      // "Out of the fridge at 4" is an hour.
      if (unit === undefined && /^out /.test(text)) return undefined
      return heat && heat.value <= 75 ? { kind: 'start', heat } : undefined
    },
  ),
  reader(
    `(?:bench|temper(?:ed)?|on the (?:bench|counter|side)|(?:taken |take it |comes? )?out(?: of (?:the )?fridge)?|stood|standing|left out|(?:(?:at|(?:(?:bring|brought|come) )?(?:up )?to) )?room temp(?:erature)?)(?: for)? (${SPAN})(?: (?:before|ahead|first|out of the fridge|on the (?:bench|counter|side)))?|(${SPAN}) (?:on the (?:bench|counter|side)|out of the fridge|at room temp(?:erature)?|tempered)(?: first| before)?`,
    ([, one, two]) => ({ kind: 'start', temper_min: minutesOf(one ?? two ?? '') }),
  ),
  // "Out of the fridge at 4": an hour, remembered
  reader(
    `(?:(?:bring|brought|tak(?:e|en|es)|get|comes?) (?:it )?)?out (?:of )?(?:the )?fridge (?:at |by |from )?(?:\\d{1,2}:\\d{2}(?: [ap]m)?|\\d{1,2} [ap]m)|(?:(?:bring|brought|tak(?:e|en|es)|get|comes?) (?:it )?)?out of (?:the )?fridge (?:at|by) (?:[1-9]|1[0-2])(?! (?:c|f|degrees?|deg)(?: |$))`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // "Out at six": an hour, remembered
  reader(
    `(?:(?:comes?|take(?: it)?|taken) )?out(?: of the oven)? (?:at|by) (?:\\d{1,2}:\\d{2}(?: [ap]m)?|\\d{1,2} [ap]m|(?:[1-9]|1[0-2])(?! (?:c|f|degrees?|deg|${MASS_UNIT.slice(1, -1)})(?: |$)))`,
    (_, text) => ({ kind: 'note', text }),
  ),
  reader(`(?:start(?:s|ed|ing)? )?(?:at |from )?room temp(?:erature)?`, () => ({
    kind: 'start',
    heat: { value: 18, unit: 'c' },
    temper_min: 0,
  })),
  // Rest
  reader(
    `(?:then |and )?(?:rest(?:ed|ing)?|tent(?:ed)?(?= (?:it )?(?:for )?(?:${SPAN})))(?: it)?(?: in (?:an? |the )?(?:insulated )?(?:cooler|cool box|ice chest))?(?: for)?(?: (?:at least|about|around|some|a good|a full))? (${SPAN}|${N})(?: (?:tented|under foil|before carving|covered|in (?:an? |the )?(?:cooler|cool box)))?|(${SPAN}) rest(?:ing)?(?!(?: for)? \\d)`,
    ([, one, two]) => ({
      kind: 'rest',
      minutes: minutesOf(one ?? two ?? ''),
    }),
  ),
  // held in a cooler 2 hours: packed in, it rests
  reader(
    `(?:then |and )?(?:hold|held|keep|kept)(?: it)?(?: warm)? in (?:an? |the )?(?:insulated )?(?:cooler|cool box|ice chest|box)(?: for)?(?: (?:at least|about|around|up to))? (${SPAN})`,
    ([, span = '']) => ({ kind: 'rest', minutes: minutesOf(span) }),
  ),
  reader('(?:not|un) ?rested', (_, text) => ({ kind: 'note', text })),
  reader(`(?:with )?(?:no|without(?: any| a)?) rest(?:ing)?(?: time)?`, () => ({ kind: 'rest', minutes: 0 })),
  // "Pull at 140, rest to 145": what it climbs to
  reader(
    `rest(?:s|ed|ing)?(?: it)?(?: up)? (?:to|until|till) ${TEMP}(?! (?:min|minutes?)(?: |$))`,
    ([, value, unit]) => {
      const heat = heatOf(value, unit)
      return heat && heat.value >= 45 ? { kind: 'serve', heat } : undefined
    },
  ),
  reader(
    '(?:then |and then |and )(?:let it |leave it to |leave to )?rest(?:ed)?|well rested|(?<!the )rest(?:ed)?$',
    () => ({
      kind: 'rest',
    }),
  ),
  reader(`second heat(?: ${HEAT})?(?: for (${SPAN}))?`, ([, value, unit, gas, span]) => {
    const heat = heatOf(value, unit, gas)
    return { kind: 'second', ...(heat ? { heat } : {}), ...(span ? { minutes: minutesOf(span) } : {}) }
  }),
]

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
