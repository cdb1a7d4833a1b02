// Debian packages that Pheasant needs: installed when missing and allowed, else one command to run.
import { spawnSync } from 'node:child_process'
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

/** The folder of the newest PostgreSQL server programs (Debian keeps them off PATH). */
export function postgresPrograms() {
  if (process.env.PGBIN) return process.env.PGBIN
  const home = '/usr/lib/postgresql'
  if (!existsSync(home)) return undefined
  const versions = readdirSync(home)
    .map(Number)
    .filter(Number.isFinite)
    .sort((a, b) => b - a)
  return versions.map((version) => join(home, String(version), 'bin')).find((dir) => existsSync(join(dir, 'initdb')))
}

export const chromiumProgram = () =>
  process.env.CHROMIUM ?? ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path))

const NEEDS = {
  postgresql: { present: () => postgresPrograms() !== undefined, what: 'the PostgreSQL server' },
  chromium: { present: () => chromiumProgram() !== undefined, what: 'the Chromium browser for the browser tests' },
}

/** Makes sure that Debian packages are there. Exits with one command to run where they cannot be installed. */
export function ensureSystemPackages(names) {
  const missing = names.filter((name) => !NEEDS[name].present())
  if (missing.length === 0) return
  const asRoot = process.getuid?.() === 0
  const sudo = asRoot ? [] : ['sudo', ...(process.stdin.isTTY ? [] : ['-n'])]
  const run = (words) => {
    const [command, ...rest] = [...sudo, ...words]
    return (
      spawnSync(command, rest, {
        stdio: ['inherit', 'ignore', 'inherit'],
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      }).status === 0
    )
  }
  const install = ['apt-get', 'install', '-y', '--no-install-recommends', ...missing]
  console.log(`Installing ${missing.map((name) => NEEDS[name].what).join(' and ')} …`)
  if (!(run(['apt-get', 'update', '-qq']) && run(install))) run(install)
  const still = names.filter((name) => !NEEDS[name].present())
  if (still.length > 0) {
    console.error(
      `Pheasant needs ${still.map((name) => NEEDS[name].what).join(' and ')}. Run: sudo apt-get install -y ${still.join(' ')}`,
    )
    process.exit(1)
  }
}
