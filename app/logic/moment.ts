/** A day and a time as the browser's language says them. Making one takes longer than saying many. */
export const moment = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' })
