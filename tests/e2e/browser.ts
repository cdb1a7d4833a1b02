import { type APIRequestContext, test as base, expect, type Locator, type Page } from '@playwright/test'
import postgres from 'postgres'

/** The served application by its address on this machine: each worker has one of its own. */
export const MACHINE = process.env.MACHINE ?? ''
const MOST_TRIES = 20

/** Asked again while the server says that it is busy, when it says to: others work on the machine, or it has just come up. */
const asked =
  (post: APIRequestContext['post']): APIRequestContext['post'] =>
  async (...what) => {
    for (let tries = 1; ; tries++) {
      const answer = await post(...what)
      if (answer.status() !== 503 || tries === MOST_TRIES) return answer
      console.log(`${what[0]}: ${await answer.text()}`)
      await new Promise((done) => setTimeout(done, Number(answer.headers()['retry-after'] ?? 1) * 1000))
    }
  }

/** Every browser test fails on an error in the page's console: a broken page that still shows is broken. */
export const test = base.extend<{ page: Page }>({
  // Requests of the tests themselves go to the machine, whatever name the browser knows it by.
  request: async ({ playwright }, give) => {
    const context = await playwright.request.newContext({ baseURL: MACHINE })
    context.post = asked(context.post.bind(context))
    await give(context)
    await context.dispose()
  },
  page: async ({ page }, run) => {
    const errors: string[] = []
    page.on('console', (message) => {
      // A refused request is part of some tests; the browser prints it whatever the page does with it.
      if (message.type() === 'error' && !message.text().startsWith('Failed to load resource'))
        errors.push(message.text())
    })
    page.on('pageerror', (error) => errors.push(error.message))
    await run(page)
    expect(errors).toEqual([])
  },
})
export { expect }

export const LINE = 'beef rib 2.7 kg bone-in, medium-rare, oven 120, eat 19:00'

/** Types a line in a kitchen, and leaves it there. */
export async function typeLine(page: Page, line: string, kitchen = 'cottage'): Promise<Locator> {
  await page.goto(`/k/${kitchen}`)
  const entry = page.getByLabel('What are you roasting, and when do they eat?')
  await expect(entry).toBeEnabled()
  await entry.fill(line)
  return entry
}

/** Types a line in a kitchen and waits for its plan to be ready for changes. */
export async function planByLine(page: Page, line = LINE, kitchen = 'cottage'): Promise<void> {
  await typeLine(page, line, kitchen)
  await page.getByRole('button', { name: 'Plan it' }).click()
  await deskReady(page)
}

export async function deskReady(page: Page): Promise<void> {
  await page.locator('[data-testid=desk] fieldset[data-ready]').waitFor()
}

export const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveAttribute('data-state', 'saved')

/** Opens a board and waits until the browser has taken it over: before that a tap or a key may be nobody's. */
export async function openBoard(page: Page, address: string): Promise<void> {
  await page.goto(address)
  await page.locator('[data-testid=board][data-ready=true]').waitFor()
}

/**
 * A reading typed on the board. What comes in the moment it is pressed (an alarm, another next step) may move the button
 * from under the finger: it is pressed until the board has answered, by taking it or by asking.
 */
export async function readByHand(page: Page, value: string): Promise<void> {
  const typed = page.getByLabel(/Reading of/)
  await typed.fill(value)
  await expect(async () => {
    await page.getByRole('button', { name: 'Read', exact: true }).click()
    const asked = await page.getByTestId('doubt').isVisible()
    expect(asked ? '' : await typed.inputValue()).toBe('')
  }).toPass({ timeout: 150_000 })
}

/** A kitchen of a test's own: what other tests left lying about is not in its lists. */
export async function newKitchen(name: string): Promise<string> {
  const slug = `${name}-${Date.now().toString(36)}`
  const sql = postgres(process.env.MACHINE_DATABASE_URL ?? '', { max: 1 })
  await sql`insert into kitchens (id, slug, name, time_zone) values (${`kit_${slug}`}, ${slug}, ${`Kitchen ${name}`}, 'Europe/London')`
  await sql.end()
  return slug
}
