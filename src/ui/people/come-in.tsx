'use client'
import { useState } from 'react'
import { PLAIN_UNITS } from '@/words/units'
import { Field, MAIN_BUTTON, Said } from './fields'
import { useEntering } from './use-entering'

/** Where whoever was let in goes on. */
interface Let {
  readonly kitchen: string
}
const toKitchen = ({ kitchen }: Let) => `/k/${kitchen}`

const NAME_HINT = 'letters, digits, dot or dash'
const PASSWORD_HINT = 'ten characters or more'

/** Somebody who has a name and a password says them. */
export function SignIn({ to }: { readonly to: string }) {
  const { enter, said, ready } = useEntering(PLAIN_UNITS)
  const [username, setUsername] = useState('')
  const [password, setPassword] = useState('')
  return (
    <form
      className="mt-6 space-y-5"
      onSubmit={(event) => {
        event.preventDefault()
        void enter('/api/auth/sign-in/username', 'POST', { username: username.trim(), password }, () => to)
      }}
    >
      <Field label="Sign-in name" value={username} onChange={setUsername} autoComplete="username" />
      <Field label="Password" type="password" value={password} onChange={setPassword} autoComplete="current-password" />
      <Said text={said} />
      <button type="submit" className={MAIN_BUTTON} disabled={!ready || username === '' || password === ''}>
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
  const { enter, said, ready } = useEntering<Let>(PLAIN_UNITS)
  const [name, setName] = useState('')
  const [username, setUsername] = useState('')
  const [password, setPassword] = useState('')
  const [kitchen, setKitchen] = useState('')
  const person = {
    token,
    name: name.trim(),
    username: username.trim(),
    password,
    ...(claims && kitchen.trim() !== '' ? { kitchen: kitchen.trim() } : {}),
  }
  return (
    <form
      className="mt-6 space-y-5"
      onSubmit={(event) => {
        event.preventDefault()
        void enter(claims ? '/api/claim' : '/api/join', 'POST', person, toKitchen)
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
        disabled={!ready || name.trim() === '' || username.trim() === '' || password.length < 10}
      >
        {action}
      </button>
    </form>
  )
}

/** Who is signed in takes an invitation as they are. */
export function JoinAsMe({ token, name }: { readonly token: string; readonly name: string }) {
  const { enter, said, ready } = useEntering<Let>(PLAIN_UNITS)
  return (
    <div className="mt-6 space-y-4">
      <Said text={said} />
      <button
        type="button"
        className={MAIN_BUTTON}
        disabled={!ready}
        onClick={() => void enter('/api/join', 'POST', { token }, toKitchen)}
      >
        Join as {name}
      </button>
    </div>
  )
}

/** A tablet that was scanned in says what it is called. */
export function JoinTablet({ token }: { readonly token: string }) {
  const { enter, said, ready } = useEntering<Let>(PLAIN_UNITS)
  const [name, setName] = useState('Tablet by the stove')
  return (
    <form
      className="mt-6 space-y-5"
      onSubmit={(event) => {
        event.preventDefault()
        void enter('/api/tablets', 'POST', { token, name: name.trim() }, toKitchen)
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
