import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { isNewer } from '../scripts/newer.mjs'

test('the address is printed once the application answers there', async () => {
  const child = spawn(process.execPath, ['scripts/start.mjs'], {
    env: { ...process.env, PORT: '3971', HOST: 'localhost' },
    detached: true,
  })
  try {
    const printed = await new Promise<string>(resolve => {
      child.stdout.on('data', (data: Buffer) => {
        const [address] = /http:\/\/localhost:3971\//.exec(String(data)) ?? []
        if (address && String(data).includes('Early Wren')) resolve(address)
      })
    })
    expect((await fetch(printed)).status).toBe(200)
  } finally {
    if (child.pid !== undefined) process.kill(-child.pid)
  }
})

test('pages, the service worker and the manifest are asked for anew each time, hashed parts are not', async ({
  request,
}) => {
  const caching = async (path: string): Promise<string | undefined> =>
    (await request.get(path)).headers()['cache-control']
  for (const path of ['/', '/new', '/design/any/roof', '/sw.js', '/manifest.webmanifest'])
    expect([path, await caching(path)]).toEqual([path, 'no-cache'])
  const part = /_nuxt\/[\w-]+\.js/.exec(await (await request.get('/')).text())?.[0]
  expect(await caching(`/${part}`)).toContain('immutable')
})

test('what was built is built anew only where something was changed, added or taken away', () => {
  const folder = mkdtempSync(join(tmpdir(), 'early-wren-'))
  try {
    const [made, from, deep] = [join(folder, 'made'), join(folder, 'from'), join(folder, 'from', 'deep')]
    mkdirSync(deep, { recursive: true })
    const old = (path: string, seconds: number): void => utimesSync(path, seconds, seconds)
    writeFileSync(join(deep, 'a'), 'a')
    for (const path of [join(deep, 'a'), deep, from]) old(path, 1000)
    expect(isNewer(made, [from])).toBe(false)
    writeFileSync(made, '')
    old(made, 2000)
    expect(isNewer(made, [from, join(folder, 'never')])).toBe(true)
    old(join(deep, 'a'), 3000)
    expect(isNewer(made, [from])).toBe(false)
    old(join(deep, 'a'), 1000)
    rmSync(join(deep, 'a'))
    expect(isNewer(made, [from])).toBe(false)
  } finally {
    rmSync(folder, { recursive: true })
  }
})
