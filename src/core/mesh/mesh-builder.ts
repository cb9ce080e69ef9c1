import type { Vec3 } from '../math/vec3';
import type { Material, Mesh, Part } from './mesh';

/** Gathers vertices and triangles by part. Numbers are metres and plain units; nothing is checked twice. */
export class MeshBuilder {
  readonly #positions: number[] = [];
  readonly #normals: number[] = [];
  readonly #uvs: number[] = [];
  readonly #parts = new Map<string, { material: number; indices: number[] }>();
  readonly #materials: readonly Material[];

  constructor(materials: readonly Material[]) {
    this.#materials = materials;
  }

  /** Returns the new vertex's number. */
  vertex(place: Vec3, normal: Vec3, uv: readonly [number, number]): number {
    this.#positions.push(...place);
    this.#normals.push(...normal);
    this.#uvs.push(...uv);
    return this.#positions.length / 3 - 1;
  }

  /** Counter-clockwise seen from outside. `material` = its place in the list given. Without two corners in one place: that is no triangle. */
  triangle(part: string, material: number, a: number, b: number, c: number): void {
    if (this.#isOnePlace(a, b) || this.#isOnePlace(b, c) || this.#isOnePlace(c, a)) return;
    let found = this.#parts.get(part);
    if (!found) this.#parts.set(part, (found = { material, indices: [] }));
    found.indices.push(a, b, c);
  }

  #isOnePlace(a: number, b: number): boolean {
    const p = this.#positions;
    return p[a * 3] === p[b * 3] && p[a * 3 + 1] === p[b * 3 + 1] && p[a * 3 + 2] === p[b * 3 + 2];
  }

  /** The mesh, with those of the materials that a part wears. */
  build(): Mesh {
    const worn = [...new Set([...this.#parts.values()].map(({ material }) => material))].sort((a, b) => a - b);
    const parts: Part[] = [];
    const indices: number[] = [];
    for (const [name, part] of this.#parts) {
      parts.push({ name, material: worn.indexOf(part.material), start: indices.length, count: part.indices.length });
      for (const i of part.indices) indices.push(i);
    }
    return {
      positions: Float32Array.from(this.#positions),
      normals: Float32Array.from(this.#normals),
      uvs: Float32Array.from(this.#uvs),
      indices: Uint32Array.from(indices),
      parts,
      materials: worn.map((material) => this.#materials[material]),
      images: [],
    };
  }
}
