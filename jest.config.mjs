/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  // Dexie keeps hold of globals that Jest would otherwise wrap
  testEnvironmentOptions: { globalsCleanup: 'off' },
  // all processors: by itself one is left over
  maxWorkers: '100%',
  roots: ['<rootDir>/core', '<rootDir>/command', '<rootDir>/app'],
  testMatch: ['**/*.test.ts'],
  moduleFileExtensions: ['ts', 'mjs', 'js', 'json'],
  extensionsToTreatAsEsm: ['.ts'],
  setupFiles: ['fake-indexeddb/auto'],
  transform: { '\\.ts$': '<rootDir>/scripts/jest-bundle.mjs' },
}
