import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, relative, resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const root = resolve(import.meta.dirname, '../../src')

/** What each layer may import: other layers, and packages. `*` is any. */
const LAYERS: Readonly<Record<string, { readonly layers: readonly string[]; readonly packages: readonly string[] }>> = {
  core: { layers: ['core'], packages: [] },
  domain: {
    layers: ['core', 'domain'],
    packages: ['zod', 'date-fns', '@date-fns/tz', 'date-easter', 'fastest-levenshtein'],
  },
  // Every sentence, in the reader's units: for screens, sheets and exports alike.
  words: { layers: ['core', 'domain', 'words'], packages: [] },
  db: { layers: ['core', 'domain', 'db'], packages: ['drizzle-orm', 'postgres', 'nanoid', 'node:url', 'node:util'] },
  // Of workers the server names the jobs, never their code: a thread of the pool has it.
  server: {
    layers: ['core', 'domain', 'words', 'db', 'server', 'workers'],
    packages: [
      'zod',
      'postgres',
      'ical-generator',
      'papaparse',
      'piscina',
      'pino',
      'sharp',
      // Who asks is in the request that a page or a route is made for.
      'next',
      'better-auth',
      'rate-limiter-flexible',
      'drizzle-orm',
      'node:async_hooks',
      'node:crypto',
      'node:fs',
      'node:fs/promises',
      'node:path',
      'node:perf_hooks',
    ],
  },
  workers: { layers: ['core', 'domain', 'db', 'server', 'workers'], packages: ['*'] },
  'stand-ins': { layers: ['core', 'domain', 'db', 'server', 'stand-ins'], packages: ['*'] },
  // ui may name the protocol of a worker, never its code: the worker is loaded by its address.
  ui: {
    layers: ['core', 'domain', 'words', 'ui', 'workers'],
    packages: [
      'react',
      'radix-ui',
      'recharts',
      'lucide-react',
      'comlink',
      'idb',
      'nanoid',
      'next',
      'papaparse',
      'qrcode',
      '@date-fns/tz',
    ],
  },
  app: {
    layers: ['core', 'domain', 'words', 'db', 'server', 'ui', 'app'],
    packages: ['next', 'react', 'zod', '@fontsource-variable', 'node:fs'],
  },
}
const CORE_ORDER = [
  ['units'],
  ['reference'],
  ['heat'],
  ['program'],
  ['simulate'],
  ['doneness', 'safety', 'portions'],
  ['estimate'],
  ['roast'],
  ['schedule'],
]

function* filesOf(dir: string): Generator<string> {
  for (const entry of readdirSync(dir, { withFileTypes: true })) {
    const path = join(dir, entry.name)
    if (entry.isDirectory()) yield* filesOf(path)
    else if (/\.tsx?$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name)) yield path
  }
}

const sources = [...filesOf(root)].map((path) => ({
  path: relative(root, path),
  layer: relative(root, path).split('/')[0] as string,
  imports: [
    ...readFileSync(path, 'utf8').matchAll(
      /(?:^|\n)(import type|import|export)\s[^'"\n]*(?:\n[^'"]*?)?from\s+'([^']+)'|import\s+'([^']+)'/g,
    ),
  ].map((found) => ({
    name: (found[2] ?? found[3]) as string,
    typeOnly: found[1] === 'import type',
  })),
}))

const insideOf = (path: string, name: string): string | undefined => {
  if (name.startsWith('@/')) return name.slice(2)
  if (name.startsWith('.')) return relative(root, resolve(root, dirname(path), name))
  return undefined
}
const packageOf = (name: string) =>
  name.startsWith('@')
    ? name.split('/').slice(0, 2).join('/')
    : name.startsWith('node:')
      ? name
      : (name.split('/')[0] as string)

describe('the house', () => {
  it('has sources to look at', () => {
    expect(sources.length).toBeGreaterThan(60)
    expect(sources.flatMap(({ imports }) => imports).length).toBeGreaterThan(200)
  })

  it('every layer imports only what the table allows', () => {
    const faults = sources.flatMap(({ path, layer, imports }) => {
      const rule = LAYERS[layer]
      if (!rule) return path.includes('/') ? [`${path}: no such layer`] : []
      return imports.flatMap(({ name, typeOnly }) => {
        const inside = insideOf(path, name)
        if (inside === undefined) {
          const from = packageOf(name)
          return rule.packages.some((allowed) => allowed === '*' || from === allowed || from.startsWith(`${allowed}/`))
            ? []
            : [`${path} imports ${name}`]
        }
        const to = inside.split('/')[0] as string
        if (layer === 'ui' && to === 'workers' && !typeOnly) return [`${path} imports the code of ${name}`]
        if (layer === 'app' && to === 'db' && !typeOnly) return [`${path} reaches past server into ${name}`]
        // Practice probes invent their readings as the stand-ins do: in a rehearsal, and nowhere else.
        if (path === 'workers/browser/station.worker.ts' && inside === 'stand-ins/probe-station/sampler') return []
        return rule.layers.includes(to) ? [] : [`${path} imports ${name}`]
      })
    })
    expect(faults).toEqual([])
  })

  it('inside core every folder looks only down its order', () => {
    const rank = (folder: string) => CORE_ORDER.findIndex((row) => row.includes(folder))
    const faults = sources
      .filter(({ layer }) => layer === 'core')
      .flatMap(({ path, imports }) => {
        const own = path.split('/')[1] as string
        return imports.flatMap(({ name }) => {
          const to = insideOf(path, name)?.split('/')[1] as string
          return rank(to) < rank(own) || to === own ? [] : [`${path} imports ${name}`]
        })
      })
    expect(faults).toEqual([])
  })

  it('every answer over HTTP goes through a schema: no route makes its own', () => {
    const own = sources
      .filter(({ path }) => path.startsWith('app/') && path.endsWith('route.ts'))
      .filter(({ path }) => /Response\.json\(/.test(readFileSync(join(root, path), 'utf8')))
      .map(({ path }) => path)
    expect(own).toEqual([])
  })

  it('core and domain hold no sentences: a problem is a code with its numbers', () => {
    const said = sources
      .filter(({ layer }) => layer === 'core' || layer === 'domain')
      .flatMap(({ path }) =>
        [...readFileSync(join(root, path), 'utf8').matchAll(/\b(?:detail|text|message): [`'][A-Z][^`']{12,}/g)].map(
          ([found]) => `${path}: ${found}`,
        ),
      )
    expect(said).toEqual([])
  })

  it('files stay readable', () => {
    const long = sources
      .filter(({ path }) => !path.startsWith('core/reference/'))
      .map(({ path }) => ({ path, lines: readFileSync(join(root, path), 'utf8').split('\n').length }))
      .filter(({ lines }) => lines > 500)
    expect(long).toEqual([])
  })
})
