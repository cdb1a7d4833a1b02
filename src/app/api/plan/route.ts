import { planHeadless } from '@/server/headless'
import { headlessAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request)
  return respond(headlessAnswer, body.ok ? await planHeadless(body.value) : body)
}
