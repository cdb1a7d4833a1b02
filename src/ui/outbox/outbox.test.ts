import { describe, expect, it } from 'vitest'
import { type CookEntry, cookEntry } from '@/domain/cook/cook-document'
import type { Problem } from '@/domain/problem/problem'
import type { Answered } from '../shell/client'
import { Outbox, type OutboxWorld } from './outbox'
import type { OutboxStore, Waiting } from './store'

const entry = (n: number, text = String(n)): CookEntry =>
  cookEntry.parse({ id: `entry-${String(n).padStart(4, '0')}`, kind: 'note', at: '2026-11-25T12:00:00Z', text })

function memoryStore(): OutboxStore & { readonly kept: Map<string, Waiting> } {
  const kept = new Map<string, Waiting>()
  let held: { owner: string; until_ms: number } | undefined
  return {
    kept,
    all: async () => [...kept.values()].sort((a, b) => a.order - b.order),
    put: async (item) => void kept.set(item.id, item),
    remove: async (ids) => {
      for (const id of ids) kept.delete(id)
    },
    lease: async (owner, for_ms, now_ms) => {
      if (held && held.owner !== owner && held.until_ms >= now_ms) return false
      held = { owner, until_ms: now_ms + for_ms }
      return true
    },
  }
}

type Answer = Answered<unknown>
const SILENCE: Answer = { ok: false, status: undefined, problems: [], body: undefined }
const malformed: Problem = { code: 'malformed', path: [], detail: 'wrong' }
const refusal = (status: number, problem: Problem = malformed): Answer => ({
  ok: false,
  status,
  problems: [problem],
  body: {},
})
const named = (entries: readonly CookEntry[], refused: readonly string[] = []): Answer => ({
  ok: true,
  status: 201,
  value: {
    kept: entries
      .filter(({ id }) => !refused.includes(id))
      .map((each, seq) => ({ seq, entry: each, received_at: each.at })),
    refused: refused.map((id) => ({ id, problems: [malformed] })),
  },
})

/** A server that keeps what it names, and answers as it is told; undefined: it keeps all. */
function world(
  store: OutboxStore,
  answer: (call: number, entries: readonly CookEntry[], address: string) => Answer | undefined = () => undefined,
) {
  const server = new Map<string, CookEntry>()
  let calls = 0
  let now = 0
  const made: OutboxWorld = {
    store,
    send: async (address, body) => {
      const { entries } = body as { entries: CookEntry[] }
      const given = answer(calls++, entries, address) ?? named(entries)
      if (given.ok && typeof given.value === 'object' && given.value !== null && 'kept' in given.value)
        for (const { entry: each } of (given.value as { kept: { entry: CookEntry }[] }).kept)
          if (entries.some(({ id }) => id === each.id)) server.set(each.id, each)
      return given
    },
    wait: async (ms) => {
      now += ms
      await new Promise((done) => setTimeout(done, 0))
    },
    now_ms: () => now,
    alone: (work) => work(),
    tell: () => {},
  }
  return { made, server, calls: () => calls }
}
const waitingOf = (outbox: Outbox) => outbox.read().items.filter(({ refused }) => refused === undefined)
const refusedOf = (outbox: Outbox) => outbox.read().items.filter(({ refused }) => refused !== undefined)
async function settle(outbox: Outbox) {
  for (let i = 0; i < 2000 && waitingOf(outbox).length > 0; i++) await new Promise((done) => setTimeout(done, 0))
}

describe('an entry is on this device until the server names its id', () => {
  const passing: Readonly<Record<string, Answer>> = {
    'no connection': SILENCE,
    'a gate that answers 200 with a page of its own': { ok: true, status: 200, value: { page: 'log in' } },
    'a gate that answers 200 with nothing': { ok: true, status: 200, value: {} },
    'a 404 of the moment': refusal(404),
    'a 401': refusal(401),
    'a 403': refusal(403),
    'a 429': refusal(429),
    'a 500': refusal(500),
    'a 503': refusal(503, { code: 'unavailable', path: [], retry_s: 2 }),
    'an answer that names other ids': named([entry(99)]),
  }
  for (const [name, answer] of Object.entries(passing))
    it(`${name} takes none away, and it is sent when that is over`, async () => {
      const store = memoryStore()
      const { made, server } = world(store, (call) => (call < 3 ? answer : undefined))
      const outbox = new Outbox(made)
      for (let n = 0; n < 5; n++) await outbox.put('k', 'c', entry(n))
      await settle(outbox)
      expect([...server.keys()].sort()).toEqual([0, 1, 2, 3, 4].map((n) => entry(n).id))
      expect(store.kept.size).toBe(0)
      expect(refusedOf(outbox)).toEqual([])
    })

  it('one that cannot be takes no good one with it, whether the server says which or not', async () => {
    for (const says of [true, false]) {
      const store = memoryStore()
      const bad = entry(3).id
      const { made, server } = world(store, (_call, entries) => {
        if (!entries.some(({ id }) => id === bad)) return undefined
        return says ? named(entries, [bad]) : refusal(400)
      })
      const outbox = new Outbox(made)
      for (let n = 0; n < 7; n++) await outbox.put('k', 'c', entry(n))
      await settle(outbox)
      expect(server.size).toBe(6)
      expect(refusedOf(outbox).map(({ id }) => id)).toEqual([bad])
      // It is still on the device, with its reason, for whoever mends it.
      expect(store.kept.get(bad)?.refused).toEqual([malformed])
    }
  })

  it('a batch that is too large is cut until it passes', async () => {
    const { made, server } = world(memoryStore(), (_call, entries) =>
      entries.length > 3 ? refusal(413, { code: 'too_large', path: [], most_bytes: 10 }) : undefined,
    )
    const outbox = new Outbox(made)
    await Promise.all(Array.from({ length: 40 }, (_, n) => outbox.put('k', 'c', entry(n))))
    await settle(outbox)
    expect(server.size).toBe(40)
  })

  it('a cook whose server fails holds up no other cook', async () => {
    const { made, server } = world(memoryStore(), (_call, _entries, address) =>
      address.includes('/sick/') ? refusal(500) : undefined,
    )
    const outbox = new Outbox(made)
    await outbox.put('k', 'sick', entry(1))
    await outbox.put('k', 'well', entry(2))
    for (let i = 0; i < 50 && server.size === 0; i++) await new Promise((done) => setTimeout(done, 0))
    expect([...server.keys()]).toEqual([entry(2).id])
    expect(waitingOf(outbox).map(({ id }) => id)).toEqual([entry(1).id])
  })

  it('one entry on which the server fails holds up none behind it', async () => {
    const { made, server } = world(memoryStore(), (_call, entries) =>
      entries.some(({ id }) => id === entry(2).id) ? refusal(500) : undefined,
    )
    const outbox = new Outbox(made)
    await Promise.all([1, 2, 3, 4].map((n) => outbox.put('k', 'c', entry(n))))
    for (let i = 0; i < 200 && server.size < 3; i++) await new Promise((done) => setTimeout(done, 0))
    expect([...server.keys()].sort()).toEqual([entry(1).id, entry(3).id, entry(4).id])
  })

  it('a cook that is not there, again and again, is said and not dropped', async () => {
    const store = memoryStore()
    const { made } = world(store, () => refusal(404, { code: 'not_found', path: ['cook'], what: 'c' }))
    const outbox = new Outbox(made)
    await outbox.put('k', 'c', entry(1))
    await settle(outbox)
    expect(refusedOf(outbox)[0]?.refused?.[0]?.code).toBe('not_found')
    expect(store.kept.size).toBe(1)
  })

  it('a full device sends all the same, and says that it keeps nothing', async () => {
    const store = { ...memoryStore(), put: () => Promise.reject(new DOMException('full', 'QuotaExceededError')) }
    let open = false
    const { made, server } = world(store, () => (open ? undefined : SILENCE))
    const outbox = new Outbox(made)
    await outbox.put('k', 'c', entry(1))
    expect(outbox.read().unkept.size).toBe(1)
    expect(waitingOf(outbox)).toHaveLength(1)
    open = true
    await settle(outbox)
    expect(server.size).toBe(1)
    expect(outbox.read().unkept.size).toBe(0)
  })

  it('two pages of one device keep each other’s entries, and a page that is opened later sends what another left', async () => {
    const store = memoryStore()
    const silent = world(store, () => SILENCE)
    const one = new Outbox({ ...silent.made, wait: () => new Promise(() => {}) })
    const two = new Outbox({ ...silent.made, wait: () => new Promise(() => {}) })
    await one.put('k', 'c', entry(1))
    await two.put('k', 'c', entry(2))
    await one.put('k', 'd', entry(3))
    expect(store.kept.size).toBe(3)
    const { made, server } = world(store)
    const third = new Outbox(made)
    await third.start()
    await settle(third)
    expect(server.size).toBe(3)
    expect(store.kept.size).toBe(0)
  })

  it('what was refused is mended under an id of its own, or let go by hand', async () => {
    const store = memoryStore()
    const taken = entry(1)
    const { made, server } = world(store, (_call, entries) =>
      entries.some(({ id }) => id === taken.id) ? named(entries, [taken.id]) : undefined,
    )
    const outbox = new Outbox(made)
    await outbox.put('k', 'c', taken)
    await settle(outbox)
    let lost = false
    const stop = outbox.subscribe(() => {
      // At every moment it is listed, kept on the device, or on the server.
      lost ||= server.size === 0 && (outbox.read().items.length === 0 || store.kept.size === 0)
    })
    await outbox.again(taken.id, { ...taken, id: 'mended-entry', text: 'mended' })
    await settle(outbox)
    stop()
    expect(lost).toBe(false)
    expect([...server.values()].map(({ text }) => text)).toEqual(['mended'])
    await outbox.put('k', 'c', taken)
    await settle(outbox)
    await outbox.letGo(taken.id)
    expect(store.kept.size).toBe(0)
    expect(outbox.read().items).toEqual([])
  })

  it('through any faults at all, sixty-four notes of two pages arrive, each once', async () => {
    const store = memoryStore()
    let seed = 20_261_125
    const random = () => {
      seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648
      return seed / 2_147_483_648
    }
    const faults = Object.values(passing)
    const { made, server } = world(store, () =>
      random() < 0.6 ? faults[Math.floor(random() * faults.length)] : undefined,
    )
    const one = new Outbox(made)
    const two = new Outbox(made)
    for (let n = 0; n < 64; n++) await (n % 2 ? one : two).put('k', n % 3 ? 'c' : 'd', entry(n))
    await Promise.all([settle(one), settle(two)])
    expect(server.size).toBe(64)
    for (let n = 0; n < 64; n++) expect(server.get(entry(n).id), String(n)).toEqual(entry(n))
    expect(store.kept.size).toBe(0)
  })
})
