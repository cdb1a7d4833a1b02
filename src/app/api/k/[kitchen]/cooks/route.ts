import { beginCook, cooksOfKitchen } from '@/server/cooks'
import { BODY } from '@/server/limits'
import { cookListAnswer, cookRowAnswer } from '@/server/wire/answers'
import { bodyOf, pageOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const page = pageOf(request)
  return respond(cookListAnswer, page.ok ? await cooksOfKitchen((await params).kitchen, page.value) : page)
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(cookRowAnswer, body.ok ? await beginCook((await params).kitchen, body.value) : body, 201)
}
