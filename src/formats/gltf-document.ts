import type { Document } from '@gltf-transform/core';
import {
  Primitive,
  type Accessor,
  type Material as GltfMaterial,
  type mat4,
  type Node as GltfNode,
  type Texture,
} from '@gltf-transform/core';
import { KHRTextureTransform, type Transform } from '@gltf-transform/extensions';
import { fail, type Problem, type Result } from '../core/math/result';
import { PLAIN_MATERIAL, type Image, type Material, type Mesh, type Part } from '../core/mesh/mesh';
import { addFaceNormals } from '../core/mesh/smooth-normals';
import { fixMesh } from './fix-mesh';
import { MAX_TRIANGLES } from './format';
import { worldPlaces } from './gltf-places';

const MIMES: readonly string[] = ['image/png', 'image/jpeg', 'image/webp'];

/** Merges all meshes of a document's scene into one, by part: nodes' transforms are built in. Problems as `fixMesh`. */
export function mergeDocument(document: Document): Result<Mesh> {
  const root = document.getRoot();
  const scene = root.getDefaultScene() ?? root.listScenes()[0];
  const leftOut = new Set<string>();
  const gathered = new Gathered();
  const visit = (node: GltfNode): void => {
    const mesh = node.getMesh();
    for (const primitive of mesh?.listPrimitives() ?? []) {
      const mode = primitive.getMode();
      if (mode === Primitive.Mode.POINTS || (mode >= Primitive.Mode.LINES && mode <= Primitive.Mode.LINE_STRIP)) {
        leftOut.add(mesh!.getName());
        continue;
      }
      for (const place of worldPlaces(node)) gathered.add(primitive, place, mesh!.getName() || node.getName());
    }
    node.listChildren().forEach(visit);
  };
  (scene ? scene.listChildren() : root.listNodes()).forEach(visit);
  if (gathered.indexCount / 3 > MAX_TRIANGLES) {
    return fail('mesh.too-large', { triangles: gathered.indexCount / 3, most: MAX_TRIANGLES });
  }
  const mesh = gathered.build();
  const warnings: Problem[] = [...leftOut].map((name) => ({
    code: 'gltf.not-triangles',
    path: [],
    facts: { mesh: name },
  }));
  if (gathered.clamped.size > 0)
    warnings.push({ code: 'gltf.clamped', path: [], facts: { materials: [...gathered.clamped].join(', ') } });
  return fixMesh(mesh, warnings);
}

class Gathered {
  indexCount = 0;
  /** Materials with shares below 0 or above 1 (glTF 2.0, section 5.22). */
  readonly clamped = new Set<string>();
  #vertexCount = 0;
  readonly #pieces: { primitive: Primitive; matrix: mat4; base: number; material: number; name: string }[] = [];
  readonly #materials: Material[] = [];
  readonly #materialOf = new Map<GltfMaterial | null, number>();
  readonly #images: Image[] = [];
  readonly #imageOf = new Map<Texture, number>();

  add(primitive: Primitive, matrix: mat4, name: string): void {
    const position = primitive.getAttribute('POSITION');
    if (!position) return;
    const material = this.#material(primitive.getMaterial());
    this.#pieces.push({ primitive, matrix, base: this.#vertexCount, material, name });
    this.#vertexCount += position.getCount();
    const listed = (primitive.getIndices() ?? position).getCount();
    this.indexCount += primitive.getMode() === Primitive.Mode.TRIANGLES ? listed : Math.max(0, listed - 2) * 3;
  }

  build(): Mesh & { normals: Float32Array } {
    const positions = new Float32Array(this.#vertexCount * 3);
    const normals = new Float32Array(this.#vertexCount * 3);
    const uvs = new Float32Array(this.#vertexCount * 2);
    const hasColours = this.#pieces.some(({ primitive }) => primitive.getAttribute('COLOR_0'));
    const colours = hasColours ? new Float32Array(this.#vertexCount * 4).fill(1) : undefined;
    const indices = new Uint32Array(this.indexCount);
    const parts: Part[] = [];
    let at = 0;
    for (const { primitive, matrix, base, material, name } of this.#pieces) {
      const start = at;
      const position = primitive.getAttribute('POSITION')!;
      const isMirrored = determinant(matrix) < 0;
      copyTransformed(positions, base * 3, floats(position), matrix);
      const corners = triangleCorners(primitive);
      for (let i = 0; i + 2 < corners.length; i += 3) {
        indices[at++] = base + corners[i];
        indices[at++] = base + corners[i + (isMirrored ? 2 : 1)];
        indices[at++] = base + corners[i + (isMirrored ? 1 : 2)];
      }
      const normal = primitive.getAttribute('NORMAL');
      if (normal) copyTransformed(normals, base * 3, floats(normal), normalMatrix(matrix));
      else addFaceNormals(normals, positions, indices, start, at);
      const uv = primitive.getAttribute('TEXCOORD_0');
      if (uv) uvs.set(floats(uv), base * 2);
      const colour = primitive.getAttribute('COLOR_0');
      if (colour && colours) {
        const size = colour.getElementSize(); // 3 or 4
        const from = floats(colour);
        for (let i = 0; i < from.length; i++) colours[base * 4 + Math.floor(i / size) * 4 + (i % size)] = from[i]!;
      }
      parts.push({ name: name || this.#materials[material].name, material, start, count: at - start });
    }
    return {
      positions,
      normals,
      uvs,
      ...(colours && { colours }),
      indices: indices.slice(0, at),
      parts: toldApart(parts, this.#materials),
      materials: this.#materials,
      images: this.#images,
    };
  }

  #material(source: GltfMaterial | null): number {
    const known = this.#materialOf.get(source);
    if (known !== undefined) return known;
    this.#materials.push(source ? this.#read(source) : PLAIN_MATERIAL);
    this.#materialOf.set(source, this.#materials.length - 1);
    return this.#materials.length - 1;
  }

  #read(source: GltfMaterial): Material {
    const image = (key: 'colourImage' | 'normalImage' | 'surfaceImage', texture: Texture | null) => {
      const place = texture ? this.#image(texture) : undefined;
      return place === undefined ? {} : { [key]: place };
    };
    const alpha = source.getAlphaMode();
    const name = source.getName() || `Material ${this.#materials.length + 1}`;
    const share = (value: number) => {
      const kept = Math.min(Math.max(value, 0), 1) || 0;
      if (kept !== value) this.clamped.add(name);
      return kept;
    };
    return {
      name,
      colour: source.getBaseColorFactor().map(share) as [number, number, number, number],
      roughness: share(source.getRoughnessFactor()),
      metalness: share(source.getMetallicFactor()),
      emissive: source.getEmissiveFactor().map(share) as [number, number, number],
      doubleSided: source.getDoubleSided(),
      alpha: alpha === 'MASK' ? 'mask' : alpha === 'BLEND' ? 'blend' : 'opaque',
      ...image('colourImage', source.getBaseColorTexture()),
      ...image('normalImage', source.getNormalTexture()),
      ...image('surfaceImage', source.getMetallicRoughnessTexture()),
      ...(source.getNormalScale() !== 1 && { normalScale: source.getNormalScale() }),
      ...readTransform(source),
    };
  }

  #image(texture: Texture): number | undefined {
    const known = this.#imageOf.get(texture);
    if (known !== undefined) return known;
    const bytes = texture.getImage();
    const mime = texture.getMimeType();
    if (!bytes || !MIMES.includes(mime)) return undefined;
    this.#images.push({ name: texture.getName() || 'image', mime: mime as Image['mime'], bytes });
    this.#imageOf.set(texture, this.#images.length - 1);
    return this.#images.length - 1;
  }
}

/** The transform of a material's textures, where they have one; they are taken to share that of the colour, or of the first there is. */
function readTransform(source: GltfMaterial): Pick<Material, 'textureTransform'> {
  const infos = [
    source.getBaseColorTextureInfo(),
    source.getNormalTextureInfo(),
    source.getMetallicRoughnessTextureInfo(),
  ];
  for (const info of infos) {
    const transform = info?.getExtension<Transform>(KHRTextureTransform.EXTENSION_NAME);
    if (!transform) continue;
    return {
      textureTransform: { scale: transform.getScale(), turn: transform.getRotation(), offset: transform.getOffset() },
    };
  }
  return {};
}

/** A primitive's vertex numbers, three a triangle; strips and fans are taken apart (glTF 2.0, section 3.7.2.1). */
function triangleCorners(primitive: Primitive): ArrayLike<number> {
  const mode = primitive.getMode();
  const count = primitive.getIndices()?.getCount() ?? primitive.getAttribute('POSITION')!.getCount();
  const list = primitive.getIndices()?.getArray() ?? new Uint32Array(count).map((_, i) => i);
  if (mode === Primitive.Mode.TRIANGLES) return list.subarray(0, count - (count % 3));
  const corners = new Uint32Array(Math.max(0, count - 2) * 3);
  for (let i = 0; i + 2 < count; i++) {
    const isFan = mode === Primitive.Mode.TRIANGLE_FAN;
    corners[i * 3] = list[isFan ? 0 : i]!;
    corners[i * 3 + 1] = list[isFan ? i + 1 : i + 1 + (i % 2)]!;
    corners[i * 3 + 2] = list[isFan ? i + 2 : i + 2 - (i % 2)]!;
  }
  return corners;
}

/** An accessor's numbers; whole numbers that stand for fractions are turned into these. */
function floats(source: Accessor): ArrayLike<number> {
  const array = source.getArray();
  if (array instanceof Float32Array) return array;
  const size = source.getElementSize();
  const out = new Float32Array(source.getCount() * size);
  const element: number[] = [];
  for (let i = 0; i < out.length; i += size) {
    source.getElement(i / size, element);
    for (let c = 0; c < size; c++) out[i + c] = element[c]!;
  }
  return out;
}

function copyTransformed(out: Float32Array, at: number, from: ArrayLike<number>, m: mat4): void {
  for (let i = 0; i < from.length; i += 3) {
    const x = from[i];
    const y = from[i + 1];
    const z = from[i + 2];
    out[at + i] = m[0] * x + m[4] * y + m[8] * z + m[12];
    out[at + i + 1] = m[1] * x + m[5] * y + m[9] * z + m[13];
    out[at + i + 2] = m[2] * x + m[6] * y + m[10] * z + m[14];
  }
}

const determinant = (m: mat4): number =>
  m[0] * (m[5] * m[10] - m[6] * m[9]) - m[4] * (m[1] * m[10] - m[2] * m[9]) + m[8] * (m[1] * m[6] - m[2] * m[5]);

/** Cofactors of the upper 3 x 3: carries normals, lengths aside; signs follow a mirror. */
function normalMatrix(m: mat4): mat4 {
  const s = determinant(m) < 0 ? -1 : 1;
  const cofactor = (a: number, b: number, c: number, d: number) => s * (m[a] * m[d] - m[b] * m[c]);
  // prettier-ignore
  return [
    cofactor(5, 6, 9, 10), -cofactor(4, 6, 8, 10), cofactor(4, 5, 8, 9), 0,
    -cofactor(1, 2, 9, 10), cofactor(0, 2, 8, 10), -cofactor(0, 1, 8, 9), 0,
    cofactor(1, 2, 5, 6), -cofactor(0, 2, 4, 6), cofactor(0, 1, 4, 5), 0,
    0, 0, 0, 1,
  ];
}

/** Parts of one name that wear different materials are called by those, so that each can be meant. */
function toldApart(parts: readonly Part[], materials: readonly Material[]): Part[] {
  const worn = new Map<string, Set<number>>();
  for (const { name, material } of parts) worn.set(name, (worn.get(name) ?? new Set()).add(material));
  return parts.map((part) =>
    worn.get(part.name)!.size > 1 ? { ...part, name: materials[part.material].name || part.name } : part,
  );
}
