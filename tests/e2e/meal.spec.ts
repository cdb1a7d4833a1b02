import { readFile } from 'node:fs/promises'
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, newKitchen, saved, test, typeLine } from './browser'

const proved = (page: Page) => expect(page.getByTestId('proof')).toHaveAttribute('data-proved', 'true')

async function newMeal(page: Page, line = '12 people on saturday at 19:30', kitchen = 'cottage'): Promise<void> {
  await page.goto(`/k/${kitchen}`)
  const entry = page.getByLabel('How many, and when')
  await expect(entry).toBeEnabled()
  await entry.fill(line)
  await page.getByRole('button', { name: 'Plan the meal' }).click()
  await page.getByTestId('meal-desk').waitFor()
}
const stay = (page: Page, name: string) => page.getByTestId('lanes').getByRole('button', { name }).first()

test('from how many and when to a plan that a crew can follow', async ({ page }) => {
  await newMeal(page)
  await proved(page)
  await expect(stay(page, 'Beef rib, bone in in')).toBeVisible()
  await page.getByRole('button', { name: 'Batter puddings' }).click()
  await expect(stay(page, 'Batter puddings in')).toBeVisible()
  await proved(page)
  await saved(page)
  await page.getByRole('button', { name: 'Crew' }).click()
  await expect(page.getByTestId('crew')).toContainText('carve')
  await page.getByRole('button', { name: 'Days before' }).click()
  await expect(page.getByTestId('days')).toContainText('salt all over')
  await page.getByRole('button', { name: 'Shopping' }).click()
  await expect(page.getByTestId('shopping')).toContainText('5.4 kg')
  await page.getByRole('link', { name: 'Run sheets' }).click()
  await expect(page.getByRole('article')).toContainText('Beef rib, bone in: pull at')
  await page.getByRole('link', { name: 'Tray labels' }).click()
  await expect(page.getByRole('heading', { name: 'Batter puddings' })).toBeVisible()
})

test('a stay is moved by hand, stays pinned, and undo lets it go', async ({ page }) => {
  await newMeal(page, '4 people on sunday at 14:00')
  await proved(page)
  const rib = stay(page, 'Beef rib, bone in in')
  const box = await rib.boundingBox()
  if (!box) throw new Error('the rib is not on the page')
  await page.mouse.move(box.x + box.width * 0.6, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.6 - 40, box.y + box.height / 2, { steps: 5 })
  await page.mouse.up()
  await expect(stay(page, 'Beef rib, bone in in')).toHaveAccessibleName(/pinned/)
  await expect(page.getByTestId('item-panel')).toContainText('Pinned')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(stay(page, 'Beef rib, bone in in')).not.toHaveAccessibleName(/pinned/)
})

test('a stay goes to another oven by key alone', async ({ page }) => {
  await newMeal(page, '6 people on sunday at 18:00', 'tern-point')
  await proved(page)
  const rib = stay(page, 'Beef rib, bone in in')
  const inGalley = /in Galley oven/.test((await rib.getAttribute('aria-label')) ?? '')
  await rib.focus()
  await page.keyboard.press(inGalley ? 'ArrowUp' : 'ArrowDown')
  await expect(rib).toHaveAccessibleName(inGalley ? /in Lamp room oven, .*pinned/ : /in Galley oven, .*pinned/)
  await proved(page)
})

test('what cannot be is said with its clash, and a change that was tried makes room', async ({ page }) => {
  await newMeal(page, '6 people on sunday at 19:00')
  await proved(page)
  for (const line of ['lamb leg 2.5 kg, pink, oven 130', 'turkey 4.5 kg, oven 165']) {
    await page.getByLabel('Another roast').fill(line)
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(page.getByLabel('Another roast')).toHaveValue('')
  }
  const clashes = page.getByTestId('clashes')
  await expect(clashes).toBeVisible()
  await expect(clashes).toContainText('each tried')
  const before = await clashes.locator('p.text-lg').count()
  // Begun all the same, the board says what it does not cook, and leads back to why.
  await saved(page)
  const address = page.url()
  await page.getByRole('button', { name: /rehears/i }).click()
  const left = page.getByTestId('left-out')
  await expect(left).toContainText('Not on this board')
  await left.getByRole('link').click()
  await expect(page).toHaveURL(address)
  await expect(clashes).toContainText('each tried')
  await clashes.getByRole('button').first().click()
  await expect.poll(async () => clashes.locator('p.text-lg').count()).toBeLessThan(before)
})

test('where no one change makes room it is said so, and what would', async ({ page }) => {
  await typeLine(page, '4 turkeys 5 kg, roast potatoes, for 20 at 19:00')
  await page.getByRole('button', { name: 'Plan it' }).click()
  const clashes = page.getByTestId('clashes')
  await expect(clashes).toContainText(/turkey \d of 4/)
  await expect(clashes).toContainText('another oven or more places')
  await expect(clashes.getByRole('button')).toHaveCount(0)
})

test('the promise moves by half an hour after a look at what changes', async ({ page }) => {
  await newMeal(page, '8 people on saturday at 18:00')
  await proved(page)
  await page.getByRole('button', { name: '+30 min' }).click()
  await expect(page.getByTestId('move-promise')).toContainText('instead of')
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByTestId('meal-desk')).toContainText('18:30')
  await proved(page)
  await saved(page)
})

test('one large roast or two small ones are compared in this kitchen, and two are taken', async ({ page }) => {
  await newMeal(page, '10 people on sunday at 18:00')
  await proved(page)
  await page.getByRole('button', { name: /^Beef rib, bone in in \d/ }).click()
  const compare = page.getByTestId('one-or-two')
  await compare.getByRole('button', { name: /One of 4.5 kg, or two of 2.25 kg/ }).click()
  await expect(compare).toContainText('Two are quicker')
  await compare.getByRole('button', { name: 'Take two' }).click()
  await expect(stay(page, 'Beef rib, bone in one in')).toBeVisible()
  await expect(stay(page, 'Beef rib, bone in two in')).toBeVisible()
  await saved(page)
})

test('two people see each other’s changes, and the plan leaves and comes back as a file', async ({ page, context }) => {
  await newMeal(page, '9 people on friday at 20:00')
  await proved(page)
  await saved(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await other.getByTestId('meal-desk').waitFor()
  await proved(other)
  await saved(other)
  await page.getByRole('button', { name: 'Shopping' }).click()
  // A file is of what is on the desk, asked for in the moment of a change, too.
  await page.getByLabel('Name of the meal').fill('The long table')
  const [json] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'The whole plan as JSON' }).click(),
  ])
  const text = await readFile(await json.path(), 'utf8')
  expect(JSON.parse(text).title).toBe('The long table')
  await expect(other.getByLabel('Name of the meal')).toHaveValue('The long table')
  const ics = await page.request.get(`${new URL(page.url()).pathname.replace('/k/', '/api/k/')}/calendar`)
  expect(await ics.text()).toContain('BEGIN:VEVENT')
  const csv = await page.request.get(`${new URL(page.url()).pathname.replace('/k/', '/api/k/')}/tasks`)
  expect(await csv.text()).toMatch(/^local_time,utc,task,cook/)
  await page.getByTestId('shopping').getByRole('button', { name: 'An address for a calendar' }).click()
  const address = await page.getByTestId('handed-address').innerText()
  expect(await (await page.request.get(new URL(address).pathname)).text()).toContain('The long table')
  await page.goto('/k/cottage')
  await expect(page.getByLabel('How many, and when')).toBeEnabled()
  await page
    .getByLabel('A meal as JSON')
    .setInputFiles({ name: 'meal.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  const preview = page.getByTestId('import-preview')
  await expect(preview).toContainText('The long table')
  await preview.getByRole('button', { name: 'Keep it' }).click()
  await page.getByTestId('meal-desk').waitFor()
  const again = await page.request.get(`${new URL(page.url()).pathname.replace('/k/', '/api/k/')}/document`)
  expect(JSON.parse(await again.text()).roasts).toEqual(JSON.parse(text).roasts)
  const broken = JSON.parse(text)
  broken.roasts[0].serving = 'nowhere'
  const refused = await page.request.post('/api/k/cottage/meals', { data: { document: broken } })
  expect(refused.status()).toBe(400)
})

test('the reunion supper finds a place for everything, on a desk and a phone', async ({ page }) => {
  await page.goto('/k/tern-point')
  await page.getByRole('link', { name: /Keepers’ reunion supper/ }).click()
  // A large meal: on a slow machine the solver ends at its limit, with a place for everything and no proof.
  await expect(page.getByTestId('proof')).toContainText(/proved|of the best|not known/)
  await expect(page.getByTestId('clashes')).toBeHidden()
  await expect(page.getByTestId('lanes').locator('[data-lane]')).toHaveCount(4)
  expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([])
  await page.setViewportSize({ width: 360, height: 800 })
  await page.waitForTimeout(300)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360)
})

test('a dinner at home, one oven and one pair of hands: a place for all of it, and the sheet has every dish', async ({
  page,
}) => {
  const line = 'turkey 6 kg, pigs in blankets, roast potatoes, parsnips, sprouts, yorkshire puddings, tomorrow 15:00'
  await typeLine(page, line, await newKitchen('home'))
  await page.getByRole('button', { name: 'Plan it' }).click()
  await proved(page)
  await expect(page.getByTestId('clashes')).toBeHidden()
  const dishes = [
    'Turkey',
    'Bacon-wrapped sausages',
    'Roast potatoes',
    'Roast parsnips',
    'Roast sprouts',
    'Batter puddings',
  ]
  for (const dish of dishes) await expect(stay(page, `${dish} in`)).toBeVisible()
  await saved(page)
  await page.getByRole('link', { name: 'Run sheets' }).click()
  for (const dish of dishes) await expect(page.getByRole('article')).toContainText(`${dish}: into the oven`)
  // Back by the browser's own button nobody else has changed anything, and it is cooked from there.
  await page.goBack()
  await page.getByTestId('meal-desk').waitFor()
  await proved(page)
  await page.waitForTimeout(1500)
  await saved(page)
  await expect(page.getByTestId('meal-desk')).not.toContainText('Someone changed')
  await page.getByRole('button', { name: 'Cook it' }).click()
  await page.locator('[data-testid=board][data-ready=true]').waitFor()
  await expect(page.getByTestId('board-row').first()).toContainText('Turkey')
})

test('three roasts for one knife: the first is carved sooner, and its step says how it is kept', async ({ page }) => {
  await typeLine(page, 'two turkeys 6 kg and a ham 4 kg, tomorrow 15:00 for 20', await newKitchen('knife'))
  await page.getByRole('button', { name: 'Plan it' }).click()
  await proved(page)
  await expect(page.getByTestId('clashes')).toBeHidden()
  await saved(page)
  await page.getByRole('link', { name: 'Run sheets' }).click()
  await expect(page.getByRole('article')).toContainText(/On the table \d+ min after it: slices close together/)
})

test('eight birds on two trays: all are placed, and go in with one tap', async ({ page }) => {
  await typeLine(page, '8 poussins 600 g, 200, eat 12:30', await newKitchen('trays'))
  await page.getByRole('button', { name: 'Plan it' }).click()
  await page.getByTestId('meal-desk').waitFor()
  const stays = page.getByTestId('lanes').getByRole('button', { name: /Cornish hen \d of 8 in/ })
  await expect(stays).toHaveCount(8)
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved')
  await page.getByRole('button', { name: 'Cook it' }).click()
  await page.locator('[data-testid=board][data-ready=true]').waitFor()
  const next = page.getByTestId('next')
  // Everything before it is done, each with one tap for all of them.
  for (let taps = 0; taps < 8 && (await next.getAttribute('data-step')) !== 'put_in'; taps++) {
    const before = await next.getAttribute('data-id')
    await next.getByRole('button', { name: 'Done' }).click()
    await expect(next).not.toHaveAttribute('data-id', before ?? '')
  }
  await expect(page.getByTestId('next-words')).toContainText('8 × Cornish hen')
  await next.getByRole('button', { name: 'Done' }).click()
  await expect(page.locator('[data-testid=board-row][data-state=in]')).toHaveCount(8)
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  // By mistake: one tap takes all of it back, and one puts it in again.
  await page.getByRole('button', { name: /^Undo “went in” × 8/ }).click()
  await expect(page.locator('[data-testid=board-row][data-state=in]')).toHaveCount(0)
  // The run below has one row for all of them too; one by one a tap is of that one alone.
  const run = page.getByTestId('run')
  await expect(run.locator('[data-step=put_in]')).toHaveCount(1)
  await run.getByRole('button', { name: /^One by one: 8 × Cornish hen: into the oven/ }).click()
  await expect(run.locator('[data-step=put_in]')).toHaveCount(8)
  await page.getByRole('button', { name: /^Done: Cornish hen 1 of 8: into the oven/ }).click()
  await expect(page.locator('[data-testid=board-row][data-state=in]')).toHaveCount(1)
  await page.getByRole('button', { name: /^Undo “went in”$/ }).click()
  await expect(page.locator('[data-testid=board-row][data-state=in]')).toHaveCount(0)
  await next.getByRole('button', { name: 'Done' }).click()
  await expect(page.locator('[data-testid=board-row][data-state=in]')).toHaveCount(8)
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  await page.reload()
  await expect(page.locator('[data-testid=board-row][data-state=in]')).toHaveCount(8)
})
