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

/** Chromium without a window takes six tenths of the processor that the whole one takes: so it is asked for first. */
const HEADLESS = '/usr/bin/chromium-headless-shell'

/** The browser for the browser tests: without a window where there is one, else any Chromium. */
export const chromiumProgram = () =>
  process.env.CHROMIUM ?? [HEADLESS, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path))

/** What must be there, the Debian packages that bring it (the better first), and whether it is. */
const NEEDS = {
  postgresql: {
    present: () => postgresPrograms() !== undefined,
    what: 'the PostgreSQL server',
    packages: ['postgresql'],
  },
  chromium: {
    present: () => chromiumProgram() !== undefined,
    best: () => Boolean(process.env.CHROMIUM) || existsSync(HEADLESS),
    what: 'the Chromium browser for the browser tests',
    packages: ['chromium-headless-shell', 'chromium'],
  },
}

/**
 * Makes sure that Debian packages are there, and tries for the better of two. Exits with one command to run where none
 * can be installed.
 */
export function ensureSystemPackages(names) {
  const wanting = names.filter((name) => !(NEEDS[name].best ?? NEEDS[name].present)())
  if (wanting.length === 0) return
  const asRoot = process.getuid?.() === 0
  const sudo = asRoot ? [] : ['sudo', ...(process.stdin.isTTY ? [] : ['-n'])]
  const run = (words, said) => {
    const [command, ...rest] = [...sudo, ...words]
    return (
      spawnSync(command, rest, {
        stdio: ['inherit', 'ignore', said],
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      }).status === 0
    )
  }
  console.log(`Installing ${wanting.map((name) => NEEDS[name].what).join(' and ')} …`)
  run(['apt-get', 'update', '-qq'], wanting.every((name) => NEEDS[name].present()) ? 'ignore' : 'inherit')
  for (const name of wanting) {
    const { packages, present } = NEEDS[name]
    for (const [at, one] of packages.entries()) {
      if (at > 0 && present()) break
      // A Debian that has no better one says so, and the next is taken: nothing to tell anybody.
      const said = at < packages.length - 1 ? 'ignore' : 'inherit'
      if (run(['apt-get', 'install', '-y', '--no-install-recommends', one], said)) break
    }
  }
  const still = wanting.filter((name) => !NEEDS[name].present())
  if (still.length > 0) {
    const packages = still.map((name) => NEEDS[name].packages.at(-1))
    console.error(
      `Pheasant needs ${still.map((name) => NEEDS[name].what).join(' and ')}. Run: sudo apt-get install -y ${packages.join(' ')}`,
    )
    process.exit(1)
  }
}
