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
  const ends = (line: Line) => [line.places[0]!, line.places[line.places.length - 1]!] as const;
  lines.forEach((line, i) => {
    for (const end of ends(line)) at.set(key(end), [...(at.get(key(end)) ?? []), i]);
  });
  const isUsed = new Uint8Array(lines.length);
  /** Grows a chain from its end as far as it goes. */
  const grow = (chain: Vec3[]): void => {
    for (;;) {
      const here = at.get(key(chain[chain.length - 1]!)) ?? [];
      const next = here.length === 2 ? here.find((i) => !isUsed[i]) : undefined;
      if (next === undefined) return;
      isUsed[next] = 1;
      const places = lines[next]!.places;
      const isForward = key(places[0]!) === key(chain[chain.length - 1]!);
      chain.push(...(isForward ? places : [...places].reverse()).slice(1));
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
