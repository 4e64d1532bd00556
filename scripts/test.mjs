import { stripVTControlCharacters } from 'node:util'
import { build, ensureChromium, ensureInstalled, run, timed } from './steps.mjs'

const start = performance.now()
const total = { passed: 0, failed: 0 }

/** Adds up what a runner says; a check without tests counts as one. */
function count(output, code, patterns) {
  const sum = pattern => [...output.matchAll(pattern)].reduce((all, match) => all + Number(match[1]), 0)
  const passed = patterns ? sum(patterns.passed) : Number(code === 0)
  const failed = patterns ? sum(patterns.failed) : Number(code !== 0)
  total.passed += passed
  total.failed += failed || Number(code !== 0 && patterns !== undefined)
}

async function check(what, script, patterns, env = {}) {
  const { code, output } = await timed(what, () =>
    run('npm', ['run', '--silent', script], {
      keep: patterns !== undefined,
      env: { CI: process.env.CI ?? '', ...env },
    }),
  )
  count(stripVTControlCharacters(output), code, patterns)
}

/** Each by itself keeps one processor busy: the two together fill both. */
async function checkStyle() {
  await check('Format', 'format:check')
  await check('Lint', 'lint')
}

async function checkTypesAndBuild() {
  await check('Types', 'typecheck')
  await build()
}

/** A share of the random cases and the narrow walks; all of them are `npm run unit` and `npm run e2e`. */
const SHARE = process.env.EARLY_WREN_SHARE ?? '0.25'

await ensureInstalled()
await ensureChromium()
await Promise.all([checkStyle(), checkTypesAndBuild()])
await check(
  'Unit tests',
  'unit',
  { passed: /^Tests:.*?(\d+) passed/gm, failed: /^Tests:.*?(\d+) failed/gm },
  { EARLY_WREN_SHARE: SHARE },
)
await check('The built application in Chromium', 'e2e:narrow', {
  passed: /^\s*(\d+) passed/gm,
  failed: /^\s*(\d+) (?:failed|flaky|did not run|interrupted)/gm,
})
console.log(`\nAll in ${((performance.now() - start) / 1000).toFixed(0)} s`)
console.log(`${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed ? 1 : 0)
