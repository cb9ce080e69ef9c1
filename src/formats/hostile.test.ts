import { join } from 'node:path';
import { Piscina } from 'piscina';
import { unwrap } from '../core/testing/runs';
import { readPaths } from './paths/registry';
import { readMesh } from './registry';
import type { FuzzOutcome } from './testing/fuzz-case';
import { glbOf, goodFiles, smallGltf } from './testing/good-files';

const bytesOf = (text: string) => new TextEncoder().encode(text);
const meshOf = (name: string, bytes: Uint8Array | string) =>
  readMesh([{ name, bytes: typeof bytes === 'string' ? bytesOf(bytes) : bytes }]);
const pathsOf = (name: string, bytes: Uint8Array | string) =>
  readPaths({ name, bytes: typeof bytes === 'string' ? bytesOf(bytes) : bytes });
const code = (result: Awaited<ReturnType<typeof meshOf | typeof pathsOf>>) =>
  result.ok ? ['ok', ...result.warnings.map((w) => w.code)].join(' ') : result.problems[0].code;

/** How long reading takes, seconds, and what comes of it. */
async function timed<T>(read: () => Promise<T>): Promise<{ seconds: number; result: T }> {
  const begun = performance.now();
  const result = await read();
  return { seconds: (performance.now() - begun) / 1000, result };
}
/** Five on a quiet machine; what this guards against took minutes or never ended. */
const MOST_SECONDS = 15;

type Gltf = ReturnType<typeof smallGltf>['json'];
const spoilt = (change: (json: Gltf & Record<string, unknown>) => void) => {
  const { json, data } = smallGltf();
  change(json);
  return glbOf(json, data);
};

describe('limits are looked at before anything is made', () => {
  const claims = (count: number, mode: number) =>
    glbOf({
      asset: { version: '2.0' },
      scene: 0,
      scenes: [{ nodes: [0] }],
      nodes: [{ mesh: 0 }],
      meshes: [{ primitives: [{ attributes: { POSITION: 0 }, mode }] }],
      accessors: [{ componentType: 5126, count, type: 'VEC3' }],
    });
  it.each([
    ['GLB of a strip of fifty million vertices without data', claims(5e7, 5), 'gltf.broken'],
    ['GLB of six hundred million vertices without data', claims(6e8, 4), 'gltf.broken'],
    ['GLB whose buffer is larger than it', spoilt((g) => (g.buffers[0].byteLength = 5e8)), 'gltf.broken'],
    ['PLY of 9e15 vertices', 'ply\nformat ascii 1.0\nelement vertex 9000000000000000\nproperty float x\nproperty float y\nproperty float z\nend_header\n0 0 0\n', 'ply.counts'], // prettier-ignore
    ['PLY of 9e15 elements without properties', 'ply\nformat ascii 1.0\nelement vertex 0\nproperty float x\nproperty float y\nproperty float z\nelement other 9000000000000000\nend_header\n', 'ply.counts'], // prettier-ignore
  ])('%s', async (_, file, problem) => {
    const name = typeof file === 'string' ? 'a.ply' : 'a.glb';
    const { seconds, result } = await timed(() => meshOf(name, file));
    expect([code(result), seconds < 1]).toEqual([problem, true]);
  });

  it('a mesh that many nodes show is counted as often', async () => {
    const { json, data } = smallGltf();
    const many = Array.from({ length: 20_000 }, () => ({ mesh: 0 }));
    const scene = [{ nodes: many.map((_, i) => i) }];
    expect(code(await meshOf('a.glb', glbOf({ ...json, nodes: many, scenes: scene }, data)))).toBe('gltf.broken');
  });
});

describe('reading ends', () => {
  const pairs = (...groups: (string | number)[]) => groups.join('\n') + '\n';
  const dxf = (...groups: (string | number)[]) => pairs(0, 'SECTION', 2, 'ENTITIES', ...groups, 0, 'ENDSEC', 0, 'EOF');
  const spline = (degree: number, count: number) => {
    const knots = Array.from({ length: count + degree + 1 }, (_, i) => `40\n${Math.min(Math.max(i - degree, 0), count - degree)}`); // prettier-ignore
    const controls = Array.from({ length: count }, (_, i) => `10\n${i}\n20\n${Math.sin(i)}\n30\n0`);
    return dxf(0, 'SPLINE', 71, degree, knots.join('\n'), controls.join('\n'));
  };
  const star = Array.from({ length: 60_000 }, (_, i) => `v ${i + 1} 0 1\nl 1 ${i + 2}`).join('\n');
  const chain = Array.from({ length: 1_000_000 }, (_, i) => `v ${i} 0 0\nl -1 -2`).slice(1);
  const corners = Array.from({ length: 60_000 }, (_, i) => `vt ${i / 60_000} 0\nf 1/${i + 1} 2/1 3/1`).join('\n');
  const polygon = Array.from({ length: 200_000 }, (_, i) => i + 1);
  it.each<[string, () => Promise<unknown>]>([
    ['DXF cut inside a POLYLINE', () => pathsOf('a.dxf', pairs(0, 'SECTION', 2, 'ENTITIES', 0, 'POLYLINE', 70, 0, 0, 'VERTEX', 10, 0, 20))], // prettier-ignore
    ['DXF cut inside a LAYER', () => pathsOf('a.dxf', pairs(0, 'SECTION', 2, 'TABLES', 0, 'TABLE', 2, 'LAYER', 0, 'LAYER', 2))], // prettier-ignore
    ['ellipse to 1e9 radians', () => pathsOf('a.dxf', dxf(0, 'ELLIPSE', 10, 0, 20, 0, 11, 4, 21, 0, 40, 0.5, 41, 0, 42, 1e9))], // prettier-ignore
    ['spline of 20,000 controls', () => pathsOf('a.dxf', spline(3, 20_000))],
    ['spline of degree 12 with 3,000', () => pathsOf('a.dxf', spline(12, 3000))],
    ['60,000 lines that meet in one place', () => pathsOf('a.obj', `v 0 0 0\n${star}`)],
    ['60,000 texture coordinates on one vertex', () => meshOf('a.obj', `v 0 0 0\nv 1 0 0\nv 0 1 0\n${corners}`)],
    ['300,000 lines that go on', () => meshOf('a.obj', `v 0 0 \\\n${'\\\n'.repeat(300_000)}0\nv 1 0 0\nv 0 1 0\nf 1 2 3`)], // prettier-ignore
    ['100 MB without a new line', () => meshOf('a.obj', new Uint8Array(1e8).fill(49))],
    ['a polygon of 200,000 vertices', () => meshOf('a.obj', `${polygon.map((i) => `v ${i} ${i * i} 0`).join('\n')}\nf ${polygon.join(' ')}`)], // prettier-ignore
    ['a line of 200,000 vertices', () => pathsOf('a.obj', `${polygon.map((i) => `v ${i} 0 0`).join('\n')}\nl ${polygon.join(' ')}\nl 200000 1`)], // prettier-ignore
    ['a drawing whose block holds itself', () => pathsOf('a.dxf', pairs(0, 'SECTION', 2, 'BLOCKS', 0, 'BLOCK', 2, 'A', 0, 'INSERT', 2, 'A', 70, 99, 71, 99, 0, 'ENDBLK', 0, 'ENDSEC') + dxf(0, 'INSERT', 2, 'A'))], // prettier-ignore
  ])('%s', async (_, read) => {
    const { seconds } = await timed(read);
    expect(seconds).toBeLessThan(MOST_SECONDS);
  });

  it('a million lines of two points: one line, with progress all along', async () => {
    const told: number[] = [];
    const file = { name: 'a.obj', bytes: bytesOf(`v -1 0 0\n${chain.join('\n')}`) };
    const { paths } = unwrap(await readPaths(file, (share) => told.push(share)));
    expect(paths.map(({ points }) => points.length)).toEqual([1_000_000]);
    expect(told.length).toBeGreaterThan(50); // where it can be stopped
  }, 30_000);
});

describe('more points than can be held', () => {
  const many = <T>(of: (i: number) => T) => Array.from({ length: 1_600_000 }, (_, i) => of(i));
  it.each<[string, () => string]>([
    ['a.csv', () => many((i) => `${i},2`).join('\n')],
    ['a.svg', () => `<svg><path d="M0 0${many((i) => `L${i % 9} 5`).join('')}"/></svg>`],
    ['a.geojson', () => `{"type":"LineString","coordinates":[${many(() => '[9,50]').join()}]}`],
    ['a.dxf', () => `0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n${many((i) => `10\n${i}`).join('\n')}\n0\nENDSEC\n0\nEOF\n`], // prettier-ignore
    ['a.obj', () => many((i) => `v ${i} 0 0`).join('\n')],
  ])(
    'are refused in %s, by a number',
    async (name, text) => {
      const { seconds, result } = await timed(() => pathsOf(name, text()));
      expect([code(result), seconds < MOST_SECONDS]).toEqual(['paths.too-many-points', true]);
    },
    30_000,
  );
});

it('a large OBJ and a large PLY tell how far they are, so that they can be stopped', async () => {
  const count = 150_000;
  const ply = `ply\nformat ascii 1.0\nelement vertex ${count}\nproperty float x\nproperty float y\nproperty float z\nelement face 1\nproperty list uchar int vertex_indices\nend_header\n${'1 2 3\n'.repeat(count)}3 0 1 2\n`;
  const obj = `${'v 1 2 3\n'.repeat(count)}f 1 2 3\n`;
  for (const [name, text] of [
    ['a.ply', ply],
    ['a.obj', obj],
  ] as const) {
    // prettier-ignore
    const told: number[] = [];
    unwrap(await readMesh([{ name, bytes: bytesOf(text) }], (share) => told.push(share)));
    expect(told.length).toBeGreaterThan(2);
    expect(told).toEqual(told.toSorted((a, b) => a - b));
    expect(told.every((share) => share >= 0 && share <= 1)).toBe(true);
  }
});

describe('what does not fit together is told', () => {
  it.each([
    ['an attribute longer than POSITION', spoilt((g) => (g.accessors[0].count = 3)), 'gltf.broken'],
    ['positions in a plane', spoilt((g) => (g.accessors[0].type = 'VEC2')), 'gltf.broken'],
    ['nodes within themselves', spoilt((g) => (g.nodes[1].children = [0])), 'gltf.broken'],
    ['nodes too deep', spoilt((g) => Object.assign(g, { nodes: Array.from({ length: 5000 }, (_, i) => ({ children: i < 4999 ? [i + 1] : [] })) })), 'gltf.broken'], // prettier-ignore
    ['buffers that are no list', spoilt((g) => Object.assign(g, { buffers: 7 })), 'gltf.broken'],
    ['colours of three numbers', spoilt((g) => (g.materials[0].pbrMetallicRoughness.baseColorFactor = [1, 1, 1])), 'gltf.broken'], // prettier-ignore
    ['colours beyond 1, brought back', spoilt((g) => (g.materials[0].pbrMetallicRoughness.baseColorFactor = [7, 0, 0, 1])), 'ok gltf.not-triangles gltf.clamped'], // prettier-ignore
  ])('GLB: %s', async (_, file, problem) => expect(code(await meshOf('a.glb', file))).toBe(problem));

  it.each([
    ['a PLY property called constructor', 'a.ply', 'ply\nformat ascii 1.0\nelement vertex 1\nproperty constructor x\nend_header\n0\n', 'ply.header'], // prettier-ignore
    ['a PLY without x', 'a.ply', 'ply\nformat ascii 1.0\nelement vertex 1\nproperty float y\nproperty float z\nend_header\n0 0\n', 'ply.no-places'], // prettier-ignore
    ['an ASCII STL cut in a facet', 'a.stl', 'solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 1 0 0\nvertex 0 1 0\nendloop\nendfacet\nfacet normal 0 0 1\nouter loop\nvertex 0 0', 'file.truncated'], // prettier-ignore
  ])('%s', async (_, name, text, problem) => expect(code(await meshOf(name, text))).toBe(problem));

  it('a binary STL that holds more than it says', async () => {
    const { meshes } = await goodFiles();
    const sound = meshes.find(({ name }) => name === 'tube.stl')!.bytes;
    expect(code(await meshOf('a.stl', sound))).toBe('ok');
    const longer = Uint8Array.from([...sound, ...new Uint8Array(50)]);
    expect(code(await meshOf('a.stl', longer))).toBe('ok stl.size');
  });

  it.each([
    ['{"type":"LineString","coordinates":null}', 'geojson.broken'],
    ['{"type":"LineString","coordinates":[null,[1,2]]}', 'geojson.position'],
    ['{"type":"Feature","geometry":{"type":"Polygon","coordinates":[7]}}', 'geojson.broken'],
    ['{"type":"FeatureCollection","features":{}}', 'geojson.broken'],
    ['null', 'geojson.broken'],
  ])('GeoJSON %s', async (text, problem) => expect(code(await pathsOf('a.geojson', text))).toBe(problem));
});

describe('numbers mean what they say', () => {
  const placesOf = async (name: string, text: string | Uint8Array) =>
    unwrap(await pathsOf(name, text)).paths.map(({ points }) => points.map(({ position }) => position));

  it.each<[string, string, readonly (readonly number[])[]]>([
    ['a first column that counts', '1,0.5,2,3\n2,1.5,2,3\n3,2.5,2,3', [[0.5, 2, 3], [1.5, 2, 3], [2.5, 2, 3]]],
    ['decimal commas without names', '1,5;2,5\n2,5;3,5\n', [[1.5, 2.5, 0], [2.5, 3.5, 0]]],
    ['mixed ends of lines', 'x,y\r\n1,2\n3,4\r5,6', [[1, 2, 0], [3, 4, 0], [5, 6, 0]]],
    ['UTF-16', '\uFEFFx\ty\n1\t2\n3\t4', [[1, 2, 0], [3, 4, 0]]],
  ])('CSV: %s', async (what, text, places) => {
    const wide = new Uint8Array(Uint16Array.from(text, (c) => c.charCodeAt(0)).buffer);
    expect(await placesOf('a.csv', what === 'UTF-16' ? wide : text)).toEqual([places]);
  }); // prettier-ignore

  it('CSV: thousands that may be decimals are asked about', async () => {
    expect(code(await pathsOf('a.csv', 'x,y\n"1,234",5\n"2,345",6'))).toBe('csv.ambiguous');
  });

  it('SVG: lengths have units and shares of the view box; what is not displayed is no line', async () => {
    // 96 user units an inch (CSS Values and Units 3, section 6.2); percent of the box's width and height (SVG 2, section 8.9).
    const svg = (inside: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 100">${inside}</svg>`;
    const line = '<line x1="10%" y1="10%" x2="1in" y2="25.4mm"/>';
    const hidden = '<g style="fill:none; display:none"><path d="M0 0L9 9"/></g><path display="none" d="M0 0L9 9"/>';
    const inner =
      '<svg x="100" width="50" height="50" viewBox="10 10 5 5"><line x1="10" y1="10" x2="15" y2="15"/></svg>';
    const near = (places: number[][]) => places.map((place) => place.map((v) => expect.closeTo(v, 9)));
    expect(await placesOf('a.svg', svg(line + hidden + inner))).toEqual([
      near([[20, -10, 0], [96, -96, 0]]), // prettier-ignore
      near([[100, 0, 0], [150, -50, 0]]), // prettier-ignore
    ]);
  });

  it('SVG: entities stand for their text, and those that hold others are refused', async () => {
    const svg = (entities: string, d: string) => `<!DOCTYPE svg [${entities}]><svg><path d="${d}"/></svg>`;
    expect(await placesOf('a.svg', svg('<!ENTITY far "L3 4">', 'M0 0&far;'))).toEqual([[[0, -0, 0], [3, -4, 0]]]); // prettier-ignore
    const bomb = '<!ENTITY a "L1 1L2 2"><!ENTITY b "&a;&a;&a;"><!ENTITY c "&b;&b;&b;">';
    expect(code(await pathsOf('a.svg', svg(bomb, 'M0 0&c;')))).toBe('svg.broken');
  });

  it('DXF: a block is drawn where it is inserted, scaled, turned and repeated', async () => {
    const { paths } = await goodFiles();
    const drawing = unwrap(await readPaths(paths.find(({ name }) => name === 'plan.dxf')!));
    // The block's line from (0, 0) to (2, 1) about the base (1, 0), twice as large and turned by 90°: from (3, 1) to (1, 5); columns 5 up, rows 5 left.
    const ends = drawing.paths.flatMap(({ points }) => (points.length === 2 ? [points.map(({ position }) => position.map((v) => Math.round(v * 1e9) / 1e9 + 0))] : [])); // prettier-ignore
    for (const [i, j] of [[0, 0], [1, 0], [2, 1]] as const) // prettier-ignore
      expect(ends).toContainEqual([[3 - 5 * j, 1 + 5 * i, 0], [1 - 5 * j, 5 + 5 * i, 0]]); // prettier-ignore
  });
});

describe('damaged files, 200 a reader', () => {
  // In a thread that is ended where a reader hangs.
  const thread = join(process.cwd(), 'scripts/fuzz-thread.mjs');
  const pool = new Piscina({ filename: thread, minThreads: 1, maxThreads: 1 });
  afterAll(() => pool.destroy());

  it.each(['mesh', 'path'] as const)(
    'of the kind %s: no throw, and none hangs',
    async (what) => {
      const files = (await goodFiles())[what === 'mesh' ? 'meshes' : 'paths'];
      await pool.run({ what, file: files[0], seed: 0 });
      for (const file of files)
        for (let seed = 10_001; seed <= 10_200; seed++) {
          const signal = AbortSignal.timeout(MOST_SECONDS * 1000);
          const { threw } = (await pool.run({ what, file, seed }, { signal })) as FuzzOutcome;
          if (threw) throw new Error(`${file.name} at seed ${seed}: ${threw}`);
        }
    },
    60_000,
  );
});
