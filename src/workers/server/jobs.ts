import { z } from 'zod'
import type { Plan } from '@/core/schedule/plan'
import { type Accuracy, accuracy as accuracyOf } from '@/domain/accuracy/accuracy'
import { cookFromMeal, cookFromPlan } from '@/domain/cook/begin'
import type { CookDocument } from '@/domain/cook/cook-document'
import { type EstimateAnswer, estimateDocument, estimateFrom } from '@/domain/cook/estimate-document'
import { fitted } from '@/domain/meal/fitted'
import { type MealPlan, makeMeal } from '@/domain/meal/make-meal'
import { type MealDocument, mealDocument } from '@/domain/meal/meal-document'
import type { ScheduleAnswer } from '@/domain/meal/schedule-answer'
import { makePlan } from '@/domain/plan/make-plan'
import { type PlanSummary, summaryOf } from '@/domain/plan/summary'
import { parseJson, parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { type PlanDocument, planDocument, type SimulateAnswer, simulateDocument } from '@/domain/roast/roast-document'
import { simulate as simulateRoast } from '@/domain/roast/simulate'
import { scheduleOf } from './schedule'
import { type StoryAsked, type StoryTold, tellStory } from './story'

/**
 * Everything the server computes at length, each a job that crosses to a thread and back as plain data.
 * The headless ones take the text of a document: reading it is part of the work.
 */

function fromJson<Schema extends z.ZodType, Answer>(
  schema: Schema,
  json: Outcome<unknown>,
  work: (document: z.output<Schema>) => Answer,
) {
  if (!json.ok) return json
  const document = parseWith(schema, json.value)
  return document.ok ? work(document.value) : document
}

const planLike = z.object({ promise: z.string(), roast: z.unknown() })
/** Whether it is a plan of one roast, or is meant to be. */
const isPlan = (json: Outcome<unknown>): boolean => json.ok && planLike.safeParse(json.value).success

/** Of a plan what is simulated: all but its table, its days before and its notes. */
const simulatePlan = ({ roast, oven, program, target, altitude_m, vulnerable }: PlanDocument) =>
  simulateRoast(simulateDocument.parse({ roast, oven, program, target, altitude_m, vulnerable }))

/** Simulates a roast: by a document of its own, or by the plan that it stands in. */
export function simulate(text: string): Outcome<SimulateAnswer> {
  const json = parseJson(text)
  return isPlan(json) ? fromJson(planDocument, json, simulatePlan) : fromJson(simulateDocument, json, simulateRoast)
}
export const estimate = (text: string): Outcome<EstimateAnswer> =>
  fromJson(estimateDocument, parseJson(text), estimateFrom)
export async function schedule(text: string): Promise<Outcome<ScheduleAnswer>> {
  const json = parseJson(text)
  if (!isPlan(json)) return fromJson(mealDocument, json, scheduleOf)
  return fail({
    code: 'malformed',
    path: [],
    detail:
      'this is a plan of one roast: simulate and next take it; plan takes a meal, with kitchen, servings and roasts',
  })
}

interface Asked<Document> {
  readonly document: Document
  readonly now_s: number
}

/** One roast planned: the plan alone, for what it was resolved to holds functions and cannot travel. */
export function plan({ document, now_s }: Asked<PlanDocument>): Outcome<Plan> {
  const made = makePlan(document, now_s)
  return made.ok ? { ok: true, value: made.value.plan } : made
}

/** One roast as a list shows it. */
export function summary({ document, now_s }: Asked<PlanDocument>): Outcome<PlanSummary> {
  const made = makePlan(document, now_s)
  return made.ok ? { ok: true, value: summaryOf(made.value.plan) } : made
}

/** The model beside what is published: the same for everyone until the model is another. */
export const accuracy = (): Outcome<Accuracy> => ({ ok: true, value: accuracyOf() })

/** A meal of a line, its open heats such that more of it finds its place. */
export const fit = (document: MealDocument): Outcome<MealDocument> => succeed(fitted(document))

/** A whole meal by the schedule it keeps, or a quick one. */
export const meal = (document: MealDocument): Outcome<MealPlan> => makeMeal(document, undefined, 0)

export const beginPlan = ({
  document,
  now_s,
  speed,
}: Asked<PlanDocument> & { readonly speed: number }): Outcome<CookDocument> => cookFromPlan(document, now_s, speed)

export function beginMeal({
  document,
  now_s,
  speed,
}: Asked<MealDocument> & { readonly speed: number }): Outcome<CookDocument> {
  const made = makeMeal(document, undefined, 0)
  return made.ok ? cookFromMeal(document, made.value, now_s, speed) : made
}

/** A cook that is over, as the logbook keeps it. */
export const story = (asked: StoryAsked): Outcome<StoryTold> => tellStory(asked)
