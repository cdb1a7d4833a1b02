import { readdirSync, readFileSync } from 'node:fs'
import { join, relative, resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const root = resolve(import.meta.dirname, '../../src')

function* filesOf(dir: string): Generator<string> {
  for (const entry of readdirSync(dir, { withFileTypes: true })) {
    const path = join(dir, entry.name)
    if (entry.isDirectory()) yield* filesOf(path)
    else if (/\.ts$/.test(entry.name) && !/\.test\.ts$/.test(entry.name)) yield path
  }
}
const files = ['core', 'domain'].flatMap((layer) => [...filesOf(join(root, layer))])

interface Example {
  readonly file: string
  readonly code: string
  readonly expected: string
}

/** `@example EXPRESSION // VALUE`, or `// ≈ NUMBER` for within a hundredth of it. */
const examples: readonly Example[] = files.flatMap((file) =>
  [...readFileSync(file, 'utf8').matchAll(/@example (.+?) \/\/ (.+?)(?: \*\/)?$/gm)].map(([, code, expected]) => ({
    file,
    code: (code as string).trim(),
    expected: (expected as string).trim(),
  })),
)

/** What examples may use besides their own module: the catalogue, the parameters, the usual oven and schools. */
async function sharedScope(): Promise<Record<string, unknown>> {
  const modules = await Promise.all([
    import('@/core/units'),
    import('@/core/reference/cuts'),
    import('@/core/reference/composition'),
    import('@/core/reference/doneness'),
    import('@/core/reference/standards'),
    import('@/core/heat/parameters'),
    import('@/core/heat/oven'),
    import('@/core/heat/shape'),
    import('@/core/heat/piece'),
    import('@/core/heat/enthalpy'),
    import('@/core/program/schools'),
    import('@/core/program/stage'),
    import('@/core/estimate/random'),
    import('@/core/schedule/task'),
    import('@/domain/roast/roast-document'),
  ])
  return Object.assign({}, ...modules)
}
const evaluate = (code: string, scope: Readonly<Record<string, unknown>>): unknown =>
  new Function(...Object.keys(scope), `return (${code})`)(...Object.values(scope))

describe('the examples in the documentation', () => {
  it('are many', () => {
    expect(examples.length).toBeGreaterThanOrEqual(130)
  })

  for (const { file, code, expected } of examples)
    it(`${relative(root, file)}: ${code}`, async () => {
      const scope = {
        ...(await sharedScope()),
        ...((await import(/* @vite-ignore */ file)) as Record<string, unknown>),
      }
      const found = evaluate(code, scope)
      if (expected.startsWith('≈')) {
        const wanted = Number(expected.slice(1).replaceAll(' ', ''))
        expect(Math.abs((found as number) / wanted - 1)).toBeLessThan(0.01)
      } else
        expect(JSON.parse(JSON.stringify(found ?? null))).toEqual(
          JSON.parse(JSON.stringify(evaluate(expected, scope) ?? null)),
        )
    })
})
