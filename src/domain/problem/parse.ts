import type { z } from 'zod'
import { fail, type Outcome, type Problem, succeed } from './problem'

/** Parses a value by a schema; what does not fit comes back as problems with their paths. */
export function parseWith<Schema extends z.ZodType>(schema: Schema, value: unknown): Outcome<z.output<Schema>> {
  const parsed = schema.safeParse(value)
  if (parsed.success) return succeed(parsed.data)
  return fail(
    ...parsed.error.issues.map(
      (issue): Problem => ({
        code: 'malformed',
        path: issue.path.filter((key): key is string | number => typeof key !== 'symbol'),
        detail: issue.message,
      }),
    ),
  )
}

/**
 * Parses JSON text; a syntax error is a problem at the root.
 * @example parseJson('{}').ok // true
 */
export function parseJson(text: string): Outcome<unknown> {
  try {
    return succeed(JSON.parse(text) as unknown)
  } catch (error) {
    return fail({ code: 'malformed_json', path: [], detail: error instanceof Error ? error.message : String(error) })
  }
}
