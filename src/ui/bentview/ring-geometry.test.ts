import { add, scale, sub, type Vec3 } from '../../core/math/vec3';
import type { Box } from '../../core/mesh/box';
import type { PathView } from '../../engine/path-view';
import { ringAt, roundOf, turnOf } from './ring-geometry';

/** A straight path along x of 10 m whose up leans by `lean` to the side. */
function line(lean: number): PathView {
  const rows = [0, 5, 10];
  const flat = (of: (x: number) => Vec3) => Float32Array.from(rows.flatMap(of));
  const known: Partial<PathView> = {
    length: 10,
    stations: Float64Array.from(rows),
    line: Float64Array.from(rows.flatMap((x) => [x, 0, 0])),
    ups: flat(() => [0, Math.cos(lean), Math.sin(lean)]),
    sides: flat(() => [0, -Math.sin(lean), Math.cos(lean)]),
  };
  return known as PathView;
}

const box: Box = { min: [0, -0.1, -0.4], max: [1, 0.2, 0.3] };

describe('a ring about a run', () => {
  const ring = ringAt(line(0.3), 5, box, [2, 1]);

  it('lies about the farther side of the section, with its gauges', () => {
    expect([ring.reachUp, ring.reachSide]).toEqual([expect.closeTo(0.4, 9), expect.closeTo(0.4, 9)]);
    expect(ring.radius).toBeGreaterThan(0.4);
    ring.middle.forEach((value, c) => expect(value).toBeCloseTo([5, 0, 0][c], 6));
  });

  it('goes round square to the path, as far everywhere', () => {
    const round = roundOf(ring);
    for (const place of round) {
      expect(place[0]).toBeCloseTo(5, 6);
      expect(Math.hypot(...sub(place, ring.middle))).toBeCloseTo(ring.radius, 6);
    }
    round[0].forEach((value, c) => expect(value).toBeCloseTo(round.at(-1)![c], 6));
  });

  it.each([-2.5, -0.4, 0, 1, 3])('tells the turn of a place on it: %d', (turn) => {
    const away = add(scale(ring.up, Math.cos(turn)), scale(ring.side, Math.sin(turn)));
    expect(turnOf(ring, add(ring.middle, scale(away, 7)))).toBeCloseTo(turn, 6);
  });
});
