import { findSchool, pullsApart } from '@/core/program/schools'
import { findCut, isPoultry } from '@/core/reference/cuts'
import { degreeNamed, donenessScale } from '@/core/reference/doneness'
import type { HouseStandards } from '../house/standards'
import type { Span } from '../problem/problem'
import { tenth } from '../quantity/round'
import type { StagePart } from '../roast/roast-document'
import { type CutTraits, isHam, nameInLine, withTraits } from './cut-names'
import type { Fact, Meaning, SaidHeat } from './fact'
import { isPulled } from './readers/doneness'
import {
  coverBefore,
  type HeatsSaid,
  hotAtLast,
  LONG_MIN,
  lowFor,
  takeHeat,
  takeSchool,
  takeStage,
  timeByWeight,
} from './said-heat'
import type { Ask, SaidRoast } from './said-roast'
import type { Role } from './scale'
import { piecesFor, weightTaken } from './weight-taken'
import { IN_PASTRY, namesMeat } from './whose'

const ABOUT = /\b(?:about|around|roughly|approx\w*|takes?)\b/i
/** A smoker is kept no hotter, °C. */
const MOST_SMOKER_C = 165
/** Said alone it is no school. */
const COLD_START = /^\W*cold start$/i
/** No bath is hotter, °C. */
const BOILS_C = 100

/** Facts of which a roast has one. */
const ONCE: ReadonlySet<Fact['kind']> = new Set(['mass', 'thickness', 'doneness', 'serve', 'pull'])

/** Of what weighs less than half a kilogram tenths say nothing. */
const kgWords = (kg: number) => `${kg < 0.5 ? Math.round(kg * 100) / 100 : tenth(kg)} kg`

/** What a roast's words are read in: the line's scale, its table, and where to ask. */
export interface Scene {
  readonly toCelsius: (heat: SaidHeat, role: Role) => number
  readonly guests: number | undefined
  /** How many share those guests. */
  readonly roasts: number
  /** Whether other roasts are named: what is added is said beside its own. */
  readonly several: boolean
  /** What each weighs that has no weight of its own, kg. */
  readonly apiece_kg: number | undefined
  readonly standards: HouseStandards
  readonly asks: Ask[]
  readonly replaced: (at: Span, by: string) => string
  /** Words as they stand in the line. */
  readonly spelt: (at: Span) => string
  readonly added: (words: string) => string
}

/** Nothing that is sliced is served hotter by more than this than its most done degree, K. */
const OVER_K = 6

/** One roast from the meanings beside its cut, or one for each weight that was said. */
export function roastsOf(
  group: readonly Meaning[],
  { toCelsius, guests, roasts, several, apiece_kg, standards, asks, replaced, spelt, added }: Scene,
): SaidRoast[] {
  const named = group.find(({ fact }) => namesMeat(fact))
  if (!named) return []
  const ids =
    named.fact.kind === 'cut'
      ? named.fact.ids
      : named.fact.kind === 'house' && named.fact.item.kind === 'cut'
        ? [named.fact.item.cut]
        : []
  let count = named.fact.kind === 'cut' ? named.fact.count : 1
  let kgs: readonly number[] | undefined
  let bones = named.fact.kind === 'cut' ? named.fact.bones : undefined
  const traits: CutTraits = {}
  /** Traits that are known of some cuts only. */
  let crown: Meaning | undefined
  let halved: Meaning | undefined
  let boned: Meaning | undefined
  let made: Meaning | undefined
  const tending: Extract<Fact, { kind: 'tending' }>[] = []
  const notes: string[] = []
  const written: StagePart[] = []
  const otherWays: Meaning[] = []
  let shared: 'said' | 'perhaps' | undefined
  /** Its weight is what each of them eats. */
  let portioned = false
  const seen = new Map<Fact['kind'], Meaning>()
  const heats: HeatsSaid = {
    roast: {},
    stages: [],
    seen,
    toCelsius,
    spelt,
    rests: false,
    searsFirst: false,
    span: undefined,
  }
  const { roast, stages } = heats
  let cold = false
  let coversAfter: number | undefined
  /** "40 min at 220, cover with foil, 2 h at 170": what was covered between two heats is covered in the second. */
  const coverNext = () => {
    const next = coversAfter === undefined ? undefined : stages[coversAfter]
    if (coversAfter === undefined || !next || next.cover || next.finish || next.on !== 'oven') return
    stages[coversAfter] = { ...next, cover: 'foil' }
    coversAfter = undefined
    delete roast.cover
  }
  const leave = (meaning: Meaning) => ({ says: 'leave it out', line: replaced(meaning, '') })
  /** Asks about what is said and no plan can have. */
  const leftOut = (meaning: Meaning, more: Partial<Extract<Ask, { code: 'what_is' }>> = {}) =>
    asks.push({
      code: 'what_is',
      at: { from: meaning.from, to: meaning.to },
      words: spelt(meaning),
      options: [leave(meaning)],
      ...more,
    })
  /** "A smoked ham, fully cooked": what was done to it, and not how it is wanted. */
  const factOf = (meaning: Meaning): Fact => {
    const done = meaning.fact.kind === 'doneness' && /^(?:done|cooked)$/.test(meaning.fact.word) && isHam(ids[0] ?? '')
    return done && /cooked/i.test(spelt(meaning)) ? { kind: 'traits', traits: { cooked: true } } : meaning.fact
  }
  for (const meaning of group) {
    const fact = factOf(meaning)
    const before = seen.get(fact.kind)
    if (before && ONCE.has(fact.kind) && JSON.stringify(before.fact) !== JSON.stringify(fact)) {
      asks.push({
        code: 'said_twice',
        at: { from: meaning.from, to: meaning.to },
        what: fact.kind,
        options: [
          { says: 'the first', line: replaced(meaning, '') },
          { says: 'the second', line: replaced(before, '') },
        ],
      })
      continue
    }
    seen.set(fact.kind, meaning)
    switch (fact.kind) {
      case 'traits':
        Object.assign(
          traits,
          Object.fromEntries(Object.entries(fact.traits).filter(([, value]) => value !== undefined)),
        )
        if (fact.handling) roast.handling = fact.handling
        if (fact.traits.crown) crown = meaning
        if (fact.traits.half) halved = meaning
        if (fact.traits.bone === 'out') boned = meaning
        if (fact.traits.cured || fact.traits.cooked) made = meaning
        break
      case 'bones':
        bones = fact.bones
        break
      case 'mass':
        if (fact.each && guests === undefined) break
        portioned = fact.each !== undefined
        roast.mass_kg = fact.each ? tenth((fact.kg * (guests ?? 1)) / Math.max(1, roasts * count)) : fact.kg
        if (fact.count !== undefined) count = fact.count
        // "Three ribs, 1.5 kg each" are three roasts.
        if (fact.apiece && bones !== undefined && named.fact.kind === 'cut' && named.fact.bones !== undefined) {
          count = bones
          bones = undefined
        }
        kgs = fact.kgs
        break
      case 'pieces':
        count = fact.more ? count + fact.count : fact.count
        shared = fact.ofAll
        break
      case 'thickness':
        roast.thickness_mm = fact.mm
        break
      case 'start':
        if (fact.heat) roast.start_c = toCelsius(fact.heat, 'start')
        if (fact.temper_min !== undefined) roast.temper_min = fact.temper_min
        break
      case 'stage':
        takeStage(heats, meaning, fact.stage)
        coverNext()
        break
      case 'span':
        heats.span ??= { meaning, minutes: fact.minutes }
        if (fact.slow) roast.school ??= 'low-and-long'
        break
      case 'heat':
        takeHeat(heats, fact)
        break
      case 'another_way':
        otherWays.push(meaning)
        break
      case 'oven':
        roast.oven = fact.oven
        break
      case 'cold_oven':
        cold = true
        break
      case 'rest':
        // "To 45, 15 min rest, 250 for 8 min, 15 min rest": the second is after its finish.
        if (fact.minutes !== undefined) {
          if (roast.rest_min !== undefined && stages.at(-1)?.finish) roast.restAfter_min = fact.minutes
          else roast.rest_min = fact.minutes
        }
        heats.rests = true
        break
      case 'hold':
        roast.hold_c = toCelsius(fact.heat, 'core')
        if (fact.minutes !== undefined) roast.hold_min = fact.minutes
        break
      case 'second':
        if (fact.heat) roast.second_c = toCelsius(fact.heat, 'oven')
        if (fact.minutes !== undefined) roast.second_min = fact.minutes
        break
      case 'school':
        takeSchool(heats, meaning, fact)
        break
      case 'doneness':
        roast.doneness = fact.word
        break
      case 'serve':
        roast.serve_c = toCelsius(fact.heat, 'core')
        break
      case 'pull':
        roast.pull_c = toCelsius(fact.heat, 'core')
        if (fact.point) notes.push(`read in the ${fact.point}`)
        break
      case 'surface':
        roast.surface = fact.surface
        break
      case 'preparation':
        roast.preparation = fact.preparation
        if (fact.note) notes.push(fact.note)
        break
      case 'frozen':
        roast.frozen = true
        if (fact.thaws) roast.thaws = fact.thaws
        break
      case 'stuffing':
        if (fact.where === 'cavity') roast.stuffed = true
        if (fact.where === 'neck') notes.push('stuffed in the neck only')
        break
      case 'legs':
        roast.legs = fact.legs
        break
      case 'cover':
        // "Until 52, tent, rest 15": that is how it rests.
        if (
          fact.cover !== 'tent' ||
          !(heats.rests || roast.pull_c !== undefined || stages.some(({ core_c }) => core_c))
        )
          roast.cover = fact.cover
        coversAfter = roast.cover === 'foil' && stages.length > 0 ? stages.length : undefined
        break
      case 'tending':
        // The door is opened for something.
        if (fact.act === 'look' && fact.said) notes.push(fact.said)
        // "Glazed with honey, then glaze": once.
        if (fact.act === 'glaze' && !fact.moments && tending.some(({ act }) => act === 'glaze')) break
        tending.push({
          ...fact,
          ...(fact.moments
            ? {
                moments: fact.moments.map((moment) =>
                  'core' in moment ? { core: { value: toCelsius(moment.core, 'core'), unit: 'c' as const } } : moment,
                ),
              }
            : {}),
        })
        break
      case 'tender':
        roast.tender = fact.degree
        break
      case 'note':
        notes.push(fact.text)
        break
      case 'written':
        written.push(fact.stage)
        break
      case 'house':
        if (fact.item.kind === 'cut') roast.houseCut = fact.item
        else if (fact.item.kind === 'program') roast.houseProgram = fact.item
        break
    }
  }
  // "Sous vide 12 hours at 58": no oven is meant.
  const [bathed] = stages
  const lying = roast.school === 'water-bath' && stages.length === 1 && bathed?.on === 'oven' ? bathed : undefined
  if (lying?.minutes !== undefined && lying.core_c === undefined && (lying.set_c ?? BOILS_C) < BOILS_C) {
    roast.set_c = lying.set_c as number
    heats.span ??= { meaning: seen.get('stage') ?? named, minutes: lying.minutes }
    stages.length = 0
  }
  coverBefore(heats)
  hotAtLast(heats)
  timeByWeight(heats, notes)
  // "425 F, 80 minutes": so long in the one heat that is said. Where there is none, or several, nobody knows of what.
  const joint = findCut(ids[0] ?? '')
  const { span, searsFirst } = heats
  const isLong = span !== undefined && span.minutes >= LONG_MIN && joint !== undefined && pullsApart(joint)
  // A pot roast is braised.
  if (/\bpot\b/i.test(spelt(named))) roast.cover ??= 'foil'
  // "Braised for four hours" is low, whatever it is; so is what "slow for six hours, then crisp" begins with.
  const braised = span !== undefined && span.minutes >= LONG_MIN && roast.cover === 'foil'
  const slow =
    roast.school === 'low-and-long' || ((isLong || braised) && roast.school === undefined && roast.set_c === undefined)
  const onlyEnds = stages.every(({ finish }) => finish)
  const seared = stages.filter(({ on }) => on === 'pan')
  const bathOnly = roast.school === 'water-bath' && seared.length === stages.length
  const bath_c = bathOnly ? (roast.set_c ?? roast.serve_c) : undefined
  if (span && bath_c !== undefined) {
    // "Sous vide 58 C for 12 hours": so long in it, and browned after it as that school is.
    stages.length = 0
    stages.push({ on: 'bath', set_c: bath_c, minutes: span.minutes, cover: 'bag' })
    if (seared.length > 0) stages.push(...seared.map((pan) => ({ ...pan, finish: true })))
    else stages.push({ on: 'oven', set_c: roast.second_c, minutes: roast.second_min, finish: true })
    delete roast.set_c
    delete roast.school
  } else if (span && stages.length === 0 && roast.school === 'two-zone-fire') {
    // "Bbq 40 min", "smoked 275, 6 hours": over it for so long.
    stages.push({ on: 'fire', set_c: roast.set_c, minutes: span.minutes })
    delete roast.set_c
  } else if (span && onlyEnds && (roast.school === undefined ? slow || roast.set_c !== undefined : slow)) {
    stages.unshift({
      on: 'oven',
      ...(roast.set_c === undefined ? lowFor(span.minutes) : { set_c: roast.set_c }),
      minutes: span.minutes,
    })
    delete roast.set_c
  } else if (span) {
    // "200 F until 120, about 3.5 hours": what it is thought to take.
    if (stages.length > 0 && ABOUT.test(spelt(span.meaning))) notes.push(spelt(span.meaning))
    else leftOut(span.meaning)
  }
  // "Sear 4 min, 180 C 12 min": more heat was said after it.
  const [opening] = stages
  if (searsFirst && opening && (stages.length > 1 || roast.set_c !== undefined))
    stages[0] = { on: 'pan', minutes: opening.minutes }
  // "Cold start, 200 C": its oven is that, and what is put into it while it is cold.
  const called = seen.get('school')
  if (roast.school === 'cold-start' && roast.set_c !== undefined && called && COLD_START.test(spelt(called))) {
    delete roast.school
    cold = true
  }
  if (cold) stages.splice(0, 1, { ...stages[0], on: 'cold' })
  const first = ids[0] as string
  const stuffed = roast.stuffed === true
  const cut = withTraits(first, { ...traits, stuffed })
  const known = findCut(cut)
  if (!known) return []
  const hamSaid = isHam(cut) && (traits.raw || traits.cured)
  if (ids.length > 1 && cut === first && !hamSaid)
    asks.push({
      code: 'which_cut',
      at: { from: named.from, to: named.to },
      taken: cut,
      options: ids.map((id) => ({ says: nameInLine(id), line: replaced(named, nameInLine(id)) })),
    })
  const isBird = known.geometry.family === 'bird'
  // What is not known of a cut is planned as if it were not said, and said to be: another bird's crown, smoked duck,
  // a crust of pastry.
  for (const meaning of otherWays) leftOut(meaning, { not_of: cut })
  if (crown && isBird) leftOut(crown, { not_of: cut })
  if (halved && isBird) leftOut(halved, { not_of: cut })
  if (boned && isBird) leftOut(boned, { not_of: cut })
  if (made && !isHam(cut)) {
    // "Smoked turkey, 120 C until 74": in a smoker. Bought smoked, and heated, it is no roast of ours.
    const heats_c = [roast.set_c, ...stages.map(({ set_c }) => set_c)].filter((set_c) => set_c !== undefined)
    if (/smoked/i.test(spelt(made)) && heats_c.length > 0 && heats_c.every((set_c) => set_c <= MOST_SMOKER_C)) {
      roast.smoked = true
      if (stages.length === 0) roast.school ??= 'two-zone-fire'
      for (const [i, each] of stages.entries()) if (each.on === 'oven') stages[i] = { ...each, on: 'fire' }
    } else leftOut(made, { not_of: cut })
  }
  if (IN_PASTRY.test(spelt(named))) {
    const options = [{ says: nameInLine(cut), line: replaced(named, nameInLine(cut)) }]
    leftOut(named, { not_of: cut, words: 'wellington', options })
  }
  const filled = seen.get('stuffing')
  if (stuffed && isBird && roast.legs === 'flat' && filled) {
    // Pressed flat it has no cavity: what was to go in there is baked beside it.
    roast.stuffed = false
    const beside = { says: 'baked beside it', line: replaced(filled, 'stuffing in a dish') }
    leftOut(filled, { not_of: cut, options: [beside, leave(filled)] })
  }
  if (stuffed && !isBird) {
    roast.stuffed = false
    if (known.id !== 'pork-loin-stuffed-rolled') roast.handling ??= 'stuffed'
  }
  if (traits.rolled && known.intact && !known.id.includes('rolled') && known.id !== 'beef-rib-boneless')
    roast.handling ??= 'rolled'
  if (!isBird) delete roast.legs
  // Turned is a school for a bird; anything else is turned over in its tin.
  if (!isBird && roast.school === 'bird-turned') {
    delete roast.school
    tending.push({ kind: 'tending', act: 'turn', moments: [{ share: 0.5 }] })
  }
  const tenderly =
    !isPoultry(known) &&
    (roast.tender !== undefined ||
      written.some(({ until }) => until.kind === 'tender') ||
      (pullsApart(known) && findSchool(roast.school ?? '')?.untilTender === true))
  const scale = donenessScale(tenderly ? 'tender' : known.doneness)
  // "Prime rib, 200 F": what is sliced is not served so hot, and an oven may well be so cool.
  const served = seen.get('serve')?.fact
  const bare = served?.kind === 'serve' && served.bare
  if (
    bare &&
    roast.serve_c !== undefined &&
    roast.serve_c > Math.max(...scale.degrees.map(({ serve_c }) => serve_c)) + OVER_K &&
    scale.id !== 'tender' &&
    !pullsApart(known)
  ) {
    roast.set_c ??= roast.serve_c
    delete roast.serve_c
  }
  // What is sliced at other times is pulled when that is said: by its tenderness, not by its degrees.
  if (roast.doneness !== undefined && pullsApart(known) && scale.id !== 'tender' && isPulled(roast.doneness)) {
    delete roast.doneness
    roast.tender ??= 'falls_apart'
  }
  const word = roast.doneness
  const degree = word === undefined ? undefined : degreeNamed(scale, word)
  // "Prime rib done" is ready, and not well done; a plan that says so is taken at its word.
  if (word !== undefined && (degree === undefined || (word === 'done' && degree.id === 'well-done'))) {
    const meaning = seen.get('doneness') as Meaning
    delete roast.doneness
    // A word of another meat: a bird is not rosy, beef not pull-apart.
    asks.push({
      code: 'not_a_word_for_it',
      at: { from: meaning.from, to: meaning.to },
      word: word.replaceAll('-', ' '),
      taken: tenderly ? 'pull-apart' : known.usualDoneness,
      options: scale.degrees.map(({ id }) => ({
        says: id.replaceAll('-', ' '),
        line: replaced(meaning, id.replaceAll('-', ' ')),
      })),
    })
  }
  if (roast.mass_kg !== undefined && (shared === 'said' || (shared && roast.mass_kg > known.mass_kg.most)))
    roast.mass_kg = tenth(roast.mass_kg / count)
  if (roast.mass_kg === undefined && apiece_kg !== undefined) roast.mass_kg = apiece_kg
  // For so many it is no one piece: in as few as it is sold in.
  if (portioned && count === 1 && roast.mass_kg !== undefined) {
    count = piecesFor(roast.mass_kg, known.mass_kg)
    roast.mass_kg = tenth(roast.mass_kg / count)
  }
  if (roast.mass_kg === undefined) {
    const heads = guests === undefined ? undefined : guests / Math.max(1, roasts * count)
    const { taken_kg, pieces, sizes } = weightTaken(known, {
      heads,
      bones,
      standards,
      alone: count === 1 && roasts === 1,
    })
    roast.mass_kg = taken_kg
    count *= pieces
    asks.push({
      code: 'how_heavy',
      cut,
      taken_kg,
      ...(pieces > 1 ? { pieces } : {}),
      options: sizes
        .map(({ kg, pieces: of }) => `${of > 1 ? `${of} x ` : ''}${kgWords(kg)}`)
        .map((words) => ({ says: words, line: several ? replaced(named, `${spelt(named)} ${words}`) : added(words) })),
    })
  }
  const weighing = (mass_kg: number, count: number): SaidRoast => ({
    ...roast,
    cut,
    count,
    mass_kg,
    stages: stages.map(({ per_kg_min, ...stage }) =>
      per_kg_min === undefined ? stage : { ...stage, minutes: Math.round(per_kg_min * mass_kg + (stage.minutes ?? 0)) },
    ),
    tending,
    notes,
    written,
  })
  return kgs?.map((kg) => weighing(kg, 1)) ?? [weighing(roast.mass_kg, count)]
}
