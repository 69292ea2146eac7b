import nextJest from 'next/jest.js'

/** The tests nearest to what is mutated, for a run that changes their sources one operator at a time. */
const config = await nextJest({ dir: './' })({
  rootDir: '../..',
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  setupFilesAfterEnv: ['<rootDir>/tests/fixtures/property-seed.ts'],
  testMatch: [
    '<rootDir>/src/core/water/**/*.test.ts',
    '<rootDir>/src/core/visits/gates/**/*.test.ts',
    '<rootDir>/src/domain/people/**/*.test.ts',
    '<rootDir>/src/domain/visits/step-gate.test.ts',
    '<rootDir>/src/domain/water/**/*.test.ts',
  ],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^server-only$': '<rootDir>/tests/fixtures/empty.ts' },
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.slow-reed/'],
})()
config.transformIgnorePatterns = ['/node_modules/(?!(use-intl|intl-messageformat|@formatjs|icu-minify)/)']
export default config
