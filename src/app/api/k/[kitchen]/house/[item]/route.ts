import { removeHouseItem } from '@/server/house'
import { removedAnswer } from '@/server/wire/answers'
import { respond } from '../../../../respond'

export async function DELETE(
  request: Request,
  { params }: { params: Promise<{ kitchen: string; item: string }> },
): Promise<Response> {
  const { kitchen, item } = await params
  return respond(removedAnswer, await removeHouseItem(kitchen, item, new URL(request.url).searchParams.get('by') ?? ''))
}
