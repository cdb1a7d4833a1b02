import { Refused } from '@/app/refused'
import { isThere } from '@/server/there'

/** What is not there is said before anything is shown. */
export default async function PlanLayout({
  children,
  params,
}: {
  children: React.ReactNode
  params: Promise<{ kitchen: string; plan: string }>
}) {
  const { kitchen, plan } = await params
  const there = await isThere(kitchen, 'plan', plan)
  return there.ok ? children : <Refused problems={there.problems} />
}
