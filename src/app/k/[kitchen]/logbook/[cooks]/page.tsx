import type { Metadata } from 'next'
import Link from 'next/link'
import { unitsOf } from '@/app/reader'
import { Refused } from '@/app/refused'
import { kitchensOfHouse } from '@/server/kitchen'
import { storiesOf } from '@/server/logbook'
import { photosOf } from '@/server/photos'
import { CookAgain } from '@/ui/logbook/cook-again'
import { StoriesCompared, StoryView } from '@/ui/logbook/story-view'
import { Header } from '@/ui/shell/header'
import { laterWords } from '@/words/story-words'
import { clock, day, type Units } from '@/words/units'

export const metadata: Metadata = { title: 'Logbook' }

/** One cook of the logbook; or two or three over each other, their ids joined by commas. */
export default async function StoryPage({ params }: { params: Promise<{ kitchen: string; cooks: string }> }) {
  const { kitchen: slug, cooks: ids } = await params
  const [found, kitchens] = await Promise.all([storiesOf(slug, ids.split(/,|%2C/i)), kitchensOfHouse()])
  if (!found.ok) return <Refused problems={found.problems} />
  const { kitchen, cooks } = found.value
  const units = await unitsOf(kitchen)
  const [first] = cooks
  const photos = cooks.length === 1 && first ? await photosOf(slug, first.id) : undefined
  const link = 'inline-flex min-h-11 items-center text-lg underline underline-offset-4'
  return (
    <>
      <Header kitchen={kitchen} kitchens={kitchens} units={units} />
      <main className="mx-auto max-w-[84rem] space-y-5 px-4 py-8 sm:px-6">
        <Link href={`/k/${slug}/logbook`} prefetch={false} className={link}>
          Logbook
        </Link>
        {cooks.length > 1 || !first ? (
          <>
            <h1 className="font-display text-4xl font-bold tracking-tight">Laid over each other</h1>
            <StoriesCompared
              cooks={cooks.flatMap(({ id, story }) =>
                story.items
                  .slice(0, 1)
                  .map((item) => ({ id, when_s: Date.parse(story.served ?? story.promise) / 1000, item })),
              )}
              units={units}
            />
            <ul className="flex flex-wrap gap-x-8">
              {cooks.map(({ id, story }) => (
                <li key={id}>
                  <Link href={`/k/${slug}/logbook/${id}`} prefetch={false} className={link}>
                    {story.title}
                  </Link>
                </li>
              ))}
            </ul>
          </>
        ) : (
          <>
            <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
              <div>
                <h1 className="font-display text-4xl font-bold tracking-tight">{first.story.title}</h1>
                <p className="mt-1 text-xl text-soft">{whenOf(first.story, units)}</p>
              </div>
              <div className="flex flex-wrap items-center gap-x-6">
                <Link href={`/k/${slug}/cooks/${first.id}`} prefetch={false} className={link}>
                  Its board and log
                </Link>
                <Link href={`/k/${slug}/cooks/${first.id}#ate`} prefetch={false} className={link}>
                  Say how it ate
                </Link>
                <a href={`/api/k/${slug}/cooks/${first.id}/curve`} className={link}>
                  Curve as CSV
                </a>
                <CookAgain kitchen={slug} cookId={first.id} units={units} />
              </div>
            </div>
            {first.story.items.map((item) => (
              <StoryView
                key={item.id}
                item={item}
                kitchen={slug}
                photos={photos?.ok ? photos.value.filter((each) => each.item === item.id) : []}
                units={units}
              />
            ))}
          </>
        )}
      </main>
    </>
  )
}

function whenOf(
  {
    served,
    promise,
    guests,
  }: { readonly served: string | null; readonly promise: string; readonly guests: number | null },
  units: Units,
): string {
  const promise_s = Date.parse(promise) / 1000
  const served_s = served === null ? undefined : Date.parse(served) / 1000
  const people = guests === null ? '' : `, ${guests} at the table`
  return served_s === undefined
    ? `${day(promise_s, units)}, never served${people}`
    : `${day(served_s, units)} ${new Date(served_s * 1000).getUTCFullYear()}, on the table ${clock(served_s, units)}, ${
        Math.abs(served_s - promise_s) < 60
          ? 'as promised'
          : laterWords(served_s - promise_s).replace(/(later|sooner)$/, '$1 than promised')
      }${people}`
}
