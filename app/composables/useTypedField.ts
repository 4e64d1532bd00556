import { onScopeDispose } from 'vue'
import { type TypedField, useTyping } from '../stores/typing'

/**
 * Makes what is typed in a component known while the component is there, so that leaving enters it or asks.
 */
export function useTypedField(field: TypedField): void {
  onScopeDispose(useTyping().add(field))
}
