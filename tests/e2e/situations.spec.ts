import type { APIRequestContext, Page } from '@playwright/test'
import { sceneOf, type Told } from '../../src/domain/cook/situations/kitchen'
import { SITUATIONS } from '../../src/domain/cook/situations/table'
import { expect, MACHINE, newKitchen, openBoard, test } from './browser'

/**
 * What goes otherwise than planned, on the screen: the log and the readings of a situation are sent as a kitchen
 * would send them, and the board is read. Every fourth by default; SITUATIONS=clock looks at those with that in their name.
 */
const asked = process.env.SITUATIONS
const shown = SITUATIONS.filter(({ name }, i) => (asked === undefined ? i % 4 === 0 : name.includes(asked)))

/** Sends a scene as a kitchen would, its hour moved to the server's, and opens its board. */
async function openScene(page: Page, request: APIRequestContext, kitchen: string, name: string, told: Told) {
  const api = `${MACHINE}/api/k/${kitchen}`
  const { document, entries, board, now_s } = sceneOf(told)
  const { now_s: server_s } = await (await request.get(`${MACHINE}/api/health`)).json()
  const here = (iso: string) => new Date(Date.parse(iso) + (server_s - now_s) * 1000).toISOString()
  const item = document.items[0] as (typeof document.items)[number]
  const plan = await (
    await request.post(`${api}/plans`, {
      data: { document: { ...told.plan, roast: item.roast, program: item.program, promise: here(item.promise) } },
    })
  ).json()
  const cook = await (await request.post(`${api}/cooks`, { data: { plan: plan.id } })).json()
  const made = await (await request.post(`${api}/devices`, { data: { name: name.slice(0, 40) } })).json()
  const idOf = (id: string) => `${id}-${cook.id}`
  const sent = entries.map((entry) => ({
    ...entry,
    id: idOf(entry.id),
    at: here(entry.at),
    device: entry.device === null ? null : made.device.id,
    // A moved promise moves with the day.
    text: entry.kind === 'promise' && entry.text ? here(entry.text) : entry.text,
    of: entry.kind === 'undo' && entry.of !== null ? idOf(entry.of) : null,
  }))
  const kept = await request.post(`${api}/cooks/${cook.id}/entries`, { data: { entries: sent } })
  expect((await kept.json()).refused, name).toEqual([])
  if (board.readings.length > 0)
    await request.post(`${MACHINE}/api/readings`, {
      headers: { authorization: `Bearer ${made.token}` },
      data: {
        unit: 'c',
        readings: board.readings.map(({ at_s, value_c }, seq) => ({
          channel: 0,
          seq,
          at: here(new Date(at_s * 1000).toISOString()),
          value: Number(value_c.toFixed(2)),
        })),
      },
    })
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  return page.getByTestId('board-row')
}

test('on the board each situation says its time and marks the way that a good cook would take', async ({
  page,
  request,
}) => {
  const kitchen = await newKitchen('otherwise')
  const wrong: string[] = []
  for (const { name, told, time, best } of shown) {
    const row = await openScene(page, request, kitchen, name, told)
    await expect(row.getByTestId('late').or(row.getByTestId('no-arrival')).first(), name).toBeVisible()
    const says = await row.getByTestId('late').or(row.getByTestId('no-arrival')).first().innerText()
    if (time && !says.includes(time === 'on_time' ? 'on time' : time === 'stuck' ? 'does not get there' : time))
      wrong.push(`${name}: says ${says}`)
    if (time && time !== 'on_time') {
      const marked = await row.getByTestId('ways-out').locator('[data-best=true]').getAttribute('data-way')
      if (best && !best.some((each) => each === marked)) wrong.push(`${name}: marks ${marked}`)
      const many = await row.locator('[data-way]').count()
      if (many > 4 || many < 2) wrong.push(`${name}: ${many} ways`)
      if ((await row.locator('[data-way=leave_it]').count()) !== 1) wrong.push(`${name}: leaving it is not among them`)
    }
    if (process.env.PICTURES)
      await page.screenshot({ path: `${process.env.PICTURES}/${name.replaceAll(/\W+/g, '-')}.png`, fullPage: true })
  }
  expect(wrong).toEqual([])
})

test('carved at its promise it falls short, left to rest it does not: one tap moves its table by that', async ({
  page,
  request,
}) => {
  const kitchen = await newKitchen('rests')
  const row = await openScene(page, request, kitchen, 'rests', {
    plan: {
      roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
      program: { school: 'steady', set_c: 150 },
      target: { serve_c: 58 },
    },
    minute: 133,
    truly: [{ minute: 130, away: true }],
    said: [{ minute: 130, entry: { kind: 'out' } }],
    // The guests are hungry sooner.
    promise_min: -20,
  })
  const peak = row.getByTestId('peak')
  await expect(peak).toContainText('Left to rest until')
  const promised = await row.getByTestId('promise').innerText()
  const move = peak.getByRole('button', { name: /^Promise \d/ })
  const later = (await move.innerText()).replace('Promise ', '')
  expect(later).not.toBe(promised)
  if (process.env.PICTURES) await page.screenshot({ path: `${process.env.PICTURES}/rests.png` })
  await move.click()
  await expect(row.getByTestId('promise')).toHaveText(later)
  await expect(peak).toContainText('as wanted')
  await expect(move).toHaveCount(0)
})

const scene = (named: string): Told => {
  const found = SITUATIONS.find(({ name }) => name === named)
  if (!found) throw new Error(`no situation ${named}`)
  return found.told
}

test('a rest of ten minutes, tapped, is reckoned with: on time, offered no longer, and the knife ten minutes after the pull', async ({
  page,
  request,
}) => {
  const kitchen = await newKitchen('short-rest')
  const row = await openScene(page, request, kitchen, 'short rest', scene('guests half an hour early, rib half-way'))
  await expect(row.getByTestId('late')).toContainText('late')
  const way = row.locator('[data-way=short_rest]')
  await expect(way).toContainText('Rest only ten minutes')
  if (process.env.PICTURES) await page.screenshot({ path: `${process.env.PICTURES}/short-before.png` })
  await way.click()
  await expect(way).toHaveCount(0)
  await expect(row.getByTestId('late')).toContainText('on time')
  await expect(page.getByTestId('log')).toContainText('end changed: ten minutes of rest')
  if (process.env.PICTURES) await page.screenshot({ path: `${process.env.PICTURES}/short-after.png`, fullPage: true })
})

test('held hot, tapped, it is on time, and into the cabinet is a step after its rest', async ({ page, request }) => {
  const kitchen = await newKitchen('held')
  const row = await openScene(page, request, kitchen, 'held', scene('guests 45 min late, rib half-way'))
  await expect(row.getByTestId('late')).toContainText('early')
  const way = row.locator('[data-way=hold]')
  await way.click()
  await expect(way).toHaveCount(0)
  await expect(row.getByTestId('late')).toContainText('on time')
  const run = page.getByTestId('run')
  const step = run.getByText(/^Hold in the warm cabinet at 60 °C/)
  await expect(step).toHaveCount(1)
  if (process.env.PICTURES) await page.screenshot({ path: `${process.env.PICTURES}/held.png`, fullPage: true })
  await row.getByRole('button', { name: 'It is out' }).click()
  await expect(page.getByTestId('next')).toContainText('Rest')
  await page.getByTestId('next').getByRole('button', { name: 'Done', exact: true }).click()
  await expect(page.getByTestId('next')).toContainText('Hold in the warm cabinet')
  await expect(page.getByTestId('next')).toContainText('Keep it above')
})
