import type { HangWay, PartKind, SideName } from '../design'
import { sideWords } from './squaring'

/** What a part is called until it is named. */
export const partWords: Readonly<Record<PartKind, string>> = { 'lean-to': 'Lean-to', porch: 'Porch' }

export const sayNewPart = (kind: PartKind, side: SideName): string =>
  kind === 'porch'
    ? `Porch under the roof, ${sideWords[side].toLowerCase()}`
    : `Lean-to, ${sideWords[side].toLowerCase()}`

/** What a part hangs by. */
export const hangWords: Readonly<Record<HangWay, string>> = {
  height: 'A ledger at a height',
  eave: 'A ledger under the eave',
  slope: 'The slope, carried on',
  roof: 'The same roof',
}
