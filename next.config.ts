import type { NextConfig } from 'next'
import { paletteAsScss } from './src/core/drawing/palette'

// the development server evaluates its modules as text
const devScripts = process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''

const MOVED = [
  ['/garden/:path*', '/customer-page/:path*'],
  ['/api/v1/garden/:path*', '/api/v1/customer-page/:path*'],
  ['/offer/:path*', '/proposal/:path*'],
  ['/api/v1/offers/:path*', '/api/v1/proposal/:path*'],
  ['/letters', '/messages'],
  ['/exchange', '/import-export'],
  ['/practice/jobs/:path*', '/visit-types/:path*'],
  ['/practice', '/house-rules'],
  ['/practice-pond/:path*', '/trainer/:path*'],
  ['/water', '/forecasts'],
  ['/ponds/:id/practice', '/ponds/:id/house-rules'],
  ['/ponds/:id/outlook', '/ponds/:id/forecast'],
  ['/ponds/:id/settling', '/ponds/:id/start-up'],
  ['/ponds/:id/service', '/ponds/:id/service-plan'],
] as const

const config: NextConfig = {
  distDir: process.env.NEXT_DIST_DIR ?? '.next',
  // a build checks the types, unless whoever asks for it checks them beside it, the tests' own among them
  typescript: { ignoreBuildErrors: process.env.TYPES_CHECKED_APART === 'yes' },
  serverExternalPackages: [
    'knex',
    'pg',
    'pg-boss',
    'piscina',
    '@node-rs/argon2',
    'sharp',
    'pino',
    '@react-pdf/renderer',
  ],
  sassOptions: {
    // the colours of the style sheets are those of charts and papers
    additionalData: paletteAsScss(),
    quietDeps: true,
    silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
  },
  poweredByHeader: false,
  // where pages stood before: customers keep links in letters, people keep theirs
  redirects: async () => MOVED.map(([source, destination]) => ({ source, destination, permanent: true })),
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
