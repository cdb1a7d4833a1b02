import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { deskReady, expect, newKitchen, openBoard, planByLine, saved, test } from './browser'

/** What belongs to the house: its standards, its pictures, and all of it as a file. */

test('a head cook’s standards begin every plan: desk, sheet and board alike, and who changed what is kept', async ({
  page,
  request,
}) => {
  const kitchen = await newKitchen('standards')
  await planByLine(page, 'beef rib 3 kg, eat thursday 19:00', kitchen)
  const before = `/api${new URL(page.url()).pathname}`
  await page.goto(`/k/${kitchen}/ways`)
  const standards = page.getByTestId('standards')
  await standards.getByLabel('Set by').fill('Marit')
  await standards.getByText('Beef, veal, lamb and venison', { exact: true }).click()
  await standards.getByLabel('medium-rare is served at').fill('56')
  await expect(standards.getByRole('status')).toContainText('56 °C. Plans made from now on begin so.')
  // Past its band it would be another degree: it is not taken.
  await standards.getByLabel('medium-rare is served at').fill('64')
  await standards.getByLabel('medium-rare is served at').blur()
  await expect(standards.getByLabel('medium-rare is served at')).toHaveValue('56')
  await standards.getByLabel(/^How it is cooked: Beef/).selectOption({ label: 'Reverse sear' })
  await standards.getByLabel('because').fill('the rim stays thin')
  await standards.getByLabel('because').blur()
  await expect(standards.getByRole('status')).toContainText('reverse sear')
  await standards.getByLabel(/^Margin/).fill('10')
  await expect(standards.getByRole('status')).toContainText('10 min')
  await standards.getByText('Who changed what').click()
  await expect(page.getByTestId('house-changes')).toContainText('Marit')
  await expect(page.getByTestId('house-changes')).toContainText('medium-rare')

  await planByLine(page, 'beef rib 3 kg, eat thursday 19:00', kitchen)
  await expect(page.getByTestId('as-the-house')).toContainText('medium-rare at 56 °C')
  await expect(page.getByTestId('as-the-house')).toContainText('because the rim stays thin')
  await expect(page.getByLabel('The plan in words')).toContainText(/reverse sear/i)
  const address = new URL(page.url()).pathname
  const made = await (await request.get(`/api${address}`)).json()
  expect(made.document.program).toEqual({ school: 'reverse-sear' })
  // What was planned before stays as it was.
  const old = await (await request.get(before)).json()
  expect(old.document.program).toEqual({ school: 'steady' })
  expect(old.document.roast.standards).toBeUndefined()

  await page.goto(`${address}/run-sheet`)
  await expect(page.getByRole('main')).toContainText('56 °C')
  const begun = await request.post(`/api/k/${kitchen}/cooks`, { data: { plan: address.split('/')[4], speed: 1 } })
  const cook = await begun.json()
  await openBoard(page, `/k/${kitchen}/cooks/${cook.id}`)
  await expect(page.getByTestId('board-row')).toBeVisible()

  // Taken back it is as everywhere again.
  await page.goto(`/k/${kitchen}/ways`)
  await page.getByTestId('standards').getByText('Beef, veal, lamb and venison', { exact: true }).click()
  await page.getByRole('button', { name: /^medium-rare, .*as everywhere/ }).click()
  await expect(page.getByTestId('standards').getByRole('status')).toContainText('as everywhere again')
  await planByLine(page, 'beef rib 3 kg, medium rare, eat thursday 19:00', kitchen)
  const plain = await (await request.get(`/api${new URL(page.url()).pathname}`)).json()
  expect(plain.document.roast.standards.serves).toBeUndefined()
})

test('a picture of how it came out is kept without where it was taken; the whole kitchen goes into another', async ({
  page,
  request,
}) => {
  const kitchen = await newKitchen('picture')
  await planByLine(page, 'pork loin 1.8 kg, 63C, oven 160, eat thursday 19:00', kitchen)
  await saved(page)
  const plan = new URL(page.url()).pathname
  const begun = await request.post(`/api/k/${kitchen}/cooks`, { data: { plan: plan.split('/')[4], speed: 1 } })
  const cook = (await begun.json()).id as string
  await openBoard(page, `/k/${kitchen}/cooks/${cook}`)
  for (const name of ['It is in', 'It is out']) await page.getByRole('button', { name }).click()
  for (const name of ['Carving', 'On the table']) await page.getByRole('button', { name, exact: true }).click()
  const takenOf = (background: string) =>
    sharp({ create: { width: 2400, height: 1200, channels: 3, background } })
      .jpeg()
      .withExif({ IFD0: { Make: 'Somebody', Model: 'Telephone' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .toBuffer()
  const taken = await takenOf('#8a3b1c')
  const photos = page.getByTestId('photos')
  await photos.getByLabel(/^Add a picture/).setInputFiles({ name: 'cut.jpg', mimeType: 'image/jpeg', buffer: taken })
  await expect(photos.getByRole('img')).toHaveCount(1)
  await photos
    .getByLabel(/^Add a picture/)
    .setInputFiles({ name: 'words.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') })
  await expect(photos.getByRole('status')).toContainText('cannot open that file as a picture')
  const [kept] = await (await request.get(`/api/k/${kitchen}/cooks/${cook}/photos`)).json()
  expect(kept).toMatchObject({ item: 'roast', width: 1600, height: 800 })
  // Sent as it was taken, past the page, it is made anew all the same.
  const direct = await request.post(`/api/k/${kitchen}/cooks/${cook}/photos?item=roast`, {
    headers: { 'content-type': 'image/jpeg' },
    data: await takenOf('#30405c'),
  })
  const bytes = await (await request.get(`/api/k/${kitchen}/photos/${(await direct.json()).id}`)).body()
  const facts = await sharp(bytes).metadata()
  expect(facts).toMatchObject({ format: 'webp', width: 1600 })
  expect(facts.exif).toBeUndefined()

  await page.goto(`/k/${kitchen}/logbook/${cook}`)
  await expect(page.getByTestId('story-photos').getByRole('img')).toHaveCount(2)

  await page.goto(`/k/${kitchen}/ways`)
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Take it along' }).click()
  const file = await (await download).path()
  expect(readFileSync(file).subarray(0, 2).toString()).toBe('PK')

  const other = await newKitchen('brought')
  await page.goto(`/k/${other}/ways`)
  const whole = page.getByTestId('whole')
  await whole.getByLabel('Bring a whole kitchen in').setInputFiles({
    name: 'notes.txt',
    mimeType: 'application/zip',
    buffer: Buffer.from('hello'),
  })
  await expect(whole.getByRole('status')).toContainText('this is no whole kitchen')
  await whole.getByLabel('Bring a whole kitchen in').setInputFiles({
    name: 'kitchen.zip',
    mimeType: 'application/zip',
    buffer: readFileSync(file),
  })
  await expect(whole.getByTestId('looked')).toContainText('It adds 1 plan, 1 cook')
  await expect(whole.getByTestId('looked')).toContainText('2 pictures')
  // Looking took nothing.
  expect((await (await request.get(`/api/k/${other}/plans`)).json()).plans ?? []).toHaveLength(0)
  await whole.getByRole('button', { name: 'Take it in' }).click()
  await expect(whole.getByRole('status')).toContainText('Taken in: 1 plan, 1 cook')
  await page.goto(`/k/${other}/logbook`)
  await page
    .getByRole('link', { name: /Pork loin/ })
    .first()
    .click()
  await expect(page.getByTestId('story-photos').getByRole('img')).toHaveCount(2)
  await page.getByRole('button', { name: 'Cook it again' }).click()
  await deskReady(page)
})

test('the record’s day is a PDF to sign', async ({ request }) => {
  const sheet = await request.get('/api/k/tern-point/record/sheet')
  expect(sheet.headers()['content-type']).toBe('application/pdf')
  expect((await sheet.body()).subarray(0, 5).toString()).toBe('%PDF-')
})
