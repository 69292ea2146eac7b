import nextJest from 'next/jest.js'

const createConfig = nextJest({ dir: './' })

/** Packages published as ES modules only: Jest has to transform them. */
const esModules = [
  'use-intl',
  'intl-messageformat',
  '@formatjs',
  'icu-minify',
  'echarts',
  'zrender',
  '@tanstack',
  'nuqs',
  '@react-pdf',
  'yoga-layout',
  'color-string',
  'color-name',
  'd3-[a-z-]+',
  'internmap',
  'pdfjs-dist',
].join('|')

const PLAIN_GLOBAL = '<rootDir>/tests/fixtures/plain-global-environment.mjs'
const PROPERTY_SEED = '<rootDir>/tests/fixtures/property-seed.ts'

const shared = {
  setupFilesAfterEnv: [PROPERTY_SEED],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^server-only$': '<rootDir>/tests/fixtures/empty.ts',
    '^@react-pdf/hyphenate/(.*)$': '<rootDir>/node_modules/@react-pdf/hyphenate/lib/$1',
  },
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.slow-reed/', '<rootDir>/.slow-reed-test/'],
}

const project = async (displayName, testEnvironment, testMatch, extra = {}) => {
  const config = await createConfig({ ...shared, displayName, testEnvironment, testMatch, ...extra })()
  config.transformIgnorePatterns = [`/node_modules/(?!(${esModules})/)`, '^.+\\.module\\.(css|sass|scss)$']
  return config
}

/** Two cores may have more to do than these tests. */
const PATIENCE_MS = 30_000

export default async () => ({
  testTimeout: PATIENCE_MS,
  projects: [
    await project('core', PLAIN_GLOBAL, [
      '<rootDir>/src/**/*.test.ts',
      '<rootDir>/stand-ins/**/*.test.ts',
      '<rootDir>/tests/unit/**/*.test.ts',
      '<rootDir>/tests/trials/**/*.test.ts',
    ]),
    await project('components', 'jsdom', ['<rootDir>/src/**/*.test.tsx'], {
      setupFilesAfterEnv: [PROPERTY_SEED, '<rootDir>/tests/fixtures/jest-dom.ts'],
    }),
    await project('server', PLAIN_GLOBAL, ['<rootDir>/tests/server/**/*.test.ts']),
  ],
})
