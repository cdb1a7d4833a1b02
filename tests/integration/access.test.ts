import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { cookShelf } from '@/db/cooks'
import { setMember } from '@/db/people'
import { people } from '@/db/people-schema'
import type { KitchenScope } from '@/db/repositories'
import { within } from '@/db/within'
import { cookFromPlan } from '@/domain/cook/begin'
import { type Actor, roleOf } from '@/domain/people/actor'
import { type Action, LEAST_ROLE, mayDo, ROLES, type Role } from '@/domain/people/roles'
import { planDocument } from '@/domain/roast/roast-document'
import { reunion } from '@/stand-ins/demo/meals'
import { freshKitchen, openTestDatabase } from './kitchen'

process.env.DATABASE_URL = process.env.TEST_DATABASE_URL
const { db, close } = openTestDatabase()
afterAll(close)

const app = join(import.meta.dirname, '../../src/app')
type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

/** Every address that answers, with what it answers to: read off the files, so that none is forgotten. */
const ROUTES = readdirSync(app, { recursive: true, encoding: 'utf8' })
  .filter((path) => path.endsWith('route.ts'))
  .flatMap((path) =>
    [...readFileSync(join(app, path), 'utf8').matchAll(/export (?:async function|const) (GET|POST|PUT|DELETE)\b/g)].map(
      ([, method]) => ({
        method: method as Method,
        path,
        address: `/${relative('.', path).replace(/\/route\.ts$/, '')}`,
      }),
    ),
  )
  .sort((a, b) => (a.address < b.address ? -1 : 1))

const LINE = { line: 'pork loin 2 kg, 63C, eat 2027-01-30 19:00' }
/** Who may ask each, and with what body where an empty one is not understood. */
const RULES: Readonly<
  Record<string, { readonly least: Action | 'anybody' | 'somebody' | 'token'; readonly body?: unknown }>
> = {
  'POST /api/auth/[...all]': { least: 'anybody' },
  'POST /api/claim': { least: 'token' },
  'POST /api/join': { least: 'token' },
  'POST /api/tablets': { least: 'token' },
  'POST /api/readings': { least: 'token' },
  'GET /calendar/[token]': { least: 'token' },
  'GET /trust/certificate': { least: 'anybody' },
  'GET /api/health': { least: 'anybody' },
  'GET /api/ready': { least: 'anybody' },
  'GET /api/schema/[name]': { least: 'anybody' },
  'POST /api/plan': { least: 'somebody' },
  'POST /api/simulate': { least: 'somebody' },
  'POST /api/estimate': { least: 'somebody' },
  'POST /api/kitchens': { least: 'somebody' },
  'DELETE /api/me': { least: 'somebody' },
  'DELETE /api/me/sessions': { least: 'somebody' },
  'DELETE /api/me/sessions/[session]': { least: 'somebody' },
  'DELETE /api/k/[kitchen]': { least: 'whole' },
  'POST /api/k/[kitchen]/addresses': { least: 'share' },
  'DELETE /api/k/[kitchen]/addresses/[address]': { least: 'share' },
  'POST /api/k/[kitchen]/cooks/[cook]/again': { least: 'plan' },
  'POST /api/k/[kitchen]/cooks/[cook]/archive': { least: 'plan', body: { archived: false } },
  'GET /api/k/[kitchen]/cooks/[cook]/curve': { least: 'read' },
  'POST /api/k/[kitchen]/cooks/[cook]/entries': { least: 'cook' },
  'GET /api/k/[kitchen]/cooks/[cook]/photos': { least: 'read' },
  'POST /api/k/[kitchen]/cooks/[cook]/photos': { least: 'cook' },
  'GET /api/k/[kitchen]/cooks/[cook]': { least: 'read' },
  'DELETE /api/k/[kitchen]/cooks/[cook]': { least: 'plan' },
  'GET /api/k/[kitchen]/cooks': { least: 'read' },
  'POST /api/k/[kitchen]/cooks': { least: 'cook' },
  'PUT /api/k/[kitchen]/customs': { least: 'house' },
  'DELETE /api/k/[kitchen]/devices/[device]': { least: 'share' },
  'POST /api/k/[kitchen]/devices': { least: 'share' },
  'PUT /api/k/[kitchen]/equipment': { least: 'house' },
  'GET /api/k/[kitchen]/events': { least: 'read' },
  'DELETE /api/k/[kitchen]/house/[item]': { least: 'house' },
  'GET /api/k/[kitchen]/house': { least: 'read' },
  'POST /api/k/[kitchen]/house': { least: 'house' },
  'DELETE /api/k/[kitchen]/invitations/[invitation]': { least: 'people' },
  'POST /api/k/[kitchen]/invitations': { least: 'people', body: { of: 'person' } },
  'PUT /api/k/[kitchen]/learning': { least: 'house' },
  'POST /api/k/[kitchen]/lines': { least: 'plan', body: LINE },
  'POST /api/k/[kitchen]/meals/[meal]/archive': { least: 'plan', body: { archived: false } },
  'GET /api/k/[kitchen]/meals/[meal]/calendar': { least: 'read' },
  'GET /api/k/[kitchen]/meals/[meal]/document': { least: 'read' },
  'GET /api/k/[kitchen]/meals/[meal]': { least: 'read' },
  'PUT /api/k/[kitchen]/meals/[meal]': { least: 'plan', body: { base_version: 1, document: {} } },
  'DELETE /api/k/[kitchen]/meals/[meal]': { least: 'plan' },
  'POST /api/k/[kitchen]/meals/[meal]/set-aside/[version]': { least: 'plan' },
  'GET /api/k/[kitchen]/meals/[meal]/shopping': { least: 'read' },
  'GET /api/k/[kitchen]/meals/[meal]/tasks': { least: 'read' },
  'POST /api/k/[kitchen]/meals/preview': { least: 'plan' },
  'GET /api/k/[kitchen]/meals': { least: 'read' },
  'POST /api/k/[kitchen]/meals': { least: 'plan', body: { line: '6 people 2027-01-30 19:00' } },
  'PUT /api/k/[kitchen]/members/[person]': { least: 'people' },
  'DELETE /api/k/[kitchen]/members/[person]': { least: 'people' },
  'GET /api/k/[kitchen]/photos/[photo]': { least: 'read' },
  'DELETE /api/k/[kitchen]/photos/[photo]': { least: 'cook' },
  'PUT /api/k/[kitchen]/pins': { least: 'people' },
  'POST /api/k/[kitchen]/pins': { least: 'read' },
  'POST /api/k/[kitchen]/plans/[plan]/archive': { least: 'plan', body: { archived: false } },
  'GET /api/k/[kitchen]/plans/[plan]': { least: 'read' },
  'PUT /api/k/[kitchen]/plans/[plan]': { least: 'plan', body: { base_version: 1, document: {} } },
  'DELETE /api/k/[kitchen]/plans/[plan]': { least: 'plan' },
  'POST /api/k/[kitchen]/plans/[plan]/set-aside/[version]': { least: 'plan' },
  'GET /api/k/[kitchen]/plans': { least: 'read' },
  'POST /api/k/[kitchen]/plans': { least: 'plan', body: LINE },
  'GET /api/k/[kitchen]/record/csv': { least: 'record' },
  'GET /api/k/[kitchen]/record/export': { least: 'record' },
  'PUT /api/k/[kitchen]/record/limits': { least: 'record' },
  'POST /api/k/[kitchen]/record': { least: 'record' },
  'GET /api/k/[kitchen]/record/sheet': { least: 'read' },
  'POST /api/k/[kitchen]/stove': { least: 'cook' },
  'DELETE /api/k/[kitchen]/tablets/[tablet]': { least: 'people' },
  'GET /api/k/[kitchen]/whole': { least: 'whole' },
  'POST /api/k/[kitchen]/whole/parts': { least: 'whole' },
  'POST /api/k/[kitchen]/whole/take': { least: 'whole' },
}
const nameOf = ({ method, address }: { method: Method; address: string }) => `${method} ${address}`

const PLAN = planDocument.parse({
  roast: { cut: 'pork-loin', mass_kg: 2 },
  target: { serve_c: 63 },
  promise: '2027-01-30T19:00:00Z',
})

let own: KitchenScope
let other: KitchenScope
const actors = new Map<Role | 'foreign' | 'tablet' | 'foreign tablet', Actor>()
const things: Record<string, string> = {}

async function person(name: string): Promise<Actor & { kind: 'person' }> {
  const id = `per_${name}_${own.kitchen.id}`.slice(0, 60)
  await db.insert(people).values({ id, name, email: `${id}@people.invalid`, username: id.toLowerCase() })
  return { kind: 'person', id, name, session: 'none' }
}

beforeAll(async () => {
  own = await freshKitchen(db)
  other = await freshKitchen(db)
  for (const role of ROLES) {
    const each = await person(role)
    await setMember(db, own.kitchen.id, each.id, role)
    actors.set(role, each)
  }
  const foreign = await person('foreign')
  await setMember(db, other.kitchen.id, foreign.id, 'owner')
  actors.set('foreign', foreign)
  const tablet = { kind: 'tablet', id: 'tab_own', name: 'Stove' } as const
  actors.set('tablet', { ...tablet, kitchenId: own.kitchen.id })
  actors.set('foreign tablet', { ...tablet, kitchenId: other.kitchen.id })
  const cook = cookFromPlan(PLAN, Date.parse('2027-01-30T09:00:00Z') / 1000, 1)
  if (!cook.ok) throw new Error('no cook')
  Object.assign(things, {
    plan: (await own.plans.add(PLAN)).id,
    meal: (await own.meals.add(reunion('2027-01-30T19:30:00Z'))).id,
    cook: (await cookShelf(db, own.kitchen).begin(cook.value)).id,
  })
})

interface Asked {
  readonly method: Method
  readonly path: string
  readonly address: string
}
/** Asks one route as somebody, in a kitchen; whatever it names besides is not there, or is this test's own. */
async function ask(
  { method, path, address }: Asked,
  actor: Actor,
  kitchen: string,
): Promise<{ status: number; code: string }> {
  const { actAs } = await import('@/server/access/actor')
  const handlers = (await import(join(app, path))) as Record<
    Method,
    (request: Request, context: unknown) => Promise<Response>
  >
  const names = [...address.matchAll(/\[(\w+)\]/g)].map(([, name]) => name as string)
  const deletes = method === 'DELETE'
  const params = Object.fromEntries(
    names.map((name) => [name, name === 'kitchen' ? kitchen : deletes ? 'not-there' : (things[name] ?? 'not-there')]),
  )
  const body = RULES[nameOf({ method, address })]?.body ?? {}
  const gone = new AbortController()
  const request = new Request(`http://127.0.0.1${address}`, {
    method,
    signal: gone.signal,
    ...(method === 'GET' ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  })
  const response = await actAs(actor, () => handlers[method](request, { params: Promise.resolve(params) }))
  const text = response.headers.get('content-type')?.startsWith('application/json') ? await response.json() : undefined
  gone.abort()
  await response.body?.cancel().catch(() => {})
  return { status: response.status, code: text?.errors?.[0]?.code ?? '' }
}

const KITCHEN = ROUTES.filter(({ address }) => address.startsWith('/api/k/[kitchen]'))

describe('who may do what', () => {
  it('is said for every address that answers, and for no other', () => {
    expect(ROUTES.length).toBeGreaterThan(60)
    expect(ROUTES.map(nameOf).sort()).toEqual(Object.keys(RULES).sort())
    for (const { address, ...each } of ROUTES)
      expect(LEAST_ROLE, nameOf({ ...each, address })).toSatisfy((table: object) => {
        const least = RULES[nameOf({ ...each, address })]?.least ?? ''
        return address.startsWith('/api/k/') ? least in table : !(least in table)
      })
  })

  it('nobody is told anything but to sign in, whatever they name', async () => {
    for (const route of KITCHEN)
      for (const kitchen of [own.kitchen.slug, 'never-was']) {
        const { status, code } = await ask(route, { kind: 'nobody' }, kitchen)
        expect([nameOf(route), kitchen === own.kitchen.slug, status, code]).toEqual([
          nameOf(route),
          kitchen === own.kitchen.slug,
          401,
          'not_signed_in',
        ])
      }
  })

  it('a kitchen that is another’s is as one that is not there', async () => {
    for (const route of KITCHEN)
      for (const name of ['foreign', 'foreign tablet'] as const) {
        const actor = actors.get(name) as Actor
        const [theirs, none] = [await ask(route, actor, own.kitchen.slug), await ask(route, actor, 'never-was')]
        expect([nameOf(route), theirs]).toEqual([nameOf(route), { status: 404, code: 'not_found' }])
        expect(theirs).toEqual(none)
      }
  })

  for (const role of [...ROLES, 'tablet'] as const)
    it(`a ${role} is let do what the table says, and told where it does not`, async () => {
      const as = role === 'tablet' ? 'cook' : role
      for (const route of KITCHEN) {
        const { least } = RULES[nameOf(route)] as { least: Action }
        const { status, code } = await ask(route, actors.get(role) as Actor, own.kitchen.slug)
        if (mayDo(as, least)) {
          // Setting one's own number takes a person: a tablet is none.
          const ownOnly = role === 'tablet' && nameOf(route) === 'POST /api/k/[kitchen]/pins'
          if (!ownOnly) expect([401, 403], `${nameOf(route)} as ${role}: ${status} ${code}`).not.toContain(status)
          expect(status, nameOf(route)).toBeLessThan(500)
        } else expect([nameOf(route), status, code]).toEqual([nameOf(route), 403, 'not_allowed'])
      }
    })

  it('what belongs to no kitchen is for somebody', async () => {
    for (const route of ROUTES.filter((each) => RULES[nameOf(each)]?.least === 'somebody'))
      expect([nameOf(route), await ask(route, { kind: 'nobody' }, '')]).toEqual([
        nameOf(route),
        { status: 401, code: 'not_signed_in' },
      ])
  })

  it('each role may do all that those before it may', () => {
    for (const action of Object.keys(LEAST_ROLE) as Action[])
      expect(ROLES.map((role) => mayDo(role, action))).toEqual([...ROLES.map((role) => mayDo(role, action))].sort())
    expect(roleOf({ kind: 'nobody' }, 'a', 'owner')).toBeUndefined()
    expect(roleOf({ kind: 'person', id: 'p', name: '', session: '' }, 'a', undefined)).toBeUndefined()
  })
})

describe('the second wall', () => {
  const TABLES = [
    'plans',
    'plan_versions',
    'plan_summaries',
    'house_items',
    'house_changes',
    'photos',
    'cooks',
    'cook_stories',
    'entries',
    'devices',
    'readings',
    'readings_aside',
    'record_entries',
  ]

  it('stands around every table that hangs from a kitchen', async () => {
    const rows = await db.execute<{ name: string; secured: boolean }>(sql`
      select c.relname as name, c.relrowsecurity as secured from pg_class c
      join pg_attribute a on a.attrelid = c.oid and a.attname = 'kitchen_id'
      where c.relkind in ('r', 'p') and c.relnamespace = 'public'::regnamespace`)
    const open = [...rows].filter(({ secured }) => !secured).map(({ name }) => name)
    // These say which kitchen a request is for: they are asked before it is known.
    expect(open.sort()).toEqual(['addresses', 'audit', 'invitations', 'members', 'tablets'])
    for (const table of TABLES) expect([...rows].map(({ name }) => name)).toContain(table)
  })

  it('shows a query that forgot its kitchen nothing, and one that names another nothing of it', async () => {
    for (const table of TABLES) {
      const count = async (of: typeof db) =>
        (await of.execute<{ n: number }>(sql`select count(*)::int as n from ${sql.identifier(table)}`))[0]?.n
      expect([table, await count(db)]).toEqual([table, 0])
      expect([table, await count(within(db, other.kitchen.id))]).toEqual([table, 0])
    }
    const seen = await within(db, own.kitchen.id).execute<{ id: string }>(sql`select id from plans`)
    expect([...seen].map(({ id }) => id)).toContain(things.plan)
  })

  it('lets nothing be written into another kitchen, or out of one’s own', async () => {
    const foreign = within(db, other.kitchen.id)
    const insert = sql`insert into house_items (id, kitchen_id, kind, name, document) values ('hse_in', ${own.kitchen.id}, 'cut', 'x', '{}')`
    await expect(foreign.execute(insert)).rejects.toThrow()
    await expect(db.execute(insert)).rejects.toThrow()
    const moved = await foreign.execute(
      sql`update plans set archived_at = now() where id = ${things.plan} returning id`,
    )
    expect([...moved]).toEqual([])
    expect([...(await foreign.execute(sql`delete from cooks returning id`))]).toEqual([])
    await expect(
      within(db, own.kitchen.id).execute(
        sql`update plans set kitchen_id = ${other.kitchen.id} where id = ${things.plan}`,
      ),
    ).rejects.toThrow()
  })

  it('what is said within one statement is gone after it', async () => {
    await Promise.all(
      Array.from({ length: 40 }, async (_, i) => {
        const scope = i % 2 === 0 ? own : other
        const rows = await within(db, scope.kitchen.id).execute<{ kitchen_id: string }>(
          sql`select distinct kitchen_id from plans`,
        )
        expect([...rows].every(({ kitchen_id }) => kitchen_id === scope.kitchen.id)).toBe(true)
        expect([...(await db.execute(sql`select id from plans`))]).toEqual([])
      }),
    )
  })
})
