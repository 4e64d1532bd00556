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

/** Runs a table of commands by their keys while the component is there. */
export function useKeys(commands: readonly Command[]): void {
  useEventListener(document, 'keydown', (event: KeyboardEvent) => {
    if (event.defaultPrevented) return
    const command = commandFor(event, commands, takesTyping(event.target))
    if (!command) return
    event.preventDefault()
    command.run()
  })
}
