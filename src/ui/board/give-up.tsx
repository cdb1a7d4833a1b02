'use client'

const REASONS = ['burnt', 'raw inside, no time', 'dropped', 'spoiled', 'not needed'] as const

/** A roast that does not come to the table: with its reason, and never by one slip. */
export function GiveUp({ title, giveUp }: { readonly title: string; readonly giveUp: (reason: string) => void }) {
  return (
    <details className="mt-1">
      <summary className="min-h-11 cursor-pointer py-2 text-lg text-soft">Give it up</summary>
      <p className="flex flex-wrap items-center gap-2 text-lg">
        {title} does not come to the table:
        {REASONS.map((reason) => (
          <button
            key={reason}
            type="button"
            className="min-h-12 rounded-full border-2 border-line px-4 font-semibold hover:border-wattle"
            onClick={() => giveUp(reason)}
          >
            {reason}
          </button>
        ))}
      </p>
    </details>
  )
}
