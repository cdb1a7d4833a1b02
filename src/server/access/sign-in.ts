import { betterAuth } from 'better-auth'
import { drizzleAdapter } from 'better-auth/adapters/drizzle'
import { username } from 'better-auth/plugins/username'
import { eq } from 'drizzle-orm'
import { accounts, installation, people, sessions, verifications } from '@/db/people-schema'
import { database } from '../rooms'
import { FROM_HEADER, isSecure } from './door'

/** Sign-in, by a library that is kept by others: passwords by scrypt, sessions in the database, cookies signed. */

export const PASSWORD = { least: 10, most: 128 } as const
export const USERNAME = { least: 3, most: 30 } as const
export const USERNAME_SHAPE = /^[a-zA-Z0-9_.-]+$/
const DAY_S = 86_400

/** People have names, not addresses; the library wants one, and nothing is ever sent to it. */
export const addressOfName = (name: string) => `${name.toLowerCase()}@people.invalid`

async function secretOf(): Promise<string> {
  const [row] = await database().select().from(installation).where(eq(installation.name, 'secret'))
  if (!row) throw new Error('the installation has no secret: bring its database up to date')
  return row.value
}

const make = (secret: string, secure: boolean) =>
  betterAuth({
    appName: 'Pheasant',
    secret,
    // The name it goes by is the request's own: the proxy (src/proxy.ts) lets in only names that were said to be ours.
    baseURL: secure ? 'https://pheasant.invalid' : 'http://pheasant.invalid',
    basePath: '/api/auth',
    trustedOrigins: (request) => {
      const host = request?.headers.get('host')
      return host ? [`${secure ? 'https' : 'http'}://${host}`] : []
    },
    database: drizzleAdapter(database(), {
      provider: 'pg',
      schema: { user: people, session: sessions, account: accounts, verification: verifications },
    }),
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      minPasswordLength: PASSWORD.least,
      maxPasswordLength: PASSWORD.most,
    },
    plugins: [
      username({
        minUsernameLength: USERNAME.least,
        maxUsernameLength: USERNAME.most,
        usernameValidator: (name) => USERNAME_SHAPE.test(name),
      }),
    ],
    session: { expiresIn: 30 * DAY_S, updateAge: DAY_S, cookieCache: { enabled: false } },
    advanced: {
      cookiePrefix: 'pheasant',
      useSecureCookies: secure,
      defaultCookieAttributes: { sameSite: 'lax', httpOnly: true, path: '/' },
      ipAddress: { ipAddressHeaders: [FROM_HEADER] },
    },
    // Ours counts on all servers together, and on more than signing in (limiter.ts).
    rateLimit: { enabled: false },
    telemetry: { enabled: false },
    logger: { level: 'error' },
  })

type Auth = ReturnType<typeof make>
const world = globalThis as { pheasantSignIn?: Promise<{ plain: Auth; secure: Auth }> }

/** The library as this request needs it: over https its cookies go nowhere else. */
export async function signInFor(given: Headers): Promise<Auth> {
  world.pheasantSignIn ??= secretOf().then((secret) => ({ plain: make(secret, false), secure: make(secret, true) }))
  // A database that was away is asked again.
  world.pheasantSignIn.catch(() => {
    delete world.pheasantSignIn
  })
  const both = await world.pheasantSignIn
  return isSecure(given) ? both.secure : both.plain
}

const COOKIE = /(?:^|;\s*)(?:__Secure-)?pheasant\.session_token=/

/** The person whose session a request bears. */
export async function personOf(
  given: Headers,
): Promise<{ readonly id: string; readonly name: string; readonly session: string } | undefined> {
  if (!COOKIE.test(given.get('cookie') ?? '')) return undefined
  const auth = await signInFor(given)
  const found = await auth.api.getSession({ headers: new Headers(given) })
  return found ? { id: found.user.id, name: found.user.name, session: found.session.id } : undefined
}

/** Whether somebody signs in by that name. */
export async function isTaken(given: Headers, name: string): Promise<boolean> {
  const context = await (await signInFor(given)).$context
  return (await context.internalAdapter.findUserByEmail(addressOfName(name))) !== null
}

/** Makes a person who signs in with a name and a password; 'taken' where somebody has the name. */
export async function makePerson(
  given: Headers,
  { name, username: said, password }: { readonly name: string; readonly username: string; readonly password: string },
): Promise<{ readonly id: string } | 'taken'> {
  const auth = await signInFor(given)
  const context = await auth.$context
  const email = addressOfName(said)
  if (await context.internalAdapter.findUserByEmail(email)) return 'taken'
  const user = await context.internalAdapter.createUser(
    {
      name,
      email,
      emailVerified: false,
      username: said.toLowerCase(),
      displayUsername: said,
    },
    { method: 'email-password' } as never,
  )
  await context.internalAdapter.linkAccount({
    userId: user.id,
    providerId: 'credential',
    accountId: user.id,
    password: await context.password.hash(password),
  })
  return { id: user.id }
}
