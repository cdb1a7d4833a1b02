import { redirect } from 'next/navigation'
import { kitchensOfHouse } from '@/server/kitchen'

export default async function Home() {
  const [first] = await kitchensOfHouse()
  redirect(`/k/${first?.slug ?? 'cottage'}`)
}
