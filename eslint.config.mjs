import { defineConfig, globalIgnores } from 'eslint/config'
import nextVitals from 'eslint-config-next/core-web-vitals'
import nextTs from 'eslint-config-next/typescript'

export default defineConfig([
  ...nextVitals,
  ...nextTs,
  globalIgnores(['.next/**', '.data/**', 'next-env.d.ts', 'drizzle/**']),
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'core receives the time as an argument' },
        { object: 'Math', property: 'random', message: 'core receives a seed as an argument' },
      ],
      'no-restricted-globals': ['error', 'Date', 'performance', 'process', 'window', 'fetch'],
    },
  },
])
