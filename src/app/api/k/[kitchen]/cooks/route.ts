import { beginCook, cooksOfKitchen } from '@/server/cooks'
import { cookListAnswer, cookRowAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(cookListAnswer, await cooksOfKitchen((await params).kitchen))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const body = await bodyOf(request)
  return respond(cookRowAnswer, body.ok ? await beginCook((await params).kitchen, body.value) : body, 201)
}
