// Builds the application when anything that goes into it has changed since the last build.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { buildCompute } from './compute.mjs'
import { root } from './dependencies.mjs'

const INPUTS = ['src', 'public', 'package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json']

function* filesOf(path) {
  if (!existsSync(path)) return
  const entries = readdirSync(path, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))
  for (const entry of entries) {
    const each = join(path, entry.name)
    if (entry.isDirectory()) yield* filesOf(each)
    else if (!/\.test\.tsx?$/.test(entry.name)) yield each
  }
}

function fingerprint() {
  const hash = createHash('sha256')
  for (const input of INPUTS) {
    const path = join(root, input)
    if (!existsSync(path)) continue
    const files = /\.[a-z]+$/.test(input) ? [path] : [...filesOf(path)]
    for (const file of files) hash.update(file.slice(root.length)).update(readFileSync(file))
  }
  return hash.digest('hex')
}

export const nextProgram = join(root, 'node_modules/next/dist/bin/next')

export async function ensureBuild() {
  const stamp = join(root, '.next', 'pheasant-build')
  const wanted = fingerprint()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  console.log('Building the application …')
  rmSync(join(root, '.next/dev/types'), { recursive: true, force: true })
  for (let tries = 0; ; tries++) {
    const built = spawnSync(process.execPath, [nextProgram, 'build'], {
      cwd: root,
      stdio: ['ignore', 'pipe', 'pipe'],
      encoding: 'utf8',
      env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
    })
    if (built.status === 0) break
    // Another start builds at the same time: it is waited for, and what it built is looked at.
    const other = /Another next build process/.test(built.stdout + built.stderr)
    if (other && tries < 90) await sleep(2000)
    else {
      const log = join(root, '.next', 'build.log')
      mkdirSync(join(root, '.next'), { recursive: true })
      writeFileSync(log, `${built.stdout}\n${built.stderr}`)
      throw new Error(`the application could not be built; see ${log}`)
    }
    if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  }
  await buildCompute()
  writeFileSync(stamp, wanted)
}
