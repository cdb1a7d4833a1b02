import { Refused } from '@/app/refused'
import { isThere } from '@/server/there'

/** What is not there is said before anything is shown. */
export default async function CookLayout({
  children,
  params,
}: {
  children: React.ReactNode
  params: Promise<{ kitchen: string; cook: string }>
}) {
  const { kitchen, cook } = await params
  const there = await isThere(kitchen, 'cook', cook)
  return there.ok ? children : <Refused problems={there.problems} />
}
