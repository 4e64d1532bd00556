import { type DesignFault, findLimit, limits } from '../design'
import { fieldName } from './field-names'

const kinds: Record<string, string> = {
  string: 'text',
  number: 'a number',
  array: 'a list',
  object: 'a group of fields',
  list: 'a list',
  boolean: 'yes or no',
}

/**
 * What is wrong with one place of a design file, where, and the remedy. Lengths are in mm, as in the file.
 */
export function sayDesignFault(fault: DesignFault): string {
  const where = fault.path ? `${fieldName(fault.path)} (${fault.path})` : 'The file'
  switch (fault.code) {
    case 'not-json':
      return `The file is not a design: it cannot be read from “${fault.near}”. Choose a file that was saved here.`
    case 'not-an-object':
    case 'not-a-design':
      return 'The file is not a design of this program. Choose a file that was saved here.'
    case 'version-missing':
      return 'The file does not say which version it is. Choose a file that was saved here.'
    case 'version-newer':
      return `The file is of version ${fault.found}; this program reads up to ${fault.known}. Open it in the newer program.`
    case 'missing':
      return `${where} is missing.`
    case 'wrong-type':
      return `${where} must be ${kinds[fault.expected] ?? fault.expected}.`
    case 'too-small':
      return `${where} must be at least ${sized(fault.path, fault.min)}.`
    case 'not-above':
      return `${where} must be more than ${sized(fault.path, fault.min)}.`
    case 'too-large':
      return `${where} must be at most ${sized(fault.path, fault.max)}.`
    case 'too-long':
      return `${where} is too long; ${fault.max.toLocaleString('en')} ${fault.of} are the most.`
    case 'too-deep':
      return `${where} has lists within lists more than ${fault.max} deep, which no design has. Choose a file that was saved here.`
    case 'not-one-of':
      return `${where} must be one of: ${fault.allowed.join(', ')}.`
    case 'pitch':
      return `${where} must be a slope between ${limits.roofAngle.min} and ${limits.roofAngle.max} degrees.`
    case 'no-section':
      return `${where}: there is no section “${fault.name}”. Name a standard one or add it to the own sizes.`
    case 'section-twice':
      return `${where}: the size “${fault.name}” is there twice. Name one of them otherwise.`
    case 'log-not-post':
      return `${where}: “${fault.name}” is a round log, and logs stand as posts alone. Name a sawn section.`
    case 'log-not-round':
      return `${where} of a round log must be its thickness, ${fault.thickness} mm.`
    case 'other':
      return `${where} is not as it should be.`
  }
}

/** A limit as it is said: of a length in mm. */
const sized = (path: string, limit: number): string => (findLimit(path) ? `${limit} mm` : `${limit}`)
