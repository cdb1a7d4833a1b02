import { askForPins, setPin } from '@/server/access/people'
import { BODY } from '@/server/limits'
import { equipmentAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

/** Whether shared tablets of the kitchen ask for a number. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(equipmentAnswer, body.ok ? await askForPins((await params).kitchen, body.value) : body)
}

/** The number of whoever asks. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(equipmentAnswer, body.ok ? await setPin((await params).kitchen, body.value) : body)
}
