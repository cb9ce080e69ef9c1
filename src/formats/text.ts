/** Text in UTF-8, or in UTF-16 where a byte order mark says so (Unicode Standard, 23.8); the mark itself is left out. */
export function decodeText(bytes: Uint8Array): string {
  const mark = (bytes[0] ?? 0) * 256 + (bytes[1] ?? 0);
  return new TextDecoder(mark === 0xfffe ? 'utf-16le' : mark === 0xfeff ? 'utf-16be' : 'utf-8').decode(bytes);
}

/** Bytes as UTF-8: as they are, or turned from UTF-16, for readers that go through them piece by piece. */
export function asUtf8(bytes: Uint8Array): Uint8Array {
  const isWide = (bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff);
  return isWide ? new TextEncoder().encode(decodeText(bytes)) : bytes;
}
