import { boxSize } from '../mesh/box';
import { volume } from '../mesh/measure';
import type { Mesh } from '../mesh/mesh';
import { prepared } from '../testing/runs';
import { makeSegmentMesh } from './registry';
import { prepareSegment } from './prepare';
import { AXES, PREPARE_DEFAULTS } from './segment-spec';

const plank = makeSegmentMesh({ kind: 'plank', length: 3, width: 0.5, thickness: 0.1 });

/** The mesh with its axes changed: new x, y, z are the old ones named; `shift` metres added. */
function turned(mesh: Mesh, order: readonly [number, number, number], shift = [0, 0, 0]): Mesh {
  const apply = (array: Float32Array, add: readonly number[]) =>
    array.map((_, i) => array[i - (i % 3) + order[i % 3]] + add[i % 3]);
  return { ...mesh, positions: apply(mesh.positions, shift), normals: apply(mesh.normals, [0, 0, 0]) };
}

describe('prepareSegment', () => {
  it('finds the long side, whichever it is', () => {
    for (const [order, forward] of [
      [[0, 1, 2], '+x'],
      [[2, 1, 0], '+z'],
      [[1, 0, 2], '+y'],
    ] as const) {
      const result = prepareSegment(turned(plank, order), PREPARE_DEFAULTS);
      expect(result).toMatchObject({ ok: true, value: { axes: { forward } } });
      if (result.ok) expect(result.value.length).toBeCloseTo(3, 6);
    }
  });

  it('turns without mirroring: the volume keeps its sign for every pair of axes', () => {
    for (const forward of AXES) {
      for (const up of AXES) {
        const { mesh, box } = prepared(plank, { forward, up });
        expect(volume(mesh)).toBeCloseTo(volume(plank), 6);
        expect(box.min[0]).toBe(0);
      }
    }
  });

  it('centres, stands on the path, or leaves as modelled', () => {
    const far = turned(plank, [0, 1, 2], [100, 7, -20]);
    expect(prepared(far, { centre: 'own' }).box.min[1]).toBeCloseTo(7, 5);
    expect(prepared(far, { centre: 'middle' }).box.min[1]).toBeCloseTo(-0.05, 5);
    expect(prepared(far, { centre: 'foot' }).box.min[1]).toBeCloseTo(0, 5);
    expect(prepared(far, { centre: 'foot' }).box.min[2]).toBeCloseTo(-0.25, 5);
  });

  it('takes units into account', () => {
    expect(boxSize(prepared(plank, { unit: 0.001 }).box)[0]).toBeCloseTo(0.003, 9);
  });

  it('sorts vertices along x and finds their rows', () => {
    const { mesh, rows } = prepared(makeSegmentMesh({ kind: 'kerbedLane', length: 4, laneWidth: 3, bankHeight: 1 }));
    expect([...rows].map((v) => mesh.positions[v * 3])).toEqual([0, 1, 3, 4, undefined]);
  });

  it('refuses a mesh without length along forward', () => {
    const flat = { ...plank, positions: plank.positions.map((x, i) => (i % 3 === 0 ? 0 : x)) };
    expect(prepareSegment(flat, { ...PREPARE_DEFAULTS, forward: '+x' })).toMatchObject({
      ok: false,
      problems: [{ code: 'segment.flat' }],
    });
  });
});
