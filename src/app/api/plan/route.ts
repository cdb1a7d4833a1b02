import { scheduleAnswer } from '@/domain/meal/schedule-answer'
import { planHeadless } from '@/server/headless'
import { bodyOf, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request)
  return respond(scheduleAnswer, body.ok ? await planHeadless(body.value) : body)
}
