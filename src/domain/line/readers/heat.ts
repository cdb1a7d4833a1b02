import { SCHOOLS } from '@/core/program/schools'
import type { Fact, SaidHeat, SaidStage } from '../fact'
import { DIGITS, GAS, heatOf, isHeat, type Reader, reader, TEMP } from './grammar'

/** Settings of heats, and schools by their names. */

/** What a school is called beside its own name (common practice). */
const SCHOOL_WORDS: Readonly<Record<string, string>> = {
  steady: 'steady|one (?:oven )?setting|one temperature|all the way',
  'hot-start': 'hot start(?: then gentle)?|high heat first|start(?:ed)? hot|high then low|hot then (?:low|gentle|cool)',
  'kick-start': 'kick start(?: under foil)?',
  'low-and-long': 'low and (?:slow|long)|slow roast(?:ed)?|slow cook(?:ed)?',
  'oven-off':
    'oven off|closed oven(?: method)?|(?:with )?the oven off|(?:and |then )*(?:turn(?:ed)?|switch(?:ed)?) (?:(?:it |the oven |oven )off(?: and leave(?: it)?(?: in)?)?|off (?:the )?(?:oven|heat)(?: and leave(?: it)?(?: in)?)?)',
  'cold-start': 'cold start(?: off reheat)?|cold oven start',
  'reverse-sear': 'reverse sear(?:ed|ing)?',
  'pan-first':
    '(?:pan )?sear(?:ed)?(?: (?:it )?first| in (?:a|the) pan(?: first)?)|pan sear(?:ed)?|brown(?:ed)?(?: (?:it )?first| in (?:a|the) pan(?: first)?)|pan first|pan roast(?:ed)?|sear(?:ed)?(?: it)?(?: (?:hard|well|quickly))?(?: (?:all over|all round|on all sides|on every side))?',
  'two-zone-fire':
    'two zone(?: fire)?|(?:on|over) (?:the |a )?(?:grill|barbecue|bbq|coals|charcoal|fire|embers)|grilled|barbecued?|bbq|indirect(?: on the (?:grill|bbq|barbecue))?|on the kettle',
  'water-bath': 'water bath(?: then hot)?|sous vide|in (?:a|the) bath',
  'bird-turned':
    'bird turned|turned(?: once| half way| halfway)|breast down first|start(?:ed|ing)? breast down|breast side down first|breast (?:side )?down (?:for|to start|at first)(?: the)?(?: first)?(?: (?:hour|half|half hour|half an hour|\\d+ (?:h|hours?|min|minutes?)))?(?: then (?:turn(?:ed)?|flip(?:ped)?)(?: it)?(?: over)?(?: breast (?:side )?up)?)?',
  'finish-hot': 'finish hot(?: if pale)?|hot finish if pale|crisp (?:the )?skin at the end',
  'cook-and-hold': 'cook and hold|held (?:in the cabinet|warm)|hold(?:ing)? cabinet',
}

export const HEATS: readonly Reader[] = [
  // Heat
  reader(
    `(?:in (?:an? |the )?|with (?:an? |the )?)?(?:(?:low|hot|moderate|slow|cool) )?(oven|fan|fan oven|convection|convection oven|fire|grill|coals|smoker|barbecue|bbq|bath|water bath|sous vide|at|roast at|cook at|(?:start|starting|begin|beginning)(?: it)? at|heat|oven on)(?: on| set)?(?: at| to)? ${TEMP}(?: (fan|convection|oven))?`,
    ([, word = '', value, unit, after]) =>
      heatFact(after === 'oven' || after === undefined ? word : after, heatOf(value, unit)),
  ),
  reader(
    `(?:(?:start(?:s|ing)?|begin(?:s|ning)?)(?: it)? )?(?:at |in an? |in the )?${TEMP} (oven(?! off)|fan|fan oven|convection|convection oven|fire|grill|smoker|barbecue|bbq|bath|water bath)`,
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
]

/** A number with a degree, or one that can only be a heat: where nothing else takes it. */
export const BARE: readonly Reader[] = [
  // A number with a degree, or one that can only be a heat
  reader(`(?:at )?(${DIGITS}) (c|f|degrees c|degrees f|deg c|deg f|celsius|fahrenheit|degrees)`, ([, value, unit]) => {
    const heat = heatOf(value, unit)
    if (heat === undefined || !isHeat(heat, 0)) return undefined
    const core = heat.unit === 'f' ? heat.value >= 104 && heat.value <= 205 : heat.value >= 40 && heat.value <= 96
    return core ? { kind: 'serve', heat, bare: true } : isHeat(heat, 97) ? { kind: 'heat', heat } : undefined
  }),
  reader(
    `(\\d{3})(?! (?:kg|kgs|g|gr|gm|gms|grams?|lbs?|pounds?|oz|mm|cm|x|people|guests|heads|covers|adults))`,
    ([, value]) => {
      const heat = heatOf(value, undefined)
      return isHeat(heat, 100) && heat.value <= 500 ? { kind: 'heat', heat } : undefined
    },
  ),
]

function heatFact(word: string, heat: SaidHeat | undefined): Fact | undefined {
  if (heat === undefined) return undefined
  // "at 7" is a time, "at 160" a heat.
  if ((word === 'at' || word.endsWith(' at')) && heat.unit === undefined && heat.value < 75) return undefined
  // "Start at 60 F" is how cold the meat is.
  if (/^(?:start|begin)/.test(word) && heat.value < 97) return undefined
  const on: SaidStage['on'] | undefined = /bath|vide/.test(word)
    ? 'bath'
    : /fire|grill|coals|smoker|barbecue|bbq/.test(word)
      ? 'fire'
      : /fan|convection/.test(word)
        ? 'fan'
        : /oven/.test(word)
          ? 'oven'
          : undefined
  if (on !== 'bath' && heat.value < 50) return undefined
  return { kind: 'heat', heat, ...(on ? { on } : {}) }
}
