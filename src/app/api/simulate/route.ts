import { parseWith } from '@/domain/problem/parse'
import { simulateAnswer, simulateDocument } from '@/domain/roast/roast-document'
import { simulate } from '@/domain/roast/simulate'
import { bodyOf, refuse, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request)
  if (!body.ok) return refuse(body.problems)
  const document = parseWith(simulateDocument, body.value)
  return respond(simulateAnswer, document.ok ? simulate(document.value) : document)
}
