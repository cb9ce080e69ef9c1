import type { OnProgress } from '../core/math/progress';
import { fail, type Problem, type Result } from '../core/math/result';
import { PLAIN_MATERIAL, type Material, type Mesh, type Part } from '../core/mesh/mesh';
import { fixMesh } from './fix-mesh';
import type { NamedBytes } from './format';
import { MAX_TRIANGLES } from './format';
import { readMtl } from './mtl-read';
import { Lines, LONGEST_LINE } from './text-lines';
import { asUtf8 } from './text';

const NONE = 0xffffffff;
const LINES_PER_STEP = 20_000;
/** Corners of one vertex that are looked through one by one. */
const FEW = 32;

/**
 * Reads an OBJ: v, vt, vn, f (polygons become fans; negative indices count back), usemtl, mtllib.
 * Problems name the line: `obj.number`, `obj.face`, `obj.index`, and those of `fixMesh`.
 */
export function readObj(main: NamedBytes, beside: readonly NamedBytes[], onProgress?: OnProgress): Result<Mesh> {
  const lines = new Lines(asUtf8(main.bytes));
  const v: number[] = [];
  const vt: number[] = [];
  const vn: number[] = [];
  const corners = new Corners();
  const byMaterial = new Map<string, number[]>();
  let triangles: number[] = [];
  let triangleCount = 0;
  let library = '';
  const wear = (name: string) => {
    triangles = byMaterial.get(name) ?? [];
    byMaterial.set(name, triangles);
  };
  wear('');
  for (let line = lines.next(); line !== undefined; line = lines.next()) {
    if (lines.number % LINES_PER_STEP === 0) onProgress?.(lines.share);
    if (line.length > LONGEST_LINE) return fail('file.long-line', { file: main.name, line: lines.number });
    const [key, ...rest] = line.trim().split(/\s+/);
    if (key === 'v' || key === 'vt' || key === 'vn') {
      const list = key === 'v' ? v : key === 'vt' ? vt : vn;
      const size = key === 'vt' ? 2 : 3;
      for (let k = 0; k < size; k++) {
        const x = k < rest.length ? Number(rest[k]) : key === 'vt' ? 0 : NaN;
        if (!Number.isFinite(x)) return fail('obj.number', { line: lines.number, text: line.slice(0, 80) });
        list.push(x);
      }
    } else if (key === 'f') {
      if (rest.length < 3) return fail('obj.face', { line: lines.number, corners: rest.length });
      const face: number[] = [];
      for (const corner of rest) {
        const [a = '', b = '', c = ''] = corner.split('/');
        const p = indexOf(a, v.length / 3);
        const t = b === '' ? NONE : indexOf(b, vt.length / 2);
        const n = c === '' ? NONE : indexOf(c, vn.length / 3);
        if (p === undefined || t === undefined || n === undefined) {
          return fail('obj.index', { line: lines.number, corner, vertices: v.length / 3 });
        }
        face.push(corners.add(p, t, n));
      }
      for (let k = 1; k + 1 < face.length; k++) triangles.push(face[0], face[k], face[k + 1]);
      triangleCount += face.length - 2;
      if (triangleCount > MAX_TRIANGLES)
        return fail('mesh.too-large', { triangles: triangleCount, most: MAX_TRIANGLES });
    } else if (key === 'usemtl') wear(rest.join(' '));
    else if (key === 'mtllib') library = rest.join(' ');
  }
  const warnings: Problem[] = [];
  const mtl = beside.find(({ name }) => name.split('/').pop() === library.split(/[\\/]/).pop());
  if (library && !mtl)
    warnings.push({ code: 'obj.no-materials', path: [], facts: { file: main.name, missing: library } });
  const read = mtl ? readMtl(mtl.bytes, beside) : { materials: new Map(), images: [] };
  const materials: Material[] = [];
  const parts: Part[] = [];
  const indices = new Uint32Array(triangleCount * 3);
  let at = 0;
  for (const [name, list] of byMaterial) {
    if (list.length === 0) continue;
    materials.push(read.materials.get(name) ?? { ...PLAIN_MATERIAL, name: name || PLAIN_MATERIAL.name });
    indices.set(list, at);
    parts.push({ name: name || 'Mesh', material: materials.length - 1, start: at, count: list.length });
    at += list.length;
  }
  return fixMesh({ ...corners.build(v, vt, vn), indices, parts, materials, images: read.images }, warnings);
}

/** A one-based or backward index as a place from zero; undefined when there is no such thing. */
function indexOf(text: string, count: number): number | undefined {
  const i = Number(text);
  if (!Number.isInteger(i) || i === 0) return undefined;
  const place = i > 0 ? i - 1 : count + i;
  return place >= 0 && place < count ? place : undefined;
}

/** Distinct corners (position, texture, normal) of faces, found through a list for each position. */
class Corners {
  readonly #p: number[] = [];
  readonly #t: number[] = [];
  readonly #n: number[] = [];
  readonly #next: number[] = [];
  readonly #first: number[] = [];
  readonly #many = new Map<string, number>();

  add(p: number, t: number, n: number): number {
    const head = this.#first[p] ?? NONE;
    let steps = 0;
    for (let i = head; i !== NONE && steps < FEW; i = this.#next[i]!, steps++)
      if (this.#t[i] === t && this.#n[i] === n) return i;
    const key = steps === FEW ? `${p} ${t} ${n}` : undefined; // a vertex with more corners than are looked through
    const known = key === undefined ? undefined : this.#many.get(key);
    if (known !== undefined) return known;
    const i = this.#p.length;
    this.#p.push(p);
    this.#t.push(t);
    this.#n.push(n);
    this.#next.push(key === undefined ? head : NONE);
    if (key !== undefined) {
      this.#many.set(key, i);
      return i;
    }
    while (this.#first.length <= p) this.#first.push(NONE);
    this.#first[p] = i;
    return i;
  }

  build(
    v: number[],
    vt: number[],
    vn: number[],
  ): Pick<Mesh, 'positions' | 'uvs'> & { normals: Float32Array | undefined } {
    const count = this.#p.length;
    const positions = new Float32Array(count * 3);
    const uvs = new Float32Array(count * 2);
    const hasNormals = count > 0 && this.#n.every((n) => n !== NONE);
    const normals = hasNormals ? new Float32Array(count * 3) : undefined;
    for (let i = 0; i < count; i++) {
      for (let c = 0; c < 3; c++) {
        positions[i * 3 + c] = v[this.#p[i] * 3 + c]!;
        if (normals) normals[i * 3 + c] = vn[this.#n[i] * 3 + c]!;
      }
      if (this.#t[i] !== NONE) {
        uvs[i * 2] = vt[this.#t[i] * 2]!;
        uvs[i * 2 + 1] = 1 - vt[this.#t[i] * 2 + 1];
      }
    }
    return { positions, uvs, normals };
  }
}
