import { MAKERS, maker, toDrawn, type MakerName, type MakerSpec } from '../registry';
import { boxOf } from '../../mesh/box';
import { isClosed, placeOf } from '../../mesh/is-closed';
import { volume } from '../../mesh/measure';
import type { Mesh } from '../../mesh/mesh';
import { SHEETS } from '../../testing/sheets';

type Values = Record<string, unknown>;

/** Every maker's defaults, and once more for every other value of each of its choices and switches. */
const specs = MAKERS.flatMap(({ kind, defaults, fields }) => {
  const base = defaults as Values;
  const others = fields.flatMap((field): [string, Values][] => {
    if (field.input === 'choice')
      return field.choices
        .filter(({ value }) => value !== base[field.key])
        .map(({ value }) => [`${kind}, ${field.key} ${value}`, { ...base, [field.key]: value }]);
    return field.input === 'switch' ? [[`${kind}, ${field.key}`, { ...base, [field.key]: !base[field.key] }]] : [];
  });
  return [[kind, base] as [string, Values], ...others];
}).concat([
  [
    'rope of four strands with yarns and a core',
    { ...(maker('rope').defaults as Values), strands: 4, yarns: 5, core: true },
  ],
  ['rope of two strands, two lays', { ...(maker('rope').defaults as Values), strands: 2, lays: 2 }],
  ['cable of three ropes', { ...(maker('rope').defaults as Values), ropes: 3, detail: 'low' }],
  ['bundle of 19 cords', { ...(maker('twistedBundle').defaults as Values), cords: 19 }],
  [
    'bundle of seven round a thick middle',
    { ...(maker('twistedBundle').defaults as Values), cords: 7, hasMiddle: true, middleSize: 0.02 },
  ],
  [
    'open bellows with fittings',
    { ...(maker('turned').defaults as Values), wall: 0.004, fittings: 'both', ribWidth: 1 },
  ],
  ['square collars', { ...(maker('turned').defaults as Values), roundness: 0 }],
  ['coil without leads', { ...(maker('coil').defaults as Values), leadIn: 0, leadOut: 0 }],
  ['open sheet', { ...(maker('crossSection').defaults as Values), closed: false }],
  ['profile with open ends', { ...(maker('turnedProfile').defaults as Values), flatEnds: false }],
  ['half an outline', { ...(maker('crossSection').defaults as Values), mirrored: false }],
]);

const make = (spec: Values): Mesh => {
  const own = maker(spec.kind as MakerName);
  const parsed = own.schema.parse(spec) as MakerSpec;
  expect(own.problem?.(parsed)).toBeUndefined();
  return own.make(parsed);
};

/** Share of the area whose triangles look the way their vertex normals do. */
function agreeing({ positions: p, normals: n, indices }: Mesh): number {
  let [with_, all] = [0, 0];
  for (let i = 0; i < indices.length; i += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => indices[i + k] * 3) as [number, number, number];
    const u = [0, 1, 2].map((k) => p[b + k] - p[a + k]);
    const v = [0, 1, 2].map((k) => p[c + k] - p[a + k]);
    const face = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const area = Math.hypot(...face);
    const dot = [0, 1, 2].reduce((sum, k) => sum + face[k] * (n[a + k] + n[b + k] + n[c + k]), 0);
    all += area;
    if (dot > 0) with_ += area;
  }
  return with_ / all;
}

describe.each(specs)('%s', (name, spec) => {
  const mesh = make(spec);

  it('lies along x from 0 on, with unit normals that look the way its faces do', () => {
    const { min, max } = boxOf(mesh.positions);
    // A coil that starts without a lead begins with a ring askew, which preparing moves to 0.
    // So is a scan, which lies where the scanner had it.
    if (name !== 'coil without leads' && name !== 'scannedLog')
      expect(Math.abs(min[0])).toBeLessThan(1e-6 * Math.max(max[0], 1));
    expect(max[0]).toBeGreaterThan(0);
    for (let i = 0; i < mesh.normals.length; i += 3)
      expect(Math.abs(Math.hypot(mesh.normals[i], mesh.normals[i + 1], mesh.normals[i + 2]) - 1)).toBeLessThan(1e-5);
    expect(agreeing(mesh)).toBeGreaterThan(0.9999);
    for (const part of mesh.parts) expect(mesh.materials[part.material]).toBeDefined();
    expect(mesh.uvs.every(Number.isFinite)).toBe(true);
  });

  const isSheet = spec.closed === false || spec.flatEnds === false || SHEETS.includes(spec.kind);
  it(isSheet ? 'is a sheet, seen from both sides' : 'is watertight and holds something', () => {
    expect(isClosed(mesh)).toBe(!isSheet);
    if (isSheet) expect(mesh.materials.some(({ doubleSided }) => doubleSided)).toBe(true);
    else expect(volume(mesh)).toBeGreaterThan(0);
  });

  if (spec.detail === 'fine' && !name.includes('post'))
    it('has fewer triangles in low detail, or needs no more', () => {
      const low = make({ ...spec, detail: 'low' });
      expect(low.indices.length).toBeLessThanOrEqual(mesh.indices.length);
      const hasRound = spec.kind !== 'crossSection' && !String(spec.form).includes('square');
      if (hasRound) expect(low.indices.length).toBeLessThan(mesh.indices.length);
    });
});

describe('an outline to draw on', () => {
  const withOutline = MAKERS.filter((own) => own.toSection).map(({ kind }) => kind);
  it('is there for every maker that carries one along', () => {
    expect(withOutline).toEqual(expect.arrayContaining(['kerbedLane', 'kerbDrain', 'plank', 'rail']));
  });

  it.each(withOutline)('of a %s makes the same solid, strip for strip', (kind) => {
    const spec = maker(kind).defaults as Values & MakerSpec;
    const outline = maker(kind).toSection!(spec);
    const [before, after] = [make(spec), make({ ...toDrawn(spec)!, ...(kind === 'tube' && { smooth: 1e-6 }) })];
    // A tube of 24 sides has less in it than the circle: sin(2 pi / n) n / 2 pi of it.
    const share = kind === 'tube' ? (24 * Math.sin((2 * Math.PI) / 24)) / (2 * Math.PI) : 1;
    expect((volume(after) * share) / volume(before)).toBeCloseTo(1, kind === 'tube' ? 4 : 6);
    expect(after.parts.map(({ name }) => name).sort()).toEqual(
      [...outline.strips.map(({ name }) => name), 'Ends'].sort(),
    );
    expect(isClosed(after)).toBe(true);
  });
});

describe('a profile to draw on', () => {
  const turned = { ...(maker('turned').defaults as Values), smooth: 1e-5 };
  it.each([
    ['a bare hose', { ribs: 0 }],
    ['square collars', { roundness: 0.02, ribs: 6 }],
    ['fittings', { ribs: 0, fittings: 'both' }],
    ['an open hose with one fitting', { ribs: 0, fittings: 'start', wall: 0.01 }],
  ])('of %s makes the same solid', (_, change) => {
    const spec = { ...turned, ...change } as Values & MakerSpec;
    const drawn = make(toDrawn(spec)!);
    expect(isClosed(drawn)).toBe(true);
    expect(volume(drawn) / volume(make(spec))).toBeCloseTo(1, 4); // the rings of both may have a few sides more or less
  });

  it('of round ribs comes near: an arc has more in it than a wave', () => {
    const spec = { ...turned, ribs: 10 } as Values & MakerSpec;
    const share = volume(make(toDrawn(spec)!)) / volume(make(spec));
    expect(Math.abs(share - 1)).toBeLessThan(0.06);
  });

  it('is not offered where it would have too many corners, nor for what has neither outline nor profile', () => {
    expect(toDrawn({ ...turned, ribs: 400 } as Values & MakerSpec)).toBeUndefined();
    expect(toDrawn(maker('rope').defaults as MakerSpec)).toBeUndefined();
  });

  // A ball: 4/3 pi r^3; a cone: pi r^2 h / 3 (elementary).
  it('has the volume of the ball and the cone that it describes', () => {
    const strips = [{ name: 'Skin', colour: '#808080', roughness: 1, metalness: 0 }];
    const base = { ...(maker('turnedProfile').defaults as Values), strips, smooth: 1e-6 };
    const ball = make({ ...base, corners: [{ z: 0, y: 0, bulge: -1, strip: 0 }, { z: 1, y: 0, strip: 0 }] }); // prettier-ignore
    expect(volume(ball)).toBeCloseTo(Math.PI / 6, 4);
    const cone = make({ ...base, corners: [{ z: 0, y: 0.5, strip: 0 }, { z: 2, y: 0, strip: 0 }] }); // prettier-ignore
    expect(volume(cone)).toBeCloseTo((Math.PI * 0.25 * 2) / 3, 4);
  });

  it('needs a length and a thickness', () => {
    const flat = { ...(maker('turnedProfile').defaults as object as MakerSpec), corners: [{ z: 0, y: 0, strip: 0 }, { z: 1, y: 0, strip: 0 }] }; // prettier-ignore
    expect(maker('turnedProfile').problem!(flat)).toMatchObject({ code: 'profile.flat' });
  });
});

describe('meshes of all makers', () => {
  // Of a bucket's plates some lie face to face, two strands touch along the axis; leaves are sheets.
  const OPEN = /open sheet|flatEnds|open ends|two strands/;
  it.each(specs.filter(([name, { kind }]) => kind !== 'bucket' && !SHEETS.includes(kind) && !OPEN.test(name)))(
    '%s: two faces at every edge, no triangle without a size, no material that nothing wears',
    (_, spec) => {
      const { positions, indices, parts, materials } = make(spec);
      const places = placeOf(positions);
      const faces = new Map<string, number>();
      for (let i = 0; i < indices.length; i += 3) {
        const corners = [0, 1, 2].map((k) => places[indices[i + k]]);
        expect(new Set(corners).size).toBe(3);
        corners.forEach((a, k) => {
          const key = [a, corners[(k + 1) % 3]].sort((p, q) => p - q).join();
          faces.set(key, (faces.get(key) ?? 0) + 1);
        });
      }
      expect([...faces.values()].filter((count) => count !== 2)).toEqual([]);
      expect(new Set(parts.map(({ material }) => material)).size).toBe(materials.length);
    },
  );
});

describe('what fills its path', () => {
  const filled = (kind: MakerName, change: Values, reach: number) => {
    const { defaults, fill } = maker(kind);
    return fill!({ ...(defaults as Values), ...change }, reach) as MakerSpec;
  };
  const figure = (spec: MakerSpec, label: string) =>
    maker(spec.kind).figures!(spec).find((f) => f.label === label)!.value; // prettier-ignore

  it('a coil has the turns and the wire of what is seen', () => {
    const spec = filled('coil', { leadIn: 0, leadOut: 0, pitch: 0.009 }, 1.08);
    expect(figure(spec, 'Turns')).toBe(120);
    // A helix of n turns, radius r and height h: sqrt((2 pi r n)^2 + h^2).
    expect(figure(spec, 'Wire needed')).toBeCloseTo(Math.hypot(2 * Math.PI * 0.02 * 120, 1.08), 9);
  });

  it('a hose keeps its fittings and gains ribs, which stay as far apart', () => {
    const spec = filled('turned', { fittings: 'both', fittingLength: 0.12 }, 10);
    expect(figure(spec, 'Ribs')).toBe(Math.round((24 * (10 - 0.24)) / (1 - 0.24)));
    expect(maker('turned').stiff!(spec)).toEqual([{ from: 0, to: 0.12 }, { from: 10 - 0.12, to: 10 }]); // prettier-ignore
    const box = boxOf(make(spec).positions);
    expect(box.max[0]).toBeCloseTo(10, 5);
  });

  it('a stem with a tip is one, with nodes as far apart; one without is laid piece by piece', () => {
    expect(figure(filled('shoot', {}, 9), 'Nodes')).toBe(72);
    expect(filled('shoot', { tip: 1 }, 9)).toMatchObject({ length: 3, nodes: 24 });
  });
});
