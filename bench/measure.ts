import { spawnSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { resolve } from 'node:path'

/** What the benches share: timings, and figures that are kept for the page that tells them. */

export const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[values.length >> 1] as number

/** Median time of some work, ms. */
export const time = (work: () => void, repeats: number): number =>
  median(
    Array.from({ length: repeats }, () => {
      const from = performance.now()
      work()
      return performance.now() - from
    }),
  )

/** Keeps figures with their day, as the formatter has them. @param file from the root of the project, or anywhere */
export function keepFigures(file: string, figures: object): void {
  const root = resolve(import.meta.dirname, '..')
  const path = resolve(root, file)
  writeFileSync(path, `${JSON.stringify({ on: new Date().toISOString().slice(0, 10), ...figures }, null, 2)}\n`)
  spawnSync('npx', ['biome', 'format', '--write', path], { cwd: root, stdio: 'ignore' })
}
