import type { Task } from '@/core/schedule/task'
import { epochSeconds } from '@/core/units'
import type { CookDocument } from '@/domain/cook/cook-document'
import { type CookStep, stageOfStep } from '@/domain/cook/step'
import { cutOf } from '@/domain/roast/resolve'
import { type TaskScene, taskHelp, taskTitle } from './tasks'
import type { Units } from './units'

/** The steps of a cook in words: the same as its plan's tasks. */

const taskOf = (step: CookStep, pull_c: number | undefined): Task => ({
  kind: step.kind,
  at: epochSeconds(Date.parse(step.at) / 1000),
  hands_s: step.hands_s,
  because: { basis: step.basis, numbers: step.numbers },
  stage: stageOfStep(step),
  act: step.act ?? undefined,
  set_c: step.set_c ?? undefined,
  pull_c: pull_c ?? step.pull_c ?? undefined,
  item: step.item === null && step.what === null ? undefined : 0,
})

/** What stands around a step of a cook; of several roasts it says which. */
function sceneOf(step: CookStep, document: CookDocument): TaskScene {
  const roast = document.items.find(({ id }) => id === step.item)
  const many = document.items.length + document.sides.length > 1
  return {
    cut: roast && cutOf(roast.roast),
    title: step.what ?? (many ? itemTitle(document, step.item) : undefined),
    source: step.source ?? undefined,
    servings: step.servings || undefined,
  }
}

/**
 * The title of a roast or side of a cook.
 * @example itemTitle({ items: [], sides: [] }, 'x') // undefined
 */
export const itemTitle = (
  { items, sides }: Pick<CookDocument, 'items' | 'sides'>,
  id: string | null,
): string | undefined => [...items, ...sides].find((each) => each.id === id)?.title

/** What to do, with the roast's reading as it now stands. */
export const stepTitle = (step: CookStep, document: CookDocument, units: Units, pull_c?: number): string =>
  taskTitle(taskOf(step, pull_c), sceneOf(step, document), units)
export const stepHelp = (step: CookStep, document: CookDocument, units: Units): string | undefined =>
  taskHelp(taskOf(step, undefined), sceneOf(step, document), units)
