import { SCHOOLS } from '@/core/program/schools'
import { inchesToMetres } from '@/core/units'
import type { Fact, SaidHeat, SaidStage } from '../fact'
import { numberOf } from '../tokens'
import {
  COVER,
  DIGITS,
  GAS,
  HEAT,
  heatOf,
  isHeat,
  minutesOf,
  N,
  type Reader,
  reader,
  SPAN,
  stretchOf,
  TEMP,
} from './grammar'

/** Settings of heats, and schools by their names. */

/** What a school is called beside its own name (common practice). */
const SCHOOL_WORDS: Readonly<Record<string, string>> = {
  steady: 'steady|one (?:oven )?setting|one temperature|all the way',
  'hot-start':
    'hot start(?: then gentle)?|high heat first|start(?:ed)? hot|high then (?:low|slow)|hot then (?:low|slow|gentle|cool)',
  'kick-start': 'kick start(?: under foil)?',
  'low-and-long': 'low and (?:slow|long)|slow roast(?:ed)?|slow cook(?:ed)?|slow(?:ly)?(?! (?:oven|cooker|heat))',
  'oven-off':
    'oven off|(?:and |then )+off(?! the)|closed oven(?: method)?|(?:with )?the oven off|(?:and |then )*(?:turn(?:ed)?|switch(?:ed)?) (?:(?:it |the oven |oven )off(?: and leave(?: it)?(?: in)?)?|off (?:the )?(?:oven|heat)(?: and leave(?: it)?(?: in)?)?)',
  'cold-start': 'cold start(?: off reheat)?',
  'reverse-sear':
    'reverse(?: sear(?:ed|ing)?)?|(?:low|slow|gentle)(?: (?:first|oven|heat))? (?:and )?then (?:hot|high)(?! (?:oven|heat|at|for))',
  'pan-first':
    '(?:(?:on|the|hot) )*(?:grill(?:ed)?|char(?:red|grill(?:ed)?)?|barbecued?|bbq|marked)(?: it)?(?: (?:hard|well|first|quickly))*(?= (?:and )?then (?:(?:in(?:to)? |the |an? )*oven|finish(?:ed)? in the oven))|(?:(?:in|hot|first|an?|the) )*pan(?= then )|(?:pan )?sear(?:ed)?(?: (?:it )?first| in (?:an? |the )?(?:pan|cast iron(?: pan| skillet)?|skillet)(?: first)?)|pan sear(?:ed)?|brown(?:ed)?(?: it)?(?: first(?: in (?:a |the )?(?:hot |frying )*pan)?| in (?:a |the )?(?:hot |frying )*pan(?: first)?)|pan (?:first|roast(?:ed)?|fr(?:y|ied)|brown(?:ed)?)|sear(?:ed)?(?: it)?(?: (?:hard|well|quickly))?(?: (?:all over|all round|on all sides|on every side))?',
  'two-zone-fire':
    'two zone(?: fire)?|(?:on|over) (?:the |a )?(?:grill|barbecue|bbq|coals|charcoal|fire|embers)|charcoal(?: grill(?:ed)?)?|grill(?:ed)?|barbecued?|bbq|indirect(?: on the (?:grill|bbq|barbecue))?|(?:on|in) (?:the |a |my )?(?:kettle|smoker)(?: (?:grill|bbq|barbecue))?',
  'water-bath': 'water bath(?: then hot)?|sous ?vide|in (?:a|the) bath',
  'bird-turned':
    '(?:cooked |roasted )?(?:breast (?:side )?|upside )down (?:(?:for|to start|at first)(?: the)?(?: first)?|(?:the )?first)(?: (?:hour|hr|half|half hour|half an hour|(?:\\d+|one|two|three) (?:h|hrs?|hours?|mins?|minutes?)))?(?: then (?:turn(?:ed)?|flip(?:ped)?)(?: it)?(?: over)?(?: breast (?:side )?up)?)?|bird turned|turned(?: once| half way| halfway)|start(?:ed|ing)? breast down',
  'finish-hot': 'finish hot(?: if pale)?|hot finish if pale|crisp (?:the )?skin at the end',
  'cook-and-hold': 'cook and hold|held (?:in the cabinet|warm)|hold(?:ing)? cabinet',
}

/** Nobody's dial is farther off than this, in either scale. */
export const MOST_OFFSET = 60
const MINE = '(?:my |the |our |this )?oven (?:is |runs |cooks )?(?:about |some |around |always )*'
const TOO = '(?:too |quite |a bit |very |over )?'
const COLDER = /cold|cool|under|low|slow/

/** No kitchen lies higher, m, and lower nobody says it. */
const HIGHEST_M = 5500
const LOWEST_M = 100
/**
 * Whether it is a height that a line can say, m.
 * @example isHeight(1200) // true
 */
export const isHeight = (m: number): boolean => Number.isInteger(m) && m >= LOWEST_M && m <= HIGHEST_M

/** No fire is kept so low, and no oven is set "to" less, in either scale. */
const LEAST_FIRE = 97
const LEAST_TO = 70
/** Cooler than this a number with its degree is how cold the meat is, °C. */
const MEAT_MOST_C = 30

export const HEATS: readonly Reader[] = [
  // The oven against its dial: runs 10 C hot, is 15 too cold, runs hot by 20 F
  reader(
    `${MINE}(?:${TEMP} ${TOO}(hot|hotter|high|cold|colder|cool|cooler|low|slow|over|under)|${TOO}(hot|cold|cool|high|low|slow)(?: by)? ${TEMP}(?! (?:min|mins|minutes?|h|hrs?|hours?)(?: |$)))(?: than (?:its|the) dial)?`,
    ([, before, beforeUnit, side, sideFirst, after, afterUnit], text) => {
      const heat = heatOf(before ?? after, beforeUnit ?? afterUnit)
      // "Oven low 55" is a heat.
      if (!/ (?:is|runs|cooks|by|too|than) /.test(` ${text} `)) return undefined
      if (!heat || heat.value > MOST_OFFSET || heat.value === 0) return undefined
      const by = COLDER.test(side ?? sideFirst ?? '') ? -heat.value : heat.value
      return { kind: 'offset', by, unit: heat.unit }
    },
  ),
  // How high the kitchen lies
  reader(
    `(?:at |we are at |kitchen at |we live at |up at )?(?:an )?(?:altitude |elevation )?(?:of )?(\\d{3,5}) (m|metres?|meters?|ft|feet|foot)(?: (?:up|high|altitude|elevation|above (?:the )?sea(?: level)?|above sea))?`,
    ([, value = '', unit = ''], text) => {
      const m = Math.round(unit.startsWith('f') ? inchesToMetres(12 * Number(value)) : Number(value))
      // "160 for 120 m" are minutes.
      const plain = value.length > 3 || /altitude|elevation|above|high/.test(text) || unit.startsWith('f')
      return plain && isHeight(m) ? { kind: 'altitude', m } : undefined
    },
  ),
  reader(
    '(?:left |kept |stood |thaw(?:ed|ing)? |defrost(?:ed|ing)? |open |uncovered |to dry |dried |in (?:the |a )?fridge )+overnight',
    (_, text) => ({ kind: 'note', text }),
  ),
  reader('(?:in the oven |cooked |cooking |roast(?:ed)? )?(?:overnight|through the night|all night)', () => ({
    kind: 'overnight',
  })),
  // 70 overnight, 55 degrees all night
  reader(
    `(?:at |in an? oven at |oven (?:at )?)?${TEMP}(?= (?:overnight|all night|through the night)(?: |$))`,
    ([, value, unit]) => {
      const heat = heatOf(value, unit)
      return isHeat(heat, 50) ? { kind: 'heat', heat, on: 'oven' } : undefined
    },
  ),
  // overnight at 60
  reader(
    `(?<=(?:overnight|all night|the night) )(?:(?:at |in an? oven at |oven (?:at )?)${HEAT}|${TEMP}(?<=[cf]))`,
    ([, value, unit, gas, plain, plainUnit]) => {
      const heat = heatOf(value ?? plain, unit ?? plainUnit, gas)
      return isHeat(heat, 55) ? { kind: 'heat', heat, on: 'oven' } : undefined
    },
  ),
  reader('(?:in |from |into )?(?:an? |the )?cold oven(?: start)?|start(?:ing|ed)? cold', () => ({ kind: 'cold_oven' })),
  reader(`(?:oven )?(?:set|turned|switched)(?: on)?(?: to| at| on) ${HEAT}`, ([, value, unit, gas]) => {
    const heat = heatOf(value, unit, gas)
    return isHeat(heat, 97) ? { kind: 'heat', heat, on: 'oven' } : undefined
  }),
  // held at 58 for two hours
  reader(
    `(?:then |and )?(?:cook and )?(?:held|hold(?:ing|s)?)(?: it)?(?: warm)?(?: in (?:the |a )?(?:oven|(?:holding |warm )?cabinet))?(?: at)? ${TEMP}(?: for (${SPAN})| (?:until|till) (noon|midnight|\\d{1,2}(?:[:.]\\d{2})?(?: [ap]m)?))?`,
    ([, value, unit, span, until]) => {
      const heat = heatOf(value, unit)
      return isHeat(heat, 45) && heat.value <= (heat.unit === 'c' ? 95 : 205)
        ? { kind: 'hold', heat, ...(span ? { minutes: minutesOf(span) } : {}), ...(until ? { until } : {}) }
        : undefined
    },
  ),
  // How hot the oven can be is no setting: remembered
  reader(
    `(?:(?:my|the|our|this) )?oven (?:that )?(?:(?:only|just) )*(?:goes|gets|reaches|manages|does|stops at|will go|can do)(?: only| just)*(?: up)?(?: to)? ${HEAT}(?: (?:at most|max|maximum|tops))?|(?:(?:max|maximum)(?: oven)?|oven (?:max|maximum|tops out at))(?: is| of| temperature| temp)* ${HEAT}`,
    (_, text) => ({ kind: 'note', text }),
  ),
  // What is cooked otherwise: said, and not planned
  reader(
    `(?:(?:in|on|by) (?:an? |the |my )?)?(?:deep fr(?:y|ied|yer)|air ?fr(?:y|ied|yer)|pressure cook(?:er|ed)|slow cooker|crock ?pot|microwaved?|rotisserie(?:d)?|spit(?: roast(?:ed)?)?|poached|simmer(?:ed|ing)?|steam(?:ed)?|boil(?:ed|ing)?)(?:(?: for)? ${SPAN})?(?: (?:and )?then roast(?:ed)?)?`,
    () => ({ kind: 'another_way' }),
  ),
  // Smoked at 250: in a smoker
  reader(
    `smok(?:ed|ing|e)(?: it)?(?: low)?(?: at| over [a-z]+ at)? ${HEAT}(?! (?:h|hrs?|hours?|mins?|minutes?)(?: |$))|${HEAT} smok(?:ed|ing|e)(?= |$)`,
    ([, value, unit, gas, valueFirst, unitFirst, gasFirst]) => {
      const heat = heatOf(value ?? valueFirst, unit ?? unitFirst, gas ?? gasFirst)
      return isHeat(heat) ? { kind: 'heat', heat, on: 'fire', smoked: true } : undefined
    },
  ),
  // Preheat the oven to 220
  reader(
    `(?:preheat(?:ed|ing)?|pre heat(?:ed)?|(?:set|turn on)(?= (?:the|your|my) oven ))(?: up)?(?: the| your| my| an?)?(?: (fan|convection))?(?: oven| grill| smoker)?(?: to| at)? ${HEAT}(?: (fan|convection))?`,
    ([, before, value, unit, gas, after]) => heatFact(before || after ? 'fan' : 'oven', heatOf(value, unit, gas)),
  ),
  reader('breast (?:side )?up(?:wards)?|skin (?:side )?up|fat (?:side )?(?:up|down)', () => ({ kind: 'filler' })),
  // Heat
  reader(
    `(?:in (?:an? |the )?|with (?:an? |the )?)?(?:(?:low|hot|moderate|slow|cool) )?(oven|fan|fan oven|convection|convection oven|hot air|hot air oven|fire|grill|coals|smoker|barbecue|bbq|bath|water bath|sous vide|at|roast(?:ed)? at|cook(?:ed)? at|(?:start|starting|begin|beginning)(?: it)? at|heat|oven on)(?: on| set)?(?: at| to)? ${TEMP}(?! (?:h|hrs?|hours?|mins?|minutes?)(?: |$))(?: (fan(?! off)|convection(?! off)|oven))?`,
    ([, word = '', value, unit, after], text) => {
      const fact = heatFact(after === 'oven' || after === undefined ? word : after, heatOf(value, unit))
      // "On the barbecue to 62": that is a core.
      const core = fact?.kind === 'heat' && fact.on !== 'bath' && / to [\d.]+(?: |$)/.test(text)
      return core && fact.heat.value < (fact.on === 'fire' ? LEAST_FIRE : LEAST_TO) ? undefined : fact
    },
  ),
  reader(
    `(?:(?:start(?:s|ing)?|begin(?:s|ning)?)(?: it)? )?(?:at |in an? |in the )?${TEMP} (oven(?! off| (?:at |on )?\\d{2,3} (?:c|f|deg))|fan(?! off)|fan oven|convection|convection oven|fire|grill|smoker|barbecue|bbq|bath|water bath)`,
    ([, value, unit, word = '']) => heatFact(word, heatOf(value, unit)),
  ),
  reader('(?:no|without(?: an?)?|not) (?:pan )?(?:sear(?:ed|ing)?|brown(?:ed|ing)?)|unseared', () => ({
    kind: 'filler',
  })),
  reader(`(?:oven |at |on )?${GAS}`, ([, gas]) => heatFact('oven', heatOf(undefined, undefined, gas))),
  // "No fan" is a still oven
  reader(
    '(?:with |and )?(?:(?:no|not|without(?: the| an?)?) (?:fan|convection)(?: oven)?|(?:the )?(?:fan|convection) (?:switched )?off)',
    () => ({ kind: 'oven', oven: 'still' }),
  ),
  // How many ovens there are
  reader('(?:with |in |just |only |i have |we have )*(?:a |an |the |my |our )?(?:single|one|1) oven(?: only)?', () => ({
    kind: 'ovens',
    count: 1,
  })),
  reader(
    '(?:with |in |i have |we have |across )*(?:the |my |our )?(both|double|[2-6]|two|three|four) (?:(?:big|fan|combi|deck|convection) )*ovens?',
    ([, count = '']) => ({ kind: 'ovens', count: /both|double/.test(count) ? 2 : numberOf(count) }),
  ),
  reader(`(?:in an? |in the |my )?(?:fan|convection|fan assisted|hot air)(?: oven)?`, () => ({
    kind: 'oven',
    oven: 'fan',
  })),
  reader(`(?:in an? |in the |my )?(?:still|conventional|static|ordinary|top and bottom heat) oven`, () => ({
    kind: 'oven',
    oven: 'still',
  })),
  // breast down for the first hour, start breast down 40 min
  reader(
    `(?:cooked |roasted )?(?:(?:start(?:ed|ing)? )(?:it )?(?:breast (?:side )?|upside )down(?: for)?(?: the)?(?: first)?|(?:breast (?:side )?|upside )down(?: for)?(?: the)? first) (hour|half hour|${SPAN})(?: then (?:turn(?:ed)?|flip(?:ped)?)(?: it)?(?: over)?(?: breast (?:side )?up)?)?`,
    ([, span = '']) => ({ kind: 'school', id: 'bird-turned', minutes: stretchOf(span) }),
  ),
  ...SCHOOLS.map(({ id, name }) =>
    reader(
      `(?:by |with a |as a |the )?(?:${[SCHOOL_WORDS[id], id.replaceAll('-', ' '), name.toLowerCase().replaceAll(/[,-]/g, ' ').replace(/ +/g, ' ')].filter(Boolean).join('|')})`,
      () => ({ kind: 'school', id }),
    ),
  ),
]

/** What is called by its hours is cooked at least so long, h. */
const LONG_H = 3
/** After a number of degrees, or of cups, these make it no heat: 2 c stock, a 5 C rise, 3 C below. */
const ASIDE =
  'of|stock|broth|wine|water|cider|beer|juice|rise|carry|carryover|climb|early|earlier|late|later|below|under|over|above|lower|higher|more|less|hotter|colder|cooler|short|shy'

/** A number with a degree, or one that can only be a heat: where nothing else takes it. */
export const BARE: readonly Reader[] = [
  // slow roasted for five hours
  reader(
    `(?:(?:(slow)(?:ly)? )?(?:roast(?:ed)?|cook(?:ed)?)(?: it)?(?: (slowly|low and slow))?|(slow)(?:ly)?)(?: for)?(?: about| around)? (${SPAN})(?! (?:before|after|ahead|per|a|at|[0-5]?\\d at)(?: |$))`,
    ([, before, after, alone, span = '']) => ({
      kind: 'span',
      minutes: minutesOf(span),
      ...(before || after || alone ? { slow: true as const } : {}),
    }),
  ),
  // a seven hour leg of lamb: so long, and low
  reader(
    `(?:an? )?(${N}) (?:hour|hr)(?= (?:(?:slow|braised|roast|roasted|pulled|cooked|low) )*(?:leg|shoulder|lamb|pork|beef|brisket|belly|gigot|mutton|chuck|ham|short|goat|hogget|veal)(?: |$))`,
    ([, hours = '']) =>
      numberOf(hours) >= LONG_H ? { kind: 'span', minutes: 60 * numberOf(hours), slow: true } : undefined,
  ),
  // pot roast 5 hours
  reader(
    `(?<=(?:pot roast(?:ed)?|brais(?:e|ed|ing)) )(?:for )?(?:about )?(${SPAN})(?! (?:per|a|at|[0-5]?\\d at)(?: |$))`,
    ([, span = '']) => ({
      kind: 'span',
      minutes: minutesOf(span),
    }),
  ),
  // A time that is all there is between two commas, or up to what comes then
  reader(
    `(?:for |about |around |it takes |takes )*(${SPAN})(?: in all| total| altogether| in the oven)?(?:$|(?= (?:${COVER}(?: for \\d|$)|(?:and )?then |for \\d+ |(?:in (?:a |the )?)?(?:water )?bath |(?:on|over) (?:the |hot )*(?:embers|coals|fire|grill|bbq|barbecue)|${DIGITS} (?:kg|lbs?|pounds?) |\\d{1,2}(?::\\d{2}| [ap]m)(?: |$))))`,
    ([, span = '']) => ({
      kind: 'span',
      minutes: minutesOf(span),
    }),
  ),
  // A number with a degree, or one that can only be a heat
  reader(
    `(?:at )?(${DIGITS}) (c|f|degrees c|degrees f|deg c|deg f|celsius|fahrenheit|degrees|deg)(?! (?:${ASIDE})(?: |$))`,
    ([, value, unit]) => {
      const heat = heatOf(value, unit)
      if (heat === undefined || !isHeat(heat, 0)) return undefined
      // "Rib 3 kg, 4 C": no core and no oven is so cold.
      if (heat.unit === 'c' ? heat.value <= MEAT_MOST_C : heat.unit === 'f' && heat.value >= 25 && heat.value <= 86)
        return { kind: 'start', heat }
      const core = heat.unit === 'f' ? heat.value >= 104 && heat.value <= 205 : heat.value >= 40 && heat.value <= 96
      return core ? { kind: 'serve', heat, bare: true } : isHeat(heat, 97) ? { kind: 'heat', heat } : undefined
    },
  ),
  // "Ribeye at 54": no oven is so cool, no clock has the hour
  reader(
    `at (4[5-9]|[56]\\d|7[0-4])(?! (?:${ASIDE}|for|then|till?|until|to|kgs?|g|lbs?|pounds?|oz|people|guests|heads|covers|adults|m|mins?|minutes?|h|hrs?|hours?|percent|%|[a-z]+ (?:road|rd|street|st|avenue|ave|lane|close|drive|way|terrace|place|park|gardens))(?: |$))`,
    ([, value]) => ({ kind: 'serve', heat: { value: Number(value), unit: undefined }, bare: true }),
  ),
  reader(
    `(\\d{3})(?! (?:kg|kgs|g|gr|gm|gms|grams?|lbs?|pounds?|oz|mm|cm|x|people|guests|heads|covers|adults))`,
    ([, value]) => {
      const heat = heatOf(value, undefined)
      return isHeat(heat, 100) && heat.value <= 500 ? { kind: 'heat', heat, bare: true } : undefined
    },
  ),
]

function heatFact(word: string, heat: SaidHeat | undefined): Fact | undefined {
  if (heat === undefined) return undefined
  // "at 2000", without a word of an oven, is none.
  if (word === 'at' && heat.unit === undefined && heat.value > 600) return undefined
  // "at 7" is a time, "at 160" a heat.
  if ((word === 'at' || word.endsWith(' at')) && heat.unit === undefined && heat.value < 75) return undefined
  // "Start at 60 F" is how cold the meat is.
  if (/^(?:start|begin)/.test(word) && heat.value < 97) return undefined
  const on: SaidStage['on'] | undefined = /bath|vide/.test(word)
    ? 'bath'
    : /fire|grill|coals|smoker|barbecue|bbq/.test(word)
      ? 'fire'
      : /fan|convection|hot air/.test(word)
        ? 'fan'
        : /oven/.test(word)
          ? 'oven'
          : undefined
  if (on !== 'bath' && heat.value < 50) return undefined
  return { kind: 'heat', heat, ...(on ? { on } : {}), ...(word.includes('smoker') ? { smoked: true } : {}) }
}
