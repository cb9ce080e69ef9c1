import { drawnEdges } from './drawn-edges';

/** A row of quads along x, each of two triangles:  0-2-4  over  1-3-5. */
const strip = (quads: number, wide = 1) => {
  const positions = Float32Array.from(Array.from({ length: quads + 1 }, (_, i) => [i, 0, 0, i, 0, wide]).flat());
  const indices = Uint32Array.from(
    Array.from({ length: quads }, (_, i) => [2 * i, 2 * i + 1, 2 * i + 3, 2 * i, 2 * i + 3, 2 * i + 2]).flat(),
  );
  return { positions, indices };
};
const pairs = (edges: Uint32Array) =>
  Array.from({ length: edges.length / 2 }, (_, i) => `${edges[2 * i]}-${edges[2 * i + 1]}`).toSorted();

describe('drawnEdges', () => {
  it('are the rows and the outline of a strip, without the diagonals', () => {
    expect(pairs(drawnEdges(strip(2)))).toEqual(['0-1', '0-2', '1-3', '2-3', '2-4', '3-5', '4-5']);
  });

  it.each([1, 7, 40])('of %d quads are three a quad and one more', (quads) => {
    expect(drawnEdges(strip(quads, 0.3)).length / 2).toBe(3 * quads + 1);
  });

  it('keep the one edge of a lone triangle that is the longest, and none of what has no size', () => {
    const positions = Float32Array.from([0, 0, 0, 1, 0, 0, 0, 0, 1]);
    expect(pairs(drawnEdges({ positions, indices: Uint32Array.of(0, 1, 2) }))).toEqual(['0-1', '0-2', '1-2']);
    expect(drawnEdges({ positions, indices: Uint32Array.of(0, 0, 0) })).toHaveLength(0);
  });
});
