import { spawn } from 'node:child_process'
import { existsSync, readFileSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { isNewer } from './newer.mjs'

export const root = join(dirname(fileURLToPath(import.meta.url)), '..')
export const chromium = '/usr/bin/chromium'

/**
 * Runs a command in the project's folder; gives its exit code and, where `keep` is set, what it printed as
 * well.
 */
export function run(command, args, { env = {}, keep = false } = {}) {
  return new Promise(resolve => {
    let output = ''
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', keep ? 'pipe' : 'inherit', keep ? 'pipe' : 'inherit'],
    })
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', data => {
        output += data
        process.stdout.write(data)
      })
    child.on('error', () => resolve({ code: 127, output }))
    child.on('close', code => resolve({ code: code ?? 1, output }))
  })
}

/** Says what is done, does it, says how long it took. */
export async function timed(what, work) {
  console.log(`\n— ${what} …`)
  const start = performance.now()
  const result = await work()
  console.log(`— ${what}: ${((performance.now() - start) / 1000).toFixed(1)} s`)
  return result
}

/** Whether node_modules is there and not older than the lock file. */
function installed() {
  const mark = join(root, 'node_modules', '.package-lock.json')
  return (
    existsSync(mark) &&
    existsSync(join(root, '.nuxt', 'tsconfig.json')) &&
    statSync(mark).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs - 1
  )
}

export async function ensureInstalled() {
  if (installed()) return
  const { code } = await timed('Installing dependencies (npm ci)', () =>
    run('npm', ['ci', '--no-audit', '--no-fund']),
  )
  if (code !== 0) fail('The dependencies could not be installed.')
}

/** Debian's Chromium, installed where it is missing and it can be. */
export async function ensureChromium() {
  if (existsSync(chromium)) return
  const quiet = { env: { DEBIAN_FRONTEND: 'noninteractive' } }
  await timed('Installing Chromium (apt-get)', async () => {
    await run('apt-get', ['update', '-qq'], quiet)
    await run('apt-get', ['install', '-y', '-qq', 'chromium'], quiet)
  })
  if (!existsSync(chromium))
    fail(`Chromium is needed at ${chromium} and could not be installed. Run: apt-get install chromium`)
}

const server = join(root, '.output', 'server', 'index.mjs')
/** What the built application is made from. */
const sources = [
  ...['app', 'core', 'demo', 'public', 'server'],
  ...['nuxt.config.ts', 'tsconfig.json', 'package.json', 'package-lock.json'],
].map(name => join(root, name))

/** Builds the application where that is not as new as what it is made from. */
export async function ensureBuilt() {
  if (!isNewer(server, sources)) await build()
}

export async function build() {
  const { code } = await timed('Building', () =>
    run('npx', ['--no-install', 'nuxt', 'build'], { env: { NODE_OPTIONS: '--max-old-space-size=4096' } }),
  )
  if (code !== 0) fail('The application could not be built.')
}

export const isBuilt = () => existsSync(server)

/** ms between two looks whether the application answers. */
const LOOK = 100

/** Starts the built application, and prints its address once it answers there. */
export async function serve(env) {
  const port = process.env.PORT ?? '3000'
  const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'))
  const address = `http://localhost:${port}/`
  let ended = false
  const ending = run(process.execPath, [server], {
    env: { PORT: port, HOST: process.env.HOST ?? 'localhost', ...env },
  }).finally(() => {
    ended = true
  })
  while (!ended && !(await answers(address))) await new Promise(resolve => setTimeout(resolve, LOOK))
  if (!ended) console.log(`\nEarly Wren ${version}: ${address}`)
  return ending
}

const answers = address =>
  fetch(address, { method: 'HEAD' }).then(
    () => true,
    () => false,
  )

export function fail(message) {
  console.error(message)
  process.exit(1)
}
