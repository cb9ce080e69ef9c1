const STRETCH = 0x8000;

/** Bytes as base64, in stretches that a call's argument list can hold. */
export function toBase64(bytes: Uint8Array): string {
  const parts: string[] = [];
  for (let i = 0; i < bytes.length; i += STRETCH) {
    parts.push(String.fromCharCode(...bytes.subarray(i, i + STRETCH)));
  }
  return btoa(parts.join(''));
}

/** The bytes of valid base64. */
export function fromBase64(text: string): Uint8Array {
  const binary = atob(text);
  const bytes = new Uint8Array(binary.length);
  for (let i = 0; i < binary.length; i++) bytes[i] = binary.charCodeAt(i);
  return bytes;
}
