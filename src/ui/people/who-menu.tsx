'use client'
import Link from 'next/link'
import { DropdownMenu } from 'radix-ui'
import { useState } from 'react'
import { ROLE_WORDS } from '@/words/people'
import { send } from '../shell/client'
import { leaveFor } from '../shell/leave-for'
import { useWho } from './who'

const ITEM =
  'block w-full cursor-pointer rounded-md px-4 py-2.5 text-left outline-none data-[highlighted]:bg-moss-ground'

/** Leaves this browser to nobody: what it kept of the sign-in is gone. */
export async function signOut(): Promise<boolean> {
  const done = await send('/api/auth/sign-out', 'POST', {})
  // Boards that this browser keeps for when the network is gone go with it.
  if (done.ok && 'caches' in window)
    for (const name of await caches.keys()) if (name.startsWith('pheasant-boards')) await caches.delete(name)
  if (done.ok) leaveFor('/sign-in')
  return done.ok
}

/** Who is signed in, and the way to what is theirs. */
export function WhoMenu({ slug }: { readonly slug: string }) {
  const who = useWho()
  const [failed, setFailed] = useState(false)
  if (!who) return null
  const kind = who.kind === 'demo' ? 'demo' : who.kind === 'tablet' ? 'tablet' : ROLE_WORDS[who.role]
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        className="min-h-11 w-11 shrink-0 truncate rounded-full border border-white/30 text-base hover:bg-white/10 sm:w-auto sm:max-w-56 sm:shrink sm:px-4"
        aria-label={`${who.name}, ${kind}`}
        data-testid="who"
      >
        <span className="sm:hidden" aria-hidden>
          {who.name.slice(0, 1)}
        </span>
        <span className="hidden sm:inline">
          {who.name} <span className="text-white/75">{kind}</span>
        </span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={8}
          className="z-50 min-w-60 rounded-xl border border-line bg-sheet p-1.5 text-lg text-ink shadow-xl"
        >
          <p className="px-4 py-2 text-base text-soft">
            {who.kind === 'demo'
              ? 'Nobody owns this installation yet. The address that npm start prints claims it.'
              : failed
                ? 'Not signed out: the kitchen does not answer.'
                : `${who.name}, ${kind}`}
          </p>
          <DropdownMenu.Item asChild>
            <Link className={ITEM} href={`/k/${slug}/people`} prefetch={false}>
              People and devices
            </Link>
          </DropdownMenu.Item>
          {who.kind === 'person' && (
            <DropdownMenu.Item asChild onSelect={(event) => event.preventDefault()}>
              <button type="button" className={ITEM} onClick={() => void signOut().then((ok) => setFailed(!ok))}>
                Sign out
              </button>
            </DropdownMenu.Item>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
