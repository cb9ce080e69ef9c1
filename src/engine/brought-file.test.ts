import { distance } from '../core/math/vec3';
import { unwrap } from '../core/testing/runs';
import { readPaths } from '../formats/paths/registry';
import { placeLines, summaryOf } from './brought-file';

const read = async (name: string, text: string) =>
  unwrap(await readPaths({ name, bytes: new TextEncoder().encode(text) }));

describe('a file of paths', () => {
  it('tells of its lines without their points, and how they are placed if nothing is asked', async () => {
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" viewBox="0 0 80 40"><path id="Quay" d="M0 0H80V40"/></svg>';
    expect(summaryOf(await read('quay.svg', svg))).toMatchObject({
      count: 1,
      lines: [{ name: 'Quay', kind: 'straight', closed: false, count: 3 }],
      placing: { unit: 0.001, isFlat: true, isSmooth: false, tolerance: 0.00002 },
    });
  });

  it('lists no more than a hundred lines', async () => {
    const lines = Array.from({ length: 140 }, (_, i) => `v ${i} 0 0\nv ${i} 0 5\nl ${2 * i + 1} ${2 * i + 2}`);
    const file = summaryOf(await read('fence.obj', lines.join('\n')));
    expect([file.count, file.lines.length]).toEqual([140, 100]);
  });

  it('of 100,000 points is placed with progress, as one flowing line that keeps its length', async () => {
    const place = (i: number) => [i / 1000, 0, 5 * Math.sin(i / 9000)] as const;
    const text = `x,y,z\n${Array.from({ length: 100_000 }, (_, i) => place(i).join()).join('\n')}`;
    const brought = await read('survey.csv', text);
    const told: number[] = [];
    const [line] = placeLines(brought, summaryOf(brought).placing, (share) => told.push(share));
    expect(told.length).toBeGreaterThan(5);
    expect(told).toEqual(told.toSorted((a, b) => a - b));
    expect(told.at(-1)).toBe(1);
    expect(line.curve.kind).toBe('smooth');
    expect(line.curve.points.length).toBeLessThan(500);
    let length = 0;
    for (let i = 1; i < 100_000; i++) length += distance(place(i - 1), place(i));
    expect(line.length / length).toBeCloseTo(1, 4);
    expect(line.size[0]).toBeCloseTo(99.999, 9);
    expect(line.size[2]).toBeCloseTo(10, 1);
  });

  it('in the coordinates of a map begins at the origin, and is told to be too far away where it does not', async () => {
    const brought = await read('kerb.csv', 'easting,northing,height\n500000,5400000,12\n500100,5400000,13');
    const { placing, note } = summaryOf(brought);
    expect(placing.toOrigin).toBe(true);
    expect(note).toMatch(/far from the origin of its file/);
    const [line] = placeLines(brought, placing);
    expect(line.curve.points.map(({ position }) => position)).toEqual([[0, 0, 0], [100, 1, 0].map((v) => expect.closeTo(v, 9))]); // prettier-ignore
    expect(line.problem).toBeUndefined();
    expect(placeLines(brought, { ...placing, toOrigin: false })[0].problem).toMatchObject({ code: 'paths.too-far' });
    expect(summaryOf(await read('near.csv', 'x,y,z\n0,0,0\n5,0,0')).placing.toOrigin).toBe(false);
  });

  it('with more curved legs than a path may have says so', async () => {
    const d = Array.from({ length: 20_001 }, (_, i) => `q 0.5 ${i % 2 ? 1 : -1} 1 0`).join(' ');
    const brought = await read('long.svg', `<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0 ${d}"/></svg>`);
    const [line] = placeLines(brought, summaryOf(brought).placing);
    expect(line.problem).toMatchObject({ code: 'paths.too-many', facts: { count: 20_002 } });
  });
});
