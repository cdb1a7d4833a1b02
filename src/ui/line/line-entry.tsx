'use client'
import { ArrowRight } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useId, useState } from 'react'
import { readLine } from '@/domain/line/line'
import type { Problem } from '@/domain/problem/problem'
import { problemSentence } from '@/words/problems'
import { clock, mass, shortDay, temperature, type Units } from '@/words/units'
import { cutName, donenessName, schoolName } from '@/words/words'
import { SILENT_PROBLEM, send } from '../shell/client'
import { useHydrated } from '../shell/use-hydrated'

const EXAMPLES = [
  'beef rib 2.7 kg bone-in, medium-rare, oven 120, eat 19:00',
  'lamb leg 2.8 kg bone-in, pink, fan 150, eat 19:15',
  'turkey 13 lb, oven 325F, eat sunday 2pm',
  'pork loin 1.8 kg, gas 4, eat tomorrow 13:00',
]

const spanOf = (problem: Problem) =>
  problem.code === 'unknown_word' || problem.code === 'given_twice' ? problem.at : undefined

/** Type it like you say it. What is understood shows at once; a word that is not is marked where it stands. */
export function LineEntry({
  kitchen,
  units,
  now_s,
}: {
  readonly kitchen: string
  readonly units: Units
  readonly now_s: number
}) {
  const id = useId()
  const router = useRouter()
  const [line, setLine] = useState('')
  const [refused, setRefused] = useState<readonly Problem[]>([])
  const [busy, setBusy] = useState(false)
  const [asked, setAsked] = useState(false)
  const ready = useHydrated()
  const read = line.trim() === '' ? undefined : readLine(line, now_s, units.timeZone)
  const problems = refused.length > 0 ? refused : read && !read.ok ? read.problems : []
  const spans = problems
    .map(spanOf)
    .filter((span) => span !== undefined)
    .sort((a, b) => a.from - b.from)
  // While typing, only what is surely wrong is marked; what is merely missing waits for the asking.
  const shown = asked ? problems : problems.filter((problem) => spanOf(problem))

  const submit = async () => {
    setAsked(true)
    if (!read?.ok || busy) return
    setBusy(true)
    const added = await send<{ id: string }>(`/api/k/${kitchen}/plans`, 'POST', { line })
    if (added.ok) return router.push(`/k/${kitchen}/plans/${added.value.id}`)
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
      <div className="mt-5 flex items-stretch gap-2 rounded-2xl border-2 border-ink bg-sheet p-2 focus-within:outline-3 focus-within:outline-focus">
        <input
          id={id}
          autoComplete="off"
          autoCapitalize="off"
          spellCheck={false}
          disabled={!ready}
          className="min-h-12 w-full min-w-0 flex-1 border-0 bg-transparent px-3 text-xl outline-none placeholder:text-soft/80"
          placeholder={EXAMPLES[0]}
          value={line}
          aria-invalid={shown.length > 0 || undefined}
          aria-describedby={`${id}said`}
          onChange={(event) => {
            setLine(event.target.value)
            setRefused([])
            setAsked(false)
          }}
        />
        <button
          type="submit"
          disabled={busy || !ready}
          className="inline-flex min-h-12 items-center gap-2 rounded-xl bg-action px-5 text-lg font-semibold text-white disabled:opacity-70"
        >
          Plan it <ArrowRight className="size-5" aria-hidden />
        </button>
      </div>
      <div id={`${id}said`} aria-live="polite" className="mt-3 min-h-14">
        {shown.length > 0 && (
          <div
            role="alert"
            className="rounded-lg border-l-4 border-wattle bg-wattle-ground px-4 py-2"
            data-testid="line-problems"
          >
            {spans.length > 0 && (
              <p className="mb-1 font-mono text-base" data-testid="line-marked">
                {marked(line, spans)}
              </p>
            )}
            {shown.map((problem) => (
              <p
                key={`${problem.code}${spanOf(problem)?.from ?? ''}${'path' in problem ? problem.path.join('.') : ''}`}
                className="text-base"
              >
                {problemSentence(problem, units)}
              </p>
            ))}
          </div>
        )}
        {read?.ok && shown.length === 0 && (
          <p className="flex flex-wrap gap-2 text-base" data-testid="line-understood">
            {[
              cutName(read.value.cut),
              mass(read.value.mass_kg, units),
              read.value.thickness_mm && `${read.value.thickness_mm} mm through`,
              read.value.doneness
                ? donenessName(read.value.doneness)
                : read.value.serve_c !== undefined && temperature(read.value.serve_c, units),
              read.value.school && schoolName(read.value.school),
              read.value.set_c !== undefined &&
                `${read.value.oven === 'fan' ? 'fan oven' : 'oven'} ${temperature(read.value.set_c, units)}`,
              read.value.promise_s !== undefined &&
                `${shortDay(read.value.promise_s, units)} ${clock(read.value.promise_s, units)}`,
              read.value.guests && `for ${read.value.guests}`,
            ]
              .filter(Boolean)
              .map((chip) => (
                <span key={String(chip)} className="rounded-full bg-moss-ground px-3 py-1">
                  {chip}
                </span>
              ))}
          </p>
        )}
        {line === '' && (
          <ul className="flex flex-wrap gap-x-5 gap-y-1 text-base text-soft">
            {EXAMPLES.slice(1).map((example) => (
              <li key={example}>
                <button
                  type="button"
                  className="min-h-9 text-left underline decoration-line decoration-2 underline-offset-4 hover:decoration-copper"
                  onClick={() => setLine(example)}
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

function marked(line: string, spans: readonly { from: number; to: number }[]) {
  const parts: React.ReactNode[] = []
  let last = 0
  for (const { from, to } of spans) {
    parts.push(
      line.slice(last, from),
      <mark
        key={from}
        className="rounded-sm bg-transparent font-semibold text-wattle underline decoration-wavy decoration-2 underline-offset-4"
      >
        {line.slice(from, to)}
      </mark>,
    )
    last = to
  }
  parts.push(line.slice(last))
  return parts
}
