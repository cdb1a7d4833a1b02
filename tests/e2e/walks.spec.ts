import type { Page } from '@playwright/test'
import { deskReady, expect, newKitchen, openBoard, planByLine, saved, test } from './browser'

/**
 * Whole cooks walked on the screen: a line, its plan, its sheet, the home page, the board to the last plate, and
 * found again. Each time is read where a cook would read it, and is the same minute everywhere.
 */

interface Walk {
  readonly name: string
  readonly line: string
  readonly change?: (page: Page) => Promise<void>
  /** What the line says to pull it at: the board waits for that. */
  readonly pull?: string
  /** The sheet first, or the board first. */
  readonly order: 'desk first' | 'board first'
}

const HALF_PAST = /\b\d\d:\d\d\b/
const timeIn = (text: string | null | undefined): string => text?.match(HALF_PAST)?.[0] ?? 'no time'

async function timesOfDesk(page: Page) {
  const run = page.getByTestId('tasks')
  const at = async (task: string) => timeIn(await run.locator(`[data-task=${task}]`).first().innerText())
  return { put_in: await at('put_in'), carve: await at('carve'), serve: await at('serve') }
}

async function timesOfSheet(page: Page) {
  const row = (words: RegExp) => page.getByRole('article').locator('tr', { hasText: words }).last()
  return {
    put_in: timeIn(
      await row(/^.*(Into|On, beside)/)
        .first()
        .locator('td')
        .first()
        .innerText(),
    ),
    carve: timeIn(await row(/Carve/).locator('td').first().innerText()),
    serve: timeIn(
      await row(/On the table/)
        .locator('td')
        .first()
        .innerText(),
    ),
  }
}

const walks: readonly Walk[] = [
  {
    name: 'a rib at 120 and then at 250',
    line: 'beef rib 2.7 kg bone-in, medium-rare, at 120 then 250 for 10 minutes, eat thursday 19:00',
    order: 'desk first',
  },
  {
    name: 'a lamb shoulder until it falls apart',
    line: 'lamb shoulder 2 kg, 160 under foil until it falls apart, basted half-way, eat friday 19:30',
    order: 'desk first',
  },
  {
    name: 'a stuffed turkey',
    line: 'turkey 6 kg, oven 165, eat friday 18:30',
    change: async (page) => {
      await page.getByText('The piece and the table').click()
      await page.getByLabel('Cavity').selectOption('stuffed')
    },
    order: 'board first',
  },
  {
    name: 'a turkey pressed flat',
    line: 'turkey 5 kg spatchcocked, fan 200, eat sunday 13:15',
    order: 'desk first',
  },
  {
    name: 'a rolled rib by a recipe, to a reading of its own',
    line: 'rolled rib of beef 2.3 kg, 220C/200C fan/gas 7 for 20 minutes then 160C/140C fan/gas 3 to 50, eat saturday 13:00',
    pull: '50 °C',
    order: 'board first',
  },
  {
    name: 'a ham that is cooked already',
    line: 'half a ham 3.6 kg, fully cooked, 160, glazed in the last half hour, eat saturday 16:00',
    order: 'board first',
  },
]

// By the network’s name a page has less to go by: one order of pages each is walked there, too.
const alsoByName = [walks[0], walks[2]]
for (const walk of walks)
  test(`${walk.name}: line, plan, sheet, home, board, served, found again; one minute everywhere`, {
    tag: alsoByName.includes(walk) ? [] : '@machine',
  }, async ({ page, request }) => {
    const kitchen = await newKitchen('walk')
    await planByLine(page, walk.line, kitchen)
    await walk.change?.(page)
    await saved(page)
    const plan = new URL(page.url()).pathname
    await page.reload()
    await deskReady(page)
    const desk = await timesOfDesk(page)
    expect(desk.put_in).toMatch(HALF_PAST)

    const begun = await request.post(`/api/k/${kitchen}/cooks`, { data: { plan: plan.split('/')[4], speed: 60 } })
    expect(begun.status()).toBe(201)
    const board = `/k/${kitchen}/cooks/${(await begun.json()).id}`
    const sheetAndHome = async () => {
      await page.goto(`${plan}/run-sheet`)
      expect(await timesOfSheet(page)).toEqual(desk)
      await page.goto(`/k/${kitchen}`)
      await expect(page.locator(`a[href="${plan}"]`)).toContainText(`in at ${desk.put_in}`)
    }
    const toTheEnd = async () => {
      await openBoard(page, board)
      const row = page.getByTestId('board-row')
      await expect(row).toContainText(`goes in ${desk.put_in}`)
      await expect(row).toContainText(`on the table ${desk.serve}`)
      if (walk.pull) await expect(row.getByTestId('pull')).toHaveText(walk.pull)
      await expect(page.getByTestId('next')).toHaveAttribute('data-step', /shape|dress|set_out|take_out|heat_up|put_in/)
      await page.getByRole('button', { name: 'It is in' }).click()
      await expect(page.getByTestId('arrival')).toBeVisible()
      await page.getByRole('button', { name: 'It is out' }).click()
      await expect(page.getByTestId('next')).toHaveAttribute('data-step', /rest|heat_up/)
      // Out by mistake: back in is in again.
      await page.getByRole('button', { name: /^Undo/ }).click()
      await expect(row).toHaveAttribute('data-state', 'in')
      await page.getByRole('button', { name: 'It is out' }).click()
      await page.getByRole('button', { name: 'Carving', exact: true }).click()
      await page.getByRole('button', { name: 'On the table', exact: true }).click()
      await expect(page.getByTestId('next')).toContainText('Everything is on the table')
      await expect(page.getByTestId('connection')).toHaveText('All kept')
    }
    if (walk.order === 'desk first') {
      await sheetAndHome()
      await toTheEnd()
    } else {
      await toTheEnd()
      await sheetAndHome()
    }
    // The kept scripts of one page serve no other.
    await page.goto(plan)
    await deskReady(page)
    expect(await timesOfDesk(page)).toEqual(desk)
    await page.goto(`/k/${kitchen}`)
    await page.getByTestId('cooked').locator(`a[href="${board}"]`).click()
    await expect(page.getByTestId('log')).toContainText('served')
  })

test('a change that came too late is shown on the desk until it is used or let go', async ({ page, request }) => {
  await planByLine(page, 'pork loin 1.8 kg, rosy, oven 160, eat tomorrow 18:00')
  await saved(page)
  const address = `/api${new URL(page.url()).pathname}`
  const { document, version } = await (await request.get(address)).json()
  const ours = await request.put(address, {
    data: { base_version: version, document: { ...document, title: 'Ours' } },
  })
  expect(ours.ok()).toBe(true)
  const late = { ...document, roast: { ...document.roast, mass_kg: 2.1 } }
  const refused = await request.put(address, { data: { base_version: version, document: late } })
  expect(refused.status()).toBe(409)
  await page.reload()
  await deskReady(page)
  const kept = page.getByTestId('set-aside')
  await expect(kept).toContainText('weight 2.1 kg')
  await kept.getByRole('button', { name: 'Use it' }).click()
  await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('2.1')
  await saved(page)
  await page.reload()
  await deskReady(page)
  await expect(page.getByTestId('set-aside')).toHaveCount(0)
  await expect(page.getByLabel('Weight', { exact: true })).toHaveValue('2.1')
})

test('who taps is written beside what was tapped, and letters do nothing when they are switched off', async ({
  page,
  request,
}) => {
  await planByLine(page, 'pork loin 1.7 kg, rosy, oven 170, eat friday 12:00')
  await saved(page)
  const plan = new URL(page.url()).pathname.split('/')[4]
  const begun = await request.post('/api/k/cottage/cooks', { data: { plan, speed: 1 } })
  await page.goto(`/k/cottage/cooks/${(await begun.json()).id}`)
  await page.getByLabel('Who is at the stove').fill('Ines')
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('log')).toContainText('Ines')
  await page.locator('h2').first().click()
  await page.keyboard.press('d')
  await expect(page.getByTestId('log')).toContainText('door opened')
  await page.getByRole('button', { name: /^Letter keys/ }).click()
  await page.locator('h2').first().click()
  await page.keyboard.press('u')
  await page.waitForTimeout(400)
  await expect(page.getByTestId('log')).toContainText('door opened')
  await page.reload()
  await expect(page.getByRole('button', { name: /^Letter keys/ })).toHaveAttribute('aria-pressed', 'false')
  await expect(page.getByLabel('Who is at the stove')).toHaveValue('Ines')
})
