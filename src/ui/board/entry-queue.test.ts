import { describe, expect, it } from 'vitest'
import { type CookEntry, cookEntry } from '@/domain/cook/cook-document'
import { mergeReadings } from '@/domain/cook/readings'
import { EntryQueue } from './entry-queue'
import { readCsv } from './read-csv'

const entry = (n: number): CookEntry =>
  cookEntry.parse({
    id: `entry-${String(n).padStart(4, '0')}`,
    kind: 'note',
    at: '2026-11-25T12:00:00Z',
    text: String(n),
  })

function world(answers: (call: number) => number | Error) {
  const kept = new Map<string, string>()
  const sent: CookEntry[][] = []
  let call = 0
  return {
    sent,
    kept,
    world: {
      fetch: async (_to: string, init: RequestInit) => {
        const answer = answers(call++)
        if (answer instanceof Error) throw answer
        sent.push((JSON.parse(String(init.body)) as { entries: CookEntry[] }).entries)
        return new Response('[]', { status: answer })
      },
      storage: {
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, value: string) => void kept.set(key, value),
      },
      wait: () => Promise.resolve(),
    },
  }
}
const settle = async (queue: EntryQueue) => {
  for (let i = 0; i < 50 && queue.read().waiting.length > 0; i++) await new Promise((done) => setTimeout(done, 1))
}

describe('entries on their way', () => {
  it('wait on the device until the server has them, in order, none lost', async () => {
    const { world: w, sent, kept } = world((call) => (call < 3 ? new Error('no connection') : 201))
    const queue = new EntryQueue('/e', 'c', w)
    for (let i = 0; i < 5; i++) queue.put(entry(i))
    expect(JSON.parse(kept.get('pheasant-entries-c') ?? '[]')).toHaveLength(5)
    await settle(queue)
    expect(sent.flat().map(({ text }) => text)).toEqual(['0', '1', '2', '3', '4'])
    expect(queue.read()).toMatchObject({ waiting: [], reachable: true })
    expect(kept.get('pheasant-entries-c')).toBe('[]')
  })

  it('a page that was closed sends what it had kept when it opens again', async () => {
    const first = world(() => new Error('no connection'))
    const closed = new EntryQueue('/e', 'c', { ...first.world, wait: () => new Promise(() => {}) })
    closed.put(entry(1))
    await new Promise((done) => setTimeout(done, 5))
    const again = world(() => 201)
    again.kept.set('pheasant-entries-c', first.kept.get('pheasant-entries-c') ?? '')
    const opened = new EntryQueue('/e', 'c', again.world)
    await settle(opened)
    expect(again.sent.flat().map(({ id }) => id)).toEqual([entry(1).id])
  })

  it('a server in trouble is asked again; a refusal is counted, not repeated for ever', async () => {
    const { world: w, sent } = world((call) => (call === 0 ? 503 : 400))
    const queue = new EntryQueue('/e', 'c', w)
    queue.put(entry(1))
    await settle(queue)
    expect(sent).toHaveLength(2)
    expect(queue.read().refused).toBe(1)
  })
})

describe('readings in memory', () => {
  it('one a step is kept, the newest, in order, however they arrive', () => {
    const reading = (at_s: number, value_c: number) => ({ device: 'd', channel: 0, at_s, value_c })
    const merged = mergeReadings([reading(0, 1), reading(40, 3)], [reading(21, 2), reading(45, 4), reading(44, 9)])
    expect(merged.map(({ at_s, value_c }) => [at_s, value_c])).toEqual([
      [0, 1],
      [21, 2],
      [45, 4],
    ])
  })
})

describe('readings from a file', () => {
  it('finds times and temperatures whatever the order and the heading', () => {
    const text = 'temp C;when\n41,5;2026-12-25 14:05\n42,0;2026-12-25T14:06:00Z\nnonsense;here'
    const { readings, wrong } = readCsv(text)
    expect(readings.map(({ value_c }) => value_c)).toEqual([41.5, 42])
    expect(wrong).toBe(1)
    expect(readings[1]?.at).toBe('2026-12-25T14:06:00.000Z')
  })

  it('believes a heading that says Fahrenheit', () => {
    expect(readCsv('time,value_f\n2026-12-25T14:05:00Z,122').readings[0]?.value_c).toBeCloseTo(50, 6)
  })

  it('an empty file has none', () => {
    expect(readCsv('')).toEqual({ readings: [], wrong: 0 })
  })
})
