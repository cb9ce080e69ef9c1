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
    expect(line!.curve.kind).toBe('smooth');
    expect(line!.curve.points.length).toBeLessThan(500);
    let length = 0;
    for (let i = 1; i < 100_000; i++) length += distance(place(i - 1), place(i));
    expect(line!.length / length).toBeCloseTo(1, 4);
    expect(line!.size[0]).toBeCloseTo(99.999, 9);
    expect(line!.size[2]).toBeCloseTo(10, 1);
  });
});
