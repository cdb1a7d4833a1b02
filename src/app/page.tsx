import { redirect } from 'next/navigation'
import { kitchensOfHouse, signedIn } from '@/server/kitchen'
import { FrontPage } from '@/ui/people/fields'

export default async function Home() {
  const [first] = await kitchensOfHouse()
  if (!first && !(await signedIn()).ok) redirect('/sign-in')
  if (!first) return <NoKitchen />
  redirect(`/k/${first.slug}`)
}

/** Somebody who was put out everywhere, or whose kitchen was closed. */
const NoKitchen = () => (
  <FrontPage title="No kitchen here.">
    <p className="mt-4 text-lg">You belong to none at present: ask an owner for an invitation.</p>
  </FrontPage>
)
