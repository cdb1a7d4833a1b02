import { type ChildProcess, spawn } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { hostname } from 'node:os'
import { join } from 'node:path'
import { connect } from 'node:tls'
import type { Browser, BrowserContext, Page } from '@playwright/test'
import { test as base, chromium, expect } from '@playwright/test'
import { cluster } from '../../bin/setup/database.mjs'
import { root } from '../../bin/setup/dependencies.mjs'
import { prepareDatabase } from '../../bin/setup/prepare.mjs'
import { deskReady, openBoard, planByLine } from './browser'

/** A kitchen with owners: an installation of its own, with its doors, beside the open demo of the other tests. */

const PORT = 3198
const SECURE = 3199
const address = `http://127.0.0.1:${PORT}`
const network = `https://localhost:${SECURE}`
const data = cluster({ name: 'postgres-access', firstPort: 54520, databases: ['pheasant'], durable: false })
const claimFile = join(root, '.data', 'access-claim')
const PASSWORD = 'a long enough one'

const env = () => ({
  ...process.env,
  NODE_ENV: 'production' as const,
  DATABASE_URL: data.url('pheasant'),
  PHEASANT_NOW: '',
  PHEASANT_OPEN: 'no',
  PHEASANT_HOSTS: 'stove.test',
  NEXT_TELEMETRY_DISABLED: '1',
})

async function serve(port: number, more: readonly string[] = []): Promise<ChildProcess> {
  const server = spawn(process.execPath, [join(root, 'bin/serve.mjs'), '--port', String(port), ...more], {
    cwd: root,
    stdio: 'ignore',
    env: env(),
    detached: true,
  })
  await expect
    .poll(async () => (await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => undefined))?.ok ?? false)
    .toBe(true)
  return server
}
const kill = (server: ChildProcess | undefined) => {
  try {
    if (server?.pid) process.kill(-server.pid, 'SIGKILL')
  } catch {}
}

const test = base
test.describe.configure({ mode: 'serial' })

let server: ChildProcess | undefined
let claim = ''
let owner: BrowserContext
let cook: BrowserContext
let tablet: BrowserContext

test.beforeAll(async () => {
  await data.start()
  data.recreate('pheasant')
  process.env.PHEASANT_CLAIM = claimFile
  prepareDatabase(data.ownerUrl('pheasant'), { demo: true })
  delete process.env.PHEASANT_CLAIM
  claim = readFileSync(claimFile, 'utf8').trim()
  const tls = ['--host', '127.0.0.1', '--secure-port', String(SECURE), '--tls', join(root, '.data', 'access-tls')]
  server = await serve(PORT, tls)
})
test.afterAll(async () => {
  // Their boards would go on drawing beside all the tests that follow.
  for (const context of [owner, cook, tablet]) await context?.close()
  kill(server)
  await data.stop()
})

/** Whether who trusts the installation's own authority trusts its door, by the machine's name. */
const trusted = () =>
  new Promise<boolean>((done, failed) => {
    const ca = readFileSync(join(root, '.data/access-tls/authority.pem'))
    const socket = connect({ host: '127.0.0.1', port: SECURE, ca, servername: hostname().toLowerCase() }, () => {
      done(socket.authorized)
      socket.end()
    })
    socket.once('error', failed)
  })

const someone = async (browser: Browser, more: object = {}) => browser.newContext({ baseURL: address, ...more })
const pageOf = async (context: BrowserContext): Promise<Page> => context.pages()[0] ?? context.newPage()

async function newPerson(page: Page, name: string, action: string, kitchen?: string): Promise<void> {
  await page.getByLabel('Your name').fill(name)
  await page.getByLabel('Sign-in name').fill(name.toLowerCase())
  await page.getByLabel('Password').fill(PASSWORD)
  if (kitchen) await page.getByLabel('A kitchen of your own').fill(kitchen)
  await page.getByRole('button', { name: action }).click()
}

test('on the machine the demo is open to a named demo person until somebody claims it; by the network it never is', async ({
  browser,
}) => {
  const visitor = await someone(browser)
  const page = await pageOf(visitor)
  await page.goto('/k/cottage')
  await expect(page.getByTestId('who')).toContainText('Robin Ash')
  await page.goto('/k/cottage/people')
  await expect(page.getByTestId('mine')).toContainText('nobody owns this installation yet')
  await page.getByRole('button', { name: 'Make an invitation' }).click()
  await expect(page.getByText('claim it first')).toBeVisible()
  await visitor.close()

  const outside = await browser.newContext({ ignoreHTTPSErrors: true })
  const far = await pageOf(outside)
  const first = await far.goto(`${network}/k/cottage`)
  // Scripts by a nonce alone, and https from here on.
  expect(first?.headers()['content-security-policy']).toMatch(
    /script-src 'self' 'nonce-[^']+' 'strict-dynamic' 'wasm-unsafe-eval';/,
  )
  expect(first?.headers()['strict-transport-security']).toContain('max-age=')
  await expect(far).toHaveURL(/\/sign-in$/)
  await expect(far.getByText('Nobody owns this installation yet')).toBeVisible()
  await far.goto(`${network}/trust`)
  await expect(far.getByTestId('fingerprint')).toContainText(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/)
  expect(await trusted()).toBe(true)
  expect((await outside.request.get(`${network}/api/k/cottage/plans`)).status()).toBe(401)
  // What a request says of its own door is not believed.
  const forged = { 'x-pheasant-door': 'machine', 'x-forwarded-for': '127.0.0.1' }
  expect((await outside.request.get(`${network}/api/k/cottage/plans`, { headers: forged })).status()).toBe(401)
  await outside.close()
})

test('the one-time address makes its first owner, once', async ({ browser }) => {
  owner = await someone(browser)
  const page = await pageOf(owner)
  await page.goto(`/claim/${claim}`)
  await newPerson(page, 'Ines', 'It is mine', 'Harbour House')
  await expect(page).toHaveURL(/\/k\/harbour-house$/)
  await expect(page.getByTestId('who')).toContainText('Ines')
  const [session] = (await owner.cookies()).filter(({ name }) => name.includes('session_token'))
  expect(session).toMatchObject({ httpOnly: true, sameSite: 'Lax' })

  const second = await someone(browser)
  const late = await pageOf(second)
  await late.goto(`/claim/${claim}`)
  await expect(late.getByText('This address is spent.')).toBeVisible()
  // From here on the machine itself asks who it is, too.
  await late.goto('/k/cottage')
  await expect(late).toHaveURL(/\/sign-in$/)
  expect((await second.request.get('/api/k/cottage/plans')).status()).toBe(401)
  await second.close()
})

/** An owner makes a way in; the secret address is shown once. */
async function handOut(page: Page, what: 'person' | 'tablet', role?: string): Promise<string> {
  await page.goto('/k/harbour-house/people')
  if (role) await page.getByRole('button', { name: new RegExp(`^${role}`) }).click()
  await page.getByRole('button', { name: what === 'tablet' ? 'Scan a tablet in' : 'Make an invitation' }).click()
  const shown = page.getByTestId('handed-address')
  await expect(page.getByTestId('handed').getByRole('img')).toBeVisible()
  return new URL((await shown.textContent()) ?? '').pathname
}

test('a cook is invited, a tablet is scanned in, each lets once; a password is asked for and a wrong one says nothing', async ({
  browser,
}) => {
  const page = await pageOf(owner)
  const invitation = await handOut(page, 'person', 'cook')
  cook = await someone(browser)
  const own = await pageOf(cook)
  await own.goto(invitation)
  await expect(own.getByText('You are asked to join as cook')).toBeVisible()
  await newPerson(own, 'Marek', 'Join')
  await expect(own).toHaveURL(/\/k\/harbour-house$/)
  await expect(own.getByTestId('who')).toContainText('Marek')
  // A cook plans nothing, and sees no way to.
  await expect(own.getByLabel('What are you roasting, and when do they eat?')).toHaveCount(0)

  const code = await handOut(page, 'tablet')
  tablet = await someone(browser, { viewport: { width: 1180, height: 820 } })
  const stove = await pageOf(tablet)
  await stove.goto(code)
  await stove.getByLabel('What is this tablet called?').fill('By the range')
  await stove.getByRole('button', { name: 'This tablet belongs here' }).click()
  await expect(stove).toHaveURL(/\/k\/harbour-house$/)
  await expect(stove.getByTestId('who')).toContainText('By the range')
  // The owner's page says so without being asked.
  await expect(page.getByTestId('tablet').filter({ hasText: 'By the range' })).toBeVisible()

  const stranger = await someone(browser)
  const late = await pageOf(stranger)
  for (const spent of [invitation, code]) {
    await late.goto(spent)
    await expect(late.getByText('This way in is closed.')).toBeVisible()
  }
  await late.goto('/sign-in')
  await late.getByLabel('Sign-in name').fill('marek')
  await late.getByLabel('Password').fill('not his password')
  await late.getByRole('button', { name: 'Sign in' }).click()
  await expect(late.getByText('no such sign-in name and password')).toBeVisible()
  await late.getByLabel('Password').fill(PASSWORD)
  await late.getByRole('button', { name: 'Sign in' }).click()
  await expect(late).toHaveURL(/\/k\/harbour-house$/)
  // He is signed in twice now, and signs out there from here.
  await own.goto('/k/harbour-house/people')
  await expect(own.getByTestId('sessions').getByRole('listitem')).toHaveCount(2)
  await own.getByRole('button', { name: 'Sign out there' }).click()
  await expect(own.getByText('Signed out there.')).toBeVisible()
  await late.goto('/k/harbour-house')
  await expect(late).toHaveURL(/\/sign-in$/)
  await stranger.close()
})

let board = ''

test('two people and a tablet cook together, and every entry says whose it is', async () => {
  const page = await pageOf(owner)
  await planByLine(page, 'pork loin 1.8 kg, 63C, oven 160, dinner tomorrow', 'harbour-house')
  const plan = new URL(page.url()).pathname

  // The cook looks at the plan, and begins it.
  const own = await pageOf(cook)
  await own.goto(plan)
  await deskReady(own)
  await expect(own.getByTestId('tried-out')).toBeVisible()
  await own.getByRole('button', { name: 'Cook it' }).click()
  await expect(own).toHaveURL(/\/cooks\/cok_/)
  board = new URL(own.url()).pathname
  await openBoard(own, board)
  await expect(own.getByText('At the stove')).toContainText('Marek')
  await own.getByRole('button', { name: 'It is in' }).click()
  await expect(own.getByTestId('board-row')).toHaveAttribute('data-state', 'in')

  // On the tablet one tap says who it is.
  const stove = await pageOf(tablet)
  await openBoard(stove, board)
  await expect(stove.getByTestId('board-row')).toHaveAttribute('data-state', 'in')
  await stove.getByRole('button', { name: 'Ines', exact: true }).click()
  await stove.getByRole('button', { name: 'Basted', exact: true }).first().click()
  await expect(stove.getByTestId('connection')).toHaveText('All kept')
  const { entries } = await (await owner.request.get(`/api${board}`)).json()
  const by = (kind: string) => entries.find((each: { entry: { kind: string } }) => each.entry.kind === kind)?.entry.by
  expect([by('in'), by('basted')]).toEqual(['Marek', 'Ines'])
})

test('over https a tablet keeps its board, and opens it again without the network', async () => {
  // As a tablet that was told to trust the authority: only then does a browser give a page its worker.
  const trusting = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--ignore-certificate-errors',
      '--host-resolver-rules=MAP stove.test 127.0.0.1',
    ],
  })
  try {
    const far = await trusting.newContext({ baseURL: `https://stove.test:${SECURE}` })
    const page = await far.newPage()
    const code = await handOut(await pageOf(owner), 'tablet')
    await page.goto(code)
    await page.getByLabel('What is this tablet called?').fill('Over https')
    await page.getByRole('button', { name: 'This tablet belongs here' }).click()
    await expect(page).toHaveURL(/\/k\/harbour-house$/)
    const [own] = (await far.cookies()).filter(({ name }) => name === 'pheasant_tablet')
    expect(own).toMatchObject({ secure: true, httpOnly: true })
    await openBoard(page, board)
    expect(await page.evaluate(() => window.isSecureContext)).toBe(true)
    await expect(page.locator('html')).toHaveAttribute('data-board-kept', 'yes')
    await far.setOffline(true)
    await page.reload()
    await page.locator('[data-testid=board][data-ready=true]').waitFor()
    await expect(page.getByTestId('connection')).toContainText('No connection')
    await page.getByRole('button', { name: 'Turned', exact: true }).first().click()
    await expect(page.getByTestId('connection')).toContainText('1 entry waits on this device')
    await far.setOffline(false)
    await expect(page.getByTestId('connection')).toHaveText('All kept')
  } finally {
    await trusting.close()
  }
})

test('with numbers, a name at the tablet takes its own', async () => {
  const page = await pageOf(owner)
  await page.goto('/k/harbour-house/people')
  const number = page.getByRole('button', { name: 'their name and a number' })
  await number.click()
  await expect(number).toHaveAttribute('aria-pressed', 'true')
  await page.getByLabel('Your number at tablets').fill('4711')
  await page.getByRole('button', { name: 'Set it' }).click()
  await expect(page.getByText('Your number at shared tablets is set.')).toBeVisible()
  const stove = await pageOf(tablet)
  await openBoard(stove, board)
  await stove.getByRole('button', { name: 'Marek', exact: true }).click()
  await stove.getByLabel('Your number').fill('0000')
  await stove.getByRole('button', { name: 'It is me' }).click()
  await expect(stove.getByText('that is not their number')).toBeVisible()
  await stove.getByRole('button', { name: 'Ines', exact: true }).click()
})

test('an address shows its one thing to whoever has it, is counted, and is closed', async ({ browser }) => {
  const page = await pageOf(owner)
  await openBoard(page, board)
  await page.getByRole('button', { name: 'An address to watch this board' }).click()
  const shown = new URL((await page.getByTestId('handed-address').textContent()) ?? '').pathname
  expect(shown.split('/').at(-1)?.length).toBeGreaterThanOrEqual(32)
  const visitor = await someone(browser, { viewport: { width: 390, height: 844 } })
  const far = await pageOf(visitor)
  await far.goto(shown)
  await expect(far.getByTestId('glance')).toContainText('Pork loin')
  await expect(far.getByRole('button')).toHaveCount(0)
  // It leads nowhere else.
  await far.goto(board)
  await expect(far).toHaveURL(/\/sign-in$/)
  await page.goto('/k/harbour-house/people')
  const listed = page.getByTestId('address').filter({ hasText: 'Board: ' })
  await expect(listed).toContainText('opened once')
  await listed.getByRole('button', { name: 'Close it' }).click()
  await listed.getByRole('button', { name: 'Yes, close it' }).click()
  await expect(listed).toHaveCount(0)
  expect((await far.goto(shown))?.status()).toBe(404)
  await visitor.close()
})

test('a tablet taken out in mid-cook is told so; what was tapped on it stays there, and is sent when it is let in again', async () => {
  const stove = await pageOf(tablet)
  await openBoard(stove, board)
  await expect(stove.getByTestId('connection')).toHaveText('All kept')
  const page = await pageOf(owner)
  await page.goto('/k/harbour-house/people')
  const range = page.getByTestId('tablet').filter({ hasText: 'By the range' })
  await range.getByRole('button', { name: 'Take it out' }).click()
  await range.getByRole('button', { name: 'Yes, take it out' }).click()
  await expect(range).toHaveCount(0)
  await expect(stove.getByTestId('connection')).toContainText('This device is no longer let in.')
  await stove.getByRole('button', { name: 'Basted', exact: true }).first().click()
  await expect(stove.getByTestId('connection')).toContainText('1 entry stays on this device')
  await stove.getByRole('link', { name: 'Look at them' }).click()
  await expect(stove.getByTestId('waiting-entry')).toHaveCount(1)

  const code = await handOut(page, 'tablet')
  await stove.goto(code)
  await stove.getByRole('button', { name: 'This tablet belongs here' }).click()
  await expect(stove).toHaveURL(/\/k\/harbour-house$/)
  await openBoard(stove, board)
  await expect(stove.getByTestId('connection')).toHaveText('All kept')
  await expect.poll(() => basted(address)).toBe(2)
})

/** How often it was basted, as a server has it. */
const basted = async (at: string): Promise<number> =>
  (await (await owner.request.get(`${at}/api${board}`)).json()).entries.filter(
    (each: { entry: { kind: string } }) => each.entry.kind === 'basted',
  ).length

/** Every page, with what stands for its parts. */
const PAGES = readdirSync(join(root, 'src/app'), { recursive: true, encoding: 'utf8' })
  .filter((path) => path.endsWith('page.tsx'))
  .map((path) => `/${path}`.replace(/\/page\.tsx$/, '').replace(/\/\([^)]*\)/g, '') || '/')
/** Pages for whoever comes by, and what they are for. */
const OPEN = new Set([
  '/',
  '/sign-in',
  '/claim/[token]',
  '/join/[token]',
  '/trust',
  '/waiting',
  '/accuracy',
  '/shared/[secret]',
])

test('every page of a kitchen is for those who belong to it: others are asked who they are, or told it is not there', async ({
  browser,
}) => {
  const cookId = board.split('/').at(-1) as string
  const { plans } = await (await owner.request.get('/api/k/harbour-house/plans')).json()
  const parts: Record<string, string> = {
    '[kitchen]': 'harbour-house',
    '[cook]': cookId,
    '[plan]': plans[0].id,
    '[cooks]': cookId,
    '[which]': 'promised',
    '[meal]': 'pln_none',
  }
  const at = (page: string) => page.replaceAll(/\[\w+\]/g, (part) => parts[part] ?? part)
  const inside = PAGES.filter((page) => page.startsWith('/k/'))
  expect(inside.length).toBeGreaterThan(12)
  expect(PAGES.filter((page) => !page.startsWith('/k/')).sort()).toEqual([...OPEN].sort())

  const stranger = await someone(browser)
  // Somebody who belongs to the demo kitchen alone.
  const page = await pageOf(owner)
  await page.goto('/k/cottage/people')
  await page.getByRole('button', { name: /^owner/ }).click()
  await page.getByRole('button', { name: 'Make an invitation' }).click()
  const invitation = new URL((await page.getByTestId('handed-address').textContent()) ?? '').pathname
  const elsewhere = await someone(browser)
  const theirs = await pageOf(elsewhere)
  await theirs.goto(invitation)
  await newPerson(theirs, 'Odd', 'Join')
  await expect(theirs).toHaveURL(/\/k\/cottage$/)

  // And the roles between: what a page shows may differ, whether it is there may not.
  const others: BrowserContext[] = []
  for (const [name, role] of [
    ['Gus', 'guest'],
    ['Hedda', 'head cook'],
  ] as const) {
    const one = await someone(browser)
    others.push(one)
    await (await pageOf(one)).goto(await handOut(page, 'person', role))
    await newPerson(await pageOf(one), name, 'Join')
    await expect(await pageOf(one)).toHaveURL(/\/k\/harbour-house$/)
  }

  for (const each of inside) {
    const path = at(each)
    const nobody = await stranger.request.get(path, { maxRedirects: 0 })
    expect([each, nobody.status(), nobody.headers().location]).toEqual([each, 307, '/sign-in'])
    const foreign = await elsewhere.request.get(path, { maxRedirects: 0 })
    expect([each, foreign.status()]).toEqual([each, 404])
    const member = await cook.request.get(path, { maxRedirects: 0 })
    expect([each, member.status()]).toEqual([each, /\[(meal|cooks)\]/.test(each) ? 404 : 200])
    for (const one of [owner, ...others])
      expect([each, (await one.request.get(path, { maxRedirects: 0 })).status()]).toEqual([each, member.status()])
  }
  for (const one of [...others, elsewhere, stranger]) await one.close()
})

test('a role is changed and somebody is put out, at once; the last owner stays; the trail says all of it', async () => {
  const page = await pageOf(owner)
  const own = await pageOf(cook)
  await openBoard(own, board)
  await page.goto('/k/harbour-house/people')
  const marek = page.getByTestId('member').filter({ hasText: 'Marek' })
  await marek.getByRole('combobox').selectOption('guest')
  await expect(marek.getByRole('combobox')).toHaveValue('guest')
  await own.reload()
  await expect(own.getByTestId('locked')).toBeVisible()
  expect((await cook.request.post(`/api${board}/entries`, { data: { entries: [{}] } })).status()).toBe(403)
  const ines = page.getByTestId('member').filter({ hasText: 'Ines' })
  await ines.getByRole('button', { name: 'Put out' }).click()
  await ines.getByRole('button', { name: 'Yes, put out' }).click()
  await expect(page.getByText('nobody else owns this kitchen')).toBeVisible()
  await marek.getByRole('button', { name: 'Put out' }).click()
  await marek.getByRole('button', { name: 'Yes, put out' }).click()
  await expect(marek).toHaveCount(0)
  expect((await cook.request.get(`/api${board}`)).status()).toBe(404)
  const trail = page.getByTestId('trail')
  await trail.getByRole('button', { name: /^All/ }).click()
  for (const said of [
    'claimed this installation',
    'joined as cook',
    'was scanned in as a tablet',
    'made an address',
    'took the tablet',
  ])
    await expect(trail).toContainText(said)
})

test('two servers on one database: a cook goes on at the other when one is killed, and a token taken back opens nothing on either', async () => {
  const page = await pageOf(owner)
  const other = await serve(PORT + 10)
  const elsewhere = `http://127.0.0.1:${PORT + 10}`
  try {
    // The same session is known on both: cookies know no ports.
    const far = await owner.newPage()
    await openBoard(far, `${elsewhere}${board}`)
    await openBoard(page, board)
    await page.getByRole('button', { name: 'Basted', exact: true }).first().click()
    await expect(page.getByTestId('connection')).toHaveText('All kept')
    expect(await basted(elsewhere)).toBe(await basted(address))
    const made = await (
      await owner.request.post(`${address}/api/k/harbour-house/devices`, { data: { name: 'Two' } })
    ).json()
    const send = (at: string, seq: number) =>
      owner.request.post(`${at}/api/readings`, {
        headers: { authorization: `Bearer ${made.token}` },
        data: { unit: 'c', readings: [{ channel: 0, seq, at: new Date().toISOString(), value: 20 + seq }] },
      })
    expect((await send(address, 1)).status()).toBe(202)
    expect((await send(elsewhere, 2)).status()).toBe(202)
    expect((await owner.request.delete(`${address}/api/k/harbour-house/devices/${made.device.id}`)).ok()).toBe(true)
    await expect.poll(async () => (await send(elsewhere, 3)).status()).toBe(404)
    expect((await send(address, 4)).status()).toBe(404)

    // Guesses at a password are counted on both together.
    const guess = async (at: string) =>
      (
        await owner.request.post(`${at}/api/auth/sign-in/username`, {
          data: { username: 'nobody-here', password: 'guessed guessed' },
        })
      ).status()
    const guessed: number[] = []
    for (let i = 0; i < 12; i++) guessed.push(await guess(i % 2 ? address : elsewhere))
    expect(guessed.slice(0, 10)).toEqual(Array(10).fill(400))
    expect(guessed.slice(10)).toEqual([429, 429])

    // One is killed: what is tapped at it waits, and the other has the cook.
    kill(server)
    await page.getByRole('button', { name: 'Basted', exact: true }).first().click()
    await expect(page.getByTestId('connection')).toContainText(/No connection/)
    await far.getByRole('button', { name: 'Turned', exact: true }).first().click()
    await expect(far.getByTestId('connection')).toHaveText('All kept')
    server = await serve(PORT)
    await expect(page.getByTestId('connection')).toHaveText('All kept')
    await expect.poll(() => basted(elsewhere)).toBe(await basted(address))
    await far.close()
  } finally {
    kill(other)
  }
})
