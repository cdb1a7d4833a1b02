'use client'
import { useState } from 'react'
import { PLAIN_UNITS } from '@/words/units'
import { saidOf, send } from '../shell/client'
import { leaveFor } from '../shell/leave-for'
import { useHydrated } from '../shell/use-hydrated'
import { Field, MAIN_BUTTON, Said } from './fields'

const NAME_HINT = 'letters, digits, dot or dash'
const PASSWORD_HINT = 'ten characters or more'

/** Somebody who has a name and a password says them. */
export function SignIn({ to }: { readonly to: string }) {
  const ready = useHydrated()
  const [username, setUsername] = useState('')
  const [password, setPassword] = useState('')
  const [said, setSaid] = useState<string | undefined>()
  const [busy, setBusy] = useState(false)
  const enter = async () => {
    setBusy(true)
    const done = await send('/api/auth/sign-in/username', 'POST', { username: username.trim(), password })
    if (done.ok) return leaveFor(to)
    setSaid(saidOf(done, PLAIN_UNITS))
    setBusy(false)
  }
  return (
    <form
      className="mt-6 space-y-5"
      onSubmit={(event) => {
        event.preventDefault()
        void enter()
      }}
    >
      <Field label="Sign-in name" value={username} onChange={setUsername} autoComplete="username" />
      <Field label="Password" type="password" value={password} onChange={setPassword} autoComplete="current-password" />
      <Said text={said} />
      <button type="submit" className={MAIN_BUTTON} disabled={!ready || busy || username === '' || password === ''}>
        Sign in
      </button>
    </form>
  )
}

/** Somebody new: who claims the installation, or takes an invitation. */
export function NewPerson({
  token,
  claims,
  action,
}: {
  readonly token: string
  readonly claims: boolean
  readonly action: string
}) {
  const ready = useHydrated()
  const [name, setName] = useState('')
  const [username, setUsername] = useState('')
  const [password, setPassword] = useState('')
  const [kitchen, setKitchen] = useState('')
  const [said, setSaid] = useState<string | undefined>()
  const [busy, setBusy] = useState(false)
  const enter = async () => {
    setBusy(true)
    const done = await send<{ kitchen: string }>(claims ? '/api/claim' : '/api/join', 'POST', {
      token,
      name: name.trim(),
      username: username.trim(),
      password,
      ...(claims && kitchen.trim() !== '' ? { kitchen: kitchen.trim() } : {}),
    })
    if (done.ok) return leaveFor(`/k/${done.value.kitchen}`)
    setSaid(saidOf(done, PLAIN_UNITS))
    setBusy(false)
  }
  return (
    <form
      className="mt-6 space-y-5"
      onSubmit={(event) => {
        event.preventDefault()
        void enter()
      }}
    >
      <Field label="Your name" hint="as the others know you" value={name} onChange={setName} autoComplete="name" />
      <Field
        label="Sign-in name"
        hint={NAME_HINT}
        value={username}
        onChange={setUsername}
        autoComplete="username"
        maxLength={30}
      />
      <Field
        label="Password"
        hint={PASSWORD_HINT}
        type="password"
        value={password}
        onChange={setPassword}
        autoComplete="new-password"
      />
      {claims && (
        <Field
          label="A kitchen of your own"
          hint="its name; empty: the demo’s are enough"
          value={kitchen}
          onChange={setKitchen}
          maxLength={60}
        />
      )}
      <Said text={said} />
      <button
        type="submit"
        className={MAIN_BUTTON}
        disabled={!ready || busy || name.trim() === '' || username.trim() === '' || password.length < 10}
      >
        {action}
      </button>
    </form>
  )
}

/** Who is signed in takes an invitation as they are. */
export function JoinAsMe({ token, name }: { readonly token: string; readonly name: string }) {
  const ready = useHydrated()
  const [said, setSaid] = useState<string | undefined>()
  const enter = async () => {
    const done = await send<{ kitchen: string }>('/api/join', 'POST', { token })
    if (done.ok) return leaveFor(`/k/${done.value.kitchen}`)
    setSaid(saidOf(done, PLAIN_UNITS))
  }
  return (
    <div className="mt-6 space-y-4">
      <Said text={said} />
      <button type="button" className={MAIN_BUTTON} disabled={!ready} onClick={() => void enter()}>
        Join as {name}
      </button>
    </div>
  )
}

/** A tablet that was scanned in says what it is called. */
export function JoinTablet({ token }: { readonly token: string }) {
  const ready = useHydrated()
  const [name, setName] = useState('Tablet by the stove')
  const [said, setSaid] = useState<string | undefined>()
  const enter = async () => {
    const done = await send<{ kitchen: string }>('/api/tablets', 'POST', { token, name: name.trim() })
    if (done.ok) return leaveFor(`/k/${done.value.kitchen}`)
    setSaid(saidOf(done, PLAIN_UNITS))
  }
  return (
    <form
      className="mt-6 space-y-5"
      onSubmit={(event) => {
        event.preventDefault()
        void enter()
      }}
    >
      <Field label="What is this tablet called?" value={name} onChange={setName} maxLength={40} />
      <Said text={said} />
      <button type="submit" className={MAIN_BUTTON} disabled={!ready || name.trim() === ''}>
        This tablet belongs here
      </button>
    </form>
  )
}
