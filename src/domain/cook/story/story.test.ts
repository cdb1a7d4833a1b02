import { describe, expect, it } from 'vitest'
import { cookOf, logOf, PAST_COOKS, type PastLog } from '@/stand-ins/demo/seasons'
import seasons from '@/stand-ins/demo/seasons.json'
import { glanceOf } from './glance'
import { cookStory, storyOf } from './story'

const PROMISE = '2026-06-06T19:00:00.000Z'
const PROMISE_S = Date.parse(PROMISE) / 1000
const LOGS = seasons as unknown as readonly PastLog[]

function told(title: string, without: readonly string[] = []) {
  const i = PAST_COOKS.findIndex((past) => past.title === title)
  const past = PAST_COOKS[i]
  const log = LOGS[i]
  if (!past || !log) throw new Error(title)
  const document = cookOf(past, PROMISE)
  const kept = log.entries.filter(({ kind }) => !without.includes(kind))
  const { entries, readings } = logOf({ ...log, entries: kept }, document, PROMISE, { device: 'd', tag: 'told' })
  return { past, document, entries, readings, story: storyOf(document, entries, readings, PROMISE_S + 4 * 3600) }
}

describe('the story of a cook', () => {
  const { story, past, document, entries } = told('Sunday loin')
  const [item] = story.items

  it('is what was planned, what went and how it ate, and can be kept', () => {
    expect(cookStory.safeParse(JSON.parse(JSON.stringify(story))).success).toBe(true)
    expect(story.guests).toBe(past.guests)
    expect(item?.supplier).toBe('the market hall')
    expect(item?.went.out).not.toBeNull()
    expect(item?.went.peak_c).toBeGreaterThan(59)
    expect(item?.read_curve.length).toBeGreaterThan(20)
    expect(item?.planned_curve.length).toBeGreaterThan(20)
    expect(item?.ate.plate).toBe('as_wanted')
    // A curve goes forward in time.
    for (const curve of [item?.read_curve ?? [], item?.planned_curve ?? []])
      for (let i = 1; i < curve.length; i++) expect(curve[i]?.[0]).toBeGreaterThanOrEqual(curve[i - 1]?.[0] ?? 0)
  })

  it('says what it took longer for: the cottage oven is cold', () => {
    const longer = ['Sunday loin', 'Christmas rib', 'Harvest loin', 'Birthday rib'].map(
      (title) => told(title).story.items[0]?.taught,
    )
    for (const each of longer) {
      expect(each?.per_k).toBeLessThan(0)
      expect(each?.per_thickness).toBeGreaterThan(0.5)
    }
    expect(longer.reduce((sum, each) => sum + (each?.longer ?? 0), 0) / longer.length).toBeGreaterThan(0.03)
    for (const { share, later_s } of item?.causes ?? []) {
      expect(share).toBeGreaterThan(0)
      expect(share).toBeLessThanOrEqual(1)
      expect(Math.abs(later_s)).toBeGreaterThanOrEqual(60)
    }
    expect((item?.causes ?? []).reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 1)
  })

  it('is found by its words, and by what was wrong with one of its roasts', () => {
    const glance = glanceOf(story)
    expect(glance.words).toContain('pork loin')
    expect(glance.cuts).toEqual(['pork-loin'])
    expect(glance.verdict).toBe('as_wanted')
    expect(Math.abs(glance.lateMin ?? 99)).toBeLessThan(15)
    const spoilt = {
      ...story,
      items: [...story.items, { ...(item as NonNullable<typeof item>), ate: { plate: 'over' } }],
    }
    expect(glanceOf(spoilt).verdict).toBe('over')
  })

  it('of one that was never read or never served is told all the same', () => {
    const blind = storyOf(document, entries, [], PROMISE_S + 4 * 3600)
    expect(blind.items[0]).toMatchObject({ taught: null, causes: [], read_curve: [] })
    const unserved = told('Sunday loin', ['served', 'ate', 'carve', 'out'])
    expect(unserved.story.served).toBeNull()
    expect(glanceOf(unserved.story)).toMatchObject({ lateMin: null, verdict: null })
    expect(glanceOf(unserved.story).servedAt.toISOString()).toBe(PROMISE)
  })

  it('of a meal has each roast', () => {
    const meal = told('Keepers’ Christmas').story
    expect(meal.items.map(({ cut }) => cut)).toEqual(['beef-rib-bone-in', 'pork-loin'])
    expect(meal.guests).toBe(22)
  })
})
