import { scheduleAnswer } from '@/domain/meal/schedule-answer'
import { mayCompute } from '@/server/access/computing'
import { compute } from '@/server/compute'
import { BODY } from '@/server/limits'
import { bodyTextOf, refuse, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const asker = await mayCompute()
  if (!asker.ok) return refuse(asker.problems)
  const text = await bodyTextOf(request, BODY.meal)
  return respond(scheduleAnswer, text.ok ? await compute('schedule', text.value, request.signal) : text)
}
