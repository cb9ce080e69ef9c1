import { maker, type MakerName, type MakerSpec } from '../registry';
import { boxOf, boxSize } from '../../mesh/box';
import { looseParts } from '../../mesh/clean/loose-parts';
import { area, volume } from '../../mesh/measure';
import { manifoldOf } from '../../testing/manifold';

const make = (kind: MakerName, change: object) => {
  const spec = { ...(maker(kind).defaults as object), ...change } as MakerSpec;
  return {
    mesh: maker(kind).make(spec),
    figures: new Map(
      maker(kind)
        .figures?.(spec)
        .map((f) => [f.label, f.value]),
    ),
  };
};

describe('coil', () => {
  // Elementary: sqrt((2 pi R N)^2 + H^2); turns need not be whole.
  it.each([
    [5, 25, 100, 791.7387669352088],
    [12, 7.5, 30, 566.2818932257107],
  ])('of radius %d with %f turns over %d needs its wire', (radius, turns, height, wanted) => {
    const spec = { by: 'count', radius, turns, pitch: height / turns, leadIn: 0, leadOut: 0, wire: 1, smooth: 0.05 };
    const { mesh, figures } = make('coil', spec);
    expect(figures.get('Wire needed')).toBeCloseTo(wanted, 9);
    // Pappus: section times length of the centre line, less what flat sides and short rows leave out.
    expect(volume(mesh) / (Math.PI * 0.25 * wanted)).toBeGreaterThan(0.8);
    const fine = make('coil', { ...spec, smooth: 0.0005 });
    expect(Math.abs(volume(fine.mesh) / (Math.PI * 0.25 * wanted) - 1)).toBeLessThan(0.004);
  });

  it('with leads needs them too, and fills a length that it is given', () => {
    const bare = make('coil', { by: 'count', leadIn: 0, leadOut: 0 }).figures.get('Wire needed')!;
    const led = make('coil', { by: 'count' }).figures.get('Wire needed')!;
    expect(led).toBeGreaterThan(bare - 2 * 2 * Math.PI * 0.02 * 0.75 + 0.16);
    expect(led).toBeLessThan(bare + 0.16);
    const spec = maker('coil').fill!({ ...(maker('coil').defaults as object), by: 'fill' }, 1.234);
    const { max } = boxOf(maker('coil').make(spec).positions);
    expect(max[0]).toBeCloseTo(1.234, 6);
  });
});

describe('chain link', () => {
  // Stadium of bar d, pitch t, inner width w: centre line 2 (t - w) + pi (w + d); volume = section times that (Pappus).
  it.each([
    { bar: 10, pitch: 30, width: 13, wanted: 8345.376286177705, outer: [50, 33] },
    { bar: 8, pitch: 24, width: 10.4, wanted: 4272.832658522985, outer: [40, 26.4] },
  ])('of bar $bar has its volume and outer size', ({ bar, pitch, width, wanted, outer }) => {
    const { mesh } = make('chainLink', {
      form: 'own',
      bar: bar / 1000,
      pitch: pitch / 1000,
      width: width / 1000,
      smooth: 1e-6,
    });
    expect(Math.abs((volume(mesh) * 1e9) / wanted - 1)).toBeLessThan(0.002);
    const [length, height, across] = boxSize(boxOf(mesh.positions)).map((v) => v * 1000) as [number, number, number];
    expect(length).toBeCloseTo(outer[0], 3);
    expect(across).toBeCloseTo(outer[1], 3);
    expect(height).toBeCloseTo(bar, 3);
  });

  // From memory: ISO 1704, common link: 6 d by 3.6 d, five of them 22 d long; EN 818-2, 10 x 30: pitch 3 d, outer width 3.7 d at most.
  it('has the proportions of the standards', () => {
    const studded = make('chainLink', { form: 'studded', bar: 0.032 }).figures;
    expect(studded.get('Outer length')).toBeCloseTo(0.192, 12);
    expect(studded.get('Outer width')).toBeCloseTo(0.1152, 12);
    expect(5 * (studded.get('Pitch') as number) + 2 * 0.032).toBeCloseTo(22 * 0.032, 12);
    const short = make('chainLink', { form: 'short', bar: 0.01 }).figures;
    expect(short.get('Pitch')).toBeCloseTo(0.03, 12);
    expect(short.get('Outer width')!).toBeLessThanOrEqual(0.037);
  });
});

describe('turned profile', () => {
  // Pappus, cylinder and tube: pi (R^2 - r^2) L; the mesh's section is a regular polygon of n sides: n/2 sin(2 pi/n) R^2.
  it('has the volume of its solid of revolution, open and closed', () => {
    const plain = { ribs: 0, length: 2, radius: 0.1, smooth: 1e-5 };
    expect(Math.abs(volume(make('turned', plain).mesh) / (Math.PI * 0.01 * 2) - 1)).toBeLessThan(2e-4);
    const open = make('turned', { ...plain, wall: 0.02 }).mesh;
    expect(Math.abs(volume(open) / (Math.PI * (0.01 - 0.0064) * 2) - 1)).toBeLessThan(2e-4);
    expect(Math.abs(area(open) / (2 * Math.PI * (0.18 * 2 + 0.01 - 0.0064)) - 1)).toBeLessThan(2e-4);
  });

  it('adds the volume of square collars: pi ((R + h)^2 - R^2) times their width', () => {
    const spec = { ribs: 5, ribHeight: 0.02, ribWidth: 0.5, roundness: 0, length: 1, radius: 0.1, smooth: 1e-5 };
    const wanted = Math.PI * (0.01 + (0.12 ** 2 - 0.1 ** 2) * 0.5);
    // A collar's flanks lean by a hundredth of its width.
    expect(Math.abs(volume(make('turned', spec).mesh) / wanted - 1)).toBeLessThan(0.004);
  });
});

describe('volume and area', () => {
  // manifold-3d, an independent geometry library.
  it.each([
    ['rail', {}],
    ['plank', {}],
    ['tread', {}],
    ['tube', {}],
    ['turned', { fittings: 'both', wall: 0.01 }],
    ['coil', {}],
    ['chainLink', { form: 'short' }],
    ['chainLink', { form: 'flat' }],
    ['kerbedLane', {}],
    ['crossSection', {}],
  ] as [MakerName, object][])('of %s %j are those of an independent library', async (kind, change) => {
    const { mesh } = make(kind, change);
    const solid = await manifoldOf(mesh);
    expect(solid.volume() / volume(mesh)).toBeCloseTo(1, 5);
    expect(solid.surfaceArea() / area(mesh)).toBeCloseTo(1, 4);
    solid.delete();
  });
});

describe('a road', () => {
  it('has its crown above its edges, and falls to both sides by its crossfall', () => {
    const { mesh } = make('kerbedLane', { length: 4, laneWidth: 3, bankHeight: 0.5 });
    const { start, count } = mesh.parts.find(({ name }) => name === 'Carriageway')!;
    const places = [...new Set(mesh.indices.subarray(start, start + count))].map((v) => [...mesh.positions.subarray(v * 3, v * 3 + 3)] as [number, number, number]); // prettier-ignore
    const heights = (near: number) => places.filter(([, , z]) => Math.abs(Math.abs(z) - near) < 0.06).map(([, y]) => y);
    const [crown, edge] = [Math.min(...heights(0.05)), Math.max(...heights(2.95))];
    expect(crown - edge).toBeGreaterThan(0.03);
    for (const [, y, z] of places) expect(y / -Math.abs(z)).toBeCloseTo((crown - edge) / 2.9, 2);
  });
});

describe('a baluster', () => {
  it.each(['turned', 'square'])('of the form %s is one upright: its parts meet from foot to head', async (form) => {
    const { mesh } = make('baluster', { form, height: 0.9 });
    const { of, count } = await looseParts(mesh);
    const ranges = Array.from({ length: count }, () => [Infinity, -Infinity] as [number, number]);
    for (let i = 0; i < mesh.indices.length; i++) {
      const range = ranges[of[Math.floor(i / 3)]];
      const y = mesh.positions[mesh.indices[i] * 3 + 1];
      range[0] = Math.min(range[0], y);
      range[1] = Math.max(range[1], y);
    }
    ranges.sort((a, b) => a[0] - b[0]);
    expect(ranges[0][0]).toBeCloseTo(0, 6);
    ranges.slice(1).forEach(([from], i) => expect(from).toBeLessThanOrEqual(ranges[i][1]));
    expect(Math.max(...ranges.map(([, to]) => to))).toBeCloseTo(0.9, 6);
  });
});
