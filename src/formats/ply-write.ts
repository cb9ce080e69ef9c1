import { BufferAttribute, BufferGeometry, Group, Mesh } from 'three';
import { PLYExporter } from 'three/examples/jsm/exporters/PLYExporter.js';
import { refuseNaN, type NamedBytes, type NamedMesh } from './format';

/** Binary, little-endian: all meshes as one, with normals, texture coordinates, and the colours of materials at the vertices that wear them first. */
export function writePly(scene: readonly NamedMesh[], name: string): readonly NamedBytes[] {
  refuseNaN(scene);
  const group = new Group();
  for (const { mesh, origin = [0, 0, 0] } of scene) {
    const { positions, normals, uvs, indices } = mesh;
    const geometry = new BufferGeometry()
      .setAttribute('position', new BufferAttribute(positions, 3))
      .setAttribute('normal', new BufferAttribute(normals, 3))
      .setAttribute('uv', new BufferAttribute(uvs, 2))
      .setAttribute('color', new BufferAttribute(coloursOf(mesh), 3))
      .setIndex(new BufferAttribute(indices, 1));
    const own = new Mesh(geometry);
    own.position.set(origin[0], origin[1], origin[2]);
    group.add(own);
  }
  group.updateMatrixWorld(true);
  // Without a callback: that would wait for a frame of a screen, which a worker and a server have none of.
  const made = new PLYExporter().parse(group, undefined as never, { binary: true, littleEndian: true });
  const bytes = made ? new Uint8Array(made) : EMPTY;
  return [{ name: `${name}.ply`, bytes }];
}

/** Of nothing the exporter makes nothing. */
const EMPTY = new TextEncoder().encode(
  'ply\nformat binary_little_endian 1.0\nelement vertex 0\nproperty float x\nproperty float y\nproperty float z\nelement face 0\nproperty list uchar int vertex_index\nend_header\n',
);

/** Linear red, green, blue a vertex. */
function coloursOf({ positions, parts, indices, materials, colours }: NamedMesh['mesh']): Float32Array {
  const out = new Float32Array(positions.length);
  const isSet = new Uint8Array(positions.length / 3);
  for (const { start, count, material } of parts) {
    const { colour } = materials[material];
    for (let i = start; i < start + count; i++) {
      const v = indices[i];
      if (isSet[v] === 1) continue;
      isSet[v] = 1;
      for (let c = 0; c < 3; c++) out[v * 3 + c] = Math.min(Math.max(colour[c] * (colours?.[v * 4 + c] ?? 1), 0), 1);
    }
  }
  return out;
}
