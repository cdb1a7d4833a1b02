'use client'
import Link from 'next/link'
import { usePathname } from 'next/navigation'
import { useOutbox } from './use-outbox'

/** On every page but the list itself: what of this device is not on the server, and what the server would not have. */
export function OutboxNotice() {
  const { items, unkept } = useOutbox()
  const path = usePathname()
  const refused = items.filter(({ refused }) => refused !== undefined).length
  const waiting = items.length - refused
  // A board says it of its own entries, in its own place.
  if (path === '/waiting' || /\/cooks\//.test(path) || items.length === 0) return null
  const said = [
    waiting > 0 && `${waiting} ${waiting === 1 ? 'entry waits' : 'entries wait'} on this device`,
    refused > 0 && `${refused} ${refused === 1 ? 'entry was' : 'entries were'} refused by the server`,
    unkept.size > 0 && `${unkept.size} of them cannot be kept here, for the device is full: leave this page open`,
  ].filter(Boolean)
  return (
    <p
      role="status"
      className="no-print bg-copper-ground px-4 py-2 text-center text-base text-ink"
      data-testid="outbox"
    >
      {said.join('; ')}.{' '}
      <Link href="/waiting" className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4">
        {items.length === 1 ? 'Look at it' : 'Look at them'}
      </Link>
    </p>
  )
}
