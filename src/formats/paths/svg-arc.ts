import type { CubicLegs } from './cubic-legs';

/** rx, ry, rotation in degrees, large-arc flag, sweep flag, x, y. */
export type ArcValues = readonly [number, number, number, number, number, number, number];

/** An elliptical arc of an SVG, from where the pen is, y down in the file and up in the legs (SVG 2, appendix B.2.4 and B.2.5). */
export function arcOf(
  legs: CubicLegs,
  [x1, y1]: readonly [number, number],
  [rx0, ry0, rotation, large, sweep, x2, y2]: ArcValues,
): void {
  if (x1 === x2 && y1 === y2) return;
  if (rx0 === 0 || ry0 === 0) return legs.line([x2, -y2, 0]);
  const phi = (rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(phi), Math.sin(phi)];
  // In the ellipse's axes, from the middle of both ends; radii that are too small grow until they reach.
  const [dx, dy] = [(x1 - x2) / 2, (y1 - y2) / 2];
  const [px, py] = [c * dx + s * dy, c * dy - s * dx];
  const grown = Math.max(Math.hypot(px / rx0, py / ry0), 1);
  const [rx, ry] = [Math.abs(rx0) * grown, Math.abs(ry0) * grown];
  const [ux, uy] = [px / rx, py / ry];
  const far = Math.sqrt(Math.max(1 / (ux * ux + uy * uy) - 1, 0)) * (large === sweep ? -1 : 1);
  const [ex, ey] = [far * uy, -far * ux]; // the centre, in the circle that the ellipse is stretched from
  const from = Math.atan2(uy - ey, ux - ex);
  const whole = 2 * Math.PI;
  const turn = (Math.atan2(-uy - ey, -ux - ex) - from + 2 * whole) % whole;
  const [cx, cy] = [c * rx * ex - s * ry * ey + (x1 + x2) / 2, s * rx * ex + c * ry * ey + (y1 + y2) / 2];
  const to = sweep ? from + turn : from + turn - whole;
  legs.arc([cx, -cy, 0], [c * rx, -s * rx, 0], [-s * ry, -c * ry, 0], from, to);
}
