// Bundles what the server's threads run, beside the built application: .next/compute/worker.mjs computes, files.mjs reads and writes files.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './dependencies.mjs'

export async function buildCompute() {
  const { build } = await import('esbuild')
  const folder = join(root, '.next', 'compute')
  mkdirSync(folder, { recursive: true })
  await build({
    entryPoints: {
      worker: join(root, 'src/workers/server/compute.worker.ts'),
      files: join(root, 'src/workers/server/files.worker.ts'),
    },
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    tsconfig: join(root, 'tsconfig.json'),
    // What has native code or files of its own is loaded where it lies.
    external: ['highs', 'sharp', 'pdfkit', 'postgres', 'drizzle-orm', 'yazl', 'yauzl', 'papaparse'],
    logLevel: 'error',
  })
  return join(folder, 'worker.mjs')
}

if (process.argv[1] === import.meta.filename) await buildCompute()
