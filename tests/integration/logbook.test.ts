import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { afterAll, describe, expect, it } from 'vitest'
import { cookShelf } from '@/db/cooks'
import { recordShelf } from '@/db/record'
import { openKitchen } from '@/db/repositories'
import { storyShelf } from '@/db/stories'
import { within } from '@/db/within'
import { cookDocument, cookEntry } from '@/domain/cook/cook-document'
import { glanceOf } from '@/domain/cook/story/glance'
import type { CookStory } from '@/domain/cook/story/story'
import { brokenAt, limitOf, recordEntry } from '@/domain/record/record'
import { planDocument } from '@/domain/roast/roast-document'
import { freshKitchen, openTestDatabase } from './kitchen'

const { db, close } = openTestDatabase()
afterAll(close)
const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

const story = (title: string, served: string, more: Partial<CookStory['items'][number]> = {}): CookStory => ({
  version: 1,
  title,
  served,
  promise: served,
  guests: 6,
  items: [
    {
      id: 'roast',
      title,
      cut: 'pork-loin',
      cut_name: 'Pork loin',
      mass_kg: 2,
      supplier: 'Hollis',
      school: 'steady',
      oven: 'the oven',
      set_c: 160,
      serve_c: 63,
      planned: { in: served, out: served, carve: served, plate: served, pull_c: 58 },
      went: { in: served, out: served, carve: served, plate: served, pull_c: 58, peak_c: 63 },
      given_up: null,
      planned_curve: [],
      read_curve: [],
      foreseen: [],
      causes: [],
      taught: {
        longer: 0.1,
        per_k: -0.01,
        per_thickness: 1.5,
        air_k: null,
        told_k: 0,
        told_thicker: 0,
        measured: false,
      },
      thickness_m: 0.07,
      doors: 0,
      ate: {},
      ...more,
    },
  ],
})

async function book() {
  const { kitchen } = await freshKitchen(db)
  const cooks = cookShelf(db, kitchen)
  const stories = storyShelf(db, kitchen)
  const told = async (one: CookStory, seq = 1) => {
    const at = one.promise
    const row = await cooks.begin(
      cookDocument.parse({
        title: one.title,
        clock: { origin: at, real: at },
        items: [
          {
            id: 'roast',
            title: one.title,
            roast: { cut: 'pork-loin', mass_kg: 2 },
            program: { school: 'steady' },
            serve_c: 63,
            promise: at,
            put_in: at,
            pull: at,
            carve: at,
            pull_c: 58,
          },
        ],
      }),
    )
    await cooks.setState(row.id, 'done')
    await stories.keep({ cookId: row.id, seq, story: one, ...glanceOf(one) })
    return row.id
  }
  return { kitchen, cooks, stories, told }
}
const all = { limit: 50, offset: 0 }

describe('the logbook', () => {
  it('finds by words, kind, season and result, newest first, and says what it can be narrowed to', async () => {
    const { stories, told } = await book()
    await told(story('Harvest 100% loin', '2026-09-20T18:00:00Z', { ate: { plate: 'over', change: 'less_salt' } }))
    await told(story('Spring loin', '2026-04-05T12:00:00Z', { supplier: 'Market', ate: { plate: 'as_wanted' } }))
    await told(story('New Year loin', '2026-01-01T18:00:00Z', { cut: 'beef-rib-bone-in', school: 'reverse-sear' }))
    const titles = async (filter: Parameters<typeof stories.list>[0]) =>
      (await stories.list(filter, all)).stories.map(({ title }) => title)
    expect(await titles({})).toEqual(['Harvest 100% loin', 'Spring loin', 'New Year loin'])
    expect(await titles({ words: 'LOIN  harvest' })).toEqual(['Harvest 100% loin'])
    // What is a sign to the database is a letter to a cook.
    expect(await titles({ words: '%' })).toEqual(['Harvest 100% loin'])
    expect(await titles({ words: 'less_salt' })).toEqual(['Harvest 100% loin'])
    expect(await titles({ words: 'lessXsalt' })).toEqual([])
    expect(await titles({ cut: 'beef-rib-bone-in' })).toEqual(['New Year loin'])
    expect(await titles({ verdict: 'over' })).toEqual(['Harvest 100% loin'])
    expect(await titles({ months: [12, 1, 2] })).toEqual(['New Year loin'])
    expect(await titles({ supplier: 'Market', school: 'steady' })).toEqual(['Spring loin'])
    expect((await stories.facets()).suppliers).toEqual([
      { name: 'Hollis', count: 2 },
      { name: 'Market', count: 1 },
    ])
    expect((await stories.days(new Date('2026-01-01'), new Date('2027-01-01'))).map(({ day }) => day)).toEqual([
      '2026-01-01',
      '2026-04-05',
      '2026-09-20',
    ])
    const taught = await stories.taught(10)
    expect(taught).toHaveLength(3)
    expect(taught[0]).toMatchObject({ oven: 'the oven', taught: { longer: 0.1 } })
  })

  it('tells what is over and not told, and what was said since; an older telling never wins', async () => {
    const { kitchen, cooks, stories, told } = await book()
    const id = await told(story('Loin', '2026-05-01T18:00:00Z'), 3)
    await within(db, kitchen.id).execute(sql`update cooks set last_seq = 5 where id = ${id}`)
    expect(await stories.untold(10)).toEqual([{ id, lastSeq: 5 }])
    const later = story('Loin', '2026-05-01T18:00:00Z', { ate: { plate: 'under' } })
    await stories.keep({ cookId: id, seq: 5, story: later, ...glanceOf(later) })
    const stale = story('Stale', '2026-05-01T18:00:00Z')
    await stories.keep({ cookId: id, seq: 4, story: stale, ...glanceOf(stale) })
    expect((await stories.find([id]))[0]).toMatchObject({ seq: 5, story: { title: 'Loin' } })
    expect(await stories.untold(10)).toEqual([])
    // Put away it is in no list; another kitchen never had it.
    await cooks.archive(id, true)
    expect((await stories.list({}, all)).total).toBe(0)
    const other = await book()
    expect(await other.stories.find([id])).toEqual([])
    expect(kitchen.id).not.toBe(other.kitchen.id)
  })
})

describe('the record', () => {
  const entry = (n: number, value_c = 4) =>
    recordEntry.parse({
      id: `integration-${n}`,
      kind: 'storage',
      at: '2026-11-25T08:00:00Z',
      what: `Walk-in — Kühlraum ${n}`,
      value_c,
      limit: limitOf(null, 'storage'),
      by: 'Maren',
    })

  it('from many hands at once is one chain, each entry once', async () => {
    const { kitchen } = await freshKitchen(db)
    const shelf = recordShelf(db, kitchen)
    await Promise.all(Array.from({ length: 12 }, (_, i) => shelf.add([entry(i), entry(i + 1)], sha256)))
    const chain = await shelf.all()
    expect(chain).toHaveLength(13)
    expect(brokenAt(chain, sha256)).toBeUndefined()
    const twice = await shelf.add([entry(0), entry(1, 9)], sha256)
    expect(twice.kept).toHaveLength(1)
    expect(twice.reused).toEqual(['integration-1'])
    expect((await shelf.span(new Date('2026-11-25'), new Date('2026-11-26'))).length).toBe(13)
    expect(await shelf.span(new Date('2026-11-26'), new Date('2026-11-27'))).toEqual([])
  })

  it('cannot be changed by the application, and a change by another hand shows', async () => {
    const { kitchen } = await freshKitchen(db)
    const shelf = recordShelf(db, kitchen)
    await shelf.add([entry(1), entry(2), entry(3)], sha256)
    await expect(
      db.execute(sql`update record_entries set hash = hash where kitchen_id = ${kitchen.id}`),
    ).rejects.toThrow()
    await expect(db.execute(sql`delete from record_entries where kitchen_id = ${kitchen.id}`)).rejects.toThrow()
    const chain = [...(await shelf.all())]
    const second = chain[1]
    if (!second) throw new Error('no second entry')
    chain[1] = { ...second, entry: { ...second.entry, value_c: 3.9 } }
    expect(brokenAt(chain, sha256)).toEqual({ seq: 2, why: 'changed' })
    expect(await openKitchen(db, kitchen.slug)).toBeDefined()
  })
})

describe('probes that were checked', () => {
  it('the next cook begins with what they read too much, unless that is switched off', async () => {
    process.env.DATABASE_URL = process.env.TEST_DATABASE_URL
    const { beginCook, cookInKitchen } = await import('@/server/cooks')
    const { switchLearning, learnedInKitchen } = await import('@/server/learned')
    const scope = await freshKitchen(db)
    const { slug } = scope.kitchen
    const shelf = cookShelf(db, scope.kitchen)
    const plan = await scope.plans.add(
      planDocument.parse({
        roast: { cut: 'pork-loin', mass_kg: 1.8 },
        promise: new Date(Date.now() + 8 * 3600_000).toISOString(),
      }),
    )
    const begin = async () => {
      const begun = await beginCook(slug, { plan: plan.id })
      if (!begun.ok) throw new Error(JSON.stringify(begun.problems))
      const state = await cookInKitchen(slug, begun.value.id, 0)
      return { id: begun.value.id, entries: state.ok ? state.value.entries.map(({ entry }) => entry) : [] }
    }
    const first = await begin()
    expect(first.entries).toEqual([])
    const device = await shelf.addDevice('Blue station', sha256(`${slug} probes`))
    await shelf.add(
      first.id,
      [1.3, 1.2].map((value_c, i) =>
        cookEntry.parse({
          id: `in-the-ice-${i}`,
          kind: 'calibrate',
          at: new Date(Date.now() - 60_000 * (i + 1)).toISOString(),
          device: device.id,
          channel: 0,
          point: 'ice',
          value_c,
        }),
      ),
    )
    const [offset] = (await begin()).entries
    expect(offset).toMatchObject({ kind: 'calibrate', point: 'learned', device: device.id, channel: 0 })
    expect(offset?.value_c).toBeGreaterThan(0.9)
    const learned = await learnedInKitchen(slug)
    const probe = learned.ok ? learned.value.things.find(({ of }) => of === 'probe') : undefined
    expect(probe?.name).toBe('Probe 1 of Blue station')
    await switchLearning(slug, { key: probe?.key, on: false })
    expect((await begin()).entries).toEqual([])
  })
})
