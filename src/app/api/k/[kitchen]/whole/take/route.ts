import { BODY } from '@/server/limits'
import { takeFile } from '@/server/whole'
import { wholeAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../../respond'

/** Says what a file that was brought would add, or takes it in. */
export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(wholeAnswer, body.ok ? await takeFile((await params).kitchen, body.value) : body)
}
