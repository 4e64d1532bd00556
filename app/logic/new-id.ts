/**
 * A random identifier (UUID, version 4: RFC 9562). `crypto.randomUUID` is missing where a page comes over
 * plain http; random bytes are not.
 */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  bytes[6] = (bytes[6]! & 0x0f) | 0x40
  bytes[8] = (bytes[8]! & 0x3f) | 0x80
  const text = [...bytes].map(each => each.toString(16).padStart(2, '0')).join('')
  return [text.slice(0, 8), text.slice(8, 12), text.slice(12, 16), text.slice(16, 20), text.slice(20)].join(
    '-',
  )
}
