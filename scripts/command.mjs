import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { buildSync } from 'esbuild'
import { root } from './steps.mjs'

// Runs a command of `command/` as one module of its own, so that calls beside each other are not in the way.
const [name = '', ...args] = process.argv.slice(2)
const { outputFiles } = buildSync({
  entryPoints: [join(root, 'command', `${name}.ts`)],
  bundle: true,
  write: false,
  format: 'esm',
  platform: 'node',
  packages: 'external',
})
const folder = join(root, 'node_modules', '.cache')
mkdirSync(folder, { recursive: true })
const file = join(folder, `${name}-${process.pid}.mjs`)
writeFileSync(file, outputFiles[0].text)
process.argv = [process.argv[0], file, ...args]
try {
  await import(pathToFileURL(file).href)
} finally {
  rmSync(file, { force: true })
}
