import { previewMeal } from '@/server/meals'
import { bodyOf, respond } from '../../../../respond'

export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request)
  return respond(body.ok ? await previewMeal((await params).kitchen, body.value) : body)
}
