import { STANDARDS } from '@/core/reference/standards'
import type { TaskKind } from '@/core/schedule/task'
import type { CookDocument } from '../cook-document'
import type { CookLog } from '../entry/kind'
import type { CookStep } from '../step'

/** Which steps a cook has: its plan's, those of a cook of an earlier release, and those that came up on the way. */

/** A step with nothing said but what and when. */
const plainStep = (
  kind: TaskKind,
  at: string,
  item: string | null,
  i: number,
  pull_c: number | null = null,
): CookStep => ({
  id: `${kind} ${i + 1}`.slice(0, 20),
  kind,
  what: null,
  item,
  at,
  hands_s: 0,
  window: null,
  act: null,
  set_c: null,
  pull_c,
  source: null,
  stage: null,
  servings: null,
  who: null,
  basis: 'model',
  numbers: {},
})

/** Steps of a cook that an earlier release began: what its roasts say. */
function plainSteps({ items }: CookDocument): CookStep[] {
  const steps = items.flatMap((item, i) => [
    plainStep('put_in', item.put_in, item.id, i),
    ...(item.pull === null
      ? [plainStep('take_off', item.carve, item.id, i)]
      : [plainStep('pull', item.pull, item.id, i, item.pull_c)]),
    plainStep('carve', item.carve, item.id, i),
  ])
  const tables = [...new Set(items.map(({ promise }) => promise))]
  return [...steps, ...tables.map((promise, i) => plainStep('serve', promise, null, i))]
}

/** Stuffing in a dish of its own, so long at a good heat (common practice, five centimetres deep), s. */
const STUFFING_S = 25 * 60

/** What a stuffing asks for that went out into a dish: into the heat, and read in its own middle. */
export const stuffingSteps = (document: CookDocument, log: CookLog): CookStep[] =>
  document.items.flatMap(({ id, title }, i) => {
    const spooned_s = log.items.get(id)?.spooned_s
    if (spooned_s === undefined) return []
    const step = (kind: TaskKind, at_s: number): CookStep => ({
      ...plainStep(kind, new Date(at_s * 1000).toISOString(), null, i),
      id: `stuffing ${kind} ${i + 1}`.slice(0, 20),
      what: `Stuffing of ${title}`.slice(0, 120),
      source: { id: 'oven', name: 'the oven', kind: 'oven' },
      set_c: kind === 'put_in' ? STANDARDS.stuffingOven.value : null,
      pull_c: kind === 'pull' ? STANDARDS.stuffingLeast.value : null,
      basis: 'common_practice',
    })
    return [step('put_in', spooned_s + 120), step('pull', spooned_s + 120 + STUFFING_S)]
  })

/** Kept hot until its table, it goes from its rest into the cabinet. */
export const holdSteps = (document: CookDocument, log: CookLog): CookStep[] =>
  document.items.flatMap(({ id, carve }, i) =>
    log.items.get(id)?.endings.has('hold')
      ? [
          {
            ...plainStep('rest', carve, id, i),
            id: `${HOLD}${i + 1}`,
            set_c: STANDARDS.cabinet.value,
            stage: {
              role: 'rest',
              environment: { kind: 'cabinet', set_c: STANDARDS.cabinet.value },
              cover: 'tent',
              preheated: true,
              position: null,
            },
            basis: 'common_practice',
          },
        ]
      : [],
  )
const HOLD = 'hold '
/** Whether a step is such a one, decided on the way. */
export const isDecidedHold = ({ id }: CookStep): boolean => id.startsWith(HOLD)
/** Whether a step puts a roast into a cabinet, planned or decided. */
export const isHold = ({ kind, stage }: CookStep): boolean => kind === 'rest' && stage?.environment.kind === 'cabinet'

/** Carved straight out of its oven by the clock, and told a reading on the way: it is pulled at that. */
export const readingSteps = (document: CookDocument, log: CookLog): CookStep[] =>
  document.items.flatMap(({ id, carve, pull }, i) => {
    const pull_c = log.items.get(id)?.pull_c
    const isTold = pull_c !== undefined
    return !isTold || planSteps(document).some((step) => step.item === id && COMES_OUT.has(step.kind))
      ? []
      : [{ ...plainStep('pull', pull ?? carve, id, i, pull_c), id: `reading ${i + 1}` }]
  })
const COMES_OUT: ReadonlySet<TaskKind> = new Set(['pull', 'take_off', 'rest'])

/** The steps of a cook's plan, whatever release began it. */
export const planSteps = (document: CookDocument): readonly CookStep[] =>
  document.steps.length > 0 ? document.steps : plainSteps(document)
