import { isThere, type Kind } from '@/server/there'
import { Refused } from './refused'

/** The layout of one thing's pages: what is not there is said before anything is shown, for later it could be no 404. */
export const whereThereIs = <Of extends Kind>(kind: Of) =>
  async function ThereLayout({
    children,
    params,
  }: {
    children: React.ReactNode
    params: Promise<{ kitchen: string } & Record<Of, string>>
  }) {
    const asked = await params
    const there = await isThere(asked.kitchen, kind, asked[kind])
    return there.ok ? children : <Refused problems={there.problems} />
  }
