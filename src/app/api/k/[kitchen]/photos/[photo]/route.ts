import { photoBytes, removePhoto } from '@/server/photos'
import { removedAnswer } from '@/server/wire/answers'
import { refuse, respond } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; photo: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, photo } = await params
  const bytes = await photoBytes(kitchen, photo)
  if (!bytes.ok) return refuse(bytes.problems)
  return new Response(new Uint8Array(bytes.value), {
    headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=31536000, immutable' },
  })
}

export async function DELETE(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, photo } = await params
  return respond(removedAnswer, await removePhoto(kitchen, photo))
}
