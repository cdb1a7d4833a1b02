import { estimateAnswer } from '@/domain/cook/estimate-document'
import { compute } from '@/server/compute'
import { BODY } from '@/server/limits'
import { bodyTextOf, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const text = await bodyTextOf(request, BODY.estimate)
  return respond(estimateAnswer, text.ok ? await compute('estimate', text.value, request.signal) : text)
}
