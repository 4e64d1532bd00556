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

/** What stood in a field that is no longer there and could not be entered: by the field's place. */
export interface LeftText {
  readonly name: string
  readonly text: string
  readonly why: string
}

/** What is typed and not entered yet, anywhere on the page: leaving enters it, or asks. */
export const useTyping = defineStore('typing', () => {
  const fields = new Set<TypedField>()
  const left = new Map<string, LeftText>()
  /** Adds a field; what is given back takes it away again. */
  function add(field: TypedField): () => void {
    fields.add(field)
    return () => {
      fields.delete(field)
    }
  }
  /** Keeps what could not be entered when its field goes; the field takes it up when it is there again. */
  const leave = (place: string, what: LeftText): void => void left.set(place, what)
  function takeUp(place: string): LeftText | null {
    const what = left.get(place) ?? null
    left.delete(place)
    return what
  }
  /** Lets go of all that was left: another design is opened. */
  const clear = (): void => left.clear()
  /** Enters what is typed in fields that are there. Gives, in words, what could not be. */
  const enterShown = (): string[] =>
    [...fields]
      .filter(field => field.dirty())
      .flatMap(field => {
        const why = field.enter()
        return field.dirty() ? [`${field.name()}: ${why}`] : []
      })
  /** Enters all that is typed. Gives, in words, what could not be, and what was left before. */
  const enterAll = (): string[] => [
    ...enterShown(),
    ...[...left.values()].map(({ name, why }) => `${name}: ${why}`),
  ]
  return { add, leave, takeUp, clear, enterShown, enterAll }
})
