import { spawnSync } from 'node:child_process'
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import postgres from 'postgres'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { cluster } from '../../bin/setup/database.mjs'
import { keepAlive } from '../../bin/setup/supervise.mjs'

const folder = mkdtempSync(join(tmpdir(), 'pheasant-setup-'))
const of = (name: string, firstPort: number) => cluster({ name, firstPort, databases: ['pheasant'], durable: false })
beforeAll(() => {
  chmodSync(folder, 0o755)
  process.env.PHEASANT_DATA = folder
})
afterAll(() => {
  delete process.env.PHEASANT_DATA
  rmSync(folder, { recursive: true, force: true })
})

describe('the database’s folder', () => {
  it('that is not empty and is no database is left as it is, and said in one line with what to do', async () => {
    const base = join(folder, 'damaged')
    mkdirSync(join(base, 'data', 'base'), { recursive: true })
    writeFileSync(join(base, 'data', 'base', 'precious'), 'ten years of roasts')
    const damaged = of('damaged', 54_600)
    await expect(damaged.start()).rejects.toThrow(/PG_VERSION is missing.*nothing in it was touched.*npm run restore/)
    expect(readFileSync(join(base, 'data', 'base', 'precious'), 'utf8')).toBe('ten years of roasts')
  })

  it('has passwords of its own in a file that others cannot read; the usual one opens nothing', async () => {
    const fresh = of('fresh', 54_610)
    await fresh.start()
    try {
      const secrets = join(folder, 'fresh', 'secrets.json')
      expect(statSync(secrets).mode & 0o077).toBe(0)
      const usual = fresh.ownerUrl('pheasant').replace(/:[^:@/]+@/, ':pheasant@')
      const guess = postgres(usual, { max: 1, onnotice: () => {} })
      await expect(guess`select 1`).rejects.toThrow(/password/)
      await guess.end()
      const app = postgres(fresh.url('pheasant'), { max: 1, onnotice: () => {} })
      expect([...(await app`select rolsuper from pg_roles where rolname = current_user`)]).toEqual([
        { rolsuper: false },
      ])
      await app.end()
      // Where it was decided to be, it stays.
      expect(readFileSync(join(folder, 'fresh.place'), 'utf8').trim()).toBe(folder)
    } finally {
      await fresh.stop()
    }
  })

  it('a half-made one of an earlier start is made again; one that was whole is opened as it is', async () => {
    const again = of('fresh', 54_610)
    mkdirSync(join(folder, 'fresh', 'making-1'), { recursive: true })
    const before = again.ownerUrl('pheasant')
    await again.start()
    try {
      expect(again.ownerUrl('pheasant')).toBe(before)
      expect(existsSync(join(folder, 'fresh', 'data', 'PG_VERSION'))).toBe(true)
    } finally {
      await again.stop()
    }
  })
})

describe('a start', () => {
  it('that cannot be says one line and what to do', () => {
    const run = spawnSync(process.execPath, ['bin/start.mjs'], {
      encoding: 'utf8',
      env: { ...process.env, PORT: 'eighty', PHEASANT_DATA: folder },
    })
    expect(run.status).toBe(1)
    expect(run.stderr.trim().split('\n')).toEqual([
      'Pheasant did not start: PORT is eighty: give a number from 1 to 65515',
    ])
  })

  it('keeps alive what dies, after a pause that grows, and lets go of what may end', async () => {
    const { spawn } = await import('node:child_process')
    const said: string[] = []
    let born = 0
    const dying = keepAlive(
      'it',
      () => {
        born++
        return spawn(process.execPath, ['-e', 'process.exit(3)'])
      },
      (line: string) => said.push(line),
    )
    for (let i = 0; i < 300 && said.length < 2; i++) await new Promise((done) => setTimeout(done, 100))
    await dying.stop(0)
    expect(born).toBeGreaterThanOrEqual(2)
    expect(said[0]).toBe('it ended (3); it is started again in 0.5 s')
    expect(said[1]).toBe('it ended (3); it is started again in 1 s')
    let once = 0
    keepAlive(
      'it',
      () => {
        once++
        return spawn(process.execPath, ['-e', ''])
      },
      (line: string) => said.push(line),
      true,
    )
    await new Promise((done) => setTimeout(done, 2000))
    expect(once).toBe(1)
  })
})
