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

async function check(what, script, patterns) {
  const { code, output } = await timed(what, () =>
    run('npm', ['run', '--silent', script], {
      keep: patterns !== undefined,
      env: { CI: process.env.CI ?? '' },
    }),
  )
  count(stripVTControlCharacters(output), code, patterns)
}

/** Beside the types: the two together fill two processors. */
async function checkStyle() {
  await check('Format', 'format:check')
  await check('Lint', 'lint')
}

await ensureInstalled()
await ensureChromium()
await Promise.all([checkStyle(), check('Types', 'typecheck')])
await check('Unit tests', 'unit', { passed: /^Tests:.*?(\d+) passed/gm, failed: /^Tests:.*?(\d+) failed/gm })
await build()
await check('The built application in Chromium', 'e2e:narrow', {
  passed: /^\s*(\d+) passed/gm,
  failed: /^\s*(\d+) (?:failed|flaky|did not run|interrupted)/gm,
})
console.log(`\nAll in ${((performance.now() - start) / 1000).toFixed(0)} s`)
console.log(`${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed ? 1 : 0)
