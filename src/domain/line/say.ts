import { TZDate } from '@date-fns/tz'
import { findCut, isCured } from '@/core/reference/cuts'
import { degreeNamed, scaleOf } from '@/core/reference/doneness'
import type { TenderEnd } from '@/core/reference/tenderness'
import type { PlanDocument, StagePart } from '../roast/roast-document'
import { isHeight, MOST_OFFSET } from './readers/heat'

/** A plan read back as the line that gives it again, and what no line can say. */
export interface SaidPlan {
  readonly line: string
  /** Parts of the document that stay behind: the kitchen's own, not the sentence's. */
  readonly unsaid: readonly string[]
}

const FROZEN = { fridge: 'frozen', water: 'frozen, thawed in cold water', out: 'frozen, already thawing' } as const
const PREPARED = {
  none: 'unsalted',
  dry_salt: 'salted',
  wet_brine: 'brined',
  marinade: 'marinated',
  acid_marinade: 'acid marinade',
} as const
const SURFACES = { plain: 'plain surface', buttered: 'buttered surface', dry_salted: 'salted surface' } as const

/** "Done" is "well done" in full of what is not simply done: a line that says it alone says no degree. */
function donenessWords(doneness: string, cut: string): string {
  const known = findCut(cut)
  const named = known && doneness === 'done' ? degreeNamed(scaleOf(known), doneness)?.id : undefined
  return (named === 'well-done' ? named : doneness).replaceAll('-', ' ')
}

/** How tender, as a line says it. */
export const TENDER_WORDS: Readonly<Record<TenderEnd, string>> = {
  slices: 'it slices',
  leaves_bone: 'it leaves the bone',
  falls_apart: 'it falls apart',
}

function tendingWords({
  act,
  at_min,
  every_min,
  at_share,
  before_end_min,
  at_core_c,
}: StagePart['tending'][number]): string {
  const when =
    at_share !== undefined
      ? `share ${at_share}`
      : before_end_min !== undefined
        ? `end ${before_end_min}`
        : at_core_c !== undefined
          ? `core ${at_core_c}`
          : at_min
  return `${act} at ${when}${every_min === undefined ? '' : ` every ${every_min}`}`
}

/** A stage in full. */
function stageWords({ environment, cover, preheated, position, foil, surface, until, tending }: StagePart): string {
  const place =
    environment.kind === 'oven' && environment.set_c === null
      ? 'oven off'
      : 'set_c' in environment
        ? `${environment.kind} ${environment.set_c} c`
        : environment.kind
  const end =
    until.kind === 'time'
      ? `for ${until.minutes} min`
      : until.kind === 'pull'
        ? 'to the pull'
        : until.kind === 'core'
          ? `to ${until.core_c} c`
          : until.kind === 'colour'
            ? `to colour ${until.browning_min}`
            : until.kind === 'tender'
              ? `until ${TENDER_WORDS[until.degree]}`
              : `at least ${until.least_min} min`
  return [
    `stage ${place}`,
    preheated ? '' : 'cold',
    cover === 'bare' ? '' : cover,
    position?.replace('_', ' ') ?? '',
    foil ? `foil on ${foil}` : '',
    surface === 'fat' ? 'fat surface' : surface === 'glaze' ? 'glazed surface' : '',
    end,
    ...tending.map(tendingWords),
  ]
    .filter((words) => words !== '')
    .join(' ')
}

/** When they eat, as a line says it in the kitchen's zone; a promise that is not on the minute cannot be said. */
function momentWords(promise: string, timeZone: string): string {
  const at = new TZDate(Date.parse(promise), timeZone)
  const two = (value: number) => String(value).padStart(2, '0')
  return `eat ${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())} ${two(at.getHours())}:${two(at.getMinutes())}`
}

/**
 * The line that a plan reads back as: typed again it gives the same plan.
 *
 * @param timeZone IANA name of the kitchen's time zone
 */
export function sayPlan(document: PlanDocument, timeZone: string): SaidPlan {
  const { roast, oven, program, target, preparation, wishes } = document
  const cut = findCut(roast.cut)
  const unsalted = cut !== undefined && isCured(cut)
  const surface = preparation === 'dry_salt' || (preparation === null && !unsalted) ? 'dry_salted' : 'plain'
  const unsaid: string[] = []
  const cannot = (is: boolean, what: string) => {
    if (is) unsaid.push(what)
  }
  cannot(roast.house !== null, 'the cut’s own values')
  cannot(roast.thin_end !== null, 'the thin end')
  cannot(roast.icy_core_c !== null, 'the icy middle')
  cannot(roast.start_c < 0, 'a start below 0 °C')
  const offset_k = Math.abs(oven.offset_k)
  const saysOffset = offset_k > 0 && offset_k <= MOST_OFFSET
  const saysHeight = isHeight(document.altitude_m)
  cannot(
    (offset_k > 0 && !saysOffset) ||
      oven.swing_k !== undefined ||
      oven.decay_min !== undefined ||
      oven.preheat_k_per_min !== undefined ||
      oven.door_loss !== undefined,
    'what is known of the oven',
  )
  cannot(document.altitude_m !== 0 && !saysHeight, 'the height of the kitchen')
  cannot('stages' in program && program.name !== undefined, 'the name of the program')
  cannot(document.title !== (cut?.name ?? ''), 'its title')
  cannot(document.gravy, 'the gravy')
  cannot(document.price_per_kg !== null, 'its price')
  cannot(/["”“]/.test(document.notes), 'a quotation in the note')
  const heat =
    'school' in program
      ? [
          // Said alone it is an oven that is cold.
          program.school === 'cold-start' ? 'cold start off reheat' : program.school.replaceAll('-', ' '),
          program.set_c === undefined ? '' : `heat ${program.set_c} c`,
          program.hot_c === undefined && program.hot_min === undefined
            ? ''
            : `second heat${program.hot_c === undefined ? '' : ` ${program.hot_c} c`}${program.hot_min === undefined ? '' : ` for ${program.hot_min} min`}`,
          program.rest_min === undefined ? '' : `rest ${program.rest_min} min`,
          program.tender === undefined ? '' : `until ${TENDER_WORDS[program.tender]}`,
        ]
      : program.stages.map(stageWords)
  const parts = [
    roast.cut.replaceAll('-', ' '),
    `${roast.mass_kg} kg`,
    roast.thickness_mm === null ? '' : `${roast.thickness_mm} mm through`,
    roast.start_c === 5 || roast.start_c < 0 ? '' : `from ${roast.start_c} c`,
    `bench ${roast.temper_min} min`,
    preparation === null ? '' : PREPARED[preparation],
    roast.surface === surface ? '' : SURFACES[roast.surface],
    roast.handling === 'as_cut' ? '' : `handling ${roast.handling}`,
    roast.stuffed ? 'stuffed' : '',
    roast.legs === 'open' ? 'legs open' : roast.legs === 'flat' ? 'spatchcocked' : '',
    document.frozen ? FROZEN[document.thaws ?? 'fridge'] : '',
    oven.kind === 'fan' ? 'fan oven' : '',
    saysOffset ? `oven runs ${offset_k} c ${oven.offset_k > 0 ? 'hot' : 'cold'}` : '',
    saysHeight ? `altitude ${document.altitude_m} m` : '',
    ...heat,
    target === undefined
      ? ''
      : 'serve_c' in target
        ? `serve at ${target.serve_c} c`
        : donenessWords(target.doneness, roast.cut),
    document.guests === null ? '' : `for ${document.guests} people`,
    ...Object.entries(wishes).map(([word, count]) => `${count} want ${word.replaceAll('-', ' ')}`),
    document.vulnerable ? 'vulnerable guest' : '',
    document.notes === '' ? '' : `remember “${document.notes}”`,
    momentWords(document.promise, timeZone),
  ]
  return { line: parts.filter((part) => part !== '').join(', '), unsaid }
}
