import { z } from 'zod'
import { LONGEST_LINE } from '@/domain/line/tokens'
import { jsonShape, parseJson, parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, type Problem, succeed } from '@/domain/problem/problem'
import { text, versionNumber } from '@/domain/schema/scalars'
import { BODY, type BodyLimit, RETRY_AFTER_S } from '@/server/limits'
import { archivedAnswer, savedAnswer, staleAnswer } from '@/server/wire/answers'

const STATUS: Partial<Record<Problem['code'], number>> = {
  malformed_json: 400,
  malformed: 400,
  not_signed_in: 401,
  not_allowed: 403,
  not_found: 404,
  too_often: 429,
  unreadable: 410,
  stale_version: 409,
  id_reused: 409,
  too_large: 413,
  too_deep: 400,
  too_many: 413,
  out_of_time: 503,
  too_busy: 503,
  unavailable: 503,
}

const retryAfter = (first: Problem | undefined, status: number): Record<string, string> =>
  first?.code === 'too_often'
    ? { 'retry-after': String(Math.max(1, Math.ceil(first.retry_s))) }
    : status === 503
      ? { 'retry-after': String(RETRY_AFTER_S) }
      : {}

/** A problem list as a response: its first code decides the status; one that may go over says when to try again. */
export function refuse(problems: readonly Problem[], status?: number): Response {
  const decided = status ?? STATUS[problems[0]?.code ?? 'malformed'] ?? 422
  return Response.json({ errors: problems }, { status: decided, headers: retryAfter(problems[0], decided) })
}

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

/** The request's body, read no further than its route's limit. */
export async function bytesOf(request: Request, { bytes }: BodyLimit): Promise<Outcome<Buffer>> {
  const tooLarge = fail({ code: 'too_large', path: [], most_bytes: bytes })
  if (Number(request.headers.get('content-length') ?? 0) > bytes) return tooLarge
  if (!request.body) return succeed(Buffer.alloc(0))
  const reader = request.body.getReader()
  const parts: Uint8Array[] = []
  let length = 0
  for (;;) {
    const { done, value } = await reader.read()
    if (done) break
    length += value.byteLength
    if (length > bytes) {
      await reader.cancel().catch(() => {})
      return tooLarge
    }
    parts.push(value)
  }
  return succeed(Buffer.concat(parts))
}

/** The text of the request's JSON body, no larger, deeper or longer than its route takes. */
export async function bodyTextOf(request: Request, limit: BodyLimit): Promise<Outcome<string>> {
  const read = await bytesOf(request, limit)
  if (!read.ok) return read
  const text = new TextDecoder().decode(read.value)
  const { depth, items } = jsonShape(text)
  if (depth > limit.depth) return fail({ code: 'too_deep', path: [], most: limit.depth })
  if (items > limit.items) return fail({ code: 'too_many', path: [], most: limit.items })
  return succeed(text)
}

/** The request's JSON body, or a problem. */
export async function bodyOf(request: Request, limit: BodyLimit): Promise<Outcome<unknown>> {
  const text = await bodyTextOf(request, limit)
  return text.ok ? parseJson(text.value) : text
}

const addition = z.union([z.strictObject({ line: text(LONGEST_LINE) }), z.strictObject({ document: z.unknown() })])

/** Adds what a request asks for, from a typed line or from a document: 201 with what was added. */
export async function addBy<Schema extends z.ZodType>(
  request: Request,
  limit: BodyLimit,
  schema: Schema,
  fromLine: (line: string) => Promise<Outcome<GivenTo<Schema>>>,
  fromDocument: (document: unknown) => Promise<Outcome<GivenTo<Schema>>>,
): Promise<Response> {
  const body = await bodyOf(request, limit)
  const asked = body.ok ? parseWith(addition, body.value) : body
  if (!asked.ok) return refuse(asked.problems)
  return respond(
    schema,
    'line' in asked.value ? await fromLine(asked.value.line) : await fromDocument(asked.value.document),
    201,
  )
}

const change = z.strictObject({ base_version: versionNumber, document: z.unknown() })

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
  limit: BodyLimit,
  save: (base_version: number, document: unknown) => Promise<Outcome<Saved>>,
): Promise<Response> {
  const body = await bodyOf(request, limit)
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

const pageQuery = z.object({
  limit: z.coerce.number().int().min(1).max(200).default(100),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
  archived: z.enum(['yes', 'no']).default('no'),
})

/** The part of a list that a request asks for. */
export function pageOf(request: Request): Outcome<{ limit: number; offset: number; archived: boolean }> {
  const asked = parseWith(pageQuery, Object.fromEntries(new URL(request.url).searchParams))
  return asked.ok ? succeed({ ...asked.value, archived: asked.value.archived === 'yes' }) : asked
}

const putAway = z.strictObject({ archived: z.boolean() })

/** Puts away what a request names, or takes it out again. */
export async function archiveBy(
  request: Request,
  archive: (away: boolean) => Promise<Outcome<{ archived: boolean }>>,
): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  const asked = body.ok ? parseWith(putAway, body.value) : body
  return respond(archivedAnswer, asked.ok ? await archive(asked.value.archived) : asked)
}
