import { z } from 'zod'
import { parseJson, parseWith } from '@/domain/problem/parse'
import type { Outcome, Problem } from '@/domain/problem/problem'
import { savedAnswer, staleAnswer } from '@/server/wire/answers'

const STATUS: Partial<Record<Problem['code'], number>> = {
  malformed_json: 400,
  malformed: 400,
  not_found: 404,
  unreadable: 410,
  stale_version: 409,
}

/** A problem list as a response: its first code decides the status. */
export const refuse = (problems: readonly Problem[], status?: number): Response =>
  Response.json({ errors: problems }, { status: status ?? STATUS[problems[0]?.code ?? 'malformed'] ?? 422 })

/** What an answer is made from: as its schema takes it, and not to be changed. */
type Given<T> = T extends Date
  ? T
  : T extends readonly (infer Item)[]
    ? readonly Given<Item>[]
    : T extends object
      ? { readonly [Key in keyof T]: Given<T[Key]> }
      : T
export type GivenTo<Schema extends z.ZodType> = Given<z.input<Schema>>

/** A value as a response, by the schema of its answer: what that does not name stays inside. */
export const answer = <Schema extends z.ZodType>(schema: Schema, value: GivenTo<Schema>, status = 200): Response =>
  Response.json(schema.parse(value), { status })

/** An outcome as a response, by the schema of its answer. */
export const respond = <Schema extends z.ZodType>(
  schema: Schema,
  outcome: Outcome<GivenTo<Schema>>,
  status = 200,
): Response => (outcome.ok ? answer(schema, outcome.value, status) : refuse(outcome.problems))

/** The request's JSON body, or a problem. */
export async function bodyOf(request: Request): Promise<Outcome<unknown>> {
  return parseJson(await request.text())
}

const addition = z.union([z.strictObject({ line: z.string().max(400) }), z.strictObject({ document: z.unknown() })])

/** Adds what a request asks for, from a typed line or from a document: 201 with what was added. */
export async function addBy<Schema extends z.ZodType>(
  request: Request,
  schema: Schema,
  fromLine: (line: string) => Promise<Outcome<GivenTo<Schema>>>,
  fromDocument: (document: unknown) => Promise<Outcome<GivenTo<Schema>>>,
): Promise<Response> {
  const body = await bodyOf(request)
  const asked = body.ok ? parseWith(addition, body.value) : body
  if (!asked.ok) return refuse(asked.problems)
  return respond(
    schema,
    'line' in asked.value ? await fromLine(asked.value.line) : await fromDocument(asked.value.document),
    201,
  )
}

const change = z.strictObject({ base_version: z.int().min(1), document: z.unknown() })

type Saved =
  | { readonly outcome: 'saved'; readonly version: number }
  | {
      readonly outcome: 'stale'
      readonly current: { readonly version: number; readonly document: unknown }
      readonly setAside: { readonly id: string }
    }

/** Saves a changed document over the version it started from; a late save is refused with both texts. */
export async function saveBy(
  request: Request,
  save: (base_version: number, document: unknown) => Promise<Outcome<Saved>>,
): Promise<Response> {
  const body = await bodyOf(request)
  const asked = body.ok ? parseWith(change, body.value) : body
  if (!asked.ok) return refuse(asked.problems)
  const { base_version, document } = asked.value
  const saved = await save(base_version, document)
  if (!saved.ok) return refuse(saved.problems)
  return saved.value.outcome === 'stale'
    ? refuseStale(base_version, saved.value.current, saved.value.setAside.id)
    : answer(savedAnswer, saved.value)
}

/** A save that came too late: both texts, and where the late one is kept. */
const refuseStale = (
  yours: number,
  current: { readonly version: number; readonly document: unknown },
  setAside: string,
): Response =>
  answer(
    staleAnswer,
    { errors: [{ code: 'stale_version', path: [], yours, theirs: current.version }], current, set_aside: setAside },
    409,
  )
