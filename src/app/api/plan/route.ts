import { scheduleAnswer } from '@/domain/meal/schedule-answer'
import { compute } from '@/server/compute'
import { BODY } from '@/server/limits'
import { bodyTextOf, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const text = await bodyTextOf(request, BODY.meal)
  return respond(scheduleAnswer, text.ok ? await compute('schedule', text.value, request.signal) : text)
}
