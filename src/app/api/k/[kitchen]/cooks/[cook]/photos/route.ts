import { BODY } from '@/server/limits'
import { addPhoto, photosOf } from '@/server/photos'
import { photoAnswer, photosAnswer } from '@/server/wire/answers'
import { bytesOf, respond } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; cook: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  return respond(photosAnswer, await photosOf(kitchen, cook))
}

/** Keeps a picture of the roast that `item` names: the body is the picture. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  const sent = await bytesOf(request, BODY.photo)
  const item = new URL(request.url).searchParams.get('item') ?? ''
  return respond(photoAnswer, sent.ok ? await addPhoto(kitchen, cook, item, sent.value) : sent, 201)
}
