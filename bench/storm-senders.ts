import { setPriority } from 'node:os'
import { setTimeout as sleep } from 'node:timers/promises'
import { reunion } from '@/stand-ins/demo/meals'

/** The senders of the storm, a process of their own and last in line: what they cost themselves is not the server's. */
const { address, seconds, atOnce, promise, pages } = JSON.parse(process.env.STORM ?? '{}') as {
  address: string
  seconds: number
  atOnce: number
  promise: string
  /** Five readers of long pages instead: rendering is the answering thread's own work. */
  pages: boolean
}
setPriority(19)
const api = `${address}/api/k/cottage`

const long = (minutes: number) => ({
  environment: { kind: 'oven', set_c: 60 },
  until: { kind: 'time', minutes },
  tending: Array.from({ length: 12 }, (_, i) => ({ act: 'turn', at_min: i + 1, every_min: 1 })),
})
const roast = { cut: 'beef-rib-bone-in', mass_kg: 20 }
const worstSimulate = {
  roast,
  members: 1024,
  program: {
    stages: [
      ...Array.from({ length: 11 }, () => long(720)),
      { role: 'rest', environment: { kind: 'counter' }, until: { kind: 'time', minutes: 1 } },
    ],
  },
}
const meal = reunion(promise)
const many = <Item extends { id: string }>(
  items: readonly Item[],
  count: number,
  of: (item: Item, i: number) => Partial<Item>,
) =>
  Array.from({ length: count }, (_, i) => {
    const item = items[i % items.length] as Item
    return { ...item, id: `${item.id}-${i}`, ...of(item, i) }
  })
const worstMeal = {
  ...meal,
  placed: null,
  roasts: many(meal.roasts, 40, (_, i) => ({ roast: { cut: 'beef-rib-bone-in', mass_kg: 2 + i / 10 } }) as never),
  sides: many(meal.sides, 40, () => ({})),
}
const readings = Array.from({ length: 20_000 }, (_, i) => ({ minute: i / 20, c: 5 + i / 500 }))
const built = (path: string, body: unknown, raw = false): (() => Promise<Response | undefined>) => {
  const bytes = Buffer.from(raw ? String(body) : JSON.stringify(body))
  return () =>
    fetch(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: bytes }).catch(() => undefined)
}
const worst: Readonly<Record<string, () => Promise<Response | undefined>>> = {
  'simulate, 1 kB': built(`${address}/api/simulate`, worstSimulate),
  'estimate, 20,000 readings': built(`${address}/api/estimate`, {
    roast: { cut: 'turkey', mass_kg: 9 },
    now_min: 1000,
    members: 1024,
    plate_min: 2000,
    readings,
  }),
  'plan, 80 items': built(`${address}/api/plan`, worstMeal),
  'a meal saved with 80 items': built(`${api}/meals`, { document: worstMeal }),
  'a cut 10 MB long': built(`${address}/api/simulate`, { roast: { cut: 'x'.repeat(10_000_000), mass_kg: 2 } }),
  'a cut as long as is taken': built(`${address}/api/simulate`, { roast: { cut: 'x'.repeat(60_000), mass_kg: 2 } }),
  'a body of 100 MB': built(`${address}/api/plan`, 'x'.repeat(100_000_000)),
  deep: built(`${address}/api/plan`, '['.repeat(500_000), true),
  words: built(`${api}/plans`, { line: `${'roast beef '.repeat(36)}` }),
  'a page of a whole list': () => fetch(`${address}/k/cottage/all/promised`).catch(() => undefined),
}

const until = Date.now() + seconds * 1000
const answers: Record<string, Record<number, number>> = {}
await Promise.all(
  Object.entries(worst)
    .filter(([name]) => name.startsWith('a page') === pages)
    .flatMap(([name, send]) =>
      Array.from({ length: atOnce }, async () => {
        answers[name] ??= {}
        const seen = answers[name]
        while (Date.now() < until) {
          const status = (await send())?.status ?? 0
          seen[status] = (seen[status] ?? 0) + 1
          await sleep(50)
        }
      }),
    ),
)
process.stdout.write(JSON.stringify(answers))
