import fc from 'fast-check';
import { makeSegmentMesh } from '../segment/registry';
import { boxMiddle, boxOf, boxSize } from './box';
import { isClosed } from './is-closed';
import { area, volume } from './measure';
import { reorderVertices } from './reorder';
import { orderByX } from './sort-by-x';

/*
 *  3      A corner of a cube: right angles at 0, legs of length 1.
 *  | 2
 *  |/
 *  0--1
 */
const corner = {
  positions: Float32Array.of(0, 0, 0, 1, 0, 0, 0, 0, -1, 0, 1, 0),
  indices: Uint32Array.of(0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3),
};

describe('measures', () => {
  it('give a sixth of the cube and its faces', () => {
    expect(volume(corner)).toBeCloseTo(1 / 6, 7);
    expect(area(corner)).toBeCloseTo(1.5 + Math.sqrt(3) / 2, 6);
    expect(boxSize(boxOf(corner.positions))).toEqual([1, 1, 1]);
    expect(boxMiddle(boxOf(corner.positions))).toEqual([0.5, 0.5, -0.5]);
  });

  it('take an inside-out mesh for negative', () => {
    expect(volume({ ...corner, indices: corner.indices.slice().reverse() })).toBeCloseTo(-1 / 6, 7);
  });

  // A regular prism of n sides: volume n/2 r^2 sin(2 pi/n) L, elementary.
  it.each([3, 8, 33])('give a tube of %d sides the volume of its prism', (sides) => {
    const mesh = makeSegmentMesh({ kind: 'tube', length: 2, radius: 0.4, sides });
    expect(volume(mesh)).toBeCloseTo((sides / 2) * 0.16 * Math.sin((2 * Math.PI) / sides) * 2, 6);
  });
});

describe('isClosed', () => {
  it('takes vertices at one place as one', () => {
    expect(isClosed(corner)).toBe(true);
    const flat = Float32Array.from(corner.indices, (v) => v).length;
    const positions = new Float32Array(flat * 3);
    corner.indices.forEach((v, i) => positions.set(corner.positions.subarray(v * 3, v * 3 + 3), i * 3));
    expect(isClosed({ positions, indices: Uint32Array.from({ length: flat }, (_, i) => i) })).toBe(true);
  });

  it('sees a missing face, a turned face, and nothing at all', () => {
    expect(isClosed({ ...corner, indices: corner.indices.slice(3) })).toBe(false);
    const turned = corner.indices.slice();
    [turned[0], turned[1]] = [turned[1], turned[0]];
    expect(isClosed({ ...corner, indices: turned })).toBe(false);
    expect(isClosed({ ...corner, indices: new Uint32Array() })).toBe(false);
  });
});

describe('orderByX', () => {
  it('sorts as a comparing sort does, stable, with negative numbers and zeros of either sign', () => {
    const x = fc.oneof(fc.float({ noNaN: true, noDefaultInfinity: true }), fc.constantFrom(0, -0, 1, -1));
    fc.assert(
      fc.property(fc.array(x, { maxLength: 200 }), (list) => {
        const positions = new Float32Array(list.length * 3);
        list.forEach((value, i) => (positions[i * 3] = value));
        const wanted = list.map((_, i) => i).sort((a, b) => positions[a * 3] - positions[b * 3] || a - b);
        expect([...orderByX(positions)]).toEqual(wanted);
      }),
      { seed: 8 },
    );
  });

  it('leaves the shape as it is when vertices are put in that order', () => {
    const mesh = makeSegmentMesh({ kind: 'kerbedLane', length: 4, laneWidth: 3, bankHeight: 1 });
    const sorted = reorderVertices(mesh, orderByX(mesh.positions));
    expect(volume(sorted)).toBeCloseTo(volume(mesh), 9);
    expect(area(sorted)).toBeCloseTo(area(mesh), 9);
    expect(isClosed(sorted)).toBe(true);
  });
});
