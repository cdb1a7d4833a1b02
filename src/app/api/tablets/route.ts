import { TABLET_COOKIE } from '@/server/access/actor'
import { isSecure } from '@/server/access/door'
import { joinTablet } from '@/server/access/people'
import { BODY } from '@/server/limits'
import { welcomeAnswer } from '@/server/wire/answers'
import { answer, bodyOf, refuse } from '../respond'

const YEAR_S = 365 * 86_400

/** A tablet that scanned its code is let in: its secret is its cookie from here on. */
export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  const done = body.ok ? await joinTablet(body.value) : body
  if (!done.ok) return refuse(done.problems)
  const response = answer(welcomeAnswer, { kitchen: done.value.kitchen }, 201)
  const secure = isSecure(request.headers) ? '; Secure' : ''
  response.headers.append(
    'set-cookie',
    `${TABLET_COOKIE}=${done.value.secret}; Path=/; Max-Age=${YEAR_S}; HttpOnly; SameSite=Lax${secure}`,
  )
  return response
}
