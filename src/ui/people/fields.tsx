'use client'
import { type ReactNode, useEffect, useState } from 'react'

/** The plain parts that the pages of people are made of. */

export const BUTTON =
  'inline-flex min-h-12 items-center rounded-full border-2 border-line px-5 text-lg font-semibold hover:border-copper disabled:opacity-60'
export const MAIN_BUTTON =
  'inline-flex min-h-14 items-center rounded-full bg-action px-7 text-xl font-semibold text-white disabled:opacity-60'
export const LINK = 'inline-flex min-h-11 items-center underline underline-offset-4'

/** One thing to type, under what it is. */
export function Field({
  label,
  hint,
  ...input
}: {
  readonly label: string
  readonly hint?: string
  readonly type?: 'text' | 'password'
  readonly value: string
  readonly autoComplete?: string
  readonly inputMode?: 'text' | 'numeric'
  readonly maxLength?: number
  readonly onChange: (value: string) => void
}) {
  const { onChange, ...rest } = input
  return (
    <label className="block text-lg">
      <span className="font-semibold">{label}</span>
      {hint && <span className="ml-2 text-base text-soft">{hint}</span>}
      <input
        type="text"
        autoCapitalize="none"
        spellCheck={false}
        {...rest}
        className="mt-1 block min-h-14 w-full rounded-2xl border-2 border-line bg-transparent px-4 text-xl focus:border-copper"
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  )
}

/** A page of its own before any kitchen: signing in, joining. */
export const FrontPage = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <>
    <header className="neck text-white">
      <p className="mx-auto max-w-xl px-6 pb-4 pt-4 font-display text-2xl font-bold tracking-tight">Pheasant</p>
    </header>
    <main className="mx-auto max-w-xl px-6 py-10">
      <h1 className="font-display text-4xl font-bold tracking-tight">{title}</h1>
      {children}
    </main>
  </>
)

export const Said = ({ text }: { readonly text: string | undefined }) =>
  text ? (
    <p role="alert" className="text-lg text-wattle">
      {text}
    </p>
  ) : null

export const Section = ({
  title,
  children,
  testId,
}: {
  readonly title: string
  readonly children: ReactNode
  readonly testId: string
}) => (
  <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5" data-testid={testId}>
    <h2 className="font-display text-2xl font-semibold">{title}</h2>
    {children}
  </section>
)

/** How long what was tapped once waits for the second tap, ms. */
const WAITS_MS = 6000

/** Something that cannot be taken back by a tap: it asks once more, and a wet thumb does nothing. */
export function Twice({
  label,
  sure,
  disabled,
  act,
}: {
  readonly label: string
  readonly sure: string
  readonly disabled: boolean
  readonly act: () => void
}) {
  const [asked, setAsked] = useState(false)
  useEffect(() => {
    if (!asked) return
    const timer = setTimeout(() => setAsked(false), WAITS_MS)
    return () => clearTimeout(timer)
  }, [asked])
  return (
    <button
      type="button"
      disabled={disabled}
      className={`${BUTTON} ${asked ? 'border-wattle bg-wattle-ground' : ''}`}
      onClick={() => {
        setAsked(!asked)
        if (asked) act()
      }}
    >
      {asked ? sure : label}
    </button>
  )
}
