import type { Metadata } from 'next'
import Link from 'next/link'
import { lookAtWayIn } from '@/server/access/people'
import { signedIn } from '@/server/kitchen'
import { JoinAsMe, JoinTablet, NewPerson } from '@/ui/people/come-in'
import { FrontPage, LINK } from '@/ui/people/fields'
import { ROLE_LINES, ROLE_WORDS } from '@/words/people'
import { problemSentence } from '@/words/problems'
import { PLAIN_UNITS } from '@/words/units'

export const metadata: Metadata = { title: 'Join a kitchen' }

export default async function JoinPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const found = await lookAtWayIn(token)
  if (!found.ok || !found.value.kitchen)
    return (
      <FrontPage title="This way in is closed.">
        <p className="mt-4 text-lg">
          {found.ok || !found.problems[0] ? 'It leads nowhere.' : problemSentence(found.problems[0], PLAIN_UNITS)}
        </p>
      </FrontPage>
    )
  const { of, role, kitchen } = found.value
  if (of === 'tablet')
    return (
      <FrontPage title={kitchen}>
        <p className="mt-4 text-lg">
          This tablet becomes one of the kitchen’s: it {ROLE_LINES.cook}, without a password, until an owner takes it
          out. Whoever holds it is in the kitchen.
        </p>
        <JoinTablet token={token} />
      </FrontPage>
    )
  const known = await signedIn()
  const me = known.ok && known.value.kind === 'person' ? known.value : undefined
  return (
    <FrontPage title={kitchen}>
      <p className="mt-4 text-lg">
        You are asked to join as <strong>{ROLE_WORDS[role]}</strong>: {ROLE_LINES[role]}.
      </p>
      {me ? (
        <JoinAsMe token={token} name={me.name} />
      ) : (
        <>
          <NewPerson token={token} claims={false} action="Join" />
          <p className="mt-6 text-lg text-soft">
            You have a sign-in here already?{' '}
            <Link href={`/sign-in?to=/join/${token}`} prefetch={false} className={LINK}>
              Sign in first
            </Link>
            .
          </p>
        </>
      )}
    </FrontPage>
  )
}
