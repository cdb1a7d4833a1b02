import { redirect } from 'next/navigation'
import { kitchensOfHouse } from '@/server/plans'

export default async function Home() {
  const [first] = await kitchensOfHouse()
  redirect(`/k/${first?.slug ?? 'cottage'}`)
}
