import { defineConfig } from '@playwright/test'
import base from './playwright.config'

/** Takes the pictures in docs/screenshots from the demo designs: npm run screenshots. */
export default defineConfig({
  ...base,
  testDir: 'scripts',
  testMatch: '**/screenshots.ts',
  workers: 1,
  outputDir: 'test-results',
})
