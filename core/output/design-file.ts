import type { Design } from '../design'

/** The design as it is saved to a file: JSON, two spaces, a last newline. */
export const designFile = (design: Design): string => `${JSON.stringify(design, null, 2)}\n`

/** A name for a file: letters and digits of the design's name, joined by dashes. */
export function fileName(name: string, ending: string): string {
  const stem = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
  return `${stem || 'design'}.${ending}`
}
