import { useEventListener } from '@vueuse/core'
import { type Command, commandFor } from '../logic/commands'

/** Whether an element takes what is typed. */
function takesTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
      target.closest('[role=listbox],[role=combobox],[role=dialog],[role=menu]') !== null)
  )
}

/** Whether Escape closes something there: a list that is open, a dialog. */
const closes = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('[role=listbox],[role=combobox][aria-expanded=true],[role=dialog],[role=menu]') !== null

/** Runs a table of commands by their keys while the component is there. */
export function useKeys(commands: readonly Command[]): void {
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented) return
    const typing = event.key === 'Escape' ? closes(event.target) : takesTyping(event.target)
    const command = commandFor(event, commands, typing)
    if (!command) return
    event.preventDefault()
    command.run()
  })
  // a closed list keeps Escape to itself: there it means what it means everywhere
  useEventListener(
    document,
    'keydown',
    (event: KeyboardEvent) => {
      const { target } = event
      if (event.key !== 'Escape' || !(target instanceof HTMLElement)) return
      if (!target.closest('[role=combobox]:not([aria-expanded=true])') || closes(target)) return
      const command = commandFor(event, commands, false)
      if (!command) return
      event.preventDefault()
      event.stopPropagation()
      command.run()
    },
    { capture: true },
  )
}
