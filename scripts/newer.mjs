import { existsSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'

/** When a file, or what is newest in a folder, was changed last, ms: a folder by what left it too. */
function changed(path) {
  const found = statSync(path)
  if (!found.isDirectory()) return found.mtimeMs
  return Math.max(found.mtimeMs, ...readdirSync(path).map(name => changed(join(path, name))))
}

/** Whether `made` is there and nothing that it is made `from` was changed since. */
export const isNewer = (made, from) =>
  existsSync(made) && from.every(path => !existsSync(path) || changed(path) <= statSync(made).mtimeMs)
