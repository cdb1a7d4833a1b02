import { z } from 'zod'
import { parseJson, parseWith } from '@/domain/problem/parse'
import type { Outcome, Problem } from '@/domain/problem/problem'

const STATUS: Partial<Record<Problem['code'], number>> = {
  malformed_json: 400,
  malformed: 400,
  not_found: 404,
  stale_version: 409,
}

/** A problem list as a response: its first code decides the status. */
export const refuse = (problems: readonly Problem[]): Response =>
  Response.json({ errors: problems }, { status: STATUS[problems[0]?.code ?? 'malformed'] ?? 422 })

/** An outcome as a response. */
export const respond = <Value>(outcome: Outcome<Value>, status = 200): Response =>
  outcome.ok ? Response.json(outcome.value, { status }) : refuse(outcome.problems)

/** The request's JSON body, or a problem. */
export async function bodyOf(request: Request): Promise<Outcome<unknown>> {
  return parseJson(await request.text())
}

const addition = z.union([z.strictObject({ line: z.string().max(400) }), z.strictObject({ document: z.unknown() })])

/** Adds what a request asks for, from a typed line or from a document: 201 with what was added. */
export async function addBy<Row>(
  request: Request,
  fromLine: (line: string) => Promise<Outcome<Row>>,
  fromDocument: (document: unknown) => Promise<Outcome<Row>>,
): Promise<Response> {
  const body = await bodyOf(request)
  const asked = body.ok ? parseWith(addition, body.value) : body
  if (!asked.ok) return respond(asked)
  return respond(
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
  if (!asked.ok) return respond(asked)
  const { base_version, document } = asked.value
  const saved = await save(base_version, document)
  return saved.ok && saved.value.outcome === 'stale'
    ? refuseStale(base_version, saved.value.current, saved.value.setAside.id)
    : respond(saved)
}

/** A save that came too late: both texts, and where the late one is kept. */
const refuseStale = (
  yours: number,
  current: { readonly version: number; readonly document: unknown },
  setAside: string,
): Response =>
  Response.json(
    {
      errors: [{ code: 'stale_version', path: [], yours, theirs: current.version }],
      current: { version: current.version, document: current.document },
      set_aside: setAside,
    },
    { status: 409 },
  )
