import type { NextConfig } from 'next'

// the development server evaluates its modules as text
const devScripts = process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''

const config: NextConfig = {
  distDir: process.env.NEXT_DIST_DIR ?? '.next',
  serverExternalPackages: ['knex', 'pg', 'pg-boss', '@node-rs/argon2', 'sharp', 'pino', '@react-pdf/renderer'],
  sassOptions: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] },
  poweredByHeader: false,
  // types are a check of their own (npm test); a build on a small machine need not wait for them
  typescript: { ignoreBuildErrors: true },
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
        { key: 'X-Frame-Options', value: 'DENY' },
        {
          key: 'Content-Security-Policy',
          value: `default-src 'self'; script-src 'self' 'unsafe-inline' 'wasm-unsafe-eval'${devScripts}; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self' data:; connect-src 'self'; worker-src 'self' blob:; frame-ancestors 'none'; base-uri 'self'; form-action 'self'`,
        },
      ],
    },
  ],
}

export default config
