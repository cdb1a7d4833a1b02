import { settleSetAside } from '@/server/plans'
import { respond } from '../../../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string; version: string }> }

export async function POST(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal, version } = await params
  return respond(await settleSetAside(kitchen, meal, version))
}
