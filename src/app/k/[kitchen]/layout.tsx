import { Refused } from '@/app/refused'
import { whoOf } from '@/domain/people/actor'
import { namesOf } from '@/server/access/people'
import { networkAddress } from '@/server/environment'
import { roleHere } from '@/server/kitchen'
import { WhoProvider } from '@/ui/people/who'

/** What is not there is said before anything is shown: later, an answer could no longer be a 404. */
export default async function KitchenLayout({
  children,
  params,
}: {
  children: React.ReactNode
  params: Promise<{ kitchen: string }>
}) {
  const { kitchen: slug } = await params
  const here = await roleHere(slug)
  if (!here.ok) return <Refused problems={here.problems} />
  const { role, actor, kitchen } = here.value
  const names = actor.kind === 'tablet' ? await namesOf(slug) : undefined
  const who = {
    kind: actor.kind,
    name: whoOf(actor).name,
    role,
    names: names?.ok ? names.value : [],
    pins: kitchen.pins,
    base: networkAddress(),
  }
  return <WhoProvider who={who}>{children}</WhoProvider>
}
