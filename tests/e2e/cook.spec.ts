import { spawn } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import AxeBuilder from '@axe-core/playwright'
import type { APIRequestContext, Page } from '@playwright/test'
import type { StationFault, StationOrders } from '../../src/stand-ins/probe-station/station'
import { expect, MACHINE, openBoard, planByLine, readByHand, saved, test } from './browser'

/** Each origin has a day of its own: two rehearsals of one evening in one kitchen would see each other's stations. */
const DAY = { machine: 'tomorrow', tablet: 'saturday' } as const
const lineOf = (project: string) => `pork loin 1.6 kg, rosy, oven 170, eat ${DAY[project as keyof typeof DAY]} 19:00`
const SPEED = 60
/** Two that were tapped, and the arrival where the board foresaw another one meanwhile. */
const WAITING = /[23] entries wait on this device/

/** Plans a roast, begins its cook as a rehearsal, and answers what a station needs to know. */
async function rehearsal(
  page: Page,
  request: APIRequestContext,
  speed = SPEED,
  line = lineOf(test.info().project.name),
) {
  await planByLine(page, line)
  await saved(page)
  const [, , kitchen, , plan] = new URL(page.url()).pathname.split('/')
  const begun = await request.post(`/api/k/${kitchen}/cooks`, { data: { plan, speed } })
  expect(begun.status()).toBe(201)
  const cook = await begun.json()
  return { kitchen: kitchen as string, cook }
}

async function station(
  request: APIRequestContext,
  kitchen: string,
  address: string,
  orders: Omit<StationOrders, 'address' | 'token'>,
) {
  const made = await (await request.post(`/api/k/${kitchen}/devices`, { data: { name: 'Rehearsal station' } })).json()
  const file = join(mkdtempSync(join(tmpdir(), 'pheasant-station-')), 'orders.json')
  writeFileSync(file, JSON.stringify({ ...orders, address, token: made.token }))
  const child = spawn(process.execPath, ['--import', 'tsx', 'src/stand-ins/probe-station/station.ts', file], {
    stdio: 'ignore',
  })
  return { device: made.device.id as string, stop: () => child.kill('SIGKILL') }
}

test('a whole cook at high speed, from preheat to carve, with a probe pulled out on the way', {
  tag: '@tablet',
}, async ({ page, request }) => {
  const { kitchen, cook } = await rehearsal(page, request)
  const item = cook.document.items[0]
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  const next = page.getByTestId('next')
  await expect(next).toHaveAttribute('data-step', 'take_out')
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('board-row')).toHaveAttribute('data-state', 'in')
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  const state = await (await request.get(`/api/k/${kitchen}/cooks/${cook.id}`)).json()
  const put_in = state.entries.find(({ entry }: { entry: { kind: string } }) => entry.kind === 'in').entry.at
  const told = { cut: 'pork-loin', mass_kg: 1.6, set_c: 170, pull_c: item.pull_c + 8, fan: false }
  const faults: StationFault[] = [{ kind: 'pulled_out', from_min: 36, to_min: 50 }]
  const probe = await station(request, kitchen, MACHINE, {
    clock: cook.document.clock,
    channels: [
      { channel: 0, point: 'core', seed: 6, told, put_in, faults },
      { channel: 1, point: 'air', seed: 6, told, put_in, faults: [] },
    ],
  })
  try {
    await page.getByText('Probes', { exact: true }).click()
    await page.getByRole('button', { name: /Probe 1 is in the core/ }).click()
    await page.getByRole('button', { name: /Probe 2 is in the air/ }).click()
    await expect(page.getByTestId('core')).toContainText('°C')
    await expect(page.getByTestId('arrival')).toBeVisible()
    await expect(page.locator('[data-odd=pulled_out]')).toBeVisible()
    await expect(next).toContainText('Look at the probe')
    await page.locator('[data-odd=pulled_out]').getByRole('button', { name: 'Looked at' }).click()
    await expect(page.getByRole('alert').filter({ hasText: 'pull it' })).toBeVisible()
    await page.getByTestId('board-row').getByRole('button', { name: 'It is out' }).click()
    await expect(page.getByTestId('board-row')).toHaveAttribute('data-state', 'resting')
    await page.getByRole('button', { name: 'Carving', exact: true }).click()
    await page.getByRole('button', { name: 'On the table', exact: true }).click()
    await expect(next).toContainText('Everything is on the table')
    await expect(page.getByTestId('log')).toContainText('served')
  } finally {
    probe.stop()
  }
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  await page.reload()
  await expect(page.getByTestId('next')).toContainText('Everything is on the table')
})

test('what is tapped in the same moment as its page is closed is kept', async ({ page, request }) => {
  const { kitchen, cook } = await rehearsal(page, request, 1)
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  // Closed before its database has written anything, and nothing sent.
  await page.getByRole('button', { name: 'Door', exact: true }).evaluate((door) => {
    window.fetch = () => new Promise(() => {})
    IDBDatabase.prototype.transaction = () => {
      throw new DOMException('The page is closing.', 'InvalidStateError')
    }
    ;(door as HTMLElement).click()
    location.reload()
  })
  await expect(page.getByTestId('log')).toContainText('door opened')
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  const kept = await (await request.get(`/api/k/${kitchen}/cooks/${cook.id}`)).json()
  expect(kept.entries.filter(({ entry }: { entry: { kind: string } }) => entry.kind === 'door')).toHaveLength(1)
})

test('with the network gone the board counts and takes entries; back again each is there once, on every screen', async ({
  page,
  context,
  request,
}, { project }) => {
  const { kitchen, cook } = await rehearsal(page, request, 1)
  const address = `/k/${kitchen}/cooks/${cook.id}`
  await openBoard(page, address)
  const other = await context.newPage()
  await openBoard(other, address)
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(other.getByTestId('board-row')).toHaveAttribute('data-state', 'in')
  // Only where the browser allows it: on the machine itself, or over https.
  const keeps = project.name === 'machine'
  if (keeps) await expect(page.locator('html')).toHaveAttribute('data-board-kept', 'yes')
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Door', exact: true }).click()
  await readByHand(page, '31')
  await expect(page.getByTestId('connection')).toContainText(WAITING)
  await expect(page.getByTestId('core')).toHaveText('31 °C')
  // A countdown of hours changes by the minute; the clock behind it goes on by the second.
  const clock = () => page.getByTestId('board').getAttribute('data-now')
  const before = await clock()
  await expect.poll(clock).not.toBe(before)
  // Closed and opened again with nothing answering: the device has the board, what was kept and what waits.
  if (keeps) {
    await page.reload()
    await expect(page.getByTestId('connection')).toContainText(WAITING)
    await expect(page.getByTestId('board-row')).toHaveAttribute('data-state', 'in')
    await expect(page.getByTestId('core')).toHaveText('31 °C')
  }
  await context.setOffline(false)
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  await expect(other.getByTestId('core')).toHaveText('31 °C')
  const kept = await (await request.get(`/api/k/${kitchen}/cooks/${cook.id}`)).json()
  const kinds = kept.entries.map(({ entry }: { entry: { kind: string } }) => entry.kind)
  expect(kinds.filter((kind: string) => kind !== 'arrival')).toEqual(['in', 'door', 'reading'])
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByTestId('core')).toHaveText('—')
  await other.close()
})

test('a bird of which the breast is done and the thigh is not: each way is said, and one is taken', {
  tag: '@tablet',
}, async ({ page, request }) => {
  const { kitchen, cook } = await rehearsal(
    page,
    request,
    1,
    `turkey 5 kg, oven 165, eat ${DAY[test.info().project.name as keyof typeof DAY]} 19:00`,
  )
  const item = cook.document.items[0].id
  const now = Date.parse(cook.document.clock.origin)
  const iso = (minutes: number) => new Date(now + minutes * 60_000).toISOString()
  const made = await (await request.post(`/api/k/${kitchen}/devices`, { data: { name: 'Bird' } })).json()
  const climb = (minute: number, to: number) => 5 + (to - 5) * Math.max(0, (minute + 135) / 135)
  const entries = [
    { kind: 'in', at: iso(-150) },
    ...['breast', 'thigh'].map((point, channel) => ({
      kind: 'assign',
      at: iso(-149),
      device: made.device.id,
      channel,
      point,
    })),
  ].map((entry, i) => ({ id: `bird-${now}-${i}`, item, ...entry }))
  const kept = await request.post(`/api/k/${kitchen}/cooks/${cook.id}/entries`, { data: { entries } })
  expect(kept.ok()).toBe(true)
  const readings = Array.from({ length: 300 }, (_, i) => ({
    channel: i % 2,
    seq: i,
    at: iso(-150 + (i >> 1)),
    value: climb(-150 + (i >> 1), i % 2 === 0 ? 77 : 62),
  }))
  const sent = await request.post('/api/readings', {
    headers: { authorization: `Bearer ${made.token}` },
    data: { unit: 'c', readings },
  })
  expect(sent.status()).toBe(202)
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  const split = page.getByTestId('split')
  await expect(split).toContainText('The breast is done, the thigh gets there about')
  await expect(split).toContainText(/comes to 8\d °C by then/)
  // A day and a half early: nothing is held that long.
  await expect(page.getByRole('button', { name: /^Oven down/ }).first()).toBeVisible()
  await expect(page.getByRole('button', { name: /^Hold it warm/ })).toHaveCount(0)
  if (process.env.PICTURE) await page.screenshot({ path: process.env.PICTURE, fullPage: true })
  await split.getByRole('button', { name: /^Foil over the breast/ }).click()
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  const log = await (await request.get(`/api/k/${kitchen}/cooks/${cook.id}`)).json()
  expect(log.entries.at(-1).entry.kind).toBe('covered')
})

test('with no probe in it the board says when to read by hand, takes the reading where it asks, and is told not now', async ({
  page,
  request,
}) => {
  const { kitchen, cook } = await rehearsal(page, request, 1)
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  const next = page.getByTestId('next')
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('board-row')).toHaveAttribute('data-state', 'in')
  await expect(next).not.toHaveAttribute('data-step', 'read')
  await readByHand(page, '8')
  await expect(next).toHaveAttribute('data-step', 'read')
  await expect(page.getByTestId('next-words')).toHaveText('Read it by hand')
  const first = Number(await next.getAttribute('data-at'))
  const now = Number(await page.getByTestId('board').getAttribute('data-now'))
  expect(first - now).toBeGreaterThan(240)
  expect(first - now).toBeLessThanOrEqual(3600)
  // It is kept where it is asked for, and asked for again later.
  await next.getByLabel(/reads now/).fill('9')
  await next.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByTestId('log')).toContainText('9 °C')
  await expect(next).toHaveAttribute('data-step', 'read')
  expect(Number(await next.getAttribute('data-at'))).toBeGreaterThanOrEqual(first)
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  const kept = await (await request.get(`/api/k/${kitchen}/cooks/${cook.id}`)).json()
  expect(
    kept.entries.flatMap(({ entry }: { entry: { kind: string; value_c: number } }) =>
      entry.kind === 'reading' ? [entry.value_c] : [],
    ),
  ).toEqual([8, 9])
  await next.getByRole('button', { name: 'Not this time' }).click()
  await expect(next).not.toHaveAttribute('data-step', 'read')
  await page.reload()
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  // The first look of the plan takes its reading where it asks for it, and is had with that.
  await expect(next).toHaveAttribute('data-step', 'watch')
  await next.getByLabel(/reads now/).fill('10')
  await next.getByRole('button', { name: 'Keep it' }).click()
  await expect(next).toHaveAttribute('data-step', 'read')
  await expect(page.getByTestId('log')).toContainText('Stand by: first look with the probe')
})

test('out of a hot finish that brought too little it goes back into that heat until it reads what is wanted @machine', async ({
  page,
  request,
}) => {
  const { kitchen, cook } = await rehearsal(page, request, 1, 'chicken 1.8 kg, finish hot, eat tomorrow 19:00')
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  const row = page.getByTestId('board-row')
  const step = (words: string) => page.getByRole('listitem').filter({ hasText: words }).last()
  await page.getByRole('button', { name: 'It is in' }).click()
  await step('Finish: oven at').getByRole('button', { name: 'Done' }).click()
  await expect(row).toHaveAttribute('data-state', 'finishing')
  await expect(page.getByTestId('peak')).toHaveCount(0)
  await step('Out, and rest on the board').getByRole('button', { name: 'Done' }).click()
  await expect(row).toContainText('rests')
  await expect(page.getByTestId('peak')).toHaveAttribute('data-short', 'true')
  await page.getByTestId('peak').getByRole('button', { name: 'Back in' }).click()
  await expect(row).toHaveAttribute('data-state', 'in')
  await expect(row).toContainText('at 230 °C')
  // Until it reads what is safe, and no finish is asked for that it has had.
  await expect(step('Pull at 74 °C').getByRole('button', { name: 'Done' })).toBeVisible()
  await expect(step('Finish: oven at').getByRole('button', { name: 'Done' })).toHaveCount(0)
})

test('what was tapped late is put where it was, and what cannot have been is refused', async ({ page, request }) => {
  const { kitchen, cook } = await rehearsal(page, request, 1)
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  await page.getByRole('button', { name: 'It is in' }).click()
  const log = page.getByTestId('log')
  const next = page.getByTestId('next')
  const before = Number(await next.getAttribute('data-at'))
  await log.getByRole('button', { name: /went in: it was at another time/ }).click()
  await page.getByRole('button', { name: '15 min earlier' }).click()
  await expect(page.getByTestId('earlier')).toHaveCount(0)
  // All that follows is as much sooner.
  await expect.poll(async () => before - Number(await next.getAttribute('data-at'))).toBeGreaterThan(840)
  await page.getByTestId('board-row').getByRole('button', { name: 'It is out' }).click()
  await expect(page.getByTestId('board-row')).toHaveAttribute('data-state', 'resting')
  await log.getByRole('button', { name: /came out: it was at another time/ }).click()
  await page.getByRole('textbox', { name: 'It was at' }).fill('03:10')
  await expect(page.getByTestId('earlier')).toContainText('cannot have been then')
  await page.getByRole('button', { name: '5 min earlier', exact: true }).click()
  await expect(page.getByTestId('board-row')).toHaveAttribute('data-state', 'resting')
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  const kept = await (await request.get(`/api/k/${kitchen}/cooks/${cook.id}`)).json()
  const stands = kept.entries.map(({ entry }: { entry: { kind: string } }) => entry.kind)
  expect(stands.filter((kind: string) => kind === 'undo')).toHaveLength(2)
  expect(stands.filter((kind: string) => kind === 'in')).toHaveLength(2)
})

test('the board is accessible by day and night and fits a phone', { tag: '@tablet' }, async ({ page, request }) => {
  const { kitchen, cook } = await rehearsal(page, request, 1)
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('arrival')).toBeVisible()
  for (const theme of ['day', 'night']) {
    await page.evaluate((name) => {
      document.documentElement.dataset.theme = name
    }, theme)
    expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual(
      [],
    )
  }
  await page.setViewportSize({ width: 360, height: 800 })
  await page.waitForTimeout(300)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
})
