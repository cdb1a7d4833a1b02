import { simulateAnswer } from '@/domain/roast/roast-document'
import { mayCompute } from '@/server/access/computing'
import { compute } from '@/server/compute'
import { BODY } from '@/server/limits'
import { bodyTextOf, refuse, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const asker = await mayCompute()
  if (!asker.ok) return refuse(asker.problems)
  const text = await bodyTextOf(request, BODY.simulate)
  return respond(simulateAnswer, text.ok ? await compute('simulate', text.value, request.signal) : text)
}
