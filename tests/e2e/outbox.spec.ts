import type { Page } from '@playwright/test'
import { expect, newKitchen, openBoard, planByLine, saved, test } from './browser'

/** What is tapped stays on the device until the server has named it: through faults, over pages, and to a list of what was refused. */

// The gates below stand before the page's own requests: what a service worker passes on they may miss.
test.use({ serviceWorkers: 'block' })

async function begin(page: Page) {
  await planByLine(page, 'pork loin 1.8 kg, rosy, oven 160, eat tomorrow 18:00')
  await saved(page)
  const id = new URL(page.url()).pathname.split('/')[4]
  const cook = await (await page.request.post('/api/k/cottage/cooks', { data: { plan: id } })).json()
  const board = `/k/cottage/cooks/${cook.id}`
  await boardBegun(page, board)
  return { board, log: `/api${board}` }
}
async function boardBegun(page: Page, board: string) {
  await openBoard(page, board)
  await expect(page.getByTestId('next')).toHaveAttribute('data-step', /buy|salt|take_out|heat_up|put_in/)
}
const onServer = async (page: Page, log: string) =>
  (await (await page.request.get(log)).json()).entries
    .map(({ entry }: { entry: { kind: string } }) => entry.kind)
    .filter((kind: string) => kind !== 'arrival')

test('what a gate on the way swallows is still there on another page, and goes out from it', async ({
  page,
  context,
}) => {
  const { board, log } = await begin(page)
  // A gate that answers everything with a page of its own and 200.
  await context.route('**/entries', (route) =>
    route.fulfill({ status: 200, contentType: 'text/html', body: '<h1>Log in to the guest network</h1>' }),
  )
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('connection')).toContainText('1 entry waits on this device')
  await page.goto('/waiting')
  await expect(page.getByTestId('waiting-entry')).toHaveCount(1)
  expect(await onServer(page, log)).toEqual([])
  await context.unroute('**/entries')
  // Any page sends it: this one does, without its board.
  await expect(page.getByTestId('nothing-waits')).toBeVisible()
  expect(await onServer(page, log)).toEqual(['in'])
  await openBoard(page, board)
  await expect(page.getByTestId('board-row')).toHaveAttribute('data-state', 'in')
  await expect(page.getByTestId('connection')).toHaveText('All kept')
})

test('two tabs keep each other’s entries while nothing answers', async ({ page, context }) => {
  const { board, log } = await begin(page)
  const other = await context.newPage()
  await boardBegun(other, board)
  await context.route('**/entries', (route) => route.abort())
  await page.getByRole('button', { name: 'It is in' }).click()
  await other.locator('body').press('d')
  for (const each of [page, other])
    await expect(each.getByTestId('connection')).toContainText('2 entries wait on this device')
  await context.unroute('**/entries')
  for (const each of [page, other]) await expect(each.getByTestId('connection')).toHaveText('All kept')
  expect((await onServer(page, log)).sort()).toEqual(['door', 'in'])
  await other.close()
})

test('what the server has named is remembered on the device before it is told to everybody', async ({
  page,
  context,
}) => {
  const { board, log } = await begin(page)
  // What is told to everybody does not come through; what is tapped goes out.
  await context.route(/\/api\/k\/cottage\/cooks\/[^/]+(\?.*)?$/, (route) => route.abort())
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect.poll(() => onServer(page, log)).toEqual(['in'])
  const remembered = () =>
    page.evaluate((id) => localStorage.getItem(`pheasant-kept-${id}`) ?? '', board.split('/').at(-1) as string)
  await expect.poll(remembered).toContain('"kind":"in"')
})

test('what the server will not have is read, mended and kept, and takes nothing else with it', async ({
  page,
  context,
}) => {
  const { log } = await begin(page)
  const detail = 'this cannot be'
  await context.route('**/entries', async (route) => {
    const { entries } = route.request().postDataJSON() as { entries: { id: string; kind: string }[] }
    const bad = entries.filter(({ kind }) => kind === 'door')
    if (bad.length === 0) return route.continue()
    return route.fulfill({ status: 400, json: { errors: [{ code: 'malformed', path: ['entries'], detail }] } })
  })
  await page.locator('body').press('d')
  await expect(page.getByTestId('refused')).toContainText('One entry was refused')
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  expect(await onServer(page, log)).toEqual(['in'])
  await page.getByTestId('refused').click()
  const row = page.getByTestId('waiting-entry')
  await expect(row).toContainText(detail)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save all as a file' }).click()
  expect((await download).suggestedFilename()).toBe('pheasant-entries.json')
  await context.unroute('**/entries')
  await row.getByRole('button', { name: 'Mend' }).click()
  await row.getByLabel('Words').fill('the door stood open')
  await row.getByRole('button', { name: 'Send it mended' }).click()
  await expect(page.getByTestId('nothing-waits')).toBeVisible()
  expect(await onServer(page, log)).toEqual(['in', 'door'])
})

test('a plan is put away, taken out again and deleted, with what goes with it said first', async ({ page }) => {
  const kitchen = await newKitchen('tidy')
  await planByLine(page, 'duck 2.2 kg, oven 175, eat sunday 19:00', kitchen)
  await saved(page)
  const plan = new URL(page.url()).pathname
  const row = (title: string) =>
    page.locator('li', { has: page.locator(`a[href="${plan}"]`) }).getByRole('button', { name: title })
  await page.goto(`/k/${kitchen}/all/promised`)
  await row('Put away').click()
  await expect(page.locator(`a[href="${plan}"]`)).toHaveCount(0)
  await page.goto(`/k/${kitchen}`)
  await expect(page.locator(`a[href="${plan}"]`)).toHaveCount(0)
  await page.getByRole('link', { name: 'Put away' }).click()
  await row('Take out again').click()
  await expect(page.locator(`a[href="${plan}"]`)).toHaveCount(0)
  await page.goto(`/k/${kitchen}/all/promised`)
  await row('Delete').click()
  await expect(page.getByRole('alertdialog')).toContainText('goes its one version')
  await page.getByRole('button', { name: 'Delete it' }).click()
  await expect(page.locator(`a[href="${plan}"]`)).toHaveCount(0)
  expect((await page.request.get(`/api${plan}`)).status()).toBe(404)
  expect((await page.goto(plan))?.status()).toBe(404)
})
