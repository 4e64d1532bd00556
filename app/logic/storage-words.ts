import type { JournalNews, JournalState } from '../storage/journal'
import type { StorageTrouble } from '../storage/trouble'

const why: Record<StorageTrouble, string> = {
  full: "The browser's storage is full.",
  silent: "The browser's storage does not answer.",
  gone: "The browser's storage was emptied while this page was open.",
  refused: 'The browser does not let this page keep anything.',
}

const remedy: Record<StorageTrouble, string> = {
  full: 'Save what you need as files, then make room: that forgets the steps to undo and what was taken off the shelf.',
  silent:
    'It is still being waited for. Close other tabs of Early Wren; if nothing comes, load this page again.',
  gone: 'Load this page again; what you saved as files can be imported.',
  refused: 'Leave private browsing or allow this page to store data, then load it again.',
}

/** Why storage fails, and the way on, where nothing of the user's is waiting in this page. */
export const sayStorage = (trouble: StorageTrouble): string => `${why[trouble]} ${remedy[trouble]}`

/**
 * What is said over a bench whose last changes are not stored; empty while all goes well. What is on screen
 * is never lost by it.
 */
export function sayStoring(state: JournalState): string {
  switch (state) {
    case 'stored':
    case 'storing':
      return ''
    case 'full':
      return `Not saved. ${why.full} Save the design as a file, or make room: that forgets the steps to undo and what was taken off the shelf.`
    case 'silent':
      return `Not saved yet. ${why.silent} It is still being waited for; saving the design as a file works all the same.`
    case 'gone':
      return "This design is no longer in the browser's storage: it was emptied or deleted elsewhere. What you see is kept in this page alone until you put it back or save it as a file."
    case 'taken-off':
      return 'Not saved. This design was taken off the shelf in another tab. Put it back, or save it as a file.'
    case 'refused':
      return `Not saved. ${why.refused} Save the design as a file.`
  }
}

/** The state of saving in a word or two, for the line over the bench. */
export const storingWords: Record<JournalState, string> = {
  stored: 'Saved',
  storing: 'Saving …',
  full: 'Not saved',
  silent: 'Saving …',
  gone: 'Not saved',
  'taken-off': 'Not saved',
  refused: 'Not saved',
}

/** What happened to the design's history. */
export const journalWords: Record<JournalNews, string> = {
  'both-kept': 'Another tab changed this design too. Both changes are kept; undo goes back through them.',
  'passed-damaged': "A step of this design's history is damaged and was passed over.",
  'all-damaged': "The steps further on that way are damaged and can't be read. The design stays as it is.",
}
