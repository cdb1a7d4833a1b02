'use client'
import { Search } from 'lucide-react'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Facet, Facets, ListedStory, ServedDay } from '@/domain/cook/story/found'
import { storySchool, VERDICT_NAMES } from '@/words/story-words'
import { duration, mass, shortDay, temperature, type Units } from '@/words/units'
import { cutName } from '@/words/words'

/** What the address says; what is not said is left out. */
export interface LogbookAsked {
  readonly words?: string | undefined
  readonly cut?: string | undefined
  readonly school?: string | undefined
  readonly oven?: string | undefined
  readonly supplier?: string | undefined
  readonly result?: string | undefined
  readonly season?: string | undefined
  readonly guests?: string | undefined
  readonly year?: number | undefined
  readonly page: number
}

interface LogbookViewProps {
  readonly slug: string
  readonly logbook: {
    readonly stories: readonly ListedStory[]
    readonly total: number
    readonly facets: Facets
    readonly days: readonly ServedDay[]
  }
  readonly query: LogbookAsked
  readonly perPage: number
  readonly year: number
  readonly units: Units
}

const RESULTS = [
  ['as_wanted', 'as wanted'],
  ['under', 'underdone'],
  ['over', 'overdone'],
  ['late', 'late'],
] as const
const SEASONS = ['spring', 'summer', 'autumn', 'winter', 'christmas'] as const
const GUESTS = [
  ['few', 'up to 4'],
  ['some', '5 to 12'],
  ['many', '13 and more'],
] as const
const MOST_LAID_OVER = 3

/** The logbook: what is looked for above, the year beside it, cooks below. */
export function LogbookView({ slug, logbook, query, perPage, year, units }: LogbookViewProps) {
  const { stories, total, facets, days } = logbook
  const router = useRouter()
  const [chosen, setChosen] = useState<readonly string[]>([])
  const address = (part: Partial<LogbookAsked>): string => {
    const said = new URLSearchParams()
    for (const [name, value] of Object.entries({ ...query, page: 1, ...part }))
      if (value !== undefined && value !== '' && !(name === 'page' && value === 1)) said.set(name, String(value))
    const text = said.toString()
    return `/k/${slug}/logbook${text ? `?${text}` : ''}`
  }
  const narrowed = Object.entries(query).some(([name, value]) => name !== 'page' && value !== undefined)
  const chip = (name: keyof LogbookAsked, value: string, words: string) => {
    const on = query[name] === value
    return (
      <Link
        key={`${name}-${value}`}
        href={address({ [name]: on ? undefined : value })}
        prefetch={false}
        scroll={false}
        aria-current={on || undefined}
        className={`inline-flex min-h-11 items-center rounded-full border-2 px-4 text-base ${on ? 'border-moss bg-moss-ground font-semibold' : 'border-line hover:border-copper'}`}
      >
        {words}
      </Link>
    )
  }
  const facetChips = (
    name: 'cut' | 'school' | 'oven' | 'supplier',
    list: readonly Facet[],
    words: (name: string) => string,
  ) =>
    (list.length > 1 || query[name] !== undefined) &&
    list.slice(0, 12).map((facet) => chip(name, facet.name, `${words(facet.name)} ${facet.count}`))
  const choose = (id: string) =>
    setChosen((last) => (last.includes(id) ? last.filter((each) => each !== id) : [...last, id].slice(-MOST_LAID_OVER)))
  const pages = Math.max(1, Math.ceil(total / perPage))
  return (
    <>
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
        <h1 className="font-display text-4xl font-bold tracking-tight">Logbook</h1>
        <Link
          href={`/k/${slug}/learned`}
          prefetch={false}
          className="inline-flex min-h-11 items-center text-lg underline underline-offset-4"
        >
          What was learned
        </Link>
      </div>
      <form
        className="mt-4 flex gap-2 rounded-2xl border-2 border-ink bg-sheet p-2 focus-within:outline-3 focus-within:outline-focus"
        onSubmit={(event) => {
          event.preventDefault()
          router.push(address({ words: String(new FormData(event.currentTarget).get('words') ?? '').trim() }))
        }}
      >
        <input
          name="words"
          defaultValue={query.words ?? ''}
          maxLength={200}
          aria-label="Look for"
          placeholder="rib, the butcher, “more salt” …"
          className="min-h-12 min-w-0 flex-1 border-0 bg-transparent px-3 text-xl outline-none! placeholder:text-soft/80"
        />
        <button
          type="submit"
          className="inline-flex min-h-12 items-center gap-2 rounded-xl bg-action px-5 text-lg font-semibold text-white"
        >
          <Search className="size-5" aria-hidden /> Look
        </button>
      </form>
      <Year days={days} year={year} units={units} address={(to) => address({ year: to })} />
      <details className="mt-3" open={narrowed}>
        <summary className="min-h-11 cursor-pointer py-2 text-lg">Narrow it down</summary>
        <div className="flex flex-wrap gap-2 pb-2">
          {facetChips('cut', facets.cuts, cutName)}
          {facetChips('school', facets.schools, storySchool)}
          {facetChips('oven', facets.ovens, (name) => name)}
          {facetChips('supplier', facets.suppliers, (name) => `from ${name}`)}
          {RESULTS.map(([value, words]) => chip('result', value, words))}
          {SEASONS.map((value) => chip('season', value, value))}
          {GUESTS.map(([value, words]) => chip('guests', value, `${words} eating`))}
        </div>
      </details>
      <p className="mt-4 text-lg text-soft" role="status">
        {total === 0
          ? narrowed
            ? 'Nothing like that in the book. '
            : 'Nothing yet. A cook whose roasts are all on the table stands here by itself.'
          : `${total} ${total === 1 ? 'cook' : 'cooks'}. `}
        {narrowed && (
          <Link className="underline underline-offset-4" href={`/k/${slug}/logbook`} prefetch={false}>
            Show all
          </Link>
        )}
      </p>
      <ul className="mt-3 grid gap-3 md:grid-cols-2">
        {stories.map((story) => (
          <li key={story.cookId}>
            <StoryCard
              story={story}
              slug={slug}
              units={units}
              chosen={chosen.includes(story.cookId)}
              choose={() => choose(story.cookId)}
            />
          </li>
        ))}
      </ul>
      {pages > 1 && (
        <nav className="mt-6 flex items-center gap-6 text-lg" aria-label="Pages">
          {query.page > 1 && (
            <Link
              className="inline-flex min-h-11 items-center underline underline-offset-4"
              href={address({ page: query.page - 1 })}
              prefetch={false}
            >
              Later
            </Link>
          )}
          <span className="text-soft">
            {query.page} of {pages}
          </span>
          {query.page < pages && (
            <Link
              className="inline-flex min-h-11 items-center underline underline-offset-4"
              href={address({ page: query.page + 1 })}
              prefetch={false}
            >
              Earlier
            </Link>
          )}
        </nav>
      )}
      {chosen.length > 1 && (
        <div className="sticky bottom-3 mt-4 flex justify-center">
          <Link
            href={`/k/${slug}/logbook/${chosen.join(',')}`}
            prefetch={false}
            className="inline-flex min-h-14 items-center rounded-full bg-action px-7 text-lg font-semibold text-white shadow-xl"
          >
            Lay {chosen.length} over each other
          </Link>
        </div>
      )}
    </>
  )
}

/** One cook: what it was, how it came, how it ate. */
function StoryCard({
  story: { cookId, title, servedAt, items, lateMin, verdict, guests },
  slug,
  units,
  chosen,
  choose,
}: {
  readonly story: ListedStory
  readonly slug: string
  readonly units: Units
  readonly chosen: boolean
  readonly choose: () => void
}) {
  const served_s = new Date(servedAt).getTime() / 1000
  const came =
    lateMin === null
      ? 'never served'
      : Math.abs(lateMin) < 1
        ? 'on the minute'
        : `${duration(Math.abs(lateMin) * 60)} ${lateMin > 0 ? 'late' : 'early'}`
  return (
    <div
      className={`flex h-full items-start gap-3 rounded-2xl border-2 bg-sheet px-4 py-3 ${chosen ? 'border-moss' : 'border-line hover:border-copper'}`}
    >
      <Link href={`/k/${slug}/logbook/${cookId}`} prefetch={false} className="min-w-0 flex-1">
        <span className="flex flex-wrap items-baseline justify-between gap-x-4">
          <span className="text-xl font-semibold">{title}</span>
          <span className="text-base text-soft">
            {shortDay(served_s, units)} {new Date(served_s * 1000).getUTCFullYear()}
          </span>
        </span>
        {items.slice(0, 3).map((item) => (
          <span key={item.title} className="block text-base text-soft">
            {item.cut_name}, {mass(item.mass_kg, units)}
            {item.peak_c !== null &&
              `; came to ${temperature(item.peak_c, units)} for ${temperature(item.serve_c, units)}`}
          </span>
        ))}
        <span className="mt-1 block text-lg">
          <span className={lateMin !== null && lateMin >= 10 ? 'text-wattle' : ''}>{came}</span>
          {verdict && (
            <span className={verdict === 'as_wanted' ? 'text-moss' : 'text-copper'}>, {VERDICT_NAMES[verdict]}</span>
          )}
          {guests !== null && <span className="text-soft">, {guests} at the table</span>}
        </span>
        {items
          .flatMap(({ change }) => change ?? [])
          .slice(0, 1)
          .map((change) => (
            <span key={change} className="block text-base text-soft">
              Next time: {change}
            </span>
          ))}
      </Link>
      <label className="grid size-11 shrink-0 cursor-pointer place-items-center">
        <input
          type="checkbox"
          className="size-6 accent-[var(--action)]"
          checked={chosen}
          onChange={choose}
          aria-label={`Lay over others: ${title}, ${shortDay(served_s, units)}`}
        />
      </label>
    </div>
  )
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const
const DAY_W = 6
const MONTH_W = 31 * DAY_W + 14

/** The year's roasts: one line of days a month, a mark where something was served. */
function Year({
  days,
  year,
  units,
  address,
}: {
  readonly days: readonly ServedDay[]
  readonly year: number
  readonly units: Units
  readonly address: (year: number) => string
}) {
  const served = days.reduce((sum, { count }) => sum + count, 0)
  return (
    <figure className="mt-4">
      <figcaption className="flex flex-wrap items-center gap-x-4 text-lg">
        <Link
          className="inline-flex min-h-11 items-center px-2 text-soft hover:text-ink"
          href={address(year - 1)}
          prefetch={false}
          scroll={false}
          aria-label={`The year ${year - 1}`}
        >
          ‹ {year - 1}
        </Link>
        <span className="font-display text-2xl font-semibold">{year}</span>
        <Link
          className="inline-flex min-h-11 items-center px-2 text-soft hover:text-ink"
          href={address(year + 1)}
          prefetch={false}
          scroll={false}
          aria-label={`The year ${year + 1}`}
        >
          {year + 1} ›
        </Link>
        <span className="text-soft">
          {served === 0 ? 'nothing served' : `served ${served} ${served === 1 ? 'time' : 'times'}`}
        </span>
      </figcaption>
      <ul className="mt-1 grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-4 lg:grid-cols-6">
        {MONTHS.map((name, month) => {
          const own = days.filter(({ day }) => Number(day.slice(5, 7)) === month + 1)
          const length = new Date(Date.UTC(year, month + 1, 0)).getUTCDate()
          return (
            <li key={name}>
              <span className={`text-base ${own.length > 0 ? '' : 'text-soft'}`}>{name}</span>
              <svg
                viewBox={`0 0 ${MONTH_W} 22`}
                className="w-full"
                role="img"
                aria-label={`${name}: ${own.map(({ day, count }) => `${shortDay(Date.parse(`${day}T12:00:00Z`) / 1000, { ...units, timeZone: 'UTC' })}${count > 1 ? `, ${count}` : ''}`).join('; ') || 'nothing'}`}
              >
                {Array.from({ length }, (_, i) => {
                  const count = own.find(({ day }) => Number(day.slice(8, 10)) === i + 1)?.count ?? 0
                  const x = 4 + i * DAY_W
                  return count > 0 ? (
                    <rect
                      key={`d${x}`}
                      x={x - 1.6}
                      y={Math.max(0, 10 - 4 * count)}
                      width={5.2}
                      height={10 + Math.min(12, 4 * count)}
                      rx={2.4}
                      className="fill-copper"
                    />
                  ) : (
                    <circle key={`d${x}`} cx={x + 1} cy={15} r={1.3} className="fill-line" />
                  )
                })}
              </svg>
            </li>
          )
        })}
      </ul>
    </figure>
  )
}
