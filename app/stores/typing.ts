import { defineStore } from 'pinia'

/** A place where something can be typed that is entered later. */
export interface TypedField {
  /** What a framer calls the field. */
  readonly name: () => string
  /** Whether something stands in it that is not entered. */
  readonly dirty: () => boolean
  /** Enters it; where it can't be, it stays as typed. Gives why, or nothing. */
  readonly enter: () => string
}

/** What is typed and not entered yet, anywhere on the page: leaving enters it, or asks. */
export const useTyping = defineStore('typing', () => {
  const fields = new Set<TypedField>()
  /** Adds a field; what is given back takes it away again. */
  function add(field: TypedField): () => void {
    fields.add(field)
    return () => {
      fields.delete(field)
    }
  }
  /** Enters all that is typed. Gives, in words, what could not be. */
  function enterAll(): string[] {
    return [...fields]
      .filter(field => field.dirty())
      .flatMap(field => {
        const why = field.enter()
        return field.dirty() ? [`${field.name()}: ${why}`] : []
      })
  }
  return { add, enterAll }
})
