// Installs the npm packages when the lock file has changed since they were last installed.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..')

export function ensureDependencies({ quiet = false } = {}) {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const stamp = join(root, 'node_modules', '.pheasant-lock')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  if (!quiet) console.log('Installing packages …')
  const npm = (words) =>
    spawnSync('npm', words, { cwd: root, stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'] }).status === 0
  if (!npm(['ci', '--no-audit', '--no-fund']) && !npm(['install', '--no-audit', '--no-fund'])) {
    console.error('The packages could not be installed. Run: npm install')
    process.exit(1)
  }
  writeFileSync(stamp, lock)
}
