import { findSchool, type GivenSettings, programOf, type School, settingsOf } from '@/core/program/schools'
import type { Cut } from '@/core/reference/cuts'
import { degreeNamed, donenessScale } from '@/core/reference/doneness'
import { BASTE_MIN } from '../house/ways'
import type { SaidRoast } from '../line/reading'
import type { ProgramPart, StagePart } from '../roast/roast-document'
import { mainStage, stagesOf, withRoles } from '../roast/stages'
import { heldNumber } from '../schema/scalars'
import { MOST_STAGES, restPart } from './said-stretches'

/** What a line says is done to a roast while it cooks and after, in the stages of its program. */

/** A school's own way written out, for what no school's settings can say. */
export function writtenOut(school: School, roast: SaidRoast, cut: Cut): StagePart[] {
  const { set_c, second_c: hot_c, second_min: hot_min, rest_min } = roast
  return asSet(school, { set_c, hot_c, hot_min, rest_min }, roast, cut)
}
function asSet(school: School, set: GivenSettings, roast: SaidRoast, cut: Cut): StagePart[] {
  const { serve_c, doneness } = roast
  const degree = doneness === undefined ? undefined : degreeNamed(donenessScale(cut.doneness), doneness)
  const settings = settingsOf(school, set, cut, serve_c ?? degree?.serve_c)
  return stagesOf(programOf(school, settings, cut, roast.mass_kg))
}

/** What is done to the main stretch of heat: its cover, its end, its tending. */
export function withCare(program: ProgramPart, roast: SaidRoast, cut: Cut): ProgramPart {
  const { cover, pull_c, tender } = roast
  const tending = roast.tending.filter((each) => wrapCore(each) === undefined)
  const wrapped_c = roast.tending.map(wrapCore).find((core_c) => core_c !== undefined)
  const tended = tending.flatMap(tendedAs)
  // What comes off at the end was on before.
  const covered =
    cover ??
    (tended.some(({ act }) => act === 'uncover') && !tended.some(({ act }) => act === 'cover')
      ? ('foil' as const)
      : undefined)
  const foiled = covered !== undefined && covered !== 'bare'
  const tenderly = tender !== undefined && !('school' in program && findSchool(program.school)?.untilTender)
  if (!foiled && pull_c === undefined && tended.length === 0 && !tenderly && wrapped_c === undefined) return program
  const stages = 'stages' in program ? program.stages : asSet(findSchool(program.school) as School, program, roast, cut)
  const main = mainStage(stages)
  const long = longestOf(stages, main)
  const whileItCooks = tended.filter((each) => long !== main && !ofTheEnd(each))
  const before_min = stages
    .slice(0, main)
    .reduce((sum, { until }) => sum + (until.kind === 'time' ? until.minutes : 0), 0)
  const asMain = tended.filter((each) => !whileItCooks.includes(each)).map((each) => sinceBefore(each, before_min))
  // "190 for 40 minutes then 160, covered after two hours": until then it is open, whatever its school does.
  const open = asMain.some(({ act, at_min }) => act === 'cover' && at_min > 0)
  const endOf = (until: StagePart['until']): StagePart['until'] =>
    tenderly
      ? { kind: 'tender', degree: tender }
      : pull_c === undefined
        ? until
        : { kind: 'core', core_c: heldNumber(pull_c) }
  return {
    ...('stages' in program ? program : {}),
    stages: stages
      .flatMap((stage, i) => {
        if (i !== main) return [i === long && whileItCooks.length > 0 ? tendedToo(stage, whileItCooks) : stage]
        const cooked: StagePart = {
          ...stage,
          cover: foiled ? covered : open ? 'bare' : stage.cover,
          until: endOf(stage.until),
        }
        const cared = tendedToo(cooked, asMain)
        return wrapped_c === undefined ? [cared] : wrappedAt(cared, wrapped_c)
      })
      .slice(0, MOST_STAGES),
  }
}

/** A stage with more that is done in it: what is said takes the place of what a school does of the same kind by itself. */
const tendedToo = (stage: StagePart, more: StagePart['tending']): StagePart => ({
  ...stage,
  tending: [...stage.tending.filter(({ act }) => !more.some((each) => each.act === act)), ...more].slice(
    0,
    MOST_TENDED,
  ),
})

/** What is done so long after it went in, as its stage counts: from where the stage begins. */
const sinceBefore = (tending: StagePart['tending'][number], before_min: number): StagePart['tending'][number] =>
  tending.every_min === undefined && tending.at_min > before_min
    ? { ...tending, at_min: tending.at_min - before_min }
    : tending

/** Whether something is done towards the end or at a reading, and so in the last stretch of heat. */
const ofTheEnd = ({ before_end_min, at_core_c }: StagePart['tending'][number]): boolean =>
  before_end_min !== undefined || at_core_c !== undefined

/** "Three hours at 150, turned every hour, then a quarter at 200": the longest, where every stretch goes by the clock. */
function longestOf(stages: readonly StagePart[], main: number): number {
  const minutesOf = (stage: StagePart | undefined): number =>
    stage?.role === 'cook' && stage.until.kind === 'time' ? stage.until.minutes : Number.NaN
  const cooked = stages.map(minutesOf)
  return stages.reduce((long, _, i) => ((cooked[i] as number) > (cooked[long] as number) ? i : long), main)
}

/** The reading at which it was said to be wrapped tight, °C. */
function wrapCore({ sealed, moments }: SaidRoast['tending'][number]): number | undefined {
  const [moment] = moments ?? []
  return sealed && moment && 'core' in moment ? heldNumber(moment.core.value) : undefined
}

/** One stretch of heat as two: bare to a reading, and on in foil. What is done by the hour goes on, wrapped or not. */
const wrappedAt = (stage: StagePart, core_c: number): StagePart[] => [
  { ...stage, until: { kind: 'core', core_c } },
  {
    ...stage,
    cover: 'foil',
    preheated: true,
    tending: stage.tending.filter(({ act, every_min }) => act === 'coals' && every_min !== undefined),
  },
]

/** What is kept warm at the end, as cook and hold does it. */
export function withHold(program: ProgramPart, { hold_c, hold_min }: SaidRoast, cut: Cut): ProgramPart {
  if (hold_c === undefined || !('stages' in program)) return program
  const { hot_min } = (findSchool('cook-and-hold') as School).usual(cut)
  const held: StagePart = {
    ...restPart(hold_min ?? hot_min),
    environment: { kind: 'cabinet', set_c: heldNumber(hold_c) },
    preheated: true,
  }
  return { ...program, stages: withRoles([...program.stages, held]).slice(-MOST_STAGES) }
}

/** A stage holds no more. */
const MOST_TENDED = 12
/** Glazed with sugar in the last third, twice, or it burns (common practice). */
const GLAZES = [0.7, 0.85]

/** Something done while it cooks, as a stage holds it. */
function tendedAs({ act, times, every_min, moments }: SaidRoast['tending'][number]): StagePart['tending'] {
  const at = (more: Partial<StagePart['tending'][number]>) => ({ act, at_min: 0, ...more })
  const [only, ...others] = moments ?? []
  // Twice in the last half hour: at its beginning, and half-way through it.
  if (only && others.length === 0 && 'before_end_min' in only && times !== undefined && times > 1)
    return Array.from({ length: Math.min(MOST_TENDED, times) }, (_, i) =>
      at({ before_end_min: heldNumber((only.before_end_min * (times - i)) / times) }),
    )
  if (moments)
    return moments.map((moment) =>
      'core' in moment
        ? at({ at_core_c: heldNumber(moment.core.value) })
        : 'before_end_min' in moment
          ? at({ before_end_min: heldNumber(moment.before_end_min) })
          : 'at_min' in moment
            ? at({ at_min: heldNumber(moment.at_min) })
            : at({ at_share: moment.share }),
    )
  if (every_min !== undefined) return [at({ at_min: heldNumber(every_min), every_min: heldNumber(every_min) })]
  if (act === 'glaze') return (times === 1 ? [0.75] : GLAZES).map((at_share) => at({ at_share }))
  if (times === undefined && act === 'baste') return [at({ at_min: BASTE_MIN, every_min: BASTE_MIN })]
  const count = Math.min(MOST_TENDED, times ?? 1)
  return Array.from({ length: count }, (_, i) => at({ at_share: Math.round((100 * (i + 1)) / (count + 1)) / 100 }))
}
