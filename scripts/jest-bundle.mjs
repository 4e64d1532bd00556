import { createHash } from 'node:crypto'
import { readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { build } from 'esbuild'

/** Path, size and time of every source: what a bundle is made of. */
function sources(root) {
  return readdirSync(root, { recursive: true })
    .filter(path => path.endsWith('.ts'))
    .map(path => {
      const { size, mtimeMs } = statSync(join(root, path))
      return `${root}/${path} ${size} ${mtimeMs}`
    })
}

/** A map of where each line came from is four fifths of a bundle: it is left out where nobody reads it. */
const sourcemap = process.env.CI ? false : 'inline'

/**
 * Gives Jest each test as one module with all of ours that it imports: linking hundreds of small modules anew
 * for every test file costs Jest about two seconds a file. Packages stay outside and are shared as ever.
 */
export default {
  canInstrument: false,

  getCacheKeyAsync(text, path, { config }) {
    const hash = createHash('sha1').update(path).update(text).update(String(sourcemap))
    for (const root of config.roots) for (const line of sources(root)) hash.update(line)
    return Promise.resolve(hash.digest('hex').slice(0, 32))
  },

  async processAsync(_text, path) {
    const { outputFiles } = await build({
      entryPoints: [path],
      bundle: true,
      write: false,
      outfile: `${path}.mjs`,
      format: 'esm',
      platform: 'node',
      target: 'es2022',
      packages: 'external',
      sourcemap,
      logLevel: 'silent',
    })
    return { code: outputFiles[0].text }
  },
}
