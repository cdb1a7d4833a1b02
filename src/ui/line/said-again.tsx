'use client'
import { useState } from 'react'
import { sayPlan } from '@/domain/line/say'
import type { PlanDocument } from '@/domain/roast/roast-document'
import type { Units } from '@/words/units'

/** The plan as the one line that gives it again: to be kept, sent, or typed another year. */
export function SaidAgain({ document, units }: { readonly document: PlanDocument; readonly units: Units }) {
  const [copied, setCopied] = useState(false)
  const { line, unsaid } = sayPlan(document, units.timeZone)
  return (
    <details className="rounded-2xl border border-line bg-sheet px-4 py-2 sm:px-5">
      <summary className="min-h-11 cursor-pointer py-2 font-display text-xl font-semibold">
        The plan in one line
      </summary>
      <p className="pb-2 text-lg" data-testid="said-again">
        {line}
      </p>
      {unsaid.length > 0 && <p className="pb-2 text-base text-soft">The line leaves out {unsaid.join(', ')}.</p>}
      <button
        type="button"
        className="mb-3 min-h-11 rounded-full border-2 border-line px-5 font-semibold hover:border-copper"
        onClick={() => {
          // Where the browser lets no page write there, the line can still be marked by hand.
          navigator.clipboard?.writeText(line).then(
            () => setCopied(true),
            () => setCopied(false),
          )
        }}
      >
        {copied ? 'Copied' : 'Copy it'}
      </button>
    </details>
  )
}
