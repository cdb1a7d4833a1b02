import { share } from '@/server/access/addresses'
import { BODY } from '@/server/limits'
import { addressAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

/** An address that shows one thing to whoever has it; it is answered this once. */
export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(addressAnswer, body.ok ? await share((await params).kitchen, body.value) : body, 201)
}
