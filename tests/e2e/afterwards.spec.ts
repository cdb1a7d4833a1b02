import { execFileSync } from 'node:child_process'
import { join } from 'node:path'
import { root } from '../../bin/setup/dependencies.mjs'
import { deskReady, expect, newKitchen, openBoard, planByLine, saved, test, typeLine } from './browser'

/** What comes after the plates: how it ate, the logbook, what was learned, cooked again, and the record. */

test('a cook served, rated, found again and cooked again; its record exported and verified', async ({
  page,
  request,
}, info) => {
  const kitchen = await newKitchen('after')
  await page.goto(`/k/${kitchen}/record`)
  await page.getByRole('button', { name: 'Keep a record' }).click()
  await expect(page.getByTestId('record-new')).toBeVisible()

  await planByLine(page, 'pork loin 1.8 kg, 63C, oven 160, eat thursday 19:00', kitchen)
  await page.getByText('The piece and the table').click()
  await page.getByPlaceholder('which butcher').fill('Aldous & Pike')
  await saved(page)
  const plan = new URL(page.url()).pathname
  const begun = await request.post(`/api/k/${kitchen}/cooks`, { data: { plan: plan.split('/')[4], speed: 1 } })
  const cook = (await begun.json()).id as string
  await openBoard(page, `/k/${kitchen}/cooks/${cook}`)
  await page.getByLabel('Who is at the stove').fill('Ines')
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('board-row')).toHaveAttribute('data-state', 'in')
  // A hand thermometer says what it came to, so that there is something to keep.
  await request.post(`/api/k/${kitchen}/cooks/${cook}/entries`, {
    data: {
      entries: [
        {
          id: 'read-by-hand-1',
          kind: 'reading',
          at: new Date(Date.parse('2026-11-25T09:20:00Z')).toISOString(),
          item: 'roast',
          value_c: 64.2,
        },
      ],
    },
  })
  await page.getByRole('button', { name: 'It is out' }).click()
  await page.getByRole('button', { name: 'Carving', exact: true }).click()
  await page.getByRole('button', { name: 'On the table', exact: true }).click()

  const ate = page.getByTestId('how-it-ate')
  await expect(ate).toBeVisible()
  await ate.getByRole('button', { name: 'overdone' }).click()
  await ate.getByRole('button', { name: 'pale' }).click()
  await ate.getByLabel('Left over').fill('much')
  await expect(ate).toContainText('a weight, such as')
  await ate.getByLabel('Left over').fill('0,4')
  await ate.getByLabel(/^What to change/).fill('less salt')
  await expect(ate.getByTestId('leftovers')).toContainText(/In the fridge by .* Eaten by/)
  await ate.getByLabel(/^What to change/).blur()
  await ate.getByLabel('What is left reads').fill('30')
  await ate.getByRole('button', { name: 'Keep it' }).click()
  await expect(ate.getByTestId('leftovers')).toContainText(/Left over, it reads 30 °C after/)
  await ate.getByLabel('What is left reads').fill('18')
  await ate.getByRole('button', { name: 'Keep it' }).click()
  await expect(ate.getByTestId('leftovers')).toContainText(/Left over, it reads 18 °C after/)
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  await expect(ate.getByRole('button', { name: 'overdone' })).toHaveAttribute('aria-pressed', 'true')

  await ate.getByRole('link', { name: 'Its page in the logbook' }).click()
  const story = page.getByTestId('story')
  await expect(story).toContainText('Aldous & Pike')
  await expect(story.getByTestId('ate')).toContainText('On the plate overdone, crust pale, 400 g left over.')
  await expect(story).toContainText('Next time: less salt')

  await page.goto(`/k/${kitchen}`)
  await page.getByRole('link', { name: 'Logbook' }).first().click()
  await page.getByLabel('Look for').fill('pike less salt')
  await page.getByRole('button', { name: 'Look', exact: true }).click()
  await expect(page.getByRole('status')).toContainText('1 cook')
  await page.getByLabel('Look for').fill('goose')
  await page.getByRole('button', { name: 'Look', exact: true }).click()
  await expect(page.getByRole('status')).toContainText('Nothing like that')
  await page.getByRole('link', { name: 'Show all' }).click()
  await page
    .getByRole('link', { name: /Pork loin/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Cook it again' }).click()
  await deskReady(page)
  // Overdone on the plate: two degrees less, and what was to be remembered is.
  const again = await (await request.get(`/api${new URL(page.url()).pathname}`)).json()
  expect(again.document).toMatchObject({ target: { serve_c: 61 }, notes: 'less salt' })
  expect(again.document.roast).toMatchObject({ supplier: 'Aldous & Pike', mass_kg: 1.8 })

  // The board's reading is in the record; a hand adds a fridge that is too warm, and says what was done.
  await page.goto(`/k/${kitchen}/record`)
  const record = page.getByTestId('record')
  await expect(record).toContainText('highest at its core')
  await expect(record).toContainText('from its probes')
  // On its way and in time nothing is settled; cold enough in time is, and is entered by itself.
  await expect(record.getByText('what is left of it')).toHaveCount(1)
  // Who signs here is remembered from the board: typed while it was being put in, it stood there twice.
  await expect(page.getByLabel('Measured by')).toHaveValue('Ines')
  await page.getByRole('radio', { name: 'Cold storage' }).click()
  await page.getByLabel('What was measured').fill('Walk-in')
  await page.getByLabel('Temperature read').fill('8.5')
  await expect(page.getByTestId('record-new')).toContainText('Not kept: at most 5 °C')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('1 open')).toBeVisible()
  await page.getByRole('button', { name: 'Say what was done' }).click()
  await page.getByLabel(/^What was done about/).fill('door closed, 4 °C an hour later')
  await page.getByRole('button', { name: 'Keep it' }).last().click()
  await expect(record).toContainText('door closed, 4 °C an hour later (Ines)')
  await expect(page.getByText('1 open')).toHaveCount(0)

  const exported = await (await request.get(`/api/k/${kitchen}/record/export`)).text()
  const verify = (text: string) =>
    execFileSync(process.execPath, [join(root, 'bin/pheasant.mjs'), 'verify'], { input: text, encoding: 'utf8' })
  expect(JSON.parse(verify(exported))).toMatchObject({ holds: true, entries: 4 })
  expect(() => verify(exported.replace('8.5', '4.5'))).toThrow()
  const csv = await (await request.get(`/api/k/${kitchen}/record/csv`)).text()
  expect(csv.split('\n')).toHaveLength(5)
  // What is left is cooled in this fridge, as it was read.
  await openBoard(page, `/k/${kitchen}/cooks/${cook}`)
  await expect(page.getByTestId('leftovers')).toContainText('Your fridge was last read at 9 °C, which cannot bring it')
  expect(info.project.name).not.toBe('')
})

test('two seasons of cooks are found, narrowed and laid over each other; a plan goes by what they taught', async ({
  page,
  request,
}) => {
  await page.goto('/k/cottage/logbook')
  await expect(page.getByText('The night of the storm')).toBeVisible()
  await page.getByText('Narrow it down').click()
  await page.getByRole('link', { name: /^from Hollis/ }).click()
  await expect(page).toHaveURL(/supplier=Hollis/)
  await page.getByRole('link', { name: 'winter', exact: true }).click()
  await expect(page.getByRole('status')).toContainText(/^\d+ cooks?\./)
  await expect(page.getByText('Christmas rib')).toBeVisible()
  await page.goto('/k/cottage/logbook?cut=beef-rib-bone-in')
  const boxes = page.getByRole('checkbox')
  await boxes.nth(0).check()
  await boxes.nth(1).check()
  await page.getByRole('link', { name: 'Lay 2 over each other' }).click()
  await expect(page.getByTestId('compared').getByTestId('story-chart')).toBeVisible()
  await expect(page.getByTestId('compared').locator('thead th')).toHaveCount(3)

  await page.goto('/k/cottage/learned')
  const oven = page.getByTestId('learned-oven:the oven')
  await expect(oven).toContainText('colder than its dial')
  await planByLine(page, 'pork loin 2 kg, 63C, oven 160, eat saturday 19:00')
  const learned = page.getByTestId('learned')
  await expect(learned).toContainText(
    /The oven runs .* colder than its dial: learned from \d+ cooks, so it goes in \d+ min earlier/,
  )
  const address = `/api${new URL(page.url()).pathname}`
  const putIn = async () => (await (await request.get(address)).json()).plan.putIn as number
  const with_s = await putIn()
  for (let i = 0; i < 3 && (await learned.count()) > 0; i++) {
    await learned.getByRole('button', { name: 'Do without' }).first().click()
    await saved(page)
  }
  await expect(learned).toHaveCount(0)
  expect(await putIn()).toBeGreaterThan(with_s + 120)
  await page.reload()
  await deskReady(page)
  await expect(page.getByTestId('learned')).toHaveCount(0)
})

test('last year’s feast is had from a line', async ({ page, request }) => {
  await typeLine(page, 'like last christmas')
  await expect(page.getByTestId('like-before')).toContainText('christmas')
  await page.getByRole('button', { name: 'Plan it' }).click()
  await deskReady(page)
  const { document } = await (await request.get(`/api${new URL(page.url()).pathname}`)).json()
  expect(document).toMatchObject({ title: 'Christmas rib', promise: '2026-12-25T13:30:00.000Z' })
  expect(document.notes).toContain('longer rest')
  await typeLine(page, 'like the great goose of 1911')
  await page.getByRole('button', { name: 'Plan it' }).click()
  await expect(page.getByText('There is no cook like “great goose of 1911” here.')).toBeVisible()
})
