import { type ChildProcess, spawn, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { APIRequestContext } from '@playwright/test'
import { cluster } from '../../bin/setup/database.mjs'
import { root } from '../../bin/setup/dependencies.mjs'
import { prepareDatabase } from '../../bin/setup/prepare.mjs'
import { expect, openBoard, test } from './browser'

const PORT = 3197
/** A device lets go of a question that nobody answers, ms: what was killed may have held it. */
const PATIENCE_MS = 4000
const address = `http://127.0.0.1:${PORT}`
const data = cluster({ name: 'postgres-kill', firstPort: 54480, databases: ['pheasant'], durable: true })

async function serve(): Promise<ChildProcess> {
  const server = spawn(process.execPath, [join(root, 'bin/serve.mjs'), '--port', String(PORT)], {
    cwd: root,
    stdio: 'ignore',
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: data.url('pheasant'),
      PHEASANT_NOW: '',
      NEXT_TELEMETRY_DISABLED: '1',
    },
    detached: true,
  })
  await expect.poll(async () => (await fetch(`${address}/api/health`).catch(() => undefined))?.ok ?? false).toBe(true)
  return server
}
const killServer = (server: ChildProcess) => {
  try {
    process.kill(-(server.pid as number), 'SIGKILL')
  } catch {}
}

/** A cook that is promised in six hours. */
async function begin(request: APIRequestContext): Promise<{ readonly id: string }> {
  const promise = new Date(Date.now() + 6 * 3600_000).toISOString()
  const document = {
    title: 'Kill',
    roast: { cut: 'pork-loin', mass_kg: 1.8 },
    program: { school: 'steady', set_c: 160 },
    promise,
  }
  const plan = await posted(request, '/api/k/cottage/plans', { document })
  return posted(request, '/api/k/cottage/cooks', { plan: plan.id })
}

async function posted(request: APIRequestContext, path: string, data: object): Promise<{ readonly id: string }> {
  const answer = await request.post(`${address}${path}`, { data })
  if (!answer.ok()) throw new Error(`${path}: ${answer.status()} ${await answer.text()}`)
  return answer.json()
}

test('killing the application and the database in mid-cook loses no acknowledged entry and no acknowledged reading', async ({
  request,
}) => {
  await data.start()
  prepareDatabase(data.ownerUrl('pheasant'), { demo: true })
  let server = await serve()
  try {
    const cook = await begin(request)
    const made = await posted(request, '/api/k/cottage/devices', { name: 'Kill' })
    const { token } = made as unknown as { readonly token: string }
    const entries = `${address}/api/k/cottage/cooks/${cook.id}/entries`
    const acknowledged: string[] = []
    const read: number[] = []
    let going = true
    let n = 0
    const writer = (async () => {
      while (going) {
        const id = `kill-entry-${String(n).padStart(5, '0')}`
        const entry = { id, kind: 'note', at: new Date().toISOString(), item: 'roast', text: id }
        const kept = await fetch(entries, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ entries: [entry] }),
          signal: AbortSignal.timeout(PATIENCE_MS),
        }).catch(() => undefined)
        if (kept?.ok) acknowledged.push(id)
        const readings = [{ channel: 0, seq: n, at: new Date().toISOString(), value: 20 + n / 100 }]
        const taken = await fetch(`${address}/api/readings`, {
          method: 'POST',
          headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' },
          body: JSON.stringify({ unit: 'c', readings }),
          signal: AbortSignal.timeout(PATIENCE_MS),
        }).catch(() => undefined)
        if (taken?.ok) read.push(n)
        n++
        await new Promise((done) => setTimeout(done, 10))
      }
    })()
    const wait = (ms: number) => new Promise((done) => setTimeout(done, ms))
    // So many, however long this machine takes for them.
    const more = async (count: number) => {
      const before = acknowledged.length
      await expect.poll(() => acknowledged.length).toBeGreaterThanOrEqual(before + count)
    }
    await more(20)
    killServer(server)
    await wait(400)
    server = await serve()
    await more(20)
    const pid = Number(readFileSync(join(data.files, 'postmaster.pid'), 'utf8').split('\n')[0])
    spawnSync('kill', ['-9', String(pid)])
    await wait(800)
    await data.start()
    await more(20)
    going = false
    await writer
    const ask = () => request.get(`${address}/api/k/cottage/cooks/${cook.id}`)
    // While it comes back it may say so; it never fails otherwise.
    expect([200, 503]).toContain((await ask()).status())
    await expect.poll(async () => (await ask()).status()).toBe(200)
    const state = await (await ask()).json()
    const kept = state.entries.map(({ entry }: { entry: { id: string } }) => entry.id)
    expect(new Set(kept).size).toBe(kept.length)
    expect(acknowledged.filter((id) => !kept.includes(id))).toEqual([])
    const count = spawnSync(
      'node',
      [
        '-e',
        `
      const postgres = require('postgres')
      const sql = postgres(process.env.URL)
      sql\`select distinct seq::int as seq from readings\`.then((rows) => { console.log(JSON.stringify(rows.map((r) => r.seq))); return sql.end() })`,
      ],
      { cwd: root, encoding: 'utf8', env: { ...process.env, URL: data.ownerUrl('pheasant') } },
    )
    const stored = new Set(JSON.parse(count.stdout) as number[])
    expect(read.filter((seq) => !stored.has(seq))).toEqual([])
  } finally {
    killServer(server)
    await data.stop()
  }
})

test('killed in mid-rest the board goes on to the plate, and the server has all of it when it is back', async ({
  page,
  request,
}) => {
  await data.start()
  prepareDatabase(data.ownerUrl('pheasant'), { demo: true })
  let server = await serve()
  try {
    const cook = await begin(request)
    await openBoard(page, `${address}/k/cottage/cooks/${cook.id}`)
    const row = page.getByTestId('board-row')
    await page.getByRole('button', { name: 'It is in' }).click()
    await page.getByRole('button', { name: 'It is out' }).click()
    await expect(row).toHaveAttribute('data-state', 'resting')
    await expect(page.getByTestId('connection')).toHaveText('All kept')
    killServer(server)
    await page.getByRole('button', { name: 'Carving', exact: true }).click()
    await expect(row).toHaveAttribute('data-state', 'carving')
    await expect(page.getByTestId('connection')).toContainText('1 entry waits on this device')
    server = await serve()
    await expect(page.getByTestId('connection')).toHaveText('All kept')
    await page.getByRole('button', { name: 'On the table', exact: true }).click()
    await expect(page.getByTestId('next')).toContainText('Everything is on the table')
    await expect(page.getByTestId('connection')).toHaveText('All kept')
    const state = await (await request.get(`${address}/api/k/cottage/cooks/${cook.id}`)).json()
    const kinds = state.entries.map(({ entry }: { entry: { kind: string } }) => entry.kind)
    expect(kinds.filter((kind: string) => kind !== 'arrival')).toEqual(['in', 'out', 'carve', 'served'])
  } finally {
    killServer(server)
    await data.stop()
  }
})
