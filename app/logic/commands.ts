/** Something the user can do, behind its key, its button and its place in the sheet of keys. */
export interface Command {
  readonly id: string
  readonly label: string
  /** As shown: `Ctrl+Z`, `J`, `?`. Empty for one without a key. */
  readonly keys: string
  readonly may: () => boolean
  readonly run: () => void
}

export interface KeyPress {
  readonly key: string
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly shiftKey: boolean
  readonly altKey: boolean
}

/** The keys of a press as a command names them. */
export function keysOf(press: KeyPress): string {
  const key = press.key.length === 1 ? press.key.toUpperCase() : press.key
  const ctrl = press.ctrlKey || press.metaKey
  const shift = press.shiftKey && (ctrl || key.length > 1)
  return [ctrl ? 'Ctrl' : '', press.altKey ? 'Alt' : '', shift ? 'Shift' : '', key].filter(Boolean).join('+')
}

/**
 * The command a press is for; null where there is none or it may not run. Single letters don't count while
 * `typing`.
 */
export function commandFor(press: KeyPress, commands: readonly Command[], typing: boolean): Command | null {
  const keys = keysOf(press)
  if (typing) return null
  return commands.find(command => command.keys === keys && command.may()) ?? null
}
