#!/usr/bin/env node
// The headless core: JSON in on standard input, JSON out on standard output.
import { dirname, resolve } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { ensureDependencies } from './setup/dependencies.mjs'

const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')
ensureDependencies({ quiet: true })
process.env.TSX_TSCONFIG_PATH = `${root}/tsconfig.json`
const { tsImport } = await import('tsx/esm/api')
await tsImport(pathToFileURL(`${root}/bin/headless.ts`).href, import.meta.url)
