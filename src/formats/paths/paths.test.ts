import { BufferGeometry, Float32BufferAttribute, Line, LineLoop, LineSegments, MeshBasicMaterial, Scene } from 'three';
import { GLTFExporter } from 'three/examples/jsm/exporters/GLTFExporter.js';
import { svgPathProperties } from 'svg-path-properties';
import fc from 'fast-check';
import { buildArcTable } from '../../core/curve/arc-table';
import { deviation } from '../../core/edit/deviation';
import type { CurveSpec } from '../../core/curve/registry';
import { compiled, unwrap } from '../../core/testing/runs';
import { cross, dot, sub, type Vec3 } from '../../core/math/vec3';
import { looksSmooth, placePath, type Placing } from './place-paths';
import type { BroughtPaths } from './path-format';
import { PATH_READERS, PATH_WRITERS, readPaths } from './registry';

const bytes = (text: string) => new TextEncoder().encode(text);
const read = async (name: string, text: string): Promise<BroughtPaths> =>
  unwrap(await readPaths({ name, bytes: bytes(text) }));
const problemOf = async (name: string, text: string) => {
  const result = await readPaths({ name, bytes: bytes(text) });
  return result.ok ? undefined : result.problems[0];
};
const AS_IS: Placing = {
  isSmooth: false,
  unit: 1,
  plane: 'ground',
  up: 'y',
  isFlat: true,
  tolerance: 0,
  toOrigin: false,
};
const lengthOf = (spec: CurveSpec) => buildArcTable(compiled(spec)).length;
const lengths = ({ paths, isFlat, up = 'y' }: BroughtPaths) =>
  paths.map((path) => lengthOf(placePath(path, { ...AS_IS, isFlat, up })));
/** The largest of some measure at many places of a curve. */
const farthestFrom = (spec: CurveSpec, off: (x: number, y: number) => number) => {
  const [curve, out] = [compiled(spec), new Float64Array(3)];
  let most = 0;
  for (let k = 0; k <= 200; k++) {
    curve.pointAt(out, 0, k / 200);
    most = Math.max(most, off(out[0], out[1]));
  }
  return most;
};
const svgOf = (inside: string, attributes = '') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inside}</svg>`;

describe('SVG', () => {
  // Independent: svg-path-properties measures the same data; elliptical arcs it sums in chords, 1.3e-5 short.
  it.each([
    'M10 20 L30 50 H90 V-10 h-5 v3 l2 2',
    'M0 0 C10 30 40 30 50 0 S90 -30 100 0',
    'm5 5 q20 40 40 0 t40 0 t20 10',
    'M10 315 L110 215 A30 50 0 0 1 162.55 162.45 L172.55 152.45 A30 50 -45 0 1 215.1 109.9 L315 10',
    'M100 100 a40 20 30 1 0 50 30',
    'M0 0 L10 0 L10 10 Z',
  ])('has the length of %s', async (d) => {
    const [length] = lengths(await read('a.svg', svgOf(`<path d="${d}"/>`)));
    expect(length / new svgPathProperties(d).getTotalLength()).toBeCloseTo(1, d.includes('a40') ? 4 : 5);
  });

  it('has arcs within 4e-6 of their radius, whichever way they go, turned and stretched', async () => {
    const flags = ['0 0', '0 1', '1 0', '1 1'];
    for (const flag of flags) {
      const d = `M0 0 A5 5 0 ${flag} 6 0`;
      const [path] = (await read('a.svg', svgOf(`<path d="${d}"/>`))).paths;
      const centre = flag === '0 1' || flag === '1 0' ? -4 : 4; // 3, 4 and 5: y up, so above or below
      const spec = placePath(path, { ...AS_IS, isFlat: false });
      expect(farthestFrom(spec, (x, y) => Math.abs(Math.hypot(x - 3, y - centre) / 5 - 1))).toBeLessThan(5e-6);
      const whole = 2 * Math.PI * 5;
      const small = 2 * 5 * Math.asin(3 / 5);
      expect(lengthOf(spec) / (flag[0] === '1' ? whole - small : small)).toBeCloseTo(1, 5);
    }
    // Radii too small for their ends grow: a half circle of radius 10 (SVG 2, section 9.5.1).
    const half = await read('b.svg', svgOf('<g transform="rotate(30) scale(2)"><path d="M0 0A1 1 20 0 1 20 0"/></g>'));
    expect(lengths(half)[0] / (20 * Math.PI)).toBeCloseTo(1, 5);
    expect(lengths(await read('c.svg', svgOf('<path d="M0 0A0 5 0 0 1 7 0"/>')))[0]).toBeCloseTo(7, 9);
  });

  it('parts subpaths, closes them, and turns y up', async () => {
    const { paths, isFlat } = await read('a.svg', svgOf('<path id="kerb" d="M0 0L4 0L4 3Z m10 0 l1 0 M0 9 L0 12"/>'));
    expect(isFlat).toBe(true);
    expect(paths.map(({ closed, name }) => [closed, name])).toEqual([
      [true, 'kerb'],
      [false, 'kerb, part 2'],
      [false, 'kerb, part 3'],
    ]);
    expect(paths[0].points.map(({ position }) => position.map((v) => v + 0))).toEqual([[0, 0, 0], [4, 0, 0], [4, -3, 0]]); // prettier-ignore
    expect(paths[1].points[0].position[0]).toBe(10); // a move after a close is told from the start of what was closed
  });

  it('takes transforms of groups, from the outside in, and basic shapes', async () => {
    const { paths } = await read(
      'a.svg',
      svgOf('<g transform="translate(100 0)"><g transform="scale(2)"><line x1="1" y1="1" x2="3" y2="1"/></g></g>'),
    );
    expect(paths[0].points.map(({ position }) => position)).toEqual([[102, -2, 0], [106, -2, 0]]); // prettier-ignore
    const shapes = lengths(
      await read(
        'a.svg',
        svgOf(
          '<circle r="5"/><rect width="4" height="3"/><polyline points="0,0 3,4"/><polygon points="0,0 3,0 3,4"/><ellipse rx="5" ry="5" cx="9"/><rect width="10" height="6" rx="2"/>',
        ),
      ),
    );
    const round = 2 * Math.PI * 5;
    [round, 14, 5, 12, round, 32 - 16 + 4 * Math.PI].forEach((wanted, i) =>
      expect(shapes[i] / wanted).toBeCloseTo(1, 3),
    );
  });

  it('knows its scale when its size has a unit, and says when it has no path', async () => {
    expect(
      (await read('a.svg', svgOf('<path d="M0 0L9 9"/>', 'width="210mm" viewBox="0 0 2100 2970"'))).unit,
    ).toBeCloseTo(1e-4, 12);
    expect(
      (await read('a.svg', svgOf('<path d="M0 0L9 9"/>', 'width="210" viewBox="0 0 210 297"'))).unit,
    ).toBeUndefined();
    expect(await problemOf('a.svg', svgOf('<text>hello</text>'))).toMatchObject({ code: 'paths.none' });
    expect(await problemOf('a.svg', svgOf('<path d="M0 0 C1 2"/>'))).toMatchObject({ code: 'svg.path' });
    expect(await problemOf('a.svg', '<svg><path d=')).toMatchObject({ code: 'svg.broken' });
    expect(await problemOf('a.svg', 'no xml at all')).toMatchObject({ code: 'svg.broken' });
  });
});

describe('CSV', () => {
  it.each([
    [
      'names',
      'x,y,z\n1,2,3\n4,5,6',
      [
        [1, 2, 3],
        [4, 5, 6],
      ],
    ],
    [
      'names in another order, with units, semicolons and decimal commas',
      'station;Height (m);Easting [m];Northing\n0;3,5;1,25;2\n1;6;4;5',
      [
        [1.25, 2, 3.5],
        [4, 5, 6],
      ],
    ],
    [
      'no names',
      '1\t2\n4\t5\n7\t8',
      [
        [1, 2, 0],
        [4, 5, 0],
        [7, 8, 0],
      ],
    ],
    [
      'blank lines and spaces',
      ' 1 , 2 , 3 \n\n 4 , 5 , 6 \n',
      [
        [1, 2, 3],
        [4, 5, 6],
      ],
    ],
  ])('with %s', async (_, text, wanted) => {
    // prettier-ignore
    const { paths } = await read('points.csv', text);
    expect(paths[0].points.map(({ position }) => position)).toEqual(wanted);
  });

  it('says which line is wrong, and which columns there are', async () => {
    expect(await problemOf('a.csv', 'x,y\n1,2\n\n3,NaN\n')).toMatchObject({
      code: 'csv.number',
      facts: { line: 4, text: 'NaN' },
    });
    expect(await problemOf('a.csv', 'name,colour\na,b')).toMatchObject({
      code: 'csv.columns',
      facts: { names: 'name, colour' },
    });
    expect(await problemOf('a.csv', 'x,y\n1,2')).toMatchObject({ code: 'paths.none' });
  });

  it('with 100,000 points becomes a path thinned within the tolerance', async () => {
    const place = (i: number) => [i / 1000, Math.sin(i / 4000) * 5, Math.cos(i / 9000)] as const;
    const text = `x,y,z\n${Array.from({ length: 100_000 }, (_, i) => place(i).join()).join('\n')}`;
    const told: number[] = [];
    const brought = unwrap(await readPaths({ name: 'survey.csv', bytes: bytes(text) }, (share) => told.push(share)));
    expect(told.length).toBeGreaterThan(10);
    expect(told).toEqual(told.toSorted((a, b) => a - b));
    const placing = { ...AS_IS, isFlat: false, tolerance: 0.002 };
    const spec = placePath(brought.paths[0], placing);
    expect(spec.points.length).toBeLessThan(2000);
    let most = 0;
    for (let i = 0, leg = 0; i < 100_000; i += 7) {
      const p = place(i);
      while (spec.points[leg + 1].position[0] < p[0]) leg++;
      const [a, b] = [spec.points[leg].position, spec.points[leg + 1].position];
      const t = (p[0] - a[0]) / (b[0] - a[0]);
      most = Math.max(most, Math.hypot(a[1] + t * (b[1] - a[1]) - p[1], a[2] + t * (b[2] - a[2]) - p[2]));
    }
    expect(most).toBeLessThan(0.0033); // within 2 mm square to a chord that rises by 1.25
    expect(placePath(brought.paths[0], { ...placing, tolerance: 0 }).points.length).toBeLessThanOrEqual(20_000);
  });
});

const dxfOf = (entities: string, units = 1) =>
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${units}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
const pairs = (...values: (string | number)[]) => `${values.join('\n')}\n`;

describe('DXF', () => {
  it('in inches, with a bulge, is that long', async () => {
    // Two straight sides of 10 and a half circle of diameter 4 between them: bulge 1 = 180° (DXF Reference, LWPOLYLINE).
    const line = pairs(
      0,
      'LWPOLYLINE',
      8,
      'Kerb',
      90,
      4,
      70,
      0,
      10,
      0,
      20,
      0,
      10,
      10,
      20,
      0,
      42,
      1,
      10,
      10,
      20,
      4,
      10,
      0,
      20,
      4,
    );
    const brought = await read('a.dxf', dxfOf(line));
    expect(brought).toMatchObject({ unit: 0.0254, isFlat: true, up: 'z' });
    expect(lengths(brought)[0] / (20 + 2 * Math.PI)).toBeCloseTo(1, 5);
    // Counterclockwise from (10, 0) to (10, 4): it bulges to larger x.
    expect(Math.max(...brought.paths[0].points.map(({ position }) => position[0]))).toBeCloseTo(12, 5);
  });

  it('has arcs, circles and ellipses within 4e-6 of their radius', async () => {
    const arc = pairs(0, 'ARC', 8, 'A', 10, 1, 20, 2, 30, 0, 40, 5, 50, 300, 51, 60);
    const circle = pairs(0, 'CIRCLE', 8, 'A', 10, 1, 20, 2, 30, 0, 40, 5);
    const [a, c] = lengths(await read('a.dxf', dxfOf(arc + circle, 6)));
    expect(a / ((2 * Math.PI * 5) / 3)).toBeCloseTo(1, 5);
    expect(c / (2 * Math.PI * 5)).toBeCloseTo(1, 5);
    // Ellipse with semi-axes 2 and 1: perimeter 9.688448220547675 (complete elliptic integral, references row of arc lengths).
    const ellipse = pairs(
      0,
      'ELLIPSE',
      8,
      'A',
      10,
      0,
      20,
      0,
      30,
      0,
      11,
      2,
      21,
      0,
      31,
      0,
      40,
      0.5,
      41,
      0,
      42,
      2 * Math.PI,
    );
    expect(lengths(await read('a.dxf', dxfOf(ellipse)))[0] / 9.688448220547675).toBeCloseTo(1, 5);
  });

  it('has splines exactly: one of three legs is the polynomial that de Boor’s algorithm gives', async () => {
    const knots = [0, 0, 0, 0, 1, 2, 3, 3, 3, 3];
    const controls: Vec3[] = [[0, 0, 0], [1, 3, 0], [3, 4, 1], [5, -1, 2], [7, 0, 2], [8, 2, 0]]; // prettier-ignore
    const text =
      pairs(0, 'SPLINE', 8, 'S', 70, 8, 71, 3, 72, 10, 73, 6, 74, 0) +
      knots.map((k) => pairs(40, k)).join('') +
      controls.map(([x, y, z]) => pairs(10, x, 20, y, 30, z)).join('');
    const { paths } = await read('a.dxf', dxfOf(text));
    const spec = placePath(paths[0], { ...AS_IS, isFlat: false });
    const deBoor = (u: number): Vec3 => {
      let k = 3;
      while (k < 5 && knots[k + 1] <= u) k++;
      const d = Array.from({ length: 4 }, (_, j) => [...controls[j + k - 3]]);
      for (let r = 1; r <= 3; r++)
        for (let j = 3; j >= r; j--) {
          const alpha = (u - knots[j + k - 3]) / (knots[j + 1 + k - r] - knots[j + k - 3]);
          for (let c = 0; c < 3; c++) d[j][c] = (1 - alpha) * d[j - 1][c] + alpha * d[j][c];
        }
      return d[3] as unknown as Vec3;
    };
    const curve = compiled(spec);
    const out = new Float64Array(3);
    for (const u of [0, 0.3, 1, 1.5, 2, 2.7, 3]) {
      curve.pointAt(out, 0, u / 3);
      out.forEach((v, k) => expect(v).toBeCloseTo(deBoor(u)[k], 9));
    }
  });

  const splineOf = (degree: number, knots: number[], controls: [number, number, number][]) =>
    dxfOf(
      pairs(0, 'SPLINE', 8, 'S', 70, 4, 71, degree) +
        knots.map((k) => pairs(40, k)).join('') +
        controls.map(([, , w]) => pairs(41, w)).join('') +
        controls.map(([x, y]) => pairs(10, x, 20, y)).join(''),
    );
  it('has splines with weights: nine of them are a circle', async () => {
    // Piegl & Tiller, The NURBS Book, section 7.5.
    const w = Math.SQRT1_2;
    const controls: [number, number, number][] = [[1, 0, 1], [1, 1, w], [0, 1, 1], [-1, 1, w], [-1, 0, 1], [-1, -1, w], [0, -1, 1], [1, -1, w], [1, 0, 1]]; // prettier-ignore
    const text = splineOf(2, [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4], controls);
    const brought = await read('w.dxf', text);
    const spec = placePath(brought.paths[0], { ...AS_IS, isFlat: false });
    expect(spec.closed).toBe(true);
    expect(farthestFrom(spec, (x, y) => Math.abs(Math.hypot(x, y) - 1))).toBeLessThan(4e-6);
    expect(lengths(brought)[0] / (2 * Math.PI)).toBeCloseTo(1, 6);
  });

  it('has splines of degree 5, and says which do not fit together', async () => {
    // One Bezier piece of degree 5 with controls at (k/5, (k/5)^2 raised): the parabola y = x² (degree elevation keeps the curve).
    const n = 5;
    const controls = Array.from({ length: n + 1 }, (_, k): [number, number, number] => [k / n, (k * (k - 1)) / (n * (n - 1)), 1]); // prettier-ignore
    const knots = [...Array(6).fill(0), ...Array(6).fill(1)];
    const { paths } = await read('five.dxf', splineOf(n, knots, controls));
    const spec = placePath(paths[0], { ...AS_IS, isFlat: false });
    expect(farthestFrom(spec, (x, y) => Math.abs(y - x * x))).toBeLessThan(3e-6);
    expect(spec.points.at(-1)!.position).toEqual([1, 1, 0]);
    expect(await problemOf('short.dxf', splineOf(n, knots.slice(1), controls))).toMatchObject({ code: 'paths.none' });
  });

  it('has what is drawn mirrored where it belongs', async () => {
    // The normal (0, 0, -1) has its x to the left (arbitrary axis algorithm, DXF Reference): a quarter from (-6, 2) up to (-1, 7).
    const normal = pairs(210, 0, 220, 0, 230, -1);
    const arc = pairs(0, 'ARC', 8, 'A', 10, 1, 20, 2, 30, 0, 40, 5, 50, 0, 51, 90) + normal;
    const circle = pairs(0, 'CIRCLE', 8, 'A', 10, 1, 20, 2, 30, 0, 40, 5) + normal;
    const line = pairs(0, 'LWPOLYLINE', 8, 'K', 90, 2, 70, 0, 10, 3, 20, 1, 10, 4, 20, 1) + normal;
    const ellipse = pairs(0, 'ELLIPSE', 8, 'A', 10, 0, 20, 0, 30, 0, 11, 2, 21, 0, 31, 0, 40, 0.5, 41, 0, 42, Math.PI / 2) + normal; // prettier-ignore
    const { paths } = await read('a.dxf', dxfOf(arc + circle + line + ellipse));
    const ends = paths.map(({ points }) => [points[0].position, points.at(-1)!.position].flat());
    const near = (values: number[]) => values.map((v) => expect.closeTo(v, 9));
    expect(ends[0]).toEqual(near([-6, 2, 0, -1, 7, 0]));
    expect(ends[1].slice(0, 3)).toEqual(near([-6, 2, 0]));
    expect(ends[2]).toEqual(near([-3, 1, 0, -4, 1, 0]));
    expect(ends[3]).toEqual(near([2, 0, 0, 0, -1, 0]));
  });

  it('joins lines that run on, says what it leaves out and what is broken', async () => {
    const line = (x0: number, y0: number, x1: number, y1: number) =>
      pairs(0, 'LINE', 8, 'L', 10, x0, 20, y0, 30, 0, 11, x1, 21, y1, 31, 0);
    const text =
      line(0, 0, 5, 0) + line(5, 5, 5, 0) + line(5, 5, 0, 5) + pairs(0, 'POINT', 8, 'L', 10, 1, 20, 1, 30, 0);
    const result = await readPaths({ name: 'a.dxf', bytes: bytes(dxfOf(text)) });
    expect(unwrap(result).paths).toHaveLength(1);
    expect(lengths(unwrap(result))[0]).toBeCloseTo(15, 9);
    expect(result.ok && result.warnings).toMatchObject([{ code: 'dxf.left-out', facts: { kinds: 'POINT' } }]);
    expect(await problemOf('a.dxf', 'this is no drawing')).toMatchObject({
      code: expect.stringMatching(/dxf.broken|paths.none/),
    });
    expect(await problemOf('a.dxf', dxfOf(''))).toMatchObject({ code: 'paths.none' });
  });
});

describe('GeoJSON', () => {
  // A degree on the ellipsoid of WGS 84 (a = 6 378 137 m, 1/f = 298.257 223 563), by a difference of places on it: x = N cos(lat), z = N (1 - e²) sin(lat).
  const onEllipsoid = (lat: number): [number, number] => {
    const [f, phi] = [1 / 298.257223563, (lat * Math.PI) / 180];
    const n = 6_378_137 / Math.sqrt(1 - f * (2 - f) * Math.sin(phi) ** 2);
    return [n * Math.cos(phi), n * (1 - f) ** 2 * Math.sin(phi)];
  };
  it.each([0, 45, 70])('is projected to metres about its middle at %d°', async (lat) => {
    const [[x0, z0], [x1, z1]] = [onEllipsoid(lat - 0.005), onEllipsoid(lat + 0.005)];
    const [north, east] = [Math.hypot(x1 - x0, z1 - z0) * 100, (onEllipsoid(lat)[0] * Math.PI) / 180];
    const line = { type: 'LineString', coordinates: [[10, lat], [10.001, lat], [10.001, lat + 0.001]] }; // prettier-ignore
    const brought = await read(
      'a.geojson',
      JSON.stringify({ type: 'Feature', properties: { name: 'Dike' }, geometry: line }),
    );
    expect(brought).toMatchObject({ unit: 1, up: 'z', paths: [{ name: 'Dike' }] });
    expect(brought.note).toMatch(/Projected to metres about/);
    const [a, b, c] = brought.paths[0].points.map(({ position }) => position) as [Vec3, Vec3, Vec3];
    expect((b[0] - a[0]) / (east / 1000)).toBeCloseTo(1, 4);
    expect((c[1] - b[1]) / (north / 1000)).toBeCloseTo(1, 4);
    expect(a[0] + c[0]).toBeCloseTo(0, 6);
  });

  it('takes lines and rings of collections, and says what is wrong', async () => {
    const ring = [[0, 0], [0.01, 0], [0.01, 0.01], [0, 0]]; // prettier-ignore
    const geometries = [{ type: 'Polygon', coordinates: [ring] }, { type: 'MultiLineString', coordinates: [ring, ring] }, { type: 'Point', coordinates: [0, 0] }]; // prettier-ignore
    const { paths } = await read('a.json', JSON.stringify({ type: 'GeometryCollection', geometries }));
    expect(paths.map(({ closed, points }) => [closed, points.length])).toEqual([[true, 3], [false, 4], [false, 4]]); // prettier-ignore
    expect(await problemOf('a.geojson', '{')).toMatchObject({ code: 'geojson.broken' });
    expect(await problemOf('a.geojson', '{"type":"LineString","coordinates":[[0,0],[500,95]]}')).toMatchObject({
      code: 'geojson.position',
    });
    expect(await problemOf('a.geojson', '{"type":"Point","coordinates":[0,0]}')).toMatchObject({ code: 'paths.none' });
  });
});

describe('lines of meshes', () => {
  it('OBJ: lines that run on are joined, indices may count from the end', async () => {
    const { paths, isFlat } = await read(
      'a.obj',
      'o Rail\nv 0 0 0\nv 1 0 0\nv 1 2 0\nl 1 2\nl 3 2\nv 5 5 5\nv 6 5 5\nl -2 -1',
    );
    expect(isFlat).toBe(false);
    expect(paths.map(({ name, points }) => [name, points.length])).toEqual([['Rail', 3], ['Rail', 2]]); // prettier-ignore
    expect(await problemOf('a.obj', 'v 0 0 0\nv 1 x 0')).toMatchObject({ code: 'obj.number', facts: { line: 2 } });
    expect(await problemOf('a.obj', 'v 0 0 0\nl 1 9')).toMatchObject({ code: 'obj.index', facts: { line: 2 } });
    expect(await problemOf('a.obj', 'v 0 0 0\nv 1 0 0\nf 1 2 1')).toMatchObject({ code: 'paths.none' });
  });

  // Independent: three's exporter writes the file.
  it('GLB: strips, loops and single lines, as three writes them', async () => {
    const geometry = (...places: number[]) =>
      new BufferGeometry().setAttribute('position', new Float32BufferAttribute(places, 3));
    const scene = new Scene();
    const material = new MeshBasicMaterial() as never;
    const strip = new Line(geometry(0, 0, 0, 1, 0, 0, 1, 1, 0), material);
    strip.position.set(10, 0, 0);
    scene.add(
      strip,
      new LineLoop(geometry(0, 0, 0, 2, 0, 0, 0, 2, 0), material),
      new LineSegments(geometry(0, 0, 5, 1, 0, 5, 1, 0, 5, 1, 3, 5), material),
    );
    globalThis.FileReader ??= NodeReader as never;
    const file = (await new GLTFExporter().parseAsync(scene, { binary: true })) as ArrayBuffer;
    const { paths } = unwrap(await readPaths({ name: 'a.glb', bytes: new Uint8Array(file) }));
    expect(paths.map(({ closed, points }) => [closed, points.length])).toEqual([[false, 3], [true, 3], [false, 3]]); // prettier-ignore
    expect(paths[0].points[1].position).toEqual([11, 0, 0]);
  });
});

/** As much of the browser's reader of blobs as three's exporter asks for. */
class NodeReader {
  result: ArrayBuffer | undefined;
  onloadend: () => void = () => {};
  readAsArrayBuffer(blob: Blob): void {
    void blob.arrayBuffer().then((buffer) => {
      this.result = buffer;
      this.onloadend();
    });
  }
}

describe('written paths', () => {
  const path = {
    name: 'Shore line / 2',
    curve: {
      kind: 'smooth',
      closed: false,
      points: ([[0, 1, 0], [10, 1, 4], [18, 1, -3], [30, 1, 2]] as Vec3[]).map((position) => ({ position })), // prettier-ignore
    } as CurveSpec,
  };
  const level = {
    ...path.curve,
    points: path.curve.points.map(({ position: [x, , z] }) => ({ position: [x, 0, z] as Vec3 })),
  };
  const write = async (kind: string) => (await PATH_WRITERS.find((writer) => writer.kind === kind)!.write(path))!;

  it('SVG: the plan at full size, as the same curve read again', async () => {
    const file = await write('svg');
    expect(file.name).toBe('Shore-line-2.svg');
    const brought = unwrap(await readPaths(file));
    const again = placePath(brought.paths[0], { ...AS_IS, unit: brought.unit! });
    expect(brought.unit).toBeCloseTo(1, 6);
    expect(deviation(again, level)).toBeLessThan(1e-3);
    const d = /d="([^"]+)"/.exec(new TextDecoder().decode(file.bytes))![1];
    expect(new svgPathProperties(d).getTotalLength() / lengthOf(level)).toBeCloseTo(1, 4);
  });

  it('CSV and OBJ: the places along it', async () => {
    for (const [kind, off] of [
      ['csv', 0.02],
      ['obj', 0.0015],
    ] as const) {
      // prettier-ignore
      const { paths } = unwrap(await readPaths(await write(kind)));
      expect(deviation(placePath(paths[0], { ...AS_IS, isFlat: false }), path.curve)).toBeLessThan(off);
    }
  });

  it('is undefined for what is no curve yet', async () => {
    for (const writer of PATH_WRITERS)
      expect(await writer.write({ name: 'x', curve: { kind: 'smooth', closed: false, points: [] } })).toBeUndefined();
  });
});

describe('where a drawing lies', () => {
  const flat = {
    name: 'a',
    kind: 'straight' as const,
    closed: false,
    points: [{ position: [1, 2, 0] as Vec3 }, { position: [3, 2, 0] as Vec3 }],
  };
  it.each([
    ['ground', [1, 0, -2]],
    ['front', [1, 2, 0]],
    ['side', [0, 2, -1]],
  ] as const)('on the %s', (plane, wanted) => {
    expect(placePath(flat, { ...AS_IS, plane }).points[0].position.map((v) => v + 0)).toEqual(wanted);
  });
  it('as one flowing curve where its corners look like samples of one', () => {
    const arc = {
      ...flat,
      points: Array.from({ length: 40 }, (_, i) => ({ position: [Math.cos(i / 20), Math.sin(i / 20), 0] as Vec3 })),
    };
    expect([looksSmooth(arc), looksSmooth(flat), looksSmooth({ ...arc, kind: 'handles' })]).toEqual([
      true,
      false,
      false,
    ]);
    const steps = {
      ...arc,
      points: arc.points.map((_, i) => ({ position: [Math.floor(i / 2), Math.ceil(i / 2), 0] as Vec3 })),
    };
    expect(looksSmooth(steps)).toBe(false);
    const placed = placePath(arc, { ...AS_IS, isSmooth: true, tolerance: 0.01 });
    expect(placed.kind).toBe('smooth');
    expect(placed.points.length).toBeLessThan(30);
    expect(lengthOf(placed)).toBeCloseTo(39 / 20, 2);
  });

  it('in other units, and moved to begin at the origin', () => {
    const placed = placePath(flat, { ...AS_IS, unit: 0.5, toOrigin: true });
    expect(placed.points.map(({ position }) => position.map((v) => v + 0))).toEqual([[0, 0, 0], [1, 0, 0]]); // prettier-ignore
  });
});

beforeEach(() => {
  jest.spyOn(console, 'log').mockImplementation();
  jest.spyOn(console, 'error').mockImplementation();
}); // the DXF parser tells of codes it does not know
afterEach(() => jest.restoreAllMocks());

it('no reader crashes, hangs or makes up numbers, whatever the bytes', async () => {
  const kinds = PATH_READERS.map(({ extensions }) => extensions[0]);
  const pieces = fc.constantFrom(
    '<svg>',
    '<path d="',
    'M0 0',
    '"/>',
    '{"type":',
    '"LineString"',
    '0\nSECTION\n',
    '0\nLINE\n',
    '10\n',
    'v 1 2 3\n',
    'l 1 2\n',
    'x,y\n',
    '1,2\n',
    '1e999',
    'NaN',
    ']',
  );
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...kinds),
      fc.array(fc.oneof(pieces, fc.string({ maxLength: 20 })), { maxLength: 12 }),
      async (kind, parts) => {
        const result = await readPaths({ name: `a.${kind}`, bytes: bytes(parts.join('')) });
        if (!result.ok) return;
        for (const { points } of result.value.paths)
          for (const { position } of points) expect(position.every(Number.isFinite)).toBe(true);
      },
    ),
    { numRuns: 300, endOnFailure: true },
  );
});

describe('bulges of a DXF', () => {
  // A bulge is the tangent of a quarter of the arc's angle, to the left of the leg where it is below 0 (DXF Reference, LWPOLYLINE): of a chord c
  // the arc is r a long, a = 4 atan |b|, r = c (1 + b²) / (4 |b|), and stands off by b c / 2, on the right of the leg for b > 0.
  it.each([0.2, 0.414, 3, -0.2])('of %d are arcs of that length and height', async (bulge) => {
    const text = pairs(0, 'LWPOLYLINE', 8, 'A', 90, 2, 70, 0, 10, 0, 20, 0, 42, bulge, 10, 6, 20, 8, 42, 0);
    const [path] = (await read('a.dxf', dxfOf(text, 6))).paths;
    const spec = placePath(path, { ...AS_IS, isFlat: false });
    const b = Math.abs(bulge);
    expect(lengthOf(spec) / (((10 * (1 + b * b)) / (4 * b)) * 4 * Math.atan(b))).toBeCloseTo(1, 5);
    // The middle of the arc: right of (0.6, 0.8) is (0.8, -0.6).
    const middle = [3 + (0.8 * bulge * 10) / 2, 4 - (0.6 * bulge * 10) / 2];
    const away: number[] = [];
    farthestFrom(spec, (x, y) => away.push(Math.hypot(x - middle[0], y - middle[1])));
    expect(Math.min(...away)).toBeLessThan(0.12);
  });
});

describe('lines with z up', () => {
  it('are turned and not mirrored: three directions keep their hand', async () => {
    const points = [[0, 0, 0], [3, 0, 0], [3, 2, 0], [3, 2, 5]]; // prettier-ignore
    const text = `x,y,z\n${points.map((p) => p.join()).join('\n')}\n`;
    const [path] = (await read('a.csv', text)).paths;
    const { points: placed } = placePath(path, { ...AS_IS, isFlat: false, up: 'z' });
    const [a, b, c, d] = placed.map(({ position }) => position) as [Vec3, Vec3, Vec3, Vec3];
    const [u, v, w] = [sub(b, a), sub(c, b), sub(d, c)];
    expect(w).toEqual([0, 5, 0]); // what was up is up
    // The triple product keeps its sign under turns, and changes it under mirrors: 3 * 2 * 5.
    expect(dot(cross(u, v), w)).toBeCloseTo(30, 12);
  });
});

describe('a line of samples', () => {
  const placing = { unit: 1, plane: 'ground' as const, up: 'y' as const, isFlat: false, tolerance: 0, isSmooth: true, toOrigin: false }; // prettier-ignore
  const lineOf = (places: readonly Vec3[]) => ({ name: 'Rail', kind: 'straight' as const, closed: false, points: places.map((position) => ({ position })) }); // prettier-ignore
  const free = Array.from({ length: 20 }, (_, i): Vec3 => [i * 0.3, 0, 0.02 * i * i + Math.sin(i / 3) * 0.2]);

  it('keeps its corners where it is a free curve that has some', () => {
    const [x, , z] = free[19];
    const on = Array.from({ length: 20 }, (_, i): Vec3 => [x - i * 0.35, 0, z - i * 0.05 + Math.sin(i / 4) * 0.2]);
    const curve = placePath(lineOf([...free, ...on.slice(1)]), placing);
    expect(curve.kind).toBe('mixed');
    expect(curve.points.flatMap(({ as }, i) => (as === 'corner' ? [i] : []))).toEqual([19]);
    expect(placePath(lineOf(free), placing).kind).toBe('smooth');
  });

  it('comes in as legs and arcs where it is made of them: two legs and a bend are three points', () => {
    const bend = Array.from({ length: 25 }, (_, i): Vec3 => [5 * Math.sin((i * Math.PI) / 48), 0, 5 * Math.cos((i * Math.PI) / 48)]); // prettier-ignore
    const curve = placePath(lineOf([[-20, 0, 5], ...bend, [5, 0, -30]]), placing); // prettier-ignore
    expect(curve.kind).toBe('straight');
    expect(curve.points).toHaveLength(3);
    expect(curve.points[1].radius).toBeCloseTo(5, 6);
    expect(placePath(lineOf([[-20, 0, 5], ...bend, [5, 0, -30]]), { ...placing, isSmooth: false }).points).toHaveLength(27); // prettier-ignore
  });
});
