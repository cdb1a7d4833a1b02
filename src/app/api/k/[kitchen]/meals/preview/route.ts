import { BODY } from '@/server/limits'
import { previewMeal } from '@/server/meals'
import { previewAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../../respond'

export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.meal)
  return respond(previewAnswer, body.ok ? await previewMeal((await params).kitchen, body.value) : body)
}
