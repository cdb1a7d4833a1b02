// Backups in the database's own format: made beside, read back whole, and only then called good.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from './database.mjs'

export const backupFolder = () => process.env.PHEASANT_BACKUPS ?? join(dataFolder(), 'backups')
const NAME = /^pheasant-\d{8}T\d{6}Z\.dump$/
/** Nightly ones are kept so many days. */
const KEPT_DAYS = 7

const stamp = (at) => at.toISOString().replaceAll(/[-:]|\.\d+/g, '')

/** The good ones, newest first. */
export function backupsIn(folder = backupFolder()) {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .filter((name) => NAME.test(name))
    .sort()
    .reverse()
    .map((name) => join(folder, name))
}

export const takenAt = (file) => statSync(file).mtime

const failing = (what, result) => {
  const said = String(result.stderr ?? result.error?.message ?? '')
    .trim()
    .split('\n')[0]
  return new Error(`${what} failed${said ? `: ${said}` : ''}`)
}

/** Backs a database up: dumped, read back from the first byte to the last, and put in its place whole. */
export function backUp(cluster, database = 'pheasant', at = new Date()) {
  const folder = backupFolder()
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const file = join(folder, `pheasant-${stamp(at)}.dump`)
  const half = `${file}.half`
  try {
    const dumped = cluster.program(['pg_dump', '-Fc', '-d', database, '-f', half], {
      stdio: ['ignore', 'ignore', 'pipe'],
    })
    if (dumped.status !== 0) throw failing('the backup', dumped)
    const read = cluster.plainProgram(['pg_restore', '-f', '/dev/null', half], { stdio: ['ignore', 'ignore', 'pipe'] })
    if (read.status !== 0) throw failing('reading the backup back', read)
    renameSync(half, file)
    return file
  } finally {
    rmSync(half, { force: true })
  }
}

/** Lets the oldest go; the last good one always stays. */
export function tidyBackups(now = Date.now()) {
  for (const file of backupsIn().slice(1))
    if (now - takenAt(file).getTime() > KEPT_DAYS * 86_400_000) rmSync(file, { force: true })
}

/** Whether a night has passed since the last good one. */
export const isDue = (now = Date.now()) => {
  const [last] = backupsIn()
  return !last || now - takenAt(last).getTime() > 24 * 3_600_000
}

/**
 * Restores a backup beside what is there, and changes their names when it is whole: what was there is kept, under
 * the name that is answered.
 */
export function restore(cluster, file, database = 'pheasant', at = new Date()) {
  if (!existsSync(file)) throw new Error(`there is no backup ${file}`)
  const name = stamp(at).toLowerCase()
  const fresh = `${database}_restored_${name}`
  const before = `${database}_before_${name}`
  cluster.ensureDatabase(fresh)
  const done = cluster.program(['pg_restore', '--exit-on-error', '--no-owner', '-d', fresh, file], {
    stdio: ['ignore', 'ignore', 'pipe'],
  })
  if (done.status !== 0) {
    cluster.psql('postgres', `drop database "${fresh}"`)
    throw failing('restoring', done)
  }
  const swapped = cluster.psql(
    'postgres',
    `select pg_terminate_backend(pid) from pg_stat_activity where datname in ('${database}', '${fresh}');
     alter database "${database}" rename to "${before}";
     alter database "${fresh}" rename to "${database}";`,
  )
  if (swapped.status !== 0) throw failing('putting the restored data in place', swapped)
  return before
}
