import type { Problem } from '@/domain/problem/problem'
import { problemSentence } from '@/words/problems'
import type { Units } from '@/words/units'

/** The one way a screen asks the server: with a time limit, an answer that is known to be ours, and what went wrong in words. */

export type Answered<Value> =
  | { readonly ok: true; readonly value: Value; readonly status: number }
  | {
      readonly ok: false
      /** undefined: nothing of ours answered. */
      readonly status: number | undefined
      readonly problems: readonly Problem[]
      readonly body: unknown
    }

const LIMIT_MS = 18_000
const SILENT = 'The kitchen does not answer. Nothing is lost; try again when the connection is back.'

/** A body that is JSON text already, such as a file’s: sent as it is. */
export class JsonText {
  constructor(readonly text: string) {}
}

/** Sends a request to the server, with a JSON body where one is given. */
export const send = <Value>(
  address: string,
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  body?: unknown,
  limit_ms = LIMIT_MS,
): Promise<Answered<Value>> =>
  answered(
    address,
    {
      method,
      headers: body === undefined ? {} : { 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: body instanceof JsonText ? body.text : JSON.stringify(body) }),
    },
    limit_ms,
  )

/** Sends a picture as it is, or a part of a file. */
export const sendBytes = <Value>(
  address: string,
  bytes: Blob,
  type = 'application/octet-stream',
): Promise<Answered<Value>> =>
  answered(address, { method: 'POST', headers: { 'content-type': type }, body: bytes }, LIMIT_MS)

async function answered<Value>(address: string, request: RequestInit, limit_ms: number): Promise<Answered<Value>> {
  let response: Response
  try {
    response = await fetch(address, { ...request, signal: AbortSignal.timeout(limit_ms) })
  } catch {
    return { ok: false, status: undefined, problems: [], body: undefined }
  }
  const answer: unknown = await response.json().catch(() => undefined)
  // A gate on the way that answers everything with a page of its own is nobody of ours.
  if (typeof answer !== 'object' || answer === null)
    return { ok: false, status: undefined, problems: [], body: undefined }
  if (response.ok) return { ok: true, value: answer as Value, status: response.status }
  const errors = 'errors' in answer && Array.isArray(answer.errors) ? (answer.errors as Problem[]) : []
  return { ok: false, status: response.status, problems: errors, body: answer }
}

/** Nothing answered, as a problem among others. */
export const SILENT_PROBLEM: Problem = { code: 'malformed', path: [], detail: SILENT }

/** What went wrong, in the reader's words and units. */
export const saidOf = ({ problems: [first] }: { readonly problems: readonly Problem[] }, units: Units): string =>
  first ? problemSentence(first, units) : SILENT
