/** Whether `made` is there and nothing that it is made `from` was changed since. */
export function isNewer(made: string, from: readonly string[]): boolean
