import { describe, expect, it } from 'vitest'
import { planDocument } from '@/domain/roast/roast-document'
import { PlanSaver } from './saver'

const text = (title: string) =>
  planDocument.parse({ title, roast: { cut: 'duck', mass_kg: 2 }, promise: '2026-12-25T19:00:00Z' })

/** A server with one plan, and a device around the saver. */
function world() {
  const kept = new Map<string, string>()
  const server = { version: 1, title: 'one', online: true, requests: 0, inFlight: 0, most: 0 }
  const fetch = async (_address: string, init: RequestInit) => {
    server.requests++
    server.inFlight++
    server.most = Math.max(server.most, server.inFlight)
    await new Promise((done) => setTimeout(done, 1))
    server.inFlight--
    if (!server.online) throw new TypeError('offline')
    if (init.method === 'POST') return Response.json({ settled: true })
    const { base_version, document } = JSON.parse(String(init.body))
    if (base_version !== server.version)
      return Response.json(
        { errors: [], current: { version: server.version, document: text(server.title) }, set_aside: 'pvr_1' },
        { status: 409 },
      )
    server.title = document.title
    return Response.json({ outcome: 'saved', version: ++server.version })
  }
  const storage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  }
  const known: [number, string][] = []
  const saver = new PlanSaver('/plan', 'pln_1', 1, text('one'), {
    fetch,
    storage,
    kept: (version, saved) => known.push([version, JSON.parse(saved).title]),
    wait: () => new Promise((done) => setTimeout(done, 2)),
  })
  const until = async (done: () => boolean) => {
    for (let i = 0; i < 500 && !done(); i++) await new Promise((next) => setTimeout(next, 2))
  }
  return { server, saver, kept, known, until }
}

describe('saving', () => {
  it('many changes make few saves, one at a time, and the last one wins', async () => {
    const { server, saver, kept, until } = world()
    for (let i = 0; i < 20; i++) saver.want(text(`t${i}`), true)
    await until(() => server.title === 't19' && saver.read().state === 'saved')
    expect(server.title).toBe('t19')
    expect(server.requests).toBeLessThan(4)
    expect(server.most).toBe(1)
    expect(kept.size).toBe(0)
  })

  it('without a connection the text stays on the device and goes out when it is back', async () => {
    const { server, saver, kept, until } = world()
    server.online = false
    saver.want(text('kept'), true)
    await until(() => saver.read().state === 'offline')
    expect(saver.read().state).toBe('offline')
    expect([...kept.values()].join()).toContain('kept')
    server.online = true
    await until(() => server.title === 'kept' && saver.read().state === 'saved')
    expect(server.title).toBe('kept')
    expect(kept.size).toBe(0)
  })

  it('tells which text the server is known to have: saved here, taken from another, or chosen', async () => {
    const { server, saver, known, until } = world()
    saver.want(text('two'), true)
    await until(() => server.title === 'two' && saver.read().state === 'saved')
    expect(saver.adopt(2, text('older'))).toBe(false)
    expect(saver.adopt(5, text('five'))).toBe(true)
    server.version = 7
    server.title = 'seven'
    saver.want(text('mine'), true)
    await until(() => saver.read().clash !== undefined)
    saver.keepTheirs()
    expect(known).toEqual([
      [2, 'two'],
      [5, 'five'],
      [7, 'seven'],
    ])
  })

  it('a stale save of what was worked out by itself is told from a cook’s own change', async () => {
    for (const [title, byItself] of [
      ['one', true],
      ['mine', false],
    ] as const) {
      const { server, saver, until } = world()
      server.version = 4
      saver.want({ ...text(title), placed: { items: [] } } as ReturnType<typeof text>, true)
      await until(() => saver.read().clash !== undefined)
      expect([title, saver.read().clash?.byItself]).toEqual([title, byItself])
    }
  })

  it('a stale save becomes a clash; keeping mine writes over theirs by their version', async () => {
    const { server, saver, until } = world()
    server.version = 4
    server.title = 'theirs'
    saver.want(text('mine'), true)
    await until(() => saver.read().clash !== undefined)
    expect(saver.read().clash?.theirs.version).toBe(4)
    expect(server.title).toBe('theirs')
    saver.keepMine()
    await until(() => server.title === 'mine')
    expect([server.title, server.version]).toEqual(['mine', 5])
  })

  it('keeping theirs takes their text and saves nothing', async () => {
    const { server, saver, until } = world()
    server.version = 2
    server.title = 'theirs'
    saver.want(text('mine'), true)
    await until(() => saver.read().clash !== undefined)
    expect(saver.keepTheirs()?.title).toBe('theirs')
    expect([server.title, server.version]).toEqual(['theirs', 2])
  })

  it('a text with a problem is kept on the device and not sent', async () => {
    const { server, saver, kept } = world()
    saver.want(text('broken'), false)
    await new Promise((done) => setTimeout(done, 20))
    expect(server.requests).toBe(0)
    expect(saver.read().state).toBe('refused')
    expect(kept.size).toBe(1)
  })
})
