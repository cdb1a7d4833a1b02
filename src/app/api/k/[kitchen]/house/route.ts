import { houseItemsOf, putHouseItem } from '@/server/house'
import { BODY } from '@/server/limits'
import { houseItemAnswer, houseListAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(houseListAnswer, await houseItemsOf((await params).kitchen))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const body = await bodyOf(request, BODY.plan)
  return respond(houseItemAnswer, body.ok ? await putHouseItem((await params).kitchen, body.value) : body, 201)
}
