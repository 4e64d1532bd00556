import type { CautionCode } from '../../check'

/** What a sentence is made of: a caution's numbers, as they are or as lengths, and the names it tells. */
export interface CautionSay {
  readonly n: (name: string) => number
  readonly mm: (name: string) => string
  readonly named: (name: string) => string
}

export type Sayings = Partial<Record<CautionCode, (say: CautionSay) => string>>
