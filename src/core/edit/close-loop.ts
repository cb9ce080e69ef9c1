import { buildArcTable } from '../curve/arc-table';
import { compileCurve, type CurveSpec } from '../curve/registry';
import { chordsAlong } from '../layout/chords';
import { add, length as sizeOf, normalize, scale, sub, type Vec3 } from '../math/vec3';
import { middleOf, transformPoints } from './transform-points';

/** How a loop of links of one pitch fits its path, and what would make it close. */
export interface Closing {
  /** Links that fit, and metres from the last pin to the first. */
  readonly fits: number;
  readonly slack: number;
  /** The number of links that it is to close with. */
  readonly links: number;
  /** Share by which the pitch is longer (shorter, below 0) where all pins share the slack. */
  readonly pitch: number;
  /** The path scaled about its middle; absent where that does not get there. */
  readonly scaled?: { readonly factor: number; readonly curve: CurveSpec };
  /** One wheel moved away from its neighbours (towards them, below 0), metres. */
  readonly moved: readonly { readonly point: number; readonly metres: number; readonly curve: CurveSpec }[];
}

/** Links that a closed path takes at a pitch, a broken number; undefined where they do not follow it. */
function linksRound(
  curve: CurveSpec,
  pitch: number,
): { readonly real: number; readonly fits: number; readonly slack: number } | undefined {
  const compiled = compileCurve(curve);
  if (!compiled.ok || !compiled.value.closed) return undefined;
  const { stations, left, stuckAt } = chordsAlong(buildArcTable(compiled.value)).walk(pitch);
  const fits = stations.length - 1;
  return stuckAt === undefined ? { real: fits + left / pitch, fits, slack: left } : undefined;
}

/** Three ways to close a loop of links with the multiple of `multiple` that is nearest. Undefined where the path is no loop that links follow. */
export function closingOf(curve: CurveSpec, pitch: number, multiple: number): Closing | undefined {
  const now = linksRound(curve, pitch);
  if (!now) return undefined;
  const links = Math.max(Math.round(now.real / multiple) * multiple, multiple);
  const compiled = compileCurve(curve);
  if (!compiled.ok) return undefined;
  const shared = chordsAlong(buildArcTable(compiled.value)).closed(pitch, 1, { count: links });
  const all = curve.points.map((_, i) => i);
  const about = middleOf(curve, all);
  const scaledBy = (factor: number) =>
    transformPoints(curve, all, { kind: 'scale', about, by: [factor, factor, factor] });
  const scaled = solved((share) => scaledBy(1 + share), pitch, links, now.real, 0.01);
  const moved = curve.points.flatMap((_, point) => {
    const way = awayFromNeighbours(curve, point);
    if (curve.kind !== 'belt' || !way) return [];
    const movedBy = (metres: number) => transformPoints(curve, [point], { kind: 'move', by: scale(way, metres) });
    const found = solved(movedBy, pitch, links, now.real, pitch * 0.1);
    return found ? [{ point, metres: found.by, curve: found.curve }] : [];
  });
  return {
    ...{ fits: now.fits, slack: now.slack, links, pitch: shared.pitch / pitch - 1, moved },
    ...(scaled && { scaled: { factor: 1 + scaled.by, curve: scaled.curve } }),
  };
}

/** By how much something has to change so that so many links close, by the secant method; `step` = what to begin with. */
function solved(
  change: (by: number) => CurveSpec,
  pitch: number,
  links: number,
  now: number,
  step: number,
): { readonly by: number; readonly curve: CurveSpec } | undefined {
  const off = (by: number) => (linksRound(change(by), pitch)?.real ?? NaN) - links;
  let [a, fa] = [0, now - links];
  let [b, fb] = [step, off(step)];
  for (let round = 0; round < 40 && Math.abs(fb) > 1e-11 * links; round++) {
    if (!Number.isFinite(fb) || fb === fa) return undefined;
    const next = b - (fb * (b - a)) / (fb - fa);
    [a, fa] = [b, fb];
    b = next;
    fb = off(b);
  }
  return Number.isFinite(fb) && Math.abs(fb) < 1e-7 * links ? { by: b, curve: change(b) } : undefined;
}

/** The direction in which a wheel is moved to tighten the loop: away from the middle of the wheels before and behind it. */
function awayFromNeighbours({ points }: CurveSpec, i: number): Vec3 | undefined {
  const at = (k: number) => points[(k + points.length) % points.length].position;
  const between = scale(add(at(i - 1), at(i + 1)), 0.5);
  const way = sub(at(i), between);
  if (!(sizeOf(way) > 1e-9)) return undefined;
  return scale(normalize(way), points[i].outside ? -1 : 1);
}
