import { succeed } from '@/domain/problem/problem'
import { withDatabase } from '@/server/kitchen'
import { readyAnswer } from '@/server/wire/answers'
import { respond } from '../respond'

export const dynamic = 'force-dynamic'

/** Whether the application can work: it lives, and its database answers. */
export const GET = async (): Promise<Response> =>
  respond(readyAnswer, await withDatabase(async () => succeed({ ready: true as const })))
