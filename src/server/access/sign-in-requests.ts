import { z } from 'zod'
import { keepAudit, kitchensOfPerson, tellKitchensOf } from '@/db/people'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, type Problem, succeed } from '@/domain/problem/problem'
import { text } from '@/domain/schema/scalars'
import { withDatabase } from '../kitchen'
import { database } from '../rooms'
import { addressOf } from './door'
import { forgive, isUsedUp, within } from './limiter'
import { PASSWORD, personOf, signInFor } from './sign-in'

/** What of the sign-in library is asked over HTTP: each counted where it can be guessed at, and kept in the trail. */

const named = z.looseObject({ username: text(60), password: z.string().max(PASSWORD.most) })

/** Everywhere somebody belongs, it is kept that they came. */
async function trail(
  who: { readonly id: string; readonly name: string },
  what: string,
  address: string,
): Promise<void> {
  const kitchens = await kitchensOfPerson(database(), who.id)
  const of = kitchens.length > 0 ? kitchens.map(({ id }) => id) : [null]
  for (const kitchenId of of)
    await keepAudit(database(), who, { kitchenId, what, about: who.id, detail: { from: address } })
}

/** Asks the library, whose own checks of origin and cookies stand. */
async function askLibrary(request: Request, body: unknown): Promise<Response> {
  const auth = await signInFor(request.headers)
  const secure = auth.options.baseURL?.startsWith('https') ? 'https' : 'http'
  const { pathname } = new URL(request.url)
  const host = request.headers.get('host') ?? 'pheasant.invalid'
  const headers = new Headers(request.headers)
  headers.delete('content-length')
  headers.set('content-type', 'application/json')
  return auth.handler(
    new Request(`${secure}://${host}${pathname}`, {
      method: 'POST',
      headers,
      body: JSON.stringify(body),
    }),
  )
}

const wrong = (path: string, detail: string): Outcome<never> => fail({ code: 'malformed', path: [path], detail })

export type SignInAnswer = Outcome<{ readonly cookies: readonly string[] }>

export const signInBy = (request: Request, value: unknown): Promise<SignInAnswer> =>
  withDatabase(async (): Promise<SignInAnswer> => {
    const asked = parseWith(named, value)
    if (!asked.ok) return asked
    const address = addressOf(request.headers)
    const name = asked.value.username.toLowerCase()
    for (const [rate, key] of [
      ['sign_in_name', name],
      ['sign_in_from', address],
    ] as const) {
      const often = await isUsedUp(rate, key)
      if (!often.ok) return often
    }
    const answer = await askLibrary(request, asked.value)
    if (!answer.ok) {
      await Promise.all([within('sign_in_name', name), within('sign_in_from', address)])
      await keepAudit(
        database(),
        { id: '', name: '' },
        { kitchenId: null, what: 'sign_in_failed', about: '', detail: { name: name.slice(0, 40), from: address } },
      )
      // Whether the name or the password is wrong is nobody's business.
      return wrong('password', 'no such sign-in name and password')
    }
    const { user } = (await answer.json()) as { user: { id: string; name: string } }
    await Promise.all([forgive('sign_in_name', name), trail(user, 'signed_in', address)])
    return succeed({ cookies: answer.headers.getSetCookie() })
  })

const changing = z.strictObject({
  currentPassword: z.string().max(PASSWORD.most),
  newPassword: z.string().min(PASSWORD.least).max(PASSWORD.most),
  revokeOtherSessions: z.boolean().default(true),
})

const passOn = (request: Request, body: unknown, what: string, refused: readonly Problem[]): Promise<SignInAnswer> =>
  withDatabase(async (): Promise<SignInAnswer> => {
    const person = await personOf(request.headers)
    if (!person) return fail({ code: 'not_signed_in', path: [] })
    const often = await isUsedUp('sign_in_name', person.id)
    if (!often.ok) return often
    const answer = await askLibrary(request, body)
    if (!answer.ok) {
      await within('sign_in_name', person.id)
      return fail(...refused)
    }
    await tellKitchensOf(database(), person.id)
    await trail(person, what, addressOf(request.headers))
    return succeed({ cookies: answer.headers.getSetCookie() })
  })

export const signOutBy = (request: Request): Promise<SignInAnswer> =>
  passOn(request, {}, 'signed_out', [{ code: 'not_signed_in', path: [] }])

export async function changePasswordBy(request: Request, value: unknown): Promise<SignInAnswer> {
  const asked = parseWith(changing, value)
  if (!asked.ok) return asked
  return passOn(request, asked.value, 'password', [
    { code: 'malformed', path: ['currentPassword'], detail: 'that is not your present password' },
  ])
}
