import type { Page } from '@playwright/test'
import { fridayEvening } from '../../src/stand-ins/demo/meals'
import { deskReady, expect, newKitchen, openBoard, planByLine, readByHand, saved, test, typeLine } from './browser'

/**
 * One plan, alive: what is cooked is the plan, step by step; every page says the same minute; what is moved on
 * one is moved on the others; and what has ended is found again.
 */

const TIME = /\b\d\d:\d\d\b/
const timeIn = (text: string | null | undefined): string => text?.match(TIME)?.[0] ?? 'no time'
/** Everything the plan has to offer, ticked as it is offered; answers what was offered, in order. */
async function tickAll(page: Page, most = 60): Promise<string[]> {
  const next = page.getByTestId('next')
  const offered: string[] = []
  for (let i = 0; i < most; i++) {
    const step = await next.getAttribute('data-step')
    if (step === null) return offered
    const words = await page.getByTestId('next-words').innerText()
    offered.push(`${step}: ${words}`)
    await next.getByRole('button', { name: 'Done', exact: true }).click()
    await expect
      .poll(async () =>
        (await next.getAttribute('data-step')) === null ? '' : page.getByTestId('next-words').innerText(),
      )
      .not.toBe(words)
  }
  return offered
}

async function begin(page: Page, kitchen: string, line: string | object, change?: (page: Page) => Promise<void>) {
  if (typeof line === 'string') await planByLine(page, line, kitchen)
  else {
    const made = await (await page.request.post(`/api/k/${kitchen}/plans`, { data: { document: line } })).json()
    await page.goto(`/k/${kitchen}/plans/${made.id}`)
    await deskReady(page)
  }
  await change?.(page)
  await saved(page)
  const plan = new URL(page.url()).pathname
  await page.getByRole('button', { name: 'Cook it' }).click()
  await page.locator('[data-testid=board][data-ready=true]').waitFor()
  return { plan, board: new URL(page.url()).pathname }
}

const cooks: readonly {
  readonly name: string
  readonly line: string | object
  readonly change?: (page: Page) => Promise<void>
  readonly steps: readonly RegExp[]
}[] = [
  {
    name: 'a reverse sear with its hot finish',
    line: 'beef rib 2.7 kg bone-in, medium-rare, reverse sear, eat thursday 19:00',
    steps: [
      /heat_up: Heat the oven to 110/,
      /put_in/,
      /pull: Pull at/,
      /rest/,
      /heat_up: Heat the oven to 250/,
      /finish: Finish/,
      /carve/,
      /serve/,
    ],
  },
  {
    name: 'a stuffed bird turned once',
    line: 'turkey 6 kg, eat friday 18:30',
    change: async (page) => {
      await page.getByLabel('School', { exact: true }).selectOption('bird-turned')
      await page.getByText('The piece and the table').click()
      await page.getByLabel('Cavity').selectOption('stuffed')
      await expect(page.getByTestId('desk')).toContainText('Probe the stuffing too')
    },
    steps: [/put_in/, /tend: Turn breast up/, /pull/, /rest/, /carve/, /serve/],
  },
  {
    name: 'the oven off, its door shut',
    line: 'beef rib 3 kg bone-in, medium-rare, eat saturday 19:00',
    change: async (page) => {
      await page.getByLabel('School', { exact: true }).selectOption('oven-off')
      await expect(page.getByTestId('tasks')).toContainText('Do not open the door')
    },
    steps: [/heat_up/, /put_in/, /change: The oven off. Do not open the door/, /carve/, /serve/],
  },
  {
    name: 'a brisket, bare and then wrapped at its reading',
    line: 'brisket 3 kg, 120 C, wrapped at 74 C, until 95 C, eat saturday 19:00',
    steps: [
      /heat_up: Heat the oven to 120/,
      /put_in/,
      /change: Now oven at 120.*under foil/,
      /pull: Pull at 9[45]/,
      /rest/,
      /carve/,
      /serve/,
    ],
  },
  {
    name: 'a bird that is crisped in the same oven for the last of it',
    line: 'chicken 1.8 kg, 170 covered, last 20 min uncovered at 230, eat saturday 13:00',
    steps: [
      /heat_up/,
      /put_in/,
      /pull: On to the hot finish/,
      /finish: Finish/,
      /rest: Out, and rest/,
      /carve/,
      /serve/,
    ],
  },
  {
    name: 'a turkey out of the freezer',
    line: 'turkey 4 kg from frozen, oven 165, eat sunday 18:30',
    steps: [/thaw: Out of the freezer/, /heat_up/, /put_in/, /pull/, /rest/, /carve/, /serve/],
  },
  {
    name: 'a butterflied leg over a fire',
    line: { roast: { cut: 'lamb-leg-butterflied', mass_kg: 2.2 }, promise: '2026-11-29T18:00:00Z' },
    change: async (page) => {
      await page.getByLabel('School', { exact: true }).selectOption('two-zone-fire')
      await expect(page.getByTestId('tasks')).toContainText('Light the fire')
    },
    steps: [/heat_up: Light the fire/, /put_in: On, beside the coals/, /pull/, /carve/, /serve/],
  },
]

for (const { name, line, change, steps } of cooks)
  test(`${name}: every step of its plan is offered on the board, and then it is found from the home page and its plan`, async ({
    page,
  }) => {
    const kitchen = await newKitchen('whole')
    const { plan, board } = await begin(page, kitchen, line, change)
    const offered = await tickAll(page)
    let place = 0
    for (const each of offered) if (steps[place]?.test(each)) place++
    expect(steps.slice(place).map(String), offered.join(' | ')).toEqual([])
    await expect(page.getByTestId('next')).toContainText('Everything is on the table')
    await expect(page.getByTestId('connection')).toHaveText('All kept')
    await page.goto(`/k/${kitchen}`)
    await page.getByTestId('cooked').locator(`a[href="${board}"]`).click()
    await expect(page.getByTestId('run')).toContainText('done')
    await expect(page.getByTestId('how-it-went')).toContainText('As it went')
    await page.goto(plan)
    await deskReady(page)
    await expect(page.getByTestId('cooks-of-plan').locator(`a[href="${board}"]`)).toBeVisible()
  })

test('two hours in one line: two servings, each cooked to its own', async ({ page }) => {
  const kitchen = await newKitchen('seatings')
  const entry = await typeLine(page, 'beef rib 3 kg at 18:00 saturday, another at 20:30', kitchen)
  await expect(page.getByTestId('line-understood')).toContainText('one more on the table')
  await entry.press('Enter')
  await page.waitForURL(/\/meals\//)
  await expect(page.getByText(/18:00 ready/)).toBeVisible()
  await expect(page.getByText(/20:30 ready/)).toBeVisible()
  const meal = new URL(page.url()).pathname
  // A further roast goes to the hour that is said of it.
  await page.getByLabel('Another roast').fill('pork loin 1.5 kg at 8:30')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('button', { name: /^Pork loin.* in The oven, 1[89]:/ })).toBeVisible()
  await saved(page)
  await page.goto(`${meal}/sheets`)
  const onTable = page.getByRole('article').locator('tr', { hasText: /On the table/ })
  await expect(onTable.first()).toContainText('18:00')
  await expect(onTable.last()).toContainText('20:30')
  await page.goto(meal)
  await page.getByRole('button', { name: 'Cook it' }).click()
  await page.locator('[data-testid=board][data-ready=true]').waitFor()
  const rows = page.getByTestId('board-row')
  await expect(rows.filter({ hasText: 'on the table 18:00' })).toHaveCount(1)
  await expect(rows.filter({ hasText: 'on the table 20:30' })).toHaveCount(2)
  const offered = await tickAll(page)
  expect(offered.filter((each) => /^serve/.test(each))).toHaveLength(2)
  await expect(page.getByTestId('next')).toContainText('Everything is on the table')
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  await page.goto(`/k/${kitchen}`)
  await expect(page.getByTestId('cooked')).toContainText('Beef rib')
})

test('straight on in the heat is no pull: at its reading a bird is not called out of the oven', async ({ page }) => {
  const kitchen = await newKitchen('straight')
  const { board } = await begin(page, kitchen, 'turkey 6 kg, 180, last 45 min at 200, eat friday 15:00')
  const row = page.getByTestId('board-row')
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(row).toContainText('Hot finish from')
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  const at = '2026-11-25T09:05:00.000Z'
  const entry = { id: 'straight-on-read', kind: 'reading', at, item: 'roast', value_c: 66, point: 'core' }
  const sent = await page.request.post(`/api${board}/entries`, { data: { entries: [entry] } })
  expect(sent.status()).toBe(201)
  const alarm = page.getByRole('alert').filter({ hasText: 'on to its hot finish. It stays in' })
  await expect(alarm).toBeVisible()
  await expect(page.getByRole('alert').filter({ hasText: 'pull it' })).toBeHidden()
  await expect(row.getByRole('button', { name: 'On to its hot finish' })).toBeVisible()
  // Between its two steps it rests nowhere.
  await page
    .getByTestId('run')
    .getByRole('button', { name: /^Done: On to the hot finish/ })
    .click()
  await expect(row).toContainText('on to its hot finish')
  await expect(row).not.toContainText('rests')
  await row.getByRole('button', { name: 'To its hot finish' }).click()
  await expect(row).toContainText('in its hot finish')
  await expect(page.getByTestId('next')).not.toContainText('Finish: oven')
  await row.getByRole('button', { name: 'It is out' }).click()
  await expect(row).toContainText('rests')
  await expect(row.getByRole('button', { name: 'Carving' })).toBeVisible()
})

test('a meal: sides, gravy and roasts to the last plate, and the rest planned again on the way', async ({ page }) => {
  const kitchen = await newKitchen('meal')
  const meal = fridayEvening('2026-11-27T18:00:00Z')
  const made = await (await page.request.post(`/api/k/${kitchen}/meals`, { data: { document: meal } })).json()
  await page.goto(`/k/${kitchen}/meals/${made.id}`)
  await page.getByRole('button', { name: 'Cook it' }).click()
  await page.locator('[data-testid=board][data-ready=true]').waitFor()
  await page.getByRole('button', { name: 'Plan the rest again' }).click()
  await expect(page.getByTestId('plan-again')).toContainText('The rest stands as it is')
  // A roast foreseen far too late takes its table and its sides with it.
  const row = page.getByTestId('board-row').first()
  await row.getByRole('button', { name: /move the promise/ }).click()
  await row.getByLabel(/New promise of/).fill('30 min later')
  await row.getByRole('button', { name: /^Promise/ }).click()
  await page.getByRole('button', { name: 'Plan the rest again' }).click()
  await expect(page.getByTestId('plan-again')).toContainText(/stands as it is|Planned again/)
  const offered = await tickAll(page, 120)
  for (const wanted of [
    /heat_up/,
    /put_in: Roast potatoes/,
    /take_off: Roast potatoes/,
    /gravy/,
    /pull/,
    /carve/,
    /dish: Roast potatoes/,
    /serve/,
  ])
    expect(
      offered.some((each) => wanted.test(each)),
      `${wanted} in ${offered.join(' | ')}`,
    ).toBe(true)
  await expect(page.getByTestId('next')).toContainText('Everything is on the table')
})

async function everyPage(page: Page, kitchen: string, plan: string, board: string, calendar: string) {
  await page.goto(plan)
  await deskReady(page)
  const task = async (kind: string) =>
    timeIn(await page.getByTestId('tasks').locator(`[data-task=${kind}]`).first().innerText())
  const desk = { carve: await task('carve'), serve: await task('serve'), pull: await task('pull') }
  await page.goto(`${plan}/run-sheet`)
  const row = async (words: RegExp) =>
    timeIn(await page.getByRole('article').locator('tr', { hasText: words }).last().locator('td').first().innerText())
  const sheet = { carve: await row(/Carve/), serve: await row(/On the table/), pull: await row(/^.*Pull at/) }
  await page.goto(`/k/${kitchen}`)
  const home = timeIn(await page.getByTestId('cooking').innerText())
  const homePlan = await page.locator(`a[href="${plan}"]`).innerText()
  const ics = (await (await page.request.get(calendar)).text()).replace(/\r\n[ \t]/g, '')
  const event = (words: RegExp) => {
    const found = ics.split('BEGIN:VEVENT').find((each) => words.test(each))
    const at = found?.match(/DTSTART:(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)/)
    return at ? `${at[4]}:${at[5]}` : 'no event'
  }
  const diary = {
    carve: event(/SUMMARY:.*Carve/),
    serve: event(/SUMMARY:.*On the table/),
    pull: event(/SUMMARY:.*Pull at/),
  }
  await openBoard(page, board)
  const step = async (kind: string) =>
    timeIn(await page.getByTestId('run').locator(`[data-step=${kind}]`).first().getByTestId('step-at').innerText())
  const onBoard = { carve: await step('carve'), serve: await step('serve'), pull: await step('pull') }
  const next = await page.getByTestId('next-at').innerText()
  return { desk, sheet, diary, onBoard, home, homePlan, next }
}

test('desk, sheet, home, calendar and board say the same minute, and what is moved on one is moved on all', async ({
  page,
}) => {
  const kitchen = await newKitchen('five')
  const { plan, board } = await begin(page, kitchen, 'beef rib 2.7 kg bone-in, medium-rare, oven 120, eat 19:00')
  const asked = { data: { of: 'calendar', name: 'Diary' } }
  const { path: calendar } = await (await page.request.post(`/api/k/${kitchen}/addresses`, asked)).json()
  const agree = async () => {
    // A minute may turn over between two pages: then they are asked again.
    await expect(async () => {
      const { desk, sheet, diary, onBoard, home, next, homePlan } = await everyPage(
        page,
        kitchen,
        plan,
        board,
        calendar,
      )
      expect(desk.pull).toMatch(TIME)
      expect(sheet).toEqual(desk)
      expect(onBoard).toEqual(desk)
      expect(diary).toEqual(desk)
      expect(home).toBe(next)
      expect(homePlan).toContain(next)
    }).toPass({ timeout: 120_000 })
  }
  await agree()
  // In hours before it was planned: everything before the pull moves with it.
  await openBoard(page, board)
  await page.getByRole('button', { name: 'It is in' }).click()
  await expect(page.getByTestId('arrival')).toBeVisible()
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  await agree()
  // The promise moves on the board, by words; the plan promises it too.
  await openBoard(page, board)
  await page.getByRole('button', { name: /move the promise/ }).click()
  await page.getByLabel(/New promise of/).fill('45 min later')
  await page.getByRole('button', { name: 'Promise 19:45' }).click()
  await expect(page.getByTestId('promise')).toHaveText('19:45')
  await expect(page.getByTestId('connection')).toHaveText('All kept')
  await agree()
  await page.goto(plan)
  await deskReady(page)
  await expect(page.getByTestId('tasks').locator('[data-task=serve]')).toContainText('19:45')
  await expect(page.getByTestId('cooking-now')).toBeVisible()
  // And on the desk; the board says it without being asked.
  const other = await page.context().newPage()
  await openBoard(other, board)
  await page.getByRole('slider', { name: 'The promise' }).focus()
  await page.keyboard.press('ArrowRight')
  await saved(page)
  await expect(other.getByTestId('promise')).toHaveText('19:50')
  await other.close()
  await agree()
})

test('a reading that cannot be is asked about before it counts, and a number in the other unit is understood', async ({
  page,
}) => {
  const kitchen = await newKitchen('asked')
  await begin(page, kitchen, 'pork loin 1.8 kg, rosy, oven 160, eat 15:00')
  await page.getByRole('button', { name: 'It is in' }).click()
  const stands = async () => {
    const [row, read] = await Promise.all([
      page.getByTestId('board-row').boundingBox(),
      page.getByRole('button', { name: 'Read', exact: true }).boundingBox(),
    ])
    return [(read?.x ?? 0) - (row?.x ?? 0), (read?.y ?? 0) - (row?.y ?? 0)].map(Math.round)
  }
  const before = await stands()
  await readByHand(page, '24')
  await expect(page.getByTestId('core')).toHaveText('24 °C')
  // What was reckoned from it, and what is asked, move nothing that is pressed.
  await expect(page.getByTestId('arrival')).toBeVisible()
  expect(await stands()).toEqual(before)
  await readByHand(page, '265')
  expect(await stands()).toEqual(before)
  const doubt = page.getByTestId('doubt')
  await expect(doubt).toContainText('265 °C?')
  await expect(page.getByTestId('core')).toHaveText('24 °C')
  await doubt.getByRole('button', { name: '26.5 °C' }).click()
  await expect(page.getByTestId('core')).toHaveText('27 °C')
  await readByHand(page, '82')
  await page
    .getByTestId('doubt')
    .getByRole('button', { name: /82 °F: 28 °C/ })
    .click()
  await expect(page.getByTestId('core')).toHaveText('28 °C')
  await expect(page.getByTestId('arrival')).toBeVisible()
  // What goes wrong is a fact like any other: the ways out follow from it.
  await page.getByText('Something is not as planned').click()
  await page.locator('[data-mishap=oven_dead]').click()
  await expect(page.getByTestId('board-row')).toContainText('in, the oven at 22 °C')
  await expect(page.getByTestId('ways-out').locator('[data-best=true]')).toBeVisible()
  expect(await page.getByTestId('ways-out').locator('[data-way]').count()).toBeLessThanOrEqual(4)
  await page.locator('[data-mishap=heat_back]').click()
  await expect(page.getByTestId('board-row')).toContainText('in, the oven at 160 °C')
  // Given up it is over, with its reason.
  await page.getByText('Give it up').click()
  await page.getByRole('button', { name: 'burnt' }).click()
  await expect(page.getByTestId('next')).toContainText('This cook was given up')
  await expect(page.getByTestId('log')).toContainText('burnt')
})

test('an alarm answered on one device is silent on the other', async ({ page }) => {
  const kitchen = await newKitchen('heard')
  const { board } = await begin(page, kitchen, 'pork loin 1.8 kg, rosy, oven 160, eat 15:00')
  const { entries } = await (await page.request.get(`/api${board}`)).json()
  expect(entries).toEqual([])
  // The minute as the server has it: a reading of ten minutes ago alarms nobody, however long the walks before took.
  const { now_s } = (await (await page.request.get('/api/health')).json()) as { now_s: number }
  const now = Math.round(now_s) * 1000
  const kept = await page.request.post(`/api${board}/entries`, {
    data: {
      entries: [
        { id: `heard-in-${now}`, kind: 'in', item: 'roast', at: new Date(now - 5_400_000).toISOString() },
        { id: `heard-read-${now}`, kind: 'reading', item: 'roast', point: 'core', value_c: 64 },
      ].map((entry) => ({ at: new Date(now).toISOString(), ...entry })),
    },
  })
  expect(kept.ok(), await kept.text()).toBe(true)
  const other = await page.context().newPage()
  await openBoard(other, board)
  const alarm = (where: Page) => where.getByRole('alert').filter({ hasText: 'pull it' })
  await expect(alarm(page)).toBeVisible()
  await expect(alarm(other)).toBeVisible()
  await alarm(other).getByRole('button', { name: 'Heard' }).click()
  await expect(alarm(other)).toHaveCount(0)
  await expect(alarm(page)).toHaveCount(0)
  await other.close()
})

test('what is in already: its plan fits or says by how much not, and its board begins with it', async ({ page }) => {
  await planByLine(page, 'turkey 5 kg, 165, went in at 7:30', await newKitchen('since'))
  await expect(page.getByTestId('in-since')).toContainText('since 07:30')
  const ribbon = page.getByTestId('ribbon').getByRole('group', { name: /on the table/ })
  await expect(ribbon).toHaveAttribute('aria-label', /In at 07:30/)
  await expect(page.getByTestId('trouble-start_passed')).toHaveCount(0)
  const fits = await page.getByLabel('Promised time').inputValue()
  await page.getByLabel('Promised time').fill('14:00')
  await page.getByLabel('Promised time').press('Enter')
  const trouble = page.getByTestId('trouble-in_otherwise')
  await expect(trouble).toContainText('earlier than this promise needs')
  await trouble.getByRole('button', { name: /Promise .* instead/ }).click()
  await expect(trouble).toHaveCount(0)
  const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3))
  await expect
    .poll(async () => Math.abs(minutes(await page.getByLabel('Promised time').inputValue()) - minutes(fits)))
    .toBeLessThanOrEqual(6)
  await saved(page)
  await page.getByRole('button', { name: 'Cook it' }).click()
  await page.locator('[data-testid=board][data-ready=true]').waitFor()
  const row = page.getByTestId('board-row')
  await expect(row).toHaveAttribute('data-state', 'in')
  await expect(row.getByTestId('late')).toHaveText(/on time/)
  // Undone it is not in yet, as any other entry.
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(row).toHaveAttribute('data-state', 'waiting')
})
