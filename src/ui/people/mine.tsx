'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { ROLE_LINES, ROLE_WORDS } from '@/words/people'
import { clock, shortDay, type Units } from '@/words/units'
import { saidOf, send } from '../shell/client'
import { leaveFor } from '../shell/leave-for'
import { useHydrated } from '../shell/use-hydrated'
import { BUTTON, Field, LINK, Said, Section } from './fields'
import { useEntering } from './use-entering'
import { useWho } from './who'
import { signOut } from './who-menu'

export interface ShownSession {
  readonly id: string
  readonly seen_s: number
  readonly browser: string
  readonly here: boolean
}

/** Which browser that was, as far as it says. */
const browserOf = (agent: string) => {
  const on = /iPad|iPhone|Android|Windows|Macintosh|Linux/.exec(agent)?.[0] ?? 'another machine'
  const by = /Firefox|Edg|Chrome|Safari/.exec(agent)?.[0] ?? 'a browser'
  return `${by.replace('Edg', 'Edge')} on ${on.replace('Macintosh', 'a Mac').replace('Linux', 'Linux')}`
}

/** What is one's own: the password, the number at a tablet, and where one is signed in. */
export function Mine({
  slug,
  sessions,
  pins,
  units,
}: {
  readonly slug: string
  readonly sessions: readonly ShownSession[]
  readonly pins: boolean
  readonly units: Units
}) {
  const who = useWho()
  const router = useRouter()
  const ready = useHydrated()
  const [said, setSaid] = useState<string | undefined>()
  const [done, setDone] = useState('')
  const [now, setNow] = useState('')
  const [next, setNext] = useState('')
  const [pin, setPin] = useState('')
  const [leaving, setLeaving] = useState(false)
  if (!who) return null
  if (who.kind !== 'person')
    return (
      <Section title="You" testId="mine">
        <p className="mt-1 max-w-3xl text-lg">
          {who.kind === 'demo'
            ? `You are ${who.name}, of the demo: nobody owns this installation yet, and whoever sits at this machine may do everything. The one-time address that npm start prints makes its first owner; from then on everybody signs in.`
            : `This is ${who.name}, a tablet of the kitchen: it ${ROLE_LINES.cook}.`}
        </p>
      </Section>
    )
  const ask = async (address: string, method: 'POST' | 'DELETE', body: unknown, well: string) => {
    const answer = await send(address, method, body)
    setSaid(answer.ok ? undefined : saidOf(answer, units))
    setDone(answer.ok ? well : '')
    if (answer.ok) router.refresh()
    return answer.ok
  }
  return (
    <Section title={`You, ${who.name}`} testId="mine">
      <p className="mt-1 text-lg text-soft">
        Here {ROLE_WORDS[who.role]}: {ROLE_LINES[who.role]}.
      </p>
      <p role="status" className="text-lg text-moss">
        {done}
      </p>
      <Said text={said} />
      <div className="mt-3 grid gap-6 lg:grid-cols-2">
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault()
            void ask(
              '/api/auth/change-password',
              'POST',
              { currentPassword: now, newPassword: next, revokeOtherSessions: true },
              'Your password is changed, and you are signed out everywhere else.',
            ).then((ok) => {
              if (!ok) return
              setNow('')
              setNext('')
            })
          }}
        >
          <Field
            label="Present password"
            type="password"
            value={now}
            onChange={setNow}
            autoComplete="current-password"
          />
          <Field
            label="New password"
            hint="ten characters or more"
            type="password"
            value={next}
            onChange={setNext}
            autoComplete="new-password"
          />
          <button type="submit" className={BUTTON} disabled={!ready || now === '' || next.length < 10}>
            Change it
          </button>
        </form>
        <div className="space-y-3">
          <p className="text-lg font-semibold">Signed in</p>
          <ul className="space-y-1 text-lg" data-testid="sessions">
            {sessions.map(({ id, browser, seen_s, here }) => (
              <li key={id} className="flex flex-wrap items-center gap-x-4">
                {browserOf(browser)}, {here ? 'here' : `${shortDay(seen_s, units)} ${clock(seen_s, units)}`}
                {!here && (
                  <button
                    type="button"
                    className={LINK}
                    onClick={() => void ask(`/api/me/sessions/${id}`, 'DELETE', undefined, 'Signed out there.')}
                  >
                    Sign out there
                  </button>
                )}
              </li>
            ))}
          </ul>
          <p className="flex flex-wrap gap-3">
            <button type="button" className={BUTTON} disabled={!ready} onClick={() => void signOut()}>
              Sign out
            </button>
            <button
              type="button"
              className={BUTTON}
              disabled={!ready}
              onClick={() => void ask('/api/me/sessions', 'DELETE', undefined, 'Signed out everywhere else.')}
            >
              Everywhere else
            </button>
          </p>
          {pins && (
            <form
              className="flex flex-wrap items-end gap-3"
              onSubmit={(event) => {
                event.preventDefault()
                void ask(`/api/k/${slug}/pins`, 'POST', { pin }, 'Your number at shared tablets is set.').then(
                  (ok) => ok && setPin(''),
                )
              }}
            >
              <Field
                label="Your number at tablets"
                hint="four to eight digits"
                type="password"
                inputMode="numeric"
                value={pin}
                onChange={setPin}
                maxLength={8}
              />
              <button type="submit" className={BUTTON} disabled={!ready || pin.length < 4}>
                Set it
              </button>
            </form>
          )}
          <p>
            <button
              type="button"
              className={LINK}
              onClick={() => {
                if (!leaving) return setLeaving(true)
                void ask('/api/me', 'DELETE', undefined, '').then((ok) => ok && leaveFor('/sign-in'))
              }}
            >
              {leaving ? 'Yes, take my sign-in away for good' : 'Take my sign-in away'}
            </button>
            {leaving && (
              <span className="block text-base text-soft">What you did stays where it is, under your name.</span>
            )}
          </p>
        </div>
      </div>
    </Section>
  )
}

/** A kitchen more, or this one given up. */
export function Kitchens({
  slug,
  name,
  units,
}: {
  readonly slug: string
  readonly name: string
  readonly units: Units
}) {
  const { enter, said, ready } = useEntering<{ slug: string }>(units)
  const [more, setMore] = useState('')
  const [typed, setTyped] = useState('')
  return (
    <Section title="Kitchens" testId="kitchens">
      <Said text={said} />
      <div className="mt-3 grid gap-6 lg:grid-cols-2">
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault()
            void enter('/api/kitchens', 'POST', { name: more.trim() }, ({ slug: made }) => `/k/${made}`)
          }}
        >
          <Field label="Another kitchen" hint="its name" value={more} onChange={setMore} maxLength={60} />
          <button type="submit" className={BUTTON} disabled={!ready || more.trim() === ''}>
            Open it
          </button>
        </form>
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault()
            void enter(`/api/k/${slug}`, 'DELETE', { name: typed.trim() }, () => '/')
          }}
        >
          <Field label="Give this one up" hint={`type ${name}`} value={typed} onChange={setTyped} maxLength={60} />
          <p className="text-base text-soft">
            Its plans, cooks and pictures go, and every way into it; its food-safety record is kept. Take the whole
            kitchen along first.
          </p>
          <button type="submit" className={BUTTON} disabled={!ready || typed.trim() !== name}>
            Close it for good
          </button>
        </form>
      </div>
    </Section>
  )
}
