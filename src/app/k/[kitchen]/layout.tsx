import { Refused } from '@/app/refused'
import { kitchenIsThere } from '@/server/there'

/** What is not there is said before anything is shown: later, an answer could no longer be a 404. */
export default async function KitchenLayout({
  children,
  params,
}: {
  children: React.ReactNode
  params: Promise<{ kitchen: string }>
}) {
  const there = await kitchenIsThere((await params).kitchen)
  return there.ok ? children : <Refused problems={there.problems} />
}
