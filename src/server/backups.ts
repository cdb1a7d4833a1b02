import { readdir, stat } from 'node:fs/promises'
import { join } from 'node:path'

/** When the last good backup was made, s since 1970; undefined where there is none or nobody said where they are. */
export async function lastBackup(): Promise<number | undefined> {
  const folder = process.env.PHEASANT_BACKUPS
  if (!folder) return undefined
  const names = (await readdir(folder).catch(() => [])).filter((name) => name.endsWith('.dump')).sort()
  const last = names.at(-1)
  return last === undefined ? undefined : (await stat(join(folder, last))).mtimeMs / 1000
}
