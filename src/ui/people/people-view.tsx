'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { ROLES, type Role } from '@/domain/people/roles'
import { ROLE_LINES, ROLE_WORDS, trailWords } from '@/words/people'
import { clock, shortDay, type Units } from '@/words/units'
import { saidOf, send } from '../shell/client'
import { useEvents } from '../shell/use-events'
import { useHydrated } from '../shell/use-hydrated'
import { BUTTON, LINK, MAIN_BUTTON, Said, Section, Twice } from './fields'
import { Handed } from './handed'
import { ShareAddress } from './share'

export interface ShownMember {
  readonly personId: string
  readonly name: string
  readonly username: string
  readonly role: Role
  readonly pin: boolean
}
export interface PeopleData {
  readonly members: readonly ShownMember[]
  readonly invitations: readonly {
    readonly id: string
    readonly of: string
    readonly role: Role
    readonly ends_s: number
  }[]
  readonly tablets: readonly { readonly id: string; readonly name: string; readonly seen_s: number | null }[]
  readonly trail: readonly {
    readonly id: number
    readonly at_s: number
    readonly who: string
    readonly what: string
    readonly about: string
    readonly detail: Readonly<Record<string, string | number | boolean | null>> | null
  }[]
  readonly pins: boolean
}
export interface ShareData {
  readonly addresses: readonly {
    readonly id: string
    readonly of: string
    readonly name: string
    readonly ends_s: number
    readonly uses: number
    readonly used_s: number | null
  }[]
  readonly stations: readonly { readonly id: string; readonly name: string; readonly seen_s: number | null }[]
}

const when = (at_s: number | null, units: Units) =>
  at_s === null ? 'never' : `${shortDay(at_s, units)} ${clock(at_s, units)}`
/** So much of the trail is shown before more is asked for. */
const TRAIL = 8

/** One way of asking, for every tap of this page. */
function useAsk(units: Units) {
  const router = useRouter()
  const [said, setSaid] = useState<string | undefined>()
  const ask = async <Value,>(
    address: string,
    method: 'POST' | 'PUT' | 'DELETE',
    body?: unknown,
  ): Promise<Value | undefined> => {
    const done = await send<Value>(address, method, body)
    setSaid(done.ok ? undefined : saidOf(done, units))
    if (done.ok) router.refresh()
    return done.ok ? done.value : undefined
  }
  return { ask, said }
}

/** The page follows what happens elsewhere: a code that is scanned, an invitation that is taken. */
export function PeopleNews({ slug }: { readonly slug: string }) {
  const router = useRouter()
  useEvents(slug, { told: ({ what }) => what === 'people' && router.refresh() })
  return null
}

/** Who belongs to a kitchen, and as what. */
export function People({
  slug,
  data,
  me,
  units,
  base,
}: {
  readonly slug: string
  readonly data: PeopleData
  readonly me: string
  readonly units: Units
  readonly base: string | undefined
}) {
  const { ask, said } = useAsk(units)
  const ready = useHydrated()
  const [role, setRole] = useState<Role>('cook')
  const [handed, setHanded] = useState<string | undefined>()
  const at = `/api/k/${slug}`
  return (
    <Section title="People" testId="people">
      <ul className="mt-2 divide-y divide-line">
        {data.members.map((each) => (
          <li key={each.personId} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-3" data-testid="member">
            <p className="min-w-0 flex-1 basis-52 text-xl">
              {each.name}
              {each.personId === me && <span className="text-soft"> (you)</span>}
              <span className="block text-base text-soft">{each.username}</span>
            </p>
            <label className="text-lg">
              <span className="sr-only">What {each.name} is</span>
              <select
                className="min-h-12 rounded-full border-2 border-line bg-sheet px-4"
                disabled={!ready}
                value={each.role}
                onChange={(event) =>
                  void ask(`${at}/members/${each.personId}`, 'PUT', { role: event.target.value as Role })
                }
              >
                {ROLES.toReversed().map((name) => (
                  <option key={name} value={name}>
                    {ROLE_WORDS[name]}
                  </option>
                ))}
              </select>
            </label>
            <Twice
              label="Put out"
              sure="Yes, put out"
              disabled={!ready}
              act={() => void ask(`${at}/members/${each.personId}`, 'DELETE')}
            />
          </li>
        ))}
        {data.members.length === 0 && (
          <li className="py-3 text-lg text-soft">Nobody yet: whoever claims the installation is the first.</li>
        )}
      </ul>
      <Said text={said} />
      <fieldset className="mt-4" disabled={!ready}>
        <legend className="text-lg font-semibold">Somebody else, as</legend>
        <div className="mt-2 grid gap-2 sm:grid-cols-2">
          {ROLES.toReversed().map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={role === name}
              className={`min-h-14 rounded-2xl border-2 px-4 py-2 text-left text-lg leading-snug ${role === name ? 'border-moss bg-moss-ground' : 'border-line hover:border-copper'}`}
              onClick={() => setRole(name)}
            >
              <strong>{ROLE_WORDS[name]}</strong>
              <span className="block text-base text-soft">{ROLE_LINES[name]}</span>
            </button>
          ))}
        </div>
        <button
          type="button"
          className={`${MAIN_BUTTON} mt-3`}
          onClick={() =>
            void ask<{ token: string }>(`${at}/invitations`, 'POST', { of: 'person', role }).then((made) =>
              setHanded(made && `${base ?? window.location.origin}/join/${made.token}`),
            )
          }
        >
          Make an invitation
        </button>
      </fieldset>
      {handed && <Handed address={handed} what={`An invitation as ${ROLE_WORDS[role]}, for one person, seven days.`} />}
      {data.invitations.length > 0 && (
        <ul className="mt-3 space-y-1" data-testid="invitations">
          {data.invitations.map(({ id, of, role: as, ends_s }) => (
            <li key={id} className="flex flex-wrap items-center gap-x-4 text-lg">
              {of === 'tablet' ? 'A code for a tablet' : `An invitation as ${ROLE_WORDS[as]}`}, open until{' '}
              {when(ends_s, units)}
              <button type="button" className={LINK} onClick={() => void ask(`${at}/invitations/${id}`, 'DELETE')}>
                Withdraw it
              </button>
            </li>
          ))}
        </ul>
      )}
    </Section>
  )
}

/** Tablets of the kitchen, and how they ask who is there. */
export function Tablets({
  slug,
  data,
  units,
  base,
}: {
  readonly slug: string
  readonly data: PeopleData
  readonly units: Units
  readonly base: string | undefined
}) {
  const { ask, said } = useAsk(units)
  const ready = useHydrated()
  const [handed, setHanded] = useState<string | undefined>()
  const at = `/api/k/${slug}`
  return (
    <Section title="Tablets by the stove" testId="tablets">
      <p className="mt-1 max-w-3xl text-lg text-soft">
        A tablet that scans the code works the board of this kitchen without a password, until it is taken out again.
      </p>
      <ul className="mt-2 divide-y divide-line">
        {data.tablets.map(({ id, name, seen_s }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-3" data-testid="tablet">
            <p className="min-w-0 flex-1 basis-52 text-xl">
              {name}
              <span className="block text-base text-soft">last here {when(seen_s, units)}</span>
            </p>
            <Twice
              label="Take it out"
              sure="Yes, take it out"
              disabled={!ready}
              act={() => void ask(`${at}/tablets/${id}`, 'DELETE')}
            />
          </li>
        ))}
      </ul>
      <Said text={said} />
      <div className="mt-3 flex flex-wrap gap-3">
        <button
          type="button"
          className={MAIN_BUTTON}
          disabled={!ready}
          onClick={() =>
            void ask<{ token: string }>(`${at}/invitations`, 'POST', { of: 'tablet' }).then((made) =>
              setHanded(made && `${base ?? window.location.origin}/join/${made.token}`),
            )
          }
        >
          Scan a tablet in
        </button>
      </div>
      {handed && (
        <Handed
          address={handed}
          what="A code for one tablet, for a day: scan it with the tablet’s camera."
          reach={
            base === undefined && /^https?:\/\/(127\.|localhost|\[::1\])/.test(handed)
              ? 'This installation listens to its own machine only. Start it with npm start -- --lan, and a tablet can reach it.'
              : undefined
          }
        />
      )}
      <fieldset className="mt-4" disabled={!ready}>
        <legend className="text-lg font-semibold">Whoever stands there says</legend>
        <div className="mt-2 flex flex-wrap gap-2">
          {[false, true].map((pins) => (
            <button
              key={String(pins)}
              type="button"
              aria-pressed={data.pins === pins}
              className={`${BUTTON} ${data.pins === pins ? 'border-moss bg-moss-ground' : ''}`}
              onClick={() => void ask(`${at}/pins`, 'PUT', { pins })}
            >
              {pins ? 'their name and a number' : 'their name'}
            </button>
          ))}
        </div>
      </fieldset>
      {base !== undefined && (
        <p className="mt-3 text-lg">
          A tablet asks first whether it may trust this installation:{' '}
          <Link href="/trust" prefetch={false} className={LINK}>
            how to tell it so
          </Link>
          .
        </p>
      )}
    </Section>
  )
}

/** What shows something to whoever has its address, and what sends readings. */
export function Shared({
  slug,
  data,
  units,
}: {
  readonly slug: string
  readonly data: ShareData
  readonly units: Units
}) {
  const { ask, said } = useAsk(units)
  const ready = useHydrated()
  return (
    <Section title="Addresses and probes" testId="shared">
      <ul className="mt-2 divide-y divide-line">
        {data.addresses.map(({ id, name, ends_s, uses, used_s }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-3" data-testid="address">
            <p className="min-w-0 flex-1 basis-52 text-xl">
              {name}
              <span className="block text-base text-soft">
                opened {uses === 1 ? 'once' : `${uses} times`}, last {when(used_s, units)}; ends {when(ends_s, units)}
              </span>
            </p>
            <Twice
              label="Close it"
              sure="Yes, close it"
              disabled={!ready}
              act={() => void ask(`/api/k/${slug}/addresses/${id}`, 'DELETE')}
            />
          </li>
        ))}
        {data.stations.map(({ id, name, seen_s }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-3" data-testid="station">
            <p className="min-w-0 flex-1 basis-52 text-xl">
              {name}
              <span className="block text-base text-soft">a probe station, last heard {when(seen_s, units)}</span>
            </p>
            <Twice
              label="Take its token back"
              sure="Yes, take it back"
              disabled={!ready}
              act={() => void ask(`/api/k/${slug}/devices/${id}`, 'DELETE')}
            />
          </li>
        ))}
      </ul>
      <Said text={said} />
      <div className="mt-3">
        <ShareAddress
          slug={slug}
          of="calendar"
          thing={null}
          name="Calendar of the kitchen"
          action="An address for a calendar"
          units={units}
        />
      </div>
      <p className="mt-3 text-base text-soft">
        A run sheet and a board are shared where they stand. What a probe station sent stays when its token is taken
        back.
      </p>
    </Section>
  )
}

/** What happened to all of it, and by whom. */
export function Trail({ data, units }: { readonly data: PeopleData; readonly units: Units }) {
  const [all, setAll] = useState(false)
  const name = (id: string) => data.members.find(({ personId }) => personId === id)?.name
  const shown = all ? data.trail : data.trail.slice(0, TRAIL)
  return (
    <Section title="What happened" testId="trail">
      {data.trail.length === 0 && <p className="mt-2 text-lg text-soft">Nothing yet.</p>}
      <ol className="mt-2 divide-y divide-line text-lg">
        {shown.map(({ id, at_s, who, what, about, detail }) => (
          <li key={id} className="flex flex-wrap gap-x-4 py-2">
            <span className="w-40 text-soft">{when(at_s, units)}</span>
            <span className="min-w-0 flex-1">
              <strong>{who === '' ? 'Somebody' : who}</strong>{' '}
              {trailWords(what, detail?.name === undefined ? { ...detail, name: name(about) ?? '' } : detail, about)}
            </span>
          </li>
        ))}
      </ol>
      {data.trail.length > TRAIL && (
        <button type="button" className={LINK} onClick={() => setAll(!all)}>
          {all ? 'Less' : `All ${data.trail.length}`}
        </button>
      )}
    </Section>
  )
}
