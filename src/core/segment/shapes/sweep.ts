import { add, scale, type Vec3 } from '../../math/vec3';
import type { MeshBuilder } from '../../mesh/mesh-builder';
import { addFan, addGrid, type Wear } from './grid';
import { lineForward, type Line, type LineFrame } from './line';

export interface RoundSweep extends Wear {
  readonly line: Line;
  /** Metres, at t of the line. */
  readonly radius: number | ((t: number) => number);
  readonly sides: number;
  /** Metres of surface per unit of t, for the texture. */
  readonly length: number;
}

const radiusAt = (radius: RoundSweep['radius'], t: number): number => (typeof radius === 'number' ? radius : radius(t));

const around = ({ normal, binormal }: LineFrame, angle: number): Vec3 =>
  add(scale(normal, Math.cos(angle)), scale(binormal, Math.sin(angle)));

/**
 * A round bar along a line, with rings square to it at the given t. Ends get flat faces unless `isRing`: then the line closes.
 * Texture: u = metres along, v = metres round.
 */
export function sweepRings(builder: MeshBuilder, sweep: RoundSweep, ts: readonly number[], isRing = false): void {
  const { line, sides, length } = sweep;
  const rows = ts.map((t) => {
    const frame = line.frame(t);
    const r = radiusAt(sweep.radius, t);
    return Array.from({ length: sides + 1 }, (_, j) => {
      const angle = (2 * Math.PI * j) / sides;
      const out = around(frame, angle);
      const p = add(frame.centre, scale(out, r));
      return builder.vertex(p, out, [t * length, angle * r]);
    });
  });
  addGrid(builder, sweep, rows);
  if (isRing) return;
  for (const [t, looksBack] of [
    [ts[0], true],
    [ts[ts.length - 1], false],
  ] as const) {
    const frame = line.frame(t);
    const r = radiusAt(sweep.radius, t);
    const forward = scale(lineForward(line, t), looksBack ? -1 : 1);
    const middle = builder.vertex(frame.centre, forward, [0, 0]);
    const ring = Array.from({ length: sides + 1 }, (_, j) => {
      const angle = (2 * Math.PI * (j % sides)) / sides;
      const p = add(frame.centre, scale(around(frame, angle), r));
      return builder.vertex(p, forward, [r * Math.cos(angle), r * Math.sin(angle)]);
    });
    addFan(builder, sweep, middle, ring, looksBack);
  }
}

/**
 * A round bar along a line that goes forward throughout, cut by the planes x = xs[k]: its rows and ends lie square to the segment
 * although the bar runs askew. Every vertex lies on the bar's true surface; t is found by secants.
 */
export function sweepRows(builder: MeshBuilder, sweep: RoundSweep, xs: readonly number[]): void {
  const { sides, length } = sweep;
  const span = xs[xs.length - 1];
  const rings = xs.map((x, k) => {
    const ring: { place: Vec3; out: Vec3; t: number }[] = [];
    for (let j = 0; j < sides; j++) {
      const angle = (2 * Math.PI * j) / sides;
      ring.push({ ...onPlane(sweep, angle, x, span) });
    }
    return { x, k, ring };
  });
  const rows = rings.map(({ x, ring }) =>
    Array.from({ length: sides + 1 }, (_, j) => {
      const { place, out, t } = ring[j % sides];
      const r = radiusAt(sweep.radius, t);
      return builder.vertex([x, place[1], place[2]], out, [(x / span) * length, (2 * Math.PI * r * j) / sides]);
    }),
  );
  addGrid(builder, sweep, rows);
  for (const { x, ring } of [rings[0], rings[rings.length - 1]]) {
    const looksBack = x === xs[0];
    const forward: Vec3 = [looksBack ? -1 : 1, 0, 0];
    const mean = scale(
      ring.reduce<Vec3>((sum, { place }) => add(sum, place), [0, 0, 0]),
      1 / sides,
    );
    const flat = ([, y, z]: Vec3) => builder.vertex([x, y, z], forward, [z, y]);
    const corners = ring.map(({ place }) => flat(place));
    addFan(builder, sweep, flat(mean), [...corners, corners[0]], looksBack);
  }
}

function onPlane(sweep: RoundSweep, angle: number, x: number, span: number): { place: Vec3; out: Vec3; t: number } {
  const at = (t: number) => {
    const frame = sweep.line.frame(t);
    const out = around(frame, angle);
    return { place: add(frame.centre, scale(out, radiusAt(sweep.radius, t))), out, t };
  };
  // Secants; x grows by about the sweep's own span over t from 0 to 1.
  let before = at(x / span);
  let found = at(x / span + (x - before.place[0]) / span);
  for (let i = 0; i < 30 && Math.abs(found.place[0] - x) > 1e-13 * span; i++) {
    const slope = (found.place[0] - before.place[0]) / (found.t - before.t);
    before = found;
    found = at(found.t + (x - found.place[0]) / (Number.isFinite(slope) && slope > 0 ? slope : span));
  }
  return found;
}
