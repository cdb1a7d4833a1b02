// Takes the pictures of this folder from a running application: node docs/screenshots/take.mjs [address] [folder]
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from '@playwright/test'

const [address = 'http://127.0.0.1:3140', folder = dirname(fileURLToPath(import.meta.url)), only] = process.argv.slice(2)
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const desk = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }

async function shot(name, viewport, theme, go, fullPage = false) {
  if (only && !name.includes(only)) return
  const context = await browser.newContext({ viewport, reducedMotion: 'reduce' })
  await context.addCookies([{ name: 'pheasant-theme', value: theme, url: address }])
  const page = await context.newPage()
  page.on('console', (message) => message.type() === 'error' && console.log(`${name}: ${message.text()}`))
  await go(page)
  await page.evaluate(() => document.fonts.ready)
  await page.waitForTimeout(500)
  await page.screenshot({ path: join(folder, `${name}.png`), fullPage })
  await context.close()
}
const open = (path) => (page) => page.goto(address + path, { waitUntil: 'load' })
const firstPlan = (kitchen) => async (page) => {
  await open(`/k/${kitchen}`)(page)
  await page.locator('main a[href*="/plans/"]').first().click()
  await page.waitForSelector('[data-testid=desk] fieldset[data-ready]')
}

await shot('kitchen', desk, 'day', open('/k/tern-point'))
const said = async (page) => {
  await open('/k/tern-point')(page)
  const line = 'roast beff for 8, 230 for 20 min then 150, with roast potatoes and yorkshires, one pregnant, sunday lunch'
  await page.getByLabel('What are you roasting, and when do they eat?').fill(line)
  await page.getByTestId('line-asks').waitFor()
}
await shot('line', desk, 'day', said)
await shot('line-phone', phone, 'day', said, true)
await shot('logbook', desk, 'day', open('/k/cottage/logbook'))
await shot('story', desk, 'day', async (page) => {
  await open('/k/cottage/logbook?words=birthday')(page)
  await page.locator('main a[href*="/logbook/cok_"]').first().click()
  await page.getByTestId('story').waitFor()
}, true)
await shot('record', desk, 'day', async (page) => {
  await open('/k/tern-point/record')(page)
  await page.getByRole('link', { name: 'The day before' }).click()
  await page.getByTestId('record').waitFor()
})
await shot('plan', desk, 'day', firstPlan('cottage'))
await shot('plan-whole', desk, 'day', firstPlan('tern-point'), true)
await shot('plan-night', desk, 'night', firstPlan('tern-point'))
await shot('plan-phone', phone, 'day', firstPlan('cottage'), true)
await shot('run-sheet', { width: 900, height: 1200 }, 'day', async (page) => {
  await firstPlan('cottage')(page)
  await page.getByRole('link', { name: 'Run sheet' }).click()
  await page.waitForSelector('article h1')
})
await shot('schools', { width: 1280, height: 960 }, 'day', async (page) => {
  await firstPlan('tern-point')(page)
  await page.getByRole('link', { name: 'Compare the schools' }).click()
  await page.locator('section[data-ready]').nth(2).waitFor()
})
const firstMeal = async (page) => {
  await open('/k/tern-point')(page)
  await page.getByRole('link', { name: /Keepers’ reunion supper/ }).click()
  await page.locator('[data-proved]').waitFor({ timeout: 60_000 })
}
await shot('meal', desk, 'day', firstMeal)
await shot('ways', desk, 'day', open('/k/tern-point/ways'))
await shot('accuracy', desk, 'day', async (page) => {
  await open('/accuracy')(page)
  await page.waitForSelector('[data-testid=promises-kept]')
})
const board = async (page) => {
  await page.goto(`${address}/k/cottage`)
  await page.locator('a[href*="/cooks/"]').first().click()
  await page.getByTestId('arrival').waitFor({ timeout: 30_000 })
  await page.waitForTimeout(2500)
}
await shot('board', { width: 1180, height: 820 }, 'day', board)
await shot('board-night', { width: 1180, height: 820 }, 'night', board)
await shot('board-phone', phone, 'day', board)
// With CLAIM=… (the secret that the start printed) the installation is claimed last, and its people are shown.
const claim = process.env.CLAIM
if (claim)
  await shot('people', { width: 1280, height: 900 }, 'day', async (page) => {
    const enter = async (on, name, action) => {
      await on.getByLabel('Your name').fill(name)
      await on.getByLabel('Sign-in name').fill(name.split(' ')[0].toLowerCase())
      await on.getByLabel('Password').fill('only for a picture')
      await on.getByRole('button', { name: action }).click()
      await on.waitForURL(/\/k\//)
    }
    const handed = async (button) => {
      await open('/k/tern-point/people')(page)
      await page.getByRole('button', { name: button }).click()
      await page.getByTestId('handed').getByRole('img').waitFor()
      return page.getByTestId('handed-address').innerText()
    }
    await open(`/claim/${claim}`)(page)
    await enter(page, 'Ines Calder', 'It is mine')
    for (const name of ['Marek Dunn', 'Wren Hollis']) {
      const other = await (await browser.newContext()).newPage()
      await other.goto(await handed('Make an invitation'))
      await enter(other, name, 'Join')
    }
    const tablet = await (await browser.newContext()).newPage()
    await tablet.goto(await handed('Scan a tablet in'))
    await tablet.getByLabel('What is this tablet called?').fill('By the range')
    await tablet.getByRole('button', { name: 'This tablet belongs here' }).click()
    await tablet.waitForURL(/\/k\//)
    await handed('Scan a tablet in')
  })
await browser.close()
