'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect } from 'react'

/** Whoever waits is not asked to press anything: it is tried again by itself. */
const AGAIN_MS = 3000

/** A page that cannot be shown yet, with why, and tried again. */
export function Trouble({ sentence, retry }: { readonly sentence: string; readonly retry?: () => void }) {
  const router = useRouter()
  const again = retry ?? (() => router.refresh())
  useEffect(() => {
    if (retry) return
    const timer = setInterval(() => router.refresh(), AGAIN_MS)
    return () => clearInterval(timer)
  }, [retry, router])
  return (
    <main className="mx-auto max-w-3xl px-4 py-16 sm:px-6" role="alert" data-testid="trouble">
      <h1 className="font-display text-4xl font-bold tracking-tight">Not just now</h1>
      <p className="mt-3 text-xl">{sentence}</p>
      <p className="mt-6 flex flex-wrap gap-3">
        <button
          type="button"
          className="inline-flex min-h-12 items-center rounded-full bg-bottle px-6 text-lg font-semibold text-white"
          onClick={again}
        >
          Try again
        </button>
        <Link
          href="/"
          className="inline-flex min-h-12 items-center rounded-full border-2 border-line px-6 text-lg font-semibold hover:border-copper"
        >
          To the kitchen
        </Link>
      </p>
    </main>
  )
}
