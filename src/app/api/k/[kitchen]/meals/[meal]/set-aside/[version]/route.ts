import { settleSetAside } from '@/server/plans'
import { settledAnswer } from '@/server/wire/answers'
import { respond } from '../../../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string; version: string }> }

export async function POST(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal, version } = await params
  return respond(settledAnswer, await settleSetAside(kitchen, meal, version))
}
