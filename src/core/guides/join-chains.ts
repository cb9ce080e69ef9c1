import { distance, type Vec3 } from '../math/vec3';

/** A line of edges through a mesh. */
export interface EdgeChain {
  readonly points: readonly Vec3[];
  readonly closed: boolean;
  /** Metres. */
  readonly length: number;
}

/** Chains that meet end to end as one, whichever way each runs; undefined where they do not all hang together. */
export function joinChains(chains: readonly EdgeChain[]): EdgeChain | undefined {
  const [first, ...rest] = chains;
  if (!first || (first.closed && rest.length > 0)) return undefined;
  const near = chains.reduce((sum, { length }) => sum + length, 0) * 1e-6;
  const meets = (a: Vec3, b: Vec3) => distance(a, b) <= near;
  let points = [...first.points];
  const left = [...rest];
  while (left.length > 0) {
    const [start, end] = [points[0], points[points.length - 1]];
    const at = left.findIndex(({ points: p, closed }) => !closed && [p[0], p[p.length - 1]].some((v) => meets(v, end) || meets(v, start))); // prettier-ignore
    if (at < 0) return undefined;
    const next = [...left.splice(at, 1)[0].points];
    const [a, b] = [next[0], next[next.length - 1]];
    if (meets(a, end)) points = [...points, ...next.slice(1)];
    else if (meets(b, end)) points = [...points, ...next.reverse().slice(1)];
    else if (meets(b, start)) points = [...next, ...points.slice(1)];
    else points = [...next.reverse(), ...points.slice(1)];
  }
  const closed = first.closed || (points.length > 3 && meets(points[0], points[points.length - 1]));
  const length = chains.reduce((sum, chain) => sum + chain.length, 0);
  return { points: closed && !first.closed ? points.slice(0, -1) : points, closed, length };
}
