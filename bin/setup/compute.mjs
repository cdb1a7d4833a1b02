// Bundles what the server's computing threads run, beside the built application: .next/compute/worker.mjs.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './dependencies.mjs'

export async function buildCompute() {
  const { build } = await import('esbuild')
  const outfile = join(root, '.next', 'compute', 'worker.mjs')
  mkdirSync(join(root, '.next', 'compute'), { recursive: true })
  await build({
    entryPoints: [join(root, 'src/workers/server/compute.worker.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    tsconfig: join(root, 'tsconfig.json'),
    external: ['highs'],
    logLevel: 'error',
  })
  return outfile
}

if (process.argv[1] === import.meta.filename) await buildCompute()
