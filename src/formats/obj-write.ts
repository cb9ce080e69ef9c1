import type { OnProgress } from '../core/math/progress';
import type { Material } from '../core/mesh/mesh';
import { refuseNaN, type NamedBytes, type NamedMesh } from './format';

const EXTENSION = { 'image/png': 'png', 'image/jpeg': 'jpg', 'image/webp': 'webp' } as const;

/** An OBJ with one object a run, its materials in an MTL, and the colour images beside both. */
export function writeObj(scene: readonly NamedMesh[], name: string, onProgress?: OnProgress): readonly NamedBytes[] {
  refuseNaN(scene);
  const size = ({ mesh }: NamedMesh) => mesh.positions.length + mesh.indices.length / 3;
  const lines = new LineSink(
    scene.reduce((sum, object) => sum + size(object), 0),
    onProgress,
  );
  lines.push('# Rattan: metres, y up', `mtllib ${name}.mtl`);
  const materials: string[] = [];
  const images: NamedBytes[] = [];
  let base = 1;
  scene.forEach(({ name: run, mesh, origin: [x, y, z] = [0, 0, 0] }, m) => {
    const label = (place: number) => `${plain(mesh.materials[place]?.name ?? 'Plain')}_${m + 1}_${place + 1}`;
    const imageName = (place: number) => `${name}-${m + 1}-${place + 1}.${EXTENSION[mesh.images[place].mime]}`;
    const worn = new Set(mesh.parts.map(({ material }) => material));
    const shown = new Set<number>();
    mesh.materials.forEach((material, i) => {
      if (!worn.has(i)) return;
      const { colourImage } = material;
      if (colourImage !== undefined) shown.add(colourImage);
      materials.push(...mtl(label(i), material, colourImage === undefined ? undefined : imageName(colourImage)));
    });
    for (const i of shown) images.push({ name: imageName(i), bytes: mesh.images[i].bytes });
    lines.push(`o ${plain(run)}`);
    const { positions: p, normals: n, uvs } = mesh;
    const count = p.length / 3;
    for (let v = 0; v < count; v++)
      lines.push(`v ${num(p[v * 3] + x)} ${num(p[v * 3 + 1] + y)} ${num(p[v * 3 + 2] + z)}`);
    for (let v = 0; v < count; v++) lines.push(`vt ${num(uvs[v * 2])} ${num(1 - uvs[v * 2 + 1])}`);
    for (let v = 0; v < count; v++) lines.push(`vn ${num(n[v * 3])} ${num(n[v * 3 + 1])} ${num(n[v * 3 + 2])}`);
    for (const part of mesh.parts) {
      lines.push(`g ${plain(part.name)}`, `usemtl ${label(part.material)}`);
      for (let i = part.start; i < part.start + part.count; i += 3) {
        const corner = (k: number) => {
          const v = mesh.indices[i + k] + base;
          return `${v}/${v}/${v}`;
        };
        lines.push(`f ${corner(0)} ${corner(1)} ${corner(2)}`);
      }
    }
    base += count;
  });
  const mtlBytes = new TextEncoder().encode(materials.join('\n') + '\n');
  return [{ name: `${name}.obj`, bytes: lines.bytes() }, { name: `${name}.mtl`, bytes: mtlBytes }, ...images];
}

/** Lines of text that become bytes as they come, so that neither one string nor millions of them are held. */
class LineSink {
  readonly #expected: number;
  readonly #onProgress: OnProgress | undefined;
  readonly #encoder = new TextEncoder();
  readonly #chunks: Uint8Array[] = [];
  #lines: string[] = [];
  #count = 0;

  constructor(expected: number, onProgress: OnProgress | undefined) {
    this.#expected = expected;
    this.#onProgress = onProgress;
  }

  push(...lines: string[]): void {
    for (const line of lines) this.#lines.push(line);
    if (this.#lines.length >= 50_000) this.#flush();
  }

  bytes(): Uint8Array {
    this.#flush();
    const all = new Uint8Array(this.#chunks.reduce((sum, { length }) => sum + length, 0));
    let at = 0;
    for (const chunk of this.#chunks) {
      all.set(chunk, at);
      at += chunk.length;
    }
    return all;
  }

  #flush(): void {
    if (this.#lines.length === 0) return;
    this.#chunks.push(this.#encoder.encode(this.#lines.join('\n') + '\n'));
    this.#count += this.#lines.length;
    this.#lines = [];
    this.#onProgress?.(Math.min(this.#count / this.#expected, 1));
  }
}

/** To a hundred-millionth: a hundredth of a micrometre, and several times as fast to write as nine significant digits. */
const num = (x: number): string => String(Math.round(x * 1e8) / 1e8);

const plain = (text: string): string => text.replace(/\s+/g, '_') || 'run';

/** Roughness and metalness as Pr and Pm, with Ns for programs that know only that. */
function mtl(label: string, { colour, emissive, roughness, metalness }: Material, map: string | undefined): string[] {
  const rgb = (c: readonly number[]) =>
    c
      .slice(0, 3)
      .map((x) => num(x))
      .join(' ');
  return [
    `newmtl ${label}`,
    `Kd ${rgb(colour)}`,
    `Ke ${rgb(emissive)}`,
    `d ${num(colour[3])}`,
    `Ns ${num((1 - roughness) ** 2 * 1000)}`,
    `Pr ${num(roughness)}`,
    `Pm ${num(metalness)}`,
    ...(map ? [`map_Kd ${map}`] : []),
  ];
}
