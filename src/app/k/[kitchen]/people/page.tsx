import type { Metadata } from 'next'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { mayDo } from '@/domain/people/roles'
import { addressesOf } from '@/server/access/addresses'
import { me, peopleOf } from '@/server/access/people'
import { devicesOf } from '@/server/cooks'
import { networkAddress } from '@/server/environment'
import { kitchensOfHouse, roleHere } from '@/server/kitchen'
import { Kitchens, Mine } from '@/ui/people/mine'
import { People, PeopleNews, Shared, Tablets, Trail } from '@/ui/people/people-view'
import { Header } from '@/ui/shell/header'

export const metadata: Metadata = { title: 'People and devices' }

const seconds = (at: Date | null) => at && at.getTime() / 1000

/** Who belongs to a kitchen, what else comes in, and what is one's own: all of it on one page. */
export default async function PeoplePage({ params }: { params: Promise<{ kitchen: string }> }) {
  const { kitchen: slug } = await params
  const here = await roleHere(slug)
  if (!here.ok) return <Refused problems={here.problems} />
  const { role, actor, kitchen } = here.value
  const units = await unitsOf(kitchen)
  const own = await me()
  const sessions = own.ok ? own.value.sessions : []
  const people = mayDo(role, 'people') ? await peopleOf(slug) : undefined
  const [addresses, stations] = mayDo(role, 'share')
    ? await Promise.all([addressesOf(slug), devicesOf(slug)])
    : [undefined, undefined]
  const base = networkAddress()
  const data = people?.ok
    ? {
        members: people.value.members.map(({ personId, name, username, role: as, pin }) => ({
          personId,
          name,
          username,
          role: as,
          pin,
        })),
        invitations: people.value.invitations.map(({ id, of, role: as, expiresAt }) => ({
          id,
          of,
          role: as,
          ends_s: expiresAt.getTime() / 1000,
        })),
        tablets: people.value.tablets.map(({ id, name, seenAt }) => ({ id, name, seen_s: seconds(seenAt) })),
        trail: people.value.trail.map(({ id, at, whoName, what, about, detail }) => ({
          id,
          at_s: at.getTime() / 1000,
          who: whoName,
          what,
          about,
          detail,
        })),
        pins: kitchen.pins,
      }
    : undefined
  return (
    <>
      <Header kitchen={kitchen} kitchens={await kitchensOfHouse()} units={units} />
      <main className="mx-auto max-w-[84rem] space-y-6 px-4 py-8 sm:px-6">
        <h1 className="font-display text-4xl font-bold tracking-tight">People and devices</h1>
        {people && !people.ok && <Refused problems={people.problems} />}
        {data && <PeopleNews slug={slug} />}
        {data && (
          <div className="grid items-start gap-6 xl:grid-cols-2">
            <People slug={slug} data={data} me={actor.kind === 'person' ? actor.id : ''} units={units} base={base} />
            <Tablets slug={slug} data={data} units={units} base={base} />
          </div>
        )}
        <Mine
          slug={slug}
          pins={kitchen.pins}
          units={units}
          sessions={sessions.map(({ id, updatedAt, userAgent }) => ({
            id,
            seen_s: updatedAt.getTime() / 1000,
            browser: userAgent ?? '',
            here: actor.kind === 'person' && actor.session === id,
          }))}
        />
        {addresses?.ok && stations?.ok && (
          <Shared
            slug={slug}
            units={units}
            data={{
              addresses: addresses.value.map(({ id, of, name, expiresAt, uses, usedAt }) => ({
                id,
                of,
                name,
                ends_s: expiresAt.getTime() / 1000,
                uses,
                used_s: seconds(usedAt),
              })),
              stations: stations.value.map(({ id, name, seenAt }) => ({ id, name, seen_s: seconds(seenAt) })),
            }}
          />
        )}
        {data && <Trail data={data} units={units} />}
        {data && actor.kind === 'person' && <Kitchens slug={slug} name={kitchen.name} units={units} />}
      </main>
    </>
  )
}
