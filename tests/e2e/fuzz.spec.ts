import { readdirSync, readFileSync } from 'node:fs'
import { request as httpRequest } from 'node:http'
import { join } from 'node:path'
import { root } from '../../bin/setup/dependencies.mjs'
import { seededRandom } from '../../src/core/estimate/random'
import { reunion } from '../../src/stand-ins/demo/meals'
import { expect, MACHINE, newKitchen, test } from './browser'

/**
 * Anything at all over every route and page there is: the list is read from the files, so that a new route is in it.
 * None may answer 5xx; where the time for an answer is up, a route that computes, or plans a whole meal, may say so
 * (503, with when to try again): of all cases fewer than one in twenty, on a machine that others use as well.
 */
const CASES = Number(process.env.FUZZ_CASES ?? 1_500)
const SEED = Number(process.env.FUZZ_SEED ?? 20_261_125)
const AT_ONCE = 6
/** A page is rendered whole for every case: so many in a hundred are pages. */
const PAGES_PERCENT = 4
/** These compute for as long as they are let, plan a whole meal for each answer, or wait for the thread that writes files: so many in a hundred are they. */
const SLOW_PERCENT = 12
const SLOW =
  /^\/api\/(simulate|estimate|plan|k\/\[kitchen\]\/(meals|cooks$|plans\/\[plan\]$|record\/sheet))|^\/calendar/
/** More than the longest that the server works for an answer: what it says when its time is up is still heard. */
const LIMIT_MS = 60_000
/** A whole kitchen is written as a file by a thread that gives way to all others: while everything is asked for at once, that takes its time. */
const WHOLE_MS = 90_000

interface Route {
  readonly path: string
  readonly methods: readonly string[]
  readonly page: boolean
}

function routes(): Route[] {
  const app = join(root, 'src/app')
  const found: Route[] = []
  const walk = (dir: string, path: string) => {
    for (const entry of readdirSync(dir, { withFileTypes: true })) {
      const at = join(dir, entry.name)
      if (entry.isDirectory()) walk(at, entry.name.startsWith('(') ? path : `${path}/${entry.name}`)
      else if (entry.name === 'page.tsx') found.push({ path: path || '/', methods: ['GET'], page: true })
      else if (entry.name === 'route.ts') {
        const text = readFileSync(at, 'utf8')
        const methods = [...text.matchAll(/export (?:async function|const) (GET|POST|PUT|DELETE)\b/g)].map(
          ([, m]) => m as string,
        )
        found.push({ path, methods, page: false })
      }
    }
  }
  walk(app, '')
  return found
}

const NASTY_TEXTS = [
  '',
  ' ',
  '\u0000',
  'a\u0000b',
  '\ud800',
  'x\udfff',
  '💥',
  'constructor',
  '__proto__',
  'toString',
  '../..',
  '%00',
  '%',
  "'; drop table plans; --",
  '=1+1',
  'x'.repeat(300),
  'é̀'.repeat(40),
  '٣ كجم',
  '0',
  '-1',
  'null',
  'NaN',
  '2026-13-45T99:99:99Z',
  '0000-01-01T00:00:00Z',
  '9999-12-31T23:59:59Z',
  '+275760-09-13T00:00:00Z',
  '2026-11-26T18:00:00+23:59',
  '1970-01-01T00:00:00Z',
] as const
const NASTY_NUMBERS = [
  0,
  -0,
  1,
  -1,
  1.5,
  1e-320,
  5e-324,
  1e308,
  -1e308,
  1.7976931348623157e308,
  2 ** 31,
  2 ** 31 - 1,
  -(2 ** 31),
  2 ** 53,
  2 ** 53 + 2,
  2 ** 63,
  0.1,
  99,
  1024,
  4.2e9,
  -459.67,
  273.15,
] as const
const NASTY_SEGMENTS = [
  '%00',
  '%E0%A4%A',
  '%',
  '%ZZ',
  '%ED%A0%80',
  '..%2f..',
  'constructor',
  '__proto__',
  '%F0%9F%92%A5',
  'x'.repeat(400),
  "'",
  '%22',
  '-',
  '0',
  '1e9',
  'cottage%00',
  '%20',
  'null',
  '%0a',
  '💥',
] as const
const NASTY_QUERIES = [
  '',
  '?',
  '?since=1.5',
  '?since=-1',
  '?since=99999999999999999999',
  '?since=abc',
  '?limit=0',
  '?limit=1e9',
  '?offset=-3',
  '?offset=1e30',
  '?archived=maybe',
  '?by=constructor',
  '?by=__proto__',
  '?by=%00',
  '?page=0',
  '?page=1e99',
  '?page=%ED%A0%80',
  '?a=1&a=2',
  '?%',
  '?since=%E0%A4%A',
] as const

test('many cases over every route and page: none answers 5xx', async ({ request }) => {
  const random = seededRandom(SEED)
  const chance = (percent: number) => random() * 100 < percent
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
  const post = async (path: string, data: unknown) => (await request.post(path, { data: data as object })).json()
  const at = new Date(Date.parse('2026-11-25T09:00:00Z')).toISOString()
  const promise = '2026-11-27T18:00:00Z'
  const plan = {
    title: 'Fuzz',
    roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7, house: { thickness_mm: 110 } },
    oven: { kind: 'fan', offset_k: 3 },
    program: {
      stages: [
        {
          environment: { kind: 'oven', set_c: 120 },
          until: { kind: 'pull' },
          tending: [{ act: 'baste', at_min: 20, every_min: 20 }],
        },
        { role: 'rest', environment: { kind: 'counter' }, cover: 'tent', until: { kind: 'time', minutes: 20 } },
      ],
    },
    target: { doneness: 'medium-rare' },
    promise,
    guests: 6,
    wishes: { rare: 2 },
  }
  const meal = reunion(promise)
  const kitchen = await newKitchen('fuzz')
  const ids = {
    plan: (await post(`/api/k/${kitchen}/plans`, { document: plan })).id as string,
    meal: (await post(`/api/k/${kitchen}/meals`, { document: meal })).id as string,
    cook: '',
  }
  ids.cook = (await post(`/api/k/${kitchen}/cooks`, { plan: ids.plan })).id
  const { token } = await post(`/api/k/${kitchen}/devices`, { name: 'Fuzz' })
  const { path: subscribed } = await post(`/api/k/${kitchen}/addresses`, { of: 'calendar', name: 'Fuzz' })
  const calendar = (subscribed as string).split('/').at(-1) as string
  const roast = { ...plan.roast, temper_min: 30 }
  const bodies: Readonly<Record<string, () => unknown>> = {
    '/api/simulate': () => ({ roast, program: plan.program, target: plan.target, members: 8, seed: 3 }),
    '/api/estimate': () => ({
      roast,
      now_min: 40,
      members: 32,
      plate_min: 240,
      readings: [
        { minute: 10, c: 8 },
        { minute: 30, c: 15.5, probe: 'core', note: 'x' },
      ],
    }),
    '/api/plan': () => ({ ...meal, roasts: meal.roasts.slice(0, 1), sides: meal.sides.slice(0, 1), placed: null }),
    '/api/readings': () => ({
      unit: pick(['c', 'f']),
      sent_at: at,
      battery: 0.5,
      session: 's',
      readings: [{ channel: 0, seq: Math.floor(random() * 1e6), at, value: 41 }],
    }),
    '/api/k/[kitchen]/plans': () =>
      chance(50) ? { document: plan } : { line: 'turkey 5 kg, oven 165, eat friday 19:00' },
    '/api/k/[kitchen]/plans/[plan]': () => ({ base_version: 1, document: plan }),
    '/api/k/[kitchen]/meals': () => (chance(30) ? { document: meal } : { line: '12 people on saturday at 19:30' }),
    '/api/k/[kitchen]/meals/[meal]': () => ({ base_version: 1, document: meal }),
    '/api/k/[kitchen]/meals/preview': () => meal,
    '/api/k/[kitchen]/cooks': () => ({ plan: ids.plan, speed: 2 }),
    '/api/k/[kitchen]/cooks/[cook]/entries': () => ({
      entries: [
        { id: `fuzz-${random()}`, kind: 'note', at, item: 'roast', text: 'x' },
        { id: `fuzz-${random()}`, kind: 'reading', at, item: 'roast', value_c: 40, point: 'core' },
      ],
    }),
    '/api/k/[kitchen]/devices': () => ({ name: 'Fuzz' }),
    '/api/k/[kitchen]/house': () => ({
      kind: 'cut',
      name: 'Fuzz',
      cut: 'beef-rib-bone-in',
      house: { thickness_mm: 100 },
    }),
    '/api/k/[kitchen]/equipment': () => meal.kitchen,
    '/api/k/[kitchen]/cooks/[cook]/again': () => ({ promise }),
    '/api/k/[kitchen]/learning': () => ({ key: 'oven:the oven', on: chance(50) }),
    '/api/k/[kitchen]/record': () => ({
      entries: [{ id: `fuzz-${random()}`, kind: 'storage', at, what: 'Walk-in', value_c: 3, by: 'Fuzz', action: 'x' }],
    }),
    '/api/k/[kitchen]/record/limits': () => ({
      on: true,
      limits: { storage: { most_c: 4, least_c: null, within_min: null } },
    }),
  }
  const archive = () => ({ archived: chance(50) })

  const leaf = (): unknown =>
    pick<() => unknown>([
      () => pick(NASTY_TEXTS),
      () => pick(NASTY_NUMBERS),
      () => null,
      () => true,
      () => [],
      () => ({}),
      () => Array.from({ length: Math.floor(random() * 600) }, () => pick(NASTY_NUMBERS)),
      () => {
        let deep: unknown = pick(NASTY_TEXTS)
        for (let i = 0; i < 40; i++) deep = chance(50) ? [deep] : { deep }
        return deep
      },
    ])()
  /** One or two places of a value changed: a leaf for a nasty one, a part taken away, a part doubled. */
  function mutated(value: unknown): unknown {
    const copy = structuredClone(value)
    const places: { holder: Record<string, unknown>; key: string }[] = []
    const collect = (node: unknown) => {
      if (typeof node !== 'object' || node === null) return
      for (const key of Object.keys(node)) {
        places.push({ holder: node as Record<string, unknown>, key })
        collect((node as Record<string, unknown>)[key])
      }
    }
    collect(copy)
    if (places.length === 0) return leaf()
    for (let i = 0; i < 1 + Math.floor(random() * 2); i++) {
      const { holder, key } = pick(places)
      if (chance(15)) delete holder[key]
      else if (chance(10)) holder[pick(NASTY_TEXTS)] = leaf()
      else holder[key] = typeof holder[key] === 'number' && chance(70) ? pick(NASTY_NUMBERS) : leaf()
    }
    return copy
  }
  const bodyFor = (path: string): { text: string; type: string | undefined } => {
    const valid = path.endsWith('/archive') ? archive() : (bodies[path]?.() ?? {})
    const value = chance(8) ? leaf() : chance(10) ? valid : mutated(valid)
    // A lone surrogate leaves as an escape: JSON carries it.
    let text = JSON.stringify(value) ?? ''
    if (chance(4)) text = text.slice(0, Math.floor(random() * text.length))
    if (chance(2)) text = '['.repeat(5000)
    return {
      text,
      type: chance(94) ? 'application/json' : pick(['text/plain', 'application/x-www-form-urlencoded', undefined]),
    }
  }
  const all = routes()
  expect(all.length).toBeGreaterThan(35)
  const pages = all.filter(({ page }) => page)
  const slow = all.filter(({ page, path }) => !page && SLOW.test(path))
  const others = all.filter(({ page, path }) => !page && !SLOW.test(path))
  const once = all.flatMap((route) => route.methods.map((method) => ({ route, method })))
  const seen = new Map<string, number>()
  const statuses = new Map<number, number>()
  const failures: string[] = []
  const late: string[] = []

  const segment = (name: string): string => {
    if (chance(18)) return pick(NASTY_SEGMENTS)
    const known: Readonly<Record<string, string>> = {
      ...ids,
      kitchen,
      token: calendar,
      which: pick(['promised', 'away', 'eaten', 'meals', 'cooked']),
      name: pick(['plan', 'simulate', 'constructor']),
      item: 'hse_none',
      version: 'pvr_none',
    }
    return known[name] ?? 'none'
  }
  async function one(n: number): Promise<void> {
    // Each once, and then any.
    const each = once[n]
    const route =
      each?.route ?? (chance(PAGES_PERCENT) ? pick(pages) : chance(SLOW_PERCENT) ? pick(slow) : pick(others))
    const drawn = chance(92) ? pick(route.methods) : pick(['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS'])
    const method = each?.method ?? drawn
    // What the cases work on is not taken away from under them.
    const spare = method === 'DELETE' && (each !== undefined || chance(70))
    const path = route.path.replaceAll(/\[(\w+)\]/g, (_, name: string) =>
      spare && name !== 'kitchen' ? 'none' : segment(name),
    )
    if (method === 'DELETE' && Object.values(ids).some((id) => path.endsWith(`/${id}`))) return
    const query = chance(25) ? pick(NASTY_QUERIES) : ''
    const write = method !== 'GET' && method !== 'HEAD' && method !== 'OPTIONS'
    const body = write && chance(97) ? bodyFor(route.path) : undefined
    const headers: Record<string, string> = {}
    if (body?.type) headers['content-type'] = body.type
    if (body) headers['content-length'] = String(Buffer.byteLength(body.text))
    if (route.path === '/api/readings' && chance(95)) headers.authorization = `Bearer ${token}`
    if (chance(2)) headers.origin = 'http://elsewhere.example'
    const status = await raw(method, `${path}${query}`, headers, body?.text)
    const key = `${method} ${route.path}`
    seen.set(key, (seen.get(key) ?? 0) + 1)
    statuses.set(status, (statuses.get(status) ?? 0) + 1)
    const told = `${n}: ${status} ${method} ${path}${query} ${body?.text.slice(0, 300) ?? ''}`
    if (status === 503 && !route.page && SLOW.test(route.path)) late.push(told)
    else if (status >= 500 || status === 0) failures.push(told)
  }
  let n = 0
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      while (n < CASES) await one(n++)
    }),
  )
  console.log(
    `fuzz: ${CASES} cases by seed ${SEED} over ${all.length} routes and pages; ${failures.length} answered 5xx or not at all, ${late.length} said in time that the time was up`,
  )
  console.log(
    [...statuses]
      .sort(([a], [b]) => a - b)
      .map(([status, count]) => `${status}: ${count}`)
      .join('  '),
  )
  for (const failure of failures.slice(0, 20)) console.log(failure)
  for (const { path, methods } of all)
    for (const method of methods) expect(seen.get(`${method} ${path}`) ?? 0, `${method} ${path}`).toBeGreaterThan(0)
  expect(failures).toEqual([])
  expect(late.length).toBeLessThan(CASES / 20)
})

/** A request with its address exactly as it is written. 0: no answer in time. */
function raw(method: string, path: string, headers: Record<string, string>, body: string | undefined): Promise<number> {
  const { hostname, port } = new URL(MACHINE)
  return new Promise((done) => {
    const asked = httpRequest(
      {
        hostname,
        port,
        method,
        path: carried(path),
        headers,
        timeout: path.includes('/whole') ? WHOLE_MS : LIMIT_MS,
      },
      (response) => {
        const status = response.statusCode ?? 0
        // A stream of events goes on for ever: its status is enough.
        if (response.headers['content-type']?.startsWith('text/event-stream')) {
          done(status)
          asked.destroy()
          return
        }
        response.resume()
        response.on('end', () => done(status))
        response.on('error', () => done(status))
      },
    )
    asked.on('timeout', () => asked.destroy())
    asked.on('error', () => done(0))
    asked.end(body)
  })
}
/** Only what HTTP itself cannot carry is written otherwise; bad escapes stay bad. */
const carried = (path: string) => path.replaceAll(/[^\x21-\x7e]/gu, (character) => encodeURIComponent(character))
