import { type AddressInfo, createServer, type Socket } from 'node:net'
import postgres from 'postgres'
import { afterEach, describe, expect, it } from 'vitest'
import { ask } from '@/server/availability'
import { DATABASE_MS } from '@/server/limits'

const clients: ReturnType<typeof postgres>[] = []
const to = (url: string) => {
  const client = postgres(url, { max: 1, onnotice: () => {}, connect_timeout: 5, backoff: () => 0.2 })
  clients.push(client)
  return client
}
afterEach(async () => {
  await Promise.all(clients.splice(0).map((client) => client.end({ timeout: 0 }).catch(() => {})))
})
/** This process does nothing else for so long, ms. */
function heldUp(for_ms: number) {
  for (const until = performance.now() + for_ms; performance.now() < until; );
}

describe('whether the database answers', () => {
  it('it does, also where it is this process that was held up longer than an answer may take', async () => {
    const client = to(process.env.TEST_DATABASE_URL as string)
    const asked = ask(client)
    // Not before it has begun to connect: then each packet waits.
    await new Promise(setImmediate)
    heldUp(1.5 * DATABASE_MS)
    expect(await asked).toBe('answers')
    const again = ask(client)
    heldUp(1.5 * DATABASE_MS)
    expect(await again).toBe('answers')
  })

  it('it does not where nobody listens, and where somebody listens and says nothing', async () => {
    const held = new Set<Socket>()
    const mute = createServer((socket) => held.add(socket))
    await new Promise<void>((listening) => mute.listen(0, '127.0.0.1', listening))
    const url = `postgres://nobody@127.0.0.1:${(mute.address() as AddressInfo).port}/nothing`
    expect(await ask(to(url))).toBe('late')
    for (const socket of held) socket.destroy()
    await new Promise((closed) => mute.close(closed))
    expect(await ask(to(url))).toBe('gone')
  })
})
