/** @type {import('jest').Config} */
const base = {
  testEnvironment: 'node',
  // Dexie keeps hold of globals that Jest would otherwise wrap
  testEnvironmentOptions: { globalsCleanup: 'off' },
  testMatch: ['**/*.test.ts'],
  moduleFileExtensions: ['ts', 'mjs', 'js', 'json'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '\\.ts$': '<rootDir>/scripts/jest-bundle.mjs' },
}

/** @type {import('jest').Config} */
export default {
  // all processors: by itself one is left over
  maxWorkers: '100%',
  projects: [
    { ...base, roots: ['<rootDir>/core', '<rootDir>/command'] },
    {
      ...base,
      roots: ['<rootDir>/core', '<rootDir>/app'],
      testMatch: ['<rootDir>/app/**/*.test.ts'],
      // a database in memory, for those alone that may ask for one
      setupFiles: ['fake-indexeddb/auto'],
    },
  ],
}
