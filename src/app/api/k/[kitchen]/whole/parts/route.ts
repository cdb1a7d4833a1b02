import { BODY } from '@/server/limits'
import { bringPart } from '@/server/whole'
import { broughtAnswer } from '@/server/wire/answers'
import { bytesOf, respond } from '../../../../respond'

/** Keeps a part of a file that is brought in: `file` names it, `from` is where the part begins. */
export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const part = await bytesOf(request, BODY.part)
  const query = Object.fromEntries(new URL(request.url).searchParams)
  return respond(broughtAnswer, part.ok ? await bringPart((await params).kitchen, query, part.value) : part)
}
