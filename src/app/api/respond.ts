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

const change = z.strictObject({ base_version: z.int().min(1), document: z.unknown() })

/** A save: the document, and the version it started from. */
export const readChange = (body: Outcome<unknown>): Outcome<z.output<typeof change>> =>
  body.ok ? parseWith(change, body.value) : body

/** A save that came too late: both texts, and where the late one is kept. */
export const refuseStale = (
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
