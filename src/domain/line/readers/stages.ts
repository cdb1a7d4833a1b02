import type { Fact, SaidHeat, SaidStage } from '../fact'
import { numberOf } from '../tokens'
import {
  A_WEIGHT,
  COVER,
  coverOf,
  FACES,
  HEAT,
  HOUR,
  heatOf,
  isFirst,
  isHeat,
  isHotInCelsius,
  isNext,
  LEAD,
  listed,
  MASS_UNIT,
  MIN,
  MINUTES,
  massOf,
  minutesOf,
  N,
  POINT,
  READS,
  type Reader,
  reader,
  SPAN,
  stage,
  stretchOf,
  TEMP,
  TENDER_SAID,
} from './grammar'

/** How many sides are seared: two or three minutes a side are said of all four, eight of the two broad ones. */
const facesOf = (each_min: number): number => (each_min <= 4 ? 4 : 2)

/** Slower than this nothing is said to roast, minutes a kilogram. */
const MOST_PER_KG_MIN = 300

/** Which oven the words before a heat say. */
const ovenOf = (lead: string) => (/\b(?:fan|convection)\b/.test(lead) ? 'fan' : 'oven')

/** A hot finish in the oven, for so long at so much. @param said value, unit and gas mark of its heat */
function finishOf(
  span: string,
  said: readonly (string | undefined)[],
  more: Partial<SaidStage> = {},
): Fact | undefined {
  const heat = heatOf(said[0], said[1], said[2])
  return isHeat(heat, 120) ? stage({ on: 'oven', heat, minutes: stretchOf(span), finish: true, ...more }) : undefined
}

/** Cooler than this nothing is seared, °C. */
const LEAST_SEAR_C = 180
/** Shorter than this a side is seared and not cooked, minutes. */
export const LEAST_A_SIDE = 6
/** From here on a side is roasted and no pan is meant, minutes. */
const LEAST_ROASTED_SIDE = 15
/** A moderate oven (common practice), °C. */
const MODERATE_C = 180
/** An hour of the day is no span from here on, min. */
const LEAST_CLOCK_MIN = 600
/** A number alone is no core from here on. */
const LEAST_BARE = 100
const LEAST_BARE_F = 210
/** On a fire, and beside its coals. */
const FIRE =
  '(?:(?:(?:on|over|in) )?(?:(?:the|a|an|my|our) )?(?:indirect(?:ly)? (?:on |over )?(?:the |a )?)?(?:fire|grill|smoker|barbecue|bbq|coals|kettle(?: grill)?)(?: indirect(?:ly)?)?|smok(?:ed|ing|e)(?: it)?(?: low)?|indirect(?:ly)?(?: heat)?)'
/** And over them. */
const DIRECT = ' direct(?:ly)?(?: heat)?| over(?: the)?(?: hot| direct)? (?:coals|fire|embers|heat)'
/** After a number these make it something else than minutes. */
const TIMED = 'people|guests|kg|g|lb|c|f|degrees|am|pm'

/** How the heat is said to go up at last. */
const UP =
  '(?:(?:turn(?:ed|ing)?|crank(?:ed)?|whack(?:ed)?|raised?|blast(?:ed)?|crisp(?:ed)?|sear(?:ed)?|brown(?:ed)?|finish(?:ed)?|crackl(?:e|ed|ing)|hot|oven)(?: it| the oven| the heat| the skin)?(?: up| hot)? |up )'

/** "Foil on for the first hour" covers no whole stretch. */
const FOR_FIRST = '(?: on)?(?: for)?(?: the)? first '

/** So long a combination oven holds it, min, at so much and more, °C (common practice). */
const LEAST_HELD_MIN = 180
const LEAST_HELD_C = 50

/** What follows a time that is said for a weight: it is no stretch. */
const BY_WEIGHT = ' (?:per|(?:for )?(?:each|every)|a) (?:[\\d.]+ )?(?:kg|kilos?|g|grams?|lbs?|pounds?|half kilo)(?: |$)'

/** 20 min per lb plus 20. Groups: how many, of what, each, its unit, and some. */
const BY_ITS_WEIGHT = `(${N}) (${MIN}|${HOUR}) ${A_WEIGHT}(?: (?:plus|and|\\+) (?:another |an extra )?(\\d+)(?: ${MIN})?(?: over| extra)?(?! (?:${TIMED})(?: |$)))?`

type ByWeight = { readonly [Part in 'count' | 'time' | 'weight']: string } & {
  readonly [Part in 'each' | 'more']: string | undefined
}
/** So many minutes for each so much of its weight, and some more. */
function byWeight({ count, time, each, weight, more }: ByWeight, how: Partial<SaidStage> = {}): Fact | undefined {
  const per_kg_min = (numberOf(count) * (time.startsWith('h') ? 60 : 1)) / massOf(each ?? '1', weight)
  return per_kg_min > 0 && per_kg_min <= MOST_PER_KG_MIN
    ? stage({ on: 'oven', per_kg_min, minutes: more === undefined ? undefined : Number(more), ...how })
    : undefined
}
const perWeight = (said: ByWeight & { readonly lead?: string }, heat: SaidHeat | undefined, on: 'fan' | 'oven') =>
  isHeat(heat) ? byWeight(said, { on, heat, follows: isNext(said.lead ?? '') }) : undefined

/** A bath, so warm for so long. */
const bathFor: Reader['fact'] = ([, value, unit, span = '']) => {
  const heat = heatOf(value, unit)
  return isHeat(heat, 45) ? stage({ on: 'bath', heat, minutes: minutesOf(span) }) : undefined
}

const CRISP = '(?:brown|crisp|colou?r|crackle)(?: up)?(?: it| the skin| the outside| the fat)?(?: up)?'

/** Heat in stretches: how long at what, and then. */

export const STAGES: readonly Reader[] = [
  // 230 for 20 min · then 175 covered for 2 h to 76 in the thigh
  reader(
    `(?:(?:and |then )?(${COVER}) )?(?:(?:breast (?:side )?|upside )(down) )?((?:${LEAD} )*)${HEAT}(?: oven| (fan|convection)(?: oven)?)?(?: (${COVER})(?!${FOR_FIRST}))?(?: (breast down))?(?: for (?:the )?(?:first )?(${MINUTES})| (?:x )?(?:the )?(?:first )?(${SPAN}))(?!${BY_WEIGHT})(?: (${COVER}))?(?: (breast down))?(?: (?:to|until|till) ${TEMP}(?: in (?:the |its )?(${POINT}))?)?`,
    ([, over, down0, lead = '', value, unit, gas, fan, cover, down, said, bare, cover2, down2, core, coreUnit]) => {
      const span = said ?? bare ?? ''
      const heat = heatOf(value, unit, gas)
      // "Rib at 180, 20h": nothing roasts a day in an oven that is hot.
      if (said === undefined && minutesOf(span) >= LEAST_CLOCK_MIN && isHotInCelsius(heat)) return undefined
      // For hours an oven may be no hotter than the core.
      if (!isHeat(heat, minutesOf(span) >= LEAST_HELD_MIN ? LEAST_HELD_C : undefined)) return undefined
      return stage({
        on: fan ? 'fan' : ovenOf(lead),
        heat,
        minutes: minutesOf(span),
        follows: isNext(lead),
        first: isFirst(lead),
        cover: coverOf(cover ?? cover2 ?? over),
        breastDown: [down0, down, down2].some((each) => each !== undefined) || undefined,
        core: heatOf(core, coreUnit),
      })
    },
  ),
  reader('(?:with )?(?:the )?(?:oven )?door (?:kept |stays )?(?:shut|closed)', () => ({ kind: 'filler' })),
  // 20 min at 230 · an hour at 160 under foil
  reader(
    `((?:${LEAD} )*)(?:(${COVER})(?: for)? )?(${SPAN})(?: (?:hot )?(?:sizzle|blast|sear|start|burst)(?= at ))?(?: (${COVER})(?= at ))? ((?:at |(?:in (?:an? |the )?)?oven (?:at |on |of )|(?:in (?:an? |the )?)?(?:water )?bath (?:at |of )?))?${HEAT}(?! (?:${TIMED}|min|mins|minutes?|h|hours?)(?: |$))( (?:in (?:an? |the )?)?(?:water )?bath)?(?: (${COVER})(?!${FOR_FIRST}))?(?: (breast down))?`,
    ([, lead = '', before, span = '', over, at, value, unit, gas, bath, cover, down]) => {
      const heat = heatOf(value, unit, gas)
      // Without "at" only what no core reads is an oven's.
      // A blast is a finish; and what a core may read is no oven without "at".
      const oven = at !== undefined || !(/blast/.test(lead) || (heat?.unit === 'f' && heat.value < LEAST_BARE_F))
      const bathed = bath !== undefined || / ?bath /.test(at ?? '')
      return (oven || bathed) && isHeat(heat, bathed ? 45 : at === undefined ? LEAST_BARE : 55)
        ? stage({
            on: bathed ? 'bath' : 'oven',
            heat,
            minutes: minutesOf(span),
            follows: isNext(lead),
            first: isFirst(lead),
            cover: coverOf(cover ?? over ?? before),
            breastDown: down !== undefined || undefined,
          })
        : undefined
    },
  ),
  // the first hour at 220
  reader(
    `(?:for )?(?:the )?first (hour|half hour) (?:at|in an? oven at) ${HEAT}`,
    ([, span = '', value, unit, gas]) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat) ? stage({ on: 'oven', heat, minutes: stretchOf(span), first: true }) : undefined
    },
  ),
  // breast down for the first hour at 220
  reader(
    `((?:${LEAD} )*)(?:breast (?:side )?|upside )down (?:for )?(?:the )?(?:first )?(${SPAN}|hour|half hour) at ${HEAT}(?= (?:and )?then )`,
    ([, lead = '', span = '', value, unit, gas]) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat)
        ? stage({ on: 'oven', heat, minutes: stretchOf(span), first: isFirst(lead), breastDown: true })
        : undefined
    },
  ),
  // 160 under foil for 2 h, then uncovered: on at the same heat
  reader(
    `(?:(?:and )?then |(?=uncover(?:ed)? ${SPAN}(?: |$)))(?:(?:the )?(?:foil|cover|lid) off|uncover(?:ed)?(?: it)?|bare|without (?:the )?(?:foil|cover|lid)|(?:take|remove) (?:the )?(?:foil|cover|lid)(?: off)?)(?:(?: for)?(?: the)?(?: last| final| another)? (${SPAN}))?(?! (?:at|in|for|the|another|last|final|${SPAN})(?: |$))`,
    ([, span]) =>
      stage({ on: 'oven', cover: 'bare', follows: true, ...(span === undefined ? {} : { minutes: minutesOf(span) }) }),
  ),
  // smoked 12 hours at 110
  reader(
    `smok(?:ed|ing|e)(?: it)?(?: for)? (${SPAN}) (?:at |in an? smoker at )?${HEAT}`,
    ([, span = '', value, unit, gas]) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat, LEAST_HELD_C) ? stage({ on: 'fire', heat, minutes: minutesOf(span) }) : undefined
    },
  ),
  // turn over, another 40 minutes: as hot as before
  reader(
    `(?:and |then |for |roast |cook )*another (${SPAN})(?! (?:at|in|on|uncovered|covered)(?: |$))`,
    ([, span = '']) => stage({ on: 'oven', again: true, minutes: minutesOf(span) }),
  ),
  // 150 covered for 4 h, 1 h uncovered
  reader(
    `(?:and |then |for |the |last |final )*(${SPAN}) (?:uncover(?:ed)?|bare|(?:with )?(?:the )?(?:foil|cover|lid) off|without (?:the )?(?:foil|cover|lid))(?! (?:at|in|on)(?: |$))`,
    ([, span = '']) => stage({ on: 'oven', cover: 'bare', follows: true, minutes: minutesOf(span) }),
  ),
  // smoked at 107 to 74, wrap, then till 95: on at the same heat
  listed(
    `(?:and |then )*(?:wrap(?:ped|ping)?|foil(?:ed)?|crutch(?:ed)?)(?: it)?(?: tight(?:ly)?)?(?: (?:in|with) (?:foil|(?:butcher |pink |baking )?paper))?(?: (?:and|then|back|on|in|cook(?:ed)?|continue|carry|go(?:es)?|take(?:n)?|it|the|oven|smoker|smoke))*(?: (?:to|until|till)(?: ${READS})? ${TEMP}(?: (?:inside|internal|core))?|(?= (?:until|till) ${TENDER_SAID}(?: |$)))`,
    ([, value, unit]) => {
      if (value === undefined) return stage({ on: 'oven', cover: 'foil', follows: true })
      const core = heatOf(value, unit)
      return core && core.value >= 70 && core.value <= (core.unit === 'c' ? 98 : 210)
        ? stage({ on: 'oven', cover: 'foil', follows: true, core })
        : undefined
    },
  ),
  // 62 C for eight hours sous vide; sous vide 56 for 6 hours
  reader(`sous ?vide(?: at)? ${TEMP}(?: for)? (${SPAN})`, bathFor),
  reader(`${TEMP}(?: for)? (${SPAN}) sous ?vide`, bathFor),
  reader(`(?:and |then )*(?:in (?:an? |the )?)?${TEMP} (?:water )?bath(?: for)? (${SPAN})`, bathFor),
  reader(`(?:and |then )*(?:in (?:an? |the )?)?(?:water )?bath(?: at)? ${TEMP}(?: for)? (${SPAN})`, bathFor),
  // 20 min hot then · six hours in a low oven: as hot, or as low, as it is usual
  reader(
    `(?:first |for |start(?:ing)? )*(?:(${SPAN}) (?:in an? |at |on )*(?:very )?(hot|high|low|slow)(?: oven| heat)?|(?:in an? |at )?(?:very )?(hot|high|low|slow) (?:oven|heat)(?: for)? (${SPAN})|then (?:on )?(hot|high|low|slow)(?: for)? (${SPAN}))`,
    ([, first, heat, oven, last, then, long]) =>
      stage({
        on: 'oven',
        usual: /hot|high/.test(heat ?? oven ?? then ?? '') ? 'hot' : 'low',
        minutes: minutesOf(first ?? last ?? long ?? ''),
      }),
  ),
  // five hours covered, then 30 uncovered at 200; 2 h at 170, then 20 at 220
  reader(
    `(?:and )?(?:then|followed by) (\\d{2})(?: ${MIN})?(?: (${COVER})(?: at| in an? oven at)?| (?:at|in an? oven at)) ${HEAT}(?! (?:${TIMED})(?: |$))`,
    ([, minutes, cover, value, unit, gas]) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat, LEAST_BARE)
        ? stage({ on: 'oven', heat, minutes: Number(minutes), cover: coverOf(cover), follows: true })
        : undefined
    },
  ),
  // a hot oven, a low one until 50, a moderate one: as hot as it is usual
  reader(
    `(?:start(?:ed|ing)? )?(?:in )?(?:an? |the )?(?:very )?(hot|low|slow|cool|gentle) oven(?: (?:to|until|till) ${TEMP})?`,
    ([, heat, value, unit]) => stage({ on: 'oven', usual: heat === 'hot' ? 'hot' : 'low', core: heatOf(value, unit) }),
  ),
  // hot oven 20 min, moderate 1 h
  reader(`(?:then )?(?:in )?(?:an? |the )?moderate(?: oven| heat)?(?: for)? (${SPAN})`, ([, span = '']) =>
    stage({ on: 'oven', heat: { value: MODERATE_C, unit: 'c' }, minutes: minutesOf(span) }),
  ),
  reader('(?:in )?(?:an? |the )?(?:medium|moderate) oven', () => ({
    kind: 'heat',
    heat: { value: MODERATE_C, unit: 'c' },
    on: 'oven',
  })),
  // 100 until 46, then a hot oven for ten minutes
  reader(
    `(?:and )?then (?:(?:finish(?:ed)? )?(?:in(?:to)? |at )?)?(?:an? |the )?(?:very )?hot oven(?: to finish)?(?:(?: for)? (${SPAN}))?`,
    ([, span]) =>
      stage({ on: 'oven', usual: 'hot', follows: true, minutes: span === undefined ? undefined : minutesOf(span) }),
  ),
  // the last half hour at 220
  reader(
    `(?:and |then )?((?:uncover(?:ed)?|foil off|(?:take|remove) (?:the )?foil(?: off)?)(?: it)? )?(?:for |with )?(?:the )?(?:last|final) (${SPAN}|hour|half hour)(?: (${COVER}))? (?:at|in an? oven at|up to) ${HEAT}(?: (${COVER}))?`,
    ([, bare, span = '', cover, value, unit, gas, after]) =>
      finishOf(span, [value, unit, gas], { last: true, cover: bare ? 'bare' : coverOf(cover ?? after) }),
  ),
  // 220 for the last 20 minutes · 240 at the end
  reader(
    `(?:and |then )?${UP}?(?:(?:at|to) )?${HEAT}(?: (?:for |in )?(?:the )?(?:last|final) (${SPAN}|hour|half hour)|(?: for)?(?: (${SPAN}))? (?:(?:right )?at the )?(?:very )?end)`,
    ([, value, unit, gas, last, span]) => {
      const heat = heatOf(value, unit, gas)
      const said = last ?? span
      return isHeat(heat, 150)
        ? stage({
            on: 'oven',
            heat,
            minutes: said === undefined ? undefined : stretchOf(said),
            finish: true,
            last: true,
          })
        : undefined
    },
  ),
  // after 20 minutes down to 160
  reader(
    `(?:(?:and |but )?after (?:the first |about )?(${SPAN})(?: (?:and )?(?:then|go|turn(?:ed)?|reduced?|lower(?:ed)?|drop(?:ped)?|dial(?:led)?|down))+(?: (?:it|the|oven|heat|temperature|down|to|at))*|(?:and|but|then) after (?:the first |about )?(${SPAN})(?: (?:at|to|on))?) ${HEAT}`,
    ([, turned, at, value, unit, gas]) => {
      const span = turned ?? at ?? ''
      const heat = heatOf(value, unit, gas)
      return isHeat(heat) ? stage({ on: 'oven', heat, follows: true, after_min: minutesOf(span) }) : undefined
    },
  ),
  // then 175 · down to 160 covered · then 175 to 76 in the thigh · turned down to 160 after 20 min
  reader(
    `(?:(?:and )?then|down to|after that|followed by|(?:reduced?|reducing|lower(?:ed)?|turn(?:ed)?|drop(?:ped)?|dial(?:led)?|crank(?:ed)?)(?: it| the oven| the heat)?(?: down| up)?(?: to)?)(?: at| to| in| an?| the| oven| roast| down| straight| gentle| (?:breast (?:side )?|right (?:way|side) )up)* ${HEAT}(?: oven| (fan|convection)(?: oven)?)?(?: (${COVER}))?(?: (?:to the end|until (?:it is )?done|till done|to finish))?(?: (?:to|until|till) ${TEMP}(?: in (?:the |its )?(${POINT}))?)?(?: after (?:the first )?(${SPAN}))?`,
    ([, value, unit, gas, fan, cover, core, coreUnit, , before]) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat)
        ? stage({
            on: fan ? 'fan' : 'oven',
            heat,
            cover: coverOf(cover),
            core: heatOf(core, coreUnit),
            follows: true,
            after_min: before === undefined ? undefined : minutesOf(before),
          })
        : undefined
    },
  ),
  // then 220/20
  reader(
    `(?:and )?then (?:at )?${HEAT} (1\\d|2\\d|3\\d|40)(?! (?:${TIMED}|${MIN}|${HOUR}|${MASS_UNIT.slice(1, -1)}|guests?|heads?|covers?|adults?|to)(?: |$))`,
    ([, value, unit, gas, minutes = '']) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat, 120) ? stage({ on: 'oven', heat, minutes: Number(minutes), follows: true }) : undefined
    },
  ),
  // then 260 for 6
  reader(
    `(?:and )?then (?:at |sear(?:ed)? at |finish(?:ed)? at |blast(?:ed)? at )?${HEAT} for (\\d)(?! (?:${TIMED}|${MASS_UNIT.slice(1, -1)}|guests?|heads?|covers?|adults?|h|hours?)(?: |$))`,
    ([, value, unit, gas, minutes = '']) => {
      const heat = heatOf(value, unit, gas)
      const fierce = heat && heat.value >= (heat.unit === 'f' ? 430 : 220)
      return fierce && isHeat(heat) ? stage({ on: 'oven', heat, minutes: Number(minutes), follows: true }) : undefined
    },
  ),
  // rest 45, 260 for 8
  reader(
    `(?<=rest(?:ed|ing)?(?: for)? \\d{1,3}(?: min| mins| minutes)? )(?:then )?(?:at )?${HEAT} for (\\d)(?! (?:${TIMED}|${MASS_UNIT.slice(1, -1)}|guests?|heads?|covers?|adults?|h|hours?)(?: |$))`,
    ([, value, unit, gas, minutes = '']) => {
      const heat = heatOf(value, unit, gas)
      return isHeat(heat, 200) ? stage({ on: 'oven', heat, minutes: Number(minutes), follows: true }) : undefined
    },
  ),
  // turn off, wait 2.5 h
  listed(
    `(?:and )?(?:then )?(?:turn(?:ed)?|switch(?:ed)?)(?: it| the oven| oven)? off(?: the (?:oven|heat))?(?: and)? (?:leave|left|wait|stand)(?: it)?(?: in)?(?: for)? (${SPAN})`,
    ([, span = '']) => stage({ on: 'off', minutes: minutesOf(span) }),
  ),
  // off till 54: as far as the warmth that is left takes it
  reader(
    `(?:and )?(?:then )?(?:(?:turn(?:ed)? |switch(?:ed)? )?(?:it |the oven |oven )?off|(?:turn(?:ed)?|switch(?:ed)?) off (?:the )?(?:oven|heat))(?: (?:and )?(?:leave|left|wait)(?: it)?(?: in)?)? (?:to|until|till)(?: ${READS})? ${TEMP}`,
    ([, value, unit]) => {
      const core = heatOf(value, unit)
      return core && core.value >= 40 && core.value <= (core.unit === 'c' ? 98 : 208)
        ? stage({ on: 'off', core })
        : undefined
    },
  ),
  // cooked to 50 at 110
  reader(
    `(?:roast(?:ed)?|cook(?:ed)?)(?: it)? (?:to|until|till) ${TEMP}(?: core)? (?:at|in an oven at) ${HEAT}`,
    ([, core, coreUnit, ...at]) => {
      const [heat, to] = [heatOf(at[0], at[1], at[2]), heatOf(core, coreUnit)]
      return isHeat(heat) && to && to.value >= 40 && to.value < heat.value
        ? stage({ on: 'oven', heat, core: to })
        : undefined
    },
  ),
  // low 120 to 52 · 110 c until 50 c · smoked at 107 to 46
  reader(
    `(?:(?:low|gentle|slow|oven|at|roast|roasted|cooked|cook) )*(${FIRE} )?(?:at )?${TEMP}(?: (fan|convection)(?: oven)?| oven)?(?: indirect)? (?:to|until|till) (?:a core of |${READS} )?${TEMP}(?: (?:in (?:the |its )?)?(?:${POINT}))?(?: core| inside| internal)?`,
    ([, fire, value, unit, fan, core, coreUnit]) => {
      const heat = heatOf(value, unit)
      const to = heatOf(core, coreUnit)
      return isHeat(heat) && to && to.value < heat.value && to.value >= 40
        ? stage({ on: fire ? 'fire' : fan ? 'fan' : 'oven', heat, core: to })
        : undefined
    },
  ),
  reader(
    `(?:and )?(?:then )?(?:(?:turn(?:ed)? |switch(?:ed)? )?(?:it |the oven |oven )?off|(?:turn(?:ed)?|switch(?:ed)?) off (?:the )?(?:oven|heat)|heat off)(?: (?:and )?(?:leave|left|wait|stand)(?: it)?(?: in)?)?(?: for)? (${SPAN})(?: (?:with )?(?:the )?door (?:shut|closed))?`,
    ([, span = '']) => stage({ on: 'off', minutes: minutesOf(span) }),
  ),
  reader(
    `(?:in (?:a |the )?|from (?:a )?|start(?:ing)? in (?:a )?)?cold oven(?:(?: set| turned)?(?: to| at| on to| on at)?) ${HEAT}(?:(?: for)? (${SPAN}))?`,
    ([, value, unit, gas, span]) => {
      const heat = heatOf(value, unit, gas)
      const minutes = span === undefined ? undefined : minutesOf(span)
      return isHeat(heat) ? stage({ on: 'cold', heat, minutes }) : undefined
    },
  ),
  reader(
    `(?:(?:and )?then )?(?:sear(?:ed)?|brown(?:ed)?)?(?: ?in (?:a |the )?(?:hot )?pan)?(?: for)? ?(${N}) ?${MIN}? ${FACES}(?: (?:in|on) (?:a |the )?(?:hot |heavy )*(?:pan|skillet|hob|frying pan))?(?: first| to start)?`,
    ([, count = ''], text) => {
      const each = numberOf(count)
      if (each >= LEAST_ROASTED_SIDE && !/sear|brown|pan|skillet|hob/.test(text)) return undefined
      return stage({ on: 'pan', minutes: each * facesOf(each) })
    },
  ),
  // 45 min a side at 180: in the oven, and turned once
  reader(
    `((?:${LEAD} )*)(?:(${N}) ?${MIN} ${FACES} (?:at |in an? oven at )?${HEAT}|${HEAT}(?: for)? (${N}) ?${MIN} ${FACES})`,
    ([, lead = '', before, value, unit, gas, value2, unit2, gas2, after]) => {
      const heat = heatOf(value ?? value2, unit ?? unit2, gas ?? gas2)
      const each = numberOf(before ?? after ?? '')
      return each >= LEAST_ROASTED_SIDE && isHeat(heat)
        ? stage({ on: 'oven', heat, minutes: 2 * each, follows: isNext(lead), first: isFirst(lead) })
        : undefined
    },
  ),
  // bbq 20 min a side: over the fire, and no pan
  reader(`${FIRE}(?: it)?(?: for)? (${N}) ?${MIN}? ${FACES}`, ([, count = '']) =>
    numberOf(count) >= LEAST_A_SIDE ? stage({ on: 'fire', minutes: 2 * numberOf(count) }) : undefined,
  ),
  // sear 5 min on all sides in a hot pan
  reader(
    `(?:sear(?:ed)?|brown(?:ed)?|fry|fried)(?: it)?(?: for)? (${SPAN}) (?:(?:on )?(?:all|both|every|each) (?:sides?|over|round)(?: (?:in|on) (?:a |the )?(?:hot |heavy )*(?:pan|skillet|hob|frying pan))?|(?:in|on) (?:a |the )?(?:hot |heavy )*(?:pan|skillet|hob|frying pan))(?: first)?`,
    ([, span = '']) => stage({ on: 'pan', minutes: minutesOf(span) }),
  ),
  reader(
    `(?:sear(?:ed)?|brown(?:ed)?|fry|fried)(?: it)? (?:in (?:a |the )?(?:hot |heavy )*(?:pan|skillet|frying pan)|on the hob)(?: for)? (${SPAN})(?: first)?|(?:pan|hob)(?: for)? (${SPAN})(?: first)?`,
    ([, one, two]) => stage({ on: 'pan', minutes: minutesOf(one ?? two ?? '') }),
  ),
  // 260 for 11 min a kilo
  reader(
    `((?:${LEAD} )*)${HEAT}(?: oven| (fan|convection)(?: oven)?)?(?: and)?(?: (?:roast|cook|bake)(?:ed)?)?(?: for)? ${BY_ITS_WEIGHT}`,
    ([, lead = '', value, unit, gas, fan, count = '', time = '', each, weight = '', more]) =>
      perWeight({ count, time, each, weight, more, lead }, heatOf(value, unit, gas), fan ? 'fan' : ovenOf(lead)),
  ),
  // 20 min per lb plus 20 at gas 5; 20 min per 500 g + 20 min 190 C
  reader(
    `${BY_ITS_WEIGHT} (?:at |in an? (?:oven at )?|(?=\\d{3} [cf](?: |$)))${HEAT}(?: oven| (fan|convection)(?: oven)?)?(?: (?:plus|\\+) (?:another |an extra )?(\\d{2})(?: ${MIN})?(?: over| extra)?(?! (?:${TIMED})(?: |$)))?`,
    ([, count = '', time = '', each, weight = '', more, value, unit, gas, fan, last]) =>
      perWeight({ count, time, each, weight, more: more ?? last }, heatOf(value, unit, gas), fan ? 'fan' : 'oven'),
  ),
  // 180, 20 min per 500 g plus 20: of the one heat that is said
  reader(BY_ITS_WEIGHT, ([, count = '', time = '', each, weight = '', more]) =>
    byWeight({ count, time, each, weight, more }),
  ),
  // 6 hours in the smoker
  reader(`(${SPAN}) (?:on |in )?(?:the |a )?smoker`, ([, span = '']) =>
    stage({ on: 'fire', usual: 'low', minutes: minutesOf(span) }),
  ),
  reader('(?:and |then )*(?:on the )?(?:grill(?:ed)?|bbq|barbecue|coals) (?:to )?finish(?:ed)?', () =>
    stage({ on: 'fire', finish: true }),
  ),
  // 260 to brown
  reader(`to ${CRISP}`, () => ({ kind: 'filler' })),
  // 120 for 3 hours, 240 to crisp
  reader(
    `(?:then |and )?(?:at |oven (?:at )?)?${HEAT}(?: for (${SPAN}))? to ${CRISP}`,
    ([, value, unit, gas, span]) => {
      const heat = heatOf(value, unit, gas)
      const minutes = span === undefined ? undefined : minutesOf(span)
      return isHeat(heat, 200) ? stage({ on: 'oven', heat, minutes, finish: true, ifHeated: true }) : undefined
    },
  ),
  // then sear for 6 min at 270
  reader(
    `(?:then |and )?(?:final |last )?(?:sear(?:ed)?|blast|brown(?:ed)?|crisp(?:ed)?(?: up)?|finish(?:ed)?)(?: it)?(?: for)? (${SPAN}|\\d{1,2}(?= at ))(?: at| in an? oven at)? ${HEAT}`,
    ([, span = '', ...heat]) => finishOf(span, heat),
  ),
  // sear at the end, 270 for 6 min
  listed(
    `(?:then |and )?(?:sear(?:ed)?|blast(?:ed)?|brown(?:ed)?|crisp(?:ed)?(?: up)?|crackl(?:e|ed|ing)|(?:crisp )?skin crisp(?:ed)?)(?: it| the skin)?(?: hard| hot| off)? (?:only )?(?:right )?(?:at the (?:very )?end|at end|at the last|last|to finish|before serving|just before serving)(?:(?: at| in an?| oven| hot)* ${HEAT}(?! (?:am|pm)))?(?: for)?(?: (${SPAN}))?`,
    ([, value, unit, gas, span]) => {
      const heat = heatOf(value, unit, gas)
      if (heat !== undefined && !isHeat(heat, 150)) return undefined
      return stage({ on: 'oven', heat, minutes: span === undefined ? undefined : minutesOf(span), finish: true })
    },
  ),
  // under the grill for 5 minutes, broil 5 min: as hot as an oven gets
  reader(`(?:then |and )*broil(?:ed)?(?: it)?(?: on high)?(?: for)? (${SPAN})|(?:and )?then broil(?:ed)?`, ([, span]) =>
    stage({ on: 'oven', minutes: span === undefined ? undefined : minutesOf(span), finish: true }),
  ),
  reader(
    `(?:then |and |finish(?:ed)? |crisp(?:ed)? (?:up )?|brown(?:ed)? )*under (?:the |a )?(?:hot )?(?:grill|broiler)(?: for)?(?: (${SPAN}))?`,
    ([, span]) => stage({ on: 'oven', minutes: span === undefined ? undefined : minutesOf(span), finish: true }),
  ),
  // indirect till 46, then direct
  reader(`(?:and )?then (?:over )?direct(?:ly)?(?: heat)?(?: for)?(?: (${SPAN}))?`, ([, span]) =>
    stage({ on: 'fire', minutes: span === undefined ? undefined : minutesOf(span), finish: true }),
  ),
  // then sear in a hot pan for 4 min
  reader(
    `(?:(?:and )?then|to finish|finish(?:ed)?|at the end)(?: quickly| briefly)? (?:by )?(?:a )?(?:sear(?:ed|ing)?|brown(?:ed|ing)?|fry|fried)?(?: it)?(?: quickly| briefly| hard)? ?(?:(?:in|on) (?:a |the )?|(?<=then ))(?:(?:very |smoking )?hot |heavy )*(?:pan|skillet|frying pan|hob|cast iron(?: pan| skillet)?)(?: for)?(?: (${SPAN})(?: (${FACES}))?)?|pan finish(?:ed)?`,
    ([, span, faces]) => {
      const each = span === undefined ? undefined : minutesOf(span)
      const minutes = each !== undefined && faces ? each * facesOf(each) : each
      return stage({ on: 'pan', minutes, finish: true })
    },
  ),
  reader(
    `(?:then |and )?(?:(?:a )?hot finish|finish(?:ed)?(?: hot| off)?|(?:final |last |direct )?(?:sear|blast)|(?<=then )(?:grill|brown)(?:ed)?|crisp(?:ed)?(?: up)?|crackle|(?<=then )(?:crank|whack|turn)(?: it| the heat| the oven)? up(?! (?:to \\d|\\d{3}|gas)))(?: it)?(?: at| in an?| in the| on(?: the)? hot side| on(?: the| a)?(?: hot)? grill| on| oven| hot| oven at|${DIRECT})*(?: (?!${SPAN})${HEAT}(?! (?:am|pm)))?(?: for)?(?: (${SPAN}|(?<! at )${N}(?! (?:kg|g|lb|people|guests|mm|cm|am|pm))))?`,
    ([, value, unit, gas, span], text) => {
      // One number alone after "hot finish" is minutes, or a heat where it can only be one.
      const only = span === undefined && value !== undefined && unit === undefined && Number(value) < 60
      // "Crisp at 7" is an hour.
      if (only && / at \S+$/.test(text)) return undefined
      const heat = only ? undefined : heatOf(value, unit, gas)
      const minutes = only ? Number(value) : span === undefined ? undefined : minutesOf(span)
      if (heat === undefined && minutes === undefined && !/hot finish|direct|^(?:then|and) /.test(text))
        return undefined
      // "Sear, 120 to 48": nothing is seared so gently.
      const least = /^(?:(?:then|and|final|last|direct) )*(?:sear|blast)/.test(text) ? LEAST_SEAR_C : 120
      if (heat !== undefined && !isHeat(heat, least)) return undefined
      const sear = heat === undefined && /^sear /.test(text) ? { sear: true as const } : {}
      return stage({ on: 'oven', heat, minutes, finish: true, ...sear })
    },
  ),
]
