import { fail, type Problem, type Result } from '../core/math/result';
import { PLAIN_MATERIAL, type Mesh } from '../core/mesh/mesh';
import { fixMesh } from './fix-mesh';
import { MAX_TRIANGLES, type NamedBytes } from './format';
import { HEADER, isAsciiStl, isBinaryStl, TRIANGLE } from './stl-sniff';
import { decodeText } from './text';

/**
 * Reads an STL, binary or ASCII; every face has corners of its own, so that it is flat until vertices are welded.
 * Units are not stated in the file; z is up by custom, and stays as it is in the file: preparing turns it.
 * Problems: `file.truncated`, `stl.number` with its line, and those of `fixMesh`; a warning `stl.size` where a binary one holds more.
 */
export function readStl({ name, bytes }: NamedBytes): Result<Mesh> {
  if (isBinaryStl(bytes) || !isAsciiStl(bytes)) return readBinary(name, bytes);
  return readAscii(name, bytes);
}

function readBinary(file: string, bytes: Uint8Array): Result<Mesh> {
  const least = HEADER + 4;
  if (bytes.length < least) return fail('file.truncated', { file, bytes: bytes.length, needed: least });
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const count = view.getUint32(HEADER, true);
  if (count > MAX_TRIANGLES) return fail('mesh.too-large', { triangles: count, most: MAX_TRIANGLES });
  const needed = least + count * TRIANGLE;
  if (needed > bytes.length) return fail('file.truncated', { file, bytes: bytes.length, needed });
  const corners = new Float32Array(count * 9);
  for (let t = 0; t < count; t++)
    for (let k = 0; k < 9; k++) corners[t * 9 + k] = view.getFloat32(least + t * TRIANGLE + 12 + k * 4, true);
  const room = Math.floor((bytes.length - least) / TRIANGLE);
  return fromCorners(corners, room > count ? [{ code: 'stl.size', path: [], facts: { count, room } }] : []);
}

function readAscii(file: string, bytes: Uint8Array): Result<Mesh> {
  const text = decodeText(bytes);
  const truncated = fail('file.truncated', { file, bytes: bytes.length, needed: bytes.length + 1 });
  const pattern = /\bvertex\s+(\S+)\s+(\S+)\s+(\S+)/g;
  const corners: number[] = [];
  for (let match = pattern.exec(text); match; match = pattern.exec(text)) {
    for (let k = 1; k <= 3; k++) {
      const x = Number(match[k]);
      if (!Number.isFinite(x)) {
        return fail('stl.number', { line: text.slice(0, match.index).split('\n').length, text: match[0].slice(0, 80) });
      }
      corners.push(x);
    }
    if (corners.length > MAX_TRIANGLES * 9)
      return fail('mesh.too-large', { triangles: corners.length / 9, most: MAX_TRIANGLES });
  }
  // Cut off: in a vertex, in a facet, or between two of them.
  const isWhole = corners.length % 9 === 0 && /\bendsolid\b[^\n]*\s*$/.test(text.slice(-4096));
  return isWhole ? fromCorners(Float32Array.from(corners)) : truncated;
}

function fromCorners(positions: Float32Array, warnings: readonly Problem[] = []): Result<Mesh> {
  const count = positions.length / 3;
  return fixMesh(
    {
      positions,
      normals: undefined,
      uvs: new Float32Array(count * 2),
      indices: new Uint32Array(count).map((_, i) => i),
      parts: [{ name: 'Mesh', material: 0, start: 0, count }],
      materials: [PLAIN_MATERIAL],
      images: [],
    },
    warnings,
  );
}
