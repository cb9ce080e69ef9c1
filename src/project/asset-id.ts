/** The name under which bytes are kept: their SHA-256 (FIPS 180-4) as 64 hexadecimal digits. */
export async function assetIdOf(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>);
  return Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0')).join('');
}
