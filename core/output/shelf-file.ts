import { type Design, SHELF_FORMAT, SHELF_VERSION } from '../design'

/** The text of a file of several designs, in the parts before, between and after theirs. */
const [BEFORE, AFTER] = [
  `{\n  "format": "${SHELF_FORMAT}",\n  "version": ${SHELF_VERSION},\n  "designs": [`,
  '\n  ]\n}\n',
]

/** A design's text as it stands in a file of several, `first` or after another. */
export const shelfPart = (design: Design, first: boolean): string =>
  `${first ? '' : ','}\n    ${JSON.stringify(design, null, 2).replaceAll('\n', '\n    ')}`

/** The text of a file of the designs whose parts these are. */
export const shelfText = (parts: readonly string[]): string[] => [
  BEFORE,
  ...parts,
  parts.length ? AFTER : AFTER.slice(3),
]

/** Several designs as the text of one file. */
export const shelfFile = (designs: readonly Design[]): string =>
  shelfText(designs.map((design, i) => shelfPart(design, i === 0))).join('')
