import type { Outcome } from '@/domain/problem/problem'
import type { Welcome } from '@/server/access/people'
import { BODY } from '@/server/limits'
import { welcomeAnswer } from '@/server/wire/answers'
import { answer, bodyOf, refuse } from './respond'

/** Lets somebody in as `way` says, with the cookies that come of it. */
export async function welcome(request: Request, way: (value: unknown) => Promise<Outcome<Welcome>>): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  const done = body.ok ? await way(body.value) : body
  if (!done.ok) return refuse(done.problems)
  const { kitchen, cookies } = done.value
  const response = answer(welcomeAnswer, { kitchen }, 201)
  for (const cookie of cookies) response.headers.append('set-cookie', cookie)
  return response
}
