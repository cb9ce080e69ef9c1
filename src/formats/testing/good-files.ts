import { makeSegmentMesh } from '../../core/segment/registry';
import type { NamedBytes } from '../format';
import { FORMATS } from '../registry';

const bytes = (text: string) => new TextEncoder().encode(text);
const tube = makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.3, sides: 5 });
const lines = (...rows: string[]) => rows.join('\n') + '\n';

/** A GLB of some JSON and bytes beside it (glTF 2.0, section 4.4). */
export function glbOf(json: unknown, data = new Uint8Array()): Uint8Array {
  const text = bytes(JSON.stringify(json));
  const padded = (n: number) => Math.ceil(n / 4) * 4;
  const out = new Uint8Array(12 + 8 + padded(text.length) + (data.length > 0 ? 8 + padded(data.length) : 0)).fill(32);
  const view = new DataView(out.buffer);
  const words = [0x46546c67, 2, out.length, padded(text.length), 0x4e4f534a];
  words.forEach((word, i) => view.setUint32(i * 4, word, true));
  out.set(text, 20);
  if (data.length > 0) {
    view.setUint32(20 + padded(text.length), padded(data.length), true);
    view.setUint32(24 + padded(text.length), 0x004e4942, true);
    out.set(data, 28 + padded(text.length));
  }
  return out;
}

/** A sheet of four vertices as strip, fan and loop, below a node of its own, in colours. */
export const smallGltf = () => {
  const places = Float32Array.of(0, 0, 0, 1, 0, 0, 0, 1, 0, 1, 1, 0);
  const uv = Float32Array.of(0, 0, 1, 0, 0, 1, 1, 1);
  const indices = Uint16Array.of(0, 1, 2, 3);
  const data = new Uint8Array(48 + 32 + 48 + 8);
  [places, uv, Float32Array.of(...places), indices].reduce((at, part) => {
    data.set(new Uint8Array(part.buffer), at);
    return at + part.byteLength;
  }, 0);
  const view = (byteOffset: number, byteLength: number) => ({ buffer: 0, byteOffset, byteLength });
  const attributes = { POSITION: 0, TEXCOORD_0: 1, COLOR_0: 2 };
  const primitive = (mode: number) => ({ attributes, indices: 3, mode, material: 0 });
  const json = {
    asset: { version: '2.0' },
    scene: 0,
    scenes: [{ nodes: [0] }],
    nodes: [
      { children: [1], scale: [2, 2, 2] },
      { mesh: 0, name: 'Sheet', translation: [0, 1, 0] },
    ],
    meshes: [{ name: 'Sheet', primitives: [primitive(4), primitive(5), primitive(6), primitive(2), primitive(3)] }],
    materials: [{ name: 'Tin', pbrMetallicRoughness: { baseColorFactor: [1, 0.5, 0, 1], roughnessFactor: 0.4 } }],
    accessors: [
      { bufferView: 0, componentType: 5126, count: 4, type: 'VEC3', min: [0, 0, 0], max: [1, 1, 0] },
      { bufferView: 1, componentType: 5126, count: 4, type: 'VEC2' },
      { bufferView: 2, componentType: 5126, count: 4, type: 'VEC3' },
      { bufferView: 3, componentType: 5123, count: 4, type: 'SCALAR' },
    ],
    bufferViews: [view(0, 48), view(48, 32), view(80, 48), view(128, 8)],
    buffers: [{ byteLength: data.length }],
  };
  return { json, data };
};

const dxf = (): string => {
  const groups: (string | number)[] = [
    ...[0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 4, 0, 'ENDSEC', 0, 'SECTION', 2, 'BLOCKS'],
    ...[0, 'BLOCK', 2, 'Bay', 10, 1, 20, 0, 30, 0, 0, 'LINE', 8, 'A', 10, 0, 20, 0, 11, 2, 21, 1, 0, 'ENDBLK'],
    ...[0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES', 0, 'LINE', 8, 'A', 10, 0, 20, 0, 30, 0, 11, 5, 21, 0, 31, 0],
    ...[0, 'INSERT', 2, 'Bay', 10, 3, 20, 3, 41, 2, 42, 2, 50, 90, 70, 3, 71, 2, 44, 5, 45, 5],
    ...[0, 'LWPOLYLINE', 8, 'K', 90, 3, 70, 1, 10, 0, 20, 0, 42, 1, 10, 4, 20, 0, 10, 4, 20, 4],
    ...[0, 'POLYLINE', 8, 'P', 70, 0, 0, 'VERTEX', 10, 0, 20, 0, 0, 'VERTEX', 10, 1, 20, 2, 0, 'SEQEND'],
    ...[0, 'ARC', 8, 'A', 10, 0, 20, 0, 40, 5, 50, 10, 51, 200, 0, 'CIRCLE', 10, 1, 20, 1, 40, 2],
    ...[0, 'ELLIPSE', 10, 0, 20, 0, 11, 4, 21, 0, 40, 0.5, 41, 0, 42, 3, 0, 'SPLINE', 71, 2, 40, 0, 40, 0, 40, 0],
    ...[40, 1, 40, 1, 40, 1, 10, 0, 20, 0, 10, 1, 20, 1, 10, 2, 20, 0, 0, 'ENDSEC', 0, 'EOF'],
  ];
  return lines(...groups.map(String));
};

const SVG =
  '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" width="200mm" viewBox="0 0 400 300"><g transform="translate(5 5) rotate(10)">' +
  '<path id="Quay" d="M50 200C80 100 90 50 120 120S200 10 260 200Q10 10 40 40T9 9a5 4 20 1 0 9 9Zm1 1h5v5z"/></g><circle cx="10%" cy="5mm" r="1in"/>' +
  '<svg x="10" y="10" width="50" height="50" viewBox="0 0 5 5"><polyline points="0,0 1,2 3,4" style="stroke:red"/></svg><rect width="9" height="5" rx="2"/></svg>';

/** Sound files of every kind that is read: of meshes, and of paths. */
export async function goodFiles(): Promise<{
  readonly meshes: readonly NamedBytes[];
  readonly paths: readonly NamedBytes[];
}> {
  const written = await Promise.all(
    FORMATS.filter(({ write, read }) => write && read).map(({ write }) =>
      write!([{ name: 'tube', mesh: tube }], 'tube'),
    ),
  );
  const { json, data } = smallGltf();
  const inside = {
    byteLength: data.length,
    uri: `data:application/octet-stream;base64,${btoa(String.fromCharCode(...data))}`,
  };
  const ply = (format: string, body: Uint8Array) => {
    const head = lines('ply', `format ${format} 1.0`, 'element vertex 3', ...['x', 'y', 'z'].map((c) => `property float ${c}`), 'property uchar red', 'property uchar green', 'property uchar blue', 'element face 1', 'property list uchar int vertex_indices', 'end_header'); // prettier-ignore
    return Uint8Array.from([...bytes(head), ...body]);
  };
  const binary = new DataView(new ArrayBuffer(3 * 15 + 13));
  for (let v = 0; v < 3; v++) binary.setFloat32(v * 15 + v * 4, 1, true);
  binary.setUint8(45, 3);
  for (let k = 0; k < 3; k++) binary.setInt32(46 + k * 4, k, true);
  const facet = (z: number) =>
    `facet normal 0 0 1\nouter loop\nvertex 0 0 ${z}\nvertex 1 0 ${z}\nvertex 0 1.5e0 ${z}\nendloop\nendfacet`;
  const meshes: NamedBytes[] = [
    ...written.map(([main]) => main),
    { name: 'small.glb', bytes: glbOf(json, data) },
    { name: 'small.gltf', bytes: bytes(JSON.stringify({ ...json, buffers: [inside] })) },
    { name: 'quad.obj', bytes: bytes(lines('mtllib a.mtl', 'o Quad', 'v 0 0 0', 'v 1 0 0', 'v 1 1 0', 'v 0 1 0', 'vt 0 0', 'vt 1 \\', '0', 'vn 0 0 1', 'usemtl Tin', 'f 1/1/1 2/2/1 3/1/1 -1/2/1')) }, // prettier-ignore
    { name: 'ascii.stl', bytes: bytes(lines('solid a', facet(0), facet(1), 'endsolid a')) },
    {
      name: 'ascii.ply',
      bytes: ply('ascii', bytes(lines('0 0 0 255 0 0', '1 0 0 0 255 0', '0 1 0 0 0 255', '3 0 1 2'))),
    },
    { name: 'little.ply', bytes: ply('binary_little_endian', new Uint8Array(binary.buffer)) },
  ];
  const geo = { type: 'FeatureCollection', features: [{ type: 'Feature', properties: { name: 'Quay' }, geometry: { type: 'LineString', coordinates: [[10, 50, 3], [10.001, 50.001, 4]] } }, { type: 'Feature', properties: null, geometry: { type: 'MultiPolygon', coordinates: [[[[10, 50], [10.01, 50], [10.01, 50.01], [10, 50]]]] } }] }; // prettier-ignore
  const paths: NamedBytes[] = [
    { name: 'plan.svg', bytes: bytes(SVG) },
    { name: 'plan.dxf', bytes: bytes(dxf()) },
    { name: 'named.csv', bytes: bytes(lines('x;y;z', '1,5;2,5;3', '"2";3;4', '5;6;7')) },
    { name: 'plain.csv', bytes: bytes(lines('1,0.5,2,3', '2,1.5,2,3', '3,2.5,2,3')) },
    { name: 'quay.geojson', bytes: bytes(JSON.stringify(geo)) },
    { name: 'line.obj', bytes: bytes(lines('v 0 0 0', 'v 1 0 0', 'v 1 1 0', 'o Rail', 'l 1 2', 'l 2 3 -1')) },
    { name: 'lines.glb', bytes: glbOf({ ...json, meshes: [{ primitives: [1, 2, 3].map((mode) => ({ ...json.meshes[0].primitives[0], mode })) }] }, data) }, // prettier-ignore
  ];
  return { meshes, paths };
}
