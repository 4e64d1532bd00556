/** Made when it is first asked for, once. */
export function later<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null
  return () => (made ??= { value: make() }).value
}
