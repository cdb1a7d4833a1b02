// Migrates a database and lays the demo: run as a child, so that its TypeScript is loaded apart.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { root } from './dependencies.mjs'

export function prepareDatabase(url, { demo }) {
  const done = spawnSync(
    process.execPath,
    ['--import', 'tsx', join(root, 'bin/prepare-database.ts'), ...(demo ? ['--demo'] : [])],
    {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, DATABASE_URL: url },
    },
  )
  if (done.status !== 0) {
    console.error('The database could not be prepared.')
    process.exit(1)
  }
}
