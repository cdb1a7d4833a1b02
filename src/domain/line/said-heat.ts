import type { Fact, Meaning, SaidHeat, SaidStage } from './fact'
import { LEAST_A_SIDE } from './readers/stages'
import type { HeatedStage, SaidRoast } from './said-roast'
import type { Role } from './scale'

/** What the words of a roast say of its heat: stretches, a setting, a school, each by what was said before it. */

/** A dial is not set below this, °C. */
const LEAST_HEAT_C = 55

/** Nothing is roasted in less but what is held for hours, °C. */
const LEAST_ROASTED_C = 75

/** What follows a bath is its crust from here on, °C. */
const AFTER_BATH_C = 150
/** Under this an oven is gentle: what sears comes after it, °C (common practice). */
export const GENTLE_C = 135
/** From here on an oven crisps what a gentle one has cooked, °C (common practice). */
const LEAST_CRISP_C = 200
/** Words for a crust that say nothing of its being first, and where. */
const SEARS = /^(?!.*\bfirst\b).*\b(?:sear|brown)/i
const IN_A_PAN = /\b(?:pan|skillet|cast iron)\b/i
const LOW_THEN_HOT = /^(?:low|slow|gentle),? (?:and )?then (?:very )?(?:hot|high)\b/i
const TILL = /^(?:to|until|till)\b/i
/** Schools that say nothing new after some others. */
const ADDS: Readonly<Record<string, readonly string[]>> = {
  'low-and-long': [
    'reverse-sear',
    'two-zone-fire',
    'water-bath',
    'cook-and-hold',
    'pan-first',
    'hot-start',
    'oven-off',
  ],
  'pan-first': ['water-bath', 'reverse-sear'],
  // "Sous vide, then grilled": how it is browned.
  'two-zone-fire': ['water-bath'],
  // Two zones of a fire are that: gently first, and hot at the end.
  'reverse-sear': ['two-zone-fire'],
}

/** What the words of a roast have said of its heat so far. */
export interface HeatsSaid {
  readonly roast: { -readonly [Key in keyof SaidRoast]?: SaidRoast[Key] }
  readonly stages: HeatedStage[]
  /** The words of each kind of fact that were said last. */
  readonly seen: ReadonlyMap<Fact['kind'], Meaning>
  readonly toCelsius: (heat: SaidHeat, role: Role) => number
  /** Words as they stand in the line. */
  readonly spelt: (at: Meaning) => string
  rests: boolean
  /** Seared before anything else was said of its heat. */
  searsFirst: boolean
  /** A time for each so much of its weight, said without its heat. */
  perWeight?: { readonly meaning: Meaning; readonly stage: HeatedStage }
  /** A time that stands alone. */
  span: { readonly meaning: Meaning; readonly minutes: number } | undefined
}

/** Takes a stretch of heat: the next one, a finish, or what belongs to what was said. What was said so far is changed. */
export function takeStage(heats: HeatsSaid, meaning: Meaning, part: SaidStage): void {
  const { roast, stages, toCelsius, spelt } = heats
  const { heat, core, follows, after_min, sear, first: isFirst, last: isLast, ifHeated, ...told } = part
  // "On the barbecue, 15 min a side" is over its coals, and in no pan.
  const overCoals =
    told.on === 'pan' &&
    roast.school === 'two-zone-fire' &&
    (told.minutes ?? 0) >= 2 * LEAST_A_SIDE &&
    !IN_A_PAN.test(spelt(meaning))
  const said = overCoals ? { ...told, on: 'fire' as const } : told
  const last = stages.at(-1)
  // "Chicken, 230 to crisp the skin": all the way.
  if (
    ifHeated &&
    heat !== undefined &&
    stages.length === 0 &&
    roast.set_c === undefined &&
    roast.school === undefined
  ) {
    roast.set_c = toCelsius(heat, 'oven')
    return
  }
  // "Crackle at 220 for 30, then 160": what more heat follows was no finish.
  if (follows && !part.finish && heat !== undefined && stages.length === 1 && last?.finish && roast.set_c === undefined)
    stages.splice(0, 1, { ...last, finish: undefined })
  // "180, 20 min per 500 g plus 20": of a heat that may be said yet.
  if (part.per_kg_min !== undefined && heat === undefined) {
    heats.perWeight ??= { meaning, stage: { on: 'oven', per_kg_min: part.per_kg_min, minutes: part.minutes } }
    return
  }
  // "Breast down 200 for 30 minutes, turn over, another 40 minutes".
  if (part.again) {
    if (last?.set_c !== undefined && last.minutes !== undefined)
      stages.push({ on: last.on, set_c: last.set_c, minutes: part.minutes, cover: last.cover })
    return
  }
  // "Then take the foil off, brush with honey and 20 min at 220": bare is what comes.
  const uncovers = last?.cover === 'bare' && last.minutes === undefined && last.core_c === undefined
  if (uncovers && stages.length > 1 && last.set_c === stages.at(-2)?.set_c && heat !== undefined && !isFirst) {
    stages.pop()
    takeStage(heats, meaning, { ...part, cover: part.cover ?? 'bare' })
    return
  }
  // "160 under foil for 2 h, then uncovered" goes on at the same heat.
  if (part.cover === 'bare' && part.follows && heat === undefined && part.usual === undefined) {
    if (last?.set_c !== undefined && last.minutes !== undefined)
      stages.push({ on: last.on, set_c: last.set_c, minutes: part.minutes, cover: 'bare' })
    return
  }
  // "Smoked at 107 to 74, wrap, then till 95" goes on so, too.
  if (part.cover === 'foil' && part.follows && heat === undefined && part.usual === undefined) {
    const to_c = core && toCelsius(core, 'core')
    if (last?.set_c !== undefined && last.core_c !== undefined && last.core_c < (to_c ?? Number.POSITIVE_INFINITY))
      stages.push({ on: last.on, set_c: last.set_c, core_c: to_c, cover: 'foil' })
    else if (to_c !== undefined) roast.serve_c ??= to_c
    return
  }
  // "150 for three hours, the last half hour at 220": it stays in.
  const straight = isLast && said.minutes !== undefined && last?.minutes !== undefined && !heats.rests
  // Cooked to its reading it stays in, too, and rests after it: what was covered was so before.
  const stays = isLast && !heats.rests ? { ...said, last: true as const } : said
  const stage = straight
    ? { ...said, cover: said.cover ?? (roast.cover === 'foil' ? ('bare' as const) : undefined), finish: undefined }
    : stays
  if (sear && stages.length === 0 && roast.set_c === undefined && roast.school === undefined) heats.searsFirst = true
  if (stage.on === 'fan') roast.oven = 'fan'
  // "Low then hot, 250 for 10": by the order it is named in.
  if (LOW_THEN_HOT.test(spelt(meaning))) roast.school ??= 'reverse-sear'
  // "Indirect till 46, then direct": that was what it reads before its finish.
  const till = heats.seen.get('serve')
  if (stage.finish && stages.length === 0 && till && roast.serve_c !== undefined && TILL.test(spelt(till))) {
    const on = roast.school === 'two-zone-fire' ? 'fire' : 'oven'
    stages.push({ on, set_c: roast.set_c, core_c: roast.serve_c })
    delete roast.serve_c
    delete roast.set_c
  }
  // "Sous vide, 58 C for 12 hours": as warm as the bath is its middle.
  if (roast.school === 'water-bath' && stage.on === 'oven' && heat && toCelsius(heat, 'oven') < LEAST_ROASTED_C)
    roast.serve_c ??= toCelsius(heat, 'oven')
  const { set_c } = roast
  // "Sous vide, then a hot oven 10 minutes", "sous vide 54, then sear": its school ends hot anyway.
  const fierce = follows && heat !== undefined && toCelsius(heat, 'oven') >= AFTER_BATH_C
  if (roast.school === 'water-bath' && (stage.usual === 'hot' || stage.finish || fierce)) {
    if (stage.on === 'oven' && stage.minutes !== undefined) roast.second_min = stage.minutes
    if (stage.on === 'oven' && heat) roast.second_c = toCelsius(heat, 'oven')
    return
  }
  // "110 until 50, rest 30 min, 260 for 8 min": what comes hotter after the rest is its finish.
  const cooked_c = last ? last.core_c !== undefined && last.set_c : set_c
  const rested = heats.rests && core === undefined && stage.minutes !== undefined
  const hotter = rested && heat !== undefined && cooked_c && toCelsius(heat, 'oven') > cooked_c
  // "Water bath 58 for 8 hours, then 250 for 10 minutes": that is its crust.
  const bathed =
    last?.on === 'bath' && stage.on === 'oven' && heat !== undefined && toCelsius(heat, 'oven') >= AFTER_BATH_C
  // "At 260, then 160", "260, then off": what was said as the oven is the first stretch of heat.
  if ((follows || stage.on === 'off') && !stage.finish && !hotter && stages.length === 0 && set_c !== undefined) {
    // "Oven at 220. Roast 20 minutes, reduce to 160": so long in the first.
    stages.push({ on: 'oven', set_c, minutes: after_min ?? heats.span?.minutes })
    if (after_min === undefined) heats.span = undefined
    delete roast.set_c
  }
  // "62 C for eight hours sous vide" is the school, by its hours.
  if (stage.on === 'bath' && /sous ?vide|\bsv\b/i.test(spelt(meaning)) && heat && stages.length === 0) {
    roast.school = 'water-bath'
    roast.set_c = toCelsius(heat, 'oven')
    heats.span ??= { meaning, minutes: stage.minutes ?? 0 }
    return
  }
  // "Overnight 100, crackling 240 30 min": so much hotter than a gentle oven it is its end.
  const [set] = stages.length === 0 && set_c !== undefined && set_c < GENTLE_C ? [heats.seen.get('heat')] : []
  const crisps =
    set !== undefined &&
    set.to <= meaning.from &&
    !isFirst &&
    !/\bfirst\b/i.test(spelt(meaning)) &&
    stage.on === 'oven' &&
    stage.minutes !== undefined &&
    heat !== undefined &&
    toCelsius(heat, 'oven') >= LEAST_CRISP_C
  // "190 for 3 hours, start at 240 for 30 minutes": before what was said.
  const before = isFirst && stage.minutes !== undefined && stages[0]?.on === 'oven' && stage.on === 'oven'
  stages.splice(before ? 0 : stages.length, 0, {
    ...stage,
    ...(isFirst && /\bfirst\b/i.test(spelt(meaning)) ? { first: true as const } : {}),
    ...(stage.on === 'bath' ? { cover: stage.cover ?? ('bag' as const) } : {}),
    ...(hotter || crisps || bathed || (stage.on === 'pan' && last?.core_c !== undefined) ? { finish: true } : {}),
    set_c: heat && toCelsius(heat, 'oven'),
    core_c: core && toCelsius(core, 'core'),
  })
}

/** "Foil over for the first 2 hours at 170, then uncover": what is bare in the end was covered before. */
export function coverBefore({ roast, stages }: HeatsSaid): void {
  const bare = stages.findIndex(({ cover, finish }) => cover === 'bare' && !finish)
  if (roast.cover === undefined || roast.cover === 'bare' || bare < 1) return
  for (const [i, stage] of stages.slice(0, bare).entries()) stages[i] = { ...stage, cover: stage.cover ?? roast.cover }
  delete roast.cover
}

/** What falls apart, and is said to take so long and nothing of its heat, is cooked low, minutes. */
export const LONG_MIN = 180
/** The longer it is in, the lower (common practice): from so many minutes on, at so many °C. */
const LOWER: readonly (readonly [number, number])[] = [
  [600, 105],
  [360, 120],
]
export const lowFor = (minutes: number): Pick<HeatedStage, 'set_c' | 'usual'> => {
  const set_c = LOWER.find(([from]) => minutes >= from)?.[1]
  return set_c === undefined ? { usual: 'low' } : { set_c }
}

/** Gentle until the end: what is said to be hot and short of these is that end. */
export const ENDS_HOT: readonly string[] = ['reverse-sear', 'low-and-long']
const MOST_CRISP_MIN = 30

/**
 * "Low and slow, 240 for 20 min", "low then hot, 250 for 10": of what is cooked gently the one heat that is hot and
 * short is its finish. "230 for 20 min, then low and slow" begins with it.
 */
export function hotAtLast(heats: HeatsSaid): void {
  const { stages, seen, span } = heats
  const { school = '', set_c } = heats.roast
  const [only] = stages
  if (!only || stages.length > 1 || set_c !== undefined || !ENDS_HOT.includes(school)) return
  const isPlain = only.on === 'oven' && only.core_c === undefined && only.cover === undefined
  if (!isPlain || (only.minutes ?? Number.POSITIVE_INFINITY) > MOST_CRISP_MIN || (only.set_c ?? 0) < LEAST_CRISP_C)
    return
  const opens = (seen.get('stage')?.from ?? 0) < (seen.get('school')?.from ?? 0)
  if (school === 'reverse-sear' || !(opens || only.first)) {
    stages[0] = { ...only, finish: true }
    return
  }
  stages[0] = { ...only, first: true, finish: undefined }
  if (span && span.minutes >= LONG_MIN) {
    stages.push({ on: 'oven', ...lowFor(span.minutes), minutes: span.minutes })
    heats.span = undefined
  }
}

/** "180, 20 min per 500 g plus 20": so long in the one heat that is said; kept as a note where that is none, or several. */
export function timeByWeight({ roast, stages, perWeight, span, spelt }: HeatsSaid, notes: string[]): void {
  if (!perWeight) return
  if (stages.length > 0 || roast.set_c === undefined || roast.school !== undefined || span) {
    notes.push(spelt(perWeight.meaning))
    return
  }
  stages.push({ ...perWeight.stage, set_c: roast.set_c })
  delete roast.set_c
}

/** Takes a heat alone: a setting, or the core of the stretch before it where no oven is so cool. */
export function takeHeat({ roast, stages, toCelsius }: HeatsSaid, fact: Extract<Fact, { kind: 'heat' }>): void {
  const set_c = toCelsius(fact.heat, 'oven')
  if (set_c < (fact.on === 'bath' ? 40 : LEAST_HEAT_C)) {
    // "Then 120 in the oven to 52": no oven is so cool, the core is.
    const open = stages.at(-1)
    if (fact.on === 'oven' && open?.on === 'oven' && open.core_c === undefined && open.minutes === undefined)
      stages.splice(-1, 1, { ...open, core_c: toCelsius(fact.heat, 'core') })
    return
  }
  roast.set_c = set_c
  if (fact.on === 'fan') roast.oven = 'fan'
  if (fact.on === 'oven') roast.oven ??= 'still'
  if (fact.on === 'fire') roast.school ??= 'two-zone-fire'
  if (fact.smoked) roast.smoked = true
  if (fact.on === 'bath') roast.school ??= 'water-bath'
}

/** Takes a school by its name, or a sear as what comes after a reading. */
export function takeSchool(
  { roast, stages, spelt }: HeatsSaid,
  meaning: Meaning,
  { id, minutes }: Extract<Fact, { kind: 'school' }>,
): void {
  if (minutes !== undefined) roast.second_min = minutes
  // "120 to 48, sear": what has its reading is seared after it.
  const isRead = roast.pull_c !== undefined || stages.at(-1)?.core_c !== undefined
  // "Reverse seared, low and slow", "sous vide, sear": the second only praises the first, or belongs to it.
  // "Oven 65 overnight, sear": after it, that is.
  if (id === 'pan-first' && stages.at(-1)?.on === 'bath') stages.push({ on: 'pan', finish: true })
  else if (
    id === 'pan-first' &&
    roast.school !== 'water-bath' &&
    roast.set_c !== undefined &&
    roast.set_c < GENTLE_C &&
    /^,?\s*sear(?:ed)?$/i.test(spelt(meaning))
  )
    roast.school = 'reverse-sear'
  else if (id === 'pan-first' && isRead && SEARS.test(spelt(meaning))) {
    if (IN_A_PAN.test(spelt(meaning))) stages.push({ on: 'pan', finish: true })
    else roast.school = 'reverse-sear'
  } else if (roast.school === undefined || !(ADDS[id] ?? []).includes(roast.school)) roast.school = id
}
