import type { Page } from '@playwright/test'
import { deskReady, expect, openBoard, planByLine, saved, test } from './browser'

/** When it goes in, as the ribbon of the plan says it. */
const goesIn = async (page: Page) =>
  (
    await page
      .getByTestId('ribbon')
      .getByRole('group', { name: /on the table/ })
      .getAttribute('aria-label')
  )?.match(/In at (\d\d:\d\d)/)?.[1]

async function heavier(page: Page, kg: string) {
  const before = await goesIn(page)
  await page.getByLabel('Weight', { exact: true }).fill(kg)
  await expect.poll(() => goesIn(page)).not.toBe(before)
  await saved(page)
}
const kept = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready
    return navigator.serviceWorker.controller !== null
  })

async function boardEstimates(page: Page, address: string) {
  await openBoard(page, address)
  if (await page.getByRole('button', { name: 'It is in' }).isVisible())
    await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('arrival')).toBeVisible()
}

async function beginCook(page: Page, line: string) {
  await planByLine(page, line)
  await saved(page)
  const plan = new URL(page.url()).pathname
  const [, , kitchen, , id] = plan.split('/')
  const begun = await page.request.post(`/api/k/${kitchen}/cooks`, { data: { plan: id, speed: 1 } })
  expect(begun.status()).toBe(201)
  return { plan, board: `/k/${kitchen}/cooks/${(await begun.json()).id}` }
}

test('with boards kept on the device, plans and meals still answer: board, plan, change, board, plan, meal', async ({
  page,
}) => {
  const { plan, board } = await beginCook(page, 'turkey 5 kg, oven 165, eat tomorrow 19:00')
  await boardEstimates(page, board)
  await expect(page.locator('html')).toHaveAttribute('data-board-kept', 'yes')
  expect(await kept(page)).toBe(true)
  await page.goto(plan)
  await deskReady(page)
  await heavier(page, '8')
  await boardEstimates(page, board)
  await page.goto(plan)
  await deskReady(page)
  await heavier(page, '6')
  await page.goto('/k/cottage')
  const entry = page.getByLabel('How many, and when')
  await expect(entry).toBeEnabled()
  await entry.fill('6 people on saturday at 19:30')
  await page.getByRole('button', { name: 'Plan the meal' }).click()
  await page.getByTestId('meal-desk').waitFor()
  await page.getByRole('button', { name: 'Batter puddings' }).click()
  await expect(page.getByTestId('lanes').getByRole('button', { name: 'Batter puddings in' }).first()).toBeVisible()
})

test('the other way round: a plan and a meal first, then the board still knows its arrival', async ({ page }) => {
  const { plan, board } = await beginCook(page, 'pork loin 1.6 kg, rosy, oven 170, eat tomorrow 19:00')
  await boardEstimates(page, board)
  await expect(page.locator('html')).toHaveAttribute('data-board-kept', 'yes')
  // The device forgets its files, not its worker: now the plan's thread is the first to be kept.
  await page.evaluate(async () => {
    for (const name of await caches.keys()) await caches.delete(name)
  })
  await page.goto(plan)
  await deskReady(page)
  await heavier(page, '2.2')
  await boardEstimates(page, board)
})
