import nextJest from 'next/jest.js'

const withNext = nextJest({ dir: './' })

const config = withNext({
  testEnvironment: 'node',
  // A test says what is right, never how fast: a busy machine is given its time. Speed stands in `npm run bench`.
  testTimeout: 120_000,
  testMatch: [
    '<rootDir>/src/**/*.test.{ts,tsx}',
    '<rootDir>/cli/**/*.test.ts',
    '<rootDir>/scripts/**/*.test.ts',
  ],
  setupFilesAfterEnv: ['<rootDir>/jest.setup.ts'],
  moduleNameMapper: { '^server-only$': '<rootDir>/src/testing/empty.ts', '^@/(.*)$': '<rootDir>/src/$1' },
  testPathIgnorePatterns: ['/node_modules/', '/.next/'],
  modulePathIgnorePatterns: ['<rootDir>/.next/'],
})

// These ship as modules only, so they are transformed as the sources are.
const withModules = async () => ({
  ...(await config()),
  transformIgnorePatterns: ['/node_modules/(?!(uuid|idb|temporal-polyfill|temporal-utils|ical-generator)/)'],
})

export default withModules
