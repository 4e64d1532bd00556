/** Why an entry could not be read as a measure. Facts only; `core/words` turns them into a sentence. */
export type MeasureFault =
  | { code: 'empty' }
  | { code: 'not-understood'; part: string }
  | { code: 'unit-twice'; part: string }
  | { code: 'which-unit'; part: string }
  | { code: 'decimal-comma'; part: string }
  | { code: 'zero-denominator'; part: string }
  /** Twelve inches and more after feet. */
  | { code: 'inches-past-foot'; part: string }
  | { code: 'negative'; part: string }
  | { code: 'too-large'; part: string }

export type Read<T> = { ok: true; value: T } | { ok: false; fault: MeasureFault }

export const read = <T>(value: T): Read<T> => ({ ok: true, value })
export const refuse = <T>(fault: MeasureFault): Read<T> => ({ ok: false, fault })
