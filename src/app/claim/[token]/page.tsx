import type { Metadata } from 'next'
import { lookAtWayIn } from '@/server/access/people'
import { NewPerson } from '@/ui/people/come-in'
import { FrontPage } from '@/ui/people/fields'
import { problemSentence } from '@/words/problems'
import { PLAIN_UNITS } from '@/words/units'

export const metadata: Metadata = { title: 'Claim this installation' }

export default async function ClaimPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const found = await lookAtWayIn(token)
  if (!found.ok || found.value.of !== 'claim')
    return (
      <FrontPage title="This address is spent.">
        <p className="mt-4 text-lg">
          {found.ok || !found.problems[0] ? 'It claims nothing.' : problemSentence(found.problems[0], PLAIN_UNITS)}{' '}
          <code>npm start</code> prints a new one for as long as nobody owns the installation.
        </p>
      </FrontPage>
    )
  return (
    <FrontPage title="Make it yours.">
      <p className="mt-4 text-lg">
        You become the owner of this installation and of the kitchens in it. From then on everybody signs in, here and
        elsewhere; you invite the others.
      </p>
      <NewPerson token={token} claims action="It is mine" />
    </FrontPage>
  )
}
