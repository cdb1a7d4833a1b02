import { fail, succeed } from '@/domain/problem/problem'
import { databaseIsAway } from '@/server/availability'
import { RETRY_AFTER_S } from '@/server/limits'
import { readyAnswer } from '@/server/wire/answers'
import { respond } from '../respond'

export const dynamic = 'force-dynamic'

/** Whether the application can work: it lives, and its database answers. */
export const GET = (): Response =>
  respond(
    readyAnswer,
    databaseIsAway()
      ? fail({ code: 'unavailable', path: [], retry_s: RETRY_AFTER_S })
      : succeed({ ready: true as const }),
  )
