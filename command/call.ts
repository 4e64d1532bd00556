import { readFile } from 'node:fs/promises'

/** A call or a file that is not understood, in words for who made it. */
export class Refusal extends Error {}

/** A text as a terminal may be given it: names in a file may hold what would move its cursor. */
export const plain = (text: string): string => text.replace(/\p{Cc}/gu, '\uFFFD')

/** A file's text. Throws a Refusal where there is none. */
export async function readText(path: string): Promise<string> {
  try {
    return await readFile(path, 'utf8')
  } catch (cause) {
    const missing = (cause as NodeJS.ErrnoException).code === 'ENOENT'
    throw new Refusal(`${path}: ${missing ? 'there is no such file' : 'the file cannot be read'}`)
  }
}

/** Runs a command, its exit code what it gives; 2 and why on standard error where it is refused or fails. */
export function ended(main: () => Promise<number>): void {
  process.stdout.on('error', (error: NodeJS.ErrnoException) => {
    // who reads has had enough
    if (error.code === 'EPIPE') process.exit(0)
    throw error
  })
  main().then(
    code => {
      process.exitCode = code
    },
    (error: unknown) => {
      process.stderr.write(
        `${error instanceof Refusal ? error.message : error instanceof Error ? error.stack : String(error)}\n`,
      )
      process.exitCode = 2
    },
  )
}
