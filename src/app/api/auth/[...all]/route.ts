import { changePasswordBy, type SignInAnswer, signInBy, signOutBy } from '@/server/access/sign-in-requests'
import { BODY } from '@/server/limits'
import { equipmentAnswer } from '@/server/wire/answers'
import { answer, bodyOf, refuse } from '../../respond'

/** What of the sign-in library is open, and nothing else of it. */
const OPEN: Readonly<Record<string, (request: Request, body: unknown) => Promise<SignInAnswer>>> = {
  'sign-in/username': signInBy,
  'sign-out': signOutBy,
  'change-password': changePasswordBy,
}

/** Signs in, signs out, changes a password. */
export async function POST(request: Request, { params }: { params: Promise<{ all: string[] }> }): Promise<Response> {
  const asked = (await params).all.join('/')
  const way = Object.hasOwn(OPEN, asked) ? OPEN[asked] : undefined
  if (!way) return refuse([{ code: 'not_found', path: [], what: 'address' }])
  const body = await bodyOf(request, BODY.small)
  const done = body.ok ? await way(request, body.value) : body
  if (!done.ok) return refuse(done.problems)
  const response = answer(equipmentAnswer, { kept: true })
  for (const cookie of done.value.cookies) response.headers.append('set-cookie', cookie)
  return response
}
