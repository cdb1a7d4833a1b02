'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import type { MouseEvent, ReactNode } from 'react'
import { type Standing, useWhenKept } from './use-when-kept'

/** A way to a page or a file that the server makes from what is kept: what was changed a moment ago is on it, too. */
export function KeptLink({
  href,
  standing,
  className,
  file = false,
  children,
}: {
  readonly href: string
  readonly className: string
  /** A file that is fetched: the page stays. */
  readonly file?: boolean
  readonly standing: Standing
  readonly children: ReactNode
}) {
  const router = useRouter()
  const { ask, waits } = useWhenKept<string>(standing, (to) => (file ? window.location.assign(to) : router.push(to)))
  // A file is none of the application's pages, to be fetched ahead.
  const Way = file ? 'a' : Link
  return (
    <Way
      href={href}
      aria-busy={waits}
      className={`inline-flex min-h-11 items-center font-semibold ${className} ${waits ? 'opacity-60' : ''}`}
      onClick={(event: MouseEvent) => {
        // What is opened in another window is asked for at once.
        if (standing !== 'in_a_moment' || event.metaKey || event.ctrlKey || event.shiftKey) return
        event.preventDefault()
        ask(href)
      }}
    >
      {children}
    </Way>
  )
}
