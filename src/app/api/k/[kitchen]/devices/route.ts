import { addDevice } from '@/server/cooks'
import { bodyOf, respond } from '../../../respond'

export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request)
  return respond(body.ok ? await addDevice((await params).kitchen, body.value) : body, 201)
}
