import { logLikelihood } from '@/core/estimate/learning'
import { paceLesson } from '@/core/estimate/lesson'
import { seededRandom } from '@/core/estimate/random'
import { answerRoast } from '@/core/roast/answer'
import { prepareRoast } from '@/core/roast/prepare'
import { learnedFrom, type TaughtItem, withLearned } from '@/domain/learn/learned'
import { questionOf } from '@/domain/roast/question'
import { type PlanDocument, planDocument } from '@/domain/roast/roast-document'
import { KitchenHeat, KitchenRoast } from '@/stand-ins/kitchen/kitchen'

/**
 * Seasons of unlike kitchens: each cooks a dozen roasts in an oven that is off its dial, from a butcher who cuts thick
 * or thin, by other physics than the planner's. Prints, by how many cooks a plan had behind it, how far its time was
 * off and how wide its band was, with what was learned and without; and how well each foretold the next cook.
 *
 * npm run bench:learning -- [first kitchen] [how many] [tilt]
 *
 * With a tilt each oven is off by another amount at another setting, up to so many K for each 100 K; with FLAT=1 the
 * learner is not told how an oven was set, for comparison.
 */

const [first = 301, many = 40, tilt = 0] = process.argv.slice(2).map(Number).filter(Number.isFinite)
const COOKS = 12
const DAY_S = 86_400
const START_S = Date.parse('2025-01-05T12:00:00Z') / 1000
const CUTS = [
  { cut: 'beef-rib-bone-in', kg: [2, 4.5], set_c: [120, 140, 160], serve_c: 56 },
  { cut: 'pork-loin', kg: [1.2, 3], set_c: [150, 160, 180], serve_c: 63 },
  { cut: 'beef-eye-of-round', kg: [0.9, 2.2], set_c: [120, 140, 160], serve_c: 57 },
  { cut: 'beef-tenderloin', kg: [1.3, 2.4], set_c: [140, 160, 190], serve_c: 55 },
] as const
const MEMBERS = 48

interface Row {
  errors: number[]
  plainErrors: number[]
  widths: number[]
  plainWidths: number[]
  inside: number
  plainInside: number
  known: number
  plainKnown: number
  average: number
}
const rows: Row[] = Array.from({ length: COOKS }, () => ({
  errors: [],
  plainErrors: [],
  widths: [],
  plainWidths: [],
  inside: 0,
  plainInside: 0,
  known: 0,
  plainKnown: 0,
  average: 0,
}))

const planOf = (document: PlanDocument) => {
  const asked = questionOf(document, { rest: 'as_said', members: MEMBERS, seed: 5 })
  if (!asked.ok) throw new Error(JSON.stringify(asked.problems))
  return { question: asked.value.question, answer: answerRoast(asked.value.question) }
}

for (let kitchen = first; kitchen < first + many; kitchen++) {
  const random = seededRandom(kitchen * 4409 + 17)
  const offset_k = 9 * (2 * random() - 1)
  const tilts_k = tilt * (2 * seededRandom(kitchen * 31 + 5)() - 1)
  const butcher = 1 + 0.09 * (2 * random() - 1)
  const family = random() < 0.5 ? ('drying' as const) : ('plateau' as const)
  const taught: TaughtItem[] = []
  for (let n = 0; n < COOKS; n++) {
    const kind = CUTS[Math.floor(CUTS.length * random())] as (typeof CUTS)[number]
    const mass_kg = Math.round(10 * (kind.kg[0] + (kind.kg[1] - kind.kg[0]) * random())) / 10
    const at_s = START_S + n * 25 * DAY_S
    const plain = planDocument.parse({
      roast: { cut: kind.cut, mass_kg, surface: 'dry_salted', supplier: 'the butcher' },
      program: { school: 'steady', set_c: kind.set_c[Math.floor(3 * random())] },
      target: { serve_c: kind.serve_c },
      promise: new Date((at_s + DAY_S) * 1000).toISOString(),
    })
    const { document } = withLearned(
      plain,
      learnedFrom(taught, (cut) => cut, at_s),
    )
    const [told, without] = [planOf(document), planOf(plain)]
    const pull_c = told.answer.pull_c
    const piece = new KitchenRoast({
      seed: kitchen * 100 + n,
      thickness_m: without.answer.prepared.thickness_m * butcher * (1 + 0.03 * (2 * random() - 1)),
      shape: 2,
      start_c: 5,
      family,
    })
    const set_c = 'set_c' in plain.program ? (plain.program.set_c ?? 160) : 160
    const oven = new KitchenHeat(offset_k + (tilts_k * (set_c - 150)) / 100)
    oven.set(set_c)
    for (let i = 0; i < 1800; i += 15) oven.advance(15)
    piece.put(oven)
    let took_s = 0
    while (piece.core_c < pull_c && took_s < 16 * 3600) {
      oven.advance(15)
      piece.advance(15)
      took_s += 15
    }
    const row = rows[n] as Row
    const weigh = ({ answer }: typeof told) => {
      const { p10, p50, p90 } = answer.ensemble.pull_s
      // The same reading for both: the plain plan's time to the learned plan's pull is near enough its own.
      const off = Math.log(took_s / answer.run.pull_s)
      const deviation = Math.log(p90 / p10) / 2.56
      return {
        off,
        width: (p90 - p10) / p50,
        inside: took_s >= p10 && took_s <= p90,
        known: logLikelihood(off, 0, deviation),
      }
    }
    const [own, other] = [weigh(told), weigh(without)]
    row.errors.push(Math.abs(own.off))
    row.plainErrors.push(Math.abs(other.off))
    row.widths.push(own.width)
    row.plainWidths.push(other.width)
    row.inside += own.inside ? 1 : 0
    row.plainInside += other.inside ? 1 : 0
    row.known += own.known
    row.plainKnown += other.known
    const past = taught.flatMap((each) => each.taught?.longer ?? [])
    const mean = past.length > 0 ? past.reduce((sum, each) => sum + each, 0) / past.length : 0
    row.average += logLikelihood(other.off - mean, 0, past.length > 0 ? 0.09 : 0.125)
    const prepared = prepareRoast(without.question)
    const lesson = paceLesson(
      {
        ...prepared,
        program: without.question.program,
        pull_c: [pull_c],
        readings: [],
        now_s: took_s,
        measured: false,
        members: 1,
        seed: 1,
      },
      prepared.bodies.map(() => pull_c),
      took_s,
    )
    taught.push({
      served: new Date(at_s * 1000).toISOString(),
      cut: kind.cut,
      supplier: 'the butcher',
      oven: 'the oven',
      taught: lesson
        ? {
            ...lesson,
            air_k: null,
            told_k: 0,
            told_thicker: 0,
            measured: false,
            set_c: process.env.FLAT ? null : set_c,
          }
        : null,
    })
  }
}

const median = (of: readonly number[]) => of.toSorted((a, b) => a - b)[Math.floor(of.length / 2)] ?? 0
const mean = (of: readonly number[]) => of.reduce((sum, each) => sum + each, 0) / of.length
const percent = (share: number) => `${(100 * share).toFixed(1)} %`.padStart(7)
console.log(`Learning, kitchens ${first} to ${first + many - 1}: time to the pull, with what was learned (without)`)
console.log(
  'cooks before   median off        mean off          band             in the band    log likelihood (without; mean of past)',
)
rows.forEach((row, n) => {
  console.log(
    `${String(n).padStart(6)}      ${percent(median(row.errors))} (${percent(median(row.plainErrors))}) ${percent(mean(row.errors))} (${percent(mean(row.plainErrors))}) ${percent(mean(row.widths))} (${percent(mean(row.plainWidths))}) ${percent(row.inside / many)} (${percent(row.plainInside / many)})  ${(row.known / many).toFixed(2)} (${(row.plainKnown / many).toFixed(2)}; ${(row.average / many).toFixed(2)})`,
  )
})
const late = rows.slice(4)
const all = (of: (row: Row) => readonly number[]) => mean(late.flatMap(of))
console.log(
  `From the fifth cook on: ${percent(all((row) => row.errors))} off with, ${percent(all((row) => row.plainErrors))} without; band ${percent(all((row) => row.widths))} and ${percent(all((row) => row.plainWidths))}. Worse than without on average at: ${rows.flatMap((row, n) => (mean(row.errors) > mean(row.plainErrors) + 1e-9 ? [n] : [])).join(', ') || 'none'}`,
)
