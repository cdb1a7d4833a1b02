// Migrates a database and lays the demo: run as a child, so that its TypeScript is loaded apart.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { root } from './dependencies.mjs'

/** @param url of the database, as its tables' owner */
export function prepareDatabase(url, { demo, again = false }) {
  const words = [...(demo ? ['--demo'] : []), ...(again ? ['--demo-again'] : [])]
  const done = spawnSync(process.execPath, ['--import', 'tsx', join(root, 'bin/prepare-database.ts'), ...words], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'pipe'],
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: url },
  })
  if (done.status === 0) return
  const said =
    String(done.stderr)
      .trim()
      .split('\n')
      .find((line) => /\S/.test(line)) ?? ''
  throw new Error(`the database could not be brought up to date (${said}); nothing in it was changed`)
}
