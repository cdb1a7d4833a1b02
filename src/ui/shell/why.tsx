'use client'
import { Popover } from 'radix-ui'
import type { ReactNode } from 'react'

/** A number that says why: tap it for the inputs, the rule or the model behind it. */
export function Why({
  children,
  label,
  basis,
  note,
}: {
  children: ReactNode
  label: string
  basis: string
  note: ReactNode
}) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${label}: why?`}
        className="cursor-help rounded-sm text-left underline decoration-copper-bright decoration-dotted decoration-2 underline-offset-[0.22em] hover:decoration-solid"
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={8}
          collisionPadding={12}
          className="z-50 max-w-sm rounded-xl border border-line bg-sheet p-4 text-base leading-snug text-ink shadow-xl"
        >
          <p className="mb-1.5 text-sm font-semibold text-copper">{basis}</p>
          <div>{note}</div>
          <Popover.Arrow className="fill-line" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
