import { addDevice } from '@/server/cooks'
import { BODY } from '@/server/limits'
import { newDeviceAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(newDeviceAnswer, body.ok ? await addDevice((await params).kitchen, body.value) : body, 201)
}
