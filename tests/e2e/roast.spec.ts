import AxeBuilder from '@axe-core/playwright'
import { deskReady, expect, LINE, planByLine, saved, test, typeLine } from './browser'

test('one typed line becomes a plan that survives a reload and prints as a run sheet', async ({ page }) => {
  await planByLine(page)
  const run = page.locator('section', { has: page.getByRole('heading', { name: 'The run' }) })
  for (const words of ['Heat the oven to 120 °C', 'Into the oven', 'Pull at', 'Rest', 'Carve', 'On the table'])
    await expect(run.getByText(words).first()).toBeVisible()
  const ribbon = page.getByTestId('ribbon').getByRole('group', { name: /on the table/ })
  await expect(ribbon).toHaveAttribute('aria-label', /on the table 19:00/)
  const said = await ribbon.getAttribute('aria-label')
  await page.reload()
  await deskReady(page)
  await expect(page.getByTestId('ribbon').getByRole('group', { name: /on the table/ })).toHaveAttribute(
    'aria-label',
    said ?? '',
  )
  await page.getByRole('link', { name: 'Run sheet' }).click()
  const sheet = page.getByRole('article')
  await expect(sheet.getByRole('heading', { level: 1 })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await expect(sheet).toContainText('19:00')
  await expect(sheet).toContainText('Your local code comes before this sheet')
})

test('changes answer at once, are saved, and a heavier, thicker piece goes in earlier', async ({ page }) => {
  await planByLine(page)
  const label = () =>
    page
      .getByTestId('ribbon')
      .getByRole('group', { name: /on the table/ })
      .getAttribute('aria-label')
  const before = await label()
  await page.getByLabel('Thickness', { exact: true }).fill('130')
  await expect.poll(label).not.toBe(before)
  const inAt = (text: string | null) => text?.match(/In at (\d\d:\d\d)/)?.[1] ?? ''
  expect(inAt(await label()) < inAt(before)).toBe(true)
  await saved(page)
  await page.reload()
  await deskReady(page)
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('130')
})

test('told when it goes in and when they eat, the oven is as hot as that takes', async ({ page }) => {
  const line = 'pork shoulder 3 kg pulled, in at 9:30 tomorrow, eat tomorrow 18:00'
  await typeLine(page, line)
  await expect(page.getByTestId('line-understood')).toContainText('into the heat')
  await expect(page.locator('[data-ask]')).toHaveCount(0)
  await planByLine(page, line)
  const ribbon = page.getByTestId('ribbon').getByRole('group', { name: /on the table/ })
  await expect(ribbon).toHaveAttribute('aria-label', /In at 09:[1-4]\d.*on the table 18:00/)
  await typeLine(page, 'pork shoulder 3 kg pulled, 150C, in at 9:30 tomorrow, eat tomorrow 18:00')
  await expect(page.locator('[data-ask]')).toContainText('the plan says when it goes in')
})

test('a line that says when it goes in is a plan that goes in then: ribbon, sheet and words say the same minute', async ({
  page,
}) => {
  const line = 'pork loin 1.8 kg, 160, goes in tomorrow 2:30'
  await typeLine(page, line)
  const understood = page.getByTestId('line-understood')
  await expect(understood).toContainText('into the heat')
  await expect(understood).toContainText('14:30')
  await expect(understood.locator('[data-unknown]')).toHaveCount(0)
  await expect(page.locator('[data-ask]')).toHaveCount(0)
  await planByLine(page, line)
  await expect(page.getByTestId('ribbon').getByRole('group', { name: /on the table/ })).toHaveAttribute(
    'aria-label',
    /In at 14:30/,
  )
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await expect(page.getByRole('article')).toContainText('14:30')
})

test('what a line means stands below it word by word, what it leaves open is a tap away, and the rest is planned', async ({
  page,
}) => {
  await typeLine(page, 'roast beff for 8 flurbed with roast potatoes, sunday lunch')
  const understood = page.getByTestId('line-understood')
  await expect(understood).toContainText('beside it: roast potatoes')
  await expect(understood).toContainText('8 at the table')
  await expect(understood.locator('[data-unknown]')).toContainText('flurbed')
  const ask = (code: string) => page.locator(`[data-ask=${code}]`)
  await ask('what_is').getByRole('button', { name: 'leave it out' }).click()
  await expect(ask('what_is')).toHaveCount(0)
  await ask('which_cut').getByRole('button', { name: 'beef strip loin' }).click()
  await expect(ask('which_cut')).toHaveCount(0)
  await ask('how_heavy').getByRole('button').first().click()
  await expect(page.getByTestId('line-asks')).toHaveCount(0)
  await page.getByRole('button', { name: 'Plan it' }).click()
  await expect(page).toHaveURL(/\/k\/cottage\/meals\//)
  await expect(page.getByText('Roast potatoes').first()).toBeVisible()
  // Two hours of one roast: one of them is meant, on the day that was said.
  await typeLine(page, 'rib of beef 3 kg for Grace, saturday 5 december, 6pm or 7pm')
  await expect(understood).toContainText('on the table Sat 5 Dec 18:00')
  await expect(understood.locator('[data-unknown]')).toContainText('Grace')
  await ask('said_twice').getByRole('button', { name: '6pm', exact: true }).click()
  await expect(ask('said_twice')).toHaveCount(0)
  await page.getByRole('button', { name: 'Plan it' }).click()
  await deskReady(page)
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await expect(page.getByRole('article')).toContainText('18:00')
  await expect(page.getByRole('article')).toContainText('5 Dec')
  // Nothing to cook: nothing is planned, and what was typed stays.
  const entry = await typeLine(page, 'eat 19:00')
  await page.getByRole('button', { name: 'Plan it' }).click()
  await expect(ask('no_cut')).toBeVisible()
  await expect(entry).toHaveValue('eat 19:00')
})

test('what a line says of the kitchen is planned by: the oven against its dial, the height, a hold, when the guests come', async ({
  page,
}) => {
  const line = 'rib 3kg, 110C, my oven runs 12C hot, at 5000 ft, hold at 57 for an hour, guests arrive at 6 p.m.'
  await typeLine(page, line)
  const understood = page.getByTestId('line-understood')
  for (const words of ['12 °C hotter than its dial', '1524 m above the sea', 'kept warm at 57 °C', 'guests come'])
    await expect(understood).toContainText(words)
  await expect(understood.locator('[data-unknown]')).toHaveCount(0)
  await expect(page.locator('[data-ask]')).toHaveCount(0)
  await planByLine(page, line)
  await expect(page.getByLabel('Promised time')).toHaveValue('18:00')
  await page.getByText('The piece and the table').click()
  const offset = page.getByLabel('Oven: hotter than its dial by')
  await expect(offset).toHaveValue('12')
  await expect(page.getByTestId('particulars').getByLabel('Kitchen')).toHaveValue('1524')
  // Its own number, on this plan alone: said again in the line.
  await offset.fill('-8')
  await offset.blur()
  await saved(page)
  await page.getByText('The plan in one line').click()
  await expect(page.getByTestId('said-again')).toContainText('oven runs 8 c cold')
})

test('what should be out of the freezer by now is said, and thaws in cold water in time: on the desk, the sheet and in a meal', async ({
  page,
}) => {
  await planByLine(page, 'frozen turkey 6 kg, tomorrow 18:00')
  const trouble = page.getByTestId('trouble-thaw_passed')
  await expect(trouble).toContainText('out of the freezer since')
  await expect(trouble).toContainText('Cold water does it in 6 h')
  await trouble.getByRole('button', { name: /In cold water from/ }).click()
  await expect(trouble).toHaveCount(0)
  const thaw = page.getByTestId('tasks').locator('[data-task=thaw]')
  await expect(thaw).toContainText('cold water')
  const at = await thaw.locator('button, time').first().innerText()
  await saved(page)
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await expect(page.getByRole('article')).toContainText('cold water')
  await expect(page.getByRole('article')).toContainText(at)
  // Of a meal's roasts each for itself.
  await typeLine(page, 'two frozen ducks 2.3 kg, tomorrow 19:00')
  await page.getByRole('button', { name: 'Plan it' }).click()
  const notes = page.getByTestId('thaws')
  await expect(notes.getByRole('button', { name: 'It is out of the freezer' })).toHaveCount(2)
  await notes.getByRole('button', { name: 'It is out of the freezer' }).first().click()
  await expect(notes.getByRole('button', { name: 'It is out of the freezer' })).toHaveCount(1)
  await notes.getByRole('button', { name: 'Thaw it in cold water' }).click()
  await expect(notes).toHaveCount(0)
})

test('a plan is read back as one line, and the line gives the plan again', async ({ page }) => {
  await planByLine(
    page,
    'turkey 6 kg stuffed, 230 for 20 min then 170 covered, salted, remember “two probes”, sat 18:00',
  )
  const said = page.getByTestId('said-again')
  await page.getByText('The plan in one line').click()
  const line = await said.innerText()
  expect(line).toContain('two probes')
  await planByLine(page, line)
  await page.getByText('The plan in one line').click()
  await expect(said).toHaveText(line)
})

test('bad numbers get a sentence at the field and nothing is lost', async ({ page }) => {
  await planByLine(page)
  await page.getByLabel('Weight', { exact: true }).fill('-3')
  await expect(page.getByLabel('Weight', { exact: true })).toHaveAttribute('aria-invalid', 'true')
  await expect(page.getByTestId('save-state')).toHaveText(/Not saved/)
  await page.getByLabel('Weight', { exact: true }).fill('3')
  await expect(page.getByLabel('Weight', { exact: true })).not.toHaveAttribute('aria-invalid')
  await page.getByLabel('Thickness', { exact: true }).fill('300')
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveAttribute('aria-invalid', 'true')
  await page.getByRole('button', { name: 'measured; use the usual' }).click()
  await saved(page)
})

test('a start already in the past is said plainly with ways out, each one tap', async ({ page }) => {
  await planByLine(page, 'beef rib 4 kg bone-in, medium-rare, oven 120, eat today 11:30')
  const trouble = page.getByTestId('trouble-start_passed')
  await expect(trouble).toBeVisible()
  // Cooked all the same it is no trouble of the plan any more: its board says what is late.
  const desk = page.url()
  await page.getByRole('button', { name: 'Cook it' }).click()
  await page.waitForURL(/\/cooks\//)
  await page.goto(desk)
  await deskReady(page)
  await expect(trouble).toHaveCount(0)
  await planByLine(page, 'beef rib 4 kg bone-in, medium-rare, oven 120, eat today 11:30')
  await trouble.getByRole('button', { name: /^Promise/ }).click()
  await expect(trouble).toBeHidden()
  await saved(page)
})

test('the same bad input is refused over HTTP with its path', async ({ request }) => {
  const simulate = await request.post('/api/simulate', {
    data: { roast: { cut: 'beef-rib-bone-inn', mass_kg: 2 } },
  })
  expect(simulate.status()).toBe(422)
  expect((await simulate.json()).errors[0]).toMatchObject({ code: 'unknown_cut', path: ['roast', 'cut'] })
  const broken = (media: string) =>
    request.post('/api/simulate', { data: Buffer.from('{"roast":'), headers: { 'content-type': media } })
  expect((await broken('application/json')).status()).toBe(400)
  // Anything that a page of another origin could send without asking is not even read.
  expect((await broken('text/plain')).status()).toBe(415)
  const elsewhere = await request.post('/api/k/cottage/plans', {
    data: { line: 'beef rib 2.7 kg, eat tomorrow 19:00' },
    headers: { origin: 'http://elsewhere.example' },
  })
  expect(elsewhere.status()).toBe(403)
  const line = await request.post('/api/k/cottage/plans', { data: { line: 'beef rib 2.7 kg, eat yesterday 19:00' } })
  expect(line.status()).toBeGreaterThanOrEqual(400)
})

test('two windows on one plan: the later save is not lost, both are shown', async ({ page, context }) => {
  await planByLine(page)
  await saved(page)
  const other = await context.newPage()
  await other.goto(page.url())
  await deskReady(other)
  await page.getByLabel('Weight', { exact: true }).fill('3.1')
  await saved(page)
  await expect
    .poll(async () => (await (await page.request.get(`/api${new URL(page.url()).pathname}`)).json()).version)
    .toBe(2)
  await other.getByLabel('Weight', { exact: true }).fill('2.2')
  const clash = other.getByTestId('clash')
  await expect(clash).toContainText('3.1 kg')
  await expect(clash).toContainText('2.2 kg')
  await clash.getByRole('button', { name: 'Use mine' }).click()
  await saved(other)
  await other.reload()
  await deskReady(other)
  await expect(other.getByLabel('Weight', { exact: true })).toHaveValue('2.2')
})

test('what was changed a moment before is cooked, and stands on the sheet; what is not kept is not cooked in its stead', async ({
  page,
  context,
}) => {
  await planByLine(page)
  await saved(page)
  const plan = page.url()
  const weight = page.getByLabel('Weight', { exact: true })
  await weight.fill('3.4')
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await expect(page.getByRole('article')).toContainText('3.4 kg')
  await page.goto(plan)
  await deskReady(page)
  await context.setOffline(true)
  await weight.fill('2.4')
  await page.getByRole('button', { name: 'Cook it' }).click()
  await expect(page.getByText('A board cooks what is saved')).toBeVisible()
  await context.setOffline(false)
  await saved(page)
  await weight.fill('2.2')
  await page.getByRole('button', { name: 'Cook it' }).click()
  await page.waitForURL(/\/cooks\//)
  const [id] = new URL(page.url()).pathname.split('/').slice(-1)
  const { cooks } = await (await page.request.get('/api/k/cottage/cooks')).json()
  const begun = cooks.find((cook: { id: string }) => cook.id === id)
  expect(begun.document.items[0].roast.mass_kg).toBe(2.2)
})

test('gone back to by the browser’s button a plan is as it was left, and a change of it is one version more', async ({
  page,
}) => {
  await planByLine(page)
  await saved(page)
  const weight = page.getByLabel('Weight', { exact: true })
  await weight.fill('3.4')
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await expect(page.getByRole('article')).toContainText('3.4 kg')
  await page.goBack()
  await deskReady(page)
  await expect(weight).toHaveValue('3.4')
  await weight.fill('3.6')
  await saved(page)
  await expect(page.getByTestId('desk')).not.toContainText('Someone changed')
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await expect(page.getByRole('article')).toContainText('3.6 kg')
})

test('with the server out of reach changes stay on the device and come back', async ({ page, context }) => {
  await planByLine(page)
  await saved(page)
  await context.setOffline(true)
  await page.getByLabel('Weight', { exact: true }).fill('2.9')
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'offline')
  await context.setOffline(false)
  await saved(page)
})

for (const [name, width] of [
  ['a desk', 1280],
  ['a phone', 360],
] as const) {
  test(`kitchen and plan are accessible and do not scroll sideways on ${name}`, async ({ page }) => {
    await page.setViewportSize({ width, height: 800 })
    await planByLine(page, LINE)
    for (const path of ['/k/tern-point', new URL(page.url()).pathname]) {
      await page.goto(path)
      await page.waitForLoadState('networkidle')
      expect(
        (await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html]),
      ).toEqual([])
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
    }
  })
}
