import { simulateAnswer } from '@/domain/roast/roast-document'
import { compute } from '@/server/compute'
import { BODY } from '@/server/limits'
import { bodyTextOf, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const text = await bodyTextOf(request, BODY.simulate)
  return respond(simulateAnswer, text.ok ? await compute('simulate', text.value, request.signal) : text)
}
