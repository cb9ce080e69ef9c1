import fc from 'fast-check';
import { cross, length, sub, type Vec3 } from '../math/vec3';
import { isClosed } from '../mesh/is-closed';
import { area, volume } from '../mesh/measure';
import { vertexCount, type Mesh } from '../mesh/mesh';
import { prepared } from '../testing/runs';
import { manifoldOf } from '../testing/manifold';
import { cutBetween, cutOff } from './cut-off';
import { makeSegmentMesh, maker, MAKERS, type MakerSpec } from './registry';
import { evenPlanes, longestRow, ownRow } from './pieces/plan-slices';
import { countSliced, sliceSegment } from './slice';
import { SHEETS } from '../testing/sheets';

const made = (kind: MakerSpec['kind'], change: Record<string, number> = {}) =>
  prepared(makeSegmentMesh({ ...(maker(kind).defaults as MakerSpec), ...change }));

/** For each part the integrals over its surface of 1 + u², 1 + v² and 3 + (u + v)². */
function textureMoments({ positions: p, uvs, indices, parts }: Mesh): number[][] {
  return parts.map(({ start, count }) => {
    const sums = [0, 0, 0];
    for (let i = start; i < start + count; i += 3) {
      const [a, b, c] = [indices[i], indices[i + 1], indices[i + 2]];
      const place = (v: number): Vec3 => [p[v * 3], p[v * 3 + 1], p[v * 3 + 2]];
      const size = length(cross(sub(place(b), place(a)), sub(place(c), place(a)))) / 2;
      const square = (of: (v: number) => number) => {
        const values = [of(a), of(b), of(c)];
        return values.reduce((sum, x) => sum + x * x, values.reduce((sum, x) => sum + x, 0) ** 2) / 12;
      };
      sums[0] += size * (1 + square((v) => uvs[v * 2]));
      sums[1] += size * (1 + square((v) => uvs[v * 2 + 1]));
      sums[2] += size * (3 + square((v) => uvs[v * 2] + uvs[v * 2 + 1]));
    }
    return sums;
  });
}

describe('sliceSegment', () => {
  it.each(MAKERS.map(({ kind }) => kind))('keeps volume, area and closedness of a %s', (kind) => {
    const segment = made(kind);
    const sliced = sliceSegment(segment, evenPlanes(segment.length, 37));
    expect(isClosed(segment.mesh)).toBe(!SHEETS.includes(kind));
    expect(isClosed(sliced.mesh)).toBe(!SHEETS.includes(kind));
    expect(volume(sliced.mesh) / volume(segment.mesh)).toBeCloseTo(1, 6);
    expect(area(sliced.mesh) / area(segment.mesh)).toBeCloseTo(1, 6);
    expect(ownRow(sliced)).toBeLessThanOrEqual((segment.length / 37) * 1.0001);
  });

  // Linear on every triangle before and after: then the integrals over each part stay (of a square: elementary, a (sum of squares + square of sum) / 12).
  it.each(MAKERS.map(({ kind }) => kind))('keeps the texture coordinates all over a %s', (kind) => {
    const segment = made(kind);
    const sliced = sliceSegment(segment, evenPlanes(segment.length, 37));
    const [before, after] = [textureMoments(segment.mesh), textureMoments(sliced.mesh)];
    expect(after).toHaveLength(before.length);
    before.forEach((part, i) => part.forEach((moment, k) => expect(after[i][k] / moment).toBeCloseTo(1, 5)));
  });

  it('cuts wherever the planes are, seams and all, and runs texture coordinates on linearly', () => {
    const segment = made('kerbedLane');
    fc.assert(
      fc.property(fc.uniqueArray(fc.double({ min: -1, max: 5, noNaN: true }), { maxLength: 12 }), (list) => {
        const sliced = sliceSegment(segment, Float64Array.from(list).sort());
        expect(isClosed(sliced.mesh)).toBe(true);
        const { positions, uvs, normals } = sliced.mesh;
        let off = 0;
        for (let v = 0; v < positions.length / 3; v++) {
          const isEnd = Math.abs(normals[v * 3]) > 0.5;
          if (!isEnd) off = Math.max(off, Math.abs(uvs[v * 2] - positions[v * 3]));
          if (v > 0 && positions[v * 3] < positions[v * 3 - 3]) off = Infinity; // sorted along x
        }
        expect(off).toBeLessThan(1e-5);
      }),
      { numRuns: 60, seed: 11 },
    );
  });

  it('leaves a segment alone that no plane crosses', () => {
    const segment = made('plank');
    expect(sliceSegment(segment, Float64Array.of(-1, 0, segment.length, 9)).mesh).toBe(segment.mesh);
  });
});

describe('longestRow', () => {
  // Sagitta of a chord, elementary: n = ceil(angle / (2 acos(1 - tol / (R + r)))).
  it.each([
    [100, 10, 0.1, 18.41782404150132],
    [50, 25, 0.01, 48.09508422521285],
  ])(
    'asks for the published number of rows on a quarter bend of radius %d, offset %d, tolerance %d',
    (R, r, tol, rows) => {
      expect(((Math.PI / 2) * R) / longestRow(1 / R, r, tol)).toBeCloseTo(rows, 9);
    },
  );

  it('asks for none on a straight path', () => {
    expect(longestRow(0, 3, 0.001)).toBe(Infinity);
  });
});

describe('edges that are short enough', () => {
  it('stay whole, and so the faces beside them', () => {
    const fine = sliceSegment(made('tube'), evenPlanes(1, 50));
    const planes = evenPlanes(1, 8);
    expect(
      sliceSegment(
        fine,
        planes,
        planes.map(() => 1 / 8),
      ).mesh,
    ).toBe(fine.mesh);
    const sliced = sliceSegment(made('tube'), planes, planes.map(() => 1 / 8)); // prettier-ignore
    expect(new Set(Array.from(sliced.mesh.positions).filter((_, i) => i % 3 === 0)).size).toBe(9);
  });
});

describe('flat faces', () => {
  it.each(['plank', 'tube', 'kerbDrain'] as const)('of a %s cost two triangles a row', (kind) => {
    const { length, mesh, ...rest } = made(kind);
    const sliced = sliceSegment({ length, mesh, ...rest }, evenPlanes(length, 12));
    const ends = Array.from({ length: mesh.indices.length / 3 }, (_, t) =>
      Math.abs(mesh.normals[mesh.indices[t * 3] * 3]),
    ).filter((x) => x > 0.9).length;
    expect(sliced.mesh.indices.length / 3).toBe((mesh.indices.length / 3 - ends) * 12 + ends);
  });
});

describe('cutBetween', () => {
  // Not of a bucket: its plates lie face to face, and where they do, the cut edges of one cannot be told from the other's.
  it.each(MAKERS.map(({ kind }) => kind).filter((kind) => !SHEETS.includes(kind) && kind !== 'bucket'))(
    'cuts a watertight %s into watertight parts that make up the whole',
    (kind) => {
      const segment = made(kind);
      const at = [0, 0.3, 0.77, 1].map((share) => share * segment.length);
      const parts = [0, 1, 2].map((i) => cutBetween(segment, at[i], at[i + 1]));
      parts.forEach((part, i) => {
        expect(isClosed(part.mesh)).toBe(true);
        expect(part.length).toBeCloseTo(at[i + 1] - at[i], 6);
        expect(part.mesh.positions[0]).toBeGreaterThan(-1e-6 * Math.max(segment.length, 1));
        expect(part.mesh.positions[vertexCount(part.mesh) * 3 - 3]).toBeLessThan(
          part.length + 1e-5 * Math.max(segment.length, 1),
        );
      });
      const sum = parts.reduce((total, { mesh }) => total + volume(mesh), 0);
      expect(sum / volume(segment.mesh)).toBeCloseTo(1, 4);
    },
  );

  // manifold-3d cuts the same solids by the same plane.
  it.each(['rope', 'turned', 'coil', 'chainLink'] as const)(
    'gives a %s the volume that an independent library cuts off',
    async (kind) => {
      const segment = made(kind, kind === 'coil' ? { leadIn: 0.05, leadOut: 0.05 } : {});
      const cut = cutOff(segment, segment.length * 0.41);
      const solid = await manifoldOf(segment.mesh);
      const half = solid.trimByPlane([-1, 0, 0], -segment.length * 0.41);
      expect(half.volume() / volume(cut.mesh)).toBeCloseTo(1, 3);
      solid.delete();
      half.delete();
    },
  );

  it('leaves an open mesh open', () => {
    const { mesh, ...rest } = made('tube');
    const skin = mesh.parts.find(({ name }) => name === 'Skin')!;
    const open = {
      ...rest,
      mesh: {
        ...mesh,
        indices: mesh.indices.slice(skin.start, skin.start + skin.count),
        parts: [{ ...skin, start: 0 }],
      },
    };
    expect(cutOff(open, 0.5).mesh.parts.map(({ name }) => name)).toEqual(['Skin']);
  });
});

describe('countSliced', () => {
  it.each(MAKERS.map(({ kind }) => kind))(
    'tells how many triangles slicing a %s leaves, whole edges and all',
    (kind) => {
      const segment = made(kind);
      const planes = evenPlanes(segment.length, 11);
      for (const longest of [undefined, planes.map(() => segment.length / 11), planes.map((x) => x / 3)])
        expect(countSliced(segment, planes, longest)).toBe(
          sliceSegment(segment, planes, longest).mesh.indices.length / 3,
        );
    },
  );
});
