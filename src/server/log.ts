import pino from 'pino'

/** What the server tells whoever runs it: a line of JSON each, on standard error. Never a secret, never what a query was given. */
export const log = pino(
  { level: process.env.PHEASANT_LOG ?? 'info', base: null, timestamp: pino.stdTimeFunctions.isoTime },
  pino.destination({ fd: 2, sync: false }),
)

/** An error as it may be told: its name, its code and where it was, without the values that were asked with. */
export function problemOf(problem: unknown): Record<string, unknown> {
  if (!(problem instanceof Error)) return { name: typeof problem }
  const { code, cause } = problem as { code?: unknown; cause?: unknown }
  return {
    name: problem.name,
    code: typeof code === 'string' ? code : undefined,
    message: problem.message
      .split('\n')[0]
      ?.replace(/params:.*/s, '')
      .slice(0, 200),
    at: problem.stack
      ?.split('\n')
      .find((line) => line.includes('at '))
      ?.trim(),
    cause: cause === undefined ? undefined : problemOf(cause),
  }
}
