import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { succeed } from '@/domain/problem/problem'
import { isOwned } from '@/server/access/actor'
import { signedIn, withDatabase } from '@/server/kitchen'
import { SignIn } from '@/ui/people/come-in'
import { FrontPage } from '@/ui/people/fields'

export const metadata: Metadata = { title: 'Sign in' }

/** An address of ours to go on to: nothing that leads elsewhere. */
const within = (to: string | undefined) => (to && /^\/(?![/\\])[^\\]*$/.test(to) ? to : '/')

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ to?: string }> }) {
  const to = within((await searchParams).to)
  const known = await signedIn()
  if (known.ok) redirect(to)
  const owned = await withDatabase(async () => succeed(await isOwned()))
  return (
    <FrontPage title="Who is it?">
      {owned.ok && !owned.value ? (
        <p className="mt-4 text-lg">
          Nobody owns this installation yet. Open the one-time address that <code>npm start</code> printed on its
          machine; until then the demo is open there, and only there.
        </p>
      ) : (
        <>
          <SignIn to={to} />
          <p className="mt-8 text-lg text-soft">
            No name here yet? An owner of the kitchen makes an invitation; a tablet by the stove is scanned in.
          </p>
        </>
      )}
    </FrontPage>
  )
}
