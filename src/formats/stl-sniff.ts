import { decodeText } from './text';

/** Bytes before the number of triangles of a binary STL, and of each triangle: normal and three corners as float32, and two spare bytes. */
export const HEADER = 80;
export const TRIANGLE = 50;

/** Whether the length fits the number of triangles that a binary STL states. */
export function isBinaryStl(bytes: Uint8Array): boolean {
  if (bytes.length < HEADER + 4) return false;
  const count = new DataView(bytes.buffer, bytes.byteOffset).getUint32(HEADER, true);
  return bytes.length === HEADER + 4 + count * TRIANGLE;
}

export const isAsciiStl = (bytes: Uint8Array): boolean =>
  /^\s*solid[\s\S]*?\bfacet\b/.test(decodeText(bytes.subarray(0, 2048)));
