import { distance, type Vec3 } from '../../core/math/vec3';
import type { BroughtPath } from './path-format';

interface Line {
  readonly name: string;
  readonly places: readonly Vec3[];
}

/** Lines joined where exactly two of them end in one place; closed where a chain comes back to its start. */
export function chainLines(lines: readonly Line[]): BroughtPath[] {
  const key = ([x, y, z]: Vec3) => `${x},${y},${z}`;
  const at = new Map<string, number[]>();
  for (const [i, { places }] of lines.entries())
    for (const end of [key(places[0]!), key(places[places.length - 1]!)]) {
      const here = at.get(end);
      if (here) here.push(i);
      else at.set(end, [i]);
    }
  const isUsed = new Uint8Array(lines.length);
  /** Grows a chain from its end as far as it goes. */
  const grow = (chain: Vec3[]): void => {
    for (;;) {
      const end = key(chain[chain.length - 1]!);
      const here = at.get(end)!;
      const next = here.length === 2 ? here.find((i) => !isUsed[i]) : undefined;
      if (next === undefined) return;
      isUsed[next] = 1;
      const { places } = lines[next]!;
      const isForward = key(places[0]!) === end;
      for (let k = 1; k < places.length; k++) chain.push(places[isForward ? k : places.length - 1 - k]!);
    }
  };
  return lines.flatMap((line, i): BroughtPath[] => {
    if (isUsed[i]) return [];
    isUsed[i] = 1;
    const chain = [...line.places];
    grow(chain);
    chain.reverse();
    grow(chain);
    chain.reverse();
    const closed = chain.length > 3 && distance(chain[0]!, chain[chain.length - 1]!) === 0;
    const points = (closed ? chain.slice(0, -1) : chain).map((position) => ({ position }));
    return [{ name: line.name, kind: 'straight', closed, points }];
  });
}
