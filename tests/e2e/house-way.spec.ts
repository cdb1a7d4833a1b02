import { deskReady, expect, newKitchen, planByLine, saved, test, typeLine } from './browser'

/** What a cook says beyond heat and time: tenderness, tending, the kitchen's own ways and days, batches and the road. */

const clockIn = (text: string | null): number => {
  const [, hours = '0', minutes = '0'] = text?.match(/(\d\d):(\d\d)/) ?? []
  return Number(hours) * 60 + Number(minutes)
}

test('cooked until it falls apart: the reading does not decide, less is sooner, and its tending has its place and price', async ({
  page,
}) => {
  await planByLine(
    page,
    'lamb shoulder 2 kg, 160 under foil until it falls apart, basted half-way, foil off the last 30 min, eat tomorrow 20:00',
  )
  const run = page.getByTestId('tasks')
  await expect(page.getByLabel('How tender', { exact: true })).toHaveValue('falls_apart')
  await expect(run.locator('[data-task=pull]')).toContainText('Out when it is tender')
  await expect(run).toContainText('Baste')
  await expect(run).toContainText('Take off the foil')
  await expect(page.getByTestId('desk')).toContainText('It falls apart at its middle')
  const into = async () => clockIn(await run.locator('[data-task=put_in]').innerText())
  const before = await into()
  await page.getByLabel('How tender', { exact: true }).selectOption('slices')
  await expect.poll(into).toBeGreaterThan(before + 20)
  await saved(page)
  // Half-way is half-way still.
  const [goesIn, basted, pulled] = [
    await into(),
    clockIn(await run.locator('li', { hasText: 'Baste' }).first().innerText()),
    clockIn(await run.locator('[data-task=pull]').innerText()),
  ]
  expect(Math.abs(basted - (goesIn + pulled) / 2)).toBeLessThan(4)
})

test('several kinds of tending in one stage, by the clock, at a share, at a reading, with what the doors cost', async ({
  page,
}) => {
  await planByLine(page, 'turkey 6 kg, oven 165, eat sunday 14:00')
  await page.getByRole('button', { name: /Tend it in stage 1/i }).click()
  await expect(page.getByTestId('tending-cost')).toContainText(/The doors cost \d+ min/)
  await page.getByRole('button', { name: /And in stage 1/i }).click()
  await page.getByLabel('Stage 1, tending 2: what').selectOption('cover')
  await page.getByLabel('Stage 1, tending 2: when').selectOption('core')
  await page.getByLabel('Stage 1, tending 2: reading').fill('55')
  const run = page.getByTestId('tasks')
  await expect(run).toContainText('Foil on, loosely')
  expect(await run.locator('li', { hasText: 'Baste' }).count()).toBeGreaterThan(3)
  const pulled = clockIn(await run.locator('[data-task=pull]').innerText())
  for (const each of await run.locator('li', { hasText: /Baste|Foil on/ }).allInnerTexts())
    expect(clockIn(each)).toBeLessThan(pulled)
  await saved(page)
  await page.reload()
  await deskReady(page)
  await expect(page.getByLabel('Stage 1, tending 2: reading')).toHaveValue('55')
})

test('where kitchens differ: said with its reason, changed in a tap, remembered for the next plan', async ({
  page,
}) => {
  const kitchen = await newKitchen('ways')
  await planByLine(page, 'chicken 1.8 kg, eat tomorrow 19:00', kitchen)
  const card = page.getByTestId('ways-card')
  await expect(card).toContainText('on the bench first half an hour')
  await card.locator('summary').click()
  await expect(card).toContainText('the core gains little')
  await card.getByRole('button', { name: 'from the fridge' }).click()
  await card.getByRole('button', { name: 'left open' }).click()
  await card.getByRole('button', { name: 'every 40 min' }).click()
  await expect(card.getByRole('status')).toContainText('The next plans of this kitchen start so')
  await expect(page.getByLabel('Minutes on the bench')).toHaveValue('0')
  await expect(page.getByTestId('tasks')).toContainText('Baste')
  await saved(page)
  await planByLine(page, 'chicken 2 kg, eat tomorrow 19:00', kitchen)
  await expect(page.getByLabel('Minutes on the bench')).toHaveValue('0')
  await expect(page.getByTestId('tasks')).toContainText('Baste')
  await planByLine(page, 'chicken 2 kg, bench 60 min, eat tomorrow 19:00', kitchen)
  await expect(page.getByLabel('Minutes on the bench')).toHaveValue('60')
  await page.goto(`/k/${kitchen}`)
  await page.getByRole('link', { name: 'How we do it' }).click()
  await expect(
    page.getByRole('group', { name: 'The legs' }).getByRole('button', { name: 'left open' }),
  ).toHaveAttribute('aria-pressed', 'true')
})

test('days and clocks are read and written the kitchen’s way', async ({ page }) => {
  const kitchen = await newKitchen('days')
  await page.goto(`/k/${kitchen}/ways`)
  await page.getByLabel('Days').selectOption('mdy')
  await expect(page.getByTestId('customs').getByRole('status')).toContainText('Kept')
  await page.getByLabel('Clock').selectOption('12h')
  await expect(page.getByTestId('customs')).toContainText('November 25')
  await planByLine(page, 'rib of beef 3 kg, eat 12/5 7pm', kitchen)
  await expect(page.getByTestId('desk')).toContainText('Saturday, December 5')
  await expect(page.getByTestId('tasks').locator('[data-task=serve]')).toContainText(/7:00\spm/i)
})

test('before and after one roast: what to buy for how many, the price a head, the gravy as a step, what is left', async ({
  page,
}) => {
  await planByLine(page, 'chicken 2 kg, for 2 people, eat friday 19:00')
  const card = page.getByTestId('before-after')
  await expect(card).toContainText('bones')
  await expect(card).toContainText('your local code decides')
  await card.getByLabel('Price a kilo').fill('9')
  await expect(card.getByTestId('price')).toContainText('18.00 in all, 9.00 a head')
  await card.getByRole('button', { name: 'Guests: one more' }).click()
  await expect(card.getByTestId('price')).toContainText('6.00 a head')
  await card.getByLabel(/Gravy while it rests/).check()
  await expect(page.getByTestId('tasks')).toContainText('Gravy: skim')
  await expect(page.getByTestId('tasks')).toContainText('Buy or fetch')
  await saved(page)
})

test('a line says batches and the road: a meal in three servings, packed before the drive, a roast held warm, stages its own', async ({
  page,
}) => {
  await typeLine(
    page,
    '6 chickens 1.8 kg in 3 batches 20 min apart for 20 people, 30 min by van, eat friday 18:00',
    'tern-point',
  )
  await page.getByRole('button', { name: 'Plan it' }).click()
  await page.locator('[data-proved]').waitFor({ timeout: 150_000 })
  await page.getByRole('button', { name: 'Days before' }).click()
  await expect(page.getByTestId('days')).toContainText('Pack it hot and go: 30 min on the way')
  await page.getByRole('button', { name: 'Ovens' }).click()
  await page
    .getByRole('button', { name: /^Chicken 6 of 6/ })
    .first()
    .click()
  const panel = page.getByTestId('item-panel')
  await expect(panel).toContainText('on the table 18:00, 18:20, 18:40')
  await panel.getByLabel('Held warm').selectOption('60')
  await expect(panel).toContainText(/carve 18:0\d|carve 17:5\d/)
  await panel.getByText('The stages').click()
  await expect(panel.getByLabel('Stage 3: where')).toHaveValue('cabinet')
  await panel.getByLabel('Batches').selectOption('2')
  await expect(panel).toContainText('on the table 18:00, 18:20.')
  await saved(page)
})
