import { type Learned, type Lesson, learn, NATURES } from '@/core/estimate/learning'
import { DOMESTIC_OVEN } from '@/core/heat/oven'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { usualThickness } from '@/core/heat/piece'
import { secondsOf } from '../cook/entry/time'
import type { StoryItem } from '../cook/story/story'
import type { MealDocument } from '../meal/meal-document'
import { hundredth, tenth } from '../quantity/round'
import { cutAsCooked, stagesOfDocument, thicknessRange } from '../roast/resolve'
import { LEARNED_OF, type LearnedPart, ovenPart, type PlanDocument } from '../roast/roast-document'
import { mainStage } from '../roast/stages'

/** What a kitchen's cooks have taught of its ovens and its butchers. */

/** One roast of a story, as far as learning needs it. */
export type TaughtItem = Pick<StoryItem, 'cut' | 'supplier' | 'oven' | 'taught'> & { readonly served: string }

export interface LearnedThing extends Learned {
  readonly of: LearnedPart['of'] | 'probe'
  /** Oven, cut, supplier and cut, or probe, as it is switched on and off. */
  readonly key: string
  readonly name: string
  /** Of an oven: by how much more it is off for each 100 K that it is set over `TILT_AT_C`, K. */
  readonly tilt?: number
}

/** One cook's time is off the model's by so much besides its oven and its piece, as a logarithm. */
const COOK_ERROR = 0.09
/** One piece is off what such pieces are, where it was measured, as a logarithm. */
const MEASURED_ERROR = 0.06
/** A probe in the air is within this of the oven's own mean, K. */
const AIR_ERROR_K = 2.5

/** How an oven heats, beside where it settles: what a document holds of it, and how surely one cook tells. */
const OVEN_WAYS = [
  {
    of: 'preheat',
    field: 'preheat_k_per_min',
    usual: DOMESTIC_OVEN.preheat_k_per_s * 60,
    low: 1,
    high: 120,
    error: 0.12,
  },
  { of: 'door', field: 'door_loss', usual: DOMESTIC_OVEN.door_loss, low: 0.02, high: 0.85, error: 0.3 },
  {
    of: 'decay',
    field: 'decay_min',
    usual: DOMESTIC_OVEN.decay_s / 60,
    low: 5,
    high: 600,
    error: 0.12,
  },
  { of: 'swing', field: 'swing_k', usual: DOMESTIC_OVEN.swing_k, low: 0, high: 40, error: 0.25 },
] as const
const isWay = (of: LearnedThing['of']) => OVEN_WAYS.some((way) => way.of === of)

/** An oven's offset is said at this setting, °C; hotter and colder it may be another. */
export const TILT_AT_C = 170
/** Settings over that in hundreds of kelvins; nobody said how it was set: no more is known than the mean. */
const overUsual = (set_c: number | null | undefined) => (set_c == null ? 0 : (set_c - TILT_AT_C) / 100)

const tiltKey = (oven: string) => `tilt:${oven}`
const ovenKey = (oven: string) => `oven:${oven}`
const cutKey = (cut: string) => `cut:${cut}`
const supplierKey = (cut: string, supplier: string) => `supplier:${cut}:${supplier}`
const natureOf = (key: string) => NATURES[key.split(':')[0] as keyof typeof NATURES]

/** What the roasts of some stories say, as lessons about their ovens, cuts and suppliers. */
export function lessonsFrom(items: readonly TaughtItem[]): Lesson[] {
  return items.flatMap(({ served, cut, supplier, oven, taught }): Lesson[] => {
    if (!taught) return []
    const at_s = secondsOf(served)
    const mayChange = ovenKey(oven)
    const pieces = [cutKey(cut), ...(supplier === '' ? [] : [supplierKey(cut, supplier)])]
    // Against the plain dial and the usual piece: what a plan knew already is not unlearned by being right.
    const { longer, per_k, per_thickness, told_k, told_thicker, measured, air_k } = taught
    const over = overUsual(taught.set_c)
    const dial = (by: number) => [
      { key: ovenKey(oven), by },
      ...(over === 0 ? [] : [{ key: tiltKey(oven), by: by * over }]),
    ]
    const time: Lesson = {
      at_s,
      value: longer + per_k * told_k + (measured ? 0 : per_thickness * told_thicker),
      error: COOK_ERROR,
      of: [...dial(per_k), ...(measured ? [] : pieces.map((key) => ({ key, by: per_thickness })))],
    }
    const piece: Lesson[] = measured
      ? [{ at_s, value: told_thicker, error: MEASURED_ERROR, of: pieces.map((key) => ({ key, by: 1 })) }]
      : []
    // What tells most of it says whether it is another.
    const ways = OVEN_WAYS.flatMap(({ of, error }): Lesson[] => {
      const value = taught[of] ?? null
      return value === null ? [] : [{ at_s, value, error, of: [{ key: `${of}:${oven}`, by: 1 }] }]
    })
    return air_k === null
      ? [{ ...time, mayChange }, ...piece, ...ways]
      : [{ at_s, value: air_k, error: AIR_ERROR_K, of: dial(1), mayChange }, time, ...piece, ...ways]
  })
}

/**
 * Everything that some roasts taught: each oven, each cut, and each supplier's pieces of a cut.
 *
 * @param cutName what a cut is called
 * @param now_s what was not seen for long is less sure
 */
export function learnedFrom(
  items: readonly TaughtItem[],
  cutName: (cut: string) => string,
  now_s: number,
): readonly LearnedThing[] {
  const known = learn(lessonsFrom(items), natureOf, now_s)
  const things = [...known].flatMap(([key, learned]): LearnedThing[] => {
    const [of, name = '', supplier = ''] = key.split(':') as [LearnedPart['of'], string?, string?]
    if (learned.cooks === 0) return []
    if (key.startsWith('tilt:')) return []
    if (of === 'oven')
      return [{ of, key, name: key.slice(5), ...learned, tilt: known.get(tiltKey(key.slice(5)))?.mean ?? 0 }]
    if (isWay(of)) return [{ of, key, name: key.slice(of.length + 1), ...learned }]
    if (of === 'cut') return [{ of, key, name: cutName(name), ...learned }]
    // A supplier's pieces are as those of their cut are, and a little otherwise.
    const all = known.get(cutKey(name))
    const mean = learned.mean + (all?.mean ?? 0)
    const spread = Math.hypot(learned.spread, all?.spread ?? 0)
    return [
      {
        of,
        key,
        name: `${supplier}, ${cutName(name)}`,
        ...learned,
        mean,
        spread,
        next: Math.hypot(spread, NATURES.supplier.scatter),
      },
    ]
  })
  const order: readonly string[] = LEARNED_OF
  return things.sort(
    (a, b) => order.indexOf(a.of) - order.indexOf(b.of) || b.cooks - a.cooks || (a.key < b.key ? -1 : 1),
  )
}

/** Of an oven a plan says at least so much, K; of a thickness, as a share: less is left as it is. */
const WORTH = { oven: 1, thickness: 0.015, way: 0.1 } as const

/**
 * A plan with what was learned laid into what nobody said: an oven without an offset, a piece that was not measured. a
 * fridge at its usual. Says what it used; what was said by hand stays.
 *
 * @param oven which oven it goes into, by its name
 */
export function withLearned(
  document: PlanDocument,
  things: readonly LearnedThing[],
  oven = 'the oven',
): { readonly document: PlanDocument; readonly used: readonly LearnedPart[] } {
  const used: LearnedPart[] = []
  let { roast, oven: heat } = document
  for (const own of [ovenLearned(heat, oven, things, mainSetting(document)), ...waysLearned(heat, oven, things)])
    if (own) {
      heat = { ...heat, ...own.part }
      used.push(own.used)
    }
  const piece = pieceLearned(document, things)
  if (piece) {
    roast = { ...roast, ...piece.part }
    used.push(piece.used)
  }
  return { document: { ...document, roast, oven: heat, learned: used }, used }
}

/** What was learned of an oven of which nobody said anything. */
function ovenLearned(
  heat: { readonly offset_k: number },
  name: string,
  things: readonly LearnedThing[],
  set_c: number | undefined,
) {
  const own = things.find(({ key }) => key.toLowerCase() === ovenKey(name).toLowerCase())
  if (!own || heat.offset_k !== 0) return undefined
  const off_k = own.mean + (own.tilt ?? 0) * overUsual(set_c)
  if (Math.abs(off_k) < WORTH.oven) return undefined
  const value = Math.round(off_k)
  const used: LearnedPart = { of: 'oven', name, value, spread: tenth(own.next), cooks: own.cooks, later_min: null }
  return { part: { offset_k: value, doubt_k: Math.max(0.5, tenth(own.next)) }, used }
}

const PLAIN_OVEN = ovenPart.parse({})

/** What a roast's oven is set to for the most of it, °C; undefined where it is in none, or cannot be planned. */
function mainSetting(document: Parameters<typeof stagesOfDocument>[0]): number | undefined {
  const stages = stagesOfDocument(document)
  const environment = stages[mainStage(stages)]?.environment
  return environment?.kind === 'oven' ? (environment.set_c ?? undefined) : undefined
}

/** How an oven of which nobody said so heats. */
function waysLearned(heat: Partial<PlanDocument['oven']>, name: string, things: readonly LearnedThing[]) {
  return OVEN_WAYS.flatMap(({ of, field, usual, low, high }) => {
    const own = things.find(({ key }) => key.toLowerCase() === `${of}:${name}`.toLowerCase())
    if (!own || heat[field] !== undefined || Math.abs(own.mean) < WORTH.way) return []
    const value = hundredth(Math.min(high, Math.max(low, usual * Math.exp(own.mean))))
    const spread = hundredth(value * own.next)
    const used: LearnedPart = { of, name, value, spread, cooks: own.cooks, later_min: null }
    return [{ part: { [field]: value }, used }]
  })
}

/** What was learned of pieces like one that was not measured. */
function pieceLearned(document: Pick<PlanDocument, 'roast' | 'program'>, things: readonly LearnedThing[]) {
  const { roast } = document
  const cut = cutAsCooked(document)
  const thing = (key: string) => things.find((each) => each.key === key)
  const piece = thing(supplierKey(roast.cut, roast.supplier)) ?? thing(cutKey(roast.cut))
  if (!cut || !piece || piece.of === 'probe' || roast.thickness_mm !== null || roast.house?.thickness_mm !== undefined)
    return undefined
  if (Math.abs(piece.mean) < WORTH.thickness) return undefined
  const usual_mm = usualThickness(cut, roast.mass_kg, HEAT_PARAMETERS, roast.legs) * 1000
  const { low, high } = thicknessRange(cut, roast.mass_kg, roast.legs)
  const thickness_mm = Math.round(Math.min(high, Math.max(low, usual_mm * Math.exp(piece.mean))))
  const used: LearnedPart = {
    of: piece.of,
    name: piece.of === 'supplier' ? roast.supplier : cut.name,
    value: hundredth(thickness_mm / usual_mm),
    spread: hundredth(piece.next),
    cooks: piece.cooks,
    later_min: null,
  }
  return { part: { thickness_mm, thickness_doubt: Math.max(0.03, hundredth(piece.next)) }, used }
}

/** A meal with what was learned laid into its ovens and pieces of which nobody said otherwise. */
export function mealWithLearned(meal: MealDocument, things: readonly LearnedThing[]): MealDocument {
  const used = new Map<string, LearnedPart>()
  const use = (part: LearnedPart) => used.set(`${part.of} ${part.name}`, part)
  const settings = meal.roasts.flatMap((roast) => mainSetting({ ...roast, oven: PLAIN_OVEN }) ?? [])
  const usual_c = settings.length === 0 ? undefined : settings.reduce((sum, each) => sum + each, 0) / settings.length
  const ovens = meal.kitchen.ovens.map((oven) => {
    let heats = oven
    for (const own of [ovenLearned(oven, oven.name, things, usual_c), ...waysLearned(oven, oven.name, things)])
      if (own) {
        use(own.used)
        heats = { ...heats, ...own.part }
      }
    return heats
  })
  const roasts = meal.roasts.map((roast) => {
    const piece = pieceLearned(roast, things)
    if (piece) use(piece.used)
    return piece ? { ...roast, roast: { ...roast.roast, ...piece.part } } : roast
  })
  return used.size === 0
    ? meal
    : { ...meal, kitchen: { ...meal.kitchen, ovens }, roasts, learned: [...used.values()].slice(0, MOST_OF_MEAL) }
}
const MOST_OF_MEAL = 24

/** A meal that does without one lesson: what it laid in goes with it; what a hand changed since stays. */
export function mealWithout(meal: MealDocument, part: LearnedPart): MealDocument {
  type Oven = MealDocument['kitchen']['ovens'][number]
  const plain = (oven: Oven): Oven =>
    part.of === 'oven'
      ? oven.doubt_k === undefined
        ? oven
        : withoutFields({ ...oven, offset_k: 0 }, ['doubt_k'])
      : withoutFields(oven, fieldsOf([part.of]))
  const bare = (roast: PlanDocument['roast']) => withoutFields({ ...roast, thickness_mm: null }, ['thickness_doubt'])
  const isOf = (roast: MealDocument['roasts'][number]) =>
    part.of === 'supplier' ? roast.roast.supplier === part.name : cutAsCooked(roast)?.name === part.name
  return {
    ...meal,
    learned: meal.learned.filter((each) => each.of !== part.of || each.name !== part.name),
    kitchen: {
      ...meal.kitchen,
      ovens: meal.kitchen.ovens.map((oven) =>
        (part.of === 'oven' || isWay(part.of)) && oven.name === part.name ? plain(oven) : oven,
      ),
    },
    roasts: meal.roasts.map((roast) =>
      (part.of === 'cut' || part.of === 'supplier') && roast.roast.thickness_doubt !== undefined && isOf(roast)
        ? { ...roast, roast: bare(roast.roast) }
        : roast,
    ),
  }
}

/**
 * A plan without what was learned of one thing: what a hand sets is nobody's lesson.
 * @param of which lessons go
 */
export function unlearned(document: PlanDocument, of: readonly LearnedPart['of'][]): PlanDocument {
  if (!document.learned.some((each) => of.includes(each.of))) return document
  const { thickness_doubt, ...roast } = document.roast
  const { doubt_k, ...oven } = document.oven
  const keep = (kind: LearnedPart['of']) => !of.includes(kind)
  return {
    ...document,
    roast: {
      ...roast,
      ...(thickness_doubt !== undefined && keep('cut') && keep('supplier') ? { thickness_doubt } : {}),
    },
    oven: { ...oven, ...(doubt_k !== undefined && keep('oven') ? { doubt_k } : {}) },
    learned: document.learned.filter((each) => keep(each.of)),
  }
}

/** What of an oven some lessons laid into a document, besides its offset. */
const fieldsOf = (of: readonly LearnedPart['of'][]) =>
  OVEN_WAYS.filter((way) => of.includes(way.of)).map(({ field }) => field)
const withoutFields = <Part extends object>(part: Part, fields: readonly (keyof Part)[]): Part =>
  Object.fromEntries(Object.entries(part).filter(([name]) => !fields.includes(name as keyof Part))) as Part

/** The same plan as if no cook had taught anything: for saying what learning did to its times. */
export function asIfUntaught(document: PlanDocument): PlanDocument {
  const of = new Set(document.learned.map((each) => each.of))
  const plain = unlearned(document, [...of])
  return {
    ...plain,
    roast: {
      ...plain.roast,
      ...(of.has('cut') || of.has('supplier') ? { thickness_mm: null } : {}),
    },
    oven: withoutFields(of.has('oven') ? { ...plain.oven, offset_k: 0 } : plain.oven, fieldsOf([...of])),
  }
}

/** A plan that does without some lessons: what they laid into it goes with them, the others stay. */
export function doWithout(document: PlanDocument, of: readonly LearnedPart['of'][]): PlanDocument {
  const own = document.learned.filter((each) => of.includes(each.of))
  return own.length === 0
    ? document
    : unlearned({ ...asIfUntaught({ ...document, learned: own }), learned: document.learned }, of)
}
