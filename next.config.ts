import type { NextConfig } from 'next'

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  allowedDevOrigins: ['127.0.0.1', 'localhost'],
  devIndicators: false,
  // Types are checked by npm test: a kitchen that starts does not wait for it.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ['rate-limiter-flexible', 'highs', 'piscina', 'pino', 'sharp'],
  experimental: { proxyClientMaxBodySize: '2mb' },
  // The door (proxy.ts) sees pages and answers; files are sent past it and carry these.
  headers: async () => [{ source: '/(.*)', headers: [{ key: 'X-Content-Type-Options', value: 'nosniff' }] }],
}

export default config
