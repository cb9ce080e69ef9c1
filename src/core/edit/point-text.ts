import { fail, ok, type Result } from '../math/result';
import { sub, add, type Vec3 } from '../math/vec3';
import type { PathPoint } from '../curve/path-spec';

/** Points as lines of x, y and z in metres with tabs between, as tables take them. */
export const pointsToText = (points: readonly PathPoint[]): string =>
  points.map(({ position }) => position.join('\t')).join('\n');

/** Reads lines of three numbers. Problems: `points.not-numbers` with `line` and `text`, `points.none`. */
export function pointsFromText(text: string): Result<readonly PathPoint[]> {
  const points: PathPoint[] = [];
  const lines = text.split(/\r?\n/);
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') continue;
    const values = line
      .trim()
      .split(/[\s;,]+/)
      .map(Number);
    if (values.length < 3 || !values.slice(0, 3).every((v) => Math.abs(v) <= 1e6))
      return fail('points.not-numbers', { line: i + 1, text: line.slice(0, 60) });
    points.push({ position: [values[0], values[1], values[2]] });
  }
  return points.length > 0 ? ok(points) : fail('points.none');
}

/** The points moved so that the first of them lies at `to`. */
export function pointsAt(points: readonly PathPoint[], to: Vec3): readonly PathPoint[] {
  const by = points[0] ? sub(to, points[0].position) : ([0, 0, 0] as const);
  return points.map((point) => ({ ...point, position: add(point.position, by) }));
}
