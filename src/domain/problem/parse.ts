import type { z } from 'zod'
import { fail, type Outcome, type Problem, succeed } from './problem'

/** More than so many are not told of: the first ones say what is wrong. */
const MOST_TOLD = 20
/** A message may repeat what it was given: so much of it is enough. */
const MOST_DETAIL = 300

/** Parses a value by a schema; what does not fit comes back as problems with their paths. */
export function parseWith<Schema extends z.ZodType>(schema: Schema, value: unknown): Outcome<z.output<Schema>> {
  const parsed = schema.safeParse(value)
  if (parsed.success) return succeed(parsed.data)
  return fail(
    ...parsed.error.issues.slice(0, MOST_TOLD).map(
      (issue): Problem => ({
        code: 'malformed',
        path: issue.path.filter((key): key is string | number => typeof key !== 'symbol'),
        detail: issue.message.slice(0, MOST_DETAIL),
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
    return fail({
      code: 'malformed_json',
      path: [],
      detail: (error instanceof Error ? error.message : String(error)).slice(0, MOST_DETAIL),
    })
  }
}

/** How deep its parts lie in each other, and the longest of its lists. */
export interface JsonShape {
  readonly depth: number
  readonly items: number
}

/**
 * The shape of a JSON text, without building anything of it: one pass over its characters.
 * @example jsonShape('{"a":[1,2,3]}') // { depth: 2, items: 3 }
 */
export function jsonShape(text: string): JsonShape {
  const counts: number[] = []
  let depth = 0
  let items = 0
  let inString = false
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (inString) {
      if (code === BACKSLASH) i++
      else if (code === QUOTE) inString = false
    } else if (code === QUOTE) inString = true
    else if (code === OPEN_LIST || code === OPEN_OBJECT) {
      counts.push(1)
      depth = Math.max(depth, counts.length)
    } else if (code === CLOSE_LIST || code === CLOSE_OBJECT) counts.pop()
    else if (code === COMMA && counts.length > 0) {
      const count = (counts.at(-1) as number) + 1
      counts[counts.length - 1] = count
      items = Math.max(items, count)
    }
  }
  return { depth, items }
}
const [QUOTE, BACKSLASH, COMMA] = [34, 92, 44]
const [OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [91, 93, 123, 125]
