import { distance } from '../math/vec3';
import type { PathPoint } from '../curve/path-spec';
import type { CurveSpec } from '../curve/registry';
import { changeKind } from './change-kind';
import { reversePath } from './reverse';

/** Ends that are nearer than this, metres, become one point. */
const SAME = 1e-4;

/**
 * One path out of two open ones, joined where their ends lie nearest; the second is turned round where that asks for it. Paths of
 * different kinds become handles. Undefined where one is closed or has no points.
 */
export function joinPaths(a: CurveSpec, b: CurveSpec): CurveSpec | undefined {
  if (a.closed || b.closed || a.points.length === 0 || b.points.length === 0) return undefined;
  const [first, second] = a.kind === b.kind && a.numbers === b.numbers ? [a, b] : [asHandles(a), asHandles(b)];
  const start = (spec: CurveSpec) => spec.points[0].position;
  const end = (spec: CurveSpec) => spec.points[spec.points.length - 1].position;
  const ways = [
    { gap: distance(end(first), start(second)), parts: () => [first, second] },
    { gap: distance(end(first), end(second)), parts: () => [first, reversePath(second)] },
    { gap: distance(start(first), end(second)), parts: () => [second, first] },
    { gap: distance(start(first), start(second)), parts: () => [reversePath(second), first] },
  ];
  const { gap, parts } = ways.reduce((best, way) => (way.gap < best.gap ? way : best));
  const [before, after] = parts() as [CurveSpec, CurveSpec];
  const last = before.points[before.points.length - 1];
  const next = after.points[0];
  const middle = gap > SAME ? [last, next] : [merged(last, next)];
  return { ...first, points: [...before.points.slice(0, -1), ...middle, ...after.points.slice(1)] };
}

const asHandles = (spec: CurveSpec): CurveSpec => changeKind(spec, 'handles');

const merged = (arriving: PathPoint, leaving: PathPoint): PathPoint => ({
  ...arriving,
  ...leaving,
  ...(arriving.handleIn && { handleIn: arriving.handleIn }),
  broken: true,
});
