'use client'
import { ArrowRight } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useEffect, useId, useRef, useState } from 'react'
import type { HouseItem } from '@/domain/house/house-item'
import { likeOf } from '@/domain/line/like'
import { readLine } from '@/domain/line/reading'
import { LONGEST_LINE } from '@/domain/line/tokens'
import { warmLines } from '@/domain/line/warm'
import type { Problem } from '@/domain/problem/problem'
import type { Units } from '@/words/units'
import { SILENT_PROBLEM, send } from '../shell/client'
import { ProblemList } from '../shell/problem-list'
import { useHydrated } from '../shell/use-hydrated'
import { Asks } from './asks'
import { lineContext } from './context'
import { Understood } from './understood'

const EXAMPLES = [
  'beef rib 2.7 kg bone-in, medium-rare, oven 120, eat 19:00',
  'leg of lamb for 8 with roast potatoes and parsnips, sunday lunch',
  'turkey 13 lb, stuffed, 325F, eat sunday 2pm, one pregnant',
  'pork loin 1.8 kg, 230 for 20 min then 160, dinner tomorrow',
]

/** Said as a cook says it. What was understood stands below it word by word, what was not is asked about there. */
export function LineEntry({
  kitchen,
  units,
  now_s,
  house,
}: {
  readonly kitchen: string
  readonly units: Units
  readonly now_s: number
  readonly house: readonly HouseItem[]
}) {
  const id = useId()
  const router = useRouter()
  const entry = useRef<HTMLTextAreaElement>(null)
  const [line, setLine] = useState('')
  const [refused, setRefused] = useState<readonly Problem[]>([])
  const [busy, setBusy] = useState(false)
  const ready = useHydrated()
  const read = line.trim() === '' ? undefined : readLine(line, lineContext(units, now_s, house))
  useEffect(() => {
    // Before the first key is pressed, in the browser's idle moments where it has such.
    warmLines((go) => ('requestIdleCallback' in window ? requestIdleCallback(go) : setTimeout(go, 50)))
  }, [])
  const reading = read?.ok ? read.value : undefined
  const like = likeOf(line)
  const problems =
    like && refused.length === 0 ? [] : refused.length > 0 ? refused : read && !read.ok ? read.problems : []
  const type = (text: string) => {
    setLine(text.replaceAll('\n', ' '))
    setRefused([])
  }

  const submit = async () => {
    if ((!like && (!reading || reading.roasts.length === 0)) || busy) return
    setBusy(true)
    const added = await send<{ kind: 'plan' | 'meal'; id: string }>(`/api/k/${kitchen}/lines`, 'POST', { line })
    if (added.ok) return router.push(`/k/${kitchen}/${added.value.kind}s/${added.value.id}`)
    setRefused(added.problems.length > 0 ? added.problems : [SILENT_PROBLEM])
    setBusy(false)
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      <label htmlFor={id} className="font-display text-3xl font-bold tracking-tight sm:text-5xl">
        What are you roasting, and when do they eat?
      </label>
      <div className="mt-5 flex flex-col gap-2 rounded-2xl border-2 border-ink bg-sheet p-2 focus-within:outline-3 focus-within:outline-focus sm:flex-row sm:items-end">
        <textarea
          ref={entry}
          id={id}
          rows={1}
          maxLength={LONGEST_LINE}
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          disabled={!ready}
          className="field-sizing-content min-h-12 w-full min-w-0 flex-1 resize-none border-0 bg-transparent px-3 py-2.5 text-xl leading-snug outline-none! placeholder:text-soft/80"
          placeholder={EXAMPLES[0]}
          value={line}
          aria-invalid={problems.length > 0 || undefined}
          aria-describedby={`${id}said`}
          onChange={(event) => type(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey) return
            event.preventDefault()
            void submit()
          }}
        />
        <button
          type="submit"
          disabled={busy || !ready}
          className="inline-flex min-h-12 items-center justify-center gap-2 rounded-xl bg-action px-5 text-lg font-semibold text-white disabled:opacity-70"
        >
          Plan it <ArrowRight className="size-5" aria-hidden />
        </button>
      </div>
      <div id={`${id}said`} aria-live="polite" className="mt-4 min-h-14 space-y-4">
        {problems.length > 0 && <ProblemList problems={problems} units={units} className="px-4 py-2" />}
        {like && problems.length === 0 && (
          <p className="text-lg" data-testid="like-before">
            Looks in the logbook for the newest with “{like.words}”, and plans it again{' '}
            {like.yearly ? 'for its day this year' : 'for the next such day'}, with what was learned since.
          </p>
        )}
        {!like && reading && <Understood line={line} reading={reading} units={units} now_s={now_s} />}
        {!like && reading && reading.asks.length > 0 && (
          <Asks
            asks={reading.asks}
            units={units}
            answer={(answered) => {
              type(answered)
              entry.current?.focus()
            }}
          />
        )}
        {line === '' && (
          <ul className="flex flex-wrap gap-x-5 gap-y-1 text-base text-soft">
            {EXAMPLES.slice(1).map((example) => (
              <li key={example}>
                <button
                  type="button"
                  className="min-h-9 text-left underline decoration-line decoration-2 underline-offset-4 hover:decoration-copper"
                  onClick={() => type(example)}
                >
                  {example}
                </button>
              </li>
            ))}
          </ul>
        )}
      </div>
    </form>
  )
}
