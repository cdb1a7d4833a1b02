import type { z } from 'zod'
import { estimateAnswer, estimateDocument } from './cook/estimate-document'
import { nextAnswer, nextDocument } from './cook/next-document'
import { mealDocument } from './meal/meal-document'
import { scheduleAnswer } from './meal/schedule-answer'
import { planDocument, simulateAnswer, simulateDocument } from './roast/roast-document'

/**
 * Every document by its name, for `schema NAME` on the command line and over HTTP. A command's own name
 * is what that command takes; with `-answer` behind it, what it answers.
 */
const DOCUMENTS: Readonly<Record<string, z.ZodType>> = {
  simulate: simulateDocument,
  'simulate-answer': simulateAnswer,
  estimate: estimateDocument,
  'estimate-answer': estimateAnswer,
  next: nextDocument,
  'next-answer': nextAnswer,
  plan: mealDocument,
  'plan-answer': scheduleAnswer,
  meal: mealDocument,
  'roast-plan': planDocument,
}

export const DOCUMENT_NAMES = Object.keys(DOCUMENTS)
/**
 * The schema of this name; undefined where there is none.
 * @example documentSchema('constructor') // undefined
 */
export const documentSchema = (name: string | undefined): z.ZodType | undefined =>
  name !== undefined && Object.hasOwn(DOCUMENTS, name) ? DOCUMENTS[name] : undefined
