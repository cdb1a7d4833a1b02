import type { Instrumentation } from 'next'

export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === 'nodejs') (await import('./instrumentation-node')).start()
}

/** What failed while a request was answered, by the request's id and without what was asked. */
export const onRequestError: Instrumentation.onRequestError = async (problem, request, context) => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { log, problemOf } = await import('./server/log')
  log.error(
    {
      id: request.headers['x-request-id'],
      method: request.method,
      route: context.routePath,
      problem: problemOf(problem),
    },
    'a request failed',
  )
}
