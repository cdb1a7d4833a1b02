import { Refused } from '@/app/refused'
import { isThere } from '@/server/there'

/** What is not there is said before anything is shown. */
export default async function MealLayout({
  children,
  params,
}: {
  children: React.ReactNode
  params: Promise<{ kitchen: string; meal: string }>
}) {
  const { kitchen, meal } = await params
  const there = await isThere(kitchen, 'meal', meal)
  return there.ok ? children : <Refused problems={there.problems} />
}
